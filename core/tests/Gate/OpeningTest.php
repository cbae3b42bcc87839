<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Gate;

use IronStart\Core\Check\Past;
use IronStart\Core\Gate\GateInput;
use IronStart\Core\Gate\Gates;
use IronStart\Core\Gate\Job;
use IronStart\Core\Gate\JobType;
use IronStart\Core\Gate\Opening;
use IronStart\Core\Gate\Recorded;
use IronStart\Core\Gate\Refusal;
use IronStart\Core\Judge\Registry;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Wording\GateSpeaker;
use IronStart\Core\Wording\Phrases;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** When the valves of a circuit may be opened. */
final class OpeningTest extends TestCase
{
    private const TIGHT = ['tight.hold', 'circuit:A', Status::Clear];
    private const DRY = ['dry.decay', 'circuit:A', Status::Watch];
    private const VOLTS = ['power.voltage', 'machine', Status::Clear];

    /** @return iterable<string, array{Job, list<array{string, string, Status}>, bool, list<string>}> job, records, a drive on it, what is refused */
    public static function circuits(): iterable
    {
        $condensing = self::job(JobType::Condensing, opened: ['A']);
        yield 'nothing read' => [$condensing, [], false, ['tight.hold:circuit:A', 'dry.decay:circuit:A']];
        yield 'it holds' => [$condensing, [self::TIGHT], false, ['dry.decay:circuit:A']];
        yield 'it leaks' => [$condensing, [['tight.hold', 'circuit:A', Status::Stop], self::DRY], false, ['tight.hold:circuit:A']];
        yield 'still waiting' => [$condensing, [['tight.hold', 'circuit:A', Status::Open], self::DRY], false, ['tight.hold:circuit:A']];
        yield 'wet' => [$condensing, [self::TIGHT, ['dry.decay', 'circuit:A', Status::Stop]], false, ['dry.decay:circuit:A']];
        yield 'tight and dry' => [$condensing, [self::TIGHT, self::DRY], false, []];
        yield 'a drive wants its supply first' => [$condensing, [self::TIGHT, self::DRY], true, ['power.voltage:machine']];
        yield 'a drive on a good supply' => [$condensing, [self::TIGHT, self::DRY, self::VOLTS], true, []];
        yield 'a pair with a bus' => [self::job(JobType::Condensing, ['A'], ['pair']), [self::TIGHT, self::DRY], false, ['vrf.wire_map:machine', 'power.voltage:machine']];
        yield 'a field bus' => [self::job(JobType::Condensing, ['A'], ['field_bus']), [self::TIGHT, self::DRY, self::VOLTS], false, ['vrf.wire_map:machine']];
        yield 'a bus mapped' => [self::job(JobType::Condensing, ['A'], ['field_bus']), [self::TIGHT, self::DRY, self::VOLTS, ['vrf.wire_map', 'machine', Status::Clear]], false, []];
        yield 'a circuit that was never opened' => [self::job(JobType::Rooftop, []), [], false, []];
        yield 'the other circuit' => [self::job(JobType::Condensing, ['B'], circuits: ['A', 'B']), [], false, []];
        yield 'both, one of them tight' => [self::job(JobType::Condensing, ['A', 'B'], circuits: ['A', 'B']), [['tight.hold', 'circuit:A', Status::Clear]], false, ['dry.decay:circuit:A']];
        yield 'every section' => [self::job(JobType::Vrf, ['A'], sections: ['riser', 'east']), [['tight.hold', 'section:riser', Status::Clear], ['dry.decay', 'circuit:A', Status::Clear]], false, ['tight.hold:section:east', 'vrf.wire_map:machine', 'power.voltage:machine']];
    }

    /**
     * @param list<array{string, string, Status}> $records
     * @param list<string> $refused
     */
    #[DataProvider('circuits')]
    public function testAreRefusedUntilWhatMustHoldHolds(Job $job, array $records, bool $hasInverter, array $refused): void
    {
        $at = 0;
        $recorded = array_map(function (array $one) use (&$at): Recorded {
            return new Recorded($one[0], $one[1], $one[2], [], ++$at);
        }, $records);
        $result = Gates::of($job, $recorded, new GateInput([], [], [], [], [], null));
        self::assertSame($refused, array_map(fn (Refusal $r): string => $r->what, Opening::refused($result, $job, 'A', $hasInverter)));
    }

    /** @return iterable<string, array{list<array{string, string, array<string, mixed>}>, list<string>}> check, subject and input; cylinders that lack */
    public static function ledgers(): iterable
    {
        $charged = fn (string ...$names): array => ['refrigerant.account', 'machine', ['entries' => array_map(fn (string $n): array => ['kind' => 'charged', 'cylinder' => $n], array_values($names))]];
        $weighed = fn (string ...$names): array => ['charge.weigh_in', 'circuit:A', ['ledger' => array_map(fn (string $n): array => ['cylinder' => $n], array_values($names))]];
        yield 'no account, nothing weighed' => [[], ['']];
        yield 'an account of another kind' => [[['refrigerant.account', 'machine', ['entries' => [['kind' => 'recovered', 'cylinder' => 'R-1']]]]], ['']];
        yield 'a charge without its cylinder' => [[['refrigerant.account', 'machine', ['entries' => [['kind' => 'charged', 'cylinder' => ' ']]]]], ['']];
        yield 'in the account' => [[$charged('V-2')], []];
        yield 'weighed from what the account tells of' => [[$charged('V-2', 'V-3'), $weighed('V-2', 'V-2 ')], []];
        yield 'weighed from another' => [[$charged('V-2'), $weighed('V-2', 'V-4')], ['V-4']];
        yield 'weighed, no account' => [[$weighed('V-4', '7')], ['V-4', '7']];
    }

    /**
     * @param list<array{string, string, array<string, mixed>}> $recorded
     * @param list<string> $lacking
     */
    #[DataProvider('ledgers')]
    public function testAChargeThatIsWeighedInComesFromACylinderOfTheAccount(array $recorded, array $lacking): void
    {
        $past = new Past(array_map(fn (array $one): array => ['check' => $one[0], 'subject' => $one[1], 'status' => 'clear', 'codes' => [], 'input' => $one[2], 'values' => [], 'at' => 1], $recorded));
        $refused = Opening::notInAccount($past, 'A');
        self::assertSame($lacking, array_map(fn (Refusal $r): string => $r->what, $refused));
        self::assertSame(array_fill(0, count($lacking), Refusal::CYLINDER), array_map(fn (Refusal $r): string => $r->kind, $refused));
    }

    public function testEachReasonIsASentence(): void
    {
        $speaker = new GateSpeaker(Phrases::shipped(), (new Registry())->ids());
        self::assertSame([
            'Before the valves are opened: do the pressure test (circuit A).',
            'Before the valves are opened: enter cylinder V-4 in the refrigerant account.',
            'Before the valves are opened: enter the cylinder the charge comes from in the refrigerant account.',
        ], $speaker->valvesRefused([new Refusal(Refusal::MISSING, 'tight.hold:circuit:A'), new Refusal(Refusal::CYLINDER, 'V-4'), new Refusal(Refusal::CYLINDER)]));
    }

    /**
     * @param list<string> $opened
     * @param list<string> $facts
     * @param list<string> $circuits
     * @param list<string> $sections
     */
    private static function job(JobType $type, array $opened, array $facts = [], array $circuits = ['A'], array $sections = []): Job
    {
        return Job::of($type, false, [], $facts, $circuits, $circuits, $opened, [], $sections, [], [], []);
    }
}
