<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Run;

use IronStart\Core\Check\Past;
use IronStart\Core\Core;
use IronStart\Core\Run\FirstStart;
use IronStart\Core\Tests\Judges;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Starts in their order, what each one is told by name, and starts that cannot be. */
final class FirstStartTest extends TestCase
{
    use Judges;

    private const BLOWER = ['name' => 'blower', 'kind' => 'blower', 'started' => '2026-05-12T09:00:00-04:00', 'seen' => 'good', 'seen_at' => '2026-05-12T09:02:00-04:00'];
    private const C1 = ['name' => 'C1', 'kind' => 'scroll', 'started' => '2026-05-12T09:05:00-04:00', 'seen' => 'good', 'seen_at' => '2026-05-12T09:08:00-04:00'];
    private const PUMPS = ['suction_before' => '200 psig', 'suction_after' => '150 psig', 'discharge_before' => '201 psig', 'discharge_after' => '300 psig'];

    /** @param array<string, mixed> ...$steps @return array<string, mixed> */
    private static function starts(array ...$steps): array
    {
        return ['now' => '2026-05-12T09:30:00-04:00', 'steps' => array_values($steps)];
    }

    /** @param list<array<string, mixed>> $steps */
    #[DataProvider('wrong')]
    public function testAStartThatCannotBeIsRefused(array $steps, string $field): void
    {
        self::assertSame($field, self::refused('run.first_start', self::starts(...$steps))[0]);
    }

    /** @return iterable<string, array<int, mixed>> */
    public static function wrong(): iterable
    {
        $again = ['started' => '2026-05-12T09:12:00-04:00', 'seen_at' => null] + self::C1;
        yield 'zones mixed' => [[['started' => '2026-05-12T09:00'] + self::BLOWER], 'now'];
        yield 'another kind' => [[['stopped' => '2026-05-12T09:09:00-04:00'] + self::C1, ['kind' => 'screw'] + $again], 'steps.1.kind'];
        yield 'another drive' => [[['stopped' => '2026-05-12T09:09:00-04:00'] + self::C1, ['drive' => 'inverter'] + $again], 'steps.1.drive'];
        yield 'to come' => [[['started' => '2026-05-12T09:30:01-04:00', 'seen_at' => null] + self::BLOWER], 'steps.0.started'];
        yield 'before one above' => [[self::C1, self::BLOWER], 'steps.1.started'];
        yield 'it still runs' => [[self::C1, $again], 'steps.1.started'];
        yield 'stopped after that' => [[['stopped' => '2026-05-12T09:12:01-04:00'] + self::C1, $again], 'steps.1.started'];
        yield 'stopped before it started' => [[['stopped' => '2026-05-12T09:04:59-04:00'] + self::C1], 'steps.0.stopped'];
        yield 'stopped tomorrow' => [[['stopped' => '2026-05-12T09:30:01-04:00'] + self::C1], 'steps.0.stopped'];
        yield 'seen before it started' => [[['seen_at' => '2026-05-12T09:04:59-04:00'] + self::C1], 'steps.0.seen_at'];
        yield 'seen tomorrow' => [[['seen_at' => '2026-05-12T09:30:01-04:00'] + self::C1], 'steps.0.seen_at'];
    }

    public function testWhatWasNotWrittenIsAskedForByItsStart(): void
    {
        $codes = fn (array ...$steps): array => self::judge('run.first_start', self::starts(...$steps))->codes();
        self::assertContains('missing:steps.0.started', $codes(['started' => null] + self::BLOWER));
        self::assertContains('missing:steps.0.started', $codes(['started' => null, 'seen' => 'not_yet', 'seen_at' => null, 'stopped' => '2026-05-12T09:08:00-04:00'] + self::BLOWER));
        self::assertSame(['missing:steps.1.suction_before', 'missing:steps.1.discharge_after'], array_slice($codes(self::BLOWER, ['suction_before' => null, 'discharge_after' => null] + self::C1 + self::PUMPS), 0, 2));
        self::assertNotContains('missing:steps.0.suction_after', $codes(['suction_before' => '200 psig'] + self::BLOWER), 'a blower has no pressures');
        self::assertSame(['missing:steps'], self::judge('run.first_start', ['now' => '2026-05-12T09:30:00-04:00'])->codes());
        self::assertSame(['missing:now'], self::judge('run.first_start', ['steps' => [self::BLOWER]])->codes());
    }

    public function testTheStepIsTheOneOfTheGravestWord(): void
    {
        $step = fn (array ...$steps): mixed => self::judge('run.first_start', self::starts(...$steps))->values['step']->value;
        self::assertSame('C2', $step(self::BLOWER, self::C1 + self::PUMPS, ['name' => 'C2', 'kind' => 'scroll']));
        self::assertSame('C1', $step(self::BLOWER, ['seen' => 'bad'] + self::C1 + self::PUMPS, ['name' => 'C2', 'kind' => 'scroll']));
        self::assertSame('C1', $step(self::BLOWER, ['suction_after' => null] + self::C1 + self::PUMPS, ['name' => 'C2', 'kind' => 'scroll']));
        self::assertSame('C1', $step(self::BLOWER, self::C1 + self::PUMPS));
    }

