<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Entry;
use App\Models\Machine;
use App\Models\Site;
use App\Models\SiteJob;
use App\Models\User;
use App\Support\CurrentCompany;
use App\Support\Role;
use Illuminate\Testing\TestResponse;

/** What the office and a crew see of jobs: what holds each unit, hours by question, what to bring, what failed elsewhere, one file of it all. */
final class JobBoardTest extends FeatureTestCase
{
    private User $lead;
    private Machine $machine;

    protected function setUp(): void
    {
        parent::setUp();
        $this->lead = $this->person(Role::Lead);
        $this->machine = $this->machine($this->lead);
    }

    public function testAJobShowsWhatHoldsEachUnitAndWhatIsOpen(): void
    {
        $this->write($this->lead, "machines/{$this->machine->id}/items", ['what' => 'Insulate the last yard'])->assertCreated();
        $this->record($this->lead, $this->machine, 'power.lockout', self::lockout())->assertCreated();
        $unit = $this->board()->assertJsonPath('site', 'Mill Lane School')->json('machines.0');
        self::assertSame(['RTU-9', 7, 'Is the power right, and the rotation?', ['Insulate the last yard'], 1, ''], [$unit['name'], $unit['gate'], $unit['question'], $unit['items'], $unit['out'], $unit['signedAt']]);
        self::assertCount(12, $unit['states']);
        self::assertSame([[7, 0]], array_map(fn (array $h): array => [$h['gate'], $h['minutes']], $unit['hours']));
    }

    public function testHoursGoToTheQuestionTheyWereFor(): void
    {
        foreach ([0 => 'power.lockout', 25 => 'power.lockout', 40 => 'list.owner'] as $minutes => $check) {
            $this->travelTo(now()->startOfDay()->addHours(8)->addMinutes($minutes));
            $this->record($this->lead, $this->machine, $check, $check === 'list.owner' ? ['items' => []] : ['lock_id' => "7$minutes"] + self::lockout())->assertCreated();
        }
        self::assertSame([[7, 25], [12, 15]], array_map(fn (array $h): array => [$h['gate'], $h['minutes']], $this->board()->json('machines.0.hours')));
    }

    public function testJobsAreOpenUntilALeadHasSignedEveryUnit(): void
    {
        self::assertSame([$this->machine->site_job_id], array_column($this->jobs('open'), 'id'));
        self::assertSame([], $this->jobs('finished'));
        $this->sign($this->machine);
        self::assertSame([], $this->jobs('open'));
        self::assertSame([$this->machine->site_job_id], array_column($this->jobs('finished'), 'id'));
        $second = app(CurrentCompany::class)->as($this->lead->company_id, fn (): Machine => Machine::query()->create(['site_job_id' => $this->machine->site_job_id, 'name' => 'RTU-10']));
        self::assertCount(1, $this->jobs('open'));
        $this->sign($second);
        self::assertSame([], $this->jobs('open'));
    }

    public function testJobsComeAPageAtATimeTheNewestFirst(): void
    {
        app(CurrentCompany::class)->as($this->lead->company_id, function (): void {
            for ($i = 0; $i < 20; $i++) {
                SiteJob::query()->create(['site_id' => $this->machine->job->site_id, 'title' => "Job $i", 'type' => 'rooftop', 'start_up_only' => true, 'facts' => [], 'asked' => [], 'starts_on' => today(), 'ends_on' => today()]);
            }
        });
        $first = $this->get_('jobs');
        self::assertSame(['Job 19', 'Job 0'], [$first->json('jobs.0.title'), $first->json('jobs.19.title')]);
        $rest = $this->get_("jobs?before={$first->json('next')}");
        self::assertSame(['Start-up'], array_column($rest->json('jobs'), 'title'));
        self::assertNull($rest->json('next'));
        self::assertSame(0, $rest->json('jobs.0.done'));
        self::assertCount(20, $this->get_('jobs?before=soon')->json('jobs'));
    }

    public function testACrewSeesItsOwnJobsOnly(): void
    {
        $starter = $this->person(Role::Starter, $this->lead->company);
        self::assertSame([], $this->jobs('open', $starter));
        $this->get_("jobs/{$this->machine->site_job_id}", $starter)->assertNotFound();
        $this->get_("jobs/{$this->machine->site_job_id}/job.zip", $starter)->assertNotFound();
        $this->machine->job->people()->attach($starter->id);
        self::assertCount(1, $this->jobs('open', $starter));
        $this->get_("jobs/{$this->machine->site_job_id}", $this->person(Role::Lead))->assertNotFound();
    }

    public function testWhatIsBroughtIsTickedByAnybodyOfTheCrewAndComesHome(): void
    {
        $helper = $this->person(Role::Helper, $this->lead->company);
        $this->machine->job->people()->attach($helper->id);
        $meter = fn (TestResponse $board): array => array_values(array_filter($board->json('bring'), fn (array $b): bool => $b['id'] === 'rotation'))[0];
        self::assertSame(['Phase rotation meter', 'meters', '', ''], [$meter($this->board())['what'], $meter($this->board())['group'], $meter($this->board())['state'], $meter($this->board())['who']]);
        self::assertSame(['on', 'Some helper'], array_values(array_intersect_key($meter($this->tick($helper, 'rotation', 'on')->assertCreated()), ['state' => 1, 'who' => 1])));
        self::assertSame('home', $meter($this->tick($this->lead, 'rotation', 'home')->assertCreated())['state']);
        self::assertSame('', $meter($this->tick($this->lead, 'rotation', 'none')->assertCreated())['state']);
        $this->tick($this->lead, 'a unicorn', 'on')->assertStatus(422)->assertJsonPath('field', 'item');
        $this->tick($this->lead, 'rotation', 'lost')->assertStatus(422)->assertJsonPath('field', 'state');
        self::assertContains('6 filters 20 x 20 x 2', array_column($this->board()->json('bring'), 'what'));
    }

