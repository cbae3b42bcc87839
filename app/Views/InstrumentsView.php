<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** The instruments of the company. */
#[OA\Schema(required: ['instruments'])]
final readonly class InstrumentsView
{
    /**
     * @param list<InstrumentView> $instruments
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: InstrumentView::class))]
        public array $instruments,
    ) {
    }
}
