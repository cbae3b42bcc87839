<?php

declare(strict_types=1);

// A VRF system in the core alone: a day of 40 units minute by minute, a tree of 64 indoor units, a matrix of 16 zones.

use IronStart\Core\Core;

require dirname(__DIR__, 2) . '/vendor/autoload.php';

const ROUNDS = 20;
const UNITS = 40;
const MINUTES = 1440;
$judge = Core::judge();

$csv = "unit,time,valve_pulses,liquid_pipe,gas_pipe,return_air,thermo_on\n";
for ($minute = 0; $minute < MINUTES; $minute++) {
    for ($unit = 1; $unit <= UNITS; $unit++) {
        $on = (intdiv($minute, 90) + $unit) % 3 === 0;
        $csv .= sprintf("I%d,%s,%d,%.1f,%.1f,%.2f,%d\n", $unit, gmdate('Y-m-d\TH:i', 1_770_000_000 + 60 * $minute), $on ? 180 : 0, $on ? 48 : 72, $on ? 50 : 73, 74 + sin($minute / 200), $on ? 1 : 0);
    }
}

$nodes = [['id' => 'O', 'kind' => 'outdoor', 'capacity' => '150 kW'], ['id' => 'J0', 'kind' => 'joint']];
$sizes = fn (string $liquid, string $gas): array => ['liquid_od' => "$liquid in", 'gas_od' => "$gas in"];
$pipes = [['from' => 'O', 'to' => 'J0', 'actual' => '20 m', 'rise' => '-3 m', 'elbows_long' => 4] + $sizes('5/8', '1-3/8')];
for ($box = 1; $box <= 8; $box++) {
    array_push($nodes, ['id' => "B$box", 'kind' => 'box', 'ports' => 8], ['id' => "J$box", 'kind' => 'joint']);
    array_push($pipes, ['from' => 'J' . ($box - 1), 'to' => "J$box", 'actual' => '4 m'] + $sizes('1/2', '1-1/8'), ['from' => "J$box", 'to' => "B$box", 'actual' => '5 m'] + $sizes('3/8', '7/8'));
    for ($port = 1; $port <= 8; $port++) {
        $nodes[] = ['id' => "I$box-$port", 'kind' => 'indoor', 'capacity' => '2 kW'];
        $pipes[] = ['from' => "B$box", 'to' => "I$box-$port", 'actual' => "$port m", 'ports' => [$port]] + $sizes('1/4', '1/2');
    }
}
$limits = ['max_total' => '1000 m', 'max_farthest_actual' => '150 m', 'max_farthest_equivalent' => '180 m', 'max_after_first_joint' => '90 m', 'max_box_to_indoor' => '40 m', 'max_height_outdoor_above' => '50 m', 'ratio_max' => '130 %', 'port_capacity' => '9 kW', 'sizes' => [['up_to' => '5 kW'] + $sizes('1/4', '1/2'), ['up_to' => '28 kW'] + $sizes('3/8', '7/8'), ['up_to' => '112 kW'] + $sizes('1/2', '1-1/8'), ['up_to' => '160 kW'] + $sizes('5/8', '1-3/8')]];

$zones = array_map(fn (int $n): string => "Zone $n", range(1, 16));
$matrix = array_map(fn (string $called): array => ['called' => $called, 'changes' => array_combine($zones, array_map(fn (string $coil): string => ($coil === $called ? '-20' : '-1') . ' delta_degF', $zones))], $zones);

foreach ([
    ['vrf.leak_by, ' . UNITS * MINUTES . ' rows', 'vrf.leak_by', ['csv' => $csv, 'temperature_unit' => 'degF'], 1000],
    ['vrf.topology, 64 indoor units', 'vrf.topology', ['nodes' => $nodes, 'pipes' => $pipes, 'limits' => $limits], 30],
    ['vrf.crossed_zones, 16 zones', 'vrf.crossed_zones', ['zones' => $zones, 'matrix' => $matrix], 5],
] as [$what, $check, $input, $aim]) {
    $times = [];
    for ($i = 0; $i < ROUNDS; $i++) {
        $start = hrtime(true);
        $verdict = $judge->judge($check, $input, 'us');
        $times[] = (hrtime(true) - $start) / 1e6;
    }
    if ($verdict->judgement->status->value === 'open') {
        fwrite(STDERR, "$what: $verdict->headline\n");
        exit(1);
    }
    sort($times);
    printf("%s: p50 %.1f ms, p95 %.1f ms (aim %d ms)\n", $what, $times[ROUNDS / 2], $times[(int) (ROUNDS * 0.95)], $aim);
}
