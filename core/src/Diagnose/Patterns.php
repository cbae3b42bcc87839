<?php

declare(strict_types=1);

namespace IronStart\Core\Diagnose;

use IronStart\Core\Verdict\Limit;

/**
 * What each cause does to six features, and the one test that splits those that look alike.
 *
 * Agreement of a deviation d (in tolerances) with a sign s: clamp(s·d, −1, 1), with none 1 − min(|d|, 2); a score is their
 * mean over the features the cause says something about.
 */
final class Patterns
{
    /** low, as it should be, high; null says nothing. Order: evaporating, condensing, superheat, subcooling, split, amps. */
    private const VALVE = [
        'low_charge' => [-1, -1, 1, -1, -1, -1],
        'overcharge' => [0, 1, 0, 1, 0, 1],
        'liquid_restriction' => [-1, -1, 1, 1, -1, -1],
        'low_indoor_air' => [-1, -1, 0, 0, 1, -1],
        'low_condenser_air' => [1, 1, 0, 0, -1, 1],
        'non_condensable' => [1, 1, 0, 1, -1, 1],
        'not_pumping' => [1, -1, 1, null, -1, -1],
        'overfeeding' => [1, null, -1, -1, 0, 1],
        'underfeeding' => [-1, -1, 1, 1, -1, -1],
        'high_load' => [1, 1, 1, null, null, 1],
    ];
    /** Where a fixed orifice does otherwise. */
    private const FIXED = [
        'overcharge' => [1, 1, -1, 1, 0, 1],
        'low_indoor_air' => [-1, -1, -1, 0, 1, -1],
        'low_condenser_air' => [1, 1, -1, 0, -1, 1],
        'non_condensable' => [1, 1, -1, 1, -1, 1],
    ];
    public const FEATURES = ['evap', 'cond', 'superheat', 'subcooling', 'split', 'amps'];
    /** First what destroys the compressor, then air before refrigerant. */
    private const TESTS = [
        [['not_pumping'], 'rotation'], [['low_indoor_air'], 'static_pressure'],
        [['low_charge', 'liquid_restriction'], 'drier_drop'], [['low_charge', 'underfeeding'], 'drier_drop'], [['liquid_restriction', 'underfeeding'], 'drier_drop_then_warm_bulb'],
        [['overcharge', 'non_condensable'], 'off_cycle_pressure'], [['low_condenser_air', 'non_condensable'], 'off_cycle_pressure'], [['overcharge', 'low_condenser_air'], 'condenser_air'],
        [['low_condenser_air'], 'condenser_air'], [['overfeeding'], 'bulb_check'], [['high_load'], 'wait_and_repeat'], [['overcharge'], 'off_cycle_pressure'], [['non_condensable'], 'off_cycle_pressure'],
        [['low_charge'], 'drier_drop_then_leak_search'], [['underfeeding'], 'warm_bulb'], [['overcharge'], 'recover_and_weigh'], [['low_charge'], 'leak_search'],
    ];
    /** How near to the best a cause still counts. */
    private const GROUP = 0.15;

    /**
     * @param array<string, float> $features those there are, in tolerances
     * @return array<string, float> by cause, in the order of the table
     */
    public static function scores(array $features, bool $isFixed): array
    {
        $scores = [];
        foreach (self::VALVE as $cause => $row) {
            $row = $isFixed ? self::FIXED[$cause] ?? $row : $row;
            $agreed = [];
            foreach (self::FEATURES as $i => $feature) {
                if (isset($features[$feature], $row[$i])) {
                    $agreed[] = self::agreement($features[$feature], $row[$i]);
                }
            }
            if ($agreed !== []) {
                $scores[$cause] = array_sum($agreed) / count($agreed);
            }
        }

        return $scores;
    }

    /** How far a feature speaks for a cause, from −1 to 1; null where the cause says nothing of it. */
    public static function speaks(string $cause, string $feature, float $deviation, bool $isFixed): ?float
    {
        $sign = ($isFixed ? self::FIXED[$cause] ?? self::VALVE[$cause] : self::VALVE[$cause])[(int) array_search($feature, self::FEATURES, true)];

        return $sign === null ? null : self::agreement($deviation, $sign);
    }

    /**
     * @param non-empty-array<string, float> $scores
     * @return list<string> the causes that can't be told apart from the best, the best first
     */
    public static function group(array $scores): array
    {
        $best = max($scores);
        $near = array_filter($scores, fn (float $score): bool => ! Limit::over($best - $score, self::GROUP));
        arsort($near);

        return array_keys($near);
    }

    /**
     * @param list<string> $group
     * @param list<string> $done tests whose answer is in, by their beginning
     */
    public static function test(array $group, array $done): ?string
    {
        foreach (self::TESTS as [$causes, $test]) {
            $isDone = array_filter($done, fn (string $one): bool => str_starts_with($test, $one)) !== [];
            if (! $isDone && array_diff($causes, $group) === []) {
                return $test;
            }
        }

        return null;
    }

    private static function agreement(float $deviation, int $sign): float
    {
        return $sign === 0 ? 1 - min(abs($deviation), 2.0) : max(-1.0, min(1.0, $sign * $deviation));
    }
}
