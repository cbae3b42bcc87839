<?php

declare(strict_types=1);

namespace IronStart\Core\Tests;

/** The limits of what is decided before anything runs: survey, refrigerant out, pipe, drain. As in Limits. */
final class LimitsBeforeStart
{
    private const CURB = ['curb_outside' => ['length' => '80 in', 'width' => '40 in'], 'unit_base' => ['length' => '80 in', 'width' => '40 in'], 'out_of_level' => '0 deg'];
    private const PIECE = ['length' => '40 in', 'width' => '30 in', 'height' => '60 in', 'weight' => '20 kg'];
    private const RIG = ['unit_weight' => '1000 kg', 'weight_source' => 'tag', 'lift_points' => ['length' => '2 m', 'width' => '2 m'], 'cg' => ['x' => '1 m', 'y' => '1 m'], 'sling_rating' => '5000 kg', 'sling_angle' => '60 deg'];
    private const LIFT = ['roof_height' => '20 ft', 'unit_height' => '5 ft', 'sling_height' => '5 ft', 'edge_distance' => '30 ft', 'setback' => '10 ft', 'gross_load' => '1000 lb',
        'chart' => [['boom' => '60 ft', 'radius' => '40 ft', 'capacity' => '2000 lb']]];
    private const THERE = ['feeder_ampacity' => '100 A', 'phases' => 3, 'voltage' => '208 V', 'weight' => '1000 lb'];
    private const OUT = ['compressor_runs' => true, 'acid' => 'none', 'work_on' => 'line_set', 'service_valves' => true, 'charge' => '9 lb', 'condenser_storage' => '10 lb'];
    private const COLLAR = ['water_capacity' => '50 lb', 'tare' => '25 lb', 'gross_now' => '30 lb', 'refrigerant' => 'R-410A'];
    private const BULB = ['orientation' => 'horizontal', 'insulated' => true, 'strapped' => true];
    private const FLOW = ['flow_kind' => 'flowmeter', 'exit_open' => true, 'system_charged' => false];
    private const TRAP = ['static_at_pan' => '-1 inH2O', 'drop_to_outlet' => '2 in', 'seal' => '1 in', 'primed' => true];
    private const BLOWN = ['static_at_pan' => '1 inH2O', 'arrangement' => 'blow_through', 'drop_to_outlet' => '0.5 in', 'seal' => '1.5 in', 'primed' => true];
    private const POURED = ['method' => 'water', 'stopped' => true, 'returned' => true];
    private const PUMP = ['lift' => '5 ft', 'max_lift' => '10 ft', 'rate' => '10 gal/h', 'load' => '5 gal/h', 'ran' => true, 'left_on' => true, 'switch' => 'water', 'switch_stopped' => true];
    private const KEPT = ['old_oil' => 'POE', 'new_oil' => 'POE', 'failure' => 'mechanical', 'acid' => 'none', 'flush' => 'none', 'held' => 'passed', 'held_pressure' => '440 psig'];
    private const LINE = ['name' => 'gas', 'kind' => 'gas', 'design' => '446 psig', 'hidden' => 'none', 'od' => '7/8 in', 'sheet_od' => ['7/8 in'], 'wall' => '0.045 in', 'length' => '60 ft'];

    /** @return array<string, array<string, array<int, mixed>>> */
    public static function all(): array
    {
        return [
            'survey.curb_fit' => self::curb(),
            'survey.route' => self::route(),
            'survey.rigging' => self::rigging(),
            'survey.crane' => self::crane(),
            'survey.structure' => self::structure(),
            'survey.options' => self::options(),
            'refrigerant.way_out' => self::wayOut(),
            'refrigerant.rebound' => self::rebound(),
            'refrigerant.cylinder' => self::cylinder(),
            'refrigerant.account' => self::account(),
            'condensate.trap' => self::trap(),
            'condensate.float' => self::float(),
            'piping.reuse' => self::reuse(),
            'piping.purge' => self::purge(),
            'piping.flare_torque' => self::flares(),
            'piping.bulb' => self::bulb(),
            'piping.equivalent_length' => self::lengths(),
            'piping.insulation' => self::insulation(),
            ...self::entries(),
        ];
    }

    /** @return array<string, array<int, mixed>> */
    private static function curb(): array
    {
        $base = fn (float $length, float $width): array => ['unit_base' => ['length' => "$length in", 'width' => "$width in"]];
        $side = ['discharge' => 'side'] + self::CURB;
        $opening = fn (float $x, float $y = 10, float $length = 20, float $width = 20): array => ['x' => "$x in", 'y' => "$y in", 'length' => "$length in", 'width' => "$width in"];
        $holes = ['curb_openings' => ['supply' => $opening(10), 'return' => $opening(50)]];
        $cuts = fn (array $supply, array $return): array => ['unit_openings' => ['supply' => $supply, 'return' => $return]];
        $down = self::CURB + $holes;

        return [
            'a base short by the gasket' => [$side, [$base(79.5, 40), 'clear', ['direct']], [$base(79.49, 40), 'stop', ['adapter', 'base_short']]],
            'short across' => [$side, [$base(80, 39.5), 'clear', ['direct']], [$base(80, 39.49), 'stop', ['adapter', 'base_short']]],
            'an overhang of an inch' => [$side, [$base(82, 40), 'clear', ['direct']], [$base(82.1, 40), 'stop', ['adapter', 'overhang_over']]],
            'an overhang across' => [$side, [$base(80, 42), 'clear', ['direct']], [$base(80, 42.1), 'stop', ['adapter', 'overhang_over']]],
            'a foot of overhang' => [$side, [$base(104, 40), 'stop', ['adapter', 'overhang_over']], [$base(104.1, 40), 'stop', ['new_curb', 'overhang_over']]],
            'a foot short across' => [$side, [$base(80, 16), 'stop', ['adapter', 'base_short']], [$base(80, 15.9), 'stop', ['new_curb', 'base_short']]],
            'an adapter at hand' => [['adapter' => []] + $side, [$base(82, 40), 'clear', ['direct']], [$base(82.1, 40), 'watch', ['adapter', 'overhang_over']]],
            'half a degree' => [$side, [['out_of_level' => '0.5 deg'], 'clear', ['direct']], [['out_of_level' => '0.51 deg'], 'watch', ['direct', 'off_level']]],
            'a degree' => [$side, [['out_of_level' => '1 deg'], 'watch', ['direct', 'off_level']], [['out_of_level' => '1.01 deg'], 'stop', ['adapter', 'not_level']]],
            'the sheet\'s two degrees' => [['level_limit' => '2 deg'] + $side, [['out_of_level' => '1 deg'], 'clear', ['direct']], [['out_of_level' => '1.1 deg'], 'watch', ['direct', 'off_level']]],
            '95% of cover' => [$down, [$cuts($opening(11), $opening(50)), 'clear', ['direct']], [$cuts($opening(11.1), $opening(50)), 'watch', ['direct', 'cover_fair']]],
            '80% of cover' => [$down, [$cuts($opening(14), $opening(50)), 'watch', ['direct', 'cover_fair']], [$cuts($opening(10), $opening(54.1)), 'stop', ['adapter', 'cover_low']]],
            'half of the other way around' => [$down, [$cuts($opening(50), $opening(10)), 'stop', ['turn_unit', 'direct_turned', 'crossed']], [$cuts($opening(50, 10, 20, 25), $opening(6, 10, 15, 20)), 'stop', ['adapter', 'crossed']]],
            'the other way, turned already' => [['unit_rotation' => 180] + $down, [$cuts($opening(50), $opening(10)), 'clear', ['direct_turned']], [$cuts($opening(10), $opening(50)), 'stop', ['turn_unit', 'direct', 'crossed']]],
            'side discharge, turned' => [['unit_rotation' => 180] + $side, [$base(82, 40), 'clear', ['direct_turned']], [$base(82.1, 40), 'stop', ['adapter', 'overhang_over']]],
            'a crossing of 2%' => [self::CURB + ['curb_openings' => ['supply' => $opening(10), 'return' => $opening(40)]], [$cuts($opening(10), $opening(30, 10, 30)), 'watch', ['direct', 'choked:return']], [$cuts($opening(10), $opening(29.5, 10, 30.6)), 'stop', ['adapter', 'crossed']]],
            'four fifths of the unit\'s own opening' => [$down, [$cuts($opening(10, 10, 25), $opening(50)), 'clear', ['direct']], [$cuts($opening(10, 10, 25.1), $opening(50)), 'watch', ['direct', 'choked:supply']]],
            'four fifths of the return' => [$down, [$cuts($opening(10), $opening(50, 10, 20, 25)), 'clear', ['direct']], [$cuts($opening(10), $opening(50, 10, 20, 25.1)), 'watch', ['direct', 'choked:return']]],
            'an adapter for poor cover' => [['adapter' => []] + $down, [$cuts($opening(14), $opening(50)), 'watch', ['direct', 'cover_fair']], [$cuts($opening(10), $opening(54.1)), 'watch', ['adapter', 'cover_low']]],
        ];
    }

