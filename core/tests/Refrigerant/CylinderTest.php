<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Refrigerant;

use IronStart\Core\Check\Past;
use IronStart\Core\Refrigerant\Cylinder;
use IronStart\Core\Tests\Judges;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class CylinderTest extends TestCase
{
    use Judges;

    /** A density that makes the sum easy: 997.05 kg/m3 is water. */
    private const WATERY = ['water_capacity' => '50 lb', 'tare' => '25 lb', 'gross_now' => '30 lb', 'liquid_density' => '997.05 kg/m3'];
    private const COLLAR = ['water_capacity' => '50 lb', 'tare' => '25 lb', 'gross_now' => '30 lb', 'refrigerant' => 'R-410A'];

    /** 25 lb + 0.8 · 50 lb = 65 lb gross; 35 lb are left of it. */
    public function testTheSumCanBeWorkedByHand(): void
    {
        self::assertEqualsWithDelta(65 * 16, self::figure('refrigerant.cylinder', self::WATERY, 'safe_gross'), 1e-6);
        self::assertEqualsWithDelta(35 * 16, self::figure('refrigerant.cylinder', self::WATERY, 'room'), 1e-6);
    }

    /** @return iterable<string, array{string, float}> */
    public static function loads(): iterable
    {
        yield 'it fits' => ['35 lb', 0.0];
        yield 'one more' => ['35.1 lb', 1.0];
        yield 'one more, full to its limit' => ['75 lb', 1.0];
        yield 'two more' => ['75.1 lb', 2.0];
        yield 'nothing' => ['0 lb', 0.0];
    }

    #[DataProvider('loads')]
    public function testMoreCylindersAreCountedFromWhatThisOneLeavesOver(string $toRecover, float $more): void
    {
        self::assertSame($more, self::figure('refrigerant.cylinder', ['to_recover' => $toRecover] + self::WATERY, 'more_cylinders'));
    }

    public function testAnOverFullOneLeavesAllOfItToOthers(): void
    {
        self::assertSame(2.0, self::figure('refrigerant.cylinder', ['gross_now' => '70 lb', 'to_recover' => '41 lb'] + self::WATERY, 'more_cylinders'));
    }

    public function testAColdCylinderHoldsNoMoreThanAWarmOne(): void
    {
        $safe = fn (string $at): ?float => self::figure('refrigerant.cylinder', ['fill_temperature' => $at] + self::COLLAR, 'safe_gross');
        self::assertEqualsWithDelta($safe('77 degF'), $safe('20 degF'), 1e-9, 'what is filled cold warms up');
        self::assertLessThan($safe('77 degF'), $safe('110 degF'));
    }

    public function testWhatTheScaleCannotTellIsMarginal(): void
    {
        $isMarginal = fn (array $with): bool => self::judge('refrigerant.cylinder', $with + self::WATERY)->marginal;
        self::assertTrue($isMarginal(['to_recover' => '560.4 oz']), 'half an ounce of room');
        self::assertTrue($isMarginal(['to_recover' => '559.6 oz']));
        self::assertFalse($isMarginal(['to_recover' => '559.4 oz']));
        self::assertFalse($isMarginal(['to_recover' => '560.6 oz']));
        self::assertFalse($isMarginal(['to_recover' => '560.4 oz', 'cylinder_state' => 'damaged']), 'a stop that no scale moves');
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function impossible(): iterable
    {
        yield 'lighter than its tare' => [['gross_now' => '24.9 lb'], 'gross_now'];
        yield 'colder than the table' => [['fill_temperature' => '-150 degF'], 'fill_temperature'];
        yield 'a thermometer off the table' => [['cylinder_temperature' => '160 degF', 'cylinder_pressure' => '600 psig'], 'cylinder_temperature'];
        yield 'a cylinder of no capacity' => [['water_capacity' => '0 lb'], 'water_capacity'];
        yield 'more than all of it' => [['max_fill' => '101 %'], 'max_fill'];
    }

    /** @param array<string, mixed> $with */
    #[DataProvider('impossible')]
    public function testAnImpossibleMeasureIsNamed(array $with, string $field): void
    {
        self::assertSame($field, self::refused('refrigerant.cylinder', $with + self::COLLAR)[0]);
    }

    public function testWeighingItsTareIsNoError(): void
    {
        self::assertSame('clear', self::judge('refrigerant.cylinder', ['gross_now' => '25 lb'] + self::COLLAR)->status->value);
    }

    public function testAnUnfitCylinderIsToldBeforeItsWeightIsAsked(): void
    {
        foreach (['disposable', 'out_of_date', 'damaged'] as $state) {
            self::assertSame(['stop', [$state, 'missing:gross_now']], self::found('refrigerant.cylinder', ['cylinder_state' => $state] + array_diff_key(self::COLLAR, ['gross_now' => 1])));
        }
    }

    public function testAFlammableOneIsSaidToBe(): void
    {
        self::assertContains('flammable_refrigerant', self::judge('refrigerant.cylinder', ['refrigerant' => 'R-32'] + self::COLLAR)->cautions);
        self::assertNotContains('flammable_refrigerant', self::judge('refrigerant.cylinder', self::COLLAR)->cautions);
    }

    public function testTheChargeOfTheWayOutIsWhatHasToFit(): void
    {
        self::assertSame(['to_recover' => '17.25 lb'], Cylinder::bringsIn(self::past('refrigerant.way_out', 'circuit:1', ['charge' => '17.25 lb']), 'circuit:1'));
        self::assertSame([], Cylinder::bringsIn(self::past('refrigerant.way_out', 'circuit:1', ['charge' => '17.25 lb']), 'circuit:2'));
        self::assertSame([], Cylinder::bringsIn(self::past('refrigerant.way_out', 'circuit:1', []), 'circuit:1'));
        self::assertSame([], Cylinder::bringsIn(new Past(), 'circuit:1'));
    }

    public function testTheColumnShowsWhatStandsOnTheScale(): void
    {
        $bars = fn (array $with): array => array_column(self::judge('refrigerant.cylinder', $with + self::WATERY)->drawing['bars'] ?? [], 'is');
        self::assertSame(['pale', 'plain'], $bars([]));
        self::assertSame(['pale', 'plain', 'stop'], $bars(['to_recover' => '36 lb']));
        self::assertSame(['pale', 'stop'], $bars(['gross_now' => '66 lb']));
        self::assertEqualsWithDelta(65.0, self::judge('refrigerant.cylinder', self::WATERY)->drawing['limit'], 1e-9);
    }
}
