<?php

declare(strict_types=1);

// 10,000 lines of checks through bin/judge, against a loop that decodes the same lines and encodes the same answers.
// Both are whole programs, their start included. The gates have a figure of their own (bench-gates.php).

$root = dirname(__DIR__, 2);
$lines = [];
foreach (glob("$root/core/tests/Fixtures/vectors/*.ndjson") ?: [] as $file) {
    foreach (file($file) ?: [] as $line) {
        $case = json_decode($line);
        unset($case->expect, $case->note, $case->tolerance);
        if ($case->check === 'job.gates') {
            continue;
        }
        $lines[] = json_encode($case, JSON_THROW_ON_ERROR) . "\n";
    }
}
$all = [];
for ($i = 0; $i < 10000; $i++) {
    $all[] = $lines[$i % count($lines)];
}
$in = (string) tempnam(sys_get_temp_dir(), 'bench');
$out = (string) tempnam(sys_get_temp_dir(), 'bench');
file_put_contents($in, implode('', $all));

$run = function (string $command): float {
    $best = INF;
    for ($i = 0; $i < 3; $i++) {
        $start = hrtime(true);
        passthru($command, $code);
        $best = min($best, (hrtime(true) - $start) / 1e9);
        if ($code !== 0) {
            exit("failed: $command\n");
        }
    }

    return $best;
};
$judge = $run("$root/bin/judge < $in > $out");
$floorCode = '$a = file($argv[2]); $d = array_map("json_decode", $a); $i = 0; $in = fopen($argv[1], "rb"); $o = fopen("/dev/null", "wb"); $t = hrtime(true);'
    . 'while (($l = fgets($in)) !== false) { json_decode($l); fwrite($o, json_encode($d[$i++]) . "\n"); fflush($o); } fwrite(STDERR, (string) ((hrtime(true) - $t) / 1e9));';
$floor = INF;
$start = $run('php -r ""');
for ($i = 0; $i < 3; $i++) {
    exec('php -r ' . escapeshellarg($floorCode) . " -- $in $out 2>&1", $said);
    $floor = min($floor, $start + (float) end($said));
}
printf("judge %.2f s, floor %.3f s: %.1f x (aim 12 x), %.0f us a line\n", $judge, $floor, $judge / $floor, $judge * 100);
unlink($in);
unlink($out);
