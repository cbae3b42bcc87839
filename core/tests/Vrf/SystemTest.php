<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Vrf;

use IronStart\Core\Check\Past;
use IronStart\Core\Core;
use IronStart\Core\Tests\Judges;
use IronStart\Core\Vrf\Addresses;
use IronStart\Core\Vrf\CrossedZones;
use IronStart\Core\Vrf\RunPlan;
use IronStart\Core\Vrf\WarmUp;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Addresses, warm-up, script, run plan, zones and the night's log: what they refuse, what is said, and what goes on. */
final class SystemTest extends TestCase
{
    use Judges;

    private const LOG = "unit,time,valve_pulses,liquid_pipe,gas_pipe,return_air,thermo_on\n";

    /** @param array<string, mixed> $input */
    #[DataProvider('wrong')]
    public function testWhatCannotBeIsRefusedAtItsField(string $check, array $input, string $field, string $said): void
    {
        [$at, $message] = self::refused($check, $input);
        self::assertSame($field, $at, $message);
        self::assertStringContainsString($said, $message);
    }

    /** @return iterable<string, array{string, array<string, mixed>, string, string}> */
    public static function wrong(): iterable
    {
        $device = fn (string $id, string $kind, array $more = []): array => ['id' => $id, 'kind' => $kind, 'address' => 1] + $more;
        yield 'a box that is not there' => ['vrf.addresses', ['devices' => [$device('B1', 'box'), $device('I1', 'indoor', ['box' => 'B2'])], 'powered' => false], 'devices.1.box', 'there is no box B2. Enter: B1.'];
        yield 'a device twice' => ['vrf.addresses', ['devices' => [$device('B1', 'box'), $device('B1', 'box')], 'powered' => false], 'devices.1.id', 'is used twice'];
        yield 'a range upside down' => ['vrf.addresses', ['ranges' => ['box' => ['min' => 9, 'max' => 8]]], 'ranges.box.max', 'it is less than min'];
        yield 'half a range' => ['vrf.addresses', ['ranges' => ['box' => ['min' => 9]]], 'ranges.box.max', 'is required'];
        yield 'a negative address' => ['vrf.addresses', ['devices' => [['address' => -1] + $device('B1', 'box')]], 'devices.0.address', 'is outside the range'];
        yield 'times of two kinds' => ['vrf.warm_up', ['now' => '2026-01-15T08:00', 'powered_since' => '2026-01-15T07:00Z'], 'now', 'some times have a zone'];
        yield 'a cut that ends before it begins' => ['vrf.warm_up', ['now' => '2026-01-15T08:00', 'outages' => [['from' => '2026-01-15T07:00', 'to' => '2026-01-15T06:00']]], 'outages.0.to', 'ends before it begins'];
        $script = ['script' => [['code' => 'A1', 'passes_when' => 'A2']], 'indoor' => [['id' => 'I1', 'ready' => true]]];
        yield 'a step too far' => ['vrf.commission', $script + ['step' => 1, 'shown' => 'A1', 'minutes_in_step' => 1], 'step', 'Enter one from 0 to 0.'];
        yield 'a step without a code' => ['vrf.commission', ['script' => [['passes_when' => 'A2']]], 'script.0.code', 'is required'];
        $boxes = ['boxes' => [['id' => 'B1', 'indoor' => ['I1', 'I2']], ['id' => 'B2', 'indoor' => ['I1']]]];
        yield 'a unit on two boxes' => ['vrf.run_plan', $boxes, 'boxes.1.indoor.0', 'I1 stands on two boxes'];
        yield 'a step the plan has not' => ['vrf.run_plan', ['boxes' => [['id' => 'B1', 'indoor' => ['I1', 'I2']]], 'results' => [['step' => 'all:1', 'passed' => true]]], 'results.0.step', 'Enter: alone:I1, alone:I2, box:B1, all:2.'];
        $zones = fn (mixed $changes, string $called = 'A'): array => ['zones' => ['A', 'B'], 'matrix' => [['called' => $called, 'changes' => $changes]]];
        yield 'a zone twice' => ['vrf.crossed_zones', ['zones' => ['A', 'A']], 'zones.1', 'stands there twice'];
        yield 'a call of nobody' => ['vrf.crossed_zones', $zones(['A' => '-9 K_diff'], 'C'), 'matrix.0.called', 'there is no zone C'];
        yield 'a coil of nobody' => ['vrf.crossed_zones', $zones(['C' => '-9 K_diff']), 'matrix.0.changes.C', 'there is no zone C. Enter: A, B.'];
        yield 'a change in another unit' => ['vrf.crossed_zones', $zones(['A' => '-9 psi']), 'matrix.0.changes.A', 'is not a change of temperature with its unit'];
        yield 'a change without a unit' => ['vrf.crossed_zones', $zones(['A' => -9]), 'matrix.0.changes.A', 'is not a change of temperature with its unit'];
        yield 'a change nobody can have read' => ['vrf.crossed_zones', $zones(['A' => '501 delta_degF']), 'matrix.0.changes.A', 'is not a change of temperature with its unit'];
        yield 'half a change' => ['vrf.crossed_zones', $zones(['A' => ['value' => -9]]), 'matrix.0.changes.A', 'is not a change of temperature with its unit'];
        yield 'a change of words' => ['vrf.crossed_zones', $zones(['A' => ['value' => 'cold', 'unit' => 'K_diff']]), 'matrix.0.changes.A', 'is not a change of temperature with its unit'];
        yield 'changes that are none' => ['vrf.crossed_zones', $zones('cold'), 'matrix.0.changes', 'an object: a change for each zone'];
        yield 'a zone called twice' => ['vrf.crossed_zones', ['zones' => ['A'], 'matrix' => [['called' => 'A', 'changes' => ['A' => '-9 K_diff']], ['called' => 'A', 'changes' => ['A' => '-9 K_diff']]]], 'matrix.1.called', 'is used twice'];
        yield 'a charge rule twice' => ['vrf.charge', ['charge_rule' => ['factory_charge' => '1 kg', 'rates' => [['liquid_od' => '3/8 in', 'per_length' => '1 g/m'], ['liquid_od' => '9.5 mm', 'per_length' => '1 g/m']]]], 'charge_rule.rates.1.liquid_od', 'that size is there already'];
        $log = fn (string $lines, string $unit = 'degF'): array => ['csv' => self::LOG . $lines, 'temperature_unit' => $unit];
        yield 'a column that is missing' => ['vrf.leak_by', ['csv' => "unit,time\nI1,0", 'temperature_unit' => 'degF'], 'csv', 'line 1: the columns unit, time, valve_pulses, liquid_pipe, gas_pipe, return_air, thermo_on, each once'];
        yield 'a column that is there twice' => ['vrf.leak_by', ['csv' => 'unit,unit,time,valve_pulses,liquid_pipe,gas_pipe,return_air,thermo_on', 'temperature_unit' => 'degF'], 'csv', 'each once'];
        yield 'a cell too few' => ['vrf.leak_by', $log("I1,0,0,70,70,72,0\nI1,1,0,70,70,72"), 'csv', 'line 3: 7 cells'];
        yield 'no number' => ['vrf.leak_by', $log('I1,0,0,cold,70,72,0'), 'csv', 'line 2: a unit, a time, numbers, and 0 or 1'];
        yield 'no pulses' => ['vrf.leak_by', $log('I1,0,shut,70,70,72,0'), 'csv', 'line 2: a unit, a time, numbers'];
        yield 'no gas pipe' => ['vrf.leak_by', $log('I1,0,0,70,,72,0'), 'csv', 'line 2: a unit, a time, numbers'];
        yield 'no return air' => ['vrf.leak_by', $log('I1,0,0,70,70,-,0'), 'csv', 'line 2: a unit, a time, numbers'];
        yield 'no unit' => ['vrf.leak_by', $log(',0,0,70,70,72,0'), 'csv', 'line 2: a unit'];
        yield 'a call that is neither' => ['vrf.leak_by', $log('I1,0,0,70,70,72,2'), 'csv', 'line 2: a unit, a time, numbers, and 0 or 1'];
        yield 'no time' => ['vrf.leak_by', $log('I1,noon,0,70,70,72,0'), 'csv', 'line 2: a time in minutes'];
        yield 'the same minute twice' => ['vrf.leak_by', $log("I1,0,0,70,70,72,0\nI2,0,0,70,70,72,0\n\nI1,0,0,70,70,72,0"), 'csv', 'line 5: a time after the one of the same unit before it'];
        yield 'a clock set back' => ['vrf.leak_by', $log("I1,2026-11-01T01:59,0,70,70,72,0\nI1,2026-11-01T01:00,0,70,70,72,0"), 'csv', 'line 3: a time after the one of the same unit before it'];
        yield 'times of two kinds in a log' => ['vrf.leak_by', $log("I1,2026-11-01T01:59,0,70,70,72,0\nI2,5,0,70,70,72,0"), 'csv', 'all written alike'];
        yield 'Celsius that is none' => ['vrf.leak_by', $log('I1,0,0,70,70,51,0', 'degC'), 'temperature_unit', 'no room is like that'];
        yield 'Fahrenheit that is none' => ['vrf.leak_by', $log('I1,0,0,20,20,39.9,0'), 'temperature_unit', 'no room is like that'];
    }

