<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\KeepSheet;
use App\Models\Machine;
use App\Models\User;
use App\Support\ControllerLine;
use App\Support\CurrentCompany;
use App\Support\Role;
use IronStart\StandIn\Server;
use IronStart\StandIn\System;
use PHPUnit\Framework\Attributes\DataProvider;

/** The simulated controller: what it plays, how it is spoken to, and what the application reads of it. */
final class ControllerTest extends FeatureTestCase
{
    private const SCRIPT = [
        ['code' => 'S1', 'wait' => 8.0, 'passes_when' => 'S2', 'faults' => ['F2', 'F5']],
        ['code' => 'S2', 'wait' => 20.0, 'passes_when' => 'OK', 'faults' => []],
    ];
    private const BOXES = [['I1', 'I2'], ['I3']];

    /** @var resource|null */
    private $process = null;

    protected function tearDown(): void
    {
        if ($this->process !== null) {
            proc_terminate($this->process);
            proc_close($this->process);
        }
        parent::tearDown();
    }

    public function testItPlaysItsScriptStepByStep(): void
    {
        $system = new System(self::SCRIPT, self::BOXES, 0);
        $shows = function (float $at) use ($system): array {
            $state = $system->state($at);

            return [$state['shown'], $state['step'], $state['minutes_in_step']];
        };
        self::assertSame(['--', null, null], $shows(0.0));
        $system->press('start', [], 'cool', 1.0);
        self::assertSame(['S1', 0, 0.0], $shows(1.0));
        self::assertSame(['S1', 0, 7.9], $shows(8.9));
        self::assertSame(['S2', 1, 0.0], $shows(9.0), 'it goes on by itself');
        self::assertSame(['S2', 1, 19.9], $shows(28.9));
        self::assertSame(['OK', 1, 20.0], $shows(29.0));
        $system->press('reset', [], 'cool', 30.0);
        self::assertSame(['OK', 1, 21.0], $shows(30.0), 'there is nothing to be seen to');
    }

    public function testItsSeedSaysWhatIsWrongAndTheSameSeedIsTheSameSystem(): void
    {
        $away = fn (System $system, float $at): array => array_column(array_filter($system->state($at)['indoor'], fn (array $unit): bool => $unit['ready'] !== true), 'id');
        self::assertSame([], $away(new System(self::SCRIPT, self::BOXES, 0), 0.0));
        [$system, $twin] = [new System(self::SCRIPT, self::BOXES, 5), new System(self::SCRIPT, self::BOXES, 5)];
        $lost = $away($system, 0.0);
        self::assertCount(1, $lost);
        self::assertSame($lost, $away($twin, 0.0));
        $system->press('start', [], 'cool', 0.0);
        self::assertSame('F2', $system->state(1.0)['shown'], 'a unit without power stops the first step');
        $system->press('reset', [], 'cool', 2.0);
        self::assertSame('F2', $system->state(2.0)['shown'], 'nobody gave it power');
        $system->press('power', ['I1', 'I2', 'I3'], 'cool', 3.0);
        self::assertSame([], $away($system, 3.0));
        self::assertSame('F2', $system->state(3.0)['shown'], 'a fault stays until it was seen to');
        $system->press('reset', [], 'cool', 4.0);
        self::assertSame('S1', $system->state(7.1)['shown']);
        self::assertContains($fault = $system->state(7.2)['shown'], ['F2', 'F5'], 'four tenths of the step');
        self::assertSame($fault, $system->state(90.0)['shown']);
        $system->press('reset', [], 'cool', 100.0);
        self::assertSame(['S1', 'S2', 'OK'], [$system->state(107.9)['shown'], $system->state(108.0)['shown'], $system->state(128.0)['shown']], 'the step is begun anew, and the fault comes once');
    }

    public function testTheCoilThatIsFedGetsColdAndTwoOfABoxMayBeCrossed(): void
    {
        $coils = function (System $system, float $at): array {
            return array_map(fn (array $unit): float => (float) $unit['liquid_pipe'], array_column($system->state($at)['indoor'], null, 'id'));
        };
        $right = new System(self::SCRIPT, self::BOXES, 0);
        $right->press('call', ['I1'], 'cool', 0.0);
        $cold = $coils($right, 15.0);
        self::assertEqualsWithDelta(6.0, $cold['I1'], 0.5);
        self::assertGreaterThan(20.0, min($cold['I2'], $cold['I3']));
        $unit = $right->state(15.0)['indoor'][0];
        self::assertEqualsWithDelta(11.0, (float) $unit['return_air'] - (float) $unit['supply_air'], 1.0);
        $right->press('off', [], 'cool', 15.0);
        self::assertGreaterThan(19.0, $coils($right, 40.0)['I1'], 'it warms up again');
        $right->press('call', ['I3'], 'heat', 40.0);
        self::assertGreaterThan(33.0, $coils($right, 55.0)['I3']);
        $crossed = new System(self::SCRIPT, self::BOXES, 5);
        $crossed->press('power', ['I1', 'I2', 'I3'], 'cool', 0.0);
        $crossed->press('call', ['I1'], 'cool', 0.0);
        $cold = $coils($crossed, 15.0);
        self::assertLessThan(7.0, $cold['I2'], 'the only box with two');
        self::assertGreaterThan(20.0, $cold['I1']);
        $crossed->press('repair', [], 'cool', 15.0);
        $cold = $coils($crossed, 30.0);
        self::assertLessThan(7.0, $cold['I1']);
        self::assertGreaterThan(19.0, $cold['I2']);
    }

