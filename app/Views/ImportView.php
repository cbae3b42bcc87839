<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** What a file would do, or did. Nothing is done while one row is wrong. */
#[OA\Schema(required: ['digest', 'rows', 'wrong', 'made', 'shown'])]
final readonly class ImportView
{
    /**
     * @param list<ImportRowView> $shown
     */
    public function __construct(
        #[OA\Property()]
        public string $digest,
        #[OA\Property()]
        public int $rows,
        #[OA\Property()]
        public int $wrong,
        #[OA\Property()]
        public int $made,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ImportRowView::class))]
        public array $shown,
    ) {
    }
}