    /** @return array<string, array<int, mixed>> */
    private static function route(): array
    {
        $item = fn (array $change): array => ['item' => array_replace(self::PIECE, $change)];
        $steps = fn (array ...$steps): array => ['steps' => $steps];
        $door = fn (float $width, float $height): array => ['kind' => 'door', 'width' => "$width in", 'height' => "$height in"];
        $car = fn (string $capacity, float $height = 70, float $depth = 45, float $width = 40): array => ['kind' => 'lift_car', 'door_width' => '32 in', 'door_height' => '62 in', 'depth' => "$depth in", 'width' => "$width in", 'height' => "$height in", 'capacity' => $capacity];
        $corner = fn (float $in, float $out, float $height = 70): array => ['kind' => 'corridor_turn', 'width_in' => "$in in", 'width_out' => "$out in", 'height' => "$height in"];
        $stair = fn (float $width, float $headroom, int $turns): array => ['kind' => 'stair', 'width' => "$width in", 'headroom' => "$headroom in", 'turns' => $turns];
        $one = $item([]);

        return [
            'a door, an inch each side' => [$one, [$steps($door(32, 62)), 'clear', ['people_one']], [$steps($door(31.9, 62)), 'stop', ['step_fails:0', 'people_one']]],
            'a door in height' => [$one, [$steps($door(32, 62)), 'clear', ['people_one']], [$steps($door(32, 61.9)), 'stop', ['step_fails:0', 'people_one']]],
            'on a dolly' => [$one + $steps($door(32, 66)), [['trolley_height' => '4 in'], 'clear', ['people_one']], [['trolley_height' => '4.1 in'], 'stop', ['step_fails:0', 'people_one']]],
            'a hatch either way' => [$one, [$steps(['kind' => 'hatch', 'length' => '32 in', 'width' => '42 in']), 'clear', ['people_one']], [$steps(['kind' => 'hatch', 'length' => '32 in', 'width' => '41.9 in']), 'stop', ['step_fails:0', 'people_one']]],
            'a hatch does not mind the dolly' => [['trolley_height' => '20 in'] + $one, [$steps(['kind' => 'hatch', 'length' => '42 in', 'width' => '32 in']), 'clear', ['people_one']], [$steps(['kind' => 'hatch', 'length' => '41.9 in', 'width' => '32 in']), 'stop', ['step_fails:0', 'people_one']]],
            'square through both corridors' => [$one, [$steps($corner(32, 42)), 'clear', ['people_one']], [$steps($corner(31.9, 42)), 'stop', ['step_fails:0', 'people_one']]],
            'a corner in height' => [$one, [$steps($corner(60, 60, 62)), 'clear', ['people_one']], [$steps($corner(60, 60, 61.9)), 'stop', ['step_fails:0', 'people_one']]],
            'turned round a corner' => [['clearance' => '0 m', 'item' => ['length' => '1.5 m', 'width' => '0.8 m', 'height' => '1 m', 'weight' => '20 kg']], [$steps(['kind' => 'corridor_turn', 'width_in' => '1.10 m', 'width_out' => '1.10 m', 'height' => '2 m']), 'clear', ['people_one']], [$steps(['kind' => 'corridor_turn', 'width_in' => '1.09 m', 'width_out' => '1.08 m', 'height' => '2 m']), 'stop', ['step_fails:0', 'people_one']]],
            'a car\'s door' => [$one, [$steps($car('1000 lb')), 'clear', ['people_one']], [$steps(['door_width' => '31.9 in'] + $car('1000 lb')), 'stop', ['step_fails:0', 'people_one']]],
            'a car in height' => [$one, [$steps($car('1000 lb', 62)), 'clear', ['people_one']], [$steps($car('1000 lb', 61.9)), 'stop', ['step_fails:0', 'people_one']]],
            'a car\'s floor' => [$one, [$steps($car('1000 lb', 70, 42, 32)), 'clear', ['people_one']], [$steps($car('1000 lb', 70, 41.9, 32)), 'stop', ['step_fails:0', 'people_one']]],
            'a car\'s plate with two people' => [$one, [$steps($car('180 kg')), 'clear', ['people_one']], [$steps($car('179.9 kg')), 'stop', ['lift_overload:0', 'people_one']]],
            'a car\'s plate with three and a dolly' => [['people' => 3, 'trolley_weight' => '10 kg'] + $one, [$steps($car('270 kg')), 'clear', ['people_one']], [$steps($car('269.9 kg')), 'stop', ['lift_overload:0', 'people_one']]],
            'stairs' => [['trolley_height' => '20 in'] + $one, [$steps($stair(32, 62, 0)), 'clear', ['people_one']], [$steps($stair(32, 61.9, 0)), 'stop', ['step_fails:0', 'people_one']]],
            'stairs that turn' => [$one, [$steps($stair(34, 62, 0)), 'clear', ['people_one']], [$steps($stair(34, 62, 1)), 'stop', ['step_fails:0', 'people_one']]],
            'a ladder at 10 kg' => [$steps(['kind' => 'ladder']), [$item(['weight' => '10 kg']), 'clear', ['people_one']], [$item(['weight' => '10.1 kg']), 'stop', ['needs_hoist:0', 'people_one']]],
            'a rail at 23 kg' => [$steps(['kind' => 'rail', 'height' => '42 in']), [$item(['weight' => '23 kg']), 'clear', ['people_one']], [$item(['weight' => '23.1 kg']), 'stop', ['needs_hoist:0', 'people_two']]],
            'one person' => [$steps($door(40, 70)), [$item(['weight' => '23 kg']), 'clear', ['people_one']], [$item(['weight' => '23.1 kg']), 'clear', ['people_two']]],
            'two people' => [$steps($door(40, 70)), [$item(['weight' => '45 kg']), 'clear', ['people_two']], [$item(['weight' => '45.1 kg']), 'watch', ['mechanical']]],
            'lying down' => [$steps($door(42, 32)), [$item(['keep_upright' => false, 'max_tilt' => '90 deg']), 'clear', ['people_one']], [$item(['keep_upright' => false, 'max_tilt' => '89 deg']), 'stop', ['step_fails:0', 'people_one']]],
            'lying down is not for what stands' => [$steps($door(42, 32)), [$item(['keep_upright' => false]), 'clear', ['people_one']], [$item(['keep_upright' => true]), 'stop', ['step_fails:0', 'people_one']]],
        ];
    }

    /** @return array<string, array<int, mixed>> */
    private static function rigging(): array
    {
        $cg = fn (float $x, float $y): array => ['cg' => ['x' => "$x m", 'y' => "$y m"]];
        $rated = fn (float $kg): array => ['sling_rating' => "$kg kg"];

        return [
            '30 degrees' => [self::RIG, [['sling_angle' => '30 deg'], 'watch', ['angle_watch']], [['sling_angle' => '29.9 deg'], 'stop', ['angle_low']]],
            '45 degrees' => [self::RIG, [['sling_angle' => '45 deg'], 'clear', []], [['sling_angle' => '44.9 deg'], 'watch', ['angle_watch']]],
            'typed and measured 5 degrees apart' => [['sling_length' => '2.8284271 m'] + self::RIG, [['sling_angle' => '64.99 deg'], 'clear', []], [['sling_angle' => '65.1 deg'], 'watch', ['angle_differs']]],
            'the sling itself' => [['sling_angle' => '90 deg'] + self::RIG, [$rated(333.34), 'watch', ['sling_near']], [$rated(333.3), 'stop', ['sling_over']]],
            'four fifths of it' => [['sling_angle' => '90 deg'] + self::RIG, [$rated(416.67), 'clear', []], [$rated(416.6), 'watch', ['sling_near']]],
            'out of a book' => [['sling_angle' => '90 deg', 'weight_source' => 'book'] + self::RIG, [$rated(437.5), 'clear', []], [$rated(437.4), 'watch', ['sling_near']]],
            'estimated' => [['sling_angle' => '90 deg', 'weight_source' => 'estimate'] + self::RIG, [$rated(479.17), 'clear', []], [$rated(479), 'watch', ['sling_near']]],
            'the middle half along' => [self::RIG, [$cg(0.5, 1), 'clear', []], [$cg(0.49, 1), 'watch', ['cg_off_centre']]],
            'the middle half across' => [self::RIG, [$cg(1, 1.5), 'clear', []], [$cg(1, 1.51), 'watch', ['cg_off_centre']]],
            'outside along' => [self::RIG, [$cg(2, 1), 'watch', ['cg_off_centre']], [$cg(2.01, 1), 'stop', ['cg_outside']]],
            'outside across' => [self::RIG, [$cg(1, 0), 'watch', ['cg_off_centre']], [$cg(1, -0.01), 'stop', ['cg_outside']]],
            'the weight of a spreader' => [['spreader' => true] + self::RIG, [['rigging_weight' => '1 kg'], 'clear', []], [['rigging_weight' => '0 kg'], 'watch', ['spreader_weight']]],
            'lugs at the base' => [self::RIG, [['lift_from' => 'top'], 'clear', []], [['lift_from' => 'base'], 'stop', ['needs_spreader']]],
        ];
    }

