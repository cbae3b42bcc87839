<?php

declare(strict_types=1);

namespace IronStart\Core\Heat;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Draws;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Instrument;
use IronStart\Core\Check\Missing;
use IronStart\Core\Clock\ClockKind;
use IronStart\Core\Clock\Waits;
use IronStart\Core\PutBack\PutBackKind;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Verdict\Drawn;
use IronStart\Core\Verdict\Effect;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Value;

/**
 * What gas heat makes of the air, against the nameplate's range; the first fire, what tripped, and the flue.
 *
 * CO air-free is CO·20.9/(20.9 − O2): 400 ppm is the listing limit of gas furnaces (ANSI Z21.47, Z83.8), 100 ppm the
 * usual field figure.
 */
final class Rise implements Check, Draws
{
    /** min */
    private const SETTLED = 10.0;
    /** °F beyond the nameplate's range. */
    private const BEYOND = 5.0;
    /** °F under which nothing is lit. */
    private const NO_HEAT = 5.0;
    private const THERMOMETER = 0.9;
    /** ppm, air-free. */
    private const CO_STOP = 400.0;
    private const CO_WATCH = 100.0;
    /** % of oxygen. */
    private const AIR = 20.9;
    private const THIN = 17.0;
    private const FIRST_FIRE = ['outside_air', 'detectors_isolated', 'smell_gone', 'joints_tested', 'line_bled_outdoors'];

    public function id(): string
    {
        return 'heat.rise';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $air = fn (string $name): Field => Field::temperature($name, -40, 150)->readWith(Instrument::Thermometer)->needed();
        $rise = fn (string $name): Field => Field::quantity($name, Kind::TemperatureDifference, 'K_diff', 0, 100)->readWith(null)->fromSheet("heat.gas.$name")->needed();

        return [
            $air('return_db'),
            $air('supply_db'),
            Field::minutes('minutes_firing')->needed(),
            $rise('rise_min'),
            $rise('rise_max'),
            Field::flag('out_of_sight')->needed(),
            Field::word('tripped', 'none', 'limit', 'rollout')->default('none'),
            Field::flag('new_gas_piping')->default(false),
            Field::group('first_fire', ...array_map(fn (string $name): Field => Field::flag($name)->needed(), self::FIRST_FIRE))->neededWhen(fn (Input $in): bool => $in->flag('new_gas_piping')),
            Field::group(
                'flue',
                Field::number('co_ppm', 0, 20_000)->needed(),
                Field::percent('o2', 0, 20.9)->neededWhen(fn (Input $in): bool => ! $in->flag('air_free') && ! ($in->given('co_ppm') && Limit::over($in->number('co_ppm'), self::CO_STOP))),
                Field::flag('air_free')->default(false),
            ),
            Field::flag('outdoor_air_between')->default(false),
        ];
    }

    public function contradictions(Input $in): iterable
    {
        if ($in->all('rise_min', 'rise_max') && $in->number('rise_min') > $in->number('rise_max')) {
            yield new InputError('rise_max', $in->number('rise_max'), 'no less than rise_min', 'rise_max: it is below the least. Swap the two.');
        }
    }

    public function judge(Input $in): Judgement
    {
        $flue = $in->group('flue');
        $first = $in->group('first_fire');
        $values = [];
        $findings = [
            ...($in->text('tripped') === 'rollout' ? [Finding::stop('rollout_tripped')] : []),
            ...($in->text('tripped') === 'limit' ? [Finding::stop('limit_tripped')] : []),
            ...($flue === null ? [] : self::flue($flue, $values)),
            ...($first === null ? [] : self::firstFire($first)),
        ];
        $rise = $in->all('supply_db', 'return_db') ? 1.8 * ($in->number('supply_db') - $in->number('return_db')) : null;
        $of = fn (float $by): array => $rise === null ? [] : self::rise($in, $rise + $by);
        $besides = [
            ...($in->flag('outdoor_air_between') ? [Finding::open('outdoor_air_between')] : []),
            ...($in->missing === [] && ! $in->flag('out_of_sight') ? [Finding::watch('radiant')] : []),
            ...Missing::in($in),
        ];
        if ($rise !== null) {
            $values['rise'] = Value::of($rise, 'delta_degF');
        }
        $waits = [];
        if ($in->missing === [] && Limit::under($in->minutes('minutes_firing'), self::SETTLED)) {
            $left = self::SETTLED - $in->minutes('minutes_firing');
            $values['time_left'] = Value::of($left, 'min');
            $waits = [Finding::open('wait', ['left' => Said::duration(60 * $left)])];
        }
        $all = fn (float $by): array => [...$findings, ...$of($by), ...$waits, ...$besides];
        $there = $all(0.0);
        $u = self::THERMOMETER * sqrt(2);
        $isNoHeat = array_filter($there, fn (Finding $f): bool => $f->code === 'no_heat') !== [];
        $isMarginal = ! $isNoHeat && array_filter([$u, -$u], fn (float $by): bool => Judgement::worst($all($by)) !== Judgement::worst($there)) !== [];
        if (Judgement::worst($there) === Status::Clear && $flue === null) {
            $there[] = Finding::note('ask_flue');
        }

        return new Judgement($there, $values, $isMarginal, self::cautions($first), [Finding::note('basis')], sets: [...self::sets($first), ...Waits::of(ClockKind::Stabilise, $values)]);
    }

