<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** A sheet with all its versions, newest first. */
#[OA\Schema(required: ['id', 'model', 'maker', 'kind', 'versions'])]
final readonly class SheetView
{
    /**
     * @param list<SheetVersionView> $versions
     */
    public function __construct(
        #[OA\Property()]
        public int $id,
        #[OA\Property()]
        public string $model,
        #[OA\Property()]
        public string $maker,
        #[OA\Property()]
        public string $kind,
        #[OA\Property(type: 'array', items: new OA\Items(ref: SheetVersionView::class))]
        public array $versions,
    ) {
    }
}
