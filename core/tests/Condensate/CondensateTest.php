<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Condensate;

use IronStart\Core\Tests\Judges;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class CondensateTest extends TestCase
{
    use Judges;

    private const POURED = ['method' => 'water', 'stopped' => true, 'returned' => true];
    private const PUMP = ['lift' => '5 ft', 'max_lift' => '10 ft', 'rate' => '20 gal/h', 'load' => '5 gal/h', 'ran' => true, 'left_on' => true, 'switch' => 'water', 'switch_stopped' => true];

    /** @return iterable<string, array{float, float, float}> in. w.c. at the pan, inches of drop and seal needed */
    public static function traps(): iterable
    {
        yield 'a little suction' => [-0.5, 1.5, 0.75];
        yield 'an inch' => [-1.0, 2.0, 1.0];
        yield 'two inches' => [-2.0, 3.0, 1.5];
        yield 'blown through' => [0.8, 0.5, 1.3];
        yield 'hardly blown through' => [0.1, 0.5, 0.6];
    }

    #[DataProvider('traps')]
    public function testDropAndSealAreTheStaticsByHand(float $static, float $drop, float $seal): void
    {
        $trap = ['static_at_pan' => "$static inH2O", 'primed' => true, 'arrangement' => $static < 0 ? 'draw_through' : 'blow_through'];
        $with = fn (float $d, float $s): array => self::found('condensate.trap', ['drop_to_outlet' => "$d in", 'seal' => "$s in"] + $trap);
        self::assertSame(['clear', []], $with($drop, $seal));
        self::assertSame(['stop', ['drop_short']], $with($drop - 0.01, $seal));
        self::assertSame(['stop', ['seal_short']], $with($drop, $seal - 0.01));
        self::assertSame(['stop', ['drop_short', 'seal_short']], $with($drop - 0.01, $seal - 0.01));
        self::assertEqualsWithDelta($drop, self::figure('condensate.trap', $trap, 'drop_needed'), 1e-9);
        self::assertEqualsWithDelta($seal, self::figure('condensate.trap', $trap, 'seal_needed'), 1e-9);
    }

    public function testASignAgainstTheArrangementIsARefusedReading(): void
    {
        $sign = fn (string $static, string $how): string => self::refused('condensate.trap', ['static_at_pan' => $static, 'arrangement' => $how])[0];
        self::assertSame('static_at_pan', $sign('1 inH2O', 'draw_through'));
        self::assertSame('static_at_pan', $sign('0 inH2O', 'draw_through'));
        self::assertSame('static_at_pan', $sign('-1 inH2O', 'blow_through'));
        self::assertSame('static_at_pan', $sign('0 inH2O', 'blow_through'));
        self::assertSame('', $sign('-1 inH2O', 'draw_through'));
        self::assertSame('', $sign('1 inH2O', 'blow_through'));
    }

    public function testANumberWithoutASignAsksWhichWayTheBlowerPulls(): void
    {
        $trap = ['static_at_pan' => '1 inH2O', 'drop_to_outlet' => '3 in', 'seal' => '2 in', 'primed' => true];
        self::assertSame(['open', ['missing:arrangement']], self::found('condensate.trap', $trap));
        self::assertNull(self::figure('condensate.trap', $trap, 'drop_needed'));
        self::assertSame(['clear', []], self::found('condensate.trap', ['static_at_pan' => '-1 inH2O'] + $trap), 'under suction it goes without saying');
    }

    /** @return iterable<string, array{array<string, mixed>, string, list<string>}> */
    public static function besides(): iterable
    {
        yield 'dry' => [['primed' => false], 'stop', ['not_primed']];
        yield 'an eighth in a foot' => [['slope' => '1.0416667 %'], 'clear', []];
        yield 'flatter' => [['slope' => '1 %'], 'watch', ['slope_low']];
        yield 'a vent before it' => [['vent' => ['position' => 'before', 'height_above_pan' => '10 in']], 'stop', ['vent_before_trap']];
        yield 'a vent after it' => [['vent' => ['position' => 'after']], 'clear', []];
        yield 'water stayed' => [['drained' => ['ran_off' => false, 'blower_on' => true, 'seen_at_end' => true]], 'stop', ['did_not_drain']];
        yield 'with the blower off' => [['drained' => ['ran_off' => true, 'blower_on' => false, 'seen_at_end' => true]], 'watch', ['drained_blower_off']];
        yield 'not seen at its end' => [['drained' => ['ran_off' => true, 'blower_on' => true, 'seen_at_end' => false]], 'watch', ['end_not_seen']];
        yield 'poured and seen' => [['drained' => ['ran_off' => true, 'blower_on' => true, 'seen_at_end' => true]], 'clear', ['drained']];
        yield 'poured, not all told' => [['drained' => ['ran_off' => true, 'blower_on' => true]], 'open', ['missing:drained.seen_at_end']];
        yield 'no trap at all' => [['trap' => false], 'stop', ['no_trap']];
    }

    /**
     * @param array<string, mixed> $with
     * @param list<string>         $codes
     */
    #[DataProvider('besides')]
    public function testWhatElseKeepsWaterInThePan(array $with, string $status, array $codes): void
    {
        self::assertSame([$status, $codes], self::found('condensate.trap', $with + ['static_at_pan' => '-1 inH2O', 'drop_to_outlet' => '2 in', 'seal' => '1 in', 'primed' => true]));
    }

    public function testABlowThroughVentStandsHigherThanThePressureLiftsWater(): void
    {
        $vent = fn (string $height): array => self::found('condensate.trap', ['static_at_pan' => '1 inH2O', 'arrangement' => 'blow_through', 'drop_to_outlet' => '1 in', 'seal' => '2 in', 'primed' => true, 'vent' => ['position' => 'before', 'height_above_pan' => $height]]);
        self::assertSame(['clear', []], $vent('1.01 in'));
        self::assertSame(['stop', ['vent_too_low']], $vent('1 in'));
        self::assertSame(['watch', ['no_trap']], self::found('condensate.trap', ['static_at_pan' => '1 inH2O', 'arrangement' => 'blow_through', 'trap' => false]));
    }

    /** What the drawing shows is what was measured: its two dimension lines, and water that stands higher on the pan's side under suction. */
    public function testTheTrapIsDrawnAsItWasMeasured(): void
    {
        $drawing = self::judge('condensate.trap', ['static_at_pan' => '-2 inH2O', 'drop_to_outlet' => '2 in', 'seal' => '2 in', 'primed' => true])->drawing;
        $dims = array_column($drawing['dims'], null, 'field');
        foreach (['drop_to_outlet' => 'stop', 'seal' => 'plain'] as $field => $is) {
            self::assertSame($is, $dims[$field]['is'], 'a drop of 3 in and a seal of 1.5 in are needed');
            self::assertEqualsWithDelta(2 * 0.0254, $dims[$field]['value'], 1e-9);
            self::assertEqualsWithDelta(2 * 0.0254, abs($dims[$field]['to'][1] - $dims[$field]['from'][1]), 1e-9);
        }
        $water = array_column($drawing['bodies'], null, 'id')['water']['points'];
        self::assertEqualsWithDelta(2 * 0.0254, $water[0][1] - $water[3][1], 1e-9, 'two inches of suction hold two inches of water');
        self::assertSame(['-drop_to_outlet', '-seal'], array_column($drawing['handles'], 'y'));
        self::assertSame([], self::judge('condensate.trap', ['static_at_pan' => '-2 inH2O', 'drop_to_outlet' => '2 in'])->drawing);
        self::assertNotContains('water', array_column(self::judge('condensate.trap', ['static_at_pan' => '-2 inH2O', 'drop_to_outlet' => '2 in', 'seal' => '2 in', 'primed' => false])->drawing['bodies'], 'id'));
    }

    /** @return iterable<string, array{array<string, mixed>, string, list<string>}> */
    public static function floats(): iterable
    {
        yield 'proved by water' => [[], 'clear', []];
        yield 'only lifted' => [['method' => 'lifted'], 'watch', ['lifted_only']];
        yield 'it ran on' => [['stopped' => false], 'stop', ['did_not_stop']];
        yield 'it only told a fault' => [['stopped' => false, 'fault_shown' => true], 'watch', ['fault_only']];
        yield 'it stays off' => [['returned' => false], 'watch', ['did_not_return']];
        yield 'as quick as the sheet' => [['seconds' => 30, 'sheet_seconds' => 30], 'clear', []];
        yield 'slower' => [['seconds' => 31, 'sheet_seconds' => 30], 'watch', ['slow']];
        yield 'not timed' => [['sheet_seconds' => 30], 'open', ['missing:seconds']];
    }

    /**
     * @param array<string, mixed> $with
     * @param list<string>         $codes
     */
    #[DataProvider('floats')]
    public function testAFloatIsProvedByWater(array $with, string $status, array $codes): void
    {
        self::assertSame([$status, $codes], self::found('condensate.float', $with + self::POURED));
    }

    /** @return iterable<string, array{array<string, mixed>, string, list<string>}> */
    public static function pumps(): iterable
    {
        yield 'good' => [[], 'clear', []];
        yield 'dead' => [['ran' => false], 'stop', ['pump_dead']];
        yield 'left off' => [['left_on' => false], 'stop', ['pump_left_off']];
        yield 'at four fifths of its lift' => [['lift' => '8 ft'], 'clear', []];
        yield 'near its lift' => [['lift' => '8.1 ft'], 'watch', ['lift_near']];
        yield 'at its lift' => [['lift' => '10 ft'], 'watch', ['lift_near']];
        yield 'over its lift' => [['lift' => '10.1 ft'], 'stop', ['lift_over']];
        yield 'twice the water' => [['rate' => '10 gal/h'], 'clear', []];
        yield 'less than twice' => [['rate' => '9.9 gal/h'], 'watch', ['rate_short']];
        yield 'just the water' => [['rate' => '5 gal/h'], 'watch', ['rate_short']];
        yield 'less than the water' => [['rate' => '4.9 gal/h'], 'stop', ['rate_short']];
        yield 'no switch' => [['switch' => 'none', 'switch_stopped' => null], 'stop', ['pump_no_switch']];
        yield 'switch not tested' => [['switch' => 'not_tested', 'switch_stopped' => null], 'open', ['pump_switch_not_tested']];
        yield 'switch only lifted' => [['switch' => 'lifted'], 'watch', ['pump_switch_lifted']];
        yield 'switch without effect' => [['switch_stopped' => false], 'stop', ['pump_switch_did_not_stop']];
    }

    /**
     * @param array<string, mixed> $with
     * @param list<string>         $codes
     */
    #[DataProvider('pumps')]
    public function testALiftPumpBringsItsOwnRisks(array $with, string $status, array $codes): void
    {
        self::assertSame([$status, $codes], self::found('condensate.float', ['pump' => array_filter($with + self::PUMP, fn ($v): bool => $v !== null)] + self::POURED));
    }

    /** 10 tons make 6 gal/h on a humid day: a pump of 12 gal/h is enough. */
    public function testWithoutAFigureTheCoilIsCountedByItsTons(): void
    {
        $pump = ['cooling' => '10 ton', 'rate' => '12 gal/h'] + array_diff_key(self::PUMP, ['load' => 1]);
        self::assertSame(['clear', ['default_load']], self::found('condensate.float', ['pump' => $pump] + self::POURED));
        self::assertEqualsWithDelta(200.0, self::figure('condensate.float', ['pump' => $pump] + self::POURED, 'rate_share'), 1e-6);
        self::assertSame(['watch', ['default_load', 'rate_short']], self::found('condensate.float', ['pump' => ['rate' => '11.9 gal/h'] + $pump] + self::POURED));
    }
}
