<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** A link to hand over. It is told once: only its hash is kept. */
#[OA\Schema(required: ['path', 'mailed'])]
final readonly class LinkView
{
    public function __construct(
        #[OA\Property()]
        public string $path,
        #[OA\Property()]
        public bool $mailed,
    ) {
    }
}
