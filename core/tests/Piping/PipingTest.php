<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Piping;

use IronStart\Core\Check\Past;
use IronStart\Core\Piping\Reuse;
use IronStart\Core\Tests\Judges;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What a line is worth, worked by hand and against the usual tables. */
final class PipingTest extends TestCase
{
    use Judges;

    private const BULB = ['orientation' => 'horizontal', 'insulated' => true, 'strapped' => true];
    private const KEPT = ['old_oil' => 'POE', 'new_oil' => 'POE', 'failure' => 'mechanical', 'acid' => 'none', 'flush' => 'none', 'held' => 'passed', 'held_pressure' => '440 psig'];
    private const LINE = ['name' => 'gas', 'kind' => 'gas', 'design' => '446 psig', 'hidden' => 'none', 'od' => '7/8 in', 'sheet_od' => ['7/8 in'], 'wall' => '0.045 in', 'length' => '60 ft'];
    private const COIL = ['name' => 'coil', 'kind' => 'coil', 'design' => '446 psig', 'rating' => '450 psig', 'hidden' => 'none', 'match' => 'listed'];

    /** @return iterable<string, array{string, float, float, float, float, float}> feet of one short elbow, long elbow, tee, globe valve, angle valve */
    public static function fittings(): iterable
    {
        yield '1/4 in' => ['1/4 in', 0.6, 0.4, 0.4, 5.5, 2.5];
        yield '3/8 in' => ['3/8 in', 1.0, 0.7, 0.7, 9.0, 4.0];
        yield '1/2 in' => ['1/2 in', 1.4, 0.9, 0.9, 11.0, 6.0];
        yield '5/8 in' => ['5/8 in', 1.6, 1.0, 1.0, 13.0, 7.0];
        yield '3/4 in' => ['3/4 in', 1.8, 1.2, 1.2, 15.0, 8.0];
        yield '7/8 in' => ['7/8 in', 2.2, 1.4, 1.4, 20.0, 10.0];
        yield '1-1/8 in' => ['1-1/8 in', 2.6, 1.7, 1.7, 26.0, 13.0];
        yield '1-3/8 in' => ['1-3/8 in', 3.3, 2.2, 2.2, 34.0, 17.0];
        yield '1-5/8 in' => ['1-5/8 in', 4.0, 2.6, 2.6, 40.0, 20.0];
        yield '2-1/8 in' => ['2-1/8 in', 5.0, 3.3, 3.3, 52.0, 26.0];
    }

    #[DataProvider('fittings')]
    public function testAFittingCountsAsTheUsualTableSays(string $od, float ...$feet): void
    {
        $extra = fn (string $fitting): float => self::figure('piping.equivalent_length', ['limit_equivalent' => '500 ft', 'runs' => [['od' => $od, 'length' => '10 ft', $fitting => 2]]], 'equivalent') - 10.0;
        foreach (['elbows_short', 'elbows_long', 'tees', 'valves_globe', 'valves_angle'] as $i => $fitting) {
            self::assertEqualsWithDelta(2 * $feet[$i], $extra($fitting), 1e-9, $fitting);
        }
        self::assertEqualsWithDelta($feet[1], $extra('bends'), 1e-9, 'a hand-bent sweep is half a long elbow');
    }

    /** 40 ft and 20 ft of two sizes, four short elbows, one drier of 12 ft, two sweeps: 60 + 8.8 + 12 + 0.7 = 81.5 ft. */
    public function testALineOfTwoSizesIsAddedUp(): void
    {
        $line = ['limit_equivalent' => '100 ft', 'drier_equivalent' => '12 ft', 'runs' => [
            ['od' => '7/8 in', 'length' => '40 ft', 'elbows_short' => 4],
            ['od' => '3/8 in', 'length' => '20 ft', 'driers' => 1, 'bends' => 2],
        ]];
        self::assertEqualsWithDelta(60.0, self::figure('piping.equivalent_length', $line, 'actual'), 1e-9);
        self::assertEqualsWithDelta(81.5, self::figure('piping.equivalent_length', $line, 'equivalent'), 1e-9);
        self::assertEqualsWithDelta(3.2, self::figure('piping.equivalent_length', $line, 'saved_by_long_elbows'), 1e-9);
    }