    /** @return array<string, array<int, mixed>> */
    private static function crane(): array
    {
        $load = fn (float $lb): array => ['gross_load' => "$lb lb"];
        $line = fn (float $feet, ?float $kv): array => ['power_line' => ['distance' => "$feet ft"] + ($kv === null ? [] : ['kv' => $kv])];
        $boom = fn (float $feet): array => ['chart' => [['boom' => "$feet ft", 'radius' => '40 ft', 'capacity' => '2000 lb']]];
        $row = fn (float $radius): array => ['chart' => [['boom' => '60 ft', 'radius' => "$radius ft", 'capacity' => '2000 lb']]];

        return [
            'three quarters of the chart' => [self::LIFT, [$load(1500), 'clear', []], [$load(1501), 'watch', ['critical_lift']]],
            'nine tenths' => [self::LIFT, [$load(1800), 'watch', ['critical_lift']], [$load(1801), 'stop', ['over_capacity']]],
            'deductions count' => [['gross_load' => '1500 lb'] + self::LIFT, [['deductions' => '0 lb'], 'clear', []], [['deductions' => '1 lb'], 'watch', ['critical_lift']]],
            'a limit over nine tenths' => [['limit_fraction' => 0.95] + self::LIFT, [$load(1800), 'clear', []], [$load(1801), 'watch', ['critical_lift']]],
            'over that limit' => [['limit_fraction' => 0.95] + self::LIFT, [$load(1900), 'watch', ['critical_lift']], [$load(1901), 'stop', ['over_capacity']]],
            'a boom that just reaches' => [self::LIFT, [$boom(60), 'clear', []], [$boom(50), 'open', ['no_chart_row']]],
            'a row at the radius' => [self::LIFT, [$row(40), 'clear', []], [$row(39.9), 'open', ['no_chart_row']]],
            'steep at 80 degrees' => [['edge_distance' => '5 ft', 'setback' => '2 ft'] + self::LIFT, [$boom(40.3), 'clear', []], [$boom(40.4), 'watch', ['boom_angle']]],
            'flat at 25 degrees' => [['roof_height' => '0 ft', 'unit_height' => '1 ft', 'clear_over' => '0 ft', 'sling_height' => '1 ft', 'hook_block' => '1 ft', 'boom_pivot_height' => '4 ft'] + self::LIFT, [$boom(44.2), 'clear', []], [$boom(44.1), 'watch', ['boom_angle']]],
            'a line of 50 kV' => [self::LIFT, [$line(50, 50), 'clear', []], [$line(50, 50.1), 'stop', ['power_line']]],
            'a line of 200 kV' => [self::LIFT, [$line(55, 200), 'clear', []], [$line(55, 200.1), 'stop', ['power_line']]],
            'a line of 350 kV' => [self::LIFT, [$line(60, 350), 'clear', []], [$line(60, 350.1), 'stop', ['power_line']]],
            'a line of 500 kV' => [self::LIFT, [$line(65, 500), 'clear', []], [$line(65, 500.1), 'stop', ['power_line']]],
            'a line of 750 kV' => [self::LIFT, [$line(75, 750), 'clear', []], [$line(75, 750.1), 'stop', ['power_line']]],
            'a line of 1000 kV' => [self::LIFT, [$line(85, 1000), 'clear', []], [$line(84.9, 1000), 'stop', ['power_line']]],
            'a line nobody knows' => [self::LIFT, [$line(60, null), 'clear', []], [$line(59.9, null), 'stop', ['power_line']]],
            'the unit\'s own end swings' => [$line(60, 13) + self::LIFT, [['unit_length' => '20 ft', 'sling_height' => '9 ft'], 'clear', []], [['unit_length' => '20.2 ft', 'sling_height' => '9 ft'], 'stop', ['power_line']]],
            'two cranes' => [self::LIFT, [['cranes' => 1], 'clear', []], [['cranes' => 2], 'stop', ['two_cranes']]],
            'three feet to the wall' => [['roof_height' => '24 ft', 'parapet_height' => '2 ft', 'setback' => '20 ft', 'edge_distance' => '40 ft', 'gross_load' => '1000 lb', 'chart' => [['boom' => '72 ft', 'radius' => '60 ft', 'capacity' => '9000 lb']]] + self::LIFT, [['boom_half_depth' => '3.77 ft'], 'clear', []], [['boom_half_depth' => '3.78 ft'], 'stop', ['boom_hits_wall']]],
            'three feet to the load' => [self::LIFT, [['unit_length' => '31.6 ft'], 'clear', []], [['unit_length' => '31.8 ft'], 'stop', ['boom_hits_load']]],
        ];
    }

    /** @return array<string, array<int, mixed>> */
    private static function structure(): array
    {
        $old = ['old_weight' => '1000 kg'];

        return [
            'what stood there' => [$old, [['new_weight' => '1000 kg'], 'clear', []], [['new_weight' => '1001 kg'], 'watch', ['heavier_watch']]],
            '5% more' => [$old, [['new_weight' => '1050 kg'], 'watch', ['heavier_watch']], [['new_weight' => '1051 kg'], 'stop', ['heavier']]],
            'accessories and adapter count' => [$old + ['new_weight' => '1000 kg'], [['accessories' => '20 kg', 'adapter' => '30 kg'], 'watch', ['heavier_watch']], [['accessories' => '21 kg', 'adapter' => '30 kg'], 'stop', ['heavier']]],
            'an engineer\'s word' => [$old + ['new_weight' => '1100 kg'], [['engineer_approved' => true], 'clear', ['heavier', 'engineer_approved']], [['engineer_approved' => false], 'stop', ['heavier']]],
            'an engineer\'s word on an unknown weight' => [['new_weight' => '1100 kg'], [['engineer_approved' => true], 'clear', ['old_weight_unknown', 'engineer_approved']], [['engineer_approved' => false], 'stop', ['old_weight_unknown']]],
            'an engineer\'s word on a watch' => [$old + ['new_weight' => '1040 kg'], [['engineer_approved' => false], 'watch', ['heavier_watch']], [['engineer_approved' => true], 'watch', ['heavier_watch']]],
        ];
    }

