<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** A day something of a machine is due. */
#[OA\Schema(required: ['id', 'day', 'kind', 'machineId', 'machine', 'site', 'what', 'gate'])]
final readonly class DayView
{
    public function __construct(
        #[OA\Property()]
        public string $id,
        #[OA\Property()]
        public string $day,
        #[OA\Property(enum: ['look', 'register', 'covered', 'item', 'put_back'])]
        public string $kind,
        #[OA\Property()]
        public int $machineId,
        #[OA\Property()]
        public string $machine,
        #[OA\Property()]
        public string $site,
        #[OA\Property()]
        public string $what,
        /** The question at which it is answered. */
        #[OA\Property()]
        public int $gate,
    ) {
    }
}
