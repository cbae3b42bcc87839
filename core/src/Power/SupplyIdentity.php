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
use IronStart\Core\Verdict\Value;
use IronStart\Core\Verdict\Word;

/**
 * What supply this is: which star or delta, from three line voltages and three to ground.
 *
 * A meter alone does not settle everything: a floating delta read with a high-impedance meter can imitate a
 * star, and a corner-grounded reading may be an earth fault on a floating delta. Both are said, not guessed.
 */
final class SupplyIdentity implements Check
{
    use NoContradictions;

    /** V; under this on every pair nothing is on. */
    private const NOTHING = 30.0;
    /** Share of a nominal within which a reading fits it. */
    private const FIT = 0.12;
    /** Line-to-line nominal => line-to-neutral nominal of the stars. 400/230 covers 380/220 and 415/240. */
    private const STARS = [208 => 120, 400 => 230, 480 => 277, 600 => 347];
    private const FAMILIES = [208, 240, 400, 480, 600];
    /** %, line to line: more is a lost line held up by a motor that is still running. */
    private const UNEVEN = 5.0;
    /** Share of the plate's hertz. */
    private const HERTZ = 0.05;

    public function id(): string
    {
        return 'power.supply_identity';
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
            Field::volts('volts_ag'),
            Field::volts('volts_bg'),
            Field::volts('volts_cg'),
            Field::parsed('plate_voltage', PlateVoltage::parse(...)),
            Field::quantity('frequency', Kind::Frequency, 'Hz', 10, 400),
        ];
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
        if ($broken !== null) {
            $said = ['ab' => Said::volts($lines->first), 'bc' => Said::volts($lines->second), 'ca' => Said::volts($lines->third)];

            return $this->judgement([Finding::stop($broken, $said)], $values + ['supply' => Value::text($broken)]);
        }

