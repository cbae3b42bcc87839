<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Company;
use App\Models\Machine;
use App\Models\User;
use App\Queries\Standing;
use App\Queries\Standings;
use App\Support\CurrentCompany;
use Database\Seeders\DemoSeeder;
use Illuminate\Support\Facades\DB;

/** The demo stands where it is told to stand. */
final class DemoTest extends FeatureTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        Company::query()->update(['is_demo' => false]);
        DB::table('users')->update(['email' => DB::raw("id || '@elsewhere.test'")]);
        app(DemoSeeder::class)->run();
    }

    public function testTheLibrarysUnitsStandAtTheirQuestions(): void
    {
        $at = fn (string $name): Standing => $this->standing('Harrow Lane Library', $name);
        self::assertSame(9, $at('RTU-1')->gates->current);
        self::assertSame(['answered', 'answered'], [$at('RTU-1')->line(7)->state, $at('RTU-1')->line(8)->state]);
        self::assertSame(7, $at('RTU-2')->gates->current);
        self::assertSame(['power.rotation'], array_column($at('RTU-2')->line(7)->missing, 'check'));
        self::assertSame([], $at('RTU-2')->putBack, 'this morning\'s lock is off');
        self::assertCount(5, $at('RTU-3')->line(7)->missing);
        self::assertSame(1, $at('RTU-4')->gates->current);
    }

    public function testTheOlderJobHoldsTwoGroundedCompressorsAndNoRotation(): void
    {
        $checks = app(CurrentCompany::class)->as($this->company(), fn () => DB::table('verdicts')->join('machines', 'machines.id', '=', 'verdicts.machine_id')
            ->where('machines.name', 'RTU-3')->where('machines.company_id', $this->company())->pluck('verdicts.codes', 'verdicts.id')->all());
        self::assertSame(['["grounded"]', '["grounded"]'], array_values($checks));
    }

    public function testTheFireStationsCompressorIsChangedAndHandedOver(): void
    {
        $standing = $this->standing('Larkfield Fire Station', 'RTU-1');
        $states = array_column($standing->lines, 'state', 'gate');
        self::assertSame(array_fill_keys([2, 4, 5, 6, 7, 8, 9, 10, 11, 12], 'answered') + [1 => 'not_on_job', 3 => 'not_on_job'], array_intersect_key($states, array_flip([2, 4, 5, 6, 7, 8, 9, 10, 11, 12])) + array_intersect_key($states, [1 => 1, 3 => 1]));
        self::assertSame([], $standing->putBack);
        self::assertSame(['starter', 'lead'], array_keys($standing->tape->signatures));
        self::assertStringContainsString('scroll', $standing->line(7)->sentence);
    }

    public function testAllSitesAreThereAndLoadingAgainChangesNothing(): void
    {
        $count = fn (): array => [Company::query()->count(), DB::table('machines')->count(), DB::table('entries')->count()];
        $before = $count();
        app(DemoSeeder::class)->run();
        self::assertSame($before, $count());
        self::assertEqualsCanonicalizing(
            ['Harrow Lane Library', 'Copperbeech Bakery', 'Quarry Street Print Works', 'Larkfield Fire Station', 'Old Ferry Market Hall'],
            DB::table('sites')->where('company_id', $this->company())->pluck('name')->all(),
        );
    }

    public function testThePlateFillsTheBenches(): void
    {
        app(CurrentCompany::class)->set(null);
        $rafe = User::query()->where('company_id', $this->company())->where('name', 'Rafe Lindqvist')->firstOrFail();
        $machine = app(CurrentCompany::class)->as($this->company(), fn () => Machine::query()->where('serial', 'BF150-20417')->firstOrFail());
        $filled = $this->actingAs($rafe)->getJson("/api/v1/machines/$machine->id")->assertOk()->json('prefill');
        self::assertSame('460', $filled['power.voltage']['machine']['plate_voltage']);
        self::assertSame(['32.8 A', '40 A', 75, ['value' => 481.0, 'unit' => 'V']], [$filled['power.circuit']['machine']['mca'], $filled['power.circuit']['machine']['mocp'], $filled['power.circuit']['machine']['terminal_rating'], $filled['power.circuit']['machine']['line_voltage']]);
        self::assertSame(['C1', 'C2', 'Blower', 'Fan 1', 'Fan 2'], array_column($filled['power.rotation']['machine']['loads'], 'name'));
        self::assertSame(['460 V', '480 V'], $filled['power.control_voltage']['machine']['taps']);
        self::assertSame('Rafe Lindqvist', $filled['power.lockout']['machine']['tag_name']);
    }

    private function standing(string $site, string $name): Standing
    {
        return app(CurrentCompany::class)->as($this->company(), function () use ($site, $name): Standing {
            $machine = Machine::query()->with('job.site')->where('name', $name)->whereHas('job.site', fn ($q) => $q->where('name', $site))->orderByDesc('id')->firstOrFail();

            return app(Standings::class)->ofOne($machine);
        });
    }

    private function company(): int
    {
        return (int) Company::query()->where('is_demo', true)->value('id');
    }
}
