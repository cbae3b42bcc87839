<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Controls;

use IronStart\Core\Core;
use IronStart\Core\Tests\Judges;
use IronStart\Core\Verdict\Finding;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A day that is traced, calls that are known, and readings that are no readings. */
final class ControlsTest extends TestCase
{
    use Judges;

    private const LADDER = ['cool_setpoint' => '74 degF', 'heat_setpoint' => '60 degF', 'differential' => '1 delta_degF', 'deadband' => '1 delta_degF', 'counts' => ['cool' => 1, 'heat' => 0, 'cool_capacity' => '20 kW']];
    /** Small and quick: it crosses the whole ladder within a step or two. */
    private const QUICK = ['room' => ['ua_w_per_k' => 500, 'capacitance_kj_per_k' => 30, 'start' => '90 degF'], 'outdoor' => ['mean' => '95 degF', 'amplitude' => '0 delta_degF']];

    /** The compressor comes on again after its least times: ten minutes are six starts an hour, nine are seven. */
    public function testSixStartsAnHourAreWellAndSevenAreNot(): void
    {
        $at = fn (float $minutes): array => self::found('controls.staging', ['min_on' => $minutes, 'min_off' => $minutes] + self::LADDER + self::QUICK);
        self::assertSame(['clear', []], $at(5.0));
        self::assertSame(['watch', ['short_cycling:cool1']], $at(4.5));
        self::assertSame(['watch', ['short_cycling:cool1']], $at(4.0));
    }

    public function testFreeCoolingStopsAtItsLockoutWhileItIsStillColderOutside(): void
    {
        $room = ['room' => ['ua_w_per_k' => 200, 'capacitance_kj_per_k' => 4000, 'gains' => '6000 W', 'start' => '73 degF'], 'counts' => ['cool' => 1, 'cool_capacity' => '2 kW']];
        $hours = fn (array $economizer, array $outdoors): ?float => self::figure('controls.staging', ['economizer' => $economizer, 'outdoor' => ['hourly' => $outdoors]] + $room + self::LADDER, 'hours_free_cooling');
        $outdoors = [...array_fill(0, 10, '50 degF'), ...array_fill(0, 14, '66 degF')];
        $locked = $hours(['on_above' => '68 degF', 'lockout_outdoor' => '60 degF', 'flow_w_per_k' => 300], $outdoors);
        self::assertGreaterThan(2.0, $locked);
        self::assertLessThan(10.5, $locked);
        self::assertGreaterThan($locked + 5, $hours(['on_above' => '68 degF', 'lockout_outdoor' => '70 degF', 'flow_w_per_k' => 300], $outdoors));
        self::assertSame(0.0, $hours(['on_above' => '68 degF', 'lockout_outdoor' => '60 degF'], $outdoors), 'what it moves is not known');
    }

    /** @return iterable<string, array{string}> */
    public static function calls(): iterable
    {
        foreach (['fan', 'cool1', 'cool2', 'heat1', 'heat2', 'economizer', 'ventilation', 'dehumidify', 'emergency_heat', 'defrost', 'emergency_off'] as $call) {
            yield $call => [$call];
        }
    }

    #[DataProvider('calls')]
    public function testEachCallMayBeTried(string $call): void
    {
        $tried = ['call' => $call, 'seen' => [], 'minutes' => 10, 'after' => []] + ($call === 'emergency_off' ? [] : ['expected' => ['blower'], 'proved_by' => 'eyes']);
        self::assertNotSame('', self::found('controls.sequence', ['has' => [$call], 'calls' => [$tried]])[0]);
    }

    public function testASettingThatIsNoReadingIsNotThere(): void
    {
        $item = ['name' => 'lockout', 'kind' => 'exact', 'left' => '55 V'];
        $without = self::found('controls.settings', ['items' => [$item]]);
        self::assertSame($without, self::found('controls.settings', ['items' => [['required' => ['value' => 'high', 'unit' => 'V']] + $item]]));
        self::assertNotSame($without, self::found('controls.settings', ['items' => [['required' => ['value' => 50, 'unit' => 'V']] + $item]]));
    }

