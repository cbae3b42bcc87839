<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Machine;
use App\Models\SiteJob;
use App\Models\User;
use App\Support\CurrentCompany;
use App\Support\Role;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;

/** What hangs on one feed, told once: what is found on one unit is asked of the others. */
final class FeedTest extends FeatureTestCase
{
    private const VOLTS = ['volts_ab' => '481 V', 'volts_bc' => '478 V', 'volts_ca' => '484 V', 'plate_voltage' => '460'];

    private User $starter;
    /** @var array<string, Machine> */
    private array $units;

    protected function setUp(): void
    {
        parent::setUp();
        $this->starter = $this->person(Role::Starter);
        $first = $this->machine($this->starter, 'RTU-1');
        $this->units = ['RTU-1' => $first] + $this->more($first->job, 'RTU-2', 'RTU-3');
        $next = app(CurrentCompany::class)->as($this->starter->company_id, fn (): SiteJob => SiteJob::query()->create(['title' => 'Next week', 'starts_on' => today()->addWeek(), 'ends_on' => today()->addWeek()] + $first->job->only('site_id', 'type', 'start_up_only', 'facts', 'asked')));
        $this->units += $this->more($next, 'RTU-4');
    }

    public function testWhatIsFoundOnOneUnitIsAskedOfTheOthersUntilItIsReadThere(): void
    {
        self::assertNull($this->screen('RTU-1')['feed']);
        $this->tell('RTU-1', ['RTU-1', 'RTU-2', 'RTU-4'])->assertJsonPath('machine.feed.panel', 'R-1')->assertJsonPath('machine.feed.asks', []);
        $news = $this->screen('RTU-1')['feed']['news'];
        $this->record($this->starter, $this->units['RTU-2'], 'power.rotation', ['meter' => 'cba', 'meter_confirmed' => true])->assertCreated()->assertJsonPath('machine.feed.asks', []);

        $asked = $this->screen('RTU-1')['feed'];
        self::assertSame([['reversed', 'RTU-2', ['power.rotation']]], array_map(fn (array $ask): array => [$ask['kind'], $ask['from'], $ask['read']], $asked['asks']));
        self::assertSame('RTU-2 came in reversed on R-1, which feeds this unit too. Read the rotation here before anybody starts it.', $asked['asks'][0]['words']);
        self::assertSame(['RTU-1' => '', 'RTU-2' => 'reversed', 'RTU-4' => ''], array_column($asked['units'], 'direction', 'name'));
        self::assertGreaterThan($news, $asked['news']);
        self::assertSame($asked['news'], $this->actingAs($this->starter)->getJson("/api/v1/machines/{$this->units['RTU-1']->id}/news")->json('feed'), 'whoever looks at it is told');
        self::assertNull($this->screen('RTU-3')['feed'], 'it hangs elsewhere');
        self::assertCount(1, $this->screen('RTU-4')['feed']['asks'], 'another job of the site');
        self::assertSame(['RTU-1' => 1, 'RTU-2' => 0, 'RTU-3' => 0], $this->today());

        $this->record($this->starter, $this->units['RTU-1'], 'power.rotation', ['meter' => 'abc', 'monitor' => 'ok', 'meter_confirmed' => true])->assertCreated()->assertJsonPath('machine.feed.asks', []);
        self::assertSame(['RTU-1' => 0, 'RTU-2' => 0, 'RTU-3' => 0], $this->today());
    }

    public function testADoubtedOrCorrectedReadingAsksNothingAnyMore(): void
    {
        $this->tell('RTU-1', ['RTU-1', 'RTU-2']);
        $at = $this->record($this->starter, $this->units['RTU-2'], 'power.rotation', ['meter' => 'cba', 'meter_confirmed' => true])->json('at');
        self::assertCount(1, $this->screen('RTU-1')['feed']['asks']);
        $this->write($this->starter, "machines/{$this->units['RTU-2']->id}/checks/power.rotation", ['input' => ['meter' => 'abc', 'monitor' => 'ok', 'meter_confirmed' => true], 'supersedes' => $at])->assertCreated();
        self::assertSame([], $this->screen('RTU-1')['feed']['asks'], 'corrected');
        $again = $this->record($this->starter, $this->units['RTU-2'], 'power.rotation', ['meter' => 'cba', 'meter_confirmed' => true])->json('at');
        self::assertCount(1, $this->screen('RTU-1')['feed']['asks']);
        $this->write($this->starter, "machines/{$this->units['RTU-2']->id}/suspects", ['at' => $again, 'reason' => 'leads mixed up'])->assertCreated();
        self::assertSame([], $this->screen('RTU-1')['feed']['asks'], 'doubted');
    }

