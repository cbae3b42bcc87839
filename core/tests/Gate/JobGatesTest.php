<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Gate;

use Eris\Generator;
use Eris\TestTrait;
use IronStart\Core\Core;
use PHPUnit\Framework\TestCase;

/** What must hold of the gates, whatever was recorded. */
final class JobGatesTest extends TestCase
{
    use TestTrait;

    private const CHECKS = ['power.rotation', 'power.voltage', 'power.supply_identity', 'power.circuit', 'power.lockout', 'list.prestart', 'power.running_amps'];
    private const STOPS = ['power.rotation' => 'supply_reversed', 'power.voltage' => 'under_voltage', 'power.supply_identity' => 'phase_lost', 'power.lockout' => 'still_live', 'power.running_amps' => 'single_phasing:C1'];

    protected function setUp(): void
    {
        $this->seed = 20260506;
    }

    public function testAnUnfinishedCheckLiftsNoStop(): void
    {
        $this->eachHistory(function (array $recorded): void {
            $before = $this->gates($recorded);
            foreach (self::CHECKS as $check) {
                $after = $this->gates([...$recorded, ['check' => $check, 'status' => 'open', 'codes' => [], 'at' => 99]]);
                foreach ($before as $gate => $state) {
                    self::assertTrue($state !== 'stopped' || $after[$gate] === 'stopped', "gate $gate, $check");
                }
            }
        });
    }

    public function testTheOrderOfTheListDoesNotMatter(): void
    {
        $this->eachHistory(function (array $recorded): void {
            self::assertSame($this->gates($recorded), $this->gates(array_reverse($recorded)));
        });
    }

    public function testRunIsNeverAnsweredWhileADangerStands(): void
    {
        $this->eachHistory(function (array $recorded): void {
            $states = $this->gates($recorded);
            if (in_array('stopped', $states, true)) {
                self::assertNotSame('answered', $states[8]);
                self::assertNotSame('answered', $states[12]);
            }
        });
    }

    public function testADoubtedClearAnswersNothing(): void
    {
        $clear = ['check' => 'power.voltage', 'status' => 'clear', 'codes' => [], 'at' => 1];
        self::assertNotContains('power.voltage:machine', $this->missing([$clear]));
        self::assertContains('power.voltage:machine', $this->missing([['suspect' => true] + $clear]));
    }

    public function testALockoutMustLieBetweenTheStopAndTheNewReading(): void
    {
        $stop = ['check' => 'power.rotation', 'status' => 'stop', 'codes' => ['supply_reversed'], 'at' => 5];
        $proved = ['check' => 'power.rotation', 'status' => 'clear', 'codes' => ['proved'], 'at' => 9];
        $lockout = fn (float $at, string $status = 'clear'): array => ['check' => 'power.lockout', 'status' => $status, 'codes' => [], 'at' => $at];
        self::assertSame('stopped', $this->gates([$stop, $proved])[7]);
        self::assertSame('stopped', $this->gates([$lockout(3), $stop, $proved])[7], 'before the stop');
        self::assertSame('stopped', $this->gates([$stop, $proved, $lockout(10)])[7], 'after the reading');
        self::assertSame('stopped', $this->gates([$stop, $lockout(7, 'open'), $proved])[7], 'unfinished');
        self::assertNotSame('stopped', $this->gates([$stop, $lockout(7), $proved])[7]);
    }

    /** @param callable(list<array<string, mixed>>): void $holds */
    private function eachHistory(callable $holds): void
    {
        $entry = Generator\tuple(Generator\elements(...self::CHECKS), Generator\elements('clear', 'watch', 'open', 'stop'));
        $this->limitTo(80)->forAll(Generator\vector(8, $entry))->then(function (array $entries) use ($holds): void {
            $recorded = [];
            foreach ($entries as $i => [$check, $status]) {
                $codes = $status === 'stop' && isset(self::STOPS[$check]) ? [self::STOPS[$check]] : [];
                $recorded[] = ['check' => $check, 'status' => $status, 'codes' => $codes, 'at' => $i + 1];
            }
            $holds($recorded);
        });
    }

    /**
     * @param list<array<string, mixed>> $recorded
     * @return array<int, string>
     */
    private function gates(array $recorded): array
    {
        $values = $this->judge($recorded);

        return array_map(fn (int $gate): string => $values["state:$gate"]->value, array_combine(range(1, 12), range(1, 12)));
    }

    /**
     * @param list<array<string, mixed>> $recorded
     * @return list<string>
     */
    private function missing(array $recorded): array
    {
        return $this->judge($recorded)['missing:7']->value;
    }

    /**
     * @param list<array<string, mixed>> $recorded
     * @return array<string, \IronStart\Core\Verdict\Value>
     */
    private function judge(array $recorded): array
    {
        return Core::judge()->judge('job.gates', ['job_type' => 'rooftop', 'start_up_only' => true, 'recorded' => $recorded], 'us')->judgement->values;
    }
}
