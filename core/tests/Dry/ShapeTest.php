<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Dry;

use IronStart\Core\Dry\Fit;
use IronStart\Core\Dry\PullDown;
use IronStart\Core\Tests\Judges;
use IronStart\Core\Verdict\Status;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A vacuum left alone, and one that is made, against formulas worked out by hand. */
final class ShapeTest extends TestCase
{
    use Judges;

    private const SPAN = [0.0, 1.0, 2.0, 3.0, 5.0, 7.0, 9.0, 12.0, 15.0, 20.0];

    public function testALeakIsALine(): void
    {
        $fit = self::fit(fn (float $t): float => 300 + 5 * $t);
        self::assertSame('leak', $fit->model);
        self::assertEqualsWithDelta([300.0, 5.0, 5.0, 5.0, 500.0], [$fit->level, $fit->slope, $fit->early, $fit->late, $fit->at(40)], 1e-6);
        self::assertEqualsWithDelta([40.0, 0.0], [$fit->crosses(500), $fit->crosses(200)], 1e-6, 'what is behind it is now');
        self::assertEqualsWithDelta(450.0, $fit->lateAt(30), 1e-6);
    }

    public function testMoistureBendsToAPlateau(): void
    {
        $fit = self::fit(fn (float $t): float => 900 - 600 * exp(-$t / 8));
        self::assertSame('moisture', $fit->model);
        self::assertEqualsWithDelta([900.0, 600.0, 8.0], [$fit->level, $fit->below, $fit->tau], 1e-3);
        self::assertEqualsWithDelta(8 * log(3), (float) $fit->crosses(700), 1e-4);
        self::assertEqualsWithDelta(900 - 600 * exp(-30 / 8), $fit->at(30), 1e-3);
        self::assertNull($fit->crosses(900.01), 'past its plateau it never goes');
        self::assertSame(0.0, $fit->crosses(250));
        self::assertGreaterThan(2 * $fit->late, $fit->early);
        self::assertLessThan(0.0, $fit->moistureOverLeak, 'it fits far better than a line');
    }

    public function testWhatStandsIsSteadyWithinTheGaugesOwnRepeatability(): void
    {
        $fit = self::fit(fn (float $t): float => 300 + ($t % 2 === 1 ? 1.5 : -1.5));
        self::assertSame('steady', $fit->model);
        self::assertEqualsWithDelta([300.0, 0.0, 300.0], [$fit->level, $fit->slope, $fit->at(30)], 1.0);
        self::assertNull($fit->crosses(299), 'what stands crosses nothing');
    }

    public function testWhatFallsIsNoMoistureAndNoLeakThatCrosses(): void
    {
        $fit = self::fit(fn (float $t): float => 400 - 5 * $t);
        self::assertSame('leak', $fit->model);
        self::assertNull($fit->crosses(500));
        self::assertNotSame('moisture', self::fit(fn (float $t): float => 300 + 200 * exp(-$t / 5))->model);
    }

    public function testABendIsAnEarlySlopeAtLeastTwiceTheLateOne(): void
    {
        $bent = fn (float $late): string => self::fit(fn (float $t): float => 300 + ($t <= 5 ? 40 * $t : 200 + $late * ($t - 5)))->model;
        self::assertSame('leak', $bent(30));
        self::assertSame('moisture', $bent(5));
        // Over three times five minutes the early slope is to the late one as e^(10/tau).
        $ratio = fn (float $times): Fit => Fit::of(array_map(fn (int $t): array => [(float) $t, 3000 - 2900 * exp(-$t * log($times) / 10)], range(0, 14)));
        self::assertSame(['moisture', 'leak'], [$ratio(2.02)->model, $ratio(1.98)->model]);
        self::assertEqualsWithDelta(2.02, $ratio(2.02)->early / $ratio(2.02)->late, 1e-9);
    }

