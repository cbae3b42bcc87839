<?php

declare(strict_types=1);

namespace IronStart\Core\Tests\Gate;

use IronStart\Core\Gate\CheckTable;
use IronStart\Core\Gate\FactPlace;
use IronStart\Core\Gate\Job;
use IronStart\Core\Gate\JobCautions;
use IronStart\Core\Gate\JobType;
use IronStart\Core\Gate\NeverOverridden;
use IronStart\Core\Gate\Recorded;
use IronStart\Core\Judge\Registry;
use IronStart\Core\Verdict\Status;
use PHPUnit\Framework\TestCase;

/** The lists the gates go by, held against the rules word for word: nothing more, nothing less. */
final class TablesTest extends TestCase
{
    private const NEVER_OVERRIDDEN = [
        'still_live line_side_live maybe_induced no_ground rod_only ground_open',
        'supply_reversed phase_lost single_phase single_phasing kind_crossed wrong_supply plate_mismatch',
        'disconnect_drive wrong_frequency voltage_mismatch slug open_fuse open_pole wrong_class wrong_volts wrong_phases bus_charged not_locked',
        'grounded no_insulation_test_in_vacuum cold_reading locked_rotor',
        'toxic_breakdown above_design over_full over_lfl wrong_gas mixed_refrigerants disposable rating_low flat in_vacuum wrong_refrigerant wrong_oil',
        'joints_not_tested no_airflow_proof over_rated co_high rollout_tripped bypassed blower_did_not_start compressor_ran_on ignition_ran_on ran_on',
        'power_line over_capacity sling_over boom_hits_load two_cranes',
    ];
    private const NEVER_OVERRIDDEN_WHOLE = ['not_done:nobody_at_it', 'not_done:earth', 'not_done:gas_tested'];
    private const OVERRIDABLE = ['over_fault_rating', 'vapour_only', 'above_saturation', 'sensor_missing', 'blower_ran_on', 'not_pumping', 'wall_short', 'over_tested', 'cools_on_heat_call', 'not_done:lugs', 'breaker_large', 'suspect', 'needs_meter', 'conflict', 'no_secondary', 'oil_low'];
    private const ONLY_A_START_DISPROVES = 'single_phasing joints_not_tested no_airflow_proof over_rated open_fuse open_pole bypassed blower_did_not_start compressor_ran_on ignition_ran_on ran_on locked_rotor co_high rollout_tripped';
    private const UNPROVED = [
        'gas_left above_finish side_unknown',
        'below_target loss_unclear gained too_coarse dipped wide_swing held_low',
        'gauge_at_pump still_rising too_cold loose_limits rose_after mode_lost valves_not_open',
        'not_a_proof insulation_poor weak_leg rating_unclear oil_not_judged',
        'area_unknown flood_risk below_saturation',
        'cold_pipes lifted_only fault_only pump_switch_lifted drained_blower_off end_not_seen valve_unclear',
    ];
    private const RUNNING = [
        'power.running_amps power.leg_roll vrf.commission charge.state charge.trim diagnose.cooling power.drop run.first_start controls.sequence controls.alarms',
        'air.fan_drive air.flow air.mix air.split air.state air.static heat.electric heat.gas_pressure heat.gas_rate heat.heat_pump heat.rise',
        'vrf.run_plan vrf.crossed_zones vrf.leak_by safety.leak_sensor safety.smoke',
    ];
    private const FACTS = [
        'curb craned carried on_roof nothing_old old_empty recovered failed_compressor drain',
        'circuit_opened no_brazing flares field_bulb line_set lines_reused module_change',
        'single_phase pair field_bus shared_feeder temporary_supply taps motor_taps wiring dials tripped ran_reversed sheet_asks sister_fault',
        'first_start warm_up flammable small_room test_mode fixed_orifice',
        'gas_heat electric_heat heat_pump float outside_air belt staged leaving_air alarms duct_detector',
    ];
    /** Gate => the checks that belong to it, asked or offered. */
    private const BELONGS = [
        1 => 'survey.curb_fit survey.crane survey.rigging survey.route survey.structure survey.options vrf.topology power.supply_identity power.circuit',
        2 => 'power.lockout refrigerant.way_out refrigerant.cylinder refrigerant.account refrigerant.rebound compressor.acid',
        3 => 'list.set condensate.trap',
        4 => 'piping.reuse piping.purge piping.flare_torque piping.bulb piping.equivalent_length piping.insulation vrf.topology list.pipe',
        5 => 'tight.hold',
        6 => 'dry.decay dry.log dry.water',
        7 => 'power.supply_identity power.voltage power.motor_tap power.temporary_supply power.circuit power.grounding power.disconnect power.single_phase_split power.feeder vrf.wire_map compressor.match compressor.insulation compressor.windings compressor.inverter power.rotation power.control_voltage power.dials power.lockout power.plate_math power.fault_current power.transformer_va diagnose.root_cause',
        8 => 'run.standing_pressure run.warm_up vrf.warm_up list.prestart run.first_start power.rotation power.dials power.voltage power.running_amps safety.leak_sensor vrf.addresses vrf.commission power.leg_roll power.drop',
        9 => 'vrf.charge charge.state charge.weigh_in charge.room_limit charge.orifice charge.line_check charge.target_superheat charge.trim diagnose.cooling',
        10 => 'air.split air.static air.flow air.mix air.fan_drive heat.gas_pressure heat.gas_rate heat.rise heat.electric heat.heat_pump condensate.float',
        11 => 'controls.terminals vrf.run_plan vrf.crossed_zones controls.settings controls.staging controls.leaving_air controls.sequence safety.smoke controls.alarms controls.call_path vrf.leak_by',
        12 => 'list.owner',
    ];

