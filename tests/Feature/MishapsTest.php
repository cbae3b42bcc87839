<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Support\CurrentCompany;
use App\Support\Role;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;

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

    /** @return iterable<string, array{string, string, int}> a device's time, its header, the status */
    public static function times(): iterable
    {
        foreach (['X-Device-Time', 'X-Device-Sent'] as $header) {
            foreach (['2026-13-45T10:00:00Z', '2026-02-30T10:00:00Z', '0000-01-01T00:00:00Z', '1969-12-31T23:59:59Z', '2200-01-01T00:00:00Z', '2026-05-04T24:00:00Z', '2026-05-04T10:60:00Z', '2026-05-04T10:00:60Z', '2026-05-04T10:00:00+15:00', '2026-05-04 10:00:00Z', '2026-05-04T10:00:00'] as $no) {
                yield "$header $no" => [$no, $header, 422];
            }
            foreach (['1970-01-01T00:00:00Z', '2199-12-31T23:59:59Z', '2024-02-29T23:59:59.999999-14:59'] as $yes) {
                yield "$header $yes" => [$yes, $header, 201];
            }
        }
    }

    #[DataProvider('times')]
    public function testATimeOfADeviceIsOneOfTheCalendar(string $time, string $header, int $status): void
    {
        $starter = $this->person(Role::Starter);
        $machine = $this->machine($starter);
        $answer = $this->write($starter, "machines/$machine->id/notes", ['text' => 'x'], [$header => $time])->assertStatus($status);
        self::assertSame($status === 422 ? $header : null, $answer->json('field'));
    }

    public function testNumbersBeyondWhatTheyNameAreNotToBeFound(): void
    {
        $lead = $this->person(Role::Lead);
        $machine = $this->machine($lead);
        foreach (['machines/99999999999999999999', "machines/$machine->id/photos/9999999999", "machines/$machine->id/photos/2147483648", "machines/$machine->id/parts-out/2147483648/tag.pdf", 'sheets/99999999999999999999', 'sites/99999999999999999999'] as $path) {
            app(CurrentCompany::class)->set(null);
            $this->actingAs($lead)->getJson("/api/v1/$path")->assertNotFound();
        }
        foreach (["machines/$machine->id/items/2147483648/done", "machines/$machine->id/clocks/99999999999999999999/stop", 'people/99999999999999999999/sign-out'] as $path) {
            $this->write($lead, $path, ['word' => 'x'])->assertNotFound();
        }
    }

    /** @return iterable<string, array{string, string, string}> path, body, the field that is named */
    public static function values(): iterable
    {
        yield 'NUL in a text' => ['notes', '{"text": "a\\u0000b"}', 'text'];
        yield 'a lone half of a pair' => ['notes', '{"text": "\\ud800"}', ''];
        yield 'broken UTF-8' => ['notes', "{\"text\": \"\xff\xfe\"}", ''];
        yield 'a list where words belong' => ['notes', '{"text": [[["x"]]]}', 'text'];
        yield 'a number beyond all bounds' => ['suspects', '{"at": 1e999, "reason": "x"}', 'at'];
        yield 'an id beyond its column' => ['suspects', '{"at": 99999999999999999999, "reason": "x"}', 'at'];
        yield 'one more than a place can be' => ['suspects', '{"at": 2147483648, "reason": "x"}', 'at'];
        yield 'an instrument beyond its column' => ['checks/power.voltage', '{"input": {}, "instrument": 9223372036854775808}', 'instrument'];
        yield 'a reading beyond all bounds' => ['checks/power.voltage', '{"input": {"volts_ab": 1e999}}', 'volts_ab'];
        yield 'a reading within a list' => ['checks/power.voltage', '{"input": {"volts_ab": [[1]]}}', 'volts_ab'];
        yield 'a day of the year 0' => ['items', '{"what": "x", "owner": "x", "due": "0000-01-01"}', 'due'];
        yield 'a day with NUL' => ['items', '{"what": "x", "owner": "x", "due": "a\\u0000b"}', 'due'];
        yield 'a day of no month' => ['items', '{"what": "x", "owner": "x", "due": "2031-13-45"}', 'due'];
        yield 'nested beyond all reading' => ['notes', str_repeat('{"a":', 600) . '1' . str_repeat('}', 600), ''];
    }

    #[DataProvider('values')]
    public function testAValueThatCannotBeIsNamedByItsField(string $path, string $body, string $field): void
    {
        $lead = $this->person(Role::Lead);
        $machine = $this->machine($lead);
        app(CurrentCompany::class)->set(null);
        $headers = $this->transformHeadersToServerVars(['Idempotency-Key' => 'bad-value-key', 'X-Device' => 'test', 'X-Person' => (string) $lead->id, 'Content-Type' => 'application/json', 'Accept' => 'application/json']);
        $answer = $this->actingAs($lead)->call('POST', "/api/v1/machines/$machine->id/$path", [], [], [], $headers, $body);
        self::assertSame([422, $field], [$answer->status(), $answer->json('field')], (string) $answer->getContent());
        self::assertSame(0, DB::table('entries')->where('machine_id', $machine->id)->count());
    }

    public function testAQueryIsReadAsCarefullyAsABody(): void
    {
        $office = $this->person(Role::Office);
        foreach (['search?q=a%00b' => 'q', 'search?q[]=a' => 'q', 'search?q=%ff%fe' => 'q', 'sites?after=a%00b' => 'after', 'activity?before=99999999999999999999' => 'before', 'activity?before=x' => 'before', 'search?q=' . str_repeat('a', 201) => 'q'] as $path => $field) {
            app(CurrentCompany::class)->set(null);
            $this->actingAs($office)->getJson("/api/v1/$path")->assertStatus(422)->assertJsonPath('field', $field);
        }
        app(CurrentCompany::class)->set(null);
        $this->actingAs($office)->getJson('/api/v1/search?q=' . str_repeat('a', 200))->assertOk();
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
