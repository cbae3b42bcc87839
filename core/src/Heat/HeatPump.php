<?php

declare(strict_types=1);

namespace IronStart\Core\Heat;

use IronStart\Core\Check\Check;
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
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Value;

/**
 * Whether it heats, swaps and defrosts: the valve by the large line in either mode, the capacity by the air against the
 * sheet's ratings, a defrost watched to its end, and what is behind it when it is cold. Out of season the valve is proved
 * and the rest left open.
 */
final class HeatPump implements Check
{
    /** °F the large line changes by. */
    private const SWAPS = 30.0;
    private const STUCK = 15.0;
    /** °F the suction gas gains in the valve. */
    private const LEAKS = 5.0;
    private const LEAKS_STOP = 10.0;
    /** min */
    private const SETTLED = 15.0;
    private const COLDER_FROM = 3.0;
    /** °F of rise. */
    private const COLDER = -5.0;
    private const NO_HEAT = 5.0;
    private const VRF_RISE = 15.0;
    private const THERMOMETER = 0.9;
    /** % of what is rated. */
    private const CAPACITY = [70.0, 85.0, 120.0];
    /** °F beyond the ratings. */
    private const BEYOND = 2.0;
    /** °F at the coil when a defrost ends: off the sheet's, and at least where it has none. */
    private const END_OFF = 10.0;
    private const END_LEAST = 45.0;
    private const LONG = 1.5;
    private const ABOVE_LOCKOUT = 2.0;
    /** Btu/h for each cfm and °F of standard air, and what makes it standard. */
    private const AIR = 1.08;
    private const STANDARD = 0.0624280 / 0.075 / 287.042;
    private const NOT_AT_FULL = ['aux_on', 'frosted', 'outdoor_air_between'];
    private const VALVE = ['cools_on_heat_call', 'valve_stuck', 'valve_unclear', 'coil_always_on', 'coil_never_on', 'ob_reversed', 'valve_leaks'];

    public function id(): string
    {
        return 'heat.heat_pump';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $testable = fn (Input $in): bool => $in->given('testable') && $in->flag('testable');
        $line = fn (string $name): Field => Field::temperature($name, -60, 150)->readWith(Instrument::PipeClamp);
        $air = fn (string $name, float $max): Field => Field::temperature($name, -60, $max)->readWith(Instrument::Thermometer);
        $outdoor = fn (string $name): Field => Field::temperature($name, -60, 60)->readWith(null);
        $tested = fn (Input $in): bool => $in->given('method') && $in->text('method') !== 'not_tested';
        $watched = fn (Input $in): bool => $tested($in) && $in->given('started') && $in->flag('started');
        $isFitted = fn (Input $in): bool => in_array($in->text('aux'), ['electric', 'gas'], true);

        return [
            Field::flag('testable')->needed(),
            Field::flag('vrf')->default(false),
            Field::word('reversing', 'O', 'B', 'bus')->fromSheet('controls.reversing')->needed(),
            Field::group(
                'valve',
                $line('line_cool')->needed(),
                $line('line_heat')->needed(),
                Field::flag('coil_cool'),
                Field::flag('coil_heat'),
                $line('low_in')->neededWhen(fn (Input $in): bool => $in->given('low_out')),
                $line('low_out')->neededWhen(fn (Input $in): bool => $in->given('low_in')),
            )->needed(),
            Field::group(
                'run',
                Field::minutes('minutes')->needed(),
                $air('outdoor_db', 60)->needed(),
                $air('return_db', 60)->needed(),
                $air('supply_db', 80)->needed(),
                Field::quantity('airflow', Kind::AirFlow, 'm3/h', 0)->positive(),
                Field::word('stage', 'full', 'part', 'test_mode')->default('full'),
                ...array_map(fn (string $name): Field => Field::flag($name)->default(false), self::NOT_AT_FULL),
            )->neededWhen($testable),
            Field::items('ratings', $outdoor('outdoor')->structural(), Field::quantity('capacity', Kind::Heat, 'W', 0)->positive()->structural())->neededWhen(fn (Input $in): bool => ! $in->flag('vrf') && $in->given('run')),
            Field::word('aux', 'none', 'electric', 'gas')->needed(),
            Field::group(
                'defrost',
                Field::word('method', 'natural', 'forced', 'not_tested')->needed(),
                Field::flag('started')->neededWhen($tested),
                Field::quantity('minutes', Kind::Time, 'min', 0, 120)->bareIn('min')->readWith(null)->neededWhen($watched),
                Field::word('ended_by', 'temperature', 'time', 'hand')->neededWhen($watched),
                $line('coil_end'),
                $line('sheet_end')->readWith(null),
                Field::quantity('max_minutes', Kind::Time, 'min', 0, 60)->positive()->bareIn('min')->readWith(null),
                Field::flag('coil_clear')->neededWhen($watched),
                Field::flag('fan_stopped')->neededWhen($watched),
                Field::flag('aux_came'),
            )->neededWhen($testable),
            Field::word('aux_seen', 'on', 'off', 'not_tried')->neededWhen(fn (Input $in): bool => $testable($in) && $isFitted($in)),
            $outdoor('aux_lockout'),
            $outdoor('compressor_lockout'),
            $outdoor('balance_point'),
            Field::flag('lockout_seen'),
            Field::flag('together')->neededWhen(fn (Input $in): bool => $testable($in) && $in->text('aux') === 'gas'),
            ...Site::fields(),
        ];
    }

