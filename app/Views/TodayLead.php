<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** The one thing to do next. */
#[OA\Schema(required: ['machineId', 'machine', 'status', 'sentence', 'next'])]
final readonly class TodayLead
{
    public function __construct(
        #[OA\Property()]
        public int $machineId,
        #[OA\Property()]
        public string $machine,
        #[OA\Property()]
        public string $status,
        #[OA\Property()]
        public string $sentence,
        #[OA\Property()]
        public string $next,
    ) {
    }
}
