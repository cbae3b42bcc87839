<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Support\Role;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;

final class RecordingTest extends FeatureTestCase
{
    private const VOLTS = ['volts_ab' => '0.481e3 V', 'volts_bc' => '478 V', 'volts_ca' => '484 V', 'plate_voltage' => '460'];

    public function testABreakerFoundTrippedIsAFactOfItsUnitFromThenOn(): void
    {
        $starter = $this->person(Role::Starter);
        $machine = $this->machine($starter);
        $tripped = ['place' => 'R-1/7', 'kind' => 'breaker'];
        $of = function (array $more) use ($starter, $machine, $tripped): array {
            $this->record($starter, $machine, 'entry.breaker_tripped', $tripped + $more)->assertCreated();

            return (array) DB::table('verdicts')->where('machine_id', $machine->id)->orderByDesc('id')->first();
        };
        self::assertSame('watch', $of([])['status']);
        self::assertSame(['tripped' => true], $machine->refresh()->facts);
        $again = $of(['reset' => true, 'reset_by' => 'Rafe']);
        self::assertSame(['stop', '["reset_unproved"]'], [$again['status'], $again['codes']]);
        self::assertSame(1, DB::table('entries')->where('machine_id', $machine->id)->where('kind', 'fact')->count(), 'told once');
    }

    public function testTheLinesOfANightStandInTheRecordsFileAndNotOnTheScreen(): void
    {
        $starter = $this->person(Role::Starter);
        $machine = $this->machine($starter);
        $csv = "unit,time,valve_pulses,liquid_pipe,gas_pipe,return_air,thermo_on\n" . implode("\n", array_map(fn (int $minute): string => "I1,$minute,0,72,73,74,0", range(0, 1200)));
        $this->record($starter, $machine, 'vrf.leak_by', ['csv' => $csv, 'temperature_unit' => 'degF'])
            ->assertCreated()->assertJsonPath('machine.tape.0.headline', 'The valve closes.')->assertJsonPath('machine.tape.0.input', ['temperature_unit' => 'degF']);
        $file = $this->actingAs($starter)->getJson("/api/v1/machines/$machine->id/record.json")->assertOk();
        self::assertStringContainsString('I1,1200,0,72,73,74,0', (string) json_encode($file->json()));
        $short = implode("\n", array_slice(explode("\n", $csv), 0, 50));
        $this->record($starter, $machine, 'vrf.leak_by', ['csv' => $short, 'temperature_unit' => 'degF'])->assertJsonPath('machine.tape.0.input.csv', $short);
    }

    public function testAReadingIsKeptAsReadAndCanonicalWithItsVerdict(): void
    {
        $starter = $this->person(Role::Starter);
        $machine = $this->machine($starter);
        $this->record($starter, $machine, 'power.circuit', ['mca' => '32.8 A', 'mocp' => '40 A', 'breaker' => '40 A', 'conductor' => '8', 'insulation' => 90, 'terminal_rating' => 75, 'length' => '86 ft', 'line_voltage' => '480 V'])
            ->assertCreated()->assertJsonPath('at', 1)->assertJsonPath('machine.tape.0.status', 'clear');
        $length = DB::table('readings')->where('machine_id', $machine->id)->where('path', 'length')->first();
        self::assertSame([86.0, 'ft', 'm'], [(float) $length->value_read, $length->unit_read, $length->unit]);
        self::assertEqualsWithDelta(26.2128, (float) $length->value, 1e-9);
        $verdict = DB::table('verdicts')->where('machine_id', $machine->id)->first();
        self::assertSame(['power.circuit', 2, 'clear'], [$verdict->check, $verdict->check_version, $verdict->status]);
        self::assertStringContainsString('Wire and breaker match', json_decode($verdict->said, true)['headline']);
        self::assertSame('8', json_decode($verdict->input, true)['conductor']);
    }

    public function testARepeatedSendIsDoneOnceAndAnsweredAlike(): void
    {
        $starter = $this->person(Role::Starter);
        $machine = $this->machine($starter);
        $send = fn () => $this->write($starter, "machines/$machine->id/checks/power.voltage", ['input' => self::VOLTS], ['Idempotency-Key' => 'the-same-key']);
        $first = $send()->assertCreated();
        $second = $send()->assertCreated()->assertHeader('Idempotent-Replay', 'true');
        self::assertSame($first->json('at'), $second->json('at'));
        self::assertSame(1, DB::table('entries')->where('machine_id', $machine->id)->count());
        $this->write($starter, "machines/$machine->id/notes", ['text' => 'another thing'], ['Idempotency-Key' => 'the-same-key'])->assertStatus(422)->assertJsonPath('type', '/problems/key-used');
    }

    public function testAWriteWithoutAKeyIsRefused(): void
    {
        $starter = $this->person(Role::Starter);
        $machine = $this->machine($starter);
        $this->write($starter, "machines/$machine->id/notes", ['text' => 'x'], ['Idempotency-Key' => ''])->assertStatus(422)->assertJsonPath('field', 'Idempotency-Key');
    }