    public function testANumberIsWithinAWholeNumber(): void
    {
        $item = fn (int|float $left, int|float $tolerance): array => self::found('controls.settings', ['items' => [['name' => 'stages', 'kind' => 'within', 'required' => 5, 'left' => $left, 'tolerance' => $tolerance]]]);
        self::assertSame('clear', $item(7, 2)[0]);
        self::assertSame('clear', $item(7.5, 2.5)[0]);
        self::assertSame('watch', $item(8, 2)[0]);
    }

    public function testAToleranceOfNothingIsOneAndHalfAQuantityIsNone(): void
    {
        $item = ['name' => 'set point', 'kind' => 'within', 'required' => '74 degF'];
        self::assertSame(['clear', []], self::found('controls.settings', ['items' => [['left' => '74 degF', 'tolerance' => '0 delta_degF'] + $item]]));
        self::assertNotSame('clear', self::found('controls.settings', ['items' => [['left' => '74.1 degF', 'tolerance' => '0 delta_degF'] + $item]])[0]);
        foreach (['-1 delta_degF', ['value' => 1], ['unit' => 'delta_degF'], ['value' => [1], 'unit' => 'delta_degF']] as $none) {
            self::assertSame('items.0.tolerance', self::refused('controls.settings', ['items' => [['left' => '74 degF', 'tolerance' => $none] + $item]])[0]);
        }
    }

    public function testWhatIsStillOnIsJudgedOnceItIsKnownHowLongAgoTheCallWasGone(): void
    {
        $call = ['call' => 'cool1', 'expected' => ['C1'], 'seen' => ['C1'], 'minutes' => 9, 'proved_by' => 'amps', 'after' => ['C1']];
        self::assertSame(['open', ['missing:calls.0.after_minutes']], self::found('controls.sequence', ['has' => ['cool1'], 'calls' => [$call]]));
        self::assertSame(['stop', ['stays_on:cool1:C1']], self::found('controls.sequence', ['has' => ['cool1'], 'calls' => [['after_minutes' => 6] + $call]]));
    }

    /** A fan, a damper, fresh air and an emergency stop are proved by looking; whatever heats or cools is not. */
    #[DataProvider('byEye')]
    public function testWhatIsProvedByLooking(string $call, bool $isProved): void
    {
        $tried = ['call' => $call, 'expected' => $call === 'emergency_off' ? [] : ['x'], 'seen' => $call === 'emergency_off' ? [] : ['x'], 'minutes' => 9, 'proved_by' => 'eyes', 'after' => [], 'after_minutes' => 9];
        self::assertSame($isProved, ! in_array("seen_only:$call", self::judge('controls.sequence', ['has' => [$call], 'calls' => [$tried]])->codes(), true));
    }

    /** @return iterable<string, array{string, bool}> */
    public static function byEye(): iterable
    {
        foreach (['fan' => true, 'economizer' => true, 'ventilation' => true, 'emergency_off' => true, 'cool1' => false, 'cool2' => false, 'heat1' => false, 'heat2' => false, 'dehumidify' => false, 'emergency_heat' => false, 'defrost' => false] as $call => $isProved) {
            yield $call => [$call, $isProved];
        }
    }

    public function testACallThatIsLostIsAStopWhereverItIsLost(): void
    {
        $statuses = function (array $input): array {
            $findings = self::judge('controls.call_path', $input + ['call_on' => true, 'pulled_in' => false])->findings;

            return array_map(fn (Finding $one): string => $one->status->value, array_combine(array_column($findings, 'code'), $findings));
        };
        $points = fn (float|int ...$volts): array => ['points' => array_map(fn (float|int $one, int $i): array => ['name' => "P$i", 'volts' => "$one V"], $volts, array_keys($volts))];
        self::assertSame(['open_at:P1' => 'stop', 'live_again:P2' => 'stop', 'held_in' => 'stop'], $statuses(['pulled_in' => true] + $points(25, 0, 25)));
        self::assertSame(['no_source' => 'stop', 'shorted' => 'stop'], $statuses(['fuse_blown' => true] + $points(0, 0)));
        self::assertSame(['shorted' => 'stop', 'dead_at:P1' => 'stop'], $statuses(['idle' => '40 V'] + $points(25, 0)));
        self::assertSame(['coil_low' => 'watch', 'open_common' => 'stop'], $statuses(['across_coil' => '0 V'] + $points(21, 19)));
        self::assertSame(['coil_low' => 'watch', 'coil_dead' => 'stop'], $statuses(['across_coil' => '19 V'] + $points(21, 19)));
        self::assertSame(['coil_low' => 'stop'], $statuses(['across_coil' => '12 V'] + $points(21, 19)));
    }

