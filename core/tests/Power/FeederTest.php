<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Power;

use IronStart\Core\Check\Past;
use IronStart\Core\Entry\Feed;
use IronStart\Core\Power\Feeder;
use IronStart\Core\Tests\Judges;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A feeder leg by leg, what cannot hang on it, and what the record brings. */
final class FeederTest extends TestCase
{
    use Judges;

    private const ON = ['breaker' => '100 A', 'usable' => '100 A'];

    /** @param list<array<string, mixed>> $items @param array<string, mixed> $more */
    #[DataProvider('wrong')]
    public function testWhatCannotHangOnItIsRefused(array $items, string $field, array $more = []): void
    {
        self::assertSame($field, self::refused('power.feeder', $more + ['items' => $items] + self::ON)[0]);
    }

    /** @return iterable<string, array<int, mixed>> */
    public static function wrong(): iterable
    {
        $one = fn (array $more): array => $more + ['name' => 'A', 'amps' => '10 A', 'largest' => '5 A'];
        yield 'the feeder itself' => [[$one(['name' => 'feeder'])], 'items.0.name'];
        yield 'twice' => [[$one([]), $one([])], 'items.1.name'];
        yield 'three phases of one' => [[$one(['phases' => 3])], 'items.0.phases', ['phases' => 1]];
        yield 'a leg it has not' => [[$one(['phases' => 1, 'legs' => ['a', 'c']])], 'items.0.legs.1', ['phases' => 1]];
        yield 'a leg twice' => [[$one(['phases' => 1, 'legs' => ['a', 'a']])], 'items.0.legs.1'];
        yield 'two legs for three phases' => [[$one(['legs' => ['a', 'b']])], 'items.0.legs'];
        yield 'three legs for one phase' => [[$one(['phases' => 1, 'legs' => ['a', 'b', 'c']])], 'items.0.legs'];
        yield 'a motor larger than all of it' => [[$one(['largest' => '10.1 A'])], 'items.0.largest'];
        yield 'a motor larger than its MCA allows' => [[['name' => 'A', 'mca' => '25 A', 'largest' => '20.1 A']], 'items.0.largest'];
        yield 'no such day' => [[$one(['on_since' => '2026-02-30'])], 'items.0.on_since'];
        yield 'fed from nobody' => [[$one(['feeds_from' => 'X'])], 'items.0.feeds_from'];
        yield 'round in a circle' => [[$one(['name' => 'Z']), $one(['feeds_from' => 'B']), $one(['name' => 'B', 'feeds_from' => 'A'])], 'items.1.feeds_from'];
        yield 'a swap nowhere' => [[$one([])], 'swap_at', ['swap_at' => 'X']];
    }

    public function testEachLegCarriesItsOwn(): void
    {
        $items = [
            ['name' => 'U', 'amps' => '30 A', 'largest' => '20 A'],
            ['name' => 'H', 'kind' => 'heat', 'mca' => '25 A', 'phases' => 1, 'legs' => ['b'], 'mode' => 'heat'],
            ['name' => 'C', 'amps' => '10 A', 'largest' => '8 A', 'phases' => 1, 'legs' => ['b', 'c'], 'mode' => 'cool'],
        ];
        $values = self::judge('power.feeder', ['items' => $items] + self::ON)->values;
        $of = fn (string ...$names): array => array_map(fn (string $name): mixed => $values[$name]->value, $names);
        self::assertSame([30.0, 50.0, 40.0], $of('amps_a', 'amps_b', 'amps_c'));
        self::assertSame([60.0, 60.0, 'b'], $of('demand_low', 'demand_high', 'worst_leg'));
    }

    public function testWhoCameLastIsNamed(): void
    {
        $items = [['name' => 'A', 'amps' => '60 A', 'largest' => '9 A', 'on_since' => '2026-05-02'], ['name' => 'B', 'amps' => '60 A', 'largest' => '9 A', 'on_since' => '2025-01-01'], ['name' => 'C', 'amps' => '1 A', 'largest' => '1 A', 'on_since' => '2026-05-02']];
        self::assertSame('A', self::judge('power.feeder', ['items' => $items] + self::ON)->values['last_added']->value);
    }

    public function testTheLargestBreakerIsToldWhereAllDevicesAreKnown(): void
    {
        $items = [['name' => 'A', 'amps' => '20 A', 'largest' => '9 A', 'mocp' => '35 A'], ['name' => 'B', 'amps' => '10 A', 'largest' => '9 A', 'mocp' => '35 A']];
        self::assertSame(45.0, self::figure('power.feeder', ['breaker' => '60 A', 'usable' => '40 A', 'items' => $items], 'breaker_most'));
    }

    public function testTheRecordBringsItsCircuitAndASwapFurtherUp(): void
    {
        $one = fn (string $check, array $input, array $values = []): array => ['check' => $check, 'subject' => 'machine', 'status' => 'clear', 'codes' => [], 'input' => $input, 'values' => $values, 'at' => 1];
        $circuit = $one('power.circuit', ['breaker' => '45 A'], ['usable_ampacity' => ['value' => 50, 'unit' => 'A']]);
        self::assertSame(['usable' => ['value' => 50.0, 'unit' => 'A'], 'breaker' => '45 A', 'swap_at' => 'feeder'], Feeder::bringsIn(new Past([$circuit, $one('entry.swap', ['place' => 'upstream'])]), 'machine'));
        self::assertSame([], Feeder::bringsIn(new Past([$one('entry.swap', ['place' => 'motor_leads'])]), 'machine'));
    }

    public function testTheFeedBringsWhatHangsOnItAndWhereTwoLinesWereSwapped(): void
    {
        $told = ['panel' => 'R-1', 'breaker' => '200 A', 'usable' => '180 A', 'phases' => 3, 'items' => [['name' => 'north', 'machine' => 'RTU-1', 'mca' => '32.8 A']]];
        $circuit = ['check' => 'power.circuit', 'subject' => 'machine', 'status' => 'clear', 'codes' => [], 'input' => ['breaker' => '40 A'], 'values' => [], 'at' => 1];
        $swap = fn (string $place): array => ['check' => 'entry.swap', 'subject' => 'machine', 'status' => 'clear', 'codes' => [], 'input' => ['place' => $place], 'values' => [], 'at' => 2];
        $brought = fn (array ...$more): array => Feeder::bringsIn(new Past([$circuit, ...$more], feed: fn (): array => ['me' => 'north', 'input' => $told]), 'machine');
        $feed = ['breaker' => '200 A', 'usable' => '180 A', 'phases' => 3, 'items' => [['name' => 'north', 'mca' => '32.8 A']]];
        self::assertEquals($feed, $brought(), 'the feeder\'s own breaker, not the unit\'s');
        self::assertEquals($feed + ['swap_at' => 'feeder'], $brought($swap('upstream')));
        self::assertEquals($feed + ['swap_at' => 'north', 'swap_side' => 'line'], $brought($swap('terminal_block')));
        self::assertEquals($feed + ['swap_at' => 'north', 'swap_side' => 'load'], $brought($swap('disconnect_load_side')));
        self::assertSame($told, Feed::bringsIn(new Past(feed: fn (): array => ['me' => 'north', 'input' => $told]), 'machine'));
        self::assertSame([], Feed::bringsIn(new Past(), 'machine'));
        self::assertSame([], Feed::bringsIn(new Past(feed: fn (): null => null), 'machine'));
        self::assertNotNull(Past::whenAsked(fn (): Past => new Past(feed: fn (): array => ['me' => 'north', 'input' => $told]))->feed());
    }
}
