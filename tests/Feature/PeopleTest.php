<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\User;
use App\Support\Courier;
use App\Support\CurrentCompany;
use App\Support\Role;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;

/** Who gets in, who is let go, and that a lead always remains. */
final class PeopleTest extends FeatureTestCase
{
    public function testALinkLetsSomebodyInOnceAndIsKeptNowhere(): void
    {
        $lead = $this->person(Role::Lead);
        $path = $this->write($lead, 'people', ['name' => 'Pia Stone', 'email' => 'Pia@Example.test', 'role' => 'helper'])->assertCreated()->json('path');
        $token = substr($path, strlen('/join/'));
        self::assertStringNotContainsString($token, (string) json_encode([DB::table('invitations')->get(), DB::table('idempotency_keys')->get(), DB::table('office_log')->get()]));
        auth()->guard('web')->logout();
        $this->open('session/link', ['token' => $token])->assertOk()->assertExactJson(['kind' => 'invite', 'name' => 'Pia Stone', 'email' => 'pia@example.test', 'role' => 'helper']);
        $this->open('session/join', ['token' => $token, 'password' => 'short'])->assertStatus(422)->assertJsonPath('field', 'password');
        $this->open('session/join', ['token' => $token, 'password' => 'four plain words here'])->assertOk()->assertJsonPath('person.name', 'Pia Stone')->assertJsonPath('company', $lead->company->name);
        $this->open('session/join', ['token' => $token, 'password' => 'four plain words here'])->assertStatus(410);
        $this->open('session/link', ['token' => $token])->assertStatus(410);
        foreach (['x', '1.' . str_repeat('a', 43), substr($token, 0, -1) . (str_ends_with($token, 'A') ? 'B' : 'A')] as $no) {
            $this->open('session/link', ['token' => $no])->assertStatus(410);
        }
        $this->flushSession();
        $this->write($lead, 'people', ['name' => 'Pia', 'email' => 'pia@example.test', 'role' => 'helper'])->assertStatus(422)->assertJsonPath('field', 'email');
        $this->write($lead, 'people', ['name' => 'Pia', 'email' => 'pia', 'role' => 'helper'])->assertStatus(422)->assertJsonPath('field', 'email');
        $this->write($lead, 'people', ['name' => 'Pia', 'email' => 'p2@example.test', 'role' => 'owner'])->assertStatus(422)->assertJsonPath('field', 'role');
    }

    public function testTheLinkIsMailedWhereAMailProgramIsConfigured(): void
    {
        $lead = $this->person(Role::Lead);
        $body = fn (string $email): array => ['name' => 'Pia', 'email' => $email, 'role' => 'helper'];
        $box = (string) tempnam(sys_get_temp_dir(), 'mail');
        $this->app?->instance(Courier::class, new Courier('cat > ' . escapeshellarg($box), 'office@example.test'));
        $path = $this->write($lead, 'people', $body('p2@example.test'))->assertCreated()->assertJsonPath('mailed', true)->json('path');
        [$head, $text] = explode("\r\n\r\n", (string) file_get_contents($box), 2);
        self::assertStringContainsString("To: p2@example.test\r\n", $head);
        self::assertStringContainsString($path, (string) base64_decode($text, true));
        self::assertFalse((new Courier('', 'a@example.test'))->send('p@example.test', 'x', 'y'));
        self::assertFalse((new Courier('false', 'a@example.test'))->send('p@example.test', 'x', 'y'));
        self::assertFalse((new Courier('cat', 'a@example.test'))->send("p@example.test\r\nBcc: all@example.test", 'x', 'y'));
        unlink($box);
    }

    public function testALinkEnds(): void
    {
        $lead = $this->person(Role::Lead);
        $token = substr($this->write($lead, 'people', ['name' => 'Pia', 'email' => 'pia@example.test', 'role' => 'helper'])->json('path'), 6);
        $this->travelTo(CarbonImmutable::now()->addDays(8));
        $this->open('session/link', ['token' => $token])->assertStatus(410);
        $this->travelBack();
    }

