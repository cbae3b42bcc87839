<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** A part out of service, as its tag says. */
#[OA\Schema(required: ['at', 'subject', 'what', 'why', 'wire', 'who'])]
final readonly class PartOutView
{
    public function __construct(
        #[OA\Property()]
        public int $at,
        #[OA\Property()]
        public string $subject,
        #[OA\Property()]
        public string $what,
        #[OA\Property()]
        public string $why,
        #[OA\Property()]
        public string $wire,
        #[OA\Property()]
        public string $who,
    ) {
    }
}
