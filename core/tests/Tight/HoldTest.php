<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Tight;

use IronStart\Core\Check\Past;
use IronStart\Core\Core;
use IronStart\Core\Tests\Judges;
use IronStart\Core\Tight\Hold;
use IronStart\Core\Tight\Nitrogen;
use PHPUnit\Framework\TestCase;

/** Nitrogen in a closed pipe against figures worked out by hand. */
final class HoldTest extends TestCase
{
    use Judges;

    private const PSI = 6894.757;
    private const DESIGN = ['lowest_design_pressure' => '550 psig'];

    public function testALittleNitrogenIsAnIdealGasAndMuchIsNot(): void
    {
        self::assertEqualsWithDelta(1e4 * 290 / 310, Nitrogen::at(1e4, 310.0, 290.0), 0.2);
        $real = Nitrogen::at(514.696 * self::PSI, 308.15, 289.82) / self::PSI;
        self::assertEqualsWithDelta(2.3, Nitrogen::ideal(514.696, 308.15, 289.82) - $real, 0.1, '500 psig at 95 °F stand lower at 62 °F than the ideal law says');
    }

    public function testWarmedAndCooledItIsWhatItWas(): void
    {
        foreach ([[3e6, 295.0, 270.0], [4e6, 250.0, 340.0], [2e5, 300.0, 301.0]] as [$p, $from, $to]) {
            $there = Nitrogen::at($p, $from, $to);
            self::assertSame($to > $from, $there > $p);
            self::assertEqualsWithDelta($p, Nitrogen::at($there, $to, $from), 1e-6 * $p);
            self::assertEqualsWithDelta($p, Nitrogen::at($p, $from, $from), 1e-9 * $p);
        }
    }

    public function testTheBandIsWhatGaugeAndThermometerCanSee(): void
    {
        // 0.5 psi each time, and 1 °F of 540 °R at 514.7 psi absolute: sqrt(2·0.25 + 2·(514.7/540)²).
        $hold = self::hold(500, 80.33, 500, 80.33, 14.0);
        self::assertEqualsWithDelta(sqrt(0.5 + 2 * (514.696 / 540) ** 2), self::figure('tight.hold', $hold, 'uncertainty'), 1e-4);
        self::assertEqualsWithDelta(sqrt(2 * 0.25 ** 2), self::figure('tight.hold', ['gauge_resolution' => '0.25 psi', 'temperature_uncertainty' => '0 delta_degF'] + $hold, 'uncertainty'), 1e-6);
    }

    public function testUnevenAirCountsHalfTheSwingFiveKelvinAtLeast(): void
    {
        $of = fn (float $end): float => (float) self::figure('tight.hold', ['uneven' => true, 'gauge_resolution' => '0.0001 psi'] + self::hold(500, 80.33, 500, $end, 14.0), 'uncertainty');
        self::assertEqualsWithDelta(sqrt(2) * 514.696 * 9 / 540, $of(80.33), 1e-3);
        self::assertEqualsWithDelta(sqrt(2) * 514.696 * 20 / 540, $of(40.33), 1e-3, 'half of 40 °F');
    }

    public function testTheSmallestLeakIsTheBandOverTheTime(): void
    {
        $hold = ['volume' => '20 L', 'refrigerant' => 'R-410A', 'ambient' => '80 degF'] + self::hold(500, 80, 500, 80, 24.0);
        $u = (float) self::figure('tight.hold', $hold, 'uncertainty');
        self::assertEqualsWithDelta(0.02 * $u * self::PSI / 86_400, self::figure('tight.hold', $hold, 'smallest_leak'), 1e-9);
        $perYear = (float) self::figure('tight.hold', $hold, 'smallest_leak_per_year');
        self::assertEqualsWithDelta(30.0, $perYear, 10.0, 'a day at 500 psig on 20 L sees some thirty ounces a year');
        self::assertEqualsWithDelta(24 * $perYear / 0.5, self::figure('tight.hold', $hold, 'hold_for_half_ounce'), 1e-6);
        $twice = ['volume' => '40 L'] + $hold;
        self::assertEqualsWithDelta(2 * $perYear, self::figure('tight.hold', $twice, 'smallest_leak_per_year'), 1e-6, 'a larger pipe hides a larger leak');
        foreach ([['refrigerant' => 'water'], ['ambient' => null], ['start' => ['pressure' => '0 psig'] + $hold['start']], ['ambient' => '-80 degF']] as $lacking) {
            self::assertNull(self::figureOrRefused(array_filter($lacking + $hold, fn (mixed $v): bool => $v !== null)));
        }
    }

    public function testAnEndAtItsStartOrInAnotherZoneIsRefused(): void
    {
        foreach (['2026-03-02T17:00', '2026-03-02T16:59', '2026-03-02T18:00-07:00'] as $at) {
            self::assertSame('end.at', self::refused('tight.hold', ['end' => ['pressure' => '500 psig', 'temperature' => '80 degF', 'at' => $at]] + self::hold(500, 80, 500, 80, 1.0))[0], $at);
        }
        self::assertSame('', self::refused('tight.hold', self::hold(500, 80, 500, 80, 0.001))[0]);
    }

