<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Machine;
use App\Models\User;
use App\Support\CurrentCompany;
use App\Support\Role;
use Illuminate\Testing\TestResponse;

/** From nitrogen in to the charge: what waits, what carries on, and when the valves may be opened. */
final class TightDryChargedTest extends FeatureTestCase
{
    private const EVENING = ['pressure' => '240 psig', 'temperature' => '74 degF', 'at' => '2026-03-02T17:40-07:00'];
    private const MORNING = ['pressure' => '233.5 psig', 'temperature' => '61 degF', 'at' => '2026-03-03T07:10-07:00'];
    private const HOLD = ['lowest_design_pressure' => '300 psig', 'altitude' => '5280 ft', 'source_off' => true, 'bubbles' => 'done', 'uneven' => false];
    private const STEADY = ['gauge_at' => 'far_end', 'ambient' => '60 degF'];

    private User $starter;
    private Machine $machine;

    protected function setUp(): void
    {
        parent::setUp();
        $this->starter = $this->person(Role::Starter);
        $this->machine = $this->machine($this->starter);
        $this->fact('circuit_opened');
    }

    public function testAHoldThatIsOnlyStartedRunsAsAClockAndIsFoundAgainInTheMorning(): void
    {
        $begun = $this->about('tight.hold', ['start' => self::EVENING] + self::HOLD)->assertCreated();
        self::assertSame([['pressure_hold', 60]], $this->clocks());
        $carried = $begun->json('machine.prefill')['tight.hold']['circuit:A'];
        self::assertEquals(self::EVENING, $carried['start']);
        self::assertTrue($carried['source_off']);
        self::assertArrayNotHasKey('end', $carried);

        $this->about('tight.hold', ['start' => self::EVENING, 'end' => self::MORNING] + self::HOLD)->assertCreated();
        self::assertSame('clear', $this->newest('tight.hold')['status']);
        self::assertSame([], $this->clocks(), 'read to its end, nothing is waited for');
        $next = $this->about('tight.hold', ['start' => self::EVENING] + self::HOLD)->assertCreated()->json('machine.prefill');
        self::assertArrayHasKey('start', $next['tight.hold']['circuit:A']);
    }

    public function testSectionsAreTriedOneByOneAndAllOfThemAnswer(): void
    {
        $hold = fn (string $section, array $end): TestResponse => $this->record($this->starter, $this->machine, 'tight.hold', ['start' => self::EVENING] + $end + self::HOLD, "circuit:A/$section")->assertCreated();
        $asks = fn (TestResponse $answer): array => array_values(array_filter(array_merge([], ...array_column($answer->json('machine.gates'), 'missing')), fn (array $one): bool => $one['check'] === 'tight.hold' && str_starts_with($one['subject'], 'circuit:A')));
        $of = fn (TestResponse $answer): array => $answer->json('machine.prefill')['tight.hold'];
        $begun = $hold('lines', []);
        self::assertEquals(self::EVENING, $of($begun)['circuit:A/lines']['start']);
        self::assertArrayNotHasKey('start', $of($begun)['circuit:A/'] ?? [], 'a section nobody tried begins anew');
        self::assertArrayNotHasKey('start', $of($begun)['circuit:A'] ?? []);
        self::assertSame('Pressure test, circuit A, lines', $this->newest('tight.hold')['title']);
        self::assertNotSame([], $asks($hold('coil', ['end' => self::MORNING])), 'the lines still hold');
        self::assertSame([], $asks($hold('lines', ['end' => self::MORNING])));
    }

    public function testAHoldReadTooSoonWaitsForWhatIsLeft(): void
    {
        $soon = ['pressure' => '240 psig', 'temperature' => '74 degF', 'at' => '2026-03-02T18:05-07:00'];
        $this->about('tight.hold', ['start' => self::EVENING, 'end' => $soon] + self::HOLD)->assertCreated();
        self::assertSame('open', $this->newest('tight.hold')['status']);
        self::assertSame([['pressure_hold', 35]], $this->clocks());
    }

