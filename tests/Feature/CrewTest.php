<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Machine;
use App\Models\User;
use App\Support\CurrentCompany;
use App\Support\Role;
use Illuminate\Testing\TestResponse;

/** Clocks, open items, ready and ready, facts of the job, parts out of service. */
final class CrewTest extends FeatureTestCase
{
    private User $starter;

    private User $helper;

    private Machine $machine;

    protected function setUp(): void
    {
        parent::setUp();
        $this->starter = $this->person(Role::Starter);
        $this->helper = $this->person(Role::Helper, $this->starter->company);
        $this->machine = $this->machine($this->starter);
        app(CurrentCompany::class)->as($this->starter->company_id, fn () => $this->machine->job->people()->attach($this->helper->id));
    }

    public function testAClockIsSharedAndStopsOnce(): void
    {
        $at = $this->post_($this->helper, 'clocks', ['kind' => 'fire_watch', 'name' => 'Wall behind the duct'])->assertCreated()->json('at');
        $clock = $this->get_($this->starter, 'clocks')->assertOk()->json('clocks.0');
        self::assertSame(['Wall behind the duct', $at, 'Some helper'], [$clock['name'], $clock['at'], $clock['who']]);
        self::assertSame(3600, strtotime($clock['endsAt']) - strtotime($clock['startedAt']));
        $ics = $this->get_($this->starter, 'clocks.ics')->assertOk()->assertHeader('Content-Type', 'text/calendar; charset=utf-8')->getContent();
        self::assertStringContainsString('SUMMARY:RTU-9: Wall behind the duct', (string) $ics);
        self::assertStringContainsString('BEGIN:VALARM', (string) $ics);
        $this->post_($this->starter, "clocks/$at/stop", ['word' => 'cold'])->assertCreated();
        $second = $this->post_($this->helper, "clocks/$at/stop", ['word' => 'mine'])->assertStatus(409);
        self::assertSame(['Some starter', 'Wall behind the duct: cold'], [$second->json('theirs.who'), $second->json('theirs.words')]);
        $this->get_($this->starter, 'clocks')->assertJsonPath('clocks', []);
        $this->post_($this->starter, 'clocks', ['kind' => 'egg'])->assertStatus(422)->assertJsonPath('field', 'kind');
    }

    public function testWhatIsOutTooLongIsAClockToo(): void
    {
        $this->post_($this->starter, 'put-back', ['kind' => 'safety_bypassed', 'where' => 'low-pressure switch'])->assertCreated();
        $clock = $this->get_($this->starter, 'clocks')->json('clocks.0');
        self::assertSame(['put_back', 900], [$clock['kind'], strtotime($clock['endsAt']) - strtotime($clock['startedAt'])]);
        $stranger = $this->person(Role::Lead);
        $this->get_($stranger, 'clocks')->assertJsonPath('clocks', []);
        $this->get_($this->person(Role::Starter, $this->starter->company), 'clocks')->assertJsonPath('clocks', []);
    }

    public function testNobodyAnswersReadyForSomebodyElse(): void
    {
        $asked = $this->post_($this->starter, 'ready', ['what' => 'power on'])->assertCreated();
        self::assertSame('power on', $asked->json('machine.ready.what'));
        $this->post_($this->starter, "ready/{$asked->json('at')}", ['word' => ''])->assertStatus(409);
        $this->post_($this->helper, "ready/{$asked->json('at')}", ['word' => 'clear of the fan'])->assertCreated()->assertJsonPath('machine.ready', null)->assertJsonPath('machine.tape.0.headline', 'Ready. clear of the fan');
        $this->post_($this->helper, "ready/{$asked->json('at')}", ['word' => ''])->assertStatus(409);
    }

    public function testAnItemIsOwnedThenDoneAndHoldsTheHandoverUntilOwned(): void
    {
        $open = $this->post_($this->helper, 'items', ['what' => 'Filter rack bent'])->assertCreated();
        $id = $open->json('at');
        self::assertContains('who owns it, and by when: Filter rack bent', array_column($open->json('machine.gates.11.missing'), 'todo'));
        $this->post_($this->starter, "items/$id/own", ['owner' => 'Tinsmith', 'due' => '2027-01-32'])->assertStatus(422)->assertJsonPath('field', 'due');
        $owned = $this->post_($this->starter, "items/$id/own", ['owner' => 'Tinsmith', 'due' => '2027-01-31'])->assertCreated();
        self::assertNotContains('open_item', array_column($owned->json('machine.gates.11.missing'), 'check'));
        $this->post_($this->starter, "items/$id/done", ['word' => 'straightened'])->assertCreated()->assertJsonPath('machine.items.0.done', 'straightened');
        $this->post_($this->helper, "items/$id/done", ['word' => 'again'])->assertStatus(409)->assertJsonPath('theirs.words', 'Filter rack bent: straightened');
        $this->post_($this->helper, 'items/999/done', ['word' => 'x'])->assertNotFound();
    }

