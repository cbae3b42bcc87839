<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Diagnose;

use IronStart\Core\Diagnose\Patterns;
use IronStart\Core\Refrigerant\Refrigerant;
use IronStart\Core\Tests\Judges;
use IronStart\Core\Verdict\Status;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What points to which cause: the table held by a table, and the features worked out by hand. */
final class CoolingTest extends TestCase
{
    use Judges;

    /** Evaporating, condensing, superheat, subcooling, split, amps: + high, − low, 0 as it should be, . says nothing. */
    private const VALVE = [
        'low_charge' => '--+---', 'overcharge' => '0+0+0+', 'liquid_restriction' => '--++--', 'low_indoor_air' => '--00+-', 'low_condenser_air' => '++00-+',
        'non_condensable' => '++0+-+', 'not_pumping' => '+-+.--', 'overfeeding' => '+.--0+', 'underfeeding' => '--++--', 'high_load' => '+++..+',
    ];
    private const FIXED = ['overcharge' => '++-+0+', 'low_indoor_air' => '---0+-', 'low_condenser_air' => '++-0-+', 'non_condensable' => '++-+-+'] + self::VALVE;
    private const FEATURES = ['evap', 'cond', 'superheat', 'subcooling', 'split', 'amps'];
    private const READ = ['metering' => 'txv', 'refrigerant' => 'R-410A', 'running_minutes' => 20, 'suction_pressure' => '118 psig', 'suction_line' => '52 degF', 'liquid_pressure' => '340 psig', 'liquid_line' => '94 degF', 'return_db' => '75 degF', 'supply_db' => '55 degF', 'outdoor_db' => '85 degF', 'amps_ratio' => 0.9];

    public function testEveryCauseIsScoredByEveryFeatureItSpeaksOf(): void
    {
        foreach (['txv' => self::VALVE, 'fixed' => self::FIXED] as $metering => $table) {
            foreach ([[-2.0, -0.4, 1.6, 0.2, -1.0, 0.6], [0.5, 2.4, -0.7, -2.9, 0.3, 1.1], [0.0, 0.0, 0.0, 0.0, 0.0, 0.0]] as $deviations) {
                $features = array_combine(self::FEATURES, $deviations);
                $scores = Patterns::scores($features, $metering === 'fixed');
                self::assertSame(array_keys(self::VALVE), array_keys($scores));
                foreach ($table as $cause => $signs) {
                    $agreed = [];
                    foreach ($deviations as $i => $d) {
                        if ($signs[$i] !== '.') {
                            $agreed[] = match ($signs[$i]) {
                                '+' => max(-1.0, min(1.0, $d)), '-' => max(-1.0, min(1.0, -$d)), default => 1 - min(abs($d), 2.0),
                            };
                        }
                        $speaks = Patterns::speaks($cause, self::FEATURES[$i], $d, $metering === 'fixed');
                        self::assertSame($signs[$i] === '.', $speaks === null, "$cause, " . self::FEATURES[$i]);
                    }
                    self::assertEqualsWithDelta(array_sum($agreed) / count($agreed), $scores[$cause], 1e-12, "$metering, $cause");
                }
            }
        }
    }

    public function testACauseIsScoredByWhatThereIsAndNotByWhatIsNot(): void
    {
        self::assertEqualsWithDelta(1.0, Patterns::scores(['evap' => -3.0, 'amps' => -1.0], false)['low_charge'], 1e-12);
        self::assertArrayNotHasKey('high_load', Patterns::scores(['subcooling' => 1.0, 'split' => 1.0], false));
        self::assertSame([], Patterns::scores([], false));
    }

