<?php

declare(strict_types=1);

namespace IronStart\Core\Air;

/**
 * Water in air, by the forms of the ASHRAE Handbook of Fundamentals (SI, 2021): saturation over ice and over liquid by
 * the two fits of Hyland and Wexler.
 */
final class MoistAir
{
    /** K; below it the air saturates over ice. */
    private const TRIPLE_POINT = 273.16;
    private const LOWEST = 173.15;
    private const HIGHEST = 473.15;

    /**
     * @param float $kelvin 173.15 to 473.15
     * @return float Pa, of water vapour at saturation
     */
    public static function saturation(float $kelvin): float
    {
        $t = $kelvin;

        return exp($t <= self::TRIPLE_POINT
            ? -5674.5359 / $t + 6.3925247 - 9.677843e-3 * $t + 6.2215701e-7 * $t ** 2 + 2.0747825e-9 * $t ** 3 - 9.484024e-13 * $t ** 4 + 4.1635019 * log($t)
            : -5800.2206 / $t + 1.3914993 - 4.8640239e-2 * $t + 4.1764768e-5 * $t ** 2 - 1.4452093e-8 * $t ** 3 + 6.5459673 * log($t));
    }

    /**
     * Where water begins to settle from the air.
     *
     * @param float $kelvin   dry bulb
     * @param float $humidity %, relative, above 0
     * @return float K
     */
    public static function dewPoint(float $kelvin, float $humidity): float
    {
        $vapour = $humidity / 100 * self::saturation($kelvin);
        [$low, $high] = [self::LOWEST, self::HIGHEST];
        // ln p is nearly straight in 1/T: halving to the last digit is quick enough and can't miss.
        for ($i = 0; $i < 60; $i++) {
            $middle = ($low + $high) / 2;
            if (self::saturation($middle) < $vapour) {
                $low = $middle;
            } else {
                $high = $middle;
            }
        }

        return ($low + $high) / 2;
    }
}
