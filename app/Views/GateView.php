<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** One of the twelve questions, as far as it is answered. */
#[OA\Schema(required: ['gate', 'name', 'question', 'state', 'shut', 'sentence', 'check', 'subject', 'missing', 'flags', 'notes'])]
final readonly class GateView
{
    /**
     * @param list<MissingView> $missing
     * @param list<string> $flags
     * @param list<string> $notes
     */
    public function __construct(
        #[OA\Property()]
        public int $gate,
        #[OA\Property()]
        public string $name,
        #[OA\Property()]
        public string $question,
        #[OA\Property()]
        public string $state,
        #[OA\Property()]
        public bool $shut,
        #[OA\Property()]
        public string $sentence,
        #[OA\Property()]
        public string $check,
        #[OA\Property()]
        public string $subject,
        #[OA\Property(type: 'array', items: new OA\Items(ref: MissingView::class))]
        public array $missing,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $flags,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))]
        public array $notes,
    ) {
    }
}
