<?php

declare(strict_types=1);

namespace IronStart\Core\Refrigerant;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Draws;
use IronStart\Core\Check\DrawsOnRecord;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\Past;
use IronStart\Core\Check\Site;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Units;
use IronStart\Core\Verdict\Drawn;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Value;

/**
 * How much more may go into a recovery cylinder.
 *
 * Safe gross weight = tare + share · water capacity · liquid density / density of water (997.05 kg/m3 at 77 °F), the
 * liquid at 77 °F or warmer: what is filled cold is over-full when it warms.
 */
final class Cylinder implements Check, Draws, DrawsOnRecord
{
    /** kg/m3, at 77 °F. */
    private const WATER = 997.05;
    /** K, 77 °F. */
    private const FILLED_AT = 298.15;
    /** K, 130 °F: the warmest a cylinder is to stand. */
    private const WARMEST = 327.59444444444443;
    /** A cylinder holds this much more than its rating before its relief opens. */
    private const OVER_RATING = 1.25;
    /** % of the volume. */
    private const USUAL_FILL = 80.0;
    /** kg, half an ounce: what the scale may be off by. */
    private const SCALE = 0.5 * 0.028349523;
    private const DENSITY_HIGH = 1.02;
    /** K and Pa that thermometer and gauge may be off by. */
    private const THERMOMETER = 2 * 5 / 9;
    private const GAUGE = 3 * 6894.757;
    /** Share of the room that must be filled before a low pressure says anything. */
    private const FILLED = 0.10;
    private const UNFIT = ['disposable', 'out_of_date', 'damaged'];

    public function id(): string
    {
        return 'refrigerant.cylinder';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $known = fn (Input $in): bool => Refrigerant::named($in->text('refrigerant')) !== null;

        return [
            Field::mass('water_capacity')->positive()->readWith(null)->needed(),
            Field::mass('tare')->positive()->readWith(null)->needed(),
            Field::mass('gross_now')->positive()->needed(),
            Field::quantity('liquid_density', Kind::Density, 'kg/m3', 200, 2000)->neededWhen(fn (Input $in): bool => ! $known($in)),
            Field::text('refrigerant')->fromSheet('circuit.refrigerant')->neededWhen(fn (Input $in): bool => $in->given('cylinder_refrigerant')),
            Field::percent('max_fill', 0, 100)->positive()->default('80 %'),
            Field::temperature('fill_temperature')->default('77 degF'),
            Field::mass('to_recover')->readWith(null),
            Field::text('cylinder_refrigerant'),
            Field::word('cylinder_state', 'good', 'disposable', 'out_of_date', 'damaged'),
            Field::quantity('rated_pressure', Kind::GaugePressure, 'MPag', 0, 50)->positive()->readWith(null)->startsIn('psig'),
            Field::quantity('cylinder_pressure', Kind::GaugePressure, 'kPag', -105, 10_000)->neededWhen(fn (Input $in): bool => $in->given('cylinder_temperature')),
            Field::temperature('cylinder_temperature', -60, 80)->neededWhen(fn (Input $in): bool => $in->given('cylinder_pressure')),
        ];
    }

    public static function bringsIn(Past $past, string $subject): array
    {
        $charge = $past->last('refrigerant.way_out', $subject)['input']['charge'] ?? null;

        return $charge === null ? [] : ['to_recover' => $charge];
    }

    public function contradictions(Input $in): iterable
    {
        if ($in->all('tare', 'gross_now') && $in->number('gross_now') < $in->number('tare')) {
            yield new InputError('gross_now', $in->number('gross_now'), 'a weight of at least the tare', 'gross_now: the cylinder can\'t weigh less than its own tare. Read the collar and the scale again.');
        }
        $refrigerant = Refrigerant::named($in->text('refrigerant'));
        if ($refrigerant === null) {
            return;
        }
        if (! $in->given('liquid_density') && ! $refrigerant->covers($in->number('fill_temperature'))) {
            yield self::outside('fill_temperature', $in);
        }
        if ($in->given('cylinder_temperature') && ! ($refrigerant->covers($in->number('cylinder_temperature') - self::THERMOMETER) && $refrigerant->covers($in->number('cylinder_temperature') + self::THERMOMETER))) {
            yield self::outside('cylinder_temperature', $in);
        }
    }