    /** @return iterable<string, array{string, string, float}> */
    public static function risers(): iterable
    {
        yield 'one' => ['20 ft', '20 ft', 1.0];
        yield 'just over one' => ['20.1 ft', '20 ft', 2.0];
        yield 'downwards' => ['-45 ft', '20 ft', 3.0];
        yield 'level' => ['0 ft', '20 ft', 0.0];
    }

    #[DataProvider('risers')]
    public function testTrapsAreCountedByTheHeight(string $rise, string $every, float $needed): void
    {
        $line = ['limit_equivalent' => '500 ft', 'runs' => [['od' => '7/8 in', 'length' => '50 ft', 'elbows_long' => 2]], 'rise' => $rise, 'trap_every' => $every];
        self::assertSame($needed, self::figure('piping.equivalent_length', ['traps' => (int) $needed] + $line, 'traps_needed'));
        self::assertSame('clear', self::judge('piping.equivalent_length', ['traps' => (int) $needed] + $line)->status->value);
        if ($needed > 0) {
            self::assertSame(['stop', ['traps_short']], self::found('piping.equivalent_length', ['traps' => (int) $needed - 1] + $line));
        }
    }

    /** @return iterable<string, array{string, float, string}> every half hour round a small and a large line */
    public static function hours(): iterable
    {
        foreach ([0, 0.5, 1, 2, 10, 11, 12] as $hour) {
            yield "small $hour" => ['5/8 in', $hour, 'clear'];
        }
        foreach ([2.5, 3, 4, 8, 9.5] as $hour) {
            yield "small $hour" => ['5/8 in', $hour, 'watch'];
        }
        foreach ([4.5, 5, 6, 7, 7.5] as $hour) {
            yield "small $hour" => ['5/8 in', $hour, 'stop'];
        }
        foreach ([3.5, 4, 4.5, 7.5, 8, 8.5] as $hour) {
            yield "large $hour" => ['7/8 in', $hour, 'clear'];
        }
        foreach ([0, 1, 3, 3.4, 5, 7, 9, 11, 12] as $hour) {
            yield "large $hour" => ['1-1/8 in', $hour, 'watch'];
        }
        foreach ([5.1, 5.5, 6, 6.5, 6.9] as $hour) {
            yield "large $hour" => ['7/8 in', $hour, 'stop'];
        }
    }

    #[DataProvider('hours')]
    public function testTheBulbsPlaceAroundTheClock(string $od, float $hour, string $status): void
    {
        self::assertSame($status, self::judge('piping.bulb', ['od' => $od, 'clock' => $hour] + self::BULB)->status->value);
    }

    public function testTheSheetsHoursWinWhateverTheSize(): void
    {
        $at = fn (string $od, float $hour): array => self::found('piping.bulb', ['od' => $od, 'clock' => $hour, 'sheet_clock' => [3, 9]] + self::BULB);
        self::assertSame(['clear', []], $at('1-1/8 in', 3));
        self::assertSame(['clear', []], $at('1/2 in', 9.5));
        self::assertSame(['watch', ['not_as_sheet']], $at('1/2 in', 12));
        self::assertSame(['stop', ['not_as_sheet', 'at_bottom']], $at('1-1/8 in', 6));
        self::assertSame(['clear', []], self::found('piping.bulb', ['od' => '7/8 in', 'clock' => 6, 'sheet_clock' => [6]] + self::BULB));
    }

    /** @return iterable<string, array{string, float, float}> N·m */
    public static function nuts(): iterable
    {
        yield '1/4 in' => ['1/4 in', 14, 18];
        yield '3/8 in' => ['3/8 in', 34, 42];
        yield '1/2 in' => ['1/2 in', 49, 61];
        yield '5/8 in' => ['5/8 in', 68, 82];
        yield '3/4 in' => ['3/4 in', 100, 120];
    }

