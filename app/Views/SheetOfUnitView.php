<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** The sheet a unit was started with, and the newest version there is of it. */
#[OA\Schema(required: ['id', 'model', 'version', 'newest', 'delays'])]
final readonly class SheetOfUnitView
{
    /** @param list<array{what: string, minutes: float}> $delays what the unit's own timers are for and how long they run */
    public function __construct(
        #[OA\Property()]
        public int $id,
        #[OA\Property()]
        public string $model,
        #[OA\Property()]
        public int $version,
        #[OA\Property()]
        public int $newest,
        #[OA\Property(type: 'array', items: new OA\Items(required: ['what', 'minutes'], properties: [new OA\Property(property: 'what', type: 'string'), new OA\Property(property: 'minutes', type: 'number')], type: 'object'))]
        public array $delays,
    ) {
    }
}
