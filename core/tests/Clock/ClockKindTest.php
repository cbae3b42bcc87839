<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Clock;

use IronStart\Core\Clock\ClockKind;
use PHPUnit\Framework\TestCase;

final class ClockKindTest extends TestCase
{
    public function testEveryClockRunsAtLeastAMinuteAndAtMostAYear(): void
    {
        foreach (ClockKind::cases() as $kind) {
            self::assertGreaterThan(0, $kind->minutes(), $kind->value);
            self::assertLessThanOrEqual(ClockKind::LONGEST_MINUTES, $kind->minutes(), $kind->value);
        }
        self::assertSame(60 * 24 * 60, ClockKind::days(60));
    }
}
