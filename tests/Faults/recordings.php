<?php

declare(strict_types=1);

// Four devices record on one machine, 50 readings each; what gets no answer is sent again under its key, as the
// interface does. Called twice: to record, and then to look whether each acknowledged reading is there, once.
//   recordings.php record BASE MACHINE FILE   writes "text at" to FILE as each is acknowledged
//   recordings.php check BASE MACHINE FILE

use Tests\Faults\Client;

require dirname(__DIR__, 2) . '/vendor/autoload.php';

const DEVICES = 4;
const EACH = 50;
const PATIENCE_S = 90;
const PAUSE_US = 50_000;
[, $what, $base, $name, $file] = $argv;

function machine(Client $client, string $name): int
{
    foreach ($client->call('GET', 'today')[1]['jobs'] ?? [] as $job) {
        foreach ($job['machines'] as $machine) {
            if ($machine['name'] === $name) {
                return $machine['id'];
            }
        }
    }
    throw new RuntimeException("There is no $name on today's board.");
}

function record(string $base, string $name, string $file, int $device): void
{
    $client = new Client($base, "fault-$device", 'Rafe Lindqvist');
    $machine = machine($client, $name);
    for ($i = 0; $i < EACH; $i++) {
        $text = "fault-$device-$i";
        $until = microtime(true) + PATIENCE_S;
        do {
            [$status, $said] = $client->call('POST', "machines/$machine/checks/power.voltage", ['subject' => $text, 'input' => ['volts_ab' => '481 V', 'volts_bc' => '478 V', 'volts_ca' => '484 V', 'plate_voltage' => '460']], "key-$text-" . getmypid());
            if ($status !== 201) {
                usleep(PAUSE_US);
            }
        } while ($status !== 201 && microtime(true) < $until);
        if ($status !== 201) {
            throw new RuntimeException("$text was never taken: $status");
        }
        file_put_contents($file, "$text {$said['at']}\n", FILE_APPEND | LOCK_EX);
    }
}

if ($what === 'record') {
    $children = [];
    for ($device = 0; $device < DEVICES; $device++) {
        $pid = pcntl_fork();
        if ($pid === 0) {
            try {
                record($base, $name, $file, $device);
                exit(0);
            } catch (Throwable $error) {
                fwrite(STDERR, $error->getMessage() . "\n");
                exit(1);
            }
        }
        $children[] = $pid;
    }
    $failed = 0;
    foreach ($children as $pid) {
        pcntl_waitpid($pid, $status);
        $failed += pcntl_wexitstatus($status) === 0 ? 0 : 1;
    }
    exit($failed === 0 ? 0 : 1);
}

$client = new Client($base, 'fault-check', 'Rafe Lindqvist');
$machine = machine($client, $name);
[, $record] = $client->call('GET', "machines/$machine/record.json");
$places = [];
foreach ($record['chain'] as $link) {
    $subject = $link['entry']['check']['subject'] ?? '';
    if (str_starts_with($subject, 'fault-')) {
        $places[$subject][] = $link['entry']['at'];
    }
}
$wrong = 0;
foreach (file($file, FILE_IGNORE_NEW_LINES) ?: [] as $line) {
    [$text, $at] = explode(' ', $line);
    if (($places[$text] ?? []) !== [(int) $at]) {
        fwrite(STDERR, "$text was acknowledged at $at and stands at [" . implode(', ', $places[$text] ?? []) . "]\n");
        $wrong++;
    }
}
$twice = count(array_filter($places, fn (array $at): bool => count($at) > 1));
printf("%d acknowledged, %d in the record, %d twice, %d wrong\n", count(file($file) ?: []), count($places), $twice, $wrong);
file_put_contents("$file.json", json_encode($record));
exit(count($places) === DEVICES * EACH && $twice === 0 && $wrong === 0 ? 0 : 1);
