<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Machine;
use App\Models\User;
use App\Support\Role;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;

/** The first run, one thing at a time: each start is asked for, kept by itself, and judged with those before it. */
final class FirstRunTest extends FeatureTestCase
{
    private User $starter;
    private Machine $machine;

    protected function setUp(): void
    {
        parent::setUp();
        $this->starter = $this->person(Role::Starter);
        $this->machine = $this->machine($this->starter);
    }

    public function testAStartIsRefusedWhileAnythingHoldsItAndKeptOutOfOrderWhereItWasMadeAllTheSame(): void
    {
        $blower = ['name' => 'Blower', 'kind' => 'blower', 'started' => '2026-03-02T07:40:00-06:00'];
        $this->step($blower)->assertStatus(409)->assertJsonPath('type', '/problems/not-ready');
        self::assertSame(0, DB::table('entries')->where('machine_id', $this->machine->id)->count(), 'nothing is written');
        $made = $this->write($this->starter, "machines/{$this->machine->id}/checks/entry.first_step", ['input' => $blower, 'unchecked' => true])->assertCreated();
        self::assertSame([8], $made->json('machine.tape.0.outOfOrder'));
        $this->step(['seen' => 'good', 'seen_at' => '2026-03-02T07:40:09-06:00'] + $blower)->assertCreated()->assertJsonPath('machine.tape.0.outOfOrder', []);
        $this->step(['started' => '2026-03-02T07:44:00-06:00'] + $blower)->assertStatus(409);
    }

    public function testTheFirstRunIsJudgedFromTheStartsThatWereMadeAndGoesOnWithTheSheet(): void
    {
        $at = fn (string $time): string => "2026-03-02T$time-06:00";
        $step = fn (array $input): TestResponse => $this->write($this->starter, "machines/{$this->machine->id}/checks/entry.first_step", ['input' => $input, 'unchecked' => true])->assertCreated();
        $names = fn (): array => array_column($this->screen()['prefill']['run.first_start']['machine']['steps'], 'name');
        self::assertSame(['Blower', 'C1', 'C2', 'Heat'], $names());
        $step(['name' => 'Blower', 'kind' => 'blower', 'started' => $at('07:40:00'), 'seen' => 'good', 'seen_at' => $at('07:40:20'), 'amps' => '7 A', 'plate_amps' => '7.6 A']);
        $c1 = ['name' => 'C1', 'kind' => 'scroll', 'plate_amps' => '9.7 A'];
        $step($c1 + ['started' => $at('07:42:00')]);
        $step($c1 + ['started' => $at('07:42:00'), 'stopped' => $at('07:42:08'), 'seen' => 'bad', 'seen_at' => $at('07:42:08'), 'amps' => '5.1 A', 'noise' => 'loud', 'suction_before' => '62 psig', 'suction_after' => '62 psig', 'discharge_before' => '62 psig', 'discharge_after' => '62.5 psig']);
        self::assertSame(['Blower', 'C1', 'C2', 'Heat'], $names(), 'what was told of a start later is the same start');
        $toCome = [['name' => 'C1', 'kind' => 'scroll'], ['name' => 'C2', 'kind' => 'scroll'], ['name' => 'Heat', 'kind' => 'heat']];
        $judged = $this->record($this->starter, $this->machine, 'run.first_start', ['now' => $at('07:43:00'), 'steps' => $toCome])->assertCreated();
        $said = fn (TestResponse $kept): array => array_intersect_key(array_column($kept->json('machine.tape'), null, 'at')[$kept->json('at')], ['status' => 1, 'headline' => 1, 'because' => 1]);
        self::assertSame(['headline' => 'C1 does not pump: the pressures moved 0.5 psi.', 'status' => 'stop', 'because' => ['C1 shows what a compressor shows that turns backwards.', 'C1 was seen not right.', 'Next: C2.', 'C1 rests another 2 min.']], $said($judged));
        $step($c1 + ['started' => $at('08:30:00'), 'seen' => 'good', 'seen_at' => $at('08:30:30'), 'amps' => '9 A', 'noise' => 'normal', 'suction_before' => '62 psig', 'suction_after' => '50 psig', 'discharge_before' => '62 psig', 'discharge_after' => '180 psig']);
        self::assertSame(['Blower', 'C1', 'C1', 'C2', 'Heat'], $names(), 'a new start is a new one');
        $again = $this->record($this->starter, $this->machine, 'run.first_start', ['now' => $at('08:31:00'), 'steps' => $toCome])->assertCreated();
        self::assertSame(['headline' => 'Next: C2.', 'status' => 'open', 'because' => []], $said($again));
        self::assertSame('3 min', $this->screen()['prefill']['run.first_start']['machine']['rest'], 'as long as the unit itself keeps it off');
    }

    public function testWhatItWasLikeStandsBesideTheAmpsOfTheNextHour(): void
    {
        $amps = ['doors_on' => true, 'loads' => [['name' => 'C1', 'kind' => 'scroll', 'amps_a' => '9 A', 'amps_b' => '9 A', 'amps_c' => '9 A', 'plate_amps' => '9.7 A']]];
        $conditions = fn (): ?array => json_decode((string) DB::table('entries')->join('verdicts', fn ($join) => $join->on('verdicts.entry_id', '=', 'entries.id'))->where('verdicts.check', 'power.running_amps')->where('entries.machine_id', $this->machine->id)->orderByDesc('entries.at')->value('details'), true)['conditions'] ?? null;
        $this->record($this->starter, $this->machine, 'power.running_amps', $amps)->assertCreated();
        self::assertNull($conditions());
        $told = $this->record($this->starter, $this->machine, 'entry.conditions', ['outdoor' => '34 degF', 'return_air' => '68 degF', 'head' => '240 psig'])->assertCreated()->json('at');
        $shown = $this->record($this->starter, $this->machine, 'power.running_amps', $amps)->assertCreated();
        self::assertSame(['at' => $told, 'words' => '34 °F outdoors. 68 °F return air. 240 psig head.'], $conditions());
        self::assertSame('34 °F outdoors. 68 °F return air. 240 psig head.', $shown->json('machine.tape.0.conditions'));
        $this->travel(59)->minutes();
        $this->record($this->starter, $this->machine, 'power.running_amps', $amps)->assertCreated();
        self::assertNotNull($conditions());
        $this->travel(2)->minutes();
        $this->record($this->starter, $this->machine, 'power.running_amps', $amps)->assertCreated();
        self::assertNull($conditions(), 'an hour is over');
        $together = [['check' => 'power.running_amps', 'subject' => 'machine', 'input' => $amps], ['check' => 'entry.conditions', 'subject' => 'machine', 'input' => ['outdoor' => '36 degF']]];
        $this->write($this->starter, "machines/{$this->machine->id}/checks", ['parts' => $together])->assertCreated();
        self::assertSame('36 °F outdoors.', $conditions()['words'], 'told in the same write');
    }

    /** @param array<string, mixed> $input */
    private function step(array $input): TestResponse
    {
        return $this->record($this->starter, $this->machine, 'entry.first_step', $input);
    }

    /** @return array<string, mixed> */
    private function screen(): array
    {
        return $this->actingAs($this->starter)->getJson("/api/v1/machines/{$this->machine->id}")->assertOk()->json();
    }
}