    public function judge(Input $in): Judgement
    {
        $refrigerant = Refrigerant::named($in->text('refrigerant'));
        $cautions = ['refrigerant_handling', 'manual_handling', ...($refrigerant?->isFlammable() === true ? ['flammable_refrigerant'] : [])];
        $basis = [Finding::note('basis', ['share' => Said::percent($in->number('max_fill'))])];
        $values = [];
        $unfit = self::unfit($in);
        $weak = self::rating($in, $refrigerant, $values);
        if ($in->missing !== []) {
            return new Judgement([...$unfit, ...$weak, ...Missing::in($in)], cautions: $cautions, basis: $basis);
        }
        $filledAt = max(self::FILLED_AT, $in->number('fill_temperature'));
        $density = $in->maybe('liquid_density') ?? $refrigerant?->liquidDensity($filledAt) ?? throw new \LogicException('No density.');
        $room = $in->number('max_fill') / 100 * $in->number('water_capacity') * $density / self::WATER;
        $safe = $in->number('tare') + $room;
        $left = $safe - $in->number('gross_now');
        $values = ['safe_gross' => self::ounces($safe), 'room' => self::ounces($left)] + $values;
        if (! $in->given('liquid_density')) {
            $values['liquid_density'] = Value::of($density, 'kg/m3');
        }
        $toRecover = $in->maybe('to_recover');
        if ($toRecover !== null) {
            $values['more_cylinders'] = Value::of(max(0.0, ceil(max(0.0, $toRecover - max(0.0, $left)) / $room - 1e-9)), '1');
        }
        $fits = fn (float $left): bool => ! Limit::under($left, max(0.0, $toRecover ?? 0.0));
        $own = self::room($in, $left, $safe, $values);
        $more = $refrigerant === null ? [] : [...self::cold($in, $refrigerant), ...self::pure($in, $refrigerant, $room, $values)];
        $raised = $more !== [] && Judgement::worst($own) === Status::Clear;
        $marginal = $unfit === [] && $weak === [] && ! $raised && ($fits($left + self::SCALE) !== $fits($left) || $fits($left - self::SCALE) !== $fits($left));

        return new Judgement([...$unfit, ...$weak, ...$own, ...$more], $values, $marginal, $cautions, $basis);
    }

    public static function drawing(Input $in, array $values): array
    {
        $safe = $values['safe_gross'] ?? null;
        if ($safe === null || ! $in->given('gross_now')) {
            return [];
        }
        $limit = Units::toCanonical((float) $safe->value, 'oz', Kind::Mass);
        $is = fn (float $kg): string => Limit::over($kg, $limit) ? 'stop' : 'plain';
        $now = $in->number('gross_now');
        $after = $in->given('to_recover') ? $now + $in->number('to_recover') : null;

        return Drawn::bars('kg', [
            ['word' => 'tare', 'value' => $in->maybe('tare'), 'is' => 'pale'],
            ['word' => 'gross_now', 'value' => $now, 'is' => $is($now)],
            ...($after === null ? [] : [['word' => 'gross_after', 'value' => $after, 'is' => $is($after)]]),
        ], $limit, ['lb', 'kg']);
    }

    /** @return list<Finding> what forbids to fill it at all */
    private static function unfit(Input $in): array
    {
        $findings = [];
        if ($in->given('cylinder_refrigerant') && $in->given('refrigerant') && ! Refrigerant::areSame($in->text('cylinder_refrigerant'), $in->text('refrigerant'))) {
            $findings[] = Finding::stop('mixed_refrigerants', ['in_it' => $in->text('cylinder_refrigerant'), 'new' => $in->text('refrigerant')]);
        }
        if (in_array($in->text('cylinder_state'), self::UNFIT, true)) {
            $findings[] = Finding::stop($in->text('cylinder_state'));
        }

        return $findings;
    }

