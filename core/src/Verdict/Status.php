<?php

declare(strict_types=1);

namespace IronStart\Core\Verdict;

/** What a check says, from worst to best: stop, open (something is missing), watch, clear. */
enum Status: string
{
    case Stop = 'stop';
    case Open = 'open';
    case Watch = 'watch';
    case Clear = 'clear';

    /** By weight. */
    private const RISING = [self::Clear, self::Watch, self::Open, self::Stop];

    /** 0 for clear up to 3 for stop. */
    public function weight(): int
    {
        return match ($this) {
            self::Clear => 0,
            self::Watch => 1,
            self::Open => 2,
            self::Stop => 3,
        };
    }

    public function worse(self $other): self
    {
        return self::RISING[max($this->weight(), $other->weight())];
    }
}
