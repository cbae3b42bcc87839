<?php

declare(strict_types=1);

namespace IronStart\Core\Safety;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\NoContradictions;
use IronStart\Core\PutBack\PutBackKind;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Units;
use IronStart\Core\Refrigerant\Refrigerant;
use IronStart\Core\Verdict\Effect;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Value;

/**
 * Whether a refrigerant leak alarm makes it safe: blower on, compressor and everything that can ignite off, in time, and
 * air enough for minutes more.
 *
 * Limits: needed above the charge that six cubic metres hold at the lower flammable limit; within 15 s, five minutes of
 * air; charge over LFL each minute, the stricter of the two usual formulas (safety standards for mildly flammable
 * refrigerants).
 */
final class LeakSensor implements Check
{
    use NoContradictions;

    private const CLASSES = ['A1', 'A2L', 'A2', 'A3', 'B1', 'B2L', 'B2', 'B3'];
    private const DOES_NOT_BURN = ['A1', 'B1'];
    /** m3 */
    private const ROOM = 6.0;
    /** Air changes of the charge at LFL an hour. */
    private const AN_HOUR = 60.0;
    private const RUN_ON = 5.0;

    public function id(): string
    {
        return 'safety.leak_sensor';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $isFitted = fn (Input $in): bool => self::burns($in) && $in->flag('fitted');
        $isTested = fn (Input $in): bool => $isFitted($in) && $in->text('method') !== 'not_tested';
        $air = fn (string $name): Field => Field::quantity($name, Kind::AirFlow, 'm3/h', 0, 3_600_000)->startsIn('cfm');
        $worksAirOut = fn (Input $in): bool => $isTested($in) && ! $in->given('min_airflow');
        $decidesByCharge = fn (Input $in): bool => self::burns($in) && $in->given('fitted') && ! $in->flag('fitted') && ! $in->given('sheet_requires');

        return [
            Field::text('refrigerant')->fromSheet('circuit.refrigerant'),
            Field::word('class', ...self::CLASSES)->neededWhen(fn (Input $in): bool => self::class($in) === ''),
            Field::quantity('lfl', Kind::Density, 'kg/m3', 0, 10)->positive()->readWith(null)->neededWhen(fn (Input $in): bool => ($worksAirOut($in) || $decidesByCharge($in)) && Refrigerant::named($in->text('refrigerant'))?->lfl() === null),
            Field::mass('charge')->fromSheet('circuit.factory_charge')->neededWhen(fn (Input $in): bool => $worksAirOut($in) || $decidesByCharge($in)),
            Field::flag('sheet_requires')->fromSheet('safety.leak_sensor.required'),
            Field::flag('fitted')->neededWhen(self::burns(...)),
            Field::flag('recognised')->neededWhen($isFitted),
            Field::word('method', 'simulated', 'gas', 'unplugged', 'not_tested')->neededWhen($isFitted),
            Field::flag('blower_on')->neededWhen($isTested),
            Field::flag('compressor_off')->neededWhen($isTested),
            Field::flag('ignition_off')->neededWhen($isTested),
            Field::quantity('seconds', Kind::Time, 's', 0, 3600)->bareIn('s')->readWith(null)->neededWhen($isTested),
            Field::quantity('limit_seconds', Kind::Time, 's', 0, 3600)->positive()->bareIn('s')->readWith(null)->default('15 s')->fromSheet('safety.leak_sensor.limit_seconds'),
            $air('airflow'),
            $air('min_airflow')->readWith(null)->fromSheet('safety.leak_sensor.min_airflow'),
            Field::quantity('run_on_minutes', Kind::Time, 'min', 0, 600)->bareIn('min')->readWith(null),
            Field::flag('reset')->neededWhen($isTested),
            Field::flag('restored')->neededWhen(fn (Input $in): bool => $isFitted($in) && $in->text('method') === 'unplugged'),
        ];
    }

    public function judge(Input $in): Judgement
    {
        $values = [];
        $findings = self::found($in, $values);
        if ($findings === []) {
            $findings = [Finding::note('safe', ['seconds' => Said::duration($in->number('seconds'))])];
        }
        $isUnplugged = self::burns($in) && $in->flag('fitted') && $in->text('method') === 'unplugged' && $in->given('restored');
        $sets = $isUnplugged ? [$in->flag('restored') ? Effect::closes(PutBackKind::SensorPlug) : Effect::opens(PutBackKind::SensorPlug)] : [];
        $cautions = ['flammable_refrigerant', ...($in->text('method') === 'unplugged' ? ['bypassed_safety'] : [])];

        return new Judgement($findings, $values, false, $cautions, [Finding::note('basis')], sets: $sets);
    }

