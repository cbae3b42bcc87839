<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** A machine on the board of its job. */
#[OA\Schema(required: ['id', 'name', 'place', 'states', 'gate', 'question', 'sentence', 'status', 'next', 'notes', 'hours', 'items', 'out', 'signedAt'])]
final readonly class JobMachineView
{
    /**
     * @param list<string> $states
     * @param list<string> $notes
     * @param list<GateHoursView> $hours
     * @param list<string> $items
     */
    public function __construct(
        #[OA\Property()]
        public int $id,
        #[OA\Property()]
        public string $name,
        #[OA\Property()]
        public string $place,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $states,
        #[OA\Property()]
        public ?int $gate,
        #[OA\Property()]
        public string $question,
        #[OA\Property()]
        public string $sentence,
        #[OA\Property()]
        public string $status,
        #[OA\Property()]
        public string $next,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $notes,
        #[OA\Property(type: 'array', items: new OA\Items(ref: GateHoursView::class))]
        public array $hours,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $items,
        #[OA\Property()]
        public int $out,
        #[OA\Property()]
        public string $signedAt,
    ) {
    }
}