    public function testALeavingSetPointIsColderThanWhatEnters(): void
    {
        $air = fn (string $set): string => self::refused('controls.leaving_air', ['mode' => 'leaving_air', 'sensible_capacity' => '45000 Btu/h', 'entering_db' => '78 degF', 'leaving_set' => $set])[0];
        self::assertSame('leaving_set', $air('78 degF'));
        self::assertSame('', $air('77.9 degF'));
    }

    public function testTheOtherLetterAtOneEndIsAWireTooMany(): void
    {
        $both = ['R', 'C', 'G', 'Y1', 'O'];
        $pump = fn (array $here, array $there): array => self::found('controls.terminals', ['machine' => ['compressors' => 1, 'heat_stages' => 0, 'heat_pump' => true, 'reversing' => 'O'], 'thermostat' => ['type' => 'heat_pump', 'landed' => $here, 'ob_setting' => 'O'], 'machine_landed' => $there]);
        self::assertSame('clear', $pump($both, $both)[0]);
        self::assertSame(['watch', ['extra_wire:B']], $pump([...$both, 'B'], $both));
        self::assertSame(['stop', ['missing_wire:O', 'extra_wire:B']], $pump(['R', 'C', 'G', 'Y1', 'B'], ['R', 'C', 'G', 'Y1']));
    }

    public function testWhatWasNotTestedNeedNotBeHeardElsewhere(): void
    {
        $heard = ['alarm' => 'high pressure', 'how' => 'by_doing', 'local' => true, 'cleared' => true];
        $of = fn (array $test): array => self::found('controls.alarms', ['standing' => [], 'remote' => true, 'tests' => [$test]])[1];
        self::assertContains('missing:tests.0.remote', $of($heard));
        self::assertNotContains('missing:tests.0.remote', $of(['remote' => true] + $heard));
        self::assertNotContains('missing:tests.0.remote', $of(['alarm' => 'high pressure', 'how' => 'not_tested']));
        self::assertNotContains('missing:tests.0.remote', self::found('controls.alarms', ['standing' => [], 'remote' => false, 'tests' => [$heard]])[1], 'nobody listens elsewhere');
    }

    public function testADayIsTracedOnceRoomAndOutdoorAirAreKnown(): void
    {
        $trace = fn (array $of): bool => (Core::judge()->judge('controls.staging', $of + self::LADDER, 'us')->judgement->drawing['trace'] ?? []) !== [];
        self::assertTrue($trace(self::QUICK));
        self::assertFalse($trace(['room' => self::QUICK['room']]));
        self::assertFalse($trace(['outdoor' => self::QUICK['outdoor']]));
    }

    public function testOnlyCallsOfTheUnitThatWereTriedAreCounted(): void
    {
        $tried = ['seen' => ['blower'], 'expected' => ['blower'], 'minutes' => 10, 'proved_by' => 'amps', 'after' => []];
        $calls = [['call' => 'fan'] + $tried, ['call' => 'cool1', 'blocked' => 'cold outside'], ['call' => 'heat1'] + $tried];
        $input = ['has' => ['fan', 'cool1'], 'calls' => $calls];
        self::assertSame(1.0, self::figure('controls.sequence', $input, 'tried'));
        self::assertSame(2.0, self::figure('controls.sequence', $input, 'of'));
    }

    public function testWhatIsOffAtOnceRanOnForNothing(): void
    {
        $call = fn (array $more): array => self::found('controls.sequence', ['has' => ['cool1'], 'calls' => [$more + ['call' => 'cool1', 'seen' => ['blower'], 'expected' => ['blower'], 'minutes' => 10, 'proved_by' => 'amps']]]);
        self::assertSame('clear', $call(['after' => [], 'after_minutes' => 30])[0]);
        self::assertSame($call(['after' => []])[0], $call(['after' => [], 'after_minutes' => 30])[0]);
        self::assertNotSame('clear', $call(['after' => ['blower'], 'after_minutes' => 30])[0]);
        self::assertNotSame('', $call(['after' => ['blower']])[0]);
    }
}
