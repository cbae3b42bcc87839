<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Charge;

use IronStart\Core\Refrigerant\Refrigerant;
use IronStart\Core\Tests\Judges;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Value;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Every limit of a running circuit from both its sides, by temperatures: R-32 has no glide, so each is where it is set. */
final class StateTest extends TestCase
{
    use Judges;

    /** °F: dew of the suction, superheat, bubble of the liquid, subcooling. */
    private const USUAL = ['dew' => 42.0, 'sh' => 12.0, 'bubble' => 105.0, 'sc' => 10.0];
    private const UNIT = ['refrigerant' => 'R-32', 'metering' => 'txv', 'running_minutes' => 24, 'outdoor_db' => '85 degF', 'indoor_airflow' => 'ok', 'target_subcooling' => '10 delta_degF'];
    private const FIXED = ['metering' => 'fixed', 'target_superheat' => '12 delta_degF'];
    private const CHART = ['target' => 'liquid_pressure', 'indoor' => 'wet_bulb', 'tolerance' => '5 psi', 'points' => [['outdoor' => '80 degF', 'indoor' => '62 degF', 'value' => '340 psig'], ['outdoor' => '90 degF', 'indoor' => '62 degF', 'value' => '400 psig'], ['outdoor' => '80 degF', 'indoor' => '72 degF', 'value' => '350 psig'], ['outdoor' => '90 degF', 'indoor' => '72 degF', 'value' => '410 psig']]];

    /**
     * @param array<string, mixed> $more figures of USUAL, and fields of the check
     * @return array<string, mixed>
     */
    private static function input(array $more): array
    {
        $read = self::read($more);

        return array_filter(array_diff_key($more, self::USUAL) + $read + ['history' => [['minutes' => 12] + $read, ['minutes' => 18] + $read]] + self::UNIT, fn (mixed $v): bool => $v !== null);
    }

    /**
     * @param array<string, mixed> $more
     * @return array<string, string>
     */
    private static function read(array $more): array
    {
        ['dew' => $dew, 'sh' => $sh, 'bubble' => $bubble, 'sc' => $sc] = array_intersect_key($more, self::USUAL) + self::USUAL;
        $r32 = Refrigerant::named('R-32');
        self::assertNotNull($r32);
        $psig = fn (float $degF): string => sprintf('%.6F psig', ($r32->dewPressure(($degF + 459.67) / 1.8) - 101_325) / 6894.757293);

        return ['suction_pressure' => $psig((float) $dew), 'suction_line' => sprintf('%.6F degF', $dew + $sh), 'liquid_pressure' => $psig((float) $bubble), 'liquid_line' => sprintf('%.6F degF', $bubble - $sc)];
    }

