<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Plan;

use IronStart\Core\Plan\AsLeft;
use PHPUnit\Framework\TestCase;

/** What stands on the as-left page. */
final class AsLeftTest extends TestCase
{
    public function testWhatIsSetStandsByItsMatterAsItWasWrittenLast(): void
    {
        $left = AsLeft::of([
            self::one('power.dials', ['overloads' => [['name' => 'C1', 'dial' => '9 A']]]),
            self::one('power.dials', [
                'overloads' => [['name' => 'C1', 'dial' => '9.7 A', 'fla' => '9.7 A'], ['name' => 'C2'], 'x'],
                'monitor' => ['nominal' => '480 V', 'trip_percent' => ['value' => 10, 'unit' => '%'], 'delay' => 5, 'test' => 'leg_off'],
                'drives' => [['name' => 'Blower', 'min_hz' => '20 Hz', 'max_hz' => '60 Hz', 'motor_amps' => '7.6 A'], ['name' => 'Fan', 'motor_amps' => '1.3 A'], ['name' => 'Pump']],
            ]),
            self::one('power.motor_tap', ['items' => [['name' => 'Fan', 'tap' => 460], ['name' => 'Inducer', 'wired_for' => 'high'], ['name' => 'Y']]]),
            self::one('power.control_voltage', ['tap' => '480 V']),
            self::one('air.fan_drive', ['turns_open' => 2.5, 'driver_pitch' => '4.4 in', 'rpm_now' => 812, 'amps_now' => '7 A']),
            self::one('controls.settings', ['items' => [['name' => 'occupied cooling', 'left' => '74 degF', 'found' => '70 degF'], ['name' => 'lockout', 'left' => ['value' => 35.5, 'unit' => 'degF']], ['name' => 'economizer', 'left' => true], ['name' => 'fan', 'left' => false], ['name' => 'not told']]]),
            self::one('power.disconnect', ['rating' => '60 A', 'device_size' => '40 A', 'fuse_class' => 'J', 'kind' => 'fused_switch']),
            self::one('entry.swap', ['load' => 'supply', 'first' => 'L1', 'second' => 'L3']),
            self::one('entry.swap', ['load' => 'Blower', 'first' => 'T1', 'second' => 'T2']),
            self::one('entry.lug_torque', ['place' => 'line lugs', 'torque' => '30 ft.lb']),
            self::one('entry.lug_torque', ['place' => 'ground', 'torque' => '35 ft.lb']),
            self::one('entry.lug_torque', ['place' => 'line lugs', 'torque' => '35 ft.lb']),
            self::one('power.fault_current', [], ['label_amps' => ['value' => 4_300.4, 'unit' => 'A']]),
        ]);
        self::assertSame([
            'overloads' => [['C1', '9.7 A']],
            'monitor' => [['nominal', '480 V'], ['trip_percent', '10 %'], ['delay', '5']],
            'drives' => [['Blower', '20 Hz – 60 Hz, 7.6 A'], ['Fan', '1.3 A']],
            'taps' => [['transformer', '480 V'], ['Fan', '460 V'], ['Inducer', 'high']],
            'sheave' => [['turns_open', '2.5'], ['driver_pitch', '4.4 in'], ['rpm_now', '812']],
            'settings' => [['occupied cooling', '74 degF'], ['lockout', '35.5 degF'], ['economizer', 'yes'], ['fan', 'no']],
            'swaps' => [['supply', 'L1 – L3'], ['Blower', 'T1 – T2']],
            'disconnect' => [['rating', '60 A'], ['device_size', '40 A'], ['fuse_class', 'J']],
            'lugs' => [['line lugs', '35 ft.lb'], ['ground', '35 ft.lb']],
            'fault_current' => [['label_amps', '4300 A']],
        ], $left);
    }

    public function testOfNothingNothingStandsThere(): void
    {
        self::assertSame([], AsLeft::of([]));
        self::assertSame([], AsLeft::of([self::one('power.dials', ['overloads' => 'none', 'monitor' => null]), self::one('power.fault_current', [])]));
    }

    /**
     * @param array<mixed> $input
     * @param array<string, array{value: mixed, unit: string}> $values
     * @return array{check: string, input: array<mixed>, values: array<string, array{value: mixed, unit: string}>}
     */
    private static function one(string $check, array $input, array $values = []): array
    {
        return ['check' => $check, 'input' => $input, 'values' => $values];
    }
}
