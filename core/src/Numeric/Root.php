<?php

declare(strict_types=1);

namespace IronStart\Core\Numeric;

/** Where a function is zero, and where it is least. */
final class Root
{
    private const GOLDEN = 0.6180339887498949;

    /**
     * By halving: sure where the sign changes, to the last digit.
     *
     * @param \Closure(float): float $f continuous
     * @throws NoBracket when it has the same sign at both ends
     */
    public static function bisect(\Closure $f, float $low, float $high): float
    {
        $side = fn (float $x): int => $f($x) <=> 0.0;
        [$atLow, $atHigh] = [$side($low), $side($high)];
        if ($atLow === 0) {
            return $low;
        }
        if ($atHigh === 0) {
            return $high;
        }
        if ($atLow === $atHigh) {
            throw new NoBracket("No change of sign between $low and $high.");
        }
        $middle = ($low + $high) / 2;
        // Until no number lies between the two any more.
        while (! in_array($middle, [$low, $high], true)) {
            [$low, $high] = $side($middle) === $atHigh ? [$low, $middle] : [$middle, $high];
            $middle = ($low + $high) / 2;
        }

        return $middle;
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
        while ((($b - $a) <=> 1e-10 * $b) === 1) {
            if (($atC <=> $atD) === -1) {
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
        return min($f($found), $values[$best]) === $values[$best] ? $points[$best] : $found;
    }
}
