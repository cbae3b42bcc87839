<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Wording;

use IronStart\Core\Core;
use IronStart\Core\Gate\Job;
use IronStart\Core\Gate\JobGates;
use IronStart\Core\Gate\JobType;
use IronStart\Core\Gate\Result;
use IronStart\Core\Judge\Registry;
use IronStart\Core\Tests\Corpus;
use IronStart\Core\Wording\GateLine;
use IronStart\Core\Wording\GateSpeaker;
use IronStart\Core\Wording\GateWords;
use IronStart\Core\Wording\Phrases;
use PHPUnit\Framework\TestCase;

final class GateSpeakerTest extends TestCase
{
    private const POWER = ['power.supply_identity', 'power.voltage', 'power.circuit'];

    public function testEachStateHasItsSentence(): void
    {
        $lines = $this->lines([]);
        self::assertSame('Not on this job: others set it, we start it up.', $lines[0]->sentence);
        self::assertSame('Not on this job: the circuit was not opened.', $lines[4]->sentence);
        self::assertSame('Still to do: find out what supply it is, read the voltage, all three pairs, check wire and breaker against the nameplate and 1 more.', $lines[6]->sentence);
        self::assertSame('Waiting on Power.', $lines[7]->sentence);
        self::assertSame('Waiting on everything else.', $lines[11]->sentence);
        self::assertSame(['check' => 'charge.state', 'subject' => 'circuit:A', 'todo' => 'read superheat and subcooling (circuit A)'], $lines[8]->missing[0]);
        self::assertSame(['check' => 'air.split', 'subject' => 'machine', 'todo' => 'read the temperature split'], $lines[9]->missing[0]);
        self::assertSame(['check' => 'controls.terminals', 'subject' => 'machine', 'todo' => 'check the thermostat terminals'], $lines[10]->missing[0]);
    }

    public function testTheDecidingVerdictSpeaksForItsGate(): void
    {
        $stop = ['check' => 'power.rotation', 'status' => 'stop', 'codes' => ['supply_reversed'], 'at' => 9];
        $lines = $this->lines([$stop], ['power.rotation:machine' => 'The supply is reversed.']);
        self::assertSame(['stopped', 'The supply is reversed.', 'power.rotation'], [$lines[6]->state, $lines[6]->sentence, $lines[6]->check]);
    }

    public function testAMissingLockoutIsSaidInsteadOfTheStop(): void
    {
        $stop = ['check' => 'power.rotation', 'status' => 'stop', 'codes' => ['supply_reversed'], 'at' => 9];
        $again = ['check' => 'power.rotation', 'status' => 'clear', 'codes' => ['proved'], 'at' => 10];
        self::assertStringContainsString('no lockout was recorded in between', $this->lines([$stop, $again])[6]->sentence);
    }

    public function testThatNothingIsLeftIsSaidAtTheEndAndOnlyThen(): void
    {
        $notes = fn (array $job): array => array_map(fn ($line): string => implode(' ', $line->notes), self::speaker()->lines(self::gates($job), new GateWords()));
        $lock = ['check' => 'power.lockout', 'status' => 'clear', 'at' => 8];
        $tag = fn (string $name): array => ['subject' => "compressor:$name", 'why' => 'x', 'wire' => 'x', 'who' => 'x', 'at' => 9];
        $all = $notes(['compressors' => ['C1', 'C2'], 'disabled' => [$tag('C1'), $tag('C2')], 'recorded' => [$lock]]);
        self::assertStringContainsString('nothing to turn over', $all[11]);
        self::assertStringNotContainsString('nothing to turn over', $all[6]);
        self::assertStringNotContainsString('nothing to turn over', $notes([])[11]);
    }

    public function testATagWithoutALockoutIsSaidAsOne(): void
    {
        $speaker = self::speaker();
        $tag = ['subject' => 'compressor:C2', 'why' => 'grounded', 'wire' => 'T1 to T3', 'who' => 'Some starter', 'at' => 9];
        $result = self::gates(['compressors' => ['C1', 'C2'], 'disabled' => [$tag]]);
        self::assertStringContainsString('A part was tagged, but no lockout', $speaker->lines($result, new GateWords())[6]->sentence);
        $locked = self::gates(['compressors' => ['C1', 'C2'], 'disabled' => [$tag], 'recorded' => [['check' => 'power.lockout', 'status' => 'clear', 'at' => 8]]]);
        self::assertStringNotContainsString('no lockout', $speaker->lines($locked, new GateWords())[6]->sentence);
    }

