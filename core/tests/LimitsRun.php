<?php

declare(strict_types=1);

namespace IronStart\Core\Tests;

/** What a circuit stands at before anything turns. As in Limits. */
final class LimitsRun
{
    /** R-410A at 75 °F stands at 217.9 to 218.7 psig; 5 °F colder 201.07, 10 °F 185.15; 5 °F hotter 236.54, 10 °F 255.43. */
    private const STANDS = ['refrigerant' => 'R-410A', 'ambient' => '75 degF', 'standing_hours' => 14];

    /** @return array<string, array<string, array<int, mixed>>> */
    public static function all(): array
    {
        $read = fn (string $psig): array => ['pressure' => "$psig psig"];

        return ['run.standing_pressure' => [
            'five degrees low' => [self::STANDS, [$read('201.08'), 'clear', ['saturated']], [$read('201.06'), 'watch', ['below_saturation']]],
            'ten degrees low' => [self::STANDS, [$read('185.16'), 'watch', ['below_saturation']], [$read('185.14'), 'stop', ['vapour_only']]],
            'five degrees high' => [self::STANDS, [$read('236.53'), 'clear', ['saturated']], [$read('236.55'), 'watch', ['above_saturation']]],
            'ten degrees high' => [self::STANDS, [$read('255.42'), 'watch', ['above_saturation']], [$read('255.44'), 'stop', ['above_saturation']]],
            'five pounds' => [self::STANDS, [$read('5'), 'stop', ['vapour_only']], [$read('4.99'), 'stop', ['flat']]],
            'under nothing' => [self::STANDS, [$read('-1'), 'stop', ['flat']], [$read('-1.01'), 'stop', ['flat', 'in_vacuum']]],
            'flat is known at once' => [$read('1') + ['refrigerant' => 'R-410A', 'ambient' => '75 degF'], [['standing_hours' => 5], 'stop', ['flat']], [['standing_hours' => 0], 'stop', ['flat']]],
            'two hours' => [$read('218') + ['refrigerant' => 'R-410A', 'ambient' => '75 degF'], [['standing_hours' => 2], 'clear', ['saturated']], [['standing_hours' => 1.99], 'open', ['wait']]],
            'as long as it should' => [$read('218') + self::STANDS, [['needed_hours' => 14], 'clear', ['saturated']], [['needed_hours' => 14.01], 'open', ['wait']]],
            'ten pounds apart' => [$read('218') + self::STANDS, [['suction' => '208 psig'], 'clear', ['saturated']], [['suction' => '207.99 psig'], 'watch', ['saturated', 'sides_differ']]],
            'the higher side counts' => [$read('1') + self::STANDS, [['suction' => '218 psig'], 'watch', ['saturated', 'sides_differ']], [['suction' => '1 psig'], 'stop', ['flat']]],
            'the coldest and the hottest around it' => [['ambient' => '70 degF', 'indoor' => '75 degF'] + $read('235') + self::STANDS, [['coil' => '75 degF'], 'clear', ['saturated']], [['coil' => '70 degF', 'indoor' => null], 'watch', ['above_saturation']]],
            'its valves' => [$read('218') + self::STANDS, [['valves_open' => true], 'clear', ['saturated']], [['valves_open' => false], 'open', ['valves_shut']]],
            'colder than ten pounds' => [['refrigerant' => 'R-134a', 'pressure' => '9 psig', 'standing_hours' => 14], [['ambient' => '6.7 degF'], 'clear', ['saturated']], [['ambient' => '6.6 degF'], 'open', ['too_cold_to_tell']]],
            'nothing in it, too cold to say' => [['refrigerant' => 'R-134a', 'pressure' => '1 psig', 'standing_hours' => 14], [['ambient' => '6.6 degF'], 'open', ['too_cold_to_tell']], [['ambient' => '6.7 degF'], 'stop', ['flat']]],
        ]];
    }
}
