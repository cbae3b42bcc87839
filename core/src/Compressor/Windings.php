<?php

declare(strict_types=1);

namespace IronStart\Core\Compressor;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Instrument;
use IronStart\Core\Check\Missing;
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
    private const PAIRS = ['ohms_ab', 'ohms_bc', 'ohms_ca'];
    private const SPREAD_CLEAR = 5.0;
    private const SPREAD_STOP = 10.0;
    /** Share of the others, or of the plate, under which a pair is shorted. */
    private const SHORTED = 0.10;
    /** ohm; within so little an ordinary meter can't tell. */
    private const METER_STEP = 0.10;
    private const OFF_PLATE = 10.0;
    private const SUM_OFF = 10.0;
    /** Single-phase: a pair this small a share of the largest is shorted. */
    private const SHORTED_SINGLE = 0.02;
    /** Single-phase: start over run; a sound one has 2 to 5. */
    private const START_NEAR_RUN = 1.5;
    /** Single-phase: C–R, C–S and R–S, as the readings are named. */
    private const TERMINALS = ['ohms_ab' => 'c_r', 'ohms_bc' => 'c_s', 'ohms_ca' => 'r_s'];
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
        return 2;
    }

    public function fields(): array
    {
        return [
            ...array_map(fn (string $pair): Field => Field::quantity($pair, Kind::Resistance, 'ohm', 0, 100e3)->orFlag('open_circuit')->needed(), self::PAIRS),
            Field::quantity('plate_ohms', Kind::Resistance, 'ohm', 0, 100e3)->positive()->fromSheet('compressor.ohms'),
            Field::quantity('at_temperature', Kind::Temperature, 'degC', -50, 200)->readWith(Instrument::PipeClamp),
            Field::quantity('plate_temperature', Kind::Temperature, 'degC', -50, 200)->default('20 degC')->fromSheet('compressor.ohms_temperature'),
            Field::word('meter', 'ohmmeter', 'low_ohm')->default('ohmmeter'),
            Field::choice('phases', 1, 3)->default(3)->fromSheet('compressor.phases'),
            Field::quantity('plate_start_ohms', Kind::Resistance, 'ohm', 0, 100e3)->positive()->fromSheet('compressor.start_ohms'),
            Field::quantity('lead_ohms', Kind::Resistance, 'ohm', 0, 10),
        ];
    }

    public function contradictions(Input $in): iterable
    {
        $lead = $in->maybe('lead_ohms');
        foreach (self::PAIRS as $pair) {
            if ($lead !== null && $in->maybe($pair) !== null && Limit::over($lead, $in->number($pair))) {
                yield InputError::at('lead_ohms', $lead, 'no more than any of the readings', 'ohm is over a reading it is in');
            }
        }
    }

    public function judge(Input $in): Judgement
    {
        $single = $in->int('phases') === 1;
        $open = array_values(array_filter(self::PAIRS, $in->flag(...)));
        if ($open !== []) {
            return $this->judgement([self::open($in, $open, $single)]);
        }
        if ($in->missing !== []) {
            return $this->judgement(Missing::in($in));
        }
        $ohms = array_map(fn (string $pair): float => max(0.0, $in->number($pair) - ($in->maybe('lead_ohms') ?? 0.0)), self::PAIRS);

        return $single ? $this->singlePhase($in, $ohms) : $this->threePhase($in, $ohms);
    }

    /** @param non-empty-list<string> $open */
    private static function open(Input $in, array $open, bool $single): Finding
    {
        if ($single) {
            return $open === ['ohms_ab', 'ohms_bc'] && $in->given('ohms_ca')
                ? Finding::stop('overload_open')
                : Finding::stop('open_winding', ['count' => count($open), 'pair' => Word::of('terminals', ...array_map(fn (string $pair): string => self::TERMINALS[$pair], $open))]);
        }

        return Finding::stop('open_winding', ['count' => count($open), 'pair' => Word::of('pair', ...$open)], count($open) === 3 ? 'open_all' : null);
    }

    /**
     * Run, start and both in series: by design unlike, so each is held against its own figure and the others.
     *
     * @param non-empty-list<float> $ohms C–R (run), C–S (start), R–S
     */
    private function singlePhase(Input $in, array $ohms): Judgement
    {
        $small = [$in->maybe('plate_ohms'), $in->maybe('plate_start_ohms')];
        $pair = match (true) {
            max($ohms) === 0.0 || ! Limit::over(min($ohms) / max($ohms), self::SHORTED_SINGLE) => (int) array_search(min($ohms), $ohms, true),
            $small[0] !== null && Limit::under($ohms[0] / $small[0], self::SHORTED) => 0,
            $small[1] !== null && Limit::under($ohms[1] / $small[1], self::SHORTED) => 1,
            default => null,
        };
        if ($pair !== null) {
            return $this->judgement([Finding::stop('shorted_winding', ['pair' => Word::of('terminals', array_values(self::TERMINALS)[$pair]), 'ohms' => Said::ohms($ohms[$pair])])]);
        }
        $expected = array_filter(['run' => self::expected($in, 'plate_ohms'), 'start' => self::expected($in, 'plate_start_ohms')], fn (?float $e): bool => $e !== null);
        /** @param non-empty-list<float> $r */
        $results = fn (array $r): array => ['sum' => 100 * abs(2 * max($r) - array_sum($r)) / max($r), 'ratio' => $r[1] / $r[0]]
            + (isset($expected['run']) ? ['deviation' => 100 * ($r[0] / $expected['run'] - 1)] : [])
            + (isset($expected['start']) ? ['deviation_start' => 100 * ($r[1] / $expected['start'] - 1)] : []);
        $judged = $results($ohms);
        $values = ['sum_difference' => Value::of($judged['sum'], '%'), 'start_ratio' => Value::of($judged['ratio'], '')];
        foreach (['run' => ['expected', 'deviation'], 'start' => ['expected_start', 'deviation_start']] as $winding => [$name, $deviation]) {
            if (isset($expected[$winding])) {
                $values += [$name => Value::of($expected[$winding], 'ohm'), $deviation => Value::of($judged[$deviation] ?? 0.0, '%')];
            }
        }
        $found = fn (array $j): array => self::foundSingle($in, $ohms, $j, $expected);
        $marginal = self::marginal($found, $judged, Uncertainty::eachAlone($results, $ohms, self::errors($in, $ohms)));
        $findings = $found($judged) ?: [Finding::note('sum_fits', ['ratio' => Said::number($judged['ratio'], 1)])];
        if ($marginal) {
            $findings[] = Finding::note('too_close');
        }

        return $this->judgement($findings, $values, $marginal);
    }

    /**
     * @param non-empty-list<float> $ohms
     * @param array<string, float>  $judged
     * @param array<string, float>  $expected by winding
     * @return list<Finding>
     */
    private static function foundSingle(Input $in, array $ohms, array $judged, array $expected): array
    {
        $said = ['run' => Said::ohms($ohms[0]), 'start' => Said::ohms($ohms[1])];
        $findings = [];
        if (Limit::under($judged['ratio'], 1.0)) {
            $findings[] = Finding::stop('start_below_run', $said);
        } elseif (Limit::under($judged['ratio'], self::START_NEAR_RUN)) {
            $findings[] = Finding::watch('start_near_run', $said + ['ratio' => Said::number($judged['ratio'], 1, self::START_NEAR_RUN)]);
        }
        if (Limit::over($judged['sum'], self::SUM_OFF)) {
            $findings[] = Finding::watch('sum_off', ['difference' => Said::percent($judged['sum'], self::SUM_OFF)]);
        }
        if (! $in->given('at_temperature') && ($in->given('plate_ohms') || $in->given('plate_start_ohms'))) {
            $findings[] = Missing::at('at_temperature');
        }
        foreach (['run' => 'deviation', 'start' => 'deviation_start'] as $winding => $deviation) {
            if (isset($expected[$winding]) && Limit::over(abs($judged[$deviation] ?? 0.0), self::OFF_PLATE)) {
                $findings[] = Finding::watch('off_plate', self::offPlate(abs($judged[$deviation] ?? 0.0), $expected[$winding], $winding === 'run' ? $ohms[0] : $ohms[1]), "off_plate_$winding");
            }
        }

        return $findings;
    }

    /** @return array<string, Said> */
    private static function offPlate(float $deviation, float $expected, float $mean): array
    {
        return ['deviation' => Said::percent($deviation, self::OFF_PLATE), 'expected' => Said::ohms($expected), 'mean' => Said::ohms($mean)];
    }

    /** @param non-empty-list<float> $ohms */
    private function threePhase(Input $in, array $ohms): Judgement
    {
        $mean = array_sum($ohms) / 3;
        if ($mean === 0.0) {
            return $this->judgement([self::shorted($ohms)], ['mean' => Value::of(0.0, 'ohm')]);
        }
        $expected = self::expected($in, 'plate_ohms');
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
            $findings[] = Finding::watch('off_plate', self::offPlate(abs($judged['deviation'] ?? 0.0), $expected, array_sum($ohms) / 3));
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

    /** A sheet's resistance at the winding's temperature, ohm; null when it or the temperature is not given. */
    private static function expected(Input $in, string $plate): ?float
    {
        if (! $in->all($plate, 'at_temperature')) {
            return null;
        }
        $factor = fn (string $name): float => 1 + self::COPPER_PER_KELVIN * (Units::fromCanonical($in->number($name), 'degC', Kind::Temperature) - 20);

        return $in->number($plate) * $factor('at_temperature') / $factor('plate_temperature');
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
        return new Judgement($findings, $values, $marginal, ['lockout', 'terminal_venting', 'eye_protection', 'stored_energy'], [Finding::note('basis')]);
    }
}
