<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Instrument;
use App\Models\Machine;
use App\Models\User;
use App\Support\CurrentCompany;
use App\Support\Role;
use Illuminate\Testing\TestResponse;

/** A logger's file on its way into a bench, and what of it stands on the record. */
final class LoggerTest extends FeatureTestCase
{
    private const MAPPING = ['separator' => 'comma', 'decimal' => 'point', 'head' => 1, 'form' => 'elapsed', 'unit' => 's', 'time' => 0, 'zone' => 'UTC', 'values' => ['micron' => ['column' => 1, 'unit' => 'micron']]];

    private User $starter;
    private Machine $machine;

    protected function setUp(): void
    {
        parent::setUp();
        $this->starter = $this->person(Role::Starter);
        $this->machine = $this->machine($this->starter);
    }

    public function testIsLookedAtBeforeAnythingIsRead(): void
    {
        $this->send("s,micron\n0,300\n60,310\n")->assertOk()->assertJsonPath('read', null)
            ->assertJsonPath('top.0', ['s', 'micron'])->assertJsonPath('mapping.form', 'elapsed')->assertJsonPath('mapping.zone', 'UTC')->assertJsonPath('mapping.values.micron.unit', 'micron');
    }

    public function testADayOfSecondsComesAsTwoHundredAndFortyReadings(): void
    {
        $text = "s,micron\n" . implode('', array_map(fn (int $s): string => "$s," . (300 + intdiv($s, 600)) . "\n", range(0, 86_399)));
        $read = $this->send($text, self::MAPPING)->assertOk()->json('read');
        self::assertSame([86_400, 86_400, 240, []], [$read['total'], $read['used'], count($read['points']), $read['gaps']]);
        self::assertEquals(['minutes' => 0, 'at' => '', 'values' => ['micron' => 300]], $read['points'][0]);
        self::assertEqualsWithDelta(1439.9833, $read['points'][239]['minutes'], 1e-4);
        $part = $this->send($text, self::MAPPING, '&from=60&to=90')->assertOk()->json('read');
        self::assertSame([86_400, 1801, 240], [$part['total'], $part['used'], count($part['points'])]);
        self::assertEquals([0, 306], [$part['points'][0]['minutes'], $part['points'][0]['values']['micron']]);
    }

    public function testOfAHoldEachReadingHasItsMomentInTheLoggersZone(): void
    {
        $mapping = ['form' => 'iso', 'zone' => 'America/Denver', 'values' => ['pressure' => ['column' => 1, 'unit' => 'psig'], 'temperature' => ['column' => 2, 'unit' => 'degF']]] + self::MAPPING;
        $read = $this->send("t,p,T\n2026-03-02 17:40,450,74\n2026-03-03 07:10,438,61\n", $mapping, to: 'tight.hold/points')->assertOk()->json('read');
        self::assertSame(['2026-03-02T17:40:00-07:00', '2026-03-03T07:10:00-07:00'], array_column($read['points'], 'at'));
        self::assertSame('2026-03-02T17:40:00-07:00', $read['startsAt']);
    }

    public function testWhatIsWrongWithItIsSaidAtItsPlace(): void
    {
        $this->send("s,micron\n60,300\n0,310\n", self::MAPPING)->assertStatus(422)->assertJsonPath('field', 'mapping.time')
            ->assertJsonPath('detail', 'Line 3: the time runs backwards here (0). The clock was set, or two logs stand in one file: cut it there, then read it again.');
        $this->send("s,micron\n0,300\n", ['form' => ''] + self::MAPPING)->assertStatus(422)->assertJsonPath('field', 'mapping.form');
        $this->send("s,micron\n0,300\n", self::MAPPING, '&from=5')->assertStatus(422)->assertJsonPath('detail', 'There is no reading between these minutes.');
        $this->send("s,micron\n0,300\n", self::MAPPING, '&from=soon')->assertStatus(422)->assertJsonPath('field', 'from');
        $this->send("s,micron\n0,300\n", self::MAPPING, to: 'dry.decay/rule')->assertNotFound();
        $this->send("s,micron\n0,300\n", self::MAPPING, to: 'charge.weigh_in/ledger')->assertNotFound();
        $this->send("s,micron\n0,300\n", self::MAPPING, as: $this->person(Role::Office))->assertForbidden();
    }

    public function testHowItWasReadStaysWithTheInstrumentOfTheCompany(): void
    {
        $tool = app(CurrentCompany::class)->as($this->starter->company_id, fn (): Instrument => Instrument::query()->create(['name' => 'VG-3', 'kind' => 'micron gauge']));
        $this->write($this->starter, "instruments/$tool->id/logger", ['mapping' => self::MAPPING])->assertCreated();
        $known = $this->actingAs($this->starter)->getJson('/api/v1/instruments')->assertOk()->json('instruments.0.logger');
        self::assertEquals(self::MAPPING, $known);
        $this->write($this->starter, "instruments/$tool->id/logger", ['mapping' => ['x' => str_repeat('x', 2000)]])->assertStatus(422)->assertJsonPath('field', 'mapping');
        $this->write($this->person(Role::Starter, \App\Models\Company::query()->create(['name' => 'Copper & Kettle', 'units' => 'us', 'time_zone' => 'UTC'])), "instruments/$tool->id/logger", ['mapping' => self::MAPPING])->assertNotFound();
    }

    public function testOnTheTapeALongSeriesIsToldByItsEndsAndStandsWholeInFileAndInput(): void
    {
        $readings = array_map(fn (int $i): array => ['minutes' => $i, 'micron' => 300 + $i], range(0, 39));
        $this->write($this->starter, "machines/{$this->machine->id}/checks/dry.decay", ['subject' => 'circuit:A', 'source' => 'day.csv: 2400 readings, 40 kept', 'input' => ['gauge_at' => 'far_end', 'readings' => $readings]])->assertCreated();
        app(CurrentCompany::class)->set(null);
        $tape = $this->actingAs($this->starter)->getJson("/api/v1/machines/{$this->machine->id}")->assertOk()->json('tape');
        $entry = array_values(array_filter($tape, fn (array $one): bool => $one['check'] === 'dry.decay'))[0];
        self::assertSame('day.csv: 2400 readings, 40 kept', $entry['source']);
        self::assertSame([12, 80, 40], [count($entry['readings']), $entry['readingsInAll'], count($entry['input']['readings'])]);
        self::assertSame(['readings.0.minutes', 'readings.39.micron'], [$entry['readings'][0]['path'], $entry['readings'][11]['path']]);
        $csv = $this->actingAs($this->starter)->get("/api/v1/machines/{$this->machine->id}/readings.csv")->assertOk()->getContent();
        self::assertSame(81, substr_count((string) $csv, "\r\n"));
        $paper = self::printed((string) $this->actingAs($this->starter)->get("/api/v1/machines/{$this->machine->id}/record.pdf")->assertOk()->getContent());
        self::assertStringContainsString('day.csv: 2400 readings, 40 kept', (string) preg_replace('/\s+/', ' ', $paper));
    }

    /** @param array<string, mixed>|null $mapping */
    private function send(string $text, ?array $mapping = null, string $more = '', string $to = 'dry.decay/readings', ?User $as = null): TestResponse
    {
        app(CurrentCompany::class)->set(null);
        $query = $mapping === null ? '' : '?mapping=' . rawurlencode((string) json_encode($mapping)) . $more;

        return $this->actingAs($as ?? $this->starter)->call('POST', "/api/v1/logger/$to$query", server: ['CONTENT_TYPE' => 'text/csv', 'HTTP_ACCEPT' => 'application/json'], content: $text);
    }
}
