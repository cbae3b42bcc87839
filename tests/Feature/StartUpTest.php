<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Machine;
use App\Models\User;
use App\Support\Role;

/** The way of a machine whose supply is reversed, from the first reading to Run. */
final class StartUpTest extends FeatureTestCase
{
    private const LOADS = [
        ['name' => 'C1', 'kind' => 'scroll', 'drive' => 'across_line', 'plate_amps' => '9.7 A'],
        ['name' => 'C2', 'kind' => 'scroll', 'drive' => 'across_line', 'plate_amps' => '9.7 A'],
        ['name' => 'Blower', 'kind' => 'blower', 'drive' => 'across_line'],
    ];

    public function testFromReversedToRunning(): void
    {
        [$starter, $machine] = $this->atRotation();
        $this->rotation($starter, $machine, 'cba', ['C1' => ['pressure_moved' => false, 'noise' => 'loud', 'amps' => '5.1 A'], 'Blower' => ['observed' => 'backwards']])
            ->assertJsonPath('machine.gates.6.state', 'stopped')->assertJsonPath('machine.gates.7.state', 'stopped');
        $this->write($starter, "machines/$machine->id/starts")->assertStatus(409)->assertJsonPath('type', '/problems/not-ready');

        $locked = $this->record($starter, $machine, 'power.lockout', self::lockout())->assertCreated();
        $lock = $locked->json('putBack');
        $mended = $this->rotation($starter, $machine, 'abc', ['C1' => ['hours_backwards' => '8 s']]);
        $mended->assertJsonPath('machine.gates.6.state', 'answered')->assertJsonPath('machine.gates.7.shut', true);
        self::assertStringContainsString('Lock 7', $mended->json('machine.startRefused.0'));

        $this->write($starter, "machines/$machine->id/put-back/$lock/close", ['word' => 'lock off'])->assertCreated();
        $this->write($starter, "machines/$machine->id/put-back/$lock/close", ['word' => 'again'])->assertStatus(409);
        $items = array_map(fn (string $id): array => ['id' => $id, 'answer' => 'yes'], explode(' ', 'nobody_at_it shipping_out lugs wheel_free belt arrows valves_open standing_pressure caps_bubbled doors_on filters_in coil_clear trap_primed crankcase calls_off safeties earth neutral volts_read rotation_read gas_tested'));
        $this->record($starter, $machine, 'list.prestart', ['items' => $items, 'job_type' => 'rooftop'])->assertCreated();
        $this->write($starter, "machines/$machine->id/starts")->assertCreated();
        $this->record($starter, $machine, 'power.voltage', ['volts_ab' => '478 V', 'volts_bc' => '475 V', 'volts_ca' => '480 V', 'plate_voltage' => '460', 'loaded' => true], 'loaded')->assertCreated();
        $this->rotation($starter, $machine, 'abc', ['C1' => ['pressure_moved' => true, 'noise' => 'normal', 'hours_backwards' => '8 s'], 'C2' => ['pressure_moved' => true, 'noise' => 'normal'], 'Blower' => ['observed' => 'correct']]);
        $amps = fn (string $name, string $kind, string $plate): array => ['name' => $name, 'kind' => $kind, 'amps_a' => '6 A', 'amps_b' => '6.1 A', 'amps_c' => '6 A', 'plate_amps' => $plate];
        $this->record($starter, $machine, 'power.running_amps', ['doors_on' => true, 'loads' => [$amps('C1', 'scroll', '9.7 A'), $amps('Blower', 'blower', '7.6 A')]])
            ->assertCreated()->assertJsonPath('machine.gates.7.state', 'asking');
        // Its refrigerant burns, as its sheet knows: the leak sensor is tried too.
        $this->record($starter, $machine, 'safety.leak_sensor', ['refrigerant' => 'R-454B', 'fitted' => true, 'recognised' => true, 'method' => 'simulated', 'blower_on' => true, 'compressor_off' => true, 'ignition_off' => true, 'seconds' => 6, 'reset' => true, 'airflow' => '4850 cfm', 'min_airflow' => '1020 cfm'])
            ->assertCreated()->assertJsonPath('machine.gates.7.state', 'answered')->assertJsonPath('machine.current', 9);
    }

    public function testWithoutALockoutBetweenTheNewReadingDoesNotCount(): void
    {
        [$starter, $machine] = $this->atRotation();
        $this->rotation($starter, $machine, 'cba', []);
        $again = $this->rotation($starter, $machine, 'abc', []);
        $again->assertJsonPath('machine.gates.6.state', 'stopped');
        self::assertStringContainsString('no lockout was recorded in between', $again->json('machine.gates.6.sentence'));
    }

