<?php

declare(strict_types=1);

namespace IronStart\Core\Tests;

/** A call followed to its end, smoke, a refrigerant leak. As in Limits. */
final class LimitsSafety
{
    private const SMOKE = ['fitted' => true, 'method' => 'smoke', 'blower_off' => true, 'reset' => true, 'panel' => true, 'told_before' => true, 'told_after' => true, 'signal' => 'supervisory'];
    private const LEAK = ['refrigerant' => 'R-454B', 'charge' => '4 lb', 'fitted' => true, 'recognised' => true, 'method' => 'simulated', 'blower_on' => true, 'compressor_off' => true, 'ignition_off' => true, 'seconds' => 6, 'reset' => true, 'min_airflow' => '600 cfm', 'airflow' => '900 cfm'];

    /** @return array<string, array<string, array<int, mixed>>> */
    public static function all(): array
    {
        return ['controls.call_path' => self::callPath(), 'safety.smoke' => self::smoke(), 'safety.leak_sensor' => self::leak()];
    }

    /** @return array<string, array<int, mixed>> */
    private static function callPath(): array
    {
        $along = function (float|int ...$volts): array {
            $points = [];
            foreach ($volts as $i => $one) {
                $points[] = ['name' => 'P' . ($i + 1), 'volts' => "$one V"];
            }

            return ['call_on' => true, 'pulled_in' => true, 'points' => $points];
        };
        $switch = fn (float|int $behind, bool $closed, string $kind = 'safety'): array => ['call_on' => true, 'pulled_in' => false, 'across_coil' => '24 V', 'points' => [['name' => 'R', 'volts' => '25 V'], ['name' => 'HP', 'kind' => $kind, 'volts' => "$behind V", 'closed' => $closed], ['name' => 'K', 'volts' => "$behind V"]]];
        $across = fn (float|int $coil): array => ['pulled_in' => false, 'across_coil' => "$coil V"] + $along(25, 25);

        return [
            'no source' => [[], [$along(4.8, 4.8), 'stop', ['source_low', 'coil_low']], [$along(4.79, 4.79), 'stop', ['no_source']]],
            'a low source' => [[], [$along(20.4, 20.4), 'clear', ['call_reaches']], [$along(20.39, 20.4), 'watch', ['source_low', 'call_reaches']]],
            'a source too low' => [[], [$along(18, 18), 'watch', ['source_low', 'coil_low', 'call_reaches']], [$along(17.99, 18), 'stop', ['source_low', 'coil_low']]],
            'dragged down' => [['idle' => '28 V'], [$along(21, 21), 'clear', ['call_reaches']], [$along(20.99, 21), 'stop', ['shorted']]],
            'dead where it drags' => [[], [['pulled_in' => false] + $along(25, 0), 'stop', ['open_at:P2']], [['pulled_in' => false, 'idle' => '40 V'] + $along(25, 0), 'stop', ['shorted', 'dead_at:P2']]],
            'dead' => [[], [$along(25, 5), 'stop', ['drop_at:P2', 'coil_low']], [$along(25, 4.99), 'stop', ['open_at:P2', 'held_in']]],
            'a tenth lost' => [[], [$along(26, 23.6), 'clear', ['call_reaches']], [$along(26, 23.5), 'watch', ['drop_at:P2', 'call_reaches']]],
            'the coil is low' => [[], [$along(22, 20.4), 'clear', ['call_reaches']], [$along(22, 20.3), 'watch', ['coil_low', 'call_reaches']]],
            'the coil is too low' => [[], [$along(20.4, 18), 'watch', ['coil_low', 'call_reaches']], [$along(20.4, 17.99), 'stop', ['drop_at:P2', 'coil_low']]],
            'jumped' => [[], [['pulled_in' => true] + $switch(25, true), 'clear', ['call_reaches']], [['pulled_in' => true] + $switch(25, false), 'stop', ['bypassed:HP']]],
            'half of the source behind an open one' => [[], [['pulled_in' => true] + $switch(12.49, false), 'stop', ['drop_at:HP', 'coil_low']], [['pulled_in' => true] + $switch(12.5, false), 'stop', ['bypassed:HP', 'drop_at:HP', 'coil_low']]],
            'a wire or a safety' => [[], [$switch(0, false), 'stop', ['safety_open:HP']], [$switch(0, true), 'stop', ['wire_open:HP']]],
            'neither' => [[], [$switch(0, false, 'other'), 'stop', ['open_at:HP']], [['pulled_in' => true] + $switch(0, false, 'other'), 'stop', ['open_at:HP', 'held_in']]],
            'live again' => [[], [['pulled_in' => false] + $along(25, 0, 12.49), 'stop', ['open_at:P2']], [['pulled_in' => false] + $along(25, 0, 12.5), 'stop', ['open_at:P2', 'live_again:P3']]],
            'an open common' => [[], [$across(5), 'stop', ['coil_low']], [$across(4.99), 'stop', ['open_common']]],
            'a dead coil' => [[], [$across(17.99), 'stop', ['coil_low']], [$across(18), 'stop', ['coil_dead']]],
            'a call' => [[], [$along(25, 25), 'clear', ['call_reaches']], [['call_on' => false] + $along(25, 25), 'open', ['no_call']]],
        ];
    }