    public function testWeightsCountARelativeErrorAlikeEverywhere(): void
    {
        // Two points of 100 stand against one of 1000 a hundred times lighter each.
        $fit = Fit::of(array_map(fn (int $i): array => [(float) $i, $i === 4 ? 103.0 : 100.0], range(0, 8)));
        self::assertEqualsWithDelta((8 / 100 + 1 / 103) / (8 / 100 ** 2 + 1 / 103 ** 2), $fit->level, 1e-9);
    }

    /** @return iterable<string, array{float, float, float, float}> volume L, pump L/s, ultimate mbar, outgassing mbar·L/s */
    public static function pumps(): iterable
    {
        yield 'a small one' => [20.0, 2.0, 0.01, 0.0];
        yield 'a perfect one' => [7.0, 5.0, 1e-9, 0.0];
        yield 'against what comes in' => [20.0, 2.0, 0.01, 0.05];
    }

    #[DataProvider('pumps')]
    public function testStraightOnThePumpTheTimeIsALogarithm(float $volume, float $pump, float $ultimate, float $outgassing): void
    {
        $down = new PullDown($volume, $pump, $ultimate, [], $outgassing);
        $end = $ultimate + $outgassing / $pump;
        $by = fn (float $from, float $to): float => $volume / $pump * log(($from / 100 - $end) / ($to / 100 - $end)) / 60;
        self::assertEqualsWithDelta($by(101_325, 66.7), (float) $down->minutes(101_325, 66.7), 1e-5 * $by(101_325, 66.7));
        self::assertEqualsWithDelta((float) $down->minutes(101_325, 66.7), (float) $down->minutes(101_325, 1000) + (float) $down->minutes(1000, 66.7), 1e-5);
        $course = $down->course(101_325, 66.7);
        self::assertEqualsWithDelta([0.0, 101_325.0], $course[0], 1e-6);
        self::assertEqualsWithDelta([(float) $down->minutes(101_325, 66.7), 66.7], $course[count($course) - 1], 1e-4);
        for ($i = 1; $i < count($course); $i++) {
            self::assertTrue($course[$i][0] > $course[$i - 1][0] && $course[$i][1] < $course[$i - 1][1]);
        }
    }

    public function testWhereThePumpItselfEndsItNeverGets(): void
    {
        $down = new PullDown(20.0, 2.0, 0.01, [], 0.0);
        self::assertNull($down->minutes(101_325, 1.0), 'at its ultimate');
        self::assertNull($down->minutes(101_325, 0.5), 'under it');
        self::assertNotNull($down->minutes(101_325, 1.01));
        self::assertNull((new PullDown(20.0, 2.0, 0.01, [], 0.05))->minutes(101_325, 3.5), 'as much comes in as goes out');
        self::assertNotNull((new PullDown(20.0, 2.0, 0.01, [], 0.05))->minutes(101_325, 3.51));
        self::assertNull((new PullDown(20.0, 1.0, 0.5, [], 0.5))->minutes(101_325, 100.0), 'nor where the two are just alike');
        self::assertNull((new PullDown(20.0, 1.0, 0.5, [], 0.5))->minutes(100.0, 50.0));
    }

    public function testAHoseThrottlesByItsBoreAndLength(): void
    {
        $hose = fn (float $bore, float $length, int $count = 1, bool $core = false): PullDown => new PullDown(20.0, 3.0, 0.0, [['bore' => $bore, 'length' => $length, 'count' => $count, 'core' => $core]], 0.0);
        // Where hardly anything is left, a tube carries 12.1·D³/L: in series with the pump.
        $molecular = 12.1 * 0.635 ** 3 / 150;
        self::assertEqualsWithDelta(3 * $molecular / (3 + $molecular), $hose(0.635, 150)->speed(1e-4), 1e-6);
        self::assertEqualsWithDelta(6 * $molecular / (3 + 2 * $molecular), $hose(0.635, 150, 2)->speed(1e-4), 1e-6, 'two carry twice as much');
        // Thick as air it carries all the pump takes.
        self::assertEqualsWithDelta(3.0, $hose(1.27, 150)->speed(101_325), 0.01);
        // At 1 mbar, by hand: 3x = (135·D⁴/L·(1 + x)/2 + 12.1·D³/L)(1 − x).
        [$a, $b] = [135 * 0.635 ** 4 / 150 / 2, 12.1 * 0.635 ** 3 / 150];
        $x = (-(3 + $b) + sqrt((3 + $b) ** 2 + 4 * $a * ($a + $b))) / (2 * $a);
        self::assertEqualsWithDelta(3 * $x, $hose(0.635, 150)->speed(100), 1e-9);
    }