    public function testMoreThanAMinuteBackwardsAsksForWindingsAndInsulationFirst(): void
    {
        [$starter, $machine] = $this->atRotation();
        $this->rotation($starter, $machine, 'cba', ['C1' => ['pressure_moved' => false, 'noise' => 'loud']]);
        $this->record($starter, $machine, 'power.lockout', self::lockout());
        $asked = $this->rotation($starter, $machine, 'abc', ['C1' => ['hours_backwards' => '5 min']]);
        $asked->assertJsonPath('machine.gates.6.state', 'asking');
        self::assertContains('compressor:C1', array_column($asked->json('machine.gates.6.missing'), 'subject'));
        foreach (['C1', 'C2'] as $name) {
            $this->record($starter, $machine, 'compressor.windings', ['ohms_ab' => '3.1 ohm', 'ohms_bc' => '3.1 ohm', 'ohms_ca' => '3.1 ohm'], "compressor:$name")->assertCreated();
            $last = $this->record($starter, $machine, 'compressor.insulation', ['megohms' => '400 Mohm', 'instrument' => 'megohmmeter_500', 'system_state' => 'pressurised'], "compressor:$name");
        }
        $last->assertJsonPath('machine.gates.6.state', 'answered');
        $proved = $this->rotation($starter, $machine, 'abc', ['C1' => ['hours_backwards' => '5 min', 'checked' => ['amps_pressures']]]);
        $checked = $proved->json('machine.tape.0.input.loads.0.checked');
        self::assertEqualsCanonicalizing(['windings', 'insulation'], $checked, 'read from the record, not told by the device');
    }

    public function testABlowerSwappedByItselfMustBePutBackWithTheSupply(): void
    {
        [$starter, $machine] = $this->atRotation();
        $seen = $this->rotation($starter, $machine, 'cba', ['C1' => ['pressure_moved' => false, 'noise' => 'loud', 'amps' => '5.0 A'], 'Blower' => ['observed' => 'correct']]);
        self::assertStringContainsString('Blower', $seen->json('machine.tape.0.headline'));
        self::assertContains('Swap Blower back under the same lockout, or it will run backwards.', $seen->json('machine.tape.0.next'));
    }

    public function testAReadingOfARunningMachineBeforeRunIsOpenIsKeptOutOfOrder(): void
    {
        $starter = $this->person(Role::Starter);
        $machine = $this->machine($starter);
        $early = $this->write($starter, "machines/$machine->id/checks/power.running_amps", ['reason' => 'bumped it', 'input' => ['doors_on' => true, 'loads' => [['name' => 'Blower', 'kind' => 'blower', 'amps_a' => '7 A', 'amps_b' => '7 A', 'amps_c' => '7 A', 'plate_amps' => '7.6 A']]]]);
        $early->assertCreated()->assertJsonPath('machine.tape.0.outOfOrder', [8])->assertJsonPath('machine.tape.0.reason', 'bumped it');
        self::assertContains('out_of_order', $early->json('machine.gates.7.flags'));
    }

    /** @return array{User, Machine} */
    private function atRotation(): array
    {
        $starter = $this->person(Role::Starter);
        $machine = $this->machine($starter);
        $legs = ['volts_ab' => '481 V', 'volts_bc' => '478 V', 'volts_ca' => '484 V', 'plate_voltage' => '460'];
        $this->record($starter, $machine, 'power.voltage', $legs)->assertCreated();
        $this->record($starter, $machine, 'power.supply_identity', $legs)->assertCreated();
        $this->record($starter, $machine, 'power.circuit', ['mca' => '32.8 A', 'mocp' => '40 A', 'breaker' => '40 A', 'conductor' => '8', 'insulation' => 90, 'terminal_rating' => 75])->assertCreated();
        $this->record($starter, $machine, 'power.control_voltage', ['supply_average' => '481 V', 'tap' => '480 V', 'secondary_measured' => '24.6 V'])->assertCreated();

        return [$starter, $machine];
    }

    /**
     * @param array<string, array<string, mixed>> $seen
     * @return \Illuminate\Testing\TestResponse<\Symfony\Component\HttpFoundation\Response>
     */
    private function rotation(User $person, Machine $machine, string $meter, array $seen): \Illuminate\Testing\TestResponse
    {
        $loads = array_map(fn (array $load): array => $load + ($seen[$load['name']] ?? []), self::LOADS);

        return $this->record($person, $machine, 'power.rotation', ['meter' => $meter, 'loads' => $loads])->assertCreated();
    }
}
