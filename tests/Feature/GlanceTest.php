<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Machine;
use App\Queries\Glance;
use App\Queries\Glances;
use App\Queries\Standings;
use App\Support\Build;
use App\Support\CurrentCompany;
use App\Support\Role;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;

/** A board shows what the gates say now, never what they said before. */
final class GlanceTest extends FeatureTestCase
{
    public function testEveryWayAMachineGoesOnIsSeenAtOnce(): void
    {
        $starter = $this->person(Role::Starter);
        $lead = $this->person(Role::Lead, $starter->company);
        $machine = $this->machine($starter);
        $seen = [$this->assertFresh($machine)];
        $this->record($starter, $machine, 'power.rotation', ['meter' => 'cba'])->assertCreated();
        $seen[] = $this->assertFresh($machine);
        $this->write($starter, "machines/$machine->id/put-back", ['kind' => 'panel_off', 'where' => 'blower'])->assertCreated();
        $seen[] = $this->assertFresh($machine);
        $this->write($lead, "machines/$machine->id/items", ['what' => 'belt', 'owner' => 'Some starter', 'due' => now()->addDay()->toDateString()])->assertCreated();
        $seen[] = $this->assertFresh($machine);
        app(CurrentCompany::class)->as($starter->company_id, fn () => $machine->job->forceFill(['facts' => ['staged']])->save());
        $seen[] = $this->assertFresh($machine);
        app(CurrentCompany::class)->as($starter->company_id, fn () => $machine->forceFill(['facts' => ['tripped' => true]])->save());
        $seen[] = $this->assertFresh($machine);
        app(CurrentCompany::class)->as($starter->company_id, fn () => $machine->job->forceFill(['start_up_only' => false])->save());
        $seen[] = $this->assertFresh($machine);
        self::assertSame(array_values(array_unique($seen)), $seen, 'each of them counted');
    }

    public function testWhatIsKeptIsReadAndWhatAnotherProgramWorkedOutIsNot(): void
    {
        $starter = $this->person(Role::Starter);
        $machine = $this->machine($starter);
        $this->assertFresh($machine);
        $says = fn (string $next) => DB::table('glances')->where('machine_id', $machine->id)->update(['body' => DB::raw("jsonb_set(body, '{next}', '\"$next\"')")]);
        $says('Kept.');
        self::assertSame('Kept.', $this->glance($machine)->next);
        config(['iron.build' => 'another']);
        self::assertSame('Find out what supply it is.', $this->glance($machine)->next);
    }

    public function testAnotherCompanysIsNeverRead(): void
    {
        $mine = $this->machine($this->person(Role::Starter));
        $this->assertFresh($mine);
        $theirs = $this->machine($this->person(Role::Starter));
        self::assertSame([], app(CurrentCompany::class)->as($theirs->company_id, fn (): array => DB::table('glances')->where('company_id', $theirs->company_id)->pluck('machine_id')->all()));
        $this->assertFresh($theirs);
        self::assertSame(2, DB::table('glances')->whereIn('machine_id', [$mine->id, $theirs->id])->count());
    }

    public function testTheMarkOfAProgramChangesWithAnyFileThatHasAPartInIt(): void
    {
        $root = sys_get_temp_dir() . '/' . uniqid('build');
        foreach (['core/src', 'core/phrases/en', 'core/data', 'app/Queries'] as $folder) {
            mkdir("$root/$folder", 0700, true);
        }
        $marks = [Build::mark($root)];
        foreach (['core/src/A.php', 'core/phrases/en/a.php', 'core/data/a.php', 'app/Queries/A.php'] as $file) {
            file_put_contents("$root/$file", 'a');
            $marks[] = Build::mark($root);
        }
        file_put_contents("$root/core/src/A.php", 'ab');
        $marks[] = Build::mark($root);
        self::assertCount(6, array_unique($marks));
        self::assertSame(end($marks), Build::mark($root));
    }

    private function glance(Machine $machine): Glance
    {
        return app(CurrentCompany::class)->as($machine->company_id, fn (): Glance => app(Glances::class)->of(new Collection([Machine::query()->with('job')->findOrFail($machine->id)]))[$machine->id]);
    }

    private function assertFresh(Machine $machine): string
    {
        $judged = app(CurrentCompany::class)->as($machine->company_id, fn (): Glance => Glance::from(app(Standings::class)->ofOne(Machine::query()->with('job')->findOrFail($machine->id))));
        self::assertEquals($judged, $this->glance($machine), 'judged anew');
        self::assertEquals($judged, $this->glance($machine), 'kept');

        return (string) DB::table('glances')->where('machine_id', $machine->id)->value('of');
    }
}
