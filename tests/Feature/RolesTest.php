<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Instrument;
use App\Support\CurrentCompany;
use App\Support\Role;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use PHPUnit\Framework\Attributes\DataProvider;

/** Every address × every role, by the one table of rights. */
final class RolesTest extends FeatureTestCase
{
    /** @return iterable<string, array{Role}> */
    public static function roles(): iterable
    {
        foreach (Role::cases() as $role) {
            yield $role->value => [$role];
        }
    }

    #[DataProvider('roles')]
    public function testWhatTheTableRefusesIsRefusedAndNothingElse(Role $role): void
    {
        $lead = $this->person(Role::Lead);
        $machine = $this->machine($lead);
        $person = $this->person($role, $lead->company);
        app(CurrentCompany::class)->as($lead->company_id, fn () => $machine->job->people()->attach($person->id));
        $this->record($lead, $machine, 'power.lockout', self::lockout())->assertCreated();
        $tool = app(CurrentCompany::class)->as($lead->company_id, fn (): int => Instrument::query()->create(['name' => 'T-1', 'kind' => 'meter'])->id);
        $this->write($lead, 'people', ['name' => 'Pia', 'email' => 'pia@example.test', 'role' => 'helper'])->assertCreated();
        $ids = [
            '{machine}' => (string) $machine->id, '{check}' => 'power.voltage', '{putBack}' => (string) DB::table('put_backs')->where('machine_id', $machine->id)->value('id'), '{person}' => (string) $person->id,
            '{site}' => (string) $machine->job->site_id, '{job}' => (string) $machine->site_job_id, '{table}' => 'sites', '{sheet}' => (string) DB::table('sheets')->where('company_id', $lead->company_id)->value('id'),
            '{version}' => '1', '{at}' => '1', '{clock}' => '1', '{item}' => '1', '{asked}' => '1', '{instrument}' => (string) $tool, '{link}' => '1', '{invitation}' => (string) DB::table('invitations')->where('company_id', $lead->company_id)->value('id'),
        ];
        $tried = 0;
        foreach (Route::getRoutes() as $route) {
            $rights = array_filter($route->gatherMiddleware(), fn (mixed $m): bool => is_string($m) && str_starts_with($m, 'role:'));
            if ($rights === []) {
                continue;
            }
            $may = array_filter($rights, fn (string $m): bool => ! $role->may(substr($m, strlen('role:')))) === [];
            $method = $route->methods()[0];
            app(CurrentCompany::class)->set(null);
            $status = $this->actingAs($person->refresh())->json($method, '/' . strtr($route->uri(), $ids), [], ['Idempotency-Key' => "roles-$role->value-" . ++$tried, 'X-Device' => 'test', 'X-Person' => (string) $person->id])->getStatusCode();
            self::assertSame($may, $status !== 403, "$method {$route->uri()} as $role->value: $status");
            self::assertNotSame(500, $status, "$method {$route->uri()} as $role->value");
        }
        self::assertGreaterThan(40, $tried);
    }
}
