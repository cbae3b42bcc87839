<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** Something done in the office. */
#[OA\Schema(required: ['id', 'at', 'who', 'what', 'about'])]
final readonly class ActivityView
{
    public function __construct(
        #[OA\Property()]
        public int $id,
        #[OA\Property()]
        public string $at,
        #[OA\Property()]
        public string $who,
        #[OA\Property()]
        public string $what,
        #[OA\Property()]
        public string $about,
    ) {
    }
}
