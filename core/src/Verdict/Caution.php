<?php

declare(strict_types=1);

namespace IronStart\Core\Verdict;

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
}
