<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** A signature, as drawn. */
#[OA\Schema(required: ['at', 'role', 'name', 'when', 'strokes'])]
final readonly class SignatureView
{
    /** @param list<list<array{float, float}>> $strokes */
    public function __construct(
        #[OA\Property()]
        public int $at,
        #[OA\Property()]
        public string $role,
        #[OA\Property()]
        public string $name,
        #[OA\Property()]
        public string $when,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'array', items: new OA\Items(type: 'number'))))]
        public array $strokes,
    ) {
    }
}
