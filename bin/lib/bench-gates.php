<?php

declare(strict_types=1);

// The gates of a machine with 300 entries, in the core alone: as the application judges them, entries as objects, what came too early taken from
// the tape; and from text, with the order of time worked out anew.

use IronStart\Core\Core;
use IronStart\Core\Gate\GateInput;
use IronStart\Core\Gate\Gates;
use IronStart\Core\Gate\Job;
use IronStart\Core\Gate\JobType;
use IronStart\Core\Gate\Recorded;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Wording\GateSpeaker;
use IronStart\Core\Wording\GateWords;
use IronStart\Core\Wording\Phrases;

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
$judge = Core::judge();
$speaker = new GateSpeaker(Phrases::shipped(), $judge->registry->ids());
$objects = array_map(fn (array $r): Recorded => new Recorded($r['check'], $r['subject'], Status::from($r['status']), $r['codes'], $r['at'], $r['suspect']), $recorded);
$given = new GateInput([['id' => '1', 'closed' => false, 'explained' => false, 'shuts' => [8]]], [], [], [], [], null);
$words = new GateWords();
$timed = function (callable $once): array {
    $times = [];
    for ($i = 0; $i < ROUNDS; $i++) {
        $start = hrtime(true);
        $once();
        $times[] = (hrtime(true) - $start) / 1e6;
    }
    sort($times);

    return [$times[ROUNDS / 2], $times[(int) (ROUNDS * 0.95)]];
};
$application = $timed(function () use ($objects, $given, $speaker, $words): void {
    $job = Job::of(JobType::Condensing, false, [], ['circuit_opened', 'craned'], ['A', 'B'], [], [], [], [], [], [], $objects);
    $gates = Gates::of($job, $objects, $given, false);
    $lines = $speaker->lines($gates, $words);
    $speaker->refused($gates, $lines, $words);
    $speaker->next($gates, $words);
});
$wire = $timed(fn () => $judge->judge('job.gates', $input, 'us'));
printf("gates of %d entries as the application judges and words them: p50 %.2f ms, p95 %.2f ms (aim 2.5 ms)\n", ENTRIES, ...$application);
printf("  the same through bin/judge's reader: p50 %.2f ms, p95 %.2f ms\n", ...$wire);
