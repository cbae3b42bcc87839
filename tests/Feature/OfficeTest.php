<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Machine;
use App\Models\Site;
use App\Models\User;
use App\Support\CurrentCompany;
use App\Support\Role;
use Illuminate\Testing\TestResponse;
use Tests\Support\Answered;

final class OfficeTest extends FeatureTestCase
{
    private const JOB = ['title' => 'Two units', 'type' => 'condensing', 'startsOn' => '2026-05-04', 'endsOn' => '2026-05-05'];

    public function testASiteAJobItsFactsMachinesAndPeopleAreSetUp(): void
    {
        $office = $this->person(Role::Office);
        $starter = $this->person(Role::Starter, $office->company);
        $site = $this->write($office, 'sites', ['name' => 'Pump House', 'address' => '2 Weir Road', 'altitude' => 310, 'safety' => ['hospital' => 'Weir General', 'roof_hatch_key' => 'caretaker']])->assertCreated();
        self::assertSame(['hospital' => 'Weir General', 'roof_hatch_key' => 'caretaker'], $site->json('safety'));
        $path = "sites/{$site->json('id')}";
        $job = $this->write($office, "$path/jobs", self::JOB + ['facts' => ['craned'], 'people' => [$starter->id]])->assertCreated()->json('jobs.0');
        self::assertSame([['craned'], ['Some starter']], [$job['facts'], $job['people']]);
        $sheet = $this->machine($starter, 'elsewhere')->sheet_version_id;
        $machine = $this->write($starter, "jobs/{$job['id']}/machines", ['name' => 'CU-1', 'serial' => 'K-1', 'sheet' => $sheet])->assertCreated();
        self::assertSame('BF-150G', $machine->json('model'));
        $this->write($starter, "jobs/{$job['id']}/machines", ['name' => 'CU-1'])->assertStatus(422)->assertJsonPath('field', 'name');
        $this->write($starter, "machines/{$machine->json('id')}/plate", ['version' => 1, 'name' => 'CU-1', 'serial' => 'K-2', 'sheet' => $sheet])->assertCreated()->assertJsonPath('version', 2);
        $late = $this->write($office, "machines/{$machine->json('id')}/plate", ['version' => 1, 'name' => 'CU-1', 'serial' => 'K-3', 'sheet' => $sheet])->assertStatus(409);
        self::assertSame(['Some starter', 'CU-1, K-2', 'CU-1, K-3'], [$late->json('theirs.who'), $late->json('theirs.words'), $late->json('yours.words')]);
        // A reading is no change by the office: when somebody last changed the plate stays what it was.
        $this->travel(2)->days();
        $this->record($starter, Machine::query()->withoutGlobalScopes()->findOrFail($machine->json('id')), 'power.rotation', ['meter' => 'abc'])->assertCreated();
        $this->write($office, "machines/{$machine->json('id')}/plate", ['version' => 1, 'name' => 'CU-1', 'serial' => 'K-3', 'sheet' => $sheet])->assertStatus(409)->assertJsonPath('theirs.when', $late->json('theirs.when'));
        self::assertSame(['machine_changed', 'machine_made', 'job_people', 'job_made', 'site_made'], array_slice(array_column($this->read($office, 'activity')->json('done'), 'what'), 0, 5));
    }

    public function testARepairOnAnOpenedCircuitAsksForTheOldOutAndTheSettingThoughItIsStartUpOnly(): void
    {
        $office = $this->person(Role::Office);
        $site = $this->write($office, 'sites', ['name' => 'Pump House'])->json('id');
        $repair = ['type' => 'rooftop', 'startUpOnly' => true, 'asked' => ['2', '3'], 'facts' => ['circuit_opened'], 'people' => [$office->id]] + self::JOB;
        $job = $this->write($office, "sites/$site/jobs", $repair)->assertCreated()->json('jobs.0.id');
        $machine = $this->write($office, "jobs/$job/machines", ['name' => 'RTU-1'])->assertCreated()->json('id');
        $gates = $this->actingAs($office)->getJson("/api/v1/machines/$machine")->assertOk()->json('gates');
        self::assertSame([1], array_column(array_filter($gates, fn (array $gate): bool => $gate['gate'] <= 6 && $gate['state'] === 'not_on_job'), 'gate'));
        $this->write($office, "sites/$site/jobs", ['asked' => ['4']] + $repair)->assertStatus(422)->assertJsonPath('field', 'asked.0');
    }

    public function testWhatIsNotRightIsSaidFieldByFieldAndNothingIsMade(): void
    {
        $office = $this->person(Role::Office);
        $site = $this->write($office, 'sites', ['name' => 'Pump House'])->json('id');
        foreach (['name' => ['name' => ' '], 'altitude' => ['altitude' => 9000], 'safety.pool' => ['safety' => ['pool' => 'x']]] as $field => $wrong) {
            $this->write($office, 'sites', $wrong + ['name' => 'Other'])->assertStatus(422)->assertJsonPath('field', $field);
        }
        foreach (['type' => ['type' => 'boiler'], 'endsOn' => ['endsOn' => '2026-05-03'], 'startsOn' => ['startsOn' => 'today'], 'facts.0' => ['facts' => ['moon']], 'people' => ['people' => [999_999]]] as $field => $wrong) {
            $this->write($office, "sites/$site/jobs", $wrong + self::JOB)->assertStatus(422)->assertJsonPath('field', $field);
        }
        self::assertSame([], $this->read($office, "sites/$site")->json('jobs'));
    }