    /** @return iterable<string, array{string, array<string, mixed>, array<string, mixed>, array<string, mixed>}> the code, what is always so, without it, and just over with it */
    public static function limits(): iterable
    {
        yield 'a quarter of an hour' => ['wait', [], ['running_minutes' => 15, 'history' => null], ['running_minutes' => 14.95, 'history' => null]];
        yield 'ten minutes since a change' => ['wait', [], ['minutes_since_change' => 10], ['minutes_since_change' => 9.95]];
        yield 'a history of five minutes' => ['wait', [], ['history' => [['minutes' => 19] + self::read([])]], ['history' => [['minutes' => 19.05] + self::read([])]]];
        yield 'subcooling steady' => ['still_moving', [], ['history' => [['minutes' => 18] + self::read(['sc' => 11.99])]], ['history' => [['minutes' => 18] + self::read(['sc' => 12.01])]]];
        yield 'superheat of a fixed orifice steady' => ['still_moving', self::FIXED, ['history' => [['minutes' => 18] + self::read(['sh' => 13.99])]], ['history' => [['minutes' => 18] + self::read(['sh' => 14.01])]]];
        yield 'superheat of a valve may hunt' => ['hunting', [], ['history' => [['minutes' => 18] + self::read(['sh' => 16.99])]], ['history' => [['minutes' => 18] + self::read(['sh' => 17.01])]]];
        yield 'only of a valve' => ['hunting', ['history' => [['minutes' => 18] + self::read(['sh' => 17.1])]], self::FIXED, []];
        yield 'too little to charge by' => ['too_little_margin', ['metering' => 'fixed', 'indoor_wb' => '60 degF'], ['outdoor_db' => '89.99 degF'], ['outdoor_db' => '90.01 degF']];
        yield 'no proof that it is steady' => ['not_proved_steady', [], [], ['history' => []]];
        yield 'readings together' => ['readings_apart', [], ['readings_apart' => 2], ['readings_apart' => 2.05]];
        yield 'the discharge port' => ['discharge_port', ['port' => 'discharge'], ['condenser_drop' => '3 psi'], []];
        yield 'the liquid port' => ['discharge_port', [], [], ['port' => 'discharge']];
        yield 'airflow checked' => ['airflow_not_checked', [], ['indoor_airflow' => 'ok'], ['indoor_airflow' => 'not_checked']];
        yield 'head over the air' => ['head_high', ['sc' => 10], ['bubble' => 124.99], ['bubble' => 125.01]];
        yield 'head over its split' => ['head_high', ['condenser_split' => '15 delta_degF'], ['bubble' => 109.99], ['bubble' => 110.01]];
        yield 'head over air nobody read' => ['head_high', ['bubble' => 126], ['outdoor_db' => null], []];
        yield 'low head' => ['head_low', ['outdoor_db' => '60 degF'], ['bubble' => 75.01], ['bubble' => 74.99]];
        yield 'air outside' => ['outdoor_not_read', [], [], ['outdoor_db' => null]];
        yield 'head at the air' => ['head_near_air', [], ['bubble' => 90.01], ['bubble' => 89.99]];
        yield 'head near air nobody read' => ['head_near_air', ['bubble' => 80], ['outdoor_db' => null], []];
        yield 'head under the air' => ['condensing_below_ambient', ['sc' => 0.1], ['bubble' => 82.01], ['bubble' => 81.99]];
        yield 'liquid under the air' => ['liquid_colder_than_air', ['bubble' => 95], ['sc' => 12.99], ['sc' => 13.01]];
        yield 'lines swapped' => ['lines_swapped', ['sc' => 20], ['sh' => 52.99], ['sh' => 53.01]];
        yield 'ice' => ['coil_may_ice', [], ['dew' => 30.01], ['dew' => 29.99]];
        yield 'ice only where it cools rooms' => ['coil_may_ice', ['dew' => 20], ['application' => 'refrigeration'], []];
        yield 'ice only while it cools' => ['coil_may_ice', ['dew' => 20], ['mode' => 'heat'], []];
        yield 'air for an iced coil' => ['check_airflow', ['dew' => 29], ['indoor_airflow' => 'ok'], ['indoor_airflow' => 'not_checked']];
        yield 'a warm coil' => ['load_high', ['bubble' => 110], ['dew' => 57.99], ['dew' => 58.01]];
        yield 'a warm coil that cools no room' => ['load_high', ['dew' => 59, 'bubble' => 110], ['application' => 'refrigeration'], []];
        yield 'low outside' => ['low_ambient', ['bubble' => 90], ['outdoor_db' => '55 degF'], ['outdoor_db' => '54.95 degF']];
        yield 'low outside, by the sheet' => ['low_ambient', ['bubble' => 90, 'min_outdoor' => '40 degF'], ['outdoor_db' => '40 degF'], ['outdoor_db' => '39.95 degF']];
        yield 'doors' => ['doors_off', [], ['doors_on' => true], ['doors_on' => false]];
        yield 'doors nobody asked for' => ['doors_off', [], [], ['doors_on' => false]];
        yield 'low air' => ['airflow_first', [], ['indoor_airflow' => 'not_checked'], ['indoor_airflow' => 'low']];
        yield 'the other circuit' => ['other_circuit', [], ['same_circuit' => true], ['same_circuit' => false]];
        yield 'heating' => ['heating_mode', [], ['mode' => 'cool'], ['mode' => 'heat']];
        yield 'a bypass' => ['bypass_active', [], [], ['bypass_active' => true]];
        yield 'full stage' => ['not_at_full_stage', ['compressor' => 'staged'], ['running' => 'full'], ['running' => 'part']];
        yield 'full stage of a digital one' => ['not_at_full_stage', ['compressor' => 'digital'], ['running' => 'full'], ['running' => 'part']];
        yield 'test mode' => ['not_in_test_mode', ['compressor' => 'inverter'], ['running' => 'test_mode'], ['running' => 'full']];
        yield 'a receiver' => ['receiver', [], [], ['receiver' => true]];
        yield 'a wet condenser' => ['condenser_wet', [], [], ['condenser_wet' => true]];
        yield 'fans that cycle' => ['fans_cycling', [], [], ['fans_cycling' => true]];
        yield 'a dry sock' => ['wet_bulb_doubtful', ['metering' => 'fixed', 'indoor_wb' => '62 degF'], ['indoor_db' => '65 degF'], ['indoor_db' => '64.95 degF']];
        yield 'a sock the target does not ask for' => ['wet_bulb_doubtful', ['metering' => 'fixed', 'indoor_wb' => '62 degF', 'indoor_db' => '63 degF'], ['target_superheat' => '12 delta_degF'], []];
        yield 'a sock a valve does not ask for' => ['wet_bulb_doubtful', ['indoor_wb' => '62 degF', 'indoor_db' => '63 degF'], [], ['metering' => 'fixed']];
        yield 'not pumping' => ['not_pumping', ['dew' => 80, 'outdoor_db' => '75 degF'], ['bubble' => 98.42], ['bubble' => 98.41]];
        yield 'not pumping from its first minute on' => ['not_pumping', ['dew' => 80, 'bubble' => 90, 'history' => null], ['running_minutes' => 0.95], ['running_minutes' => 1]];
        yield 'liquid on its way' => ['flooding', [], ['sh' => 2.01], ['sh' => 1.99]];
        yield 'close to it' => ['near_flooding', [], ['sh' => 5.01], ['sh' => 4.99]];
        yield 'close to it for the sheet' => ['near_flooding', ['min_superheat' => '8 delta_degF'], ['sh' => 8.01], ['sh' => 7.99]];
        yield 'at the compressor' => ['flooding', ['suction_at' => 'compressor'], ['sh' => 5.01], ['sh' => 4.99]];
        yield 'every start floods a little' => ['flooding', ['sh' => 1, 'history' => null], ['running_minutes' => 4.95], ['running_minutes' => 5]];
        yield 'no seal' => ['no_liquid_seal', [], ['sc' => 0.01], ['sc' => -0.01]];
        yield 'right' => ['add', [], ['sc' => 7.01], ['sc' => 6.99]];
        yield 'right, and too much' => ['recover', [], ['sc' => 12.99], ['sc' => 13.01]];
        yield 'right by superheat' => ['add', self::FIXED, ['sh' => 14.99], ['sh' => 15.01]];
        yield 'too much by superheat' => ['recover', self::FIXED, ['sh' => 9.01], ['sh' => 8.99]];
        yield 'the drier' => ['drier_restricted', [], ['drier_drop' => '3 delta_degF'], ['drier_drop' => '3.05 delta_degF']];
        yield 'weak by its head' => ['weak_compressor', ['dew' => 51, 'outdoor_db' => '85 degF', 'sc' => 7.5], ['bubble' => 95.01], ['bubble' => 94.99]];
        yield 'weak by half its split' => ['weak_compressor', ['dew' => 51, 'condenser_split' => '16 delta_degF', 'sc' => 7.5], ['bubble' => 93.01], ['bubble' => 92.99]];
        yield 'weak by its suction' => ['weak_compressor', ['bubble' => 94, 'sc' => 7.5], ['dew' => 49.99], ['dew' => 50.01]];
        yield 'weak where it cools rooms' => ['weak_compressor', ['bubble' => 94, 'dew' => 52, 'sc' => 7.5], ['application' => 'refrigeration'], []];
        yield 'starved' => ['starved', ['sc' => 14], ['sh' => 19.99], ['sh' => 20.01]];
        yield 'starved with a cold coil' => ['starved', ['sc' => 14, 'sh' => 17], ['dew' => 34.01], ['dew' => 33.99]];
        yield 'starved, cold, by superheat' => ['starved', ['sc' => 14, 'dew' => 33], ['sh' => 14.99], ['sh' => 15.01]];
        yield 'starved orifice' => ['starved', ['sh' => 16] + self::FIXED, ['sc' => 14.99], ['sc' => 15.01]];
        yield 'starved takes too much of it' => ['starved', ['sh' => 21], ['sc' => 12.9], ['sc' => 13.1]];
        yield 'a cold coil with too much' => ['cold_coil', ['sc' => 14], ['dew' => 30.1], ['dew' => 29.9]];
        yield 'a cold coil with too little, and not starved' => ['cold_coil', ['dew' => 29, 'sc' => 6], ['sh' => 15.01], ['sh' => 14.99]];
        yield 'overfed' => ['overfed', ['sc' => 6], ['sh' => 5.01], ['sh' => 4.99]];
        yield 'overfed orifice' => ['overfed', ['sh' => 8] + self::FIXED, ['sc' => 5.01], ['sc' => 4.99]];
        yield 'short with a high head' => ['short_with_high_head', ['sc' => 6], ['bubble' => 124.9], ['bubble' => 125.1]];
        yield 'short over the nameplate' => ['short_with_high_head', ['sc' => 6], ['plate_high_pressure' => '700 psig'], ['plate_high_pressure' => '200 psig']];
        yield 'superheat high though right' => ['superheat_high', [], ['sh' => 19.99], ['sh' => 20.01]];
        yield 'superheat low though right' => ['superheat_low', [], ['sh' => 5.01], ['sh' => 4.99]];
        yield 'subcooling high though right' => ['subcooling_high', self::FIXED, ['sc' => 19.99], ['sc' => 20.01]];
        yield 'subcooling low though right' => ['subcooling_low', self::FIXED, ['sc' => 2.01], ['sc' => 1.99]];
        yield 'too hot to judge' => ['pull_down_first', ['sc' => 6], ['dew' => 57.9], ['dew' => 58.1]];
        yield 'look at the drier first' => ['check_drier', ['sc' => 6], ['sh' => 19.99], ['sh' => 20.01]];
        yield 'the drier was read' => ['check_drier', ['sc' => 6, 'sh' => 21], ['drier_drop' => '1 delta_degF'], []];
        yield 'the drier of an orifice' => ['check_drier', ['sh' => 16] + self::FIXED, ['sc' => 9.99], ['sc' => 10.01]];
        yield 'air in it' => ['check_non_condensables', ['sc' => 14], ['bubble' => 114.99], ['bubble' => 115.01]];
        yield 'air in it by its split' => ['check_non_condensables', ['sc' => 14, 'condenser_split' => '20 delta_degF'], ['bubble' => 109.99], ['bubble' => 110.01]];
        yield 'air in it over the nameplate' => ['check_non_condensables', ['sc' => 14], ['plate_high_pressure' => '700 psig'], ['plate_high_pressure' => '200 psig']];
        yield 'only with too much' => ['check_non_condensables', ['bubble' => 116], ['sc' => 6], ['sc' => 14]];
        yield 'air first' => ['check_airflow', ['sc' => 6], ['indoor_airflow' => 'ok'], ['indoor_airflow' => null]];
        yield 'flashes' => ['may_flash', ['liquid_lift' => '0 ft', 'sc' => 8], ['line_drop' => '28.6 psi'], ['line_drop' => '28.7 psi']];
        yield 'flashes by its lift' => ['may_flash', ['sc' => 8], ['liquid_lift' => '74 ft'], ['liquid_lift' => '74.3 ft']];
        yield 'no line, no flash' => ['may_flash', ['sc' => 1], [], ['liquid_lift' => '20 ft']];
        yield 'over the nameplate' => ['over_plate_pressure', [], ['plate_high_pressure' => '700 psig'], ['plate_high_pressure' => '200 psig']];
        yield 'outside the chart' => ['outside_chart', ['chart' => self::CHART, 'indoor_wb' => '62 degF'], ['outdoor_db' => '92 degF'], ['outdoor_db' => '92.05 degF']];
        yield 'under the chart' => ['outside_chart', ['chart' => self::CHART, 'indoor_wb' => '62 degF'], ['outdoor_db' => '78 degF'], ['outdoor_db' => '77.95 degF']];
        yield 'beside the chart' => ['outside_chart', ['chart' => self::CHART], ['indoor_wb' => '74 degF'], ['indoor_wb' => '74.05 degF']];
        yield 'a dry sock on the chart' => ['wet_bulb_doubtful', ['chart' => self::CHART, 'indoor_wb' => '62 degF'], ['indoor_db' => '65 degF'], ['indoor_db' => '64.95 degF']];
        yield 'the chart goes lower' => ['low_ambient', ['bubble' => 90, 'chart' => ['points' => [['outdoor' => '45 degF', 'value' => '200 psig'], ['outdoor' => '90 degF', 'value' => '400 psig']], 'indoor' => 'none'] + self::CHART], ['outdoor_db' => '45 degF'], ['outdoor_db' => '44.95 degF']];
    }

