<?php

declare(strict_types=1);

namespace IronStart\Core\Tight;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Draws;
use IronStart\Core\Check\DrawsOnRecord;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Instrument;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\Past;
use IronStart\Core\Check\Site;
use IronStart\Core\Clock\ClockKind;
use IronStart\Core\PutBack\PutBackKind;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Units;
use IronStart\Core\Refrigerant\Refrigerant;
use IronStart\Core\Verdict\Drawn;
use IronStart\Core\Verdict\Effect;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Value;

/**
 * Whether a circuit holds its nitrogen: what the gauge should read at the end's temperature against what it reads, within
 * what gauge and thermometer can see; and how small a leak this hold could have seen at all.
 *
 * Uncertainty u = sqrt(2·g² + 2·(P·u_T/T)²); a loss over u is a doubt, over 2u a leak. Smallest leak q = V·u/t, carried to
 * the refrigerant by laminar viscous flow with a real-gas term.
 */
final class Hold implements Check, Draws, DrawsOnRecord
{
    /** Of the target a start counts as reaching it, and of the design pressure a test says something. */
    private const REACHED = 0.95;
    private const HALF = 0.5;
    /** Of the start pressure the uncertainty may be. */
    private const COARSE = 0.01;
    /** h under which a fall may be the gas that cools after filling. */
    private const SETTLING = 0.5;
    /** K between start and end from which on it is asked whether all of the pipe stood in that air. */
    private const SWING = 10.0;
    /** K by which uneven air hides. */
    private const UNEVEN = 5.0;
    /** h */
    private const MINIMUM = ['packaged' => 1.0, 'split' => 1.0, 'vrf' => 24.0];
    private const WRONG_GAS = ['compressed_air', 'oxygen'];
    /** µPa·s of nitrogen and of a refrigerant's gas. */
    private const VISCOSITY = 17.8 / 13.5;
    private const YEAR = 365 * 86_400.0;
    /** oz a year a hold should see. */
    private const WORTH_SEEING = 0.5;
    private const HOUR = 3600.0;

    public function id(): string
    {
        return 'tight.hold';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $reading = fn (bool $needed): array => array_map(fn (Field $f): Field => $needed ? $f->needed() : $f, [
            Field::quantity('pressure', Kind::GaugePressure, 'MPag', 0, 10)->startsIn('psig'),
            Field::temperature('temperature', -40, 80)->readWith(Instrument::Thermometer),
            Field::moment('at'),
        ]);
        $gauge = fn (string $name): Field => Field::quantity($name, Kind::GaugePressure, 'MPag', 0, 20)->positive()->readWith(null)->startsIn('psig');

        return [
            Field::group('start', ...$reading(true))->needed(),
            Field::group('end', ...$reading(true))->needed(),
            Field::items('points', ...$reading(true)),
            ...Site::fields(),
            Field::quantity('gauge_resolution', Kind::PressureDifference, 'psi', 0, 100)->positive()->readWith(null)->default('0.5 psi'),
            Field::quantity('temperature_uncertainty', Kind::TemperatureDifference, 'K_diff', 0, 20)->readWith(null)->default('1 delta_degF'),
            $gauge('target_pressure'),
            $gauge('lowest_design_pressure')->fromSheet('circuit.lowest_design_pressure')->needed(),
            Field::word('system', 'packaged', 'split', 'vrf')->default('split'),
            Field::quantity('minimum_hold', Kind::Time, 'h', 0, 1000)->positive()->readWith(null)->startsIn('h'),
            Field::quantity('volume', Kind::Volume, 'm3', 0, 100)->positive()->readWith(null),
            Field::word('gas', 'nitrogen', 'ideal', 'compressed_air', 'oxygen')->default('nitrogen'),
            Field::text('refrigerant')->fromSheet('circuit.refrigerant'),
            Field::temperature('ambient')->readWith(null),
            Field::word('bubbles', 'done', 'not_done'),
            Field::flag('source_off'),
            Field::flag('uneven'),
        ];
    }

    public static function bringsIn(Past $past, string $subject): array
    {
        return $past->stillOpen('tight.hold', $subject, ['start', 'source_off', 'target_pressure', 'minimum_hold', 'volume', 'gauge_resolution', 'temperature_uncertainty']);
    }