    public static function drawing(Input $in, array $values): array
    {
        if (! isset($values['rise']) || ! $in->all('rise_min', 'rise_max')) {
            return [];
        }
        $k = fn (float $degF): float => max(0.0, $degF / 1.8);
        [$least, $most, $rise] = [(float) $in->in('rise_min', 'delta_degF'), (float) $in->in('rise_max', 'delta_degF'), (float) $values['rise']->value];

        return Drawn::scale('K_diff', 0.0, [
            ['to' => $k($least - self::BEYOND), 'is' => Status::Stop], ['to' => $k($least), 'is' => Status::Watch], ['to' => $k($most), 'is' => Status::Clear],
            ['to' => $k($most + self::BEYOND), 'is' => Status::Watch], ['to' => $k(max($most + 25, 1.1 * $rise)), 'is' => Status::Stop],
        ], $k($rise), told: ['delta_degF', 'K_diff']);
    }

    /** @return list<Finding> */
    private static function rise(Input $in, float $rise): array
    {
        $most = $in->in('rise_max', 'delta_degF');
        $far = $most !== null && Limit::over($rise, $most + self::BEYOND);
        $degrees = fn (float $degF, ?float $against = null): Said => Said::temperatureDifference($degF / 1.8, $against === null ? null : $against / 1.8);
        // It won't fall by waiting.
        if ($far) {
            return [Finding::stop('airflow_low', ['rise' => $degrees($rise, $most), 'most' => $degrees($most)])];
        }
        if ($most === null || $in->missing !== [] || Limit::under($in->minutes('minutes_firing'), self::SETTLED)) {
            return [];
        }
        $least = (float) $in->in('rise_min', 'delta_degF');
        $said = ['rise' => $degrees($rise, Limit::under($rise, $least) ? $least : $most), 'least' => $degrees($least), 'most' => $degrees($most)];

        return match (true) {
            Limit::under($rise, self::NO_HEAT) && Limit::over($least, self::NO_HEAT) => [Finding::stop('no_heat')],
            Limit::over($rise, $most) => [Finding::watch('airflow_low', array_diff_key($said, ['least' => 1]))],
            Limit::under($rise, $least - self::BEYOND) => [Finding::stop('airflow_high', array_diff_key($said, ['most' => 1]))],
            Limit::under($rise, $least) => [Finding::watch('airflow_high', array_diff_key($said, ['most' => 1]))],
            default => [Finding::note('right', $said)],
        };
    }

    /**
     * @param array<string, Value> $values gets CO without the air in the sample
     * @return list<Finding>
     */
    private static function flue(Input $flue, array &$values): array
    {
        if (! $flue->given('co_ppm')) {
            return [];
        }
        $co = $flue->number('co_ppm');
        $raw = Limit::over($co, self::CO_STOP) ? [Finding::stop('co_high', ['co' => Said::number($co, 0, self::CO_STOP)], 'co_high_raw')] : [];
        if (! $flue->flag('air_free')) {
            if (! $flue->given('o2')) {
                return $raw;
            }
            if (Limit::over($flue->number('o2'), self::THIN)) {
                return [...$raw, Finding::open('flue_sample_thin', ['oxygen' => Said::percent($flue->number('o2'))])];
            }
            $co *= self::AIR / (self::AIR - $flue->number('o2'));
        }
        $values['co_air_free_ppm'] = Value::of($co, '1');
        $said = ['co' => Said::number($co, 0, Limit::over($co, self::CO_STOP) ? self::CO_STOP : self::CO_WATCH)];

        return match (true) {
            Limit::over($co, self::CO_STOP) => [Finding::stop('co_high', $said)],
            Limit::over($co, self::CO_WATCH) => [Finding::watch('co_raised', $said)],
            default => [],
        };
    }

    /** @return list<Finding> */
    private static function firstFire(Input $first): array
    {
        $findings = [];
        foreach (self::FIRST_FIRE as $name) {
            if (! $first->given($name)) {
                continue;
            }
            if (! $first->flag($name)) {
                $findings[] = $name === 'joints_tested' ? Finding::stop('joints_not_tested') : Finding::watch("not:$name", [], "not_$name");
            } elseif ($name === 'detectors_isolated') {
                $findings[] = Finding::clear('putback:detectors');
            }
        }

        return $findings;
    }

    /** @return list<Effect> */
    private static function sets(?Input $first): array
    {
        return $first !== null && $first->flag('detectors_isolated') ? [Effect::opens(PutBackKind::Detector, 'detectors')] : [];
    }

    /** @return list<string> */
    private static function cautions(?Input $first): array
    {
        return ['gas_leak', 'carbon_monoxide', 'hot_surfaces', ...($first === null ? [] : ['burn_off_smoke', ...($first->flag('detectors_isolated') ? ['fire_alarm_isolated'] : [])])];
    }
}
