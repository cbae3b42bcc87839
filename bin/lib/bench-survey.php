<?php

declare(strict_types=1);

// What a survey computes while somebody drags or types, in the core alone, words and drawing included: a route of twenty steps, and nine
// single-phase units spread over the legs exactly.

use IronStart\Core\Core;

require dirname(__DIR__, 2) . '/vendor/autoload.php';

const ROUNDS = 200;
$judge = Core::judge();
$steps = [];
foreach (range(1, 20) as $i) {
    $steps[] = match ($i % 4) {
        0 => ['kind' => 'corridor_turn', 'name' => "turn $i", 'width_in' => '52 in', 'width_out' => '44 in', 'height' => '90 in'],
        1 => ['kind' => 'door', 'name' => "door $i", 'width' => '42 in', 'height' => '82 in'],
        2 => ['kind' => 'lift_car', 'name' => "elevator $i", 'door_width' => '42 in', 'door_height' => '84 in', 'depth' => '68 in', 'width' => '60 in', 'height' => '90 in', 'capacity' => '3500 lb'],
        default => ['kind' => 'stair', 'name' => "stair $i", 'width' => '44 in', 'headroom' => '84 in', 'turns' => 1],
    };
}
$route = ['item' => ['length' => '48 in', 'width' => '33 in', 'height' => '58 in', 'weight' => '310 lb'], 'steps' => $steps];
$unit = fn (int $i): array => ['tons' => '2.5 ton', 'phases' => 1, 'mca' => (14 + 1.3 * $i) . ' A', 'mocp' => '40 A'];
$options = ['required_tons' => '20 ton', 'existing' => ['feeder_ampacity' => '200 A', 'feeder_breaker' => '200 A', 'phases' => 3, 'voltage' => '208 V', 'circuits' => 1],
    'options' => [['name' => 'nine single-phase', 'machines' => array_map($unit, range(1, 9)), 'equipment_cost' => 30000, 'lead_days' => 6]]];

foreach (['survey.route, 20 steps' => ['survey.route', $route, 20], 'survey.options, 9 single-phase units' => ['survey.options', $options, 50]] as $what => [$check, $input, $aim]) {
    if ($judge->judge($check, $input, 'us')->judgement->status->value === 'open') {
        fwrite(STDERR, "$what was not judged whole.\n");
        exit(1);
    }
    $times = [];
    for ($i = 0; $i < ROUNDS; $i++) {
        $start = hrtime(true);
        $judge->judge($check, $input, 'us');
        $times[] = (hrtime(true) - $start) / 1e6;
    }
    sort($times);
    printf("%s: p50 %.2f ms, p95 %.2f ms (aim %d ms)\n", $what, $times[ROUNDS / 2], $times[(int) (ROUNDS * 0.95)], $aim);
}
