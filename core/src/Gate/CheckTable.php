<?php

declare(strict_types=1);

namespace IronStart\Core\Gate;

/**
 * How each check stands to the gates: which it belongs to, what makes its verdict stale, which part `machine` means.
 *
 * One row a check. When a check is asked stands in Asked, since that hangs on the job.
 */
final class CheckTable
{
    /** Gate 7 and after it: the check counts from the work on the supply only. */
    private const SUPPLY = 'supply';
    /** A reading of the running machine: it counts from the proof of the direction only, and waits for its gate. */
    private const RUNNING = 'running';
    /** It waits for its gate, though nothing runs. */
    private const ORDERED = 'ordered';
    /** Done before the start, and over again after a stop about the direction. */
    private const BEFORE_START = 'before start';
    /** Before the start, in Run alone. */
    private const BEFORE_START_IN_RUN = 'before start in Run';
    /** An open item with owner and date stands for it: the season forbids it. */
    private const SEASONAL = 'seasonal';

    private const RUN = 8;
    private const CIRCUIT = ['one' => 'circuit'];
    private const COMPRESSOR = ['one' => 'compressor'];
    private const SAMPLED = ['one' => 'sampled'];
    private const DUCTED = ['one' => 'ducted'];
    private const JOINTS = ['piping.purge', 'piping.flare_torque'];

