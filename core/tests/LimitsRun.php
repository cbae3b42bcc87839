<?php

declare(strict_types=1);

namespace IronStart\Core\Tests;

/** What stands before anything turns, crankcase heat, the first run. As in Limits. */
final class LimitsRun
{
    /** R-410A at 75 °F stands at 217.9 to 218.7 psig; 5 °F colder 201.07, 10 °F 185.15; 5 °F hotter 236.54, 10 °F 255.43. */
    private const STANDS = ['refrigerant' => 'R-410A', 'ambient' => '75 degF', 'standing_hours' => 14];

    /** @return array<string, array<string, array<int, mixed>>> */
    public static function all(): array
    {
        $read = fn (string $psig): array => ['pressure' => "$psig psig"];

        return ['run.standing_pressure' => [
            'five degrees low' => [self::STANDS, [$read('201.08'), 'clear', ['saturated']], [$read('201.06'), 'watch', ['below_saturation']]],
            'ten degrees low' => [self::STANDS, [$read('185.16'), 'watch', ['below_saturation']], [$read('185.14'), 'stop', ['vapour_only']]],
            'five degrees high' => [self::STANDS, [$read('236.53'), 'clear', ['saturated']], [$read('236.55'), 'watch', ['above_saturation']]],
            'ten degrees high' => [self::STANDS, [$read('255.42'), 'watch', ['above_saturation']], [$read('255.44'), 'stop', ['above_saturation']]],
            'five pounds' => [self::STANDS, [$read('5'), 'stop', ['vapour_only']], [$read('4.99'), 'stop', ['flat']]],
            'under nothing' => [self::STANDS, [$read('-1'), 'stop', ['flat']], [$read('-1.01'), 'stop', ['flat', 'in_vacuum']]],
            'flat is known at once' => [$read('1') + ['refrigerant' => 'R-410A', 'ambient' => '75 degF'], [['standing_hours' => 5], 'stop', ['flat']], [['standing_hours' => 0], 'stop', ['flat']]],
            'two hours' => [$read('218') + ['refrigerant' => 'R-410A', 'ambient' => '75 degF'], [['standing_hours' => 2], 'clear', ['saturated']], [['standing_hours' => 1.99], 'open', ['wait']]],
            'as long as it should' => [$read('218') + self::STANDS, [['needed_hours' => 14], 'clear', ['saturated']], [['needed_hours' => 14.01], 'open', ['wait']]],
            'ten pounds apart' => [$read('218') + self::STANDS, [['suction' => '208 psig'], 'clear', ['saturated']], [['suction' => '207.99 psig'], 'watch', ['saturated', 'sides_differ']]],
            'the higher side counts' => [$read('1') + self::STANDS, [['suction' => '218 psig'], 'watch', ['saturated', 'sides_differ']], [['suction' => '1 psig'], 'stop', ['flat']]],
            'the coldest and the hottest around it' => [['ambient' => '70 degF', 'indoor' => '75 degF'] + $read('235') + self::STANDS, [['coil' => '75 degF'], 'clear', ['saturated']], [['coil' => '70 degF', 'indoor' => null], 'watch', ['above_saturation']]],
            'its valves' => [$read('218') + self::STANDS, [['valves_open' => true], 'clear', ['saturated']], [['valves_open' => false], 'open', ['valves_shut']]],
            'colder than ten pounds' => [['refrigerant' => 'R-134a', 'pressure' => '9 psig', 'standing_hours' => 14], [['ambient' => '6.7 degF'], 'clear', ['saturated']], [['ambient' => '6.6 degF'], 'open', ['too_cold_to_tell']]],
            'nothing in it, too cold to say' => [['refrigerant' => 'R-134a', 'pressure' => '1 psig', 'standing_hours' => 14], [['ambient' => '6.6 degF'], 'open', ['too_cold_to_tell']], [['ambient' => '6.7 degF'], 'stop', ['flat']]],
        ], 'run.warm_up' => self::warmUp(), 'run.first_start' => self::firstStart()];
    }

