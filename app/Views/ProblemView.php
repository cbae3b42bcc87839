<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** A problem document (RFC 9457). For a value that can't be taken it names the field and what is accepted. */
#[OA\Schema(required: ['type', 'title', 'status', 'detail'])]
final readonly class ProblemView
{
    /** @param list<string>|null $reasons */
    public function __construct(
        #[OA\Property]
        public string $type,
        #[OA\Property]
        public string $title,
        #[OA\Property]
        public int $status,
        #[OA\Property]
        public string $detail,
        #[OA\Property]
        public ?string $field = null,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public ?array $reasons = null,
    ) {
    }
}