    /** @return array<string, array<int, mixed>> */
    private static function options(): array
    {
        $machine = ['tons' => '10 ton', 'phases' => 3, 'mca' => '50 A'];
        $option = fn (array $change, array $more = []): array => ['options' => [['name' => 'A', 'machines' => [array_replace($machine, $change)]] + $more]];
        $there = fn (array $change): array => ['existing' => array_replace(self::THERE, $change)];
        $job = ['required_tons' => '10 ton'] + $there([]);
        $two = fn (float $mca): array => ['options' => [['name' => 'A', 'machines' => [['tons' => '5 ton', 'phases' => 1, 'mca' => "$mca A"], ['tons' => '5 ton', 'phases' => 1, 'mca' => "$mca A"], ['tons' => '5 ton', 'phases' => 1, 'mca' => "$mca A"]]]]];

        return [
            'the feeder' => [$job, [$option(['mca' => '100 A']), 'clear', []], [$option(['mca' => '100.1 A']), 'stop', ['feeder_short:A']]],
            'its breaker' => [$job, [$there(['feeder_breaker' => '50 A']) + $option([]), 'clear', []], [$there(['feeder_breaker' => '49 A']) + $option([]), 'stop', ['feeder_short:A']]],
            'a feeder that is priced' => [$job, [$option(['mca' => '100 A'], ['extra_work' => [['what' => 'wire', 'cost' => 1, 'covers' => 'feeder']]]), 'clear', []], [$option(['mca' => '101 A'], ['extra_work' => [['what' => 'wire', 'cost' => 1, 'covers' => 'feeder']]]), 'watch', ['feeder_short:A']]],
            'three on the pairs' => [$job, [$two(57.7), 'clear', []], [$two(57.8), 'stop', ['feeder_short:A']]],
            'three on a single-phase service' => [['existing' => ['feeder_ampacity' => '100 A', 'phases' => 1]] + $job, [$two(33.3), 'clear', []], [$two(33.4), 'stop', ['feeder_short:A']]],
            'a service of the plate' => [$job, [$option(['plate_voltage' => '230']), 'clear', []], [$option(['plate_voltage' => '240']), 'stop', ['voltage_mismatch:A']]],
            'phases' => [['existing' => ['feeder_ampacity' => '100 A', 'phases' => 1]] + $job, [$option(['phases' => 1]), 'clear', []], [$option([]), 'stop', ['phase_mismatch:A']]],
            'all of the capacity' => [$job, [$option([]), 'clear', []], [$option(['tons' => '9.9 ton']), 'watch', ['capacity_short:A']]],
            'a quarter more in one' => [$job, [$option(['tons' => '12.5 ton']), 'clear', []], [$option(['tons' => '12.6 ton']), 'watch', ['capacity_over:A']]],
            'a quarter more in three' => [$job, [$two(10), 'clear', []], [$option(['tons' => '15 ton']), 'watch', ['capacity_over:A']]],
            'a breaker over the MOCP' => [$there(['feeder_breaker' => '60 A']) + $job, [$option(['mocp' => '60 A']), 'clear', []], [$option(['mocp' => '59 A']), 'watch', ['breaker_over:A']]],
            'a breaker that is priced' => [$there(['feeder_breaker' => '60 A']) + $job, [$option(['mocp' => '59 A'], ['extra_work' => [['what' => 'b', 'cost' => 1, 'covers' => 'feeder']]]), 'clear', []], [$option(['mocp' => '59 A'], ['extra_work' => [['what' => 'b', 'cost' => 1]]]), 'watch', ['breaker_over:A']]],
            'a breaker of its own circuit' => [['required_tons' => '10 ton'], [$there(['feeder_breaker' => '60 A', 'circuits' => 2]) + $option(['mocp' => '59 A']), 'clear', []], [$there(['feeder_breaker' => '60 A']) + $option(['mocp' => '59 A']), 'watch', ['breaker_over:A']]],
            'the indoor side' => [$job, [$option([], ['matches_existing_indoor' => true]), 'clear', []], [$option([], ['matches_existing_indoor' => false]), 'watch', ['indoor_mismatch:A']]],
            '5% heavier' => [$job, [$option(['weight' => '1050 lb']), 'clear', []], [$option(['weight' => '1051 lb']), 'watch', ['heavier:A']]],
            'heavier, and priced' => [$job, [$option(['weight' => '1051 lb'], ['extra_work' => [['what' => 's', 'cost' => 1, 'covers' => 'structure']]]), 'clear', []], [$option(['weight' => '1051 lb'], ['extra_work' => [['what' => 's', 'cost' => 1, 'covers' => 'curb']]]), 'watch', ['heavier:A']]],
            'one of two stops' => [$job, [['options' => [['name' => 'A', 'machines' => [['mca' => '101 A'] + $machine]], ['name' => 'B', 'machines' => [$machine]]]], 'watch', ['feeder_short:A']], [['options' => [['name' => 'A', 'machines' => [['mca' => '101 A'] + $machine]], ['name' => 'B', 'machines' => [['mca' => '101 A'] + $machine]]]], 'stop', ['feeder_short:A', 'feeder_short:B']]],
            'one of two on the wrong phase' => [['existing' => ['feeder_ampacity' => '100 A', 'phases' => 1, 'voltage' => '230 V'], 'required_tons' => '10 ton'], [['options' => [['name' => 'A', 'machines' => [['plate_voltage' => '460'] + $machine]], ['name' => 'B', 'machines' => [['phases' => 1] + $machine]]]], 'watch', ['phase_mismatch:A', 'voltage_mismatch:A']], [['options' => [['name' => 'A', 'machines' => [['plate_voltage' => '460'] + $machine]]]], 'stop', ['phase_mismatch:A', 'voltage_mismatch:A']]],
        ];
    }

    /** @return array<string, array<int, mixed>> */
    private static function wayOut(): array
    {
        return [
            'nine tenths of the storage' => [self::OUT, [['charge' => '9 lb'], 'clear', ['pump_down']], [['charge' => '9.01 lb'], 'clear', ['recover', 'storage_short']]],
            'a burnout' => [self::OUT, [['failure' => 'electrical_mild'], 'clear', ['pump_down']], [['failure' => 'electrical_burnout'], 'clear', ['recover', 'burnout']]],
            'a drier' => [['work_on' => 'drier'] + self::OUT, [['on_line_side' => true], 'clear', ['pump_down']], [['on_line_side' => false], 'clear', ['recover', 'work_inside']]],
            'a metering device' => [['work_on' => 'metering'] + self::OUT, [['on_line_side' => true], 'clear', ['pump_down']], [[], 'watch', ['pump_down', 'side_unknown']]],
            'work on the condenser' => [self::OUT, [['work_on' => 'indoor_coil'], 'clear', ['pump_down']], [['work_on' => 'condenser'], 'clear', ['recover', 'work_inside']]],
            'nobody tested the oil' => [self::OUT, [[], 'clear', ['pump_down']], [['acid' => 'not_tested'], 'watch', ['pump_down', 'acid_not_tested']]],
            'a module that could take it' => [['zones' => [['name' => 'M2']]] + self::OUT, [['acid' => 'slight'], 'clear', ['recover', 'acid']], [['acid' => 'none'], 'clear', ['pump_down', 'move_offered']]],
            'not after a burnout' => [['zones' => [['name' => 'M2']]] + self::OUT, [['failure' => 'electrical_burnout'], 'clear', ['recover', 'burnout']], [['failure' => 'mechanical'], 'clear', ['pump_down', 'move_offered']]],
            'not a mixture' => [['zones' => [['name' => 'M2']]] + self::OUT, [['mixed' => true], 'clear', ['recover', 'mixed']], [['compressor_runs' => false], 'clear', ['recover', 'compressor_dead', 'move_offered']]],
        ];
    }

    /** @return array<string, array<int, mixed>> */
    private static function rebound(): array
    {
        $read = fn (array ...$points): array => ['readings' => array_map(fn (array $p): array => ['minutes' => $p[0], 'pressure' => "$p[1] psig"], array_values($points))];
        $zero = ['finish' => 'at_zero'];

        return [
            'five minutes' => [$zero, [$read([0, 0], [5, 0]), 'clear', ['open_now']], [$read([0, 0], [4.9, 0]), 'open', ['wait']]],
            'up 2 psi' => [$zero, [$read([0, -1], [5, 0.9]), 'clear', ['open_now']], [$read([0, -1], [5, 1]), 'watch', ['gas_left']]],
            'up 5 psi' => [$zero, [$read([0, -4], [5, 1]), 'watch', ['gas_left']], [$read([0, -4], [5, 1.1]), 'stop', ['liquid_left', 'rise']]],
            '2 psig' => [$zero, [$read([0, 1], [5, 2]), 'clear', ['open_now']], [$read([0, 1], [5, 2.1]), 'watch', ['above_finish']]],
            '10 psig' => [$zero, [$read([0, 9], [5, 10]), 'watch', ['above_finish']], [$read([0, 9], [5, 10.1]), 'stop', ['liquid_left', 'pressure']]],
            'pulled again over 2 psi' => [$zero, [$read([0, 2], [3, 0], [6, 0]), 'clear', ['open_now']], [$read([0, 2.1], [3, 0], [8, 0]), 'clear', ['pulled_again', 'open_now']]],
            'came back over 2 psi' => [$zero, [$read([0, 0], [2, 2], [3, -0.1], [9, 6]), 'stop', ['pulled_again', 'liquid_left', 'rise']], [$read([0, 0], [2, 2.1], [3, -0.1], [9, 6]), 'stop', ['pulled_again', 'liquid_left', 'rise', 'came_back']]],
            'below zero' => [['finish' => 'slight_vacuum'], [$read([0, 0], [5, 0]), 'clear', ['open_now']], [$read([0, -0.1], [5, -0.1]), 'clear', ['break_with_nitrogen']]],
            'liquid at 10 psig in the cold' => [$zero + $read([0, 0], [5, 0]) + ['refrigerant' => '134a'], [['ambient' => '7.1 degF'], 'clear', ['open_now']], [['ambient' => '6 degF'], 'watch', ['too_cold']]],
            'a mile up' => [$zero + $read([0, 0], [5, 0]) + ['refrigerant' => '134a', 'ambient' => '2 degF'], [['altitude' => '5280 ft'], 'clear', ['open_now']], [['barometer' => '101.325 kPa'], 'watch', ['too_cold']]],
        ];
    }