    /** @return array<string, array<int, mixed>> */
    private static function warmUp(): array
    {
        $at = fn (string $time): string => "2026-03-10T$time:00-05:00";
        $day = ['now' => $at('14:00'), 'sheet_hours' => 24];
        $on = $day + ['powered_since' => '2026-03-09T14:00:00-05:00'];
        $shell = fn (string $degrees): array => ['shell' => "$degrees degF", 'ambient' => '50 degF'];
        $warm = $on + $shell('75');
        $since = fn (string $time, int $hours = 4): array => ['now' => $at('14:00'), 'sheet_hours' => $hours, 'powered_since' => $at($time)];
        $by = ['now' => $at('14:00'), 'powered_since' => $at('02:00'), 'warm_up' => [['hours' => 2], ['below' => '30 degF', 'hours' => 24], ['below' => '60 degF', 'hours' => 12]]] + $shell('75');
        $cut = fn (string $from, string $to): array => ['outages' => [['from' => $at($from), 'to' => $at($to)]]];

        return [
            'its hours' => [$day + $shell('75'), [['powered_since' => '2026-03-09T14:00:00-05:00'], 'clear', []], [['powered_since' => '2026-03-09T14:01:00-05:00'], 'open', ['wait']]],
            'ten degrees over the air' => [$on, [$shell('60'), 'clear', []], [$shell('59.99'), 'watch', ['shell_lukewarm']]],
            'three degrees over the air' => [$on, [$shell('53'), 'watch', ['shell_lukewarm']], [$shell('52.99'), 'stop', ['heater_cold', 'wait']]],
            'nobody felt it' => [$on, [$shell('75'), 'clear', []], [[], 'watch', ['shell_not_read']]],
            'felt after two hours' => [$shell('51'), [$since('12:00'), 'stop', ['heater_cold', 'wait']], [$since('12:01'), 'open', ['wait']]],
            'felt at once where it is done' => [$shell('51'), [$since('12:01', 2), 'open', ['wait']], [$since('12:01', 1), 'stop', ['heater_cold', 'wait']]],
            'felt again two hours after a cut' => [$since('02:00', 24) + $shell('51'), [$cut('11:00', '12:00'), 'stop', ['heater_cold', 'wait']], [$cut('11:01', '12:01'), 'open', ['wait']]],
            'a cut of half an hour' => [['powered_since' => '2026-03-09T13:30:00-05:00'] + $warm, [$cut('10:00', '10:30'), 'clear', []], [$cut('10:00', '10:31'), 'open', ['wait']]],
            'a strict one' => [$since('02:00', 8) + $shell('75') + $cut('08:00', '09:00'), [['strict' => false], 'clear', []], [['strict' => true], 'open', ['wait']]],
            'a cut that reaches now' => [['powered_since' => '2026-03-09T13:30:00-05:00'] + $warm, [$cut('13:40', '13:59'), 'clear', []], [$cut('13:40', '14:00'), 'open', ['not_powered']]],
            'never switched on' => [$day, [['powered_since' => '2026-03-09T14:00:00-05:00'], 'watch', ['shell_not_read']], [[], 'open', ['not_powered', 'wait']]],
            'a day where nothing is said' => [$shell('75') + ['now' => $at('14:00')], [['powered_since' => '2026-03-09T14:00:00-05:00'], 'clear', ['default_hours']], [['powered_since' => '2026-03-09T14:01:00-05:00'], 'open', ['default_hours', 'wait']]],
            'half a day where it was mild' => [$shell('75') + ['now' => $at('14:00'), 'powered_since' => $at('02:00')], [['coldest_24h' => '60 degF'], 'clear', ['default_hours']], [['coldest_24h' => '59.99 degF'], 'open', ['default_hours', 'wait']]],
            'the coldest row' => [$by, [['coldest_24h' => '30 degF'], 'clear', []], [['coldest_24h' => '29.99 degF'], 'open', ['wait']]],
            'the row for the rest' => [['powered_since' => $at('03:00')] + $by, [['coldest_24h' => '60 degF'], 'clear', []], [['coldest_24h' => '59.99 degF'], 'open', ['wait']]],
            'a start wanted' => [$since('12:00') + $shell('75'), [['wanted_start' => $at('16:00')], 'open', ['wait']], [['wanted_start' => $at('15:59')], 'open', ['wait', 'wanted_start_too_early']]],
            'no heater' => [$warm, [['heater' => 'fitted'], 'clear', []], [['heater' => 'none'], 'watch', ['no_heater']]],
        ];
    }

