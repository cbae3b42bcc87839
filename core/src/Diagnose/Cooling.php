<?php

declare(strict_types=1);

namespace IronStart\Core\Diagnose;

use IronStart\Core\Air\MoistAir;
use IronStart\Core\Air\SplitTarget;
use IronStart\Core\Charge\Circuit;
use IronStart\Core\Charge\SuctionRule;
use IronStart\Core\Charge\TargetSuperheat;
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
use IronStart\Core\Quantity\Units;
use IronStart\Core\Refrigerant\Known;
use IronStart\Core\Refrigerant\Refrigerant;
use IronStart\Core\Verdict\Drawn;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Value;
use IronStart\Core\Verdict\Word;

/**
 * If it is not the charge, what is it: six features of a running machine against what each cause does to them, and the one
 * test that splits those that look alike. What the test brought confirms a cause or takes it out.
 */
final class Cooling implements Check, Draws
{
    private const FEW = 4;
    private const PATTERN = 0.4;
    /** How many causes are drawn. */
    private const DRAWN = 5;
    private const CLAMP = 3.0;
    /** °F */
    private const TOLERANCE = ['evap' => 5.0, 'cond' => 5.0, 'superheat' => 5.0, 'subcooling' => 4.0, 'split' => 3.0];
    private const AMPS = 0.10;
    private const SETTLED = 15.0;
    private const STARTED = 5.0;
    private const DRIER = 3.0;
    private const OFF_CYCLE = 5.0;
    private const OFF_CYCLE_CLEAR = 3.0;
    private const NEAR_AIR = 5.0;
    private const OFF_AIR = 3.0;
    private const WARMER = 3.0;
    private const VALVE_SUPERHEAT = 12.0;
    private const SUBCOOLING = 10.0;
    private const READINGS = ['suction_pressure', 'liquid_pressure', 'suction_line', 'liquid_line', 'return_db', 'return_wb', 'return_rh', 'supply_db', 'outdoor_db', 'amps_ratio', 'drier_drop', 'off_cycle_pressure', 'off_cycle_air'];

    public function id(): string
    {
        return 'diagnose.cooling';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $byReadings = fn (Input $in): bool => ! $in->given('features');
        $gauge = fn (string $name): Field => Field::quantity($name, Kind::GaugePressure, 'kPag', -105, 10_000);
        $clamp = fn (string $name, float $max): Field => Field::temperature($name, -60, $max)->readWith(Instrument::PipeClamp);
        $air = fn (string $name, float $min, float $max): Field => Field::temperature($name, $min, $max)->readWith(Instrument::Thermometer);
        $difference = fn (string $name, float $min, float $max): Field => Field::quantity($name, Kind::TemperatureDifference, 'K_diff', $min, $max)->readWith(null);

        return [
            Field::group('features', ...array_map(fn (string $name): Field => Field::number($name), Patterns::FEATURES)),
            Field::word('metering', 'txv', 'eev', 'fixed')->fromSheet('circuit.metering')->needed(),
            Field::minutes('running_minutes')->neededWhen($byReadings),
            Field::text('refrigerant')->fromSheet('circuit.refrigerant')->neededWhen(fn (Input $in): bool => $in->given('suction_pressure') || $in->given('liquid_pressure') || $in->given('off_cycle_pressure')),
            $gauge('suction_pressure'),
            $clamp('suction_line', 80),
            $gauge('liquid_pressure'),
            $clamp('liquid_line', 120),
            $air('return_db', 0, 60),
            $air('return_wb', -10, 40),
            Field::percent('return_rh', 2, 100),
            $air('supply_db', -30, 80),
            $air('outdoor_db', -30, 60),
            Field::quantity('tons', Kind::Heat, 'W', 0)->positive()->startsIn('ton')->fromSheet('air.tons'),
            Field::quantity('airflow_per_ton', Kind::AirFlow, 'm3/h', 0)->positive()->readWith(null)->default('400 cfm'),
            Field::number('stages_running', 0, 1)->positive()->default(1),
            $difference('fan_heat', 0, 30)->default('2 delta_degF'),
            Field::quantity('sheet_capacity', Kind::Heat, 'W', 0)->positive()->startsIn('ton'),
            Field::number('amps_ratio', 0, 3),
            Field::number('expected_amps_ratio', 0.2, 1.2)->default(0.85),
            $difference('target_superheat', 0, 30)->fromSheet('circuit.target_superheat'),
            $difference('target_subcooling', 0, 20)->fromSheet('circuit.target_subcooling'),
            $difference('condenser_split', 0, 25)->positive(),
            $difference('target_split', 0, 25)->positive(),
            $difference('design_td', 5, 35)->default('35 delta_degF'),
            Field::number('efficiency', 5, 50),
            Field::flag('doors_on'),
            Field::temperature('min_outdoor')->readWith(null)->default('55 degF'),
            $difference('drier_drop', -5, 30)->readWith(Instrument::PipeClamp),
            $gauge('off_cycle_pressure')->neededWhen(fn (Input $in): bool => $in->given('off_cycle_air')),
            $air('off_cycle_air', -60, 80)->neededWhen(fn (Input $in): bool => $in->given('off_cycle_pressure')),
            ...Site::fields(),
            Field::percent('pressure_accuracy', 0, 100)->default('1 %'),
            Field::quantity('pressure_floor', Kind::PressureDifference, 'kPa', 0, 350)->readWith(null)->startsIn('psi')->default('1 psi'),
            $difference('clamp_uncertainty', 0, 20)->default('1 delta_degF'),
        ];
    }

