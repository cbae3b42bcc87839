<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** Pressure over temperature as a gauge shows it. */
#[OA\Schema(required: ['name', 'temperature', 'pressure', 'rows'])]
final readonly class PressureTableView
{
    /** @param list<array{float, float, float}> $rows temperature, pressure at the bubble point, at the dew point */
    public function __construct(
        #[OA\Property()]
        public string $name,
        #[OA\Property()]
        public string $temperature,
        #[OA\Property()]
        public string $pressure,
        #[OA\Property(items: new OA\Items(type: 'array', items: new OA\Items(type: 'number')))]
        public array $rows,
    ) {
    }
}