    public function testUnderNitrogenNoCircuitStandsOpen(): void
    {
        $this->write($this->starter, "machines/{$this->machine->id}/put-back", ['kind' => 'circuit_open', 'where' => 'circuit A'])->assertCreated();
        $held = $this->about('tight.hold', ['start' => self::EVENING] + self::HOLD)->assertCreated();
        self::assertSame([true], array_column($held->json('machine.putBack'), 'closed'));
    }

    public function testADecayCarriesItsReadingsOnUntilItIsReadToItsEnd(): void
    {
        $points = fn (int ...$at): array => array_map(fn (int $minute): array => ['minutes' => $minute, 'micron' => 310 + $minute], $at);
        $half = $this->about('dry.decay', ['readings' => $points(0, 1, 2, 3, 4, 5, 6, 7)] + self::STEADY)->assertCreated();
        self::assertSame('open', $this->newest('dry.decay')['status']);
        self::assertSame([['decay', 3]], $this->clocks());
        self::assertCount(8, $half->json('machine.prefill')['dry.decay']['circuit:A']['readings']);
        $whole = $this->about('dry.decay', ['readings' => $points(0, 1, 2, 3, 4, 5, 6, 7, 9, 11, 13, 16)] + self::STEADY)->assertCreated();
        self::assertSame('clear', $this->newest('dry.decay')['status']);
        self::assertSame([], $this->clocks());
        self::assertArrayNotHasKey('readings', $whole->json('machine.prefill')['dry.decay']['circuit:A'] ?? []);
    }

    public function testTheValvesStayClosedUntilItHoldsAndIsDry(): void
    {
        $open = ['released' => 'weighed', 'valves' => [['name' => 'liquid', 'turns' => 6], ['name' => 'suction']]];
        $this->about('entry.valve', ['name' => 'liquid', 'kind' => 'service_liquid', 'state' => 'shut'])->assertCreated();
        $reasons = [
            'Before the valves are opened: do the pressure test (circuit A).',
            'Before the valves are opened: do the vacuum decay test (circuit A).',
            'Before the valves are opened: enter the cylinder the charge comes from in the refrigerant account.',
        ];
        $before = $this->machine->refresh()->last_at;
        $this->about('entry.open_valves', $open)->assertStatus(409)->assertJsonPath('reasons', $reasons);
        self::assertSame($before, $this->machine->refresh()->last_at, 'nothing is written');

        $this->about('tight.hold', ['start' => self::EVENING, 'end' => self::MORNING] + self::HOLD)->assertCreated();
        $points = array_map(fn (int $minute): array => ['minutes' => $minute, 'micron' => 310 + $minute], range(0, 20));
        $dry = $this->about('dry.decay', ['readings' => $points] + self::STEADY)->assertCreated();
        $dry->assertJsonPath('machine.openings.0', ['circuit' => 'A', 'reasons' => [], 'weighed' => [$reasons[2]]]);
        $this->about('entry.open_valves', $open)->assertStatus(409)->assertJsonPath('reasons', [$reasons[2]]);
        $factory = $this->about('entry.open_valves', ['released' => 'factory'] + $open)->assertCreated();
        self::assertSame([true], array_column($factory->json('machine.putBack'), 'closed'), 'the closed valve is back');

        $this->record($this->starter, $this->machine, 'refrigerant.account', ['entries' => [['kind' => 'charged', 'cylinder' => 'V-2', 'start' => '400 oz', 'end' => '300 oz']]])->assertCreated();
        $this->about('entry.open_valves', $open)->assertCreated();
        self::assertSame([], $this->newest('entry.open_valves')['outOfOrder']);
    }

    public function testOpenedBeforeItsTimeWithoutSignalItIsKeptAndMarked(): void
    {
        $path = "machines/{$this->machine->id}/checks/entry.open_valves";
        $kept = $this->write($this->starter, $path, ['subject' => 'circuit:A', 'unchecked' => true, 'input' => ['released' => 'factory', 'valves' => [['name' => 'liquid']]]])->assertCreated();
        $kept->assertJsonPath('machine.tape.0.outOfOrder', [5, 6]);
    }