    public function testAltitudeOrBarometerAloneSaysWhereTheGaugeStands(): void
    {
        $basis = fn (array $more): array => Core::judge()->judge('tight.hold', $more + self::hold(500, 80, 500, 80, 14.0), 'us')->basis;
        $sea = 'At sea level: no altitude or barometer was given.';
        self::assertContains($sea, $basis([]));
        self::assertNotContains($sea, $basis(['altitude' => '5280 ft']));
        self::assertNotContains($sea, $basis(['barometer' => '83 kPa']));
        // Thin air weighs on the gauge less: the same cold takes a little less of it.
        $falls = fn (array $more): float => 500 - (float) self::figure('tight.hold', $more + self::hold(500, 80, 490, 60, 14.0), 'expected');
        self::assertGreaterThan($falls(['altitude' => '5280 ft']), $falls([]));
    }

    public function testWhatIsLeftRunsAsAClockFromTheStartOnAndEndsWithTheHold(): void
    {
        $start = ['start' => ['pressure' => '500 psig', 'temperature' => '80 degF', 'at' => '2026-03-02T17:00']] + self::DESIGN;
        self::assertSame(['closes circuit_open', 'starts pressure_hold 60'], self::setsOff('tight.hold', $start));
        self::assertSame(['closes circuit_open', 'starts pressure_hold 1440'], self::setsOff('tight.hold', ['system' => 'vrf'] + $start));
        self::assertSame(['closes circuit_open', 'starts pressure_hold 10'], self::setsOff('tight.hold', ['minimum_hold' => '10 min'] + $start));
        self::assertSame(['closes circuit_open', 'starts pressure_hold 30'], self::setsOff('tight.hold', self::hold(500, 80, 500, 80, 0.5)));
        self::assertSame(['closes circuit_open', 'ends pressure_hold'], self::setsOff('tight.hold', self::hold(500, 80, 500, 80, 1.0)));
        self::assertSame(['closes circuit_open', 'ends pressure_hold'], self::setsOff('tight.hold', self::hold(500, 80, 480, 80, 0.5)), 'a leak is not waited for');
        self::assertSame([], self::setsOff('tight.hold', ['start' => ['pressure' => '500 psig']] + self::DESIGN));
    }

    public function testAHoldThatIsOpenIsCarriedOnAndOneThatIsReadIsNot(): void
    {
        $hold = self::hold(500, 80, 500, 80, 14.0) + ['source_off' => true, 'bubbles' => 'done'];
        $past = fn (string $status): Past => new Past([['check' => 'tight.hold', 'subject' => 'circuit:A', 'status' => $status, 'codes' => [], 'input' => $hold, 'values' => [], 'at' => 1]]);
        self::assertSame(['start', 'source_off'], array_keys(Hold::bringsIn($past('open'), 'circuit:A')));
        self::assertSame([], Hold::bringsIn($past('open'), 'circuit:B'));
        foreach (['clear', 'watch', 'stop'] as $read) {
            self::assertSame([], Hold::bringsIn($past($read), 'circuit:A'));
        }
    }

    public function testTheDrawingHasTheBandTwiceAsWideAsWhatCanBeSeenInOrderOfTime(): void
    {
        $point = fn (string $at): array => ['pressure' => '499 psig', 'temperature' => '80 degF', 'at' => $at];
        $hold = self::hold(500, 80, 498, 80, 14.0) + ['points' => [$point('2026-03-02T20:00'), $point('2026-03-02T18:00')]];
        $judgement = Core::judge()->judge('tight.hold', $hold, 'us')->judgement;
        $drawing = $judgement->drawing;
        self::assertSame([0.0, 1.0, 3.0, 14.0], array_map(fn (array $p): float => (float) $p[0], $drawing['points']));
        self::assertSame([0.0, 1.0, 3.0, 14.0], array_map(fn (array $p): float => (float) $p[0], $drawing['band']));
        self::assertEqualsWithDelta([500.0, 500.0], array_slice($drawing['band'][0], 1), 1e-6);
        $u = (float) $judgement->values['uncertainty']->value;
        self::assertEqualsWithDelta([500 - 2 * $u, 500 + 2 * $u], array_slice($drawing['band'][3], 1), 1e-4);
    }

    /** @return array<string, mixed> */
    private static function hold(float $from, float $at, float $to, float $then, float $hours): array
    {
        $end = (new \DateTimeImmutable('2026-03-02T17:00'))->modify('+' . (int) round(3600 * $hours) . ' seconds')->format('Y-m-d\TH:i:s');

        return [
            'start' => ['pressure' => "$from psig", 'temperature' => "$at degF", 'at' => '2026-03-02T17:00'],
            'end' => ['pressure' => "$to psig", 'temperature' => "$then degF", 'at' => $end],
        ] + self::DESIGN;
    }

    /** @param array<string, mixed> $input */
    private static function figureOrRefused(array $input): ?float
    {
        return self::refused('tight.hold', $input)[0] === '' ? self::figure('tight.hold', $input, 'smallest_leak_per_year') : null;
    }
}