    /** @return iterable<string, array{mixed}> */
    public static function bad(): iterable
    {
        foreach (['text' => 'high', 'wrong unit' => '481 A', 'no unit' => '481', 'NaN' => 'NaN V', 'huge' => '4810000 V', 'negative' => '-1 V', 'comma decimal' => '481,5 V', 'bare number' => 481] as $name => $value) {
            yield $name => [$value];
        }
    }

    #[DataProvider('bad')]
    public function testABadValueIsNamedAndNothingIsKept(mixed $value): void
    {
        $starter = $this->person(Role::Starter);
        $machine = $this->machine($starter);
        $this->record($starter, $machine, 'power.voltage', ['volts_bc' => $value] + self::VOLTS)
            ->assertStatus(422)->assertHeader('Content-Type', 'application/problem+json')
            ->assertJsonPath('field', 'volts_bc')->assertJsonPath('value', $value)->assertJsonPath('status', 422);
        self::assertSame(0, DB::table('entries')->where('machine_id', $machine->id)->count());
        self::assertSame(0, DB::table('idempotency_keys')->where('company_id', $starter->company_id)->count(), 'the key is free for the mended value');
        app(\App\Support\CurrentCompany::class)->set(null);
        $this->actingAs($starter)->postJson('/api/v1/judge/power.voltage', ['input' => ['volts_bc' => $value]])->assertStatus(422)->assertJsonPath('field', 'volts_bc');
    }

    public function testTheTapeCannotBeRewritten(): void
    {
        $this->asOwner();
        $starter = $this->person(Role::Starter);
        $machine = $this->machine($starter);
        $this->record($starter, $machine, 'power.voltage', self::VOLTS)->assertCreated();
        $this->record($starter, $machine, 'power.lockout', self::lockout())->assertCreated();
        foreach (['entries', 'verdicts', 'readings', 'put_backs'] as $table) {
            foreach (["UPDATE $table SET at = at", "DELETE FROM $table"] as $change) {
                try {
                    DB::transaction(fn () => DB::statement("$change WHERE company_id = $starter->company_id"));
                    self::fail("$change went through");
                } catch (QueryException $error) {
                    self::assertStringContainsString('written once', $error->getMessage());
                }
            }
        }
    }

    public function testADoubtedReadingIsStruckAndCountsNoLonger(): void
    {
        $starter = $this->person(Role::Starter);
        $machine = $this->machine($starter);
        $this->record($starter, $machine, 'power.voltage', self::VOLTS)->assertCreated();
        $seen = fn (array $view): array => array_column($view['gates'][6]['missing'], 'check');
        self::assertNotContains('power.voltage', $seen($this->write($starter, "machines/$machine->id/notes", ['text' => 'before'])->json('machine')));
        $doubted = $this->write($starter, "machines/$machine->id/suspects", ['at' => 1, 'reason' => 'meter drifting'])->assertCreated()->json('machine');
        self::assertContains('power.voltage', $seen($doubted));
        self::assertSame('meter drifting', collect($doubted['tape'])->firstWhere('at', 1)['suspect']);
        $this->write($starter, "machines/$machine->id/suspects", ['at' => 1, 'reason' => 'again'])->assertStatus(409);
        $this->write($starter, "machines/$machine->id/suspects", ['at' => 77, 'reason' => 'no such'])->assertStatus(422);
    }

    public function testTwoTimesAreKept(): void
    {
        $starter = $this->person(Role::Starter);
        $machine = $this->machine($starter);
        $this->write($starter, "machines/$machine->id/notes", ['text' => 'late', 'gate' => 9], ['X-Device-Time' => '2026-05-04T09:30:00.250Z'])->assertCreated()
            ->assertJsonPath('machine.tape.0.deviceAt', '2026-05-04T09:30:00.250Z');
        $this->write($starter, "machines/$machine->id/notes", ['text' => 'x'], ['X-Device-Time' => 'yesterday'])->assertStatus(422)->assertJsonPath('field', 'X-Device-Time');
    }

    public function testANameplateVoltageIsTakenAsItIsPrinted(): void
    {
        $starter = $this->person(Role::Starter);
        $machine = $this->machine($starter);
        $legs = ['volts_ab' => '481 V', 'volts_bc' => '478 V', 'volts_ca' => '484 V'];
        foreach (['460V-3Ph-60Hz', '460/3/60'] as $printed) {
            $this->write($starter, 'judge/power.voltage', ['input' => $legs + ['plate_voltage' => $printed]])->assertOk()->assertJsonPath('status', 'clear');
            $this->record($starter, $machine, 'power.voltage', $legs + ['plate_voltage' => $printed])->assertCreated()->assertJsonPath('machine.tape.0.input.plate_voltage', '460/3/60');
        }
        foreach (['460V' => 'clear', '460 V' => 'clear'] as $printed => $status) {
            $this->write($starter, 'judge/power.voltage', ['input' => $legs + ['plate_voltage' => $printed]])->assertJsonPath('status', $status);
        }
        $this->write($starter, 'judge/power.voltage', ['input' => $legs + ['plate_voltage' => 'high']])->assertStatus(422)->assertJsonPath('field', 'plate_voltage');
    }
}
