<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\KeepSheet;
use App\Queries\Prefill;
use App\Refusals\Refusal;
use App\Support\CurrentCompany;
use App\Support\Role;
use IronStart\Core\Check\Past;

final class SheetTest extends FeatureTestCase
{
    private const SHEET = ['model' => 'X-1', 'kind' => 'rooftop', 'electrical' => ['motors' => [['name' => 'C1', 'kind' => 'scroll', 'drive' => 'across_line', 'amps' => '9 A']]]];

    public function testEverySheetOfTheDemoMeetsTheSchemaAndASecondOneIsANewVersion(): void
    {
        $this->asCompany(function (): void {
            $versions = [];
            foreach (glob(database_path('demo/sheets/*.json')) ?: [] as $file) {
                $versions[] = app(KeepSheet::class)->keep((string) file_get_contents($file))->version;
            }
            self::assertSame([1, 1, 1, 1], $versions);
            self::assertSame(1, app(KeepSheet::class)->keep((string) json_encode(self::SHEET))->version);
            self::assertSame(2, app(KeepSheet::class)->keep((string) json_encode(self::SHEET))->version);
        });
    }

    public function testAnUnknownMemberAndAMotorWithoutAmpsAreRefused(): void
    {
        $this->asCompany(function (): void {
            $this->assertRefused(['colour' => 'grey'] + self::SHEET);
            $this->assertRefused(['electrical' => ['motors' => [['name' => 'C1', 'kind' => 'scroll', 'drive' => 'across_line']]]] + self::SHEET);
            $this->assertRefused(['electrical' => ['mca' => '32']] + self::SHEET);
        });
    }

    public function testASheetIsChangedByANewVersionAndAMachineKeepsItsOwn(): void
    {
        $office = $this->person(Role::Office);
        $machine = $this->machine($office);
        $shelf = $this->read($office, 'sheets')->assertOk()->json('sheets.0');
        self::assertSame(['BF-150G', 1], [$shelf['model'], $shelf['version']]);
        $body = $this->read($office, "sheets/{$shelf['id']}/versions/1.json")->assertOk()->json();
        $body['electrical']['mca'] = '33.4 A';
        $kept = $this->write($office, 'sheets?seen=1', $body)->assertCreated();
        self::assertSame([[2, 'Some office', 0], [1, '', 1]], array_map(fn (array $v): array => [$v['version'], $v['who'], $v['machines']], $kept->json('versions')));
        $this->write($office, 'sheets?seen=1', $body)->assertStatus(409);
        $this->write($office, 'sheets', ['colour' => 'grey'] + $body)->assertStatus(422);
        self::assertSame('32.8 A', $this->read($office, "machines/$machine->id")->json('prefill')['power.circuit']['machine']['mca']);
        $this->write($this->person(Role::Helper, $office->company), 'sheets', $body)->assertForbidden();
        app(CurrentCompany::class)->set(null);
        $this->actingAs($this->person(Role::Lead))->getJson("/api/v1/sheets/{$shelf['id']}")->assertNotFound();
    }

    public function testWhatASheetGivesIsKeptByItsContentAndByTheProgramThatWorkedItOut(): void
    {
        config(['iron.build' => bin2hex(random_bytes(8))]);
        $lead = $this->person(Role::Lead);
        $machine = $this->machine($lead);
        app(CurrentCompany::class)->as($lead->company_id, fn () => $machine->load('job.site', 'sheet'));
        $files = fn (): array => glob(storage_path('framework/cache') . '/*/*/*') ?: [];
        $before = $files();
        $mca = fn (): ?string => app()->build(Prefill::class)->plate($machine, new Past())['power.circuit']['machine']['mca'] ?? null;
        self::assertSame('32.8 A', $mca());
        $kept = array_values(array_diff($files(), $before));
        self::assertCount(1, $kept, 'it is kept');
        foreach ($kept as $file) {
            file_put_contents($file, str_replace('32.8 A', '32.9 A', (string) file_get_contents($file)));
        }
        self::assertSame('32.9 A', $mca(), 'and not worked out again');
        config(['iron.build' => bin2hex(random_bytes(8))]);
        self::assertSame('32.8 A', $mca(), 'by another program it is');
        foreach ($kept as $file) {
            unlink($file);
        }
    }

    public function testAFigureOfThePlateIsTypedOverOnlyWithAReason(): void
    {
        $lead = $this->person(Role::Lead);
        $machine = $this->machine($lead);
        $circuit = ['mca' => '36 A', 'mocp' => '40.0 A', 'breaker' => '40 A', 'conductor' => '8', 'insulation' => 90, 'terminal_rating' => 75];
        $this->record($lead, $machine, 'power.circuit', $circuit)->assertStatus(422)->assertJsonPath('field', 'reason')->assertJsonPath('accepted', 'why you entered 36 A for Nameplate MCA when the sheet says 32.8 A');
        $this->write($lead, "machines/$machine->id/checks/power.circuit", ['input' => $circuit, 'reason' => 'plate was replaced'])->assertCreated()->assertJsonPath('machine.tape.0.reason', 'plate was replaced');
        $this->record($lead, $machine, 'power.circuit', ['mca' => '32.80 A'] + $circuit)->assertCreated();
        $this->record($lead, $machine, 'power.running_amps', ['loads' => [['name' => 'C1', 'kind' => 'scroll', 'plate_amps' => '12 A', 'amps_a' => '9 A']]])->assertStatus(422)->assertJsonPath('field', 'reason');
        self::assertSame('32.8 A', $this->read($lead, "machines/$machine->id")->json('plate')['power.circuit']['machine']['mca']);
    }

    /** @return \Illuminate\Testing\TestResponse<\Symfony\Component\HttpFoundation\Response> */
    private function read(\App\Models\User $person, string $path): \Illuminate\Testing\TestResponse
    {
        app(CurrentCompany::class)->set(null);

        return $this->actingAs($person)->getJson("/api/v1/$path");
    }

    /** @param array<string, mixed> $sheet */
    private function assertRefused(array $sheet): void
    {
        try {
            app(KeepSheet::class)->keep((string) json_encode($sheet));
            self::fail('it was kept');
        } catch (Refusal $problem) {
            self::assertSame('bad-input', $problem->reason->value);
            self::assertStringStartsWith('sheet', (string) $problem->members['field']);
        }
    }

    private function asCompany(\Closure $do): void
    {
        app(CurrentCompany::class)->as($this->person(Role::Office)->company_id, $do);
    }
}