    public function contradictions(Input $in): iterable
    {
        $seen = [];
        foreach ($in->items('ratings') as $i => $rating) {
            $at = (string) $rating->maybe('outdoor');
            if (isset($seen[$at])) {
                yield new InputError("ratings.$i.outdoor", $rating->maybe('outdoor'), 'each outdoor temperature once', "ratings.$i.outdoor: that temperature is there already. Leave one out.");
            }
            $seen[$at] = true;
        }
    }

    public function judge(Input $in): Judgement
    {
        $values = [];
        $missing = [...Missing::in($in), ...self::missing($in)];
        $valve = self::valve($in, $values);
        $run = fn (float $by, array &$values): array => self::run($in, $by, $values);
        $none = [];
        $running = $run(0.0, $values);
        $besides = [...$valve, ...self::defrost($in), ...self::aux($in), ...self::season($in), ...$missing];
        $findings = [...$running, ...$besides];
        $status = Judgement::worst($findings);
        $u = self::THERMOMETER * sqrt(2);
        $isMarginal = array_filter([$u, -$u], function (float $by) use ($run, $besides, $status, &$none): bool {
            return Judgement::worst([...$run($by, $none), ...$besides]) !== $status;
        }) !== [];
        if ($status === Status::Clear) {
            $findings[] = Finding::note('right');
        }
        $cautions = ['hot_surfaces', 'burn_off_smoke', 'qualified_electrical', 'rotating_parts', ...($in->group('valve')?->given('low_in') === true ? ['refrigerant_handling'] : []), ...($in->text('aux') === 'gas' ? ['gas_leak', 'carbon_monoxide'] : [])];

        return new Judgement($findings, $values, $isMarginal, $cautions, [Finding::note('basis')], sets: Waits::of(ClockKind::Stabilise, $values));
    }

    /** @return list<Finding> what hangs on a field of another object */
    private static function missing(Input $in): array
    {
        $at = fn (string $path): Finding => Missing::at($path);
        [$valve, $run, $defrost] = [$in->group('valve'), $in->group('run'), $in->group('defrost')];
        $found = [];
        foreach (['coil_cool', 'coil_heat'] as $coil) {
            $found = $valve !== null && in_array($in->text('reversing'), ['O', 'B'], true) && ! $valve->given($coil) ? [...$found, $at("valve.$coil")] : $found;
        }
        if ($run !== null && ! $in->flag('vrf') && ! $run->given('airflow')) {
            $found[] = $at('run.airflow');
        }
        if ($defrost !== null && self::isWatched($defrost) && in_array($in->text('aux'), ['electric', 'gas'], true) && ! $defrost->given('aux_came')) {
            $found[] = $at('defrost.aux_came');
        }

        return $found;
    }

