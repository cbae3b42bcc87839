<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** A machine on the day's board. */
#[OA\Schema(required: ['id', 'name', 'summary', 'place', 'states', 'gate', 'question', 'sentence', 'status', 'next', 'people', 'notes', 'feed'])]
final readonly class TodayMachine
{
    /**
     * @param list<string> $states
     * @param list<string> $people
     * @param list<string> $feed what was found on another unit of its feed, and is to be read here too
     * @param list<string> $notes what the questions are besides their state: stale, on a condition, out of order …
     */
    public function __construct(
        #[OA\Property()]
        public int $id,
        #[OA\Property()]
        public string $name,
        #[OA\Property()]
        public string $summary,
        #[OA\Property()]
        public string $place,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $states,
        #[OA\Property()]
        public ?int $gate,
        #[OA\Property()]
        public string $question,
        #[OA\Property()]
        public string $sentence,
        #[OA\Property()]
        public string $status,
        #[OA\Property()]
        public string $next,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $people,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $notes,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $feed,
    ) {
    }
}
