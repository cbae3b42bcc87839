<?php

declare(strict_types=1);

namespace IronStart\Core\Air;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Draws;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Instrument;
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
 * How much air moves: by the heat that goes into it and what it warms by (q = 1.08·σ·cfm·ΔT), by what a coil takes out of
 * it, or by the sheet's fan table; a ton of cooling wants 350 to 450 cfm unless the sheet says otherwise.
 */
final class Flow implements Check, Draws
{
    /** In this order one is taken, and the second is one too many. */
    private const METHODS = ['electric_heat', 'gas_heat', 'cooling', 'fan'];
    private const BY_RISE = ['electric_heat', 'gas_heat'];
    /** °F */
    private const LEAST_RISE = 5.0;
    private const COARSE = 10.0;
    /** Btu/h for each W. */
    private const WATT = 3.412;
    /** Btu/h for each cfm and °F, of standard air. */
    private const AIR = 1.08;
    /** lb/ft3 */
    private const STANDARD = 0.075;
    private const POUND = 0.0624280;
    private const GAS = 287.042;
    /** cfm for each ton. */
    private const CLEAR = [350.0, 450.0];
    private const WATCH = [300.0, 500.0];
    /** What may be beyond the sheet's range, of its end. */
    private const BEYOND = 0.10;

    public function id(): string
    {
        return 'air.flow';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $air = fn (string $name): Field => Field::temperature($name, -60, 150)->readWith(Instrument::Thermometer);
        $hasAir = fn (Input $in): bool => array_filter(['electric_heat', 'gas_heat', 'cooling'], $in->given(...)) !== [];
        $flow = fn (string $name): Field => Field::quantity($name, Kind::AirFlow, 'm3/h', 0)->positive()->readWith(null);
        $heat = fn (string $name): Field => Field::quantity($name, Kind::Heat, 'W', 0)->positive();

        return [
            Field::group('electric_heat', Field::volts('volts')->positive()->needed(), Field::quantities('amps', Kind::Current, 'A', 0, 5000)->needed(), Field::choice('phases', 3, 1)->default(3)),
            Field::group('gas_heat', $heat('input')->needed(), Field::percent('efficiency', 0, 100)->positive()->needed()),
            Field::group('cooling', $heat('capacity')->startsIn('ton')->needed(), $air('return_wb')->needed(), $air('supply_wb')->needed()),
            Field::group('fan', Field::raw('table')->fromSheet('air.fan')->needed(), Field::quantity('setting', Kind::Speed, 'rpm', 0)->bareIn('rpm')->readWith(null)->needed(), Field::quantity('static', Kind::SmallPressure, 'Pa', -2500, 2500)->needed()),
            $air('return_db')->neededWhen($hasAir),
            $air('supply_db')->neededWhen($hasAir),
            Field::quantity('blower_power', Kind::ElectricPower, 'W', 0)->default('0 W'),
            $heat('running_tons')->startsIn('ton')->fromSheet('air.tons')->neededWhen(fn (Input $in): bool => ! $in->given('sheet_min') && ! $in->given('sheet_max')),
            $flow('sheet_min')->fromSheet('air.airflow.min')->neededWhen(fn (Input $in): bool => $in->given('sheet_max')),
            $flow('sheet_max')->fromSheet('air.airflow.max')->neededWhen(fn (Input $in): bool => $in->given('sheet_min')),
            Field::flag('doors_on'),
            ...Site::fields(),
        ];
    }

