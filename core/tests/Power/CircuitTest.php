<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Power;

use IronStart\Core\Core;
use PHPUnit\Framework\TestCase;

/** What a limit of the table does not show: where a correction stops growing, which place is better. */
final class CircuitTest extends TestCase
{
    private const WIRE = ['mca' => '30 A', 'mocp' => '50 A', 'breaker' => '40 A', 'conductor' => '6', 'insulation' => 90, 'terminal_rating' => 75];

    public function testNoColdIsCountedUnderTenDegrees(): void
    {
        $correction = fn (string $ambient): float => (float) Core::judge()->judge('power.circuit', ['ambient' => $ambient] + self::WIRE, 'us')->judgement->values['correction']->value;
        self::assertSame($correction('10 degC'), $correction('-20 degC'));
        self::assertSame($correction('10 degC'), $correction('9 degC'));
        self::assertGreaterThan($correction('11 degC'), $correction('10 degC'));
    }

    public function testASizeIsNamedAsItIsMarked(): void
    {
        $said = fn (string $size): string => Core::judge()->judge('power.circuit', ['conductor' => $size] + self::WIRE, 'us')->headline;
        foreach (['6' => '#6 ', '1/0' => '1/0 ', '250' => '250 kcmil', '300' => '300 kcmil'] as $size => $name) {
            self::assertStringContainsString($name, $said((string) $size));
        }
    }

    public function testThreeThatAreMissingAreNamedAndMoreAreCounted(): void
    {
        $say = fn (int $given): string => Core::judge()->judge('power.leg_roll', array_slice(array_fill_keys(['before_t1', 'before_t2', 'before_t3', 'after_t1', 'after_t2', 'after_t3'], '10 A'), 0, $given), 'us')->headline;
        self::assertStringNotContainsString('more', $say(3));
        self::assertStringContainsString('and 3 more', $say(2));
    }

    public function testNoDropIsToldWithoutALength(): void
    {
        $values = fn (array $more): array => Core::judge()->judge('power.circuit', $more + self::WIRE, 'us')->judgement->values;
        self::assertArrayNotHasKey('drop', $values(['line_voltage' => '480 V']));
        self::assertArrayHasKey('drop', $values(['line_voltage' => '480 V', 'length' => '86 ft']));
    }

    public function testTheBetterPlaceIsOneThatDiffersByMoreThanAPoint(): void
    {
        $better = fn (float $before): mixed => Core::judge()->judge('power.leg_roll', array_combine(['before_t1', 'before_t2', 'before_t3', 'after_t1', 'after_t2', 'after_t3'], array_map(fn (float $a): string => "$a A", [10, 10, $before, 10, 10, 10.6])), 'us')->judgement->values['best_position']->value;
        self::assertSame(['before', 'same', 'after'], [$better(10.44), $better(10.46), $better(10.76)]);
    }

    public function testTheLineDecidesOnlyWhereItReachesTheMotor(): void
    {
        $deaf = fn (string $drive): array => Core::judge()->judge('power.rotation', ['meter' => 'cba', 'loads' => [['name' => 'B', 'kind' => 'blower', 'drive' => $drive, 'observed' => 'backwards']]], 'us')->judgement->values['insensitive_loads']->value;
        foreach (['across_line' => [], 'soft_starter' => [], 'part_winding' => [], 'inverter' => ['B'], 'ecm' => ['B'], 'single_phase' => ['B']] as $drive => $is) {
            self::assertSame($is, $deaf($drive), $drive);
        }
    }

    public function testAProofThatIsOwedSaysWhetherThePowerIsOff(): void
    {
        $next = fn (array $checked): string => implode(' ', Core::judge()->judge('power.rotation', ['meter' => 'abc', 'loads' => [['name' => 'C1', 'kind' => 'scroll', 'drive' => 'across_line', 'pressure_moved' => true, 'noise' => 'normal', 'hours_backwards' => '5 min', 'checked' => $checked]]], 'us')->next);
        $all = ['windings', 'insulation', 'oil_acid', 'amps_pressures'];
        foreach (['windings', 'insulation'] as $dead) {
            self::assertStringContainsString('Lock out, test dead', $next(array_values(array_diff($all, [$dead]))), $dead);
        }
        self::assertStringNotContainsString('Lock out, test dead', $next(array_values(array_diff($all, ['amps_pressures']))));
        self::assertStringContainsString('Running', $next(array_values(array_diff($all, ['amps_pressures']))));
    }
}