    public function testFiguresAreTheOnesOfTheLastStart(): void
    {
        $twice = self::starts(self::BLOWER, ['stopped' => '2026-05-12T09:09:00-04:00'] + self::C1 + ['discharge_after' => '204 psig'] + self::PUMPS, ['started' => '2026-05-12T09:20:00-04:00', 'seen_at' => null] + self::C1 + self::PUMPS);
        self::assertEqualsWithDelta(149.0, (float) self::figure('run.first_start', $twice, 'rise:C1'), 1e-9);
        self::assertSame(2.0, self::figure('run.first_start', $twice, 'starts:C1'));
        self::assertSame(2.0, self::figure('run.first_start', $twice, 'done'));
        self::assertNull(self::figure('run.first_start', $twice, 'may_start_in:C1'), 'it runs');
        self::assertNull(self::figure('run.first_start', $twice, 'starts:blower'), 'a blower may be started as often as one likes');
    }

    public function testWhenItMayBeStartedAgainAndAClockUntilThen(): void
    {
        $stopped = fn (string $now, int $limit): array => ['now' => "2026-05-12T09:$now-04:00", 'starts_per_hour' => $limit,
            'steps' => [self::BLOWER, ['seen' => 'bad', 'stopped' => '2026-05-12T09:09:00-04:00'] + self::C1 + self::PUMPS]];
        self::assertEqualsWithDelta(2.0, (float) self::figure('run.first_start', $stopped('10:00', 6), 'may_start_in:C1'), 1e-9);
        self::assertSame(0.0, self::figure('run.first_start', $stopped('20:00', 6), 'may_start_in:C1'));
        self::assertEqualsWithDelta(45.0, (float) self::figure('run.first_start', $stopped('20:00', 1), 'may_start_in:C1'), 1e-9);
        self::assertSame(['starts rest 2 C1'], self::setsOff('run.first_start', $stopped('10:00', 6)));
        self::assertSame(['ends rest C1'], self::setsOff('run.first_start', $stopped('20:00', 6)));
    }

    public function testSignsOfTurningBackwardsAddUpOverItsStarts(): void
    {
        $loud = ['noise' => 'loud', 'discharge_after' => '151 psig', 'seen' => 'bad'];
        $turns = fn (string $started, string $stopped): array => ['started' => "2026-05-12T09:$started-04:00", 'stopped' => "2026-05-12T09:$stopped-04:00", 'seen_at' => null] + $loud + self::C1 + self::PUMPS;
        $judged = self::judge('run.first_start', self::starts(self::BLOWER, $turns('05:00', '05:40'), $turns('10:00', '10:30')));
        self::assertEqualsWithDelta(70.0, (float) $judged->values['backwards_time:C1']->value, 1e-6);
        self::assertContains('ran_backwards:C1', $judged->codes());
        $piston = self::judge('run.first_start', self::starts(self::BLOWER, ['kind' => 'reciprocating'] + $turns('05:00', '06:40')));
        self::assertNotContains('backwards_signs:C1', $piston->codes(), 'a piston pumps both ways');
    }

    public function testEachIsToldByName(): void
    {
        $said = Core::judge()->judge('run.first_start', self::starts(self::BLOWER, ['noise' => 'loud', 'discharge_after' => '151 psig', 'seen' => 'bad'] + self::C1 + self::PUMPS), 'us');
        self::assertSame('C1 does not pump: the pressures moved 0 psi.', $said->headline);
        self::assertContains('Off, and no second try.', $said->next);
    }

    public function testItsStartsAreThoseThatWereWrittenDownEachAsItWasToldLast(): void
    {
        $step = fn (string $name, string $started, array $more = [], string $check = 'entry.first_step'): array => ['check' => $check, 'subject' => 'machine', 'status' => 'clear', 'codes' => [], 'input' => ['name' => $name, 'started' => $started] + $more, 'values' => [], 'at' => 1];
        $past = new Past([
            $step('C1', '2026-03-02T07:45:00'),
            $step('Blower', '2026-03-02T07:40:00'),
            $step('C1', '2026-03-02T07:45:00', ['seen' => 'bad']),
            $step('C1', '2026-03-02T08:20:00'),
            $step('C2', '2026-03-02T07:30:00', check: 'entry.swap'),
            ['input' => ['name' => 'C3']] + $step('C3', ''),
        ]);
        self::assertSame(['steps' => [
            ['name' => 'Blower', 'started' => '2026-03-02T07:40:00'],
            ['name' => 'C1', 'started' => '2026-03-02T07:45:00', 'seen' => 'bad'],
            ['name' => 'C1', 'started' => '2026-03-02T08:20:00'],
        ]], FirstStart::bringsIn($past, 'machine'));
        self::assertSame(['steps' => []], FirstStart::bringsIn(new Past(), 'machine'));
    }

    public function testWhatWasStartedTooSoonIsAStopOnlyWhileItRunsAndWhatIsAheadIsNotRight(): void
    {
        $bad = ['seen' => 'bad'] + self::BLOWER;
        $again = ['started' => '2026-05-12T09:10:00-04:00', 'seen_at' => '2026-05-12T09:11:00-04:00'] + self::BLOWER;
        $is = function (array ...$steps): string {
            foreach (self::judge('run.first_start', self::starts(...$steps))->findings as $finding) {
                if ($finding->code === 'too_soon:C1') {
                    return $finding->status->value;
                }
            }

            return 'not told';
        };
        $off = ['stopped' => '2026-05-12T09:09:00-04:00'] + self::C1;
        self::assertSame('stop', $is($bad, self::C1));
        self::assertSame('watch', $is($bad, $off), 'it stands still again');
        self::assertSame('watch', $is(['stopped' => '2026-05-12T09:04:00-04:00'] + $bad, self::C1, $again), 'right since');
        self::assertSame('not told', $is(self::BLOWER, self::C1));
    }
}