    /** @return array<string, array<int, mixed>> */
    private static function smoke(): array
    {
        $sheet = ['sheet_seconds' => 10] + self::SMOKE;
        $rows = [];
        foreach (['blower_off' => 'blower_ran_on', 'others_off' => 'others_ran_on'] as $flag => $code) {
            $rows[$flag] = [self::SMOKE, [[$flag => true], 'clear', []], [[$flag => false], 'stop', [$code]]];
        }
        foreach (['reset' => 'did_not_reset', 'told_before' => 'not_told_before', 'told_after' => 'putback:panel'] as $flag => $code) {
            $rows[$flag] = [self::SMOKE, [[$flag => true], 'clear', []], [[$flag => false], 'watch', [$code]]];
        }

        return $rows + [
            'by the sheet' => [$sheet, [['seconds' => 10], 'clear', []], [['seconds' => 10.1], 'stop', ['slow_to_stop']]],
            'where the sheet says nothing' => [self::SMOKE, [['seconds' => 15], 'clear', []], [['seconds' => 15.1], 'watch', ['slow_to_stop']]],
            'no detector' => [['fitted' => false], [['airflow' => '2000 cfm'], 'clear', ['not_required']], [['airflow' => '2001 cfm'], 'stop', ['detector_missing']]],
            'somebody asks for one' => [['fitted' => false, 'airflow' => '2500 cfm'], [['required' => false], 'clear', ['not_required']], [['required' => true], 'stop', ['detector_missing']]],
            'more than here' => [['fitted' => false, 'required_above' => '1000 cfm'], [['airflow' => '1000 cfm'], 'clear', ['not_required']], [['airflow' => '1001 cfm'], 'stop', ['detector_missing']]],
            'a magnet' => [self::SMOKE, [['method' => 'smoke'], 'clear', []], [['method' => 'magnet'], 'watch', ['chamber_not_proved']]],
            'its button' => [self::SMOKE, [['method' => 'button'], 'watch', ['chamber_not_proved']], [['method' => 'not_tested'], 'open', ['not_tested']]],
            'another signal' => [self::SMOKE, [['signal' => 'supervisory'], 'clear', []], [['signal' => 'alarm'], 'watch', ['signal_differs']]],
            'the one that is meant' => [['expected' => 'alarm'] + self::SMOKE, [['signal' => 'alarm'], 'clear', []], [['signal' => 'supervisory'], 'watch', ['signal_differs']]],
            'no signal' => [self::SMOKE, [['signal' => 'trouble'], 'stop', ['wrong_signal']], [['signal' => 'none'], 'stop', ['no_signal']]],
        ];
    }

    /** @return array<string, array<int, mixed>> */
    private static function leak(): array
    {
        $rows = [];
        foreach (['blower_on' => 'blower_did_not_start', 'compressor_off' => 'compressor_ran_on', 'ignition_off' => 'ignition_ran_on', 'recognised' => 'sensor_not_seen'] as $flag => $code) {
            $rows[$flag] = [self::LEAK, [[$flag => true], 'clear', []], [[$flag => false], 'stop', [$code]]];
        }
        $none = ['refrigerant' => 'R-454B', 'fitted' => false];

        return $rows + [
            'fifteen seconds' => [self::LEAK, [['seconds' => 15], 'clear', []], [['seconds' => 15.1], 'stop', ['slow_alarm']]],
            'as the sheet allows' => [['limit_seconds' => 30] + self::LEAK, [['seconds' => 30], 'clear', []], [['seconds' => 30.1], 'stop', ['slow_alarm']]],
            'five minutes' => [self::LEAK, [['run_on_minutes' => 5], 'clear', []], [['run_on_minutes' => 4.9], 'watch', ['short_run_on']]],
            'resets' => [self::LEAK, [['reset' => true], 'clear', []], [['reset' => false], 'watch', ['did_not_reset']]],
            'its plug' => [['method' => 'unplugged'] + self::LEAK, [['restored' => true], 'clear', []], [['restored' => false], 'watch', ['putback:sensor_plug']]],
            'air by the sheet' => [self::LEAK, [['airflow' => '600 cfm'], 'clear', []], [['airflow' => '599 cfm'], 'stop', ['airflow_short']]],
            'air by the rule' => [['min_airflow' => null, 'charge' => '1 kg', 'lfl' => '0.3 kg/m3'] + self::LEAK, [['airflow' => '200 m3/h'], 'clear', ['default_airflow']], [['airflow' => '199.9 m3/h'], 'watch', ['default_airflow', 'airflow_short']]],
            'nobody read the air' => [self::LEAK, [['airflow' => '900 cfm'], 'clear', []], [['airflow' => null], 'watch', ['airflow_not_read']]],
            'six cubic meters' => [['lfl' => '0.3 kg/m3'] + $none, [['charge' => '1.8 kg'], 'clear', ['not_required']], [['charge' => '1.801 kg'], 'stop', ['sensor_missing']]],
            'the sheet decides' => [['charge' => '14 lb'] + $none, [['sheet_requires' => false], 'clear', ['not_required']], [['sheet_requires' => true], 'stop', ['sensor_missing']]],
            'what does not burn' => [['fitted' => false, 'charge' => '14 lb', 'lfl' => '0.3 kg/m3'], [['class' => 'B1'], 'clear', ['not_required']], [['class' => 'B2L'], 'stop', ['sensor_missing']]],
            'a plate that says otherwise' => [self::LEAK, [['class' => 'A2L'], 'clear', []], [['class' => 'A3'], 'watch', ['class_differs']]],
            'a plate that burns' => [['refrigerant' => 'R-410A', 'fitted' => false, 'charge' => '14 lb', 'lfl' => '0.3 kg/m3'], [['class' => 'A1'], 'clear', ['not_required']], [['class' => 'A2L'], 'stop', ['class_differs', 'sensor_missing']]],
            'tested' => [self::LEAK, [['method' => 'gas'], 'clear', []], [['method' => 'not_tested'], 'open', ['not_tested']]],
        ];
    }
}
