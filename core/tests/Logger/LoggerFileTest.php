<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Logger;

use IronStart\Core\Check\Field;
use IronStart\Core\Core;
use IronStart\Core\Logger\LoggerFile;
use IronStart\Core\Logger\Mapping;
use IronStart\Core\Logger\MappingError;
use IronStart\Core\Logger\Series;
use IronStart\Core\Logger\TimeForm;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A logger's file: what it seems to be, what is said of it, what is read. */
final class LoggerFileTest extends TestCase
{
    private const PLAIN = ['separator' => 'comma', 'decimal' => 'point', 'head' => 1, 'form' => 'elapsed', 'unit' => 'min', 'time' => 0, 'values' => ['micron' => ['column' => 1, 'unit' => 'micron']]];

    /** @return iterable<string, array{string, array<string, mixed>}> file, what it is proposed to be */
    public static function files(): iterable
    {
        $micron = fn (int $column): array => ['micron' => ['column' => $column, 'unit' => 'micron']];
        yield 'minutes and microns' => ["Time (min),Vacuum (micron)\n0,300\n1,310\n", ['separator' => 'comma', 'decimal' => 'point', 'head' => 1, 'time' => 0, 'form' => 'elapsed', 'unit' => 'min', 'values' => $micron(1)]];
        yield 'lines of its own above' => ["VG-3\nserial 42\nElapsed s,Microns\n0,300\n1,310\n2,315\n", ['separator' => 'comma', 'decimal' => 'point', 'head' => 3, 'time' => 0, 'form' => 'elapsed', 'unit' => 's', 'values' => $micron(1)]];
        yield 'no names at all' => ["2026-03-02 17:40:00,300\n2026-03-02 17:41:00,310\n", ['separator' => 'comma', 'decimal' => 'point', 'head' => 0, 'time' => 0, 'form' => 'iso', 'values' => []]];
        yield 'semicolons and commas' => ["Zeit;mbar\n13.2.2026 17:40;0,41\n13.2.2026 17:41;0,42\n", ['separator' => 'semicolon', 'decimal' => 'comma', 'head' => 1, 'time' => 0, 'form' => 'dmy', 'values' => ['micron' => ['column' => 1, 'unit' => 'mbar']]]];
        yield 'month first for certain' => ["Time\tPa\n2/13/2026 5:40 PM\t41\n2/13/2026 5:41 PM\t42\n", ['separator' => 'tab', 'decimal' => 'point', 'head' => 1, 'time' => 0, 'form' => 'mdy', 'values' => ['micron' => ['column' => 1, 'unit' => 'Pa']]]];
        yield 'nobody can tell day from month' => ["Time,micron\n2/3/2026 17:40,300\n2/3/2026 17:41,310\n", ['separator' => 'comma', 'decimal' => 'point', 'head' => 1, 'time' => 0, 'form' => '', 'values' => $micron(1)]];
        yield 'time of day' => ["Time,micron\n17:40:00,300\n17:40:01,310\n", ['separator' => 'comma', 'decimal' => 'point', 'head' => 1, 'time' => 0, 'form' => 'clock', 'values' => $micron(1)]];
        yield 'since the log began' => ["Time,micron\n00:00:00,300\n00:00:01,310\n", ['separator' => 'comma', 'decimal' => 'point', 'head' => 1, 'time' => 0, 'form' => 'since', 'values' => $micron(1)]];
        yield 'elapsed, though it begins later' => ["Elapsed,micron\n1:00:00,300\n1:00:01,310\n", ['separator' => 'comma', 'decimal' => 'point', 'head' => 1, 'time' => 0, 'form' => 'since', 'values' => $micron(1)]];
        yield 'a number nobody calls a time' => ["No.,micron\n1,300\n2,310\n", ['separator' => 'comma', 'decimal' => 'point', 'head' => 1, 'values' => $micron(1)]];
        yield 'a unit nobody knows here' => ["Time (h),Vacuum (torr)\n0,0.3\n1,0.31\n", ['separator' => 'comma', 'decimal' => 'point', 'head' => 1, 'time' => 0, 'form' => 'elapsed', 'unit' => 'h', 'values' => []]];
        yield 'thousands are no decimals' => ["Time (min),micron\n0,\"1,300\"\n1,\"1,310\"\n", ['separator' => 'comma', 'decimal' => 'point', 'head' => 1, 'time' => 0, 'form' => 'elapsed', 'unit' => 'min', 'values' => $micron(1)]];
        yield 'as many of the one as of the other' => ["min,micron;\n0,300;\n1,310;\n", ['separator' => 'comma', 'decimal' => 'point', 'head' => 1, 'time' => 0, 'form' => 'elapsed', 'unit' => 'min', 'values' => $micron(1)]];
        yield 'more of its own than is looked at' => [str_repeat("about, it\n", 60) . "min,micron\n0,300\n1,310\n", ['separator' => 'comma', 'decimal' => 'point', 'head' => 0, 'values' => []]];
        yield 'a time in no unit' => ["t,micron\n0,300\n1,310\n", ['separator' => 'comma', 'decimal' => 'point', 'head' => 1, 'time' => 0, 'form' => 'elapsed', 'unit' => '', 'values' => $micron(1)]];
    }

