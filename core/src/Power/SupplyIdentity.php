<?php

declare(strict_types=1);

namespace IronStart\Core\Power;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Draws;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\Instrument;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\NoContradictions;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Verdict\Caution;
use IronStart\Core\Verdict\Drawn;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Value;
use IronStart\Core\Verdict\Word;

/**
 * What supply this is: which wye or delta, from three line voltages and three to ground.
 *
 * A meter alone does not settle everything: a floating delta read with a high-impedance meter can imitate a
 * wye, and a corner-grounded reading may be a ground fault on a floating delta. Both are said, not guessed.
 */
final class SupplyIdentity implements Check, Draws
{
    use NoContradictions;

    /** V; under this on every pair nothing is on. */
    private const NOTHING = 30.0;
    /** Share of a nominal within which a reading fits it. */
    private const FIT = 0.12;
    /** Line-to-line nominal => line-to-neutral nominal of the wyes. 400/230 covers 380/220 and 415/240. */
    private const WYES = [208 => 120, 240 => 139, 400 => 230, 480 => 277, 600 => 347];
    /** Of the highest pair: under this a pair or a leg counts as gone. */
    private const GONE = 0.10;
    /** Of the highest pair: from here a pair counts as whole. */
    private const WHOLE = 0.90;
    /** Of the highest pair: where the two pairs of a lost line read when a load feeds it back. */
    private const HALF = [0.40, 0.60];
    /** Of the highest pair: two pairs under this share a lost line. */
    private const LOW = 0.80;
    /** Of the highest leg: all three alive to ground, though one pair reads nothing. */
    private const ALIVE = 0.60;
    /** %, line to line: more is a lost line held up by a motor that is still running. */
    private const UNEVEN = 5.0;
    /** Share of the mean of the other two by which a leg is low to ground … */
    private const WEAK = 0.05;
    /** … those two being this near to each other. */
    private const WEAK_OTHERS = 0.02;
    /** Share of the plate's hertz. */
    private const HERTZ = 0.05;
    /** The conductor outside a pair, and the two pairs a conductor belongs to. */
    private const OUTSIDE = ['ab' => 2, 'bc' => 0, 'ca' => 1];
    private const PAIRS = ['ab', 'bc', 'ca'];
    private const PAIRS_OF = [['ca', 'ab'], ['ab', 'bc'], ['bc', 'ca']];

