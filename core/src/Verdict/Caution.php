<?php

declare(strict_types=1);

namespace IronStart\Core\Verdict;

use IronStart\Core\Gate\JobType;

/** The catalogue of cautions: stable ids, said by the phrases. */
final class Caution
{
    public const ALL = [
        'lockout', 'qualified_electrical', 'arc_flash', 'live_rotation_swap', 'stored_energy', 'terminal_venting',
        'no_insulation_test_in_vacuum', 'nitrogen_regulator', 'asphyxiation', 'refrigerant_handling',
        'flammable_refrigerant', 'toxic_breakdown', 'hot_work', 'fire_alarm_isolated', 'lifting', 'overhead_line',
        'roof_edge', 'manual_handling', 'heat_stress', 'gas_leak', 'carbon_monoxide', 'rotating_parts',
        'bypassed_safety', 'hot_surfaces', 'frostbite', 'local_code', 'core_ejected', 'eye_protection',
        'hand_on_contactor', 'never_run_in_vacuum', 'freed_leads', 'remote_start', 'drilling_blind', 'asbestos',
        'confined_space', 'ladder', 'attic', 'insects', 'working_alone', 'burn_off_smoke', 'flush_solvent',
    ];

    /** Owed by every reading taken live. */
    public const LIVE = ['qualified_electrical', 'arc_flash', 'working_alone'];

    /** Gates on whose first screen a job on a roof is reminded of the roof. */
    private const ON_THE_ROOF = [1, 2, 3, 8];

    /**
     * What the job adds to what a check owes by itself.
     *
     * @param list<int>    $gates the gates the check is worked at
     * @param list<string> $facts of the job
     * @return list<string>
     */
    public static function ofJob(string $check, array $gates, JobType $type, array $facts): array
    {
        $roof = in_array('on_roof', $facts, true) && array_intersect($gates, self::ON_THE_ROOF) !== [];
        $carries = match ($check) {
            'compressor.windings', 'compressor.acid' => $type === JobType::Compressor || in_array('module_change', $facts, true),
            'list.set' => ! in_array('craned', $facts, true),
            default => false,
        };

        return [...($roof ? ['roof_edge', 'heat_stress'] : []), ...($carries ? ['manual_handling'] : [])];
    }
}