    /** @return array<string, array<int, mixed>> */
    private static function cylinder(): array
    {
        $now = fn (float $lb): array => ['gross_now' => "$lb lb"];

        return [
            'full' => [self::COLLAR, [$now(67.46), 'clear', []], [$now(67.48), 'stop', ['over_full']]],
            'room for the rest' => [self::COLLAR, [['to_recover' => '37.46 lb'], 'clear', []], [['to_recover' => '37.48 lb'], 'stop', ['short']]],
            'the usual fill' => [self::COLLAR, [['max_fill' => '80 %'], 'clear', []], [['max_fill' => '80.1 %'], 'watch', ['fill_over_80']]],
            'a cold one' => [self::COLLAR, [['fill_temperature' => '77 degF'], 'clear', []], [['fill_temperature' => '76.9 degF'], 'watch', ['cold_fill']]],
            'a density 2% over' => [self::COLLAR, [['liquid_density' => '1079.7 kg/m3'], 'clear', []], [['liquid_density' => '1079.9 kg/m3'], 'watch', ['density_high']]],
            'its rating' => [self::COLLAR, [['rated_pressure' => '383 psig'], 'clear', []], [['rated_pressure' => '382 psig'], 'stop', ['rating_low']]],
            'another gas' => [['cylinder_temperature' => '70 degF'] + self::COLLAR, [['cylinder_pressure' => '211.4 psig'], 'clear', []], [['cylinder_pressure' => '211.5 psig'], 'watch', ['not_pure_high']]],
            'another refrigerant' => [['cylinder_temperature' => '70 degF'] + self::COLLAR, [['cylinder_pressure' => '191.6 psig'], 'clear', []], [['cylinder_pressure' => '191.5 psig'], 'watch', ['not_pure_low']]],
            'a tenth in it' => [['cylinder_temperature' => '70 degF', 'cylinder_pressure' => '100 psig'] + self::COLLAR, [$now(29.2), 'clear', []], [$now(29.3), 'watch', ['not_pure_low']]],
            'the same by another name' => [self::COLLAR, [['cylinder_refrigerant' => 'r 410 A'], 'clear', []], [['cylinder_refrigerant' => 'mixed'], 'stop', ['mixed_refrigerants']]],
            'past its date' => [self::COLLAR, [['cylinder_state' => 'good'], 'clear', []], [['cylinder_state' => 'out_of_date'], 'stop', ['out_of_date']]],
            'damaged' => [self::COLLAR, [['cylinder_state' => 'good'], 'clear', []], [['cylinder_state' => 'damaged'], 'stop', ['damaged']]],
        ];
    }

    /** @return array<string, array<int, mixed>> */
    private static function account(): array
    {
        $out = fn (float $lb): array => ['kind' => 'recovered', 'cylinder' => 'A', 'start' => '30 lb', 'end' => (30 + $lb) . ' lb'];
        $entries = fn (array ...$list): array => ['entries' => array_values($list)];
        $plate = ['plate_charge' => '10 lb'];
        $lost = fn (float $oz): array => ['kind' => 'lost', 'mass' => "$oz oz"];

        return [
            '80% of the nameplate' => [$plate, [$entries($out(8)), 'clear', []], [$entries($out(7.99)), 'watch', ['under_plate']]],
            '110% of it' => [$plate, [$entries($out(11)), 'clear', []], [$entries($out(11.01)), 'watch', ['over_plate']]],
            'an ounce between two weighings' => [$plate, [$entries($out(5), ['kind' => 'recovered', 'cylinder' => 'A', 'start' => '561 oz', 'end' => '609 oz']), 'clear', []], [$entries($out(5), ['kind' => 'recovered', 'cylinder' => 'A', 'start' => '561.1 oz', 'end' => '609.1 oz']), 'watch', ['gap:A']]],
            '8 oz lost' => [['plate_charge' => '9 lb'], [$entries($out(8), $lost(8)), 'clear', []], [$entries($out(8), $lost(8.1)), 'watch', ['lost_large']]],
            '5% lost' => [['plate_charge' => '20 lb'], [$entries($out(18), $lost(16)), 'clear', []], [$entries($out(18), $lost(16.1)), 'watch', ['lost_large']]],
            'the wrong way' => [$plate, [$entries(['kind' => 'charged', 'start' => '20 lb', 'end' => '20 lb']), 'clear', []], [$entries(['kind' => 'charged', 'start' => '20 lb', 'end' => '20.1 lb']), 'watch', ['wrong_way:0']]],
            'an ounce more out than in' => [$plate, [$entries($out(10)) + ['in_system_start' => '159 oz'], 'clear', []], [$entries($out(10)) + ['in_system_start' => '158.9 oz'], 'watch', ['more_out_than_in']]],
            '110% in the system' => [$plate, [$entries(['kind' => 'charged', 'start' => '20 lb', 'end' => '10 lb']) + ['in_system_start' => '1 lb'], 'clear', []], [$entries(['kind' => 'charged', 'start' => '20 lb', 'end' => '10 lb']) + ['in_system_start' => '1.01 lb'], 'watch', ['in_system_over']]],
        ];
    }

    /** @return array<string, array<int, mixed>> */
    private static function trap(): array
    {
        $poured = fn (array $change): array => ['drained' => array_replace(['ran_off' => true, 'blower_on' => true, 'seen_at_end' => true], $change)];

        return [
            'drop under suction' => [self::TRAP, [['drop_to_outlet' => '2 in'], 'clear', []], [['drop_to_outlet' => '1.9 in'], 'stop', ['drop_short']]],
            'seal under suction' => [self::TRAP, [['seal' => '1 in'], 'clear', []], [['seal' => '0.9 in'], 'stop', ['seal_short']]],
            'drop under pressure' => [self::BLOWN, [['drop_to_outlet' => '1/2 in'], 'clear', []], [['drop_to_outlet' => '0.4 in'], 'stop', ['drop_short']]],
            'seal under pressure' => [self::BLOWN, [['seal' => '1.5 in'], 'clear', []], [['seal' => '1.4 in'], 'stop', ['seal_short']]],
            'slope' => [self::TRAP, [['slope' => '1.0417 %'], 'clear', []], [['slope' => '1.04 %'], 'watch', ['slope_low']]],
            'a vent over the lift' => [self::BLOWN, [['vent' => ['position' => 'before', 'height_above_pan' => '1.1 in']], 'clear', []], [['vent' => ['position' => 'before', 'height_above_pan' => '1 in']], 'stop', ['vent_too_low']]],
            'a vent under suction' => [self::TRAP, [['vent' => ['position' => 'after']], 'clear', []], [['vent' => ['position' => 'before', 'height_above_pan' => '9 in']], 'stop', ['vent_before_trap']]],
            'primed' => [self::TRAP, [['primed' => true], 'clear', []], [['primed' => false], 'stop', ['not_primed']]],
            'no trap under pressure' => [self::BLOWN, [[], 'clear', []], [['trap' => false], 'watch', ['no_trap']]],
            'seen at the end' => [self::TRAP, [$poured([]), 'clear', ['drained']], [$poured(['seen_at_end' => false]), 'watch', ['end_not_seen']]],
            'with the blower on' => [self::TRAP, [$poured([]), 'clear', ['drained']], [$poured(['blower_on' => false]), 'watch', ['drained_blower_off']]],
            'ran off' => [self::TRAP, [$poured([]), 'clear', ['drained']], [$poured(['ran_off' => false]), 'stop', ['did_not_drain']]],
        ];
    }

    /** @return array<string, array<int, mixed>> */
    private static function float(): array
    {
        $pump = fn (array $change, array $without = []): array => ['pump' => array_diff_key(array_replace(self::PUMP, $change), array_flip($without))];

        return [
            'its time' => [self::POURED + ['sheet_seconds' => 10], [['seconds' => 10], 'clear', []], [['seconds' => 10.1], 'watch', ['slow']]],
            'the lift' => [self::POURED, [$pump(['lift' => '10 ft']), 'watch', ['lift_near']], [$pump(['lift' => '10.1 ft']), 'stop', ['lift_over']]],
            'four fifths of it' => [self::POURED, [$pump(['lift' => '8 ft']), 'clear', []], [$pump(['lift' => '8.1 ft']), 'watch', ['lift_near']]],
            'the water' => [self::POURED, [$pump(['rate' => '5 gal/h']), 'watch', ['rate_short']], [$pump(['rate' => '4.9 gal/h']), 'stop', ['rate_short']]],
            'twice the water' => [self::POURED, [$pump(['rate' => '10 gal/h']), 'clear', []], [$pump(['rate' => '9.9 gal/h']), 'watch', ['rate_short']]],
            'water by the ton' => [self::POURED, [$pump(['cooling' => '10 ton', 'rate' => '12 gal/h'], ['load']), 'clear', ['default_load']], [$pump(['cooling' => '10 ton', 'rate' => '11.9 gal/h'], ['load']), 'watch', ['default_load', 'rate_short']]],
            'seen to pump' => [self::POURED, [$pump([]), 'clear', []], [$pump(['ran' => false]), 'stop', ['pump_dead']]],
            'its switch lifted' => [self::POURED, [$pump([]), 'clear', []], [$pump(['switch' => 'lifted']), 'watch', ['pump_switch_lifted']]],
            'its switch not tested' => [self::POURED, [$pump([]), 'clear', []], [$pump(['switch' => 'not_tested'], ['switch_stopped']), 'open', ['pump_switch_not_tested']]],
            'its switch without effect' => [self::POURED, [$pump([]), 'clear', []], [$pump(['switch_stopped' => false]), 'stop', ['pump_switch_did_not_stop']]],
        ];
    }