    /**
     * @param array<string, Value> $values gets what the line and the gas change by
     * @return list<Finding>
     */
    private static function valve(Input $in, array &$values): array
    {
        $valve = $in->group('valve');
        if ($valve === null) {
            return [];
        }
        $findings = [];
        if ($valve->all('line_cool', 'line_heat')) {
            $change = 1.8 * ($valve->number('line_heat') - $valve->number('line_cool'));
            $values['valve_change'] = Value::of($change, 'delta_degF');
            $said = ['change' => Said::temperatureDifference(abs($change) / 1.8)];
            $findings = match (true) {
                ! Limit::over($change, -self::STUCK) => [Finding::stop('cools_on_heat_call', $said)],
                Limit::under($change, self::STUCK) => [Finding::stop('valve_stuck', $said)],
                Limit::under($change, self::SWAPS) => [Finding::watch('valve_unclear', $said)],
                default => [],
            };
        }
        $isWired = in_array($in->text('reversing'), ['O', 'B'], true);
        if ($isWired && $valve->all('coil_cool', 'coil_heat')) {
            $both = [$valve->flag('coil_cool'), $valve->flag('coil_heat')];
            $findings = [...$findings, ...match (true) {
                $both === [true, true] => [Finding::stop('coil_always_on')],
                $both === [false, false] => [Finding::stop('coil_never_on')],
                $both[0] !== ($in->text('reversing') === 'O') => [Finding::stop('ob_reversed')],
                default => [],
            }];
        }
        if ($valve->all('low_in', 'low_out')) {
            $gain = 1.8 * ($valve->number('low_out') - $valve->number('low_in'));
            $values['valve_gain'] = Value::of($gain, 'delta_degF');
            $said = ['gain' => Said::temperatureDifference($gain / 1.8)];
            $findings = [...$findings, ...match (true) {
                Limit::over($gain, self::LEAKS_STOP) => [Finding::stop('valve_leaks', $said, 'valve_leaks_far')],
                Limit::over($gain, self::LEAKS) => [Finding::watch('valve_leaks', $said)],
                default => [],
            }];
        }
        $isWhole = $in->given('reversing') && $valve->all('line_cool', 'line_heat') && (! $isWired || $valve->all('coil_cool', 'coil_heat')) && $valve->given('low_in') === $valve->given('low_out');
        $isProved = $isWhole && array_filter($findings, fn (Finding $f): bool => in_array($f->code, self::VALVE, true)) === [];

        return [...$findings, ...($isProved ? [Finding::clear('valve_proved')] : [])];
    }

