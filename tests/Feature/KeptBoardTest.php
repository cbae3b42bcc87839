<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Machine;
use App\Models\User;
use App\Queries\KeptBoard;
use App\Queries\TodayBoard;
use App\Support\CurrentCompany;
use App\Support\Role;
use Illuminate\Support\Facades\DB;

/** The board of the day is never an old one: whatever it shows makes it void. */
final class KeptBoardTest extends FeatureTestCase
{
    /** Written only together with an entry, which moves its machine on; a version of a sheet is never changed. */
    private const WITH_AN_ENTRY = ['entries', 'verdicts', 'put_backs', 'put_back_closings', 'put_backs_left', 'suspect_marks', 'overrides', 'sheet_versions', 'glances', 'feed_members', 'feed_events'];

    public function testEveryWayADayGoesOnIsSeenAtOnce(): void
    {
        $starter = $this->person(Role::Starter);
        $lead = $this->person(Role::Lead, $starter->company);
        $machine = $this->machine($starter);
        $in = fn (\Closure $do): mixed => app(CurrentCompany::class)->as($starter->company_id, $do);
        $changes = [
            'nothing yet' => fn () => null,
            'a reading' => fn () => $this->record($starter, $machine, 'power.rotation', ['meter' => 'cba'])->assertCreated(),
            'something is out' => fn () => $this->write($starter, "machines/$machine->id/put-back", ['kind' => 'panel_off', 'where' => 'blower'])->assertCreated(),
            'something is due' => fn () => $this->write($lead, "machines/$machine->id/items", ['what' => 'belt', 'owner' => 'Some starter', 'due' => now()->toDateString()])->assertCreated(),
            'the unit has another name' => fn () => $in(fn () => $machine->refresh()->forceFill(['name' => 'RTU-8'])->save()),
            'and another one within the second' => fn () => $in(fn () => $machine->forceFill(['name' => 'RTU-7'])->save()),
            'another unit' => fn () => $in(fn () => Machine::query()->create(['site_job_id' => $machine->site_job_id, 'sheet_version_id' => $machine->sheet_version_id, 'name' => 'X'])),
            'the site has another name' => fn () => $in(fn () => $machine->job->site->forceFill(['name' => 'Elsewhere'])->save()),
            'another title' => fn () => $in(fn () => $machine->job->forceFill(['title' => 'Another'])->save()),
            'somebody has another name' => fn () => $in(fn () => $starter->forceFill(['name' => 'Rae Lin'])->save()),
            'somebody comes on the job' => fn () => $in(fn () => $machine->job->people()->attach($lead->id)),
            'and leaves it' => fn () => $in(fn () => $machine->job->people()->detach($lead->id)),
            'it ends earlier' => fn () => $in(fn () => $machine->job->forceFill(['starts_on' => now()->subDays(3), 'ends_on' => now()->subDay()])->save()),
            'the next day' => fn () => $this->travel(1)->days(),
        ];
        $seen = [];
        foreach ($changes as $what => $change) {
            $change();
            $seen[$what] = $this->assertFresh($starter->refresh(), $what);
        }
        self::assertSame($seen['somebody has another name'], $seen['and leaves it'], 'it is as it was');
        unset($seen['and leaves it']);
        self::assertSame(array_values(array_unique($seen)), array_values($seen), 'each of them made it void');
    }

    public function testWhatIsKeptIsShownAndWhatAnotherProgramPutTogetherIsNot(): void
    {
        $starter = $this->person(Role::Starter);
        $this->machine($starter);
        $this->assertFresh($starter, 'once');
        DB::table('kept_boards')->where('user_id', $starter->id)->update(['body' => '{"kept":true}']);
        self::assertSame(['kept' => true], $this->today($starter));
        config(['iron.build' => 'another']);
        self::assertArrayHasKey('jobs', $this->today($starter));
        self::assertSame([], $this->today($this->person(Role::Starter, $starter->company))['jobs'], 'somebody else has a board of his own');
    }

    public function testAllItIsPutTogetherOfHasAPartInItsMark(): void
    {
        $starter = $this->person(Role::Starter);
        $this->machine($starter);
        $tables = [];
        DB::listen(function ($query) use (&$tables): void {
            preg_match_all('/(?:from|join|into|^update) (?!lateral)"?([a-z_]+)"?/i', $query->sql, $found);
            $tables = [...$tables, ...$found[1]];
        });
        app(CurrentCompany::class)->as($starter->company_id, fn () => app(TodayBoard::class)->for($starter));
        self::assertSame([], array_values(array_diff(array_unique($tables), array_keys(KeptBoard::OF), self::WITH_AN_ENTRY)));
        self::assertContains('put_backs_left', $tables, 'what is listened for is heard');
    }

    /** @return array<string, mixed> */
    private function today(User $person): array
    {
        app(CurrentCompany::class)->set(null);

        return $this->actingAs($person)->getJson('/api/v1/today')->assertOk()->json();
    }

    private function assertFresh(User $person, string $what): string
    {
        $made = app(CurrentCompany::class)->as($person->company_id, fn (): mixed => json_decode((string) json_encode(app(TodayBoard::class)->for($person)), true));
        self::assertSame($made, $this->today($person), $what);
        self::assertSame($made, $this->today($person), "$what, kept");

        return (string) DB::table('kept_boards')->where('user_id', $person->id)->value('of');
    }
}