    public function contradictions(Input $in): iterable
    {
        if ($in->given('features') && array_filter(self::READINGS, $in->given(...)) !== []) {
            yield new InputError('features', null, 'features or readings, not both', 'features: readings give them. Leave one of the two out.');
        }
        if ($in->given('refrigerant')) {
            yield from Known::errors($in);
        }
        if ($in->all('return_wb', 'return_rh')) {
            yield new InputError('return_rh', $in->number('return_rh'), 'a wet bulb or a humidity, not both', 'return_rh: the wet bulb already says it. Leave one out.');
        }
        if ($in->all('return_wb', 'return_db') && $in->number('return_wb') > $in->number('return_db')) {
            yield new InputError('return_wb', $in->number('return_wb'), 'a wet bulb that is not over the dry bulb', 'return_wb: the wet bulb can\'t be over the dry bulb. Swap them, or read the sock again.');
        }
        $refrigerant = Refrigerant::named($in->text('refrigerant'));
        if ($refrigerant !== null) {
            yield from Known::outside($in, $refrigerant, ['suction_pressure', 'liquid_pressure', 'off_cycle_pressure']);
        }
    }

    public function judge(Input $in): Judgement
    {
        $refrigerant = Refrigerant::named($in->text('refrigerant'));
        $cautions = ['refrigerant_handling', ...($refrigerant?->isFlammable() === true ? ['flammable_refrigerant'] : [])];
        $basis = [Finding::note('basis')];
        if ($in->missing !== []) {
            return new Judgement(Missing::in($in), cautions: $cautions, basis: $basis);
        }
        $values = [];
        if ($in->given('features')) {
            $features = self::clamped(array_filter(array_combine(Patterns::FEATURES, array_map(fn (string $f): ?float => $in->group('features')?->maybe($f), Patterns::FEATURES)), fn (?float $v): bool => $v !== null));

            return new Judgement(self::causes($in, $features, $values, [], [], true), $values, false, $cautions, $basis);
        }

        $findings = self::byReadings($in, $refrigerant, $values);

        return new Judgement($findings, $values, false, $cautions, $basis, sets: Waits::of(ClockKind::Stabilise, $values));
    }

    public static function drawing(Input $in, array $values): array
    {
        $scores = [];
        foreach ($values as $name => $value) {
            if (str_starts_with($name, 'score:')) {
                $scores[substr($name, 6)] = (float) $value->value;
            }
        }
        arsort($scores);
        $read = fn (string $f): ?float => isset($values["feature:$f"]) ? (float) $values["feature:$f"]->value : $in->group('features')?->maybe($f);
        $features = self::clamped(array_filter(array_combine(Patterns::FEATURES, array_map($read, Patterns::FEATURES)), fn (?float $d): bool => $d !== null));

        return $scores === [] ? [] : Drawn::ranking(
            array_map(fn (string $f): array => ['word' => "feature_$f", 'value' => $features[$f]], array_keys($features)),
            array_map(fn (string $cause): array => [
                'word' => "cause_$cause",
                'value' => max(0.0, $scores[$cause]),
                'speaks' => array_map(fn (string $f): ?float => Patterns::speaks($cause, $f, $features[$f], $in->text('metering') === 'fixed'), array_keys($features)),
            ], array_keys(array_slice($scores, 0, self::DRAWN))),
            self::PATTERN,
        );
    }