        return $this->whole($in, $lines, $ground, $values);
    }

    /**
     * @param array{float, float, float}|null $ground
     * @param array<string, Value>            $values
     */
    private function whole(Input $in, ThreeLegs $lines, ?array $ground, array $values): Judgement
    {
        [$identity, $nominal, $leg] = self::identify($lines, $ground);
        $findings = [];
        $plate = $in->parsed('plate_voltage');
        if ($nominal === null) {
            $findings = [Finding::stop('unknown', ['average' => Said::volts($lines->average)]), ...($plate instanceof PlateVoltage ? self::frequency($plate, $in->maybe('frequency')) : [])];

            return $this->judgement($findings, $values + ['supply' => Value::text('unknown')]);
        }
        $values += ['nominal' => Value::of($nominal, 'V'), 'supply' => Value::text($identity)];
        if ($plate instanceof PlateVoltage) {
            $findings = [...$findings, ...self::againstPlate($plate, $nominal, $in->maybe('frequency'))];
        }
        if (Limit::over($lines->unbalance(), self::UNEVEN)) {
            $findings[] = Finding::watch('uneven', ['unbalance' => Said::percent($lines->unbalance(), self::UNEVEN)]);
        }
        $findings[] = self::named($identity, $lines, $leg);
        if ($leg !== null) {
            $name = $identity === 'delta_240_high_leg' ? 'high_leg' : 'grounded_leg';
            $values[$name] = Value::text($leg);
            $findings[] = Finding::watch("$name:$leg", ['leg' => strtoupper($leg)]);
        }
        if ($plate instanceof PlateVoltage && $findings[0]->code === $identity) {
            $findings[] = Finding::note('suits_plate', ['plate' => $plate->written]);
        }

        return $this->judgement($findings, $values);
    }

    /**
     * @param array{float, float, float}|null $ground
     * @return string|null `single_phase`, `phase_lost`, or null when all three lines are there
     */
    private static function broken(ThreeLegs $lines, ?array $ground): ?string
    {
        $most = max($lines->all());
        $shares = array_map(fn (float $v): float => $v / $most, $lines->all());
        if (count(array_filter($shares, fn (float $s): bool => $s < 0.10)) === 1
            && count(array_filter($shares, fn (float $s): bool => $s >= 0.90)) === 2) {
            return 'single_phase';
        }
        if (count(array_filter($shares, fn (float $s): bool => $s >= 0.40 && $s <= 0.60)) === 2) {
            // The full pair is ab, bc or ca; the conductor outside it is c, a or b.
            $outside = [2, 0, 1][array_search(max($shares), $shares, true)];

            return $ground !== null && $ground[$outside] >= 0.10 * $most ? 'phase_lost' : 'single_phase';
        }

        return count(array_filter($shares, fn (float $s): bool => $s < 0.80)) === 2 ? 'phase_lost' : null;
    }

    /**
     * @param array{float, float, float}|null $ground
     * @return array{0: string, 1: float|null, 2: string|null} identity, nominal line-to-line, the leg that is special
     */
    private static function identify(ThreeLegs $lines, ?array $ground): array
    {
        $family = self::nearest(self::FAMILIES, $lines);
        if ($ground === null) {
            return $family === null ? ['unknown', null, null] : ['ll_' . (int) $family, $family, null];
        }
        $stars = array_filter(array_keys(self::STARS), fn (int $ll): bool => self::fit($ground, self::STARS[$ll]));
        $star = self::nearest(array_values($stars), $lines);
        if ($star !== null) {
            return ['wye_' . (int) $star . '_' . self::STARS[(int) $star], $star, null];
        }
        $high = array_keys(array_filter($ground, fn (float $v): bool => self::fits($v, 208)));
        $low = array_filter($ground, fn (float $v): bool => self::fits($v, 120));
        if (self::fit($lines->all(), 240) && count($low) === 2 && count($high) === 1) {
            return ['delta_240_high_leg', 240.0, 'abc'[$high[0]]];
        }
        $dead = array_keys(array_filter($ground, fn (float $v): bool => $v < 0.10 * $lines->average));
        $full = array_filter($ground, fn (float $v): bool => self::fits($v, $lines->average));
        if ($family !== null && count($dead) === 1 && count($full) === 2) {
            return ['delta_corner_grounded', $family, 'abc'[$dead[0]]];
        }

        return $family === null ? ['unknown', null, null] : ['delta_ungrounded', $family, null];
    }

    /**
     * The nominal nearest to the average that all three readings fit, or null.
     *
     * @param list<int> $nominals
     */
    private static function nearest(array $nominals, ThreeLegs $lines): ?float
    {
        usort($nominals, fn (int $a, int $b): int => abs($lines->average / $a - 1) <=> abs($lines->average / $b - 1));
        $nominal = $nominals[0] ?? null;

        return $nominal !== null && self::fit($lines->all(), $nominal) ? (float) $nominal : null;
    }

    /** @param list<float> $readings */
    private static function fit(array $readings, float $nominal): bool
    {
        return count(array_filter($readings, fn (float $v): bool => self::fits($v, $nominal))) === 3;
    }

    private static function fits(float $reading, float $nominal): bool
    {
        return ! Limit::over(abs($reading / $nominal - 1), self::FIT);
    }

    /** @return list<Finding> */
    private static function againstPlate(PlateVoltage $plate, float $nominal, ?float $hertz): array
    {
        $findings = [];
        if (! Limit::within($nominal, $plate->min(), $plate->max())) {
            $findings[] = Finding::stop('plate_mismatch', ['nominal' => Said::volts($nominal), 'plate' => $plate->written]);
        }

        return [...$findings, ...self::frequency($plate, $hertz)];
    }

    /** @return list<Finding> */
    private static function frequency(PlateVoltage $plate, ?float $hertz): array
    {
        $near = array_filter($plate->hertz, fn (int $hz): bool => $hertz !== null && ! Limit::over(abs($hertz / $hz - 1), self::HERTZ));

        return $hertz !== null && $plate->hertz !== [] && $near === []
            ? [Finding::stop('wrong_frequency', ['hertz' => Said::hertz($hertz), 'plate' => $plate->written])]
            : [];
    }

    private static function named(string $identity, ThreeLegs $lines, ?string $leg): Finding
    {
        $params = ['supply' => Word::of('supply', $identity), 'average' => Said::volts($lines->average)];

        return match (true) {
            str_starts_with($identity, 'll_') => Finding::clear($identity, $params, 'family'),
            str_starts_with($identity, 'wye_') => Finding::clear($identity, $params, 'star'),
            $leg === null => Finding::watch($identity, $params),
            default => Finding::watch($identity, $params + ['leg' => strtoupper($leg)]),
        };
    }

    /**
     * @param list<Finding>        $findings
     * @param array<string, Value> $values
     */
    private function judgement(array $findings, array $values): Judgement
    {
        return new Judgement($findings, $values, false, ['qualified_electrical', 'arc_flash'], [Finding::note('basis')]);
    }
}
