<?php

declare(strict_types=1);

namespace IronStart\Core\Power;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Draws;
use IronStart\Core\Check\DrawsOnRecord;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Instrument;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\Past;
use IronStart\Core\Verdict\Caution;
use IronStart\Core\Verdict\Drawn;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Uncertainty;
use IronStart\Core\Verdict\Value;
use IronStart\Core\Verdict\Word;

/**
 * Whether a supply is fit to run on: range, unbalance, and sag under load.
 *
 * Extra winding heating 2·u² and the derating curve are the figures motor standards give for unbalanced
 * voltage u (percent departure of the furthest leg from the average).
 */
final class Voltage implements Check, DrawsOnRecord, Draws
{
    private const PAIRS = ['ab', 'bc', 'ca'];
    /** The conductor two pairs share. */
    private const SHARED = ['ab' => ['bc' => 'b', 'ca' => 'a'], 'bc' => ['ca' => 'c']];
    /** Share of a nominal system within which a reading belongs to it. */
    private const SYSTEM = 0.12;
    private const UNBALANCE_CLEAR = 1.0;
    private const UNBALANCE_NEVER = 5.0;
    private const SAG_WATCH = 3.0;
    private const SAG_STOP = 5.0;
    /** Share of its rated power a motor keeps at an unbalance of 0, 1 … 5 %. */
    private const DERATING = [1.00, 0.98, 0.95, 0.88, 0.82, 0.75];

    public function id(): string
    {
        return 'power.voltage';
    }

    public function version(): int
    {
        return 2;
    }

    public function fields(): array
    {
        return [
            Field::volts('volts_ab')->needed(),
            Field::volts('volts_bc')->needed(),
            Field::volts('volts_ca')->needed(),
            Field::parsed('plate_voltage', PlateVoltage::parse(...))->fromSheet('electrical.plate_voltage')
                ->neededWhen(fn (Input $in): bool => ! $in->all('volts_min', 'volts_max')),
            Field::volts('volts_min')->positive()->fromSheet('electrical.volts_min'),
            Field::volts('volts_max')->positive()->fromSheet('electrical.volts_max'),
            Field::percent('unbalance_limit', 0, 5)->default(2.0)->fromSheet('electrical.unbalance_limit'),
            Field::flag('loaded'),
            Field::volts('no_load_average')->positive(),
        ];
    }

    public function contradictions(Input $in): iterable
    {
        if ($in->all('volts_min', 'volts_max') && $in->number('volts_min') > $in->number('volts_max')) {
            yield InputError::at('volts_min', $in->number('volts_min'), 'a voltage not above volts_max', 'V is above volts_max');
        }
    }

    /** About the loaded supply: what it was with nothing running. */
    public static function bringsIn(Past $past, string $subject): array
    {
        $average = $subject === 'loaded' ? $past->standingAverage() : null;

        return $average === null || $average <= 0 || $average > 1000 ? [] : ['no_load_average' => ['value' => $average, 'unit' => 'V']];
    }

    public static function drawing(Input $in, array $values): array
    {
        [$low, $high] = self::range($in);
        $isOut = fn (?float $volts): bool => $volts !== null && (Limit::under($volts, $low) || ($high > 0 && Limit::over($volts, $high)));
        $leg = fn (string $name, ?float $volts): array => ['name' => $name, 'value' => $volts, 'is' => $isOut($volts) ? 'stop' : 'plain'];

        return Drawn::legs('V', $high > 0 ? $low : null, $high > 0 ? $high : null, isset($values['average']) ? (float) $values['average']->value : null, [
            $leg('L1-L2', $in->maybe('volts_ab')), $leg('L2-L3', $in->maybe('volts_bc')), $leg('L3-L1', $in->maybe('volts_ca')),
        ]);
    }

