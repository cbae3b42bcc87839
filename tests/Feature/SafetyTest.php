<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Company;
use App\Support\CurrentCompany;
use App\Support\Role;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;

/** What the application promises about itself, see docs/security.md. */
final class SafetyTest extends FeatureTestCase
{
    public function testNoScriptRunsThatIsNotOurOwnAndNoPageShowsUsInAFrame(): void
    {
        foreach (['/', '/api/v1/session', '/api/v1/nowhere', '/owner/x'] as $path) {
            $policy = (string) $this->withoutVite()->get($path)->headers->get('Content-Security-Policy');
            self::assertStringContainsString("script-src 'self';", $policy, $path);
            self::assertStringContainsString("frame-ancestors 'none'", $policy, $path);
            self::assertStringNotContainsString("'unsafe-eval'", $policy, $path);
        }
    }

    public function testTheSessionCookieIsForThisSiteAloneAndNotForScripts(): void
    {
        $person = $this->person(Role::Lead);
        $cookies = $this->postJson('/api/v1/session', ['email' => $person->email, 'password' => 'correct horse'])->assertOk()->headers->getCookies();
        $session = array_values(array_filter($cookies, fn ($cookie): bool => $cookie->getName() === 'iron_start'))[0];
        self::assertSame([true, 'lax'], [$session->isHttpOnly(), $session->getSameSite()]);
    }

    public function testAVisitorLeavesNoSessionBehindAndOneWhoSignsInHasOne(): void
    {
        config(['session.driver' => 'database']);
        $rows = fn (): int => DB::table('sessions')->count();
        $before = $rows();
        $this->getJson('/api/v1/session')->assertOk()->assertCookieMissing('iron_start');
        $this->withoutVite()->get('/')->assertOk()->assertCookieMissing('iron_start');
        $this->getJson('/api/v1/today')->assertUnauthorized();
        $this->postJson('/api/v1/session', ['email' => 'nobody@example.test', 'password' => 'x'])->assertStatus(422);
        $this->getJson('/api/v1/owner/1.' . str_repeat('a', 43))->assertStatus(410);
        self::assertSame($before, $rows());
        $person = $this->person(Role::Lead);
        $in = $this->postJson('/api/v1/session', ['email' => $person->email, 'password' => 'correct horse'])->assertOk()->assertCookie('iron_start')->assertCookie('XSRF-TOKEN');
        self::assertSame($before + 1, $rows());
        $this->withCredentials()->withUnencryptedCookies(['iron_start' => (string) $in->getCookie('iron_start', false)?->getValue()])->deleteJson('/api/v1/session', [], ['X-Person' => (string) $person->id])->assertNoContent();
        self::assertSame($before, $rows());
    }

    public function testNobodySignsSomebodyInFromAPageOfAnotherAddress(): void
    {
        $person = $this->person(Role::Lead);
        $entry = ['email' => $person->email, 'password' => 'correct horse'];
        foreach ([['Origin' => 'https://elsewhere.example'], ['Origin' => 'null'], ['Sec-Fetch-Site' => 'cross-site'], ['Sec-Fetch-Site' => 'same-site']] as $headers) {
            $this->postJson('/api/v1/session', $entry, $headers)->assertStatus(419);
        }
        $this->postJson('/api/v1/session', $entry, ['Origin' => rtrim(url('/'), '/'), 'Sec-Fetch-Site' => 'same-origin'])->assertOk();
    }

    public function testWithoutTheDemoNobodySignsInWithOnePress(): void
    {
        self::assertFalse(Company::query()->where('is_demo', true)->exists());
        $person = $this->person(Role::Lead);
        $this->postJson('/api/v1/session/demo', ['name' => $person->name])->assertNotFound();
        $this->getJson('/api/v1/session')->assertJsonPath('demo', []);
    }

