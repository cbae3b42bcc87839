<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** What was found on another unit of the feed, and is to be read here too. */
#[OA\Schema(required: ['kind', 'from', 'words', 'read'])]
final readonly class FeedAskView
{
    /** @param list<string> $read the checks that answer it and did not yet */
    public function __construct(
        #[OA\Property()]
        public string $kind,
        #[OA\Property()]
        public string $from,
        #[OA\Property()]
        public string $words,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $read,
    ) {
    }
}
