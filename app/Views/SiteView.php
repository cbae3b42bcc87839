<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** A site with what stands on it for the day somebody needs it, its jobs and machines. */
#[OA\Schema(required: ['id', 'name', 'address', 'altitude', 'safety', 'version', 'jobs', 'feeds'])]
final readonly class SiteView
{
    /**
     * @param list<DeskJobView> $jobs
     * @param list<FeedView> $feeds what hangs on which panel, where somebody told
     */
    public function __construct(
        #[OA\Property()]
        public int $id,
        #[OA\Property()]
        public string $name,
        #[OA\Property()]
        public string $address,
        #[OA\Property()]
        public float $altitude,
        #[OA\Property(type: 'object', additionalProperties: true)]
        public object $safety,
        #[OA\Property()]
        public int $version,
        #[OA\Property(type: 'array', items: new OA\Items(ref: DeskJobView::class))]
        public array $jobs,
        #[OA\Property(type: 'array', items: new OA\Items(ref: FeedView::class))]
        public array $feeds,
    ) {
    }
}