    public function testTheApplicationsRoleOwnsNothingAndSwitchesNothingOff(): void
    {
        self::assertSame('ironstart_app', DB::scalar('SELECT current_user'));
        $role = DB::selectOne('SELECT rolsuper, rolcreaterole, rolcreatedb, rolbypassrls FROM pg_roles WHERE rolname = current_user');
        self::assertSame([false, false, false, false], array_values((array) $role));
        self::assertSame(0, DB::scalar("SELECT count(*) FROM pg_class c JOIN pg_roles r ON r.oid = c.relowner WHERE r.rolname = 'ironstart_app'"));
        $once = array_column(DB::select("SELECT DISTINCT c.relname FROM pg_trigger t JOIN pg_class c ON c.oid = t.tgrelid WHERE t.tgname LIKE '%_once'"), 'relname');
        self::assertEqualsCanonicalizing(['entries', 'verdicts', 'readings', 'start_presses', 'put_backs', 'put_back_closings', 'put_backs_left', 'suspect_marks', 'notes', 'overrides', 'chain_links', 'sign_ins', 'office_log', 'sheet_versions'], $once);
        $tries = ['CREATE TABLE mine (id int)', 'DROP FUNCTION refuse_change()', "SET session_replication_role = 'replica'", 'DELETE FROM migrations', 'CREATE OR REPLACE FUNCTION refuse_change() RETURNS trigger LANGUAGE plpgsql AS $$ BEGIN RETURN NEW; END $$'];
        foreach ($once as $table) {
            array_push($tries, "ALTER TABLE $table DISABLE TRIGGER USER", "DROP TRIGGER {$table}_once ON $table", "TRUNCATE $table", "UPDATE $table SET company_id = company_id", "DELETE FROM $table", "ALTER TABLE $table OWNER TO ironstart_app");
        }
        foreach ($tries as $try) {
            self::assertSame('42501', $this->refused($try), $try);
        }
        // Whoever owns the tables finds them closed too.
        $this->asOwner();
        foreach ($once as $table) {
            self::assertSame('23001', $this->refused("TRUNCATE $table CASCADE"), "TRUNCATE $table");
        }
    }

    public function testAnInstanceIsWholeWithItsTablesGuardsSettingsAndChains(): void
    {
        $lead = $this->person(Role::Lead);
        $machine = $this->machine($lead);
        $this->record($lead, $machine, 'power.rotation', ['meter' => 'cba'])->assertCreated();
        $record = DB::table('machines')->where('id', $machine->id)->value('record_id');
        $said = function (): array {
            app(CurrentCompany::class)->set(null);

            return [Artisan::call('instance:check'), Artisan::output()];
        };
        self::assertSame([0, "whole: 1 machines, each as it was written\n"], $said());
        $this->asOwner();
        DB::statement('ALTER TABLE verdicts DISABLE TRIGGER verdicts_once');
        self::assertSame([1, "the guard verdicts_once is missing or switched off\n1 faults\n"], $said());
        DB::table('verdicts')->where('machine_id', $machine->id)->update(['status' => 'clear']);
        DB::statement('ALTER TABLE verdicts ENABLE TRIGGER verdicts_once');
        self::assertSame([1, "RTU-9 (record {$record}): Entry 1 is not as it was written.\n1 faults\n"], $said());
        DB::statement('ALTER TABLE start_presses RENAME TO pressed');
        self::assertStringContainsString('the table start_presses is missing', $said()[1]);
    }

    /** The state with which the database refuses; '' when it does not. */
    private function refused(string $statement): string
    {
        try {
            DB::transaction(fn () => DB::unprepared($statement));
        } catch (QueryException $refused) {
            return (string) $refused->getCode();
        }

        return '';
    }

    /** @return iterable<string, array{string, array<string, mixed>}> what is typed, and members that are not for typing */
    public static function writes(): iterable
    {
        yield 'machine' => ['jobs/{job}/machines', ['name' => 'New', 'company_id' => 1, 'last_at' => 99, 'digest' => 'x', 'record_id' => 'y', 'version' => 7]];
        yield 'site' => ['sites', ['name' => 'New', 'company_id' => 1, 'id' => 5, 'version' => 7]];
        yield 'instrument' => ['instruments', ['name' => 'New', 'kind' => 'meter', 'company_id' => 1]];
        yield 'person' => ['people', ['name' => 'New', 'email' => 'new@example.test', 'role' => 'helper', 'company_id' => 1, 'is_active' => false]];
    }

    /** @param array<string, mixed> $body */
    #[DataProvider('writes')]
    public function testNobodyWritesWhatIsNotForTyping(string $path, array $body): void
    {
        $lead = $this->person(Role::Lead);
        $machine = $this->machine($lead);
        $told = $this->write($lead, strtr($path, ['{job}' => (string) $machine->site_job_id]), $body)->assertStatus(422);
        self::assertStringContainsString('is not used here', $told->json('detail'));
        $rows = fn (string $table): int => DB::table($table)->where('name', 'New')->count();
        self::assertSame(0, $rows('machines') + $rows('sites') + $rows('instruments') + $rows('invitations'));
        $typed = array_intersect_key($body, array_flip(['name', 'kind', 'email', 'role']));
        $this->write($lead, strtr($path, ['{job}' => (string) $machine->site_job_id]), $typed)->assertCreated();
    }

    public function testAPasswordIsKeptAsAHashAndNeverTold(): void
    {
        $lead = $this->person(Role::Lead);
        self::assertStringStartsWith('$argon2id$', (string) DB::table('users')->where('id', $lead->id)->value('password'));
        app(CurrentCompany::class)->set(null);
        $told = (string) $this->actingAs($lead)->getJson('/api/v1/people')->assertOk()->getContent();
        self::assertStringNotContainsString('$argon2', $told);
        self::assertStringNotContainsString('password"', $told);
    }
}
