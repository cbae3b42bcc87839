<?php

declare(strict_types=1);

namespace IronStart\Core\Controls;

use IronStart\Core\Check\Input;

/** A day of a room of one node under a ladder of stages, in steps of half a minute: what starts when, and for how long. */
final readonly class Day
{
    private const STEP = 30;
    private const STEPS = 2880;

    /**
     * @param array<string, int>   $starts   of each stage
     * @param array<string, int>   $busiest  starts in its busiest clock hour
     * @param array<string, float> $hours    each ran
     * @param list<array{float, float, float}> $trace hour, room and outdoors in °F, every five minutes
     */
    private function __construct(public array $starts, public array $busiest, public array $hours, public float $outOfBand, public float $free, public float $end, public array $trace)
    {
    }

    public static function of(Input $in, Ladder $ladder): self
    {
        $room = $in->group('room') ?? throw new \LogicException('No room.');
        $economizer = $in->group('economizer');
        $stages = array_filter($ladder->named(), fn (string $name): bool => ! str_starts_with($name, 'reheat'), ARRAY_FILTER_USE_KEY);
        $isOn = array_fill_keys(array_keys($stages), false);
        $changed = array_fill_keys(array_keys($stages), -INF);
        $starts = $hours = array_fill_keys(array_keys($stages), 0);
        $inHour = array_fill_keys(array_keys($stages), array_fill(0, 24, 0));
        $cools = $below = $watts = [];
        foreach ($stages as $name => $stage) {
            $cools[$name] = str_starts_with($name, 'cool');
            $below[$name] = substr($name, 0, 4) . ((int) substr($name, 4) - 1);
            $watts[$name] = ($cools[$name] ? -1 : 1) * (float) $stage['watts'];
        }
        $outdoors = self::outdoors($in->group('outdoor') ?? throw new \LogicException('No outdoor air.'));
        [$minOn, $minOff] = [$in->number('min_on'), $in->number('min_off')];
        $band = $in->number('band');
        [$high, $low] = [$in->number('cool_setpoint') + $band, $in->number('heat_setpoint') - $band];
        $deadband = $in->maybe('deadband') ?? 1 / 1.8;
        $flow = $economizer?->maybe('flow_w_per_k');
        $t = $room->number('start');
        [$ua, $c, $gains] = [$room->number('ua_w_per_k'), 1e3 * $room->number('capacitance_kj_per_k'), $room->number('gains')];
        $outOfBand = $free = 0.0;
        $isFree = false;
        $trace = [];
        for ($n = 0; $n < self::STEPS; $n++) {
            $s = $n * self::STEP;
            $outdoor = $outdoors[$n];
            if ($n % 10 === 0) {
                $trace[] = [$s / 3600, Ladder::degF($t), Ladder::degF($outdoor)];
            }
            $outOfBand += $t > $high || $t < $low ? self::STEP / 3600 : 0.0;
            $f = Ladder::degF($t);
            foreach ($stages as $name => $stage) {
                if (! $isOn[$name]) {
                    $isBeyond = $cools[$name] ? $f > $stage['on'] : $f < $stage['on'];
                    if ($isBeyond && ($isOn[$below[$name]] ?? true) && $s - $changed[$name] >= $minOff) {
                        $isOn[$name] = true;
                        $changed[$name] = $s;
                        $starts[$name]++;
                        $inHour[$name][intdiv($s, 3600)]++;
                    }
                } elseif (($cools[$name] ? $f < $stage['off'] : $f > $stage['off']) && $s - $changed[$name] >= $minOn) {
                    $isOn[$name] = false;
                    $changed[$name] = $s;
                }
            }
            if ($economizer !== null && $flow !== null) {
                [$on, $lockout] = [$economizer->number('on_above'), $economizer->number('lockout_outdoor')];
                $isFree = $isFree
                    ? ! ($t < $on - $deadband || $outdoor >= $lockout || $outdoor >= $t)
                    : $t > $on && $outdoor < $lockout && $outdoor < $t;
            }
            $heat = 0.0;
            foreach ($isOn as $name => $runs) {
                if ($runs) {
                    $heat += $watts[$name];
                    $hours[$name] += self::STEP / 3600;
                }
            }
            $free += $isFree ? self::STEP / 3600 : 0.0;
            $t += self::STEP / $c * ($ua * ($outdoor - $t) + $gains + $heat - ($isFree ? (float) $flow * ($t - $outdoor) : 0.0));
        }

        return new self($starts, array_map(fn (array $each): int => max($each), $inHour), array_map(floatval(...), $hours), $outOfBand, $free, Ladder::degF($t), $trace);
    }

    /** @return list<float> K at each step of the day */
    private static function outdoors(Input $outdoor): array
    {
        $hourly = $outdoor->numbers('hourly');
        $day = [];
        for ($n = 0; $n < self::STEPS; $n++) {
            $hour = $n * self::STEP / 3600;
            $i = (int) floor($hour);
            $day[] = $hourly !== []
                ? $hourly[$i % 24] + ($hourly[($i + 1) % 24] - $hourly[$i % 24]) * ($hour - $i)
                : $outdoor->number('mean') + $outdoor->number('amplitude') * cos(2 * M_PI * ($hour - $outdoor->number('peak_hour')) / 24);
        }

        return $day;
    }
}
