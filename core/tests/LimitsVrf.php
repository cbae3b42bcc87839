<?php

declare(strict_types=1);

namespace IronStart\Core\Tests;

/** Wires by kind, color and place; volts against a nameplate. As in Limits. */
final class LimitsVrf
{
    private const TERMINALS = [['name' => 'L1', 'kind' => 'power'], ['name' => 'L2', 'kind' => 'power'], ['name' => 'S1', 'kind' => 'signal'], ['name' => 'S2', 'kind' => 'signal'], ['name' => 'E', 'kind' => 'earth']];

    /** @return array<string, array<string, array<int, mixed>>> */
    public static function all(): array
    {
        return [
            'vrf.wire_map' => self::wires() + self::places(), 'vrf.topology' => self::reach() + self::tree(), 'vrf.addresses' => self::addresses(), 'vrf.warm_up' => self::warmUp(),
            'vrf.commission' => self::commission(), 'vrf.run_plan' => self::runPlan(), 'vrf.crossed_zones' => self::zones(), 'vrf.leak_by' => self::leakBy(), 'vrf.charge' => self::charge() + self::room(),
        ];
    }

    /** @return array<string, array<int, mixed>> */
    private static function wires(): array
    {
        $end = fn (string $text): array => array_map(fn (string $one): array => array_combine(['terminal', 'colour'], explode(' ', $one, 2)), explode(', ', $text));
        $map = fn (string $near, string $far, array $more = []): array => ['terminals' => self::TERMINALS, 'circuits' => [['name' => 'bus', 'near' => $end($near), 'far' => $end($far)] + $more]];
        $red = 'S1 red, S2 black';
        $crossed = ['kind_crossed:bus'];

        return [
            'one terminal further' => [[], [$map($red, $red), 'clear', []], [$map($red, 'S2 red, S1 black'), 'watch', ['colour_swapped:bus']]],
            'with a polarity' => [[], [$map($red, 'S2 red, S1 black'), 'watch', ['colour_swapped:bus']], [$map($red, 'S2 red, S1 black', ['polar' => true]), 'stop', ['polarity:bus']]],
            'another kind' => [[], [$map($red, 'S2 red, S1 black'), 'watch', ['colour_swapped:bus']], [$map($red, 'L1 red, S2 black'), 'stop', $crossed]],
            'a ground is another kind' => [[], [$map('S1 red', 'S1 red'), 'clear', []], [$map('S1 red', 'E red'), 'stop', $crossed]],
            'a color seen once' => [[], [$map($red, $red), 'clear', []], [$map($red, 'S1 red'), 'watch', ['colour_lost:bus:black']]],
            'a color that changes, kind by kind' => [[], [$map($red, 'S1 red, S2 blue'), 'watch', ['colour_lost:bus:black', 'colour_lost:bus:blue']], [$map($red, 'S1 red, L1 blue'), 'stop', ['colour_lost:bus:black', 'colour_lost:bus:blue', 'kind_crossed:bus']]],
            'more here than there' => [[], [$map($red, 'S1 blue'), 'watch', ['colour_lost:bus:red', 'colour_lost:bus:black', 'colour_lost:bus:blue']], [$map($red, 'S1 blue, L1 white'), 'stop', ['colour_lost:bus:red', 'colour_lost:bus:black', 'colour_lost:bus:blue', 'colour_lost:bus:white', 'kind_crossed:bus']]],
            'a color twice' => [[], [$map('L1 black, L2 black', 'L2 black, L1 black'), 'clear', []], [$map('L1 black, L2 black', 'L1 black, S2 black'), 'stop', $crossed]],
            'what it carries' => [[], [$map('L1 red, L2 black', 'L1 red, L2 black', ['carries' => 'power']), 'clear', []], [$map('L1 red, L2 black', 'L1 red, L2 black', ['carries' => 'signal']), 'stop', $crossed]],
            'what a supply carries' => [[], [$map($red, $red, ['carries' => 'signal']), 'clear', []], [$map($red, $red, ['carries' => 'power']), 'stop', $crossed]],
            'a ground goes along with either' => [[], [$map('L1 red, E green', 'L1 red, E green', ['carries' => 'power']), 'clear', []], [$map('L1 red, E green', 'L1 red, E green', ['carries' => 'signal']), 'stop', $crossed]],
            'two under one screw' => [[], [$map('E red, E black', 'E red, E black'), 'clear', []], [$map('S1 red, S1 black', 'S1 red, S1 black'), 'watch', ['doubled:bus']]],
            'two under one screw at the far end' => [[], [$map($red, $red), 'clear', []], [$map($red, 'S1 red, S1 black'), 'watch', ['colour_swapped:bus', 'doubled:bus']]],
        ];
    }

