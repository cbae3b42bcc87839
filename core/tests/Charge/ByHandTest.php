<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Charge;

use IronStart\Core\Charge\RoomLimit;
use IronStart\Core\Charge\Trim;
use IronStart\Core\Charge\WeighIn;
use IronStart\Core\Check\Past;
use IronStart\Core\Core;
use IronStart\Core\Refrigerant\PressureTable;
use IronStart\Core\Refrigerant\Refrigerant;
use IronStart\Core\Tests\Judges;
use IronStart\Core\Verdict\Finding;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Charges against figures worked out by hand. */
final class ByHandTest extends TestCase
{
    use Judges;

    private const RULE = ['factory_charge' => '228 oz', 'included_length' => '15 ft', 'rates' => [['liquid_od' => '5/8 in', 'per_length' => '1.6 oz/ft'], ['liquid_od' => '3/8 in', 'per_length' => '0.6 oz/ft']], 'adders' => [['when' => 'second drier', 'mass' => '4 oz'], ['when' => 'always', 'mass' => '1 oz'], ['when' => 'AH-240', 'mass' => '6 oz']]];
    private const READ = ['suction_pressure' => '118 psig', 'suction_line' => '52 degF', 'liquid_pressure' => '340 psig', 'liquid_line' => '94 degF'];
    private const UNIT = ['refrigerant' => 'R-410A', 'metering' => 'txv', 'target_subcooling' => '10 delta_degF', 'running_minutes' => 24, 'outdoor_db' => '85 degF', 'indoor_airflow' => 'ok'];

    public function testTheSumIsFactoryLinesAndParts(): void
    {
        $in = ['charge_rule' => self::RULE, 'lines' => [['liquid_od' => '5/8 in', 'length' => '64 ft']], 'applies' => [['when' => 'Second  Drier', 'count' => 2]], 'already_in' => '228 oz'];
        $of = fn (array $more, string $name): float => (float) self::figure('charge.weigh_in', $more + $in, $name);
        self::assertEqualsWithDelta([78.4, 9.0, 315.4, 87.4], [$of([], 'line_charge'), $of([], 'adders'), $of([], 'total'), $of([], 'to_go')], 1e-4);
        self::assertEqualsWithDelta(15.0, $of(['matched_indoor' => 'ah-240'], 'adders'), 1e-4, 'an indoor unit that is matched counts once');
        self::assertEqualsWithDelta(64 * 1.6, $of(['charge_rule' => ['per_total_length' => true] + self::RULE], 'line_charge'), 1e-4, 'over the whole length');
        $two = ['lines' => [['liquid_od' => '3/8 in', 'length' => '20 ft'], ['liquid_od' => '5/8 in', 'length' => '10 ft'], ['liquid_od' => '3/8 in', 'length' => '5 ft']]];
        self::assertEqualsWithDelta(20 * 0.6, $of($two, 'line_charge'), 1e-4, 'what is included counts from the larger size on');
        $scale = ['ledger' => [['cylinder' => 'V-1', 'start' => '400 oz', 'end' => '350 oz'], ['cylinder' => 'V-2', 'start' => '300 oz', 'end' => '280 oz']]];
        self::assertEqualsWithDelta([70.0, 17.4], [$of($scale, 'in_so_far'), $of($scale, 'to_go')], 1e-4);
    }

    public function testAShortLineTakesOutOnlyWhereTheSheetSaysSo(): void
    {
        $in = ['lines' => [['liquid_od' => '5/8 in', 'length' => '10 ft']], 'already_in' => '228 oz'];
        self::assertEqualsWithDelta(0.0, self::figure('charge.weigh_in', ['charge_rule' => self::RULE] + $in, 'line_charge'), 1e-6);
        self::assertEqualsWithDelta(-8.0, self::figure('charge.weigh_in', ['charge_rule' => ['remove_for_short' => true] + self::RULE] + $in, 'line_charge'), 1e-4);
    }