    /**
     * @param array<string, Value> $values
     * @return list<Finding>
     */
    private static function byReadings(Input $in, ?Refrigerant $refrigerant, array &$values): array
    {
        [$features, $circuit] = self::features($in, $refrigerant, $values);
        $absent = array_map(fn (string $f): Finding => Finding::clear("absent:$f", ['feature' => Word::of('feature', $f)]), array_values(array_diff(Patterns::FEATURES, array_keys($features))));
        $running = $in->minutes('running_minutes');
        $suction = $circuit !== null && $in->all('suction_pressure', 'suction_line') ? SuctionRule::judge($circuit, $running) : [];
        $found = [...$suction, ...$absent];
        $outdoor = $in->in('outdoor_db', 'degF');
        if ($in->all('suction_pressure', 'liquid_pressure') && $running >= 1.0 && SuctionRule::isNotPumping(Known::absolute($in, 'liquid_pressure') / Known::absolute($in, 'suction_pressure'))) {
            return [Finding::stop('not_pumping'), self::cause('not_pumping', Status::Stop), self::test('rotation', Status::Stop), ...$found];
        }
        if (array_filter($suction, fn (Finding $f): bool => $f->code === 'superheat_impossible') !== []) {
            return [...$found, Finding::stop('check_readings')];
        }
        if ($circuit !== null && $running >= self::STARTED && $in->all('liquid_pressure', 'liquid_line') && Limit::under($circuit->subcooling, -(2 * $circuit->subcoolingUncertainty + $circuit->liquidGlide))) {
            return [Finding::stop('subcooling_impossible'), Finding::stop('check_readings'), ...$found];
        }
        $condensing = isset($values['condensing']) ? (float) $values['condensing']->value : null;
        if ($condensing !== null && $outdoor !== null && Limit::under($condensing, $outdoor + self::NEAR_AIR)) {
            $found[] = Finding::watch('head_near_air');
        }
        if ($condensing !== null && $outdoor !== null && Limit::under($condensing, $outdoor - self::OFF_AIR)) {
            return [...$found, Finding::open('condensing_below_ambient'), Finding::open('check_readings')];
        }
        [$confirmed, $ruledOut, $tested] = self::tested($in, $refrigerant, $values);
        $open = self::open($in, $outdoor, $values);

        return [...self::causes($in, $features, $values, $confirmed, $ruledOut, $open === []), ...$tested, ...$open, ...$found];
    }

    /**
     * @param array<string, Value> $values
     * @return list<Finding> why causes are not named yet
     */
    private static function open(Input $in, ?float $outdoor, array &$values): array
    {
        $findings = [];
        if (Limit::under($in->minutes('running_minutes'), self::SETTLED)) {
            $values['time_left'] = Value::of(self::SETTLED - $in->minutes('running_minutes'), 'min');
            $findings[] = Finding::open('wait', ['left' => Said::duration(60 * (self::SETTLED - $in->minutes('running_minutes')))]);
        }
        if ($in->given('doors_on') && ! $in->flag('doors_on')) {
            $findings[] = Finding::open('doors_off');
        }
        if ($outdoor !== null && Limit::under($outdoor, Circuit::degF($in->number('min_outdoor')))) {
            $findings[] = Finding::open('low_ambient');
        }
        if ($in->all('supply_db', 'return_db') && Limit::over((float) $in->in('supply_db', 'degF'), (float) $in->in('return_db', 'degF') + self::WARMER)) {
            $findings[] = Finding::open('supply_warmer');
        }

        return $findings;
    }