    /** @param array<string, mixed> $proposed */
    #[DataProvider('files')]
    public function testIsProposedToBeWhatItLooksLikeAndNoMore(string $text, array $proposed): void
    {
        self::assertSame($proposed, LoggerFile::of($text)->proposed(self::readings('dry.decay', 'readings')));
    }

    public function testTwoReadingsAreTwoColumns(): void
    {
        $text = "at,Pressure (psig),Pipe °F,Air °F\n2026-03-02T17:40:00-07:00,450,74,70\n";
        self::assertSame(['pressure' => ['column' => 1, 'unit' => 'psig'], 'temperature' => ['column' => 2, 'unit' => 'degF']], LoggerFile::of($text)->proposed(self::readings('tight.hold', 'points'))['values']);
    }

    /** @return iterable<string, array{string, array<string, mixed>, list<array{float, float}>}> file, mapping over the plain one, seconds and value */
    public static function read(): iterable
    {
        yield 'minutes' => ["t,p\n0,300\n1.5,310\n", [], [[0.0, 300.0], [90.0, 310.0]]];
        yield 'counted from the first' => ["t,p\n5,300\n6,310\n", [], [[0.0, 300.0], [60.0, 310.0]]];
        yield 'hours' => ["t,p\n0,300\n1,310\n", ['unit' => 'h'], [[0.0, 300.0], [3600.0, 310.0]]];
        yield 'a comma for a point' => ["t;p\n0,5;300,25\n1,5;1.310,5\n", ['separator' => 'semicolon', 'decimal' => 'comma'], [[0.0, 300.25], [60.0, 1310.5]]];
        yield 'thousands in quotes' => ["t,p\n0,\"1,300\"\n1,\"1,310.5\"\n", [], [[0.0, 1300.0], [60.0, 1310.5]]];
        yield 'a day and a time with a comma between, and decimals with one' => ["t;p\n2.3.2026, 17:40;0,5\n2.3.2026, 17:41;0,6\n", ['separator' => 'semicolon', 'decimal' => 'comma', 'form' => 'dmy', 'zone' => 'UTC'], [[0.0, 0.5], [60.0, 0.6]]];
        yield 'a comma where a point is said' => ["t,p\n0,300\n\"0,5\",310\n1,320\n", [], [[0.0, 300.0], [60.0, 320.0]]];
        yield 'past midnight' => ["t,p\n23:59:30,300\n0:00:30,310\n0:01:30,320\n", ['form' => 'clock'], [[0.0, 300.0], [60.0, 310.0], [120.0, 320.0]]];
        yield 'day and time apart' => ["d,t,p\n3/2/2026,11:59 PM,300\n3/3/2026,12:01 AM,310\n", ['form' => 'mdy', 'zone' => 'America/Denver', 'day' => 0, 'time' => 1, 'values' => ['micron' => ['column' => 2, 'unit' => 'micron']]], [[0.0, 300.0], [120.0, 310.0]]];
        yield 'the night the clocks go forward' => ["t,p\n2026-03-08 01:59,300\n2026-03-08 03:00,310\n", ['form' => 'iso', 'zone' => 'America/Denver'], [[0.0, 300.0], [60.0, 310.0]]];
        yield 'a zone of its own counts' => ["t,p\n2026-03-08 01:59-07:00,300\n2026-03-08T09:00Z,310\n", ['form' => 'iso', 'zone' => 'America/Denver'], [[0.0, 300.0], [60.0, 310.0]]];
        yield 'without a zone change in Phoenix' => ["t,p\n2026-03-08 01:59,300\n2026-03-08 03:00,310\n", ['form' => 'iso', 'zone' => 'America/Phoenix'], [[0.0, 300.0], [3660.0, 310.0]]];
        yield 'more than a day since it began' => ["t,p\n0:00:00,300\n30:00:01,310\n", ['form' => 'since'], [[0.0, 300.0], [108_001.0, 310.0]]];
        yield 'blank lines and cells' => ["t,p\n\n0,300\n1,\n2,320\n", [], [[0.0, 300.0], [120.0, 320.0]]];
        yield 'no figure' => ["t,p\n0,300\n1,OL\nx,310\n2,320\n", [], [[0.0, 300.0], [120.0, 320.0]]];
        yield 'twice the same time' => ["t,p\n0,300\n0,301\n1,310\n", [], [[0.0, 300.0], [60.0, 310.0]]];
    }