    /**
     * @param array<string, mixed> $base
     * @param array<string, mixed> $without
     * @param array<string, mixed> $with
     */
    #[DataProvider('limits')]
    public function testEachLimitBelongsToItsMilderSide(string $code, array $base, array $without, array $with): void
    {
        $codes = fn (array $more): array => self::found('charge.state', self::input($more + $base))[1];
        self::assertNotContains($code, $codes($without));
        self::assertContains($code, $codes($with));
    }

    /** @return iterable<string, array{array<string, mixed>, array<string, string>}> */
    public static function grave(): iterable
    {
        yield 'pressures together' => [['dew' => 80, 'bubble' => 90], ['not_pumping' => 'stop', 'not_charge' => 'stop']];
        yield 'pressures together, half read' => [['dew' => 80, 'bubble' => 90, 'suction_line' => null, 'history' => null], ['not_pumping' => 'stop', 'not_charge' => 'stop']];
        yield 'no such subcooling' => [['sc' => -8], ['subcooling_impossible' => 'stop', 'not_charge' => 'stop']];
        yield 'over its plate' => [['plate_high_pressure' => '200 psig'], ['over_plate_pressure' => 'stop', 'right' => 'clear']];
        yield 'liquid, half read' => [['sh' => 1, 'liquid_line' => null, 'liquid_pressure' => null, 'history' => null], ['flooding' => 'stop']];
        yield 'far too little' => [['sc' => 4], ['add' => 'stop']];
        yield 'starved by more than five' => [['sc' => 16, 'sh' => 21], ['starved' => 'stop', 'not_charge' => 'stop']];
        yield 'starved by less' => [['sc' => 14, 'sh' => 21], ['starved' => 'watch', 'not_charge' => 'watch']];
        yield 'right though starved' => [['sh' => 21], ['superheat_high' => 'watch', 'not_charge' => 'watch']];
        yield 'no margin' => [['metering' => 'fixed', 'indoor_wb' => '60 degF', 'outdoor_db' => '92 degF', 'bubble' => 110], ['too_little_margin' => 'stop']];
    }

