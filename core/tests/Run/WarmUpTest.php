<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Run;

use IronStart\Core\Check\Past;
use IronStart\Core\Core;
use IronStart\Core\Run\WarmUp;
use IronStart\Core\Tests\Judges;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Hours that count, what a power cut takes off, until when the start is held, and times that cannot be. */
final class WarmUpTest extends TestCase
{
    use Judges;

    private const ON = ['now' => '2026-03-10T14:00:00-05:00', 'powered_since' => '2026-03-10T02:00:00-05:00', 'sheet_hours' => 24, 'shell' => '78 degF', 'ambient' => '52 degF'];

    public function testTheStartIsHeldUntilSomeTimeAndAClockRunsUntilThen(): void
    {
        $verdict = Core::judge()->judge('run.warm_up', self::ON, 'us');
        self::assertSame('Hold the start until Wed 02:00: 12 h of crankcase heat to go.', $verdict->headline);
        self::assertSame(['starts warm_up 720'], self::setsOff('run.warm_up', self::ON));
        self::assertStringStartsWith('Hold the start until 21:30', Core::judge()->judge('run.warm_up', ['sheet_hours' => 19.5] + self::ON, 'us')->headline);
        self::assertStringStartsWith('Hold the start until 23 Mar 02:00', Core::judge()->judge('run.warm_up', ['sheet_hours' => 312] + self::ON, 'us')->headline);
        self::assertSame(['ends warm_up'], self::setsOff('run.warm_up', ['sheet_hours' => 12] + self::ON));
        self::assertSame([], self::setsOff('run.warm_up', []));
        self::assertSame(['ends warm_up'], self::setsOff('run.warm_up', ['powered_since' => null] + self::ON), 'without power nothing runs down');
    }

    public function testTheEarliestStartIsToldToTheMinuteWithTheOffsetOfNow(): void
    {
        $earliest = fn (array $change): mixed => self::judge('run.warm_up', $change + self::ON)->values['earliest_start']->value ?? null;
        self::assertSame('2026-03-11T02:00:00-05:00', $earliest([]));
        self::assertSame('2026-03-11T02:01:00', $earliest(['now' => '2026-03-10T14:00:50', 'powered_since' => '2026-03-10T02:00:50']));
        self::assertSame('2026-03-11T02:00:00+00:00', $earliest(['now' => '2026-03-10T14:00:29Z', 'powered_since' => '2026-03-10T02:00:29Z']));
        self::assertNull($earliest(['powered_since' => null]));
        self::assertNull($earliest(['shell' => '53 degF']));
    }

    /** @param list<array{string, string}> $cuts */
    #[DataProvider('cuts')]
    public function testACutTakesItsLengthOff(array $cuts, float $credit, bool $strict = false): void
    {
        $outages = array_map(fn (array $cut): array => ['from' => "2026-03-10T$cut[0]:00-05:00", 'to' => "2026-03-10T$cut[1]:00-05:00"], $cuts);
        self::assertEqualsWithDelta($credit, (float) self::figure('run.warm_up', ['outages' => $outages, 'strict' => $strict] + self::ON, 'hours_credited'), 1e-9);
    }

    /** @return iterable<string, array<int, mixed>> */
    public static function cuts(): iterable
    {
        yield 'none' => [[], 12.0];
        yield 'one long one' => [[['06:00', '08:00']], 4.0 - 2.0 + 6.0];
        yield 'longer than what was earned' => [[['03:00', '06:00']], 8.0];
        yield 'a short one' => [[['06:00', '06:20']], 12.0 - 1 / 3];
        yield 'two short ones that touch' => [[['06:00', '06:20'], ['06:20', '06:40']], 12.0 - 2 / 3 - 2 / 3];
        yield 'two that overlap, told backwards' => [[['07:00', '08:00'], ['06:00', '07:30']], 4.0 - 2.0 + 6.0];
        yield 'one inside another' => [[['06:00', '08:00'], ['06:30', '07:00']], 4.0 - 2.0 + 6.0];
        yield 'two apart' => [[['06:00', '07:00'], ['09:00', '10:00']], 4.0 - 1.0 + 2.0 - 1.0 + 4.0];
        yield 'from before it was switched on' => [[['01:00', '03:00']], 11.0];
        yield 'before it was switched on' => [[['00:10', '01:50']], 12.0];
        yield 'that starts it over' => [[['06:00', '08:00']], 6.0, true];
        yield 'that reaches past now' => [[['06:00', '15:00']], 0.0];
        yield 'still to come' => [[['15:00', '16:00']], 12.0];
    }

    public function testAShellThatReadsCloseToALimitIsTooCloseToCall(): void
    {
        // A clamp within 1 °F and a thermometer within 0.9 °F are 1.35 °F together.
        $at = fn (string $shell): bool => self::judge('run.warm_up', ['sheet_hours' => 6, 'shell' => "$shell degF", 'ambient' => '52 degF'] + self::ON)->marginal;
        self::assertTrue($at('63.3'));
        self::assertFalse($at('63.4'));
        self::assertTrue($at('60.7'));
        self::assertTrue($at('56.3'));
        self::assertFalse($at('56.4'));
    }

