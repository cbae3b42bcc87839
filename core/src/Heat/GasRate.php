<?php

declare(strict_types=1);

namespace IronStart\Core\Heat;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Draws;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Missing;
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
 * Whether it burns what the nameplate says: by the meter's dial, or without a meter by its orifices
 * (cfh = 1658.5·0.9·area·√(manifold/gravity) each), which is good to some 5 %.
 */
final class GasRate implements Check, Draws
{
    /** % of the input to aim at: under it a stop, from it on a watch, clear, a watch up to it, a stop over it. */
    private const BANDS = [90.0, 95.0, 100.0, 105.0];
    private const BY_ORIFICE = [80.0, 90.0, 110.0, 120.0];
    /** s a dial is watched at least. */
    private const LEAST_SECONDS = 20.0;
    /** Pa and K a cubic foot of gas is counted at. */
    private const STANDARD_PRESSURE = 14.73 * 6894.757;
    private const STANDARD_TEMPERATURE = 288.70556;
    private const ORIFICE = 1658.5 * 0.9;
    /** Thousandths of an inch of the numbered drills from 30 on. */
    private const DRILLS = [128.5, 120.0, 116.0, 113.0, 111.0, 110.0, 106.5, 104.0, 101.5, 99.5, 98.0, 96.0, 93.5, 89.0, 86.0, 82.0, 81.0, 78.5, 76.0, 73.0, 70.0, 67.0, 63.5, 59.5, 55.0, 52.0, 46.5, 43.0, 42.0, 41.0, 40.0];
    private const FIRST_DRILL = 30;
    private const BY_METER = ['dial_volume', 'revolutions', 'seconds'];

    public function id(): string
    {
        return 'heat.gas_rate';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $byMeter = fn (Input $in): bool => ! $in->given('orifices');
        $heat = fn (string $name): Field => Field::quantity($name, Kind::Heat, 'W', 0)->positive();

        return [
            Field::word('gas', ...Gas::KINDS)->needed(),
            Field::word('firing', 'high', 'low')->default('high'),
            Field::quantity('dial_volume', Kind::Volume, 'ft3', 0)->positive()->readWith(null)->neededWhen($byMeter),
            Field::number('revolutions', 0)->positive()->neededWhen($byMeter),
            Field::quantity('seconds', Kind::Time, 's', 0)->positive()->bareIn('s')->readWith(null)->neededWhen($byMeter),
            Field::flag('others_off')->neededWhen($byMeter),
            $heat('plate_input')->fromSheet('heat.gas.input')->neededWhen(fn (Input $in): bool => $in->text('firing') !== 'low'),
            $heat('low_input')->neededWhen(fn (Input $in): bool => $in->text('firing') === 'low'),
            Field::quantity('heating_value', Kind::HeatingValue, 'Btu/ft3', 0)->positive()->readWith(null),
            Field::temperature('gas_temperature', -40, 60),
            Field::quantity('gas_pressure', Kind::MeterPressure, 'Pa', 0),
            Field::percent('sheet_derate', 0, 100)->fromSheet('heat.gas.sheet_derate'),
            Field::group(
                'orifices',
                Field::count('count', 1)->needed(),
                Field::count('drill', self::FIRST_DRILL, 60)->neededWhen(fn (Input $in): bool => ! $in->given('diameter')),
                Field::length('diameter', 'in', 0)->positive()->startsIn('in'),
                Field::quantity('manifold', Kind::SmallPressure, 'Pa', 0)->positive()->needed(),
            ),
            ...Site::fields(),
        ];
    }

    public function contradictions(Input $in): iterable
    {
        $orifices = $in->group('orifices');
        if ($orifices === null) {
            return;
        }
        if (array_filter(self::BY_METER, $in->given(...)) !== []) {
            yield new InputError('orifices', null, 'the meter or the orifices, not both', 'orifices: the meter is read already. Leave one of the two out.');
        }
        if ($orifices->all('drill', 'diameter')) {
            yield new InputError('orifices.diameter', $orifices->number('diameter'), 'a drill or a diameter, not both', 'orifices.diameter: the drill already says it. Leave one out.');
        }
    }

