<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Machine;
use App\Models\User;
use App\Support\CurrentCompany;
use App\Support\Role;
use Illuminate\Testing\TestResponse;
use IronStart\Core\Chain\Seal;
use Tests\Support\Answered;

/** Review and signatures: what is missing holds them, what is signed stays. */
final class SignOffTest extends FeatureTestCase
{
    private User $starter;

    private User $lead;

    private Machine $machine;

    protected function setUp(): void
    {
        parent::setUp();
        $this->starter = $this->person(Role::Starter);
        $this->lead = $this->person(Role::Lead, $this->starter->company);
        $this->machine = $this->machine($this->starter);
        app(CurrentCompany::class)->as($this->starter->company_id, fn () => app(Answered::class)->everything($this->machine->load('job', 'sheet'), $this->starter));
    }

    public function testStarterAndLeadSignAndALaterEntryIsAnAddendum(): void
    {
        $this->sign($this->lead, 'lead')->assertStatus(409)->assertJsonPath('detail', 'Review it before you sign: something was added since the last review.');
        $this->sign($this->starter, 'starter')->assertCreated()->assertJsonPath('machine.signOff.signatures.0.role', 'starter');
        $this->write($this->lead, $this->path('reviews'), ['word' => 'Read it all', 'seen' => $this->seen()])->assertCreated()->assertJsonPath('machine.signOff.reviewCounts', true);
        $signed = $this->sign($this->lead, 'lead')->assertCreated();
        self::assertSame(['answered', 0], [$signed->json('machine.gates.11.state'), $signed->json('machine.signOff.addendum')]);
        self::assertNotNull($signed->json('machine.digest'));
        $this->sign($this->lead, 'lead')->assertStatus(409)->assertJsonPath('theirs.words', 'Signed as lead.');
        $later = $this->write($this->starter, $this->path('notes'), ['text' => 'Owner called'])->assertCreated();
        self::assertSame(1, $later->json('machine.signOff.addendum'));
        $record = json_decode((string) $this->get_($this->lead, 'record.json')->getContent());
        $links = array_values(array_filter($record->chain, fn (\stdClass $link): bool => $link->entry->kind === 'signed'));
        self::assertCount(2, $links);
        self::assertTrue(Seal::vouches($record->company->public_key, $links[1]->digest, $links[1]->signature));
        self::assertSame('Hand over', $links[1]->entry->details->answers[11]->gate === 12 ? 'Hand over' : '');
    }

    public function testTheWarrantyClockBeginsWithTheSecondSignature(): void
    {
        $this->sign($this->starter, 'starter')->assertCreated();
        $this->write($this->lead, $this->path('reviews'), ['word' => 'Read it all', 'seen' => $this->seen()])->assertCreated();
        $this->sign($this->lead, 'lead')->assertCreated();
        app(CurrentCompany::class)->set(null);
        $clock = $this->actingAs($this->lead)->getJson('/api/v1/clocks')->json('clocks.0');
        self::assertSame(['registration_due', 60 * 86_400], [$clock['kind'], strtotime($clock['endsAt']) - strtotime($clock['startedAt'])]);
    }

    public function testAPartOutOfServiceMakesItConditionalAndNeverLooksLikeAPass(): void
    {
        $this->record($this->starter, $this->machine, 'power.lockout', self::lockout())->assertCreated();
        $lock = $this->write($this->starter, $this->path('parts-out'), ['subject' => 'circuit:B', 'why' => 'Windings open', 'wire' => 'T1 to T3 taped', 'who' => 'Some starter'])->assertCreated();
        foreach ($lock->json('machine.putBack') as $out) {
            $this->write($this->starter, $this->path("put-back/{$out['id']}/close"), ['word' => 'lock off'])->assertCreated();
        }
        $this->sign($this->starter, 'starter')->assertCreated();
        $this->write($this->lead, $this->path('reviews'), ['word' => 'Owner knows', 'seen' => $this->seen()])->assertCreated();
        $signed = $this->sign($this->lead, 'lead')->assertCreated();
        self::assertSame(['answered', 'watch'], [$signed->json('machine.gates.11.state'), $signed->json('machine.status')]);
        self::assertContains('conditional', $signed->json('machine.gates.11.flags'));
        self::assertContains('Conditional: Circuit B: Windings open; Compressor C2: Windings open.', $signed->json('machine.gates.11.notes'));
        self::assertContains('Hand over: Conditional: Circuit B: Windings open; Compressor C2: Windings open.', $this->get_($this->starter, 'record')->json('notes'));
    }