    public function testTheStartIsRefusedWithEveryReasonInItsOrderAndLetThroughWithNone(): void
    {
        $speaker = self::speaker();
        $power = array_map(fn (string $check): array => ['check' => $check, 'status' => 'clear', 'codes' => ['proved'], 'at' => 1], [...self::POWER, 'power.rotation']);
        $list = ['check' => 'list.prestart', 'status' => 'clear', 'at' => 2];
        $words = new GateWords(['list.prestart:machine' => 'A door or panel is off.'], ['3' => 'Lock 7 on']);
        $why = function (array $job) use ($speaker, $words): array {
            $result = self::gates($job);

            return $speaker->refused($result, $speaker->lines($result, $words), $words);
        };
        self::assertSame([], $why(['recorded' => [...$power, $list]]));
        self::assertSame(['Before the start: go down the pre-start list. It has not been done since the last lockout.'], $why(['recorded' => $power]));
        self::assertSame(['Held by the put-back list: Lock 7 on.'], $why(['recorded' => [...$power, $list], 'put_back' => [['id' => '3', 'shuts' => [8]]]]));
        self::assertSame(['The pre-start list says no: A door or panel is off.'], $why(['recorded' => [...$power, ['status' => 'stop', 'codes' => ['not_done:doors_on']] + $list]]));
        self::assertSame(['Before the start: run the crankcase heater its hours.'], $why(['facts' => ['warm_up'], 'recorded' => [...$power, $list]]));
        self::assertContains('Before the start: run the crankcase heater its hours.', $why(['job_type' => 'vrf', 'facts' => ['warm_up'], 'recorded' => [...$power, $list]]));
        $lacking = self::gates(['facts' => ['warm_up'], 'recorded' => [...$power, $list]]);
        $without = new GateSpeaker(Phrases::shipped(), ['list.prestart']);
        self::assertSame(['Before the start: run the crankcase heater its hours (not in this version yet).'], $without->refused($lacking, $without->lines($lacking, $words), $words));
        self::assertSame(
            ['Power is not done: Not safe.', 'There is a stop nobody may start against. Clear it first.', 'Before the start: go down the pre-start list. It has not been done since the last lockout.'],
            (function () use ($speaker): array {
                $said = new GateWords(['power.rotation:machine' => 'Not safe.']);
                $result = self::gates(['recorded' => [['check' => 'power.rotation', 'status' => 'stop', 'codes' => ['supply_reversed'], 'at' => 1]]]);

                return $speaker->refused($result, $speaker->lines($result, $said), $said);
            })(),
        );
    }

    public function testTheNextThingIsWhatComesBeforeTheRun(): void
    {
        $speaker = self::speaker();
        $power = array_map(fn (string $check): array => ['check' => $check, 'status' => 'clear', 'codes' => ['proved'], 'at' => 1], [...self::POWER, 'power.rotation']);
        $list = ['check' => 'list.prestart', 'status' => 'clear', 'at' => 2];
        $next = fn (array $recorded): string => $speaker->next(self::gates(['recorded' => $recorded]), new GateWords(['power.rotation:machine' => 'Reversed.'], next: ['power.rotation:machine' => 'Lock out.']));
        self::assertSame('Find out what supply it is.', $next([]));
        self::assertSame('Lock out.', $next([['check' => 'power.rotation', 'status' => 'stop', 'codes' => ['supply_reversed'], 'at' => 1]]));
        self::assertSame('Go down the pre-start list.', $next($power));
        self::assertSame('Read the voltage, all three pairs (under load).', $next([...$power, $list]));
        self::assertSame('Go down the pre-start list.', $next([...$power, $list, ['check' => 'power.lockout', 'status' => 'clear', 'at' => 3]]), 'a lockout has come after the list');
    }

