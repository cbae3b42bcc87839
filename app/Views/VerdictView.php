<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** A verdict. */
#[OA\Schema(required: ['check', 'version', 'status', 'marginal', 'headline', 'because', 'next', 'values', 'codes', 'cautions', 'basis'])]
final readonly class VerdictView
{
    /**
     * @param list<string> $because
     * @param list<string> $next
     * @param list<string> $codes
     * @param list<string> $cautions
     * @param list<string> $basis
     */
    public function __construct(
        #[OA\Property()]
        public string $check,
        #[OA\Property()]
        public int $version,
        #[OA\Property(enum: ['clear', 'watch', 'stop', 'open'])]
        public string $status,
        #[OA\Property()]
        public bool $marginal,
        #[OA\Property()]
        public string $headline,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $because,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $next,
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(ref: ValueView::class))]
        public object $values,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $codes,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $cautions,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $basis,
    ) {
    }
}
