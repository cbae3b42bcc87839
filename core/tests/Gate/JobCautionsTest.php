<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Gate;

use IronStart\Core\Gate\JobCautions;
use IronStart\Core\Gate\JobType;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class JobCautionsTest extends TestCase
{
    /** @return iterable<string, array{string, string, bool}> check, what it is about, whether the roof is told */
    public static function onARoof(): iterable
    {
        yield 'the curb' => ['survey.curb_fit', 'machine', true];
        yield 'the crane' => ['survey.crane', 'machine', true];
        yield 'the way out' => ['refrigerant.way_out', 'circuit', true];
        yield 'the receiving list' => ['list.set', 'machine', true];
        yield 'the first start' => ['list.prestart', 'machine', true];
        yield 'the supply' => ['power.voltage', 'machine', false];
        yield 'the joints' => ['piping.purge', 'circuit', false];
    }

    #[DataProvider('onARoof')]
    public function testTheRoofIsToldWhereAGateBeginsOnIt(string $check, string $base, bool $told): void
    {
        $both = fn (array $facts): array => array_values(array_intersect(JobCautions::of($check, $base, JobType::Rooftop, $facts), ['roof_edge', 'heat_stress']));
        self::assertSame($told ? ['roof_edge', 'heat_stress'] : [], $both(['on_roof']));
        self::assertSame([], $both([]), 'not on the ground');
    }

    /** @return iterable<string, array{string, JobType, list<string>, bool, bool, list<string>}> */
    public static function others(): iterable
    {
        yield 'a compressor is carried' => ['compressor.windings', JobType::Compressor, [], false, false, ['manual_handling']];
        yield 'its oil too' => ['compressor.acid', JobType::Compressor, [], false, false, ['manual_handling']];
        yield 'a module is carried' => ['compressor.windings', JobType::Vrf, ['module_change'], false, false, ['manual_handling']];
        yield 'a new rooftop compressor is not' => ['compressor.windings', JobType::Rooftop, [], false, false, []];
        yield 'set by hand' => ['list.set', JobType::Condensing, [], false, false, ['manual_handling']];
        yield 'set by crane' => ['list.set', JobType::Condensing, ['craned'], false, false, []];
        yield 'a freed lead at the way out' => ['refrigerant.way_out', JobType::Rooftop, [], true, false, ['freed_leads']];
        yield 'a freed lead in vacuum' => ['dry.decay', JobType::Rooftop, [], true, false, ['freed_leads']];
        yield 'no lead freed' => ['refrigerant.way_out', JobType::Rooftop, [], false, true, []];
        yield 'heat beside a drive' => ['piping.purge', JobType::Rooftop, [], false, true, ['freed_leads']];
        yield 'heat in a module' => ['piping.purge', JobType::Vrf, [], false, false, ['freed_leads']];
        yield 'heat elsewhere' => ['piping.purge', JobType::Condensing, [], true, false, []];
        yield 'a reading' => ['power.voltage', JobType::Compressor, ['module_change'], true, true, []];
    }

    /**
     * @param list<string> $facts
     * @param list<string> $cautions
     */
    #[DataProvider('others')]
    public function testWhatTheJobAddsToACheck(string $check, JobType $type, array $facts, bool $freed, bool $inverter, array $cautions): void
    {
        self::assertSame($cautions, JobCautions::of($check, 'machine', $type, $facts, $freed, $inverter));
    }
}