    public function testACoreLeftInIsAnOpeningOfFourteenHundredths(): void
    {
        $core = 9.1 * 0.14 ** 2;
        $wide = new PullDown(20.0, 3.0, 0.0, [['bore' => 5.0, 'length' => 1.0, 'count' => 1, 'core' => true]], 0.0);
        self::assertEqualsWithDelta(3 * $core / (3 + $core), $wide->speed(1.0), 1e-4, 'behind a wide hose only the core counts');
        $with = new PullDown(20.0, 3.0, 0.0, [['bore' => 0.635, 'length' => 150.0, 'count' => 1, 'core' => true]], 0.0);
        $molecular = 12.1 * 0.635 ** 3 / 150;
        self::assertEqualsWithDelta(1 / (1 / 3 + 1 / $molecular + 1 / $core), $with->speed(1e-4), 1e-6, 'all three in series');
    }

    public function testTheForecastOfAPullDownCarriesItsLastThirdOn(): void
    {
        // A tenth every 10 min: 10,000 at 0, 1,000 at 10, 630.96 at 12.
        $at = fn (float $minutes): array => ['minutes' => $minutes, 'micron' => 10_000 * 10 ** (-$minutes / 10)];
        $input = ['readings' => array_map($at, [0.0, 2.0, 4.0, 6.0, 8.0, 10.0, 12.0])];
        self::assertSame(['open', ['pulling']], self::found('dry.log', $input));
        self::assertEqualsWithDelta(10 * log10(10_000 / 500) - 12, self::figure('dry.log', $input, 'time_to_target'), 1e-6);
        self::assertEqualsWithDelta(90.0, self::figure('dry.log', $input, 'fall_in_10_min'), 1e-6);
    }

    public function testWhatFellSinceItEvenedOutIsStillFalling(): void
    {
        $decay = fn (float $at, int $last): array => ['gauge_at' => 'far_end', 'readings' => [['minutes' => 0, 'micron' => 300], ['minutes' => $at, 'micron' => 400], ['minutes' => 4, 'micron' => 380], ['minutes' => 6, 'micron' => 370], ['minutes' => 9, 'micron' => 365], ['minutes' => 12, 'micron' => $last]]];
        self::assertSame(['open', ['still_falling']], self::found('dry.decay', $decay(2.0, 355)), 'the reading at two minutes is one of those that count');
        self::assertNotContains('still_falling', self::found('dry.decay', $decay(1.9, 355))[1]);
        self::assertNotContains('still_falling', self::found('dry.decay', $decay(2.0, 360))[1], 'nine tenths of the highest are not fallen');
    }

    public function testMoistureAlmostAsGoodAsALeakIsSaidToBe(): void
    {
        $seen = [];
        foreach (range(280, 340) as $bend) {
            $points = array_map(fn (float $t): array => ['minutes' => $t, 'micron' => 300 + 60 * $t - $bend / 800 * $t * $t], self::SPAN);
            // The first two minutes, in which the pressure evens out, are left aside.
            $fit = Fit::of(array_map(fn (array $p): array => [$p['minutes'], $p['micron']], array_slice($points, 2)));
            $judgement = self::judge('dry.decay', ['gauge_at' => 'far_end', 'readings' => $points]);
            if ($fit->model === 'leak' && in_array('leak', $judgement->codes(), true)) {
                $isAsGood = $fit->moistureOverLeak < 4.0;
                self::assertSame($isAsGood, in_array('cannot_tell', $judgement->codes(), true), "$fit->moistureOverLeak");
                $seen[(int) floor(2 * $fit->moistureOverLeak)] = true;
                foreach ($judgement->findings as $finding) {
                    self::assertTrue($finding->code !== 'cannot_tell' || $finding->status === Status::Stop);
                }
            }
        }
        self::assertTrue(isset($seen[7], $seen[8]), 'tried on both sides of four: ' . implode(' ', array_keys($seen)));
    }

