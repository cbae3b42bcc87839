<?php

declare(strict_types=1);

namespace IronStart\Core\Tests;

/**
 * Each limit of each check, at it and just over: a limit belongs to the milder side, so the first of a pair is the
 * milder. A check that is added puts its limits here.
 */
final class Limits
{
    private const PLATE = ['plate_voltage' => '460'];
    private const RESTS = ['lock_id' => '7', 'tag_name' => 'R', 'tester_proved_before' => true, 'tester_proved_after' => true,
        'volts_ab' => '0 V', 'volts_bc' => '0 V', 'volts_ca' => '0 V', 'volts_ag' => '0 V', 'volts_bg' => '0 V', 'volts_cg' => '0 V'];
    private const WIRE = ['mca' => '60 A', 'mocp' => '70 A', 'breaker' => '70 A', 'conductor' => '6', 'insulation' => 75, 'terminal_rating' => 75];
    private const SOURCE = ['modes' => [['name' => 'cool', 'running_amps' => '40 A']], 'line_voltage' => '480 V', 'subtransient_reactance' => 0.2];
    private const CONTROL = ['supply_average' => '240 V', 'tap' => '240 V'];
    private const MEGOHMS = ['instrument' => 'megohmmeter_500', 'system_state' => 'pressurised', 'warmed' => true];
    private const COLD = ['instrument' => 'megohmmeter_500', 'system_state' => 'pressurised'];
    private const MOTOR = ['school' => 'motor_standard', 'winding_temperature' => '40 degC', 'warmed' => true, 'instrument' => 'megohmmeter_500', 'system_state' => 'pressurised'];
    private const OIL = ['oil_acid' => 'none', 'failure' => 'mechanical', 'oil_colour' => 'clear', 'oil_type' => 'MO', 'lines_reused' => false];

    /**
     * @return array<string, array<string, array{array<string, mixed>, array{array<string, mixed>, string, list<string>}, array{array<string, mixed>, string, list<string>}}>>
     *     by check and name of the limit: what both share, then change, status and all codes at it and over it
     */
    public static function all(): array
    {
        return [
            'power.supply_identity' => self::supply(),
            'power.voltage' => self::voltage(),
            'power.rotation' => self::rotation(),
            'power.lockout' => self::lockout(),
            'power.circuit' => self::circuit(),
            'power.plate_math' => [
                'MCA 5% off' => [['motors' => [['name' => 'C', 'amps' => '8 A']], 'plate_mocp' => '15 A'], [['plate_mca' => '10.5 A'], 'clear', []], [['plate_mca' => '10.51 A'], 'watch', ['mca_differs']]],
                'MOCP down to a standard size' => [['motors' => [['name' => 'C', 'amps' => '20 A']], 'plate_mca' => '25 A'], [['plate_mocp' => '45 A'], 'clear', []], [['plate_mocp' => '50 A'], 'watch', ['mocp_differs']]],
            ],
            'power.temporary_supply' => self::source(),
            'power.control_voltage' => self::control(),
            'power.running_amps' => self::amps(),
            'power.leg_roll' => self::roll(),
            'power.single_phase_split' => [
                'the feeder itself' => [['loads' => [['name' => 'A', 'amps' => '50 A', 'across' => 'ab']]], [['feeder_ampacity' => '50 A'], 'watch', ['feeder_near']], [['feeder_ampacity' => '49.9 A'], 'stop', ['feeder_over']]],
                'four fifths of it' => [['loads' => [['name' => 'A', 'amps' => '40 A', 'across' => 'ab']]], [['feeder_ampacity' => '50 A'], 'clear', []], [['feeder_ampacity' => '49.9 A'], 'watch', ['feeder_near']]],
            ],
            'compressor.windings' => self::windings(),
            'compressor.insulation' => self::insulation(),
            'compressor.acid' => [
                'slight acid' => [self::OIL, [[], 'clear', ['standard']], [['oil_acid' => 'slight'], 'watch', ['cleanup']]],
                'strong acid' => [self::OIL, [['oil_acid' => 'slight'], 'watch', ['cleanup']], [['oil_acid' => 'strong'], 'watch', ['severe']]],
                'dark oil' => [self::OIL, [[], 'clear', ['standard']], [['oil_colour' => 'dark'], 'watch', ['cleanup']]],
                'black oil' => [self::OIL, [['oil_colour' => 'dark'], 'watch', ['cleanup']], [['oil_colour' => 'black'], 'watch', ['severe']]],
                'a burnout on reused lines' => [['failure' => 'electrical_burnout'] + self::OIL, [[], 'watch', ['severe']], [['lines_reused' => true], 'watch', ['severe', 'flush_lines']]],
                'nobody tested' => [['oil_acid' => 'not_tested'] + self::OIL, [[], 'watch', ['not_tested', 'standard']], [['failure' => 'electrical_mild'], 'open', ['test_first']]],
            ],
            'list.set' => self::list('pan', 'level'),
            'list.pipe' => self::list('penetrations', 'joints_listed'),
            'list.prestart' => self::list('belt', 'doors_on'),
            'list.owner' => self::list('papers', 'left_undone'),
        ] + LimitsBeforeStart::all() + LimitsRefrigerant::all() + LimitsAir::all() + LimitsControls::all() + LimitsCauses::all() + LimitsHandover::all() + LimitsVrf::all() + LimitsRun::all() + LimitsCompressor::all() + LimitsPower::all() + LimitsSafety::all();
    }

    /** @return iterable<string, array{string, array<string, mixed>, string, list<string>}> check, input, status, codes */
    public static function cases(): iterable
    {
        foreach (self::all() as $check => $limits) {
            foreach ($limits as $limit => [$base, $at, $over]) {
                foreach (['at' => $at, 'over' => $over] as $side => [$change, $status, $codes]) {
                    yield "$check: $limit, $side" => [$check, array_replace($base, $change), $status, $codes];
                }
            }
        }
    }