    public function testAFactIsToldOnceForTheJobAndAskedForWhereItDecides(): void
    {
        $sister = app(CurrentCompany::class)->as($this->starter->company_id, fn (): Machine => Machine::query()->create(['site_job_id' => $this->machine->site_job_id, 'name' => 'RTU-10', 'position' => 2]));
        $told = $this->post_($this->starter, 'facts', ['fact' => 'tripped', 'on' => true, 'seen' => 0])->assertCreated();
        $facts = array_column($told->json('machine.facts'), 'on', 'id');
        self::assertTrue($facts['tripped']);
        self::assertContains('compressor.windings', array_column($told->json('machine.gates.6.missing'), 'check'));
        self::assertSame(null, $this->get_($this->starter, "machines/$sister->id")->json('tape.0.headline'), 'a trip is of one unit, not of its sister');
        $late = $this->post_($this->starter, 'facts', ['fact' => 'tripped', 'on' => false, 'seen' => 0])->assertStatus(409);
        self::assertSame(['Did a breaker or overload trip? Yes.', 'Did a breaker or overload trip? No.'], [$late->json('theirs.words'), $late->json('yours.words')]);
        $this->post_($this->helper, 'facts', ['fact' => 'tripped', 'on' => false, 'seen' => 1])->assertForbidden();
        $this->post_($this->starter, 'facts', ['fact' => 'moon', 'on' => true, 'seen' => 1])->assertStatus(422);
    }

    public function testWorkOnTheSupplyMakesItsReadingsStale(): void
    {
        $this->record($this->starter, $this->machine, 'power.rotation', ['meter' => 'abc'])->assertCreated();
        $after = $this->post_($this->helper, 'supply-work', ['what' => 'Utility changed the transformer'])->assertCreated();
        self::assertContains('stale', $after->json('machine.gates.6.flags'));
        self::assertContains('Out of date because of later work: check rotation again.', $after->json('machine.gates.6.notes'));
    }

    public function testAPartOutOfServiceIsTaggedAndTheHandoverConditional(): void
    {
        $part = $this->get_($this->starter, "machines/{$this->machine->id}")->json('parts.1');
        $tag = ['subject' => $part, 'why' => 'Windings open', 'wire' => 'T1 to T3 taped', 'who' => 'Some starter'];
        $this->post_($this->helper, 'parts-out', $tag)->assertForbidden();
        $this->post_($this->starter, 'parts-out', ['subject' => 'compressor:Z'] + $tag)->assertStatus(422)->assertJsonPath('field', 'subject');
        if (! str_starts_with($part, 'circuit:')) {
            $this->post_($this->starter, 'parts-out', ['fans' => ['Fan 2']] + $tag)->assertStatus(422)->assertJsonPath('field', 'fans');
        }
        $out = $this->post_($this->starter, 'parts-out', $tag)->assertCreated();
        self::assertSame($part, $out->json('machine.partsOut.0.subject'));
        $this->post_($this->starter, 'parts-out', $tag)->assertStatus(409)->assertJsonPath('theirs.who', 'Some starter');
        $tag = $this->actingAs($this->starter)->get("/api/v1/machines/{$this->machine->id}/parts-out/{$out->json('at')}/tag.pdf")->assertOk()->assertHeader('Content-Type', 'application/pdf');
        self::assertStringStartsWith('%PDF-', (string) $tag->getContent());
        $this->post_($this->starter, 'parts-back', ['subject' => $part, 'word' => 'new compressor'])->assertCreated()->assertJsonPath('machine.partsOut', []);
    }

    /**
     * @param array<string, mixed> $body
     * @return TestResponse<\Symfony\Component\HttpFoundation\Response>
     */
    private function post_(User $person, string $path, array $body): TestResponse
    {
        return $this->write($person, "machines/{$this->machine->id}/$path", $body);
    }

    /** @return TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function get_(User $person, string $path): TestResponse
    {
        app(CurrentCompany::class)->set(null);

        return $this->actingAs($person)->getJson("/api/v1/$path");
    }
}
