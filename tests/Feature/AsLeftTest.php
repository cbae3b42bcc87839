<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Machine;
use App\Models\User;
use App\Support\Role;

/** How a machine was left: on the record, on paper, in its file, and on a label for the panel door. */
final class AsLeftTest extends FeatureTestCase
{
    private User $lead;
    private Machine $machine;

    protected function setUp(): void
    {
        parent::setUp();
        $this->lead = $this->person(Role::Lead);
        $this->machine = $this->machine($this->lead);
    }

    public function testDialsTapsAndSetPointsStandOnRecordPaperAndFile(): void
    {
        self::assertSame([], $this->left());
        $this->svg('as_left')->assertNotFound();
        $dials = ['overloads' => [['name' => 'Blower', 'dial' => '7.6 A', 'fla' => '7.6 A']], 'monitor' => ['nominal' => '480 V', 'supply_average' => '481 V', 'trip_percent' => '10 %', 'test' => 'leg_off', 'call_dropped' => true, 'restored' => true]];
        $this->record($this->lead, $this->machine, 'power.dials', ['overloads' => [['name' => 'Blower', 'dial' => '9 A', 'fla' => '7.6 A']]])->assertCreated();
        $this->record($this->lead, $this->machine, 'power.dials', $dials)->assertCreated();
        $wrong = $this->record($this->lead, $this->machine, 'power.control_voltage', ['supply_average' => '481 V', 'tap' => '460 V', 'secondary_measured' => '24.6 V'])->assertCreated()->json('at');
        $this->record($this->lead, $this->machine, 'entry.swap', ['load' => 'supply', 'place' => 'disconnect_load_side', 'first' => 'L1', 'second' => 'L3'])->assertCreated();
        self::assertSame(['Overload dials: Blower 7.6 A', 'Phase monitor: Set for 480 V, Trips at 10 %', 'Taps: Control transformer 460 V', 'Conductors swapped: supply L1 – L3'], $this->left());
        $this->write($this->lead, "machines/{$this->machine->id}/suspects", ['at' => $wrong, 'reason' => 'read on the wrong unit'])->assertCreated();
        self::assertNotContains('Taps: Control transformer 460 V', $this->left(), 'what is doubted is not how it was left');

        $file = json_decode((string) $this->actingAs($this->lead)->get("/api/v1/machines/{$this->machine->id}/record.json")->assertOk()->getContent(), true);
        self::assertSame(['overloads', 'monitor', 'swaps'], array_column($file['as_left'], 'matter'));
        self::assertSame([['name' => 'Blower', 'value' => '7.6 A']], $file['as_left'][0]['rows']);
        $svg = strip_tags(str_replace('</text>', "\n", (string) $this->svg('as_left')->assertOk()->getContent()));
        self::assertStringContainsString('As left', $svg);
        self::assertStringContainsString('Blower: 7.6 A', $svg);
        self::assertStringNotContainsString('9 A', $svg);
        $this->actingAs($this->lead)->get("/api/v1/machines/{$this->machine->id}/pages/as_left.pdf")->assertOk()->assertHeader('Content-Type', 'application/pdf');
    }

    public function testTheLabelOfThePanelDoorSaysRotationCircuitAndTheWorstShort(): void
    {
        $this->svg('door')->assertNotFound();
        $this->record($this->lead, $this->machine, 'power.rotation', ['meter' => 'abc', 'monitor' => 'ok', 'meter_confirmed' => true])->assertCreated();
        $this->record($this->lead, $this->machine, 'power.circuit', ['mca' => '32.8 A', 'mocp' => '40 A', 'breaker' => '40 A', 'conductor' => '8', 'insulation' => 90, 'terminal_rating' => 75])->assertCreated();
        $this->record($this->lead, $this->machine, 'power.fault_current', ['available' => '10 kA', 'line_voltage' => '480 V', 'conductor' => '8', 'length' => '86 ft', 'rating' => '10 kA', 'label_on' => false])->assertCreated();
        $this->record($this->lead, $this->machine, 'compressor.match', ['refrigerant' => 'R-454B', 'supply_average' => '480 V', 'old' => ['kind' => 'scroll', 'rla' => '9.7 A'], 'new' => ['kind' => 'scroll', 'rla' => '10.4 A', 'lra' => '75 A', 'phases' => 3, 'nominals' => [460], 'refrigerants' => ['R-454B']]], 'compressor:C1')->assertCreated();
        $svg = strip_tags(str_replace('</text>', "\n", (string) $this->svg('door')->assertOk()->getContent()));
        foreach (['Panel door label', 'MCA: 32.8 A', 'Largest fuse or breaker: 40 A', 'Available fault current: ', 'At: 480 V', 'Compressor: C1', 'RLA: 10.4 A', 'LRA: 75 A', "Read by: {$this->lead->name}, " . now()->toDateString()] as $line) {
            self::assertStringContainsString($line, $svg);
        }
    }

    /** @return list<string> */
    private function left(): array
    {
        return array_map(
            fn (array $matter): string => "{$matter['title']}: " . implode(', ', array_map(fn (array $row): string => "{$row['label']} {$row['value']}", $matter['rows'])),
            $this->actingAs($this->lead)->getJson("/api/v1/machines/{$this->machine->id}/record")->assertOk()->json('asLeft'),
        );
    }

    private function svg(string $page): \Illuminate\Testing\TestResponse
    {
        return $this->actingAs($this->lead)->get("/api/v1/machines/{$this->machine->id}/pages/$page.svg");
    }
}
