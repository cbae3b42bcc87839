<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** A person of the company. */
#[OA\Schema(required: ['id', 'name', 'email', 'role', 'active', 'license'])]
final readonly class MemberView
{
    public function __construct(
        #[OA\Property()]
        public int $id,
        #[OA\Property()]
        public string $name,
        #[OA\Property()]
        public string $email,
        #[OA\Property()]
        public string $role,
        #[OA\Property()]
        public bool $active,
        #[OA\Property()]
        public string $license,
    ) {
    }
}
