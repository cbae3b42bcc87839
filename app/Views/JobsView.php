<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** Jobs, a page at a time. */
#[OA\Schema(required: ['jobs', 'next'])]
final readonly class JobsView
{
    /**
     * @param list<JobRowView> $jobs
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: JobRowView::class))]
        public array $jobs,
        #[OA\Property(nullable: true)]
        public ?int $next,
    ) {
    }
}
