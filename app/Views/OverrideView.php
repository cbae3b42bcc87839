<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** A question that a lead opened against a stop. */
#[OA\Schema(required: ['gate', 'name', 'who', 'at', 'reason'])]
final readonly class OverrideView
{
    public function __construct(
        #[OA\Property()]
        public int $gate,
        #[OA\Property()]
        public string $name,
        #[OA\Property()]
        public string $who,
        #[OA\Property()]
        public string $at,
        #[OA\Property()]
        public string $reason,
    ) {
    }
}
