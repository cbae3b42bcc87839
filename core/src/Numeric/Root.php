<?php

declare(strict_types=1);

namespace IronStart\Core\Numeric;

/** Where a function is zero, and where it is least. */
final class Root
{
    /** Halvings: enough for the last binary digit of any bracket. */
    private const HALVINGS = 200;
    private const GOLDEN = 0.6180339887498949;
    private const GOLDEN_STEPS = 90;

    /**
     * By halving: sure where the sign changes, to the last digit.
     *
     * @param \Closure(float): float $f continuous
     * @throws NoBracket when it has the same sign at both ends
     */
    public static function bisect(\Closure $f, float $low, float $high): float
    {
        [$atLow, $atHigh] = [$f($low), $f($high)];
        if ($atLow === 0.0 || $atHigh === 0.0) {
            return $atLow === 0.0 ? $low : $high;
        }
        if ($atLow > 0 === $atHigh > 0) {
            throw new NoBracket("No change of sign between $low and $high.");
        }
        for ($i = 0; $i < self::HALVINGS; $i++) {
            $middle = ($low + $high) / 2;
            if ($middle === $low || $middle === $high) {
                break;
            }
            if ($f($middle) > 0 === $atLow > 0) {
                $low = $middle;
            } else {
                $high = $middle;
            }
        }

        return ($low + $high) / 2;
    }

    /**
     * The global least on a range: the best of a grid, then golden section between its neighbours.
     *
     * @param \Closure(float): float $f
     * @param int $grid points of it, spaced evenly in the logarithm
     * @param float $low above 0
     */
    public static function least(\Closure $f, float $low, float $high, int $grid): float
    {
        $points = array_map(fn (int $i): float => $low * ($high / $low) ** ($i / ($grid - 1)), range(0, $grid - 1));
        $values = array_map($f, $points);
        $best = (int) array_search(min($values), $values, true);
        [$a, $b] = [$points[max(0, $best - 1)], $points[min($grid - 1, $best + 1)]];
        [$c, $d] = [$b - self::GOLDEN * ($b - $a), $a + self::GOLDEN * ($b - $a)];
        [$atC, $atD] = [$f($c), $f($d)];
        for ($i = 0; $i < self::GOLDEN_STEPS && abs($b - $a) > 1e-13 * $b; $i++) {
            if ($atC < $atD) {
                [$b, $d, $atD] = [$d, $c, $atC];
                $c = $b - self::GOLDEN * ($b - $a);
                $atC = $f($c);
            } else {
                [$a, $c, $atC] = [$c, $d, $atD];
                $d = $a + self::GOLDEN * ($b - $a);
                $atD = $f($d);
            }
        }
        $found = ($a + $b) / 2;

        // An end of the range is a least of its own.
        return $f($found) <= $values[$best] ? $found : $points[$best];
    }
}