    /** @return array<string, array<int, mixed>> */
    private static function places(): array
    {
        $wire = ['terminals' => self::TERMINALS, 'circuits' => [['name' => 'bus', 'near' => [['terminal' => 'S1', 'colour' => 'red']], 'far' => [['terminal' => 'S1', 'colour' => ' Red ']]]]];
        $shield = fn (bool $near, bool $far): array => ['terminals' => self::TERMINALS, 'circuits' => [$wire['circuits'][0] + ['shield' => ['near_grounded' => $near, 'far_grounded' => $far]]]];
        $supply = fn (string $plate, string $volts): array => ['supplies' => [['name' => 'B1', 'plate_voltage' => $plate, 'volts' => $volts]]];
        $port = fn (string $wire, string $pipe): array => ['ports' => [['port' => '3', 'wire_zone' => $wire, 'pipe_zone' => $pipe]]];
        $feeds = fn (string ...$legs): array => ['feeds' => array_map(fn (string $l, int $i): array => ['box' => "B$i", 'legs' => $l], $legs, array_keys($legs))];

        return [
            'grounded at the outdoor end only' => [[], [$shield(true, false), 'clear', []], [$shield(true, true), 'watch', ['shield_both:bus']]],
            'grounded at the other end' => [[], [$shield(true, false), 'clear', []], [$shield(false, true), 'watch', ['shield_far:bus']]],
            'grounded nowhere' => [[], [$shield(true, false), 'clear', []], [$shield(false, false), 'watch', ['shield_none:bus']]],
            'nine tenths of the lowest' => [$wire, [$supply('208-230', '187.2 V'), 'clear', []], [$supply('208-230', '187.1 V'), 'stop', ['wrong_supply:B1']]],
            'eleven tenths of the highest' => [$wire, [$supply('208-230', '253 V'), 'clear', []], [$supply('208-230', '253.1 V'), 'stop', ['wrong_supply:B1']]],
            'a port on its own zone' => [$wire, [$port('office 2', 'Office 2 '), 'clear', []], [$port('office 2', 'office 1'), 'stop', ['zone_mismatch:3']]],
            'boxes on the same legs' => [$wire, [$feeds('L1 L2', 'l1l2'), 'clear', []], [$feeds('L1 L2', 'L2 L3'), 'stop', ['feeds_differ']]],
            'a map that is not there' => [$supply('115', '118 V'), [$wire, 'clear', []], [[], 'open', ['missing:terminals', 'missing:circuits']]],
        ];
    }

    /**
     * One outdoor unit, a joint, a box of two ports on it with two indoor units, and a third indoor unit on the joint.
     *
     * @param array<string, mixed>                $limits
     * @param array<string, array<string, mixed>> $pipes  what differs, by where the pipe goes
     * @param array<string, array<string, mixed>> $nodes  what differs, by name
     * @return array<string, mixed>
     */
    private static function system(array $limits, array $pipes = [], array $nodes = []): array
    {
        $all = ['O' => ['kind' => 'outdoor', 'capacity' => '10 kW'], 'J' => ['kind' => 'joint'], 'B' => ['kind' => 'box', 'ports' => 2], 'I1' => ['kind' => 'indoor', 'capacity' => '2 kW'], 'I2' => ['kind' => 'indoor', 'capacity' => '3 kW'], 'I3' => ['kind' => 'indoor', 'capacity' => '5 kW']];
        $ways = ['J' => ['from' => 'O', 'actual' => '60 ft', 'rise' => '-10 ft'], 'B' => ['from' => 'J', 'actual' => '20 ft', 'rise' => '-4 ft'], 'I1' => ['from' => 'B', 'actual' => '10 ft', 'ports' => [1]], 'I2' => ['from' => 'B', 'actual' => '30 ft', 'rise' => '2 ft', 'ports' => [2]], 'I3' => ['from' => 'J', 'actual' => '15 ft', 'rise' => '-1 ft']];

        return [
            'nodes' => array_map(fn (string $id): array => ['id' => $id] + ($nodes[$id] ?? []) + $all[$id], array_keys($all)),
            'pipes' => array_map(fn (string $to): array => ['to' => $to] + ($pipes[$to] ?? []) + $ways[$to], array_keys($ways)),
            'limits' => $limits,
        ];
    }

    /** @return array<string, array<int, mixed>> */
    private static function reach(): array
    {
        // Each of them at its limit and just over: all, farthest, its equivalent, from the first joint, heights, box, branches.
        $rows = [];
        foreach ([
            'total' => 135, 'farthest_actual' => 110, 'farthest_equivalent' => 110, 'after_first_joint' => 50, 'height_outdoor_above' => 14, 'height_between_indoor' => 3, 'box_to_indoor' => 30, 'branch_difference' => 35,
        ] as $what => $feet) {
            $rows[strtr($what, '_', ' ')] = [[], [self::system(["max_$what" => "$feet ft"]), 'clear', []], [self::system(["max_$what" => ($feet - 0.1) . ' ft']), 'stop', ["{$what}_over"]]];
        }
        $low = ['J' => ['rise' => '10 ft'], 'B' => ['rise' => '0 ft'], 'I2' => ['rise' => '0 ft'], 'I3' => ['rise' => '5 ft']];

        return $rows + [
            'an outdoor unit below' => [[], [self::system(['max_height_outdoor_below' => '15 ft'], $low), 'clear', []], [self::system(['max_height_outdoor_below' => '14.9 ft'], $low), 'stop', ['height_outdoor_below_over']]],
            'what a joint counts' => [[], [self::system(['max_farthest_equivalent' => '113 ft', 'joint_equivalent' => '3 ft']), 'clear', []], [self::system(['max_farthest_equivalent' => '113 ft', 'joint_equivalent' => '3.1 ft']), 'stop', ['farthest_equivalent_over']]],
            'what a box counts' => [[], [self::system(['max_farthest_equivalent' => '112 ft', 'box_equivalent' => '2 ft']), 'clear', []], [self::system(['max_farthest_equivalent' => '112 ft', 'box_equivalent' => '2.1 ft']), 'stop', ['farthest_equivalent_over']]],
            'what an elbow counts' => [[], [self::system(['max_farthest_equivalent' => '112.8 ft'], ['B' => ['gas_od' => '7/8 in', 'elbows_long' => 2]]), 'clear', []], [self::system(['max_farthest_equivalent' => '112.8 ft'], ['B' => ['gas_od' => '7/8 in', 'elbows_short' => 1, 'elbows_long' => 1]]), 'stop', ['farthest_equivalent_over']]],
            'a rise nobody entered' => [[], [self::system(['max_height_outdoor_above' => '50 ft']), 'clear', []], [self::system(['max_height_outdoor_above' => '50 ft'], array_fill_keys(['J', 'B', 'I2', 'I3'], ['rise' => null])), 'open', ['no_rises']]],
            'a rise nobody has to enter' => [[], [self::system(['max_total' => '500 ft'], array_fill_keys(['J', 'B', 'I2', 'I3'], ['rise' => null])), 'clear', []], [self::system([]), 'open', ['no_limits']]],
            'what counts is no limit' => [[], [self::system(['box_after_box' => true]), 'clear', []], [self::system(['joint_equivalent' => '1 ft', 'box_equivalent' => '1 ft']), 'open', ['no_limits']]],
            'connected, high' => [[], [self::system(['ratio_max' => '100 %']), 'clear', []], [self::system(['ratio_max' => '99.9 %']), 'stop', ['ratio_high']]],
            'connected, low' => [[], [self::system(['ratio_min' => '100 %']), 'clear', []], [self::system(['ratio_min' => '100.1 %']), 'stop', ['ratio_low']]],
        ];
    }

