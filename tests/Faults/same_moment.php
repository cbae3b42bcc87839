<?php

declare(strict_types=1);

// Two people close, override and sign at the same moment: one wins, the other is told by whom and with which words.
//   same_moment.php BASE   on the demo with RTU-1 answered but for the owner's brief

use Tests\Faults\Client;

require dirname(__DIR__, 2) . '/vendor/autoload.php';

$base = $argv[1];
$failed = 0;
$rafe = new Client($base, 'device-rafe', 'Rafe Lindqvist');
$tablet = new Client($base, 'tablet-rafe', 'Rafe Lindqvist');
$mina = new Client($base, 'device-mina', 'Mina Petrov');
$ines = new Client($base, 'device-ines', 'Ines Okafor');
$other = new Client($base, 'tablet-ines', 'Ines Okafor');
$ids = [];
foreach ($rafe->call('GET', 'today')[1]['jobs'] as $job) {
    $ids += array_column($job['machines'], 'id', 'name');
}
$at = fn (string $name): string => "machines/{$ids[$name]}";
$one = function (string $what, array $answers) use (&$failed): void {
    usort($answers, fn (array $a, array $b): int => $a[0] <=> $b[0]);
    [[$won], [$lost, $told]] = $answers;
    $good = $won === 201 && $lost === 409 && ($told['theirs']['who'] ?? '') !== '';
    printf("%s %s: %d and %d, %s\n", $good ? 'good' : 'WRONG', $what, $won, $lost, $told['detail'] ?? '');
    $failed += $good ? 0 : 1;
};
$done = function (array $answer) use (&$failed): void {
    if ($answer[0] !== 201) {
        printf("WRONG: %d %s\n", $answer[0], json_encode($answer[1]));
        $failed++;
    }
};

$putBack = array_column(array_filter($rafe->call('GET', $at('RTU-1'))[1]['putBack'], fn (array $p): bool => ! $p['closed']), 'id');
foreach ($putBack as $id) {
    $one('close', Client::together($rafe, $mina, $at('RTU-1') . "/put-back/$id/close", ['word' => 'put back']));
}

$done($rafe->call('POST', $at('RTU-3') . '/checks/power.circuit', ['input' => ['mca' => '32.8 A', 'mocp' => '40 A', 'breaker' => '60 A', 'conductor' => '6', 'insulation' => 90, 'terminal_rating' => 75]], uniqid('circuit-')));
$one('override', Client::together($ines, $other, $at('RTU-3') . '/overrides', ['gate' => 7, 'reason' => 'the breaker is changed this afternoon']));

$items = array_map(fn (string $id): array => ['id' => $id, 'answer' => 'yes'], ['set_points', 'filters', 'alarms', 'left_undone', 'shut_offs', 'papers', 'initials']);
$done($rafe->call('POST', $at('RTU-1') . '/checks/list.owner', ['input' => ['job_type' => 'rooftop', 'items' => $items]], uniqid('owner-')));
$seen = $rafe->call('GET', $at('RTU-1') . '/news')[1]['news'];
$strokes = [array_map(fn (int $i): array => [$i / 20, abs(sin($i))], range(0, 19))];
$one('sign', Client::together($rafe, $tablet, $at('RTU-1') . '/signatures', ['role' => 'starter', 'strokes' => $strokes, 'seen' => $seen]));
exit($failed === 0 ? 0 : 1);
