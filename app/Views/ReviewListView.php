<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** What waits for a lead, the longest first. */
#[OA\Schema(required: ['waiting'])]
final readonly class ReviewListView
{
    /**
     * @param list<ReviewView> $waiting
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: ReviewView::class))]
        public array $waiting,
    ) {
    }
}