    /**
     * @param array<string, Value> $values gets rise, capacity and share
     * @return list<Finding> the first that holds
     */
    private static function run(Input $in, float $by, array &$values): array
    {
        $run = $in->group('run');
        $isVrf = $in->flag('vrf');
        if ($run === null || ! $run->all('return_db', 'supply_db')) {
            return [];
        }
        $rise = 1.8 * ($run->number('supply_db') - $run->number('return_db')) + $by;
        $values['rise'] = Value::of($rise, 'delta_degF');
        if (! $run->all('minutes', 'outdoor_db') || (! $isVrf && (! $run->given('airflow') || $in->items('ratings') === []))) {
            return [];
        }
        $outdoor = (float) $run->in('outdoor_db', 'degF');
        $rated = $isVrf ? null : self::rated($in, $outdoor);
        $share = null;
        if (! $isVrf) {
            $air = self::AIR * Site::pressure($in) * self::STANDARD / $run->number('return_db') * (float) $run->in('airflow', 'cfm');
            $values['capacity'] = Value::of($air * $rise, 'Btu/h');
            if ($rated !== null) {
                $share = 100 * $air * $rise / $rated;
                $values += ['rated' => Value::of($rated, 'Btu/h'), 'share' => Value::of($share, '%'), 'expected_rise' => Value::of($rated / $air, 'delta_degF')];
            }
        }
        $minutes = $run->minutes('minutes');
        $said = ['rise' => Said::temperatureDifference($rise / 1.8)];
        if (! Limit::over($rise, self::COLDER) && ! Limit::under($minutes, self::COLDER_FROM)) {
            return [Finding::stop('supply_colder')];
        }
        if (Limit::under($minutes, self::SETTLED)) {
            $values['time_left'] = Value::of(self::SETTLED - $minutes, 'min');

            return [Finding::open('wait', ['left' => Said::duration(60 * (self::SETTLED - $minutes))])];
        }
        if (Limit::under($rise, self::NO_HEAT)) {
            return [Finding::stop('no_heat', $said)];
        }
        $open = [...array_filter(self::NOT_AT_FULL, $run->flag(...)), ...($run->text('stage') === 'part' ? ['not_at_full_stage'] : [])];
        if ($open !== []) {
            return array_map(fn (string $code): Finding => Finding::open($code), array_values($open));
        }
        if ($isVrf) {
            return Limit::under($rise, self::VRF_RISE) ? [Finding::watch('rise_small', $said)] : [];
        }
        if ($share === null || $rated === null) {
            return [Finding::open('outside_ratings')];
        }
        $told = ['share' => Said::percent($share, Limit::under($share, self::CAPACITY[0]) ? self::CAPACITY[0] : ($share < 100 ? self::CAPACITY[1] : self::CAPACITY[2])), 'rated' => Said::heat(Units::toCanonical($rated, 'Btu/h', Kind::Heat))];

        return match (true) {
            Limit::over($share, self::CAPACITY[2]) => [Finding::watch('capacity_high', $told)],
            Limit::under($share, self::CAPACITY[0]) => [Finding::stop('capacity_low', $told)],
            Limit::under($share, self::CAPACITY[1]) => [Finding::watch('capacity_low', $told)],
            default => [],
        };
    }

    /** @return float|null Btu/h at an outdoor temperature; null further beyond the ratings than their ends are good for */
    private static function rated(Input $in, float $outdoor): ?float
    {
        $points = array_map(fn (Input $one): array => [(float) $one->in('outdoor', 'degF'), (float) $one->in('capacity', 'Btu/h')], $in->items('ratings'));
        usort($points, fn (array $a, array $b): int => $a[0] <=> $b[0]);
        [$first, $last] = [$points[0], $points[count($points) - 1]];
        if (Limit::under($outdoor, $first[0] - self::BEYOND) || Limit::over($outdoor, $last[0] + self::BEYOND)) {
            return null;
        }
        $outdoor = max($first[0], min($last[0], $outdoor));
        $before = $first;
        foreach ($points as $point) {
            if ($point[0] >= $outdoor) {
                return $point[0] === $before[0] ? $point[1] : $before[1] + ($point[1] - $before[1]) * ($outdoor - $before[0]) / ($point[0] - $before[0]);
            }
            $before = $point;
        }

        return $last[1];
    }

    private static function isWatched(Input $defrost): bool
    {
        return in_array($defrost->text('method'), ['natural', 'forced'], true) && $defrost->given('started') && $defrost->flag('started');
    }

