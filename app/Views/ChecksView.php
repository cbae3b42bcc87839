<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** The checks, and the words of the core. */
#[OA\Schema(required: ['checks', 'cautions', 'gates', 'putBackKinds', 'facts', 'signs'])]
final readonly class ChecksView
{
    /**
     * @param list<CheckView> $checks
     * @param list<GateName> $gates
     * @param list<PutBackKindView> $putBackKinds
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: CheckView::class))]
        public array $checks,
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'string'))]
        public object $cautions,
        #[OA\Property(type: 'array', items: new OA\Items(ref: GateName::class))]
        public array $gates,
        #[OA\Property(type: 'array', items: new OA\Items(ref: PutBackKindView::class))]
        public array $putBackKinds,
        #[OA\Property(type: 'object', additionalProperties: true)]
        public object $facts,
        /** How units are written where that is not their symbol. */
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'string'))]
        public object $signs,
    ) {
    }
}
