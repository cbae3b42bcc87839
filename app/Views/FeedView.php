<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** The feed a machine hangs on: what hangs there with it, and what is asked here because of what was found there. */
#[OA\Schema(required: ['panel', 'breaker', 'asks', 'units', 'news'])]
final readonly class FeedView
{
    /**
     * @param list<FeedAskView> $asks
     * @param list<FeedUnitView> $units as they are fed
     */
    public function __construct(
        #[OA\Property()]
        public string $panel,
        #[OA\Property()]
        public string $breaker,
        #[OA\Property(type: 'array', items: new OA\Items(ref: FeedAskView::class))]
        public array $asks,
        #[OA\Property(type: 'array', items: new OA\Items(ref: FeedUnitView::class))]
        public array $units,
        /** How far the tapes of the others had gone on. */
        #[OA\Property()]
        public int $news,
    ) {
    }
}