    /**
     * `gates`: gate => the subject of SPECIAL that its row names, '' for none. `is`: the marks above. `undone`: what,
     * done later on the same circuit, makes it worthless. `one`: the list of which `machine` means the only name.
     */
    private const OF = [
        'survey.curb_fit' => ['gates' => [1 => '']],
        'survey.crane' => ['gates' => [1 => '']],
        'survey.rigging' => ['gates' => [1 => '']],
        'survey.route' => ['gates' => [1 => '']],
        'survey.structure' => ['gates' => [1 => '']],
        'survey.options' => ['gates' => [1 => '']],
        'vrf.topology' => ['gates' => [1 => 'planned', 4 => 'built']],
        'power.supply_identity' => ['gates' => [1 => 'old_disconnect', 7 => ''], 'is' => [self::SUPPLY]],
        'power.circuit' => ['gates' => [1 => 'old_disconnect', 7 => '']],
        'power.lockout' => ['gates' => [2 => 'old_disconnect', 7 => '']],
        'refrigerant.way_out' => ['gates' => [2 => '']],
        'refrigerant.cylinder' => ['gates' => [2 => '']],
        'refrigerant.account' => ['gates' => [2 => '']],
        'refrigerant.rebound' => ['gates' => [2 => '']],
        'refrigerant.saturation' => ['gates' => []],
        'compressor.acid' => ['gates' => [2 => '']],
        'list.set' => ['gates' => [3 => '']],
        'condensate.trap' => ['gates' => [3 => '']] + self::DUCTED,
        'piping.reuse' => ['gates' => [4 => '']] + self::CIRCUIT,
        'piping.purge' => ['gates' => [4 => '']] + self::CIRCUIT,
        'piping.flare_torque' => ['gates' => [4 => '']] + self::CIRCUIT,
        'piping.bulb' => ['gates' => [4 => '']] + self::CIRCUIT,
        'piping.equivalent_length' => ['gates' => [4 => '']] + self::CIRCUIT,
        'piping.insulation' => ['gates' => [4 => '']],
        'list.pipe' => ['gates' => [4 => '']],
        'tight.hold' => ['gates' => [5 => ''], 'is' => [self::ORDERED], 'undone' => self::JOINTS, 'one' => 'section'],
        'dry.decay' => ['gates' => [6 => ''], 'is' => [self::ORDERED], 'undone' => [...self::JOINTS, 'tight.hold']] + self::CIRCUIT,
        'dry.log' => ['gates' => [6 => '']],
        'dry.water' => ['gates' => [6 => '']],
        'dry.pull_time' => ['gates' => []],
        'power.voltage' => ['gates' => [7 => '', 8 => 'loaded'], 'is' => [self::SUPPLY]],
        'power.motor_tap' => ['gates' => [7 => ''], 'is' => [self::SUPPLY]],
        'power.temporary_supply' => ['gates' => [7 => '']],
        'power.grounding' => ['gates' => [7 => '']],
        'power.disconnect' => ['gates' => [7 => '']],
        'power.single_phase_split' => ['gates' => [7 => '']],
        'power.feeder' => ['gates' => [7 => '']],
        'vrf.wire_map' => ['gates' => [7 => '']],
        'compressor.match' => ['gates' => [7 => '']] + self::COMPRESSOR,
        'compressor.insulation' => ['gates' => [7 => '']] + self::COMPRESSOR,
        'compressor.windings' => ['gates' => [7 => '']] + self::COMPRESSOR,
        'compressor.inverter' => ['gates' => [7 => '']] + self::COMPRESSOR,
        'power.rotation' => ['gates' => [7 => '', 8 => ''], 'is' => [self::SUPPLY]],
        'power.control_voltage' => ['gates' => [7 => '']],
        'power.dials' => ['gates' => [7 => '', 8 => ''], 'is' => [self::SUPPLY, self::BEFORE_START_IN_RUN]],
        'power.plate_math' => ['gates' => [7 => '']],
        'power.fault_current' => ['gates' => [7 => ''], 'is' => [self::SUPPLY]],
        'power.transformer_va' => ['gates' => [7 => '']],
        'diagnose.root_cause' => ['gates' => [7 => '']],
        'run.standing_pressure' => ['gates' => [8 => ''], 'undone' => ['dry.decay']] + self::CIRCUIT,
        'run.warm_up' => ['gates' => [8 => ''], 'is' => [self::BEFORE_START]],
        'vrf.warm_up' => ['gates' => [8 => ''], 'is' => [self::BEFORE_START]],
        'list.prestart' => ['gates' => [8 => ''], 'is' => [self::BEFORE_START]],
        'run.first_start' => ['gates' => [8 => ''], 'is' => [self::RUNNING]],
        'power.running_amps' => ['gates' => [8 => ''], 'is' => [self::RUNNING]],
        'safety.leak_sensor' => ['gates' => [8 => ''], 'is' => [self::RUNNING]],
        'vrf.addresses' => ['gates' => [8 => '']],
        'vrf.commission' => ['gates' => [8 => ''], 'is' => [self::RUNNING]],
        'power.leg_roll' => ['gates' => [8 => ''], 'is' => [self::RUNNING]],
        'power.drop' => ['gates' => [8 => ''], 'is' => [self::RUNNING]],
        'vrf.charge' => ['gates' => [9 => ''], 'undone' => ['dry.decay']],
        'charge.state' => ['gates' => [9 => ''], 'is' => [self::RUNNING, self::SEASONAL]] + self::CIRCUIT,
        'charge.weigh_in' => ['gates' => [9 => ''], 'undone' => ['dry.decay']] + self::CIRCUIT,
        'charge.room_limit' => ['gates' => [9 => '']],
        'charge.orifice' => ['gates' => [9 => '']],
        'charge.line_check' => ['gates' => [9 => '']],
        'charge.target_superheat' => ['gates' => [9 => '']],
        'charge.trim' => ['gates' => [9 => ''], 'is' => [self::RUNNING]],
        'diagnose.cooling' => ['gates' => [9 => ''], 'is' => [self::RUNNING]],
        'air.split' => ['gates' => [10 => ''], 'is' => [self::RUNNING, self::SEASONAL]] + self::SAMPLED,
        'air.flow' => ['gates' => [10 => ''], 'is' => [self::RUNNING]],
        'air.static' => ['gates' => [10 => ''], 'is' => [self::RUNNING]] + self::DUCTED,
        'air.mix' => ['gates' => [10 => ''], 'is' => [self::RUNNING, self::SEASONAL]],
        'air.fan_drive' => ['gates' => [10 => ''], 'is' => [self::RUNNING]],
        'air.state' => ['gates' => [], 'is' => [self::RUNNING]],
        'heat.gas_pressure' => ['gates' => [10 => ''], 'is' => [self::RUNNING, self::SEASONAL]],
        'heat.gas_rate' => ['gates' => [10 => ''], 'is' => [self::RUNNING, self::SEASONAL]],
        'heat.rise' => ['gates' => [10 => ''], 'is' => [self::RUNNING, self::SEASONAL]],
        'heat.electric' => ['gates' => [10 => ''], 'is' => [self::RUNNING, self::SEASONAL]],
        'heat.heat_pump' => ['gates' => [10 => ''], 'is' => [self::RUNNING, self::SEASONAL], 'deferred' => ['have' => ['valve_proved', 'season'], 'not' => ['missing']]],
        'condensate.float' => ['gates' => [10 => '']] + self::SAMPLED,
        'controls.terminals' => ['gates' => [11 => '']],
        'vrf.run_plan' => ['gates' => [11 => ''], 'is' => [self::RUNNING]],
        'vrf.crossed_zones' => ['gates' => [11 => ''], 'is' => [self::RUNNING]],
        'controls.settings' => ['gates' => [11 => '']],
        'controls.staging' => ['gates' => [11 => '']],
        'controls.leaving_air' => ['gates' => [11 => '']],
        'controls.sequence' => ['gates' => [11 => ''], 'is' => [self::RUNNING, self::SEASONAL], 'deferred' => ['have' => ['blocked'], 'not' => ['missing', 'wait', 'wait_off', 'not_tried']]],
        'safety.smoke' => ['gates' => [11 => ''], 'is' => [self::RUNNING]],
        'controls.alarms' => ['gates' => [11 => ''], 'is' => [self::RUNNING]],
        'controls.call_path' => ['gates' => [11 => '']],
        'vrf.leak_by' => ['gates' => [11 => ''], 'is' => [self::RUNNING]],
        'list.owner' => ['gates' => [12 => '']],
        'plan.day' => ['gates' => []],
    ];

