<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Company;
use App\Models\Machine;
use App\Models\User;
use App\Support\CurrentCompany;
use App\Support\Role;

/** What was recorded on the units of a job is gathered for the one question behind all of it. */
final class WholeJobTest extends FeatureTestCase
{
    private User $starter;
    private Machine $first;
    private Machine $second;

    protected function setUp(): void
    {
        parent::setUp();
        $this->starter = $this->person(Role::Starter);
        $this->first = $this->machine($this->starter);
        $this->second = app(CurrentCompany::class)->as($this->starter->company_id, fn (): Machine => Machine::query()->create(['site_job_id' => $this->first->site_job_id, 'name' => 'RTU-10', 'place' => 'roof', 'serial' => '', 'summary' => '', 'position' => 1]));
    }

    /** @return array{machines: list<array<string, mixed>>, facts: list<array<string, mixed>>} */
    private function whole(): array
    {
        return $this->actingAs($this->starter)->getJson("/api/v1/machines/{$this->second->id}/whole")->assertOk()->json();
    }

    public function testASistersReversalIsAFactHereAndASuspectReadingIsNone(): void
    {
        self::assertSame([], $this->whole()['facts']);
        self::assertSame(['RTU-9', 'RTU-10'], array_column($this->whole()['machines'], 'name'));
        $reversed = $this->record($this->starter, $this->first, 'power.rotation', ['meter' => 'cba'])->assertCreated();
        [$fact] = $this->whole()['facts'];
        self::assertSame(['RTU-9', 'supply_reversed'], [$fact['machine'], $fact['fact']]);
        self::assertStringStartsWith('The supply is reversed', $fact['evidence']);
        $verdict = $this->actingAs($this->starter)->postJson('/api/v1/judge/diagnose.root_cause', ['input' => $this->whole()])->assertOk();
        self::assertContains('hold:RTU-9:rotation', $verdict->json('codes'));
        self::assertContains('sister:RTU-10:rotation', $verdict->json('codes'));
        $this->write($this->starter, "machines/{$this->first->id}/suspects", ['at' => $reversed->json('at'), 'reason' => 'leads were crossed'])->assertCreated();
        self::assertSame([], $this->whole()['facts']);
    }

    public function testACompressorThatIsCutOffIsToldAsIsolated(): void
    {
        $checked = fn (): array => $this->whole()['machines'][0]['checked'] ?? [];
        $part = (string) $this->actingAs($this->starter)->getJson("/api/v1/machines/{$this->first->id}")->json('parts.1');
        self::assertSame([], $checked());
        $this->write($this->starter, "machines/{$this->first->id}/parts-out", ['subject' => $part, 'why' => 'grounded', 'wire' => 'T1 to T3 taped', 'who' => 'Some starter'])->assertCreated();
        self::assertSame(['compressor_isolated'], $checked());
        $this->write($this->starter, "machines/{$this->first->id}/parts-back", ['subject' => $part, 'word' => 'new compressor'])->assertCreated();
        self::assertSame([], $checked());
    }

    public function testAnotherCompanysJobIsNotToBeFound(): void
    {
        $other = $this->person(Role::Starter, Company::query()->create(['name' => 'Copper & Kettle', 'units' => 'us', 'time_zone' => 'UTC']));
        $this->actingAs($other)->getJson("/api/v1/machines/{$this->first->id}/whole")->assertNotFound();
    }
}