    /** @return array<string, array<int, mixed>> */
    private static function firstStart(): array
    {
        $at = fn (string $time): string => "2026-05-12T09:$time-04:00";
        $blower = ['name' => 'blower', 'kind' => 'blower', 'started' => $at('00:00'), 'seen' => 'good', 'seen_at' => $at('02:00')];
        $moved = fn (string $to): array => ['suction_before' => '200 psig', 'suction_after' => '150 psig', 'discharge_before' => '200 psig', 'discharge_after' => "$to psig"];
        $c1 = ['name' => 'C1', 'kind' => 'scroll', 'started' => $at('05:00'), 'seen' => 'good', 'seen_at' => $at('08:00'), 'amps' => '24 A', 'plate_amps' => '30 A'];
        $good = $c1 + $moved('300');
        $two = fn (array $change): array => ['now' => $at('30:00'), 'steps' => [$blower, $change + $good]];
        $pumps = fn (string $to, array $change = []): array => ['now' => $at('30:00'), 'steps' => [$blower, $change + $c1 + $moved($to)]];
        $after = fn (array $first, array $more = []): array => ['now' => $at('30:00'), 'steps' => [$first + $blower, $more + $good]];
        $again = fn (string $stopped, string $started, array $more = []): array => ['now' => $at('30:00'), 'steps' => [$blower, ['stopped' => $stopped] + $good, ['started' => $started, 'seen_at' => $started] + $good]] + $more;
        $stopped = fn (string $now, string $stopped, string $seen): array => ['now' => $now, 'steps' => [$blower, ['stopped' => $stopped, 'seen' => $seen, 'seen_at' => $stopped] + $good]];
        $loud = ['noise' => 'loud', 'amps' => '17 A', 'seen' => 'bad', 'seen_at' => null];
        $turned = fn (string $kind, string $stopped): array => ['now' => $at('30:00'), 'steps' => [$blower, ['kind' => $kind, 'stopped' => $stopped] + $loud + $c1 + $moved('150'), ['kind' => $kind, 'started' => $at('20:00'), 'seen_at' => $at('21:00')] + $good]];
        $drive = ['drive' => 'inverter', 'seen' => 'not_yet', 'seen_at' => null];

        return [
            'seen good' => [[], [$two([]), 'clear', ['first_run_good']], [$two(['seen' => 'not_yet', 'seen_at' => null]), 'open', ['look:C1']]],
            'seen bad' => [[], [$two(['seen' => 'not_yet', 'seen_at' => null]), 'open', ['look:C1']], [$two(['seen' => 'bad']), 'stop', ['bad:C1']]],
            'seen before the next start' => [[], [$after(['seen_at' => $at('05:00')]), 'clear', ['first_run_good']], [$after(['seen_at' => $at('05:01')]), 'stop', ['too_soon:C1', 'no_blower:C1']]],
            'air too late, and it stopped' => [[], [$after(['seen_at' => $at('05:01')], ['stopped' => $at('09:00')]), 'watch', ['too_soon:C1', 'no_blower:C1', 'first_run_good']], [$after(['seen_at' => $at('05:01')]), 'stop', ['too_soon:C1', 'no_blower:C1']]],
            'four times the plate' => [[], [$two(['amps' => '120 A']), 'clear', ['first_run_good']], [$two(['amps' => '120.1 A']), 'stop', ['locked_rotor:C1']]],
            'a twentieth of the plate' => [[], [$two(['amps' => '1.5 A']), 'clear', ['first_run_good']], [$two(['amps' => '1.49 A']), 'stop', ['no_draw:C1']]],
            'ten pounds' => [[], [$pumps('160'), 'clear', ['first_run_good']], [$pumps('159.9'), 'watch', ['weak:C1', 'first_run_good']]],
            'five pounds' => [[], [$pumps('155'), 'watch', ['weak:C1', 'first_run_good']], [$pumps('154.9'), 'stop', ['not_pumping:C1']]],
            'few amps' => [[], [$pumps('150', ['amps' => '18 A']), 'stop', ['not_pumping:C1']], [$pumps('150', ['amps' => '17.9 A']), 'stop', ['not_pumping:C1', 'backwards_signs:C1', 'ran_backwards:C1']]],
            'few amps and quiet' => [[], [$pumps('150', ['amps' => '10 A', 'noise' => 'normal']), 'stop', ['not_pumping:C1']], [$pumps('150', ['noise' => 'loud']), 'stop', ['not_pumping:C1', 'backwards_signs:C1', 'ran_backwards:C1']]],
            'a drive that ramps' => [[], [$pumps('155', ['seconds' => 59] + $drive), 'open', ['read_later:C1', 'look:C1']], [$pumps('155', ['seconds' => 60] + $drive), 'open', ['weak:C1', 'look:C1']]],
            'a ramp that pumps' => [[], [$pumps('160', ['seconds' => 59] + $drive), 'open', ['look:C1']], [$pumps('159.9', ['seconds' => 59] + $drive), 'open', ['read_later:C1', 'look:C1']]],
            'gauges' => [[], [['now' => $at('30:00'), 'steps' => [$blower, $good]], 'clear', ['first_run_good']], [['now' => $at('30:00'), 'steps' => [$blower, $c1]], 'watch', ['no_pressures:C1', 'first_run_good']]],
            'all of them started' => [[], [$two([]), 'clear', ['first_run_good']], [['now' => $at('30:00'), 'steps' => [$blower, $good, ['name' => 'C2', 'kind' => 'scroll']]], 'open', ['next:C2']]],
            'six starts within the hour' => [[], [$again($at('09:00'), $at('12:00'), ['starts_per_hour' => 2]), 'clear', ['first_run_good']], [$again($at('09:00'), $at('12:00'), ['starts_per_hour' => 1]), 'watch', ['too_many_starts:C1', 'first_run_good']]],
            'an hour ago' => [[], [['now' => '2026-05-12T10:05:00-04:00', 'starts_per_hour' => 1] + $again($at('09:00'), $at('12:00')), 'clear', ['first_run_good']], [['now' => '2026-05-12T10:04:59-04:00', 'starts_per_hour' => 1] + $again($at('09:00'), $at('12:00')), 'watch', ['too_many_starts:C1', 'first_run_good']]],
            'three minutes of rest' => [[], [$again($at('09:00'), $at('12:00')), 'clear', ['first_run_good']], [$again($at('09:01'), $at('12:00')), 'watch', ['short_rest:C1', 'first_run_good']]],
            'a short rest an hour ago' => [[], [['now' => '2026-05-12T10:10:00-04:00'] + $again($at('09:00'), $at('10:00')), 'clear', ['first_run_good']], [['now' => '2026-05-12T10:09:59-04:00'] + $again($at('09:00'), $at('10:00')), 'watch', ['short_rest:C1', 'first_run_good']]],
            'rested' => [[], [$stopped($at('12:00'), $at('09:00'), 'bad'), 'stop', ['bad:C1']], [$stopped($at('11:59'), $at('09:00'), 'bad'), 'stop', ['bad:C1', 'rest:C1']]],
            'a good one needs no rest' => [[], [$stopped($at('10:00'), $at('09:00'), 'good'), 'clear', ['first_run_good']], [$stopped($at('10:00'), $at('09:00'), 'bad'), 'stop', ['bad:C1', 'rest:C1']]],
            'a minute backwards' => [[], [$turned('scroll', $at('06:00')), 'clear', ['first_run_good']], [$turned('scroll', $at('06:01')), 'watch', ['ran_backwards:C1', 'first_run_good']]],
            'five seconds of a screw' => [[], [$turned('screw', $at('05:05')), 'clear', ['first_run_good']], [$turned('screw', $at('05:06')), 'watch', ['ran_backwards:C1', 'first_run_good']]],
        ];
    }
}