    /**
     * @param array<string, Value> $values gets the pressure on a hot day
     * @return list<Finding>
     */
    private static function rating(Input $in, ?Refrigerant $refrigerant, array &$values): array
    {
        if ($refrigerant === null || ! $in->given('rated_pressure')) {
            return [];
        }
        $hot = ($refrigerant->bubblePressure(self::WARMEST) - Site::SEA_LEVEL) / 1e3;
        $values['pressure_at_130'] = self::psig($hot);

        return Limit::over(self::inPsi($hot), self::OVER_RATING * self::inPsi($in->number('rated_pressure')))
            ? [Finding::stop('rating_low', ['hot' => Said::gauge($hot), 'rated' => Said::gauge($in->number('rated_pressure'))])]
            : [];
    }

    /**
     * @param array<string, Value> $values
     * @return list<Finding>
     */
    private static function room(Input $in, float $left, float $safe, array $values): array
    {
        $findings = [];
        $toRecover = $in->maybe('to_recover');
        $said = ['safe' => Said::charge($safe)];
        if (Limit::under($left, 0.0)) {
            $findings[] = Finding::stop('over_full', $said + ['over' => Said::charge(-$left)]);
        } elseif ($toRecover !== null && Limit::under($left, $toRecover)) {
            $findings[] = Finding::stop('short', ['room' => Said::charge($left), 'need' => Said::charge($toRecover), 'more' => (int) $values['more_cylinders']->value]);
        } else {
            $findings[] = Finding::note('room', $said + ['room' => Said::charge($left)]);
        }
        if (Limit::over($in->number('max_fill'), self::USUAL_FILL)) {
            $findings[] = Finding::watch('fill_over_80', ['share' => Said::percent($in->number('max_fill'), self::USUAL_FILL)]);
        }

        return $findings;
    }

    /** @return list<Finding> */
    private static function cold(Input $in, Refrigerant $refrigerant): array
    {
        $given = $in->maybe('liquid_density');
        if ($given === null) {
            return Limit::under($in->number('fill_temperature'), self::FILLED_AT) ? [Finding::watch('cold_fill', ['at' => Said::temperature(self::FILLED_AT)])] : [];
        }
        $usual = $refrigerant->liquidDensity(self::FILLED_AT);

        return Limit::over($given, self::DENSITY_HIGH * $usual) ? [Finding::watch('density_high', ['given' => Said::density($given), 'usual' => Said::density($usual)])] : [];
    }

    /**
     * @param array<string, Value> $values gets the pressures between which it may stand
     * @return list<Finding>
     */
    private static function pure(Input $in, Refrigerant $refrigerant, float $room, array &$values): array
    {
        if (! $in->all('cylinder_pressure', 'cylinder_temperature')) {
            return [];
        }
        $kelvin = $in->number('cylinder_temperature');
        $from = ($refrigerant->dewPressure($kelvin - self::THERMOMETER) - self::GAUGE - Site::SEA_LEVEL) / 1e3;
        $to = ($refrigerant->bubblePressure($kelvin + self::THERMOMETER) + self::GAUGE - Site::SEA_LEVEL) / 1e3;
        $values += ['pure_from' => self::psig($from), 'pure_to' => self::psig($to)];
        $pressure = $in->number('cylinder_pressure');
        $said = ['pressure' => Said::gauge($pressure), 'from' => Said::gauge($from)->bare(), 'to' => Said::gauge($to)];
        if (Limit::over(self::inPsi($pressure), self::inPsi($to))) {
            return [Finding::watch('not_pure_high', $said)];
        }
        $isFilled = Limit::over($in->number('gross_now') - $in->number('tare'), self::FILLED * $room);

        return $isFilled && Limit::under(self::inPsi($pressure), self::inPsi($from)) ? [Finding::watch('not_pure_low', $said)] : [];
    }

    private static function outside(string $field, Input $in): InputError
    {
        return new InputError($field, $in->number($field), 'a temperature inside the table of this refrigerant', "$field: that is outside the table of this refrigerant. Enter the temperature of the cylinder.");
    }

    private static function ounces(float $kilograms): Value
    {
        return Value::of(Units::fromCanonical($kilograms, 'oz', Kind::Mass), 'oz');
    }

    private static function psig(float $kilopascals): Value
    {
        return Value::of(self::inPsi($kilopascals), 'psig');
    }

    private static function inPsi(float $kilopascals): float
    {
        return Units::fromCanonical($kilopascals, 'psig', Kind::GaugePressure);
    }
}