    public function testAFigureTheSheetLacksIsSavedFromTheBenchAsItsNextVersionAndTheUnitKeepsItsOwn(): void
    {
        $lead = $this->person(Role::Lead, \App\Models\Company::query()->findOrFail($this->starter->company_id));
        $path = "machines/{$this->machine->id}/sheet";
        $told = ['check' => 'charge.state', 'subject' => 'circuit:A', 'input' => ['min_superheat' => '6 delta_degF', 'target_subcooling' => '14 delta_degF', 'suction_pressure' => '118 psig']];
        $kept = $this->write($lead, $path, $told)->assertCreated();
        self::assertSame([2, 1], array_column($kept->json('versions'), 'version'));
        $circuits = $kept->json('versions.0.body.circuits');
        self::assertSame(['6 delta_degF', null], [$circuits[0]['min_superheat'], $circuits[1]['min_superheat'] ?? null]);
        self::assertNotSame('14 delta_degF', $circuits[0]['target_subcooling'], 'what it says already is changed on the Shelf');
        $this->write($lead, $path, $told)->assertStatus(409)->assertJsonPath('detail', 'Version 2 of the sheet has these figures already.');
        app(CurrentCompany::class)->set(null);
        $view = $this->actingAs($lead)->getJson("/api/v1/machines/{$this->machine->id}")->assertOk();
        self::assertSame([1, 2], [$view->json('sheet.version'), $view->json('sheet.newest')]);
        $this->write($this->starter, $path, $told)->assertForbidden();
        $this->write($this->person(Role::Lead, \App\Models\Company::query()->create(['name' => 'Copper & Kettle', 'units' => 'us', 'time_zone' => 'UTC'])), $path, $told)->assertNotFound();
    }

    public function testTheRefrigerantAccountIsAFileWithWhoMovedItUnderWhichLicenseFromTheEntryItFirstStoodIn(): void
    {
        $lead = $this->person(Role::Lead, \App\Models\Company::query()->findOrFail($this->starter->company_id));
        $this->write($lead, "people/{$this->starter->id}/license", ['license' => 'TX-4471'])->assertCreated();
        $this->starter->refresh();
        $out = ['kind' => 'recovered', 'cylinder' => 'R-1', 'start' => '20 lb', 'end' => '29 lb'];
        $in = ['kind' => 'charged', 'cylinder' => 'V-2', 'start' => '400 oz', 'end' => '300 oz'];
        $account = fn (User $by, array ...$lines): mixed => $this->record($by, $this->machine, 'refrigerant.account', ['entries' => $lines])->assertCreated();
        $first = $account($this->starter, $out)->json('machine.news');
        $second = $account($lead, $out, $in)->json('machine.news');
        $doubted = $account($lead, $out, $in, ['kind' => 'lost', 'mass' => '3 oz'])->json('machine.news');
        $this->write($lead, "machines/{$this->machine->id}/suspects", ['at' => $doubted, 'reason' => 'never happened'])->assertCreated();

        app(CurrentCompany::class)->set(null);
        $lines = array_map(fn (string $line): array => str_getcsv($line, escape: ''), explode("\r\n", trim((string) $this->actingAs($lead)->get("/api/v1/machines/{$this->machine->id}/refrigerant.csv")->assertOk()->getContent())));
        self::assertSame(\App\Queries\RefrigerantLedger::HEAD, $lines[0]);
        self::assertCount(3, $lines, 'a flagged account is none');
        $of = fn (array $line): array => array_combine($lines[0], $line);
        self::assertEquals(['kind' => 'recovered', 'cylinder' => 'R-1', 'scale_before_kg' => '9.072', 'scale_after_kg' => '13.154', 'into_unit_kg' => '', 'out_of_unit_kg' => '4.082', 'who' => $this->starter->name, 'license' => 'TX-4471', 'entry' => (string) $first, 'refrigerant' => 'R-454B', 'unit' => 'RTU-9'], array_intersect_key($of($lines[1]), array_flip(['kind', 'cylinder', 'scale_before_kg', 'scale_after_kg', 'into_unit_kg', 'out_of_unit_kg', 'who', 'license', 'entry', 'refrigerant', 'unit'])));
        self::assertEquals(['charged', '2.835', '', $lead->name, '', (string) $second], array_map(fn (string $name): string => $of($lines[2])[$name], ['kind', 'into_unit_kg', 'out_of_unit_kg', 'who', 'license', 'entry']));
        $all = (string) $this->actingAs($lead)->get('/api/v1/export/refrigerant.csv')->assertOk()->getContent();
        self::assertSame(3, substr_count($all, "\r\n"));
        self::assertStringContainsString('license TX-4471', self::printed((string) $this->actingAs($lead)->get("/api/v1/machines/{$this->machine->id}/record.pdf")->assertOk()->getContent()));
        $this->write($this->starter, "people/{$lead->id}/license", ['license' => 'x'])->assertForbidden();
    }

