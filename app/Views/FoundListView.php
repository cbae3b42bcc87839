<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** What begins with the words. */
#[OA\Schema(required: ['found'])]
final readonly class FoundListView
{
    /**
     * @param list<FoundView> $found
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: FoundView::class))]
        public array $found,
    ) {
    }
}