    /** @return array<string, array<int, mixed>> */
    private static function reuse(): array
    {
        $line = fn (array $change): array => ['parts' => [array_replace(self::LINE, $change)]];
        $coil = fn (string $match): array => ['parts' => [['name' => 'coil', 'kind' => 'coil', 'design' => '446 psig', 'rating' => '446 psig', 'hidden' => 'none', 'match' => $match]]];
        $flushed = ['flush' => 'solvent', 'until_clean' => true, 'parts_off' => true, 'solvent_out' => true];
        $kept = self::KEPT + $line([]);

        return [
            'the wall by the formula' => [self::KEPT, [$line(['wall' => '0.0370 in']), 'clear', []], [$line(['wall' => '0.0369 in']), 'stop', ['wall_short:gas']]],
            'a rating' => [self::KEPT, [$line(['rating' => '446 psig']), 'clear', []], [$line(['rating' => '445 psig']), 'stop', ['rating_low:gas']]],
            'the sheet\'s wall' => [self::KEPT, [$line(['sheet_wall' => '0.045 in']), 'clear', []], [$line(['sheet_wall' => '0.046 in']), 'stop', ['wall_thin:gas']]],
            'one of the sheet\'s sizes' => [self::KEPT, [$line(['sheet_od' => ['3/4 in', '22 mm']]), 'clear', []], [$line(['sheet_od' => ['3/4 in']]), 'stop', ['wrong_size:gas']]],
            'dents' => [self::KEPT, [$line(['damaged' => false]), 'clear', []], [$line(['damaged' => true]), 'stop', ['damaged:gas']]],
            'joints behind a wall' => [self::KEPT, [$line(['hidden' => 'brazed']), 'watch', ['hidden_joints:gas']], [$line(['hidden' => 'flares']), 'stop', ['hidden_flares:gas']]],
            'joints nobody knows' => [self::KEPT, [$line(['hidden' => 'none']), 'clear', []], [$line(['hidden' => 'unknown']), 'watch', ['hidden_unknown:gas']]],
            'a guessed length' => [self::KEPT, [$line(['length_from' => 'drawing']), 'clear', []], [$line(['length_from' => 'guessed']), 'watch', ['length_guessed:gas']]],
            'a coil' => [self::KEPT, [$coil('listed'), 'clear', []], [$coil('not_listed'), 'stop', ['coil_not_listed:coil']]],
            'a coil nobody looked up' => [self::KEPT, [$coil('listed'), 'clear', []], [$coil('unknown'), 'open', ['coil_match:coil']]],
            'another oil' => [$kept, [['old_oil' => 'POE'], 'clear', []], [['old_oil' => 'MO'], 'stop', ['oil_left']]],
            'an oil nobody knows' => [$kept, [['old_oil' => 'unknown', 'sheet_allows_unflushed' => true], 'watch', ['unflushed_by_sheet']], [['old_oil' => 'unknown'], 'stop', ['oil_left']]],
            'another oil, blown' => [['until_clean' => true, 'parts_off' => true] + $kept, [['old_oil' => 'MO', 'flush' => 'solvent', 'solvent_out' => true], 'clear', []], [['old_oil' => 'MO', 'flush' => 'blown'], 'watch', ['blown_only']]],
            'slight acid' => [['acid' => 'slight', 'acid_after' => 'none', 'until_clean' => true, 'parts_off' => true] + $kept, [['flush' => 'blown'], 'watch', ['blown_only']], [['flush' => 'none'], 'stop', ['solvent_needed']]],
            'strong acid' => [['acid' => 'strong', 'acid_after' => 'none', 'until_clean' => true, 'parts_off' => true] + $kept, [['flush' => 'solvent', 'solvent_out' => true], 'clear', []], [['flush' => 'blown'], 'stop', ['solvent_needed']]],
            'an electrical failure' => [$kept, [['failure' => 'mechanical'], 'clear', []], [['failure' => 'electrical'], 'stop', ['solvent_needed']]],
            'acid nobody tested' => [$kept, [['acid' => 'not_tested', 'failure' => 'none'], 'watch', ['acid_not_tested']], [['acid' => 'not_tested'], 'open', ['acid_not_tested']]],
            'acid after it' => [['acid' => 'slight'] + $flushed + $kept, [['acid_after' => 'none'], 'clear', []], [['acid_after' => 'present'], 'stop', ['acid_left']]],
            'acid after it, not tested' => [['acid' => 'slight'] + $flushed + $kept, [['acid_after' => 'none'], 'clear', []], [['acid_after' => 'not_tested'], 'open', ['acid_after_not_tested']]],
            'until clean' => [$flushed + $kept, [[], 'clear', []], [['until_clean' => false], 'stop', ['not_clean']]],
            'parts off' => [$flushed + $kept, [[], 'clear', []], [['parts_off' => false], 'stop', ['flushed_into_parts']]],
            'solvent out' => [$flushed + $kept, [[], 'clear', []], [['solvent_out' => false], 'stop', ['solvent_left']]],
            'held' => [$kept, [['held' => 'not_done'], 'open', ['not_held']], [['held' => 'leaked'], 'stop', ['old_leaks']]],
            'held near the design' => [$kept, [['held_pressure' => '423.7 psig'], 'clear', []], [['held_pressure' => '423.6 psig'], 'watch', ['held_low']]],
            'held over what it stands' => [self::KEPT + $line(['rating' => '500 psig']), [['held_pressure' => '500 psig'], 'clear', []], [['held_pressure' => '501 psig'], 'stop', ['over_tested']]],
        ];
    }

    /** @return array<string, array<int, mixed>> */
    private static function purge(): array
    {
        $flow = fn (float $scfh): array => ['flow' => "$scfh scfh"];
        $ready = fn (string $name, string $code): array => [self::FLOW + ['flow' => '5 scfh'], [[$name => true], 'clear', ["putback:$code"]], [[$name => false], 'watch', ["not:$name"]]];

        return [
            '3 scfh' => [self::FLOW, [$flow(3), 'clear', []], [$flow(2.9), 'watch', ['flow_low']]],
            '2 scfh' => [self::FLOW, [$flow(2), 'watch', ['flow_low']], [$flow(1.9), 'stop', ['flow_low']]],
            '8 scfh' => [self::FLOW, [$flow(8), 'clear', []], [$flow(8.1), 'watch', ['flow_high']]],
            '15 scfh' => [self::FLOW, [$flow(15), 'watch', ['flow_high']], [$flow(15.1), 'stop', ['flow_high']]],
            'an exit' => [self::FLOW + $flow(5), [['exit_open' => true], 'clear', []], [['exit_open' => false], 'stop', ['exit_closed']]],
            'a charge' => [self::FLOW + $flow(5), [['system_charged' => false], 'clear', []], [['system_charged' => true], 'stop', ['toxic_breakdown']]],
            'what is left of it' => [self::FLOW + $flow(5), [['residual_as_purge' => false], 'clear', []], [['residual_as_purge' => true], 'stop', ['toxic_breakdown']]],
            'another gas' => [self::FLOW + $flow(5), [['gas' => 'other_inert'], 'clear', []], [['gas' => 'compressed_air'], 'stop', ['wrong_gas']]],
            'cores' => $ready('cores_out', 'cores_out'),
            'bulb' => $ready('bulb_off', 'bulb_off'),
            'heat sinks' => $ready('heat_sinks', 'heat_sinks'),
            'valves' => $ready('valves_open', 'valves_open'),
            'plastics' => $ready('plastics_away', 'plastics_away'),
            'detectors' => $ready('detectors_isolated', 'detectors'),
        ];
    }

    /** @return array<string, array<int, mixed>> */
    private static function flares(): array
    {
        $bands = [];
        foreach (['1/4 in' => [14, 18], '3/8 in' => [34, 42], '1/2 in' => [49, 61], '5/8 in' => [68, 82], '3/4 in' => [100, 120]] as $size => [$low, $high]) {
            $flare = ['size' => $size, 'backup_wrench' => true];
            $under = $low - 0.1;
            $over = $high + 0.1;
            $half = $low / 2 - 0.1;
            $bands["the foot of $size"] = [$flare, [['measured' => "$low N.m"], 'clear', []], [['measured' => "$under N.m"], 'watch', ['under_torque']]];
            $bands["the top of $size"] = [$flare, [['measured' => "$high N.m"], 'clear', []], [['measured' => "$over N.m"], 'stop', ['over_torque']]];
            $bands["half of $size"] = [$flare, [['measured' => $low / 2 . ' N.m'], 'watch', ['under_torque']], [['measured' => "$half N.m"], 'stop', ['under_torque', 'not_tightened']]];
        }

        return $bands + ['a second wrench' => [['size' => '3/8 in', 'measured' => '40 N.m'], [['backup_wrench' => true], 'clear', []], [['backup_wrench' => false], 'watch', ['no_backup_wrench']]]];
    }