    public function testAReadingThatComesLateStandsWhereItWasMade(): void
    {
        $this->tell('RTU-1', ['RTU-1', 'RTU-2']);
        $abc = ['meter' => 'abc', 'monitor' => 'ok', 'meter_confirmed' => true];
        $reversed = fn (array $headers): mixed => $this->write($this->starter, "machines/{$this->units['RTU-2']->id}/checks/power.rotation", ['input' => ['meter' => 'cba', 'meter_confirmed' => true]], $headers)->assertCreated();
        $reversed([]);
        $this->travel(10)->minutes();
        $this->record($this->starter, $this->units['RTU-1'], 'power.rotation', $abc)->assertCreated();
        self::assertSame([], $this->screen('RTU-1')['feed']['asks']);
        $this->travel(10)->minutes();
        $reversed(['X-Device-Time' => now()->subMinutes(15)->toIso8601String(), 'X-Device' => 'other', 'X-Device-Sent' => now()->toIso8601String()]);
        self::assertSame([], $this->screen('RTU-1')['feed']['asks'], 'it was made before RTU-1 was read');
        $reversed([]);
        self::assertCount(1, $this->screen('RTU-1')['feed']['asks']);
    }

    public function testWorkOnTheSupplyIsToldOnAllOfTheFeedAndNowhereElse(): void
    {
        $this->tell('RTU-1', ['RTU-1', 'RTU-4']);
        $this->write($this->starter, "machines/{$this->units['RTU-1']->id}/supply-work", ['what' => 'two lines swapped at R-1'])->assertCreated();
        self::assertSame(['RTU-1', 'RTU-4'], DB::table('entries')->join('machines', 'machines.id', '=', 'machine_id')->where('kind', 'supply_work')->whereIn('machine_id', array_map(fn (Machine $one): int => $one->id, $this->units))->orderBy('machines.id')->pluck('name')->all());
        self::assertSame([], $this->screen('RTU-1')['feed']['asks'], 'its own gates ask');
        self::assertSame([['power.rotation', 'power.voltage']], array_column($this->screen('RTU-4')['feed']['asks'], 'read'));
        $this->record($this->starter, $this->units['RTU-4'], 'power.voltage', self::VOLTS)->assertCreated();
        self::assertSame([['power.rotation']], array_column($this->screen('RTU-4')['feed']['asks'], 'read'));
        $this->write($this->starter, "machines/{$this->units['RTU-3']->id}/supply-work", ['what' => 'new whip'])->assertCreated();
        self::assertSame(4, DB::table('entries')->where('kind', 'supply_work')->where('details->what', 'new whip')->count() + 1, 'no feed told: on the units of the job');
    }

    public function testAFeedIsToldAnewAndAUnitHangsOnOneOnly(): void
    {
        $this->tell('RTU-1', ['RTU-1', 'RTU-2']);
        $this->tell('RTU-3', ['RTU-2', 'RTU-3'], 'R-2')->assertJsonPath('machine.feed.units.0.machineId', $this->units['RTU-2']->id);
        self::assertSame(['R-1', 'R-2', 'R-2'], array_map(fn (string $unit): string => $this->screen($unit)['feed']['panel'], ['RTU-1', 'RTU-2', 'RTU-3']));
        $this->tell('RTU-3', ['RTU-3'], 'R-2');
        self::assertNull($this->screen('RTU-2')['feed'], 'it was left out');
        $prefill = $this->screen('RTU-1')['prefill'];
        self::assertSame(['R-1', '200 A', '180 A'], [$prefill['entry.feed']['machine']['panel'], $prefill['power.feeder']['machine']['breaker'], $prefill['power.feeder']['machine']['usable']]);
        self::assertEquals(['name' => 'RTU-1', 'mca' => '32.8 A'], $prefill['power.feeder']['machine']['items'][0]);
    }

    public function testAFeedThatIsDoubtedHangsNothingTogether(): void
    {
        $at = $this->tell('RTU-1', ['RTU-1', 'RTU-2'])->json('at');
        $this->write($this->starter, "machines/{$this->units['RTU-1']->id}/suspects", ['at' => $at, 'reason' => 'another panel'])->assertCreated();
        self::assertNull($this->screen('RTU-2')['feed']);
    }

