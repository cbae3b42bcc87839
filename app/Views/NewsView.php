<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** The last place on a machine's tape, and how far those of the others of its feed have gone on. */
#[OA\Schema(required: ['news', 'feed'])]
final readonly class NewsView
{
    public function __construct(
        #[OA\Property()]
        public int $news,
        #[OA\Property()]
        public int $feed,
    ) {
    }
}
