<?php

declare(strict_types=1);

namespace IronStart\Core\Controls;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Draws;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Missing;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Value;
use IronStart\Core\Verdict\Word;

/**
 * What the controller will do: the ladder of stages held against itself, the economizer and the lockouts, and a day of it
 * in a room that is told.
 */
final class Staging implements Check, Draws
{
    /** Starts in an hour that are too many. */
    private const SHORT = 6;

    public function id(): string
    {
        return 'controls.staging';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $set = fn (string $name): Field => Field::temperature($name, -20, 60)->readWith(null);
        $difference = fn (string $name): Field => Field::quantity($name, Kind::TemperatureDifference, 'K_diff', 0, 30)->readWith(null);
        $heat = fn (string $name): Field => Field::quantity($name, Kind::Heat, 'W', 0)->positive()->startsIn('ton');
        $isCounted = fn (Input $in): bool => $in->given('counts');

        return [
            $set('cool_setpoint')->needed(),
            $set('heat_setpoint')->needed(),
            Field::group('counts', Field::count('cool', 0, 8)->default(0), Field::count('heat', 0, 8)->default(0), $heat('cool_capacity'), $heat('heat_capacity')),
            $difference('differential')->neededWhen($isCounted),
            $difference('deadband')->neededWhen($isCounted),
            Field::group(
                'stages',
                Field::items('cool', $set('on_above')->structural(), $set('off_below')->structural(), $heat('capacity'))->orNone(),
                Field::items('heat', $set('on_below')->structural(), $set('off_above')->structural(), $heat('capacity'), Field::flag('reheat')->default(false))->orNone(),
            )->neededWhen(fn (Input $in): bool => ! $isCounted($in)),
            Field::group(
                'machine',
                Field::count('cool_stages')->fromSheet('controls.cool_stages'),
                Field::count('heat_stages')->fromSheet('controls.heat_stages'),
                Field::word('dehumidify', 'none', 'hot_gas', 'heater')->default('none'),
            ),
            Field::word('changeover', 'auto', 'manual')->default('auto'),
            Field::quantity('min_on', Kind::Time, 'min', 0)->bareIn('min')->readWith(null)->default('0 min'),
            Field::quantity('min_off', Kind::Time, 'min', 0)->bareIn('min')->readWith(null)->default('0 min'),
            $difference('min_gap')->default('2 delta_degF'),
            $difference('band')->default('3 delta_degF'),
            Field::group('economizer', $set('on_above')->needed(), $set('lockout_outdoor')->needed(), Field::number('flow_w_per_k', 0)),
            Field::group('lockouts', $set('cool_below'), $set('heat_below'), $set('aux_above')),
            Field::group('room', Field::number('ua_w_per_k', 0)->positive()->needed(), Field::number('capacitance_kj_per_k', 0)->positive()->needed(), Field::quantity('gains', Kind::Heat, 'W', 0)->default('0 W'), $set('start')->needed()),
            Field::group('outdoor', Field::quantities('hourly', Kind::Temperature, 'degC', -60, 60), Field::temperature('mean', -60, 60)->readWith(null), $difference('amplitude'), Field::number('peak_hour', 0, 24)->default(15)),
        ];
    }

    public function contradictions(Input $in): iterable
    {
        if ($in->given('stages') && $in->given('counts')) {
            yield new InputError('counts', null, 'stages or counts, not both', 'counts: the stages are written already. Leave one of the two out.');
        }
        $outdoor = $in->group('outdoor');
        if ($outdoor !== null) {
            $hours = count($outdoor->numbers('hourly'));
            if ($hours !== 0 && $hours !== 24) {
                yield new InputError('outdoor.hourly', null, '24 temperatures', 'outdoor.hourly: one for each hour of the day. Enter 24.');
            }
            if ($hours === 0 && ! $outdoor->all('mean', 'amplitude')) {
                yield InputError::absent('outdoor.mean', 'a mean and its swing, or 24 temperatures');
            }
        }
    }

