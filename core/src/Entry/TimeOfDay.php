<?php

declare(strict_types=1);

namespace IronStart\Core\Entry;

/** A time of day as it is written down on a job, `14:05`. */
final class TimeOfDay
{
    private const HOUR = 60;

    /** @return int minutes since midnight @throws \InvalidArgumentException whose message says what is accepted */
    public static function minutes(string $text): int
    {
        if (preg_match('/^([01]?\d|2[0-3]):([0-5]\d)$/D', trim($text), $part) !== 1) {
            throw new \InvalidArgumentException('a time of day such as 7:45 or 14:05');
        }

        return self::HOUR * (int) $part[1] + (int) $part[2];
    }

    /** @param float $minutes since midnight */
    public static function written(float $minutes): string
    {
        return sprintf('%d:%02d', intdiv((int) $minutes, self::HOUR), (int) $minutes % self::HOUR);
    }
}