    /** @return array<string, array<int, mixed>> */
    private static function supply(): array
    {
        $lines = fn (float $a, float $b, float $c): array => ['volts_ab' => "$a V", 'volts_bc' => "$b V", 'volts_ca' => "$c V"];
        $ground = fn (float $a, float $b, float $c): array => ['volts_ag' => "$a V", 'volts_bg' => "$b V", 'volts_cg' => "$c V"];
        $wye = $ground(277, 277, 277);

        return [
            'nothing on' => [[], [$lines(10, 10, 29.9), 'open', ['no_supply']], [$lines(0, 30, 30), 'stop', ['single_phase']]],
            'a pair gone at a tenth' => [[], [$lines(480, 480, 48), 'stop', ['unknown']], [$lines(480, 480, 47.9), 'stop', ['single_phase']]],
            'the others whole at nine tenths' => [$wye, [$lines(480, 431.9, 0) + $ground(277, 277, 100), 'stop', ['unknown']], [$lines(480, 432, 0) + $ground(277, 277, 100), 'stop', ['single_phase']]],
            'alive to ground at six tenths' => [$lines(480, 478, 3), [$ground(280, 280, 167.9), 'stop', ['single_phase']], [$ground(280, 280, 168), 'stop', ['phase_lost', 'backfed:ca']]],
            'something to ground at all' => [$lines(480, 478, 3), [$ground(47, 47, 47), 'stop', ['single_phase']], [$ground(48, 48, 48), 'stop', ['phase_lost', 'backfed:ca']]],
            'half readings from two fifths' => [[], [$lines(480, 191, 191), 'stop', ['phase_lost']], [$lines(480, 192, 192), 'stop', ['single_phase']]],
            'half readings up to three fifths' => [[], [$lines(480, 288, 288), 'stop', ['single_phase']], [$lines(480, 289, 289), 'stop', ['phase_lost']]],
            'half readings, the odd one alive' => [$lines(480, 240, 240), [$ground(240, 240, 47.9), 'stop', ['single_phase']], [['volts_ag' => '240 V', 'volts_bg' => '240 V', 'volts_cg' => '48 V'], 'stop', ['phase_lost']]],
            'two pairs low at eight tenths' => [[], [$lines(480, 384, 384), 'stop', ['unknown']], [$lines(480, 383.9, 383.9), 'stop', ['phase_lost']]],
            'a family within 12%' => [self::PLATE, [$lines(422.4, 422.4, 422.4), 'clear', ['ll_480']], [$lines(422.3, 422.3, 422.3), 'stop', ['ll_400', 'plate_mismatch']]],
            'a wye within 12% to ground' => [$lines(480, 480, 480), [$ground(243.88, 277, 277), 'clear', ['wye_480_277']], [$ground(243.8, 277, 277), 'watch', ['delta_ungrounded']]],
            'a high leg within 12%' => [$lines(240, 240, 240), [$ground(120, 183.04, 120), 'watch', ['delta_240_high_leg', 'high_leg:b']], [$ground(120, 183, 120), 'watch', ['delta_ungrounded']]],
            'a corner at ground' => [$lines(480, 480, 480), [$ground(480, 480, 48), 'watch', ['delta_ungrounded']], [$ground(480, 480, 47.9), 'watch', ['delta_corner_grounded', 'grounded_leg:c']]],
            'a weak leg at 5%' => [$wye, [$lines(480, 465, 465) + $ground(277, 277, 263.2), 'clear', ['wye_480_277']], [['volts_ab' => '480 V', 'volts_bc' => '465 V', 'volts_ca' => '465 V', 'volts_cg' => '263.15 V'], 'watch', ['wye_480_277', 'weak_leg:c']]],
            'the other two within 2%' => [$lines(480, 465, 465), [$ground(280, 274.4, 250), 'clear', ['wye_480_277']], [$ground(279.7, 274.3, 250), 'watch', ['wye_480_277', 'weak_leg:c']]],
            'a weak leg in both low pairs' => [$ground(277, 277, 250), [$lines(465, 480, 465), 'clear', ['wye_480_277']], [$lines(480, 465, 465), 'watch', ['wye_480_277', 'weak_leg:c']]],
            'uneven over 5%' => [[], [$lines(480, 480, 445.47), 'clear', ['ll_480']], [$lines(480, 480, 440), 'watch', ['ll_480', 'uneven']]],
            '5% of the hertz' => [$lines(480, 480, 480) + ['plate_voltage' => '460/3/60'], [['frequency' => '63 Hz'], 'clear', ['ll_480']], [['frequency' => '63.1 Hz'], 'stop', ['ll_480', 'wrong_frequency']]],
            'a plate of the family' => [$lines(208, 208, 208), [['plate_voltage' => '208-230'], 'clear', ['ll_208']], [['plate_voltage' => '230'], 'watch', ['ll_208', 'nominal_below_plate']]],
            'a plate at its end' => [$lines(240, 240, 240) + $ground(139, 139, 139), [['plate_voltage' => '220'], 'clear', ['wye_240_139']], [['plate_voltage' => '200'], 'stop', ['wye_240_139', 'plate_mismatch']]],
        ];
    }

    /** @return array<string, array<int, mixed>> */
    private static function voltage(): array
    {
        $pairs = fn (float $a, float $b, float $c): array => self::PLATE + ['volts_ab' => "$a V", 'volts_bc' => "$b V", 'volts_ca' => "$c V"];
        $low = ['no_load_average' => '500 V'];

        return [
            'the low end' => [[], [$pairs(420, 420, 414), 'clear', []], [$pairs(420, 420, 413.9), 'stop', ['under_voltage']]],
            'the high end' => [[], [$pairs(506, 506, 506), 'clear', []], [$pairs(506, 506, 506.1), 'stop', ['over_voltage']]],
            'unbalance 1%' => [[], [$pairs(480, 480, 472.84), 'clear', []], [$pairs(480, 480, 472.8), 'watch', ['unbalance_watch']]],
            'unbalance 2%' => [[], [$pairs(480, 480, 465.75), 'watch', ['unbalance_watch']], [$pairs(480, 480, 465.7), 'stop', ['unbalance_over_limit']]],
            'unbalance 2%, the sick one named' => [[], [$pairs(480, 470.7, 470.7), 'watch', ['unbalance_watch']], [$pairs(480, 465, 465), 'stop', ['unbalance_over_limit']]],
            'unbalance 5%' => [['unbalance_limit' => '5 %'], [$pairs(480, 480, 444.9), 'watch', ['unbalance_watch']], [$pairs(480, 480, 444.8), 'stop', ['unbalance_over_limit', 'unbalance_never_run']]],
            'a stricter sheet' => [['unbalance_limit' => '0.5 %'], [$pairs(480, 480, 476.41), 'clear', []], [$pairs(480, 480, 476.2), 'stop', ['unbalance_over_limit']]],
            'sag 3%' => [$low, [$pairs(485, 485, 485), 'clear', []], [$pairs(484.9, 484.9, 484.9), 'watch', ['sag_watch']]],
            'sag 5%' => [$low, [$pairs(475, 475, 475), 'watch', ['sag_watch']], [$pairs(474.9, 474.9, 474.9), 'stop', ['sag_over_limit']]],
            'sag only when loaded' => [$low + $pairs(474, 474, 474), [['loaded' => false], 'clear', []], [['loaded' => true], 'stop', ['sag_over_limit']]],
            'another system within 12%' => [[], [$pairs(233, 233, 212), 'stop', ['other_system:240', 'under_voltage', 'unbalance_over_limit', 'unbalance_never_run']], [$pairs(240, 240, 180), 'stop', ['under_voltage', 'unbalance_over_limit', 'unbalance_never_run']]],
            'another system, high' => [[], [$pairs(600, 600, 585), 'stop', ['other_system:600', 'over_voltage', 'unbalance_watch']], [$pairs(600, 600, 580), 'stop', ['other_system:600', 'over_voltage', 'unbalance_over_limit']]],
            'another system, sagging' => [['no_load_average' => '240 V', 'loaded' => true], [$pairs(232.8, 232.8, 232.8), 'stop', ['other_system:240', 'under_voltage']], [$pairs(232, 232, 232), 'stop', ['other_system:240', 'under_voltage', 'sag_watch']]],
            'another system, far down' => [['no_load_average' => '250 V', 'loaded' => true], [$pairs(237.5, 237.5, 237.5), 'stop', ['other_system:240', 'under_voltage', 'sag_watch']], [$pairs(237, 237, 237), 'stop', ['other_system:240', 'under_voltage', 'sag_over_limit']]],
            'not another system when it was right before the start' => [$pairs(410, 410, 410), [['no_load_average' => '413 V'], 'stop', ['other_system:400', 'under_voltage']], [['no_load_average' => '414 V'], 'stop', ['under_voltage']]],
        ];
    }

