<?php

declare(strict_types=1);

namespace IronStart\Core\Gate;

/** Which gates a check belongs to, whatever the job; and which of them by its subject. */
final class Belonging
{
    /**
     * Check => gate => the subject of SPECIAL that the gate's row names, '' for none of them; `old_disconnect,`
     * for a gate that names it on one type of job and none on another.
     */
    private const GATES = [
        'survey.curb_fit' => [1 => ''], 'survey.crane' => [1 => ''], 'survey.rigging' => [1 => ''],
        'survey.route' => [1 => ''], 'survey.structure' => [1 => ''], 'survey.options' => [1 => ''],
        'vrf.topology' => [1 => 'planned', 4 => 'built'],
        'power.supply_identity' => [1 => 'old_disconnect', 7 => ''],
        'power.circuit' => [1 => 'old_disconnect', 7 => ''],
        'power.lockout' => [2 => 'old_disconnect,', 7 => ''],
        'refrigerant.way_out' => [2 => ''], 'refrigerant.cylinder' => [2 => ''], 'refrigerant.account' => [2 => ''],
        'refrigerant.rebound' => [2 => ''], 'refrigerant.saturation' => [], 'compressor.acid' => [2 => ''],
        'list.set' => [3 => ''], 'condensate.trap' => [3 => ''],
        'piping.bulb' => [4 => ''], 'piping.equivalent_length' => [4 => ''], 'piping.flare_torque' => [4 => ''],
        'piping.insulation' => [4 => ''], 'piping.purge' => [4 => ''], 'list.pipe' => [4 => ''],
        'tight.hold' => [5 => ''], 'dry.decay' => [6 => ''], 'dry.log' => [6 => ''], 'dry.water' => [6 => ''], 'dry.pull_time' => [],
        'power.rotation' => [7 => '', 8 => ''], 'power.voltage' => [7 => '', 8 => 'loaded'],
        'vrf.wire_map' => [7 => ''], 'power.control_voltage' => [7 => ''], 'power.temporary_supply' => [7 => ''],
        'power.single_phase_split' => [7 => ''], 'compressor.insulation' => [7 => ''], 'compressor.windings' => [7 => ''],
        'power.plate_math' => [7 => ''], 'diagnose.root_cause' => [7 => ''],
        'list.prestart' => [8 => ''], 'power.running_amps' => [8 => ''], 'vrf.warm_up' => [8 => ''],
        'vrf.addresses' => [8 => ''], 'vrf.commission' => [8 => ''], 'power.leg_roll' => [8 => ''],
        'vrf.charge' => [9 => ''], 'charge.line_check' => [9 => ''], 'charge.orifice' => [9 => ''],
        'charge.room_limit' => [9 => ''], 'charge.state' => [9 => ''], 'charge.target_superheat' => [9 => ''],
        'charge.trim' => [9 => ''], 'charge.weigh_in' => [9 => ''], 'diagnose.cooling' => [9 => ''],
        'air.fan_drive' => [10 => ''], 'air.flow' => [10 => ''], 'air.mix' => [10 => ''], 'air.split' => [10 => ''],
        'air.static' => [10 => ''], 'air.state' => [], 'heat.electric' => [10 => ''], 'heat.gas_pressure' => [10 => ''],
        'heat.gas_rate' => [10 => ''], 'heat.rise' => [10 => ''], 'condensate.float' => [10 => ''],
        'controls.leaving_air' => [11 => ''], 'controls.settings' => [11 => ''], 'controls.staging' => [11 => ''],
        'controls.terminals' => [11 => ''], 'vrf.run_plan' => [11 => ''], 'vrf.crossed_zones' => [11 => ''],
        'vrf.leak_by' => [11 => ''], 'list.owner' => [12 => ''], 'plan.day' => [],
    ];

    private const SPECIAL = ['old_disconnect', 'loaded', 'planned', 'built'];

    /** @return list<string> every check that can be recorded on a machine */
    public static function checks(): array
    {
        return array_keys(self::GATES);
    }

    /** @return list<int> all gates of a check, rising */
    public static function gatesOf(string $check): array
    {
        return array_keys(self::GATES[$check] ?? []);
    }

    /**
     * The gates a verdict about a subject belongs to on a job.
     *
     * @param list<int> $onJob
     * @return list<int> rising
     */
    public static function of(string $check, string $subject, array $onJob): array
    {
        $rows = self::GATES[$check] ?? [];
        $base = Entry::baseOf($subject);
        $named = in_array($base, self::SPECIAL, true) ? self::naming($rows, $base) : [];
        $gates = $named ?: (self::naming($rows, '') ?: array_keys($rows));

        return array_values(array_intersect($gates, $onJob))
            ?: (array_values(array_intersect(array_keys($rows), $onJob)) ?: array_slice($gates, 0, 1));
    }

    /**
     * @param array<int, string> $rows
     * @return list<int>
     */
    private static function naming(array $rows, string $subject): array
    {
        return array_keys(array_filter($rows, fn (string $named): bool => in_array($subject, explode(',', $named), true)));
    }
}