    public function testTheFiveLikeliestAreDrawnWithWhatSpeaksForThemAndAgainst(): void
    {
        $judged = self::judge('diagnose.cooling', self::READ);
        $drawn = (array) json_decode((string) json_encode($judged->drawing), true);
        self::assertSame(['ranking', 0.4], [$drawn['shape'], $drawn['limit']]);
        self::assertSame(['evap', 'cond', 'SH', 'SC', 'amps'], array_column($drawn['features'], 'name'), 'no split without its target');
        $scores = $deviations = [];
        foreach ($judged->values as $name => $value) {
            [$kind, $of] = explode(':', $name) + ['', ''];
            $kind === 'score' && $scores[$of] = (float) $value->value;
            $kind === 'feature' && $deviations[(int) array_search($of, self::FEATURES, true)] = (float) $value->value;
        }
        ksort($deviations);
        $deviations = array_values($deviations);
        self::assertSame($deviations, array_column($drawn['features'], 'value'));
        arsort($scores);
        self::assertSame(array_map(fn (float $score): float => max(0.0, $score), array_slice(array_values($scores), 0, 5)), array_map(floatval(...), array_column($drawn['causes'], 'value')));
        foreach (array_slice(array_keys($scores), 0, 5) as $i => $cause) {
            foreach (['evap', 'cond', 'superheat', 'subcooling', 'amps'] as $j => $feature) {
                $speaks = Patterns::speaks($cause, $feature, $deviations[$j], false);
                $speaks === null ? self::assertNull($drawn['causes'][$i]['speaks'][$j]) : self::assertEqualsWithDelta($speaks, $drawn['causes'][$i]['speaks'][$j], 1e-12);
            }
        }
        $byFeatures = self::judge('diagnose.cooling', ['metering' => 'fixed', 'features' => ['evap' => -9, 'cond' => -1, 'superheat' => -1, 'subcooling' => 0]])->drawing;
        self::assertSame([-3.0, -1.0, -1.0, 0.0], array_column((array) $byFeatures['features'], 'value'), 'no further than three');
        self::assertEquals(['name' => 'low indoor air', 'value' => 1.0, 'speaks' => [1.0, 1.0, 1.0, 1.0]], ((array) $byFeatures['causes'])[0], 'on a fixed orifice');
        self::assertSame([], self::judge('diagnose.cooling', ['metering' => 'txv', 'features' => ['evap' => 1]])->drawing);
    }

    public function testCausesWithinFifteenHundredthsOfTheBestCantBeToldApart(): void
    {
        self::assertSame(['b', 'a'], Patterns::group(['a' => 0.65, 'b' => 0.8, 'c' => 0.64]));
        self::assertSame(['a'], Patterns::group(['a' => 0.1]));
    }

    /** @return iterable<string, array{list<string>, list<string>, string|null}> group, tests done, the one next */
    public static function nextTests(): iterable
    {
        yield 'first what destroys the compressor' => [['low_charge', 'not_pumping', 'low_indoor_air'], [], 'rotation'];
        yield 'then the air' => [['low_charge', 'low_indoor_air', 'liquid_restriction'], [], 'static_pressure'];
        yield 'low or restricted' => [['liquid_restriction', 'low_charge'], [], 'drier_drop'];
        yield 'low or underfed' => [['underfeeding', 'low_charge'], [], 'drier_drop'];
        yield 'restricted or underfed' => [['liquid_restriction', 'underfeeding'], [], 'drier_drop_then_warm_bulb'];
        yield 'too much or air in it' => [['non_condensable', 'overcharge'], [], 'off_cycle_pressure'];
        yield 'condenser or air in it' => [['non_condensable', 'low_condenser_air'], [], 'off_cycle_pressure'];
        yield 'too much or the condenser' => [['overcharge', 'low_condenser_air'], [], 'condenser_air'];
        yield 'the condenser' => [['low_condenser_air'], [], 'condenser_air'];
        yield 'overfed' => [['overfeeding'], [], 'bulb_check'];
        yield 'a high load' => [['high_load'], [], 'wait_and_repeat'];
        yield 'too much' => [['overcharge'], [], 'off_cycle_pressure'];
        yield 'air in it' => [['non_condensable'], [], 'off_cycle_pressure'];
        yield 'low' => [['low_charge'], [], 'drier_drop_then_leak_search'];
        yield 'underfed' => [['underfeeding'], [], 'warm_bulb'];
        yield 'too much or air in it, the pressure is in' => [['overcharge', 'low_condenser_air', 'non_condensable'], ['off_cycle_pressure'], 'condenser_air'];
        yield 'only one of the two' => [['low_condenser_air', 'overfeeding'], [], 'condenser_air'];
        yield 'too much, no air in it' => [['overcharge'], ['off_cycle_pressure'], 'recover_and_weigh'];
        yield 'low, the drier is clear' => [['low_charge'], ['drier_drop'], 'leak_search'];
        yield 'underfed, the drier is clear' => [['underfeeding', 'low_charge'], ['drier_drop'], 'warm_bulb'];
        yield 'nothing left to try' => [['non_condensable'], ['off_cycle_pressure'], null];
    }

    /**
     * @param list<string> $group
     * @param list<string> $done
     */
    #[DataProvider('nextTests')]
    public function testTheOneNextTestSplitsWhatLooksAlike(array $group, array $done, ?string $test): void
    {
        self::assertSame($test, Patterns::test($group, $done));
    }

