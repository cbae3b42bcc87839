<?php

declare(strict_types=1);

namespace IronStart\Core\Gate;

use IronStart\Core\Verdict\Status;

/** The codes nobody may work against: each can kill, or wreck a machine at once. */
final class NeverOverridden
{
    /** By first word. */
    private const FIRST_WORDS = [
        // a lock, a ground
        'still_live' => true, 'line_side_live' => true, 'maybe_induced' => true, 'no_ground' => true, 'rod_only' => true, 'ground_open' => true,
        // the supply
        'supply_reversed' => true, 'phase_lost' => true, 'single_phase' => true, 'single_phasing' => true, 'kind_crossed' => true,
        'wrong_supply' => true, 'plate_mismatch' => true, 'disconnect_drive' => true, 'wrong_frequency' => true, 'slug' => true,
        'open_fuse' => true, 'open_pole' => true, 'wrong_class' => true, 'wrong_volts' => true, 'wrong_phases' => true,
        'bus_charged' => true, 'not_locked' => true,
        // a motor
        'grounded' => true, 'no_insulation_test_in_vacuum' => true, 'cold_reading' => true, 'locked_rotor' => true,
        // refrigerant
        'toxic_breakdown' => true, 'above_design' => true, 'over_full' => true, 'over_lfl' => true, 'wrong_gas' => true,
        'mixed_refrigerants' => true, 'disposable' => true, 'rating_low' => true, 'flat' => true, 'in_vacuum' => true,
        'wrong_refrigerant' => true, 'wrong_oil' => true,
        // heat, safeties
        'joints_not_tested' => true, 'no_airflow_proof' => true, 'over_rated' => true, 'co_high' => true, 'rollout_tripped' => true,
        'bypassed' => true, 'blower_did_not_start' => true, 'compressor_ran_on' => true, 'ignition_ran_on' => true, 'ran_on' => true,
        // lifting
        'power_line' => true, 'over_capacity' => true, 'sling_over' => true, 'boom_hits_load' => true, 'two_cranes' => true,
    ];
    /** As a whole. */
    private const WHOLE = ['not_done:nobody_at_it' => true, 'not_done:earth' => true, 'not_done:gas_tested' => true];
    /** In a watch it names one option of several that nobody has chosen. */
    private const ONLY_AS_STOP = 'voltage_mismatch';
    /** Only a new start can disprove these. */
    private const DISPROVED_BY_A_START = [
        'single_phasing', 'joints_not_tested', 'no_airflow_proof', 'over_rated', 'open_fuse', 'open_pole', 'bypassed',
        'blower_did_not_start', 'compressor_ran_on', 'ignition_ran_on', 'ran_on', 'locked_rotor', 'co_high', 'rollout_tripped',
    ];

    public static function is(string $code, Status $status): bool
    {
        $word = strstr($code, ':', true) ?: $code;

        return isset(self::FIRST_WORDS[$word]) || isset(self::WHOLE[$code]) || ($word === self::ONLY_AS_STOP && $status === Status::Stop);
    }

    /** @param list<string> $dangers */
    public static function onlyAStartDisproves(array $dangers): bool
    {
        $words = array_map(fn (string $code): string => strstr($code, ':', true) ?: $code, $dangers);

        return $words !== [] && array_diff($words, self::DISPROVED_BY_A_START) === [];
    }
}
