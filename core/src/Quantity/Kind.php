<?php

declare(strict_types=1);

namespace IronStart\Core\Quantity;

/**
 * What is measured. Two quantities of different kinds are never mixed: a gauge pressure is no absolute
 * pressure, a temperature is no temperature difference, though both may be written in the same letters.
 */
enum Kind: string
{
    case Temperature = 'temperature';
    case TemperatureDifference = 'temperature_difference';
    case GaugePressure = 'gauge_pressure';
    case AbsolutePressure = 'absolute_pressure';
    case PressureDifference = 'pressure_difference';
    case SmallPressure = 'small_pressure';
    case MeterPressure = 'meter_pressure';
    case Voltage = 'voltage';
    case Current = 'current';
    case Resistance = 'resistance';
    case ElectricPower = 'electric_power';
    case ApparentPower = 'apparent_power';
    case Frequency = 'frequency';
    case Length = 'length';
    case Area = 'area';
    case Volume = 'volume';
    case Mass = 'mass';
    case MassPerLength = 'mass_per_length';
    case Density = 'density';
    case AirFlow = 'air_flow';
    case GasFlow = 'gas_flow';
    case PurgeFlow = 'purge_flow';
    case WaterFlow = 'water_flow';
    case Heat = 'heat';
    case Torque = 'torque';
    case Time = 'time';
    case Angle = 'angle';
    case Ratio = 'ratio';
    case Speed = 'speed';
    case Conductivity = 'conductivity';
    case HeatTransfer = 'heat_transfer';
    case HeatingValue = 'heating_value';
    case HumidityRatio = 'humidity_ratio';
    case LeakRate = 'leak_rate';
}