    public function testTheLengthsAreAskedWhereTheyCount(): void
    {
        $in = ['already_in' => '228 oz'];
        $codes = fn (array $rule): array => self::found('charge.weigh_in', ['charge_rule' => $rule] + $in)[1];
        self::assertContains('missing:lines', $codes(self::RULE));
        self::assertContains('missing:lines', $codes(['factory_charge' => '9 lb', 'included_length' => '15 ft']), 'what is included asks for them');
        self::assertContains('missing:lines', $codes(['factory_charge' => '9 lb', 'rates' => self::RULE['rates']]), 'so do rates');
        self::assertNotContains('missing:lines', $codes(['factory_charge' => '9 lb']));
    }

    public function testEachTermIsToldAsItIsReckoned(): void
    {
        $judgement = self::judge('charge.weigh_in', ['charge_rule' => self::RULE, 'lines' => [['liquid_od' => '5/8 in', 'length' => '64 ft']], 'applies' => [['when' => 'second drier']], 'already_in' => '315 oz']);
        self::assertContains('term_line', array_map(fn (Finding $f): string => $f->phrase, $judgement->findings));
        $said = Core::judge()->judge('charge.weigh_in', ['charge_rule' => self::RULE, 'lines' => [['liquid_od' => '5/8 in', 'length' => '64 ft']], 'already_in' => '10 oz'], 'us')->because;
        self::assertContains('49 ft of 5/8 in.: 4 lb 14 oz.', $said);
    }

    public function testAWeighingThatIsNotDoneIsCarriedOn(): void
    {
        $input = ['charge_rule' => self::RULE, 'lines' => [['liquid_od' => '5/8 in', 'length' => '64 ft']], 'already_in' => '228 oz'];
        $past = new Past([['check' => 'charge.weigh_in', 'subject' => 'circuit:A', 'status' => 'open', 'codes' => [], 'input' => $input, 'values' => [], 'at' => 1]]);
        self::assertSame(['lines', 'already_in'], array_keys(WeighIn::bringsIn($past, 'circuit:A')), 'the sheet gives its rule anew');
    }

    public function testWhatWasWeighedInIsWhatATrimStartsFrom(): void
    {
        $entry = fn (string $check, string $status, array $input, array $values, int $at): array => ['check' => $check, 'subject' => 'circuit:A', 'status' => $status, 'codes' => [], 'input' => $input, 'values' => $values, 'at' => $at];
        $weighed = $entry('charge.weigh_in', 'clear', [], ['total' => ['value' => 306.4, 'unit' => 'oz']], 1);
        self::assertSame(['weighed_total' => ['value' => 306.4, 'unit' => 'oz']], Trim::bringsIn(new Past([$weighed]), 'circuit:A'));
        self::assertSame([], Trim::bringsIn(new Past([$weighed]), 'circuit:B'));
        $begun = $entry('charge.trim', 'open', ['weighed_total' => '300 oz', 'size' => '20 ton'], [], 2);
        self::assertSame(['weighed_total' => '300 oz', 'size' => '20 ton'], Trim::bringsIn(new Past([$weighed, $begun]), 'circuit:A'), 'what was typed stays');
    }

    public function testTheChargeThatWasFiguredIsWhatARoomIsHeldAgainst(): void
    {
        $entry = fn (string $check, string $subject, array $input, float $total): array => ['check' => $check, 'subject' => $subject, 'status' => 'clear', 'codes' => [], 'input' => $input, 'values' => ['total' => ['value' => $total, 'unit' => 'oz']], 'at' => 1];
        $brings = fn (string $subject, array ...$recorded): array => RoomLimit::bringsIn(new Past(array_values($recorded)), $subject);
        $room = ['smallest_room' => ['area' => '103 ft2', 'height' => '8.5 ft'], 'mitigation' => ['ventilation']];
        self::assertSame([], $brings('machine'));
        self::assertSame(['total_charge' => ['value' => 306.4, 'unit' => 'oz']], $brings('circuit:A', $entry('charge.weigh_in', 'circuit:A', $room, 306.4)), 'a weighing says nothing of a room');
        $system = $entry('vrf.charge', 'machine', $room + ['already_in' => '26 lb'], 700.0);
        self::assertSame(['total_charge' => ['value' => 700.0, 'unit' => 'oz']] + $room, $brings('machine', $entry('charge.weigh_in', 'machine', [], 306.4), $system));
        self::assertSame([], $brings('circuit:A', $system));
    }