    /** @return array<string, array<int, mixed>> */
    private static function tree(): array
    {
        $wide = ['max_total' => '1000 ft'];
        $sizes = fn (string $upTo): array => ['sizes' => [['up_to' => $upTo, 'liquid_od' => '3/8 in', 'gas_od' => '5/8 in'], ['up_to' => '20 kW', 'liquid_od' => '1/2 in', 'gas_od' => '7/8 in']]];
        $sized = fn (string $liquid, string $gas): array => array_fill_keys(['J'], ['liquid_od' => '1/2 in', 'gas_od' => '7/8 in']) + ['B' => ['liquid_od' => $liquid, 'gas_od' => $gas]] + array_fill_keys(['I1', 'I2', 'I3'], ['liquid_od' => '3/8 in', 'gas_od' => '5/8 in']);
        $small = ['sizes' => [['up_to' => '5 kW', 'liquid_od' => '3/8 in', 'gas_od' => '5/8 in']]];
        $two = fn (array $more): array => array_merge_recursive(self::system(['max_total' => '1000 ft', 'min_between_joints' => '20 in'] + $more), ['nodes' => [['id' => 'J2', 'kind' => 'joint']]]);
        $near = function (string $length) use ($two): array {
            $input = $two([]);
            $input['pipes'][4]['from'] = 'J2';

            return ['pipes' => [...$input['pipes'], ['from' => 'J', 'to' => 'J2', 'actual' => $length]]] + $input;
        };
        $boxed = fn (bool $may): array => self::withBox(['max_total' => '1000 ft', 'box_after_box' => $may]);

        return [
            'a loop' => [[], [self::system($wide), 'clear', []], [array_merge_recursive(self::system($wide), ['pipes' => [['from' => 'O', 'to' => 'I3', 'actual' => '5 ft']]]), 'stop', ['loop']]],
            'hangs on nothing' => [[], [self::system($wide), 'clear', []], [array_merge_recursive(self::system($wide), ['nodes' => [['id' => 'I4', 'kind' => 'indoor', 'capacity' => '1 kW']]]), 'stop', ['orphan:I4']]],
            'no outdoor unit' => [[], [self::system($wide), 'clear', []], [self::system($wide, [], ['O' => ['kind' => 'joint']]), 'stop', ['orphan:O', 'orphan:J', 'orphan:B', 'orphan:I1', 'orphan:I2', 'orphan:I3']]],
            'how many indoor units' => [[], [self::system(['max_indoor' => 3]), 'clear', []], [self::system(['max_indoor' => 2]), 'stop', ['too_many_indoor']]],
            'how many boxes' => [[], [self::system(['max_boxes' => 1]), 'clear', []], [self::system(['max_boxes' => 0]), 'stop', ['too_many_boxes']]],
            'how many on a box' => [[], [self::system(['max_per_box' => 2]), 'clear', []], [self::system(['max_per_box' => 1]), 'stop', ['too_many_on:B']]],
            'a box behind a box' => [[], [$boxed(true), 'clear', []], [$boxed(false), 'stop', ['box_after_box:B2']]],
            'the last port' => [[], [self::system($wide), 'clear', []], [self::system($wide, ['I2' => ['ports' => [3]]]), 'stop', ['no_such_port:B:3', 'port_open:B:2']]],
            'before the first port' => [[], [self::system($wide, ['I2' => ['ports' => [1, 2]], 'I1' => ['ports' => [1, 2]]], ['B' => ['ports' => 2]]), 'stop', ['port_twice:B:1', 'port_twice:B:2']], [self::system($wide, ['I2' => ['ports' => [0, 2]]]), 'stop', ['no_such_port:B:0']]],
            'one pipe on a port' => [[], [self::system($wide), 'clear', []], [self::system($wide, ['I2' => ['ports' => [1, 2]]]), 'stop', ['port_twice:B:1']]],
            'a free port' => [[], [self::system($wide, [], ['B' => ['ports' => 3, 'capped' => [3]]]), 'clear', []], [self::system($wide, [], ['B' => ['ports' => 3]]), 'stop', ['port_open:B:3']]],
            'a pipe from no port' => [[], [self::system($wide), 'clear', []], [self::system($wide, ['I1' => ['ports' => null]]), 'open', ['missing:pipes.2.ports']]],
            'what a port carries' => [[], [self::system(['port_capacity' => '3 kW']), 'clear', []], [self::system(['port_capacity' => '2.9 kW']), 'stop', ['port_overloaded:I2']]],
            'what two ports carry' => [[], [self::system(['port_capacity' => '1.5 kW'], ['I1' => ['ports' => [1]], 'I2' => ['ports' => [2, 3]]], ['B' => ['ports' => 3], 'I1' => ['capacity' => '1.5 kW']]), 'clear', []], [self::system(['port_capacity' => '1.49 kW'], ['I2' => ['ports' => [2, 3]]], ['B' => ['ports' => 3], 'I1' => ['capacity' => '1.4 kW']]), 'stop', ['port_overloaded:I2']]],
            'the row of a pipe' => [[], [self::system($sizes('5 kW'), $sized('3/8 in', '5/8 in')), 'clear', []], [self::system($sizes('4.9 kW'), $sized('3/8 in', '5/8 in')), 'stop', ['pipe_small:J>B', 'pipe_small:J>I3']]],
            'a size up' => [[], [self::system($sizes('5 kW'), $sized('3/8 in', '5/8 in')), 'clear', []], [self::system($sizes('5 kW'), $sized('3/8 in', '3/4 in')), 'watch', ['pipe_large:J>B']]],
            'a size down' => [[], [self::system($sizes('5 kW'), $sized('3/8 in', '5/8 in')), 'clear', []], [self::system($sizes('5 kW'), $sized('1/4 in', '5/8 in')), 'stop', ['pipe_small:J>B']]],
            'no row for it' => [[], [self::system($sizes('5 kW'), $sized('3/8 in', '5/8 in')), 'clear', []], [self::system($small, $sized('3/8 in', '5/8 in')), 'open', ['no_size:O>J']]],
            'a size nobody read' => [[], [self::system($sizes('5 kW'), $sized('3/8 in', '5/8 in')), 'clear', []], [self::system($sizes('5 kW'), ['B' => ['liquid_od' => '3/8 in', 'gas_od' => null]] + $sized('', '')), 'open', ['no_od:J>B']]],
            'fittings on a pipe' => [[], [self::system($wide, ['J' => ['elbows_short' => 0]]), 'clear', []], [self::system($wide, ['J' => ['elbows_short' => 1]]), 'open', ['missing:pipes.0.gas_od']]],
            'joints apart' => [[], [$near('20 in'), 'clear', []], [$near('19.9 in'), 'stop', ['joints_near:J>J2']]],
            'a tilted joint' => [[], [self::system($wide, [], ['J' => ['set' => 'straight']]), 'clear', []], [self::system($wide, [], ['J' => ['set' => 'tilted']]), 'watch', ['joint_tilted:J']]],
            'a joint turned round' => [[], [self::system($wide, [], ['J' => ['set' => 'tilted']]), 'watch', ['joint_tilted:J']], [self::system($wide, [], ['J' => ['set' => 'backwards']]), 'stop', ['joint_backwards:J']]],
        ];
    }

