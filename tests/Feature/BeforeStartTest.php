<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Machine;
use App\Models\User;
use App\Support\CurrentCompany;
use App\Support\Role;
use Illuminate\Support\Facades\DB;

/** What is decided and written down before anything runs: survey, old unit out, pipe. */
final class BeforeStartTest extends FeatureTestCase
{
    private User $starter;
    private Machine $machine;

    protected function setUp(): void
    {
        parent::setUp();
        $this->starter = $this->person(Role::Starter);
        $this->machine = $this->machine($this->starter);
    }

    public function testHotWorkCoversDetectorsTakesThePanelOffAndStartsTheWatch(): void
    {
        $flame = ['place' => 'roof, north', 'extinguisher' => true, 'detectors' => ['duct RTU-9', 'hall'], 'alarm_off_at' => '7:40', 'alarm_off_who' => 'desk', 'first_flame_at' => '8:05'];
        $begun = $this->record($this->starter, $this->machine, 'entry.hot_work', $flame)->assertCreated();
        $open = fn (mixed $answer): array => array_column(array_filter($answer->json('machine.putBack'), fn (array $one): bool => ! $one['closed']), 'what');
        self::assertSame(['Smoke detector covered: duct RTU-9', 'Smoke detector covered: hall', 'Alarm panel on test'], $open($begun));
        $clocks = fn (): array => array_map(
            fn (array $clock): array => [$clock['kind'], (int) round((strtotime($clock['endsAt']) - strtotime($clock['startedAt'])) / 60)],
            array_values(array_filter($this->actingAs($this->starter)->getJson('/api/v1/clocks')->assertOk()->json('clocks'), fn (array $clock): bool => $clock['putBack'] === null)),
        );
        self::assertSame([], $clocks());
        $done = $this->record($this->starter, $this->machine, 'entry.hot_work', ['last_flame_at' => '9:10', 'fire_watch' => 45, 'alarm_on_at' => '10:00'] + $flame)->assertCreated();
        self::assertSame(['Smoke detector covered: duct RTU-9', 'Smoke detector covered: hall'], $open($done), 'the same detector stands in the list once, the panel is back');
        self::assertSame([['fire_watch', 45]], $clocks());
    }

    public function testAValveThatIsClosedIsToBePutBackUntilItIsOpen(): void
    {
        $valve = fn (string $name, string $state): mixed => $this->record($this->starter, $this->machine, 'entry.valve', ['name' => $name, 'kind' => 'service_liquid', 'state' => $state], 'circuit:A')->assertCreated();
        $valve('liquid', 'shut');
        $both = $valve('suction', 'shut');
        self::assertSame(['Service valve closed: liquid', 'Service valve closed: suction'], array_column($both->json('machine.putBack'), 'what'));
        self::assertSame([true, false], array_column($valve('liquid', 'open')->json('machine.putBack'), 'closed'));
        self::assertContains('Held by the put-back list: Service valve closed: suction.', $both->json('machine.startRefused'));
    }

    public function testAServiceModeGoesOffWithThePowerAndEachValveItHeldIsToBeOpenedAnew(): void
    {
        $mode = fn (array $more): mixed => $this->record($this->starter, $this->machine, 'entry.service_mode', ['module' => 'M1'] + $more)->assertCreated();
        $out = fn (mixed $answer): array => array_column(array_filter($answer->json('machine.putBack'), fn (array $one): bool => ! $one['closed']), 'what');
        $on = ['on' => true, 'held' => ['EEV 1', 'EEV 2'], 'power_since' => '2026-03-02T07:40:00'];
        $begun = $mode($on);
        self::assertSame(['Service mode on: M1'], $out($begun));
        self::assertContains('Held by the put-back list: Service mode on: M1.', $begun->json('machine.startRefused'));
        $decay = $begun->json('machine.prefill')['dry.decay']['circuit:A'];
        self::assertSame([true, false], [$decay['valves_held_open'], $decay['mode_lost']]);
        $dead = ['lock_id' => '11', 'tag_name' => 'Rafe', 'tester_proved_before' => true, 'tester_proved_after' => true, 'volts_ab' => '0 V', 'volts_bc' => '0 V', 'volts_ca' => '0 V', 'volts_ag' => '0 V', 'volts_bg' => '0 V', 'volts_cg' => '0 V'];
        $locked = $this->record($this->starter, $this->machine, 'power.lockout', $dead)->assertCreated();
        $said = array_column($locked->json('machine.tape'), 'because', 'check')['power.lockout'];
        self::assertContains('The service mode of M1 went off with the power: the valves it held are on the put-back list.', $said);
        $held = ['Held-open valve that closed when power went off: M1 EEV 1', 'Held-open valve that closed when power went off: M1 EEV 2'];
        self::assertSame([...$held, 'Lock 11 on, tag Rafe'], self::sorted($out($locked)));
        self::assertTrue($locked->json('machine.prefill')['dry.decay']['circuit:A']['mode_lost']);
        self::assertSame([$held[1], 'Lock 11 on, tag Rafe', 'Service mode on: M1'], self::sorted($out($mode(['held' => ['EEV 1']] + $on))), 'one of them is open again');
        self::assertSame([$held[1], 'Lock 11 on, tag Rafe'], self::sorted($out($mode(['on' => false]))));
        $this->write($this->starter, "machines/{$this->machine->id}/put-back", ['kind' => 'service_mode', 'where' => 'M1'])->assertStatus(422);
    }

