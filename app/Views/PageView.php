<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** A page of sites, and where the next begins. */
#[OA\Schema(required: ['sites', 'next'])]
final readonly class PageView
{
    /**
     * @param list<SiteRowView> $sites
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: SiteRowView::class))]
        public array $sites,
        #[OA\Property()]
        public string $next,
    ) {
    }
}
