<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\KeepSheet;
use App\Models\Company;
use App\Models\Machine;
use App\Models\Site;
use App\Models\SiteJob;
use App\Models\User;
use App\Support\CurrentCompany;
use App\Support\Role;
use Illuminate\Foundation\Testing\DatabaseTransactions;
use Illuminate\Foundation\Testing\TestCase;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;

/** Against a real PostgreSQL, each test in a transaction of its own. */
abstract class FeatureTestCase extends TestCase
{
    use DatabaseTransactions;

    private int $keys = 0;

    /** Under the role the application runs under, so that every test shows that it may do what it does. */
    protected function setUp(): void
    {
        parent::setUp();
        DB::statement('SET LOCAL ROLE ironstart_app');
    }

    /** As whoever owns the tables: to tamper with what the application can't. */
    protected function asOwner(): void
    {
        DB::statement('RESET ROLE');
    }

    protected function person(Role $role, ?Company $company = null): User
    {
        $company ??= Company::query()->create(['name' => 'Brass & Pine Cooling', 'units' => 'us', 'time_zone' => 'UTC']);

        return User::query()->create(['company_id' => $company->id, 'name' => "Some {$role->value}", 'email' => uniqid() . '@example.test', 'role' => $role, 'password' => 'correct horse']);
    }

    /** A rooftop unit on a start-up job of today, with the person on it. */
    protected function machine(User $person, string $name = 'RTU-9'): Machine
    {
        return app(CurrentCompany::class)->as($person->company_id, function () use ($person, $name): Machine {
            $sheet = app(KeepSheet::class)->keep((string) file_get_contents(database_path('demo/sheets/bf-150g.json')));
            $site = Site::query()->create(['name' => 'Mill Lane School', 'address' => '3 Mill Lane', 'altitude_m' => 100, 'safety' => []]);
            $job = SiteJob::query()->create(['site_id' => $site->id, 'title' => 'Start-up', 'type' => 'rooftop', 'start_up_only' => true, 'facts' => ['taps'], 'asked' => [], 'starts_on' => today(), 'ends_on' => today()]);
            $job->people()->attach($person->id);

            return Machine::query()->create(['site_job_id' => $job->id, 'name' => $name, 'place' => 'roof', 'serial' => 'S-1', 'summary' => '12.5 ton', 'sheet_version_id' => $sheet->id])->load('job');
        });
    }

    /**
     * @param array<string, mixed> $body
     * @param array<string, string> $headers
     * @return TestResponse<\Symfony\Component\HttpFoundation\Response>
     */
    protected function write(User $person, string $path, array $body = [], array $headers = []): TestResponse
    {
        // Every request is a new one: nothing of the last may be remembered.
        app(CurrentCompany::class)->set(null);

        return $this->actingAs($person)->postJson("/api/v1/$path", $body, $headers + ['Idempotency-Key' => 'test-key-' . ++$this->keys, 'X-Device' => 'test', 'X-Person' => (string) $person->id]);
    }

    /**
     * @param array<string, mixed> $input
     * @return TestResponse<\Symfony\Component\HttpFoundation\Response>
     */
    protected function record(User $person, Machine $machine, string $check, array $input, string $subject = 'machine'): TestResponse
    {
        return $this->write($person, "machines/$machine->id/checks/$check", ['subject' => $subject, 'input' => $input]);
    }

    /** @return array<string, mixed> */
    protected static function lockout(): array
    {
        return ['lock_id' => '7', 'tag_name' => 'S. Tarter', 'tester_proved_before' => true, 'tester_proved_after' => true, 'lock_at' => 'unit_disconnect', 'work_at' => 'load_side']
            + array_fill_keys(['volts_ab', 'volts_bc', 'volts_ca', 'volts_ag', 'volts_bg', 'volts_cg'], '0.1 V');
    }

    /** The words of a PDF. */
    protected static function printed(string $pdf): string
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'paper');
        file_put_contents($file, $pdf);
        $text = (string) shell_exec('pdftotext -layout ' . escapeshellarg($file) . ' -');
        unlink($file);

        return $text;
    }
}
