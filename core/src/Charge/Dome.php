<?php

declare(strict_types=1);

namespace IronStart\Core\Charge;

use IronStart\Core\Check\Input;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Units;
use IronStart\Core\Refrigerant\Refrigerant;
use IronStart\Core\Verdict\Value;

/**
 * The pressure-enthalpy dome of a refrigerant with the machine's cycle on it: superheat and subcooling are what stands out
 * of the dome on either side.
 */
final class Dome
{
    /** Points of each line. */
    private const POINTS = 40;
    /** J/(kg·K) of gas beside the dew line and of liquid beside the bubble line: a drawing's figures, nothing is judged by them. */
    private const GAS = 1000.0;
    private const LIQUID = 1600.0;

    /**
     * @param Input $in with both gauge pressures
     * @return array<string, mixed>
     */
    public static function of(Refrigerant $refrigerant, Circuit $circuit, Input $in): array
    {
        [$from, $to] = $refrigerant->range();
        $bubble = $dew = [];
        for ($i = 0; $i <= self::POINTS; $i++) {
            $kelvin = $from + ($to - $from) * $i / self::POINTS;
            $bubble[] = [$refrigerant->liquidEnthalpy($kelvin) / 1e3, $refrigerant->bubblePressure($kelvin)];
            $dew[] = [$refrigerant->vapourEnthalpy($kelvin) / 1e3, $refrigerant->dewPressure($kelvin)];
        }
        $kelvins = fn (float $degF): float => Units::toCanonical($degF, 'delta_degF', Kind::TemperatureDifference);
        $atDew = $refrigerant->vapourEnthalpy($refrigerant->dewTemperature($circuit->suction)) / 1e3;
        $atBubble = $refrigerant->liquidEnthalpy($refrigerant->bubbleTemperature($circuit->liquid)) / 1e3;
        $suction = $atDew + self::GAS / 1e3 * $kelvins($circuit->superheat);
        $liquid = $atBubble - self::LIQUID / 1e3 * $kelvins($circuit->subcooling);

        return [
            'shape' => 'dome', 'refrigerant' => $refrigerant->name(), 'bubble' => $bubble, 'dew' => $dew,
            'low' => $circuit->suction, 'high' => $circuit->liquid,
            'figures' => [
                'superheat' => Value::of($circuit->superheat, 'delta_degF'), 'subcooling' => Value::of($circuit->subcooling, 'delta_degF'),
                'superheat_off' => Value::of($circuit->superheatUncertainty, 'delta_degF'), 'subcooling_off' => Value::of($circuit->subcoolingUncertainty, 'delta_degF'),
                'low' => Value::of((float) $in->in('suction_pressure', 'psig'), 'psig'), 'high' => Value::of((float) $in->in('liquid_pressure', 'psig'), 'psig'),
            ],
            'suction' => ['from' => $atDew, 'to' => $suction], 'liquid' => ['from' => $atBubble, 'to' => $liquid],
        ];
    }
}
