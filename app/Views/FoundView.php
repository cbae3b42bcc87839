<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** Something found. */
#[OA\Schema(required: ['kind', 'id', 'title', 'more'])]
final readonly class FoundView
{
    public function __construct(
        #[OA\Property()]
        public string $kind,
        #[OA\Property()]
        public int $id,
        #[OA\Property()]
        public string $title,
        #[OA\Property()]
        public string $more,
    ) {
    }
}