    /** @return array<string, array<int, mixed>> */
    private static function rotation(): array
    {
        $scroll = fn (array $signs): array => ['loads' => [['name' => 'C1', 'kind' => 'scroll', 'drive' => 'across_line'] + $signs]];
        $screw = fn (array $signs): array => ['loads' => [['name' => 'C1', 'kind' => 'screw', 'drive' => 'across_line', 'pressure_moved' => true] + $signs]];
        $blower = ['name' => 'Blower', 'kind' => 'blower', 'drive' => 'across_line', 'observed' => 'correct'];
        $right = ['meter' => 'abc'];

        return [
            'idle under 0.6' => [$right + ['meter_confirmed' => true], [$scroll(['pressure_moved' => false, 'amps_ratio' => 0.6]), 'watch', ['terminals_only']], [$scroll(['pressure_moved' => false, 'amps_ratio' => 0.59]), 'stop', ['load_reversed:C1']]],
            'loud and idle, alone' => [$right, [$scroll(['pressure_moved' => true, 'noise' => 'loud', 'amps_ratio' => 0.6]), 'clear', ['proved']], [$scroll(['pressure_moved' => true, 'noise' => 'loud', 'amps_ratio' => 0.59]), 'watch', ['proved', 'draws_little:C1']]],
            'a scroll a minute backwards' => [$right, [$scroll(['pressure_moved' => true, 'hours_backwards' => '60 s']), 'clear', ['proved']], [$scroll(['pressure_moved' => true, 'hours_backwards' => '61 s']), 'watch', ['proved', 'after_reversal:C1']]],
            'a screw five seconds' => [$right, [$screw(['hours_backwards' => '5 s']), 'clear', ['proved']], [$screw(['hours_backwards' => '5.1 s']), 'watch', ['proved', 'after_reversal:C1']]],
            'an oil test over an hour' => [$right, [$scroll(['pressure_moved' => true, 'hours_backwards' => '1 h', 'checked' => ['windings', 'insulation', 'amps_pressures']]), 'clear', ['proved']], [$scroll(['pressure_moved' => true, 'hours_backwards' => '1.01 h', 'checked' => ['windings', 'insulation', 'amps_pressures']]), 'watch', ['proved', 'after_reversal:C1']]],
            'what is read running is owed too' => [$right, [$scroll(['pressure_moved' => true, 'hours_backwards' => '1 h', 'checked' => ['windings', 'insulation', 'amps_pressures']]), 'clear', ['proved']], [$scroll(['pressure_moved' => true, 'hours_backwards' => '1 h', 'checked' => ['windings', 'insulation']]), 'watch', ['proved', 'after_reversal:C1']]],
            'one load alone convicts no supply' => [[], [['loads' => [$blower]], 'clear', ['proved']], [['loads' => [['observed' => 'backwards'] + $blower]], 'stop', ['needs_meter']]],
            'a conflict needs a confirmed meter' => [['loads' => [['observed' => 'backwards'] + $blower]], [['meter' => 'abc', 'meter_confirmed' => true], 'stop', ['load_reversed:Blower']], [['meter' => 'abc'], 'stop', ['conflict']]],
            'a drive by its noise' => [$right, [['loads' => [$blower, ['name' => 'C1', 'kind' => 'scroll', 'drive' => 'inverter', 'pressure_moved' => false, 'amps_ratio' => 0.2]]], 'clear', ['proved']], [['loads' => [$blower, ['name' => 'C1', 'kind' => 'scroll', 'drive' => 'inverter', 'pressure_moved' => false, 'noise' => 'loud']]], 'stop', ['proved', 'drive_reversed:C1']]],
            'a screw is never tried for ten seconds' => [$right, [$screw(['noise' => 'normal']), 'clear', ['proved']], [['loads' => [['name' => 'C1', 'kind' => 'screw', 'drive' => 'across_line']]], 'watch', ['terminals_only']]],
            'a screw called backwards that pumps' => [$right, [$screw(['observed' => 'correct']), 'clear', ['proved']], [$screw(['observed' => 'backwards']), 'stop', ['conflict']]],
            'a tandem of screws' => [$right, [['loads' => [['name' => 'C1', 'kind' => 'screw', 'drive' => 'across_line', 'pressure_moved' => true, 'noise' => 'loud', 'amps_ratio' => 0.5], $blower]], 'watch', ['proved', 'draws_little:C1']], [['loads' => [['name' => 'C1', 'kind' => 'screw', 'drive' => 'across_line', 'pressure_moved' => true, 'noise' => 'loud', 'amps_ratio' => 0.5], ['name' => 'C2', 'kind' => 'reciprocating', 'drive' => 'inverter']]], 'stop', ['terminals_only', 'suspect:C1']]],
            'quiet and no meter' => [[], [$scroll(['pressure_moved' => true, 'noise' => 'normal']), 'clear', ['proved']], [$scroll(['pressure_moved' => false, 'noise' => 'normal']), 'stop', ['needs_meter']]],
            'a reciprocating one and no meter' => [[], [['loads' => [['name' => 'C1', 'kind' => 'reciprocating', 'drive' => 'across_line', 'oil_ok' => true]]], 'clear', ['proved']], [['loads' => [['name' => 'C1', 'kind' => 'reciprocating', 'drive' => 'across_line']]], 'watch', ['oil_pump:C1']]],
            'a single-phase fan' => [$right, [['loads' => [$blower, ['name' => 'Fan', 'kind' => 'condenser_fan', 'drive' => 'single_phase', 'observed' => 'correct']]], 'clear', ['proved']], [['loads' => [$blower, ['name' => 'Fan', 'kind' => 'condenser_fan', 'drive' => 'single_phase', 'observed' => 'backwards']]], 'stop', ['proved', 'single_phase_backwards:Fan']]],
            'two motors backwards beside a right one' => [$right, [['loads' => [$blower, ['name' => 'F1', 'observed' => 'backwards'] + $blower]], 'stop', ['load_reversed:F1']], [['loads' => [$blower, ['name' => 'F1', 'observed' => 'backwards'] + $blower, ['name' => 'F2', 'observed' => 'backwards'] + $blower]], 'stop', ['load_reversed:F1', 'load_reversed:F2']]],
            'a single-phase one by its amps' => [$right, [['loads' => [$blower, ['name' => 'C1', 'kind' => 'scroll', 'drive' => 'single_phase', 'pressure_moved' => false, 'amps_ratio' => 0.6]]], 'clear', ['proved']], [['loads' => [$blower, ['name' => 'C1', 'kind' => 'scroll', 'drive' => 'single_phase', 'pressure_moved' => false, 'amps_ratio' => 0.5]]], 'stop', ['proved', 'single_phase_backwards:C1']]],
        ];
    }

