<?php

declare(strict_types=1);

namespace IronStart\Core\Power;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Missing;
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
final class Voltage implements Check
{
    private const PAIRS = ['ab', 'bc', 'ca'];
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
        return 1;
    }

    public function fields(): array
    {
        return [
            Field::volts('volts_ab')->needed(),
            Field::volts('volts_bc')->needed(),
            Field::volts('volts_ca')->needed(),
            Field::parsed('plate_voltage', PlateVoltage::parse(...))
                ->neededWhen(fn (Input $in): bool => ! $in->all('volts_min', 'volts_max')),
            Field::volts('volts_min')->positive(),
            Field::volts('volts_max')->positive(),
            Field::percent('unbalance_limit', 0, 5)->default(2.0),
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
        $unsure = ['ab' => $legs->first * Uncertainty::VOLTMETER, 'bc' => $legs->second * Uncertainty::VOLTMETER, 'ca' => $legs->third * Uncertainty::VOLTMETER];
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
        $unsure += Uncertainty::sharedInstrument($results, $readings, Uncertainty::VOLTMETER);
        if ($sag) {
            $values['sag'] = Value::of($judged['sag'] ?? 0.0, '%');
        }
        $found = fn (array $judged): array => self::findings($judged, $low, $high, $limit, self::PAIRS[$legs->worst]);
        $marginal = Uncertainty::decides(fn (array $j): Status => Judgement::worst($found($j)), $judged, $unsure);
        $findings = $found($judged);
        if ($findings === []) {
            $findings[] = Finding::note('fit', ['average' => Said::volts($legs->average), 'unbalance' => Said::percent($legs->unbalance())]);
        }
        if ($marginal) {
            $findings[] = Finding::note('too_close');
        }

        return $this->judgement($findings, $values, $marginal, $in);
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
     * @return list<Finding>
     */
    private static function findings(array $judged, float $low, float $high, float $limit, string $worst): array
    {
        $findings = [];
        $lowest = $highest = null;
        foreach (self::PAIRS as $pair) {
            $volts = $judged[$pair];
            $lowest = Limit::under($volts, $low) && ($lowest === null || $volts < $judged[$lowest]) ? $pair : $lowest;
            $highest = Limit::over($volts, $high) && ($highest === null || $volts > $judged[$highest]) ? $pair : $highest;
        }
        if ($lowest !== null) {
            $findings[] = Finding::stop('under_voltage', ['leg' => Word::of('leg', $lowest), 'volts' => Said::volts($judged[$lowest], $low), 'limit' => Said::volts($low)]);
        }
        if ($highest !== null) {
            $findings[] = Finding::stop('over_voltage', ['leg' => Word::of('leg', $highest), 'volts' => Said::volts($judged[$highest], $high), 'limit' => Said::volts($high)]);
        }

        return [...$findings, ...self::unbalance($judged['unbalance'], $limit, $worst), ...self::sag($judged['sag'] ?? null)];
    }

    /** @return list<Finding> */
    private static function unbalance(float $unbalance, float $limit, string $worst): array
    {
        $told = fn (float $against): array => [
            'unbalance' => Said::percent($unbalance, $against),
            'limit' => Said::percent($against),
            'leg' => Word::of('leg', $worst),
            'heating' => Said::percent(2 * $unbalance ** 2),
        ];
        if (Limit::over($unbalance, self::UNBALANCE_NEVER)) {
            return [Finding::stop('unbalance_over_limit', $told($limit)), Finding::stop('unbalance_never_run')];
        }
        if (Limit::over($unbalance, $limit)) {
            return [Finding::stop('unbalance_over_limit', $told($limit))];
        }

        return Limit::over($unbalance, min(self::UNBALANCE_CLEAR, $limit)) ? [Finding::watch('unbalance_watch', $told($limit))] : [];
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

        return new Judgement($findings, $values, $marginal, ['qualified_electrical', 'arc_flash'], $basis);
    }
}