    public function testUnitsOfTheSameNameElsewhereAreNotMeant(): void
    {
        $elsewhere = $this->machine($this->starter, 'RTU-2');
        $stranger = $this->person(Role::Starter);
        $theirs = $this->machine($stranger, 'RTU-2');
        $this->tell('RTU-1', ['RTU-1', 'RTU-2']);
        self::assertSame([$this->units['RTU-1']->id, $this->units['RTU-2']->id], DB::table('feed_members')->whereIn('machine_id', [$elsewhere->id, $theirs->id, ...array_map(fn (Machine $one): int => $one->id, array_values($this->units))])->orderBy('machine_id')->pluck('machine_id')->all());
    }

    public function testTheOfficeSeesWhatHangsOnEachPanelOfASite(): void
    {
        $this->tell('RTU-1', ['RTU-1', 'RTU-2']);
        $this->tell('RTU-3', ['RTU-3'], 'R-2');
        $this->record($this->starter, $this->units['RTU-2'], 'power.rotation', ['meter' => 'cba', 'meter_confirmed' => true])->assertCreated();
        $office = $this->person(Role::Office, $this->starter->company);
        $feeds = $this->actingAs($office)->getJson("/api/v1/sites/{$this->units['RTU-1']->job->site_id}")->assertOk()->json('feeds');
        self::assertSame([['R-1', '200 A'], ['R-2', '200 A']], array_map(fn (array $feed): array => [$feed['panel'], $feed['breaker']], $feeds));
        self::assertSame([['RTU-1', '', true], ['RTU-2', 'reversed', false]], array_map(fn (array $unit): array => [$unit['name'], $unit['direction'], $unit['asked']], $feeds[0]['units']));
        app(CurrentCompany::class)->set(null);
        $this->actingAs($this->person(Role::Office))->getJson("/api/v1/sites/{$this->units['RTU-1']->job->site_id}")->assertNotFound();
    }

    public function testTheUnitsOfASiteStandThereToBeHungOnAPanel(): void
    {
        $items = $this->actingAs($this->starter)->getJson("/api/v1/machines/{$this->units['RTU-2']->id}/site-units")->assertOk()->json('items');
        self::assertSame(['RTU-1', 'RTU-2', 'RTU-3', 'RTU-4'], array_column($items, 'name'));
        self::assertSame(['name' => 'RTU-1', 'machine' => 'RTU-1', 'mca' => '32.8 A', 'largest' => '9.7 A', 'mocp' => '40 A', 'phases' => 3], $items[0]);
    }

    /** @return array<string, Machine> */
    private function more(SiteJob $job, string ...$names): array
    {
        return app(CurrentCompany::class)->as($this->starter->company_id, function () use ($job, $names): array {
            $job->people()->syncWithoutDetaching([$this->starter->id]);
            $made = array_map(fn (string $name): Machine => Machine::query()->create(['site_job_id' => $job->id, 'name' => $name, 'place' => 'roof', 'serial' => $name, 'summary' => '12.5 ton', 'sheet_version_id' => ($this->units ?? [])['RTU-1']->sheet_version_id ?? Machine::query()->where('site_job_id', $job->id)->value('sheet_version_id')])->load('job'), $names);

            return array_combine($names, $made);
        });
    }

    /** @param list<string> $units */
    private function tell(string $on, array $units, string $panel = 'R-1'): TestResponse
    {
        return $this->record($this->starter, $this->units[$on], 'entry.feed', ['panel' => $panel, 'breaker' => '200 A', 'usable' => '180 A', 'items' => array_map(fn (string $unit): array => ['name' => $unit, 'machine' => $unit, 'mca' => '32.8 A'], $units)])->assertCreated();
    }

    /** @return array<string, mixed> */
    private function screen(string $unit): array
    {
        return $this->actingAs($this->starter)->getJson("/api/v1/machines/{$this->units[$unit]->id}")->assertOk()->json();
    }

    /** @return array<string, int> how much is asked of each unit on the board of the day */
    private function today(): array
    {
        $machines = array_merge(...array_column($this->actingAs($this->starter)->getJson('/api/v1/today')->assertOk()->json('jobs'), 'machines'));

        $asked = array_map(count(...), array_column($machines, 'feed', 'name'));
        ksort($asked);

        return $asked;
    }
}
