<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** A fact of the job, asked where it decides. */
#[OA\Schema(required: ['id', 'text', 'on', 'gates', 'ofUnit', 'bySheet', 'sheet'])]
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
        /** It differs from unit to unit: said of this one alone. */
        #[OA\Property()]
        public bool $ofUnit,
        /** Nobody said it: the sheet knows. */
        #[OA\Property()]
        public bool $bySheet,
        /** The sheet says yes: a no wants a reason. */
        #[OA\Property()]
        public bool $sheet,
    ) {
    }
}
