<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Machine;
use App\Models\User;
use App\Support\Role;

/** A compressor of two is changed: what is asked of which, and whose plate counts from then on. */
final class CompressorChangeTest extends FeatureTestCase
{
    private const NEW = [
        'old' => ['oil' => 'POE', 'capacity' => '60 MBH', 'suction' => '7/8 in', 'discharge' => '1/2 in'],
        'new' => ['kind' => 'scroll', 'rla' => '10.4 A', 'lra' => '70 A', 'oil' => 'POE', 'start' => 'across_line', 'capacity' => '60 MBH', 'suction' => '7/8 in', 'discharge' => '1/2 in', 'nominals' => [460], 'phases' => 3, 'refrigerants' => ['R-454B']],
        'refrigerant' => 'R-454B', 'supply_average' => '480 V', 'usable' => '50 A', 'breaker' => '40 A', 'contactor' => '20 A', 'contactor_lra' => '120 A', 'label_on' => true, 'crankcase' => 'not_needed',
    ];

    private User $lead;

    private Machine $machine;

    protected function setUp(): void
    {
        parent::setUp();
        $this->lead = $this->person(Role::Lead);
        $this->machine = $this->machine($this->lead);
    }

    public function testThePartThatFailedSaysWhichOneIsMatched(): void
    {
        $this->isChange();
        self::assertSame(['compressor:C1', 'compressor:C2'], $this->asked('compressor.match'), 'nobody said which');
        $this->failed('C2 contactor');
        self::assertSame(['compressor:C1', 'compressor:C2'], $this->asked('compressor.match'), 'a contactor is no compressor');
        $this->failed('C2, grounded');
        self::assertSame(['compressor:C2'], $this->asked('compressor.match'));
        self::assertSame(['compressor:C1', 'compressor:C2'], $this->asked('compressor.windings'), 'both are read');
        $this->matched('C2');
        self::assertSame([], $this->asked('compressor.match'));
    }

    public function testOnAnotherJobTheOldUnitsPartAsksForNoMatch(): void
    {
        $this->failed('C2');
        self::assertSame([], $this->asked('compressor.match'));
        self::assertSame([], $this->asked('compressor.windings'));
        $this->matched('C1');
        self::assertSame(['compressor:C1', 'compressor:C2'], $this->asked('compressor.windings'), 'one was put in');
    }

    public function testWhatWasFlaggedSaysNothing(): void
    {
        $this->isChange();
        $at = $this->failed('C2');
        $this->write($this->lead, "machines/{$this->machine->id}/suspects", ['at' => $at, 'reason' => 'it was the other one'])->assertCreated();
        self::assertSame(['compressor:C1', 'compressor:C2'], $this->asked('compressor.match'));
    }

    public function testTheNewPlateCountsFromThenOn(): void
    {
        $amps = fn (string $plate): array => ['doors_on' => true, 'loads' => [['name' => 'C1', 'kind' => 'scroll', 'plate_amps' => $plate, 'amps_a' => '9.2 A', 'amps_b' => '9.3 A', 'amps_c' => '9.1 A']]];
        $this->isChange();
        $this->record($this->lead, $this->machine, 'power.running_amps', $amps('10.4 A'))->assertUnprocessable();
        $this->matched('C1');
        $view = $this->screen();
        self::assertSame(['10.4 A', '9.7 A'], array_slice(array_column($view['prefill']['power.running_amps']['machine']['loads'], 'plate_amps'), 0, 2));
        self::assertSame('10.4 A', $view['plate']['power.running_amps']['machine']['loads.C1.plate_amps']);
        self::assertSame('9.7 A', $view['prefill']['compressor.match']['compressor:C1']['old']['rla'], 'it is held against the one it replaces');
        self::assertSame('20.6 A', $view['prefill']['compressor.match']['compressor:C2']['other_amps'], '10.4 of the new one, 7.6 and twice 1.3');
        $this->record($this->lead, $this->machine, 'power.running_amps', $amps('10.4 A'))->assertCreated();
        $refused = $this->record($this->lead, $this->machine, 'power.running_amps', $amps('9.7 A'))->assertUnprocessable();
        self::assertStringContainsString('9.7 A', (string) $refused->getContent());
        self::assertStringContainsString('the sheet says 10.4 A', (string) $refused->getContent());
    }

    private function isChange(): void
    {
        $this->asOwner();
        $this->machine->job->update(['type' => 'compressor', 'start_up_only' => false]);
    }

    /** @return int where it stands on the tape */
    private function failed(string $what): int
    {
        return (int) $this->record($this->lead, $this->machine, 'entry.part_failed', ['what' => $what, 'how' => 'to ground', 'kept' => true])->assertCreated()->json('at');
    }

    private function matched(string $name): void
    {
        $this->record($this->lead, $this->machine, 'compressor.match', self::NEW, "compressor:$name")->assertCreated();
    }

    /** @return array<string, mixed> */
    private function screen(): array
    {
        app(\App\Support\CurrentCompany::class)->set(null);

        return $this->actingAs($this->lead)->getJson("/api/v1/machines/{$this->machine->id}")->assertOk()->json();
    }

    /** @return list<string> subjects of which gate 7 still asks a check */
    private function asked(string $check): array
    {
        return array_values(array_column(array_filter($this->screen()['gates'][6]['missing'], fn (array $m): bool => $m['check'] === $check), 'subject'));
    }
}