    public function judge(Input $in): Judgement
    {
        $basis = [Finding::note('basis')];
        if ($in->missing !== []) {
            return new Judgement(Missing::in($in), basis: $basis);
        }
        $ladder = Ladder::of($in);
        $values = [];
        foreach ($ladder->named() as $name => $stage) {
            $values["{$name}_on"] = Value::of($stage['on'], 'degF');
            $values["{$name}_off"] = Value::of($stage['off'], 'degF');
        }
        $gap = $ladder->gap();
        if ($gap !== null) {
            $values['gap'] = Value::of($gap, 'delta_degF');
        }
        $findings = [...self::itself($ladder), ...self::machine($in, $ladder), ...self::between($in, $ladder, $gap), ...self::lockouts($in)];
        if ($in->given('room') && $in->given('outdoor') && Judgement::worst($findings) !== Status::Stop) {
            $findings = [...$findings, ...self::day($in, $ladder, $values)];
        }
        if (Judgement::worst($findings) === Status::Clear) {
            $findings[] = $gap === null ? Finding::note('sound_one') : Finding::note('sound', ['gap' => Said::temperatureDifference($gap / 1.8)]);
        }

        return new Judgement($findings, $values, basis: $basis);
    }

    public static function drawing(Input $in, array $values): array
    {
        if (! $in->given('cool_setpoint') || $values === []) {
            return [];
        }
        $ladder = Ladder::of($in);
        $day = isset($values['end_temperature']) ? Day::of($in, $ladder) : null;
        $celsius = fn (float $fahrenheit): float => ($fahrenheit - 32) / 1.8;
        $rungs = [];
        foreach ($ladder->named() as $name => $stage) {
            [$kind, $n] = self::rung($name);
            $rungs[] = ['word' => "rung_$kind", 'n' => $n, 'kind' => $kind, 'on' => $celsius($stage['on']), 'off' => $celsius($stage['off']), 'busiest' => $day?->busiest[$name] ?? null];
        }
        $at = fn (string $name): float => $celsius(Ladder::degF($in->number($name)));

        return [
            'shape' => 'ladder', 'units' => '', 'rungs' => $rungs, 'setpoints' => ['cool' => $at('cool_setpoint'), 'heat' => $at('heat_setpoint')],
            'economizer' => $in->group('economizer') === null ? null : $celsius(Ladder::degF($in->group('economizer')->number('on_above'))),
            'trace' => array_map(fn (array $p): array => [$p[0], $celsius($p[1]), $celsius($p[2])], $day === null ? [] : $day->trace),
        ];
    }

    /** @return array{string, int} its kind and its number */
    private static function rung(string $name): array
    {
        return [(string) preg_replace('/\d/', '', $name), (int) preg_replace('/\D/', '', $name)];
    }

    /** @return array<string, mixed> a stage as it is called */
    private static function stage(string $name): array
    {
        [$kind, $n] = self::rung($name);

        return ['stage' => Word::of('stage', $kind), 'n' => $n];
    }

    /** @return list<Finding> */
    private static function itself(Ladder $ladder): array
    {
        $findings = [];
        foreach ($ladder->named() as $name => $stage) {
            $isReversed = str_starts_with($name, 'cool') ? ! Limit::over($stage['on'], $stage['off']) : ! Limit::under($stage['on'], $stage['off']);
            if ($isReversed) {
                $findings[] = Finding::stop("stage_reversed:$name", self::stage($name));
            }
        }
        foreach (['cool' => $ladder->cool, 'heat' => $ladder->heat] as $kind => $stages) {
            foreach (array_slice($stages, 1) as $i => $stage) {
                $isOrdered = $kind === 'cool' ? Limit::over($stage['on'], $stages[$i]['on']) : Limit::under($stage['on'], $stages[$i]['on']);
                if (! $isOrdered) {
                    $findings[] = Finding::stop("order:$kind" . ($i + 2), self::stage($kind . ($i + 2)));
                }
            }
        }
        $over = max([-INF, ...array_column($ladder->reheat, 'off')]);

        return [...$findings, ...(Limit::over($over, $ladder->firstCool()) ? [Finding::watch('reheat_over_cool')] : [])];
    }

