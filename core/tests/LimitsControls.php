<?php

declare(strict_types=1);

namespace IronStart\Core\Tests;

/** The limits of the controls. As in Limits. */
final class LimitsControls
{
    private const SET = ['cool_setpoint' => '74 degF', 'heat_setpoint' => '70 degF', 'differential' => '1 delta_degF', 'deadband' => '1 delta_degF'];
    private const TWO = ['counts' => ['cool' => 2, 'heat' => 1]] + self::SET;
    private const AIR = ['mode' => 'leaving_air', 'sensible_capacity' => '45000 Btu/h', 'entering_db' => '78 degF', 'leaving_set' => '56 degF'];
    private const WIRED = ['machine' => ['compressors' => 1, 'heat_stages' => 1, 'heat_pump' => false], 'thermostat' => ['type' => 'conventional', 'landed' => ['R', 'C', 'G', 'Y1', 'W1']], 'machine_landed' => ['R', 'C', 'G', 'Y1', 'W1']];
    private const PUMP = ['machine' => ['compressors' => 1, 'heat_stages' => 0, 'heat_pump' => true, 'reversing' => 'O'], 'thermostat' => ['type' => 'heat_pump', 'landed' => ['R', 'C', 'G', 'Y1', 'O'], 'ob_setting' => 'O'], 'machine_landed' => ['R', 'C', 'G', 'Y1', 'O']];
    private const CALL = ['call' => 'cool1', 'expected' => ['blower', 'compressor 1'], 'seen' => ['Blower', ' compressor 1 '], 'minutes' => 10, 'proved_by' => 'amps', 'after' => []];
    private const HEARD = ['alarm' => 'high pressure', 'how' => 'by_doing', 'local' => true, 'remote' => true, 'cleared' => true];
    private const KEPT = ['standing' => [], 'remote' => true, 'tests' => [self::HEARD]];

