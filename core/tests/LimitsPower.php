<?php

declare(strict_types=1);

namespace IronStart\Core\Tests;

/** Joints, fault current, ground, disconnect, transformer, dials, taps, feeder. As in Limits. */
final class LimitsPower
{
    private const SWITCH = ['in_sight' => true, 'kind' => 'fused_switch', 'rating' => '60 A', 'load_amps' => '40 A', 'mocp' => '60 A', 'plate_says' => 'max_fuse_or_hacr', 'protected_by' => 'fuse', 'device_size' => '60 A', 'fuse_class' => 'RK5'];
    private const BREAKER = ['kind' => 'switch', 'protected_by' => 'breaker', 'fuse_class' => null] + self::SWITCH;
    private const TIED = ['breaker' => '60 A', 'path' => 'wire', 'conductor' => '10', 'ohms' => '0.1 ohm'];
    private const DIAL = ['name' => 'b', 'dial' => '10 A', 'fla' => '10 A', 'service_factor' => 1.15];
    private const MONITOR = ['nominal' => '480 V', 'supply_average' => '480 V', 'test' => 'leg_off', 'call_dropped' => true, 'restored' => true];
    private const DRIVE = ['name' => 'f', 'min_hz' => '20 Hz', 'max_hz' => '60 Hz', 'motor_amps' => '20 A', 'fla' => '20 A', 'direction' => 'correct', 'bypass' => 'none'];
    private const FEEDER = ['breaker' => '100 A', 'usable' => '100 A'];

    /** @return array<string, array<string, array<int, mixed>>> */
    public static function all(): array
    {
        return [
            'power.drop' => self::drop(),
            'power.fault_current' => self::faultCurrent(),
            'power.grounding' => self::grounding(),
            'power.disconnect' => self::disconnect(),
            'power.transformer_va' => self::transformer(),
            'power.dials' => self::dials(),
            'power.motor_tap' => self::motorTap(),
            'power.feeder' => self::feeder(),
        ];
    }

    /** @return array<string, array<int, mixed>> */
    private static function drop(): array
    {
        // One leg beside two cool ones that do not count as its like: another place of the same name.
        $one = fn (string $place, float $mV, float $amps, array $more = []): array => ['running' => true, 'items' => [$more + ['name' => 'X', 'place' => $place, 'leg' => 'a', 'drop' => "$mV mV", 'amps' => "$amps A", 'full_amps' => "$amps A"]]];
        $two = fn (float $mV, float $other, float $amps): array => ['running' => true, 'items' => [['name' => 'X', 'place' => 'fuse', 'leg' => 'a', 'drop' => "$mV mV", 'amps' => "$amps A"], ['name' => 'X', 'place' => 'fuse', 'leg' => 'b', 'drop' => "$other mV", 'amps' => "$amps A"]]];
        $open = fn (string $place, string $drop, string $amps): array => ['running' => true, 'items' => [['name' => 'X', 'place' => $place, 'leg' => 'a', 'drop' => '20 mV', 'amps' => '60 A', 'full_amps' => '60 A'], ['name' => 'X', 'place' => $place, 'leg' => 'b', 'drop' => $drop, 'amps' => $amps]]];
        $rows = [];
        foreach (['lug' => [30, 1, 100, 3], 'splice' => [30, 1, 100, 3], 'contact' => [100, 2, 200, 5], 'fuse' => [200, 3, 350, 6], 'pole' => [200, 3, 350, 6]] as $place => [$warm, $warmWatts, $hot, $hotWatts]) {
            $rows["$place: millivolts of a watch"] = [[], [$one($place, $warm, 90), 'clear', []], [$one($place, $warm + 0.1, 90), 'watch', ['warm:X:a']]];
            $rows["$place: watts of a watch"] = [[], [$one($place, $warm * 1.5, $warmWatts / $warm / 1.5 * 1e3), 'clear', []], [$one($place, $warm * 1.5, $warmWatts / $warm / 1.5 * 1.001e3), 'watch', ['warm:X:a']]];
            $rows["$place: millivolts of a stop"] = [[], [$one($place, $hot, 90), 'watch', ['warm:X:a']], [$one($place, $hot + 0.1, 90), 'stop', ['hot:X:a']]];
            $rows["$place: watts of a stop"] = [[], [$one($place, $hot * 1.5, $hotWatts / $hot / 1.5 * 1e3), 'watch', ['warm:X:a']], [$one($place, $hot * 1.5, $hotWatts / $hot / 1.5 * 1.001e3), 'stop', ['hot:X:a']]];
        }

        return $rows + [
            'half as much again as its like' => [[], [$two(150, 100, 20), 'clear', []], [$two(150.1, 100, 20), 'watch', ['uneven:X:a']]],
            'and a watt' => [[], [$two(160, 100, 6.25), 'clear', []], [$two(160.1, 100, 6.25), 'watch', ['uneven:X:a']]],
            'five times its like' => [[], [$two(10, 2, 20), 'clear', []], [$two(10.1, 2, 20), 'watch', ['uneven:X:a']]],
            'and two millivolts' => [[], [$two(2, 0.2, 20), 'clear', []], [$two(2.1, 0.2, 20), 'watch', ['uneven:X:a']]],
            'nothing to compare' => [[], [$one('lug', 5, 20), 'clear', []], [$one('lug', 5, 20, ['full_amps' => null]), 'watch', ['alone:X:a']]],
            'five volts' => [[], [$open('fuse', '5 V', '0.5 A'), 'open', ['no_current:X:b']], [$open('fuse', '5.1 V', '0.5 A'), 'stop', ['open_fuse:X:b']]],
            'a twentieth of its like' => [[], [$open('pole', '200 V', '3 A'), 'open', ['wrong_points:X:b']], [$open('pole', '200 V', '2.99 A'), 'stop', ['open_pole:X:b']]],
            'one ampere' => [[], [$open('lug', '5 mV', '1 A'), 'watch', ['uneven:X:b']], [$open('lug', '5 mV', '0.99 A'), 'open', ['no_current:X:b']]],
            'no reading' => [[], [$one('lug', 0.05, 20), 'clear', []], [$one('lug', 0.04, 20), 'open', ['no_reading:X:a']]],
            'running' => [[], [$one('lug', 5, 20), 'clear', []], [['running' => false] + $one('lug', 5, 20), 'open', ['not_running']]],
        ];
    }