    /**
     * @param array<string, mixed> $limits
     * @return array<string, mixed> a second box behind the first one
     */
    private static function withBox(array $limits): array
    {
        $input = self::system($limits, [], ['B' => ['ports' => 3]]);
        $input['nodes'][] = ['id' => 'B2', 'kind' => 'box', 'ports' => 1, 'capped' => [1]];
        $input['pipes'][] = ['from' => 'B', 'to' => 'B2', 'actual' => '5 ft', 'ports' => [3]];

        return $input;
    }

    /** @return array<string, array<int, mixed>> */
    private static function addresses(): array
    {
        $device = fn (string $id, string $kind, ?int $address, array $more = []): array => ['id' => $id, 'kind' => $kind, 'address' => $address] + $more;
        $two = fn (?int $one, ?int $other, array $more = [], array $others = []): array => ['devices' => [$device('I1', 'indoor', $one, $more), $device('I2', 'indoor', $other, $others)], 'powered' => false];
        $box = fn (bool $on): array => ['devices' => [$device('B1', 'box', 1), $device('B2', 'box', null)], 'powered' => $on];
        $three = fn (string $mine, string $other): array => ['devices' => [$device('B1', 'box', 1), $device('B2', 'box', 2), $device('I1', 'indoor', 1, ['box' => $mine]), $device('I2', 'indoor', 1, ['box' => $other])], 'powered' => false];
        $range = ['ranges' => ['indoor' => ['min' => 1, 'max' => 2]]];
        $group = fn (array $one, array $other): array => $two(1, 2, ['group' => 'hall'] + $one, ['group' => 'hall'] + $other);

        return [
            'one address, two units' => [[], [$two(1, 2), 'clear', []], [$two(1, 1), 'stop', ['duplicate:I1,I2']]],
            'on a bus of its own' => [[], [$two(1, 1, ['bus' => 'A'], ['bus' => 'B']), 'clear', []], [$two(1, 1, ['bus' => 'A'], ['bus' => 'A']), 'stop', ['duplicate:I1,I2']]],
            'of another kind' => [[], [['devices' => [$device('B1', 'box', 1), $device('I1', 'indoor', 1)], 'powered' => false], 'clear', []], [['devices' => [$device('B1', 'box', 1), $device('B2', 'box', 1)], 'powered' => false], 'stop', ['duplicate:B1,B2']]],
            'on a box of its own' => [[], [$three('B1', 'B2'), 'clear', []], [$three('B1', 'B1'), 'stop', ['duplicate:I1,I2']]],
            'three of one' => [[], [$two(1, 1), 'stop', ['duplicate:I1,I2']], [['devices' => [$device('I1', 'indoor', 1), $device('I2', 'indoor', 1), $device('I3', 'indoor', 1)], 'powered' => false], 'stop', ['duplicate:I1,I2', 'duplicate:I1,I3']]],
            'the highest' => [[], [$two(1, 2) + $range, 'clear', []], [$two(1, 3) + $range, 'stop', ['out_of_range:I2']]],
            'the lowest' => [[], [$two(1, 2) + $range, 'clear', []], [$two(0, 2) + $range, 'stop', ['out_of_range:I1']]],
            'set before power' => [[], [$box(false), 'open', ['not_set:B2']], [$box(true), 'stop', ['not_set:B2', 'powered_before_set']]],
            'a unit may be set later' => [[], [$two(1, 2), 'clear', []], [['powered' => true] + $two(1, null), 'open', ['not_set:I2']]],
            'fewer than there are' => [[], [$two(1, 2) + ['found' => ['indoor' => 2]], 'clear', []], [$two(1, 2) + ['found' => ['indoor' => 1]], 'stop', ['found_fewer:indoor']]],
            'more than there are' => [[], [$two(1, 2) + ['found' => ['indoor' => 2, 'box' => 0]], 'clear', []], [$two(1, 2) + ['found' => ['box' => 1]], 'stop', ['found_more:box']]],
            'one main' => [[], [$group(['main' => true], []), 'clear', []], [$group(['main' => true], ['main' => true]), 'stop', ['two_mains:hall']]],
            'no main' => [[], [$two(1, 2, ['group' => 'hall'], ['group' => 'store']), 'clear', []], [$group([], []), 'open', ['no_main:hall']]],
            'who names a box' => [[], [$two(1, 2), 'clear', []], [$two(1, 2, ['box' => 'B1']), 'open', ['missing:devices.1.box']]],
            'a box on another bus' => [[], [$two(1, 2, ['box' => 'B1', 'bus' => 'A'], ['bus' => 'B']), 'clear', []], [$two(1, 2, ['box' => 'B1', 'bus' => 'A'], ['bus' => 'A']), 'open', ['missing:devices.1.box']]],
            'nothing yet' => [[], [$two(1, 2), 'clear', []], [[], 'open', ['missing:devices', 'missing:powered']]],
        ];
    }

