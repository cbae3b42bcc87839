<?php

declare(strict_types=1);

namespace IronStart\Core\Gate;

/** Which facts are asked at which gate: where they decide what else is asked; and which differ from unit to unit. */
final class FactPlace
{
    private const OF = [
        1 => ['nothing_old', 'curb', 'craned', 'carried', 'on_roof'],
        2 => ['nothing_old', 'old_empty', 'recovered', 'failed_compressor'],
        3 => ['drain'],
        4 => ['circuit_opened', 'lines_reused', 'no_brazing', 'flares', 'field_bulb', 'module_change'],
        5 => ['circuit_opened'],
        6 => ['circuit_opened'],
        7 => ['single_phase', 'pair', 'field_bus', 'motor_taps', 'temporary_supply', 'wiring', 'shared_feeder', 'tripped', 'ran_reversed', 'sheet_asks', 'sister_fault', 'taps', 'dials'],
        8 => ['first_start', 'warm_up', 'flammable'],
        9 => ['line_set', 'fixed_orifice', 'small_room', 'test_mode'],
        10 => ['gas_heat', 'electric_heat', 'heat_pump', 'float', 'outside_air', 'belt'],
        11 => ['staged', 'leaving_air', 'duct_detector', 'alarms'],
    ];

    /** Facts that decide something on some types of job only. */
    private const ONLY = [
        'drain' => [JobType::Condensing],
        'module_change' => [JobType::Vrf],
        'test_mode' => [JobType::Vrf],
        'pair' => [JobType::Rooftop, JobType::Condensing, JobType::Compressor],
        'field_bus' => [JobType::Rooftop, JobType::Condensing],
        'small_room' => [JobType::Rooftop, JobType::Condensing, JobType::Compressor],
        'gas_heat' => [JobType::Rooftop, JobType::Condensing, JobType::Compressor],
        'electric_heat' => [JobType::Rooftop, JobType::Condensing, JobType::Compressor],
        'outside_air' => [JobType::Rooftop, JobType::Condensing],
        'belt' => [JobType::Rooftop, JobType::Condensing],
        'curb' => [JobType::Rooftop, JobType::Condensing, JobType::Vrf],
    ];

    /** Asked only once there is the check they ask for. */
    private const WAITS_FOR = [
        'first_start' => 'run.first_start', 'warm_up' => 'run.warm_up', 'flammable' => 'safety.leak_sensor', 'wiring' => 'power.grounding',
        'dials' => 'power.dials', 'motor_taps' => 'power.motor_tap', 'pair' => 'vrf.wire_map', 'field_bus' => 'vrf.wire_map',
        'lines_reused' => 'piping.reuse', 'heat_pump' => 'heat.heat_pump', 'alarms' => 'controls.alarms', 'duct_detector' => 'safety.smoke',
    ];

    /** They differ from unit to unit: each machine has its own word, where its sheet does not know better. */
    public const OF_THE_MACHINE = ['tripped', 'belt', 'float', 'gas_heat', 'curb', 'ran_reversed', 'motor_taps', 'heat_pump', 'outside_air'];

    /** @param list<string> $built the checks there are */
    public static function isAsked(string $fact, array $built): bool
    {
        return ! isset(self::WAITS_FOR[$fact]) || in_array(self::WAITS_FOR[$fact], $built, true);
    }

    /**
     * Facts asked at a gate of this type of job.
     *
     * @param list<string> $built the checks there are
     * @return list<string>
     */
    public static function at(int $gate, JobType $type, array $built): array
    {
        return array_values(array_filter(self::OF[$gate] ?? [], fn (string $fact): bool => in_array($type, self::ONLY[$fact] ?? [$type], true) && self::isAsked($fact, $built)));
    }

    /**
     * Gates of this type of job a fact is asked at.
     *
     * @param list<string> $built
     * @return list<int>
     */
    public static function of(string $fact, JobType $type, array $built): array
    {
        $isAsked = in_array($type, self::ONLY[$fact] ?? [$type], true) && self::isAsked($fact, $built);

        return $isAsked ? array_values(array_filter(array_keys(self::OF), fn (int $gate): bool => in_array($fact, self::OF[$gate], true))) : [];
    }

    /**
     * The facts of one machine: the job's, without those that differ by unit; the machine's own yes; and what its sheet
     * knows where the machine says nothing.
     *
     * @param list<string>        $job
     * @param array<string, bool> $machine what was said of it: yes or no
     * @param list<string>        $sheet
     * @return list<string>
     */
    public static function together(array $job, array $machine, array $sheet): array
    {
        $facts = array_diff($job, self::OF_THE_MACHINE);
        foreach (self::OF_THE_MACHINE as $fact) {
            if ($machine[$fact] ?? in_array($fact, $sheet, true)) {
                $facts[] = $fact;
            }
        }

        return array_values(array_unique([...$facts, ...array_diff($sheet, self::OF_THE_MACHINE)]));
    }
}
