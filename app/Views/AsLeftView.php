<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** What is set on a machine, of one matter: dials, drives, taps, set points. */
#[OA\Schema(required: ['matter', 'title', 'rows'])]
final readonly class AsLeftView
{
    /** @param list<ToldView> $rows */
    public function __construct(
        #[OA\Property()]
        public string $matter,
        #[OA\Property()]
        public string $title,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ToldView::class))]
        public array $rows,
    ) {
    }
}
