<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Support\CurrentCompany;
use App\Support\Role;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use PHPUnit\Framework\Attributes\DataProvider;

/** Nothing stands under another's name, and no answer goes to somebody else. */
final class WhoseTest extends FeatureTestCase
{
    private const NOTE = ['text' => 'the panel was warm'];

    public function testWhatSomebodyElseWroteIsRefusedWithBothNamesAndNothingIsKept(): void
    {
        $starter = $this->person(Role::Starter);
        $machine = $this->machine($starter);
        $helper = $this->person(Role::Helper, $starter->company);
        $refused = $this->write($starter, "machines/$machine->id/notes", self::NOTE, ['X-Person' => (string) $helper->id])->assertStatus(409);
        $refused->assertJsonPath('type', '/problems/other-person')->assertJsonPath('whose', ['writer' => 'Some helper', 'signedIn' => 'Some starter'])
            ->assertJsonPath('detail', 'Some starter is signed in here now; this was written by Some helper. Nothing was recorded.');
        $stranger = $this->person(Role::Lead);
        $this->write($starter, "machines/$machine->id/notes", self::NOTE, ['X-Person' => (string) $stranger->id])->assertStatus(409)
            ->assertJsonPath('whose.writer', '')->assertJsonPath('detail', 'Some starter is signed in here now; this was written by somebody else. Nothing was recorded.');
        foreach (['', 'x', '0', '-1', '1.5', str_repeat('9', 19)] as $no) {
            $this->write($starter, "machines/$machine->id/notes", self::NOTE, ['X-Person' => $no])->assertStatus(422)->assertJsonPath('field', 'X-Person');
        }
        self::assertSame([0, 0], [DB::table('entries')->where('machine_id', $machine->id)->count(), DB::table('idempotency_keys')->where('company_id', $starter->company_id)->count()]);
        $this->write($starter, "machines/$machine->id/notes", self::NOTE)->assertCreated();
    }

    public function testEveryWriteBehindTheSignInAsksWhoseItIs(): void
    {
        $open = ['judge/{check}', 'import/{table}/preview', 'logger/{check}/{list}', 'tree', 'addresses'];
        $asked = 0;
        foreach (Route::getRoutes() as $route) {
            $path = substr($route->uri(), strlen('api/v1/'));
            if (! str_starts_with($route->uri(), 'api/v1/') || $route->methods()[0] === 'GET' || ! in_array('auth', $route->gatherMiddleware(), true) || in_array($path, $open, true)) {
                continue;
            }
            self::assertContains('whose', $route->gatherMiddleware(), "{$route->methods()[0]} $path");
            $asked++;
        }
        self::assertGreaterThan(40, $asked);
    }

    /** @return iterable<string, array{string, array<string, string>, array<string, string>}> path, body, headers that differ */
    public static function others(): iterable
    {
        yield 'another body' => ['notes', ['text' => 'another'], []];
        yield 'another address' => ['put-back', self::NOTE, []];
        yield 'another query' => ['notes?about=1', self::NOTE, []];
        yield 'another device' => ['notes', self::NOTE, ['X-Device' => 'tablet']];
    }

    /**
     * @param array<string, string> $body
     * @param array<string, string> $headers
     */
    #[DataProvider('others')]
    public function testAKeyIsForOneRequestAndNoOther(string $path, array $body, array $headers): void
    {
        $starter = $this->person(Role::Starter);
        $machine = $this->machine($starter);
        $key = ['Idempotency-Key' => 'one-key-only'];
        $this->write($starter, "machines/$machine->id/notes", self::NOTE, $key)->assertCreated();
        $this->write($starter, "machines/$machine->id/$path", $body, $key + $headers)->assertStatus(422)->assertJsonPath('type', '/problems/key-used');
        $this->write($starter, "machines/$machine->id/notes", self::NOTE, $key)->assertCreated()->assertHeader('Idempotent-Replay', 'true');
        self::assertSame(1, DB::table('notes')->where('machine_id', $machine->id)->count());
    }

    public function testNobodyElseGetsTheAnswerToAKeyNorTheSamePersonInAnotherRole(): void
    {
        $lead = $this->person(Role::Lead);
        $machine = $this->machine($lead);
        $other = $this->person(Role::Lead, $lead->company);
        $key = ['Idempotency-Key' => 'one-key-only'];
        $this->write($lead, "machines/$machine->id/notes", self::NOTE, $key)->assertCreated();
        $this->write($other, "machines/$machine->id/notes", self::NOTE, $key)->assertStatus(422)->assertJsonPath('type', '/problems/key-used');
        $lead->role = Role::Starter;
        $lead->save();
        app(CurrentCompany::class)->as($lead->company_id, fn () => $machine->job->people()->syncWithoutDetaching([$lead->id]));
        $this->write($lead, "machines/$machine->id/notes", self::NOTE, $key)->assertStatus(422)->assertJsonPath('type', '/problems/key-used');
        // The same key in another company is another key.
        $elsewhere = $this->person(Role::Lead);
        $this->write($elsewhere, "machines/{$this->machine($elsewhere)->id}/notes", self::NOTE, $key)->assertCreated();
    }
}
