<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** Parts that go back on the van. */
#[OA\Schema(required: ['machine', 'count', 'what', 'where'])]
final readonly class VanPartView
{
    public function __construct(
        #[OA\Property()]
        public string $machine,
        #[OA\Property()]
        public int $count,
        #[OA\Property()]
        public string $what,
        #[OA\Property()]
        public string $where,
    ) {
    }
}