    public function testANewPasswordSignsOutEverybodyWhoWasInBefore(): void
    {
        $lead = $this->person(Role::Lead);
        $helper = $this->person(Role::Helper, $lead->company);
        $token = substr($this->write($lead, "people/$helper->id/reset")->assertCreated()->json('path'), 6);
        $this->open('session/join', ['token' => $token, 'password' => 'another long password'])->assertOk();
        self::assertSame(1, $helper->refresh()->session_epoch);
        // A session that knows of no sign-out since is not let in.
        app(CurrentCompany::class)->set(null);
        $this->actingAs($helper)->withSession(['epoch' => 0])->getJson('/api/v1/today')->assertUnauthorized();
        $this->actingAs($helper)->withSession(['epoch' => 1])->getJson('/api/v1/today')->assertOk();
        $this->actingAs($helper)->withSession(['epoch' => 0])->getJson('/api/v1/session')->assertOk()->assertJsonPath('person', null);
        $this->flushSession();
        $this->write($lead, "people/$helper->id/sign-out")->assertCreated();
        app(CurrentCompany::class)->set(null);
        $this->actingAs($helper->refresh())->withSession(['epoch' => 1])->getJson('/api/v1/today')->assertUnauthorized();
    }

    public function testAtLeastOneLeadRemains(): void
    {
        $lead = $this->person(Role::Lead);
        $this->write($lead, "people/$lead->id/role", ['role' => 'starter'])->assertStatus(409);
        $this->write($lead, "people/$lead->id/active", ['active' => false])->assertStatus(409);
        $second = $this->person(Role::Lead, $lead->company);
        $this->write($second, "people/$lead->id/role", ['role' => 'starter'])->assertCreated();
        $this->write($second, "people/$second->id/active", ['active' => false])->assertStatus(409);
    }

    public function testWhoIsALeadIsAMatterOfLeads(): void
    {
        $lead = $this->person(Role::Lead);
        $this->person(Role::Lead, $lead->company);
        $office = $this->person(Role::Office, $lead->company);
        $helper = $this->person(Role::Helper, $lead->company);
        $invite = ['name' => 'Pia', 'email' => 'pia@example.test', 'role' => 'lead'];
        $refused = $this->write($office, 'people', $invite)->assertForbidden();
        self::assertSame('Only a lead makes somebody a lead, changes a lead\'s role, deactivates a lead or gives a lead a new password.', $refused->json('detail'));
        foreach ([["people/$office->id/role", ['role' => 'lead']], ["people/$helper->id/role", ['role' => 'lead']], ["people/$lead->id/role", ['role' => 'starter']], ["people/$lead->id/active", ['active' => false]], ["people/$lead->id/reset", []]] as [$path, $body]) {
            $this->write($office, $path, $body)->assertForbidden();
        }
        $this->write($office, "people/$helper->id/role", ['role' => 'starter'])->assertCreated();
        $this->write($office, "people/$helper->id/reset")->assertCreated();
        $this->write($office, "people/$lead->id/sign-out")->assertCreated();
        $this->write($lead, 'people', $invite)->assertCreated();
        $this->write($lead, "people/$helper->id/role", ['role' => 'lead'])->assertCreated();
    }

    public function testANewPasswordOrRoleEndsEveryEarlierLinkAndSession(): void
    {
        $lead = $this->person(Role::Lead);
        $helper = $this->person(Role::Helper, $lead->company);
        $made = fn (): string => substr($this->write($lead, "people/$helper->id/reset")->assertCreated()->json('path'), 6);
        [$first, $second] = [$made(), $made()];
        $this->open('session/join', ['token' => $second, 'password' => 'another long password'])->assertOk();
        $this->open('session/join', ['token' => $first, 'password' => 'another long password'])->assertStatus(410);
        $this->flushSession();
        $third = $made();
        $epoch = $helper->refresh()->session_epoch;
        $this->write($lead, "people/$helper->id/role", ['role' => 'starter'])->assertCreated();
        self::assertSame($epoch + 1, $helper->refresh()->session_epoch);
        $this->open('session/link', ['token' => $third])->assertStatus(410);
        // To say again what somebody is already ends nothing.
        $fourth = $made();
        $this->write($lead, "people/$helper->id/role", ['role' => 'starter'])->assertCreated();
        $this->open('session/link', ['token' => $fourth])->assertOk();
        $this->write($lead, "people/$helper->id/active", ['active' => false])->assertCreated();
        $this->open('session/link', ['token' => $fourth])->assertStatus(410);
    }