    public function testWhatWasRefusedOfALongLogIsToldShort(): void
    {
        try {
            self::judge('vrf.leak_by', ['csv' => self::LOG . str_repeat("I1,x,0,70,70,72,0\n", 2000), 'temperature_unit' => 'degF']);
            self::fail('It was taken.');
        } catch (\IronStart\Core\Check\InputError $error) {
            self::assertIsString($error->value);
            self::assertLessThanOrEqual(120, mb_strlen($error->value));
        }
    }

    public function testALogIsReadHoweverItsColumnsStandAndItsTimesAreWritten(): void
    {
        $minute = fn (int $i): string => sprintf('2026-03-08T%02d:%02d:00-06:00', intdiv($i, 60), $i % 60);
        $lines = "\u{FEFF}thermo_on;return_air;unit;gas_pipe;liquid_pipe;time;valve_pulses;note\r\n\r\n";
        for ($i = 0; $i <= 40; $i++) {
            $lines .= 'FALSE;' . (24 - $i / 20) . ";\"Hall; north\";15;14;{$minute($i)};0;\r\n";
        }
        $verdict = Core::judge()->judge('vrf.leak_by', ['csv' => $lines, 'temperature_unit' => 'degC'], 'us');
        self::assertSame(['watch:Hall; north'], $verdict->judgement->codes());
        self::assertSame('Hall; north: cold pipes in its one off period, with the air falling.', $verdict->headline);
    }

