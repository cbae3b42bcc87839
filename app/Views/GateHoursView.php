<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** How long a question of a machine took. */
#[OA\Schema(required: ['gate', 'name', 'minutes'])]
final readonly class GateHoursView
{
    public function __construct(
        #[OA\Property()]
        public int $gate,
        #[OA\Property()]
        public string $name,
        #[OA\Property()]
        public int $minutes,
    ) {
    }
}