    /**
     * @param array<string, mixed> $more
     * @param array<string, string> $statuses
     */
    #[DataProvider('grave')]
    public function testWhatIsFoundIsAsGraveAsItIs(array $more, array $statuses): void
    {
        $found = [];
        foreach (self::judge('charge.state', self::input($more))->findings as $finding) {
            $found[$finding->code] = $finding->status->value;
        }
        self::assertSame($statuses, array_intersect_key($found, $statuses));
    }

    public function testWhatTheTargetAsksForIsAskedFor(): void
    {
        $missing = fn (array $more): array => array_values(array_filter(self::found('charge.state', self::input($more))[1], fn (string $code): bool => str_starts_with($code, 'missing:')));
        self::assertSame([], $missing(['outdoor_db' => null]));
        self::assertSame([], $missing(['outdoor_db' => null] + self::FIXED));
        self::assertSame(['missing:indoor_wb', 'missing:outdoor_db'], $missing(['metering' => 'fixed', 'outdoor_db' => null]));
        self::assertSame(['missing:indoor_wb', 'missing:outdoor_db'], $missing(['chart' => self::CHART, 'outdoor_db' => null]));
        self::assertSame(['missing:indoor_db'], $missing(['chart' => ['indoor' => 'dry_bulb'] + self::CHART]));
        self::assertSame(['missing:outdoor_db'], $missing(['chart' => ['indoor' => 'none', 'points' => array_map(fn (array $p): array => array_diff_key($p, ['indoor' => 1]), array_slice(self::CHART['points'], 0, 2))] + self::CHART, 'outdoor_db' => null]));
        self::assertSame(['missing:running'], $missing(['compressor' => 'staged']));
    }

