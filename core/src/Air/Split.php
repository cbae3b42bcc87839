<?php

declare(strict_types=1);

namespace IronStart\Core\Air;

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
use IronStart\Core\Clock\Waits;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Units;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Value;
use IronStart\Core\Vrf\AsDrawn;

/** The drop across the coil against what this air, this altitude and this machine should show: a fixed 20 °F misleads. */
final class Split implements Check, Draws, DrawsOnRecord
{
    private const INDOOR = 'indoor:';
    private const ZERO = 273.15;
    /** min */
    private const SETTLED = 15.0;
    /** °F */
    private const CLEAR = 3.0;
    private const WATCH = 6.0;
    private const PART_LOAD = 8.0;
    /** What each reading may be off by: K, and % of humidity. */
    private const THERMOMETER = 0.5;
    private const HUMIDITY = 3.0;

    public function id(): string
    {
        return 'air.split';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $air = fn (string $name, float $min, float $max): Field => Field::temperature($name, $min, $max)->readWith(Instrument::Thermometer);
        $heat = fn (string $name): Field => Field::quantity($name, Kind::Heat, 'W', 0)->positive()->startsIn('ton');

        return [
            $air('return_db', 0, 60)->needed(),
            $air('return_wb', -10, 40)->neededWhen(fn (Input $in): bool => ! $in->given('return_rh')),
            Field::percent('return_rh', 2, 100),
            $air('supply_db', -30, 80)->needed(),
            $air('outdoor_db', -30, 60)->needed(),
            $heat('tons')->fromSheet('air.tons')->needed(),
            Field::minutes('running_minutes')->needed(),
            Field::flag('doors_on'),
            Field::flag('outdoor_air_between')->default(false),
            Field::flag('inverter')->default(false),
            Field::quantity('airflow_per_ton', Kind::AirFlow, 'm3/h', 0)->positive()->readWith(null)->fromSheet('air.airflow.per_ton')->default('400 cfm'),
            Field::number('stages_running', 0, 1)->positive()->default(1),
            Field::quantity('fan_heat', Kind::TemperatureDifference, 'K_diff', 0, 30)->readWith(null)->default('2 delta_degF'),
            $heat('sheet_capacity'),
            ...Site::fields(),
        ];
    }

    /** An indoor unit of a system is as large as the tree has it. */
    public static function bringsIn(Past $past, string $subject): array
    {
        $unit = str_starts_with($subject, self::INDOOR) ? substr($subject, strlen(self::INDOOR)) : '';
        $capacity = $unit === '' ? null : AsDrawn::capacity($past, $unit);

        return $capacity === null ? [] : ['tons' => $capacity];
    }

    public function contradictions(Input $in): iterable
    {
        if ($in->all('return_wb', 'return_rh')) {
            yield new InputError('return_rh', $in->number('return_rh'), 'a wet bulb or a humidity, not both', 'return_rh: the wet bulb already says it. Leave one out.');
        }
        if ($in->all('return_wb', 'return_db') && $in->number('return_wb') > $in->number('return_db')) {
            yield new InputError('return_wb', $in->number('return_wb'), 'a wet bulb that is not over the dry bulb', 'return_wb: the wet bulb can\'t be over the dry bulb. Swap them, or read the sock again.');
        }
    }

    public function judge(Input $in): Judgement
    {
        $basis = [Finding::note('basis'), ...($in->given('altitude') || $in->given('barometer') ? [] : [Finding::note('sea_level')])];
        if ($in->missing !== []) {
            return new Judgement(Missing::in($in), basis: $basis);
        }
        $target = self::target($in);
        [$deviation, $u] = self::deviation($in);
        $degrees = fn (float $kelvin): Value => Value::of(1.8 * $kelvin, 'delta_degF');
        $measured = $in->number('return_db') - $in->number('supply_db');
        $values = [
            'target_split' => $degrees($target->split), 'measured_split' => $degrees($measured), 'deviation' => $degrees($deviation), 'uncertainty' => $degrees($u),
            'sensible_share' => Value::of($target->sensibleShare, '%'), 'apparatus_point' => Value::of($target->apparatus - self::ZERO, 'degC'), 'capacity' => Value::of($target->watts / 1e3, 'kW'),
        ];
        $found = self::against($in, 1.8 * $deviation, $target);
        $status = Judgement::worst($found);
        $isMarginal = array_filter([$u, -$u], fn (float $by): bool => Judgement::worst(self::against($in, 1.8 * ($deviation + $by), $target)) !== $status) !== [];
        $open = self::open($in, $values);
        $besides = [...($target->isDry ? [Finding::clear('dry_coil')] : []), ...(Limit::under($target->apparatus, self::ZERO) ? [Finding::watch('coil_below_freezing')] : [])];

        return new Judgement([...$found, ...$open, ...$besides], $values, $isMarginal, basis: $basis, sets: Waits::of(ClockKind::Stabilise, $values));
    }