    /**
     * @param list<string> $texts
     * @return list<string>
     */
    private static function sorted(array $texts): array
    {
        sort($texts);

        return $texts;
    }

    public function testAnInterruptedJointIsACircuitThatStandsOpenAndTheListKnowsTheJoints(): void
    {
        $joint = fn (string $name, array $more): mixed => $this->record($this->starter, $this->machine, 'entry.joint', ['name' => $name, 'kind' => 'braze', 'by' => ['Mina'], 'purged' => true] + $more, 'circuit:A')->assertCreated();
        $joint('drier', ['state' => 'interrupted'])->assertJsonPath('machine.putBack.0.kind', 'circuit_open')->assertJsonPath('machine.putBack.0.closed', false);
        $half = $joint('suction', ['state' => 'done', 'seen' => true]);
        $answers = fn (mixed $answer): array => array_column($answer->json('machine.prefill')['list.pipe']['machine']['items'] ?? [], 'answer', 'id');
        self::assertSame(['joints_listed' => 'yes', 'joints_seen' => 'no'], $answers($half));
        $done = $joint('drier', ['state' => 'done', 'seen' => true])->assertJsonPath('machine.putBack.0.closed', true);
        self::assertSame(['joints_listed' => 'yes', 'joints_seen' => 'yes'], $answers($done));
    }

    public function testTheUsualJointsOfACircuitAreOneWriteAndThirteenAreNone(): void
    {
        $joints = fn (int $count): array => ['parts' => array_map(fn (int $i): array => ['check' => 'entry.joint', 'subject' => 'circuit:A', 'input' => ['name' => "joint $i", 'kind' => 'braze', 'state' => 'open', 'order' => $i]], range(1, $count))];
        $this->write($this->starter, "machines/{$this->machine->id}/checks", $joints(13))->assertStatus(422)->assertJsonPath('field', 'parts');
        $listed = $this->write($this->starter, "machines/{$this->machine->id}/checks", $joints(12))->assertCreated();
        self::assertCount(12, array_filter($listed->json('machine.tape'), fn (array $one): bool => $one['check'] === 'entry.joint'));
    }

    public function testAnotherLoadIsOpenUntilSomebodyOwnsItAndStandsThereOnce(): void
    {
        $load = ['what' => 'roof light', 'disconnect' => 'D-4', 'told' => 'custodian', 'fed_from' => 'panel L2'];
        $this->record($this->starter, $this->machine, 'entry.orphan_load', $load)->assertCreated();
        $again = $this->record($this->starter, $this->machine, 'entry.orphan_load', $load)->assertCreated();
        self::assertSame(['Other load on the old disconnect: roof light'], array_column($again->json('machine.items'), 'what'));
    }