    public function testTheNeverOverriddenAreTheClosedList(): void
    {
        $listed = self::words(self::NEVER_OVERRIDDEN);
        foreach ($listed as $word) {
            self::assertTrue(NeverOverridden::is($word, Status::Stop), $word);
            self::assertTrue(NeverOverridden::is("$word:C1", Status::Stop), "$word:C1");
        }
        foreach (self::NEVER_OVERRIDDEN_WHOLE as $code) {
            self::assertTrue(NeverOverridden::is($code, Status::Stop), $code);
        }
        foreach (self::OVERRIDABLE as $code) {
            self::assertFalse(NeverOverridden::is($code, Status::Stop), $code);
        }
        self::assertFalse(NeverOverridden::is('voltage_mismatch', Status::Watch), 'one option of several');
        self::assertTrue(NeverOverridden::is('plate_mismatch', Status::Watch), 'whatever the verdict calls itself');
    }

    public function testOfTheseOnlySomeAreDisprovedByAStart(): void
    {
        $start = explode(' ', self::ONLY_A_START_DISPROVES);
        foreach (self::words(self::NEVER_OVERRIDDEN) as $word) {
            self::assertSame(in_array($word, $start, true), NeverOverridden::onlyAStartDisproves([$word]), $word);
        }
        self::assertFalse(NeverOverridden::onlyAStartDisproves([]));
        self::assertFalse(NeverOverridden::onlyAStartDisproves(['locked_rotor:C1', 'grounded']), 'all of them must be');
        self::assertTrue(NeverOverridden::onlyAStartDisproves(['locked_rotor:C1', 'open_fuse']));
    }

    public function testTheUnprovedAreTheClosedList(): void
    {
        self::assertEqualsCanonicalizing(self::words(self::UNPROVED), array_keys(CheckTable::UNPROVED));
        $watch = fn (string $code, Status $status = Status::Watch): bool => (new Recorded('tight.hold', 'machine', $status, [$code], 1.0))->isUnproved();
        self::assertTrue($watch('below_target'));
        self::assertTrue($watch('weak_leg:c'), 'by its first word');
        self::assertFalse($watch('below_target', Status::Clear));
        self::assertFalse($watch('high_leg:c'));
    }