    public static function drawing(Input $in, array $values): array
    {
        if (! isset($values['target_split'])) {
            return [];
        }
        $kelvin = fn (string $name): float => (float) $values[$name]->value / 1.8;
        $air = Site::pressure($in);
        $return = $in->number('return_db');
        $ratio = self::ratio($in, $return, $in->maybe('return_wb'), $in->maybe('return_rh'));
        // Along the coil's line: dry straight across, wet towards its surface.
        $there = MoistAir::ratio(MoistAir::saturation(self::ZERO + (float) $values['apparatus_point']->value), $air);
        $share = ($return - $kelvin('target_split') - $in->number('fan_heat') - $return) / (self::ZERO + (float) $values['apparatus_point']->value - $return);
        $leaving = $there >= $ratio ? $ratio : $ratio + min(1.0, max(0.0, $share)) * ($there - $ratio);

        return PsychrometricChart::of($air, [
            ['word' => 'return_air', 'at' => [$return, $ratio]],
            ['word' => 'should_leave', 'at' => [$return - $kelvin('target_split'), $leaving]],
            ['word' => 'leaves', 'at' => [$in->number('supply_db'), $leaving]],
        ], true, ['outdoor_air' => $in->number('outdoor_db'), 'return_air' => $return, 'should_leave' => $return - $kelvin('target_split'), 'leaves' => $in->number('supply_db')]);
    }

    /** @return list<Finding> */
    private static function against(Input $in, float $deviation, SplitTarget $target): array
    {
        $measured = 1.8 * $target->split + $deviation;
        $k = fn (float $degF): Said => Said::temperatureDifference($degF / 1.8);
        $said = ['measured' => $k($measured), 'target' => $k($measured - $deviation), 'off' => Said::temperatureDifference(abs($deviation) / 1.8, (Limit::over(abs($deviation), self::WATCH) ? self::WATCH : self::CLEAR) / 1.8)];
        $only = fn (string ...$names): array => array_intersect_key($said, array_flip($names));
        $status = Limit::over(abs($deviation), self::WATCH) ? Status::Stop : Status::Watch;

        return match (true) {
            ! Limit::over(abs($deviation), self::CLEAR) => [Finding::note('right', $only('measured', 'target'))],
            $deviation > 0 => [Finding::of($status, 'low_airflow', $said)],
            Limit::under($measured, 0.0) => [Finding::of($status, 'supply_warmer')],
            $in->flag('inverter') && ! Limit::under($measured, self::PART_LOAD) => [Finding::watch('part_load', $only('measured'))],
            default => [Finding::of($status, 'low_capacity', $said)],
        };
    }

    /**
     * @param array<string, Value> $values gets what is left to wait
     * @return list<Finding> why it is not judged yet
     */
    private static function open(Input $in, array &$values): array
    {
        $findings = [];
        $left = self::SETTLED - $in->minutes('running_minutes');
        if (Limit::under($in->minutes('running_minutes'), self::SETTLED)) {
            $values['time_left'] = Value::of($left, 'min');
            $findings[] = Finding::open('wait', ['left' => Said::duration(60 * $left)]);
        }

        return [
            ...$findings,
            ...($in->given('doors_on') && ! $in->flag('doors_on') ? [Finding::open('doors_off')] : []),
            ...($in->flag('outdoor_air_between') ? [Finding::open('outdoor_air_between')] : []),
        ];
    }

    /** @return array{float, float} K: measured less target, and what both may be off by together */
    private static function deviation(Input $in): array
    {
        $of = fn (float $return, float $supply, float $outdoor, float $wet, float $humidity): float => $in->number('return_db') + $return - $in->number('supply_db') - $supply - self::target($in, $return, $outdoor, $wet, $humidity)->split;
        $there = $of(0, 0, 0, 0, 0);
        $moved = [
            $of(self::THERMOMETER, 0, 0, 0, 0), $of(0, self::THERMOMETER, 0, 0, 0), $of(0, 0, self::THERMOMETER, 0, 0),
            $in->given('return_rh') ? $of(0, 0, 0, 0, -self::HUMIDITY) : $of(0, 0, 0, -self::THERMOMETER, 0),
        ];

        return [$there, sqrt(array_sum(array_map(fn (float $one): float => ($one - $there) ** 2, $moved)))];
    }

    private static function target(Input $in, float $return = 0.0, float $outdoor = 0.0, float $wet = 0.0, float $humidity = 0.0): SplitTarget
    {
        $air = Site::pressure($in);
        $dry = $in->number('return_db') + $return;
        $bulb = $in->given('return_wb') ? $in->number('return_wb') + $wet : null;
        $ratio = self::ratio($in, $dry, $bulb, $in->given('return_rh') ? max(0.5, $in->number('return_rh') + $humidity) : null);
        $tons = $in->number('tons');

        return SplitTarget::of(
            $dry,
            $ratio,
            $bulb ?? MoistAir::wetBulb($dry, $ratio, $air),
            $in->number('outdoor_db') + $outdoor,
            $tons,
            $in->number('stages_running'),
            $in->number('airflow_per_ton') * Units::fromCanonical($tons, 'ton', Kind::Heat),
            $in->number('fan_heat'),
            $air,
            $in->maybe('sheet_capacity'),
        );
    }

    /** @return float kg/kg */
    private static function ratio(Input $in, float $dry, ?float $wet, ?float $humidity): float
    {
        $air = Site::pressure($in);

        return $wet !== null ? MoistAir::ratioFromWetBulb($dry, $wet, $air) : MoistAir::ratio(($humidity ?? 0.0) / 100 * MoistAir::saturation($dry), $air);
    }
}
