<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** Whom a link lets in. */
#[OA\Schema(required: ['kind', 'name', 'email', 'role'])]
final readonly class InvitationView
{
    public function __construct(
        #[OA\Property()]
        public string $kind,
        #[OA\Property()]
        public string $name,
        #[OA\Property()]
        public string $email,
        #[OA\Property()]
        public string $role,
    ) {
    }
}
