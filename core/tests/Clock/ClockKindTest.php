<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Clock;

use IronStart\Core\Clock\ClockKind;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Value;
use PHPUnit\Framework\TestCase;

final class ClockKindTest extends TestCase
{
    public function testAnUnfinishedCheckSaysHowLongItWaitsInWholeMinutes(): void
    {
        $open = fn (string $name, float $value, string $unit): ?int => ClockKind::wait(new Judgement([Finding::open('wait')], [$name => Value::of($value, $unit)]));
        self::assertSame(9, $open('time_left', 8.2, 'min'));
        self::assertSame(90, $open('remaining', 1.5, 'h'));
        self::assertSame(1, $open('time_left', 0.1, 'min'));
        self::assertNull($open('time_left', 0.0, 'min'));
        self::assertNull($open('rise', 4.0, 'psi'));
        self::assertNull(ClockKind::wait(new Judgement([Finding::clear('held')], ['time_left' => Value::of(5, 'min')])));
    }

    public function testTheReadingThatWasWaitedForEndsItsClock(): void
    {
        self::assertSame(ClockKind::PressureHold, ClockKind::readBy('tight.hold'));
        self::assertSame(ClockKind::Stabilise, ClockKind::readBy('power.running_amps'));
        self::assertNull(ClockKind::of('power.running_amps'), 'the amps themselves wait for nothing');
        self::assertNull(ClockKind::readBy('power.voltage'));
    }

    public function testEveryClockRunsAtLeastAMinuteAndAtMostAYear(): void
    {
        foreach (ClockKind::cases() as $kind) {
            self::assertGreaterThan(0, $kind->minutes(), $kind->value);
            self::assertLessThanOrEqual(ClockKind::LONGEST_MINUTES, $kind->minutes(), $kind->value);
        }
        self::assertSame(60 * 24 * 60, ClockKind::days(60));
    }
}