    public function testReadingsOfTheRunningMachineAreTheClosedList(): void
    {
        self::assertEqualsCanonicalizing(self::words(self::RUNNING), array_values(array_filter(CheckTable::checks(), fn (string $check): bool => CheckTable::isRunning($check, 'machine'))));
        self::assertTrue(CheckTable::isRunning('power.voltage', 'loaded'));
        self::assertTrue(CheckTable::isOrdered('tight.hold', 'circuit:A'));
        self::assertTrue(CheckTable::isOrdered('dry.decay', 'circuit:A'));
        self::assertFalse(CheckTable::isOrdered('power.dials', 'machine'), 'what answers Power comes before any start');
        self::assertTrue(CheckTable::needsStart('power.rotation', 'machine', 8));
        self::assertFalse(CheckTable::needsStart('power.rotation', 'machine', 7));
        self::assertFalse(CheckTable::needsStart('list.prestart', 'machine', 8));
    }

    public function testEachCheckBelongsToItsGates(): void
    {
        $table = [];
        foreach (CheckTable::checks() as $check) {
            foreach (CheckTable::gatesOf($check) as $gate) {
                $table[$gate][] = $check;
            }
        }
        foreach (self::BELONGS as $gate => $checks) {
            self::assertEqualsCanonicalizing(explode(' ', $checks), $table[$gate], "gate $gate");
        }
        self::assertSame(['refrigerant.saturation', 'dry.pull_time', 'air.state', 'plan.day'], array_values(array_filter(CheckTable::checks(), fn (string $check): bool => CheckTable::gatesOf($check) === [])));
    }

    public function testTheFactsAreTheClosedList(): void
    {
        self::assertEqualsCanonicalizing(self::words(self::FACTS), Job::FACTS);
    }

    public function testAFactWhoseCheckIsToComeIsNotAsked(): void
    {
        $built = (new Registry())->ids();
        $waits = [
            'first_start' => 'run.first_start', 'warm_up' => 'run.warm_up', 'flammable' => 'safety.leak_sensor', 'wiring' => 'power.grounding', 'dials' => 'power.dials', 'motor_taps' => 'power.motor_tap',
            'pair' => 'vrf.wire_map', 'field_bus' => 'vrf.wire_map', 'lines_reused' => 'piping.reuse', 'heat_pump' => 'heat.heat_pump', 'alarms' => 'controls.alarms', 'duct_detector' => 'safety.smoke',
        ];
        foreach ($waits as $fact => $check) {
            $without = array_values(array_diff($built, [$check]));
            $at = fn (array $checks): array => array_merge([], ...array_map(fn (int $gate): array => FactPlace::at($gate, JobType::Rooftop, $checks), range(1, 12)));
            self::assertContains($fact, $at($built), $fact);
            self::assertNotContains($fact, $at($without), $fact);
        }
        $all = CheckTable::checks();
        self::assertSame([8], FactPlace::of('first_start', JobType::Rooftop, $all));
        self::assertSame([], FactPlace::of('field_bus', JobType::Compressor, $all));
        self::assertSame([4], FactPlace::of('lines_reused', JobType::Rooftop, $built), 'its check is there');
        self::assertSame([3], FactPlace::of('drain', JobType::Condensing, $built));
        self::assertSame([], FactPlace::of('drain', JobType::Rooftop, $built));
        self::assertSame([7], FactPlace::of('temporary_supply', JobType::Vrf, $built));
        self::assertSame([11], FactPlace::of('alarms', JobType::Vrf, $built));
        self::assertSame([10], FactPlace::of('gas_heat', JobType::Compressor, $built), 'heat is called again');
    }

    public function testTheFactsOfAUnitAreItsOwnThenItsSheets(): void
    {
        self::assertSame(['taps'], FactPlace::together(['taps', 'belt'], [], []), 'what the job says of a unit counts for none');
        self::assertSame(['belt'], FactPlace::together([], ['belt' => true], []));
        self::assertSame(['belt'], FactPlace::together([], [], ['belt']), 'the sheet fills what nobody said');
        self::assertSame([], FactPlace::together([], ['belt' => false], ['belt']), 'a no wins over the sheet');
        self::assertEqualsCanonicalizing(['flammable', 'gas_heat'], FactPlace::together(['flammable'], [], ['flammable', 'gas_heat']));
    }

