<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** The links to a record, newest first. */
#[OA\Schema(required: ['links'])]
final readonly class OwnerLinksView
{
    /**
     * @param list<OwnerLinkView> $links
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: OwnerLinkView::class))]
        public array $links,
    ) {
    }
}
