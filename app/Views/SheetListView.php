<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** The shelf. */
#[OA\Schema(required: ['sheets'])]
final readonly class SheetListView
{
    /**
     * @param list<SheetRowView> $sheets
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: SheetRowView::class))]
        public array $sheets,
    ) {
    }
}
