<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** What is locked, pulled or switched off on the units of one job, unit by unit. */
#[OA\Schema(required: ['machines'])]
final readonly class LockBoardView
{
    /** @param list<LockedMachineView> $machines */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(ref: LockedMachineView::class))]
        public array $machines,
    ) {
    }
}
