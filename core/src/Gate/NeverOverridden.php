<?php

declare(strict_types=1);

namespace IronStart\Core\Gate;

use IronStart\Core\Verdict\Status;

/** The codes nobody may work against: each can kill, or wreck a machine at once. */
final class NeverOverridden
{
    private const FIRST_WORDS = [
        'supply_reversed' => true, 'phase_lost' => true, 'single_phase' => true, 'single_phasing' => true,
        'still_live' => true, 'grounded' => true, 'kind_crossed' => true, 'wrong_supply' => true,
        'plate_mismatch' => true, 'toxic_breakdown' => true, 'above_design' => true,
        'no_insulation_test_in_vacuum' => true, 'joints_not_tested' => true, 'no_airflow_proof' => true,
        'over_full' => true, 'power_line' => true, 'over_capacity' => true, 'sling_over' => true,
        'line_side_live' => true, 'over_lfl' => true, 'disconnect_drive' => true, 'wrong_frequency' => true,
        'over_rated' => true,
    ];
    private const WHOLE = ['not_done:nobody_at_it', 'not_done:earth', 'not_done:gas_tested'];
    /** In a watch it names one option of several that nobody has chosen. */
    private const ONLY_AS_STOP = 'voltage_mismatch';
    /** Only a new start can disprove these. */
    private const DISPROVED_BY_A_START = ['single_phasing', 'joints_not_tested', 'no_airflow_proof', 'over_rated'];

    public static function is(string $code, Status $status): bool
    {
        $word = strstr($code, ':', true) ?: $code;

        return isset(self::FIRST_WORDS[$word])
            || in_array($code, self::WHOLE, true)
            || ($word === self::ONLY_AS_STOP && $status === Status::Stop);
    }

    /** @param list<string> $dangers */
    public static function onlyAStartDisproves(array $dangers): bool
    {
        $words = array_map(fn (string $code): string => strstr($code, ':', true) ?: $code, $dangers);

        return $words !== [] && array_diff($words, self::DISPROVED_BY_A_START) === [];
    }
}
