<?php

declare(strict_types=1);

namespace IronStart\Core\Tests;

/** What a replacement compressor is held against. As in Limits. */
final class LimitsCompressor
{
    private const PLATE = ['kind' => 'scroll', 'rla' => '20 A', 'oil' => 'POE', 'start' => 'across_line', 'capacity' => '60 MBH'];
    private const FITS = ['refrigerant' => 'R-410A', 'supply_average' => '480 V', 'usable' => '40 A', 'breaker' => '40 A', 'contactor' => '30 A', 'contactor_lra' => '150 A',
        'crankcase' => 'not_needed'];
    private const NEW = ['nominals' => [460], 'phases' => 3, 'refrigerants' => ['R-410A'], 'lra' => '100 A'];

    /** @return array<string, array<string, array<int, mixed>>> */
    public static function all(): array
    {
        $with = fn (array $new, array $unit = [], array $old = []): array => $unit + ['old' => $old + self::PLATE, 'new' => $new + self::PLATE + self::NEW] + self::FITS;
        $heated = fn (string $supply, array $more = []): array => ['crankcase' => 'fitted', 'heater_watts' => '100 W', 'heater_volts' => '480 V', 'heater_supply' => "$supply V"] + $more;
        $likely = fn (string $volts, int $nominal, string $lra): array => ['contactor_lra' => null] + $with(['lra' => "$lra A", 'nominals' => [$nominal]], ['supply_average' => "$volts V"]);

        return ['compressor.inverter' => self::inverter(), 'compressor.match' => [
            'ten percent over the plate' => [[], [$with([], ['supply_average' => '506 V']), 'clear', []], [$with([], ['supply_average' => '506.1 V']), 'stop', ['volts_off']]],
            'ten percent under the plate' => [[], [$with([], ['supply_average' => '414 V']), 'clear', []], [$with([], ['supply_average' => '413.9 V']), 'stop', ['volts_off']]],
            'another class above' => [[], [$with([], ['supply_average' => '552 V']), 'stop', ['volts_off']], [$with([], ['supply_average' => '552.1 V']), 'stop', ['wrong_volts']]],
            'another class below' => [[], [$with([], ['supply_average' => '368 V']), 'stop', ['volts_off']], [$with([], ['supply_average' => '367.9 V']), 'stop', ['wrong_volts']]],
            'between the least and the largest of a plate' => [[], [$with(['nominals' => [208, 230]], ['supply_average' => '253 V']), 'clear', []], [$with(['nominals' => [208, 230]], ['supply_average' => '187.1 V']), 'stop', ['volts_off']]],
            'phases' => [[], [$with(['start' => 'inverter'], [], ['start' => 'inverter']), 'clear', []], [$with(['start' => 'inverter', 'phases' => 1], [], ['start' => 'inverter']), 'stop', ['wrong_phases']]],
            'refrigerant' => [[], [$with(['refrigerants' => ['r 410a']]), 'clear', []], [$with(['refrigerants' => ['R-22', 'R-407C']]), 'stop', ['wrong_refrigerant']]],
            'mineral oil' => [[], [$with(['oil' => 'mineral', 'refrigerants' => ['R-22']], ['refrigerant' => 'R-22'], ['oil' => 'AB']), 'clear', []], [$with(['oil' => 'mineral', 'refrigerants' => ['R-32']], ['refrigerant' => 'R-32'], ['oil' => 'AB']), 'stop', ['wrong_oil']]],
            'mineral oil with another' => [[], [$with(['oil' => 'AB', 'refrigerants' => ['R-290']], ['refrigerant' => 'R-290'], ['oil' => 'AB']), 'clear', []], [$with(['oil' => 'AB', 'refrigerants' => ['R-744']], ['refrigerant' => 'R-744'], ['oil' => 'AB']), 'watch', ['oil_not_judged']]],
            'another oil' => [[], [$with(['oil' => 'PVE']), 'watch', ['oil_residue']], [$with(['oil' => 'PVE'], ['tandem' => true]), 'stop', ['oil_mixed']]],
            'another start' => [[], [$with([]), 'clear', []], [$with(['start' => 'soft_starter']), 'stop', ['start_differs']]],
            'start parts' => [[], [$with(['start' => 'single_phase', 'phases' => 1], ['phases' => 1, 'start_parts_new' => true], ['start' => 'single_phase']), 'clear', []], [$with(['start' => 'single_phase', 'phases' => 1], ['phases' => 1, 'start_parts_new' => false], ['start' => 'single_phase']), 'stop', ['start_parts_old']]],
            'the wire' => [[], [$with([], ['usable' => '25 A']), 'clear', []], [$with([], ['usable' => '24.9 A']), 'stop', ['circuit_small']]],
            'the breaker' => [[], [$with([], ['breaker' => '25 A']), 'clear', []], [$with([], ['breaker' => '24.9 A']), 'watch', ['breaker_small']]],
            'a breaker too large' => [[], [$with([], ['breaker' => '45 A']), 'clear', []], [$with([], ['breaker' => '46 A']), 'stop', ['breaker_large']]],
            'another motor is the largest' => [[], [$with([], ['other_amps' => '32 A', 'other_largest' => '32 A', 'usable' => '60 A', 'breaker' => '90 A']), 'clear', []], [$with([], ['other_amps' => '32 A', 'other_largest' => '32 A', 'usable' => '59.9 A', 'breaker' => '90 A']), 'stop', ['circuit_small']]],
            'the contactor' => [[], [$with([], ['contactor' => '20 A']), 'clear', []], [$with([], ['contactor' => '19.9 A']), 'stop', ['contactor_small']]],
            'its locked rotor' => [[], [$with(['lra' => '150 A']), 'clear', []], [$with(['lra' => '150.1 A']), 'stop', ['contactor_lra']]],
            'no locked rotor figure' => [[], [$with([]), 'clear', []], [$with(['lra' => null]), 'watch', ['lra_unknown']]],
            'six times up to 277 V' => [[], [$likely('277', 277, '180'), 'clear', ['default_contactor_lra']], [$likely('277', 277, '180.1'), 'watch', ['default_contactor_lra', 'contactor_lra']]],
            'five times over it' => [[], [$likely('278', 277, '150'), 'clear', ['default_contactor_lra']], [$likely('278', 277, '150.1'), 'watch', ['default_contactor_lra', 'contactor_lra']]],
            'five times up to 500 V' => [[], [$likely('500', 480, '150'), 'clear', ['default_contactor_lra']], [$likely('500.1', 480, '150'), 'watch', ['default_contactor_lra', 'contactor_lra']]],
            'four times over it' => [[], [$likely('501', 480, '120'), 'clear', ['default_contactor_lra']], [$likely('501', 480, '120.1'), 'watch', ['default_contactor_lra', 'contactor_lra']]],
            'the label' => [[], [$with(['rla' => '20.2 A']), 'clear', []], [$with(['rla' => '20.21 A']), 'watch', ['label_changes', 'label_missing']]],
            'a label that is on' => [[], [$with(['rla' => '22 A'], ['label_on' => true]), 'clear', ['label_changes']], [$with(['rla' => '22 A'], ['label_on' => false]), 'watch', ['label_changes', 'label_missing']]],
            'a monitor where the direction matters' => [[], [$with([], ['phase_monitor' => true], ['kind' => 'reciprocating']), 'watch', ['kind_changed', 'direction_matters']], [$with([], [], ['kind' => 'reciprocating']), 'watch', ['kind_changed', 'direction_matters', 'add_monitor']]],
            'another kind that a drive turns' => [[], [$with(['kind' => 'rotary', 'start' => 'inverter'], [], ['kind' => 'reciprocating', 'start' => 'inverter']), 'watch', ['kind_changed']], [$with(['kind' => 'rotary', 'start' => 'soft_starter'], [], ['kind' => 'reciprocating', 'start' => 'soft_starter']), 'watch', ['kind_changed', 'direction_matters', 'add_monitor']]],
            'five percent more' => [[], [$with(['capacity' => '63 MBH']), 'clear', []], [$with(['capacity' => '63.1 MBH']), 'watch', ['capacity_differs']]],
            'five percent less' => [[], [$with(['capacity' => '57 MBH']), 'clear', []], [$with(['capacity' => '56.9 MBH']), 'watch', ['capacity_differs']]],
            'ten percent less' => [[], [$with(['capacity' => '54 MBH']), 'watch', ['capacity_differs']], [$with(['capacity' => '53.9 MBH']), 'stop', ['capacity_off']]],
            'a capacity nobody knows' => [[], [$with([]), 'clear', []], [$with(['capacity' => null]), 'watch', ['capacity_unknown']]],
            'ports' => [[], [$with(['suction' => '7/8 in', 'discharge' => '1/2 in'], [], ['suction' => '7/8 in', 'discharge' => '1/2 in']), 'clear', []], [$with(['suction' => '1-1/8 in', 'discharge' => '1/2 in'], [], ['suction' => '7/8 in', 'discharge' => '1/2 in']), 'watch', ['port_differs:suction']]],
            'the heater is told' => [[], [$with([]), 'clear', []], [$with([], ['crankcase' => null]), 'watch', ['heater_not_told']]],
            'heater volts over' => [[], [$with([], $heated('528')), 'clear', []], [$with([], $heated('528.1')), 'stop', ['heater_over']]],
            'heater volts under' => [[], [$with([], $heated('432')), 'clear', []], [$with([], $heated('431.9')), 'watch', ['heater_weak']]],
            'too few watts' => [[], [$with([], $heated('480', ['heater_needs' => '125 W'])), 'clear', []], [$with([], $heated('480', ['heater_needs' => '125.1 W'])), 'watch', ['heater_weak']]],
            'too many watts' => [[], [$with([], $heated('480', ['heater_needs' => '80 W'])), 'clear', []], [$with([], $heated('480', ['heater_needs' => '79.9 W'])), 'watch', ['heater_strong']]],
        ]];
    }

