<?php

declare(strict_types=1);

namespace IronStart\Core\Charge;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Draws;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Instrument;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\Site;
use IronStart\Core\Clock\ClockKind;
use IronStart\Core\Clock\Waits;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Refrigerant\Known;
use IronStart\Core\Refrigerant\Refrigerant;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Value;

/**
 * Whether the charge is right, from both gauges and both clamps of a settled circuit: subcooling with a valve, superheat
 * with a fixed orifice, or the maker's chart.
 *
 * First what destroys a compressor, then whether it can be judged at all, then what contradicts the charge, and only then
 * a direction: nothing is added or taken out on a reading that airflow, a drier, a condenser or a worn compressor makes.
 *
 * All in °F; source of what is usual: the conventions of comfort cooling, the sheet's own figures before them.
 */
final class State implements Check, Draws
{
    public function id(): string
    {
        return 'charge.state';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $gauge = fn (string $name): Field => Field::quantity($name, Kind::GaugePressure, 'kPag', -105, 10_000);
        $clamp = fn (string $name, float $max): Field => Field::temperature($name, -60, $max)->readWith(Instrument::PipeClamp);
        $air = fn (string $name): Field => Field::temperature($name, -60, 80)->readWith(Instrument::Thermometer);
        $byRule = fn (Input $in): bool => $in->text('metering') === 'fixed' && ! $in->given('target_superheat') && ! $in->given('chart');
        $chartWants = fn (string $bulb): \Closure => fn (Input $in): bool => $in->group('chart')?->text('indoor') === $bulb;
        $difference = fn (string $name, float $max): Field => Field::quantity($name, Kind::TemperatureDifference, 'K_diff', 0, $max)->readWith(null);
        $pressure = fn (string $name): Field => Field::quantity($name, Kind::PressureDifference, 'kPa', 0, 350)->readWith(null)->startsIn('psi');

        return [
            Field::text('refrigerant')->fromSheet('circuit.refrigerant')->needed(),
            $gauge('suction_pressure')->needed(),
            $clamp('suction_line', 80)->needed(),
            $gauge('liquid_pressure')->needed(),
            $clamp('liquid_line', 120)->needed(),
            Field::word('metering', 'txv', 'eev', 'fixed')->fromSheet('circuit.metering')->needed(),
            Field::minutes('running_minutes')->needed(),
            Field::word('running', 'full', 'part', 'test_mode')->neededWhen(fn (Input $in): bool => $in->text('compressor') !== 'fixed_speed'),
            $air('indoor_wb')->neededWhen(fn (Input $in): bool => $byRule($in) || $chartWants('wet_bulb')($in)),
            $air('indoor_db')->neededWhen($chartWants('dry_bulb')),
            $air('outdoor_db')->neededWhen(fn (Input $in): bool => $byRule($in) || $in->given('chart')),
            $difference('target_subcooling', 20)->fromSheet('circuit.target_subcooling'),
            $difference('target_superheat', 30)->fromSheet('circuit.target_superheat'),
            Chart::field(),
            Field::items('history', Field::minutes('minutes')->structural(), $gauge('suction_pressure')->needed(), $clamp('suction_line', 80)->needed(), $gauge('liquid_pressure')->needed(), $clamp('liquid_line', 120)->needed()),
            Field::minutes('minutes_since_change'),
            Field::word('compressor', 'fixed_speed', 'staged', 'inverter', 'digital')->default('fixed_speed'),
            Field::word('mode', 'cool', 'heat')->default('cool'),
            Field::flag('bypass_active')->default(false),
            Field::word('application', 'comfort', 'refrigeration')->default('comfort'),
            Field::word('suction_at', 'outdoor_unit', 'compressor')->default('outdoor_unit'),
            Field::quantity('min_superheat', Kind::TemperatureDifference, 'K_diff', 0.5, 20)->readWith(null)->fromSheet('circuit.min_superheat'),
            Field::word('port', 'liquid', 'discharge')->default('liquid'),
            $pressure('condenser_drop'),
            $difference('condenser_split', 25)->positive()->fromSheet('circuit.condenser_split'),
            $gauge('plate_high_pressure')->readWith(null)->fromSheet('circuit.plate_high_pressure'),
            Field::number('readings_apart', 0)->default(0),
            Field::flag('same_circuit')->default(true),
            Field::flag('doors_on'),
            Field::word('indoor_airflow', 'ok', 'low', 'not_checked'),
            Field::temperature('min_outdoor')->readWith(null)->default('55 degF'),
            Field::percent('pressure_accuracy', 0, 100)->default('1 %'),
            Field::quantity('pressure_floor', Kind::PressureDifference, 'kPa', 0, 350)->readWith(null)->startsIn('psi')->default('1 psi'),
            $difference('clamp_uncertainty', 20)->default('1 delta_degF'),
            ...array_map(fn (string $name): Field => Field::flag($name)->default(false), ['receiver', 'condenser_wet', 'fans_cycling']),
            ...[
                Field::quantity('drier_drop', Kind::TemperatureDifference, 'K_diff', -5, 30)->readWith(Instrument::PipeClamp),
                Field::length('liquid_lift', 'm', -60, 60)->startsIn('ft'),
                $pressure('line_drop'),
                ...Site::fields(),
            ],
        ];
    }

