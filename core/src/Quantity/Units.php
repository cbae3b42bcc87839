<?php

declare(strict_types=1);

namespace IronStart\Core\Quantity;

/**
 * The one table of units and the one place that converts.
 *
 * Each kind lists its symbols as factor, or factor and offset, to the canonical unit, which is the first
 * listed: canonical = (value + offset) × factor.
 *
 * Sources: inch, foot, degree Fahrenheit and British thermal unit (IT) by international definition;
 * 1 oz = 28.349523 g and 16 oz = 1 lb; 1 psi = 6894.757 Pa; 1 in. w.c. = 249.089 Pa; 1 micron = 0.133322 Pa
 * (1 mmHg / 1000); 1 inHg = 3386.389 Pa (0 °C); 1 ton of cooling = 12,000 Btu/h.
 */
final class Units
{
    private const PSI = 6894.757;
    private const OUNCE = 0.028349523;
    private const INCH = 0.0254;
    private const FOOT = 0.3048;
    private const CUBIC_FOOT = 0.028316846592;
    /** Litres in a gallon (US). */
    private const GALLON = 3.785411784;
    private const BTU_PER_HOUR = 0.29307107017;

    /** @var array<string, array<string, array{0: float, 1?: float}>> */
    private const TABLE = [
        'temperature' => ['K' => [1.0], 'degF' => [5 / 9, 459.67], 'degC' => [1.0, 273.15]],
        'temperature_difference' => ['K_diff' => [1.0], 'delta_degF' => [5 / 9], 'delta_degC' => [1.0]],
        'gauge_pressure' => ['kPag' => [1.0], 'psig' => [self::PSI / 1e3], 'barg' => [100.0], 'MPag' => [1e3], 'kgf/cm2g' => [98.0665]],
        'absolute_pressure' => ['Pa' => [1.0], 'psia' => [self::PSI], 'kPa' => [1e3], 'bar' => [1e5], 'inHg_abs' => [3386.389], 'micron' => [0.133322], 'mbar' => [100.0]],
        'pressure_difference' => ['Pa' => [1.0], 'psi' => [self::PSI], 'kPa' => [1e3], 'bar' => [1e5], 'mbar' => [100.0]],
        'small_pressure' => ['Pa' => [1.0], 'inH2O' => [249.089], 'mbar' => [100.0]],
        'meter_pressure' => ['Pa' => [1.0], 'inH2O' => [249.089], 'mbar' => [100.0], 'psig' => [self::PSI], 'kPag' => [1e3], 'barg' => [1e5]],
        'voltage' => ['V' => [1.0], 'mV' => [1e-3]],
        'current' => ['A' => [1.0], 'kA' => [1e3]],
        'resistance' => ['ohm' => [1.0], 'Mohm' => [1e6]],
        'electric_power' => ['W' => [1.0], 'kW' => [1e3]],
        'apparent_power' => ['kVA' => [1.0], 'VA' => [1e-3]],
        'frequency' => ['Hz' => [1.0]],
        'length' => ['m' => [1.0], 'in' => [self::INCH], 'ft' => [self::FOOT], 'mm' => [1e-3], 'cm' => [1e-2]],
        'area' => ['m2' => [1.0], 'in2' => [self::INCH * self::INCH], 'ft2' => [self::FOOT * self::FOOT], 'cm2' => [1e-4]],
        'volume' => ['m3' => [1.0], 'ft3' => [self::CUBIC_FOOT], 'L' => [1e-3], 'floz' => [self::GALLON / 128e3]],
        'mass' => ['kg' => [1.0], 'oz' => [self::OUNCE], 'lb' => [16 * self::OUNCE], 'g' => [1e-3]],
        'mass_per_length' => ['kg/m' => [1.0], 'oz/ft' => [self::OUNCE / self::FOOT], 'g/m' => [1e-3]],
        'density' => ['kg/m3' => [1.0], 'lb/ft3' => [16 * self::OUNCE / self::CUBIC_FOOT], 'g/m3' => [1e-3]],
        'air_flow' => ['m3/h' => [1.0], 'cfm' => [self::CUBIC_FOOT * 60], 'L/s' => [3.6]],
        'gas_flow' => ['m3/h' => [1.0], 'cfh' => [self::CUBIC_FOOT]],
        'purge_flow' => ['L/min' => [1.0], 'scfh' => [self::CUBIC_FOOT * 1e3 / 60]],
        'water_flow' => ['L/h' => [1.0], 'gal/h' => [self::GALLON], 'L/min' => [60.0]],
        'heat' => ['W' => [1.0], 'Btu/h' => [self::BTU_PER_HOUR], 'MBH' => [1e3 * self::BTU_PER_HOUR], 'kW' => [1e3], 'ton' => [12e3 * self::BTU_PER_HOUR]],
        'torque' => ['N.m' => [1.0], 'ft.lb' => [1.3558179483]],
        'time' => ['s' => [1.0], 'min' => [60.0], 'h' => [3600.0]],
        'angle' => ['deg' => [1.0]],
        'ratio' => ['%' => [1.0]],
        'speed' => ['rpm' => [1.0]],
        'conductivity' => ['W/m.K' => [1.0]],
        'heat_transfer' => ['W/m2.K' => [1.0]],
        'heating_value' => ['MJ/m3' => [1.0], 'Btu/ft3' => [self::BTU_PER_HOUR * 3600 / 1e6 / self::CUBIC_FOOT]],
        'humidity_ratio' => ['g/kg' => [1.0], 'kg/kg' => [1e3], 'gr/lb' => [1 / 7]],
        'leak_rate' => ['Pa.m3/s' => [1.0], 'micron.L/s' => [0.133322e-3], 'mbar.L/s' => [0.1]],
    ];

