<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** A figure of a verdict. */
#[OA\Schema(required: ['value', 'unit'])]
final readonly class ValueView
{
    public function __construct(
        #[OA\Property(oneOf: [new OA\Schema(type: 'number'), new OA\Schema(type: 'string'), new OA\Schema(type: 'boolean'), new OA\Schema(type: 'array', items: new OA\Items())])]
        public mixed $value,
        #[OA\Property()]
        public string $unit,
    ) {
    }
}
