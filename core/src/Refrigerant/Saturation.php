<?php

declare(strict_types=1);

namespace IronStart\Core\Refrigerant;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\Site;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Units;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Value;

/** What a refrigerant does at a pressure or at a temperature: both lines, densities, latent heat, glide, and its dangers. */
final class Saturation implements Check
{
    /** °F of glide worth a word. */
    private const GLIDE = 1.0;

    public function id(): string
    {
        return 'refrigerant.saturation';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        return [
            Field::text('refrigerant')->fromSheet('circuit.refrigerant')->needed(),
            Field::quantity('pressure', Kind::GaugePressure, 'kPag', -105, 10_000)->neededWhen(fn (Input $in): bool => ! $in->given('temperature')),
            Field::temperature('temperature')->readWith(null),
            ...Site::fields(),
        ];
    }

    public function contradictions(Input $in): iterable
    {
        if ($in->given('refrigerant')) {
            yield from Known::errors($in);
        }
        if ($in->all('pressure', 'temperature')) {
            yield new InputError('temperature', $in->number('temperature'), 'a pressure or a temperature, not both', 'temperature: one of the two gives the other. Leave one blank.');
        }
        $refrigerant = Refrigerant::named($in->text('refrigerant'));
        if ($refrigerant === null) {
            return;
        }
        yield from Known::outside($in, $refrigerant, ['pressure']);
        if ($in->given('temperature') && ! $refrigerant->covers($in->number('temperature'))) {
            yield Known::offTable('temperature', $in);
        }
    }

    public function judge(Input $in): Judgement
    {
        $refrigerant = Refrigerant::named($in->text('refrigerant'));
        $basis = [Finding::note('basis'), ...($in->given('altitude') || $in->given('barometer') ? [] : [Finding::note('sea_level')])];
        if ($refrigerant === null || ($in->missing !== [])) {
            return new Judgement(Missing::in($in), basis: $basis);
        }
        $air = Site::pressure($in);
        $pressure = $in->given('pressure') ? Known::absolute($in, 'pressure') : null;
        $bubble = $pressure === null ? $in->number('temperature') : $refrigerant->bubbleTemperature($pressure);
        $dew = $pressure === null ? $in->number('temperature') : $refrigerant->dewTemperature($pressure);
        [$atBubble, $atDew] = [$pressure ?? $refrigerant->bubblePressure($bubble), $pressure ?? $refrigerant->dewPressure($dew)];
        $glide = Known::glide($refrigerant, $atDew);
        $values = [
            'bubble_pressure' => Known::psig($atBubble - $air), 'dew_pressure' => Known::psig($atDew - $air),
            'bubble_temperature' => Known::degF($bubble), 'dew_temperature' => Known::degF($dew),
            'liquid_density' => Value::of($refrigerant->liquidDensity($bubble), 'kg/m3'), 'vapour_density' => Value::of($refrigerant->vapourDensity($dew), 'kg/m3'),
            'latent_heat' => Value::of(($refrigerant->vapourEnthalpy($dew) - $refrigerant->liquidEnthalpy($bubble)) / 1e3, 'kJ/kg'),
        ];
        if ($glide !== null) {
            $values['glide'] = Known::degrees($glide);
        }
        $values += ['rcl' => Value::of($refrigerant->rcl(), 'kg/m3')] + ($refrigerant->lfl() === null ? [] : ['lfl' => Value::of($refrigerant->lfl(), 'kg/m3')])
            + ['gwp' => Value::of($refrigerant->gwp(), '1'), 'name' => Value::text($refrigerant->name()), 'class' => Value::text($refrigerant->safetyClass())];
        $said = ['refrigerant' => $refrigerant->name(), 'pressure' => Said::gauge(($atDew - $air) / 1e3), 'dew' => Said::temperature($dew), 'bubble' => Said::temperature($bubble), 'bubble_pressure' => Said::gauge(($atBubble - $air) / 1e3)];
        $glides = $glide !== null && Limit::over(Units::fromCanonical($glide, 'delta_degF', Kind::TemperatureDifference), self::GLIDE);
        $wanted = match (true) {
            $pressure !== null => $glides ? ['refrigerant', 'pressure', 'dew', 'bubble'] : ['refrigerant', 'pressure', 'dew'],
            default => $glides ? ['refrigerant', 'pressure', 'dew', 'bubble_pressure'] : ['refrigerant', 'pressure', 'dew'],
        };
        $findings = [Finding::note(($pressure === null ? 'at_temperature' : 'at_pressure') . ($glides ? '_glide' : ''), array_intersect_key($said, array_flip($wanted)))];
        if ($glides) {
            $findings[] = Finding::clear('glide', ['glide' => Said::temperatureDifference($glide)]);
        }
        if ($refrigerant->isFlammable()) {
            $findings[] = Finding::clear('flammable', ['class' => $refrigerant->safetyClass()]);
        }

        return new Judgement($findings, $values, false, ['refrigerant_handling', ...($refrigerant->isFlammable() ? ['flammable_refrigerant'] : [])], $basis);
    }
}
