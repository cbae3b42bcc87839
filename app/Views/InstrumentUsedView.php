<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** An instrument that readings of a record were taken with, as it was that day. */
#[OA\Schema(required: ['name', 'kind', 'serial', 'accuracy', 'due', 'overdue', 'readings'])]
final readonly class InstrumentUsedView
{
    public function __construct(
        #[OA\Property()]
        public string $name,
        #[OA\Property()]
        public string $kind,
        #[OA\Property()]
        public string $serial,
        #[OA\Property()]
        public string $accuracy,
        #[OA\Property()]
        public string $due,
        #[OA\Property()]
        public bool $overdue,
        #[OA\Property()]
        public int $readings,
    ) {
    }
}