    /** @return list<Finding> */
    private static function machine(Input $in, Ladder $ladder): array
    {
        $machine = $in->group('machine');
        $findings = [];
        foreach (['cool_stages' => count($ladder->cool), 'heat_stages' => count($ladder->heat)] as $name => $count) {
            if ($machine !== null && $machine->given($name) && $machine->int($name) !== $count) {
                $findings[] = Finding::watch(($count > $machine->int($name) ? 'more_' : 'fewer_') . $name, ['set' => $count, 'has' => $machine->int($name)]);
            }
        }
        $dries = in_array($machine?->text('dehumidify'), ['hot_gas', 'heater'], true);
        $reheats = array_filter($in->group('stages')?->items('heat') ?? [], fn (Input $stage): bool => $stage->flag('reheat')) !== [];

        return [...$findings, ...($dries ? [Finding::clear('read_amps:dehumidify')] : ($reheats ? [Finding::watch('reheat_not_declared')] : []))];
    }

    /** @return list<Finding> what cooling, heating and the economizer are to each other */
    private static function between(Input $in, Ladder $ladder, ?float $gap): array
    {
        $isAuto = $in->text('changeover') === 'auto';
        $economizer = $in->group('economizer');
        $findings = [];
        if ($isAuto && $gap !== null) {
            $said = ['gap' => Said::temperatureDifference(abs($gap) / 1.8)];
            $findings = match (true) {
                Limit::under($gap, 0.0) => [Finding::stop('heats_and_cools', $said)],
                Limit::under($gap, 1.8 * $in->number('min_gap')) => [Finding::watch('gap_small', $said)],
                default => [],
            };
        }
        if ($economizer !== null) {
            $on = Ladder::degF($economizer->number('on_above'));
            $findings = [
                ...$findings,
                ...($isAuto && Limit::under($on, $ladder->lastHeat()) ? [Finding::stop('economizer_in_heat')] : []),
                ...(Limit::over($on, $ladder->firstCool()) ? [Finding::watch('economizer_late')] : []),
                ...(Limit::over(Ladder::degF($economizer->number('lockout_outdoor')), Ladder::degF($in->number('cool_setpoint'))) ? [Finding::watch('lockout_high')] : []),
            ];
        }

        return $findings;
    }

    /** @return list<Finding> */
    private static function lockouts(Input $in): array
    {
        $lockouts = $in->group('lockouts');
        $economizer = $in->group('economizer');
        if ($lockouts === null) {
            return [];
        }
        $f = fn (string $name): ?float => $lockouts->in($name, 'degF');
        [$cool, $heat, $aux] = [$f('cool_below'), $f('heat_below'), $f('aux_above')];

        return [
            ...($economizer !== null && $cool !== null && Limit::under(Ladder::degF($economizer->number('lockout_outdoor')), $cool) ? [Finding::stop('no_cooling_between')] : []),
            ...($heat !== null && $aux !== null && Limit::under($aux, $heat) ? [Finding::stop('no_heat_between')] : []),
        ];
    }

    /**
     * @param array<string, Value> $values gets what the day brings
     * @return list<Finding>
     */
    private static function day(Input $in, Ladder $ladder, array &$values): array
    {
        foreach ([...$ladder->cool, ...$ladder->heat] as $stage) {
            if ($stage['watts'] === null) {
                return [Missing::at('capacity')];
            }
        }
        $day = Day::of($in, $ladder);
        $findings = [];
        foreach ($day->starts as $name => $starts) {
            $values["starts:$name"] = Value::of((float) $starts, '1');
            $values["busiest_hour:$name"] = Value::of((float) $day->busiest[$name], '1');
            $values["hours:$name"] = Value::of($day->hours[$name], 'h');
            if ($day->busiest[$name] > self::SHORT) {
                $findings[] = Finding::watch("short_cycling:$name", self::stage($name) + ['starts' => $day->busiest[$name]]);
            }
        }
        $values += ['hours_out_of_band' => Value::of($day->outOfBand, 'h'), 'hours_free_cooling' => Value::of($day->free, 'h'), 'end_temperature' => Value::of($day->end, 'degF')];

        return $findings;
    }
}