    /** @return array<string, array<int, mixed>> */
    private static function faultCurrent(): array
    {
        return [
            'what it stands' => [['available' => '22 kA'], [['rating' => '22 kA'], 'clear', []], [['rating' => '21.99 kA'], 'stop', ['over_fault_rating']]],
            'the least that flows' => [['kva' => '100 kVA', 'impedance' => '2 %', 'line_voltage' => '480 V'], [['rating' => '5467.4 A'], 'watch', ['rating_unclear']], [['rating' => '5467.3 A'], 'stop', ['over_fault_rating']]],
            'the most that flows' => [['kva' => '100 kVA', 'impedance' => '2 %', 'line_voltage' => '480 V'], [['rating' => '6682.3 A'], 'clear', []], [['rating' => '6682.2 A'], 'watch', ['rating_unclear']]],
            'an unmarked plate' => [[], [['available' => '5 kA'], 'clear', ['default_rating']], [['available' => '5.01 kA'], 'stop', ['default_rating', 'over_fault_rating']]],
            'a label' => [['available' => '22 kA', 'rating' => '65 kA'], [['label_on' => true], 'clear', []], [['label_on' => false], 'watch', ['label_missing']]],
        ];
    }

    /** @return array<string, array<int, mixed>> */
    private static function grounding(): array
    {
        $wire = fn (string $breaker, string $size, string $material = 'cu'): array => ['breaker' => "$breaker A", 'path' => 'wire', 'conductor' => $size, 'material' => $material, 'ohms' => '0.1 ohm'];
        $rows = [];
        $sizes = ['cu' => ['14', '12', '10', '8', '6', '4', '3', '2', '1', '1/0', '2/0', '3/0', '4/0'], 'al' => ['12', '10', '8', '6', '4', '2', '1', '1/0', '2/0', '3/0', '4/0', '250', '300']];
        foreach ([15, 20, 60, 100, 200, 300, 400, 500, 600, 800, 1000] as $i => $upTo) {
            foreach (['cu', 'al'] as $material) {
                $rows["$material behind $upTo A"] = [[], [$wire((string) $upTo, $sizes[$material][$i], $material), 'clear', []], [$wire((string) ($upTo + 1), $sizes[$material][$i], $material), 'stop', ['ground_small']]];
            }
        }
        $trips = fn (string $volts): array => ['volts_to_ground' => "$volts V", 'ohms' => '0.25 ohm'] + self::TIED;

        return $rows + [
            'the largest' => [[], [$wire('1200', '3/0'), 'clear', []], [$wire('1200', '2/0'), 'stop', ['ground_small']]],
            'no larger than the line' => [$wire('60', '12'), [['phase_conductor' => '12'], 'clear', []], [['phase_conductor' => '10'], 'stop', ['ground_small']]],
            'upsized with the line' => [['breaker' => '20 A', 'path' => 'wire', 'ohms' => '0.1 ohm', 'phase_conductor' => '8', 'phase_needed' => '12'], [['conductor' => '8'], 'clear', []], [['conductor' => '10'], 'stop', ['ground_small']]],
            'half an ohm' => [self::TIED, [['ohms' => '0.5 ohm'], 'clear', []], [['ohms' => '0.51 ohm'], 'watch', ['ground_high']]],
            'one ohm' => [self::TIED, [['ohms' => '1 ohm'], 'watch', ['ground_high']], [['ohms' => '1.01 ohm'], 'stop', ['ground_high']]],
            'ten ohms' => [self::TIED, [['ohms' => '10 ohm'], 'stop', ['ground_high']], [['ohms' => '10.1 ohm'], 'stop', ['ground_open']]],
            'five times the breaker' => [[], [$trips('150'), 'clear', []], [$trips('149.9'), 'watch', ['slow_trip']]],
            'twice the breaker' => [[], [$trips('60'), 'watch', ['slow_trip']], [$trips('59.9'), 'stop', ['will_not_trip']]],
            'a rod' => [['ohms' => '0.1 ohm', 'breaker' => '60 A'], [['path' => 'wire', 'conductor' => '10'], 'clear', []], [['path' => 'rod'], 'stop', ['rod_only']]],
            'nothing' => [['ohms' => '0.1 ohm', 'breaker' => '60 A'], [['path' => 'wire', 'conductor' => '10'], 'clear', []], [['path' => 'none'], 'stop', ['no_ground']]],
            'read' => [self::TIED, [['ohms' => '0.1 ohm'], 'clear', []], [['ohms' => null], 'watch', ['not_measured']]],
            'threaded on a roof' => [['path' => 'raceway', 'raceway' => 'threaded', 'conductor' => null] + self::TIED, [['on_roof' => false], 'clear', []], [['on_roof' => true], 'watch', ['conduit_alone']]],
            'other metal on a roof' => [['path' => 'raceway', 'raceway' => 'other_metal', 'conductor' => null] + self::TIED, [['on_roof' => false], 'clear', []], [['on_roof' => true], 'stop', ['conduit_alone']]],
            'what shakes' => [['path' => 'raceway', 'on_roof' => false, 'conductor' => null] + self::TIED, [['raceway' => 'flexible'], 'stop', ['flex_alone']], [['raceway' => 'nonmetallic'], 'stop', ['no_ground']]],
        ];
    }

