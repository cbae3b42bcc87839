<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** An indoor unit as its controller reads it; temperatures as text with their unit. */
#[OA\Schema(required: ['id', 'zone', 'ready', 'called', 'returnAir', 'supplyAir', 'liquidPipe', 'gasPipe'])]
final readonly class ControllerUnitView
{
    public function __construct(
        #[OA\Property()]
        public string $id,
        #[OA\Property(description: 'What it serves, as it is called')]
        public string $zone,
        #[OA\Property()]
        public bool $ready,
        #[OA\Property()]
        public bool $called,
        #[OA\Property()]
        public string $returnAir,
        #[OA\Property()]
        public string $supplyAir,
        #[OA\Property()]
        public string $liquidPipe,
        #[OA\Property()]
        public string $gasPipe,
    ) {
    }
}
