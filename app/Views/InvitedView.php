<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** A link that can still let somebody in: to begin with, or with a new password. */
#[OA\Schema(required: ['id', 'kind', 'name', 'email', 'role', 'until', 'by'])]
final readonly class InvitedView
{
    public function __construct(
        #[OA\Property()]
        public int $id,
        #[OA\Property(enum: ['invite', 'reset'])]
        public string $kind,
        #[OA\Property()]
        public string $name,
        #[OA\Property()]
        public string $email,
        #[OA\Property()]
        public string $role,
        #[OA\Property()]
        public string $until,
        #[OA\Property(description: 'Who made it')]
        public string $by,
    ) {
    }
}