    public function contradictions(Input $in): iterable
    {
        [$start, $end] = [$in->group('start')?->moment('at'), $in->group('end')?->moment('at')];
        if ($start !== null && $end !== null && ($start->hasZone !== $end->hasZone || $start->until($end) <= 0)) {
            yield new InputError('end.at', $end->written, 'a time after the start, with a zone if the start has one', 'end.at: the end has to be after the start. Enter both the same way.');
        }
        $refrigerant = Refrigerant::named($in->text('refrigerant'));
        if ($refrigerant !== null && $in->given('ambient') && ! $refrigerant->covers($in->number('ambient'))) {
            yield InputError::at('ambient', $in->number('ambient'), 'a temperature inside the table of this refrigerant', 'K is outside the table');
        }
    }

    public function judge(Input $in): Judgement
    {
        $cautions = ['nitrogen_regulator', 'asphyxiation', 'eye_protection', 'confined_space', ...(Refrigerant::named($in->text('refrigerant'))?->isFlammable() === true ? ['flammable_refrigerant'] : [])];
        $values = [];
        [$findings, $isMarginal] = self::loss($in, $values);
        $findings = [...self::dangers($in), ...$findings, ...self::doubts($in, $values), ...Missing::in($in)];
        if (Judgement::worst($findings) === Status::Clear) {
            $findings[] = Finding::note('holds', ['loss' => self::psi((float) $values['loss']->value), 'band' => self::psi((float) $values['uncertainty']->value), 'held' => Said::duration(self::HOUR * (float) $values['held']->value)]);
        }
        if (isset($values['smallest_leak_per_year'])) {
            $findings[] = Finding::note('could_see', ['leak' => Said::charge(Units::toCanonical((float) $values['smallest_leak_per_year']->value, 'oz', Kind::Mass)), 'hold' => Said::duration(self::HOUR * (float) $values['hold_for_half_ounce']->value)]);
        }
        $basis = [Finding::note($in->text('gas') === 'nitrogen' ? 'basis' : 'basis_ideal'), ...($in->given('altitude') || $in->given('barometer') ? [] : [Finding::note('sea_level')])];

        return new Judgement($findings, $values, $isMarginal, $cautions, $basis, sets: self::sets($in, $values));
    }

    /**
     * Under nitrogen no circuit stands open; what is left to hold runs as a clock.
     *
     * @param array<string, Value> $values
     * @return list<Effect>
     */
    private static function sets(Input $in, array $values): array
    {
        if (! self::isRead($in->group('start'))) {
            return [];
        }
        $left = match (true) {
            isset($values['time_left']) => (float) $values['time_left']->value,
            isset($values['held']) => null,
            default => self::minimum($in),
        };

        return [
            Effect::closes(PutBackKind::CircuitOpen),
            $left === null ? Effect::ends(ClockKind::PressureHold) : Effect::starts(ClockKind::PressureHold, max(1, (int) ceil(60 * $left - 1e-9))),
        ];
    }

    public static function drawing(Input $in, array $values): array
    {
        [$start, $end] = [$in->group('start'), $in->group('end')];
        // It is there where both ends were read.
        if (! isset($values['uncertainty'], $start, $end)) {
            return [];
        }
        $band = 2 * Units::toCanonical((float) $values['uncertainty']->value, 'psi', Kind::PressureDifference) / 1e3;
        $read = [$start, ...array_filter($in->items('points'), self::isRead(...)), $end];
        $points = $expected = [];
        foreach ($read as $reading) {
            $hours = self::hours($start, $reading);
            $points[] = [$hours, $reading->number('pressure')];
            $should = self::expected($in, $start, $reading);
            $expected[] = [$hours, $should - ($reading === $start ? 0.0 : $band), $should + ($reading === $start ? 0.0 : $band)];
        }
        usort($points, fn (array $a, array $b): int => $a[0] <=> $b[0]);
        usort($expected, fn (array $a, array $b): int => $a[0] <=> $b[0]);

        return Drawn::curve('kPag', $points, [], ['psig', 'barg'], across: 'h', band: $expected);
    }

    /** @return list<Finding> what is wrong whatever is still to be read */
    private static function dangers(Input $in): array
    {
        $design = $in->maybe('lowest_design_pressure');
        $pressures = array_filter([
            $in->maybe('target_pressure'), $in->group('start')?->maybe('pressure'), $in->group('end')?->maybe('pressure'),
            ...array_map(fn (Input $point): ?float => $point->maybe('pressure'), $in->items('points')),
        ], fn (?float $p): bool => $p !== null);
        $most = max([0.0, ...$pressures]);
        $findings = [];
        if ($design !== null && $pressures !== [] && Limit::over(self::inPsi($most), self::inPsi($design))) {
            $findings[] = Finding::stop('above_design', ['pressure' => Said::gauge($most, $design), 'design' => Said::gauge($design)]);
        }
        if (in_array($in->text('gas'), self::WRONG_GAS, true)) {
            $findings[] = Finding::stop('wrong_gas', [], $in->text('gas') === 'oxygen' ? 'oxygen' : 'shop_air');
        }

        return $findings;
    }