    /** @return array<string, array<int, mixed>> */
    private static function lockout(): array
    {
        $further = fn (array $source): array => ['supplies' => 2, 'sources' => [['name' => 'Heat'] + $source]];
        $bus = ['bus_volts' => '2 V', 'sheet_wait' => '10 min'];

        return [
            '1 V' => [self::RESTS, [['volts_ab' => '1 V'], 'clear', []], [['volts_ab' => '1.1 V'], 'stop', ['maybe_induced']]],
            '50 V may be induced' => [self::RESTS, [['volts_cg' => '50 V'], 'stop', ['maybe_induced']], [['volts_cg' => '50.1 V'], 'stop', ['still_live']]],
            'a control circuit at 15 V is fed' => [self::RESTS, [['control_volts' => '14.9 V'], 'stop', ['maybe_induced']], [['control_volts' => '15 V'], 'stop', ['still_live']]],
            'a low-impedance tester settles it' => [['volts_ab' => '8 V'] + self::RESTS, [[], 'stop', ['maybe_induced']], [['low_impedance' => true], 'stop', ['still_live']]],
            '10 V on the bus' => [['waited' => '10 min', 'sheet_wait' => '10 min'] + self::RESTS, [['bus_volts' => '10 V'], 'clear', []], [['bus_volts' => '10.1 V'], 'stop', ['still_live']]],
            'the wait of the sheet' => [$bus + self::RESTS, [['waited' => '10 min'], 'clear', []], [['waited' => '9 min'], 'open', ['wait_not_over']]],
            'the line side' => [['work_at' => 'line_side'] + self::RESTS, [['lock_at' => 'upstream'], 'clear', []], [['lock_at' => 'unit_disconnect'], 'stop', ['line_side_live']]],
            'a second supply' => [self::RESTS, [['supplies' => 1], 'clear', []], [['supplies' => 2], 'open', ['missing:sources']]],
            'its own lock' => [self::RESTS, [$further(['lock_id' => '8', 'dead' => true]), 'clear', []], [$further(['lock_id' => '7', 'dead' => true]), 'open', ['same_lock:Heat']]],
            'one lock upstream of both' => [['lock_at' => 'upstream'] + self::RESTS, [$further(['lock_id' => '7', 'dead' => true]), 'clear', []], [$further(['dead' => true]), 'open', ['missing:sources.0.lock_id']]],
            'a second supply read dead' => [self::RESTS, [$further(['lock_id' => '8']), 'open', ['missing:sources.0.dead']], [$further(['lock_id' => '8', 'dead' => false]), 'stop', ['still_live', 'live:Heat']]],
            'a drive has a bus' => [self::RESTS, [['stored_energy' => false], 'clear', []], [['stored_energy' => true], 'open', ['missing:bus_volts', 'missing:waited', 'missing:sheet_wait']]],
            'a meter checked after' => [self::RESTS, [[], 'clear', []], [['tester_proved_after' => false], 'open', ['missing:tester_proved_after']]],
        ];
    }

