<?php

declare(strict_types=1);

// Fifty people at once for a minute: none waits much longer than the others, none gets an error. Then the same beside
// hundreds who send half a request and no more.
// usage: bench-load.php BASE SECONDS [times|errors]: what it fails for; errors always

use Tests\Faults\Client;

require dirname(__DIR__, 2) . '/vendor/autoload.php';

const CLIENTS = 50;
const SLOW = 260;
const AIM = 3.0;
[, $base, $seconds, $asks] = $argv + [2 => '60', 3 => 'times'];
$people = ['Rafe Lindqvist', 'Ines Okafor', 'Mina Petrov', 'Tobias Wren'];

/** Somebody who asks for one thing after the other, each as soon as the last was answered. */
final class Visitor
{
    public readonly Client $client;
    public float $began = 0.0;
    public string $doing = '';
    /** @var list<int> */
    private array $machines = [];

    public function __construct(string $base, string $name, private readonly int $number)
    {
        $this->client = new Client($base, "load-$number", $name);
        foreach ($this->client->call('GET', 'today')[1]['jobs'] as $job) {
            array_push($this->machines, ...array_column($job['machines'], 'id'));
        }
    }

    public function next(): CurlHandle
    {
        $machine = $this->machines[mt_rand(0, count($this->machines) - 1)];
        $volts = ['volts_ab' => mt_rand(470, 490) . ' V', 'volts_bc' => '478 V', 'volts_ca' => '484 V', 'plate_voltage' => '460'];
        [$this->doing, $method, $path, $body] = match (mt_rand(0, 9)) {
            0, 1 => ['Today', 'GET', 'today', null],
            2, 3, 4 => ['Machine', 'GET', "machines/$machine", null],
            5, 6, 7 => ['judge', 'POST', 'judge/power.voltage', ['units' => 'us', 'input' => $volts]],
            default => ['record', 'POST', "machines/$machine/checks/power.voltage", ['subject' => 'machine', 'reason' => 'under load', 'input' => $volts]],
        };
        $this->began = hrtime(true) / 1e6;

        return $this->client->begin($method, $path, $body, uniqid("load-$this->number-", true), true);
    }
}

/** @return resource */
$halfSent = function (int $i) use ($base): mixed {
    $socket = stream_socket_client('tcp://' . substr($base, strlen('http://')), $no, $why, 5) ?: exit("no connection: $why\n");
    $host = substr($base, strlen('http://'));
    fwrite($socket, $i % 2 === 0 ? "GET /api/v1/session HTTP/1.1\r\nHost: $host\r\nX-Slow: " : "POST /api/v1/session HTTP/1.1\r\nHost: $host\r\nContent-Type: application/json\r\nContent-Length: 500\r\n\r\n{");

    return $socket;
};

/** @return array{array<string, list<float>>, int, float} times by what was asked, errors, the longest time without an answer for anybody */
$run = function (int $clients, float $seconds) use ($base, $people): array {
    $visitors = $times = [];
    for ($i = 0; $i < $clients; $i++) {
        // An office person records nothing.
        $visitors[$i] = new Visitor($base, $people[$i % 3], $i);
    }
    $multi = curl_multi_init();
    $of = [];
    foreach ($visitors as $visitor) {
        $curl = $visitor->next();
        $of[spl_object_id($curl)] = $visitor;
        curl_multi_add_handle($multi, $curl);
    }
    $errors = 0;
    $end = hrtime(true) / 1e6 + $seconds * 1000;
    do {
        curl_multi_exec($multi, $running);
        while ($done = curl_multi_info_read($multi)) {
            $visitor = $of[spl_object_id($done['handle'])];
            $times[$visitor->doing][] = hrtime(true) / 1e6 - $visitor->began;
            [$status, $said] = $visitor->client->end(curl_multi_getcontent($done['handle']));
            if ($status < 200 || $status >= 300) {
                $errors++;
                fwrite(STDERR, "$visitor->doing answered $status: " . substr((string) json_encode($said), 0, 200) . "\n");
            }
            curl_multi_remove_handle($multi, $done['handle']);
            if (hrtime(true) / 1e6 < $end) {
                curl_multi_add_handle($multi, $visitor->next());
                $running = 1;
            }
        }
        curl_multi_select($multi, 0.2);
    } while ($running > 0);

    return [$times, $errors, max(array_map(max(...), $times))];
};
$at = function (array $times, float $share): float {
    sort($times);

    return $times[(int) floor($share * (count($times) - 1))];
};
$isMet = true;
$told = function (string $what, array $run) use ($at, $asks, &$isMet): void {
    [$times, $errors, $longest] = $run;
    $all = array_merge(...array_values($times));
    $ratio = $at($all, 0.99) / $at($all, 0.5);
    $isMet = $isMet && $errors === 0 && ($asks === 'errors' || $ratio <= AIM);
    printf("%s: %d answers, p50 %.0f ms, p99 %.0f ms: %.2f x (aim %.0f x), longest %.0f ms, %d errors\n", $what, count($all), $at($all, 0.5), $at($all, 0.99), $ratio, AIM, $longest, $errors);
    ksort($times);
    foreach ($times as $name => $those) {
        printf("  %-8s p50 %.0f ms, p99 %.0f ms\n", $name, $at($those, 0.5), $at($those, 0.99));
    }
};

$told(CLIENTS . ' people at once', $run(CLIENTS, (float) $seconds));
$held = array_map($halfSent, range(1, SLOW));
$told(CLIENTS . ' people beside ' . SLOW . ' half-sent requests', $run(CLIENTS, (float) $seconds / 6));
unset($held);
exit($isMet ? 0 : 1);
