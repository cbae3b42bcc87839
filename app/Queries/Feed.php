<?php

declare(strict_types=1);

namespace App\Queries;

use IronStart\Core\Power\FeedQuestions;

/**
 * The feed a machine hangs on, and what happened on its units.
 *
 * @phpstan-import-type Event from FeedQuestions
 */
final readonly class Feed
{
    /**
     * @param string $machine the machine's name
     * @param string $me what it is called on the feed
     * @param array<string, mixed> $input as it was told last
     * @param array<string, int> $units the machines of the feed by their names
     * @param list<Event> $events
     * @param int $news how far the tapes of the others have gone on
     */
    public function __construct(public string $panel, private string $machine, public string $me, public array $input, public array $units, private array $events, public int $news)
    {
    }

    /**
     * @param string|null $unit another machine of the feed, by its name
     * @return list<array{kind: string, from: string, at: int, read: list<string>}> what is asked of the machine
     */
    public function asks(?string $unit = null): array
    {
        return FeedQuestions::of($unit ?? $this->machine, $this->events);
    }

    public function direction(string $unit): string
    {
        return FeedQuestions::direction($unit, $this->events);
    }
}
