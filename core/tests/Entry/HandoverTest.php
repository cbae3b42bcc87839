<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Entry;

use IronStart\Core\Check\Day;
use IronStart\Core\Check\Past;
use IronStart\Core\Core;
use IronStart\Core\Entry\Hours;
use IronStart\Core\Entry\NextLook;
use IronStart\Core\Entry\Warranty;
use IronStart\Core\Judge\Registry;
use IronStart\Core\Tests\Judges;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What is said of the entries made on the way out, and what they stand on. */
final class HandoverTest extends TestCase
{
    use Judges;

    private const READ = ['when' => 'left', 'hours' => '1212.5 h', 'starts' => 44];

    /** @return iterable<string, array{string, bool}> */
    public static function days(): iterable
    {
        yield 'a day' => ['2026-05-04', true];
        yield 'blanks' => [' 2026-05-04 ', true];
        yield 'a leap day' => ['2028-02-29', true];
        yield 'no leap day' => ['2026-02-29', false];
        yield 'a day too many' => ['2026-04-31', false];
        yield 'a month too many' => ['2026-13-01', false];
        yield 'one digit' => ['2026-5-4', false];
        yield 'slashes' => ['05/04/2026', false];
        yield 'with a time' => ['2026-05-04T08:00', false];
        yield 'nothing' => ['', false];
    }

    #[DataProvider('days')]
    public function testADayIsReadOrRefused(string $text, bool $isDay): void
    {
        if (! $isDay) {
            $this->expectExceptionMessage('a day such as 2026-05-04');
        }
        self::assertMatchesRegularExpression('/^(4 May 2026|29 Feb 2028)$/', Day::parse($text)->said());
    }

    public function testADayIsRefusedAtItsField(): void
    {
        self::assertSame('day', self::refused('entry.next_look', ['day' => 'Tuesday', 'read' => 'amps'])[0]);
        self::assertSame('registered', self::refused('entry.warranty', ['registered' => '2026-02-30'])[0]);
        self::assertSame('how_many', self::refused('entry.spares', ['what' => 'belt', 'how_many' => 0, 'where' => 'x'])[0]);
        self::assertSame('hours', self::refused('entry.hours', ['when' => 'left', 'hours' => '-1 h'])[0]);
    }

    public function testADayIsAfterAnotherAndNotAfterItself(): void
    {
        self::assertTrue(Day::parse('2026-05-05')->isAfter(Day::parse('2026-05-04')));
        self::assertFalse(Day::parse('2026-05-04')->isAfter(Day::parse('2026-05-04')));
    }

    /** @return iterable<string, array{string, array<string, mixed>, list<string>}> */
    public static function sentences(): iterable
    {
        yield 'hours as found' => ['entry.hours', ['when' => 'found', 'hours' => '12345.6 h'], ['As found: 12,346 h.']];
        yield 'what it ran' => ['entry.hours', self::READ + ['found_hours' => '1200 h', 'found_starts' => 40], ['As left: 1213 h.', 'It ran 12.5 h on this job.', 'It was started 4 times on this job.']];
        yield 'once' => ['entry.hours', self::READ + ['found_starts' => 43], ['As left: 1213 h.', 'It was started once on this job.']];
        yield 'never' => ['entry.hours', self::READ + ['found_starts' => 44], ['As left: 1213 h.', 'It was not started on this job.']];
        yield 'no starts counted' => ['entry.hours', ['found_starts' => 44] + array_diff_key(self::READ, ['starts' => 1]), ['As left: 1213 h.']];
        yield 'found again' => ['entry.hours', ['when' => 'found', 'found_hours' => '2000 h', 'found_starts' => 99] + self::READ, ['As found: 1213 h.']];
        yield 'a counter run back' => ['entry.hours', self::READ + ['found_hours' => '1300 h', 'found_starts' => 45], ['It was found at 1300 h: a counter does not run back.', 'It was found at 45 starts: a counter does not run back.', 'As left: 1213 h.']];
        yield 'a sensor that is right' => ['entry.sensor', ['sensor' => 'Supply air', 'shows' => '55.5 degF', 'reference' => '55 degF'], ['Supply air reads within 0.5 °F.']];
        yield 'a sensor high' => ['entry.sensor', ['sensor' => 'Supply air', 'shows' => '58 degF', 'reference' => '55 degF'], ['Supply air reads 3 °F high.']];
        yield 'a sensor low' => ['entry.sensor', ['sensor' => 'Supply air', 'shows' => '55 degF', 'reference' => '58 degF'], ['Supply air reads 3 °F low.']];
        yield 'a spare' => ['entry.spares', ['what' => 'belt A42', 'how_many' => 2, 'where' => 'blower section'], ['Left here: 2 × belt A42, blower section.']];
        yield 'back on the van' => ['entry.spares', ['what' => 'fuse', 'how_many' => 3, 'where' => 'tray', 'van' => true], ['Back on the van: 3 × fuse, tray.']];
        yield 'registered in time' => ['entry.warranty', ['register_by' => '2026-07-01', 'registered' => '2026-05-04', 'labor_until' => '2027-05-04', 'compressor_until' => '2031-05-04'], ['Registered 4 May 2026.']];
        yield 'not registered' => ['entry.warranty', ['register_by' => '2026-07-01'], ['Not registered yet: it has to be by 1 Jul 2026.']];
        yield 'sixty days from the first start' => ['entry.warranty', ['started' => '2026-05-04', 'registration_days' => 60], ['Not registered yet: it has to be by 3 Jul 2026.']];
        yield 'a day that is named goes before' => ['entry.warranty', ['started' => '2026-05-04', 'registration_days' => 60, 'register_by' => '2026-06-01'], ['Not registered yet: it has to be by 1 Jun 2026.']];
        yield 'late' => ['entry.warranty', ['register_by' => '2026-05-01', 'registered' => '2026-05-04'], ['Registered 4 May 2026; it had to be by 1 May 2026.']];
        yield 'the wrong year' => ['entry.warranty', ['registered' => '2026-05-04', 'compressor_until' => '2021-05-04', 'labor_until' => '2025-05-04'], ['The date for the compressor, 4 May 2021, is before the registration.', 'The date for labor, 4 May 2025, is before the registration.', 'Registered 4 May 2026.']];
        $codes = ['known' => [['name' => 'F3', 'kind' => 'fault', 'meaning' => 'no flame', 'causes' => [['what' => 'no gas', 'cheap_test' => 'read the inlet'], ['what' => 'a bad board']]], ['name' => 'S4', 'kind' => 'step', 'meaning' => 'off time']]];
        yield 'a step' => ['entry.code', ['code' => 's4'] + $codes, ['S4 is a step, not a fault: off time.']];
        yield 'a fault with two causes' => ['entry.code', ['code' => 'f.3'] + $codes, ['F3 is a fault: no flame.', 'It may be no gas.', 'It may be a bad board.']];
        yield 'a code that is not there' => ['entry.code', ['code' => 'E9'] + $codes, ['The sheet does not list E9.']];
        yield 'a form with one blank' => ['entry.maker_form', ['items' => [['name' => 'Voltage', 'answer' => '481 V'], ['name' => 'Filters']]], ['One question of 2 left to answer: Filters.']];
        yield 'a form that is answered' => ['entry.maker_form', ['items' => [['name' => 'Voltage', 'answer' => '481 V'], ['name' => 'Filters', 'answer' => 'new']]], ['Both questions are answered.']];
        yield 'a finding' => ['entry.finding', ['sentence' => 'The supply was reversed.', 'state_left' => 'running', 'needs' => 'nothing'], ['The supply was reversed.']];
        foreach (['charge' => 'charge', 'amps' => 'running amps', 'voltage' => 'voltage', 'split' => 'temperature split', 'rise' => 'temperature rise', 'belt' => 'belt', 'gas' => 'gas pressures', 'acid' => 'oil acid', 'insulation' => 'megohms', 'hold' => 'pressure', 'drain' => 'drain and float', 'settings' => 'settings', 'sequence' => 'calls', 'alarms' => 'alarms'] as $read => $words) {
            yield "look at $read" => ['entry.next_look', ['day' => '2026-05-05', 'read' => $read], ["5 May 2026: read the $words again."]];
        }
    }