    #[DataProvider('nuts')]
    public function testANutIsTightInsideItsBand(string $size, float $low, float $high): void
    {
        $at = fn (float $torque): array => self::found('piping.flare_torque', ['size' => $size, 'measured' => "$torque N.m", 'backup_wrench' => true]);
        self::assertSame(['clear', []], $at($low));
        self::assertSame(['clear', []], $at($high));
        self::assertSame(['watch', ['under_torque']], $at($low - 0.1));
        self::assertSame(['stop', ['over_torque']], $at($high + 0.1));
        self::assertSame(['watch', ['under_torque']], $at($low / 2));
        self::assertSame(['stop', ['not_tightened', 'under_torque']], $at($low / 2 - 0.1));
        self::assertEqualsWithDelta($low / 1.3558179483, self::figure('piping.flare_torque', ['size' => $size, 'measured' => "$low N.m", 'backup_wrench' => true], 'torque_min_ftlb'), 1e-6);
    }

    public function testABandHasTwoEnds(): void
    {
        $nut = ['size' => '3/8 in', 'measured' => '40 N.m', 'backup_wrench' => true];
        self::assertSame('sheet_max', self::refused('piping.flare_torque', ['sheet_min' => '30 N.m'] + $nut)[0]);
        self::assertSame('sheet_min', self::refused('piping.flare_torque', ['sheet_max' => '30 N.m'] + $nut)[0]);
        self::assertSame('sheet_max', self::refused('piping.flare_torque', ['sheet_min' => '40 N.m', 'sheet_max' => '30 N.m'] + $nut)[0]);
        self::assertSame('size', self::refused('piping.flare_torque', ['size' => '7/8 in'] + $nut)[0]);
        self::assertSame(['open', ['needs_sheet']], self::found('piping.flare_torque', ['tube' => 'steel'] + $nut));
        self::assertSame('clear', self::judge('piping.flare_torque', ['tube' => 'steel', 'sheet_min' => '30 N.m', 'sheet_max' => '40 N.m'] + $nut)->status->value);
    }