    /** @param array<string, mixed> $change */
    #[DataProvider('wrong')]
    public function testATimeThatCannotBeIsRefused(array $change, string $field): void
    {
        self::assertSame($field, self::refused('run.warm_up', $change + self::ON)[0]);
    }

    /** @return iterable<string, array<int, mixed>> */
    public static function wrong(): iterable
    {
        yield 'no time' => [['now' => 'Wednesday'], 'now'];
        yield 'zones mixed' => [['powered_since' => '2026-03-10T02:00'], 'now'];
        yield 'zones mixed in a cut' => [['outages' => [['from' => '2026-03-10T06:00', 'to' => '2026-03-10T07:00']]], 'now'];
        yield 'switched on tomorrow' => [['powered_since' => '2026-03-10T14:00:01-05:00'], 'powered_since'];
        yield 'a cut that ends first' => [['outages' => [['from' => '2026-03-10T06:00:00-05:00', 'to' => '2026-03-10T05:59:59-05:00']]], 'outages.0.to'];
        yield 'hours twice' => [['warm_up' => [['hours' => 3]], 'coldest_24h' => '40 degF'], 'warm_up'];
        yield 'rows swapped' => [['sheet_hours' => null, 'warm_up' => [['below' => '30 degF', 'hours' => 4], ['below' => '60 degF', 'hours' => 6]], 'coldest_24h' => '40 degF'], 'warm_up.1.hours'];
        yield 'the last row has most' => [['sheet_hours' => null, 'warm_up' => [['hours' => 9], ['below' => '30 degF', 'hours' => 4]], 'coldest_24h' => '40 degF'], 'warm_up.0.hours'];
    }

    public function testWhatIsJustPossibleIsTaken(): void
    {
        self::assertSame(0.0, self::figure('run.warm_up', ['powered_since' => self::ON['now']] + self::ON, 'hours_credited'));
        $same = ['sheet_hours' => null, 'warm_up' => [['below' => '60 degF', 'hours' => 4], ['below' => '60 degF', 'hours' => 6]], 'coldest_24h' => '40 degF'];
        self::assertSame(4.0, self::figure('run.warm_up', $same + self::ON, 'hours_needed'));
        self::assertSame(12.0, self::figure('run.warm_up', ['outages' => [['from' => '2026-03-10T06:00:00-05:00', 'to' => '2026-03-10T06:00:00-05:00']]] + self::ON, 'hours_credited'));
    }

    public function testWhereNoHoursAreNeededNothingIsFeltAndNothingDrawn(): void
    {
        $none = self::judge('run.warm_up', ['sheet_hours' => 0, 'shell' => '40 degF'] + self::ON);
        self::assertSame([[], []], [$none->codes(), $none->drawing]);
        self::assertSame(['column', 24.0, 12.0], [($drawn = self::judge('run.warm_up', self::ON)->drawing)['shape'], $drawn['parts'][0]['value'], $drawn['filled']]);
        self::assertSame([], self::judge('run.warm_up', [])->drawing);
    }

    public function testAWantedStartTellsWhatThereIsToSpare(): void
    {
        $wanted = fn (string $at, string $name): ?float => self::figure('run.warm_up', ['wanted_start' => "2026-03-11T$at:00-05:00"] + self::ON, $name);
        self::assertSame([0.0, -12.0], [$wanted('02:00', 'spare'), $wanted('02:00', 'power_by_in')]);
        self::assertSame([6.0, -6.0], [$wanted('08:00', 'spare'), $wanted('08:00', 'power_by_in')]);
    }

    public function testOneOfTwoTemperaturesAsksForTheOther(): void
    {
        self::assertSame(['missing:ambient'], self::judge('run.warm_up', ['ambient' => null] + self::ON)->codes());
        self::assertSame(['missing:shell'], self::judge('run.warm_up', ['shell' => null] + self::ON)->codes());
        self::assertSame(['missing:coldest_24h'], self::judge('run.warm_up', ['sheet_hours' => null, 'warm_up' => [['hours' => 3]]] + self::ON)->codes());
        self::assertSame(['missing:now'], self::judge('run.warm_up', ['now' => null] + self::ON)->codes());
    }

    public function testSinceWhenItHasPowerIsKnownUntilALockoutTookIt(): void
    {
        $one = fn (string $check, int $at, array $input = []): array => ['check' => $check, 'subject' => 'machine', 'status' => 'clear', 'codes' => [], 'input' => $input, 'values' => [], 'at' => $at];
        $told = $one('run.warm_up', 3, ['now' => '2026-03-02T07:00:00', 'powered_since' => '2026-03-01T18:00:00', 'shell' => '60 degF']);
        $brought = fn (array ...$recorded): array => WarmUp::bringsIn(new Past($recorded), 'machine');
        self::assertSame([], $brought());
        self::assertSame(['powered_since' => '2026-03-01T18:00:00'], $brought($told));
        self::assertSame(['powered_since' => '2026-03-01T18:00:00'], $brought($one('power.lockout', 2), $told));
        self::assertSame([], $brought($told, $one('power.lockout', 4)));
    }
}
