<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Gate;

use IronStart\Core\Gate\CheckTable;
use IronStart\Core\Gate\JobType;
use IronStart\Core\Gate\Ledger;
use IronStart\Core\Gate\Recorded;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Walked\OwnerList;
use IronStart\Core\Walked\PrestartList;
use PHPUnit\Framework\TestCase;

final class LedgerTest extends TestCase
{
    public function testAStopKeepsItsDangersUntilSomethingPasses(): void
    {
        $stands = $this->standing($this->entry('tight.hold', 'stop', 1, ['above_design']), $this->entry('tight.hold', 'stop', 2, ['leak']), $this->entry('tight.hold', 'open', 3));
        self::assertSame(['leak', 'above_design'], $stands->codes);
        self::assertSame(2.0, $stands->at);
        self::assertSame(Status::Clear, $this->standing($this->entry('tight.hold', 'stop', 1, ['above_design']), $this->entry('tight.hold', 'clear', 2))->status);
    }

    public function testAnOpenReplacesAClear(): void
    {
        self::assertSame(Status::Open, $this->standing($this->entry('dry.decay', 'clear', 1), $this->entry('dry.decay', 'open', 2))->status);
    }

    public function testOfTheSameMomentTheWorstCountsWithAllCodes(): void
    {
        $stands = $this->standing($this->entry('air.split', 'watch', 4, ['a']), $this->entry('air.split', 'clear', 4, ['b']));
        self::assertSame([Status::Watch, ['a', 'b']], [$stands->status, $stands->codes]);
    }

    public function testADangerousCodeIsAStopWhateverTheVerdictCallsItself(): void
    {
        self::assertTrue($this->entry('survey.options', 'watch', 1, ['plate_mismatch'])->stops());
        self::assertFalse($this->entry('survey.options', 'watch', 1, ['voltage_mismatch'])->stops(), 'one option of several');
        self::assertTrue($this->entry('survey.options', 'stop', 1, ['voltage_mismatch'])->stops());
        self::assertTrue($this->entry('list.prestart', 'stop', 1, ['not_done:earth'])->dangers() !== []);
        self::assertFalse($this->entry('list.prestart', 'stop', 1, ['not_done:lugs'])->dangers() !== []);
    }

    public function testAJointMadeAfterTheHoldMakesItStale(): void
    {
        $hold = $this->entry('tight.hold', 'clear', 5, [], 'circuit:A');
        $later = fn (string $subject): Ledger => new Ledger([$hold, $this->entry('piping.purge', 'stop', 9, [], $subject)], null, []);
        self::assertTrue($later('circuit:A')->isStale($hold, 5));
        self::assertFalse($later('circuit:B')->isStale($hold, 5));
        self::assertTrue($later('machine')->isStale($hold, 5), 'no circuit named touches all');
    }

    public function testWorkOnTheSupplyAsksForTheThreeReadingsAgain(): void
    {
        $ledger = new Ledger([], 10.0, []);
        foreach (['power.rotation' => true, 'power.voltage' => true, 'power.supply_identity' => true, 'power.fault_current' => true, 'power.dials' => true, 'power.motor_tap' => true, 'power.circuit' => false] as $check => $stale) {
            self::assertSame($stale, $ledger->isStale($this->entry($check, 'clear', 9), 8), $check);
        }
        self::assertFalse($ledger->isStale($this->entry('power.rotation', 'clear', 11), 8));
        self::assertFalse($ledger->isStale($this->entry('power.supply_identity', 'clear', 9, [], 'old_disconnect'), 8));
    }

    public function testReadingsOfTheRunningMachineCountFromTheProofOnly(): void
    {
        $ledger = new Ledger([$this->entry('power.rotation', 'stop', 5, ['conflict']), $this->entry('power.rotation', 'clear', 8, ['proved'])], null, []);
        self::assertTrue($ledger->isStale($this->entry('power.running_amps', 'clear', 8), 8));
        self::assertTrue($ledger->isStale($this->entry('list.prestart', 'clear', 7), 8));
        self::assertFalse($ledger->isStale($this->entry('power.running_amps', 'clear', 9), 8));
        $standing = new Ledger([$this->entry('power.rotation', 'stop', 5, ['conflict'])], null, []);
        self::assertTrue($standing->isStale($this->entry('power.running_amps', 'clear', 99), 8), 'never, while the stop stands');
    }

    public function testACheckBelongsByItsSubject(): void
    {
        $all = range(1, 12);
        self::assertSame([7], CheckTable::belongs('power.voltage', 'machine', $all, false));
        self::assertSame([8], CheckTable::belongs('power.voltage', 'loaded', $all, false));
        self::assertSame([1], CheckTable::belongs('power.circuit', 'old_disconnect', $all, false));
        self::assertSame([7], CheckTable::belongs('power.circuit', 'old_disconnect', range(4, 12), false), 'its other gate, when the first is off the job');
        self::assertSame([1], CheckTable::belongs('survey.crane', 'machine', [7, 8], false), 'the first, when none is on the job');
        self::assertSame([7], CheckTable::belongs('power.lockout', 'machine', $all, false));
        self::assertSame([2, 7], CheckTable::belongs('power.lockout', 'old_disconnect', $all, true), 'on a compressor change both, whatever it is about');
        self::assertCount(94, CheckTable::checks());
    }

    public function testADirectionInRunOnlyWhereDialsAreReadInRun(): void
    {
        $ledger = new Ledger([$this->entry('power.rotation', 'stop', 5, ['conflict']), $this->entry('power.rotation', 'clear', 8, ['proved'])], null, []);
        self::assertTrue($ledger->isStale($this->entry('power.dials', 'clear', 7), 8));
        self::assertFalse($ledger->isStale($this->entry('power.dials', 'clear', 7), 7));
    }

    public function testAListAsksWhatCanBeOnTheMachine(): void
    {
        $ids = fn (string $list, ?JobType $type): array => array_map(fn ($item): string => $item->id, $list::askedOf($type));
        self::assertCount(21, $ids(PrestartList::class, JobType::Rooftop));
        self::assertNotContains('gas_tested', $ids(PrestartList::class, JobType::Vrf));
        self::assertContains('mode_holder', $ids(OwnerList::class, null));
        self::assertNotContains('mode_holder', $ids(OwnerList::class, JobType::Rooftop));
    }

    private function standing(Recorded ...$entries): Recorded
    {
        return array_values((new Ledger(array_values($entries), null, []))->standing)[0];
    }

    /** @param list<string> $codes */
    private function entry(string $check, string $status, float $at, array $codes = [], string $subject = 'machine'): Recorded
    {
        return new Recorded($check, $subject, Status::from($status), $codes, $at);
    }
}
