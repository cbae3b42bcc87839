<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** Somebody one can sign in as with one press while the demo is loaded. */
#[OA\Schema(required: ['name', 'role'])]
final readonly class DemoPerson
{
    public function __construct(
        #[OA\Property()]
        public string $name,
        #[OA\Property()]
        public string $role,
    ) {
    }
}
