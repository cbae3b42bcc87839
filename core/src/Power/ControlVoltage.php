<?php

declare(strict_types=1);

namespace IronStart\Core\Power;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Draws;
use IronStart\Core\Check\DrawsOnRecord;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\Instrument;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\NoContradictions;
use IronStart\Core\Check\Past;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Verdict\Caution;
use IronStart\Core\Verdict\Drawn;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Uncertainty;
use IronStart\Core\Verdict\Value;

/** Whether the control transformer stands on the right tap, and what its secondary gives. */
final class ControlVoltage implements Check, DrawsOnRecord, Draws
{
    use NoContradictions;

    /** Bands of a 24 V secondary; they scale with another nominal. */
    private const NOMINAL = 24.0;
    private const CLEAR = [22.0, 27.0];
    private const WATCH = [20.0, 28.5];
    /** V; where its drawing begins and ends. */
    private const FROM = 16.0;
    private const TO = 32.0;
    /** %, measured against expected: more is loaded or failing. */
    private const DIFFERENCE = 12.0;
    /** Share of the supply by which another tap must be nearer to be worth moving to. */
    private const NEARER = 0.03;
    /** V at the secondary, whatever its nominal: nothing is there. */
    private const NOTHING = 1.0;

    public function id(): string
    {
        return 'power.control_voltage';
    }

    public function version(): int
    {
        return 2;
    }

    public function fields(): array
    {
        return [
            Field::volts('supply_average', 50)->neededWhen(fn (Input $in): bool => ! $in->given('supply_pair')),
            Field::volts('tap', 50)->needed(),
            Field::quantities('taps', Kind::Voltage, 'V', 50, 1000)->fromSheet('electrical.transformer.taps'),
            Field::volts('secondary_measured', 0, 600),
            Field::volts('secondary_nominal', 5, 600)->default('24 V')->fromSheet('electrical.transformer.secondary_nominal'),
            Field::volts('supply_pair', 50),
        ];
    }

    /** The average with nothing running, as it was read last. */
    public static function bringsIn(Past $past, string $subject): array
    {
        $average = $past->standingAverage();

        return $average === null || $average < 50 || $average > 1000 ? [] : ['supply_average' => ['value' => $average, 'unit' => 'V']];
    }

    /** The bands follow the secondary's nominal. */
    public static function drawing(Input $in, array $values): array
    {
        $scale = $in->number('secondary_nominal') / self::NOMINAL;
        $band = fn (float $to, Status $is): array => ['to' => $to * $scale, 'is' => $is];

        return Drawn::scale('V', self::FROM * $scale, [
            $band(self::WATCH[0], Status::Stop), $band(self::CLEAR[0], Status::Watch), $band(self::CLEAR[1], Status::Clear), $band(self::WATCH[1], Status::Watch), $band(self::TO, Status::Stop),
        ], isset($values['secondary']) ? (float) $values['secondary']->value : null);
    }

    public function judge(Input $in): Judgement
    {
        if ($in->missing !== []) {
            return $this->judgement(Missing::in($in), []);
        }
        $supply = $in->maybe('supply_pair') ?? $in->number('supply_average');
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
        $share = Instrument::Voltmeter->share();
        $unsure = ['secondary' => $secondary * $share];
        if ($measured !== null) {
            $difference = fn (array $v): array => ['difference' => 100 * ($v[1] - $nominal * $v[0] / $tap) / ($nominal * $v[0] / $tap)];
            $judged += $difference([$supply, $measured]);
            $unsure += Uncertainty::sharedInstrument($difference, [$supply, $measured], $share);
            $values['difference'] = Value::of($judged['difference'], '%');
        }
        $said = ['tap' => Said::volts($tap), 'right' => Said::volts($right), 'gives' => Said::volts($nominal * $supply / $right), 'supply' => Said::volts($supply)];
        $found = fn (array $j): array => self::found($j, $measured !== null, $nominal, $expected, [$supply, $tap, $right], $said);
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

    /**
     * @param array<string, float>        $judged
     * @param array{float, float, float}  $taps  supply, tap in use, right tap, V
     * @param array<string, Said>         $said
     * @return list<Finding>
     */
    private static function found(array $judged, bool $isMeasured, float $nominal, float $expected, array $taps, array $said): array
    {
        [$supply, $tap, $right] = $taps;
        $secondary = $judged['secondary'];
        $nothing = $isMeasured && Limit::under($secondary, self::NOTHING);
        $off = $nothing ? [] : self::difference($judged['difference'] ?? 0.0, $secondary, $expected);
        $worthMoving = ! Limit::under((abs($supply - $tap) - abs($supply - $right)) / ($supply * self::NEARER), 1.0);
        $scale = $nominal / self::NOMINAL;
        $moved = $right <=> $tap;
        $wouldHelp = ! $nothing && ((Limit::under($secondary, self::CLEAR[0] * $scale) && $moved === -1) || (Limit::over($secondary, self::CLEAR[1] * $scale) && $moved === 1));
        $wrong = $moved !== 0 && ($worthMoving || $wouldHelp) ? [Finding::watch('wrong_tap', $said, $off === [] ? 'wrong_tap' : 'wrong_tap_and_off')] : [];
        $band = $nothing ? [Finding::stop('no_secondary', ['secondary' => Said::volts($secondary)])] : self::band($secondary, $nominal, $wrong !== []);

        return [...$band, ...$wrong, ...$off];
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
    private static function band(float $secondary, float $nominal, bool $tapIsWrong): array
    {
        $scale = $nominal / self::NOMINAL;
        if (Limit::within($secondary, self::CLEAR[0] * $scale, self::CLEAR[1] * $scale)) {
            return [];
        }
        $status = Limit::within($secondary, self::WATCH[0] * $scale, self::WATCH[1] * $scale) ? Status::Watch : Status::Stop;
        [$code, $limit] = $secondary < $nominal ? ['secondary_low', self::CLEAR[0] * $scale] : ['secondary_high', self::CLEAR[1] * $scale];

        return [Finding::of($status, $code, ['secondary' => Said::volts($secondary, $limit), 'limit' => Said::volts($limit)], $tapIsWrong ? "{$code}_by_tap" : null)];
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
        return new Judgement($findings, $values, $marginal, [...Caution::LIVE, 'stored_energy'], [Finding::note('basis')]);
    }
}
