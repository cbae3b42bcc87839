<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** One item of a list. */
#[OA\Schema(required: ['id', 'text', 'must', 'always', 'types'])]
final readonly class ItemView
{
    /**
     * @param list<string>|null $types
     */
    public function __construct(
        #[OA\Property()]
        public string $id,
        #[OA\Property()]
        public string $text,
        #[OA\Property()]
        public bool $must,
        #[OA\Property()]
        public bool $always,
        #[OA\Property(nullable: true, type: 'array', items: new OA\Items(type: 'string'))]
        public ?array $types,
    ) {
    }
}
