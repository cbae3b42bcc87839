<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** What was answered or chosen, in words. */
#[OA\Schema(required: ['label', 'value'])]
final readonly class ToldView
{
    public function __construct(
        #[OA\Property()]
        public string $label,
        #[OA\Property()]
        public string $value,
    ) {
    }
}
