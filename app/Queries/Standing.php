<?php

declare(strict_types=1);

namespace App\Queries;

use IronStart\Core\Gate\Job;
use IronStart\Core\Gate\Result;
use IronStart\Core\Wording\GateLine;

/** How one machine is: its gates as judged, and as a person reads them. */
final readonly class Standing
{
    /**
     * @param list<GateLine>        $lines
     * @param array<array-key, string> $putBack what is out, by its id
     * @param list<string>          $startRefused why it may not be started, one sentence each
     */
    public function __construct(
        public Result $gates,
        public Job $job,
        public array $lines,
        public array $putBack,
        public array $startRefused,
        /** What to do next, in one sentence; empty when nothing is left. */
        public string $next,
        public TapeState $tape,
    ) {
    }

    public function line(int $gate): GateLine
    {
        return $this->lines[$gate - 1];
    }

    /** The question it is at; null where all are answered. */
    public function current(): ?GateLine
    {
        return $this->gates->current === null ? null : $this->line($this->gates->current);
    }

    /** @return list<string> of each question, as the rod shows it */
    public function states(): array
    {
        return array_map(fn (GateLine $line): string => $line->state, $this->lines);
    }

    /** @return list<string> what stands beside the questions, each with its name */
    public function notes(): array
    {
        return array_merge([], ...array_map(fn (GateLine $line): array => array_map(fn (string $note): string => "$line->name: $note", $line->notes), $this->lines));
    }
}
