<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** The clocks of all machines the person sees, the next to end first, and the time by the server. */
#[OA\Schema(required: ['now', 'clocks'])]
final readonly class ClocksView
{
    /**
     * @param list<ClockView> $clocks
     */
    public function __construct(
        #[OA\Property()]
        public string $now,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ClockView::class))]
        public array $clocks,
    ) {
    }
}
