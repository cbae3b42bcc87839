<?php

declare(strict_types=1);

// News, recording and the record's PDF, each against the floor behind the same middleware, turn by turn.

use Tests\Faults\Client;

require dirname(__DIR__, 2) . '/vendor/autoload.php';

const ROUNDS = 160;
const WARM = 10;
const READINGS = 300;
const PHOTOS = 30;
const NOTES = 1000;
const TODAY = 12;
$base = $argv[1];
$client = new Client($base, 'bench', 'Rafe Lindqvist');
$machines = [];
foreach ($client->call('GET', 'today')[1]['jobs'] as $job) {
    $machines += array_column($job['machines'], 'id', 'name');
}
$timed = function (string $method, string $path, ?array $body = null) use ($client): float {
    $start = hrtime(true);
    [$status, $said] = $client->call($method, $path, $body, uniqid('bench-', true), true);
    $took = (hrtime(true) - $start) / 1e6;
    if ($status >= 300) {
        exit("$method $path answered $status: " . json_encode($said) . "\n");
    }

    return $took;
};
$at = function (array $times, float $share): float {
    sort($times);

    return $times[(int) floor($share * (count($times) - 1))];
};
$told = function (string $what, array $times, array $floor, string $aim) use ($at): void {
    foreach ([0.5, 0.95] as $p) {
        printf("%s p%d: %.2f ms, floor %.2f ms: %.2f x%s\n", $what, $p * 100, $at($times, $p), $at($floor, $p), $at($times, $p) / $at($floor, $p), $p > 0.9 ? " (aim $aim x)" : '');
    }
};
$filled = array_map(fn (int $id): array => (array) ($client->call('GET', "machines/$id")[1]['prefill']['power.voltage']['machine'] ?? []), array_combine($machines, $machines));
// As a bench sends it: what the sheet fills in goes along, and no reason is needed.
$volts = fn (int $machine): array => ['subject' => 'machine', 'input' => $filled[$machine] + ['volts_ab' => '481 V', 'volts_bc' => '478 V', 'volts_ca' => '484 V']];

$news = $bare = $recorded = $row = [];
for ($i = 0; $i < ROUNDS; $i++) {
    $id = array_values($machines)[$i % count($machines)];
    $news[] = $timed('GET', "machines/$id/news");
    $bare[] = $timed('GET', "machines/$id/nothing");
    $recorded[] = $timed('POST', "machines/$id/checks/power.voltage", $volts($id));
    $row[] = $timed('POST', "machines/$id/nothing", []);
}
$told('news', array_slice($news, WARM), array_slice($bare, WARM), '1.3');
$told('recording', array_slice($recorded, WARM), array_slice($row, WARM), '1.8');

// A reversal that asks something of all others of its feed, against one on a unit nobody told where it hangs.
$reversed = fn (): float => $timed('POST', "machines/{$machines['RTU-2']}/checks/power.rotation", ['subject' => 'machine', 'input' => ['meter' => 'cba', 'meter_confirmed' => true]]);
$tell = fn (array $units): float => $timed('POST', "machines/{$machines['RTU-1']}/checks/entry.feed", ['subject' => 'machine', 'input' => ['panel' => 'R-1', 'items' => array_map(fn (string $unit): array => ['name' => $unit, 'machine' => $unit], $units)]]);
$asked = $alone = [];
for ($i = 0; $i < ROUNDS / 2; $i++) {
    $tell(['RTU-1', 'RTU-3', 'RTU-4']);
    $alone[] = $reversed();
    $tell(['RTU-1', 'RTU-2', 'RTU-3', 'RTU-4']);
    $asked[] = $reversed();
}
$told('a reversal asked of a whole feed', array_slice($asked, WARM), array_slice($alone, WARM), '1.3');

// Today with twelve machines in mid-job.
$jobs = $client->call('GET', 'today')[1]['jobs'];
$job = $jobs[0]['id'];
$there = array_sum(array_map(fn (array $j): int => count($j['machines']), $jobs));
for ($n = $there; $n < TODAY; $n++) {
    [$status, $made] = $client->call('POST', "jobs/$job/machines", ['name' => "B-$n", 'place' => 'roof', 'serial' => "S-$n", 'summary' => '12.5 ton', 'history' => '', 'sheet' => null], uniqid('bench-', true));
    if ($status !== 201) {
        exit("no more machines: $status " . json_encode($made) . "\n");
    }
}
foreach ($client->call('GET', 'today')[1]['jobs'] as $one) {
    foreach ($one['machines'] as $machine) {
        for ($i = 0; $i < 6; $i++) {
            $timed('POST', "machines/{$machine['id']}/checks/power.voltage", ['subject' => 'machine', 'input' => ['plate_voltage' => '460/3/60', 'volts_ab' => '481 V', 'volts_bc' => '478 V', 'volts_ca' => '484 V'], 'reason' => 'bench']);
        }
    }
}
$today = $bare = [];
for ($i = 0; $i < ROUNDS; $i++) {
    $today[] = $timed('GET', 'today');
    $bare[] = $timed('GET', 'nothing');
}
$told('Today, ' . array_sum(array_map(fn (array $j): int => count($j['machines']), $client->call('GET', 'today')[1]['jobs'])) . ' machines', array_slice($today, WARM), array_slice($bare, WARM), '1.5');

// One machine to 300 readings and 30 pictures, then its record on paper.
$id = $machines['RTU-3'];
$have = fn (): array => $client->call('GET', "machines/$id/record")[1];
for ($n = $have()['readings']; $n < READINGS; $n += 3) {
    $timed('POST', "machines/$id/checks/power.voltage", $volts($id));
}
$record = $have();
$checks = array_column(array_filter($record['evidence'], fn (array $e): bool => $e['kind'] === 'check'), 'at');
for ($i = 0; $i < PHOTOS; $i++) {
    $image = imagecreatetruecolor(1600, 1200);
    for ($k = 0; $k < 400; $k++) {
        imagefilledellipse($image, random_int(0, 1600), random_int(0, 1200), 120, 120, random_int(0, 0xffffff));
    }
    ob_start();
    imagejpeg($image, null, 85);
    $client->send("machines/$id/photos?about={$checks[$i % count($checks)]}&caption=Picture", (string) ob_get_clean(), 'image/jpeg', uniqid('bench-', true));
}
$record = $have();
$paper = [];
for ($i = 0; $i < 8; $i++) {
    $paper[] = $timed('GET', "machines/$id/record.pdf");
}
printf("PDF of %d readings and %d pictures: p50 %.2f s, p95 %.2f s (aim 1.5 s)\n", $record['readings'], array_sum(array_map(fn (array $e): int => count($e['photos']), $record['evidence'])), $at($paper, 0.5) / 1e3, $at($paper, 0.95) / 1e3);

// One machine that gathered a thousand long notes.
$id = $machines['RTU-2'];
for ($i = 0; $i < NOTES; $i++) {
    $timed('POST', "machines/$id/notes", ['text' => mb_substr(str_repeat("On day $i the panel was warm and the lugs were tight to the sheet. ", 40), 0, 1990)]);
}
$notes = [];
for ($i = 0; $i < 5; $i++) {
    $notes[] = $timed('GET', "machines/$id/record.pdf");
}
printf("PDF of %d long notes: p50 %.2f s, p95 %.2f s (aim 6 s)\n", NOTES, $at($notes, 0.5) / 1e3, $at($notes, 0.95) / 1e3);