    /**
     * @param array<string, mixed> $mapping
     * @param list<array{float, float}> $points
     */
    #[DataProvider('read')]
    public function testIsReadAsItIsSaidToBe(string $text, array $mapping, array $points): void
    {
        self::assertSame($points, array_map(fn (array $p): array => [$p['seconds'], $p['values'][0]], self::series($text, $mapping)->points));
    }

    public function testEverythingThatIsNotPlainIsCounted(): void
    {
        $series = self::series("t,p\n0,300\n1,OL\nx,310\n1,311\n1,312\n2,\n3,313\n20,314\n21,315\n", []);
        self::assertSame([['line' => 3, 'cell' => 'OL'], ['line' => 4, 'cell' => 'x']], $series->unread);
        self::assertSame([2, 1, 1, 0], [$series->unreadCount, $series->duplicates, $series->blanks, $series->midnights]);
        self::assertSame([['from' => 3.0, 'to' => 20.0]], $series->gaps);
        self::assertSame(120.0, $series->every, 'the middle one of 60, 120, 1020 and 60 seconds');
        self::assertNull($series->startsAt);
        self::assertSame(1, self::series("t,p\n23:59,1\n0:01,2\n", ['form' => 'clock'])->midnights);
        self::assertSame(1_772_498_400.0, self::series("t,p\n2026-03-02 17:40,1\n", ['form' => 'iso', 'zone' => 'America/Denver'])->startsAt);
    }

    public function testThreeStepsAreNoGapAndMoreAre(): void
    {
        self::assertSame([], self::series("t,p\n0,1\n1,1\n2,1\n5,1\n", [])->gaps);
        self::assertSame([['from' => 2.0, 'to' => 5.1]], self::series("t,p\n0,1\n1,1\n2,1\n5.1,1\n", [])->gaps);
    }

    public function testALineWithOneGoodFigureOfTwoIsNoReading(): void
    {
        $mapping = Mapping::read(['values' => ['pressure' => ['column' => 1, 'unit' => 'psig'], 'temperature' => ['column' => 2, 'unit' => 'degF']]] + self::PLAIN, self::readings('tight.hold', 'points'));
        $series = LoggerFile::of("t,p,T\n0,450,74\n1,449,OL\n2,OL,73\n3,447,72\n")->read($mapping);
        self::assertSame([[450.0, 74.0], [447.0, 72.0]], array_column($series->points, 'values'));
        self::assertSame([['line' => 3, 'cell' => 'OL'], ['line' => 4, 'cell' => 'OL']], $series->unread);
    }

    public function testOfManyGapsTheFirstTwentyAreTold(): void
    {
        $times = [];
        foreach (range(0, 24) as $i) {
            array_push($times, 100 * $i, 100 * $i + 1, 100 * $i + 2);
        }
        self::assertCount(20, self::series("t,p\n" . implode('', array_map(fn (int $t): string => "$t,1\n", $times)), [])->gaps);
    }

    public function testALongCellIsToldByItsBeginning(): void
    {
        self::assertSame(80, strlen(self::series("t,p\n0,1\n" . str_repeat('x', 200) . ",1\n", [])->unread[0]['cell']));
    }

    public function testOfManyBadLinesTheFirstTwentyAreTold(): void
    {
        $series = self::series("t,p\n0,1\n" . str_repeat("x,1\n", 30), []);
        self::assertSame([20, 30, 22], [count($series->unread), $series->unreadCount, $series->unread[19]['line']]);
    }

