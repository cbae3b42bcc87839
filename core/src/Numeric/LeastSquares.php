<?php

declare(strict_types=1);

namespace IronStart\Core\Numeric;

/** Fits by weighted least squares, by their normal equations about the weighted mean. */
final class LeastSquares
{
    /**
     * y = intercept + slope·x.
     *
     * @param list<float> $x
     * @param list<float> $y as many
     * @param list<float>|null $weights as many; all 1 where none are given
     * @return array{intercept: float, slope: float, residual: float} residual: the weighted sum of squares that is left
     * @throws \InvalidArgumentException with no points
     */
    public static function line(array $x, array $y, ?array $weights = null): array
    {
        if ($x === []) {
            throw new \InvalidArgumentException('There is nothing to fit.');
        }
        $w = $weights ?? array_fill(0, count($x), 1.0);
        $sum = $mx = $my = 0.0;
        foreach ($x as $i => $one) {
            $sum += $w[$i];
            $mx += $w[$i] * $one;
            $my += $w[$i] * $y[$i];
        }
        [$mx, $my] = [$mx / $sum, $my / $sum];
        $sxx = $sxy = $syy = 0.0;
        foreach ($x as $i => $one) {
            $dx = $one - $mx;
            $dy = $y[$i] - $my;
            $sxx += $w[$i] * $dx * $dx;
            $sxy += $w[$i] * $dx * $dy;
            $syy += $w[$i] * $dy * $dy;
        }
        // All at one place: the level, without a slope.
        $slope = $sxx > 0 ? $sxy / $sxx : 0.0;
        $intercept = $my - $slope * $mx;
        $residual = max(0.0, $syy - $slope * $sxy);

        return ['intercept' => $intercept, 'slope' => $slope, 'residual' => $residual];
    }

    /**
     * y = level.
     *
     * @param list<float> $y one or more
     * @param list<float> $weights as many
     * @return array{level: float, residual: float}
     */
    public static function level(array $y, array $weights): array
    {
        $level = array_sum(array_map(fn (float $w, float $v): float => $w * $v, $weights, $y)) / array_sum($weights);

        return ['level' => $level, 'residual' => array_sum(array_map(fn (float $w, float $v): float => $w * ($v - $level) ** 2, $weights, $y))];
    }
}