    public function testALiftLeavesWhatIsToBeArrangedAndTheLiftDaySettlesIt(): void
    {
        $crane = ['roof_height' => '24 ft', 'unit_height' => '50 in', 'sling_height' => '8 ft', 'edge_distance' => '25 ft', 'setback' => '25 ft', 'gross_load' => '1290 lb', 'chart' => [['boom' => '90 ft', 'radius' => '50 ft', 'capacity' => '6800 lb']]];
        $open = fn (mixed $answer): array => array_column(array_filter($answer->json('machine.items'), fn (array $one): bool => $one['done'] === ''), 'what');
        $this->record($this->starter, $this->machine, 'survey.crane', ['gross_load' => '9000 lb'] + $crane)->assertCreated()->assertJsonPath('machine.items', []);
        $lift = $this->record($this->starter, $this->machine, 'survey.crane', $crane)->assertCreated();
        self::assertSame(['Permit for the crane', 'Quiet hours of the site', 'Look at the ground before the crane is up', 'Who signals the crane'], $open($lift));
        $car = ['item' => ['length' => '30 in', 'width' => '30 in', 'height' => '40 in', 'weight' => '40 lb'], 'steps' => [
            ['kind' => 'lift_car', 'name' => 'back elevator', 'door_width' => '42 in', 'door_height' => '84 in', 'depth' => '60 in', 'width' => '60 in', 'height' => '90 in', 'capacity' => '2500 lb'],
            ['kind' => 'hatch', 'length' => '60 in', 'width' => '48 in'],
        ]];
        self::assertContains('Book the elevator: back elevator', $open($this->record($this->starter, $this->machine, 'survey.route', $car)->assertCreated()));
        $first = $this->record($this->starter, $this->machine, 'entry.lift_day', ['permit' => 'P-7', 'elevator' => 'desk', 'quiet_until' => '9:00', 'hatch_open' => true])->assertCreated();
        self::assertSame(['Look at the ground before the crane is up', 'Who signals the crane', 'Hatch: the key, and who closes it'], array_values($open($first)));
        self::assertSame('As written in entry ' . self::newest($first, 'entry.lift_day')['at'], $first->json('machine.items.0.done'));
        self::assertEquals(['permit' => 'P-7', 'elevator' => 'desk', 'quiet_until' => '9:00'], $first->json('machine.prefill')['entry.lift_day']['machine']);
        self::assertSame([['roof_door', false]], array_map(fn (array $one): array => [$one['kind'], $one['closed']], $first->json('machine.putBack')));
        $last = $this->record($this->starter, $this->machine, 'entry.lift_day', ['permit' => 'P-7', 'ground_by' => 'Ines', 'signals' => 'Mina', 'hatch_open' => false])->assertCreated();
        $last->assertJsonPath('machine.putBack.0.closed', true);
        self::assertSame('clear', self::newest($last, 'entry.lift_day')['status']);
        self::assertSame(['Hatch: the key, and who closes it'], array_values($open($last)));
    }

    public function testTheLocksOfAJobHangOnOneBoard(): void
    {
        $second = app(CurrentCompany::class)->as($this->starter->company_id, fn (): Machine => Machine::query()->create(['site_job_id' => $this->machine->site_job_id, 'name' => 'RTU-10', 'place' => 'roof', 'serial' => '', 'summary' => '', 'position' => 1]));
        $board = fn (): array => array_map(fn (array $one): array => [$one['name'], array_column($one['locks'], 'what')], $this->actingAs($this->starter)->getJson("/api/v1/machines/{$this->machine->id}/locks")->assertOk()->json('machines'));
        self::assertSame([['RTU-9', []], ['RTU-10', []]], $board());
        $this->record($this->starter, $second, 'power.lockout', self::lockout())->assertCreated();
        $this->write($this->starter, "machines/{$this->machine->id}/put-back", ['kind' => 'breaker_elsewhere', 'where' => 'panel R-1'])->assertCreated();
        $this->write($this->starter, "machines/{$this->machine->id}/put-back", ['kind' => 'roof_door', 'where' => 'hatch'])->assertCreated();
        [[, $first], [, $locks]] = $board();
        self::assertCount(1, $first);
        self::assertStringContainsString('panel R-1', $first[0]);
        self::assertStringContainsString('Lock', $locks[0]);
    }

    public function testTheJobAddsItsCautionsToTheBenchAndTheRecord(): void
    {
        $told = fn (mixed $answer, string $check): array => $answer->json('machine.cautions')["$check:machine"] ?? [];
        $this->machine->job->forceFill(['facts' => ['on_roof']])->save();
        $begun = $this->record($this->starter, $this->machine, 'survey.rigging', ['unit_weight' => '900 lb'])->assertCreated();
        self::assertSame([['roof_edge', 'heat_stress'], []], [$told($begun, 'survey.curb_fit'), $told($begun, 'power.voltage')]);
        $said = DB::table('verdicts')->where('machine_id', $this->machine->id)->orderByDesc('id')->value('said');
        self::assertSame(['lifting', 'roof_edge', 'heat_stress'], json_decode((string) $said, true)['cautions'], 'each once');
        $freed = $this->write($this->starter, "machines/{$this->machine->id}/put-back", ['kind' => 'wire_freed', 'where' => 'C1'])->assertCreated();
        self::assertSame(['roof_edge', 'heat_stress', 'freed_leads'], $told($freed, 'refrigerant.way_out'));
        $back = $this->write($this->starter, "machines/{$this->machine->id}/put-back/{$freed->json('machine.putBack.0.id')}/close", ['word' => 'landed again'])->assertCreated();
        self::assertSame(['roof_edge', 'heat_stress'], $told($back, 'refrigerant.way_out'));
    }

