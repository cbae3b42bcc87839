<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** A logger's file as it looks, what its columns seem to be, and what was read of it. */
#[OA\Schema(required: ['top', 'mapping', 'read'])]
final readonly class LoggerView
{
    /** @param list<list<string>> $top its first lines as cells */
    public function __construct(
        #[OA\Property(items: new OA\Items(type: 'array', items: new OA\Items(type: 'string')))]
        public array $top,
        #[OA\Property(type: 'object', additionalProperties: true)]
        public object $mapping,
        #[OA\Property(nullable: true)]
        public ?LoggerReadView $read,
    ) {
    }
}
