<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Company;
use App\Support\Role;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;

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
            $this->tried($person->email, 'wrong')->assertStatus(422);
        }
        $this->tried($person->email, 'correct horse')->assertStatus(429)->assertJsonPath('type', '/problems/too-often');
        $this->travel(61)->seconds();
        $this->tried($person->email, 'correct horse')->assertOk();
    }

    public function testGuessingFromEverywhereEndsAndLocksNobodyOutWhoWasInBefore(): void
    {
        $person = $this->person(Role::Lead);
        $known = $this->knownDevice($this->tried($person->email, 'correct horse')->assertOk());
        $this->travel(61)->seconds();
        for ($i = 0; $i < 20; $i++) {
            $this->tried($person->email, 'wrong', address: "203.0.113.$i")->assertStatus(422);
        }
        $this->tried($person->email, 'correct horse', address: '203.0.113.99')->assertStatus(429);
        // The device where they were let in before has a count of its own, and it has an end too.
        for ($i = 0; $i < 4; $i++) {
            $this->tried($person->email, 'wrong', $known)->assertStatus(422);
        }
        $this->tried($person->email, 'correct horse', $known)->assertOk();
        for ($i = 0; $i < 5; $i++) {
            $this->tried($person->email, 'wrong', $known)->assertStatus(422);
        }
        $this->tried($person->email, 'correct horse', $known)->assertStatus(429);
        // A device is known for its own people alone.
        $other = $this->person(Role::Lead);
        $theirs = $this->knownDevice($this->tried($other->email, 'correct horse', address: '198.51.100.7')->assertOk());
        $this->tried($person->email, 'correct horse', $theirs, '198.51.100.7')->assertStatus(429);
        $this->tried($person->email, 'correct horse', ['iron_start_known' => '{"device":"x","people":[' . $person->id . ']}'], '198.51.100.8')->assertStatus(429);
        $this->travel(15)->minutes();
        $this->tried($person->email, 'correct horse', address: '203.0.113.99')->assertOk();
    }

    public function testOneAddressGuessesSixtyTimesForAllNamesTogether(): void
    {
        for ($i = 0; $i < 60; $i++) {
            $this->tried("nobody$i@example.test", 'wrong', address: '203.0.113.5')->assertStatus(422);
        }
        $this->tried('nobody60@example.test', 'wrong', address: '203.0.113.5')->assertStatus(429);
        $this->tried('nobody61@example.test', 'wrong', address: '203.0.113.6')->assertStatus(422);
    }

    public function testALongPasswordCountsWhole(): void
    {
        $lead = $this->person(Role::Lead);
        $helper = $this->person(Role::Helper, $lead->company);
        $long = str_repeat('ü1234567', 16);
        $set = function (string $password) use ($lead, $helper): TestResponse {
            $token = substr($this->write($lead, "people/$helper->id/reset")->assertCreated()->json('path'), 6);
            auth()->guard('web')->logout();
            $this->flushSession();

            return $this->postJson('/api/v1/session/join', ['token' => $token, 'password' => $password]);
        };
        self::assertSame(128, mb_strlen($long));
        $set("{$long}x")->assertStatus(422)->assertJsonPath('accepted', 'a password of 10 to 128 characters');
        $set($long)->assertOk();
        $this->tried($helper->email, mb_substr($long, 0, 127) . 'x')->assertStatus(422);
        $this->tried($helper->email, $long)->assertOk();
    }

    public function testAPasswordOfBeforeIsReadOnceMoreAndKeptAnew(): void
    {
        $person = $this->person(Role::Lead);
        DB::table('users')->where('id', $person->id)->update(['password' => password_hash('correct horse', PASSWORD_BCRYPT, ['cost' => 4])]);
        $this->tried($person->email, 'correct horse')->assertOk();
        self::assertStringStartsWith('$argon2id$', (string) DB::table('users')->where('id', $person->id)->value('password'));
        $this->tried($person->email, 'correct horse')->assertOk();
    }

    public function testOnePressWorksOnlyForTheDemo(): void
    {
        $person = $this->person(Role::Starter);
        $this->postJson('/api/v1/session/demo', ['name' => $person->name])->assertNotFound();
        DB::table('companies')->update(['is_demo' => false]);
        Company::query()->whereKey($person->company_id)->update(['is_demo' => true]);
        // An instance that had the demo once, and is now for work.
        config(['iron.demo' => false]);
        $this->getJson('/api/v1/session')->assertJsonPath('demo', []);
        $this->postJson('/api/v1/session/demo', ['name' => $person->name])->assertNotFound();
        config(['iron.demo' => true]);
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

    /**
     * @param array<string, string> $cookies
     * @return TestResponse<\Symfony\Component\HttpFoundation\Response>
     */
    private function tried(string $email, string $password, array $cookies = [], string $address = '127.0.0.1'): TestResponse
    {
        $this->unencryptedCookies = [];

        return $this->withServerVariables(['REMOTE_ADDR' => $address])->withCredentials()->withUnencryptedCookies($cookies)->postJson('/api/v1/session', ['email' => $email, 'password' => $password]);
    }

    /**
     * What a device keeps of having been let in.
     *
     * @param TestResponse<\Symfony\Component\HttpFoundation\Response> $answer
     * @return array<string, string>
     */
    private function knownDevice(TestResponse $answer): array
    {
        $cookie = $answer->getCookie('iron_start_known', false);
        self::assertNotNull($cookie);
        self::assertSame([true, 'lax'], [$cookie->isHttpOnly(), $cookie->getSameSite()]);

        return ['iron_start_known' => (string) $cookie->getValue()];
    }
}