    public function testLinksAreListedWithdrawnAndEndWithTheirMaker(): void
    {
        $lead = $this->person(Role::Lead);
        $office = $this->person(Role::Office, $lead->company);
        $helper = $this->person(Role::Helper, $lead->company);
        $token = fn (TestResponse $made): string => substr($made->assertCreated()->json('path'), 6);
        $invite = $token($this->write($lead, 'people', ['name' => 'Pia', 'email' => 'pia@example.test', 'role' => 'lead']));
        $reset = $token($this->write($office, "people/$helper->id/reset"));
        $listed = $this->read($lead, 'people')->json('invited');
        self::assertSame([['invite', 'Pia', 'Some lead'], ['reset', 'Some helper', 'Some office']], array_map(fn (array $i): array => [$i['kind'], $i['name'], $i['by']], $listed));
        $this->write($office, "people/links/{$listed[0]['id']}/withdraw")->assertCreated()->assertJsonCount(1, 'invited');
        $this->open('session/link', ['token' => $invite])->assertStatus(410);
        $this->open('session/link', ['token' => $reset])->assertOk();
        // Whoever made it is no more in the office: it lets nobody in, and is not listed.
        $this->write($lead, "people/$office->id/role", ['role' => 'helper'])->assertCreated()->assertJsonCount(0, 'invited');
        $this->open('session/link', ['token' => $reset])->assertStatus(410);
        $stranger = $this->person(Role::Lead);
        $this->write($stranger, "people/links/{$listed[1]['id']}/withdraw")->assertNotFound();
    }

    public function testWhoIsLetGoIsOutAndSignsInNoMore(): void
    {
        $lead = $this->person(Role::Lead);
        $helper = $this->person(Role::Helper, $lead->company);
        $this->write($lead, "people/$helper->id/active", ['active' => false])->assertCreated();
        app(CurrentCompany::class)->set(null);
        $this->actingAs($helper->refresh())->getJson('/api/v1/today')->assertUnauthorized();
        auth()->guard('web')->logout();
        $this->open('session', ['email' => $helper->email, 'password' => 'correct horse'])->assertStatus(422);
        $list = $this->read($lead, 'people')->assertOk();
        self::assertSame([['Some helper', 'password', false]], array_map(fn (array $s): array => [$s['name'], $s['how'], $s['ok']], $list->json('signIns')));
        self::assertFalse(array_column($list->json('people'), 'active', 'name')['Some helper']);
    }

    public function testNobodyOfAnotherCompanyIsFound(): void
    {
        $lead = $this->person(Role::Lead);
        $stranger = $this->person(Role::Helper);
        foreach (['reset', 'role', 'active', 'sign-out'] as $what) {
            $this->write($lead, "people/$stranger->id/$what", ['role' => 'lead', 'active' => false])->assertNotFound();
        }
    }

    public function testTheCompanyIsChangedByVersion(): void
    {
        $lead = $this->person(Role::Lead);
        $now = $this->read($lead, 'company')->assertOk();
        $change = ['version' => 1, 'name' => 'Brass & Oak', 'units' => 'si', 'timeZone' => 'America/Denver', 'facts' => ['on_roof']];
        $this->write($lead, 'company', $change)->assertCreated()->assertJsonPath('name', 'Brass & Oak')->assertJsonPath('version', 2)->assertJsonPath('fingerprint', $now->json('fingerprint'));
        $this->write($lead, 'company', $change)->assertStatus(409)->assertJsonPath('theirs.words', 'Brass & Oak, si, America/Denver');
        $this->write($lead, 'company', ['version' => 2, 'timeZone' => 'Mars'] + $change)->assertStatus(422)->assertJsonPath('field', 'timeZone');
    }

    /**
     * @param array<string, mixed> $body
     * @return TestResponse<\Symfony\Component\HttpFoundation\Response>
     */
    private function open(string $path, array $body): TestResponse
    {
        app(CurrentCompany::class)->set(null);

        return $this->postJson("/api/v1/$path", $body);
    }

    /** @return TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function read(User $person, string $path): TestResponse
    {
        app(CurrentCompany::class)->set(null);

        return $this->actingAs($person)->getJson("/api/v1/$path");
    }
}
