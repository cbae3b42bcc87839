<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Entry;

use IronStart\Core\Check\Past;
use IronStart\Core\Entry\BreakerTripped;
use IronStart\Core\Entry\HotWork;
use IronStart\Core\Entry\LiftDay;
use IronStart\Core\Entry\PartFailed;
use IronStart\Core\Entry\Swap;
use IronStart\Core\Entry\TimeOfDay;
use IronStart\Core\Tests\Judges;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What an entry leaves behind besides itself: put-back entries, clocks, open items. */
final class EntryTest extends TestCase
{
    use Judges;

    private const FLAME = ['place' => 'roof', 'extinguisher' => true, 'first_flame_at' => '9:40'];
    private const JOINT = ['name' => 'drier', 'kind' => 'braze', 'by' => ['Mina']];
    private const STARTED = ['name' => 'C1', 'kind' => 'scroll', 'started' => '2026-03-02T07:40:00'];
    private const LIFT = ['permit' => 'P-7', 'ground_by' => 'Rafe', 'signals' => 'Mina'];

    /** @return iterable<string, array{string, array<string, mixed>, list<string>}> */
    public static function setOff(): iterable
    {
        yield 'a detector covered' => ['entry.hot_work', ['detectors' => ['hall 2', 'shaft']] + self::FLAME, ['opens detector hall 2', 'opens detector shaft']];
        yield 'the panel off' => ['entry.hot_work', ['alarm_off_at' => '9:10', 'alarm_off_who' => 'desk'] + self::FLAME, ['opens alarm_panel']];
        yield 'the panel on again' => ['entry.hot_work', ['alarm_off_at' => '9:10', 'alarm_off_who' => 'desk', 'alarm_on_at' => '11:30'] + self::FLAME, ['closes alarm_panel']];
        yield 'no flame yet' => ['entry.hot_work', self::FLAME, []];
        yield 'the last flame' => ['entry.hot_work', ['last_flame_at' => '10:05'] + self::FLAME, ['starts fire_watch 60']];
        yield 'a site that watches longer' => ['entry.hot_work', ['last_flame_at' => '10:05', 'fire_watch' => 120] + self::FLAME, ['starts fire_watch 120']];
        yield 'a broken minute counts whole' => ['entry.hot_work', ['last_flame_at' => '10:05', 'fire_watch' => 44.2] + self::FLAME, ['starts fire_watch 45']];
        yield 'a joint left open' => ['entry.joint', ['state' => 'interrupted'] + self::JOINT, ['opens circuit_open drier']];
        yield 'a joint done' => ['entry.joint', ['state' => 'done', 'seen' => true] + self::JOINT, ['closes circuit_open drier']];
        yield 'a joint begun' => ['entry.joint', ['state' => 'begun'] + self::JOINT, []];
        yield 'a joint listed' => ['entry.joint', ['state' => 'open'] + self::JOINT, []];
        yield 'a valve shut' => ['entry.valve', ['name' => 'liquid', 'kind' => 'service_liquid', 'state' => 'shut'], ['opens valve_shut liquid']];
        yield 'a valve midway' => ['entry.valve', ['name' => 'liquid', 'kind' => 'service_liquid', 'state' => 'mid'], ['opens valve_shut liquid']];
        yield 'a valve open' => ['entry.valve', ['name' => 'liquid', 'kind' => 'service_liquid', 'state' => 'open'], ['closes valve_shut liquid']];
        yield 'valves opened' => ['entry.open_valves', ['released' => 'factory', 'valves' => [['name' => 'liquid', 'turns' => 6], ['name' => 'suction']]], ['closes valve_shut liquid', 'closes valve_shut suction']];
        yield 'a light on the old disconnect' => ['entry.orphan_load', ['what' => 'roof light', 'disconnect' => 'D4'], ['leaves orphan_load roof light']];
        yield 'a choice' => ['entry.option_chosen', ['option' => 'B', 'why' => 'It fits the feeder.'], ['leaves option_chosen B']];
        yield 'a choice without a reason' => ['entry.option_chosen', ['option' => 'B'], []];
        yield 'all arranged' => ['entry.lift_day', ['quiet_until' => '7:00', 'elevator' => 'car 2 from 6:30', 'hatch' => 'north'] + self::LIFT, ['settles permit', 'settles quiet', 'settles ground', 'settles signals', 'settles elevator', 'settles hatch']];
        yield 'only the permit' => ['entry.lift_day', ['permit' => 'P-7'], ['settles permit']];
        yield 'the hatch open' => ['entry.lift_day', ['hatch_open' => true], ['opens roof_door hatch']];
        yield 'the hatch closed' => ['entry.lift_day', ['hatch_open' => false], ['closes roof_door hatch']];
        yield 'oil' => ['entry.oil', ['out_amount' => '30 floz'], []];
    }

