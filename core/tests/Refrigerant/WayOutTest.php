<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Refrigerant;

use IronStart\Core\Tests\Judges;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class WayOutTest extends TestCase
{
    use Judges;

    private const GOOD = ['compressor_runs' => true, 'acid' => 'none', 'work_on' => 'line_set', 'service_valves' => true, 'charge' => '9 lb', 'condenser_storage' => '12 lb'];

    /** @return iterable<string, array{string, array<string, mixed>}> every reason by itself */
    public static function reasons(): iterable
    {
        yield 'the condenser is worked on' => ['work_inside', ['work_on' => 'condenser']];
        yield 'the compressor is worked on' => ['work_inside', ['work_on' => 'compressor']];
        yield 'a drier before the valve' => ['work_inside', ['work_on' => 'drier', 'on_line_side' => false]];
        yield 'a metering device before the valve' => ['work_inside', ['work_on' => 'metering', 'on_line_side' => false]];
        yield 'slight acid' => ['acid', ['acid' => 'slight']];
        yield 'strong acid' => ['acid', ['acid' => 'strong']];
        yield 'a burnout' => ['burnout', ['failure' => 'electrical_burnout']];
        yield 'no valves' => ['no_valves', ['service_valves' => false]];
        yield 'it does not run' => ['compressor_dead', ['compressor_runs' => false]];
        yield 'a leak that would draw air' => ['low_side_leak', ['low_side_leak' => true]];
        yield 'a mixture' => ['mixed', ['mixed' => true]];
        yield 'no room' => ['storage_short', ['condenser_storage' => '9.9 lb']];
    }

    /** @param array<string, mixed> $with */
    #[DataProvider('reasons')]
    public function testEachReasonAloneIsEnoughToRecover(string $code, array $with): void
    {
        self::assertSame(['clear', ['pump_down']], self::found('refrigerant.way_out', self::GOOD));
        self::assertSame(['clear', ['recover', $code]], self::found('refrigerant.way_out', $with + self::GOOD));
    }

    public function testAllReasonsStandBesideEachOther(): void
    {
        $all = array_merge(...array_column(iterator_to_array(self::reasons(), false), 1));
        $codes = self::judge('refrigerant.way_out', ['work_on' => 'condenser'] + $all + self::GOOD)->codes();
        self::assertSame(['recover', 'work_inside', 'acid', 'burnout', 'no_valves', 'compressor_dead', 'low_side_leak', 'mixed', 'storage_short'], $codes);
    }

    public function testEitherSideOfTheValveOnlyMattersForWhatCanSitOnBoth(): void
    {
        self::assertSame(['pump_down'], self::judge('refrigerant.way_out', ['on_line_side' => false] + self::GOOD)->codes());
        self::assertSame(['pump_down'], self::judge('refrigerant.way_out', ['work_on' => 'indoor_coil'] + self::GOOD)->codes());
    }

    /** 9 lb in 12 lb of storage. */
    public function testTheShareOfTheStorageIsTold(): void
    {
        self::assertEqualsWithDelta(75.0, self::figure('refrigerant.way_out', self::GOOD, 'storage_use'), 1e-9);
        self::assertNull(self::figure('refrigerant.way_out', array_diff_key(self::GOOD, ['charge' => 1]), 'storage_use'));
        self::assertSame(['watch', ['storage_unknown', 'pump_down']], self::found('refrigerant.way_out', array_diff_key(self::GOOD, ['condenser_storage' => 1])));
    }

    public function testWhoPumpsDownIsWarnedOfWhatPumpingDownDoes(): void
    {
        $extra = ['bypassed_safety', 'hand_on_contactor', 'working_alone'];
        self::assertSame($extra, array_values(array_intersect(self::judge('refrigerant.way_out', self::GOOD)->cautions, $extra)));
        self::assertSame([], array_intersect(self::judge('refrigerant.way_out', ['mixed' => true] + self::GOOD)->cautions, $extra));
    }

    public function testAJumperIsOnThePutBackListFromTheMomentItIsTold(): void
    {
        self::assertSame([], self::setsOff('refrigerant.way_out', self::GOOD));
        self::assertSame(['opens safety_bypassed'], self::setsOff('refrigerant.way_out', ['safety_bypassed' => true] + self::GOOD));
        self::assertSame(['opens safety_bypassed'], self::setsOff('refrigerant.way_out', ['safety_bypassed' => true, 'mixed' => true] + self::GOOD));
    }

    public function testADrawingStandsOnTwoMasses(): void
    {
        $bars = fn (array $with): array => array_column(self::judge('refrigerant.way_out', $with + self::GOOD)->drawing['bars'] ?? [], 'is');
        self::assertSame(['plain', 'pale'], $bars([]));
        self::assertSame(['stop', 'pale'], $bars(['condenser_storage' => '9.9 lb']));
        self::assertSame([], $bars(['charge' => null]));
        self::assertEqualsWithDelta(10.8, self::judge('refrigerant.way_out', self::GOOD)->drawing['limit'], 1e-9, '90 % of 12 lb, in pounds');
    }
}