    /** @return array<string, array<int, mixed>> */
    private static function disconnect(): array
    {
        $class = fn (string $class, ?string $plate = null): array => ['fuse_class' => $class, 'plate_class' => $plate] + self::SWITCH;
        $rows = [];
        foreach (['RK1' => [['RK1'], ['RK5', 'J', 'H']], 'RK5' => [['RK5', 'RK1'], ['K5', 'CC']], 'K5' => [['K5', 'RK5', 'RK1'], ['H', 'T']], 'H' => [['H', 'K5', 'RK5', 'RK1'], ['J']], 'J' => [['J'], ['RK1', 'T']], 'CC' => [['CC'], ['J']], 'T' => [['T'], ['CC']]] as $plate => [$do, $dont]) {
            foreach ($do as $i => $one) {
                $rows["class $one for $plate"] = [[], [$class($one, $plate), 'clear', []], [$class($dont[$i % count($dont)], $plate), 'stop', ['wrong_fuse_class']]];
            }
        }

        return $rows + [
            'in sight' => [self::SWITCH, [['distance' => '50 ft'], 'clear', []], [['distance' => '50.1 ft'], 'stop', ['not_in_sight']]],
            'not in sight' => [self::SWITCH, [['in_sight' => true], 'clear', []], [['in_sight' => false], 'stop', ['not_in_sight']]],
            '115 percent' => [self::SWITCH, [['load_amps' => '52.17 A'], 'clear', []], [['load_amps' => '52.18 A'], 'stop', ['rating_short']]],
            'horsepower' => [self::SWITCH, [['needed_hp' => 15, 'switch_hp' => 15], 'clear', []], [['needed_hp' => 15, 'switch_hp' => 14.9], 'stop', ['hp_short']]],
            'the largest fuse' => [['rating' => '100 A'] + self::SWITCH, [['device_size' => '60 A'], 'clear', []], [['device_size' => '61 A'], 'stop', ['over_mocp']]],
            'max fuse' => [self::BREAKER, [['plate_says' => 'max_fuse_or_breaker'], 'clear', []], [['plate_says' => 'max_fuse'], 'stop', ['fuse_required']]],
            'the mark' => [self::BREAKER, [['hacr' => true], 'clear', []], [['hacr' => false], 'watch', ['hacr_not_marked']]],
            'a slug' => [self::SWITCH, [['fuse_class' => 'RK5'], 'clear', []], [['fuse_class' => 'slug'], 'stop', ['slug']]],
            'ten kiloamps' => [[], [$class('RK5'), 'clear', []], [$class('K5'), 'watch', ['fuse_class_low']]],
            'class H' => [[], [$class('H', 'H'), 'clear', []], [$class('H'), 'watch', ['fuse_class_low']]],
            'fuses over the switch' => [['mocp' => '100 A'] + self::SWITCH, [['device_size' => '60 A'], 'clear', []], [['device_size' => '60.1 A'], 'stop', ['fuse_over_switch']]],
            'alike' => [self::SWITCH, [['fuses_alike' => true], 'clear', []], [['fuses_alike' => false], 'stop', ['fuses_differ']]],
        ];
    }

