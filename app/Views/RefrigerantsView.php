<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** Every refrigerant there is a table for. */
#[OA\Schema(required: ['refrigerants'])]
final readonly class RefrigerantsView
{
    /** @param list<RefrigerantView> $refrigerants */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: RefrigerantView::class))]
        public array $refrigerants,
    ) {
    }
}