    public function testWaterThatMayBoilOrNotIsTooCloseToCall(): void
    {
        $boils = (float) self::figure('dry.water', ['vacuum' => '100 micron', 'coldest_part' => '40 degF'], 'vacuum_to_boil');
        $marginal = fn (float $share): bool => self::judge('dry.water', ['vacuum' => $share * $boils . ' micron', 'coldest_part' => '40 degF'])->marginal;
        // A tenth of the gauge and what a degree of the thermometer is worth.
        $u = sqrt(0.1 ** 2 + ((float) self::figure('dry.water', ['vacuum' => '100 micron', 'coldest_part' => '41 degF'], 'vacuum_to_boil') / $boils - 1) ** 2);
        self::assertSame([true, false], [$marginal(0.7 / (1 + $u) + 0.001), $marginal(0.7 / (1 + $u) - 0.001)]);
        self::assertSame([true, false], [$marginal(0.7 / (1 - $u) - 0.001), $marginal(0.7 / (1 - $u) + 0.001)]);
    }

    public function testMoistureWhosePlateauIsLowEnoughIsDry(): void
    {
        $points = fn (float $plateau): array => ['gauge_at' => 'far_end', 'hold_limit' => '500 micron', 'readings' => array_map(fn (float $t): array => ['minutes' => $t, 'micron' => $plateau - 200 * exp(-$t / 12)], [...self::SPAN, 25.0, 30.0])];
        self::assertSame(['clear', ['model:moisture']], self::found('dry.decay', $points(480)));
        self::assertContains('plateau_over_limit', self::found('dry.decay', $points(506))[1]);
    }

    public function testTwoReadingsOfOneMinuteAreRefused(): void
    {
        $at = fn (float $minute): string => self::refused('dry.decay', ['gauge_at' => 'far_end', 'readings' => [['minutes' => 2, 'micron' => 300], ['minutes' => $minute, 'micron' => 310]]])[0];
        self::assertSame(['readings.1.minutes', 'readings.1.minutes', ''], [$at(1.9), $at(2.0), $at(2.1)]);
    }

    public function testHalfOfItSaysHalfOfIt(): void
    {
        self::assertSame(['open', ['missing:vacuum']], self::found('dry.water', ['coldest_part' => '40 degF']));
        self::assertSame(['vacuum_to_boil'], array_keys(self::judge('dry.water', ['coldest_part' => '40 degF'])->values));
        self::assertSame(['boils_at'], array_keys(self::judge('dry.water', ['vacuum' => '500 micron'])->values));
    }

    public function testAVacuumNoDeeperThanItsStartIsRefused(): void
    {
        $pull = ['volume' => '20 L', 'pump_speed' => '6 cfm'];
        self::assertSame('target', self::refused('dry.pull_time', ['target' => '760000 micron', 'start' => '760000 micron'] + $pull)[0]);
        self::assertSame('', self::refused('dry.pull_time', ['target' => '759999 micron', 'start' => '760000 micron'] + $pull)[0]);
    }

    public function testADecayStopsWhereAWaitIsOverAndStartsItsClockWhereItIsNot(): void
    {
        $points = fn (int $last): array => ['gauge_at' => 'far_end', 'readings' => array_map(fn (int $m): array => ['minutes' => $m, 'micron' => 300 + $m], range(0, $last))];
        self::assertSame(['starts decay 4'], self::setsOff('dry.decay', $points(6)));
        self::assertSame(['ends decay'], self::setsOff('dry.decay', $points(16)));
        self::assertSame([], self::setsOff('dry.decay', ['gauge_at' => 'far_end']), 'nothing read, nothing waited for');
    }

    /** @param \Closure(float): float $p */
    private static function fit(\Closure $p): Fit
    {
        return Fit::of(array_map(fn (float $t): array => [$t, $p($t)], self::SPAN));
    }
}
