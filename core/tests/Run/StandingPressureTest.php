<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Run;

use IronStart\Core\Tests\Judges;
use IronStart\Core\Verdict\Finding;
use PHPUnit\Framework\TestCase;

/** What the readings may be off by, where the table ends, and what the place does to a gauge. */
final class StandingPressureTest extends TestCase
{
    use Judges;

    private const STANDS = ['refrigerant' => 'R-410A', 'ambient' => '75 degF', 'standing_hours' => 14];

    public function testAReadingWithinWhatItMayBeOffByIsTooCloseToCall(): void
    {
        // A hundredth of 201 psig and 0.9 °F are 3.8 psi together.
        $at = fn (string $psig): bool => self::judge('run.standing_pressure', ['pressure' => "$psig psig"] + self::STANDS)->marginal;
        foreach ([['197.3', '197.5'], ['204.9', '204.8'], ['232.6', '232.7'], ['240.6', '240.4'], ['251.4', '251.5'], ['259.6', '259.5']] as [$sure, $close]) {
            self::assertSame([false, true], [$at($sure), $at($close)], $close);
        }
    }

    public function testAVacuumIsAStopOfItsOwn(): void
    {
        $findings = self::judge('run.standing_pressure', ['pressure' => '-2 psig'] + self::STANDS)->findings;
        self::assertSame(['flat' => 'stop', 'in_vacuum' => 'stop'], array_map(fn (Finding $one): string => $one->status->value, array_combine(array_column($findings, 'code'), $findings)));
    }

    public function testAGaugeReadsMoreOnAMountain(): void
    {
        $low = fn (string $altitude): ?float => self::figure('run.standing_pressure', ['pressure' => '218 psig', 'altitude' => $altitude] + self::STANDS, 'expected_low');
        self::assertEqualsWithDelta(2.6, $low('5280 ft') - $low('0 ft'), 0.1);
    }

    public function testATemperatureOffTheTableIsRefusedAndAPressureOffItReadsAsNothing(): void
    {
        self::assertSame('refrigerant', self::refused('run.standing_pressure', ['refrigerant' => 'R-999', 'pressure' => '1 psig'] + self::STANDS)[0]);
        self::assertNull(self::figure('run.standing_pressure', ['pressure' => '-14.5 psig'] + self::STANDS, 'reads_as'));
        self::assertSame('coil', self::refused('run.standing_pressure', ['pressure' => '1 psig', 'coil' => '140 degF'] + self::STANDS)[0]);
    }
}
