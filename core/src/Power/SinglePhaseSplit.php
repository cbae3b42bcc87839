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
 * The currents of the pairs add up in the legs as in LegSplit, which also places the loads left to choose.
 */
final class SinglePhaseSplit implements Check, Draws
{
    use NoContradictions;

    private const PAIRS = ['ab', 'bc', 'ca'];
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
        $legs = LegSplit::legs($amps, $across);
        $largest = max($legs);
        $values = ['leg_a' => Value::of($legs[0], 'A'), 'leg_b' => Value::of($legs[1], 'A'), 'leg_c' => Value::of($legs[2], 'A'),
            'largest_leg' => Value::of($largest, 'A'), 'unbalance' => Value::of(ThreeLegs::of($legs)->unbalance(), '%')];
        foreach ($across as $i => $pair) {
            $values["loads.$i.across"] = Value::text(self::PAIRS[$pair]);
        }
        foreach (count($amps) > 1 ? array_keys($amps) : [] as $off) {
            foreach (LegSplit::legs([$off => 0.0] + $amps, $across) as $leg => $current) {
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
        $across = [];
        foreach ($loads as $i => $load) {
            $pair = array_search($load->text('across'), self::PAIRS, true);
            if (is_int($pair)) {
                $across[$i] = $pair;
            }
        }

        return LegSplit::place($amps, $across);
    }
}
