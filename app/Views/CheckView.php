<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** What a check asks for. */
#[OA\Schema(required: ['id', 'question', 'short', 'version', 'fields', 'items'])]
final readonly class CheckView
{
    /**
     * @param list<FieldView> $fields
     * @param list<ItemView> $items
     */
    public function __construct(
        #[OA\Property()]
        public string $id,
        #[OA\Property()]
        public string $question,
        #[OA\Property()]
        public string $short,
        #[OA\Property()]
        public int $version,
        #[OA\Property(type: 'array', items: new OA\Items(ref: FieldView::class))]
        public array $fields,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ItemView::class))]
        public array $items,
    ) {
    }
}
