<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** A link an owner reads the record through. */
#[OA\Schema(required: ['id', 'forWhom', 'madeAt', 'until', 'withdrawnAt', 'openedAt'])]
final readonly class OwnerLinkView
{
    public function __construct(
        #[OA\Property()]
        public int $id,
        #[OA\Property()]
        public string $forWhom,
        #[OA\Property()]
        public string $madeAt,
        #[OA\Property()]
        public string $until,
        #[OA\Property()]
        public ?string $withdrawnAt,
        #[OA\Property()]
        public ?string $openedAt,
    ) {
    }
}
