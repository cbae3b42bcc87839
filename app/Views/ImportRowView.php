<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** A row of a file: what it would make, and what is wrong with it. */
#[OA\Schema(required: ['line', 'title', 'problems'])]
final readonly class ImportRowView
{
    /**
     * @param list<string> $problems
     */
    public function __construct(
        #[OA\Property()]
        public int $line,
        #[OA\Property()]
        public string $title,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $problems,
    ) {
    }
}
