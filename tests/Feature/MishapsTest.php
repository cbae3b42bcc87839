<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Support\CurrentCompany;
use App\Support\Role;
use Illuminate\Support\Facades\DB;

/** What happens when something is away, malformed or sent by somebody in haste. */
final class MishapsTest extends FeatureTestCase
{
    public function testADatabaseThatIsAwayIsToldApartFromABrokenServer(): void
    {
        $starter = $this->person(Role::Starter);
        config(['database.connections.gone' => ['driver' => 'pgsql', 'host' => '127.0.0.1', 'port' => 1, 'database' => 'x', 'username' => 'x', 'password' => 'x']]);
        $own = (string) config('database.default');
        app(CurrentCompany::class)->set(null);
        config(['database.default' => 'gone']);
        try {
            $answer = $this->actingAs($starter)->getJson('/api/v1/today');
        } finally {
            config(['database.default' => $own]);
            DB::purge('gone');
        }
        $answer->assertStatus(503)->assertJsonPath('type', '/problems/away')->assertJsonPath('detail', 'The database is not answering. What was typed is kept; try again in a moment.');
    }

    public function testMalformedBodiesGetAClearWord(): void
    {
        $starter = $this->person(Role::Starter);
        $send = fn (string $path, string $body) => $this->actingAs($starter)->call('POST', "/api/v1/$path", [], [], [], ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'], $body);
        foreach (['', '[]', '"text"', '{"units":'] as $body) {
            $answer = $send('judge/power.voltage', $body);
            self::assertSame([422, 'one JSON object'], [$answer->status(), $answer->json('accepted')], $body);
        }
        self::assertSame('units', $send('judge/power.voltage', '{"units":"imperial"}')->json('field'));
        self::assertSame(404, $send('judge/power.magic', '{}')->status());
        self::assertSame('open', $send('judge/power.voltage', '{}')->assertOk()->json('status'));
    }

    public function testAnInstrumentOfAnotherCompanyIsNoInstrument(): void
    {
        $starter = $this->person(Role::Starter);
        $machine = $this->machine($starter);
        $this->write($starter, "machines/$machine->id/checks/power.voltage", ['instrument' => 999999, 'input' => []])->assertStatus(422)->assertJsonPath('field', 'instrument');
        $this->write($starter, "machines/$machine->id/checks/job.gates", ['input' => []])->assertNotFound();
        $this->write($starter, "machines/$machine->id/checks/power.voltage", ['subject' => str_repeat('x', 121), 'input' => []])->assertStatus(422)->assertJsonPath('field', 'subject');
        self::assertSame(0, DB::table('entries')->where('machine_id', $machine->id)->count());
    }

    public function testTheLineJudgeGoesOnAfterMalformedLines(): void
    {
        $lines = ['nonsense', '', '{"id":1,"check":"power.voltage"}', '{"id":2,"check":"no.such"}', '{"id":3,"check":"power.control_voltage","input":{"supply_average":"206 V","tap":"240 V"}}'];
        $process = proc_open([PHP_BINARY, base_path('bin/judge')], [['pipe', 'r'], ['pipe', 'w']], $pipes);
        self::assertIsResource($process);
        fwrite($pipes[0], implode("\n", $lines) . "\n");
        fclose($pipes[0]);
        $answers = array_map(fn (string $line): array => json_decode($line, true), explode("\n", trim((string) stream_get_contents($pipes[1]))));
        self::assertSame(0, proc_close($process));
        self::assertSame(['error', 'error', 'open', 'error', 'watch'], array_map(fn (array $a): string => isset($a['error']) ? 'error' : $a['status'], $answers));
        self::assertSame([1, 2, 3], array_column($answers, 'id'));
    }
}
