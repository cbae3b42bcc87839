<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Power;

use IronStart\Core\Core;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Which conductor two low pairs share, and which pair is named of several. */
final class VoltageTest extends TestCase
{
    /** @return iterable<string, array{array{float, float, float}, string}> A-B, B-C, C-A in V; what is named */
    public static function weak(): iterable
    {
        yield 'A-B and B-C share B' => [[455, 456, 484], 'L2 (B) is the weak one'];
        yield 'A-B and C-A share A' => [[455, 484, 456], 'L1 (A) is the weak one'];
        yield 'B-C and C-A share C' => [[484, 455, 456], 'L3 (C) is the weak one'];
    }

    /** @param array{float, float, float} $volts */
    #[DataProvider('weak')]
    public function testTheConductorBothLowPairsShare(array $volts, string $named): void
    {
        self::assertStringContainsString($named, self::say($volts));
    }

    public function testTheLowestAndTheHighestPairAreNamed(): void
    {
        self::assertStringContainsString('L2–L3', self::say([410, 400, 405]));
        self::assertStringContainsString('L1–L2', self::say([400, 400, 405]), 'of two alike the first');
        self::assertStringContainsString('L3–L1', self::say([508, 510, 520]));
        self::assertStringContainsString('L1–L2', self::say([520, 520, 510]), 'of two alike the first');
    }

    /** @param array{float, float, float} $volts */
    private static function say(array $volts): string
    {
        $verdict = Core::judge()->judge('power.voltage', ['volts_ab' => "$volts[0] V", 'volts_bc' => "$volts[1] V", 'volts_ca' => "$volts[2] V", 'plate_voltage' => '460'], 'us');

        return implode(' ', [$verdict->headline, ...$verdict->because]);
    }
}