    /**
     * @param array<string, Value> $values gets what was found
     * @return array{list<Finding>, bool}
     */
    private static function loss(Input $in, array &$values): array
    {
        [$start, $end] = [$in->group('start'), $in->group('end')];
        if (! self::isRead($start) || ! self::isRead($end)) {
            return [[], false];
        }
        $u = self::uncertainty($in, $start, $end);
        $expected = self::expected($in, $start, $end);
        $loss = self::inPsi($expected) - self::inPsi($end->number('pressure'));
        $held = self::hours($start, $end);
        $ideal = Nitrogen::ideal(self::absolute($in, $start->number('pressure')), $start->number('temperature'), $end->number('temperature'));
        $values = [
            'expected' => Value::of(self::inPsi($expected), 'psig'), 'expected_ideal' => Value::of(self::inPsi(($ideal - Site::pressure($in)) / 1e3), 'psig'),
            'loss' => Value::of($loss, 'psi'), 'uncertainty' => Value::of($u, 'psi'), 'held' => Value::of($held, 'h'),
        ];
        self::smallest($in, $start, $u, $held, $values);
        $minimum = self::minimum($in);
        $said = ['loss' => self::psi($loss, $loss > 1.5 * $u ? 2 * $u : $u), 'band' => self::psi($u), 'expected' => Said::gauge($expected), 'read' => Said::gauge($end->number('pressure'))];
        $findings = match (true) {
            Limit::over($loss, 2 * $u) => [Finding::stop('leak', $said), ...(Limit::under($held, self::SETTLING) ? [Finding::stop('may_be_settling')] : [])],
            Limit::over($loss, $u) => [Finding::watch('loss_unclear', $said)],
            Limit::under($loss, -2 * $u) => [Finding::watch('gained', ['gain' => self::psi(-$loss)] + array_diff_key($said, ['loss' => 1]))],
            default => [],
        };
        if (! Limit::over($loss, 2 * $u)) {
            if (Limit::under($held, $minimum)) {
                $values['time_left'] = Value::of($minimum - $held, 'h');
                $findings[] = Finding::open('hold_longer', ['left' => Said::duration(self::HOUR * ($minimum - $held)), 'held' => Said::duration(self::HOUR * $held)]);
            }
            $findings = [...$findings, ...self::dipped($in, $start, $u)];
        }

        return [$findings, Limit::over($loss, $u) && ! Limit::over($loss, 2 * $u)];
    }

    /** @return list<Finding> a reading in between that stood lower than it should have */
    private static function dipped(Input $in, Input $start, float $u): array
    {
        foreach ($in->items('points') as $point) {
            if (self::isRead($point) && Limit::over(self::inPsi(self::expected($in, $start, $point)) - self::inPsi($point->number('pressure')), 2 * $u)) {
                return [Finding::watch('dipped', ['read' => Said::gauge($point->number('pressure')), 'expected' => Said::gauge(self::expected($in, $start, $point))])];
            }
        }

        return [];
    }

    /**
     * What makes a hold say less than it seems.
     *
     * @param array<string, Value> $values
     * @return list<Finding>
     */
    private static function doubts(Input $in, array $values): array
    {
        $start = $in->group('start')?->maybe('pressure');
        $target = $in->maybe('target_pressure') ?? $start;
        $design = $in->maybe('lowest_design_pressure');
        $findings = [];
        if ($in->given('source_off') && ! $in->flag('source_off')) {
            $findings[] = Finding::open('still_fed');
        }
        if ($start !== null && $target !== null && Limit::under(self::inPsi($start), self::REACHED * self::inPsi($target))) {
            $findings[] = Finding::watch('below_target', ['start' => Said::gauge($start), 'target' => Said::gauge($target)]);
        } elseif ($start !== null && $design !== null && Limit::under(self::inPsi($start), self::HALF * self::inPsi($design))) {
            $findings[] = Finding::watch('below_target', ['start' => Said::gauge($start), 'target' => Said::gauge($design)], 'below_half');
        }
        if ($start !== null && isset($values['uncertainty']) && Limit::over((float) $values['uncertainty']->value, self::COARSE * self::inPsi($start))) {
            $findings[] = Finding::watch('too_coarse', ['band' => self::psi((float) $values['uncertainty']->value)], $in->flag('uneven') ? 'too_coarse_uneven' : 'too_coarse');
        }
        if ($in->flag('uneven')) {
            $findings[] = Finding::watch('uneven_air');
        }
        [$from, $to] = [$in->group('start')?->maybe('temperature'), $in->group('end')?->maybe('temperature')];
        if (! $in->given('uneven') && $from !== null && $to !== null && Limit::over(abs($to - $from), self::SWING)) {
            $findings[] = Finding::watch('wide_swing', ['by' => Said::temperatureDifference(abs($to - $from))]);
        }

        return [...$findings, ...($in->text('bubbles') === 'not_done' ? [Finding::watch('bubbles_not_done')] : [])];
    }

