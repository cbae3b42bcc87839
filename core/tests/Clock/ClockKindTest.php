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

    public function testACompressorRunsAMinuteInVacuumAndAnOpenSystemStandsAQuarterOfAnHour(): void
    {
        self::assertSame([1, 15, 15], [ClockKind::PumpDownVacuum->minutes(), ClockKind::SystemOpen->minutes(), ClockKind::PumpDown->minutes()]);
        self::assertSame([60, 60, 120, 10, 1440, 1440, 15], [ClockKind::FireWatch->minutes(), ClockKind::DetectorCovered->minutes(), ClockKind::CommissioningRun->minutes(), ClockKind::Decay->minutes(), ClockKind::PressureHold->minutes(), ClockKind::WarmUp->minutes(), ClockKind::Stabilise->minutes()]);
    }
}
