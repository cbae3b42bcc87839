<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** What the controller of a system shows now. */
#[OA\Schema(required: ['there', 'silent', 'simulated', 'speed', 'shown', 'step', 'minutesInStep', 'indoor'])]
final readonly class ControllerView
{
    /** @param list<ControllerUnitView> $indoor */
    public function __construct(
        #[OA\Property(description: 'Whether one answers')]
        public bool $there,
        #[OA\Property(description: 'Whether there should be one, which does not answer')]
        public bool $silent,
        #[OA\Property(description: 'Whether it stands in for a real one')]
        public bool $simulated,
        #[OA\Property(description: 'Its minutes a minute')]
        public float $speed,
        #[OA\Property(description: 'The code on its display')]
        public string $shown,
        #[OA\Property(description: 'The step of the script, from 0; null before it is started', nullable: true)]
        public ?int $step,
        #[OA\Property(nullable: true)]
        public ?float $minutesInStep,
        #[OA\Property(items: new OA\Items(ref: ControllerUnitView::class))]
        public array $indoor,
    ) {
    }
}