    public function testTheFeaturesAreWhatWasReadAgainstWhatItShouldBeInTolerances(): void
    {
        $r410a = Refrigerant::named('R-410A');
        self::assertNotNull($r410a);
        $psia = fn (float $psig): float => $psig * 6894.757 + 101_325;
        $degF = fn (float $kelvin): float => 1.8 * $kelvin - 459.67;
        $dew = $degF($r410a->dewTemperature($psia(118)));
        [$bubble, $gas] = [$degF($r410a->bubbleTemperature($psia(340))), $degF($r410a->dewTemperature($psia(340)))];
        $of = fn (array $more, string $feature): float => (float) self::figure('diagnose.cooling', $more + self::READ, "feature:$feature");
        self::assertEqualsWithDelta(($dew - (75 - 35)) / 5, $of([], 'evap'), 1e-6);
        self::assertEqualsWithDelta(($dew - (75 - 30)) / 5, $of(['design_td' => '30 delta_degF'], 'evap'), 1e-6);
        self::assertEqualsWithDelta((($bubble + $gas) / 2 - 85 - 20) / 5, $of([], 'cond'), 1e-6);
        self::assertEqualsWithDelta((52 - $dew - 12) / 5, $of([], 'superheat'), 1e-6);
        self::assertEqualsWithDelta((52 - $dew - 9) / 5, $of(['target_superheat' => '9 delta_degF'], 'superheat'), 1e-6);
        self::assertEqualsWithDelta(($bubble - 94 - 10) / 4, $of([], 'subcooling'), 1e-6);
        self::assertEqualsWithDelta(($bubble - 94 - 8) / 4, $of(['target_subcooling' => '8 delta_degF'], 'subcooling'), 1e-6);
        self::assertEqualsWithDelta((20 - 21) / 3, $of(['target_split' => '21 delta_degF'], 'split'), 1e-6);
        self::assertEqualsWithDelta((0.9 - 0.85) / 0.10, $of([], 'amps'), 1e-6);
        self::assertEqualsWithDelta((0.9 - 1.0) / 0.10, $of(['expected_amps_ratio' => 1.0], 'amps'), 1e-6);
        self::assertSame([3.0, -3.0], [$of(['amps_ratio' => 1.5], 'amps'), $of(['amps_ratio' => 0.2], 'amps')], 'no feature shouts louder than three tolerances');
    }

    public function testAWetBulbIsNeverOverItsDryBulb(): void
    {
        self::assertSame('', self::refused('diagnose.cooling', ['return_wb' => '75 degF'] + self::READ)[0]);
        self::assertSame('return_wb', self::refused('diagnose.cooling', ['return_wb' => '75.1 degF'] + self::READ)[0]);
    }

    public function testTheCondensersSplitFollowsItsEfficiency(): void
    {
        $split = fn (array $more): float => (float) self::figure('diagnose.cooling', $more + ['liquid_pressure' => '340 psig', 'outdoor_db' => '85 degF'] + self::READ, 'feature:cond');
        $none = $split([]);
        self::assertEqualsWithDelta($none, $split(['efficiency' => 13]), 1e-9);
        self::assertEqualsWithDelta($none, $split(['efficiency' => 15]), 1e-9);
        self::assertEqualsWithDelta($none - 7.5 / 5, $split(['efficiency' => 12.9]), 1e-9);
        self::assertEqualsWithDelta($none + 5 / 5, $split(['efficiency' => 15.1]), 1e-9);
        self::assertEqualsWithDelta($none + 8 / 5, $split(['efficiency' => 10, 'condenser_split' => '12 delta_degF']), 1e-9, 'a figure given wins');
    }

    public function testOnAFixedOrificeTheSuperheatFollowsTheWeather(): void
    {
        $fixed = ['metering' => 'fixed', 'return_wb' => '62 degF', 'outdoor_db' => '85 degF'];
        $target = self::figure('charge.target_superheat', ['indoor_wb' => '62 degF', 'outdoor_db' => '85 degF'], 'target');
        self::assertNotNull($target);
        self::assertEqualsWithDelta($target, (float) self::figure('diagnose.cooling', $fixed + self::READ, 'target_superheat'), 1e-6);
        $byHumidity = array_diff_key($fixed, ['return_wb' => 1]) + ['return_rh' => '49 %'];
        self::assertEqualsWithDelta($target, (float) self::figure('diagnose.cooling', $byHumidity + self::READ, 'target_superheat'), 1.5, '49 % at 75 °F is a wet bulb near 62 °F');
        self::assertNull(self::figure('diagnose.cooling', array_diff_key($fixed, ['return_wb' => 1]) + self::READ, 'target_superheat'), 'no wet bulb, no target');
        self::assertNull(self::figure('diagnose.cooling', ['outdoor_db' => '115 degF', 'return_wb' => '58 degF'] + $fixed + self::READ, 'target_superheat'), 'under 5 °F the rule says nothing');
    }

