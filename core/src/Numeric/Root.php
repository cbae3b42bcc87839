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
     * The same for what is smooth, with a tenth of the calls: the next place is that of a quadratic through the last three
     * where that is safe, else the middle.
     *
     * Source: Chandrupatla, A new hybrid quadratic/bisection algorithm, Advances in Engineering Software 28 (1997).
     *
     * @param \Closure(float): float $f continuous, with one zero
     * @throws NoBracket when it has the same sign at both ends
     */
    public static function smooth(\Closure $f, float $low, float $high): float
    {
        [$a, $b] = [$high, $low];
        [$atA, $atB] = [$f($a), $f($b)];
        if ($atA * $atB > 0.0) {
            throw new NoBracket("No change of sign between $low and $high.");
        }
        [$t, $last] = [0.5, [$a, $atA]];
        while (true) {
            [$best, $atBest] = abs($atA) < abs($atB) ? [$a, $atA] : [$b, $atB];
            $room = 2 * PHP_FLOAT_EPSILON * max(abs($best), PHP_FLOAT_MIN);
            $least = $room / abs($b - $a);
            if ($atBest === 0.0 || $least > 0.5) {
                return $best;
            }
            $x = $a + min(1 - $least, max($least, $t)) * ($b - $a);
            $atX = $f($x);
            if (($atX <=> 0.0) === ($atA <=> 0.0)) {
                $last = [$a, $atA];
            } else {
                $last = [$b, $atB];
                [$b, $atB] = [$a, $atA];
            }
            [$a, $atA] = [$x, $atX];
            $t = self::next([$a, $atA], [$b, $atB], $last);
        }
    }

    /**
     * How far on from one end to the other the next place lies.
     *
     * @param array{float, float} $a
     * @param array{float, float} $b
     * @param array{float, float} $c
     */
    private static function next(array $a, array $b, array $c): float
    {
        [$across, $up, $side] = [$c[0] - $b[0], $c[1] - $b[1], $c[1] - $a[1]];
        if ($across === 0.0 || $up === 0.0 || $side === 0.0 || $a[1] === $b[1]) {
            return 0.5;
        }
        [$xi, $phi] = [($a[0] - $b[0]) / $across, ($a[1] - $b[1]) / $up];
        if ($phi * $phi >= $xi || (1 - $phi) ** 2 >= 1 - $xi) {
            return 0.5;
        }

        return $a[1] / ($b[1] - $a[1]) * $c[1] / ($b[1] - $c[1]) + ($c[0] - $a[0]) / ($b[0] - $a[0]) * $a[1] / $side * $b[1] / $up;
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
