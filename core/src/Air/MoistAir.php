<?php

declare(strict_types=1);

namespace IronStart\Core\Air;

use IronStart\Core\Numeric\Root;

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
    private const ZERO = 273.15;
    /** Molar masses of water and of dry air. */
    private const WATER_TO_AIR = 0.621945;

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
        return self::saturatesAt($humidity / 100 * self::saturation($kelvin));
    }

    /**
     * The temperature at which water vapour of a pressure is at saturation.
     *
     * @param float $pascals between those of 173.15 K (0.0014 Pa) and 473.15 K (1.55 MPa)
     * @return float K
     */
    public static function saturatesAt(float $pascals): float
    {
        return Root::smooth(fn (float $kelvin): float => self::saturation($kelvin) - $pascals, self::LOWEST, self::HIGHEST);
    }

    /**
     * @param float $vapour Pa, of water vapour
     * @param float $pascals of the air, over it
     * @return float kg of water in a kg of dry air
     */
    public static function ratio(float $vapour, float $pascals): float
    {
        return self::WATER_TO_AIR * $vapour / ($pascals - $vapour);
    }

    /**
     * @param float $ratio   kg of water in a kg of dry air
     * @param float $pascals of the air
     * @return float Pa, of water vapour
     */
    public static function vapour(float $ratio, float $pascals): float
    {
        return $pascals * $ratio / (self::WATER_TO_AIR + $ratio);
    }

    /**
     * What a wet sock and a dry bulb say; ice on the sock under the triple point.
     *
     * @param float $kelvin  dry bulb
     * @param float $wetBulb K, not over it
     * @return float kg/kg; 0 or less where no air is that dry
     */
    public static function ratioFromWetBulb(float $kelvin, float $wetBulb, float $pascals): float
    {
        [$t, $wet] = [$kelvin - self::ZERO, $wetBulb - self::ZERO];
        $there = self::ratio(self::saturation($wetBulb), $pascals);

        return $wetBulb > self::TRIPLE_POINT
            ? ((2501 - 2.326 * $wet) * $there - 1.006 * ($t - $wet)) / (2501 + 1.86 * $t - 4.186 * $wet)
            : ((2830 - 0.24 * $wet) * $there - 1.006 * ($t - $wet)) / (2830 + 1.86 * $t - 2.1 * $wet);
    }

    /** @return float K, of air of a humidity ratio */
    public static function wetBulb(float $kelvin, float $ratio, float $pascals): float
    {
        $dew = self::saturatesAt(self::vapour($ratio, $pascals));

        return $dew >= $kelvin ? $kelvin : Root::bisect(fn (float $wet): float => self::ratioFromWetBulb($kelvin, $wet, $pascals) - $ratio, $dew, $kelvin);
    }

    /** @return float kJ for each kg of dry air */
    public static function enthalpy(float $kelvin, float $ratio): float
    {
        $t = $kelvin - self::ZERO;

        return 1.006 * $t + $ratio * (2501 + 1.86 * $t);
    }

    /** @return float m3 for each kg of dry air */
    public static function volume(float $kelvin, float $ratio, float $pascals): float
    {
        return 287.042 * $kelvin * (1 + 1.607858 * $ratio) / $pascals;
    }
}