    public function testWhatStopsAtOnceStopsFromItsMinuteOn(): void
    {
        $level = ['suction_pressure' => '200 psig', 'liquid_pressure' => '240 psig'] + self::READ;
        $codes = fn (array $input): array => self::found('diagnose.cooling', $input)[1];
        self::assertContains('not_pumping', $codes(['running_minutes' => 1] + $level));
        self::assertNotContains('not_pumping', $codes(['running_minutes' => 0.9] + $level));
        $warm = ['liquid_line' => '112 degF'] + self::READ;
        self::assertContains('subcooling_impossible', $codes(['running_minutes' => 5] + $warm));
        self::assertNotContains('subcooling_impossible', $codes(['running_minutes' => 4.9] + $warm));
        $impossible = self::judge('diagnose.cooling', ['suction_line' => '30 degF'] + self::READ);
        foreach ($impossible->findings as $finding) {
            self::assertTrue(! in_array($finding->code, ['check_readings', 'superheat_impossible'], true) || $finding->status === Status::Stop, $finding->code);
        }
        self::assertContains('check_readings', $impossible->codes());
    }

    public function testTheRefrigerantIsAskedForWithAnyGaugePressureAndOnlyThen(): void
    {
        $in = ['metering' => 'txv', 'running_minutes' => 20, 'return_db' => '75 degF'];
        self::assertNotContains('missing:refrigerant', self::found('diagnose.cooling', $in)[1]);
        foreach (['suction_pressure' => [], 'liquid_pressure' => [], 'off_cycle_pressure' => ['off_cycle_air' => '80 degF']] as $gauge => $more) {
            self::assertContains('missing:refrigerant', self::found('diagnose.cooling', [$gauge => '150 psig'] + $more + $in)[1], $gauge);
        }
    }

    public function testAFeatureNeedsAllItIsReckonedFrom(): void
    {
        $of = fn (array $without): array => array_keys(array_filter(self::judge('diagnose.cooling', array_diff_key(self::READ, array_flip($without)))->values, fn (string $name): bool => str_starts_with($name, 'feature:'), ARRAY_FILTER_USE_KEY));
        self::assertSame(['feature:evap', 'feature:superheat', 'feature:cond', 'feature:subcooling', 'feature:amps'], $of([]));
        self::assertSame(['feature:cond', 'feature:subcooling', 'feature:amps'], $of(['suction_pressure']));
        self::assertSame(['feature:evap', 'feature:superheat', 'feature:amps'], $of(['liquid_pressure']));
        self::assertSame(['feature:evap', 'feature:cond', 'feature:amps'], $of(['suction_line', 'liquid_line']));
        self::assertSame(['feature:superheat', 'feature:subcooling', 'feature:amps'], $of(['return_db', 'outdoor_db']));
    }

    public function testASettlingMachineStartsTheClockAndASettledOneEndsIt(): void
    {
        self::assertSame(['starts stabilise 9'], self::setsOff('diagnose.cooling', ['running_minutes' => 6] + self::READ));
        self::assertSame(['ends stabilise'], self::setsOff('diagnose.cooling', self::READ));
        self::assertSame([], self::setsOff('diagnose.cooling', ['metering' => 'txv', 'features' => ['evap' => 0, 'cond' => 0, 'superheat' => 0, 'subcooling' => 0]]), 'features are no machine that settles');
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function contradictions(): iterable
    {
        yield 'features and a reading' => [['features' => ['evap' => 0]] + self::READ, 'features'];
        foreach (['suction_pressure', 'liquid_pressure', 'suction_line', 'liquid_line', 'return_db', 'return_wb', 'return_rh', 'supply_db', 'outdoor_db', 'amps_ratio', 'drier_drop', 'off_cycle_pressure', 'off_cycle_air'] as $reading) {
            $value = ['amps_ratio' => 1, 'return_rh' => '50 %', 'drier_drop' => '1 delta_degF'][$reading] ?? (str_ends_with($reading, 'pressure') ? '100 psig' : '60 degF');
            yield "features and $reading" => [['metering' => 'txv', 'features' => ['evap' => 0], $reading => $value], 'features'];
        }
        yield 'wet bulb and humidity' => [['return_wb' => '60 degF', 'return_rh' => '50 %'] + self::READ, 'return_rh'];
        yield 'a wet bulb over the dry one' => [['return_wb' => '76 degF'] + self::READ, 'return_wb'];
        yield 'a gauge above the table' => [['liquid_pressure' => '700 psig'] + self::READ, 'liquid_pressure'];
        yield 'a refrigerant nobody knows' => [['refrigerant' => 'R-9'] + self::READ, 'refrigerant'];
    }

    /** @param array<string, mixed> $input */
    #[DataProvider('contradictions')]
    public function testWhatCannotBeIsRefused(array $input, string $field): void
    {
        self::assertSame($field, self::refused('diagnose.cooling', $input)[0]);
    }
}
