<?php

declare(strict_types=1);

namespace IronStart\Core\Power;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\NoContradictions;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Uncertainty;
use IronStart\Core\Verdict\Value;

/** Whether the control transformer stands on the right tap, and what its secondary gives. */
final class ControlVoltage implements Check
{
    use NoContradictions;

    /** Bands of a 24 V secondary; they scale with another nominal. */
    private const NOMINAL = 24.0;
    private const CLEAR = [22.0, 27.0];
    private const WATCH = [20.0, 28.5];
    /** %, measured against expected: more is loaded or failing. */
    private const DIFFERENCE = 12.0;

    public function id(): string
    {
        return 'power.control_voltage';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        return [
            Field::volts('supply_average', 50)->needed(),
            Field::volts('tap', 50)->needed(),
            Field::quantities('taps', Kind::Voltage, 'V', 50, 1000),
            Field::volts('secondary_measured', 0, 600),
            Field::volts('secondary_nominal', 5, 600)->default('24 V'),
        ];
    }

    public function judge(Input $in): Judgement
    {
        if ($in->missing !== []) {
            return $this->judgement(Missing::in($in), []);
        }
        $supply = $in->number('supply_average');
        $tap = $in->number('tap');
        $nominal = $in->number('secondary_nominal');
        $right = self::rightTap($in, $supply);
        $expected = $nominal * $supply / $tap;
        $measured = $in->maybe('secondary_measured');
        $secondary = $measured ?? $expected;
        $values = [
            'expected_secondary' => Value::of($expected, 'V'),
            'secondary' => Value::of($secondary, 'V'),
            'right_tap' => Value::of($right, 'V'),
            'right_tap_secondary' => Value::of($nominal * $supply / $right, 'V'),
        ];
        $judged = ['secondary' => $secondary];
        $unsure = ['secondary' => $secondary * Uncertainty::VOLTMETER];
        if ($measured !== null) {
            $difference = fn (array $v): array => ['difference' => 100 * ($v[1] - $nominal * $v[0] / $tap) / ($nominal * $v[0] / $tap)];
            $judged += $difference([$supply, $measured]);
            $unsure += Uncertainty::sharedInstrument($difference, [$supply, $measured], Uncertainty::VOLTMETER);
            $values['difference'] = Value::of($judged['difference'], '%');
        }
        $wrongTap = $right === $tap ? [] : [Finding::watch('wrong_tap', [
            'tap' => Said::volts($tap), 'right' => Said::volts($right), 'gives' => Said::volts($nominal * $supply / $right), 'supply' => Said::volts($supply),
        ])];
        $found = fn (array $j): array => [...self::band($j['secondary'], $nominal), ...$wrongTap, ...self::difference($j['difference'] ?? 0.0, $secondary, $expected)];
        $marginal = Uncertainty::decides(fn (array $j): Status => Judgement::worst($found($j)), $judged, $unsure);
        $findings = $found($judged);
        if ($findings === []) {
            $findings[] = Finding::note($measured === null ? 'right_expected' : 'right_measured', ['secondary' => Said::volts($secondary), 'tap' => Said::volts($tap)]);
        }
        if ($measured === null) {
            $findings[] = Finding::note('measure_it');
        }

        return $this->judgement($findings, $values, $marginal);
    }

    /** The tap whose ratio to the supply is nearest to 1; of a tie the lower. */
    private static function rightTap(Input $in, float $supply): float
    {
        $taps = array_unique([...$in->numbers('taps'), $in->number('tap')]);
        sort($taps);
        $best = $taps[0];
        foreach ($taps as $tap) {
            $best = abs($supply / $tap - 1) < abs($supply / $best - 1) - 1e-12 ? $tap : $best;
        }

        return $best;
    }

    /** @return list<Finding> */
    private static function band(float $secondary, float $nominal): array
    {
        $scale = $nominal / self::NOMINAL;
        if (Limit::within($secondary, self::CLEAR[0] * $scale, self::CLEAR[1] * $scale)) {
            return [];
        }
        $status = Limit::within($secondary, self::WATCH[0] * $scale, self::WATCH[1] * $scale) ? Status::Watch : Status::Stop;
        [$code, $limit] = $secondary < $nominal ? ['secondary_low', self::CLEAR[0] * $scale] : ['secondary_high', self::CLEAR[1] * $scale];

        return [Finding::of($status, $code, ['secondary' => Said::volts($secondary, $limit), 'limit' => Said::volts($limit)])];
    }

    /** @return list<Finding> */
    private static function difference(float $percent, float $secondary, float $expected): array
    {
        return Limit::over(abs($percent), self::DIFFERENCE)
            ? [Finding::watch('secondary_off_expected', ['secondary' => Said::volts($secondary), 'expected' => Said::volts($expected)])]
            : [];
    }

    /**
     * @param list<Finding>        $findings
     * @param array<string, Value> $values
     */
    private function judgement(array $findings, array $values, bool $marginal = false): Judgement
    {
        return new Judgement($findings, $values, $marginal, ['qualified_electrical', 'arc_flash'], [Finding::note('basis')]);
    }
}
