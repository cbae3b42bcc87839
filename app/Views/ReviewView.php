<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** A machine that waits for a lead. */
#[OA\Schema(required: ['machineId', 'machine', 'site', 'starter', 'since', 'reviewed', 'sentence', 'notes'])]
final readonly class ReviewView
{
    /**
     * @param list<string> $notes
     */
    public function __construct(
        #[OA\Property()]
        public int $machineId,
        #[OA\Property()]
        public string $machine,
        #[OA\Property()]
        public string $site,
        #[OA\Property()]
        public string $starter,
        #[OA\Property()]
        public string $since,
        #[OA\Property()]
        public bool $reviewed,
        #[OA\Property()]
        public string $sentence,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $notes,
    ) {
    }
}
