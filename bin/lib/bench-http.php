<?php

declare(strict_types=1);

// The judge endpoint against a route behind the same middleware that returns {}: two clients, turn by turn.

const ROUNDS = 400;
$base = $argv[1];

/** One signed-in client. */
function client(string $base): Closure
{
    $jar = (string) tempnam(sys_get_temp_dir(), 'jar');
    $curl = curl_init();
    $token = '';
    $call = function (string $method, string $path, ?string $body = null) use ($curl, $base, $jar, &$token): float {
        curl_setopt_array($curl, [
            CURLOPT_URL => $base . $path, CURLOPT_CUSTOMREQUEST => $method, CURLOPT_RETURNTRANSFER => true, CURLOPT_COOKIEFILE => $jar, CURLOPT_COOKIEJAR => $jar,
            CURLOPT_POSTFIELDS => $body ?? '', CURLOPT_HTTPHEADER => ['Accept: application/json', 'Content-Type: application/json', "X-XSRF-TOKEN: $token"],
        ]);
        $start = hrtime(true);
        curl_exec($curl);
        $took = (hrtime(true) - $start) / 1e6;
        if (curl_getinfo($curl, CURLINFO_RESPONSE_CODE) >= 300) {
            exit("$method $path answered " . curl_getinfo($curl, CURLINFO_RESPONSE_CODE) . "\n");
        }
        foreach (curl_getinfo($curl, CURLINFO_COOKIELIST) as $cookie) {
            $parts = explode("\t", $cookie);
            $token = $parts[5] === 'XSRF-TOKEN' ? urldecode($parts[6]) : $token;
        }

        return $took;
    };
    $call('GET', '/api/v1/session');
    $call('POST', '/api/v1/session/demo', '{"name":"Rafe Lindqvist"}');

    return $call;
}

$body = '{"units":"us","input":{"volts_ab":"481 V","volts_bc":"478 V","volts_ca":"484 V","plate_voltage":"460"}}';
$pipes = [];
for ($n = 0; $n < 2; $n++) {
    $pair = stream_socket_pair(STREAM_PF_UNIX, STREAM_SOCK_STREAM, 0);
    if ($pair === false || ($pid = pcntl_fork()) === -1) {
        exit("no second process\n");
    }
    if ($pid === 0) {
        $call = client($base);
        $times = ['judge' => [], 'nothing' => []];
        for ($i = 0; $i < ROUNDS; $i++) {
            $judge = $call('POST', '/api/v1/judge/power.voltage', $body);
            $nothing = $call('POST', '/api/v1/nothing', $body);
            if ($i >= 20) {
                $times['judge'][] = $judge;
                $times['nothing'][] = $nothing;
            }
        }
        fwrite($pair[1], json_encode($times, JSON_THROW_ON_ERROR));
        exit(0);
    }
    fclose($pair[1]);
    $pipes[] = $pair[0];
}
$all = ['judge' => [], 'nothing' => []];
foreach ($pipes as $pipe) {
    foreach (json_decode((string) stream_get_contents($pipe), true) as $route => $times) {
        $all[$route] = [...$all[$route], ...$times];
    }
}
$at = function (array $times, float $share): float {
    sort($times);

    return $times[(int) floor($share * (count($times) - 1))];
};
foreach ([50, 95] as $p) {
    [$judge, $floor] = [$at($all['judge'], $p / 100), $at($all['nothing'], $p / 100)];
    printf("p%d: judge %.2f ms, nothing %.2f ms: %.2f x (aim 1.5 x)\n", $p, $judge, $floor, $judge / $floor);
}