    public function contradictions(Input $in): iterable
    {
        $given = array_values(array_filter(self::METHODS, $in->given(...)));
        if (count($given) > 1) {
            yield new InputError($given[1], null, 'one way of measuring', "$given[1]: another way is there already. Leave one out.");
        }
        if (array_intersect($given, self::BY_RISE) !== [] && $in->all('return_db', 'supply_db') && $in->number('supply_db') <= $in->number('return_db')) {
            yield new InputError('supply_db', $in->number('supply_db'), 'a supply warmer than the return', 'supply_db: heat makes it warmer than the return. Swap the two, or light it.');
        }
        if ($in->all('sheet_min', 'sheet_max') && $in->number('sheet_min') > $in->number('sheet_max')) {
            yield new InputError('sheet_max', $in->number('sheet_max'), 'no less than sheet_min', 'sheet_max: it is below the least. Swap the two.');
        }
        $cooling = $in->group('cooling');
        foreach (['return', 'supply'] as $side) {
            if ($cooling !== null && $cooling->given("{$side}_wb") && $in->given("{$side}_db") && $cooling->number("{$side}_wb") > $in->number("{$side}_db")) {
                yield new InputError("cooling.{$side}_wb", $cooling->number("{$side}_wb"), 'a wet bulb that is not over the dry bulb', "cooling.{$side}_wb: the wet bulb can't be over the dry bulb. Read the sock again.");
            }
        }
        if ($cooling !== null && $cooling->all('return_wb', 'supply_wb') && $cooling->number('supply_wb') >= $cooling->number('return_wb')) {
            yield new InputError('cooling.supply_wb', $cooling->number('supply_wb'), 'a supply wet bulb below the return\'s', 'cooling.supply_wb: a coil that cools brings it below the return. Swap the two.');
        }
        $fan = $in->group('fan');
        if ($fan !== null && $fan->given('table')) {
            try {
                FanTable::read($fan->parsed('table'), 'fan.table');
            } catch (InputError $error) {
                yield $error;
            }
        }
    }

    public function judge(Input $in): Judgement
    {
        $basis = [Finding::note('basis')];
        $doors = $in->given('doors_on') && ! $in->flag('doors_on') ? [Finding::open('doors_off')] : [];
        if (array_filter(self::METHODS, $in->given(...)) === []) {
            return new Judgement([Missing::at('method'), ...Missing::in($in)], basis: $basis);
        }
        if (array_diff($in->missing, ['running_tons']) !== []) {
            return new Judgement(Missing::in($in), basis: $basis);
        }
        $values = [];
        [$cfm, $findings] = self::airflow($in, $values);
        if ($cfm === null) {
            return new Judgement([...$findings, ...$doors], $values, basis: $basis);
        }
        $values['airflow'] = Value::of($cfm, 'cfm');
        $tons = $in->in('running_tons', 'ton');
        if ($tons !== null) {
            $values['per_ton'] = Value::of($cfm / $tons, 'cfm');
        }

        return new Judgement([...($in->missing === [] ? [self::against($in, $cfm, $tons)] : Missing::in($in)), ...$findings, ...$doors], $values, basis: $basis);
    }

    public static function drawing(Input $in, array $values): array
    {
        if (! isset($values['airflow'])) {
            return [];
        }
        $flow = fn (float $cfm): float => Units::toCanonical($cfm, 'cfm', Kind::AirFlow);
        $tons = $in->in('running_tons', 'ton');
        [$watch, $clear] = self::bands($in, $tons) ?? [[0.0, 0.0], [0.0, 0.0]];
        $measured = (float) $values['airflow']->value;

        return $clear[1] <= 0.0 ? [] : Drawn::scale('m3/h', 0.0, [
            ['to' => $flow($watch[0]), 'is' => Status::Stop], ['to' => $flow($clear[0]), 'is' => Status::Watch], ['to' => $flow($clear[1]), 'is' => Status::Clear],
            ['to' => $flow($watch[1]), 'is' => Status::Watch], ['to' => $flow(max(1.25 * $watch[1], 1.1 * $measured)), 'is' => Status::Stop],
        ], $flow($measured), told: ['cfm', 'm3/h']);
    }

