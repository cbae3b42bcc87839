<?php

declare(strict_types=1);

namespace IronStart\Core\Verdict;

use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\TubeSize;
use IronStart\Core\Quantity\Units;

/**
 * A figure as a finding hands it to the sentences: value and unit, and how finely a technician would say it.
 * Nothing is rounded here; the formatter does that, in the unit system asked for.
 */
final readonly class Said
{
    private function __construct(
        public float $value,
        public string $unit,
        /** Digits that matter: the number of significant digits a person would say. */
        public int $significant,
        /** Never more decimals than this. */
        public int $maxDecimals,
        /** A limit from which the spoken figure must stay distinct: decimals are added until it does. */
        public ?float $against,
        /** With a kind, the figure is in its canonical unit and told in one of the two below. */
        public ?Kind $kind = null,
        public string $us = '',
        public string $si = '',
        /** The unit is said once, with the figure that follows ("3 to 8 scfh"). */
        public bool $isBare = false,
    ) {
    }

    /** The same without its unit, before a figure that has it. */
    public function bare(): self
    {
        return new self($this->value, $this->unit, $this->significant, $this->maxDecimals, $this->against, $this->kind, $this->us, $this->si, true);
    }

    /** A figure of a kind in its canonical unit, told in the unit of the system asked for. */
    private static function of(Kind $kind, float $canonical, string $us, string $si, int $significant, int $maxDecimals, ?float $against = null): self
    {
        return new self($canonical, Units::canonical($kind), $significant, $maxDecimals, $against, $kind, $us, $si);
    }

    public static function volts(float $value, ?float $against = null): self
    {
        return new self($value, 'V', 3, 1, $against);
    }

    public static function millivolts(float $value): self
    {
        return new self($value, 'mV', 3, 1, null);
    }

    /** @param float $amps told in kiloamps from a thousand on */
    public static function kiloamps(float $amps): self
    {
        return $amps < 1000.0 ? new self($amps, 'A', 3, 0, null) : new self($amps / 1000, 'kA', 3, 1, null);
    }

    public static function watts(float $value): self
    {
        return new self($value, 'W', 2, 1, null);
    }

    public static function voltAmps(float $value): self
    {
        return new self($value, 'VA', 3, 0, null);
    }

    public static function amps(float $value, ?float $against = null): self
    {
        return new self($value, 'A', 3, 1, $against);
    }

    public static function percent(float $value, ?float $against = null): self
    {
        return new self($value, '%', 2, 1, $against);
    }

    public static function ohms(float $value): self
    {
        return new self($value, 'ohm', 3, 3, null);
    }

    public static function megohms(float $value, ?float $against = null): self
    {
        return new self($value, 'Mohm', 2, 2, $against);
    }

    /** A time as people say it: 12 s, 3 min, 2 h, 5 days. @param float $seconds 0 or more */
    public static function duration(float $seconds): self
    {
        return match (true) {
            $seconds < 60 => new self($seconds, 's', 2, 0, null),
            $seconds < 5400 => new self($seconds / 60, 'min', 2, 0, null),
            $seconds < 172_800 => new self($seconds / 3600, 'h', 2, 1, null),
            default => new self($seconds / 86_400, 'days', 2, 0, null),
        };
    }

    /** What a counter of hours shows, however many they are. @param float $seconds 0 or more */
    public static function hours(float $seconds): self
    {
        return new self($seconds / 3600, 'h', 3, 1, null);
    }

    /** @param float $metres told in feet, or in metres */
    public static function length(float $metres, ?float $against = null): self
    {
        return self::of(Kind::Length, $metres, 'ft', 'm', 3, 1, $against);
    }

    /** @param float $metres told in inches, or in millimetres */
    public static function small(float $metres, ?float $against = null): self
    {
        return self::of(Kind::Length, $metres, 'in', 'mm', 3, 2, $against);
    }

    /** A tube's wall, to the thousandth. @param float $metres */
    public static function wall(float $metres): self
    {
        return self::of(Kind::Length, $metres, 'in', 'mm', 3, 3);
    }

    /** A tube by its size. @param float $metres outside diameter, one of the nominal ones */
    public static function tube(float $metres): string
    {
        return str_replace(' in', ' in.', TubeSize::written($metres));
    }

    /** @param float $kilograms told in pounds, or in kilograms */
    public static function weight(float $kilograms, ?float $against = null): self
    {
        return self::of(Kind::Mass, $kilograms, 'lb', 'kg', 4, 0, $against);
    }

    /** @param float $kilogramsAMetre of refrigerant in a line */
    public static function perLength(float $kilogramsAMetre): self
    {
        return self::of(Kind::MassPerLength, $kilogramsAMetre, 'oz/ft', 'g/m', 3, 2);
    }

    /** Refrigerant as people say it: 9 lb 4 oz, or 4.2 kg. @param float $kilograms */
    public static function charge(float $kilograms): self
    {
        return self::of(Kind::Mass, $kilograms, 'oz', 'kg', 3, 2);
    }

    public static function temperature(float $kelvin): self
    {
        return self::of(Kind::Temperature, $kelvin, 'degF', 'degC', 3, 0);
    }

    public static function temperatureDifference(float $kelvin, ?float $against = null): self
    {
        return self::of(Kind::TemperatureDifference, $kelvin, 'delta_degF', 'K_diff', 2, 1, $against);
    }

    /** @param float $kilopascals gauge */
    public static function gauge(float $kilopascals, ?float $against = null): self
    {
        return self::of(Kind::GaugePressure, $kilopascals, 'psig', 'barg', 3, 2, $against);
    }

    /** @param float $pascals difference */
    public static function pressureDifference(float $pascals, ?float $against = null): self
    {
        return self::of(Kind::PressureDifference, $pascals, 'psi', 'bar', 2, 2, $against);
    }

    /** A vacuum, in microns in either system. @param float $pascals absolute */
    public static function micron(float $pascals, ?float $against = null): self
    {
        return self::of(Kind::AbsolutePressure, $pascals, 'micron', 'micron', 3, 0, $against);
    }

    /** Pressure of air. @param float $pascals */
    public static function air(float $pascals): self
    {
        return self::of(Kind::SmallPressure, $pascals, 'inH2O', 'Pa', 3, 2);
    }

    /** @param float $cubicMetresAnHour of air */
    public static function airflow(float $cubicMetresAnHour): self
    {
        return self::of(Kind::AirFlow, $cubicMetresAnHour, 'cfm', 'm3/h', 3, 0);
    }

    /** @param float $watts of heat, told in Btu/h or kW */
    public static function heat(float $watts): self
    {
        return self::of(Kind::Heat, $watts, 'Btu/h', 'kW', 3, 1);
    }

    public static function kilowatts(float $value): self
    {
        return new self($value, 'kW', 3, 1, null);
    }

    /** @param float $litresPerMinute of nitrogen through a joint */
    public static function purge(float $litresPerMinute, ?float $against = null): self
    {
        return self::of(Kind::PurgeFlow, $litresPerMinute, 'scfh', 'L/min', 2, 1, $against);
    }

    /** @param float $cubicMetres of oil */
    public static function oil(float $cubicMetres): self
    {
        return self::of(Kind::Volume, $cubicMetres, 'floz', 'L', 3, 2);
    }

    /** @param float $litresPerHour of water */
    public static function water(float $litresPerHour): self
    {
        return self::of(Kind::WaterFlow, $litresPerHour, 'gal/h', 'L/h', 2, 1);
    }

    /** @param float $newtonMetres */
    public static function torque(float $newtonMetres, ?float $against = null): self
    {
        return self::of(Kind::Torque, $newtonMetres, 'ft.lb', 'N.m', 3, 0, $against);
    }

    public static function angle(float $degrees, ?float $against = null): self
    {
        return new self($degrees, 'deg', 3, 1, $against);
    }

    public static function density(float $kilogramsPerCubicMetre): self
    {
        return self::of(Kind::Density, $kilogramsPerCubicMetre, 'lb/ft3', 'kg/m3', 3, 1);
    }

    /** An amount of money, in whatever it was given. */
    public static function money(float $value): self
    {
        return new self($value, 'money', 3, 0, null);
    }

    public static function kva(float $value, ?float $against = null): self
    {
        return new self($value, 'kVA', 3, 1, $against);
    }

    public static function hertz(float $value): self
    {
        return new self($value, 'Hz', 3, 1, null);
    }

    /** A number without unit, such as a ratio. */
    public static function number(float $value, int $maxDecimals = 2, ?float $against = null): self
    {
        return new self($value, '', 3, $maxDecimals, $against);
    }
}
