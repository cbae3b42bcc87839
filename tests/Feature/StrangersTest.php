<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Machine;
use App\Support\CurrentCompany;
use App\Support\Role;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;

/** Nobody sees another company's data, and nobody does what their role may not. */
final class StrangersTest extends FeatureTestCase
{
    public function testEveryAddressOfAMachineIsNotToBeFoundByAStranger(): void
    {
        $owner = $this->person(Role::Starter);
        $machine = $this->machine($owner);
        $lock = $this->record($owner, $machine, 'power.lockout', self::lockout())->json('putBack');
        $tried = 0;
        foreach (Role::cases() as $role) {
            $stranger = $this->person($role);
            $own = $this->machine($this->person(Role::Lead, $stranger->company), 'own');
            foreach ($this->routesWith('{machine}') as [$method, $uri]) {
                $path = strtr($uri, ['{machine}' => (string) $machine->id, '{page}.{form}' => 'options.pdf', '{check}' => 'power.voltage', '{putBack}' => (string) $lock, '{at}' => '1', '{clock}' => '1', '{item}' => '1', '{asked}' => '1', '{link}' => '1', '{invitation}' => '1']);
                app(CurrentCompany::class)->set(null);
                $answer = $this->actingAs($stranger)->json($method, "/$path", ['text' => 'x', 'word' => 'x', 'at' => 1, 'reason' => 'x', 'input' => []], ['Idempotency-Key' => "stranger-$role->value-$tried", 'X-Person' => (string) $stranger->id]);
                self::assertSame(404, $answer->status(), "$method $path as $role->value");
                $tried++;
            }
            if ($role->may('close_own_put_back')) {
                $this->write($stranger, "machines/$own->id/put-back/$lock/close", ['word' => 'x'])->assertNotFound();
            }
        }
        self::assertGreaterThan(20, $tried);
    }

    public function testNobodyIsLetInUnknown(): void
    {
        foreach ($this->routesWith('api/v1') as [$method, $uri]) {
            // These let in whoever holds a secret, and say 410 to everybody else.
            if (str_starts_with($uri, 'api/v1/session') || str_starts_with($uri, 'api/v1/owner/')) {
                continue;
            }
            $path = strtr($uri, ['{machine}' => '1', '{page}.{form}' => 'options.pdf', '{check}' => 'power.voltage', '{putBack}' => '1', '{at}' => '1', '{clock}' => '1', '{item}' => '1', '{asked}' => '1', '{instrument}' => '1', '{name}' => 'record', '{person}' => '1', '{site}' => '1', '{job}' => '1', '{link}' => '1', '{invitation}' => '1', '{table}' => 'sites', '{sheet}' => '1', '{version}' => '1']);
            self::assertSame(401, $this->json($method, "/$path")->status(), "$method $path");
        }
    }

    public function testOnlyThoseOnAJobSeeItUnlessTheirRoleSeesAll(): void
    {
        $starter = $this->person(Role::Starter);
        $machine = $this->machine($starter);
        foreach ([[Role::Helper, 404], [Role::Starter, 404], [Role::Lead, 200], [Role::Office, 200]] as [$role, $status]) {
            app(CurrentCompany::class)->set(null);
            $this->actingAs($this->person($role, $starter->company))->getJson("/api/v1/machines/$machine->id")->assertStatus($status);
        }
    }

    public function testWhatARoleMayNotDoIsRefused(): void
    {
        $starter = $this->person(Role::Starter);
        $machine = $this->machine($starter);
        $helper = $this->on($machine, Role::Helper, $starter);
        $office = $this->on($machine, Role::Office, $starter);
        $this->record($starter, $machine, 'power.lockout', self::lockout())->assertCreated();
        $this->write($helper, "machines/$machine->id/starts")->assertForbidden();
        $this->write($office, "machines/$machine->id/starts")->assertForbidden();
        $this->record($office, $machine, 'power.lockout', self::lockout())->assertForbidden();
        $this->write($office, "machines/$machine->id/notes", ['text' => 'x'])->assertForbidden();
        $this->write($helper, "machines/$machine->id/suspects", ['at' => 1, 'reason' => 'not mine'])->assertForbidden();
        $lock = DB::table('put_backs')->where('machine_id', $machine->id)->value('id');
        $this->write($helper, "machines/$machine->id/put-back/$lock/close", ['word' => 'x'])->assertForbidden();
        $this->record($helper, $machine, 'power.lockout', ['lock_id' => '8'] + self::lockout())->assertCreated();
        $this->write($helper, "machines/$machine->id/suspects", ['at' => 2, 'reason' => 'mine'])->assertCreated();
    }

    public function testAQueryBeforeAnybodySignedInFindsNothingButAnError(): void
    {
        app(CurrentCompany::class)->set(null);
        $this->expectException(\LogicException::class);
        Machine::query()->count();
    }

    public function testTheCompanyLeadsEveryUniqueAndCompositeIndex(): void
    {
        $own = ['migrations', 'sessions', 'cache', 'cache_locks', 'companies', 'users'];
        $indexes = DB::select("SELECT tablename, indexname, indexdef FROM pg_indexes WHERE schemaname = 'public'");
        foreach ($indexes as $index) {
            preg_match('/\((.*)\)$/', $index->indexdef, $columns);
            if (in_array($index->tablename, $own, true) || ($columns[1] ?? '') === 'id') {
                continue;
            }
            self::assertStringStartsWith('company_id', $columns[1], $index->indexname);
        }
        foreach (DB::select("SELECT table_name FROM information_schema.tables WHERE table_schema = 'public'") as $table) {
            $has = DB::table('information_schema.columns')->where('table_name', $table->table_name)->where('column_name', 'company_id')->exists();
            self::assertTrue($has || in_array($table->table_name, ['migrations', 'sessions', 'cache', 'cache_locks', 'companies'], true), $table->table_name);
        }
    }

    private function on(Machine $machine, Role $role, \App\Models\User $colleague): \App\Models\User
    {
        $person = $this->person($role, $colleague->company);
        app(CurrentCompany::class)->as($colleague->company_id, fn () => $machine->job->people()->attach($person->id));

        return $person;
    }

    /** @return iterable<array{string, string}> */
    private function routesWith(string $part): iterable
    {
        foreach (Route::getRoutes() as $route) {
            if (str_contains($route->uri(), $part)) {
                yield [$route->methods()[0], $route->uri()];
            }
        }
    }
}
