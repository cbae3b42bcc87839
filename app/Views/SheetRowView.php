<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** A sheet on the shelf. */
#[OA\Schema(required: ['id', 'model', 'maker', 'kind', 'version', 'versionId', 'at'])]
final readonly class SheetRowView
{
    public function __construct(
        #[OA\Property()]
        public int $id,
        #[OA\Property()]
        public string $model,
        #[OA\Property()]
        public string $maker,
        #[OA\Property()]
        public string $kind,
        #[OA\Property()]
        public int $version,
        #[OA\Property()]
        public int $versionId,
        #[OA\Property()]
        public string $at,
    ) {
    }
}