    /**
     * @param array<string, mixed> $input
     * @param list<string>         $effects
     */
    #[DataProvider('setOff')]
    public function testAnEntrySetsOffWhatItStandsFor(string $check, array $input, array $effects): void
    {
        self::assertSame($effects, self::setsOff($check, $input));
    }

    /** @return iterable<string, array{string, ?int}> minutes since midnight */
    public static function times(): iterable
    {
        yield 'midnight' => ['0:00', 0];
        yield 'one digit' => ['7:45', 465];
        yield 'two digits' => ['07:45', 465];
        yield 'afternoon' => ['14:05', 845];
        yield 'the last minute' => ['23:59', 1439];
        yield 'blanks' => [' 9:40 ', 580];
        yield 'past midnight' => ['24:00', null];
        yield 'a minute too many' => ['9:60', null];
        yield 'one digit of minutes' => ['9:5', null];
        yield 'without a colon' => ['940', null];
        yield 'with am' => ['9:40 am', null];
        yield 'with a line end' => ["9:40\nx", null];
        yield 'nothing' => ['', null];
    }

    #[DataProvider('times')]
    public function testATimeOfDayIsReadOrRefused(string $text, ?int $minutes): void
    {
        if ($minutes === null) {
            $this->expectException(\InvalidArgumentException::class);
        }
        self::assertSame($minutes, TimeOfDay::minutes($text));
        self::assertSame($minutes, TimeOfDay::minutes(TimeOfDay::written((float) $minutes)));
    }

    public function testATimeIsWrittenAsItIsSaid(): void
    {
        self::assertSame('0:00', TimeOfDay::written(0));
        self::assertSame('7:05', TimeOfDay::written(425));
        self::assertSame('23:59', TimeOfDay::written(1439));
    }

    /** @return iterable<string, array{string, array<string, mixed>, string}> */
    public static function refusals(): iterable
    {
        yield 'the last flame before the first' => ['entry.hot_work', ['last_flame_at' => '9:39'] + self::FLAME, 'last_flame_at'];
        yield 'no time' => ['entry.hot_work', ['first_flame_at' => 'morning'] + self::FLAME, 'first_flame_at'];
        yield 'a watch of a week' => ['entry.hot_work', ['fire_watch' => 10080] + self::FLAME, 'fire_watch'];
        yield 'a crowd at one joint' => ['entry.joint', ['state' => 'begun', 'by' => ['Mina', 'Rafe', 'Jo']] + self::JOINT, 'by'];
        yield 'a joint of another kind' => ['entry.joint', ['kind' => 'glue', 'state' => 'begun'] + self::JOINT, 'kind'];
        yield 'turns without end' => ['entry.valve', ['name' => 'liquid', 'kind' => 'service_liquid', 'state' => 'shut', 'turns' => 101], 'turns'];
        yield 'less than no oil' => ['entry.oil', ['out_amount' => '-1 floz'], 'out_amount'];
        yield 'a crane at a quarter past' => ['entry.lift_day', ['crane_up_at' => 'quarter past'] + self::LIFT, 'crane_up_at'];
        yield 'a unit twice on one feed' => ['entry.feed', ['panel' => 'R-1', 'items' => [['name' => 'a', 'machine' => 'RTU-1'], ['name' => 'b', 'machine' => 'RTU-1']]], 'items.1.machine'];
        yield 'fed from nobody' => ['entry.feed', ['panel' => 'R-1', 'items' => [['name' => 'a', 'feeds_from' => 'x']]], 'items.0.feeds_from'];
        yield 'stopped before it started' => ['entry.first_step', ['stopped' => '2026-03-02T07:39:59'] + self::STARTED, 'stopped'];
        yield 'seen before it started' => ['entry.first_step', ['seen_at' => '2026-03-02T07:39:59'] + self::STARTED, 'seen_at'];
        yield 'one time with a zone' => ['entry.first_step', ['stopped' => '2026-03-02T07:41:00Z'] + self::STARTED, 'stopped'];
        yield 'right, with suction that rose' => ['entry.first_step', ['seen' => 'good', 'suction_before' => '80 psig', 'suction_after' => '85.1 psig'] + self::STARTED, 'suction_after'];
        yield 'no weather' => ['entry.conditions', ['outdoor' => '61 degC'], 'outdoor'];
        yield 'one lead with itself' => ['entry.swap', ['load' => 'supply', 'place' => 'upstream', 'first' => 'L1', 'second' => 'L1'], 'second'];
        yield 'leads of both sides' => ['entry.swap', ['load' => 'C1', 'place' => 'motor_leads', 'first' => 'T1', 'second' => 'L2'], 'second'];
        yield 'a word nobody knows' => ['entry.part_failed', ['what' => 'C1', 'how' => 'grounded', 'maker' => 'x'], 'maker'];
    }

