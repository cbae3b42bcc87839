<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** A version of a sheet, and how many machines keep it. */
#[OA\Schema(required: ['id', 'version', 'at', 'who', 'machines', 'body'])]
final readonly class SheetVersionView
{
    public function __construct(
        #[OA\Property()]
        public int $id,
        #[OA\Property()]
        public int $version,
        #[OA\Property()]
        public string $at,
        #[OA\Property()]
        public string $who,
        #[OA\Property()]
        public int $machines,
        #[OA\Property(type: 'object', additionalProperties: true)]
        public object $body,
    ) {
    }
}