    /** @return iterable<string, array{float, float|null, float|null}> outdoor and indoor °F, target psig */
    public static function chart(): iterable
    {
        yield 'at a point' => [80, 62, 300.0];
        yield 'between two outdoors' => [85, 62, 320.0];
        yield 'between two columns' => [80, 64.5, 307.5];
        yield 'between all four' => [85, 64.5, 330.0];
        yield 'a little past the end' => [92, 62, 340.0];
        yield 'further past' => [92.1, 62, null];
        yield 'a little before the first' => [78, 62, 300.0];
        yield 'further before' => [77.9, 62, null];
        yield 'past the last column' => [80, 69, 315.0];
        yield 'further past the column' => [80, 69.1, null];
        yield 'before the first column' => [80, 60, 300.0];
        yield 'further before the column' => [80, 59.9, null];
    }

    #[DataProvider('chart')]
    public function testAChartIsReadByStraightLinesAndTwoDegreesBeyond(float $outdoor, ?float $indoor, ?float $target): void
    {
        $point = fn (int $out, int $in, int $psig): array => ['outdoor' => "$out degF", 'indoor' => "$in degF", 'value' => "$psig psig"];
        $chart = ['target' => 'liquid_pressure', 'indoor' => 'wet_bulb', 'tolerance' => '5 psi', 'points' => [$point(90, 67, 365), $point(80, 62, 300), $point(90, 62, 340), $point(80, 67, 315)]];
        $input = ['chart' => $chart, 'outdoor_db' => "$outdoor degF", 'indoor_wb' => "$indoor degF"] + array_diff_key(self::UNIT, ['target_subcooling' => 1]) + self::READ;
        $found = self::figure('charge.state', $input, 'target');
        $target === null ? self::assertNull($found) : self::assertEqualsWithDelta($target, $found, 1e-6);
        self::assertSame($target === null, in_array('outside_chart', self::found('charge.state', $input)[1], true));
    }

    public function testLiftAndLineLossTakeSubcoolingFromTheValve(): void
    {
        $r410a = Refrigerant::named('R-410A');
        self::assertNotNull($r410a);
        $liquid = 340 * 6894.757 + 101_325;
        $at = $liquid - $r410a->liquidDensity($r410a->bubbleTemperature($liquid)) * 9.80665 * 6.096 - 2 * 6894.757;
        $subcooling = 1.8 * ($r410a->bubbleTemperature($at)) - 459.67 - 94;
        self::assertEqualsWithDelta($subcooling, (float) self::figure('charge.state', ['liquid_lift' => '20 ft', 'line_drop' => '2 psi'] + self::UNIT + self::READ, 'subcooling_at_valve'), 1e-4);
    }

    public function testOunceByOunceTheSlopeTellsWhatIsLeft(): void
    {
        // 20 oz brought 4 °F, so as much again brings the last 4.
        $trim = ['metering' => 'txv', 'target' => '12 delta_degF', 'weighed_total' => '300 oz', 'size' => '20 ton', 'steps' => [['mass_in_total' => '260 oz', 'subcooling' => '4 delta_degF'], ['mass_in_total' => '280 oz', 'subcooling' => '8 delta_degF']]];
        self::assertEqualsWithDelta([4.0, 20.0], [self::figure('charge.trim', $trim, 'error'), self::figure('charge.trim', $trim, 'next')], 1e-4);
        self::assertEqualsWithDelta(10.0, self::figure('charge.trim', ['weighed_total' => '263.64 oz'] + $trim, 'next'), 0.01, 'never past 110 % of what was weighed');
    }

    public function testAPressureTableIsWhatAGaugeShowsAtAPlace(): void
    {
        $r22 = Refrigerant::named('R-22');
        self::assertNotNull($r22);
        $sea = PressureTable::of($r22, 'degF', 'psig', 101_325.0, 5);
        self::assertSame([-40.0, -35.0], [$sea[0][0], $sea[1][0]]);
        self::assertSame(160.0, $sea[count($sea) - 1][0]);
        self::assertEqualsWithDelta(68.6, array_column($sea, 2, 0)[40.0] ?? $sea[16][2], 0.1, 'R-22 at 40 °F');
        self::assertSame($sea[16][1], $sea[16][2], 'a single fluid has one line');
        $high = PressureTable::of($r22, 'degF', 'psig', 83_400.0, 5);
        self::assertEqualsWithDelta((101_325 - 83_400) / 6894.757, $high[16][2] - $sea[16][2], 1e-6);
        $celsius = PressureTable::of($r22, 'degC', 'barg', 101_325.0, 1);
        self::assertSame([-40.0, 71.0, 112], [$celsius[0][0], $celsius[count($celsius) - 1][0], count($celsius)]);
        self::assertEqualsWithDelta(3.97, $celsius[40][2], 0.01, '0 °C');
        self::assertSame(0.0, PressureTable::glide($r22, 277.6));
        self::assertEqualsWithDelta(9.8, 1.8 * PressureTable::glide(Refrigerant::named('R-407C') ?? $r22, 277.6), 1.5);
    }