    public function testTheChargeLabelTellsOfEachCircuitWhatIsInIt(): void
    {
        $charge = ['charge_rule' => ['factory_charge' => '148 oz', 'included_length' => '15 ft', 'rates' => [['liquid_od' => '3/8 in', 'per_length' => '0.5 oz/ft']], 'adders' => [['when' => 'drier', 'mass' => '2 oz']]], 'lines' => [['liquid_od' => '3/8 in', 'length' => '35 ft']], 'applies' => [['when' => 'drier']], 'already_in' => '148 oz', 'ledger' => [['cylinder' => 'V-2', 'start' => '400 oz', 'end' => '388 oz']]];
        $path = "/api/v1/machines/{$this->machine->id}/pages/label";
        $this->actingAs($this->starter)->get("$path.pdf")->assertNotFound();
        foreach (['A', 'B'] as $circuit) {
            $this->record($this->starter, $this->machine, 'charge.weigh_in', $charge, "circuit:$circuit")->assertCreated();
        }
        app(CurrentCompany::class)->set(null);
        $label = self::printed((string) $this->actingAs($this->starter)->get("$path.pdf")->assertOk()->getContent());
        foreach (['Charge label', 'Weigh-in, circuit A', 'Weigh-in, circuit B', 'R-454B, class A2L,', 'GWP 466', '9 lb 4 oz', '10 oz', '2 oz', '10 lb', 'CO2 equivalent 2.1 t'] as $words) {
            self::assertStringContainsString($words, (string) preg_replace('/ +/', ' ', $label));
        }
        $this->actingAs($this->starter)->get("$path.svg")->assertOk()->assertSee('In this circuit: 10 lb');
    }

    /** @param array<string, mixed> $input */
    private function about(string $check, array $input): TestResponse
    {
        return $this->record($this->starter, $this->machine, $check, $input, 'circuit:A');
    }

    /** @return array<string, mixed> the newest entry of a check on the tape */
    private function newest(string $check): array
    {
        app(CurrentCompany::class)->set(null);
        $tape = $this->actingAs($this->starter)->getJson("/api/v1/machines/{$this->machine->id}")->assertOk()->json('tape');

        return array_values(array_filter($tape, fn (array $one): bool => $one['check'] === $check))[0];
    }

    private function fact(string $fact): void
    {
        app(CurrentCompany::class)->as($this->starter->company_id, fn () => $this->machine->job->update(['facts' => [$fact]]));
    }

    /** @return list<array{string, int}> kind and minutes of what runs */
    private function clocks(): array
    {
        $running = $this->actingAs($this->starter)->getJson('/api/v1/clocks')->assertOk()->json('clocks');

        return array_map(
            fn (array $clock): array => [$clock['kind'], (int) round((strtotime($clock['endsAt']) - strtotime($clock['startedAt'])) / 60)],
            array_values(array_filter($running, fn (array $clock): bool => $clock['putBack'] === null)),
        );
    }
}
