<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** What is wrong in one line of a table. */
#[OA\Schema(required: ['line', 'column', 'words'])]
final readonly class TreeErrorView
{
    public function __construct(
        #[OA\Property]
        public int $line,
        #[OA\Property(description: 'Empty where it is of the whole line')]
        public string $column,
        #[OA\Property]
        public string $words,
    ) {
    }
}