    public function contradictions(Input $in): iterable
    {
        yield from $in->given('refrigerant') ? Known::errors($in) : [];
        $refrigerant = Refrigerant::named($in->text('refrigerant'));
        if ($refrigerant !== null) {
            foreach ([$in, ...$in->items('history')] as $reading) {
                foreach (['suction_pressure', 'liquid_pressure'] as $field) {
                    $lost = $field === 'liquid_pressure' && $in->text('port') === 'discharge' ? $in->maybe('condenser_drop') ?? 0.0 : 0.0;
                    if ($reading->given($field) && ! $refrigerant->coversPressure(Known::absolute($reading, $field, $in) - $lost)) {
                        yield Known::offTable($field, $reading);
                    }
                }
            }
        }
        if ($in->all('indoor_wb', 'indoor_db') && $in->number('indoor_wb') > $in->number('indoor_db')) {
            yield TargetSuperheat::wetOverDry($in);
        }
        $before = -INF;
        foreach ($in->items('history') as $i => $reading) {
            $minutes = $reading->maybe('minutes');
            if ($minutes !== null && ($minutes <= $before || ($in->given('running_minutes') && $minutes > $in->number('running_minutes')))) {
                yield new InputError("history.$i.minutes", $minutes / 60, 'minutes of running that go up, none later than now', "history.$i.minutes: times go up, and none is later than now. Enter the minutes it had been running.");
            }
            $before = $minutes ?? $before;
        }
        yield from Chart::errors($in);
    }

    public function judge(Input $in): Judgement
    {
        $refrigerant = Refrigerant::named($in->text('refrigerant'));
        $cautions = ['refrigerant_handling', 'frostbite', ...($refrigerant?->isFlammable() === true ? ['flammable_refrigerant'] : [])];
        $basis = [Finding::note($in->given('chart') ? 'basis_chart' : 'basis'), ...($in->given('altitude') || $in->given('barometer') ? [] : [Finding::note('sea_level')])];
        if ($in->missing !== [] || $refrigerant === null) {
            return new Judgement([...self::dangersAsFar($in, $refrigerant), ...Missing::in($in)], [], false, $cautions, $basis);
        }
        $circuit = Circuit::read($refrigerant, $in, $in);
        $values = self::values($in, $circuit);
        $rules = new Rules($in, $circuit, Chart::of($in));
        $findings = $rules->findings($values);
        $status = Judgement::worst($findings);
        $isMarginal = false;
        foreach ($rules->moved() as $other) {
            $unused = [];
            $isMarginal = $isMarginal || Judgement::worst($other->findings($unused)) !== $status;
        }

        return new Judgement($findings, $values, $isMarginal, $cautions, $basis, sets: Waits::of(ClockKind::Stabilise, $values));
    }

    public static function drawing(Input $in, array $values): array
    {
        $refrigerant = Refrigerant::named($in->text('refrigerant'));

        return ! isset($refrigerant, $values['superheat']) ? [] : Dome::of($refrigerant, Circuit::read($refrigerant, $in, $in), $in);
    }

    /** @return list<Finding> */
    private static function dangersAsFar(Input $in, ?Refrigerant $refrigerant): array
    {
        $findings = [];
        if ($in->all('liquid_pressure', 'plate_high_pressure') && Limit::over($in->number('liquid_pressure'), $in->number('plate_high_pressure'))) {
            $findings[] = Rules::overPlate($in);
        }
        if ($in->all('suction_pressure', 'liquid_pressure') && ($in->in('running_minutes', 'min') ?? 99.0) >= 1.0 && SuctionRule::isNotPumping((1e3 * $in->number('liquid_pressure') + Site::pressure($in)) / (1e3 * $in->number('suction_pressure') + Site::pressure($in)))) {
            return [...$findings, Finding::stop('not_pumping'), Finding::stop('not_charge', [], 'not_charge_besides')];
        }
        if ($refrigerant !== null && $in->all('suction_pressure', 'suction_line')) {
            $circuit = Circuit::asFar($refrigerant, $in) ?? throw new \LogicException('No pressure.');
            $findings = [...$findings, ...SuctionRule::judge($circuit, $in->in('running_minutes', 'min'), ...Rules::suctionLimits($in))];
        }

        return $findings;
    }

    /** @return array<string, Value> */
    private static function values(Input $in, Circuit $circuit): array
    {
        $degrees = fn (float $degF): Value => Value::of($degF, 'delta_degF');
        $outdoor = $in->in('outdoor_db', 'degF');

        return [
            'superheat' => $degrees($circuit->superheat), 'subcooling' => $degrees($circuit->subcooling),
            'superheat_uncertainty' => $degrees($circuit->superheatUncertainty), 'subcooling_uncertainty' => $degrees($circuit->subcoolingUncertainty),
            'suction_dew' => Value::of($circuit->suctionDew, 'degF'), 'liquid_bubble' => Value::of($circuit->liquidBubble, 'degF'),
            'condensing' => Value::of($circuit->condensing, 'degF'), 'pressure_ratio' => Value::of($circuit->ratio, '1'),
        ] + ($outdoor === null ? [] : ['condensing_over_ambient' => $degrees($circuit->condensing - $outdoor)]);
    }
}