    /** How a unit is written for people, where that is not its symbol. */
    private const SIGNS = [
        'degF' => '°F', 'degC' => '°C', 'delta_degF' => '°F', 'delta_degC' => '°C', 'K_diff' => 'K', 'Mohm' => 'megohm', 'inH2O' => 'in. w.c.', 'inHg_abs' => 'in. Hg', 'in' => 'in.',
        'm2' => 'm²', 'in2' => 'sq in.', 'ft2' => 'sq ft', 'cm2' => 'cm²', 'm3' => 'm³', 'ft3' => 'cu ft', 'm3/h' => 'm³/h', 'kg/m3' => 'kg/m³', 'lb/ft3' => 'lb/cu ft', 'g/m3' => 'g/m³',
        'floz' => 'fl oz', 'N.m' => 'N·m', 'ft.lb' => 'ft·lb', 'deg' => '°', 'W/m.K' => 'W/m·K', 'W/m2.K' => 'W/m²·K', 'MJ/m3' => 'MJ/m³', 'Btu/ft3' => 'Btu/cu ft', 'Pa.m3/s' => 'Pa·m³/s', 'micron.L/s' => 'micron·L/s', 'mbar.L/s' => 'mbar·L/s', 'kgf/cm2g' => 'kg/cm²', 'micron' => 'microns',
    ];

    /** The unit a box starts in, by system of units; the first of a kind where none is named. */
    private const STARTS = [
        'us' => [
            'temperature' => 'degF', 'temperature_difference' => 'delta_degF', 'gauge_pressure' => 'psig', 'absolute_pressure' => 'micron', 'pressure_difference' => 'psi', 'small_pressure' => 'inH2O', 'meter_pressure' => 'inH2O',
            'length' => 'ft', 'area' => 'ft2', 'volume' => 'ft3', 'mass' => 'lb', 'mass_per_length' => 'oz/ft', 'density' => 'lb/ft3', 'air_flow' => 'cfm', 'gas_flow' => 'cfh', 'purge_flow' => 'scfh', 'water_flow' => 'gal/h',
            'heat' => 'Btu/h', 'torque' => 'ft.lb', 'time' => 'min', 'heating_value' => 'Btu/ft3', 'humidity_ratio' => 'gr/lb', 'electric_power' => 'kW',
        ],
        'si' => [
            'temperature' => 'degC', 'temperature_difference' => 'K_diff', 'gauge_pressure' => 'barg', 'absolute_pressure' => 'micron', 'pressure_difference' => 'kPa', 'small_pressure' => 'Pa',
            'air_flow' => 'm3/h', 'heat' => 'kW', 'time' => 'min', 'electric_power' => 'kW',
        ],
    ];

    /** How a unit is written for people. */
    public static function sign(string $unit): string
    {
        return self::SIGNS[$unit] ?? $unit;
    }

    /** @return array<string, string> every unit that is written otherwise than its symbol */
    public static function signs(): array
    {
        return self::SIGNS;
    }

    /** @param 'us'|'si' $units */
    public static function start(Kind $kind, string $units): string
    {
        return self::STARTS[$units][$kind->value] ?? self::canonical($kind);
    }

    /** @return list<string> The symbols accepted for a kind, the canonical one first. */
    public static function of(Kind $kind): array
    {
        return array_keys(self::TABLE[$kind->value]);
    }

    /** The symbol in which the core keeps a kind. */
    public static function canonical(Kind $kind): string
    {
        return array_key_first(self::TABLE[$kind->value]);
    }

    /**
     * The kind whose canonical unit is the one and which has the other.
     *
     * @throws \LogicException when there is none
     */
    public static function kindOf(string $canonical, string $unit): Kind
    {
        foreach (self::TABLE as $kind => $units) {
            if (array_key_first($units) === $canonical && isset($units[$unit])) {
                return Kind::from($kind);
            }
        }
        throw new \LogicException("No kind has $canonical and $unit.");
    }

    public static function knows(Kind $kind, string $unit): bool
    {
        return isset(self::TABLE[$kind->value][$unit]);
    }

    /**
     * @param float  $value finite, in $unit
     * @return float in the kind's canonical unit, unrounded
     * @throws UnknownUnit when the kind has no such unit
     */
    public static function toCanonical(float $value, string $unit, Kind $kind): float
    {
        $row = self::row($unit, $kind);

        return ($value + ($row[1] ?? 0.0)) * $row[0];
    }

    /**
     * @param float $canonical in the kind's canonical unit
     * @return float in $unit, unrounded
     * @throws UnknownUnit when the kind has no such unit
     */
    public static function fromCanonical(float $canonical, string $unit, Kind $kind): float
    {
        $row = self::row($unit, $kind);

        return $canonical / $row[0] - ($row[1] ?? 0.0);
    }

    /** @return array{0: float, 1?: float} */
    private static function row(string $unit, Kind $kind): array
    {
        return self::TABLE[$kind->value][$unit] ?? throw UnknownUnit::ofKind($unit, $kind);
    }
}