    /** @return array<string, array<int, mixed>> */
    private static function transformer(): array
    {
        $on = fn (string $va, array $more = []): array => $more + ['va' => "$va VA", 'coils' => [['name' => 'C', 'kind' => 'contactor', 'sealed' => '40 VA', 'inrush' => '40 VA']], 'lowest' => '24 V'];
        $fused = fn (array $fuse, string $va = '48'): array => ['va' => "$va VA", 'coils' => [['name' => 'b', 'kind' => 'board', 'sealed' => '12 VA']], 'lowest' => '24 V'] + $fuse;

        return [
            'four fifths' => [[], [$on('50'), 'clear', []], [$on('49.9'), 'watch', ['va_near']]],
            'all of it' => [[], [$on('40'), 'watch', ['va_near']], [$on('39.9'), 'stop', ['va_over']]],
            'pulls in by estimate' => [['coils' => [['name' => 'C', 'kind' => 'contactor', 'sealed' => '10 VA', 'inrush' => '60 VA']], 'lowest' => null], [['va' => '40 VA'], 'clear', []], [['va' => '39.9 VA'], 'watch', ['pull_in_low']]],
            'pulls in, read' => [$on('100'), [['lowest' => '20.4 V'], 'clear', []], [['lowest' => '20.39 V'], 'watch', ['pull_in_low']]],
            'holds, read' => [$on('100'), [['lowest' => '18 V'], 'watch', ['pull_in_low']], [['lowest' => '17.99 V'], 'stop', ['pull_in_low']]],
            'inrush' => [[], [$on('100'), 'clear', []], [['coils' => [['name' => 'C', 'kind' => 'contactor', 'sealed' => '40 VA']]] + $on('100'), 'clear', ['default_inrush']]],
            'secondary fuse, most' => [[], [$fused(['secondary_fuse' => '3.34 A']), 'clear', []], [$fused(['secondary_fuse' => '3.35 A']), 'watch', ['secondary_fuse_large']]],
            'secondary fuse of a large one, most' => [[], [$fused(['secondary_fuse' => '11.25 A'], '216'), 'clear', []], [$fused(['secondary_fuse' => '11.26 A'], '216'), 'watch', ['secondary_fuse_large']]],
            'secondary fuse, least' => [[], [$fused(['secondary_fuse' => '0.5 A']), 'clear', []], [$fused(['secondary_fuse' => '0.49 A']), 'watch', ['secondary_fuse_small']]],
            'primary fuse, most' => [['primary_volts' => '240 V'], [$fused(['primary_fuse' => '1 A']), 'clear', []], [$fused(['primary_fuse' => '1.01 A']), 'stop', ['primary_fuse_large']]],
            'primary fuse from 2 A' => [['primary_volts' => '240 V'], [$fused(['primary_fuse' => '3.34 A'], '480'), 'clear', []], [$fused(['primary_fuse' => '3.35 A'], '480'), 'stop', ['primary_fuse_large']]],
            'primary fuse from 9 A' => [['primary_volts' => '240 V'], [$fused(['primary_fuse' => '11.25 A'], '2160'), 'clear', []], [$fused(['primary_fuse' => '11.26 A'], '2160'), 'stop', ['primary_fuse_large']]],
            'primary fuse, least' => [['primary_volts' => '240 V'], [$fused(['primary_fuse' => '0.2 A']), 'clear', []], [$fused(['primary_fuse' => '0.199 A']), 'watch', ['primary_fuse_small']]],
        ];
    }

