<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Gate;

use IronStart\Core\Core;
use IronStart\Core\Gate\GateInput;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What stands of several entries, and which gate and subject it stands for. */
final class StandingTest extends TestCase
{
    private const REPLACED = ['job_type' => 'rooftop'];
    private const VRF = ['job_type' => 'vrf', 'facts' => ['nothing_old', 'craned']];

    /** @return iterable<string, array{array<string, mixed>, list<array<string, mixed>>, string, mixed}> job, records, value, what it is */
    public static function cases(): iterable
    {
        $circuit = fn (string $status, string $subject, int $at = 1, array $codes = []): array => ['check' => 'power.circuit', 'status' => $status, 'subject' => $subject, 'at' => $at, 'codes' => $codes];
        $asked = fn (string $gate, string $row): string => "missing:$gate has $row";
        yield 'the unit\'s own circuit answers for the old disconnect' => [self::REPLACED, [$circuit('clear', 'machine')], $asked('1', 'power.circuit:old_disconnect'), false];
        yield 'the old disconnect does not answer for the unit' => [self::REPLACED, [$circuit('clear', 'old_disconnect')], $asked('7', 'power.circuit:machine'), true];
        yield 'the built tree answers for the planned one' => [self::VRF, [['check' => 'vrf.topology', 'status' => 'clear', 'subject' => 'built', 'at' => 1]], $asked('1', 'vrf.topology:planned'), false];
        yield 'the planned tree does not answer for the built one' => [self::VRF, [['check' => 'vrf.topology', 'status' => 'clear', 'subject' => 'planned', 'at' => 1]], $asked('4', 'vrf.topology:built'), true];
        yield 'a stop at the old disconnect is Survey\'s' => [self::REPLACED, [$circuit('stop', 'old_disconnect', 1, ['conductor_small'])], 'state:1', 'stopped'];
        yield 'and not Power\'s' => [self::REPLACED, [$circuit('stop', 'old_disconnect', 1, ['conductor_small'])], 'state:7', 'not_yet'];
        yield 'of the same moment the stop' => [self::REPLACED, [$circuit('stop', 'machine', 4, ['conductor_small']), $circuit('clear', 'machine', 4)], 'state:7', 'stopped'];
        yield 'of the same moment the stop, whichever comes first' => [self::REPLACED, [$circuit('clear', 'machine', 4), $circuit('stop', 'machine', 4, ['conductor_small'])], 'state:7', 'stopped'];
        yield 'a later clear lifts a stop' => [self::REPLACED, [$circuit('stop', 'machine', 4, ['conductor_small']), $circuit('clear', 'machine', 5)], 'state:7', 'asking'];
        yield 'an unfinished one lifts nothing' => [self::REPLACED, [$circuit('stop', 'machine', 4, ['conductor_small']), $circuit('open', 'machine', 5)], 'state:7', 'stopped'];
        $power = array_map(fn (string $check): array => ['check' => $check, 'status' => 'clear', 'at' => 1, 'codes' => $check === 'power.rotation' ? ['proved'] : []], ['power.supply_identity', 'power.voltage', 'power.circuit', 'power.rotation']);
        $controls = array_map(fn (string $check): array => ['check' => $check, 'status' => 'clear', 'at' => 2, 'codes' => $check === 'controls.sequence' ? ['sequence_proved'] : []], ['controls.terminals', 'controls.settings', 'controls.sequence']);
        $startUp = ['start_up_only' => true] + self::REPLACED;
        yield 'everything answered' => [$startUp, [...$power, ...$controls], 'state:11', 'answered'];
        yield 'answered and held by the put-back list' => [$startUp + ['put_back' => [['id' => '1', 'shuts' => [11]]]], [...$power, ...$controls], 'state:11', 'asking'];
        yield 'held, and not its turn' => [$startUp + ['put_back' => [['id' => '1', 'shuts' => [11]]]], [$power[0], ...$controls], 'state:11', 'asking'];
        yield 'open, and nobody began' => [$startUp, $power, 'state:11', 'not_yet'];
        yield 'answered before its turn' => [$startUp, [$power[0], ...$controls], 'state:11', 'asking'];
        $again = [['check' => 'power.lockout', 'status' => 'clear', 'at' => 5], ['check' => 'list.prestart', 'status' => 'clear', 'at' => 6]];
        $stop = fn (string $check, string $code): array => ['check' => $check, 'status' => 'stop', 'codes' => [$code], 'at' => 4];
        yield 'what only a start disproves lets itself be started, locked out and walked' => [$startUp, [...$power, $stop('power.running_amps', 'locked_rotor'), ...$again], 'start_refused has danger', false];
        yield 'but not before' => [$startUp, [...$power, $stop('power.running_amps', 'locked_rotor'), $again[1]], 'start_refused has danger', true];
        yield 'what a reading disproves stays' => [$startUp, [...$power, $stop('power.supply_identity', 'wrong_supply'), ...$again], 'start_refused has danger', true];
        $two = ['compressors' => ['C1', 'C2']] + $startUp;
        $lock = ['check' => 'power.lockout', 'status' => 'clear', 'at' => 5];
        $tag = ['disabled' => [['subject' => 'compressor:C2', 'why' => 'x', 'wire' => 'x', 'who' => 'x', 'at' => 6]]];
        foreach (['grounded' => 'asking', 'cold_reading' => 'asking', 'flat' => 'asking', 'in_vacuum' => 'asking', 'still_live' => 'stopped'] as $code => $state) {
            yield "tagged out with $code" => [$two + $tag, [['check' => 'compressor.insulation', 'subject' => 'compressor:C2', 'status' => 'stop', 'codes' => [$code], 'at' => 4], $lock], 'state:7', $state];
        }
        $season = fn (array $item): array => $startUp + ['circuits' => ['A'], 'open_items' => [$item + ['id' => '1', 'check' => 'charge.state', 'subject' => 'circuit:A', 'owner' => 'Some lead', 'due' => '2027-05-01']]];
        yield 'the season forbids it, and somebody has it' => [$season([]), $power, $asked('9', 'charge.state:circuit:A'), false];
        yield 'nobody has it' => [$season(['owner' => '']), $power, $asked('9', 'charge.state:circuit:A'), true];
        yield 'the item is about something else' => [$season(['check' => 'charge.trim']), $power, $asked('9', 'charge.state:circuit:A'), true];
        yield 'the item is about another circuit' => [['circuits' => ['A', 'B']] + $season(['subject' => 'circuit:B']), $power, $asked('9', 'charge.state:circuit:A'), true];
        $doubted = ['check' => 'power.lockout', 'subject' => 'machine', 'status' => 'stop', 'codes' => ['still_live'], 'at' => 4, 'suspect' => true];
        $again = fn (string $subject, string $status, int $at): array => ['check' => 'power.lockout', 'subject' => $subject, 'status' => $status, 'at' => $at];
        yield 'a doubted danger with nothing since' => [['start_up_only' => true] + self::REPLACED, [$doubted], $asked('7', 'power.lockout:machine'), true];
        yield 'a doubted danger with a reading of the same moment' => [['start_up_only' => true] + self::REPLACED, [$doubted, $again('machine', 'clear', 4)], $asked('7', 'power.lockout:machine'), true];
        yield 'a doubted danger read again' => [['start_up_only' => true] + self::REPLACED, [$doubted, $again('machine', 'clear', 5)], $asked('7', 'power.lockout:machine'), false];
        yield 'a doubted danger read again elsewhere' => [['start_up_only' => true] + self::REPLACED, [$doubted, $again('old_disconnect', 'clear', 5)], $asked('7', 'power.lockout:machine'), true];
        yield 'a doubted danger not read to its end' => [['start_up_only' => true] + self::REPLACED, [$doubted, $again('machine', 'open', 5)], $asked('7', 'power.lockout:machine'), true];
    }

