<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Machine;
use App\Models\User;
use App\Queries\ReadingsTable;
use App\Support\CurrentCompany;
use App\Support\Role;
use Illuminate\Support\Facades\DB;

final class BoardTest extends FeatureTestCase
{
    private const MOST_QUERIES = 13;
    /** Where nothing has gone on since the last look. */
    private const ON_TODAY = 4;
    /** The record is read against its chain besides. */
    private const AND_THE_CHAIN = 2;

    public function testTodayShowsTheJobsOneIsOnAndTheOneThingToDo(): void
    {
        $starter = $this->person(Role::Starter);
        $machine = $this->machine($starter);
        $this->machine($this->person(Role::Starter, $starter->company), 'someone else\'s');
        $board = $this->today($starter);
        self::assertSame(['RTU-9'], array_column($board['jobs'][0]['machines'], 'name'));
        self::assertCount(1, $board['jobs']);
        self::assertSame([$machine->id, 'Find out what supply it is.'], [$board['lead']['machineId'], $board['lead']['next']]);
        self::assertSame('not_on_job', $board['jobs'][0]['machines'][0]['states'][0]);
    }

    public function testAStopComesFirst(): void
    {
        $starter = $this->person(Role::Starter);
        $this->machine($starter);
        $stopped = $this->machine($starter, 'RTU-10');
        $this->record($starter, $stopped, 'power.rotation', ['meter' => 'cba'])->assertCreated();
        $board = $this->today($starter);
        self::assertSame(['RTU-10', 'stop'], [$board['lead']['machine'], $board['lead']['status']]);
        self::assertStringContainsString('Lock out', $board['lead']['next']);
    }

    public function testTheNumberOfQueriesDoesNotGrowWithTheMachines(): void
    {
        config(['session.driver' => 'database']);
        $starter = $this->person(Role::Starter);
        $machine = $this->machine($starter);
        $this->queries($starter, '/api/v1/today');
        $few = $this->queries($starter, '/api/v1/today');
        app(CurrentCompany::class)->as($starter->company_id, function () use ($machine): void {
            for ($i = 0; $i < 40; $i++) {
                Machine::query()->create(['site_job_id' => $machine->site_job_id, 'sheet_version_id' => $machine->sheet_version_id, 'name' => "X-$i"]);
            }
        });
        self::assertLessThanOrEqual(self::MOST_QUERIES + 6, $this->queries($starter, '/api/v1/today'), 'judged, and kept');
        self::assertSame($few, $this->queries($starter, '/api/v1/today'));
        self::assertLessThanOrEqual(self::ON_TODAY, $few);
        $this->record($starter, $machine, 'power.lockout', self::lockout());
        self::assertLessThanOrEqual(self::MOST_QUERIES, $this->queries($starter, "/api/v1/machines/$machine->id"));
        self::assertLessThanOrEqual(self::MOST_QUERIES + self::AND_THE_CHAIN, $this->queries($starter, "/api/v1/machines/$machine->id/record"));
    }

    public function testTheRecordHoldsTwelveAnswersAndEverythingAsRead(): void
    {
        $starter = $this->person(Role::Starter);
        $machine = $this->machine($starter);
        $this->record($starter, $machine, 'power.voltage', ['volts_ab' => '481 V', 'volts_bc' => '478 V', 'volts_ca' => '484 V', 'plate_voltage' => '460'])->assertCreated();
        app(CurrentCompany::class)->set(null);
        $file = $this->actingAs($starter)->get("/api/v1/machines/$machine->id/record.json")->assertOk()->assertHeader('Content-Disposition', 'attachment; filename="record-RTU-9-S-1.json"');
        self::assertCount(12, $file->json('answers'));
        self::assertSame([481.0, 478.0, 484.0], array_map(floatval(...), array_column($file->json('chain.0.entry.readings'), 'value_read')));
        self::assertStringContainsString('others set it', $file->json('answers.0.sentence'));
    }

    public function testTheReadingsLeaveAsLinesThatASpreadsheetTakesForFiguresAndNeverForFormulas(): void
    {
        $starter = $this->person(Role::Starter);
        $starter->forceFill(['name' => '=1+1 "Rafe", N.'])->save();
        $machine = $this->machine($starter);
        $this->record($starter, $machine, 'power.voltage', ['volts_ab' => '481 V', 'volts_bc' => '478 V', 'volts_ca' => '484 V', 'plate_voltage' => '460'])->assertCreated();
        app(CurrentCompany::class)->set(null);
        $file = $this->actingAs($starter)->get("/api/v1/machines/$machine->id/readings.csv")->assertOk()->assertHeader('Content-Disposition', 'attachment; filename="readings-RTU-9-S-1.csv"');
        $lines = array_map(fn (string $line): array => str_getcsv($line, escape: ''), explode("\r\n", trim((string) $file->getContent())));
        self::assertSame(ReadingsTable::HEAD, $lines[0]);
        self::assertSame(['power.voltage', 'volts_ab', '481', 'V', '481', 'V', '\'=1+1 "Rafe", N.'], [$lines[1][4], $lines[1][6], ...array_slice($lines[1], 8, 4), $lines[1][3]]);
        self::assertCount(4, $lines);
        app(CurrentCompany::class)->set(null);
        $this->actingAs($this->person(Role::Starter))->get("/api/v1/machines/$machine->id/readings.csv")->assertNotFound();
    }

    /** @return array<string, mixed> */
    private function today(User $person): array
    {
        app(CurrentCompany::class)->set(null);

        return $this->actingAs($person)->getJson('/api/v1/today')->assertOk()->json();
    }

    private function queries(User $person, string $path): int
    {
        app(CurrentCompany::class)->set(null);
        DB::flushQueryLog();
        DB::enableQueryLog();
        $this->actingAs($person)->getJson($path)->assertOk();
        $count = count(DB::getQueryLog());
        DB::disableQueryLog();

        // The person is loaded from the session by one query more when a browser asks.
        return $count + 1;
    }
}
