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
        /** Which one of its kind; '' where there is only one. */
        public string $where = '',
        /** A kind of thing that is left for somebody to own. */
        public string $leaves = '',
        /** A kind of thing left for somebody that is done with. */
        public string $settles = '',
        /** A fact of the machine that is known from now on. */
        public string $fact = '',
    ) {
    }

    /** @param string $where which one of its kind; '' where it is told by what the recording is about */
    public static function opens(PutBackKind $kind, string $where = ''): self
    {
        return new self(opens: $kind, where: $where);
    }

    /** @param string $where which one of its kind; '' for all of them */
    public static function closes(PutBackKind $kind, string $where = ''): self
    {
        return new self(closes: $kind, where: $where);
    }

    /** Something nobody owns yet stands in the open items. */
    public static function leaves(string $kind, string $what = ''): self
    {
        return new self(where: $what, leaves: $kind);
    }

    /** Whatever of a kind was left for somebody is done. */
    public static function settles(string $kind): self
    {
        return new self(settles: $kind);
    }

    /** A fact of the machine that is known from now on. */
    public static function tells(string $fact): self
    {
        return new self(fact: $fact);
    }

    /**
     * @param int    $minutes 1 or more
     * @param string $where   of what, where several of a kind may run
     */
    public static function starts(ClockKind $kind, int $minutes, string $where = ''): self
    {
        return new self(starts: $kind, minutes: $minutes, where: $where);
    }

    public static function ends(ClockKind $kind, string $where = ''): self
    {
        return new self(ends: $kind, where: $where);
    }
}
