<?php

declare(strict_types=1);

// Fifty people at once for a minute: none waits much longer than the others, none gets an error. Then the same beside
// hundreds who send half a request and no more.
// usage: bench-load.php BASE SECONDS [times|errors]: what it fails for; errors always

const CLIENTS = 50;
const SLOW = 260;
const AIM = 3.0;
[, $base, $seconds, $asks] = $argv + [2 => '60', 3 => 'times'];
$people = ['Rafe Lindqvist', 'Ines Okafor', 'Mina Petrov', 'Tobias Wren'];

/** What a client of its own needs: cookies, token, who it is. */
final class Visitor
{
    public CurlHandle $curl;
    public string $token = '';
    public string $person = '';
    public float $began = 0.0;
    public string $doing = '';
    /** @var list<int> */
    public array $machines = [];

    public function __construct(public readonly string $base, string $name, public readonly int $number)
    {
        $this->curl = curl_init();
        curl_setopt_array($this->curl, [CURLOPT_RETURNTRANSFER => true, CURLOPT_COOKIEFILE => '', CURLOPT_TIMEOUT => 60]);
        $this->ask('POST', 'session/demo', ['name' => $name]);
        $this->person = (string) (json_decode((string) curl_exec($this->curl), true)['person']['id'] ?? exit("$name could not sign in\n"));
        $this->learn();
        $this->ask('GET', 'today');
        foreach (json_decode((string) curl_exec($this->curl), true)['jobs'] as $job) {
            array_push($this->machines, ...array_column($job['machines'], 'id'));
        }
    }

    public function learn(): void
    {
        foreach (curl_getinfo($this->curl, CURLINFO_COOKIELIST) as $cookie) {
            $parts = explode("\t", $cookie);
            $this->token = $parts[5] === 'XSRF-TOKEN' ? urldecode($parts[6]) : $this->token;
        }
    }

    /** @param array<string, mixed>|null $body */
    public function ask(string $method, string $path, ?array $body = null): void
    {
        curl_setopt_array($this->curl, [
            CURLOPT_URL => "$this->base/api/v1/$path", CURLOPT_CUSTOMREQUEST => $method, CURLOPT_POSTFIELDS => $body === null ? '' : json_encode($body),
            CURLOPT_HTTPHEADER => ['Accept: application/json', 'Content-Type: application/json', "X-XSRF-TOKEN: $this->token", "X-Device: load-$this->number", "X-Person: $this->person", 'Idempotency-Key: ' . uniqid("load-$this->number-", true), 'Prefer: return=minimal'],
        ]);
    }

    public function next(): void
    {
        $machine = $this->machines[mt_rand(0, count($this->machines) - 1)];
        $volts = ['volts_ab' => mt_rand(470, 490) . ' V', 'volts_bc' => '478 V', 'volts_ca' => '484 V', 'plate_voltage' => '460'];
        [$this->doing, $method, $path, $body] = match (mt_rand(0, 9)) {
            0, 1 => ['Today', 'GET', 'today', null],
            2, 3, 4 => ['Machine', 'GET', "machines/$machine", null],
            5, 6, 7 => ['judge', 'POST', 'judge/power.voltage', ['units' => 'us', 'input' => $volts]],
            default => ['record', 'POST', "machines/$machine/checks/power.voltage", ['subject' => 'machine', 'reason' => 'under load', 'input' => $volts]],
        };
        $this->ask($method, $path, $body);
        $this->began = hrtime(true) / 1e6;
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
        $visitor->next();
        $of[spl_object_id($visitor->curl)] = $visitor;
        curl_multi_add_handle($multi, $visitor->curl);
    }
    $errors = 0;
    $end = hrtime(true) / 1e6 + $seconds * 1000;
    do {
        curl_multi_exec($multi, $running);
        while ($done = curl_multi_info_read($multi)) {
            $visitor = $of[spl_object_id($done['handle'])];
            $times[$visitor->doing][] = hrtime(true) / 1e6 - $visitor->began;
            $status = curl_getinfo($visitor->curl, CURLINFO_RESPONSE_CODE);
            if ($status < 200 || $status >= 300) {
                $errors++;
                fwrite(STDERR, "$visitor->doing answered $status: " . substr((string) curl_multi_getcontent($visitor->curl), 0, 200) . "\n");
            }
            $visitor->learn();
            curl_multi_remove_handle($multi, $visitor->curl);
            if (hrtime(true) / 1e6 < $end) {
                $visitor->next();
                curl_multi_add_handle($multi, $visitor->curl);
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