    /** @return array<string, array<int, mixed>> */
    private static function bulb(): array
    {
        $at = fn (float $clock): array => ['clock' => $clock];
        $small = ['od' => '3/4 in'] + self::BULB;
        $large = ['od' => '7/8 in'] + self::BULB;

        return [
            'the top half' => [$small, [$at(2), 'clear', []], [$at(2.1), 'watch', ['off_position']]],
            'the top half, left' => [$small, [$at(10), 'clear', []], [$at(9.9), 'watch', ['off_position']]],
            'the side' => [$small, [$at(4), 'watch', ['off_position']], [$at(4.1), 'stop', ['at_bottom']]],
            'near 4' => [$large, [$at(3.5), 'clear', []], [$at(3.4), 'watch', ['off_position']]],
            'near 4, below' => [$large, [$at(4.5), 'clear', []], [$at(4.6), 'watch', ['off_position']]],
            'near 8' => [$large, [$at(8.5), 'clear', []], [$at(8.6), 'watch', ['off_position']]],
            'an hour from the bottom' => [$large, [$at(5), 'watch', ['off_position']], [$at(5.1), 'stop', ['at_bottom']]],
            'the sheet\'s hour' => [['sheet_clock' => [3]] + $large, [$at(3.5), 'clear', []], [$at(3.6), 'watch', ['not_as_sheet']]],
            'the sheet\'s hour at the bottom' => [['sheet_clock' => [3]] + $large, [$at(7), 'watch', ['not_as_sheet']], [$at(6.9), 'stop', ['not_as_sheet', 'at_bottom']]],
            'the sheet names the bottom' => [$large + $at(6), [['sheet_clock' => [6]], 'clear', []], [[], 'stop', ['at_bottom']]],
            'midnight' => [$small, [$at(0), 'clear', []], [$at(6), 'stop', ['at_bottom']]],
            'insulated' => [$small + $at(12), [['insulated' => true], 'clear', []], [['insulated' => false], 'watch', ['not_insulated']]],
            'a fitting' => [$small + $at(12), [['place' => 'straight'], 'clear', []], [['place' => 'fitting'], 'watch', ['on_fitting']]],
            'tail up' => [['orientation' => 'vertical'] + $small, [['tail_up' => true], 'watch', ['vertical']], [['tail_up' => false], 'stop', ['vertical', 'tail_down']]],
        ];
    }

    /** @return array<string, array<int, mixed>> */
    private static function lengths(): array
    {
        $run = fn (string $length, array $more = []): array => ['runs' => [['od' => '7/8 in', 'length' => $length, 'elbows_short' => 0] + $more]];
        $fittings = [];
        foreach (['1/4 in' => [0.6, 0.4, 0.4, 5.5, 2.5], '3/8 in' => [1.0, 0.7, 0.7, 9, 4], '1/2 in' => [1.4, 0.9, 0.9, 11, 6], '5/8 in' => [1.6, 1.0, 1.0, 13, 7], '3/4 in' => [1.8, 1.2, 1.2, 15, 8], '7/8 in' => [2.2, 1.4, 1.4, 20, 10], '1-1/8 in' => [2.6, 1.7, 1.7, 26, 13], '1-3/8 in' => [3.3, 2.2, 2.2, 34, 17], '1-5/8 in' => [4.0, 2.6, 2.6, 40, 20], '2-1/8 in' => [5.0, 3.3, 3.3, 52, 26]] as $od => $feet) {
            foreach (['elbows_short', 'elbows_long', 'tees', 'valves_globe', 'valves_angle'] as $i => $kind) {
                $line = fn (float $length): array => ['runs' => [['od' => $od, 'length' => "$length ft", $kind => 10]]];
                $would = $kind === 'elbows_short' ? ['long_elbows_would_do'] : [];
                $fittings["ten $kind of $od"] = [['limit_equivalent' => '600 ft'], [$line(600 - 10 * $feet[$i]), 'clear', []], [$line(600.1 - 10 * $feet[$i]), 'stop', ['equivalent_over', ...$would]]];
            }
        }

        return $fittings + [
            'long elbows would just do' => [['limit_equivalent' => '100 ft', 'limit_actual' => '200 ft'], [['runs' => [['od' => '7/8 in', 'length' => '86 ft', 'elbows_short' => 10]]], 'stop', ['equivalent_over', 'long_elbows_would_do']], [['runs' => [['od' => '7/8 in', 'length' => '86.1 ft', 'elbows_short' => 10]]], 'stop', ['equivalent_over']]],
            'hand bends' => [['limit_equivalent' => '67 ft'], [$run('60 ft', ['bends' => 10]), 'clear', []], [$run('60.1 ft', ['bends' => 10]), 'stop', ['equivalent_over']]],
            'driers' => [['limit_equivalent' => '66 ft', 'drier_equivalent' => '3 ft'], [$run('60 ft', ['driers' => 2]), 'clear', []], [$run('60.1 ft', ['driers' => 2]), 'stop', ['equivalent_over']]],
            'the pipe alone' => [['limit_actual' => '60 ft'], [$run('60 ft'), 'clear', []], [$run('60.1 ft'), 'stop', ['actual_over']]],
            'the rise' => [['limit_actual' => '60 ft', 'limit_rise' => '40 ft'] + $run('60 ft'), [['rise' => '-40 ft'], 'clear', []], [['rise' => '-40.1 ft'], 'stop', ['rise_over']]],
            'a trap each' => [['limit_actual' => '60 ft', 'trap_every' => '20 ft', 'traps' => 2] + $run('60 ft'), [['rise' => '40 ft'], 'clear', []], [['rise' => '40.1 ft'], 'stop', ['traps_short']]],
            'a fitting said' => [['limit_equivalent' => '100 ft'], [$run('60 ft'), 'clear', []], [['runs' => [['od' => '7/8 in', 'length' => '60 ft', 'driers' => 1]]], 'open', ['no_fittings']]],
        ];
    }