    /** @param array<string, mixed> $input */
    #[DataProvider('refusals')]
    public function testWhatCannotBeIsRefusedAtItsField(string $check, array $input, string $field): void
    {
        [$at, $message] = self::refused($check, $input);
        self::assertSame($field, $at);
        self::assertStringStartsWith("$field: ", $message);
    }

    public function testTheLastFlameMayBeTheFirst(): void
    {
        self::assertSame('clear', self::judge('entry.hot_work', ['last_flame_at' => '9:40'] + self::FLAME)->status->value);
    }

    public function testASwapAndAResetGoByWhatWasRecordedBefore(): void
    {
        $one = fn (string $check, string $status, int $at, string $subject = 'machine'): array => ['check' => $check, 'subject' => $subject, 'status' => $status, 'codes' => [], 'input' => [], 'values' => [], 'at' => $at];
        $locked = fn (array ...$recorded): bool => Swap::bringsIn(new Past(array_values($recorded)), 'machine')['locked'];
        self::assertTrue($locked());
        self::assertFalse($locked($one('power.lockout', 'clear', 1), $one('power.rotation', 'stop', 2)));
        self::assertTrue($locked($one('power.rotation', 'stop', 1), $one('power.lockout', 'clear', 2)));
        self::assertFalse($locked($one('power.rotation', 'stop', 1), $one('power.lockout', 'stop', 2)), 'still live');
        self::assertFalse($locked($one('power.rotation', 'stop', 1), $one('power.lockout', 'clear', 2, 'old_disconnect')), 'the old one');
        $proved = fn (array ...$recorded): bool => BreakerTripped::bringsIn(new Past(array_values($recorded)), 'machine')['proved'];
        $both = [$one('compressor.windings', 'clear', 1, 'compressor:C1'), $one('compressor.insulation', 'watch', 2, 'compressor:C1')];
        self::assertTrue($proved(...$both));
        self::assertFalse($proved($both[0]));
        self::assertFalse($proved(...$both, ...[$one('compressor.insulation', 'stop', 3, 'compressor:C1')]));
        self::assertSame(['tells tripped'], self::setsOff('entry.breaker_tripped', ['place' => 'R-1/7', 'kind' => 'fuse']));
        self::assertSame([], self::setsOff('entry.breaker_tripped', ['place' => 'R-1/7']));
    }

