<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Company;
use App\Support\Role;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;

final class SessionTest extends FeatureTestCase
{
    public function testNameAndPasswordMustBelongTogether(): void
    {
        $person = $this->person(Role::Lead);
        $this->postJson('/api/v1/session', ['email' => $person->email, 'password' => 'wrong'])->assertStatus(422)->assertJsonPath('type', '/problems/wrong-sign-in');
        $this->postJson('/api/v1/session', ['email' => strtoupper($person->email), 'password' => 'correct horse'])->assertOk()->assertJsonPath('person.role', 'lead');
        $this->getJson('/api/v1/session')->assertJsonPath('person.name', $person->name);
    }

    public function testAfterFiveWrongTriesOneMustWait(): void
    {
        $person = $this->person(Role::Lead);
        for ($i = 0; $i < 5; $i++) {
            $this->postJson('/api/v1/session', ['email' => $person->email, 'password' => 'wrong'])->assertStatus(422);
        }
        $this->postJson('/api/v1/session', ['email' => $person->email, 'password' => 'correct horse'])->assertStatus(429)->assertJsonPath('type', '/problems/too-often');
    }

    public function testOnePressWorksOnlyForTheDemo(): void
    {
        $person = $this->person(Role::Starter);
        $this->postJson('/api/v1/session/demo', ['name' => $person->name])->assertNotFound();
        DB::table('companies')->update(['is_demo' => false]);
        Company::query()->whereKey($person->company_id)->update(['is_demo' => true]);
        $this->getJson('/api/v1/session')->assertJsonPath('demo.0.name', $person->name);
        $this->postJson('/api/v1/session/demo', ['name' => $person->name])->assertOk()->assertJsonPath('person.id', $person->id);
    }

    public function testTheFirstLeadIsMadeFromTheCommandLine(): void
    {
        $make = fn (string $email): int => Artisan::call('company:create', ['company' => 'Slate & Sons', 'person' => 'Ada Quill', 'email' => $email]);
        self::assertSame(0, $make('Ada@slate.example'));
        $password = trim((string) strrchr(Artisan::output(), ' '));
        $this->postJson('/api/v1/session', ['email' => 'ada@slate.example', 'password' => $password])->assertOk()->assertJsonPath('person.role', 'lead')->assertJsonPath('company', 'Slate & Sons');
        self::assertSame(1, $make('ada@slate.example'), 'once');
        self::assertSame(1, $make('no address'));
    }

    public function testHowOneLikesItIsKept(): void
    {
        $person = $this->person(Role::Helper);
        $mine = ['X-Person' => (string) $person->id];
        $this->actingAs($person)->patchJson('/api/v1/me', ['units' => 'si', 'theme' => 'dark', 'fieldUnits' => ['length' => 'ft']], $mine)->assertOk()->assertJsonPath('person.fieldUnits.length', 'ft');
        $this->actingAs($person)->patchJson('/api/v1/me', ['units' => 'imperial'], $mine)->assertStatus(422)->assertJsonPath('field', 'units');
        $this->actingAs($person)->patchJson('/api/v1/me', ['fieldUnits' => ['length' => 'psig']], $mine)->assertStatus(422)->assertJsonPath('field', 'fieldUnits.length');
    }
}