    /**
     * @param array<string, Value> $values gets what it was worked out from
     * @return array{float|null, list<Finding>} cfm; null where it can't be told
     */
    private static function airflow(Input $in, array &$values): array
    {
        $fan = $in->group('fan');
        if ($fan !== null) {
            $flow = FanTable::read($fan->parsed('table'), 'fan.table')->at($fan->number('setting'), $fan->number('static'));

            return $flow === null ? [null, [Finding::open('outside_table')]] : [Units::fromCanonical($flow, 'cfm', Kind::AirFlow), []];
        }
        $air = Site::pressure($in);
        $cooling = $in->group('cooling');
        if ($cooling !== null) {
            $ratio = fn (string $side): float => MoistAir::ratioFromWetBulb($in->number("{$side}_db"), $cooling->number("{$side}_wb"), $air);
            $drop = MoistAir::enthalpy($in->number('return_db'), $ratio('return')) - MoistAir::enthalpy($in->number('supply_db'), $ratio('supply'));
            $values['enthalpy_drop'] = Value::of($drop, 'kJ/kg');

            return [Units::fromCanonical(3600 * $cooling->number('capacity') / 1e3 * MoistAir::volume($in->number('return_db'), $ratio('return'), $air) / $drop, 'cfm', Kind::AirFlow), []];
        }
        $heat = self::heat($in);
        $sigma = $air / (self::GAS * $in->number('return_db')) * self::POUND / self::STANDARD;
        $rise = 1.8 * ($in->number('supply_db') - $in->number('return_db'));
        $values += ['heat' => Value::of($heat, 'Btu/h'), 'sigma' => Value::of($sigma, '1')];
        if (Limit::under($rise, self::LEAST_RISE)) {
            return [null, [Finding::open('rise_too_small')]];
        }

        return [$heat / (self::AIR * $sigma * $rise), Limit::under($rise, self::COARSE) ? [Finding::watch('too_coarse')] : []];
    }

    /** @return float Btu/h that go into the air */
    private static function heat(Input $in): float
    {
        $blower = self::WATT * $in->number('blower_power');
        $electric = $in->group('electric_heat');
        $gas = $in->group('gas_heat');
        if ($electric !== null) {
            $amps = $electric->numbers('amps');

            return self::WATT * ($electric->int('phases') === 3 ? sqrt(3) : 1.0) * $electric->number('volts') * array_sum($amps) / max(1, count($amps)) + $blower;
        }

        return $gas === null ? $blower : (float) $gas->in('input', 'Btu/h') * $gas->number('efficiency') / 100 + $blower;
    }

    /** @return array{array{float, float}, array{float, float}}|null cfm for a watch and for clear */
    private static function bands(Input $in, ?float $tons): ?array
    {
        if ($in->all('sheet_min', 'sheet_max')) {
            [$least, $most] = [(float) $in->in('sheet_min', 'cfm'), (float) $in->in('sheet_max', 'cfm')];

            return [[$least * (1 - self::BEYOND), $most * (1 + self::BEYOND)], [$least, $most]];
        }

        return $tons === null ? null : [[self::WATCH[0] * $tons, self::WATCH[1] * $tons], [self::CLEAR[0] * $tons, self::CLEAR[1] * $tons]];
    }

    private static function against(Input $in, float $cfm, ?float $tons): Finding
    {
        [$watch, $clear] = self::bands($in, $tons) ?? throw new \LogicException('Neither tons nor the sheet.');
        $isSheet = $in->all('sheet_min', 'sheet_max');
        $flow = fn (float $of): Said => Said::airflow(Units::toCanonical($of, 'cfm', Kind::AirFlow));
        $side = Limit::under($cfm, $clear[0]) ? 0 : 1;
        $perTon = $tons === null ? [] : ['per_ton' => $flow($cfm / $tons)];
        if (Limit::within($cfm, ...$clear)) {
            return Finding::note($tons === null ? 'right_by_sheet' : 'right', ['flow' => $flow($cfm)] + $perTon);
        }
        $said = ['flow' => $flow($cfm)] + ($isSheet ? ['limit' => $flow($clear[$side])] : $perTon);

        return Finding::of(Limit::within($cfm, ...$watch) ? Status::Watch : Status::Stop, $side === 0 ? 'air_low' : 'air_high', $said, ($side === 0 ? 'air_low' : 'air_high') . ($isSheet ? '_by_sheet' : ''));
    }
}
