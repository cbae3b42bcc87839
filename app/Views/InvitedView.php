<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** Somebody whom a link waits for. */
#[OA\Schema(required: ['name', 'email', 'role', 'until'])]
final readonly class InvitedView
{
    public function __construct(
        #[OA\Property()]
        public string $name,
        #[OA\Property()]
        public string $email,
        #[OA\Property()]
        public string $role,
        #[OA\Property()]
        public string $until,
    ) {
    }
}
