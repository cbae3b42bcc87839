<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Judge;

use IronStart\Core\Core;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Which cautions each check owes, whatever it says. */
final class CautionsTest extends TestCase
{
    private const LIVE = ['qualified_electrical', 'arc_flash', 'working_alone'];
    private const SWAP = ['lockout', 'live_rotation_swap', 'rotating_parts'];

    /** @return iterable<string, array{string, array<string, mixed>, list<string>}> */
    public static function owed(): iterable
    {
        yield 'supply' => ['power.supply_identity', [], self::LIVE];
        yield 'voltage' => ['power.voltage', [], self::LIVE];
        yield 'rotation' => ['power.rotation', [], [...self::LIVE, ...self::SWAP, 'hand_on_contactor', 'remote_start']];
        $drive = fn (string $drive): array => ['meter' => 'abc', 'loads' => [['name' => 'F', 'kind' => 'condenser_fan', 'drive' => $drive, 'observed' => 'backwards']]];
        yield 'rotation of a drive' => ['power.rotation', $drive('inverter'), [...self::LIVE, ...self::SWAP, 'hand_on_contactor', 'remote_start', 'stored_energy']];
        yield 'rotation of an ECM' => ['power.rotation', $drive('ecm'), [...self::LIVE, ...self::SWAP, 'hand_on_contactor', 'remote_start', 'stored_energy']];
        yield 'lockout' => ['power.lockout', [], ['lockout', ...self::LIVE, 'remote_start', 'ladder', 'attic', 'insects']];
        yield 'lockout of a drive' => ['power.lockout', ['stored_energy' => true], ['lockout', ...self::LIVE, 'remote_start', 'ladder', 'attic', 'insects', 'stored_energy']];
        yield 'lockout with a bus' => ['power.lockout', ['bus_volts' => '4 V'], ['lockout', ...self::LIVE, 'remote_start', 'ladder', 'attic', 'insects', 'stored_energy']];
        yield 'circuit' => ['power.circuit', [], ['local_code']];
        yield 'plate' => ['power.plate_math', [], ['local_code']];
        yield 'generator' => ['power.temporary_supply', [], ['local_code', 'carbon_monoxide']];
        yield 'utility' => ['power.temporary_supply', ['source_kind' => 'utility'], ['local_code']];
        yield 'control voltage' => ['power.control_voltage', [], [...self::LIVE, 'stored_energy']];
        yield 'amps' => ['power.running_amps', [], [...self::LIVE, 'hand_on_contactor']];
        yield 'leg roll' => ['power.leg_roll', [], [...self::LIVE, ...self::SWAP]];
        yield 'split' => ['power.single_phase_split', [], []];
        yield 'windings' => ['compressor.windings', [], ['lockout', 'terminal_venting', 'eye_protection', 'stored_energy']];
        yield 'insulation' => ['compressor.insulation', [], ['lockout', 'terminal_venting', 'no_insulation_test_in_vacuum', 'never_run_in_vacuum', 'eye_protection', 'stored_energy']];
        $acid = ['oil_acid' => 'strong', 'failure' => 'unknown', 'oil_colour' => 'black', 'oil_type' => 'POE'];
        yield 'acid' => ['compressor.acid', ['lines_reused' => false] + $acid, ['refrigerant_handling']];
        yield 'acid with a flush' => ['compressor.acid', ['lines_reused' => true] + $acid, ['refrigerant_handling', 'flush_solvent']];
        yield 'set list' => ['list.set', [], ['local_code', 'drilling_blind', 'asbestos', 'confined_space', 'ladder', 'attic', 'insects', 'working_alone']];
        yield 'joint list' => ['list.pipe', [], ['hot_work', 'toxic_breakdown', 'drilling_blind', 'asbestos']];
        yield 'pre-start list' => ['list.prestart', [], ['lockout', 'rotating_parts', 'qualified_electrical', 'stored_energy', 'hand_on_contactor', 'remote_start']];
        yield 'owner' => ['list.owner', [], ['local_code']];
    }

    /**
     * @param array<string, mixed> $input
     * @param list<string>         $cautions
     */
    #[DataProvider('owed')]
    public function testACheckOwesItsCautions(string $check, array $input, array $cautions): void
    {
        self::assertEqualsCanonicalizing($cautions, Core::judge()->judge($check, $input, 'us')->judgement->cautions);
    }
}