    /** @return array<string, array<int, mixed>> */
    private static function warmUp(): array
    {
        $rows = [['below' => '25 degF', 'hours' => 10], ['below' => '45 degF', 'hours' => 5], ['hours' => 1]];
        $at = fn (string $coldest, ?string $since = '2026-01-14T08:00', array $more = []): array => ['coldest_24h' => "$coldest degF", 'now' => '2026-01-15T08:00', 'powered_since' => $since, 'warm_up' => $rows] + $more;
        $cut = fn (string $to): array => ['outages' => [['from' => '2026-01-15T07:00', 'to' => $to]]];

        return [
            'the row of the coldest' => [[], [$at('45', '2026-01-15T07:00'), 'clear', []], [$at('44.9', '2026-01-15T07:00'), 'open', ['wait']]],
            'the coldest row' => [[], [$at('25', '2026-01-15T03:00'), 'clear', []], [$at('24.9', '2026-01-15T03:00'), 'open', ['wait']]],
            'the last hour' => [[], [$at('30', '2026-01-15T03:00'), 'clear', []], [$at('30', '2026-01-15T03:01'), 'open', ['wait']]],
            'a cut of half an hour' => [[], [$at('30', '2026-01-15T02:30', $cut('2026-01-15T07:30')), 'clear', []], [$at('30', '2026-01-15T02:30', $cut('2026-01-15T07:31')), 'open', ['wait']]],
            'a strict sheet' => [[], [$at('30', '2026-01-13T08:00', ['outages' => [['from' => '2026-01-15T00:00', 'to' => '2026-01-15T03:00']], 'strict' => true]), 'clear', []], [$at('30', '2026-01-13T08:00', ['outages' => [['from' => '2026-01-15T00:00', 'to' => '2026-01-15T03:01']], 'strict' => true]), 'open', ['wait']]],
            'powered at all' => [[], [$at('30'), 'clear', []], [$at('30', null), 'open', ['not_powered', 'wait']]],
            'power that is off now' => [[], [$at('30', '2026-01-13T08:00', $cut('2026-01-15T07:59')), 'open', ['wait']], [$at('30', '2026-01-13T08:00', $cut('2026-01-15T08:00')), 'open', ['not_powered', 'wait']]],
            'the start that is wanted' => [[], [$at('30', '2026-01-15T07:00', ['wanted_start' => '2026-01-15T12:00']), 'open', ['wait']], [$at('30', '2026-01-15T07:00', ['wanted_start' => '2026-01-15T11:59']), 'open', ['wait', 'wanted_start_too_early']]],
            'warm enough' => [[], [['warm_up' => [$rows[0], $rows[1]]] + $at('45', '2026-01-15T08:00'), 'clear', []], [['warm_up' => [$rows[0], $rows[1]]] + $at('44', '2026-01-15T08:00'), 'open', ['wait']]],
            'a table' => [[], [$at('30'), 'clear', []], [['warm_up' => null] + $at('30'), 'open', ['missing:warm_up']]],
        ];
    }

