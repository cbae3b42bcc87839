<?php

declare(strict_types=1);

namespace IronStart\Core\Power;

/**
 * Single-phase loads on the legs of a three-phase feeder.
 *
 * Currents across AB, BC and CA stand 120° apart at equal power factor: a leg carries the three-phase current and the
 * two pairs it belongs to, one leading it by 30°, one lagging. Loads left to choose are placed to make the largest leg
 * least: by trying every way up to nine of them, largest first beyond.
 */
final class LegSplit
{
    private const EXACT_UP_TO = 9;
    /** A; a larger leg by less than this is the same. */
    private const SAME = 1e-9;

    /**
     * @param list<float>     $amps
     * @param array<int, int> $across pair index (ab, bc, ca) of the loads that have one
     * @return array<int, int> pair index by load
     */
    public static function place(array $amps, array $across): array
    {
        $free = array_values(array_diff(array_keys($amps), array_keys($across)));
        $across = count($free) <= self::EXACT_UP_TO ? self::best($amps, $across, $free) : self::largestFirst($amps, $across, $free);
        ksort($across);

        return $across;
    }

    /**
     * Every placement in order (ab, bc, ca by list order); the first of the best is kept.
     *
     * @param array<int, float> $amps
     * @param array<int, int> $fixed
     * @param list<int>       $free
     * @return array<int, int>
     */
    private static function best(array $amps, array $fixed, array $free): array
    {
        $best = null;
        $bestLargest = $bestUnbalance = INF;
        // With nothing fixed the pairs are alike: the first load may stay on the first one.
        for ($n = 0, $all = 3 ** ($fixed === [] ? count($free) - 1 : count($free)); $n < $all; $n++) {
            $try = $fixed;
            foreach (array_reverse($free) as $digit => $load) {
                $try[$load] = intdiv($n, 3 ** $digit) % 3;
            }
            $legs = self::legs($amps, $try);
            $largest = max($legs);
            $same = abs($largest - $bestLargest) <= self::SAME;
            if (! $same && $largest > $bestLargest) {
                continue;
            }
            $unbalance = ThreeLegs::of($legs)->unbalance();
            if ($best === null || (! $same && $largest < $bestLargest) || ($same && $unbalance < $bestUnbalance - self::SAME)) {
                [$best, $bestLargest, $bestUnbalance] = [$try, $largest, $unbalance];
            }
        }

        return $best ?? $fixed;
    }

    /**
     * @param list<float>     $amps
     * @param array<int, int> $across
     * @param list<int>       $free
     * @return array<int, int>
     */
    private static function largestFirst(array $amps, array $across, array $free): array
    {
        usort($free, fn (int $a, int $b): int => $amps[$b] <=> $amps[$a] ?: $a <=> $b);
        foreach ($free as $load) {
            $across = self::best(array_intersect_key($amps, $across + [$load => 0]), $across, [$load]);
        }

        return $across;
    }

    /**
     * @param array<int, float> $amps
     * @param array<int, int>   $across
     * @param float             $threePhase A that every leg carries besides
     * @return array{float, float, float} A in legs a, b, c
     */
    public static function legs(array $amps, array $across, float $threePhase = 0.0): array
    {
        $pairs = [0.0, 0.0, 0.0];
        foreach ($across as $load => $pair) {
            $pairs[$pair] += $amps[$load];
        }
        [$ab, $bc, $ca] = $pairs;

        return [self::leg($ab, $ca, $threePhase), self::leg($ab, $bc, $threePhase), self::leg($bc, $ca, $threePhase)];
    }

    /** |I + x∠30° + y∠−30°|. */
    private static function leg(float $x, float $y, float $threePhase): float
    {
        $straight = $threePhase + sqrt(0.75) * ($x + $y);

        return sqrt($straight * $straight + ($x - $y) ** 2 / 4);
    }
}
