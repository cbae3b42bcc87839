<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Compressor;

use IronStart\Core\Check\Past;
use IronStart\Core\Compressor\Bridge;
use IronStart\Core\Compressor\Inverter;
use IronStart\Core\Core;
use IronStart\Core\Sheet\EquipmentSheet;
use IronStart\Core\Tests\Judges;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What the record says of the compressor behind an inverter, which pairs the sheet asks for, and what cannot be. */
final class InverterTest extends TestCase
{
    use Judges;

    public function testWhatWasJudgedOfTheCompressorIsKnownAndOtherwiseAsked(): void
    {
        $told = fn (string $check, string $status): array => ['check' => $check, 'subject' => 'compressor:C1', 'status' => $status, 'codes' => [], 'input' => [], 'values' => [], 'at' => 1];
        self::assertSame([], Inverter::bringsIn(new Past(), 'compressor:C1'));
        self::assertSame(['windings' => 'good', 'insulation' => 'bad'], Inverter::bringsIn(new Past([$told('compressor.windings', 'watch'), $told('compressor.insulation', 'stop')]), 'compressor:C1'));
        self::assertSame(['insulation' => 'good'], Inverter::bringsIn(new Past([$told('compressor.windings', 'open'), $told('compressor.insulation', 'clear')]), 'compressor:C1'));
        self::assertSame([], Inverter::bringsIn(new Past([$told('compressor.windings', 'clear')]), 'compressor:C2'), 'of another one it says nothing');
    }

    public function testTheSheetOfAUnitWithAnInverterGivesEachPair(): void
    {
        $sheet = fn (string $drive, int $phases): array => (new EquipmentSheet(['electrical' => ['phases' => $phases, 'motors' => [['name' => 'C1', 'kind' => 'scroll', 'drive' => $drive, 'amps' => '20 A']]]]))->fill((new Inverter())->fields(), 'compressor:C1');
        self::assertCount(6, $sheet('inverter', 3)['rectifier']);
        self::assertCount(4, $sheet('inverter', 1)['rectifier']);
        self::assertSame([['leg' => 'u', 'bus' => 'plus'], ['leg' => 'u', 'bus' => 'minus']], array_slice($sheet('inverter', 3)['output'], 0, 2));
        self::assertArrayNotHasKey('rectifier', $sheet('across_line', 3));
    }

