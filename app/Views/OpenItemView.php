<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** Something left to somebody. */
#[OA\Schema(required: ['id', 'what', 'owner', 'due', 'check', 'subject', 'done'])]
final readonly class OpenItemView
{
    public function __construct(
        #[OA\Property()]
        public int $id,
        #[OA\Property()]
        public string $what,
        #[OA\Property()]
        public string $owner,
        #[OA\Property()]
        public string $due,
        #[OA\Property()]
        public string $check,
        #[OA\Property()]
        public string $subject,
        #[OA\Property()]
        public string $done,
    ) {
    }
}
