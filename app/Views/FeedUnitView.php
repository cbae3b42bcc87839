<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** One thing that hangs on a feed. */
#[OA\Schema(required: ['name', 'machineId', 'from', 'direction', 'asked'])]
final readonly class FeedUnitView
{
    public function __construct(
        #[OA\Property()]
        public string $name,
        /** The machine it is, where it is one. */
        #[OA\Property()]
        public ?int $machineId,
        /** The one whose lugs feed it; empty for the panel. */
        #[OA\Property()]
        public string $from,
        /** `reversed`, `proved`, or empty where nobody has read it. */
        #[OA\Property()]
        public string $direction,
        /** Something found on another unit is still to be read here. */
        #[OA\Property()]
        public bool $asked,
    ) {
    }
}
