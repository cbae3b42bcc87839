<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** The units of a site as they may hang on one feed. */
#[OA\Schema(required: ['items'])]
final readonly class SiteUnitsView
{
    /** @param list<array<string, mixed>> $items as a feed's input takes them */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(type: 'object', additionalProperties: true))]
        public array $items,
    ) {
    }
}
