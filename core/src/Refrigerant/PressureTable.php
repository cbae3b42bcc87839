<?php

declare(strict_types=1);

namespace IronStart\Core\Refrigerant;

use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Units;

/** Pressure over temperature of one refrigerant as a gauge shows it at a place, in whole steps of the unit it is read in. */
final class PressureTable
{
    /** degF and °C that are looked up at all: from deep vacuum pulls to a roof in the sun. */
    private const FROM = -40.0;
    private const TO = ['degF' => 160.0, 'degC' => 71.0];

    /**
     * @param 'degF'|'degC' $temperature
     * @param string $pressure a unit of gauge pressure
     * @param float $air Pa, absolute, where the gauge stands
     * @param int $step degrees, 1 or more
     * @return list<array{float, float, float}> temperature, and at the bubble and at the dew point the pressure; both lines have every row
     */
    public static function of(Refrigerant $refrigerant, string $temperature, string $pressure, float $air, int $step): array
    {
        $rows = [];
        for ($t = self::FROM; $t <= self::TO[$temperature]; $t += $step) {
            $kelvin = Units::toCanonical($t, $temperature, Kind::Temperature);
            if ($refrigerant->covers($kelvin)) {
                $gauge = fn (float $pascals): float => Units::fromCanonical(($pascals - $air) / 1e3, $pressure, Kind::GaugePressure);
                $rows[] = [$t, $gauge($refrigerant->bubblePressure($kelvin)), $gauge($refrigerant->dewPressure($kelvin))];
            }
        }

        return $rows;
    }

    /** @return float K between the lines at this temperature of the dew point; exactly 0 of a single fluid */
    public static function glide(Refrigerant $refrigerant, float $kelvin): float
    {
        return Known::glide($refrigerant, $refrigerant->dewPressure($kelvin)) ?? 0.0;
    }
}