    /** @return float h it has to stand */
    private static function minimum(Input $in): float
    {
        return $in->in('minimum_hold', 'h') ?? self::MINIMUM[$in->text('system')];
    }

    /** @return float psi */
    private static function uncertainty(Input $in, Input $start, Input $end): float
    {
        $thermometer = $in->number('temperature_uncertainty');
        if ($in->flag('uneven')) {
            $thermometer = max($thermometer, self::UNEVEN, abs($end->number('temperature') - $start->number('temperature')) / 2);
        }
        $gauge = $in->number('gauge_resolution');
        $pascals = sqrt(2 * $gauge ** 2 + 2 * (self::absolute($in, $start->number('pressure')) * $thermometer / $start->number('temperature')) ** 2);

        return Units::fromCanonical($pascals, 'psi', Kind::PressureDifference);
    }

    /** @return float kPa gauge a later reading should be */
    private static function expected(Input $in, Input $start, Input $then): float
    {
        $law = $in->text('gas') === 'nitrogen' ? Nitrogen::at(...) : Nitrogen::ideal(...);

        return ($law(self::absolute($in, $start->number('pressure')), $start->number('temperature'), $then->number('temperature')) - Site::pressure($in)) / 1e3;
    }

    /**
     * @param array<string, Value> $values gets how small a leak this hold could have seen
     */
    private static function smallest(Input $in, Input $start, float $u, float $held, array &$values): void
    {
        if (! $in->given('volume')) {
            return;
        }
        $q = $in->number('volume') * Units::toCanonical($u, 'psi', Kind::PressureDifference) / (self::HOUR * $held);
        $values['smallest_leak'] = Value::of($q, 'Pa.m3/s');
        $refrigerant = Refrigerant::named($in->text('refrigerant'));
        if ($refrigerant === null || ! $in->given('ambient') || $start->number('pressure') <= 0) {
            return;
        }
        [$kelvin, $air, $test] = [$in->number('ambient'), Site::pressure($in), self::absolute($in, $start->number('pressure'))];
        $operating = $refrigerant->dewPressure($kelvin);
        if ($operating <= $air) {
            return;
        }
        // Saturated vapour is denser than an ideal gas: Z 0.7 to 0.9.
        $z = $operating * $refrigerant->molarMass() / ($refrigerant->vapourDensity($kelvin) * Nitrogen::GAS * $kelvin);
        $driving = $operating ** 2 - $air ** 2 + 2 / 3 * (1 / $z - 1) * ($operating ** 3 - $air ** 3) / $operating;
        $rate = $q * $refrigerant->molarMass() / (Nitrogen::GAS * $kelvin) * self::VISCOSITY * $driving / ($test ** 2 - $air ** 2);
        $perYear = Units::fromCanonical($rate * self::YEAR, 'oz', Kind::Mass);
        $values['smallest_leak_per_year'] = Value::of($perYear, 'oz');
        $values['hold_for_half_ounce'] = Value::of($held * $perYear / self::WORTH_SEEING, 'h');
    }

    /** @phpstan-assert-if-true !null $reading */
    private static function isRead(?Input $reading): bool
    {
        return $reading !== null && $reading->all('pressure', 'temperature', 'at');
    }

    private static function hours(Input $from, Input $to): float
    {
        [$one, $other] = [$from->moment('at'), $to->moment('at')];

        return $one === null || $other === null ? throw new \LogicException('No time.') : $one->until($other) / self::HOUR;
    }

    /** @param float $gauge kPa @return float Pa */
    private static function absolute(Input $in, float $gauge): float
    {
        return 1e3 * $gauge + Site::pressure($in);
    }

    private static function inPsi(float $kilopascals): float
    {
        return Units::fromCanonical($kilopascals, 'psig', Kind::GaugePressure);
    }

    private static function psi(float $psi, ?float $against = null): Said
    {
        $pascals = fn (float $v): float => Units::toCanonical($v, 'psi', Kind::PressureDifference);

        return Said::pressureDifference($pascals($psi), $against === null ? null : $pascals($against));
    }
}
