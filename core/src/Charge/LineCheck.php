<?php

declare(strict_types=1);

namespace IronStart\Core\Charge;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Missing;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\TubeSize;
use IronStart\Core\Quantity\Units;
use IronStart\Core\Refrigerant\Known;
use IronStart\Core\Refrigerant\Refrigerant;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Value;

/**
 * The sheet's figure for a line's charge against what fits into its bore as liquid: ρ·π/4·(OD − 2·wall)². A figure far
 * off it is nearly always one with another unit.
 */
final class LineCheck implements Check
{
    /** in */
    private const WALLS = ['1/4' => 0.030, '3/8' => 0.032, '1/2' => 0.032, '5/8' => 0.035, '3/4' => 0.035, '7/8' => 0.045, '1-1/8' => 0.050, '1-3/8' => 0.055, '1-5/8' => 0.060, '2-1/8' => 0.070];
    /** % */
    private const OFF = 25.0;
    /** kg/m in each unit a figure may have been meant in. */
    private const MEANT = ['oz/ft' => 0.028349523 / 0.3048, 'g/m' => 1e-3, 'g/ft' => 1e-3 / 0.3048, 'oz/m' => 0.028349523, 'lb/ft' => 16 * 0.028349523 / 0.3048, 'kg/m' => 1.0, 'oz/in' => 0.028349523 / 0.0254];

    public function id(): string
    {
        return 'charge.line_check';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        return [
            Field::text('refrigerant')->fromSheet('circuit.refrigerant')->needed(),
            Field::items(
                'rates',
                Field::tube('liquid_od')->structural(),
                Field::quantity('per_length', Kind::MassPerLength, 'kg/m', 0)->positive()->readWith(null)->structural(),
                Field::length('wall', 'mm', 0, 10)->positive()->takesFractions()->startsIn('in'),
            )->needed(),
            Field::temperature('liquid_temperature')->readWith(null)->default('100 degF'),
        ];
    }

    public function contradictions(Input $in): iterable
    {
        yield from $in->given('refrigerant') ? Known::errors($in) : [];
        yield from Sizes::twice($in->items('rates'));
        foreach ($in->items('rates') as $i => $rate) {
            if ($rate->all('liquid_od', 'wall') && 2 * $rate->number('wall') >= $rate->number('liquid_od')) {
                yield new InputError("rates.$i.wall", $rate->number('wall'), 'a wall that leaves a bore', "rates.$i.wall: with that wall there is no bore left. Measure it again.");
            }
        }
        $refrigerant = Refrigerant::named($in->text('refrigerant'));
        if ($refrigerant !== null && ! $refrigerant->covers($in->number('liquid_temperature'))) {
            yield Known::offTable('liquid_temperature', $in);
        }
    }

    public function judge(Input $in): Judgement
    {
        $refrigerant = Refrigerant::named($in->text('refrigerant'));
        $basis = [Finding::note('basis', ['at' => Said::temperature($in->number('liquid_temperature'))])];
        if ($in->missing !== [] || $refrigerant === null) {
            return new Judgement(Missing::in($in), basis: $basis);
        }
        $density = $refrigerant->liquidDensity($in->number('liquid_temperature'));
        $values = ['liquid_density' => Value::of($density, 'kg/m3')];
        $findings = [];
        foreach ($in->items('rates') as $i => $rate) {
            $size = Sizes::key($rate->number('liquid_od'));
            $wall = $rate->maybe('wall') ?? self::WALLS[$size] * Units::toCanonical(1.0, 'in', Kind::Length);
            $fits = $density * deg2rad(180) / 4 * ($rate->number('liquid_od') - 2 * $wall) ** 2;
            $off = 100 * ($rate->number('per_length') / $fits - 1);
            $values["physics:$size"] = Value::of(self::ouncesAFoot($fits), 'oz/ft');
            $values["off:$size"] = Value::of($off, '%');
            if (! Limit::over(abs($off), self::OFF)) {
                continue;
            }
            $said = ['size' => TubeSize::written($rate->number('liquid_od')) . '.', 'sheet' => Said::perLength($rate->number('per_length')), 'fits' => Said::perLength($fits)];
            $findings[] = Finding::watch("rate_off:$size", $said);
            $unit = self::meant($rate->readings()["rates.$i.per_length"]->value, $fits);
            if ($unit !== null) {
                $findings[] = Finding::watch("reads_as:$size:$unit", $said + ['unit' => $unit]);
            }
        }

        return new Judgement($findings === [] ? [Finding::note('fits')] : $findings, $values, basis: $basis);
    }

    /** The unit in which the number as it is written comes nearest, and near enough. */
    private static function meant(float $written, float $fits): ?string
    {
        $apart = array_map(fn (float $unit): float => abs(log($written * $unit / $fits)), self::MEANT);
        asort($apart);
        $nearest = array_key_first($apart);

        return Limit::over(abs(100 * ($written * self::MEANT[$nearest] / $fits - 1)), self::OFF) ? null : $nearest;
    }

    private static function ouncesAFoot(float $kilogramsAMetre): float
    {
        return Units::fromCanonical($kilogramsAMetre, 'oz/ft', Kind::MassPerLength);
    }
}
