<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

#[OA\Schema(required: ['id', 'name', 'place', 'locks'])]
final readonly class LockedMachineView
{
    /** @param list<PutBackView> $locks that hang there now */
    public function __construct(
        #[OA\Property()]
        public int $id,
        #[OA\Property()]
        public string $name,
        #[OA\Property()]
        public string $place,
        #[OA\Property(type: 'array', items: new OA\Items(ref: PutBackView::class))]
        public array $locks,
    ) {
    }
}