    public function testACompressorFailedWhereItIsNamedFirst(): void
    {
        $failed = fn (string ...$said): array => PartFailed::compressors(array_values($said), ['C1', 'C2', 'C10']);
        foreach (['C1', ' c1, reciprocating, 27.6 A', 'Compressor C1', 'C1 compressor: grounded', 'C1 (scroll)', 'C1. Seized'] as $said) {
            self::assertSame(['C1'], $failed($said), $said);
        }
        foreach (['C1 contactor', 'contactor of C1', 'heater, C1', 'C100', 'AC1', ''] as $said) {
            self::assertSame([], $failed($said), $said);
        }
        self::assertSame(['C1', 'C10'], $failed('C10', 'fan', 'C1'), 'in the order of the machine');
        self::assertSame([], PartFailed::compressors([], ['C1']));
        self::assertSame(['C.1'], PartFailed::compressors(['C.1'], ['C.1']));
        self::assertSame([], PartFailed::compressors(['Cx1'], ['C.1']));
    }

    public function testTwoMayWorkOnAJoint(): void
    {
        self::assertSame('clear', self::judge('entry.joint', ['state' => 'begun', 'by' => ['Mina', 'Rafe']] + self::JOINT)->status->value);
    }

    /** A lift comes together over days: what was arranged stands, whether the crane is up and the hatch open is told anew. */
    public function testALiftDayStandsOnTheOneBefore(): void
    {
        $before = ['quiet_until' => '7:00', 'crane_up_at' => '9:00', 'hatch_open' => true] + self::LIFT;
        self::assertEquals(['quiet_until' => '7:00'] + self::LIFT, LiftDay::bringsIn(self::past('entry.lift_day', 'machine', $before), 'machine'));
        self::assertSame([], LiftDay::bringsIn(new Past(), 'machine'));
    }

    public function testAFlameThatIsStillLitStandsUntilTheLastOne(): void
    {
        $lit = ['permit' => 'P-9', 'detectors' => ['hall 2'], 'alarm_off_at' => '9:10', 'alarm_off_who' => 'desk'] + self::FLAME;
        $brings = fn (array $before): array => HotWork::bringsIn(self::past('entry.hot_work', 'machine', $before), 'machine');
        self::assertEquals(array_diff_key($lit, ['detectors' => 1]), $brings($lit));
        self::assertSame([], $brings(['last_flame_at' => '10:05'] + $lit), 'the next flame is another one');
        self::assertSame([], HotWork::bringsIn(new Past(), 'machine'));
        self::assertSame(['watch', ['fire_watch', 'alarm_still_off']], self::found('entry.hot_work', ['last_flame_at' => '10:05'] + $brings($lit)));
    }

    public function testACraneThatIsUpIsHeldAgainstWhatWasArranged(): void
    {
        $up = fn (array $with): array => self::found('entry.lift_day', ['crane_up_at' => '6:59'] + $with);
        self::assertSame(['stop', ['ground_unseen', 'nobody_signals', 'missing:permit', 'missing:ground_by', 'missing:signals']], $up([]));
        self::assertSame(['watch', ['quiet_hours']], $up(['quiet_until' => '7:00'] + self::LIFT));
        self::assertSame(['clear', ['arranged']], $up(['quiet_until' => '6:59'] + self::LIFT));
    }

    public function testBrazingIsHotWorkAndAFlareIsNot(): void
    {
        self::assertContains('hot_work', self::judge('entry.joint', ['state' => 'begun'] + self::JOINT)->cautions);
        self::assertSame([], self::judge('entry.joint', ['state' => 'begun', 'kind' => 'flare'] + self::JOINT)->cautions);
        self::assertSame([], self::judge('entry.joint', ['state' => 'begun', 'kind' => 'press'] + self::JOINT)->cautions);
    }

    /** @return iterable<string, array{string, string, string}> kind of oil, minutes the can stood open, status */
    public static function cans(): iterable
    {
        foreach (['POE', 'PVE'] as $oil) {
            yield "$oil 15" => [$oil, '15', 'clear'];
            yield "$oil 16" => [$oil, '16', 'watch'];
        }
        foreach (['MO', 'AB'] as $oil) {
            yield "$oil 16" => [$oil, '16', 'clear'];
        }
    }

    #[DataProvider('cans')]
    public function testAnOilThatDrinksWaterDoesNotStandOpen(string $oil, string $minutes, string $status): void
    {
        self::assertSame($status, self::judge('entry.oil', ['in_amount' => '20 floz', 'in_kind' => $oil, 'can_open' => "$minutes min"])->status->value);
    }
}
