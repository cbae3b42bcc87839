<?php

declare(strict_types=1);

namespace IronStart\Core\Controls;

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
 * A blower that slows down to hold the air it sends out: cfm = q/(1.08·σ·(entering − leaving)). Under the machine's least
 * airflow, or set colder than the coil may be, it ices.
 */
final class LeavingAir implements Check, Draws
{
    /** °F the leaving air is set to. */
    private const ICES = 40.0;
    private const COLD = 45.0;
    /** Btu/h for each cfm and °F of standard air, and what makes it standard. */
    private const AIR = 1.08;
    private const STANDARD = 0.0624280 / 0.075 / 287.042;

    public function id(): string
    {
        return 'controls.leaving_air';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $leaving = fn (Input $in): bool => $in->text('mode') === 'leaving_air';
        $flow = fn (string $name): Field => Field::quantity($name, Kind::AirFlow, 'm3/h', 0)->positive()->readWith(null);

        return [
            Field::word('mode', 'leaving_air', 'entering_air')->needed(),
            Field::quantity('sensible_capacity', Kind::Heat, 'W', 0)->positive()->neededWhen($leaving),
            Field::temperature('entering_db', -20, 60)->readWith(Instrument::Thermometer)->neededWhen($leaving),
            Field::temperature('leaving_set', -20, 60)->readWith(null)->neededWhen($leaving),
            $flow('min_airflow')->fromSheet('air.airflow.min')->neededWhen($leaving),
            $flow('max_airflow')->fromSheet('air.airflow.max'),
            ...Site::fields(),
        ];
    }

    public function contradictions(Input $in): iterable
    {
        if ($in->text('mode') === 'leaving_air' && $in->all('entering_db', 'leaving_set') && $in->number('leaving_set') >= $in->number('entering_db')) {
            yield new InputError('leaving_set', $in->number('leaving_set'), 'colder than the air that enters', 'leaving_set: it is no colder than the air that enters. Check the set point.');
        }
    }

    public function judge(Input $in): Judgement
    {
        $basis = [Finding::note('basis')];
        if ($in->missing !== []) {
            return new Judgement(Missing::in($in), basis: $basis);
        }
        if ($in->text('mode') === 'entering_air') {
            return new Judgement([Finding::clear('leaving_set_dead')], basis: $basis);
        }
        $f = fn (string $name): float => (float) $in->in($name, 'degF');
        $cfm = (float) $in->in('sensible_capacity', 'Btu/h') / (self::AIR * Site::pressure($in) * self::STANDARD / $in->number('entering_db') * ($f('entering_db') - $f('leaving_set')));
        $least = (float) $in->in('min_airflow', 'cfm');
        $most = $in->in('max_airflow', 'cfm');
        $flow = fn (float $of): Said => Said::airflow(Units::toCanonical($of, 'cfm', Kind::AirFlow));
        $set = Said::temperature($in->number('leaving_set'));
        $starves = Limit::under($cfm, $least);
        $findings = [
            ...($starves ? [Finding::stop('will_ice', ['flow' => $flow($cfm), 'least' => $flow($least), 'set' => $set])] : []),
            ...(! $starves && Limit::under($f('leaving_set'), self::ICES) ? [Finding::stop('will_ice', ['set' => $set], 'set_ices')] : []),
            ...(Limit::under($f('leaving_set'), self::COLD) ? [Finding::watch('leaving_cold', ['set' => $set])] : []),
            ...($most !== null && Limit::over($cfm, $most) ? [Finding::watch('cannot_hold', ['flow' => $flow($cfm), 'most' => $flow($most), 'set' => $set])] : []),
        ];

        return new Judgement(
            [...($findings === [] ? [Finding::note('holds', ['flow' => $flow($cfm), 'set' => $set])] : $findings), Finding::clear('speed_dial_dead')],
            ['airflow' => Value::of($cfm, 'cfm'), 'share_of_minimum' => Value::of(100 * $cfm / $least, '%')],
            basis: $basis,
        );
    }

    public static function drawing(Input $in, array $values): array
    {
        if (! isset($values['airflow'])) {
            return [];
        }
        $flow = fn (float $cfm): float => Units::toCanonical($cfm, 'cfm', Kind::AirFlow);
        $there = (float) $values['airflow']->value;
        $most = $in->maybe('max_airflow') ?? $flow(1.5 * max($there, (float) $in->in('min_airflow', 'cfm')));

        return Drawn::scale('m3/h', 0.0, [
            ['to' => $in->number('min_airflow'), 'is' => Status::Stop], ['to' => $most, 'is' => Status::Clear],
            ...($in->given('max_airflow') ? [['to' => max(1.2 * $most, 1.05 * $flow($there)), 'is' => Status::Watch]] : []),
        ], $flow($there), told: ['cfm', 'm3/h']);
    }
}