    /** @return array<string, array<int, mixed>> */
    private static function commission(): array
    {
        $script = ['script' => [['code' => 'A1', 'meaning' => 'finding units', 'wait' => 10, 'needs' => ['Covers on'], 'passes_when' => 'A2', 'on_fault' => [['code' => 'E4', 'meaning' => 'lost unit', 'look_at' => 'bus joints']]], ['code' => 'A2', 'wait' => 30, 'passes_when' => 'FN', 'on_fault' => [['code' => 'E6', 'meaning' => 'low pressure'], ['code' => 'A1', 'meaning' => 'starts over']]]]];
        $base = $script + ['indoor' => [['id' => 'I1', 'ready' => true]], 'needs_done' => ['covers on']];
        $in = fn (int $step, string $shown, int|float $minutes, array $more = []): array => ['step' => $step, 'shown' => $shown, 'minutes_in_step' => $minutes] + $more + $base;
        $end = fn (array $more): array => $in(1, 'fn', 20, $more + ['mode_holder' => 'I1', 'owner_told' => true]);

        return [
            'who reports' => [[], [$base, 'clear', ['may_start']], [['indoor' => [['id' => 'I1', 'ready' => true], ['id' => 'I2', 'ready' => false]]] + $base, 'stop', ['not_ready:I2']]],
            'what it needs first' => [[], [$base, 'clear', ['may_start']], [['needs_done' => []] + $base, 'open', ['needs:Covers on']]],
            'what a step needs' => [[], [$in(0, 'A2', 5), 'clear', ['passed']], [['needs_done' => ['other']] + $in(0, 'A2', 5), 'open', ['passed', 'needs:Covers on']]],
            'another step needs nothing' => [[], [['needs_done' => []] + $in(1, 'A2', 5), 'open', ['running']], [['needs_done' => []] + $in(0, 'A1', 5), 'open', ['running', 'needs:Covers on']]],
            'its time' => [[], [$in(0, 'A1', 10), 'open', ['running']], [$in(0, 'A1', 10.1), 'watch', ['overdue']]],
            'a fault of the step' => [[], [$in(0, 'A1', 5), 'open', ['running']], [$in(0, ' e4 ', 5), 'stop', ['fault:E4']]],
            'a fault of another step' => [[], [$in(0, 'XX', 5), 'watch', ['unknown_code']], [$in(0, 'E6', 5), 'stop', ['fault:E6']]],
            'a fault before its start' => [[], [['shown' => 'XX'] + $base, 'clear', ['may_start']], [['shown' => 'E6'] + $base, 'stop', ['fault:E6']]],
            'its own code before its start' => [[], [['shown' => 'A1'] + $base, 'clear', ['may_start']], [['shown' => 'E4'] + $base, 'stop', ['fault:E4']]],
            'its own code, a fault elsewhere' => [[], [$in(0, 'A1', 5), 'open', ['running']], [$in(1, 'A1', 5), 'stop', ['fault:A1']]],
            'the end' => [[], [$in(0, 'A2', 5), 'clear', ['passed']], [$end([]), 'clear', ['passed', 'script_done']]],
            'who holds the mode' => [[], [$end([]), 'clear', ['passed', 'script_done']], [['mode_holder' => ''] + $end([]), 'open', ['passed', 'script_done', 'missing:mode_holder']]],
            'what the owner knows' => [[], [$end([]), 'clear', ['passed', 'script_done']], [['owner_told' => false] + $end([]), 'watch', ['passed', 'script_done', 'owner_not_told']]],
            'whether the owner knows' => [[], [$end([]), 'clear', ['passed', 'script_done']], [['owner_told' => null] + $end([]), 'open', ['passed', 'script_done', 'missing:owner_told']]],
            'what it shows' => [[], [$in(0, 'A1', 5), 'open', ['running']], [['shown' => null] + $in(0, '', 5), 'open', ['missing:shown']]],
        ];
    }

    /** @return array<string, array<int, mixed>> */
    private static function runPlan(): array
    {
        $boxes = ['boxes' => [['id' => 'B1', 'indoor' => ['I1', 'I2']], ['id' => 'B2', 'indoor' => ['I3']]]];
        $done = fn (string ...$steps): array => $boxes + ['results' => array_map(fn (string $step): array => ['step' => $step, 'passed' => true], $steps)];
        $air = fn (string $return, string $supply): array => ['results' => [['step' => 'alone:I1', 'passed' => true, 'return_air' => "$return degF", 'supply_air' => "$supply degF"]]] + $boxes;
        $all = ['alone:I1', 'alone:I2', 'alone:I3', 'box:B1', 'all:2', 'all:3'];

        return [
            'the last step' => [[], [$done(...$all), 'clear', []], [$done(...array_slice($all, 0, 5)), 'open', ['next:all:3']]],
            'a box by itself' => [[], [$done('alone:I1', 'alone:I2'), 'open', ['next:alone:I3']], [$done('alone:I1', 'alone:I2', 'alone:I3'), 'open', ['next:box:B1']]],
            'eight degrees' => [[], [$air('75', '67'), 'open', ['next:alone:I2']], [$air('75', '67.1'), 'open', ['no_change:alone:I1', 'next:alone:I2']]],
            'eight degrees up' => [[], [$air('70', '78'), 'open', ['next:alone:I2']], [$air('70', '77.9'), 'open', ['no_change:alone:I1', 'next:alone:I2']]],
            'the later of two' => [[], [$boxes + ['results' => [['step' => 'alone:I1', 'passed' => false], ['step' => 'alone:I1', 'passed' => true]]], 'open', ['next:alone:I2']], [$boxes + ['results' => [['step' => 'alone:I1', 'passed' => true], ['step' => 'alone:I1', 'passed' => false]]], 'stop', ['failed:alone:I1', 'next:alone:I2']]],
            'a box that failed' => [[], [$done(...$all), 'clear', []], [$boxes + ['results' => [...array_map(fn (string $step): array => ['step' => $step, 'passed' => true], $all), ['step' => 'box:B1', 'passed' => false], ['step' => 'all:3', 'passed' => false]]], 'stop', ['failed:box:B1', 'failed:all:3']]],
            'said or not' => [[], [$done(...$all), 'clear', []], [$boxes + ['results' => [['step' => 'alone:I1']]], 'open', ['missing:results.0.passed']]],
        ];
    }