    /** @return list<Finding> */
    private static function defrost(Input $in): array
    {
        $defrost = $in->group('defrost');
        if ($defrost === null) {
            return [];
        }
        if ($defrost->text('method') === 'not_tested') {
            return [Finding::open('defrost_not_tested')];
        }
        if ($defrost->given('started') && ! $defrost->flag('started')) {
            return [Finding::stop('no_defrost')];
        }
        $most = $defrost->in('max_minutes', 'min') ?? 10.0;
        $took = $defrost->in('minutes', 'min');
        $end = $defrost->in('coil_end', 'degF');
        $sheet = $defrost->in('sheet_end', 'degF');
        $isOff = $end !== null && ($sheet === null ? Limit::under($end, self::END_LEAST) : Limit::over(abs($end - $sheet), self::END_OFF));
        $isNo = fn (string $name): bool => $defrost->given($name) && ! $defrost->flag($name);
        $said = $took === null ? [] : ['took' => Said::duration(60 * $took), 'most' => Said::duration(60 * $most)];

        return [
            ...($isNo('coil_clear') ? [Finding::stop('coil_not_clear')] : []),
            ...match (true) {
                $took === null => [],
                Limit::over($took, self::LONG * $most) => [Finding::stop('defrost_long', $said)],
                Limit::over($took, $most) => [Finding::watch('defrost_long', $said)],
                default => [],
            },
            ...($took !== null && ! $defrost->given('max_minutes') ? [Finding::clear('default_minutes')] : []),
            ...($defrost->text('ended_by') === 'time' ? [Finding::watch('ended_by_time')] : []),
            ...($defrost->text('ended_by') === 'hand' ? [Finding::open('end_not_seen')] : []),
            ...(self::isWatched($defrost) && $end === null ? [Finding::watch('end_not_read')] : []),
            ...($isOff ? [Finding::watch('end_off', ['end' => Said::temperature((float) $defrost->maybe('coil_end'))])] : []),
            ...($isNo('fan_stopped') ? [Finding::watch('fan_ran')] : []),
            ...($isNo('aux_came') && $in->text('aux') !== 'none' ? [Finding::watch('cold_in_defrost')] : []),
        ];
    }

    /** @return list<Finding> */
    private static function aux(Input $in): array
    {
        $f = fn (string $name): ?float => $in->in($name, 'degF');
        [$aux, $compressor, $balance] = [$f('aux_lockout'), $f('compressor_lockout'), $f('balance_point')];
        $isFitted = in_array($in->text('aux'), ['electric', 'gas'], true);
        $outdoor = $in->group('run')?->in('outdoor_db', 'degF');
        $findings = [];
        if ($in->text('aux') === 'none' && $compressor !== null) {
            $findings[] = Finding::watch('no_heat_below_lockout');
        }
        if ($isFitted && $in->given('aux_seen')) {
            $findings = [...$findings, ...match (true) {
                $in->text('aux_seen') === 'not_tried' => [Finding::open('aux_not_tried')],
                $in->text('aux_seen') === 'off' && $aux !== null && $outdoor === null => [Finding::open('aux_not_tried')],
                $in->text('aux_seen') === 'off' && $aux !== null && ! Limit::under((float) $outdoor, $aux) => [Finding::clear('aux_locked_out')],
                $in->text('aux_seen') === 'off' => [Finding::stop('no_aux')],
                $aux !== null && $outdoor !== null && Limit::over($outdoor, $aux + self::ABOVE_LOCKOUT) => [Finding::watch('aux_above_lockout')],
                default => [],
            }];
        }
        if ($isFitted && $aux !== null && $compressor !== null && Limit::under($aux, $compressor)) {
            $findings[] = Finding::stop('no_heat_between');
        }
        if ($isFitted && $aux !== null && $balance !== null && Limit::under($aux, $balance)) {
            $findings[] = Finding::watch('aux_short');
        }
        if ($in->text('aux') === 'gas' && $in->given('together') && $in->flag('together')) {
            $findings[] = Finding::stop('runs_with_gas');
        }
        if (($isFitted && $aux !== null) || $compressor !== null) {
            $findings = [...$findings, ...match (true) {
                ! $in->given('lockout_seen') => [Finding::watch('lockout_not_tried')],
                ! $in->flag('lockout_seen') => [Finding::stop('lockout_failed')],
                default => [],
            }];
        }

        return $findings;
    }

    /** @return list<Finding> what is left for the season */
    private static function season(Input $in): array
    {
        if (! $in->given('testable') || $in->flag('testable')) {
            return [];
        }

        return [
            Finding::open('season'),
            ...($in->given('run') ? [] : [Finding::open('later:capacity', [], 'later_capacity')]),
            ...($in->given('defrost') ? [] : [Finding::open('later:defrost', [], 'later_defrost')]),
            ...(in_array($in->text('aux'), ['electric', 'gas'], true) && ! $in->given('aux_seen') ? [Finding::open('later:aux', [], 'later_aux')] : []),
        ];
    }
}
