<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** A picture that belongs to an entry. */
#[OA\Schema(required: ['at', 'caption', 'item', 'width', 'height'])]
final readonly class PhotoView
{
    public function __construct(
        #[OA\Property()]
        public int $at,
        #[OA\Property()]
        public string $caption,
        #[OA\Property()]
        public string $item,
        #[OA\Property()]
        public int $width,
        #[OA\Property()]
        public int $height,
    ) {
    }
}
