<?php

declare(strict_types=1);

namespace IronStart\Core\Verdict;

/**
 * How far a result may be off for the instruments it was read with.
 *
 * Readings of one instrument in one check share most of its error: for an accuracy a they move together by
 * 0.95·a and each alone by 0.30·a of its own value. A gain error cancels in an unbalance or a ratio, which
 * three independent errors would drown.
 */
final class Uncertainty
{
    /** Shares of a voltmeter's, an ammeter's and a megohmmeter's accuracy; see the conventions of the rules. */
    public const VOLTMETER = 0.01;
    public const AMMETER = 0.02;
    public const MEGOHMMETER = 0.10;

    private const TOGETHER = 0.95;
    private const ALONE = 0.30;

    /**
     * @param callable(list<float>): float $result
     * @param list<float> $readings of one instrument
     * @param float $accuracy share of a reading, > 0
     * @return float root-sum-square of the partial changes, each the larger of the move up and the move down
     */
    public static function sharedInstrument(callable $result, array $readings, float $accuracy): float
    {
        $all = self::TOGETHER * $accuracy;
        $sum = self::change($result, $readings, array_map(fn (float $r): float => $r * $all, $readings)) ** 2;
        foreach ($readings as $i => $reading) {
            $move = array_fill(0, count($readings), 0.0);
            $move[$i] = $reading * self::ALONE * $accuracy;
            $sum += self::change($result, $readings, $move) ** 2;
        }

        return sqrt($sum);
    }

    /**
     * Readings of which each has an error of its own (an ohmmeter's last digit, a lead put on anew).
     *
     * @param callable(list<float>): float $result
     * @param list<float> $readings
     * @param list<float> $errors in the readings' unit
     */
    public static function eachAlone(callable $result, array $readings, array $errors): float
    {
        $sum = 0.0;
        foreach ($errors as $i => $error) {
            $move = array_fill(0, count($readings), 0.0);
            $move[$i] = $error;
            $sum += self::change($result, $readings, $move) ** 2;
        }

        return sqrt($sum);
    }

    /**
     * @param callable(list<float>): float $result
     * @param list<float> $readings
     * @param list<float> $move
     */
    private static function change(callable $result, array $readings, array $move): float
    {
        $at = $result($readings);
        $up = $down = $readings;
        foreach ($move as $i => $by) {
            $up[$i] += $by;
            $down[$i] -= $by;
        }

        return max(abs($result($up) - $at), abs($result($down) - $at));
    }

    /**
     * Whether moving any one judged quantity by its uncertainty, up or down, would change the outcome.
     *
     * @param callable(array<string, float>): mixed $outcome
     * @param array<string, float> $judged
     * @param array<string, float> $uncertain the uncertainty of each judged quantity
     */
    public static function decides(callable $outcome, array $judged, array $uncertain): bool
    {
        $as = $outcome($judged);
        foreach ($uncertain as $name => $by) {
            foreach ([$by, -$by] as $move) {
                $moved = $judged;
                $moved[$name] += $move;
                if ($outcome($moved) !== $as) {
                    return true;
                }
            }
        }

        return false;
    }
}