    public function judge(Input $in): Judgement
    {
        if ($in->missing !== []) {
            return $this->judgement(Missing::in($in), [], false, $in);
        }
        [$low, $high] = self::range($in);
        $legs = new ThreeLegs($in->number('volts_ab'), $in->number('volts_bc'), $in->number('volts_ca'));
        $values = ['average' => Value::of($legs->average, 'V'), 'volts_min' => Value::of($low, 'V'), 'volts_max' => Value::of($high, 'V')];
        if ($legs->average === 0.0) {
            return $this->judgement([Finding::stop('no_supply')], $values, false, $in);
        }
        $limit = $in->number('unbalance_limit');
        $judged = ['ab' => $legs->first, 'bc' => $legs->second, 'ca' => $legs->third];
        $unsure = ['ab' => $legs->first * Instrument::Voltmeter->share(), 'bc' => $legs->second * Instrument::Voltmeter->share(), 'ca' => $legs->third * Instrument::Voltmeter->share()];
        $values += [
            'unbalance' => Value::of($legs->unbalance(), '%'),
            'heating_rise' => Value::of(2 * $legs->unbalance() ** 2, '%'),
            'derating' => Value::of(self::derating($legs->unbalance()), ''),
            'worst_leg' => Value::text(self::PAIRS[$legs->worst]),
        ];
        $still = $in->maybe('no_load_average');
        $sag = $still !== null && (! $in->given('loaded') || $in->flag('loaded'));
        $results = function (array $v): array {
            $legs = new ThreeLegs($v[0], $v[1], $v[2]);

            return ['unbalance' => $legs->unbalance()] + (isset($v[3]) ? ['sag' => 100 * ($v[3] - $legs->average) / $v[3]] : []);
        };
        $readings = $sag ? [...$legs->all(), $still] : $legs->all();
        $judged += $results($readings);
        $unsure += Uncertainty::sharedInstrument($results, $readings, Instrument::Voltmeter->share());
        if ($sag) {
            $values['sag'] = Value::of($judged['sag'] ?? 0.0, '%');
        }
        $weak = self::weakConductor($legs);
        $said = ['leg' => Word::of('leg', self::PAIRS[$legs->worst]), 'weak' => $weak === null ? '' : Word::of('line', $weak)];
        $found = fn (array $judged): array => self::findings($judged, $low, $high, $limit, $said);
        $marginal = Uncertainty::decides(fn (array $j): Status => Judgement::worst($found($j)), $judged, $unsure);
        $findings = $found($judged);
        if ($weak !== null && array_filter($findings, fn (Finding $f): bool => in_array($f->code, ['unbalance_watch', 'unbalance_over_limit'], true)) !== []) {
            $values['weak_conductor'] = Value::text($weak);
        }
        $other = self::otherSystem($legs, $low, $high, $still);
        if ($other !== null) {
            // The wrong supply explains the rest: no lug is loose.
            array_unshift($findings, Finding::stop("other_system:$other", ['average' => Said::volts($legs->average), 'low' => Said::volts($low), 'high' => Said::volts($high), 'system' => $other]));
        }
        if ($findings === []) {
            $findings[] = Finding::note('fit', ['average' => Said::volts($legs->average), 'unbalance' => Said::percent($legs->unbalance())]);
        }
        if ($marginal) {
            $findings[] = Finding::note('too_close');
        }

        return $this->judgement($other === null ? $findings : self::withoutLugs($findings), $values, $marginal, $in);
    }

    /**
     * The nominal system the supply belongs to, where it is another than the range's; null where it is not.
     *
     * @param float $low  V
     * @param float $high V
     */
    private static function otherSystem(ThreeLegs $legs, float $low, float $high, ?float $noLoad): ?int
    {
        if (Limit::within($legs->average, $low, $high) || ($noLoad !== null && Limit::within($noLoad, $low, $high))) {
            return null;
        }
        $fits = array_filter(PlateVoltage::FAMILIES, fn (int $system): bool => array_filter($legs->all(), fn (float $v): bool => Limit::over(abs($v / $system - 1), self::SYSTEM)) === []);
        if ($fits === []) {
            return null;
        }
        $nearest = PlateVoltage::nearest(array_map(floatval(...), array_values($fits)), $legs->average);

        return Limit::within($nearest, $low, $high) ? null : (int) $nearest;
    }

    /**
     * Where the whole supply is another one, its unbalance and its limits are told without what to mend.
     *
     * @param list<Finding> $findings
     * @return list<Finding>
     */
    private static function withoutLugs(array $findings): array
    {
        return array_map(fn (Finding $f): Finding => str_starts_with($f->code, 'other_system') || $f->note ? $f
            : Finding::of($f->status, $f->code, array_intersect_key($f->params, ['leg' => 1, 'volts' => 1, 'limit' => 1, 'unbalance' => 1, 'sag' => 1]), $f->code . '_besides'), $findings);
    }

    /** The conductor both low pairs share, a, b or c; null unless exactly two pairs are below the average. */
    private static function weakConductor(ThreeLegs $legs): ?string
    {
        $below = array_keys(array_filter(array_combine(self::PAIRS, $legs->all()), fn (float $v): bool => Limit::under($v, $legs->average)));

        return count($below) === 2 ? self::SHARED[$below[0]][$below[1]] ?? null : null;
    }

