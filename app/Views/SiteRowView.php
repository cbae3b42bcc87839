<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** A site in the list. */
#[OA\Schema(required: ['id', 'name', 'address', 'jobs', 'until'])]
final readonly class SiteRowView
{
    public function __construct(
        #[OA\Property()]
        public int $id,
        #[OA\Property()]
        public string $name,
        #[OA\Property()]
        public string $address,
        #[OA\Property()]
        public int $jobs,
        #[OA\Property()]
        public string $until,
    ) {
    }
}
