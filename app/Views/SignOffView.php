<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** Who has reviewed and signed, and what was written since. */
#[OA\Schema(required: ['signatures', 'reviewedBy', 'reviewedAt', 'reviewCounts', 'signedThrough', 'addendum'])]
final readonly class SignOffView
{
    /**
     * @param list<SignatureView> $signatures
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: SignatureView::class))]
        public array $signatures,
        #[OA\Property()]
        public ?string $reviewedBy,
        #[OA\Property()]
        public ?string $reviewedAt,
        #[OA\Property()]
        public bool $reviewCounts,
        #[OA\Property()]
        public int $signedThrough,
        #[OA\Property()]
        public int $addendum,
    ) {
    }
}
