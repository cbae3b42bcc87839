<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Gate;

use IronStart\Core\Gate\CheckTable;
use IronStart\Core\Gate\Entry;
use IronStart\Core\Gate\JobType;
use IronStart\Core\Gate\Ledger;
use IronStart\Core\Gate\Order;
use IronStart\Core\Walked\OwnerList;
use IronStart\Core\Walked\PrestartList;
use IronStart\Core\Verdict\Status;
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
        self::assertTrue($later('circuit:A')->isStale($hold));
        self::assertFalse($later('circuit:B')->isStale($hold));
        self::assertTrue($later('machine')->isStale($hold), 'no circuit named touches all');
    }

    public function testWorkOnTheSupplyAsksForTheThreeReadingsAgain(): void
    {
        $ledger = new Ledger([], 10.0, []);
        foreach (['power.rotation' => true, 'power.voltage' => true, 'power.supply_identity' => true, 'power.circuit' => false] as $check => $stale) {
            self::assertSame($stale, $ledger->isStale($this->entry($check, 'clear', 9)), $check);
        }
        self::assertFalse($ledger->isStale($this->entry('power.rotation', 'clear', 11)));
        self::assertFalse($ledger->isStale($this->entry('power.supply_identity', 'clear', 9, [], 'old_disconnect')));
    }

    public function testReadingsOfTheRunningMachineCountFromTheProofOnly(): void
    {
        $ledger = new Ledger([$this->entry('power.rotation', 'stop', 5, ['conflict']), $this->entry('power.rotation', 'clear', 8, ['proved'])], null, []);
        self::assertTrue($ledger->isStale($this->entry('power.running_amps', 'clear', 8)));
        self::assertTrue($ledger->isStale($this->entry('list.prestart', 'clear', 7)));
        self::assertFalse($ledger->isStale($this->entry('power.running_amps', 'clear', 9)));
        $standing = new Ledger([$this->entry('power.rotation', 'stop', 5, ['conflict'])], null, []);
        self::assertTrue($standing->isStale($this->entry('power.running_amps', 'clear', 99)), 'never, while the stop stands');
    }

    public function testACheckBelongsByItsSubject(): void
    {
        self::assertSame([7], Belonging::of('power.voltage', 'machine', range(1, 12)));
        self::assertSame([8], Belonging::of('power.voltage', 'loaded', range(1, 12)));
        self::assertSame([1], Belonging::of('power.circuit', 'old_disconnect', range(1, 12)));
        self::assertSame([7], Belonging::of('power.circuit', 'old_disconnect', range(4, 12)), 'its other gate, when the first is off the job');
        self::assertSame([1], Belonging::of('survey.crane', 'machine', [7, 8]), 'the first, when none is on the job');
        self::assertCount(74, Belonging::checks());
    }

    public function testOnlyReadingsThatWaitForAGateAreOutOfOrder(): void
    {
        self::assertSame([8], Order::missing('power.running_amps', 'machine', [8, 9]));
        self::assertSame([8], Order::missing('power.voltage', 'loaded', [8]));
        self::assertSame([], Order::missing('power.voltage', 'machine', [8]));
        self::assertSame([], Order::missing('power.running_amps', 'machine', []));
    }

    public function testAListAsksWhatCanBeOnTheMachine(): void
    {
        $ids = fn (string $list, ?JobType $type): array => array_map(fn ($item): string => $item->id, $list::askedOf($type));
        self::assertCount(17, $ids(PrestartList::class, JobType::Rooftop));
        self::assertNotContains('gas_tested', $ids(PrestartList::class, JobType::Vrf));
        self::assertContains('mode_holder', $ids(OwnerList::class, null));
        self::assertNotContains('mode_holder', $ids(OwnerList::class, JobType::Rooftop));
    }

    private function standing(Entry ...$entries): Entry
    {
        return array_values((new Ledger(array_values($entries), null, []))->standing)[0];
    }

    /** @param list<string> $codes */
    private function entry(string $check, string $status, float $at, array $codes = [], string $subject = 'machine'): Entry
    {
        return new Entry($check, $subject, Status::from($status), $codes, $at);
    }
}
