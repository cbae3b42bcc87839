<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** One thing of a bring list. */
#[OA\Schema(required: ['id', 'group', 'what', 'state', 'who'])]
final readonly class BringView
{
    public function __construct(
        #[OA\Property()]
        public string $id,
        #[OA\Property()]
        public string $group,
        #[OA\Property()]
        public string $what,
        #[OA\Property(enum: ['', 'on', 'home'])]
        public string $state,
        #[OA\Property()]
        public string $who,
    ) {
    }
}
