<?php

declare(strict_types=1);

namespace IronStart\Core\Wording;

use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Units;
use IronStart\Core\Verdict\Said;

/** The one place that rounds. Half away from zero, as people do on paper. */
final class Formatter
{
    private const MORE_DECIMALS = 3;
    /** In a pound. */
    private const OUNCES = 16;
    /** In a foot; in an inch, as fine as a tape is read. */
    private const INCHES = 12;
    private const EIGHTHS = 8;

    /** @param 'us'|'si' $units */
    public function say(Said $said, string $units): string
    {
        $unit = $said->kind === null ? $said->unit : ($units === 'us' ? $said->us : $said->si);
        $in = fn (float $v): float => $said->kind === null ? $v : Units::fromCanonical($v, $unit, $said->kind);
        $value = $in($said->value);
        if ($unit === 'oz') {
            return $this->poundsAndOunces($value);
        }
        $decimals = $this->decimals($value, $said);
        $text = $this->number($value, $decimals);
        if ($said->against !== null && $said->value !== $said->against) {
            $limit = $in($said->against);
            for ($more = $decimals + 1; $text === $this->number($limit, $more - 1) && $more <= $decimals + self::MORE_DECIMALS; $more++) {
                $text = $this->number($value, $more);
            }
        }

        if ($said->isBare) {
            return $text;
        }

        return match ($unit) {
            '', '%' => $text . $unit,
            'money' => $this->parted($value),
            'deg' => $text . Units::sign($unit),
            default => $text . ' ' . Units::sign($unit),
        };
    }

    /** A mass as people say it: 12.5 oz, 9 lb, 9 lb 4 oz. */
    private function poundsAndOunces(float $ounces): string
    {
        if (abs($ounces) < self::OUNCES) {
            return $this->number($ounces, 1) . ' oz';
        }
        $whole = (int) round(abs($ounces), 0, PHP_ROUND_HALF_UP);
        [$pounds, $rest] = [intdiv($whole, self::OUNCES), $whole % self::OUNCES];

        return ($ounces < 0 ? '-' : '') . "$pounds lb" . ($rest === 0 ? '' : " $rest oz");
    }

    /**
     * A length as a tradesperson writes it on a drawing: 84-1/2", 46' 6", 2134, 14.2 m.
     *
     * @param bool $isSmall in inches or millimetres, not in feet or metres
     * @param 'us'|'si' $units
     */
    public function onDrawing(float $metres, bool $isSmall, string $units): string
    {
        if ($units === 'si') {
            return $isSmall ? $this->number(Units::fromCanonical($metres, 'mm', Kind::Length), 0) : $this->number($metres, 2) . ' m';
        }
        $inches = Units::fromCanonical(abs($metres), 'in', Kind::Length);
        $sign = $metres < 0 ? '-' : '';
        if (! $isSmall) {
            $whole = (int) round($inches, 0, PHP_ROUND_HALF_UP);

            return $whole === 0 ? '0"' : $sign . intdiv($whole, self::INCHES) . "' " . $whole % self::INCHES . '"';
        }
        $eighths = (int) round(self::EIGHTHS * $inches, 0, PHP_ROUND_HALF_UP);
        [$whole, $rest] = [intdiv($eighths, self::EIGHTHS), $eighths % self::EIGHTHS];
        $of = self::EIGHTHS;
        while ($rest > 0 && $rest % 2 === 0) {
            [$rest, $of] = [intdiv($rest, 2), intdiv($of, 2)];
        }

        return match (true) {
            $rest === 0 => ($whole === 0 ? '' : $sign) . $whole . '"',
            $whole === 0 => "$sign$rest/$of\"",
            default => "$sign$whole-$rest/$of\"",
        };
    }

    /** Whole, its thousands parted. */
    private function parted(float $value): string
    {
        return number_format(round($value, 0, PHP_ROUND_HALF_UP), 0, '.', ',');
    }

    /** A number with at most so many decimals, without trailing zeros. */
    public function number(float $value, int $decimals): string
    {
        $rounded = round($value, $decimals, PHP_ROUND_HALF_UP);
        $text = number_format($rounded === -0.0 ? 0.0 : $rounded, $decimals, '.', abs($rounded) >= 1e4 ? ',' : '');

        return $decimals > 0 ? rtrim(rtrim($text, '0'), '.') : $text;
    }

    private function decimals(float $value, Said $said): int
    {
        $size = abs($value);
        if ($size === 0.0) {
            return 0;
        }

        return max(0, min($said->maxDecimals, $said->significant - 1 - (int) floor(log10($size))));
    }
}
