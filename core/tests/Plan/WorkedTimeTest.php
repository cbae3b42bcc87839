<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Plan;

use IronStart\Core\Plan\WorkedTime;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class WorkedTimeTest extends TestCase
{
    /** @return iterable<string, array{list<array{int|null, int}>, array<int, int>}> entries as question and second; seconds by question */
    public static function tapes(): iterable
    {
        yield 'nothing' => [[], []];
        yield 'one entry took no time that is known' => [[[7, 500]], [7 => 0]];
        yield 'the time before an entry is its own' => [[[7, 0], [7, 600], [8, 900]], [7 => 600, 8 => 300]];
        yield 'back and forth adds up, in the order of the questions' => [[[9, 0], [8, 100], [9, 300]], [8 => 100, 9 => 200]];
        yield 'a photo goes with what comes after it' => [[[7, 0], [null, 200], [8, 300]], [7 => 0, 8 => 300]];
        yield 'or with what went before, at the end' => [[[7, 0], [null, 200]], [7 => 200]];
        yield 'only photos' => [[[null, 0], [null, 200]], []];
        yield 'two hours are work' => [[[7, 0], [8, 7200]], [7 => 0, 8 => 7200]];
        yield 'more is not' => [[[7, 0], [8, 7201]], [7 => 0, 8 => 0]];
        yield 'nor is a night between photos' => [[[7, 0], [null, 100], [null, 50_000], [8, 50_100]], [7 => 0, 8 => 200]];
        yield 'entries of one moment' => [[[7, 50], [8, 50], [9, 40]], [7 => 0, 8 => 0, 9 => 0]];
    }

    /**
     * @param list<array{int|null, int}> $entries
     * @param array<int, int>            $seconds
     */
    #[DataProvider('tapes')]
    public function testTimeGoesToTheQuestionItWasFor(array $entries, array $seconds): void
    {
        self::assertSame($seconds, WorkedTime::of(array_map(fn (array $e): array => ['gate' => $e[0], 'at' => $e[1]], $entries)));
    }
}