    /** @return array<string, array<int, mixed>> */
    private static function dials(): array
    {
        $dial = fn (string $dial, array $more = []): array => ['overloads' => [['dial' => "$dial A"] + $more + self::DIAL]];
        $monitor = fn (array $more): array => ['monitor' => $more + self::MONITOR];
        $drive = fn (array $more): array => ['drives' => [$more + self::DRIVE]];
        $plain = ['service_factor' => 1.0];
        $sheet = ['sheet_dial' => '12 A'];
        $proved = ['dials_proved'];

        return [
            'a dial' => [[], [$dial('10.5'), 'clear', $proved], [$dial('10.51'), 'watch', ['dial_over:b', 'dials_proved']]],
            'a dial far over' => [[], [$dial('12.5'), 'watch', ['dial_over:b', 'dials_proved']], [$dial('12.51'), 'stop', ['dial_over:b']]],
            'a dial low' => [[], [$dial('8'), 'clear', $proved], [$dial('7.99'), 'watch', ['dial_low:b', 'dials_proved']]],
            'without a service factor' => [[], [$dial('9.45', $plain), 'clear', $proved], [$dial('9.46', $plain), 'watch', ['dial_over:b', 'dials_proved']]],
            'far over without one' => [[], [$dial('11.5', $plain), 'watch', ['dial_over:b', 'dials_proved']], [$dial('11.51', $plain), 'stop', ['dial_over:b']]],
            'service from 1.15' => [$dial('10'), [$dial('10', ['service_factor' => 1.15]), 'clear', $proved], [$dial('10', ['service_factor' => 1.14]), 'watch', ['dial_over:b', 'dials_proved']]],
            'by the sheet' => [[], [$dial('12.6', $sheet), 'clear', $proved], [$dial('12.61', $sheet), 'watch', ['dial_over:b', 'dials_proved']]],
            'far over the sheet' => [[], [$dial('13.8', $sheet), 'watch', ['dial_over:b', 'dials_proved']], [$dial('13.81', $sheet), 'stop', ['dial_over:b']]],
            'monitor 5% off' => [[], [$monitor(['nominal' => '504 V']), 'clear', $proved], [$monitor(['nominal' => '504.1 V']), 'watch', ['monitor_nominal', 'dials_proved']]],
            'monitor 10% off' => [[], [$monitor(['nominal' => '432 V']), 'watch', ['monitor_nominal', 'dials_proved']], [$monitor(['nominal' => '431.9 V']), 'stop', ['monitor_nominal']]],
            'trips late' => [[], [$monitor(['trip_percent' => '15 %']), 'clear', $proved], [$monitor(['trip_percent' => '15.1 %']), 'watch', ['monitor_wide', 'dials_proved']]],
            'trips soon' => [[], [$monitor(['trip_percent' => '5 %']), 'clear', $proved], [$monitor(['trip_percent' => '4.9 %']), 'watch', ['monitor_tight', 'dials_proved']]],
            'unbalance wide' => [[], [$monitor(['unbalance_percent' => '5 %']), 'clear', $proved], [$monitor(['unbalance_percent' => '5.1 %']), 'watch', ['monitor_wide', 'dials_proved']]],
            'unbalance tight' => [[], [$monitor(['unbalance_percent' => '2 %']), 'clear', $proved], [$monitor(['unbalance_percent' => '1.9 %']), 'watch', ['monitor_tight', 'dials_proved']]],
            'delay' => [[], [$monitor(['delay' => 10]), 'clear', $proved], [$monitor(['delay' => 10.1]), 'watch', ['monitor_slow', 'dials_proved']]],
            'its button' => [[], [$monitor(['test' => 'reversed']), 'clear', $proved], [$monitor(['test' => 'button']), 'watch', ['monitor_not_proved']]],
            'its lamp' => [[], [$monitor(['test' => 'not_tested']), 'watch', ['monitor_not_proved']], [$monitor(['test' => 'light']), 'watch', ['monitor_not_proved', 'light_no_proof']]],
            'the call' => [[], [$monitor([]), 'clear', $proved], [$monitor(['call_dropped' => false]), 'stop', ['monitor_dead']]],
            'its lead' => [[], [$monitor([]), 'clear', $proved], [$monitor(['restored' => false]), 'watch', ['putback:monitor_lead']]],
            'most hertz' => [[], [$drive(['max_hz' => '60 Hz']), 'clear', $proved], [$drive(['max_hz' => '60.1 Hz']), 'stop', ['hz_over:f']]],
            'least hertz' => [[], [$drive(['hz_floor' => '20 Hz']), 'clear', $proved], [$drive(['hz_floor' => '20.1 Hz']), 'watch', ['hz_low:f', 'dials_proved']]],
            'amps in the drive' => [[], [$drive(['motor_amps' => '21 A']), 'clear', $proved], [$drive(['motor_amps' => '21.1 A']), 'watch', ['drive_amps_over:f', 'dials_proved']]],
            'amps far over' => [[], [$drive(['motor_amps' => '23 A']), 'watch', ['drive_amps_over:f', 'dials_proved']], [$drive(['motor_amps' => '23.1 A']), 'stop', ['drive_amps_over:f']]],
            'amps low' => [[], [$drive(['motor_amps' => '16 A']), 'clear', $proved], [$drive(['motor_amps' => '15.9 A']), 'watch', ['drive_amps_low:f', 'dials_proved']]],
            'its direction' => [[], [$drive(['direction' => 'not_seen']), 'watch', ['direction_not_seen:f']], [$drive(['direction' => 'backwards']), 'stop', ['drive_reversed:f']]],
            'both ways' => [[], [$drive(['direction' => 'backwards', 'bypass' => 'correct']), 'stop', ['drive_reversed:f']], [$drive(['direction' => 'backwards', 'bypass' => 'backwards']), 'stop', ['drive_reversed:f', 'bypass_reversed:f']]],
            'its bypass' => [[], [$drive(['bypass' => 'not_run']), 'watch', ['bypass_not_proved:f']], [$drive(['bypass' => 'backwards']), 'stop', ['bypass_reversed:f']]],
        ];
    }