    /** @param array<string, mixed> $input */
    #[DataProvider('wrong')]
    public function testAPairTwiceIsRefused(array $input, string $field): void
    {
        self::assertSame($field, self::refused('compressor.inverter', $input)[0]);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function wrong(): iterable
    {
        $pair = ['leg' => 'a', 'bus' => 'plus', 'forward' => '0.4 V', 'reverse' => 'OL'];
        yield 'a pair of the rectifier twice' => [['rectifier' => [$pair, $pair]], 'rectifier.1.bus'];
        yield 'the leg a single-phase supply does not have' => [['phases' => 1, 'rectifier' => [['leg' => 'c'] + $pair]], 'rectifier.0.leg'];
        foreach (['-0.01 V', '10.01 V', 'open', ''] as $no) {
            yield "no volts of the diode range: $no" => [['rectifier' => [['forward' => $no === '' ? ['value' => 'x', 'unit' => 'V'] : $no] + $pair]], 'rectifier.0.forward'];
        }
        yield 'a leg of the other side' => [['output' => [$pair]], 'output.0.leg'];
    }

    public function testNothingIsReadWithOhmsWhileTheBusIsCharged(): void
    {
        $verdict = Core::judge()->judge('compressor.inverter', ['locked' => true, 'bus_dead' => '48 V'], 'us');
        self::assertSame('48 V still on the bus.', $verdict->headline);
        self::assertSame('Wait, and read it again. Never short it.', $verdict->next[0]);
    }

    public function testADiodeThatStillSettlesBackwardsWasReadForwards(): void
    {
        $pair = fn (string $leg, string $bus, string $forward, string $reverse = 'OL'): array => ['leg' => $leg, 'bus' => $bus, 'forward' => $forward, 'reverse' => $reverse];
        $input = ['locked' => true, 'bus_dead' => '3 V', 'leads_lifted' => false, 'phases' => 1];
        $codes = fn (array ...$pairs): array => self::found('compressor.inverter', $input + ['rectifier' => array_values($pairs)])[1];
        $others = [$pair('a', 'minus', '0.82 V'), $pair('b', 'plus', '0.82 V'), $pair('b', 'minus', '0.82 V')];
        self::assertSame(['bus_not_read', 'not_settled:a:plus', 'rectifier_high:a:plus', 'leads_on'], $codes($pair('a', 'plus', '0.91 V', '1.5 V'), ...$others));
        self::assertSame(['bus_not_read', 'not_settled:a:plus', 'rectifier_high:a:plus', 'rectifier_uneven', 'leads_on'], $codes($pair('a', 'plus', '0.93 V', '1.5 V'), ...$others));
    }

    public function testABadCompressorIsSaidOnce(): void
    {
        $bad = ['locked' => true, 'bus_dead' => '3 V', 'leads_lifted' => true, 'windings' => 'bad', 'insulation' => 'bad'];
        $verdict = Core::judge()->judge('compressor.inverter', $bad, 'us');
        self::assertSame('The compressor is bad.', $verdict->headline);
        self::assertNotContains('The compressor is bad.', $verdict->because);
        $stops = fn (array $with): array => array_values(array_intersect(self::found('compressor.inverter', $with + $bad)[1], ['compressor_bad', 'not_read:windings', 'not_read:insulation']));
        self::assertSame(['compressor_bad', 'not_read:insulation'], $stops(['insulation' => 'not_read']));
        self::assertSame(['compressor_bad', 'not_read:windings'], $stops(['windings' => 'not_read']));
        self::assertSame(['not_read:windings', 'not_read:insulation'], $stops(['windings' => 'not_read', 'insulation' => 'not_read']));
    }

    public function testABusThatFailsWithAGoodRectifierIsTheBoards(): void
    {
        $good = array_merge([], ...array_map(fn (string $leg): array => array_map(fn (string $bus): array => ['leg' => $leg, 'bus' => $bus, 'forward' => '0.45 V', 'reverse' => 'OL'], ['plus', 'minus']), ['a', 'b', 'c']));
        $input = ['locked' => true, 'bus_dead' => '3 V', 'leads_lifted' => false, 'line_ab' => '480 V', 'line_bc' => '480 V', 'line_ca' => '480 V', 'bus_live' => '500 V', 'rectifier' => $good];
        $names = fn (array $with): array => Core::judge()->judge('compressor.inverter', $with + $input, 'us')->toArray()['values']['names']['value'];
        self::assertSame(['board'], $names([]));
        self::assertSame([], $names(['rectifier' => array_slice($good, 1)]), 'one pair was not read');
        self::assertSame([], $names(['rectifier' => [['reverse' => null] + $good[0], ...array_slice($good, 1)]]), 'nor one way of a pair');
        self::assertSame([], $names(['rectifier' => [['reverse' => '1.5 V'] + $good[0], ...array_slice($good, 1)]]), 'nor one that still settles');
        self::assertSame(['supply'], $names(['line_ca' => '400 V']), 'the supply says enough');
        self::assertSame([], $names(['sheet_bus' => '648 V', 'line_ab' => null, 'line_bc' => null, 'line_ca' => null]), 'nobody read the lines');
    }

    public function testVoltsOfTheDiodeRangeFromNothingToTenAndOverTwoIsOpen(): void
    {
        self::assertSame([0.0, 1.99, INF, INF, INF, INF], array_map(Bridge::diode(...), ['0 V', '1.99 V', '2 V', '10 V', 'OL', ' ol ']));
    }

    public function testWhatIsNotLockedOrNotReadDeadIsNotJudgedByItsDiodes(): void
    {
        $short = ['rectifier' => [['leg' => 'a', 'bus' => 'plus', 'forward' => '0.01 V', 'reverse' => '0.01 V']], 'leads_lifted' => true];
        self::assertEqualsCanonicalizing(['not_locked', 'bus_not_read'], self::found('compressor.inverter', ['locked' => false, 'bus_dead' => '3 V'] + $short)[1]);
        self::assertEqualsCanonicalizing(['missing:bus_dead', 'bus_not_read'], self::found('compressor.inverter', ['locked' => true] + $short)[1]);
    }

    public function testOnlyTheLinesItHasAreAsked(): void
    {
        $missing = fn (array $with): array => array_values(array_filter(self::found('compressor.inverter', $with + ['locked' => true, 'bus_dead' => '3 V'])[1], fn (string $code): bool => str_starts_with($code, 'missing:line')));
        self::assertSame(['missing:line_bc', 'missing:line_ca'], $missing(['line_ab' => '480 V']), 'one was read');
        self::assertSame(['missing:line_ab', 'missing:line_bc', 'missing:line_ca'], $missing(['bus_live' => '648 V']), 'nothing says what the bus should be');
        self::assertSame([], $missing(['bus_live' => '648 V', 'sheet_bus' => '650 V']), 'the sheet does');
        self::assertSame(['missing:line_ab'], $missing(['bus_live' => '339 V', 'phases' => 1]));
        self::assertSame([], $missing([]));
    }
}
