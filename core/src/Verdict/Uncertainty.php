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
    private const TOGETHER = 0.95;
    private const ALONE = 0.30;

    /**
     * @template K of array-key
     * @param callable(list<float>): array<K, float> $results
     * @param list<float> $readings of one instrument
     * @param float $accuracy share of a reading, > 0
     * @return array<K, float> for each result the root-sum-square of its partial changes, each the larger of
     *     the move up and the move down
     */
    public static function sharedInstrument(callable $results, array $readings, float $accuracy): array
    {
        $moves = [[]];
        foreach ($readings as $i => $reading) {
            $moves[0][$i] = $reading * self::TOGETHER * $accuracy;
            $moves[] = [$i => $reading * self::ALONE * $accuracy];
        }

        return self::rootSumSquare($results, $readings, $moves);
    }

    /**
     * Readings of which each has an error of its own (an ohmmeter's last digit, a lead put on anew).
     *
     * @template K of array-key
     * @param callable(list<float>): array<K, float> $results
     * @param list<float> $readings
     * @param list<float> $errors in the readings' unit
     * @return array<K, float>
     */
    public static function eachAlone(callable $results, array $readings, array $errors): array
    {
        return self::rootSumSquare($results, $readings, array_map(fn (int $i): array => [$i => $errors[$i]], array_keys($errors)));
    }

    /**
     * @template K of array-key
     * @param callable(list<float>): array<K, float> $results
     * @param list<float> $readings
     * @param list<array<int, float>> $moves which readings move together, and by how much
     * @return array<K, float>
     */
    private static function rootSumSquare(callable $results, array $readings, array $moves): array
    {
        $at = $results($readings);
        $sums = array_map(fn (): float => 0.0, $at);
        foreach ($moves as $move) {
            $up = $down = $readings;
            foreach ($move as $i => $by) {
                $up[$i] += $by;
                $down[$i] -= $by;
            }
            $above = $results(array_values($up));
            $below = $results(array_values($down));
            foreach ($at as $name => $value) {
                $sums[$name] += max(abs($above[$name] - $value), abs($below[$name] - $value)) ** 2;
            }
        }

        return array_map(sqrt(...), $sums);
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