    /**
     * @param array<string, mixed> $job
     * @param list<array<string, mixed>> $records
     */
    #[DataProvider('cases')]
    public function testWhatStands(array $job, array $records, string $value, mixed $is): void
    {
        $values = [];
        foreach (Core::judge()->judge('job.gates', json_decode((string) json_encode($job + ['recorded' => $records])), 'us')->judgement->values as $name => $one) {
            $values[$name] = $one->value;
        }
        [$name, $row] = explode(' has ', $value) + [1 => ''];
        self::assertSame($is, $row === '' ? $values[$name] ?? null : in_array($row, $values[$name] ?? [], true), json_encode($values) ?: '');
    }

    public function testEachOfFiveChecksSaysThatACircuitWasOpened(): void
    {
        foreach (['piping.purge', 'piping.flare_torque', 'list.pipe', 'tight.hold', 'dry.decay'] as $check) {
            $values = Core::judge()->judge('job.gates', json_decode((string) json_encode(['recorded' => [['check' => $check, 'status' => 'clear', 'at' => 1]]] + self::REPLACED)), 'us')->judgement->values;
            self::assertNotSame('not_on_job', $values['state:6']->value, $check);
        }
        $values = Core::judge()->judge('job.gates', json_decode((string) json_encode(['recorded' => [['check' => 'list.set', 'status' => 'clear', 'at' => 1]]] + self::REPLACED)), 'us')->judgement->values;
        self::assertSame('not_on_job', $values['state:6']->value);
    }

    /** @return iterable<string, array{list<string>}> */
    public static function names(): iterable
    {
        yield 'with a slash' => [['A/B']];
        yield 'blank' => [[' ', 'B']];
        yield 'twice' => [['A', 'A']];
    }

    /** @param list<string> $names */
    #[DataProvider('names')]
    public function testANameOfACircuitIsOneNameOnce(array $names): void
    {
        $this->expectException(\IronStart\Core\Check\InputError::class);
        Core::judge()->input('job.gates', ['job_type' => 'rooftop', 'circuits' => $names]);
    }

    public function testBeforeAMomentIsWithoutIt(): void
    {
        $entry = fn (float $at): array => ['gate' => 7, 'at' => $at];
        $signature = fn (float $at): array => ['role' => 'lead', 'at' => $at];
        $tag = fn (float $at): array => ['subject' => 'compressor:C1', 'complete' => true, 'at' => $at];
        $input = new GateInput([['id' => '1', 'closed' => false, 'explained' => false, 'shuts' => [8]]], [$entry(1), $entry(2), $entry(3)], [$tag(1), $tag(2)], [$signature(1), $signature(2)], [], 2.0);
        $before = $input->before(2.0);
        self::assertSame([1, 1, 1], [count($before->overrides), count($before->disabled), count($before->signatures)]);
        self::assertSame([[], null], [$before->putBack, $before->supplyChangedAt], 'work at the moment itself is not before it');
        self::assertSame(2.0, $input->before(2.1)->supplyChangedAt);
    }
}