    public function testEntriesAreNoPartOfTheGatesAndGoOutWithTheRecord(): void
    {
        $gates = fn (mixed $answer): array => array_map(fn (array $gate): array => [$gate['state'], $gate['sentence']], $answer->json('machine.gates'));
        $before = $gates($this->write($this->starter, "machines/{$this->machine->id}/notes", ['text' => 'x']));
        $failed = $this->record($this->starter, $this->machine, 'entry.part_failed', ['what' => 'C1', 'how' => 'grounded', 'kept' => true])->assertCreated();
        self::assertSame($before, $gates($failed));
        $failed->assertJsonPath('machine.tape.0.title', 'Failed part')->assertJsonPath('machine.tape.0.headline', 'C1: grounded.');
        $file = json_decode((string) $this->actingAs($this->starter)->get("/api/v1/machines/{$this->machine->id}/record.json")->assertOk()->getContent(), true);
        self::assertStringContainsString('"entry.part_failed"', (string) json_encode($file));
    }

    public function testWhatIsKnownOfTheUnitThatComesOutIsNeverTheNewOnesSheet(): void
    {
        $known = fn (mixed $answer): array => array_filter($answer->json('machine.prefill')['refrigerant.cylinder']['machine'] ?? [], fn (string $key): bool => $key === 'refrigerant', ARRAY_FILTER_USE_KEY);
        self::assertSame(['refrigerant' => 'R-454B'], $known($this->write($this->starter, "machines/{$this->machine->id}/notes", ['text' => 'x'])), 'the unit stays');
        $this->machine->job->forceFill(['start_up_only' => false])->save();
        self::assertSame([], $known($this->write($this->starter, "machines/{$this->machine->id}/notes", ['text' => 'y'])), 'another one comes out');
    }

    public function testWhatAnEarlierCheckFoundIsThereForTheNext(): void
    {
        $rig = ['unit_weight' => '1290 lb', 'weight_source' => 'tag', 'lift_points' => ['length' => '88 in', 'width' => '54 in'], 'cg' => ['x' => '41 in', 'y' => '25 in'], 'sling_rating' => '3000 lb', 'sling_angle' => '60 deg', 'rigging_weight' => '60 lb'];
        $crane = $this->record($this->starter, $this->machine, 'survey.rigging', $rig)->assertCreated()->json('machine.prefill')['survey.crane']['machine'];
        self::assertEqualsWithDelta(1350, $crane['gross_load']['value'], 1e-6);
        self::assertSame(['50 in', '88 in'], [$crane['unit_height'], $crane['unit_length']]);
        $curb = ['curb_outside' => ['length' => '88 in', 'width' => '54 in'], 'unit_base' => ['length' => '88 in', 'width' => '54 in'], 'discharge' => 'side', 'adapter' => ['weight' => '140 lb']];
        $found = $this->record($this->starter, $this->machine, 'survey.curb_fit', $curb)->assertCreated();
        self::assertSame('140 lb', $found->json('machine.prefill')['survey.structure']['machine']['adapter']);
        $flushed = $this->record($this->starter, $this->machine, 'entry.flush', ['part' => 'line set', 'with' => 'solvent', 'until_clean' => true, 'blown' => true])->assertCreated();
        self::assertEquals(['flush' => 'solvent', 'until_clean' => true, 'solvent_out' => true, 'new_oil' => 'POE'], $flushed->json('machine.prefill')['piping.reuse']['machine']);
    }

    public function testADrawingToScaleStandsOnPaperAsOnTheBench(): void
    {
        $lift = ['roof_height' => '24 ft', 'parapet_height' => '2 ft', 'unit_height' => '50 in', 'unit_length' => '88 in', 'sling_height' => '8 ft', 'edge_distance' => '25 ft', 'setback' => '25 ft', 'gross_load' => '1290 lb', 'chart' => [['boom' => '90 ft', 'radius' => '50 ft', 'capacity' => '6800 lb']]];
        $entry = self::newest($this->record($this->starter, $this->machine, 'survey.crane', $lift)->assertCreated(), 'survey.crane');
        self::assertSame('scene', $entry['drawing']['shape']);
        self::assertContains("50' 0\"", array_column($entry['drawing']['dims'], 'text'));
        $paper = $this->actingAs($this->starter)->get("/api/v1/machines/{$this->machine->id}/record.pdf")->assertOk();
        self::assertStringStartsWith('%PDF', (string) $paper->getContent());
    }

    /** @return array<string, mixed> the newest entry of a check on the machine's tape */
    private static function newest(mixed $answer, string $check): array
    {
        return array_values(array_filter($answer->json('machine.tape'), fn (array $one): bool => $one['check'] === $check))[0];
    }
}