    public function testTimesOfTheHistoryGoUpAndNoneIsLaterThanNow(): void
    {
        $refused = fn (array $minutes): string => self::refused('charge.state', self::input(['history' => array_map(fn (float $at): array => ['minutes' => $at] + self::read([]), $minutes)]))[0];
        self::assertSame('', $refused([12, 18, 24]));
        self::assertSame('history.1.minutes', $refused([12, 12]));
        self::assertSame('history.1.minutes', $refused([12, 11.9]));
        self::assertSame('history.1.minutes', $refused([12, 24.1]));
        self::assertSame('', self::refused('charge.state', self::input(['indoor_wb' => '62 degF', 'indoor_db' => '62 degF']))[0]);
        self::assertSame('indoor_wb', self::refused('charge.state', self::input(['indoor_wb' => '62.1 degF', 'indoor_db' => '62 degF']))[0]);
    }

    public function testMinutesAreABareNumberOrAnyTime(): void
    {
        $left = fn (mixed $running): ?float => self::figure('charge.state', self::input(['running_minutes' => $running, 'history' => null]), 'time_left');
        self::assertEqualsWithDelta([3.0, 3.0, 3.0], [$left(12), $left('12 min'), $left('720 s')], 1e-9);
        self::assertNull($left('0.25 h'));
        self::assertSame('running_minutes', self::refused('charge.state', self::input(['running_minutes' => '12 psi', 'history' => null]))[0]);
    }

