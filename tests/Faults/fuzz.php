<?php

declare(strict_types=1);

// Requests nobody should send, to every address of the API's description, by a seed: none may end in a 5xx.
// usage: fuzz.php BASE NUMBER [SEED]

use Tests\Faults\Client;

require dirname(__DIR__, 2) . '/vendor/autoload.php';

[, $base, $number] = $argv;
mt_srand((int) ($argv[3] ?? 1));
$api = json_decode((string) file_get_contents(dirname(__DIR__, 2) . '/public/openapi.json'), true);
/** What is in this text stands in the body as it is, without JSON's own spelling. */
const RAW = "raw\1";
const BAD = [
    null, true, false, 0, -1, 1.5, 12, [], [[[[]]]], ['a' => ['b' => ['c' => 1]]], '', ' ', 'x', "\0", "a\0b", "\u{202E}\u{0301}", '💥', '%00', "'; DROP TABLE entries; --", '=1+1', '../../etc/passwd',
    '0000-01-01', '2026-13-45', '9999-12-31T23:59:60Z', '2026-02-30T10:00:00Z', 'NaN', '-0', '1e999', '9' . '9999999999999999999', 'null', 'A', 'machine', 'compressor:', 'compressor:C1', 'power.voltage', 'rooftop', 'en',
    RAW . '1e999', RAW . '-1e999', RAW . '9223372036854775808', RAW . '99999999999999999999999999', RAW . '1e308', RAW . '2147483648', RAW . '-2147483649', RAW . '0.1e-400', RAW . '"?FF?"', RAW . '"\\\\ud800"', RAW . '"\\\\u0000"',
];
$long = [str_repeat('long ', 2_000), str_repeat('é', 5_000), array_fill(0, 300, 'x'), array_fill(0, 50, ['name' => 'x'])];
$bad = fn (): mixed => mt_rand(0, 19) === 0 ? $long[mt_rand(0, count($long) - 1)] : BAD[mt_rand(0, count(BAD) - 1)];

$people = array_map(fn (string $name): Client => new Client($base, 'fuzz', $name), ['Ines Okafor', 'Rafe Lindqvist', 'Mina Petrov', 'Tobias Wren']);
$known = ['machine' => [], 'check' => array_column($people[0]->call('GET', 'checks')[1]['checks'], 'id')];
foreach ($people[0]->call('GET', 'today')[1]['jobs'] as $job) {
    array_push($known['machine'], ...array_column($job['machines'], 'id'));
}
$small = ['1', '2', '3', '4', '5'];

/** A value that may fit a schema. */
$fitting = function (array $schema) use (&$fitting, $api, $bad): mixed {
    if (isset($schema['$ref'])) {
        return $fitting($api['components']['schemas'][basename($schema['$ref'])] ?? []);
    }
    if (isset($schema['enum'])) {
        return $schema['enum'][mt_rand(0, count($schema['enum']) - 1)];
    }
    $type = $schema['type'] ?? 'string';

    return match (is_array($type) ? $type[0] : $type) {
        'object' => (object) array_map($fitting, $schema['properties'] ?? []),
        'array' => mt_rand(0, 3) === 0 ? [] : [$fitting($schema['items'] ?? [])],
        'integer' => mt_rand(0, 9), 'number' => mt_rand(0, 500) / 10, 'boolean' => mt_rand(0, 1) === 1,
        default => ['x', '2026-05-04', '481 V', 'Rafe', 'a@b.example', 'detector'][mt_rand(0, 5)],
    };
};
/** The same with one member or a few that do not fit, some that nobody asked for, and some left out. */
$spoilt = function (mixed $value) use (&$spoilt, $bad): mixed {
    if (mt_rand(0, 14) === 0) {
        return $bad();
    }
    if ($value instanceof stdClass) {
        foreach (get_object_vars($value) as $name => $inner) {
            $value->{$name} = $spoilt($inner);
            if (mt_rand(0, 9) === 0) {
                unset($value->{$name});
            }
        }
        if (mt_rand(0, 7) === 0) {
            $value->{['extra', 'id', '__proto__', 'company_id', 'a.b'][mt_rand(0, 4)]} = $bad();
        }

        return $value;
    }

    return is_array($value) ? array_map($spoilt, $value) : (mt_rand(0, 7) === 0 ? $bad() : $value);
};
$write = fn (mixed $body): string => (string) preg_replace_callback('/"raw\\\\u0001((?:[^"\\\\]|\\\\.)*)"/', fn (array $m): string => strtr(stripcslashes($m[1]), ['?FF?' => "\xff\xfe"]), (string) json_encode($body, JSON_PARTIAL_OUTPUT_ON_ERROR | JSON_INVALID_UTF8_SUBSTITUTE));

