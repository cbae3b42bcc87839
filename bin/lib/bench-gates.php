<?php

declare(strict_types=1);

// The gates of a machine with 300 entries, in the core alone.

use IronStart\Core\Core;

require dirname(__DIR__, 2) . '/vendor/autoload.php';

const ENTRIES = 300;
const ROUNDS = 400;
$checks = ['power.rotation', 'power.voltage', 'power.circuit', 'power.lockout', 'list.prestart', 'power.running_amps', 'charge.state', 'air.split', 'tight.hold', 'dry.decay'];
$status = ['clear', 'watch', 'stop', 'clear', 'open'];
$recorded = [];
for ($i = 0; $i < ENTRIES; $i++) {
    $check = $checks[$i % count($checks)];
    $recorded[] = ['check' => $check, 'subject' => in_array($check, ['charge.state', 'tight.hold', 'dry.decay'], true) ? 'circuit:' . 'AB'[$i % 2] : 'machine', 'status' => $status[intdiv($i, 7) % 5], 'codes' => [], 'at' => $i + 1, 'suspect' => $i % 50 === 0];
}
$input = ['job_type' => 'condensing', 'circuits' => ['A', 'B'], 'facts' => ['circuit_opened', 'craned'], 'recorded' => $recorded, 'put_back' => [['id' => '1', 'shuts' => [8]]]];
$bench = Core::judge();
$times = [];
for ($i = 0; $i < ROUNDS; $i++) {
    $start = hrtime(true);
    $bench->judge('job.gates', $input, 'us');
    $times[] = (hrtime(true) - $start) / 1e6;
}
sort($times);
printf("gates of %d entries: p50 %.2f ms, p95 %.2f ms (aim 5 ms)\n", ENTRIES, $times[ROUNDS / 2], $times[(int) (ROUNDS * 0.95)]);