    public function testTheDischargePortReadsWhatTheCondenserTakesToo(): void
    {
        $of = fn (array $more): float => (float) self::figure('charge.state', self::input($more), 'subcooling');
        self::assertEqualsWithDelta(10.0, $of(['condenser_drop' => '20 psi']), 1e-3, 'on the liquid port nothing is lost');
        self::assertLessThan(7.5, $of(['condenser_drop' => '20 psi', 'port' => 'discharge']));
    }

    public function testAChartIsReadAlongStraightLinesBothWays(): void
    {
        $target = fn (string $outdoor, string $wet): float => (float) self::figure('charge.state', self::input(['chart' => self::CHART, 'outdoor_db' => "$outdoor degF", 'indoor_wb' => "$wet degF"]), 'target');
        self::assertEqualsWithDelta([340.0, 370.0, 375.0, 410.0, 410.0, 340.0, 350.0], [$target('80', '62'), $target('85', '62'), $target('85', '67'), $target('90', '72'), $target('91.5', '73.5'), $target('79', '61'), $target('80', '72')], 1e-4);
    }

    public function testTheDomeTellsTheFiguresOfTheVerdictAndWhatTheyMayBeOffBy(): void
    {
        $judged = self::judge('charge.state', self::input([]));
        $figures = (array) ($judged->drawing['figures'] ?? []);
        $told = fn (string $name): float => $figures[$name] instanceof Value ? (float) $figures[$name]->value : (float) ((array) $figures[$name])['value'];
        foreach (['superheat' => 'superheat', 'superheat_off' => 'superheat_uncertainty', 'subcooling' => 'subcooling', 'subcooling_off' => 'subcooling_uncertainty'] as $drawn => $value) {
            self::assertSame((float) ($judged->values[$value]->value ?? NAN), $told($drawn), $drawn);
        }
    }

    public function testOnlyTheLiquidSideIsReadBeforeTheCondenser(): void
    {
        $refused = fn (array $more): string => self::refused('charge.state', self::input($more + ['port' => 'discharge', 'condenser_drop' => '40 psi', 'outdoor_db' => '60 degF', 'history' => null]))[0];
        self::assertSame('', $refused(['dew' => -30, 'bubble' => 90]), 'the suction loses nothing on its way');
        self::assertSame('liquid_pressure', $refused(['dew' => -30, 'bubble' => -20]));
        self::assertSame('', $refused(['dew' => -30, 'bubble' => -20, 'port' => 'liquid']));
    }

    public function testItSaysSoWhereTheAirIsTakenAsAtSeaLevel(): void
    {
        $basis = fn (array $more): array => array_map(fn (Finding $f): string => $f->code, self::judge('charge.state', self::input($more))->basis);
        self::assertSame([['basis', 'sea_level'], ['basis'], ['basis']], [$basis([]), $basis(['altitude' => '300 ft']), $basis(['barometer' => '100 kPa'])]);
    }
}