    /** @return array<string, array<int, mixed>> */
    private static function zones(): array
    {
        $matrix = function (array $rows, string $mode = 'cool'): array {
            $zones = array_slice(['A', 'B', 'C'], 0, count($rows[0]));

            return ['zones' => $zones, 'mode' => $mode, 'matrix' => array_map(fn (array $row, string $called): array => ['called' => $called, 'changes' => array_combine($zones, array_map(fn (int|float $change): string => "$change delta_degF", $row))], $rows, array_slice($zones, 0, count($rows)))];
        };
        $good = [[-20, 0, 0], [0, -20, 0], [0, 0, -20]];
        $first = fn (int|float $a, int|float $b, int|float $c): array => $matrix([[$a, $b, $c], $good[1], $good[2]]);

        return [
            'an answer' => [[], [$first(-8, 0, 0), 'clear', []], [$first(-7.9, 0, 0), 'stop', ['no_response:A']]],
            'in heating' => [[], [$matrix([[8, 0], [0, 8]], 'heat'), 'clear', []], [$matrix([[8, 0], [0, -1]], 'heat'), 'stop', ['no_response:B']]],
            'the other way' => [[], [$first(7.9, 0, 0), 'stop', ['no_response:A']], [$first(8, 0, 0), 'stop', ['opposite:A']]],
            'twice the next' => [[], [$first(-14, -7, 0), 'clear', []], [$first(-13.9, -7, 0), 'watch', ['unclear:A']]],
            'a second answer' => [[], [$first(-12, -7.9, 0), 'watch', ['unclear:A']], [$first(-12, -8, 0), 'stop', ['two_responders:A']]],
            'a coil that warms counts as none' => [[], [$first(-8, 8, 8), 'clear', []], [$first(-7, 8, 8), 'stop', ['no_response:A']]],
            'two that are swapped' => [[], [$matrix($good), 'clear', []], [$matrix([$good[1], $good[0], $good[2]]), 'stop', ['swap:A>B']]],
            'a ring of three' => [[], [$matrix([$good[0], $good[2], $good[1]]), 'stop', ['swap:B>C']], [$matrix([$good[1], $good[2], $good[0]]), 'stop', ['cycle:A>B>C']]],
            'one that answers two' => [[], [$matrix($good), 'clear', []], [$matrix([$good[1], $good[1], $good[2]]), 'stop', ['same_responder:B', 'crossed:A>B']]],
            'one that answers two others' => [[], [$matrix([[-20, 0, -7.9], [0, -20, -9], $good[2]]), 'clear', []], [$matrix([[-20, 0, -8], [0, -20, -9], $good[2]]), 'stop', ['leaks:C']]],
            'it answers its own too' => [[], [$matrix([$good[2], $good[2], $good[2]]), 'stop', ['same_responder:C', 'leaks:C']], [$matrix([$good[2], $good[2], $good[0]]), 'stop', ['same_responder:C', 'leaks:C', 'swap:A>C', 'crossed:B>C']]],
            'a call that is missing' => [[], [$matrix($good), 'clear', []], [$matrix([$good[0], $good[1]]), 'open', ['not_called:C']]],
            'a coil nobody read' => [[], [$matrix([[-20, 0], [0, -20]]), 'clear', []], [['zones' => ['A', 'B'], 'matrix' => [['called' => 'A', 'changes' => ['A' => '-20 delta_degF']]]], 'open', ['missing:matrix.0.changes.B']]],
        ];
    }