    public function testAMachineKeepsItsSheetOnceWorkHasBegun(): void
    {
        $lead = $this->person(Role::Lead);
        $machine = $this->machine($lead);
        $this->write($lead, "machines/$machine->id/notes", ['text' => 'begun'])->assertCreated();
        $this->write($lead, "machines/$machine->id/plate", ['version' => 1, 'name' => 'RTU-9', 'sheet' => null])->assertStatus(409);
    }

    public function testAStarterMakesMachinesOnTheirOwnJobsOnly(): void
    {
        $lead = $this->person(Role::Lead);
        $machine = $this->machine($lead);
        $starter = $this->person(Role::Starter, $lead->company);
        $this->write($starter, "jobs/$machine->site_job_id/machines", ['name' => 'X'])->assertNotFound();
        $this->write($this->person(Role::Lead), "jobs/$machine->site_job_id/machines", ['name' => 'X'])->assertNotFound();
        $this->read($starter, 'sites')->assertForbidden();
    }

    public function testSearchFindsByTheBeginningsOfWordsAndOnlyWhatOneSees(): void
    {
        $lead = $this->person(Role::Lead);
        $machine = $this->machine($lead, 'RTU-77');
        $found = fn (User $who, string $q): array => array_column($this->read($who, 'search?q=' . urlencode($q))->assertOk()->json('found'), 'title');
        self::assertSame(['RTU-77, Mill Lane School'], $found($lead, 'rtu 77'));
        self::assertContains('Mill Lane School', $found($lead, 'mil scho'));
        self::assertSame(['BF-150G'], $found($lead, 'bf 150'));
        self::assertSame([], $found($this->person(Role::Starter, $lead->company), 'rtu 77'));
        self::assertSame([], $found($this->person(Role::Lead), 'rtu 77'));
        // Another one's serial begins so; what is called so comes first.
        $this->write($lead, "jobs/$machine->site_job_id/machines", ['name' => 'RTU-12', 'serial' => '77-0192'])->assertSuccessful();
        self::assertSame(['RTU-77, Mill Lane School', 'RTU-12, Mill Lane School'], $found($lead, 'rtu-77'));
        foreach (['', "' | !", ':*', '%'] as $nothing) {
            self::assertSame([], $found($lead, $nothing));
        }
        self::assertSame($machine->id, $this->read($lead, 'search?q=s-1')->json('found.0.id'));
    }

    public function testSitesComeAPageAtATime(): void
    {
        $office = $this->person(Role::Office);
        app(CurrentCompany::class)->as($office->company_id, function (): void {
            for ($i = 0; $i < 60; $i++) {
                Site::query()->create(['name' => sprintf('Site %02d', $i % 30), 'address' => "$i Street", 'altitude_m' => 0, 'safety' => []]);
            }
        });
        $first = $this->read($office, 'sites')->assertOk();
        $second = $this->read($office, 'sites?after=' . urlencode($first->json('next')));
        self::assertSame([50, 10, ''], [count($first->json('sites')), count($second->json('sites')), $second->json('next')]);
        self::assertCount(60, array_unique([...array_column($first->json('sites'), 'id'), ...array_column($second->json('sites'), 'id')]));
        self::assertCount(2, $this->read($office, 'sites?q=site+07')->json('sites'));
    }

    public function testWhatTheStarterSignedWaitsForALead(): void
    {
        $starter = $this->person(Role::Starter);
        $lead = $this->person(Role::Lead, $starter->company);
        $machine = $this->machine($starter);
        app(CurrentCompany::class)->as($starter->company_id, fn () => app(Answered::class)->everything($machine->load('job', 'sheet'), $starter));
        self::assertSame([], $this->read($lead, 'review')->json('waiting'));
        $seen = Machine::withoutGlobalScopes()->findOrFail($machine->id)->last_at;
        $this->write($starter, "machines/$machine->id/signatures", ['role' => 'starter', 'strokes' => [array_map(fn (int $i): array => [$i / 20, 0.5], range(0, 19))], 'seen' => $seen])->assertCreated();
        $waiting = $this->read($lead, 'review')->assertOk()->json('waiting');
        self::assertSame([['RTU-9', 'Some starter', false]], array_map(fn (array $w): array => [$w['machine'], $w['starter'], $w['reviewed']], $waiting));
    }

    /** @return TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function read(User $person, string $path): TestResponse
    {
        app(CurrentCompany::class)->set(null);

        return $this->actingAs($person)->getJson("/api/v1/$path");
    }
}
