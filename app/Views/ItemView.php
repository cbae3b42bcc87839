<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** One item of a list. */
#[OA\Schema(required: ['id', 'text', 'must', 'always', 'types', 'help', 'ready'])]
final readonly class ItemView
{
    /**
     * @param list<string>|null $types
     * @param list<string> $ready
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
        #[OA\Property()]
        public string $help,
        /** Reasons ready to press where it does not apply. */
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $ready,
    ) {
    }
}