    /** @return array<string, array<int, mixed>> */
    private static function circuit(): array
    {
        $long = ['length' => '200 ft', 'line_voltage' => '460 V', 'phases' => 3] + self::WIRE;
        $dropAt = fn (float $percent): array => ['load_amps' => ($percent * 4.6 * 1000 / (sqrt(3) * 0.491 * 200)) . ' A'];
        $run = ['length' => '110 ft', 'cool_ambient' => '30 degC', 'ambient' => '60 degC', 'line_voltage' => '460 V', 'load_amps' => '10 A'] + self::WIRE;

        return [
            'MCA against the wire' => [self::WIRE, [['mca' => '65 A'], 'clear', ['breaker_above_wire']], [['mca' => '65.1 A'], 'stop', ['conductor_small']]],
            'MOCP against the breaker' => [self::WIRE, [['breaker' => '70 A'], 'clear', ['breaker_above_wire']], [['breaker' => '70.1 A'], 'stop', ['breaker_large']]],
            'MCA against the breaker' => [self::WIRE, [['breaker' => '60 A'], 'clear', []], [['breaker' => '59 A'], 'stop', ['breaker_small']]],
            'the band at 50 °C' => [['mca' => '48.5 A', 'breaker' => '48.5 A'] + self::WIRE, [['ambient' => '50 degC'], 'clear', []], [['ambient' => '50.1 degC'], 'stop', ['conductor_small']]],
            'the insulation itself' => [self::WIRE, [['ambient' => '74.9 degC'], 'stop', ['conductor_small']], [['ambient' => '75 degC'], 'stop', ['too_hot_for_insulation', 'conductor_small']]],
            'a roof adds 33 °C' => [self::WIRE, [['ambient' => '41.9 degC', 'raceway_on_roof' => true], 'stop', ['conductor_small']], [['ambient' => '42 degC', 'raceway_on_roof' => true], 'stop', ['too_hot_for_insulation', 'conductor_small']]],
            'XHHW-2 is exempt on a roof' => [['ambient' => '45 degC', 'raceway_on_roof' => true] + self::WIRE, [['wire_type' => 'XHHW-2'], 'clear', ['breaker_above_wire']], [['wire_type' => 'THWN-2'], 'stop', ['conductor_small']]],
            'THHN in the wet counts as 75' => [['ambient' => '75 degC', 'wire_type' => 'THHN'] + self::WIRE, [['wet' => false], 'stop', ['conductor_small']], [['wet' => true], 'stop', ['too_hot_for_insulation', 'conductor_small']]],
            'three conductors' => [['mca' => '52 A', 'breaker' => '52 A'] + self::WIRE, [['conductors_in_conduit' => 6], 'clear', []], [['conductors_in_conduit' => 7], 'stop', ['conductor_small']]],
            'nine conductors' => [['mca' => '45 A', 'breaker' => '45 A'] + self::WIRE, [['conductors_in_conduit' => 9], 'clear', []], [['conductors_in_conduit' => 10], 'stop', ['conductor_small']]],
            'twenty conductors' => [['mca' => '32 A', 'breaker' => '32 A'] + self::WIRE, [['conductors_in_conduit' => 20], 'clear', []], [['conductors_in_conduit' => 21], 'stop', ['conductor_small']]],
            'thirty conductors' => [['mca' => '29 A', 'breaker' => '29 A'] + self::WIRE, [['conductors_in_conduit' => 30], 'clear', []], [['conductors_in_conduit' => 31], 'stop', ['conductor_small']]],
            'forty conductors' => [['mca' => '26 A', 'breaker' => '26 A'] + self::WIRE, [['conductors_in_conduit' => 40], 'clear', []], [['conductors_in_conduit' => 41], 'stop', ['conductor_small']]],
            'more conductors still' => [self::WIRE + ['conductors_in_conduit' => 41], [['mca' => '22.75 A', 'breaker' => '22.75 A'], 'clear', []], [['mca' => '22.8 A', 'breaker' => '22.8 A'], 'stop', ['conductor_small']]],
            'colder than 10 °C counts as 10' => [['terminal_rating' => 75, 'mca' => '60 A'] + self::WIRE, [['ambient' => '10 degC', 'conductors_in_conduit' => 6, 'mca' => '62.9 A', 'breaker' => '62.9 A'], 'stop', ['conductor_small']], [['ambient' => '-20 degC', 'conductors_in_conduit' => 6, 'mca' => '62.5 A', 'breaker' => '62.5 A'], 'stop', ['conductor_small']]],
            'in parallel from 1/0' => [['mca' => '100 A', 'mocp' => '110 A', 'breaker' => '110 A', 'sets' => 2] + self::WIRE, [['conductor' => '1/0'], 'clear', []], [['conductor' => '1'], 'stop', ['parallel_undersize']]],
            'drop 3%' => [$long, [$dropAt(3), 'clear', ['breaker_above_wire']], [$dropAt(3.01), 'watch', ['breaker_above_wire', 'drop_watch']]],
            'drop 5%' => [$long, [$dropAt(5), 'watch', ['breaker_above_wire', 'drop_watch']], [$dropAt(5.01), 'stop', ['breaker_above_wire', 'drop_over_limit']]],
            'a hot stretch of 10 ft' => [$run, [['hot_length' => '10 ft'], 'clear', ['hot_part_ignored', 'breaker_above_wire']], [['hot_length' => '10.1 ft'], 'stop', ['conductor_small']]],
            'a hot stretch of a tenth' => [['length' => '55 ft'] + $run, [['hot_length' => '5 ft'], 'clear', ['hot_part_ignored', 'breaker_above_wire']], [['hot_length' => '5.1 ft'], 'stop', ['conductor_small']]],
        ];
    }

    /** @return array<string, array<int, mixed>> */
    private static function source(): array
    {
        $running = sqrt(3) * 480 * 40 / 1000;
        $kva = fn (float $kva): array => ['source_kva' => "$kva kVA"];
        // dip = 100·x/(1 + x) with x = 0.2·start/source.
        $start = fn (float $dip): array => ['locked_rotor_amps' => ($dip / (100 - $dip) / 0.2 * 200 * 1000 / (sqrt(3) * 480)) . ' A'] + $kva(200);
        $guess = ['modes' => [['name' => 'cool', 'running_amps' => '40 A']], 'line_voltage' => '480 V', 'starting_dip_limit' => '30 %'];

        return [
            'a quarter over the running load' => [self::SOURCE + ['soft_start' => true], [$kva(1.25 * $running), 'clear', []], [$kva(1.249 * $running), 'stop', ['source_small']]],
            'a source in kW' => [self::SOURCE + ['soft_start' => true], [['source_kw' => (1.25 * $running * 0.8) . ' kW'], 'clear', []], [['source_kw' => (1.249 * $running * 0.8) . ' kW'], 'stop', ['source_small']]],
            'the smallest of several' => [self::SOURCE + ['soft_start' => true, 'source_kva' => '100 kVA'], [['source_amps' => '50 A'], 'clear', []], [['source_amps' => '49.9 A'], 'stop', ['source_small']]],
            'the dip allowed' => [self::SOURCE, [$start(20.0), 'watch', ['dip_near']], [$start(20.01), 'stop', ['dip_over_limit']]],
            'four fifths of it' => [self::SOURCE, [$start(16.0), 'clear', []], [$start(16.01), 'watch', ['dip_near']]],
            'a guess from a start as large as the source' => [$guess + $kva(200), [['locked_rotor_amps' => '240.5 A'], 'clear', []], [['locked_rotor_amps' => '240.6 A'], 'watch', ['dip_near']]],
            'too small and dipping' => [self::SOURCE + $kva(40), [['locked_rotor_amps' => '10 A'], 'stop', ['source_small']], [['locked_rotor_amps' => '100 A'], 'stop', ['source_small', 'dip_over_limit']]],
            'a utility has no reactance of its own' => [['source_kind' => 'utility', 'locked_rotor_amps' => '900 A', 'modes' => [['name' => 'cool', 'running_amps' => '40 A']], 'line_voltage' => '480 V'] + $kva(100), [[], 'clear', []], [['subtransient_reactance' => 0.2], 'stop', ['dip_over_limit']]],
        ];
    }