    /** @return iterable<string, array{string, array<string, mixed>, string, string}> file, mapping over the plain one, what is wrong, what is said */
    public static function refused(): iterable
    {
        yield 'time runs backwards' => ["t,p\n0,300\n2,310\n1,320\n", [], 'time', 'Line 4: the time runs backwards here (1). The clock was set, or two logs stand in one file: cut it there, then read it again.'];
        yield 'a clock set back by an hour' => ["t,p\n17:00,300\n16:00,310\n", ['form' => 'clock'], 'time', 'Line 3: the time runs backwards here (16:00). The clock was set, or two logs stand in one file: cut it there, then read it again.'];
        yield 'half a day may be either' => ["t,p\n18:00,300\n6:00,310\n", ['form' => 'clock'], 'time', 'Line 3: the time runs backwards here (6:00). The clock was set, or two logs stand in one file: cut it there, then read it again.'];
        yield 'no such column' => ["t,p\n0,1\n", ['values' => ['micron' => ['column' => 'second', 'unit' => 'micron']]], 'values.micron', 'Say which column this reading stands in.'];
        yield 'a column past all' => ["t,p\n0,1\n", ['time' => 100], 'time', 'Say which column the time stands in.'];
        yield 'the last column there may be is blank' => ["t,p\n0,1\n", ['time' => 99], 'file', 'No line of it can be read: line 2 says "".'];
        yield 'nothing to be read' => ["t,p\nx,300\n", [], 'file', 'No line of it can be read: line 2 says "x".'];
        yield 'no figures' => ["t,p\n", [], 'file', 'No line of it holds a reading: look at the columns again.'];
        yield 'empty' => ["\n", [], 'file', 'There is nothing in this file.'];
        yield 'no text' => ["a\0b", [], 'file', 'This is no plain text. Save it from the logger as CSV, UTF-8.'];
        yield 'another coding' => ["t,p\n0,\xe9\n", [], 'file', 'This is no plain text. Save it from the logger as CSV, UTF-8.'];
        yield 'no separator' => ["t,p\n0,1\n", ['separator' => 'pipe'], 'separator', 'Say what stands between the columns: a comma, a semicolon or a tab.'];
        yield 'no form' => ["t,p\n0,1\n", ['form' => ''], 'form', 'Say how the time is written. Where day and month can be mixed up, nobody guesses.'];
        yield 'no unit of time' => ["t,p\n0,1\n", ['unit' => 'day'], 'unit', 'Say what the time is counted in: seconds, minutes or hours.'];
        yield 'no zone' => ["t,p\n0,1\n", ['form' => 'iso', 'zone' => 'Moon/Base'], 'zone', 'Say which time zone the logger\'s clock runs in.'];
        yield 'no column for it' => ["t,p\n0,1\n", ['values' => []], 'values.micron', 'Say which column this reading stands in.'];
        yield 'no unit for it' => ["t,p\n0,1\n", ['values' => ['micron' => ['column' => 1, 'unit' => 'psig']]], 'values.micron', 'Say which unit the logger writes this reading in.'];
        yield 'no column of time' => ["t,p\n0,1\n", ['time' => -1], 'time', 'Say which column the time stands in.'];
        yield 'no first line' => ["t,p\n0,1\n", ['head' => 'one'], 'head', 'Say which line names the columns; 0 where none does.'];
    }

    /** @param array<string, mixed> $mapping */
    #[DataProvider('refused')]
    public function testWhatCannotBeIsSaidInASentence(string $text, array $mapping, string $field, string $sentence): void
    {
        try {
            self::series($text, $mapping);
            self::fail('it was read');
        } catch (MappingError $error) {
            self::assertSame([$field, $sentence], [$error->field, $error->getMessage()]);
        }
    }

    public function testAFileOfTwoHundredThousandLinesIsTakenAndOneMoreIsNot(): void
    {
        self::assertCount(10, LoggerFile::of(str_repeat("1,2\n", 200_000))->top(','));
        $this->expectExceptionMessage('A file has at most 200,000 lines: cut it where the test begins.');
        LoggerFile::of(str_repeat("1,2\n", 200_001));
    }

    public function testAPartOfItBeginsAtNought(): void
    {
        $part = self::series("t,p\n0,1\n1,2\n2,3\n3,4\n", ['form' => 'elapsed'])->between(1, 2);
        self::assertSame([['seconds' => 0.0, 'values' => [2.0]], ['seconds' => 60.0, 'values' => [3.0]]], $part->points);
        self::assertSame([], self::series("t,p\n0,1\n", [])->between(5, null)->points);
        $day = self::series("t,p\n2026-03-02 17:40,1\n2026-03-02 17:41,2\n", ['form' => 'iso', 'zone' => 'UTC']);
        self::assertSame($day->startsAt + 60, $day->between(1, null)->startsAt);
    }

