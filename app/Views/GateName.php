<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** The name and question of a gate. */
#[OA\Schema(required: ['gate', 'name', 'question'])]
final readonly class GateName
{
    public function __construct(
        #[OA\Property()]
        public int $gate,
        #[OA\Property()]
        public string $name,
        #[OA\Property()]
        public string $question,
    ) {
    }
}
