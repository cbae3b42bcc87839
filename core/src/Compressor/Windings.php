<?php

declare(strict_types=1);

namespace IronStart\Core\Compressor;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\NoContradictions;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Units;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Uncertainty;
use IronStart\Core\Verdict\Value;
use IronStart\Core\Verdict\Word;

/**
 * Whether the windings are sound: even, near the plate, none open, none shorted.
 *
 * Copper changes with temperature as R_T = R_20·(1 + 0.00393·(T − 20)). Low-ohm windings lie within an
 * ordinary meter's own error, which is what `marginal` and `needs_low_ohm_meter` are for.
 */
final class Windings implements Check
{
    use NoContradictions;

    private const PAIRS = ['ohms_ab', 'ohms_bc', 'ohms_ca'];
    private const SPREAD_CLEAR = 5.0;
    private const SPREAD_STOP = 10.0;
    /** Share of the others, or of the plate, under which a pair is shorted. */
    private const SHORTED = 0.10;
    /** ohm; within so little an ordinary meter can't tell. */
    private const METER_STEP = 0.10;
    private const OFF_PLATE = 10.0;
    private const SUM_OFF = 10.0;
    private const COPPER_PER_KELVIN = 0.00393;
    /** Smallest error of a reading, ohm, and the share of the reading if that is larger. */
    private const METER_ERROR = ['ohmmeter' => 0.05, 'low_ohm' => 0.001];
    private const METER_SHARE = 0.01;

    public function id(): string
    {
        return 'compressor.windings';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        return [
            ...array_map(fn (string $pair): Field => Field::quantity($pair, Kind::Resistance, 'ohm', 0, 100e3)->orFlag('open_circuit')->needed(), self::PAIRS),
            Field::quantity('plate_ohms', Kind::Resistance, 'ohm', 0, 100e3)->positive(),
            Field::quantity('at_temperature', Kind::Temperature, 'degC', -50, 200),
            Field::quantity('plate_temperature', Kind::Temperature, 'degC', -50, 200)->default('20 degC'),
            Field::word('meter', 'ohmmeter', 'low_ohm')->default('ohmmeter'),
            Field::choice('phases', 1, 3)->default(3),
        ];
    }

    public function judge(Input $in): Judgement
    {
        $open = array_values(array_filter(self::PAIRS, $in->flag(...)));
        if ($open !== []) {
            return $this->judgement([Finding::stop('open_winding', ['count' => count($open), 'pair' => Word::of('pair', ...$open)], count($open) === 3 ? 'open_all' : null)]);
        }
        if ($in->missing !== []) {
            return $this->judgement(Missing::in($in));
        }
        $ohms = array_map($in->number(...), self::PAIRS);

        return $in->int('phases') === 1 ? $this->singlePhase($in, $ohms) : $this->threePhase($in, $ohms);
    }

    /** @param non-empty-list<float> $ohms */
    private function singlePhase(Input $in, array $ohms): Judgement
    {
        if (min($ohms) === 0.0) {
            return $this->judgement([self::shorted($ohms)]);
        }
        /** @param non-empty-list<float> $r */
        $difference = fn (array $r): array => ['sum' => 100 * abs(2 * max($r) - array_sum($r)) / max($r)];
        $found = fn (array $j): array => Limit::over($j['sum'], self::SUM_OFF) ? [Finding::watch('sum_off', ['difference' => Said::percent($j['sum'], self::SUM_OFF)])] : [];
        $judged = $difference($ohms);
        $marginal = self::marginal($found, $judged, Uncertainty::eachAlone($difference, $ohms, self::errors($in, $ohms)));
        $findings = $found($judged) ?: [Finding::note('sum_fits')];

        return $this->judgement($findings, ['sum_difference' => Value::of($judged['sum'], '%')], $marginal);
    }

    /** @param non-empty-list<float> $ohms */
    private function threePhase(Input $in, array $ohms): Judgement
    {
        $mean = array_sum($ohms) / 3;
        if ($mean === 0.0) {
            return $this->judgement([self::shorted($ohms)], ['mean' => Value::of(0.0, 'ohm')]);
        }
        $expected = self::expected($in);
        /** @param non-empty-list<float> $r */
        $results = fn (array $r): array => ['spread' => 100 * (max($r) - min($r)) / (array_sum($r) / 3)]
            + ($expected === null ? [] : ['deviation' => 100 * (array_sum($r) / 3 / $expected - 1)]);
        $judged = $results($ohms);
        $unsure = Uncertainty::eachAlone($results, $ohms, self::errors($in, $ohms));
        $values = ['mean' => Value::of($mean, 'ohm'), 'spread' => Value::of($judged['spread'], '%')];
        if ($expected !== null) {
            $values += ['expected' => Value::of($expected, 'ohm'), 'deviation' => Value::of($judged['deviation'] ?? 0.0, '%')];
        }
        $found = fn (array $j): array => self::found($in, $ohms, $j, $expected);
        $marginal = self::marginal($found, $judged, $unsure);
        $findings = $found($judged) ?: [Finding::note('even', ['spread' => Said::percent($judged['spread']), 'mean' => Said::ohms($mean)])];
        if ($marginal) {
            $findings[] = Finding::note('too_close');
        }

        return $this->judgement($findings, $values, $marginal);
    }

