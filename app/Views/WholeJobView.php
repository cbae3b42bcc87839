<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** What was recorded on the units of a job, as an input of `diagnose.root_cause`. */
#[OA\Schema(required: ['machines', 'facts'])]
final readonly class WholeJobView
{
    /**
     * @param list<array<string, mixed>>  $machines
     * @param list<array<string, string>> $facts
     */
    public function __construct(
        #[OA\Property(type: 'array', items: new OA\Items(type: 'object', additionalProperties: true))]
        public array $machines,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'object', additionalProperties: true))]
        public array $facts,
    ) {
    }
}