    public function testWhoHasTheMostAgainstItIsNamedFirst(): void
    {
        $lines = '';
        foreach (['A' => 1, 'B' => 2, 'C' => 0] as $unit => $bad) {
            for ($period = 0; $period < 2; $period++) {
                for ($i = 0; $i <= 40; $i++) {
                    $air = 74 - 2 * $i / 60;
                    $lines .= sprintf("%s,%d,0,%f,%f,%f,0\n", $unit, 60 * $period + $i, $period < $bad ? 50 : $air, $period < $bad ? 50 : $air, $air);
                }
            }
        }
        $verdict = Core::judge()->judge('vrf.leak_by', ['csv' => self::LOG . $lines, 'temperature_unit' => 'degF'], 'us');
        self::assertSame('B: its valve leaks by, in 2 of 2 off periods its pipes stayed cold and the air went on falling.', $verdict->headline);
        self::assertSame([['B', 100.0, 'stop'], ['A', 100.0, 'plain']], array_map(fn (array $bar): array => [$bar['name'], $bar['value'], $bar['is']], $verdict->judgement->drawing['bars']));
    }

    public function testAChangeMayBeGivenAsAFigureAndItsUnit(): void
    {
        $in = fn (mixed $own): array => ['zones' => ['A', 'B'], 'matrix' => [['called' => 'A', 'changes' => ['A' => $own, 'B' => '0 K_diff']], ['called' => 'B', 'changes' => ['A' => '0 K_diff', 'B' => '-500 delta_degF']]]];
        self::assertSame(['clear', []], self::found('vrf.crossed_zones', $in(['value' => -8, 'unit' => 'delta_degF'])));
        self::assertSame(['stop', ['no_response:A']], self::found('vrf.crossed_zones', $in(['value' => -4, 'unit' => 'K_diff'])));
        self::assertSame(['open', ['missing:matrix.0.changes.A']], self::found('vrf.crossed_zones', $in('')), 'a blank is not read yet');
    }

    public function testWithoutAScriptNoStepIsTooFar(): void
    {
        self::assertSame(['open', ['missing:script', 'missing:indoor', 'missing:shown', 'missing:minutes_in_step']], self::found('vrf.commission', ['step' => 0]));
    }

    public function testStepsGoFromEachAloneOverEachBoxToAllTogether(): void
    {
        $input = Core::judge()->input('vrf.run_plan', ['boxes' => [['id' => 'B1', 'indoor' => ['I1', 'I2']], ['id' => 'B2', 'indoor' => ['I3']]]]);
        self::assertSame(['alone:I1', 'alone:I2', 'alone:I3', 'box:B1', 'all:2', 'all:3'], RunPlan::steps($input));
        $said = fn (string $step): string => Core::judge()->judge('vrf.run_plan', ['boxes' => [['id' => 'B1', 'indoor' => ['I1', 'I2']]], 'results' => [['step' => $step, 'passed' => false]]], 'us')->headline;
        self::assertSame(['I1 failed alone.', 'Box B1 failed as a whole.', 'It failed with 2 running.'], array_map($said, ['alone:I1', 'box:B1', 'all:2']));
    }

