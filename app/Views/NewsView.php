<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** The last place on a machine's tape. */
#[OA\Schema(required: ['news'])]
final readonly class NewsView
{
    public function __construct(
        #[OA\Property()]
        public int $news,
    ) {
    }
}
