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

    /** @param 'us'|'si' $units */
    public function say(Said $said, string $units): string
    {
        [$value, $unit] = match ($said->unit) {
            'K' => self::inUnit($said->value, $units === 'us' ? 'degF' : 'degC', Kind::Temperature),
            'm' => self::inUnit($said->value, $units === 'us' ? 'ft' : 'm', Kind::Length),
            default => [$said->value, $said->unit],
        };
        $decimals = $this->decimals($value, $said);
        $text = $this->number($value, $decimals);
        if ($said->against !== null && $said->value !== $said->against) {
            for ($more = $decimals + 1; $text === $this->number($said->against, $more - 1) && $more <= $decimals + self::MORE_DECIMALS; $more++) {
                $text = $this->number($value, $more);
            }
        }

        return $text . ($unit === '' || $unit === '%' ? $unit : ' ' . Units::sign($unit));
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

    /** @return array{0: float, 1: string} */
    private static function inUnit(float $canonical, string $unit, Kind $kind): array
    {
        return [Units::fromCanonical($canonical, $unit, $kind), $unit];
    }
}