    /** @return array<string, array<int, mixed>> */
    private static function leakBy(): array
    {
        $head = 'unit,time,valve_pulses,liquid_pipe,gas_pipe,return_air,thermo_on';
        // From when the valve shuts: one line each step, cold for the first share of what is judged, the air falling by so much an hour.
        $period = function (int $from, int $minutes, float $gas, float $liquid, float $fall, int $step = 1, int $coldFor = 10_000): array {
            $lines = [];
            for ($t = 0; $t <= $minutes; $t += $step) {
                $air = 75 - $fall * $t / 60;
                $isCold = $t < 15 + $coldFor;
                $lines[] = implode(',', ['I1', $from + $t, 0, $air - ($isCold ? $liquid : 0), $air - ($isCold ? $gas : 0), $air, 0]);
            }

            return $lines;
        };
        $on = fn (int $at): array => ["I1,$at,200,45,46,75,1"];
        $log = fn (array ...$parts): array => ['csv' => implode("\n", [$head, ...array_merge([], ...$parts)]), 'temperature_unit' => 'degF'];
        $two = fn (float $gas, float $liquid, float $fall, int $minutes = 45, int $coldFor = 10_000): array => $log($period(0, $minutes, $gas, $liquid, $fall, 1, $coldFor), $on($minutes + 1), $period($minutes + 2, $minutes, $gas, $liquid, $fall, 1, $coldFor));

        return [
            'a cold gas pipe' => [[], [$two(10, 0, 2), 'clear', []], [$two(10.1, 0, 2), 'stop', ['suspect:I1']]],
            'a cold liquid pipe' => [[], [$two(0, 15, 2), 'clear', []], [$two(0, 15.1, 2), 'stop', ['suspect:I1']]],
            'air that falls' => [[], [$two(20, 20, 0.9, 45), 'clear', []], [$two(20, 20, 1.1, 45), 'stop', ['suspect:I1']]],
            'three samples of ten' => [[], [$two(20, 20, 2, 54, 11), 'clear', []], [$two(20, 20, 2, 54, 12), 'stop', ['suspect:I1']]],
            'one period or two' => [[], [$log($period(0, 45, 20, 20, 2), $on(46), $period(47, 45, 0, 0, 0)), 'watch', ['watch:I1']], [$two(20, 20, 2), 'stop', ['suspect:I1']]],
            'half an hour off' => [[], [$log($period(0, 30, 0, 0, 0)), 'clear', []], [$log($period(0, 29, 0, 0, 0)), 'open', ['no_off_period:I1']]],
            'a gap' => [[], [$log($period(0, 30, 0, 0, 0, 5)), 'clear', []], [$log($period(0, 30, 0, 0, 0, 6)), 'open', ['too_sparse:I1']]],
            'half of the steps' => [[], [$log($on(0), $on(6), $on(7)), 'open', ['no_off_period:I1']], [$log($on(0), $on(6), $on(12)), 'open', ['too_sparse:I1']]],
            'cold for an hour' => [[], [$log($period(0, 59, 20, 20, 0)), 'clear', []], [$log($period(0, 60, 20, 20, 0)), 'watch', ['cold_pipes:I1']]],
            'cold nearly all the time' => [[], [$log($period(0, 64, 20, 20, 0, 1, 39)), 'clear', []], [$log($period(0, 64, 20, 20, 0, 1, 40)), 'watch', ['cold_pipes:I1']]],
            'pulses on it' => [[], [$log($period(0, 30, 0, 0, 0)), 'clear', []], [$log(array_map(fn (string $line): string => (string) preg_replace('/^(I1,\d+),0,/', '$1,1,', $line), $period(0, 30, 0, 0, 0))), 'open', ['no_off_period:I1']]],
            'any line' => [[], [$log($period(0, 30, 0, 0, 0)), 'clear', []], [$log(), 'open', ['no_data']]],
            'a log' => [[], [$log($period(0, 30, 0, 0, 0)), 'clear', []], [['temperature_unit' => 'degF'], 'open', ['missing:csv']]],
        ];
    }

    /** @return array<string, array<int, mixed>> */
    private static function charge(): array
    {
        $rule = ['factory_charge' => '10 kg', 'rates' => [['liquid_od' => '3/8 in', 'per_length' => '50 g/m']], 'adders' => [['when' => 'box', 'mass' => '1 kg']]];
        $in = fn (array $more, string $end = '7.5 kg'): array => $more + ['charge_rule' => $rule, 'lines' => [['liquid_od' => '3/8 in', 'length' => '30 m']], 'applies' => [['when' => 'box']], 'already_in' => '10 kg', 'ledger' => [['start' => '10 kg', 'end' => $end]], 'smallest_room' => ['volume' => '100 m3'], 'refrigerant' => 'R-410A', 'altitude' => '0 ft'];

        return [
            'a little to go' => [[], [$in([], '7.514 kg'), 'clear', []], [$in([], '7.515 kg'), 'open', ['to_go']]],
            'a little over' => [[], [$in([], '7.486 kg'), 'clear', []], [$in([], '7.485 kg'), 'watch', ['over']]],
            'two hundredths over' => [[], [$in([], '7.25 kg'), 'watch', ['over']], [$in([], '7.249 kg'), 'stop', ['over_limit']]],
            'all of the line counts' => [[], [$in([]), 'clear', []], [$in(['charge_rule' => ['included_length' => '30 m'] + $rule], '9 kg'), 'open', ['to_go']]],
            'a size with a figure' => [[], [$in([]), 'clear', []], [$in(['lines' => [['liquid_od' => '1/2 in', 'length' => '30 m']]]), 'open', ['no_rate:1/2']]],
            'a part with a figure' => [[], [$in([]), 'clear', []], [$in(['applies' => [['when' => 'box'], ['when' => 'coil']]]), 'watch', ['no_adder:coil']]],
            'lines have to be there' => [[], [$in([]), 'clear', []], [$in(['lines' => null, 'charge_rule' => ['factory_charge' => '10 kg']]), 'open', ['missing:lines']]],
            'a limit of the room' => [[], [$in([]), 'clear', []], [$in(['refrigerant' => 'X-1', 'class' => 'A1']), 'open', ['missing:rcl']]],
            'the room by itself' => [[], [$in(['already_in' => null]), 'open', ['missing:already_in']], [$in(['already_in' => null, 'smallest_room' => ['volume' => '1 m3']]), 'stop', ['missing:already_in', 'over_rcl']]],
        ];
    }

    /**
     * Whatever the room is judged by, with the charge that comes out of the sum.
     *
     * @return array<string, array<int, mixed>>
     */
    private static function room(): array
    {
        $rows = [];
        foreach (LimitsRefrigerant::all()['charge.room_limit'] as $name => [$base, $at, $over]) {
            $of = function (array $side) use ($base): array {
                $input = array_replace($base, $side[0]);
                $charge = $input['total_charge'] ?? null;
                unset($input['total_charge']);

                return [$input + ($charge === null ? [] : ['charge_rule' => ['factory_charge' => $charge], 'lines' => [['liquid_od' => '3/8 in', 'length' => '0 m']], 'already_in' => $charge]), $side[1], $side[2]];
            };
            if (! in_array('missing:total_charge', [...$at[2], ...$over[2]], true)) {
                $rows["$name, of a system"] = [[], $of($at), $of($over)];
            }
        }

        return $rows;
    }
}