    public function id(): string
    {
        return 'power.supply_identity';
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
            Field::volts('volts_ag'),
            Field::volts('volts_bg'),
            Field::volts('volts_cg'),
            Field::parsed('plate_voltage', PlateVoltage::parse(...))->fromSheet('electrical.plate_voltage'),
            Field::quantity('frequency', Kind::Frequency, 'Hz', 10, 400)->readWith(Instrument::Voltmeter)->fromSheet('electrical.frequency', true),
        ];
    }

    public static function drawing(Input $in, array $values): array
    {
        $leg = fn (string $name, ?float $volts): array => ['name' => $name, 'value' => $volts, 'is' => 'plain'];
        $ground = fn (string $name, string $line): array => ['name' => $name, 'value' => $in->maybe("volts_{$line}g")];

        return Drawn::legs('V', null, null, isset($values['average']) ? (float) $values['average']->value : null, [
            $leg('L1-L2', $in->maybe('volts_ab')), $leg('L2-L3', $in->maybe('volts_bc')), $leg('L3-L1', $in->maybe('volts_ca')),
        ], [$ground('L1', 'a'), $ground('L2', 'b'), $ground('L3', 'c')]);
    }

    public function judge(Input $in): Judgement
    {
        if ($in->missing !== []) {
            return $this->judgement(Missing::in($in), []);
        }
        $lines = new ThreeLegs($in->number('volts_ab'), $in->number('volts_bc'), $in->number('volts_ca'));
        $ground = $in->all('volts_ag', 'volts_bg', 'volts_cg')
            ? [$in->number('volts_ag'), $in->number('volts_bg'), $in->number('volts_cg')] : null;
        $values = ['average' => Value::of($lines->average, 'V')];
        if (max($lines->all()) < self::NOTHING) {
            return $this->judgement([Finding::open('no_supply', ['highest' => Said::volts(max($lines->all()))])], $values);
        }
        $broken = self::broken($lines, $ground);
        if ($broken !== []) {
            return $this->judgement($broken, $values + ['supply' => Value::text($broken[0]->code)]);
        }

        return $this->whole($in, $lines, $ground, $values);
    }

    /**
     * @param array{float, float, float}|null $ground
     * @param array<string, Value>            $values
     */
    private function whole(Input $in, ThreeLegs $lines, ?array $ground, array $values): Judgement
    {
        $plate = $in->parsed('plate_voltage');
        $plate = $plate instanceof PlateVoltage ? $plate : null;
        [$identity, $nominal, $leg] = self::identify($lines, $ground, $plate);
        $findings = [];
        if ($nominal === null) {
            $findings = [Finding::stop('unknown', ['average' => Said::volts($lines->average)]), ...self::frequency($plate, $in->maybe('frequency'))];

            return $this->judgement($findings, $values + ['supply' => Value::text('unknown')]);
        }
        $values += ['nominal' => Value::of($nominal, 'V'), 'supply' => Value::text($identity)];
        if ($plate !== null) {
            $findings = [...self::againstPlate($plate, $nominal, $lines->average), ...self::frequency($plate, $in->maybe('frequency'))];
        }
        if (str_starts_with($identity, 'wye_') && $ground !== null) {
            $findings = [...$findings, ...self::weak($lines, $ground)];
        }
        if (Limit::over($lines->unbalance(), self::UNEVEN)) {
            $findings[] = Finding::watch('uneven', ['unbalance' => Said::percent($lines->unbalance(), self::UNEVEN)]);
        }
        $findings = [...$findings, ...self::named($in, $identity, $lines, $leg)];
        if ($leg !== null) {
            $name = $identity === 'delta_240_high_leg' ? 'high_leg' : 'grounded_leg';
            $values[$name] = Value::text($leg);
            $findings[] = Finding::watch("$name:$leg", ['leg' => strtoupper($leg)]);
        }
        if ($plate !== null && $findings[0]->code === $identity) {
            $findings[] = Finding::note('suits_plate', ['plate' => $plate->written]);
        }

        return $this->judgement($findings, $values);
    }

    /**
     * A line that is lost, or a supply that has no third one.
     *
     * @param array{float, float, float}|null $ground
     * @return list<Finding> none where all three lines are there
     */
    private static function broken(ThreeLegs $lines, ?array $ground): array
    {
        $most = max($lines->all());
        $shares = array_combine(self::PAIRS, array_map(fn (float $v): float => $v / $most, $lines->all()));
        $said = ['ab' => Said::volts($lines->first), 'bc' => Said::volts($lines->second), 'ca' => Said::volts($lines->third)];
        $gone = array_keys(array_filter($shares, fn (float $s): bool => Limit::under($s, self::GONE)));
        if (count($gone) === 1 && $ground !== null && max($ground) >= self::GONE * $most && min($ground) >= self::ALIVE * max($ground)) {
            return [
                Finding::stop('phase_lost', $said, 'phase_lost_backfed'),
                Finding::stop("backfed:$gone[0]", ['pair' => Word::of('leg', $gone[0]), 'volts' => $said[$gone[0]], 'low' => Said::volts(min($ground)), 'high' => Said::volts(max($ground))]),
            ];
        }
        if (count($gone) === 1 && count(array_filter($shares, fn (float $s): bool => ! Limit::under($s, self::WHOLE))) === 2) {
            return [Finding::stop('single_phase', $said)];
        }
        if (count(array_filter($shares, fn (float $s): bool => Limit::within($s, ...self::HALF))) === 2) {
            arsort($shares);
            $outside = self::OUTSIDE[array_key_first($shares)];

            return [Finding::stop($ground !== null && ! Limit::under($ground[$outside] / $most, self::GONE) ? 'phase_lost' : 'single_phase', $said)];
        }

        return count(array_filter($shares, fn (float $s): bool => Limit::under($s, self::LOW))) === 2 ? [Finding::stop('phase_lost', $said)] : [];
    }

    /**
     * @param array{float, float, float}|null $ground
     * @return array{0: string, 1: float|null, 2: string|null} identity, nominal line-to-line, the leg that is special
     */
    private static function identify(ThreeLegs $lines, ?array $ground, ?PlateVoltage $plate): array
    {
        $family = self::familyOf($lines, $plate);
        if ($ground === null) {
            return $family === null ? ['unknown', null, null] : ['ll_' . (int) $family, $family, null];
        }
        if ($family !== null && self::fit($ground, $lines->average / sqrt(3))) {
            return ['wye_' . (int) $family . '_' . self::WYES[(int) $family], $family, null];
        }
        $high = array_keys(array_filter($ground, fn (float $v): bool => self::fits($v, 208)));
        $low = array_filter($ground, fn (float $v): bool => self::fits($v, 120));
        if (self::fit($lines->all(), 240) && count($low) === 2 && count($high) === 1) {
            return ['delta_240_high_leg', 240.0, 'abc'[$high[0]]];
        }
        $dead = array_keys(array_filter($ground, fn (float $v): bool => Limit::under($v, self::GONE * $lines->average)));
        $full = array_filter($ground, fn (float $v): bool => self::fits($v, $lines->average));
        if ($family !== null && count($dead) === 1 && count($full) === 2) {
            return ['delta_corner_grounded', $family, 'abc'[$dead[0]]];
        }

        return $family === null ? ['unknown', null, null] : ['delta_ungrounded', $family, null];
    }

    /** The nominal system all three pairs fit: the nearest that suits the plate, else the nearest. */
    private static function familyOf(ThreeLegs $lines, ?PlateVoltage $plate): ?float
    {
        $families = array_values(array_filter(array_map(floatval(...), PlateVoltage::FAMILIES), fn (float $nominal): bool => self::fit($lines->all(), $nominal)));
        $suited = $plate === null ? [] : array_values(array_filter($families, $plate->suits(...)));
        $from = $suited === [] ? $families : $suited;

        return $from === [] ? null : PlateVoltage::nearest($from, $lines->average);
    }

    /** @param array<array-key, float> $readings */
    private static function fit(array $readings, float $nominal): bool
    {
        return count(array_filter($readings, fn (float $v): bool => self::fits($v, $nominal))) === 3;
    }

    private static function fits(float $reading, float $nominal): bool
    {
        return ! Limit::over(abs($reading / $nominal - 1), self::FIT);
    }

    /** @return list<Finding> */
    private static function againstPlate(PlateVoltage $plate, float $nominal, float $average): array
    {
        if (! $plate->suits($nominal)) {
            return [Finding::stop('plate_mismatch', ['average' => Said::volts($average), 'plate' => $plate->written])];
        }

        return ($plate->family() ?? 0.0) > $nominal
            ? [Finding::watch('nominal_below_plate', ['average' => Said::volts($average), 'plate' => $plate->written])]
            : [];
    }

    /**
     * A leg low to ground and in both low pairs: a fuse held up by a running motor.
     *
     * @param array{float, float, float} $ground
     * @return list<Finding>
     */
    private static function weak(ThreeLegs $lines, array $ground): array
    {
        $volts = array_combine(self::PAIRS, $lines->all());
        foreach ($ground as $leg => $reading) {
            $others = array_values(array_diff_key($ground, [$leg => 0]));
            $mean = array_sum($others) / 2;
            [$one, $two] = self::PAIRS_OF[$leg];
            $third = $volts[array_values(array_diff(self::PAIRS, [$one, $two]))[0]];
            if (! Limit::under((1 - $reading / $mean) / self::WEAK, 1.0)
                && ! Limit::over(abs($others[0] - $others[1]) / $mean, self::WEAK_OTHERS)
                && $volts[$one] < $third && $volts[$two] < $third) {
                return [Finding::watch('weak_leg:' . 'abc'[$leg], ['leg' => Word::of('line', 'abc'[$leg]), 'volts' => Said::volts($reading), 'others' => Said::volts($mean)])];
            }
        }

        return [];
    }

    /** @return list<Finding> */
    private static function frequency(?PlateVoltage $plate, ?float $hertz): array
    {
        if ($plate === null || $hertz === null || $plate->hertz === []) {
            return [];
        }
        $near = array_filter($plate->hertz, fn (int $hz): bool => ! Limit::over(abs($hertz / $hz - 1), self::HERTZ));

        return $near === [] ? [Finding::stop('wrong_frequency', ['hertz' => Said::hertz($hertz), 'plate' => $plate->written])] : [];
    }

    /** @return list<Finding> */
    private static function named(Input $in, string $identity, ThreeLegs $lines, ?string $leg): array
    {
        $params = ['supply' => Word::of('supply', $identity), 'average' => Said::volts($lines->average)];
        if ($identity === 'll_240') {
            $missing = array_filter(['volts_ag', 'volts_bg', 'volts_cg'], fn (string $name): bool => ! $in->given($name));

            return [Finding::open($identity, $params, 'family_240'), ...array_map(Missing::at(...), array_values($missing))];
        }

        return [match (true) {
            str_starts_with($identity, 'll_') => Finding::clear($identity, $params, 'family'),
            str_starts_with($identity, 'wye_') => Finding::clear($identity, $params, 'wye'),
            $leg === null => Finding::watch($identity, $params),
            default => Finding::watch($identity, $params + ['leg' => strtoupper($leg)]),
        }];
    }

    /**
     * @param list<Finding>        $findings
     * @param array<string, Value> $values
     */
    private function judgement(array $findings, array $values): Judgement
    {
        return new Judgement($findings, $values, false, Caution::LIVE, [Finding::note('basis')]);
    }
}
