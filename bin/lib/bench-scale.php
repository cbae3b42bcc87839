<?php

declare(strict_types=1);

// Times Today, a machine, search and the office's lists for one company; and looks at the plans of their queries.
//   bench-scale.php BASE ROUNDS FILE   prints p50 and p95 of each as JSON into FILE

use Tests\Faults\Client;

require dirname(__DIR__, 2) . '/vendor/autoload.php';

[, $base, $rounds, $file] = $argv;
$client = new Client($base, 'scale', 'Ines Okafor');
$machine = 0;
foreach ($client->call('GET', 'today')[1]['jobs'] as $job) {
    $machine = $job['machines'][0]['id'];
}
$site = $client->call('GET', 'sites')[1]['sites'][0]['id'];
$paths = ['Today' => 'today', 'Machine' => "machines/$machine", 'Search' => 'search?q=rtu+1', 'Sites' => 'sites', 'Sites found' => 'sites?q=har', 'Site' => "sites/$site", 'Review' => 'review', 'Clocks' => 'clocks', 'Activity' => 'activity'];
$times = [];
for ($i = 0; $i < (int) $rounds; $i++) {
    foreach ($paths as $name => $path) {
        $start = hrtime(true);
        [$status] = $client->call('GET', $path);
        $took = (hrtime(true) - $start) / 1e6;
        if ($status !== 200) {
            exit("$path answered $status\n");
        }
        if ($i >= 5) {
            $times[$name][] = $took;
        }
    }
}
$told = [];
foreach ($times as $name => $each) {
    sort($each);
    $told[$name] = ['p50' => $each[intdiv(count($each), 2)], 'p95' => $each[(int) (count($each) * 0.95)]];
}
file_put_contents($file, json_encode($told, JSON_THROW_ON_ERROR));