    /**
     * @param array<string, Value> $values
     * @return list<Finding>
     */
    private static function found(Input $in, array &$values): array
    {
        $known = Refrigerant::named($in->text('refrigerant'))?->safetyClass() ?? '';
        $told = $in->text('class');
        $differs = $known !== '' && $told !== '' && $known !== $told ? [Finding::watch('class_differs', ['known' => $known, 'told' => $told])] : [];
        if (self::class($in) === '') {
            return [Missing::at('class')];
        }
        if (! self::burns($in)) {
            return [...$differs, Finding::clear('not_required')];
        }
        $lfl = self::lfl($in);
        if ($lfl !== null) {
            $values['charge_limit'] = Value::of(self::ROOM * $lfl, 'kg');
        }
        if (! $in->given('fitted')) {
            return [...$differs, Missing::at('fitted')];
        }
        $missing = Missing::in($in);
        if (! $in->flag('fitted')) {
            $isNeeded = $in->given('sheet_requires') ? $in->flag('sheet_requires') : $missing === [] && Limit::over($in->number('charge'), self::ROOM * (float) $lfl);

            return [...$missing, ...$differs, ...($isNeeded ? [Finding::stop('sensor_missing')] : ($missing === [] ? [Finding::clear('not_required')] : []))];
        }
        $unseen = $in->given('recognised') && ! $in->flag('recognised') ? [Finding::stop('sensor_not_seen')] : [];
        if ($in->text('method') === 'not_tested') {
            return [...$missing, ...$differs, ...$unseen, Finding::open('not_tested')];
        }

        return [...$missing, ...$differs, ...$unseen, ...self::alarm($in), ...self::air($in, $lfl, $values)];
    }

    /** @return list<Finding> */
    private static function alarm(Input $in): array
    {
        $no = fn (string $name): bool => $in->given($name) && ! $in->flag($name);

        return [
            ...($no('blower_on') ? [Finding::stop('blower_did_not_start')] : []),
            ...($no('compressor_off') ? [Finding::stop('compressor_ran_on')] : []),
            ...($no('ignition_off') ? [Finding::stop('ignition_ran_on')] : []),
            ...($in->given('seconds') && Limit::over($in->number('seconds'), $in->number('limit_seconds')) ? [Finding::stop('slow_alarm', ['seconds' => Said::duration($in->number('seconds')), 'limit' => Said::duration($in->number('limit_seconds'))])] : []),
            ...($in->given('run_on_minutes') && Limit::under($in->minutes('run_on_minutes'), self::RUN_ON) ? [Finding::watch('short_run_on', ['minutes' => Said::duration($in->number('run_on_minutes'))])] : []),
            ...($no('reset') ? [Finding::watch('did_not_reset')] : []),
            ...($in->text('method') === 'unplugged' && $no('restored') ? [Finding::watch('putback:sensor_plug')] : []),
        ];
    }

    /**
     * @param array<string, Value> $values
     * @return list<Finding>
     */
    private static function air(Input $in, ?float $lfl, array &$values): array
    {
        $isGiven = $in->given('min_airflow');
        if (! $isGiven && ($lfl === null || ! $in->given('charge'))) {
            return $in->given('airflow') ? [] : [Finding::watch('airflow_not_read')];
        }
        // m3/h
        $floor = $isGiven ? $in->number('min_airflow') : self::AN_HOUR * $in->number('charge') / (float) $lfl;
        $values['airflow_needed'] = Value::of(Units::fromCanonical($floor, 'cfm', Kind::AirFlow), 'cfm');
        $found = $isGiven ? [] : [Finding::clear('default_airflow', ['needed' => Said::airflow($floor)])];
        if (! $in->given('airflow')) {
            return [...$found, Finding::watch('airflow_not_read')];
        }
        $airflow = $in->number('airflow');
        $values['airflow_share'] = Value::of($floor > 0.0 ? 100 * $airflow / $floor : 100.0, '%');
        $said = ['airflow' => Said::airflow($airflow), 'needed' => Said::airflow($floor)];

        return Limit::under($airflow, $floor) ? [...$found, $isGiven ? Finding::stop('airflow_short', $said) : Finding::watch('airflow_short', $said)] : $found;
    }

    /** The table's class, unless that does not burn and the one that is told does. */
    private static function class(Input $in): string
    {
        $known = Refrigerant::named($in->text('refrigerant'))?->safetyClass() ?? '';
        $told = $in->text('class');
        $isTold = $known === '' || (in_array($known, self::DOES_NOT_BURN, true) && $told !== '' && ! in_array($told, self::DOES_NOT_BURN, true));

        return $isTold ? $told : $known;
    }

    private static function burns(Input $in): bool
    {
        $class = self::class($in);

        return $class !== '' && ! in_array($class, self::DOES_NOT_BURN, true);
    }

    /** kg/m3 */
    private static function lfl(Input $in): ?float
    {
        return $in->maybe('lfl') ?? Refrigerant::named($in->text('refrigerant'))?->lfl();
    }
}