    public function testAUnitWithoutPowerAnswersNoCall(): void
    {
        $system = new System(self::SCRIPT, [['I1', 'I2']], 5);
        $units = array_column($system->state(0.0)['indoor'], 'ready', 'id');
        $lost = (string) array_search(false, $units, true);
        $system->press('call', [$lost], 'cool', 0.0);
        self::assertGreaterThan(20.0, min(array_map(fn (array $unit): float => (float) $unit['liquid_pipe'], $system->state(15.0)['indoor'])));
    }

    /** @return iterable<string, array{string, string}> */
    public static function wrong(): iterable
    {
        yield 'no JSON' => ['x', 'a JSON object on one line'];
        yield 'no object' => ['3', 'a JSON object'];
        yield 'nothing asked' => ['{"system":"A"}', 'ask: load, state, press'];
        yield 'no system' => ['{"ask":"state"}', 'system: a text of 1 to 120 bytes'];
        yield 'one nobody loaded' => ['{"ask":"state","system":"A"}', 'system: one that was loaded'];
        yield 'no script' => ['{"ask":"load","system":"A","boxes":[["I1"]]}', 'script: one step or more, boxes: each indoor unit once'];
        yield 'a unit twice' => ['{"ask":"load","system":"A","script":[{"code":"S","passes_when":"OK"}],"boxes":[["I1"],["I1"]]}', 'script: one step or more, boxes: each indoor unit once'];
        yield 'a wait that is none' => ['{"ask":"load","system":"A","script":[{"code":"S","passes_when":"OK","wait":-1}],"boxes":[["I1"]]}', 'wait: minutes from 0 to 10000'];
        yield 'too many' => ['{"ask":"load","system":"A","script":[],"boxes":[' . str_repeat('[],', 256) . '[]]}', 'boxes: a list of at most 256'];
    }

    #[DataProvider('wrong')]
    public function testALineThatIsWrongIsAnsweredWithWhatIsAccepted(string $line, string $said): void
    {
        self::assertSame(['error' => $said, 'simulated' => true, 'speed' => 60], json_decode((new Server(60))->answer($line, 0.0), true));
    }

    public function testItKnowsASystemOnceAndTimeRunsAsFastAsItWasTold(): void
    {
        $server = new Server(60);
        $ask = fn (array $asked, float $minutes): array => (array) json_decode($server->answer((string) json_encode($asked + ['system' => 'A']), $minutes), true);
        $load = ['ask' => 'load', 'script' => self::SCRIPT, 'boxes' => self::BOXES, 'seed' => 0];
        self::assertSame('--', $ask($load, 0.0)['shown']);
        $ask(['ask' => 'press', 'press' => 'start'], 0.0);
        self::assertSame(['S1', 3.0], [$ask(['ask' => 'state'], 0.05)['shown'], (float) $ask($load, 0.05)['minutes_in_step']], 'what is loaded goes on as it stands');
        self::assertSame('S2', $ask(['ask' => 'state'], 0.2)['shown']);
        self::assertSame('press: start, reset, power, call, off, repair', $ask(['ask' => 'press', 'press' => 'stop'], 0.2)['error']);
        self::assertSame('units of this system: I1, I2, I3', $ask(['ask' => 'press', 'press' => 'call', 'units' => ['I9']], 0.2)['error']);
        self::assertSame('mode: cool or heat', $ask(['ask' => 'press', 'press' => 'call', 'units' => ['I1'], 'mode' => 'dry'], 0.2)['error']);
        foreach (range(1, 64) as $i) {
            $server->answer((string) json_encode(['system' => "B$i"] + $load), 0.2);
        }
        self::assertSame('system: one that was loaded', $ask(['ask' => 'state'], 0.2)['error'], 'the oldest of more than 64 is gone');
    }

