<?php

declare(strict_types=1);

namespace IronStart\Core\Air;

use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Units;
use IronStart\Core\Verdict\Said;

/** Air of one pressure as a chart: water over dry bulb, saturation and lines of equal relative humidity, and points on it. */
final class PsychrometricChart
{
    /** K; widened to whatever is shown. */
    private const FROM = 273.15;
    private const TO = 313.15;
    private const ROOM = 3.0;
    private const STEPS = 24;
    /** % */
    private const HUMIDITIES = [20, 40, 60, 80, 100];

    /**
     * @param float $pascals of the air
     * @param list<array{word: string, at: array{float, float}}> $points each with its dry bulb in K and its kg of water for each kg of dry air
     * @param bool $joined whether the air goes from each point to the next
     * @param array<string, float> $coil air around the coil by its word of the lexicon, K: what comes, what should leave, what leaves
     * @return array<string, mixed> across in °C, up in g of water for each kg of dry air; `units` is the system it is asked in
     */
    public static function of(float $pascals, array $points, bool $joined = false, array $coil = []): array
    {
        $dry = array_map(fn (array $point): float => $point['at'][0], $points);
        $from = min(self::FROM, ...array_map(fn (float $t): float => $t - self::ROOM, $dry));
        $to = max(self::TO, ...array_map(fn (float $t): float => $t + self::ROOM, $dry));
        $celsius = fn (float $kelvin): float => Units::fromCanonical($kelvin, 'degC', Kind::Temperature);
        $lines = [];
        foreach (self::HUMIDITIES as $humidity) {
            $line = [];
            for ($i = 0; $i <= self::STEPS; $i++) {
                $kelvin = $from + ($to - $from) * $i / self::STEPS;
                $vapour = $humidity / 100 * MoistAir::saturation($kelvin);
                if ($vapour < $pascals) {
                    $line[] = [$celsius($kelvin), 1e3 * MoistAir::ratio($vapour, $pascals)];
                }
            }
            $lines[] = ['humidity' => $humidity, 'points' => $line];
        }

        return [
            'shape' => 'psychrometric', 'lines_of' => $lines, 'joined' => $joined, 'units' => '',
            'spots' => array_map(fn (array $point): array => ['word' => $point['word'], 'x' => $celsius($point['at'][0]), 'y' => 1e3 * $point['at'][1]], $points),
        ] + ($coil === [] ? [] : ['coil' => array_map(fn (string $word): array => ['word' => $word, 'at' => $word, 'said' => Said::temperature($coil[$word])], array_keys($coil))]);
    }
}
