<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Machine;
use App\Models\User;
use App\Support\CurrentCompany;
use App\Support\Role;
use Illuminate\Support\Facades\DB;

final class OverrideTest extends FeatureTestCase
{
    private const REASON = 'Breaker is changed this afternoon, crew told';

    public function testALeadOpensAGateAndTheRecordNamesItFirst(): void
    {
        [$lead, $machine] = $this->stoppedBy('breaker_large');
        $this->open($lead, $machine, 7, self::REASON)->assertCreated()
            ->assertJsonPath('machine.tape.0.kind', 'override')->assertJsonPath('machine.tape.0.headline', 'Power: ' . self::REASON)->assertJsonPath('machine.gates.6.state', 'asking');
        app(CurrentCompany::class)->set(null);
        $this->actingAs($lead)->getJson("/api/v1/machines/$machine->id/record")->assertOk()
            ->assertJsonPath('overrides.0.name', 'Power')->assertJsonPath('overrides.0.reason', self::REASON)->assertJsonPath('overrides.0.who', $lead->name);
        app(CurrentCompany::class)->set(null);
        $this->actingAs($lead)->getJson('/api/v1/today')->assertOk()->assertJsonPath('jobs.0.machines.0.status', 'open');
    }

    public function testAReversedSupplyIsOpenedByNobody(): void
    {
        [$lead, $machine] = $this->stoppedBy('supply_reversed');
        foreach ([7, 8] as $gate) {
            $refused = $this->open($lead, $machine, $gate, self::REASON)->assertStatus(409);
            self::assertStringContainsString('This stop can\'t be overridden', $refused->json('detail'));
        }
        self::assertSame(0, DB::table('overrides')->where('machine_id', $machine->id)->count());
    }

    public function testOnlyALeadWithAReasonAgainstAStop(): void
    {
        [$lead, $machine] = $this->stoppedBy('breaker_large');
        $starter = $this->person(Role::Starter, $lead->company);
        app(CurrentCompany::class)->as($lead->company_id, fn () => $machine->job->people()->attach($starter->id));
        $this->open($starter, $machine, 7, self::REASON)->assertForbidden();
        $this->open($lead, $machine, 7, '  short   ')->assertStatus(422)->assertJsonPath('field', 'reason');
        $this->open($lead, $machine, 13, self::REASON)->assertStatus(422)->assertJsonPath('field', 'gate');
        $this->open($lead, $machine, 9, self::REASON)->assertStatus(409);
    }

    public function testALaterStopIsNotCovered(): void
    {
        [$lead, $machine] = $this->stoppedBy('breaker_large');
        $this->open($lead, $machine, 7, self::REASON)->assertCreated();
        $this->circuit($lead, $machine)->assertJsonPath('machine.gates.6.state', 'stopped');
    }

    /** @return array{User, Machine} */
    private function stoppedBy(string $code): array
    {
        $lead = $this->person(Role::Lead);
        $machine = $this->machine($lead);
        $code === 'supply_reversed'
            ? $this->record($lead, $machine, 'power.rotation', ['meter' => 'cba'])->assertCreated()
            : $this->circuit($lead, $machine)->assertJsonPath('machine.gates.6.state', 'stopped');

        return [$lead, $machine];
    }

    /** @return \Illuminate\Testing\TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function circuit(User $person, Machine $machine): \Illuminate\Testing\TestResponse
    {
        return $this->record($person, $machine, 'power.circuit', ['mca' => '32.8 A', 'mocp' => '40 A', 'breaker' => '60 A', 'conductor' => '6', 'insulation' => 90, 'terminal_rating' => 75])->assertCreated();
    }

    /** @return \Illuminate\Testing\TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function open(User $person, Machine $machine, int $gate, string $reason): \Illuminate\Testing\TestResponse
    {
        return $this->write($person, "machines/$machine->id/overrides", ['gate' => $gate, 'reason' => $reason]);
    }
}