    public function testTheApplicationReadsItAndPressesAtIt(): void
    {
        $this->serve();
        $starter = $this->person(Role::Starter);
        $machine = $this->vrf($starter);
        $get = function (User $person) use ($machine): mixed {
            app(CurrentCompany::class)->set(null);

            return $this->actingAs($person)->getJson("/api/v1/machines/$machine->id/controller");
        };
        self::assertSame([false, false], [$get($starter)->assertOk()->json('there'), $get($starter)->json('silent')], 'no tree was drawn yet');
        $this->tree($starter, $machine);
        $get($starter)->assertOk()->assertJsonPath('there', true)->assertJsonPath('simulated', true)->assertJsonPath('shown', '--')->assertJsonPath('step', null);
        self::assertSame([['I1', 'Office'], ['I2', 'Design']], array_map(fn (array $unit): array => [$unit['id'], $unit['zone']], $get($starter)->json('indoor')));
        $press = fn (array $body): mixed => $this->write($starter, "machines/$machine->id/controller", $body);
        $press(['press' => 'power', 'units' => ['I1', 'I2']])->assertOk();
        $press(['press' => 'start'])->assertOk()->assertJsonPath('shown', 'S1')->assertJsonPath('step', 0);
        $press(['press' => 'call', 'units' => ['I1']])->assertOk()->assertJsonPath('indoor.0.called', true);
        $press(['press' => 'call', 'units' => ['I7']])->assertStatus(422)->assertJsonPath('accepted', 'units of this system: I1, I2');
        $press(['press' => 'shake'])->assertStatus(422)->assertJsonPath('field', 'press');
        $get($this->person(Role::Lead))->assertNotFound();
        $this->write($this->person(Role::Office, $starter->company), "machines/$machine->id/controller", ['press' => 'start'])->assertForbidden();
    }

    public function testWithoutOneThereIsNothingToRead(): void
    {
        $starter = $this->person(Role::Starter);
        $machine = $this->vrf($starter);
        $this->tree($starter, $machine);
        $this->actingAs($starter)->getJson("/api/v1/machines/$machine->id/controller")->assertOk()->assertJsonPath('there', false)->assertJsonPath('silent', false);
    }

    public function testWhereItDoesNotAnswerItsDisplayIsTyped(): void
    {
        $starter = $this->person(Role::Starter);
        $machine = $this->vrf($starter);
        $this->tree($starter, $machine);
        $told = function () use ($starter, $machine): array {
            $answer = $this->actingAs($starter)->getJson("/api/v1/machines/$machine->id/controller")->assertOk();

            return [$answer->json('there'), $answer->json('silent')];
        };
        $deaf = stream_socket_server('tcp://127.0.0.1:0');
        self::assertNotFalse($deaf);
        $this->at((string) stream_socket_get_name($deaf, false));
        self::assertSame([false, true], $told(), 'it says nothing');
        fclose($deaf);
        self::assertSame([false, true], $told(), 'nobody is there');
        $this->write($starter, "machines/$machine->id/controller", ['press' => 'start'])->assertStatus(409)->assertJsonPath('detail', 'The controller does not answer. Type what its display shows.');
    }

    public function testTheCommandSaysWhatItTakes(): void
    {
        $run = function (string $arguments): array {
            exec(PHP_BINARY . ' ' . base_path('bin/controller') . " $arguments 2>&1", $lines, $status);

            return [$status, implode("\n", $lines)];
        };
        self::assertSame([2, 'iron start: bin/controller [--port 0 to 65535] [--speed 1 to 100000]'], $run('--port 70000'));
        self::assertSame(2, $run('--speed 0')[0]);
        self::assertSame(2, $run('now')[0]);
        self::assertStringContainsString('simulated VRF controller', $run('--help')[1]);
        $taken = stream_socket_server('tcp://127.0.0.1:0');
        self::assertNotFalse($taken);
        self::assertSame(1, $run('--port ' . parse_url('tcp://' . stream_socket_get_name($taken, false), PHP_URL_PORT))[0]);
    }

    private function vrf(User $person): Machine
    {
        $machine = $this->machine($person, 'VRF-9');
        app(CurrentCompany::class)->as($person->company_id, function () use ($machine): void {
            $machine->job->update(['type' => 'vrf', 'start_up_only' => false]);
            $machine->update(['sheet_version_id' => app(KeepSheet::class)->keep((string) file_get_contents(database_path('demo/sheets/nl-16h.json')))->id]);
        });

        return $machine;
    }

    private function tree(User $person, Machine $machine): void
    {
        $indoor = fn (string $id, string $room): array => ['id' => $id, 'kind' => 'indoor', 'capacity' => '4 kW', 'room' => $room];
        $pipe = fn (string $to): array => ['from' => 'J', 'to' => $to, 'actual' => '4 m'];
        $this->record($person, $machine, 'vrf.topology', [
            'nodes' => [['id' => 'O', 'kind' => 'outdoor', 'capacity' => '8 kW'], ['id' => 'J', 'kind' => 'joint'], $indoor('I1', 'Office'), $indoor('I2', 'Design')],
            'pipes' => [['from' => 'O', 'to' => 'J', 'actual' => '4 m'], $pipe('I1'), $pipe('I2')],
        ], 'built')->assertCreated();
    }

    /** The command itself, until the test is over. */
    private function serve(): void
    {
        $process = proc_open([PHP_BINARY, base_path('bin/controller'), '--speed', '1200'], [1 => ['pipe', 'w']], $pipes);
        self::assertNotFalse($process);
        $this->process = $process;
        $this->at(trim(str_replace('listening on', '', (string) fgets($pipes[1]))));
    }

    private function at(string $address): void
    {
        $this->app->bind(ControllerLine::class, fn (): ControllerLine => new ControllerLine($address));
    }
}