    /** Watches that name a doubt about what was asked: by first word, they do not answer. */
    public const UNPROVED = [
        'gas_left' => true, 'above_finish' => true, 'side_unknown' => true,
        'below_target' => true, 'loss_unclear' => true, 'gained' => true, 'too_coarse' => true, 'dipped' => true, 'wide_swing' => true, 'held_low' => true,
        'gauge_at_pump' => true, 'still_rising' => true, 'too_cold' => true, 'loose_limits' => true, 'rose_after' => true, 'mode_lost' => true, 'valves_not_open' => true,
        'not_a_proof' => true, 'insulation_poor' => true, 'weak_leg' => true, 'rating_unclear' => true, 'oil_not_judged' => true,
        'area_unknown' => true, 'flood_risk' => true, 'below_saturation' => true,
        'cold_pipes' => true, 'lifted_only' => true, 'fault_only' => true, 'pump_switch_lifted' => true, 'drained_blower_off' => true, 'end_not_seen' => true,
        'valve_unclear' => true,
    ];

    /** Subjects a gate's row can name. */
    private const SPECIAL = ['old_disconnect' => true, 'loaded' => true, 'planned' => true, 'built' => true];
    private const LOADED = 'loaded';
    private const LOCKOUT = 'power.lockout';
    /** In Run they are read of the machine while it runs. */
    private const SEEN_RUNNING = ['power.rotation', 'power.dials'];

    /** @return list<string> every check that can be recorded on a machine */
    public static function checks(): array
    {
        return array_keys(self::OF);
    }

    /** Whether the gates know it: what is written beside the checks is no part of them. */
    public static function has(string $check): bool
    {
        return isset(self::OF[$check]);
    }

    /** @return list<int> all gates of a check, rising */
    public static function gatesOf(string $check): array
    {
        return array_keys(self::OF[$check]['gates'] ?? []);
    }

    /** A reading of the running machine. */
    public static function isRunning(string $check, string $base): bool
    {
        return self::is($check, self::RUNNING) || ($check === 'power.voltage' && $base === self::LOADED);
    }

    /** It can't be done before the machine runs. */
    public static function needsStart(string $check, string $base, int $gate): bool
    {
        return self::isRunning($check, $base) || ($gate === self::RUN && in_array($check, self::SEEN_RUNNING, true));
    }

    /** It waits for the gates that its own needs. */
    public static function isOrdered(string $check, string $base): bool
    {
        return self::isRunning($check, $base) || self::is($check, self::ORDERED);
    }

    /** It hangs on the proof of the direction at a gate: what was read before that is stale. */
    public static function hangsOnDirection(string $check, string $base, int $gate): bool
    {
        return self::isRunning($check, $base) || self::is($check, self::BEFORE_START) || ($gate === self::RUN && self::is($check, self::BEFORE_START_IN_RUN));
    }

    /** Work on the supply asks for it again. */
    public static function hangsOnSupply(string $check): bool
    {
        return self::is($check, self::SUPPLY);
    }

    /** @return list<string> checks that, done later on the same circuit, make it worthless */
    public static function undoneBy(string $check): array
    {
        return self::OF[$check]['undone'] ?? [];
    }

    /** The list of which `machine` means the only name; '' for none. */
    public static function oneOf(string $check): string
    {
        return self::OF[$check]['one'] ?? '';
    }

    /** Whether an open item may stand for it, given the codes of the open verdict that counts (null: there is none). */
    public static function isDeferred(string $check, ?Recorded $counts): bool
    {
        $when = self::OF[$check]['deferred'] ?? null;
        if (! self::is($check, self::SEASONAL) || $when === null) {
            return self::is($check, self::SEASONAL);
        }
        $says = fn (string $code): bool => $counts?->says($code) ?? false;

        return $counts !== null && array_filter($when['have'], $says) === $when['have'] && array_filter($when['not'], $says) === [];
    }

    /**
     * The gates a verdict about a subject belongs to on a job.
     *
     * @param list<int> $onJob
     * @param bool $isCompressorChange there the lockout belongs to both its gates, whatever it is about
     * @return list<int> rising
     */
    public static function belongs(string $check, string $base, array $onJob, bool $isCompressorChange): array
    {
        $rows = self::OF[$check]['gates'] ?? [];
        $all = array_keys($rows);
        $gates = $all;
        if (count($rows) > 1 && ! ($isCompressorChange && $check === self::LOCKOUT)) {
            $named = isset(self::SPECIAL[$base]) ? array_keys($rows, $base, true) : [];
            $gates = $named ?: (array_keys($rows, '', true) ?: $all);
        }

        return array_values(array_intersect($gates, $onJob)) ?: (array_values(array_intersect($all, $onJob)) ?: array_slice($gates, 0, 1));
    }

    private static function is(string $check, string $mark): bool
    {
        return in_array($mark, self::OF[$check]['is'] ?? [], true);
    }
}