    /** @return array<string, array<int, mixed>> */
    private static function control(): array
    {
        $measured = fn (float $volts): array => ['secondary_measured' => "$volts V"];
        $taps = ['taps' => ['208 V', '240 V'], 'secondary_measured' => '24 V', 'supply_average' => '220 V'];

        return [
            'good from 22 V' => [self::CONTROL, [$measured(22), 'clear', []], [$measured(21.9), 'watch', ['secondary_low']]],
            'watch from 20 V' => [['supply_average' => '215 V', 'tap' => '240 V'], [$measured(20), 'watch', ['secondary_low']], [$measured(19.9), 'stop', ['secondary_low']]],
            'good up to 27 V' => [['supply_average' => '260 V', 'tap' => '240 V'], [$measured(27), 'clear', []], [$measured(27.1), 'watch', ['secondary_high']]],
            'watch up to 28.5 V' => [['supply_average' => '270 V', 'tap' => '240 V'], [$measured(28.5), 'watch', ['secondary_high']], [$measured(28.6), 'stop', ['secondary_high']]],
            '12% off expected, up' => [['supply_average' => '225 V', 'tap' => '240 V'], [$measured(25.2), 'clear', []], [$measured(25.3), 'watch', ['secondary_off_expected']]],
            '12% off expected, down' => [['supply_average' => '252 V', 'tap' => '240 V'], [$measured(22.176), 'clear', []], [$measured(22.1), 'watch', ['secondary_off_expected']]],
            'nothing under 1 V' => [self::CONTROL, [$measured(1), 'stop', ['secondary_low', 'secondary_off_expected']], [$measured(0.9), 'stop', ['no_secondary']]],
            'a tap 3% nearer' => [['tap' => '240 V'] + $taps, [['supply_average' => '220.7 V'], 'clear', []], [['supply_average' => '220.68 V'], 'watch', ['wrong_tap']]],
            'a little nearer, and low' => [['tap' => '240 V', 'taps' => ['230 V', '240 V'], 'supply_average' => '233 V'], [$measured(22), 'clear', []], [$measured(21.9), 'watch', ['secondary_low', 'wrong_tap']]],
            'a little nearer, and high' => [['tap' => '230 V', 'taps' => ['230 V', '240 V'], 'supply_average' => '237 V'], [$measured(27), 'clear', []], [$measured(27.1), 'watch', ['secondary_high', 'wrong_tap']]],
            'no low secondary is sent to a tap that lowers it' => [['tap' => '230 V', 'taps' => ['230 V', '240 V'], 'supply_average' => '237 V'], [$measured(22.1), 'clear', []], [$measured(21.9), 'watch', ['secondary_low']]],
            'nothing there, and a wrong tap' => [['tap' => '240 V', 'supply_average' => '208 V'], [['taps' => ['240 V']] + $measured(0), 'stop', ['no_secondary']], [['taps' => ['208 V', '240 V']] + $measured(0), 'stop', ['no_secondary', 'wrong_tap']]],
            'low, loaded and on the wrong tap' => [['tap' => '240 V', 'taps' => ['208 V', '240 V'], 'supply_average' => '208 V'], [$measured(20.8), 'watch', ['secondary_low', 'wrong_tap']], [$measured(18), 'stop', ['secondary_low', 'wrong_tap', 'secondary_off_expected']]],
        ];
    }

    /** @return array<string, array<int, mixed>> */
    private static function amps(): array
    {
        $three = fn (float $a, float $b, float $c): array => ['amps_a' => "$a A", 'amps_b' => "$b A", 'amps_c' => "$c A"];
        $load = fn (array $more): array => ['doors_on' => true, 'loads' => [$more + ['name' => 'M', 'kind' => 'pump', 'plate_amps' => '10 A']]];
        $fan = fn (string $plate): array => ['kind' => 'condenser_fan', 'plate_amps' => $plate];
        $even = fn (float $amps): array => $three($amps, $amps, $amps);

        return [
            'its plate' => [[], [$load($even(10)), 'clear', []], [$load($even(10.01)), 'watch', ['over_plate:M']]],
            '10% over' => [[], [$load($even(11)), 'watch', ['over_plate:M']], [$load($even(11.01)), 'stop', ['over_plate:M']]],
            'the ceiling of the sheet' => [[], [$load($even(12) + ['maximum_ratio' => 1.2]), 'watch', ['over_plate:M']], [$load($even(12.1) + ['maximum_ratio' => 1.2]), 'stop', ['over_plate:M']]],
            'four times' => [[], [$load($even(40)), 'stop', ['over_plate:M']], [$load($even(40.1)), 'stop', ['locked_rotor:M']]],
            'low at 0.4' => [[], [$load($even(4)), 'clear', []], [$load($even(3.99)), 'watch', ['low_amps:M']]],
            'a blower low at 0.6' => [[], [$load($even(6) + ['kind' => 'blower']), 'clear', []], [$load($even(5.99) + ['kind' => 'blower']), 'watch', ['low_amps:M']]],
            'one of two dead' => [[], [$load($even(6) + ['quantity' => 2, 'kind' => 'scroll']), 'clear', []], [$load($even(5.99) + ['quantity' => 2, 'kind' => 'scroll']), 'watch', ['low_amps:M']]],
            'unbalance 10%' => [[], [$load($three(9, 9, 7.37)), 'stop', ['amp_unbalance:M']], [$load($three(9, 9, 4)), 'stop', ['amp_unbalance:M']]],
            'balanced at 10%' => [[], [$load($three(9, 9, 7.7143)), 'clear', []], [$load($three(9, 9, 7.71)), 'stop', ['amp_unbalance:M']]],
            'a small motor up to 5 A' => [[], [$load($three(5.25, 5.25, 4.5) + $fan('6 A')), 'clear', []], [$load($three(5.4, 5.4, 4.2) + $fan('6 A')), 'watch', ['amp_unbalance:M']]],
            'over 5 A' => [[], [$load($three(5.4, 5.4, 4.2) + $fan('6 A')), 'watch', ['amp_unbalance:M']], [$load($three(5.4, 5.42, 4.2) + $fan('6 A')), 'stop', ['amp_unbalance:M']]],
            'a small motor at 25%' => [[], [$load($three(2.25, 2.25, 1.5) + $fan('3 A')), 'watch', ['amp_unbalance:M']], [$load($three(2.25, 2.25, 1.49) + $fan('3 A')), 'stop', ['amp_unbalance:M']]],
            'a leg gone under 5%' => [[], [$load($three(9, 9, 0.3051)), 'stop', ['amp_unbalance:M']], [$load($three(9, 9, 0.305)), 'stop', ['single_phasing:M']]],
            'not running' => [[], [$load($even(0)), 'open', ['not_running:M']], [$load($even(0.1)), 'watch', ['low_amps:M']]],
            'a compressor by its head' => [[], [$load($even(10.5) + ['kind' => 'scroll', 'high_head' => false]), 'clear', []], [$load($even(10.5) + ['kind' => 'scroll', 'high_head' => true]), 'watch', ['over_plate:M']]],
            'a compressor whose head nobody told' => [[], [$load($even(10) + ['kind' => 'screw']), 'clear', []], [$load($even(10.5) + ['kind' => 'screw']), 'clear', []]],
            'a drive is not judged by its input' => [[], [$load($three(3, 3, 1) + ['drive' => 'inverter']), 'clear', ['drive_input:M']], [$load($even(11.1) + ['drive' => 'ecm']), 'stop', ['over_plate:M', 'drive_input:M']]],
            'doors off, a blower' => [[], [['doors_on' => true] + $load($even(12) + ['kind' => 'blower']), 'stop', ['over_plate:M']], [['doors_on' => false] + $load($even(12) + ['kind' => 'blower']), 'open', ['doors_off']]],
            'doors off, another motor' => [[], [['doors_on' => false] + $load($even(10)), 'open', ['doors_off']], [['doors_on' => false] + $load($even(12)), 'stop', ['doors_off', 'over_plate:M']]],
            'left out' => [[], [['loads' => [['name' => 'M', 'kind' => 'pump', 'out' => true], ['name' => 'N', 'kind' => 'pump', 'plate_amps' => '10 A'] + $even(9)], 'doors_on' => true], 'clear', ['out:M']], [['loads' => [['name' => 'M', 'kind' => 'pump', 'out' => true]], 'doors_on' => true], 'open', ['out:M', 'missing:loads']]],
        ];
    }

