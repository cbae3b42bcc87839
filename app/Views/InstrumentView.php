<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** A measuring instrument, and whether its calibration is overdue. */
#[OA\Schema(required: ['id', 'name', 'kind', 'serial', 'accuracy', 'due', 'overdue', 'logger'])]
final readonly class InstrumentView
{
    public function __construct(
        #[OA\Property()]
        public int $id,
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
        /** What the columns of its files are, where one was read. */
        #[OA\Property(type: 'object', nullable: true, additionalProperties: true)]
        public ?object $logger,
    ) {
    }
}
