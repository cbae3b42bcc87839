<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** A job on the day's board. */
#[OA\Schema(required: ['id', 'site', 'title', 'when', 'machines', 'safety'])]
final readonly class TodayJob
{
    /**
     * @param list<TodayMachine> $machines
     */
    public function __construct(
        #[OA\Property()]
        public int $id,
        #[OA\Property()]
        public string $site,
        #[OA\Property()]
        public string $title,
        #[OA\Property()]
        public string $when,
        #[OA\Property(type: 'array', items: new OA\Items(ref: TodayMachine::class))]
        public array $machines,
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'string'))]
        public object $safety,
    ) {
    }
}