    /**
     * @param non-empty-list<float> $ohms
     * @param array<string, float> $judged
     * @return list<Finding>
     */
    private static function found(Input $in, array $ohms, array $judged, ?float $expected): array
    {
        if (self::isShorted($ohms, $in->maybe('plate_ohms'))) {
            return [self::shorted($ohms)];
        }
        $spread = $judged['spread'];
        $told = ['spread' => Said::percent($spread, Limit::over($spread, self::SPREAD_STOP) ? self::SPREAD_STOP : self::SPREAD_CLEAR), 'low' => Said::ohms(min($ohms)), 'high' => Said::ohms(max($ohms))];
        $findings = match (true) {
            ! Limit::over($spread, self::SPREAD_CLEAR) => [],
            ! Limit::over($spread, self::SPREAD_STOP) => [Finding::watch('spread_watch', $told)],
            $in->text('meter') === 'ohmmeter' && ! Limit::over(max($ohms) - min($ohms), self::METER_STEP) => [Finding::open('needs_low_ohm_meter', $told)],
            default => [Finding::stop('spread_over_limit', $told)],
        };
        if ($in->given('plate_ohms') && $expected === null) {
            $findings[] = Missing::at('at_temperature');
        }
        if ($expected !== null && Limit::over(abs($judged['deviation'] ?? 0.0), self::OFF_PLATE)) {
            $findings[] = Finding::watch('off_plate', ['deviation' => Said::percent(abs($judged['deviation'] ?? 0.0), self::OFF_PLATE), 'expected' => Said::ohms($expected), 'mean' => Said::ohms(array_sum($ohms) / 3)]);
        }

        return $findings;
    }

    /** @param non-empty-list<float> $ohms */
    private static function isShorted(array $ohms, ?float $plate): bool
    {
        foreach ($ohms as $i => $pair) {
            $others = (array_sum($ohms) - $pair) / 2;
            if ($pair === 0.0 || $pair < self::SHORTED * $others || ($plate !== null && $pair < self::SHORTED * $plate)) {
                return true;
            }
        }

        return false;
    }

    /** @param non-empty-list<float> $ohms */
    private static function shorted(array $ohms): Finding
    {
        $pair = self::PAIRS[(int) array_search(min($ohms), $ohms, true)];

        return Finding::stop('shorted_turns', ['pair' => Word::of('pair', $pair), 'ohms' => Said::ohms(min($ohms))]);
    }

    /** Plate resistance at the winding's temperature, ohm; null when plate or temperature is not given. */
    private static function expected(Input $in): ?float
    {
        if (! $in->all('plate_ohms', 'at_temperature')) {
            return null;
        }
        $factor = fn (string $name): float => 1 + self::COPPER_PER_KELVIN * (Units::fromCanonical($in->number($name), 'degC', Kind::Temperature) - 20);

        return $in->number('plate_ohms') * $factor('at_temperature') / $factor('plate_temperature');
    }

    /**
     * @param non-empty-list<float> $ohms
     * @return list<float>
     */
    private static function errors(Input $in, array $ohms): array
    {
        $least = self::METER_ERROR[$in->text('meter')];

        return array_map(fn (float $r): float => max($least, self::METER_SHARE * $r), $ohms);
    }

    /**
     * @param callable(array<string, float>): list<Finding> $found
     * @param array<string, float> $judged
     * @param array<string, float> $unsure
     */
    private static function marginal(callable $found, array $judged, array $unsure): bool
    {
        return Uncertainty::decides(fn (array $j): Status => Judgement::worst($found($j)), $judged, $unsure);
    }

    /**
     * @param list<Finding>        $findings
     * @param array<string, Value> $values
     */
    private function judgement(array $findings, array $values = [], bool $marginal = false): Judgement
    {
        return new Judgement($findings, $values, $marginal, ['lockout', 'terminal_venting'], [Finding::note('basis')]);
    }
}
