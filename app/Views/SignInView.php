<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** A sign-in, or a try. */
#[OA\Schema(required: ['name', 'at', 'how', 'ok', 'address', 'agent'])]
final readonly class SignInView
{
    public function __construct(
        #[OA\Property()]
        public string $name,
        #[OA\Property()]
        public string $at,
        #[OA\Property()]
        public string $how,
        #[OA\Property()]
        public bool $ok,
        #[OA\Property()]
        public string $address,
        #[OA\Property()]
        public string $agent,
    ) {
    }
}
