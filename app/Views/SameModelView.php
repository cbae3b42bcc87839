<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** A part of a unit of the same model that failed at another site. */
#[OA\Schema(required: ['machine', 'site', 'model', 'part', 'how', 'day'])]
final readonly class SameModelView
{
    public function __construct(
        #[OA\Property()]
        public string $machine,
        #[OA\Property()]
        public string $site,
        #[OA\Property()]
        public string $model,
        #[OA\Property()]
        public string $part,
        #[OA\Property()]
        public string $how,
        #[OA\Property()]
        public string $day,
    ) {
    }
}