    /** @return array<string, array<int, mixed>> */
    private static function motorTap(): array
    {
        $at = fn (string $volts, array $more = []): array => ['supply_average' => "$volts V", 'items' => [$more + ['name' => 'b', 'tap' => 230]]];
        $of = ['taps' => [208, 230]];
        $range = ['tap' => 208, 'range_end' => 230];

        return [
            'ten percent over' => [[], [$at('253'), 'clear', []], [$at('253.1'), 'stop', ['wrong_tap:b']]],
            'ten percent under' => [[], [$at('207'), 'clear', []], [$at('206.9'), 'stop', ['wrong_tap:b']]],
            'as told' => [$at('241.5'), [['tolerance' => '5 %'], 'clear', []], [['tolerance' => '4.9 %'], 'stop', ['wrong_tap:b']]],
            'a class over' => [[], [$at('276'), 'stop', ['wrong_tap:b']], [$at('276.1'), 'stop', ['wrong_class:b']]],
            'a class under' => [[], [$at('184'), 'stop', ['wrong_tap:b']], [$at('183.9'), 'stop', ['wrong_class:b']]],
            'none fits' => [[], [$at('253', $of), 'clear', []], [$at('253.1', $of), 'stop', ['no_tap_fits:b']]],
            'three percent nearer' => [[], [$at('215.8', $of), 'clear', []], [$at('215.7', $of), 'watch', ['nearer_tap:b']]],
            'a range' => [[], [$at('253', $range), 'clear', []], [$at('253.1', $range), 'stop', ['wrong_tap:b']]],
            'below a range' => [[], [$at('187.2', $range), 'clear', []], [$at('187.1', $range), 'stop', ['wrong_tap:b']]],
            'a bare lead' => [[], [$at('230', ['capped' => true]), 'clear', []], [$at('230', ['capped' => false]), 'stop', ['bare_lead:b']]],
            'wired for' => [[], [$at('460', ['tap' => null, 'wired_for' => 'high', 'taps' => [230, 460]]), 'clear', []], [$at('460', ['tap' => null, 'wired_for' => 'low', 'taps' => [230, 460]]), 'stop', ['wrong_class:b']]],
        ];
    }