    /** @return array<string, array<int, mixed>> */
    private static function roll(): array
    {
        $six = fn (float ...$amps): array => array_combine(['before_t1', 'before_t2', 'before_t3', 'after_t1', 'after_t2', 'after_t3'], array_map(fn (float $a): string => "$a A", $amps));

        return [
            'more than 3% before' => [[], [$six(10.3, 10, 9.7, 10.5, 10, 9.5), 'open', ['too_balanced']], [$six(10.31, 10, 9.69, 10.5, 10, 9.5), 'watch', ['motor']]],
            'more than 3% after' => [[], [$six(10.4, 10, 9.6, 10.3, 10, 9.7), 'open', ['too_balanced']], [$six(10.4, 10, 9.6, 10.31, 10, 9.69), 'watch', ['motor']]],
            'over 10%' => [[], [$six(11, 10, 9, 11, 10, 9), 'watch', ['motor']], [$six(11.1, 10, 8.9, 11.1, 10, 8.9), 'stop', ['motor']]],
            'cured from 5%' => [[], [$six(10.5, 10, 9.5, 10.1, 10, 9.9), 'open', ['too_balanced']], [$six(10.51, 10, 9.49, 10.1, 10, 9.9), 'watch', ['move_cured']]],
            'cured to 2%' => [[], [$six(11, 10, 9, 10.2, 10, 9.8), 'open', ['too_balanced']], [$six(11, 10, 9, 10.19, 10, 9.81), 'watch', ['move_cured']]],
            'two points apart, for the supply' => [[], [$six(11, 9.5, 9.5, 9.8, 10.7, 9.5), 'watch', ['supply']], [$six(11, 9.5, 9.5, 10.2, 10.3, 9.5), 'watch', ['mixed']]],
        ];
    }

    /** @return array<string, array<int, mixed>> */
    private static function windings(): array
    {
        $three = fn (float $a, float $b, float $c): array => ['ohms_ab' => "$a ohm", 'ohms_bc' => "$b ohm", 'ohms_ca' => "$c ohm"];
        $single = fn (float $run, float $start, float $both): array => ['phases' => 1] + $three($run, $start, $both);
        $plate = ['plate_ohms' => '5 ohm', 'at_temperature' => '20 degC'];

        return [
            'spread 5%' => [[], [$three(10, 10, 10.5), 'clear', []], [$three(10, 10, 10.6), 'watch', ['spread_watch']]],
            'spread 10%' => [[], [$three(9.5, 10, 10.5), 'watch', ['spread_watch']], [$three(9.4, 10, 10.5), 'stop', ['spread_over_limit']]],
            'within 0.10 ohm' => [[], [$three(0.5, 0.5, 0.6), 'open', ['needs_low_ohm_meter']], [$three(0.5, 0.5, 0.61), 'stop', ['spread_over_limit']]],
            'a tenth of the others' => [[], [$three(10, 10, 1), 'stop', ['spread_over_limit']], [$three(10, 10, 0.99), 'stop', ['shorted_turns']]],
            'a tenth of the sheet' => [['plate_ohms' => '50 ohm', 'at_temperature' => '20 degC'], [$three(5, 5, 5), 'watch', ['off_plate']], [$three(4.99, 5, 5), 'stop', ['shorted_turns']]],
            '10% off the sheet' => [$plate, [$three(5.5, 5.5, 5.5), 'clear', []], [$three(5.51, 5.51, 5.51), 'watch', ['off_plate']]],
            'a sheet wants a temperature' => [$three(5, 5, 5), [$plate, 'clear', []], [['plate_ohms' => '5 ohm'], 'open', ['missing:at_temperature']]],
            'single-phase: a fiftieth' => [[], [$single(1, 48.9, 49.9), 'clear', []], [$single(1, 49, 50), 'stop', ['shorted_winding']]],
            'single-phase: a tenth of its sheet' => [['plate_ohms' => '20 ohm', 'at_temperature' => '20 degC'], [$single(2, 6, 8), 'watch', ['off_plate']], [$single(1.99, 6, 7.99), 'stop', ['shorted_winding']]],
            'single-phase: a tenth of its sheet, start' => [['plate_start_ohms' => '50 ohm', 'at_temperature' => '20 degC'], [$single(2, 5, 7), 'watch', ['off_plate']], [$single(2, 4.9, 6.9), 'stop', ['shorted_winding']]],
            'single-phase: start not under run' => [[], [$single(2, 2, 4), 'watch', ['start_near_run']], [$single(2, 1.9, 3.9), 'stop', ['start_below_run']]],
            'single-phase: 1.5 times run' => [[], [$single(2, 3, 5), 'clear', []], [$single(2, 2.9, 4.9), 'watch', ['start_near_run']]],
            'single-phase: the sum within 10%' => [[], [$single(2, 6, 7.2728), 'clear', []], [$single(2, 6, 7.2), 'watch', ['sum_off']]],
            'single-phase: run 10% off its sheet' => [['plate_ohms' => '2 ohm', 'at_temperature' => '20 degC'], [$single(2.2, 6, 8.2), 'clear', []], [$single(2.21, 6, 8.21), 'watch', ['off_plate']]],
            'single-phase: start 10% off its sheet' => [['plate_start_ohms' => '6 ohm', 'at_temperature' => '20 degC'], [$single(2, 6.6, 8.6), 'clear', []], [$single(2, 6.61, 8.61), 'watch', ['off_plate']]],
            'the leads are taken off first' => [$three(0.5, 0.5, 0.55), [['lead_ohms' => '0 ohm'], 'watch', ['spread_watch']], [['lead_ohms' => '0.4 ohm'], 'open', ['needs_low_ohm_meter']]],
        ];
    }

