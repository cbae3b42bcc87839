<?php

declare(strict_types=1);

namespace IronStart\Core\Gate;

/** Which facts of the job are asked at which gate: where they decide what else is asked. */
final class FactPlace
{
    private const OF = [
        1 => ['nothing_old', 'curb', 'craned', 'carried', 'on_roof'],
        2 => ['nothing_old', 'old_empty', 'recovered', 'failed_compressor'],
        3 => ['drain'],
        4 => ['circuit_opened', 'no_brazing', 'flares', 'field_bulb', 'module_change'],
        5 => ['circuit_opened'],
        6 => ['circuit_opened'],
        7 => ['single_phase', 'taps', 'temporary_supply', 'shared_feeder', 'tripped', 'ran_reversed', 'sheet_asks', 'sister_fault'],
        8 => ['warm_up'],
        9 => ['line_set', 'fixed_orifice', 'flammable', 'small_room', 'test_mode'],
        10 => ['gas_heat', 'electric_heat', 'float', 'outside_air', 'belt'],
        11 => ['staged', 'leaving_air'],
    ];

    /** Facts that decide something on some types of job only. */
    private const ONLY = [
        'drain' => [JobType::Condensing],
        'module_change' => [JobType::Vrf],
        'test_mode' => [JobType::Vrf],
        'flammable' => [JobType::Rooftop, JobType::Condensing, JobType::Compressor],
        'small_room' => [JobType::Rooftop, JobType::Condensing, JobType::Compressor],
        'gas_heat' => [JobType::Rooftop, JobType::Condensing],
        'electric_heat' => [JobType::Rooftop, JobType::Condensing],
        'outside_air' => [JobType::Rooftop, JobType::Condensing],
        'belt' => [JobType::Rooftop, JobType::Condensing],
        'curb' => [JobType::Rooftop, JobType::Condensing, JobType::Vrf],
    ];

    /** @return list<string> facts asked at a gate of this type of job */
    public static function at(int $gate, JobType $type): array
    {
        return array_values(array_filter(self::OF[$gate] ?? [], fn (string $fact): bool => in_array($type, self::ONLY[$fact] ?? [$type], true)));
    }

    /** @return list<int> gates of this type of job a fact is asked at */
    public static function of(string $fact, JobType $type): array
    {
        return array_values(array_filter(array_keys(self::OF), fn (int $gate): bool => in_array($fact, self::at($gate, $type), true)));
    }
}
