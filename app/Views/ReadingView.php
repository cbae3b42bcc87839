<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** A figure as it was read. */
#[OA\Schema(required: ['path', 'label', 'value', 'unit', 'canonical', 'canonicalUnit'])]
final readonly class ReadingView
{
    public function __construct(
        #[OA\Property()]
        public string $path,
        #[OA\Property()]
        public string $label,
        #[OA\Property()]
        public float $value,
        #[OA\Property()]
        public string $unit,
        #[OA\Property()]
        public float $canonical,
        #[OA\Property()]
        public string $canonicalUnit,
    ) {
    }
}