    /** @return array<string, array<int, mixed>> */
    private static function insulation(): array
    {
        $at = fn (float $megohms): array => ['megohms' => "$megohms Mohm"];

        return [
            'good from 100' => [self::MEGOHMS, [$at(100), 'clear', []], [$at(99.9), 'clear', ['insulation_note']]],
            'a note from 20' => [self::MEGOHMS, [$at(20), 'clear', ['insulation_note']], [$at(19.9), 'watch', ['insulation_moist']]],
            'moist from 2' => [self::MEGOHMS, [$at(2), 'watch', ['insulation_moist']], [$at(1.99), 'watch', ['insulation_poor']]],
            'poor from 0.5' => [self::MEGOHMS, [$at(0.5), 'watch', ['insulation_poor']], [$at(0.49), 'stop', ['grounded']]],
            'cold under 2' => [self::COLD, [$at(2), 'watch', ['insulation_moist']], [$at(1.99), 'stop', ['cold_reading']]],
            'grounded whatever the warmth' => [self::COLD, [$at(0.05), 'stop', ['cold_reading']], [$at(0.049), 'stop', ['grounded']]],
            'warm at 50 °C' => [self::COLD + $at(0.4), [['winding_temperature' => '49.9 degC'], 'stop', ['cold_reading']], [['winding_temperature' => '50 degC'], 'stop', ['grounded']]],
            'open, the bands as they are' => [self::COLD, [$at(1), 'stop', ['cold_reading']], [['system_state' => 'open'] + $at(1), 'watch', ['insulation_poor']]],
            'a multimeter only condemns' => [['instrument' => 'multimeter'] + self::MEGOHMS, [$at(0.5), 'watch', ['not_a_proof']], [$at(0.49), 'stop', ['grounded']]],
            'a multimeter, cold' => [['instrument' => 'multimeter'] + self::COLD, [$at(0.5), 'watch', ['not_a_proof']], [$at(0.49), 'stop', ['cold_reading']]],
            'the motor standard, 20' => [self::MOTOR, [$at(20), 'clear', []], [$at(19.9), 'watch', ['near_standard']]],
            'the motor standard, 5' => [self::MOTOR, [$at(5), 'watch', ['near_standard']], [$at(4.9), 'stop', ['below_standard']]],
            'the motor standard, as read' => [self::MOTOR, [$at(0.5), 'stop', ['below_standard']], [$at(0.49), 'stop', ['grounded', 'below_standard']]],
            'corrected by ten degrees' => [['winding_temperature' => '30 degC'] + self::MOTOR, [$at(40), 'clear', []], [$at(39), 'watch', ['near_standard']]],
            'half of the last' => [self::MEGOHMS + ['previous_megohms' => '400 Mohm'], [$at(200), 'clear', []], [$at(199), 'watch', ['insulation_falling']]],
            'half of the last, and grounded' => [self::MEGOHMS + ['previous_megohms' => '0.7 Mohm'], [$at(0.5), 'watch', ['insulation_poor']], [$at(0.3), 'stop', ['grounded', 'insulation_falling']]],
            'ten times the last' => [self::MEGOHMS + ['previous_megohms' => '20 Mohm'], [$at(199), 'clear', []], [$at(200), 'clear', ['recovered']]],
            'a vacuum' => [$at(500) + ['instrument' => 'megohmmeter_500'], [['system_state' => 'open'], 'clear', []], [['system_state' => 'vacuum'], 'stop', ['no_insulation_test_in_vacuum']]],
            'a vacuum and a multimeter' => [$at(500) + ['system_state' => 'vacuum'], [['instrument' => 'multimeter'], 'watch', ['not_a_proof']], [['instrument' => 'megohmmeter_1000'], 'stop', ['no_insulation_test_in_vacuum']]],
            'a drive on the terminals' => [self::MEGOHMS + $at(500), [['drive_connected' => false], 'clear', []], [['drive_connected' => true], 'stop', ['disconnect_drive']]],
            'a drive and a multimeter' => [['instrument' => 'multimeter'] + self::MEGOHMS + $at(500), [['drive_connected' => false], 'watch', ['not_a_proof']], [['drive_connected' => true], 'stop', ['disconnect_drive']]],
        ];
    }

    /**
     * A list, all answered yes but one.
     *
     * @param string $must   an item that may be not applicable
     * @param string $always one that may not
     * @return array<string, array<int, mixed>>
     */
    private static function list(string $must, string $always): array
    {
        $of = ['pan' => \IronStart\Core\Walked\SetList::class, 'penetrations' => \IronStart\Core\Walked\PipeList::class, 'belt' => \IronStart\Core\Walked\PrestartList::class, 'papers' => \IronStart\Core\Walked\OwnerList::class][$must];
        $all = fn (array $but): array => ['items' => array_map(fn ($item): array => $but[$item->id] ?? ['id' => $item->id, 'answer' => 'yes'], $of::list())];

        return [
            $must => [[], [$all([$must => ['id' => $must, 'answer' => 'not_applicable', 'reason' => 'none here']]), 'clear', []], [$all([$must => ['id' => $must, 'answer' => 'no']]), 'stop', ["not_done:$must"]]],
            $always => [[], [$all([$always => ['id' => $always]]), 'open', ["missing:items.$always"]], [$all([$always => ['id' => $always, 'answer' => 'no']]), 'stop', ["not_done:$always"]]],
        ];
    }
}