    /** @return array<string, array<string, array<int, mixed>>> */
    public static function all(): array
    {
        $call = fn (array $more): array => ['has' => ['cool1'], 'calls' => [array_filter($more + self::CALL, fn (mixed $v): bool => $v !== null)]];
        $test = fn (array $more): array => ['tests' => [$more + self::HEARD]];
        $stages = fn (string $on, string $off): array => ['stages' => ['cool' => [['on_above' => $on, 'off_below' => $off]], 'heat' => []]];
        $room = ['room' => ['ua_w_per_k' => 500, 'capacitance_kj_per_k' => 5000, 'gains' => '3000 W', 'start' => '74 degF'], 'outdoor' => ['mean' => '90 degF', 'amplitude' => '10 delta_degF']];
        $item = fn (array $more): array => ['items' => [$more + ['name' => 'lockout', 'kind' => 'within', 'required' => '55 degF', 'tolerance' => '1 delta_degF']]];

        return [
            'controls.staging' => [
                'a gap of two' => [['counts' => ['cool' => 1, 'heat' => 1]] + self::SET, [['heat_setpoint' => '72 degF'], 'clear', []], [['heat_setpoint' => '72.1 degF'], 'watch', ['gap_small']]],
                'no gap' => [['counts' => ['cool' => 1, 'heat' => 1]] + self::SET, [['heat_setpoint' => '74 degF'], 'watch', ['gap_small']], [['heat_setpoint' => '74.1 degF'], 'stop', ['heats_and_cools']]],
                'by hand they may overlap' => [['heat_setpoint' => '76 degF'] + self::TWO, [['changeover' => 'manual'], 'clear', []], [['changeover' => 'auto'], 'stop', ['heats_and_cools']]],
                'on over off' => [['differential' => null, 'deadband' => null] + self::SET, [$stages('75 degF', '74.9 degF'), 'clear', []], [$stages('75 degF', '75 degF'), 'stop', ['stage_reversed:cool1']]],
                'in their order' => [['differential' => null, 'deadband' => null] + self::SET, [['stages' => ['cool' => [['on_above' => '75 degF', 'off_below' => '74 degF'], ['on_above' => '75.1 degF', 'off_below' => '74 degF']], 'heat' => []]], 'clear', []], [['stages' => ['cool' => [['on_above' => '75 degF', 'off_below' => '74 degF'], ['on_above' => '75 degF', 'off_below' => '74 degF']], 'heat' => []]], 'stop', ['order:cool2']]],
                'as many as it has' => [self::TWO, [['machine' => ['cool_stages' => 2, 'heat_stages' => 1]], 'clear', []], [['machine' => ['cool_stages' => 3, 'heat_stages' => 2]], 'watch', ['fewer_cool_stages', 'fewer_heat_stages']]],
                'over where heat ends' => [self::TWO, [['economizer' => ['on_above' => '70 degF', 'lockout_outdoor' => '65 degF']], 'clear', []], [['economizer' => ['on_above' => '69.9 degF', 'lockout_outdoor' => '65 degF']], 'stop', ['economizer_in_heat']]],
                'under the first stage' => [self::TWO, [['economizer' => ['on_above' => '75 degF', 'lockout_outdoor' => '65 degF']], 'clear', []], [['economizer' => ['on_above' => '75.1 degF', 'lockout_outdoor' => '65 degF']], 'watch', ['economizer_late']]],
                'no warmer than the room' => [self::TWO, [['economizer' => ['on_above' => '73 degF', 'lockout_outdoor' => '74 degF']], 'clear', []], [['economizer' => ['on_above' => '73 degF', 'lockout_outdoor' => '74.1 degF']], 'watch', ['lockout_high']]],
                'something cools' => [['economizer' => ['on_above' => '73 degF', 'lockout_outdoor' => '60 degF']] + self::TWO, [['lockouts' => ['cool_below' => '60 degF']], 'clear', []], [['lockouts' => ['cool_below' => '60.1 degF']], 'stop', ['no_cooling_between']]],
                'something heats' => [self::TWO, [['lockouts' => ['heat_below' => '30 degF', 'aux_above' => '30 degF']], 'clear', []], [['lockouts' => ['heat_below' => '30.1 degF', 'aux_above' => '30 degF']], 'stop', ['no_heat_between']]],
                'six starts an hour' => [['counts' => ['cool' => 1, 'heat' => 0, 'cool_capacity' => '20000 W']] + $room + self::SET, [['deadband' => '2 delta_degF', 'min_off' => '10 min'], 'clear', []], [['deadband' => '0.2 delta_degF'], 'watch', ['short_cycling:cool1']]],
                'a capacity for the day' => [['counts' => ['cool' => 1, 'heat' => 0, 'cool_capacity' => '20000 W']] + $room + self::SET, [['deadband' => '2 delta_degF', 'min_off' => '10 min'], 'clear', []], [['counts' => ['cool' => 1, 'heat' => 0]], 'open', ['missing:capacity']]],
                'reheat under cooling' => [['differential' => null, 'deadband' => null, 'machine' => ['dehumidify' => 'hot_gas']] + self::SET, [['stages' => ['cool' => [['on_above' => '75 degF', 'off_below' => '74 degF']], 'heat' => [['on_below' => '74 degF', 'off_above' => '75 degF', 'reheat' => true]]]], 'clear', ['read_amps:dehumidify']], [['stages' => ['cool' => [['on_above' => '75 degF', 'off_below' => '74 degF']], 'heat' => [['on_below' => '74 degF', 'off_above' => '75.1 degF', 'reheat' => true]]]], 'watch', ['read_amps:dehumidify', 'reheat_over_cool']]],
            ],
            'controls.leaving_air' => [
                'the least' => [self::AIR, [['min_airflow' => '1925.3 cfm'], 'clear', ['speed_dial_dead']], [['min_airflow' => '1925.5 cfm'], 'stop', ['speed_dial_dead', 'will_ice']]],
                'the most' => [['min_airflow' => '1000 cfm'] + self::AIR, [['max_airflow' => '1925.5 cfm'], 'clear', ['speed_dial_dead']], [['max_airflow' => '1925.3 cfm'], 'watch', ['speed_dial_dead', 'cannot_hold']]],
                '45 degrees' => [['min_airflow' => '1000 cfm'] + self::AIR, [['leaving_set' => '45 degF'], 'clear', ['speed_dial_dead']], [['leaving_set' => '44.9 degF'], 'watch', ['speed_dial_dead', 'leaving_cold']]],
                '40 degrees' => [['min_airflow' => '1000 cfm'] + self::AIR, [['leaving_set' => '40 degF'], 'watch', ['speed_dial_dead', 'leaving_cold']], [['leaving_set' => '39.9 degF'], 'stop', ['speed_dial_dead', 'leaving_cold', 'will_ice']]],
            ],
            'controls.terminals' => [
                'a tenth of 24 V' => [self::WIRED, [['wire' => ['length' => '100 ft', 'awg' => 18, 'current' => '1.8794 A']], 'clear', []], [['wire' => ['length' => '100 ft', 'awg' => 18, 'current' => '1.8796 A']], 'watch', ['wire_drop']]],
                'a fifth of 24 V' => [self::WIRED, [['wire' => ['length' => '100 ft', 'awg' => 18, 'current' => '3.7588 A']], 'watch', ['wire_drop']], [['wire' => ['length' => '100 ft', 'awg' => 18, 'current' => '3.759 A']], 'stop', ['wire_drop']]],
                'its kind' => [self::WIRED, [[], 'clear', []], [['thermostat' => ['type' => 'heat_pump'] + self::WIRED['thermostat']], 'stop', ['wrong_thermostat_type']]],
                'its letter' => [self::PUMP, [[], 'clear', []], [['thermostat' => ['landed' => ['R', 'C', 'G', 'Y1', 'B']] + self::PUMP['thermostat'], 'machine_landed' => ['R', 'C', 'G', 'Y1', 'B']], 'stop', ['ob_reversed']]],
                'none at all' => [self::WIRED, [['machine_landed' => ['R', 'G', 'Y1', 'W1']], 'watch', ['missing_wire:C']], [['machine_landed' => []], 'stop', ['missing_wire:R', 'missing_wire:C', 'missing_wire:G', 'missing_wire:Y1', 'missing_wire:W1']]],
                'two steps of one' => [['thermostat' => ['type' => 'conventional', 'landed' => ['R', 'C', 'G', 'Y1', 'Y2', 'W1']], 'machine_landed' => ['R', 'C', 'G', 'Y1', 'Y2', 'W1']] + self::WIRED, [['machine' => ['unloader_steps' => 2] + self::WIRED['machine']], 'clear', []], [[], 'watch', ['extra_wire:Y2']]],
            ],
            'controls.settings' => [
                'its tolerance' => [[], [$item(['left' => '56 degF']), 'clear', []], [$item(['left' => '56.1 degF']), 'watch', ['differs:lockout']]],
                'read as left' => [[], [$item(['left' => '55 degF']), 'clear', []], [$item([]), 'open', ['not_left:lockout']]],
                'it need not be set' => [[], [$item(['required' => null, 'must' => false]), 'clear', []], [$item(['required' => null, 'left' => '55 degF']), 'open', ['unset:lockout']]],
                'after the test' => [[], [$item(['test' => '45 degF', 'left' => '54 degF']), 'clear', []], [$item(['test' => '45 degF', 'left' => '46 degF']), 'watch', ['differs:lockout', 'left_in_test:lockout']]],
                'what the owner asked for' => [[], [$item(['left' => '60 degF', 'reason' => 'colder stock', 'initials' => 'KM']), 'clear', ['asked_for:lockout']], [$item(['left' => '60 degF', 'reason' => 'colder stock']), 'watch', ['differs:lockout']]],
            ],
            'controls.sequence' => [
                'its delay' => [[], [$call(['seen' => ['blower'], 'minutes' => 4.9]), 'open', ['wait:cool1']], [$call(['seen' => ['blower'], 'minutes' => 5]), 'stop', ['missing_output:cool1:compressor 1']]],
                'its off delay' => [[], [$call(['after' => ['blower'], 'after_minutes' => 5]), 'open', ['wait_off:cool1']], [$call(['after' => ['blower'], 'after_minutes' => 5.1]), 'stop', ['stays_on:cool1:blower']]],
                'ten minutes of the same air' => [[], [$call(['air' => 'same', 'minutes' => 9.9]), 'clear', ['sequence_proved']], [$call(['air' => 'same']), 'watch', ['no_effect:cool1', 'sequence_proved']]],
                'the wrong air' => [[], [$call(['air' => 'cooler']), 'clear', ['sequence_proved']], [$call(['air' => 'warmer']), 'stop', ['wrong_air:cool1']]],
                'eyes' => [[], [$call(['proved_by' => 'temperature']), 'clear', ['sequence_proved']], [$call(['proved_by' => 'eyes']), 'watch', ['seen_only:cool1', 'sequence_proved']]],
                'let go' => [[], [$call([]), 'clear', ['sequence_proved']], [$call(['after' => null]), 'watch', ['release_not_seen:cool1', 'sequence_proved']]],
                'what may run with it' => [[], [$call(['seen' => ['blower', 'compressor 1', 'crankcase heater'], 'allowed' => ['Crankcase heater']]), 'clear', ['sequence_proved']], [$call(['seen' => ['blower', 'compressor 1', 'crankcase heater']]), 'stop', ['wrong_output:cool1:crankcase heater']]],
                'the emergency stop' => [['has' => ['emergency_off']], [['calls' => [['call' => 'emergency_off', 'seen' => ['blower'], 'minutes' => 0.9, 'delay' => 1]]], 'open', ['wait:emergency_off']], [['calls' => [['call' => 'emergency_off', 'seen' => ['blower'], 'minutes' => 1, 'delay' => 1]]], 'stop', ['ran_on:blower']]],
                'tried or blocked' => [['has' => ['heat1']], [['calls' => [['call' => 'heat1', 'blocked' => 'summer']]], 'open', ['blocked:heat1']], [['calls' => [self::CALL]], 'open', ['not_tried:heat1', 'not_listed:cool1']]],
            ],
            'controls.alarms' => [
                'a lockout' => [self::KEPT, [['standing' => [['code' => 'E-1', 'kind' => 'warning', 'reason' => 'r', 'owner' => 'o']]], 'watch', ['standing:E-1', 'baseline_kept']], [['standing' => [['code' => 'E-1', 'kind' => 'lockout', 'reason' => 'r', 'owner' => 'o']]], 'stop', ['locked_out:E-1']]],
                'whose it is' => [self::KEPT, [['standing' => [['code' => 'E-1', 'kind' => 'info', 'reason' => 'r', 'owner' => 'o']]], 'clear', ['standing:E-1', 'baseline_kept']], [['standing' => [['code' => 'E-1', 'kind' => 'info', 'reason' => 'r']]], 'open', ['unexplained:E-1', 'standing:E-1']]],
                'whose the sensor is' => [self::KEPT, [['sensors_missing' => [['name' => 'CO2', 'reason' => 'r', 'owner' => 'o']]], 'clear', ['known_missing:CO2', 'baseline_kept']], [['sensors_missing' => [['name' => 'CO2', 'owner' => 'o']]], 'open', ['unexplained_sensor:CO2']]],
                'by doing' => [self::KEPT, [[], 'clear', ['baseline_kept']], [$test(['how' => 'button']), 'watch', ['not_by_doing:high pressure', 'baseline_kept']]],
                'shown here' => [self::KEPT, [[], 'clear', ['baseline_kept']], [$test(['local' => false]), 'stop', ['no_alarm:high pressure']]],
                'heard elsewhere' => [self::KEPT, [['remote' => false] + $test(['remote' => false]), 'clear', ['baseline_kept']], [$test(['remote' => false]), 'stop', ['not_remote:high pressure', 'remote_not_proved']]],
                'cleared' => [self::KEPT, [[], 'clear', ['baseline_kept']], [$test(['cleared' => false, 'restored' => false]), 'watch', ['stays_in_alarm:high pressure', 'putback:alarm_sensor', 'baseline_kept']]],
                'asked for' => [self::KEPT, [['needed' => [' High Pressure']], 'clear', ['baseline_kept']], [['needed' => ['filter']], 'open', ['not_tried:filter']]],
                'a later visit' => [self::KEPT, [['now' => []], 'clear', ['baseline_kept']], [['now' => [['code' => 'E-9', 'kind' => 'lockout']]], 'stop', ['new_alarm:E-9']]],
            ],
        ];
    }
}