    /** @return array<string, array<int, mixed>> */
    private static function feeder(): array
    {
        $unit = fn (string $amps, array $more = []): array => ['items' => [$more + ['name' => 'U', 'amps' => "$amps A", 'largest' => '20 A']]] + self::FEEDER;
        $mca = fn (string $usable): array => ['breaker' => '80 A', 'usable' => "$usable A", 'items' => [['name' => 'U', 'mca' => '40 A', 'mocp' => '60 A'], ['name' => 'V', 'mca' => '35 A', 'mocp' => '50 A']]];
        $behind = fn (array $more): array => $more + ['items' => [['name' => 'A', 'amps' => '20 A', 'largest' => '9 A'], ['name' => 'B', 'amps' => '20 A', 'largest' => '9 A', 'feeds_from' => 'A']]] + self::FEEDER;
        $legs = fn (string $amps): array => ['items' => [['name' => 'U', 'amps' => '30 A', 'largest' => '9 A'], ['name' => 'H', 'kind' => 'other', 'amps' => "$amps A", 'phases' => 1, 'legs' => ['a', 'b']]]] + self::FEEDER;
        $wire = fn (string $usable, string $breaker): array => ['breaker' => "$breaker A", 'usable' => "$usable A", 'items' => [['name' => 'U', 'amps' => '30 A', 'largest' => '20 A', 'mocp' => '60 A'], ['name' => 'V', 'amps' => '20 A', 'largest' => '10 A', 'mocp' => '45 A']]];

        return [
            'the wire' => [[], [$unit('95'), 'clear', []], [$unit('95.1'), 'stop', ['over_wire', 'breaker_near']]],
            'the breaker' => [[], [['usable' => '150 A'] + $unit('95'), 'clear', []], [['usable' => '150 A'] + $unit('95.1'), 'watch', ['breaker_near']]],
            'more than the breaker' => [[], [['usable' => '150 A'] + $unit('100'), 'watch', ['breaker_near']], [['usable' => '150 A'] + $unit('100.1'), 'stop', ['over_breaker']]],
            'both ends of an MCA' => [[], [$mca('75'), 'clear', []], [$mca('74.9'), 'open', ['need_motor:U', 'need_motor:V']]],
            'over at both ends' => [[], [$mca('68'), 'open', ['need_motor:U', 'need_motor:V']], [$mca('67.9'), 'stop', ['over_wire']]],
            'lasting heat' => [self::FEEDER, [['items' => [['name' => 'H', 'kind' => 'heat', 'amps' => '80 A']]], 'clear', []], [['items' => [['name' => 'H', 'kind' => 'heat', 'amps' => '80.1 A']]], 'stop', ['over_wire', 'breaker_near']]],
            'what is neither' => [self::FEEDER, [['items' => [['name' => 'O', 'kind' => 'other', 'amps' => '100 A']]], 'clear', []], [['items' => [['name' => 'O', 'kind' => 'other', 'amps' => '100.1 A']]], 'stop', ['over_wire', 'over_breaker']]],
            'the next size over the wire' => [[], [$wire('71', '80'), 'clear', []], [$wire('71', '80.1'), 'stop', ['breaker_over_wire']]],
            'the largest device and the rest' => [['usable' => '65 A'], [$wire('61', '80'), 'clear', []], [$wire('61', '80.5'), 'stop', ['breaker_over_wire']]],
            'devices nobody read' => [[], [$unit('40', ['mocp' => '70 A']), 'clear', []], [['breaker' => '110 A'] + $unit('40'), 'watch', ['breaker_not_proved']]],
            'ten percent between the legs' => [[], [$legs('5'), 'clear', []], [$legs('5.01'), 'watch', ['legs_uneven']]],
            'behind a swap' => [[], [$behind(['swap_at' => 'B']), 'clear', []], [$behind(['swap_at' => 'A']), 'watch', ['affects:B']]],
            'on the load side' => [[], [$behind(['swap_at' => 'A', 'swap_side' => 'load']), 'clear', []], [$behind(['swap_at' => 'feeder']), 'watch', ['affects:A', 'affects:B']]],
        ];
    }
}