    /** @return array{0: float, 1: float} V; the sheet's own ends win over the plate's */
    private static function range(Input $in): array
    {
        $plate = $in->parsed('plate_voltage');
        $plate = $plate instanceof PlateVoltage ? $plate : null;

        return [$in->maybe('volts_min') ?? $plate?->min() ?? 0.0, $in->maybe('volts_max') ?? $plate?->max() ?? 0.0];
    }

    /**
     * @param array<string, float> $judged
     * @param array<string, Word|string> $said the pair furthest off, and the conductor both low pairs share ('' where there is none)
     * @return list<Finding>
     */
    private static function findings(array $judged, float $low, float $high, float $limit, array $said): array
    {
        $findings = [];
        $lowest = $highest = null;
        foreach (self::PAIRS as $pair) {
            $volts = $judged[$pair];
            $lowest = Limit::under($volts, $low) && ($lowest === null || $volts < $judged[$lowest]) ? $pair : $lowest;
            $highest = Limit::over($volts, $high) && ($highest === null || $volts > $judged[$highest]) ? $pair : $highest;
        }
        if ($lowest !== null) {
            $findings[] = Finding::stop('under_voltage', ['leg' => Word::of('leg', $lowest), 'volts' => Said::volts($judged[$lowest], $low), 'limit' => Said::volts($low, $judged[$lowest])]);
        }
        if ($highest !== null) {
            $findings[] = Finding::stop('over_voltage', ['leg' => Word::of('leg', $highest), 'volts' => Said::volts($judged[$highest], $high), 'limit' => Said::volts($high, $judged[$highest])]);
        }

        return [...$findings, ...self::unbalance($judged['unbalance'], $limit, $said), ...self::sag($judged['sag'] ?? null)];
    }

    /**
     * @param array<string, Word|string> $said
     * @return list<Finding>
     */
    private static function unbalance(float $unbalance, float $limit, array $said): array
    {
        $told = ['unbalance' => Said::percent($unbalance, $limit), 'limit' => Said::percent($limit, $unbalance), 'leg' => $said['leg'], 'heating' => Said::percent(2 * $unbalance ** 2)];
        $found = fn (Status $status, string $code): Finding => $said['weak'] === '' ? Finding::of($status, $code, $told) : Finding::of($status, $code, $told + ['weak' => $said['weak']], "{$code}_weak");
        if (Limit::over($unbalance, self::UNBALANCE_NEVER)) {
            return [$found(Status::Stop, 'unbalance_over_limit'), Finding::stop('unbalance_never_run')];
        }
        if (Limit::over($unbalance, $limit)) {
            return [$found(Status::Stop, 'unbalance_over_limit')];
        }

        return Limit::over($unbalance, min(self::UNBALANCE_CLEAR, $limit)) ? [$found(Status::Watch, 'unbalance_watch')] : [];
    }

    /** @return list<Finding> */
    private static function sag(?float $sag): array
    {
        return match (true) {
            $sag === null => [],
            Limit::over($sag, self::SAG_STOP) => [Finding::stop('sag_over_limit', ['sag' => Said::percent($sag, self::SAG_STOP)])],
            Limit::over($sag, self::SAG_WATCH) => [Finding::watch('sag_watch', ['sag' => Said::percent($sag, self::SAG_WATCH)])],
            default => [],
        };
    }

    /** @return float share of rated power, 1 at no unbalance, 0 over 5 %: never run */
    private static function derating(float $unbalance): float
    {
        if (Limit::over($unbalance, self::UNBALANCE_NEVER)) {
            return 0.0;
        }
        $i = min((int) floor($unbalance), count(self::DERATING) - 2);

        return self::DERATING[$i] + ($unbalance - $i) * (self::DERATING[$i + 1] - self::DERATING[$i]);
    }

    /**
     * @param list<Finding>        $findings
     * @param array<string, Value> $values
     */
    private function judgement(array $findings, array $values, bool $marginal, Input $in): Judgement
    {
        $plate = $in->parsed('plate_voltage');
        $basis = [];
        if ($in->given('volts_min') || $in->given('volts_max')) {
            $basis[] = Finding::note('range_from_sheet');
        }
        if ($plate instanceof PlateVoltage && ! $in->all('volts_min', 'volts_max')) {
            $basis[] = Finding::note('range_from_plate', ['plate' => $plate->written]);
        }
        $basis[] = Finding::note($in->given('unbalance_limit') ? 'limit_from_sheet' : 'limit_default', ['limit' => Said::percent($in->number('unbalance_limit'))]);

        return new Judgement($findings, $values, $marginal, Caution::LIVE, $basis);
    }
}
