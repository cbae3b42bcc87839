<?php

declare(strict_types=1);

namespace IronStart\Core\Power;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Draws;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\NoContradictions;
use IronStart\Core\Verdict\Drawn;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Value;

/**
 * How single-phase machines load the legs of a three-phase feeder, and which pair each should take.
 *
 * Currents across AB, BC and CA stand 120° apart at equal power factor, so a leg carries
 * sqrt(x² + y² + x·y) of the two pairs it belongs to. Loads left to choose are placed to make the largest leg
 * least: by trying every way up to nine of them, largest first beyond.
 */
final class SinglePhaseSplit implements Check, Draws
{
    use NoContradictions;

    private const PAIRS = ['ab', 'bc', 'ca'];
    private const EXACT_UP_TO = 9;
    /** A; a larger leg by less than this is the same. */
    private const SAME = 1e-9;
    /** % of the feeder. */
    private const NEAR = 80.0;

    public function id(): string
    {
        return 'power.single_phase_split';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        return [
            Field::items(
                'loads',
                Field::text('name')->structural(),
                Field::amps('amps')->needed(),
                Field::word('across', 'ab', 'bc', 'ca', 'auto')->default('auto'),
            )->uniqueBy('name')->needed(),
            Field::amps('feeder_ampacity')->positive()->readWith(null),
        ];
    }

    public static function drawing(Input $in, array $values): array
    {
        $feeder = $in->maybe('feeder_ampacity');
        $leg = function (string $name, string $key) use ($values, $feeder): array {
            $amps = isset($values[$key]) ? (float) $values[$key]->value : null;

            return ['name' => $name, 'value' => $amps, 'is' => $amps !== null && $feeder !== null && Limit::over($amps, $feeder) ? 'stop' : 'plain'];
        };

        return Drawn::bars('A', [$leg('L1', 'leg_a'), $leg('L2', 'leg_b'), $leg('L3', 'leg_c')], $feeder);
    }

    public function judge(Input $in): Judgement
    {
        if ($in->missing !== []) {
            return new Judgement(Missing::in($in), basis: [Finding::note('basis')]);
        }
        $loads = $in->items('loads');
        $amps = array_map(fn (Input $load): float => $load->number('amps'), $loads);
        $across = self::place($loads, $amps);
        $legs = self::legs($amps, $across);
        $largest = max($legs);
        $values = ['leg_a' => Value::of($legs[0], 'A'), 'leg_b' => Value::of($legs[1], 'A'), 'leg_c' => Value::of($legs[2], 'A'),
            'largest_leg' => Value::of($largest, 'A'), 'unbalance' => Value::of(ThreeLegs::of($legs)->unbalance(), '%')];
        foreach ($across as $i => $pair) {
            $values["loads.$i.across"] = Value::text(self::PAIRS[$pair]);
        }
        foreach (count($amps) > 1 ? array_keys($amps) : [] as $off) {
            foreach (self::legs([$off => 0.0] + $amps, $across) as $leg => $current) {
                $values["off.$off.leg_" . 'abc'[$leg]] = Value::of($current, 'A');
            }
        }
        $said = ['largest' => Said::amps($largest)];
        $feeder = $in->maybe('feeder_ampacity');
        if ($feeder === null) {
            return new Judgement([Finding::note('split', $said)], $values, basis: [Finding::note('basis')]);
        }
        $use = 100 * $largest / $feeder;
        $values['feeder_use'] = Value::of($use, '%');
        $said += ['feeder' => Said::amps($feeder), 'use' => Said::percent($use)];
        $finding = match (true) {
            Limit::over($largest, $feeder) => Finding::stop('feeder_over', $said),
            Limit::over($use, self::NEAR) => Finding::watch('feeder_near', $said),
            default => Finding::note('fits', $said),
        };

        return new Judgement([$finding], $values, basis: [Finding::note('basis')]);
    }

    /**
     * @param list<Input> $loads
     * @param list<float> $amps
     * @return array<int, int> pair index by load
     */
    private static function place(array $loads, array $amps): array
    {
        $across = $free = [];
        foreach ($loads as $i => $load) {
            $pair = array_search($load->text('across'), self::PAIRS, true);
            if (is_int($pair)) {
                $across[$i] = $pair;
            } else {
                $free[] = $i;
            }
        }
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
        for ($n = 0, $all = 3 ** count($free); $n < $all; $n++) {
            $try = $fixed;
            foreach (array_reverse($free) as $digit => $load) {
                $try[$load] = intdiv($n, 3 ** $digit) % 3;
            }
            $legs = self::legs($amps, $try);
            $largest = max($legs);
            $unbalance = ThreeLegs::of($legs)->unbalance();
            $same = abs($largest - $bestLargest) <= self::SAME;
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
     * @return array{float, float, float} A in legs a, b, c
     */
    private static function legs(array $amps, array $across): array
    {
        $pairs = [0.0, 0.0, 0.0];
        foreach ($across as $load => $pair) {
            $pairs[$pair] += $amps[$load];
        }
        [$ab, $bc, $ca] = $pairs;

        return [self::leg($ab, $ca), self::leg($ab, $bc), self::leg($bc, $ca)];
    }

    private static function leg(float $x, float $y): float
    {
        return sqrt($x * $x + $y * $y + $x * $y);
    }
}