$asked = [];
foreach ($api['paths'] as $path => $methods) {
    foreach ($methods as $method => $operation) {
        // Nobody is signed out by it, or the rest would all be 401.
        if (in_array($method, ['get', 'post', 'patch'], true) && ! in_array($operation['operationId'], ['signIn', 'signInToDemo', 'join', 'setActive', 'signOutEverywhere', 'changeRole'], true)) {
            $asked[] = [strtoupper($method), $path, $operation];
        }
    }
}
$statuses = $failed = [];
for ($i = 0; $i < (int) $number; $i++) {
    [$method, $path, $operation] = $asked[mt_rand(0, count($asked) - 1)];
    $query = [];
    $headers = $method === 'GET' ? [] : ['Idempotency-Key' => 'fuzz-' . getmypid() . "-$i"];
    foreach ($operation['parameters'] ?? [] as $parameter) {
        $parameter = isset($parameter['$ref']) ? $api['components']['parameters'][basename($parameter['$ref'])] : $parameter;
        $value = $bad();
        $value = rawurlencode(is_scalar($value) ? (string) $value : (string) json_encode($value));
        if ($parameter['in'] === 'path') {
            $choices = $known[$parameter['name']] ?? ($parameter['schema']['enum'] ?? $small);
            $value = mt_rand(0, 4) === 0 ? ($value === '' ? '0' : substr($value, 0, 300)) : (string) $choices[mt_rand(0, count($choices) - 1)];
            $path = str_replace("{{$parameter['name']}}", $value, $path);
        } elseif ($parameter['in'] === 'query' && mt_rand(0, 2) > 0) {
            $query[] = $parameter['name'] . (mt_rand(0, 5) === 0 ? '[]' : '') . "=$value";
        }
    }
    foreach (['X-Device-Time', 'X-Device-Sent', 'X-Device', 'X-Person', 'Idempotency-Key', 'Content-Type', 'Prefer'] as $name) {
        if (mt_rand(0, 24) === 0) {
            $value = $bad();
            $headers[$name] = (string) preg_replace('/[\x00-\x1f]/', '', is_scalar($value) ? (string) $value : 'x');
        }
    }
    if ($method !== 'GET' && mt_rand(0, 9) === 0) {
        $headers['X-Device-Time'] = ['2026-13-45T10:00:00Z', '0000-00-00T00:00:00Z', '0001-01-01T00:00:00Z', '9999-12-31T23:59:59Z', '2026-02-30T25:61:00+99:99', '2026-05-04T10:00:00.123456Z'][mt_rand(0, 5)];
    }
    $schema = $operation['requestBody']['content']['application/json']['schema'] ?? null;
    $body = match (true) {
        $method === 'GET' => '',
        mt_rand(0, 39) === 0 => ['', '[]', '{', 'null', '"x"', str_repeat('[', 700), str_repeat('{"a":', 600) . '1' . str_repeat('}', 600), "\xff", '{"a":1,"a":2}'][mt_rand(0, 8)],
        default => $write($spoilt($fitting($schema ?? ['type' => 'object', 'properties' => []]))),
    };
    $url = substr($path, strlen('/api/v1/')) . ($query === [] ? '' : '?' . implode('&', $query));
    [$status, $said] = $people[mt_rand(0, 9) < 6 ? 0 : mt_rand(1, 3)]->raw($method, $url, $body, $headers);
    $statuses[$status] = ($statuses[$status] ?? 0) + 1;
    if ($status >= 500 || $status === 0) {
        $failed["{$operation['operationId']} $status"][] = "$method $url " . json_encode($headers) . ' ' . substr($body, 0, 400) . ' -> ' . json_encode($said);
    }
}
ksort($statuses);
echo "$number requests to " . count($asked) . ' operations: ' . implode(', ', array_map(fn (int $s, int $n): string => "$n x $s", array_keys($statuses), $statuses)) . "\n";
foreach ($failed as $what => $those) {
    echo "FAILED $what, " . count($those) . " times:\n  " . implode("\n  ", array_slice($those, 0, 2)) . "\n";
}
exit($failed === [] ? 0 : 1);
