<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** Something a gate still asks for. */
#[OA\Schema(required: ['check', 'subject', 'todo'])]
final readonly class MissingView
{
    public function __construct(
        #[OA\Property()]
        public string $check,
        #[OA\Property()]
        public string $subject,
        #[OA\Property()]
        public string $todo,
    ) {
    }
}
