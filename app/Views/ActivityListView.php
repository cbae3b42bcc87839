<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** What was done in the office, newest first. */
#[OA\Schema(required: ['done'])]
final readonly class ActivityListView
{
    /**
     * @param list<ActivityView> $done
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: ActivityView::class))]
        public array $done,
    ) {
    }
}
