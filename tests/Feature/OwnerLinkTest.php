<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Machine;
use App\Models\User;
use App\Support\CurrentCompany;
use App\Support\Role;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;

/** What an owner reads, through what, and until when. */
final class OwnerLinkTest extends FeatureTestCase
{
    private User $lead;

    private Machine $machine;

    protected function setUp(): void
    {
        parent::setUp();
        $this->lead = $this->person(Role::Lead);
        $this->machine = $this->machine($this->lead);
        $this->record($this->lead, $this->machine, 'power.lockout', self::lockout())->assertCreated();
    }

    public function testItShowsTheOneRecordToWhoeverHoldsItAndIsKeptHashed(): void
    {
        $token = $this->link();
        self::assertStringNotContainsString(explode('.', $token)[1], (string) json_encode([DB::table('owner_links')->get(), DB::table('idempotency_keys')->get(), DB::table('office_log')->get()]));
        $shown = $this->open($token)->assertOk()->assertJsonPath('machine', 'RTU-9')->assertHeader('X-Robots-Tag', 'noindex, nofollow')->assertHeader('Referrer-Policy', 'no-referrer');
        self::assertStringContainsString('no-store', (string) $shown->headers->get('Cache-Control'));
        $this->open("$token/record.pdf")->assertOk()->assertHeader('Content-Type', 'application/pdf');
        self::assertNotNull($this->links()->json('links.0.openedAt'));
    }

    public function testPicturesAreCountedApartFromTheRecordAndDoNotOpenIt(): void
    {
        $token = $this->link();
        for ($i = 0; $i < 61; $i++) {
            $this->open("$token/photos/1")->assertNotFound();
        }
        self::assertNull($this->links()->json('links.0.openedAt'));
        for ($i = 0; $i < 60; $i++) {
            $this->open($token)->assertOk();
        }
        $this->open($token)->assertStatus(429);
        $this->open("$token/photos/1")->assertNotFound();
        self::assertNotNull($this->links()->json('links.0.openedAt'));
    }

    public function testAfterWithdrawalAndAfterItsDaysItOpensNothing(): void
    {
        $token = $this->link();
        $id = $this->links()->json('links.0.id');
        $office = $this->person(Role::Office, $this->lead->company);
        $this->write($office, "machines/{$this->machine->id}/owner-links/$id/withdraw")->assertForbidden();
        $this->write($this->lead, "machines/{$this->machine->id}/owner-links/$id/withdraw")->assertCreated();
        $this->write($this->lead, "machines/{$this->machine->id}/owner-links/$id/withdraw")->assertStatus(409);
        $this->open($token)->assertStatus(410)->assertJsonPath('title', 'This link no longer works');
        $this->open("$token/record.pdf")->assertStatus(410);
        $this->open("$token/photos/1")->assertStatus(410);
        $other = $this->link();
        $this->travelTo(CarbonImmutable::now()->addDays(31));
        $this->open($other)->assertStatus(410);
        $this->travelBack();
    }

    public function testGuessesOpenNothingAndAreSlowedDown(): void
    {
        $token = $this->link();
        foreach (['x', '1.' . str_repeat('a', 43), $this->lead->company_id . '.' . str_repeat('a', 43), substr($token, 0, -2)] as $guess) {
            $this->open($guess)->assertStatus(410);
        }
        for ($i = 0, $status = 0; $i < 70 && $status !== 429; $i++) {
            $status = $this->open('x')->status();
        }
        self::assertSame(429, $status);
    }

    public function testItReadsAndDoesNothingElse(): void
    {
        $token = $this->link();
        app(CurrentCompany::class)->set(null);
        auth()->guard('web')->logout();
        $this->postJson("/api/v1/owner/$token", [])->assertStatus(405);
        $this->getJson("/api/v1/machines/{$this->machine->id}")->assertUnauthorized();
        $this->write($this->lead, "machines/{$this->machine->id}/owner-links", ['forWhom' => 'Owner', 'days' => 0])->assertStatus(422)->assertJsonPath('field', 'days');
        $this->write($this->person(Role::Helper, $this->lead->company), "machines/{$this->machine->id}/owner-links", ['forWhom' => 'Owner', 'days' => 3])->assertNotFound();
    }

    private function link(): string
    {
        $path = $this->write($this->lead, "machines/{$this->machine->id}/owner-links", ['forWhom' => 'The owner', 'days' => 30])->assertCreated()->json('path');

        return substr($path, strlen('/owner/'));
    }

    /** @return TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function links(): TestResponse
    {
        app(CurrentCompany::class)->set(null);

        return $this->actingAs($this->lead)->getJson("/api/v1/machines/{$this->machine->id}/owner-links")->assertOk();
    }

    /** @return TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function open(string $rest): TestResponse
    {
        app(CurrentCompany::class)->set(null);

        return $this->getJson("/api/v1/owner/$rest");
    }
}
