<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** A clock that runs, or has ended and waits to be seen to. A put-back entry with a limit is one too. */
#[OA\Schema(required: ['id', 'machineId', 'machine', 'at', 'putBack', 'kind', 'name', 'who', 'startedAt', 'endsAt', 'next'])]
final readonly class ClockView
{
    public function __construct(
        #[OA\Property()]
        public string $id,
        #[OA\Property()]
        public int $machineId,
        #[OA\Property()]
        public string $machine,
        #[OA\Property()]
        public ?int $at,
        #[OA\Property()]
        public ?int $putBack,
        #[OA\Property()]
        public string $kind,
        #[OA\Property()]
        public string $name,
        #[OA\Property()]
        public string $who,
        #[OA\Property()]
        public string $startedAt,
        #[OA\Property()]
        public string $endsAt,
        #[OA\Property()]
        public string $next,
    ) {
    }
}