    /** Every worked case of the gates, of all types of job: each gate says something, each code of it is said. */
    public function testEveryCaseOfEveryTypeOfJobIsSaidInWords(): void
    {
        $speaker = self::speaker();
        $types = $flags = [];
        foreach (self::cases() as $line => $input) {
            if (! isset($input['job_type'])) {
                continue;
            }
            $types[$input['job_type']] = true;
            $lines = $speaker->lines(self::gates($input), new GateWords(deferred: [['check' => 'charge.state', 'words' => 'Charge in spring (Owner, 2027-05-01)']], disabled: ['Compressor B: windings open']));
            foreach ($lines as $gate) {
                self::assertNotSame('', $gate->sentence . ($gate->state === 'not_on_job' ? '-' : ''), $line);
                self::assertStringNotContainsString('{', implode(' ', [$gate->sentence, ...$gate->notes, ...array_column($gate->missing, 'todo')]), $line);
                $flags += array_fill_keys($gate->flags, 0);
                foreach (array_diff($gate->flags, ['watch']) as $flag) {
                    self::assertNotSame([], $gate->notes, "$flag is not said: $line");
                }
            }
        }
        self::assertCount(4, $types);
        self::assertEqualsCanonicalizing(['watch', 'conditional', 'stale', 'out_of_order', 'overridden', 'override_refused', 'not_overridable'], array_keys($flags));
    }

    public function testAPartIsNamedInWhatIsToBeDone(): void
    {
        $speaker = self::speaker();
        self::assertSame('ohm out the windings (C1)', $speaker->todo('compressor.windings', 'compressor:C1'));
        self::assertSame('read the voltage, all three pairs (under load)', $speaker->todo('power.voltage', 'loaded'));
        self::assertSame('read the voltage, all three pairs', $speaker->todo('power.voltage'));
    }

    /** @return iterable<array-key, array<string, mixed>> inputs of job.gates: the worked cases, every type with all facts, and what those leave out */
    private static function cases(): iterable
    {
        foreach ([...Corpus::vectors(), ...Corpus::more()] as $id => [$case]) {
            if ($case['check'] === 'job.gates' && ! isset($case['expect']->error)) {
                yield $id => json_decode((string) json_encode($case['input']), true);
            }
        }
        $did = fn (string $check, int $at, string $status = 'clear', string ...$codes): array => ['check' => $check, 'status' => $status, 'codes' => $codes, 'at' => $at];
        foreach (JobType::cases() as $type) {
            $recorded = [$did('power.rotation', 1), $did('tight.hold', 2), $did('piping.purge', 3), $did('power.circuit', 4, 'stop', 'breaker_large'), $did('power.voltage', 5, 'stop', 'phase_lost')];
            yield "every fact, $type->value" => [
                'job_type' => $type->value, 'facts' => array_values(array_diff(Job::FACTS, ['module_change', 'single_phase'])), 'recorded' => $recorded,
                'overrides' => [['gate' => 7, 'reason' => 'the crew waits for the crane', 'role' => 'lead', 'at' => 6]], 'supply_changed_at' => 7,
            ];
            yield "opened, $type->value" => ['job_type' => $type->value, 'recorded' => array_slice($recorded, 0, 4), 'overrides' => [['gate' => 7, 'reason' => 'breaker is changed today', 'role' => 'lead', 'at' => 6]]];
        }
        yield 'conditional' => ['job_type' => 'rooftop', 'start_up_only' => true, 'circuits' => ['A', 'B'], 'recorded' => [$did('power.lockout', 1)], 'disabled' => [['subject' => 'circuit:B', 'why' => 'open', 'wire' => 'T1', 'who' => 'R', 'at' => 2]], 'open_items' => [['id' => '1', 'owner' => 'O', 'due' => '2027-05-01', 'check' => 'charge.state']]];
        yield 'no tag' => ['job_type' => 'rooftop', 'start_up_only' => true, 'circuits' => ['A', 'B'], 'disabled' => [['subject' => 'circuit:B', 'at' => 2]]];
    }

    /**
     * @param list<array<string, mixed>> $recorded
     * @param array<string, string>      $headlines
     * @return list<GateLine>
     */
    private function lines(array $recorded, array $headlines = []): array
    {
        return self::speaker()->lines(self::gates(['recorded' => $recorded]), new GateWords($headlines));
    }

    private static function speaker(): GateSpeaker
    {
        return new GateSpeaker(Phrases::shipped(), (new Registry())->ids());
    }

    /** @param array<string, mixed> $input of job.gates */
    private static function gates(array $input): Result
    {
        return JobGates::result(Core::judge()->input('job.gates', $input + ['job_type' => 'rooftop', 'start_up_only' => true]));
    }
}