    public function testThinnedItKeepsBothEndsTheHighestTheLowestAndOnlyWhatWasRead(): void
    {
        $points = array_map(fn (int $i): array => ['seconds' => (float) $i, 'values' => [match ($i) {
            700 => 999.0, 701 => 1.0, default => 100.0 + $i / 100,
        }]], range(0, 999));
        $kept = (new Series($points, null, 1.0, [], [], 0, 0, 0, 0))->thinned(50);
        self::assertCount(50, $kept);
        self::assertSame([0.0, 999.0], [$kept[0]['seconds'], $kept[49]['seconds']]);
        self::assertContains(700.0, array_column($kept, 'seconds'));
        self::assertContains(701.0, array_column($kept, 'seconds'));
        foreach ($kept as $i => $point) {
            self::assertSame($points[(int) $point['seconds']], $point);
            self::assertTrue($i === 0 || ($point['seconds'] > $kept[$i - 1]['seconds'] && $point['seconds'] - $kept[$i - 1]['seconds'] < 30));
        }
        $uneven = array_map(fn (int $i): array => ['seconds' => (float) $i ** 3, 'values' => [(float) $i]], range(0, 5));
        self::assertSame($uneven, (new Series($uneven, null, 1.0, [], [], 0, 0, 0, 0))->thinned(6), 'no more than asked: all of them');
        self::assertCount(3, (new Series(array_slice($points, 0, 3), null, 1.0, [], [], 0, 0, 0, 0))->thinned(4));
    }

    /** @return iterable<string, array{TimeForm, string, float|null}> */
    public static function times(): iterable
    {
        yield 'noon' => [TimeForm::Clock, '12:00 PM', 43_200.0];
        yield 'midnight' => [TimeForm::Clock, '12:00 a.m.', 0.0];
        yield 'the last second' => [TimeForm::Clock, '23:59:59', 86_399.0];
        yield 'no such hour' => [TimeForm::Clock, '24:00', null];
        yield 'no such half' => [TimeForm::Clock, '13:00 PM', null];
        yield 'one in the morning' => [TimeForm::Clock, '1:00 AM', 3600.0];
        yield 'no hour of a half' => [TimeForm::Clock, '0:30 AM', null];
        yield 'no such minute' => [TimeForm::Clock, '9:60', null];
        yield 'no such second' => [TimeForm::Clock, '9:59:60', null];
        yield 'a part of a second' => [TimeForm::Clock, '0:00:01.5', 1.5];
        yield 'a day that is not' => [TimeForm::Iso, '2026-02-29 10:00', null];
        yield 'a day alone' => [TimeForm::Iso, '1970-01-02', 86_400.0];
        yield 'a year of two digits' => [TimeForm::DayFirst, '1/2/26 0:00', 1_769_904_000.0];
        yield 'month first' => [TimeForm::MonthFirst, '1/2/2026 0:00', 1_767_312_000.0];
        yield 'no thirteenth month' => [TimeForm::MonthFirst, '13/2/2026', null];
        yield 'nothing before it began' => [TimeForm::Elapsed, '-1', null];
        yield 'no half of a day since' => [TimeForm::Since, '1:00 PM', null];
        yield 'no sixtieth minute since' => [TimeForm::Since, '1:60', null];
        yield 'words' => [TimeForm::Elapsed, 'soon', null];
    }

    #[DataProvider('times')]
    public function testATimeIsWhatItIsOrNone(TimeForm $form, string $text, ?float $seconds): void
    {
        self::assertSame($seconds, $form->seconds($text, new \DateTimeZone('UTC'), 1.0));
    }

    /** @param array<string, mixed> $mapping */
    private static function series(string $text, array $mapping): Series
    {
        return LoggerFile::of($text)->read(Mapping::read($mapping + self::PLAIN, self::readings('dry.decay', 'readings')));
    }

    /** @return list<Field> */
    private static function readings(string $check, string $list): array
    {
        foreach (Core::judge()->registry->get($check)->fields() as $field) {
            if ($field->name === $list) {
                return Mapping::readings($field->fields);
            }
        }

        return [];
    }
}
