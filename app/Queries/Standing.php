<?php

declare(strict_types=1);

namespace App\Queries;

use IronStart\Core\Verdict\Verdict;
use IronStart\Core\Wording\GateLine;

/** How one machine stands: its gates as judged, and as a person reads them. */
final readonly class Standing
{
    /**
     * @param list<GateLine>        $lines
     * @param array<string, string> $putBack what is out, by its id
     */
    public function __construct(
        public Verdict $gates,
        public array $lines,
        public array $putBack,
        public TapeState $tape,
    ) {
    }

    public function current(): ?int
    {
        $current = $this->gates->judgement->values['current']->value ?? null;

        return is_int($current) || is_float($current) ? (int) $current : null;
    }

    public function line(int $gate): GateLine
    {
        return $this->lines[$gate - 1];
    }

    /** What to do now, in one sentence; empty when nothing is left. */
    public function next(): string
    {
        $gate = $this->current();
        if ($gate === null) {
            return '';
        }
        $line = $this->line($gate);
        if ($line->state === 'stopped') {
            $next = $this->tape->said["$line->check:$line->subject"]['next'] ?? [];

            return $next[0] ?? $line->sentence;
        }
        $todo = $line->missing[0]['todo'] ?? '';

        return $todo === '' ? $line->sentence : ucfirst($todo) . '.';
    }
}
