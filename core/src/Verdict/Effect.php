<?php

declare(strict_types=1);

namespace IronStart\Core\Verdict;

use IronStart\Core\Clock\ClockKind;
use IronStart\Core\PutBack\PutBackKind;

/** What a recording sets off besides being kept: an entry to put back is opened or proved back, a clock starts or ends. */
final readonly class Effect
{
    private function __construct(
        public ?PutBackKind $opens = null,
        public ?PutBackKind $closes = null,
        public ?ClockKind $starts = null,
        public ?ClockKind $ends = null,
        /** Whole minutes a clock that starts runs. */
        public ?int $minutes = null,
    ) {
    }

    public static function opens(PutBackKind $kind): self
    {
        return new self(opens: $kind);
    }

    public static function closes(PutBackKind $kind): self
    {
        return new self(closes: $kind);
    }

    /** @param int $minutes 1 or more */
    public static function starts(ClockKind $kind, int $minutes): self
    {
        return new self(starts: $kind, minutes: $minutes);
    }

    public static function ends(ClockKind $kind): self
    {
        return new self(ends: $kind);
    }
}