    public function testWhatFailedOnTheSameModelElsewhereIsTold(): void
    {
        [$here, $there] = [$this->machine, app(CurrentCompany::class)->as($this->lead->company_id, function (): Machine {
            $site = Site::query()->create(['name' => 'Far Hall', 'address' => '', 'altitude_m' => 0, 'safety' => []]);
            $job = SiteJob::query()->create(['site_id' => $site->id, 'title' => 'Then', 'type' => 'rooftop', 'start_up_only' => true, 'facts' => [], 'asked' => [], 'starts_on' => today(), 'ends_on' => today()]);

            return Machine::query()->create(['site_job_id' => $job->id, 'name' => 'U-1', 'sheet_version_id' => $this->machine->sheet_version_id]);
        })];
        $this->record($this->lead, $here, 'entry.part_failed', ['what' => 'C1', 'how' => 'grounded'])->assertCreated();
        $told = $this->record($this->lead, $there, 'entry.part_failed', ['what' => 'C2', 'how' => 'locked rotor'])->assertCreated()->json('at');
        self::assertSame([['U-1', 'Far Hall', 'BF-150G', 'C2', 'locked rotor']], array_map(fn (array $s): array => [$s['machine'], $s['site'], $s['model'], $s['part'], $s['how']], $this->board()->json('same')));
        $this->write($this->lead, "machines/$there->id/suspects", ['at' => $told, 'reason' => 'other unit'])->assertCreated();
        self::assertSame([], $this->board()->json('same'));
    }

    public function testPartsForTheVanAreListed(): void
    {
        $this->record($this->lead, $this->machine, 'entry.spares', ['what' => 'belt A42', 'how_many' => 2, 'where' => 'blower section'])->assertCreated();
        $this->record($this->lead, $this->machine, 'entry.spares', ['what' => 'fuse', 'how_many' => 3, 'where' => 'tray', 'van' => true])->assertCreated();
        self::assertSame([['machine' => 'RTU-9', 'count' => 3, 'what' => 'fuse', 'where' => 'tray']], $this->board()->json('van'));
    }

    public function testAJobGoesOutInOneFile(): void
    {
        $this->record($this->lead, $this->machine, 'entry.finding', ['sentence' => 'Burnt lug.', 'state_left' => 'off', 'needs' => 'a lug'])->assertCreated();
        $at = $this->record($this->lead, $this->machine, 'power.lockout', self::lockout())->json('at');
        $image = imagecreatetruecolor(40, 30);
        assert($image !== false);
        ob_start();
        imagejpeg($image);
        $jpeg = (string) ob_get_clean();
        $this->actingAs($this->lead)->call('POST', "/api/v1/machines/{$this->machine->id}/photos?about=$at", [], [], [], ['HTTP_Idempotency-Key' => 'job-photo', 'HTTP_X-Device' => 'test', 'HTTP_X-Person' => (string) $this->lead->id, 'CONTENT_TYPE' => 'image/jpeg', 'HTTP_ACCEPT' => 'application/json'], $jpeg)->assertCreated();
        $answer = $this->get_("jobs/{$this->machine->site_job_id}/job.zip")->assertOk()->assertHeader('Content-Type', 'application/zip')->assertDownload('Mill-Lane-School-Start-up.zip');
        $path = $answer->baseResponse->getFile()->getPathname();
        $names = [];
        foreach (new \RecursiveIteratorIterator(new \PharData($path)) as $file) {
            $names[] = substr((string) $file, strlen("phar://$path/RTU-9-S-1-{$this->machine->id}/"));
        }
        sort($names);
        self::assertSame(['days.ics', 'finding.pdf', 'photos/0003.jpg', 'readings.csv', 'record.json', 'record.pdf'], $names);
        self::assertStringStartsWith('PK', (string) file_get_contents($path));
        unlink($path);
    }

    private function sign(Machine $machine): void
    {
        app(CurrentCompany::class)->as($this->lead->company_id, fn () => Entry::query()->create(['machine_id' => $machine->id, 'at' => 900, 'kind' => 'signed', 'user_id' => $this->lead->id, 'device_id' => 't', 'device_at' => now(), 'recorded_at' => now(), 'placed_at' => now(), 'correction_ms' => 0, 'out_of_order' => [], 'reason' => '', 'details' => ['role' => 'lead', 'name' => 'L', 'strokes' => []]]));
    }

    /** @return TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function tick(User $person, string $item, string $state): TestResponse
    {
        return $this->write($person, "jobs/{$this->machine->site_job_id}/bring", ['item' => $item, 'state' => $state]);
    }

    /** @return TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function board(): TestResponse
    {
        return $this->get_("jobs/{$this->machine->site_job_id}")->assertOk();
    }

    /** @return list<array<string, mixed>> */
    private function jobs(string $state, ?User $person = null): array
    {
        return $this->get_("jobs?state=$state", $person)->assertOk()->json('jobs');
    }

    /** @return TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function get_(string $path, ?User $person = null): TestResponse
    {
        app(CurrentCompany::class)->set(null);

        return $this->actingAs($person ?? $this->lead)->getJson("/api/v1/$path");
    }
}