    public function judge(Input $in): Judgement
    {
        $orifices = $in->group('orifices');
        $cautions = ['gas_leak', 'carbon_monoxide'];
        $basis = [Finding::note($orifices === null ? 'basis' : 'basis_orifice')];
        if ($in->missing !== []) {
            return new Judgement(Missing::in($in), cautions: $cautions, basis: $basis);
        }
        $gas = $in->text('gas');
        $air = Site::pressure($in);
        $value = $in->in('heating_value', 'Btu/ft3') ?? Gas::HEATING_VALUE[$gas];
        $flow = $orifices === null
            ? 3600 * (float) $in->in('dial_volume', 'ft3') * $in->number('revolutions') / $in->number('seconds')
            : $orifices->int('count') * self::ORIFICE * M_PI / 4 * self::diameter($orifices) ** 2 * sqrt((float) $orifices->in('manifold', 'inH2O') / Gas::GRAVITY[$gas]);
        $input = $flow * $value * ($orifices === null ? self::correction($in, $air) : sqrt($air / Site::SEA_LEVEL));
        $target = (float) $in->in($in->text('firing') === 'low' ? 'low_input' : 'plate_input', 'Btu/h') * (1 - Gas::derate($in) / 100);
        $ratio = 100 * $input / $target;
        $values = ['gas_flow' => Value::of($flow, 'cfh'), 'input' => Value::of($input, 'Btu/h'), 'target_input' => Value::of($target, 'Btu/h'), 'ratio' => Value::of($ratio, '%')];
        $othersOn = $orifices === null && ! $in->flag('others_off');
        $isUncorrected = $orifices === null && ! $in->given('gas_pressure') && ! $in->given('heating_value') && Limit::over(Gas::feet($in), Gas::DERATED_ABOVE);

        return new Judgement([
            ...($othersOn ? [Finding::open('others_on')] : []),
            ...self::against($ratio, $input, $target, $orifices !== null, $othersOn),
            ...($orifices === null && Limit::under($in->number('seconds'), self::LEAST_SECONDS) ? [Finding::watch('too_coarse')] : []),
            ...($isUncorrected ? [Finding::watch('heating_value_at_altitude')] : []),
            ...($orifices === null ? [] : [Finding::clear('by_orifice')]),
        ], $values, false, $cautions, $basis);
    }

    public static function drawing(Input $in, array $values): array
    {
        if (! isset($values['ratio'])) {
            return [];
        }
        [$stop, $watch, $clear, $high] = $in->given('orifices') ? self::BY_ORIFICE : self::BANDS;

        return Drawn::scale('%', 60.0, [
            ['to' => $stop, 'is' => Status::Stop], ['to' => $watch, 'is' => Status::Watch], ['to' => $clear, 'is' => Status::Clear],
            ['to' => $high, 'is' => Status::Watch], ['to' => max(140.0, 1.1 * (float) $values['ratio']->value), 'is' => Status::Stop],
        ], (float) $values['ratio']->value);
    }

    /** @return list<Finding> */
    private static function against(float $ratio, float $input, float $target, bool $byOrifice, bool $othersOn): array
    {
        [$stop, $watch, $clear, $high] = $byOrifice ? self::BY_ORIFICE : self::BANDS;
        $btu = fn (float $heat): Said => Said::heat(Units::toCanonical($heat, 'Btu/h', Kind::Heat));
        $limit = $ratio < $watch ? (Limit::under($ratio, $stop) ? $stop : $watch) : (Limit::over($ratio, $high) ? $high : $clear);
        $said = ['input' => $btu($input), 'target' => $btu($target), 'ratio' => Said::percent($ratio, $limit)];

        return match (true) {
            Limit::under($ratio, $stop) => [Finding::stop('under_fired', $said)],
            Limit::under($ratio, $watch) => [Finding::watch('under_fired', $said)],
            // The dial counts the others too: what is too much may be theirs.
            $othersOn => [],
            Limit::over($ratio, $high) => [Finding::stop('over_fired', $said)],
            Limit::over($ratio, $clear) => [Finding::watch('over_fired', $said)],
            default => [Finding::note('right', $said)],
        };
    }

    private static function correction(Input $in, float $air): float
    {
        return $in->given('gas_pressure')
            ? ($air + $in->number('gas_pressure')) / self::STANDARD_PRESSURE * self::STANDARD_TEMPERATURE / ($in->maybe('gas_temperature') ?? self::STANDARD_TEMPERATURE)
            : 1.0;
    }

    /** @return float in */
    private static function diameter(Input $orifices): float
    {
        return $orifices->in('diameter', 'in') ?? self::DRILLS[$orifices->int('drill') - self::FIRST_DRILL] / 1000;
    }
}