    /** @return array<string, array<int, mixed>> */
    private static function inverter(): array
    {
        $pairs = fn (array $legs, string $forward, array $first = []): array => array_merge([], ...array_map(fn (string $leg, int $i): array => array_map(fn (string $bus): array => ['leg' => $leg, 'bus' => $bus] + ($i === 0 && $bus === 'plus' ? $first : []) + ['forward' => $forward, 'reverse' => 'OL'], ['plus', 'minus']), $legs, array_keys($legs)));
        $in = fn (array $first, string $others = '0.45 V'): array => ['rectifier' => $pairs(['a', 'b', 'c'], $others, $first)];
        $out = fn (array $first, string $others = '0.4 V'): array => ['output' => $pairs(['u', 'v', 'w'], $others, $first)];
        $good = ['locked' => true, 'bus_dead' => '3 V', 'line_ab' => '480 V', 'line_bc' => '480 V', 'line_ca' => '480 V', 'bus_live' => '648 V', 'leads_lifted' => true, 'windings' => 'good', 'insulation' => 'good', 'out_uv' => '212 V', 'out_vw' => '212 V', 'out_wu' => '212 V'] + $in([]) + $out([]);
        $is = ['inverter_good'];
        $sheet = ['sheet_bus' => '600 V'];
        $volts = fn (string $uv, string $vw, string $wu): array => ['out_uv' => "$uv V", 'out_vw' => "$vw V", 'out_wu' => "$wu V"];
        $row = fn (array $at, string $atIs, array $atCodes, array $over, string $overIs, array $overCodes): array => [[], [$at + $good, $atIs, $atCodes], [$over + $good, $overIs, $overCodes]];

        return [
            'a bus at rest' => $row(['bus_dead' => '10 V'], 'clear', $is, ['bus_dead' => '10.1 V'], 'stop', ['bus_charged']),
            'locked out' => $row(['locked' => true], 'clear', $is, ['locked' => false], 'stop', ['not_locked']),
            'a leg ahead of it' => $row(['line_ca' => '432 V'], 'clear', $is, ['line_ca' => '431.9 V'], 'stop', ['supply_leg', 'names:supply']),
            'a tenth of the bus' => $row(['bus_live' => '60 V'] + $sheet, 'stop', ['bus_low', 'names:board'], ['bus_live' => '59.9 V'] + $sheet, 'stop', ['no_bus', 'names:board']),
            'a bus that is low' => $row(['bus_live' => '540 V'] + $sheet, 'clear', $is, ['bus_live' => '539.9 V'] + $sheet, 'stop', ['bus_low', 'names:board']),
            'a bus over its sheet' => $row(['bus_live' => '660 V'] + $sheet, 'clear', $is, ['bus_live' => '660.1 V'] + $sheet, 'stop', ['bus_high', 'names:board']),
            'a bus over the line' => $row(['bus_live' => '712.8 V'], 'clear', $is, ['bus_live' => '712.9 V'], 'watch', ['bus_high', ...$is]),
            'a bus nobody read' => $row(['bus_live' => '648 V'], 'clear', $is, ['bus_live' => null], 'watch', ['bus_not_read', ...$is]),
            'forward shorted' => $row($in(['forward' => '0.2 V']), 'watch', ['rectifier_uneven', ...$is], $in(['forward' => '0.19 V']), 'stop', ['rectifier_shorted:a:plus', 'names:board']),
            'reverse shorted' => $row($in(['reverse' => '1 V']), 'open', ['not_settled:a:plus'], $in(['reverse' => '0.99 V']), 'stop', ['rectifier_shorted:a:plus', 'names:board']),
            'forward open' => $row($in(['forward' => '1.99 V']), 'watch', ['rectifier_high:a:plus', 'rectifier_uneven', ...$is], $in(['forward' => '2 V']), 'stop', ['rectifier_open:a:plus', 'names:board']),
            'forward high' => $row($in(['forward' => '0.9 V'], '0.85 V'), 'clear', $is, $in(['forward' => '0.91 V'], '0.85 V'), 'watch', ['rectifier_high:a:plus', ...$is]),
            'forwards apart' => $row($in(['forward' => '0.55 V']), 'clear', $is, $in(['forward' => '0.56 V']), 'watch', ['rectifier_uneven', ...$is]),
            'reverse settled' => $row($in(['reverse' => '2 V']), 'clear', $is, $in(['reverse' => '1.99 V']), 'open', ['not_settled:a:plus']),
            'an output leg' => $row($out(['forward' => '0.2 V']), 'watch', ['output_uneven', ...$is], $out(['forward' => '0.19 V']), 'stop', ['output_shorted:u:plus', 'names:module']),
            'an output leg open' => $row($out(['forward' => '1.99 V']), 'watch', ['output_high:u:plus', 'output_uneven', ...$is], $out(['forward' => '2 V']), 'stop', ['output_open:u:plus', 'names:module']),
            'a pair left out' => $row($in([]), 'clear', $is, ['rectifier' => array_slice($in([])['rectifier'], 0, 5)], 'open', ['not_read:c:minus']),
            'a reading left out' => $row($out([]), 'clear', $is, $out(['reverse' => null]), 'open', ['missing:output.0.reverse']),
            'its leads' => $row(['leads_lifted' => true], 'clear', $is, ['leads_lifted' => false], 'open', ['leads_on']),
            'its windings' => $row(['windings' => 'bad'], 'stop', ['compressor_bad', 'names:compressor'], ['windings' => 'not_read'], 'open', ['not_read:windings']),
            'its insulation' => $row(['insulation' => 'bad'], 'stop', ['compressor_bad', 'names:compressor'], ['insulation' => 'not_read'], 'open', ['not_read:insulation']),
            'any output' => $row($volts('5', '5', '5'), 'clear', $is, $volts('4.9', '4.9', '4.9'), 'open', ['no_output']),
            'phases 3 % apart' => $row($volts('103', '100', '97'), 'clear', $is, $volts('103.1', '100', '96.9'), 'watch', ['phases_uneven', ...$is]),
            'phases 10 % apart' => $row($volts('110', '100', '90'), 'watch', ['phases_uneven', ...$is], $volts('110.1', '100', '89.9'), 'stop', ['phases_uneven', 'names:module']),
            'phases apart, nobody read the windings' => $row($volts('110', '100', '90'), 'watch', ['phases_uneven', ...$is], ['windings' => 'not_read'] + $volts('111', '100', '89'), 'stop', ['phases_uneven', 'not_read:windings']),
            'only at rest' => $row([], 'clear', $is, ['out_uv' => null, 'out_vw' => null, 'out_wu' => null], 'watch', ['static_only']),
            'one phase of the output' => $row([], 'clear', $is, ['out_wu' => null], 'open', ['missing:out_wu']),
            'single phase' => $row(['phases' => 1, 'line_ab' => '240 V', 'line_bc' => null, 'line_ca' => null, 'bus_live' => '339 V', 'rectifier' => array_slice($in([])['rectifier'], 0, 4)], 'clear', $is, ['phases' => 1, 'line_ab' => '240 V', 'line_bc' => null, 'line_ca' => null, 'bus_live' => '300 V', 'rectifier' => array_slice($in([])['rectifier'], 0, 4)], 'stop', ['bus_low', 'names:board']),
            'no line and no sheet' => $row(['line_ab' => null, 'line_bc' => null, 'line_ca' => null, 'bus_live' => null], 'watch', ['bus_not_read', ...$is], ['line_ab' => null, 'line_bc' => null, 'line_ca' => null], 'open', ['missing:line_ab', 'missing:line_bc', 'missing:line_ca']),
        ];
    }
}