    public function testWhatIsStillOpenGoesOn(): void
    {
        $open = fn (string $check, array $input): Past => new Past([['check' => $check, 'subject' => 'machine', 'status' => 'open', 'codes' => [], 'input' => $input, 'values' => [], 'at' => 1]]);
        $plan = ['boxes' => [['id' => 'B1', 'indoor' => ['I1']]], 'results' => []];
        self::assertSame($plan, RunPlan::bringsIn($open('vrf.run_plan', $plan), 'machine'));
        self::assertSame([], RunPlan::bringsIn(self::past('vrf.run_plan', 'machine', $plan), 'machine'), 'what is done is not begun again');
        self::assertSame(['zones' => ['A']], CrossedZones::bringsIn($open('vrf.crossed_zones', ['zones' => ['A']]), 'machine'));
        $warm = ['powered_since' => '2026-01-15T07:00', 'coldest_24h' => '30 degF'];
        self::assertSame(['powered_since' => '2026-01-15T07:00'], WarmUp::bringsIn(self::past('vrf.warm_up', 'machine', $warm), 'machine'));
    }

    public function testAWarmUpHoldsTheStartWithAClock(): void
    {
        $on = ['coldest_24h' => '30 degF', 'now' => '2026-01-15T08:00-06:00', 'powered_since' => '2026-01-15T06:00-06:00', 'warm_up' => [['hours' => 5]]];
        self::assertSame('Hold the start until 11:00: 3 h of heat to go.', Core::judge()->judge('vrf.warm_up', $on, 'us')->headline);
        self::assertSame(['starts warm_up 180'], self::setsOff('vrf.warm_up', $on));
        self::assertSame('2026-01-15T11:00:00-06:00', self::judge('vrf.warm_up', $on)->values['earliest_start']->value);
        self::assertSame(['ends warm_up'], self::setsOff('vrf.warm_up', ['powered_since' => null] + $on));
        self::assertSame('The heaters have no power.', Core::judge()->judge('vrf.warm_up', ['powered_since' => null] + $on, 'us')->headline);
    }

    public function testAFaultIsSaidWithWhatTheSheetKnowsOfIt(): void
    {
        $script = fn (array $fault): array => ['script' => [['code' => 'A1', 'passes_when' => 'A2', 'on_fault' => [['code' => 'E4'] + $fault]]], 'indoor' => [['id' => 'I1', 'ready' => true]], 'step' => 0, 'shown' => 'E4', 'minutes_in_step' => 1];
        $said = fn (array $fault): array => [Core::judge()->judge('vrf.commission', $script($fault), 'us')->headline, Core::judge()->judge('vrf.commission', $script($fault), 'us')->next[0] ?? ''];
        self::assertSame(['E4: lost unit.', 'Stop the script, and look at: bus joints.'], $said(['meaning' => 'lost unit', 'look_at' => 'bus joints']));
        self::assertSame(['E4.', 'Stop the script, and look it up on the sheet.'], $said([]));
    }

    public function testTheSumOfASystemIsJudgedInItsSmallestRoom(): void
    {
        $in = ['charge_rule' => ['factory_charge' => '10 kg', 'included_length' => '30 m', 'rates' => [['liquid_od' => '3/8 in', 'per_length' => '50 g/m']]], 'lines' => [['liquid_od' => '3/8 in', 'length' => '40 m']], 'already_in' => '12 kg', 'smallest_room' => ['volume' => '10 m3'], 'refrigerant' => 'R-410A'];
        self::assertSame(['stop', ['over_rcl']], self::found('vrf.charge', $in));
        self::assertEqualsWithDelta(1.2, (float) self::figure('vrf.charge', $in, 'concentration'), 1e-9);
        self::assertSame(['missing:already_in', 'missing:smallest_room'], self::judge('vrf.charge', ['already_in' => null, 'smallest_room' => null] + $in)->codes());
        self::assertArrayHasKey('total', self::judge('vrf.charge', ['already_in' => null] + $in)->values);
    }

    public function testADeviceOfNoBoxIsNamedByItsName(): void
    {
        $devices = [['id' => 'I1', 'kind' => 'indoor', 'box' => 'B1', 'address' => 1], ['id' => 'I2', 'kind' => 'indoor', 'address' => 2]];
        self::assertSame('Still need: I2 on box.', Core::judge()->judge('vrf.addresses', ['devices' => $devices, 'powered' => false], 'us')->headline);
        self::assertSame('vrf.addresses', (new Addresses())->id());
    }
}
