<?php

declare(strict_types=1);

namespace App\Http\Schema;

use OpenApi\Attributes as OA;

/** A fact of the job, asked where it decides. */
#[OA\Schema(required: ['id', 'text', 'on', 'gates'])]
final readonly class FactView
{
    /**
     * @param list<int> $gates
     */
    public function __construct(
        #[OA\Property()]
        public string $id,
        #[OA\Property()]
        public string $text,
        #[OA\Property()]
        public bool $on,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'integer'))]
        public array $gates,
    ) {
    }
}
