<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Power;

use IronStart\Core\Check\InputError;
use IronStart\Core\Core;
use PHPUnit\Framework\TestCase;

final class RunningAmpsTest extends TestCase
{
    public function testPlateAmpsAreReadBetweenThePointsAndHeldAtTheEnds(): void
    {
        $points = [['volts' => '230 V', 'amps' => '6 A'], ['volts' => '208 V', 'amps' => '7 A']];
        foreach (['200 V' => 7.0, '208 V' => 7.0, '219 V' => 6.5, '230 V' => 6.0, '260 V' => 6.0] as $volts => $plate) {
            $values = $this->judge(['plate_points' => $points, 'volts_average' => $volts])['values'];
            self::assertEqualsWithDelta($plate, $values['loads.0.plate']['value'], 1e-9, $volts);
        }
    }

    public function testOnePointNeedsNoVoltageAndMoreDo(): void
    {
        self::assertSame([], $this->judge(['plate_points' => [['volts' => '208 V', 'amps' => '6 A']]])['codes']);
        self::assertSame(['missing:loads.0.volts_average'], $this->judge(['plate_points' => [['volts' => '208 V', 'amps' => '6 A'], ['volts' => '230 V', 'amps' => '5 A']]])['codes']);
    }

    public function testTwoPointsAtOneVoltageAreAnError(): void
    {
        $this->expectException(InputError::class);
        $this->judge(['plate_points' => [['volts' => '208 V', 'amps' => '6 A'], ['volts' => '208 V', 'amps' => '5 A']], 'volts_average' => '208 V']);
    }

    public function testACompressorOverItsRatedAmpsIsJudgedOnlyWithHighHead(): void
    {
        $over = ['kind' => 'scroll', 'amps_a' => '10 A', 'amps_b' => '10 A', 'amps_c' => '10 A', 'plate_amps' => '9.7 A'];
        self::assertSame('clear', $this->judge($over)['status']);
        self::assertSame(['over_plate:M'], $this->judge(['high_head' => true] + $over)['codes']);
        self::assertSame('watch', $this->judge(['kind' => 'blower'] + $over)['status']);
    }

    public function testATandemWithOneDeadCompressorIsSeen(): void
    {
        $half = ['kind' => 'scroll', 'amps_a' => '10 A', 'amps_b' => '10 A', 'amps_c' => '10 A', 'plate_amps' => '20 A'];
        self::assertSame([], $this->judge($half)['codes']);
        self::assertSame(['low_amps:M'], $this->judge(['quantity' => 2] + $half)['codes']);
    }

    public function testAStopIsNotHiddenBehindDoorsThatAreOff(): void
    {
        $lost = ['amps_a' => '0.1 A', 'amps_b' => '9 A', 'amps_c' => '9 A', 'plate_amps' => '6 A'];
        $verdict = $this->judge($lost, ['doors_on' => false]);
        self::assertSame('stop', $verdict['status']);
        self::assertEqualsCanonicalizing(['doors_off', 'single_phasing:M'], $verdict['codes']);
        self::assertStringContainsString('L1 (A)', $verdict['headline']);
    }

    public function testASmallMotorsUnbalanceIsAWatchUnlessALineIsLostAhead(): void
    {
        self::assertSame('watch', $this->judge(['amps_a' => '2 A', 'amps_b' => '2.4 A', 'amps_c' => '2 A', 'plate_amps' => '3 A'])['status']);
        self::assertSame('stop', $this->judge(['amps_a' => '2 A', 'amps_b' => '2 A', 'amps_c' => '4 A', 'plate_amps' => '4 A'])['status']);
    }

    /**
     * @param array<string, mixed> $load
     * @param array<string, mixed> $more
     * @return array<string, mixed>
     */
    private function judge(array $load, array $more = []): array
    {
        $load += ['name' => 'M', 'kind' => 'blower', 'amps_a' => '5 A', 'amps_b' => '5 A', 'amps_c' => '5 A'];

        return json_decode((string) json_encode(Core::judge()->judge('power.running_amps', ['loads' => [$load]] + $more, 'us')->toArray()), true);
    }
}
