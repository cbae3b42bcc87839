<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** What was recorded: its place on the tape, and the machine as it stands now, unless that was not asked for (Prefer: return=minimal). */
#[OA\Schema(required: ['at', 'putBack'])]
final readonly class RecordedView
{
    public function __construct(
        #[OA\Property()]
        public int $at,
        #[OA\Property()]
        public ?int $putBack,
        #[OA\Property(ref: MachineView::class)]
        public ?MachineView $machine,
    ) {
    }
}
