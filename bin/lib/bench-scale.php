<?php

declare(strict_types=1);

// Times the hot pages of one company on an instance with few machines and on one with many, turn by turn.
//   bench-scale.php FEW MANY   their addresses

use Tests\Faults\Client;

require dirname(__DIR__, 2) . '/vendor/autoload.php';

const ROUNDS = 120;
const WARM = 20;
[, $few, $many] = $argv;
$clients = $paths = $times = [];
foreach (['few' => $few, 'many' => $many] as $name => $base) {
    $client = $clients[$name] = new Client($base, 'scale', 'Ines Okafor');
    $machines = array_merge(...array_column($client->call('GET', 'today')[1]['jobs'], 'machines'));
    $machine = array_column($machines, 'id', 'name')['RTU-1'];
    $site = $client->call('GET', 'sites')[1]['sites'][0]['id'];
    $paths[$name] = ['Today' => 'today', 'Machine' => "machines/$machine", 'Search' => 'search?q=rtu+1', 'Sites' => 'sites', 'Sites found' => 'sites?q=har', 'Site' => "sites/$site", 'Review' => 'review', 'Clocks' => 'clocks', 'Activity' => 'activity'];
}
for ($i = 0; $i < ROUNDS; $i++) {
    foreach (array_keys($paths['few']) as $page) {
        foreach ($clients as $name => $client) {
            $start = hrtime(true);
            [$status] = $client->call('GET', $paths[$name][$page]);
            $took = (hrtime(true) - $start) / 1e6;
            if ($status !== 200) {
                exit("{$paths[$name][$page]} answered $status\n");
            }
            if ($i >= WARM) {
                $times[$page][$name][] = $took;
            }
        }
    }
}
$at = function (array $each, float $share): float {
    sort($each);

    return $each[(int) floor($share * (count($each) - 1))];
};
foreach ($times as $page => $each) {
    printf("%-12s p50 %.1f and %.1f ms, p95 %.1f and %.1f ms: %.2f x (aim 1.3 x)\n", $page, $at($each['few'], 0.5), $at($each['many'], 0.5), $at($each['few'], 0.95), $at($each['many'], 0.95), $at($each['many'], 0.95) / $at($each['few'], 0.95));
}
