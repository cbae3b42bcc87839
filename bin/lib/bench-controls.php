<?php

declare(strict_types=1);

// What the controls compute, in the core alone: a day of a room with seven stages, traced and judged.

use IronStart\Core\Core;

require dirname(__DIR__, 2) . '/vendor/autoload.php';

const ROUNDS = 60;
$judge = Core::judge();
$input = [
    'cool_setpoint' => '74 degF', 'heat_setpoint' => '70 degF', 'differential' => '1.5 delta_degF', 'deadband' => '1 delta_degF', 'min_on' => 3, 'min_off' => 3,
    'counts' => ['cool' => 4, 'heat' => 3, 'cool_capacity' => '12.5 ton', 'heat_capacity' => '145000 Btu/h'],
    'room' => ['ua_w_per_k' => 1200, 'capacitance_kj_per_k' => 9000, 'gains' => '9000 W', 'start' => '74 degF'],
    'outdoor' => ['mean' => '74 degF', 'amplitude' => '22 delta_degF'],
];
if (! isset($judge->judge('controls.staging', $input, 'us')->judgement->drawing['trace'])) {
    fwrite(STDERR, "The day was not traced.\n");
    exit(1);
}
$times = [];
for ($i = 0; $i < ROUNDS; $i++) {
    $start = hrtime(true);
    $judge->judge('controls.staging', $input, 'us');
    $times[] = (hrtime(true) - $start) / 1e6;
}
sort($times);
printf("controls.staging, a day of seven stages: p50 %.2f ms, p95 %.2f ms (aim 30 ms)\n", $times[ROUNDS / 2], $times[(int) (ROUNDS * 0.95)]);