    /** 2 · 5,100 · 0.045/(0.875 − 0.8 · 0.045) = 547.1 psi on the gas side, 6,000 for the liquid side: 643.6 psi. */
    public function testAWallStandsWhatThePipingCodesFormulaSays(): void
    {
        $allowable = fn (array $line): ?float => self::figure('piping.reuse', ['parts' => [$line + self::LINE]] + self::KEPT, 'allowable:gas');
        self::assertEqualsWithDelta(547.08, $allowable([]), 0.01);
        self::assertEqualsWithDelta(643.62, $allowable(['kind' => 'liquid']), 0.01);
        self::assertEqualsWithDelta(700.0, $allowable(['rating' => '700 psig']), 1e-6, 'what is stamped wins over what is reckoned');
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> part, status, code */
    public static function parts(): iterable
    {
        yield 'another size' => [['sheet_od' => ['3/4 in', '1-1/8 in']] + self::LINE, 'stop', 'wrong_size:gas'];
        yield 'a thin wall' => [['sheet_wall' => '0.05 in'] + self::LINE, 'stop', 'wall_thin:gas'];
        yield 'a wall for the old pressure' => [['design' => '600 psig'] + self::LINE, 'stop', 'wall_short:gas'];
        yield 'a rating for it' => [['rating' => '440 psig'] + self::LINE, 'stop', 'rating_low:gas'];
        yield 'a dent' => [['damaged' => true] + self::LINE, 'stop', 'damaged:gas'];
        yield 'flares in a wall' => [['hidden' => 'flares'] + self::LINE, 'stop', 'hidden_flares:gas'];
        yield 'joints in a wall' => [['hidden' => 'brazed'] + self::LINE, 'watch', 'hidden_joints:gas'];
        yield 'nobody knows' => [['hidden' => 'unknown'] + self::LINE, 'watch', 'hidden_unknown:gas'];
        yield 'a guess' => [['length_from' => 'guessed'] + self::LINE, 'watch', 'length_guessed:gas'];
        yield 'a coil for another unit' => [['match' => 'not_listed'] + self::COIL, 'stop', 'coil_not_listed:coil'];
        yield 'a coil nobody looked up' => [['match' => 'unknown'] + self::COIL, 'open', 'coil_match:coil'];
        yield 'a coil for the old pressure' => [['rating' => '445 psig'] + self::COIL, 'stop', 'rating_low:coil'];
    }

    /** @param array<string, mixed> $part */
    #[DataProvider('parts')]
    public function testEachPartIsJudgedByItself(array $part, string $status, string $code): void
    {
        $found = self::judge('piping.reuse', ['parts' => [$part]] + self::KEPT);
        self::assertContains($code, $found->codes());
        self::assertSame($status, $found->status->value);
        self::assertSame('clear', self::judge('piping.reuse', ['parts' => [self::LINE, self::COIL]] + self::KEPT)->status->value);
    }

    /** @return iterable<string, array{array<string, mixed>, string, list<string>}> */
    public static function cleaning(): iterable
    {
        $flushed = ['until_clean' => true, 'parts_off' => true];
        yield 'another oil' => [['old_oil' => 'MO'], 'stop', ['oil_left']];
        yield 'another oil the sheet allows' => [['old_oil' => 'MO', 'sheet_allows_unflushed' => true], 'watch', ['unflushed_by_sheet']];
        yield 'another oil, blown' => [['old_oil' => 'MO', 'flush' => 'blown'] + $flushed, 'watch', ['blown_only']];
        yield 'another oil, washed' => [['old_oil' => 'MO', 'flush' => 'solvent', 'solvent_out' => true] + $flushed, 'clear', []];
        yield 'strong acid, blown' => [['acid' => 'strong', 'acid_after' => 'none', 'flush' => 'blown'] + $flushed, 'stop', ['solvent_needed']];
        yield 'a burnt winding' => [['failure' => 'electrical'], 'stop', ['solvent_needed']];
        yield 'slight acid, blown' => [['acid' => 'slight', 'acid_after' => 'none', 'flush' => 'blown'] + $flushed, 'watch', ['blown_only']];
        yield 'slight acid, left' => [['acid' => 'slight', 'acid_after' => 'none'], 'stop', ['solvent_needed']];
        yield 'acid afterwards' => [['acid' => 'slight', 'acid_after' => 'present', 'flush' => 'solvent', 'solvent_out' => true] + $flushed, 'stop', ['acid_left']];
        yield 'not tested afterwards' => [['acid' => 'slight', 'acid_after' => 'not_tested', 'flush' => 'solvent', 'solvent_out' => true] + $flushed, 'open', ['acid_after_not_tested']];
        yield 'never tested, nothing failed' => [['acid' => 'not_tested', 'failure' => 'none'], 'watch', ['acid_not_tested']];
        yield 'never tested, something failed' => [['acid' => 'not_tested'], 'open', ['acid_not_tested']];
        yield 'still black' => [['flush' => 'blown', 'until_clean' => false, 'parts_off' => true], 'stop', ['not_clean']];
        yield 'washed through the valve' => [['flush' => 'blown', 'until_clean' => true, 'parts_off' => false], 'stop', ['flushed_into_parts']];
        yield 'wet with solvent' => [['flush' => 'solvent', 'solvent_out' => false] + $flushed, 'stop', ['solvent_left']];
        yield 'it leaked' => [['held' => 'leaked'], 'stop', ['old_leaks']];
        yield 'not held' => [['held' => 'not_done'], 'open', ['not_held']];
        yield 'held too low' => [['held_pressure' => '423 psig'], 'watch', ['held_low']];
        yield 'held over what it stands' => [['held_pressure' => '548 psig'], 'stop', ['over_tested']];
    }

    /**
     * @param array<string, mixed> $with
     * @param list<string>         $codes
     */
    #[DataProvider('cleaning')]
    public function testOldOilAcidAndHold(array $with, string $status, array $codes): void
    {
        self::assertSame([$status, $codes], self::found('piping.reuse', $with + ['parts' => [self::LINE]] + self::KEPT));
    }

    public function testAWallLeavesABore(): void
    {
        self::assertSame('parts.0.wall', self::refused('piping.reuse', ['parts' => [['od' => '1/4 in', 'sheet_od' => ['1/4 in'], 'wall' => '1/8 in'] + self::LINE]] + self::KEPT)[0]);
        self::assertSame('', self::refused('piping.reuse', ['parts' => [['od' => '1/4 in', 'sheet_od' => ['1/4 in'], 'wall' => '0.12 in'] + self::LINE]] + self::KEPT)[0]);
        self::assertNotSame('', self::refused('piping.reuse', ['parts' => [self::LINE, self::LINE]] + self::KEPT)[0], 'one name for two parts');
    }

    public function testAFlushThatWasWrittenDownIsNotAskedForAgain(): void
    {
        $brings = fn (array $flush): array => Reuse::bringsIn(self::past('entry.flush', 'circuit:1', $flush), 'circuit:1');
        self::assertSame(['flush' => 'blown', 'until_clean' => true], $brings(['part' => 'gas', 'with' => 'nitrogen', 'until_clean' => true, 'blown' => false]));
        self::assertSame(['flush' => 'solvent', 'until_clean' => true, 'solvent_out' => false], $brings(['part' => 'gas', 'with' => 'solvent', 'until_clean' => true, 'blown' => false]));
        self::assertSame([], $brings(['part' => 'gas']));
        self::assertSame([], Reuse::bringsIn(new Past(), 'circuit:1'));
    }

    /** @return iterable<string, array{string, string, string}> what was done for the heat, its put-back entry, its code */
    public static function ready(): iterable
    {
        yield 'cores' => ['cores_out', 'cores_out', 'putback:cores_out'];
        yield 'bulb' => ['bulb_off', 'bulb_off', 'putback:bulb_off'];
        yield 'heat sinks' => ['heat_sinks', 'heat_sink', 'putback:heat_sinks'];
        yield 'valves' => ['valves_open', 'valves_open', 'putback:valves_open'];
        yield 'plastics' => ['plastics_away', 'plastics_away', 'putback:plastics_away'];
        yield 'detectors' => ['detectors_isolated', 'detector', 'putback:detectors'];
    }

    #[DataProvider('ready')]
    public function testWhatIsTakenOffForTheHeatIsPutBack(string $field, string $kind, string $code): void
    {
        $purge = ['flow' => '5 scfh', 'flow_kind' => 'flowmeter', 'exit_open' => true, 'system_charged' => false];
        self::assertSame(['clear', [$code]], self::found('piping.purge', [$field => true] + $purge));
        self::assertSame(["opens $kind"], self::setsOff('piping.purge', [$field => true] + $purge));
        self::assertSame(['watch', ["not:$field"]], self::found('piping.purge', [$field => false] + $purge));
        self::assertSame([], self::setsOff('piping.purge', [$field => false] + $purge));
        self::assertSame([], self::setsOff('piping.purge', $purge));
    }

    public function testNoFlameOnACircuitThatHoldsRefrigerantNorWithTheWrongGas(): void
    {
        $purge = ['flow' => '5 scfh', 'flow_kind' => 'flowmeter', 'exit_open' => true, 'system_charged' => false];
        self::assertSame(['stop', ['toxic_breakdown']], self::found('piping.purge', ['system_charged' => true] + $purge));
        self::assertSame(['stop', ['toxic_breakdown']], self::found('piping.purge', ['residual_as_purge' => true] + $purge));
        self::assertSame(['stop', ['wrong_gas']], self::found('piping.purge', ['gas' => 'oxygen'] + $purge));
        self::assertSame(['stop', ['wrong_gas']], self::found('piping.purge', ['gas' => 'compressed_air'] + $purge));
        self::assertSame(['clear', []], self::found('piping.purge', ['gas' => 'other_inert'] + $purge));
        self::assertSame(['stop', ['exit_closed']], self::found('piping.purge', ['exit_open' => false] + $purge));
        self::assertContains('core_ejected', self::judge('piping.purge', ['cores_out' => true] + $purge)->cautions);
    }

    /** Outside radius 0.9375 in: q = 30/(ln(0.9375/0.4375)/(2π·0.038) + 1/(2π·0.0238·8)) = 7.43 W/m. */
    public function testInsulationByHand(): void
    {
        $line = ['pipe_od' => '7/8 in', 'surface_temperature' => '0 degC', 'air_temperature' => '30 degC', 'relative_humidity' => '60 %', 'thickness' => '1/2 in'];
        $gain = 30 / (log(0.9375 / 0.4375) / (2 * M_PI * 0.038) + 1 / (2 * M_PI * 0.9375 * 0.0254 * 8));
        self::assertEqualsWithDelta($gain, self::figure('piping.insulation', $line, 'heat_gain'), 1e-9);
        self::assertEqualsWithDelta(30 - $gain / (2 * M_PI * 0.9375 * 0.0254 * 8), self::figure('piping.insulation', $line, 'outer_temperature'), 1e-9);
        self::assertEqualsWithDelta(21.4, self::figure('piping.insulation', $line, 'dew_point'), 0.1);
    }

    public function testThickerIsNeverWorseAndTheSmallestThatDoesIsNamed(): void
    {
        $line = ['pipe_od' => '7/8 in', 'surface_temperature' => '35 degF', 'air_temperature' => '90 degF', 'relative_humidity' => '80 %'];
        $outer = -INF;
        foreach (['1/4 in', '3/8 in', '1/2 in', '3/4 in', '1 in', '1-1/2 in', '2 in'] as $thickness) {
            self::assertGreaterThan($outer, $outer = self::figure('piping.insulation', ['thickness' => $thickness] + $line, 'outer_temperature'));
        }
        $smallest = self::figure('piping.insulation', ['thickness' => '1/4 in'] + $line, 'smallest_thickness');
        foreach ([0.25, 0.375, 0.5, 0.75, 1.0, 1.5, 2.0] as $thickness) {
            self::assertSame($thickness >= $smallest, self::judge('piping.insulation', ['thickness' => "$thickness in"] + $line)->status->value === 'clear', "$thickness in of $smallest");
        }
    }

    public function testInAirAsGoodAsWetNoThicknessHelps(): void
    {
        $found = self::judge('piping.insulation', ['pipe_od' => '7/8 in', 'surface_temperature' => '35 degF', 'air_temperature' => '90 degF', 'relative_humidity' => '99 %', 'thickness' => '1 in']);
        self::assertSame(['sweats', 'none_thick_enough'], $found->codes());
        self::assertArrayNotHasKey('smallest_thickness', $found->values);
    }

    public function testOpenJointsSweatHoweverThickTheRestIs(): void
    {
        $line = ['pipe_od' => '7/8 in', 'surface_temperature' => '35 degF', 'air_temperature' => '75 degF', 'relative_humidity' => '50 %', 'thickness' => '2 in'];
        self::assertSame(['clear', []], self::found('piping.insulation', ['joints_sealed' => true] + $line));
        self::assertSame(['stop', ['joints_open']], self::found('piping.insulation', ['joints_sealed' => false] + $line));
        self::assertSame(['clear', []], self::found('piping.insulation', ['joints_sealed' => false, 'surface_temperature' => '60 degF'] + $line), 'warmer than the dew point');
    }
}
