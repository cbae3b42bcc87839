<?php

declare(strict_types=1);

namespace IronStart\Core\Logger;

/** How a logger writes the time of a reading. */
enum TimeForm: string
{
    /** 2026-03-02 17:40:05, with a T or a zone or without. */
    case Iso = 'iso';
    /** 3/2/2026 5:40:05 PM: month first. */
    case MonthFirst = 'mdy';
    /** 2.3.2026 17:40:05: day first. */
    case DayFirst = 'dmy';
    /** 17:40:05 of a day that is not written. */
    case Clock = 'clock';
    /** 0:40:05 since the log began. */
    case Since = 'since';
    /** A number of seconds, minutes or hours since the log began. */
    case Elapsed = 'elapsed';

    private const ISO = '/^(\d{4})-(\d{1,2})-(\d{1,2})(?:[T ]+(\d{1,2}):(\d\d)(?::(\d\d(?:\.\d+)?))?\s*(Z|[+-]\d\d:?\d\d)?)?$/D';
    private const SLASHED = '/^(\d{1,2})[.\/-](\d{1,2})[.\/-](\d{4}|\d\d)(?:[T, ]+(\d{1,2}):(\d\d)(?::(\d\d(?:\.\d+)?))?\s*([AaPp])?\.?(?:[Mm]\.?)?)?$/D';
    private const CLOCK = '/^(\d{1,4}):(\d\d)(?::(\d\d(?:\.\d+)?))?\s*([AaPp])?\.?(?:[Mm]\.?)?$/D';

    /** Whether a day is written with it, so that a time zone says when it was. */
    public function hasDay(): bool
    {
        return in_array($this, [self::Iso, self::MonthFirst, self::DayFirst], true);
    }

    /**
     * @param float $unit seconds that one of an elapsed number is
     * @return float|null seconds since 1970 where a day is written, else since midnight or since the log began; null: not a time of this form
     */
    public function seconds(string $text, \DateTimeZone $zone, float $unit): ?float
    {
        return match ($this) {
            self::Elapsed => is_numeric($text) && (float) $text >= 0 ? (float) $text * $unit : null,
            self::Since => preg_match(self::CLOCK, $text, $part) === 1 && ($part[4] ?? '') === '' && (int) $part[2] < 60 ? (int) $part[1] * 3600 + (int) $part[2] * 60 + (float) ($part[3] ?? 0) : null,
            self::Clock => preg_match(self::CLOCK, $text, $part) === 1 ? self::ofDay($part[1], $part[2], $part[3] ?? '', $part[4] ?? '') : null,
            self::Iso => preg_match(self::ISO, $text, $part) === 1
                ? self::moment([(int) $part[1], (int) $part[2], (int) $part[3]], self::ofDay($part[4] ?? '0', $part[5] ?? '0', $part[6] ?? '', ''), ($part[7] ?? '') === '' ? $zone : new \DateTimeZone($part[7] === 'Z' ? 'UTC' : $part[7]))
                : null,
            self::MonthFirst, self::DayFirst => preg_match(self::SLASHED, $text, $part) === 1
                ? self::moment([self::year($part[3]), (int) $part[$this === self::MonthFirst ? 1 : 2], (int) $part[$this === self::MonthFirst ? 2 : 1]], self::ofDay($part[4] ?? '0', $part[5] ?? '0', $part[6] ?? '', $part[7] ?? ''), $zone)
                : null,
        };
    }

    /** @return float|null s since midnight */
    private static function ofDay(string $hour, string $minute, string $second, string $half): ?float
    {
        $h = (int) $hour;
        if ($half !== '') {
            if ($h < 1 || $h > 12) {
                return null;
            }
            $h = $h % 12 + (strtolower($half) === 'p' ? 12 : 0);
        }

        return $h > 23 || (int) $minute > 59 || (float) $second >= 60 ? null : $h * 3600 + (int) $minute * 60 + (float) $second;
    }

    /** A year of two digits is one of this century. */
    private static function year(string $written): int
    {
        return strlen($written) === 2 ? 2000 + (int) $written : (int) $written;
    }

    /** @param array{int, int, int} $day year, month, day */
    private static function moment(array $day, ?float $ofDay, \DateTimeZone $zone): ?float
    {
        if ($ofDay === null || ! checkdate($day[1], $day[2], $day[0])) {
            return null;
        }
        $whole = (int) $ofDay;
        $at = new \DateTimeImmutable(sprintf('%04d-%02d-%02d %02d:%02d:%02d', $day[0], $day[1], $day[2], intdiv($whole, 3600), intdiv($whole, 60) % 60, $whole % 60), $zone);

        return $at->getTimestamp() + $ofDay - $whole;
    }
}