    /** @return iterable<string, array{string, string, array<string, mixed>, array<string, mixed>, array<string, mixed>}> check and code, what is always so, without it, with it */
    public static function limits(): iterable
    {
        $rule = ['charge_rule' => ['factory_charge' => '100 oz'], 'already_in' => '0 oz'];
        $scale = fn (float $in): array => ['ledger' => [['start' => '400 oz', 'end' => (400 - $in) . ' oz']]];
        yield 'no scale minds half an ounce to go' => ['charge.weigh_in', 'to_go', $rule, $scale(99.5), $scale(99.45)];
        yield 'nor half an ounce over' => ['charge.weigh_in', 'over', $rule, $scale(100.5), $scale(100.55)];
        yield 'a wet bulb under the dry bulb' => ['charge.target_superheat', 'wet_bulb_doubtful', ['indoor_wb' => '62 degF', 'outdoor_db' => '85 degF'], ['indoor_db' => '65 degF'], ['indoor_db' => '62 degF']];
        $table = ['table' => [['outdoor' => 'D', 'indoor' => 'A', 'orifice' => 70]], 'outdoor' => 'D', 'indoor' => 'A'];
        yield 'an orifice of the same size' => ['charge.orifice', 'wrong_orifice', $table, ['installed' => 70.25], ['installed' => 70.27]];
        yield 'a smaller orifice of the same size' => ['charge.orifice', 'wrong_orifice', $table, ['installed' => 69.75], ['installed' => 69.73]];
        yield 'one in the box' => ['charge.orifice', 'in_the_box', $table + ['installed' => 60], ['shipped' => [70.27]], ['shipped' => [60, 70.25]]];
        $room = ['refrigerant' => 'R-32', 'smallest_room' => ['area' => '20 m2', 'volume' => '1000 m3'], 'release' => 'floor'];
        yield 'over the floor it may burn on' => ['charge.room_limit', 'over_area_screen', $room, ['total_charge' => '0.90 kg'], ['total_charge' => '0.93 kg']];
    }

    /**
     * @param array<string, mixed> $base
     * @param array<string, mixed> $without
     * @param array<string, mixed> $with
     */
    #[DataProvider('limits')]
    public function testALimitBelongsToItsMilderSide(string $check, string $code, array $base, array $without, array $with): void
    {
        self::assertNotContains($code, self::found($check, $without + $base)[1]);
        self::assertContains($code, self::found($check, $with + $base)[1]);
    }

    public function testASmallChargeOfALittleFlammableRefrigerantOnlyWarnsWhereTheFloorAloneIsTooSmall(): void
    {
        $lfl = Refrigerant::named('R-32')?->lfl();
        self::assertNotNull($lfl);
        $status = fn (float $kg, array $more = []): string => self::found('charge.room_limit', $more + ['refrigerant' => 'R-32', 'smallest_room' => ['area' => '20 m2', 'volume' => '1000 m3'], 'release' => 'floor', 'total_charge' => "$kg kg"])[0];
        self::assertSame('watch', $status(5.999 * $lfl));
        self::assertSame('stop', $status(6.001 * $lfl));
        self::assertSame('stop', $status(5.999 * $lfl, ['class' => 'A2']), 'what burns better');
    }

    public function testOnlyWhatBoundsALeakLetsARoomBurnThatMay(): void
    {
        $status = fn (string ...$there): string => self::found('charge.room_limit', ['refrigerant' => 'R-32', 'smallest_room' => ['area' => '3 m2', 'height' => '2.2 m'], 'release' => 'ceiling', 'total_charge' => '3 kg', 'mitigation' => $there])[0];
        self::assertSame(['stop', 'stop', 'stop', 'watch', 'watch'], [$status(), $status('opening'), $status('ventilation'), $status('detection_shutoff'), $status('split_circuit')]);
    }