    /**
     * What the one test brought.
     *
     * @param array<string, Value> $values
     * @return array{list<string>, list<string>, list<Finding>} causes confirmed, causes taken out, what is said of it
     */
    private static function tested(Input $in, ?Refrigerant $refrigerant, array &$values): array
    {
        $confirmed = $ruledOut = $findings = [];
        $drop = $in->in('drier_drop', 'delta_degF');
        if ($drop !== null) {
            Limit::over($drop, self::DRIER) ? $confirmed[] = 'liquid_restriction' : $ruledOut[] = 'liquid_restriction';
        }
        if ($refrigerant !== null && $in->all('off_cycle_pressure', 'off_cycle_air')) {
            $pressure = Known::absolute($in, 'off_cycle_pressure');
            $air = (float) $in->in('off_cycle_air', 'degF');
            $excess = Circuit::degF($refrigerant->bubbleTemperature($pressure)) - $air;
            $values['off_cycle_excess'] = Value::of($excess, 'delta_degF');
            if (Limit::over($excess, self::OFF_CYCLE)) {
                $confirmed[] = 'non_condensable';
            } elseif (Limit::under(Circuit::degF($refrigerant->dewTemperature($pressure)) - $air, -self::OFF_CYCLE)) {
                $findings[] = Finding::watch('off_cycle_low');
            } elseif (! Limit::over($excess, self::OFF_CYCLE_CLEAR)) {
                $ruledOut[] = 'non_condensable';
            } else {
                $findings[] = Finding::watch('off_cycle_unclear');
            }
        }

        return [$confirmed, $ruledOut, [
            ...array_map(fn (string $c): Finding => Finding::watch("confirmed:$c", ['cause' => Word::of('cause', $c)]), $confirmed),
            ...array_map(fn (string $c): Finding => Finding::clear("ruled_out:$c", ['cause' => Word::of('cause', $c)]), $ruledOut),
            ...$findings,
        ]];
    }

    /**
     * @param array<string, float> $features
     * @param array<string, Value> $values gets the scores
     * @param list<string>         $confirmed
     * @param list<string>         $ruledOut
     * @param bool                 $named whether a cause may be named
     * @return list<Finding>
     */
    private static function causes(Input $in, array $features, array &$values, array $confirmed, array $ruledOut, bool $named): array
    {
        $few = count($features) < self::FEW;
        $isFixed = $in->text('metering') === 'fixed';
        $scores = $few ? [] : Patterns::scores($features, $isFixed);
        foreach ($scores as $cause => $score) {
            $values["score:$cause"] = Value::of($score, '1');
        }
        $chosen = array_diff_key($scores, array_flip($ruledOut));
        if ($chosen !== []) {
            $values['best_score'] = Value::of(max($chosen), '1');
        }
        $tooFew = $few ? [Finding::open('too_few_features', ['have' => count($features), 'need' => self::FEW])] : [];
        if ($confirmed !== []) {
            return [...array_map(fn (string $c): Finding => self::cause($c), $confirmed), ...$tooFew];
        }
        if ($few || ! $named) {
            return $tooFew;
        }
        if (array_filter($features, fn (float $d): bool => ! Limit::under(abs($d), 1.0)) === []) {
            $known = $in->given('features') || isset($features['superheat'], $features['subcooling']);

            return [$known ? Finding::clear('normal') : Finding::open('normal_so_far')];
        }
        if ($chosen === [] || Limit::under(max($chosen), self::PATTERN)) {
            return [Finding::watch('no_pattern')];
        }
        $group = Patterns::group($chosen);
        $done = [...(in_array('liquid_restriction', $ruledOut, true) ? ['drier_drop'] : []), ...(in_array('non_condensable', $ruledOut, true) ? ['off_cycle_pressure'] : [])];
        $test = Patterns::test($group, $done);

        return [...array_map(fn (string $c): Finding => self::cause($c), $group), ...($test === null ? [] : [self::test($test)])];
    }