    public function testAReadingTheSeasonForbidsMayWaitForSomebodyWithADate(): void
    {
        $cold = app(CurrentCompany::class)->as($this->starter->company_id, function (): Machine {
            $machine = Machine::query()->create(['site_job_id' => $this->machine->site_job_id, 'sheet_version_id' => $this->machine->sheet_version_id, 'name' => 'RTU-10', 'position' => 2])->load('job', 'sheet');
            app(Answered::class)->everything($machine->refresh()->load('job', 'sheet'), $this->starter, ['charge.state']);

            return $machine;
        });
        $this->machine = $cold;
        $gate = fn (TestResponse $answer): array => $answer->json('machine.gates.8');
        foreach (['A', 'B'] as $circuit) {
            $left = $this->write($this->starter, $this->path('items'), ['what' => 'Charge in spring', 'owner' => 'Some starter', 'due' => '2027-05-01', 'check' => 'charge.state', 'subject' => "circuit:$circuit"])->assertCreated();
        }
        self::assertSame(['answered', ['conditional']], [$gate($left)['state'], $gate($left)['flags']]);
        self::assertStringContainsString('Charge in spring (Some starter, 2027-05-01)', $gate($left)['notes'][0]);
    }

    public function testWhatIsOutHoldsTheSignature(): void
    {
        $out = $this->write($this->starter, $this->path('put-back'), ['kind' => 'detector', 'where' => 'corridor'])->json('putBack');
        $held = $this->sign($this->starter, 'starter')->assertStatus(409);
        self::assertContains('put back: Smoke detector covered: corridor', $held->json('reasons'));
        $this->write($this->starter, $this->path("put-back/$out/close"), ['word' => 'uncovered'])->assertCreated();
        $this->sign($this->starter, 'starter')->assertCreated();
    }

    public function testNobodySignsWhatTheyHaveNotRead(): void
    {
        $seen = $this->seen();
        $this->write($this->lead, $this->path('notes'), ['text' => 'One more thing'])->assertCreated();
        $late = $this->sign($this->starter, 'starter', $seen)->assertStatus(409);
        self::assertSame(['Some lead', 'One more thing'], [$late->json('theirs.who'), $late->json('theirs.words')]);
    }

    public function testOnlyTheirOwnRoleAndADrawnSignature(): void
    {
        $this->sign($this->lead, 'starter')->assertForbidden();
        $this->sign($this->starter, 'lead')->assertForbidden();
        $this->sign($this->starter, 'owner')->assertStatus(422)->assertJsonPath('field', 'role');
        $this->write($this->starter, $this->path('reviews'), ['word' => 'x', 'seen' => 1])->assertForbidden();
        foreach ([[], [[[0.1, 0.1]]], [[[0.1, 7]]], 'me', [[array_fill(0, 9, 0.5)]]] as $strokes) {
            $this->write($this->starter, $this->path('signatures'), ['role' => 'starter', 'strokes' => $strokes, 'seen' => $this->seen()])->assertStatus(422);
        }
    }

    private function path(string $rest): string
    {
        return "machines/{$this->machine->id}/$rest";
    }

    private function seen(): int
    {
        return (int) $this->get_($this->lead, 'news')->json('news');
    }

    /** @return TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function get_(User $person, string $path): TestResponse
    {
        app(CurrentCompany::class)->set(null);

        return $this->actingAs($person)->getJson('/api/v1/' . $this->path($path));
    }

    /** @return TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function sign(User $person, string $role, ?int $seen = null): TestResponse
    {
        $stroke = array_map(fn (int $i): array => [$i / 20, abs(sin($i))], range(0, 19));

        return $this->write($person, $this->path('signatures'), ['role' => $role, 'strokes' => [$stroke], 'seen' => $seen ?? $this->seen()]);
    }
}
