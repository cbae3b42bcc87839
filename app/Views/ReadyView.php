<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** A question that waits for the other person. */
#[OA\Schema(required: ['at', 'who', 'whoId', 'what'])]
final readonly class ReadyView
{
    public function __construct(
        #[OA\Property()]
        public int $at,
        #[OA\Property()]
        public string $who,
        #[OA\Property()]
        public int $whoId,
        #[OA\Property()]
        public string $what,
    ) {
    }
}
