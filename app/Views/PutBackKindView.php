<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** Something that can be done and must be undone, and what it holds shut. */
#[OA\Schema(required: ['kind', 'text', 'shuts', 'limitMinutes'])]
final readonly class PutBackKindView
{
    /** @param list<int> $shuts */
    public function __construct(
        #[OA\Property()]
        public string $kind,
        #[OA\Property()]
        public string $text,
        #[OA\Property(items: new OA\Items(type: 'integer'))]
        public array $shuts,
        #[OA\Property()]
        public ?int $limitMinutes,
    ) {
    }
}
