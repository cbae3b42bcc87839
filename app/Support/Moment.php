<?php

declare(strict_types=1);

namespace App\Support;

use Carbon\CarbonImmutable;

/** A moment as it leaves: ISO 8601 in UTC, to the second or to the millisecond. */
final class Moment
{
    private const SECONDS = 'Y-m-d\TH:i:s\Z';
    private const MILLISECONDS = 'Y-m-d\TH:i:s.v\Z';

    public static function iso(\DateTimeInterface|string $time): string
    {
        return CarbonImmutable::parse($time)->utc()->format(self::SECONDS);
    }

    public static function exact(\DateTimeInterface|string $time): string
    {
        // As PostgreSQL writes it in UTC; anything else the long way.
        if (is_string($time) && preg_match('/^(\d{4}-\d\d-\d\d) (\d\d:\d\d:\d\d)(?:\.(\d{1,3}))?\+00$/', $time, $at) === 1) {
            return "$at[1]T$at[2]." . str_pad($at[3] ?? '', 3, '0') . 'Z';
        }

        return CarbonImmutable::parse($time)->utc()->format(self::MILLISECONDS);
    }

    /** Whether a text is a day of the calendar, as YYYY-MM-DD, of this century or the ones beside it. */
    public static function isDay(string $text): bool
    {
        return preg_match('/^((?:19|20|21)\d\d)-(\d\d)-(\d\d)$/D', $text, $day) === 1 && checkdate((int) $day[2], (int) $day[3], (int) $day[1]);
    }
}
