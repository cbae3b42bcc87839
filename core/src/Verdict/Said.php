<?php

declare(strict_types=1);

namespace IronStart\Core\Verdict;

/**
 * A figure as a finding hands it to the sentences: value and unit, and how finely a technician would say it.
 * Nothing is rounded here; the formatter does that, in the unit system asked for.
 */
final readonly class Said
{
    private function __construct(
        public float $value,
        public string $unit,
        /** Digits that matter: the number of significant digits a person would say. */
        public int $significant,
        /** Never more decimals than this. */
        public int $maxDecimals,
        /** A limit from which the spoken figure must stay distinct: decimals are added until it does. */
        public ?float $against,
    ) {
    }

    public static function volts(float $value, ?float $against = null): self
    {
        return new self($value, 'V', 3, 1, $against);
    }

    public static function amps(float $value, ?float $against = null): self
    {
        return new self($value, 'A', 3, 1, $against);
    }

    public static function percent(float $value, ?float $against = null): self
    {
        return new self($value, '%', 2, 1, $against);
    }

    public static function ohms(float $value): self
    {
        return new self($value, 'ohm', 3, 3, null);
    }

    public static function megohms(float $value, ?float $against = null): self
    {
        return new self($value, 'Mohm', 2, 2, $against);
    }

    /** A time as people say it: 12 s, 3 min, 2 h, 5 days. @param float $seconds 0 or more */
    public static function duration(float $seconds): self
    {
        return match (true) {
            $seconds < 60 => new self($seconds, 's', 2, 0, null),
            $seconds < 5400 => new self($seconds / 60, 'min', 2, 0, null),
            $seconds < 172_800 => new self($seconds / 3600, 'h', 2, 1, null),
            default => new self($seconds / 86_400, 'days', 2, 0, null),
        };
    }

    /** @param float $metres told in feet, or in metres */
    public static function length(float $metres): self
    {
        return new self($metres, 'm', 3, 1, null);
    }

    public static function temperature(float $kelvin): self
    {
        return new self($kelvin, 'K', 3, 0, null);
    }

    public static function kva(float $value, ?float $against = null): self
    {
        return new self($value, 'kVA', 3, 1, $against);
    }

    public static function hertz(float $value): self
    {
        return new self($value, 'Hz', 3, 1, null);
    }

    /** A number without unit, such as a ratio. */
    public static function number(float $value, int $maxDecimals = 2, ?float $against = null): self
    {
        return new self($value, '', 3, $maxDecimals, $against);
    }
}
