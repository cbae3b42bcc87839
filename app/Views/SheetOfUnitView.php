<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** The sheet a unit was started with, and the newest version there is of it. */
#[OA\Schema(required: ['id', 'model', 'version', 'newest'])]
final readonly class SheetOfUnitView
{
    public function __construct(
        #[OA\Property()]
        public int $id,
        #[OA\Property()]
        public string $model,
        #[OA\Property()]
        public int $version,
        #[OA\Property()]
        public int $newest,
    ) {
    }
}