    public function testTheUndoingAndTheSeasonsAreTheClosedLists(): void
    {
        $undone = array_filter(array_combine(CheckTable::checks(), array_map(CheckTable::undoneBy(...), CheckTable::checks())));
        self::assertEquals([
            'tight.hold' => ['piping.purge', 'piping.flare_torque'], 'dry.decay' => ['piping.purge', 'piping.flare_torque', 'tight.hold'],
            'charge.weigh_in' => ['dry.decay'], 'vrf.charge' => ['dry.decay'], 'run.standing_pressure' => ['dry.decay'],
        ], $undone);
        $open = fn (string $check, string ...$codes): Recorded => new Recorded($check, 'machine', Status::Open, array_values($codes), 1.0);
        $seasonal = array_values(array_filter(CheckTable::checks(), fn (string $check): bool => CheckTable::isDeferred($check, $open($check, 'valve_proved', 'season', 'blocked'))));
        self::assertEqualsCanonicalizing(['charge.state', 'air.split', 'air.mix', 'heat.electric', 'heat.gas_pressure', 'heat.gas_rate', 'heat.rise', 'heat.heat_pump', 'controls.sequence'], $seasonal);
        self::assertFalse(CheckTable::isDeferred('heat.heat_pump', null), 'the valve needs no season');
        self::assertFalse(CheckTable::isDeferred('heat.heat_pump', $open('heat.heat_pump', 'season')));
        self::assertFalse(CheckTable::isDeferred('heat.heat_pump', $open('heat.heat_pump', 'valve_proved', 'season', 'missing:aux')));
        foreach (['missing:x', 'wait', 'wait_off', 'not_tried:cool'] as $code) {
            self::assertFalse(CheckTable::isDeferred('controls.sequence', $open('controls.sequence', 'blocked', $code)), $code);
        }
        self::assertTrue(CheckTable::isDeferred('charge.state', null));
    }

    public function testTheRoofAndTheLoadAreRemindedOfByTheJob(): void
    {
        self::assertSame(['roof_edge', 'heat_stress'], JobCautions::of('power.running_amps', 'machine', JobType::Rooftop, ['on_roof']));
        self::assertSame([], JobCautions::of('power.voltage', 'machine', JobType::Rooftop, ['on_roof']), 'not at Power');
        self::assertSame(['roof_edge', 'heat_stress'], JobCautions::of('power.voltage', 'loaded', JobType::Rooftop, ['on_roof']), 'at Run');
        self::assertSame(['roof_edge', 'heat_stress'], JobCautions::of('power.lockout', 'old_disconnect', JobType::Rooftop, ['on_roof']), 'at Old unit out');
        self::assertSame([], JobCautions::of('power.lockout', 'machine', JobType::Rooftop, ['on_roof']));
        self::assertSame(['manual_handling'], JobCautions::of('compressor.windings', 'machine', JobType::Compressor, []));
        self::assertSame([], JobCautions::of('compressor.windings', 'machine', JobType::Rooftop, []));
        self::assertSame(['roof_edge', 'heat_stress', 'manual_handling'], JobCautions::of('list.set', 'machine', JobType::Rooftop, ['on_roof']));
        self::assertSame([], JobCautions::of('list.set', 'machine', JobType::Rooftop, ['craned']));
        self::assertSame(['manual_handling'], JobCautions::of('compressor.acid', 'machine', JobType::Vrf, ['module_change']));
    }

    public function testAFreedLeadIsRemindedOfWhereItCanBeTouched(): void
    {
        foreach (['refrigerant.way_out', 'dry.decay'] as $check) {
            self::assertSame(['freed_leads'], JobCautions::of($check, 'machine', JobType::Rooftop, [], wireFreed: true));
            self::assertSame([], JobCautions::of($check, 'machine', JobType::Rooftop, [], inverter: true));
        }
        self::assertSame(['freed_leads'], JobCautions::of('piping.purge', 'machine', JobType::Rooftop, [], inverter: true));
        self::assertSame(['freed_leads'], JobCautions::of('piping.purge', 'machine', JobType::Vrf, []));
        self::assertSame([], JobCautions::of('piping.purge', 'machine', JobType::Rooftop, [], wireFreed: true));
        self::assertSame([], JobCautions::of('piping.bulb', 'machine', JobType::Vrf, [], true, true));
    }

    /**
     * @param list<string> $lines
     * @return list<string>
     */
    private static function words(array $lines): array
    {
        return explode(' ', implode(' ', $lines));
    }
}
