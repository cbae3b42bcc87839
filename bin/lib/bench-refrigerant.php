<?php

declare(strict_types=1);

// What the refrigerant gates compute, in the core alone: saturation temperature from pressure beside an empty function call, the fit of
// a decay of 500 points, and a logger's day of seconds read, thinned and judged.

use IronStart\Core\Check\FieldType;
use IronStart\Core\Core;
use IronStart\Core\Dry\Fit;
use IronStart\Core\Logger\LoggerFile;
use IronStart\Core\Logger\Mapping;
use IronStart\Core\Refrigerant\Refrigerant;

require dirname(__DIR__, 2) . '/vendor/autoload.php';

const CALLS = 200_000;
const ROUNDS = 30;

final class Floor
{
    public function __construct(private float $kelvin)
    {
    }

    public function nothing(float $pascals): float
    {
        return $this->kelvin;
    }
}

/** @param callable(): void $what @return float ms, the middle of the rounds */
$middle = function (int $rounds, callable $what): float {
    $times = [];
    for ($i = 0; $i < $rounds; $i++) {
        $start = hrtime(true);
        $what();
        $times[] = (hrtime(true) - $start) / 1e6;
    }
    sort($times);

    return $times[intdiv($rounds, 2)];
};

$refrigerant = Refrigerant::named('R-454B') ?? exit("There is no table of R-454B.\n");
$pressures = array_map(fn (int $i): float => 4e5 + 2e6 * $i / 1000, range(0, 999));
$floor = new Floor(280.0);
$loop = $middle(9, function () use ($pressures): void {
    for ($i = 0; $i < CALLS; $i++) {
        $pressures[$i % 1000];
    }
});
$empty = $middle(9, function () use ($floor, $pressures): void {
    for ($i = 0; $i < CALLS; $i++) {
        $floor->nothing($pressures[$i % 1000]);
    }
});
$dew = $middle(9, function () use ($refrigerant, $pressures): void {
    for ($i = 0; $i < CALLS; $i++) {
        $refrigerant->dewTemperature($pressures[$i % 1000]);
    }
});
printf("saturation temperature from pressure: %.2f us, an empty method call %.3f us: %.0f x (aim 40 x)\n", 1e3 * ($dew - $loop) / CALLS, 1e3 * ($empty - $loop) / CALLS, ($dew - $loop) / max(1e-9, $empty - $loop));

mt_srand(7);
$points = array_map(fn (int $i): array => [$i / 10, (900 - 600 * exp(-$i / 180)) * (1 + mt_rand(-100, 100) / 20_000)], range(0, 499));
printf("a decay's fit, 500 points: p50 %.1f ms (aim 20 ms), found %s\n", $middle(ROUNDS, fn (): Fit => Fit::of($points)), Fit::of($points)->model);

$text = "Time,Vacuum (micron)\n";
for ($i = 0; $i < 86_400; $i++) {
    $text .= gmdate('Y-m-d H:i:s', 1_772_000_000 + $i) . ',' . round(300 + 150 * (1 - exp(-$i / 9000)), 1) . "\n";
}
$judge = Core::judge();
$members = [];
foreach ($judge->registry->get('dry.decay')->fields() as $field) {
    $members = $field->type === FieldType::Items ? $field->fields : $members;
}
$fields = Mapping::readings($members);
$took = $middle(5, function () use ($text, $fields, $judge): void {
    $file = LoggerFile::of($text);
    $points = $file->read(Mapping::read(['zone' => 'America/Denver'] + $file->proposed($fields), $fields))->thinned(240);
    $readings = array_map(fn (array $p): array => ['minutes' => $p['seconds'] / 60, 'micron' => $p['values'][0]], $points);
    $judge->judge('dry.decay', ['gauge_at' => 'far_end', 'readings' => $readings], 'us');
});
printf("a logger's day of seconds (86,400 rows) looked at, read, thinned, judged: %.2f s\n", $took / 1e3);
