<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Clock;

use IronStart\Core\Clock\Place;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class PlaceTest extends TestCase
{
    private const DAY = 86_400_000;

    /** @return iterable<string, array{int, int|null, int, int|null, int, int}> written, sent, arrived, before, then place and correction */
    public static function entries(): iterable
    {
        yield 'sent at once, clock right' => [1_000, 1_000, 1_040, null, 1_040, 40];
        yield 'kept ten minutes, clock right' => [1_000, 601_000, 601_040, 900, 1_040, 40];
        yield 'clock a day ahead' => [self::DAY + 5_000, self::DAY + 65_000, 65_000, null, 5_000, -self::DAY];
        yield 'clock a day behind' => [5_000 - self::DAY, 65_000 - self::DAY, 65_000, null, 5_000, self::DAY];
        yield 'written after it was sent: not later than it arrived' => [9_000, 1_000, 1_040, null, 1_040, -7_960];
        yield 'clock set back in between: not before the one before it' => [1_000, 61_000, 61_000, 30_000, 30_000, 29_000];
        yield 'no clock told' => [self::DAY, null, 700, 600, 700, 700 - self::DAY];
    }

    #[DataProvider('entries')]
    public function testItStandsWhereItWasWritten(int $written, ?int $sent, int $arrived, ?int $before, int $place, int $correction): void
    {
        $found = Place::of($written, $sent, $arrived, $before);
        self::assertSame([$place, $correction], [$found->at, $found->correction]);
    }
}
