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
        $refrigerant = ['refrigerant_handling'];
        yield 'curb' => ['survey.curb_fit', [], ['lifting', 'drilling_blind', 'asbestos']];
        yield 'route' => ['survey.route', [], ['manual_handling', 'drilling_blind', 'asbestos', 'confined_space', 'ladder', 'attic', 'insects', 'working_alone']];
        yield 'rigging' => ['survey.rigging', [], ['lifting', 'roof_edge']];
        yield 'crane' => ['survey.crane', [], ['lifting', 'roof_edge', 'overhead_line']];
        yield 'roof' => ['survey.structure', [], ['local_code']];
        yield 'options' => ['survey.options', [], []];
        $out = ['compressor_runs' => true, 'acid' => 'none', 'work_on' => 'line_set', 'service_valves' => true];
        $way = [...$refrigerant, 'core_ejected', 'eye_protection', 'confined_space', 'asbestos'];
        yield 'way out' => ['refrigerant.way_out', [], $way];
        yield 'pumped down' => ['refrigerant.way_out', $out, [...$way, 'bypassed_safety', 'hand_on_contactor', 'working_alone']];
        yield 'recovered' => ['refrigerant.way_out', ['service_valves' => false] + $out, $way];
        yield 'rebound' => ['refrigerant.rebound', [], [...$refrigerant, 'frostbite', 'eye_protection']];
        yield 'rebound of what burns' => ['refrigerant.rebound', ['refrigerant' => 'R-32'], [...$refrigerant, 'frostbite', 'eye_protection', 'flammable_refrigerant']];
        yield 'cylinder' => ['refrigerant.cylinder', ['refrigerant' => 'R-410A'], [...$refrigerant, 'manual_handling']];
        yield 'cylinder of what burns' => ['refrigerant.cylinder', ['refrigerant' => '454b'], [...$refrigerant, 'manual_handling', 'flammable_refrigerant']];
        yield 'account' => ['refrigerant.account', [], [...$refrigerant, 'manual_handling']];
        $purge = ['hot_work', 'toxic_breakdown', 'nitrogen_regulator', 'asphyxiation', 'fire_alarm_isolated', 'hot_surfaces', 'eye_protection', 'remote_start'];
        yield 'purge' => ['piping.purge', ['cores_out' => false], $purge];
        yield 'purge with cores out' => ['piping.purge', ['cores_out' => true], [...$purge, 'core_ejected']];
        yield 'old pipe' => ['piping.reuse', ['flush' => 'none'], ['nitrogen_regulator', 'asphyxiation', 'asbestos']];
        yield 'old pipe, flushed' => ['piping.reuse', ['flush' => 'blown'], ['nitrogen_regulator', 'asphyxiation', 'asbestos', 'eye_protection', 'flush_solvent']];
        foreach (['piping.flare_torque', 'piping.bulb', 'piping.equivalent_length', 'piping.insulation', 'condensate.trap', 'condensate.float'] as $none) {
            yield $none => [$none, [], []];
        }
        yield 'hot work' => ['entry.hot_work', [], ['hot_work', 'fire_alarm_isolated', 'toxic_breakdown', 'hot_surfaces']];
        yield 'a brazed joint' => ['entry.joint', ['kind' => 'braze'], ['hot_work', 'toxic_breakdown', 'nitrogen_regulator', 'hot_surfaces', 'eye_protection']];
        yield 'a flare' => ['entry.joint', ['kind' => 'flare'], []];
        yield 'a valve' => ['entry.valve', [], ['refrigerant_handling', 'eye_protection']];
        yield 'service mode' => ['entry.service_mode', [], ['never_run_in_vacuum', 'no_insulation_test_in_vacuum', 'asphyxiation', 'lockout']];
        yield 'opening the valves' => ['entry.open_valves', [], ['refrigerant_handling', 'eye_protection', 'frostbite']];
        yield 'another load' => ['entry.orphan_load', ['what' => 'light', 'disconnect' => 'D4'], ['lockout']];
        yield 'oil' => ['entry.oil', [], ['eye_protection', 'refrigerant_handling']];
        yield 'a flush' => ['entry.flush', [], ['flush_solvent', 'eye_protection', 'nitrogen_regulator']];
        yield 'a swap' => ['entry.swap', [], ['lockout', 'live_rotation_swap', 'stored_energy']];
        yield 'a breaker found tripped' => ['entry.breaker_tripped', [], ['lockout', 'arc_flash']];
        yield 'a feed' => ['entry.feed', [], ['local_code']];
        yield 'a first start' => ['entry.first_step', ['name' => 'C1', 'kind' => 'scroll'], ['rotating_parts', 'arc_flash', 'terminal_venting']];
        yield 'conditions' => ['entry.conditions', [], []];
        yield 'lug torque' => ['entry.lug_torque', [], ['lockout']];
        yield 'a failed part' => ['entry.part_failed', [], []];
        yield 'a choice' => ['entry.option_chosen', [], []];
        yield 'a lift day' => ['entry.lift_day', [], ['lifting', 'roof_edge']];
        yield 'an order' => ['entry.order_sheet', [], []];
        foreach (['entry.code', 'entry.maker_form', 'entry.sensor', 'entry.hours', 'entry.spares', 'entry.warranty', 'entry.next_look', 'entry.finding'] as $none) {
            yield $none => [$none, [], []];
        }
        $running = ['rotating_parts', 'arc_flash', 'terminal_venting', 'hot_surfaces', 'hand_on_contactor', 'never_run_in_vacuum', 'remote_start'];
        yield 'standing pressure' => ['run.standing_pressure', [], ['refrigerant_handling', 'frostbite', 'never_run_in_vacuum']];
        yield 'standing pressure of what burns' => ['run.standing_pressure', ['refrigerant' => 'R-454B'], ['refrigerant_handling', 'frostbite', 'never_run_in_vacuum', 'flammable_refrigerant']];
        yield 'standing in a vacuum' => ['run.standing_pressure', ['refrigerant' => 'R-410A', 'pressure' => '-2 psig', 'ambient' => '75 degF', 'standing_hours' => 14], ['refrigerant_handling', 'frostbite', 'never_run_in_vacuum', 'no_insulation_test_in_vacuum']];
        yield 'crankcase heat' => ['run.warm_up', [], ['hot_surfaces', 'qualified_electrical']];
        yield 'first run' => ['run.first_start', [], $running];
        yield 'joints' => ['power.drop', [], [...self::LIVE, 'rotating_parts']];
        yield 'fault current' => ['power.fault_current', [], ['local_code']];
        yield 'ground' => ['power.grounding', [], ['lockout', 'qualified_electrical', 'local_code']];
        yield 'disconnect' => ['power.disconnect', ['fuse_class' => 'RK5'], ['local_code']];
        yield 'a slug' => ['power.disconnect', ['fuse_class' => 'slug'], ['local_code', 'lockout', 'arc_flash']];
        yield 'transformer' => ['power.transformer_va', [], ['qualified_electrical']];
        yield 'dials' => ['power.dials', [], ['lockout', 'qualified_electrical', 'rotating_parts']];
        yield 'dials of a drive' => ['power.dials', ['drives' => [['name' => 'F']]], ['lockout', 'qualified_electrical', 'rotating_parts', 'stored_energy']];
        yield 'taps' => ['power.motor_tap', [], ['lockout', 'stored_energy', 'live_rotation_swap']];
        yield 'feeder' => ['power.feeder', [], ['local_code']];
        yield 'feeder with a swap' => ['power.feeder', ['swap_at' => 'feeder'], ['local_code', 'lockout', 'live_rotation_swap']];
        yield 'call path' => ['controls.call_path', [], ['qualified_electrical', 'bypassed_safety', 'hand_on_contactor']];
        yield 'smoke' => ['safety.smoke', [], ['fire_alarm_isolated', 'rotating_parts']];
        yield 'leak sensor' => ['safety.leak_sensor', ['method' => 'gas'], ['flammable_refrigerant']];
        yield 'leak sensor unplugged' => ['safety.leak_sensor', ['method' => 'unplugged'], ['flammable_refrigerant', 'bypassed_safety']];
        yield 'new compressor' => ['compressor.match', [], ['lockout', 'refrigerant_handling', 'local_code']];
        yield 'an inverter' => ['compressor.inverter', [], ['lockout', 'stored_energy', 'qualified_electrical', 'terminal_venting']];
        yield 'new compressor for what burns' => ['compressor.match', ['refrigerant' => 'R-32'], ['lockout', 'refrigerant_handling', 'local_code', 'flammable_refrigerant']];
        yield 'piping tree' => ['vrf.topology', [], []];
        yield 'addresses' => ['vrf.addresses', [], ['lockout', 'qualified_electrical']];
        yield 'warm-up of a system' => ['vrf.warm_up', [], ['hot_surfaces', 'qualified_electrical']];
        yield 'commissioning' => ['vrf.commission', [], ['never_run_in_vacuum', 'freed_leads', 'remote_start']];
        yield 'run plan' => ['vrf.run_plan', [], []];
        yield 'crossed zones' => ['vrf.crossed_zones', [], []];
        yield 'a night of valves' => ['vrf.leak_by', [], []];
        yield 'charge of a system' => ['vrf.charge', [], ['refrigerant_handling', 'frostbite', 'core_ejected', 'asphyxiation']];
        yield 'charge of a system that burns' => ['vrf.charge', ['refrigerant' => 'R-32'], ['refrigerant_handling', 'frostbite', 'core_ejected', 'asphyxiation', 'flammable_refrigerant']];
        yield 'wire map' => ['vrf.wire_map', [], ['lockout', 'qualified_electrical']];
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
