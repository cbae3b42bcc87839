<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** A machine as the office keeps it. */
#[OA\Schema(required: ['id', 'name', 'place', 'serial', 'summary', 'history', 'sheet', 'model', 'version', 'begun'])]
final readonly class DeskMachineView
{
    public function __construct(
        #[OA\Property()]
        public int $id,
        #[OA\Property()]
        public string $name,
        #[OA\Property()]
        public string $place,
        #[OA\Property()]
        public string $serial,
        #[OA\Property()]
        public string $summary,
        #[OA\Property()]
        public string $history,
        #[OA\Property()]
        public ?int $sheet,
        #[OA\Property()]
        public string $model,
        #[OA\Property()]
        public int $version,
        #[OA\Property()]
        public bool $begun,
    ) {
    }
}