    /** @return array<string, array<string, array<int, mixed>>> */
    private static function entries(): array
    {
        $flame = ['place' => 'roof', 'extinguisher' => true, 'first_flame_at' => '9:40'];
        $joint = ['name' => 'drier', 'kind' => 'braze', 'by' => ['Mina']];
        $valve = ['name' => 'liquid', 'kind' => 'service_liquid'];

        return [
            'entry.hot_work' => [
                'an extinguisher' => [['last_flame_at' => '9:40'] + $flame, [[], 'clear', ['fire_watch']], [['extinguisher' => false], 'stop', ['no_extinguisher', 'fire_watch']]],
                'the last flame' => [$flame, [['last_flame_at' => '10:05', 'fire_watch' => 30], 'clear', ['fire_watch']], [[], 'open', ['burning']]],
                'the panel on again' => [['last_flame_at' => '10:05', 'alarm_off_at' => '9:00', 'alarm_off_who' => 'desk'] + $flame, [['alarm_on_at' => '11:10'], 'clear', ['fire_watch']], [[], 'watch', ['fire_watch', 'alarm_still_off']]],
            ],
            'entry.joint' => [
                'seen all around' => [['state' => 'done'] + $joint, [['seen' => true], 'clear', ['done']], [['seen' => false], 'watch', ['not_seen']]],
                'left' => [$joint, [['state' => 'begun'], 'clear', ['begun']], [['state' => 'interrupted'], 'watch', ['interrupted']]],
                'nitrogen' => [['state' => 'begun'] + $joint, [['purged' => true], 'clear', ['begun']], [['purged' => false], 'stop', ['no_purge', 'begun']]],
                'nitrogen on a flare' => [['state' => 'begun', 'purged' => false] + $joint, [['kind' => 'flare'], 'clear', ['begun']], [[], 'stop', ['no_purge', 'begun']]],
                'nobody is named' => [['name' => 'drier', 'kind' => 'press'], [['state' => 'open'], 'clear', ['listed']], [['state' => 'begun'], 'open', ['missing:by', 'begun']]],
            ],
            'entry.valve' => [
                'its cap' => [['state' => 'open', 'turns' => 4.5] + $valve, [['cap' => true], 'clear', ['open']], [['cap' => false], 'watch', ['open', 'cap_off']]],
                'closed' => [$valve, [['state' => 'open'], 'clear', ['open']], [['state' => 'shut'], 'clear', ['shut']]],
                'closed by turns' => [$valve + ['turns' => 3], [['state' => 'shut'], 'clear', ['shut']], [['state' => 'mid'], 'clear', ['mid']]],
                'midway' => [$valve, [['state' => 'mid'], 'clear', ['mid']], [[], 'open', ['missing:state']]],
            ],
            'entry.service_mode' => [
                'power that went off' => [['module' => 'M1', 'on' => false, 'modes' => [['module' => 'M1', 'held' => ['EEV 1']]]], [[], 'clear', ['off']], [['lost' => true], 'watch', ['lost']]],
                'lost before it ended' => [['module' => 'M1', 'on' => false], [['modes' => [['module' => 'M1', 'lost' => false]]], 'clear', ['off']], [['modes' => [['module' => 'M1', 'lost' => true]]], 'watch', ['ended_lost']]],
                'never on' => [['module' => 'M1', 'on' => false], [['modes' => [['module' => 'M1']]], 'clear', ['off']], [['modes' => [['module' => 'M2']]], 'watch', ['was_not_on']]],
                'which valves' => [['module' => 'M1', 'on' => true, 'power_since' => '2026-03-02T07:40:00'], [['held' => ['EEV 1']], 'clear', ['on']], [[], 'open', ['missing:held']]],
                'since when' => [['module' => 'M1', 'on' => true, 'held' => ['EEV 1']], [['power_since' => '2026-03-02T07:40:00'], 'clear', ['on']], [[], 'open', ['missing:power_since']]],
            ],
            'entry.orphan_load' => [
                'fed again' => [['what' => 'light', 'disconnect' => 'D4', 'told' => 'custodian'], [['fed_from' => 'panel L2'], 'clear', ['fed']], [[], 'watch', ['dark']]],
                'somebody told' => [['what' => 'light', 'disconnect' => 'D4', 'fed_from' => 'panel L2'], [['told' => 'custodian'], 'clear', ['fed']], [[], 'watch', ['fed', 'nobody_told']]],
            ],
            'entry.oil' => [
                'a quarter of an hour' => [['in_amount' => '40 floz', 'in_kind' => 'POE'], [['can_open' => 15], 'clear', []], [['can_open' => 15.1], 'watch', ['stood_open']]],
                'an oil that minds' => [['out_amount' => '1 L', 'in_amount' => '1 L', 'can_open' => 60], [['in_kind' => 'MO'], 'clear', []], [['in_kind' => 'PVE'], 'watch', ['stood_open']]],
            ],
            'entry.flush' => [
                'clean' => [['part' => 'line set', 'with' => 'nitrogen', 'blown' => false], [['until_clean' => true], 'clear', []], [['until_clean' => false], 'watch', ['not_clean']]],
                'dry' => [['part' => 'line set', 'with' => 'solvent', 'until_clean' => true], [['blown' => true], 'clear', []], [['blown' => false], 'stop', ['solvent_left']]],
            ],
            'entry.option_chosen' => ['a reason' => [['option' => 'A'], [['why' => 'It fits the feeder.'], 'clear', []], [[], 'open', ['missing:why']]]],
            'entry.lift_day' => [
                'the ground' => [['permit' => 'none needed', 'signals' => 'Mina', 'crane_up_at' => '9:00'], [['ground_by' => 'Rafe'], 'clear', ['arranged']], [[], 'stop', ['ground_unseen', 'missing:ground_by']]],
                'who signals' => [['permit' => 'none needed', 'ground_by' => 'Rafe', 'crane_up_at' => '9:00'], [['signals' => 'Mina'], 'clear', ['arranged']], [[], 'stop', ['nobody_signals', 'missing:signals']]],
                'quiet hours' => [['permit' => 'P-7', 'ground_by' => 'Rafe', 'signals' => 'Mina', 'quiet_until' => '9:00'], [['crane_up_at' => '9:00'], 'clear', ['arranged']], [['crane_up_at' => '8:59'], 'watch', ['quiet_hours']]],
                'before it is up' => [['permit' => 'P-7', 'ground_by' => 'Rafe'], [['signals' => 'Mina'], 'clear', ['arranged']], [[], 'open', ['missing:signals']]],
            ],
            'entry.swap' => [
                'locked out' => [['load' => 'supply', 'place' => 'terminal_block', 'first' => 'L1', 'second' => 'L3'], [['locked' => true], 'clear', []], [['locked' => false], 'watch', ['not_locked_out']]],
                'who else is turned' => [['load' => 'supply', 'first' => 'L1', 'second' => 'L3', 'locked' => true], [['place' => 'disconnect_load_side'], 'clear', []], [['place' => 'upstream'], 'watch', ['turns_others']]],
            ],
            'entry.breaker_tripped' => [
                'reset' => [['place' => 'R-1/7', 'kind' => 'breaker', 'reset_by' => 'Rafe', 'proved' => true], [['reset' => true], 'clear', []], [['reset' => false], 'watch', ['tripped']]],
                'a service mode that was on' => [['place' => 'R-1/7', 'kind' => 'breaker'], [['modes' => [['module' => 'M1', 'lost' => true]]], 'watch', ['tripped']], [['modes' => [['module' => 'M1']]], 'watch', ['tripped', 'service_lost:M1']]],
                'proved first' => [['place' => 'R-1/7', 'kind' => 'breaker', 'reset' => true, 'reset_by' => 'Rafe'], [['proved' => true], 'clear', []], [['proved' => false], 'stop', ['reset_unproved']]],
            ],
            'entry.feed' => ['a unit among them' => [['panel' => 'R-1'], [['items' => [['name' => 'RTU-1', 'machine' => 'RTU-1', 'mca' => '32.8 A']]], 'clear', []], [['items' => [['name' => 'RTU-1', 'mca' => '32.8 A']]], 'watch', ['no_unit']]]],
            'entry.first_step' => [
                'seen right' => [$scroll = ['name' => 'C1', 'kind' => 'scroll', 'started' => '2026-03-02T07:40:00'], [['seen' => 'good'], 'clear', []], [['seen' => 'bad'], 'stop', ['seen_bad']]],
                'stopped' => [$scroll, [[], 'clear', []], [['stopped' => '2026-03-02T07:40:30'], 'clear', []]],
                'suction 5 psi up' => [$scroll + ['suction_before' => '80 psig'], [['suction_after' => '85 psig'], 'clear', []], [['suction_after' => '85.1 psig'], 'watch', ['suction_rose']]],
                'suction up, and not right' => [$scroll + ['suction_before' => '80 psig', 'suction_after' => '90 psig'], [[], 'watch', ['suction_rose']], [['seen' => 'bad'], 'stop', ['seen_bad', 'suction_rose']]],
            ],
            'entry.conditions' => [
                'something read' => [[], [['outdoor' => '34 degF'], 'clear', []], [['mode' => 'fan'], 'open', ['missing:outdoor']]],
                'each of them' => [['outdoor' => '34 degF'], [['return_air' => '68 degF'], 'clear', []], [['head' => '250 psig'], 'clear', []]],
            ],
            'entry.lug_torque' => [
                'a tenth over' => [['place' => 'line lugs', 'sheet_torque' => '40 N.m'], [['torque' => '44 N.m'], 'clear', []], [['torque' => '44.1 N.m'], 'watch', ['off_sheet']]],
                'a tenth under' => [['place' => 'line lugs', 'sheet_torque' => '40 N.m'], [['torque' => '36 N.m'], 'clear', []], [['torque' => '35.9 N.m'], 'watch', ['off_sheet']]],
                'a figure to go by' => [['place' => 'line lugs', 'torque' => '40 N.m'], [['sheet_torque' => '40 N.m'], 'clear', []], [['sheet_torque' => null], 'watch', ['no_figure']]],
            ],
            'entry.part_failed' => ['kept' => [['what' => 'C1', 'how' => 'grounded'], [['kept' => true], 'clear', []], [[], 'watch', ['not_kept']]]],
            'entry.order_sheet' => ['a blank' => [
                ['model' => 'X', 'serial' => '1', 'volts' => '460', 'phases' => 3, 'mca' => '30 A', 'mocp' => '40 A', 'refrigerant' => 'R-22', 'charge' => '9 lb', 'heat' => 'gas', 'heat_input' => '180 MBH', 'supply_drop' => 'x', 'return_drop' => 'x', 'discharge' => 'down', 'curb' => 'x', 'economizer' => 'yes', 'exhaust' => 'no', 'drain_side' => 'left', 'gas_side' => 'right', 'gas_pressure' => '7 inH2O', 'conduit' => 'x', 'controls' => 'x', 'wires' => 7, 'accessories' => ['float'], 'clearances' => 'x', 'weight' => '1160 lb'],
                [['stays' => 'whip'], 'clear', ['complete']], [[], 'watch', ['blanks']],
            ]],
        ];
    }

    /** @return array<string, array<int, mixed>> */
    private static function insulation(): array
    {
        $pipe = ['pipe_od' => '7/8 in', 'surface_temperature' => '45 degF', 'air_temperature' => '85 degF', 'thickness' => '1/2 in'];
        $at = fn (float $humidity): array => ['relative_humidity' => "$humidity %"];

        return [
            'a kelvin over the dew point' => [$pipe, [$at(71.7), 'clear', []], [$at(72.1), 'watch', ['close']]],
            'the dew point' => [$pipe, [$at(76.2), 'watch', ['close']], [$at(76.4), 'stop', ['sweats']]],
            'no thickness is enough' => [$pipe, [$at(89.1), 'stop', ['sweats']], [$at(89.4), 'stop', ['sweats', 'none_thick_enough']]],
            'seams on a warm pipe' => [['joints_sealed' => false] + $pipe, [$at(24), 'clear', []], [$at(25), 'stop', ['joints_open']]],
        ];
    }
}