    public function testABlendIsChargedAsLiquidAndOnlyABlendIsToldSo(): void
    {
        $told = fn (string $refrigerant, string $subcooling): bool => in_array('blend', array_map(fn (Finding $f): string => $f->code, self::judge('charge.trim', ['refrigerant' => $refrigerant, 'metering' => 'txv', 'target' => '10 delta_degF', 'weighed_total' => '160 oz', 'size' => '5 ton', 'steps' => [['mass_in_total' => '150 oz', 'subcooling' => $subcooling]]])->findings), true);
        self::assertSame([true, false, false], [$told('R-454B', '5 delta_degF'), $told('R-22', '5 delta_degF'), $told('R-454B', '9 delta_degF')]);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function contradictions(): iterable
    {
        $valve = ['metering' => 'txv', 'target' => '10 delta_degF'];
        $fixed = ['metering' => 'fixed', 'target' => '12 delta_degF'];
        yield 'a valve that lets too much through' => [$valve + ['steps' => [['mass_in_total' => '150 oz', 'subcooling' => '5 delta_degF', 'superheat' => '4.9 delta_degF']]], 'overfed'];
        yield 'one that starves' => [$valve + ['steps' => [['mass_in_total' => '150 oz', 'subcooling' => '15 delta_degF', 'superheat' => '20.1 delta_degF']]], 'starved'];
        yield 'an orifice that lets too much through' => [$fixed + ['steps' => [['mass_in_total' => '150 oz', 'superheat' => '7 delta_degF', 'subcooling' => '4.9 delta_degF']]], 'overfed'];
        yield 'one that is blocked' => [$fixed + ['steps' => [['mass_in_total' => '150 oz', 'superheat' => '17 delta_degF', 'subcooling' => '15.1 delta_degF']]], 'starved'];
        yield 'more than the scale may' => [$valve + ['steps' => [['mass_in_total' => '176 oz', 'subcooling' => '5 delta_degF']]], 'over_total'];
        yield 'less than the scale may' => [$valve + ['steps' => [['mass_in_total' => '144 oz', 'subcooling' => '15 delta_degF']]], 'under_total'];
    }

    /** @param array<string, mixed> $input */
    #[DataProvider('contradictions')]
    public function testWhatScaleAndThermometerContradictStopsTheCharging(array $input, string $code): void
    {
        $found = [];
        foreach (self::judge('charge.trim', $input + ['weighed_total' => '160 oz', 'size' => '5 ton'])->findings as $finding) {
            $found[$finding->code] = $finding->status->value;
        }
        self::assertSame([$code => 'stop', 'not_charge' => 'stop'], $found);
        self::assertSame(0.0, self::figure('charge.trim', $input + ['weighed_total' => '160 oz', 'size' => '5 ton'], 'next'));
    }

    public function testTheNextStepGoesByTheLastSlopeAndByAllOfThemWhereThatAnswersTooLittle(): void
    {
        $of = fn (array $steps): array => ['metering' => 'txv', 'target' => '10 delta_degF', 'weighed_total' => '160 oz', 'size' => '5 ton', 'steps' => array_map(fn (array $s): array => ['mass_in_total' => "$s[0] oz", 'subcooling' => "$s[1] delta_degF"], $steps)];
        $estimate = fn (array $steps): ?float => self::figure('charge.trim', $of($steps), 'estimate');
        self::assertEqualsWithDelta(4.0 / 0.2, $estimate([[130, 2], [140, 4], [150, 6]]), 1e-6);
        self::assertEqualsWithDelta(3.9 / (4.1 / 20), $estimate([[130, 2], [140, 6], [150, 6.1]]), 1e-6, 'by all of them');
        self::assertEqualsWithDelta(3.5 / 0.15, $estimate([[130, 6], [140, 5], [150, 6.5]]), 1e-6, 'by the last one');
        self::assertNull($estimate([[130, 6], [140, 6], [150, 6]]));
        self::assertContains('not_charge', self::found('charge.trim', $of([[130, 6], [140, 6], [150, 6]]))[1]);
    }
}