    /**
     * @param array<string, mixed> $input
     * @param list<string>         $said
     */
    #[DataProvider('sentences')]
    public function testAnEntrySaysWhatItIs(string $check, array $input, array $said): void
    {
        $verdict = Core::judge()->judge($check, $input, 'us');
        self::assertSame($said, [$verdict->headline, ...$verdict->because]);
    }

    public function testALookIsClosedByACheckThatThereIs(): void
    {
        self::assertSame([], array_diff(NextLook::READS, (new Registry())->ids()));
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function lastDays(): iterable
    {
        yield 'named' => [['register_by' => '2026-06-01', 'started' => '2026-05-04', 'registration_days' => 60], '2026-06-01'];
        yield 'worked out, over a month' => [['started' => '2026-05-04', 'registration_days' => 60], '2026-07-03'];
        yield 'registered' => [['register_by' => '2026-06-01', 'registered' => '2026-05-20'], ''];
        yield 'no days told' => [['started' => '2026-05-04'], ''];
        yield 'not started' => [['registration_days' => 60], ''];
    }

    /** @param array<string, mixed> $input */
    #[DataProvider('lastDays')]
    public function testTheLastDayToRegisterIsNamedOrWorkedOut(array $input, string $day): void
    {
        self::assertSame($day, Warranty::registerBy($input));
    }

    public function testTheCheapTestOfACauseComesNextWithTheCauseItTells(): void
    {
        $causes = [['what' => 'no gas', 'cheap_test' => 'read the inlet'], ['what' => 'a bad board']];
        $verdict = Core::judge()->judge('entry.code', ['code' => 'F3', 'known' => [['name' => 'F3', 'kind' => 'fault', 'meaning' => 'no flame', 'causes' => $causes]]], 'us');
        self::assertSame(['No gas: read the inlet.'], $verdict->next);
    }

    /** As left stands against as found, also when it is read as left a second time. */
    public function testHoursAsLeftStandOnHoursAsFound(): void
    {
        $brings = fn (array $before): array => Hours::bringsIn(self::past('entry.hours', 'compressor:C1', $before), 'compressor:C1');
        self::assertSame(['found_hours' => '1200 h', 'found_starts' => 40], $brings(['when' => 'found', 'hours' => '1200 h', 'starts' => 40]));
        self::assertSame(['found_hours' => '1200 h'], $brings(['when' => 'found', 'hours' => '1200 h']));
        self::assertSame(['found_hours' => '1200 h', 'found_starts' => 40], $brings(['found_hours' => '1200 h', 'found_starts' => 40] + self::READ));
        self::assertSame([], $brings(self::READ));
        self::assertSame([], Hours::bringsIn(new Past(), 'compressor:C1'));
    }
}
