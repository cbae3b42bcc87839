<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Power;

use IronStart\Core\Power\FeedQuestions;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What is found on one unit of a feed and asked of the others. */
final class FeedQuestionsTest extends TestCase
{
    private const REVERSED = ['power.rotation', 'stop', ['supply_reversed']];
    private const ABC = ['power.rotation', 'clear', ['proved']];
    private const VOLTS = ['power.voltage', 'clear', []];
    private const LOST = ['power.supply_identity', 'stop', ['phase_lost', 'backfed:ab']];
    private const TRIPPED = ['entry.breaker_tripped', 'watch', ['tripped']];

    /** @return iterable<string, array{list<array{string, array{0: string, 1: string, 2: list<string>, 3?: string}}>, array<string, array{string, list<string>}>}> events by unit, and what is asked of B: by kind the unit it comes from and what is to be read */
    public static function asked(): iterable
    {
        $both = ['power.rotation', 'power.voltage'];
        $work = fn (string $from): array => ['supply_work', '', [], $from];
        yield 'nothing happened' => [[], []];
        yield 'reversed on another' => [[['A', self::REVERSED]], ['reversed' => ['A', ['power.rotation']]]];
        yield 'on itself it is no question' => [[['B', self::REVERSED]], []];
        yield 'read here since' => [[['A', self::REVERSED], ['B', self::ABC]], []];
        yield 'a watch reads it too' => [[['A', self::REVERSED], ['B', ['power.rotation', 'watch', ['marginal']]]], []];
        yield 'read before' => [[['B', self::ABC], ['A', self::REVERSED]], ['reversed' => ['A', ['power.rotation']]]];
        yield 'read wrong here' => [[['A', self::REVERSED], ['B', self::REVERSED]], ['reversed' => ['A', ['power.rotation']]]];
        yield 'read open here' => [[['A', self::REVERSED], ['B', ['power.rotation', 'open', ['missing:meter']]]], ['reversed' => ['A', ['power.rotation']]]];
        yield 'mended there, still asked here' => [[['A', self::REVERSED], ['A', self::ABC]], ['reversed' => ['A', ['power.rotation']]]];
        yield 'the newest counts' => [[['A', self::REVERSED], ['C', self::REVERSED]], ['reversed' => ['C', ['power.rotation']]]];
        yield 'the newest counts, answered in between' => [[['A', self::REVERSED], ['B', self::ABC], ['C', self::REVERSED]], ['reversed' => ['C', ['power.rotation']]]];
        yield 'only its own load turns wrong' => [[['A', ['power.rotation', 'stop', ['load_reversed:blower']]]], []];
        yield 'a leg lost' => [[['A', self::LOST]], ['lost_phase' => ['A', ['power.voltage']]]];
        yield 'a leg lost by the monitor' => [[['A', ['power.rotation', 'stop', ['phase_lost']]]], ['lost_phase' => ['A', ['power.voltage']]]];
        yield 'a leg lost, volts read' => [[['A', self::LOST], ['B', self::VOLTS]], []];
        yield 'a leg lost, only rotation read' => [[['A', self::LOST], ['B', self::ABC]], ['lost_phase' => ['A', ['power.voltage']]]];
        yield 'a breaker tripped' => [[['A', self::TRIPPED]], ['tripped' => ['A', ['power.voltage']]]];
        yield 'work on the supply' => [[['A', $work('A')], ['B', $work('A')]], ['supply_work' => ['A', $both]]];
        yield 'work told here' => [[['A', $work('B')], ['B', $work('B')]], []];
        yield 'work told nobody knows where' => [[['A', $work('')]], []];
        yield 'work, one of two read' => [[['A', $work('A')], ['B', self::ABC]], ['supply_work' => ['A', ['power.voltage']]]];
        yield 'work, both read' => [[['A', $work('A')], ['B', self::ABC], ['B', self::VOLTS]], []];
        yield 'the gravest first' => [[['C', self::TRIPPED], ['A', self::LOST], ['A', self::REVERSED]], ['reversed' => ['A', ['power.rotation']], 'lost_phase' => ['A', ['power.voltage']], 'tripped' => ['C', ['power.voltage']]]];
    }

    /**
     * @param list<array{string, array{0: string, 1: string, 2: list<string>, 3?: string}}> $events
     * @param array<string, array{string, list<string>}> $asked
     */
    #[DataProvider('asked')]
    public function testWhatWasFoundOnAnotherUnitIsAskedHereUntilItIsRead(array $events, array $asked): void
    {
        $found = [];
        foreach (FeedQuestions::of('B', self::events($events)) as $one) {
            $found[$one['kind']] = [$one['from'], $one['read']];
        }
        self::assertSame($asked, $found);
    }

    public function testAtTheSameMomentItIsNotYetAnswered(): void
    {
        $events = self::events([['A', self::REVERSED], ['B', self::ABC]]);
        $events[1]['at'] = $events[0]['at'];
        self::assertSame(['reversed'], array_column(FeedQuestions::of('B', $events), 'kind'));
    }

    public function testOfTwoAtTheSameMomentTheLaterOneIsTold(): void
    {
        $events = self::events([['A', self::REVERSED], ['C', self::REVERSED]]);
        $events[1]['at'] = $events[0]['at'];
        self::assertSame(['C'], array_column(FeedQuestions::of('B', $events), 'from'));
    }

    /** @return iterable<string, array{list<array{0: string, 1: string, 2: list<string>}>, string}> */
    public static function directions(): iterable
    {
        yield 'nobody read it' => [[self::VOLTS], ''];
        yield 'proved' => [[self::ABC], 'proved'];
        yield 'reversed' => [[self::ABC, self::REVERSED], 'reversed'];
        yield 'mended' => [[self::REVERSED, self::ABC], 'proved'];
        yield 'half read since' => [[self::REVERSED, ['power.rotation', 'open', []]], 'reversed'];
    }

    /** @param list<array{0: string, 1: string, 2: list<string>}> $events */
    #[DataProvider('directions')]
    public function testAUnitTurnsAsItWasReadLast(array $events, string $direction): void
    {
        self::assertSame($direction, FeedQuestions::direction('B', self::events([['A', self::REVERSED], ...array_map(fn (array $one): array => ['B', $one], $events)])));
    }

    /**
     * @param list<array{string, array{0: string, 1: string, 2: list<string>, 3?: string}}> $events
     * @return list<array{machine: string, what: string, subject: string, status: string, codes: list<string>, at: int, from: string}>
     */
    private static function events(array $events): array
    {
        return array_map(fn (array $one, int $i): array => ['machine' => $one[0], 'what' => $one[1][0], 'subject' => 'machine', 'status' => $one[1][1], 'codes' => $one[1][2], 'at' => 100 + $i, 'from' => $one[1][3] ?? ''], $events, array_keys($events));
    }
}