    /**
     * The features from what was read, each in tolerances.
     *
     * @param array<string, Value> $values
     * @return array{array<string, float>, Circuit|null}
     */
    private static function features(Input $in, ?Refrigerant $refrigerant, array &$values): array
    {
        $f = fn (string $name): ?float => $in->in($name, 'degF');
        $d = fn (string $name): ?float => $in->given($name) ? $in->in($name, 'delta_degF') : null;
        $features = [];
        $circuit = $refrigerant === null ? null : Circuit::asFar($refrigerant, $in);
        $outdoor = $f('outdoor_db');
        if ($refrigerant !== null && $in->given('suction_pressure') && $circuit !== null) {
            $values['evaporating'] = Value::of($circuit->suctionDew, 'degF');
            if ($in->given('return_db')) {
                $features['evap'] = ($circuit->suctionDew - ((float) $f('return_db') - 1.8 * $in->number('design_td'))) / self::TOLERANCE['evap'];
            }
            if ($in->given('suction_line')) {
                $values['superheat'] = Value::of($circuit->superheat, 'delta_degF');
                $target = $d('target_superheat') ?? ($in->text('metering') === 'fixed' ? self::ruleSuperheat($in) : self::VALVE_SUPERHEAT);
                if ($target !== null) {
                    $values['target_superheat'] = Value::of($target, 'delta_degF');
                    $features['superheat'] = ($circuit->superheat - $target) / self::TOLERANCE['superheat'];
                }
            }
        }
        if ($refrigerant !== null && $in->given('liquid_pressure') && $circuit !== null) {
            $values['condensing'] = Value::of($circuit->condensing, 'degF');
            if ($outdoor !== null) {
                $features['cond'] = ($circuit->condensing - $outdoor - self::condenserSplit($in, $d)) / self::TOLERANCE['cond'];
            }
            if ($in->given('liquid_line')) {
                $values['subcooling'] = Value::of($circuit->subcooling, 'delta_degF');
                $features['subcooling'] = ($circuit->subcooling - ($d('target_subcooling') ?? self::SUBCOOLING)) / self::TOLERANCE['subcooling'];
            }
        }
        $split = $d('target_split') ?? self::airTarget($in);
        if ($split !== null && $in->all('return_db', 'supply_db')) {
            $values['target_split'] = Value::of($split, 'delta_degF');
            $features['split'] = ((float) $f('return_db') - (float) $f('supply_db') - $split) / self::TOLERANCE['split'];
        }
        if ($in->given('amps_ratio')) {
            $features['amps'] = ($in->number('amps_ratio') - $in->number('expected_amps_ratio')) / self::AMPS;
        }
        $features = self::clamped($features);
        foreach ($features as $name => $value) {
            $values["feature:$name"] = Value::of($value, '1');
        }

        return [$features, $circuit];
    }

    /** @param \Closure(string): (float|null) $d */
    private static function condenserSplit(Input $in, \Closure $d): float
    {
        $efficiency = $in->maybe('efficiency');

        return $d('condenser_split') ?? match (true) {
            $efficiency === null => 20.0,
            $efficiency < 13 => 27.5,
            $efficiency <= 15 => 20.0,
            default => 15.0,
        };
    }

    private static function ruleSuperheat(Input $in): ?float
    {
        $wet = self::wetBulb($in);
        $outdoor = $in->in('outdoor_db', 'degF');
        $target = $wet === null || $outdoor === null ? null : TargetSuperheat::of(Circuit::degF($wet), $outdoor);

        return $target === null || Limit::under($target, 5.0) ? null : $target;
    }

    private static function airTarget(Input $in): ?float
    {
        $wet = self::wetBulb($in);
        if ($wet === null || ! $in->all('return_db', 'outdoor_db', 'tons')) {
            return null;
        }
        $air = Site::pressure($in);
        $tons = $in->number('tons');
        $kelvin = SplitTarget::of(
            $in->number('return_db'),
            self::ratio($in),
            $wet,
            $in->number('outdoor_db'),
            $tons,
            $in->number('stages_running'),
            $in->number('airflow_per_ton') * Units::fromCanonical($tons, 'ton', Kind::Heat),
            $in->number('fan_heat'),
            $air,
            $in->maybe('sheet_capacity'),
        )->split;

        return 1.8 * $kelvin;
    }

    /** @return float|null K, of the return air */
    private static function wetBulb(Input $in): ?float
    {
        return match (true) {
            ! $in->given('return_db') => null,
            $in->given('return_wb') => $in->number('return_wb'),
            $in->given('return_rh') => MoistAir::wetBulb($in->number('return_db'), self::ratio($in), Site::pressure($in)),
            default => null,
        };
    }

    /** @return float kg/kg, of the return air */
    private static function ratio(Input $in): float
    {
        $air = Site::pressure($in);

        return $in->given('return_wb')
            ? MoistAir::ratioFromWetBulb($in->number('return_db'), $in->number('return_wb'), $air)
            : MoistAir::ratio($in->number('return_rh') / 100 * MoistAir::saturation($in->number('return_db')), $air);
    }

    private static function cause(string $cause, Status $status = Status::Watch): Finding
    {
        return Finding::of($status, "cause:$cause", [], "cause_$cause");
    }

    private static function test(string $test, Status $status = Status::Watch): Finding
    {
        return Finding::of($status, "test:$test", [], "test_$test");
    }

    /**
     * @param array<string, float> $features
     * @return array<string, float>
     */
    private static function clamped(array $features): array
    {
        return array_map(fn (float $d): float => max(-self::CLAMP, min(self::CLAMP, $d)), $features);
    }
}
