<?php

declare(strict_types=1);

namespace IronStart\Core\Check;

use IronStart\Core\Quantity\Kind;

/** What a reading is taken with, and how far off such an instrument may be unless its own accuracy is known. */
enum Instrument: string
{
    case Voltmeter = 'voltmeter';
    case RotationMeter = 'rotation_meter';
    case ClampMeter = 'clamp_meter';
    case Ohmmeter = 'ohmmeter';
    case Megohmmeter = 'megohmmeter';
    case MicronGauge = 'micron_gauge';
    case Gauges = 'gauges';
    case PipeClamp = 'pipe_clamp';
    case Thermometer = 'thermometer';
    case Scale = 'scale';
    case Manometer = 'manometer';

    /** Share of a reading; 0 where the error is told in the reading's own unit. Source: the conventions of the rules. */
    public function share(): float
    {
        return match ($this) {
            self::Voltmeter, self::Ohmmeter, self::Gauges => 0.01,
            self::ClampMeter => 0.02,
            self::Megohmmeter, self::MicronGauge => 0.10,
            default => 0.0,
        };
    }

    /** What a kind of quantity is usually read with; null for what is read off a plate or a watch. */
    public static function of(?Kind $kind): ?self
    {
        return match ($kind) {
            Kind::Voltage => self::Voltmeter,
            Kind::Current => self::ClampMeter,
            Kind::Resistance => self::Ohmmeter,
            Kind::GaugePressure => self::Gauges,
            Kind::SmallPressure => self::Manometer,
            Kind::Mass => self::Scale,
            default => null,
        };
    }
}
