<?php

declare(strict_types=1);

namespace IronStart\Core\Vrf;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Draws;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Missing;
use IronStart\Core\Verdict\Drawn;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Value;

/**
 * Which expansion valve leaks by, from a night's log in cooling: pipes that stay cold and air that goes on falling while
 * the valve is shut and nothing is called.
 *
 * Source: house practice. Judged from a quarter of an hour after the valve shut, in every off period of half an hour.
 */
final class LeakBy implements Check, Draws
{
    /** Bytes of a day of 40 units, minute by minute, with room to spare. */
    private const LONGEST = 4_000_000;
    /** min */
    private const GAP = 5.0;
    private const PERIOD = 30.0;
    private const SETTLES = 15.0;
    private const LONG = 60.0;
    /** °F under the return air from which on a pipe is cold. */
    private const GAS = 10.0;
    private const LIQUID = 15.0;
    /** Of the samples. */
    private const COLD = 0.3;
    private const ALWAYS_COLD = 0.8;
    /** °F/h */
    private const FALLS = -1.0;
    private const HALF = 0.5;
    /** Return air that no room has, by the unit it is said to be in. */
    private const NO_ROOM = ['degF' => 40.0, 'degC' => 50.0];

    public function id(): string
    {
        return 'vrf.leak_by';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        return [
            Field::parsed('csv', WatchLog::parse(...))->upTo(self::LONGEST)->needed(),
            Field::word('temperature_unit', 'degF', 'degC')->needed(),
        ];
    }

    public function contradictions(Input $in): iterable
    {
        $log = $in->parsed('csv');
        $air = $log instanceof WatchLog ? $log->returnAir() : [];
        $unit = $in->text('temperature_unit');
        if ($air !== [] && (($unit === 'degF' && max($air) < self::NO_ROOM['degF']) || ($unit === 'degC' && min($air) > self::NO_ROOM['degC']))) {
            yield new InputError('temperature_unit', $unit, $unit === 'degF' ? 'degC' : 'degF', 'temperature_unit: no room is like that. Look which unit the log is in.');
        }
    }

    public function judge(Input $in): Judgement
    {
        $basis = [Finding::note('basis')];
        $log = $in->parsed('csv');
        if ($in->missing !== [] || ! $log instanceof WatchLog) {
            return new Judgement(Missing::in($in), basis: $basis);
        }
        if ($log->units === []) {
            return new Judgement([Finding::open('no_data')], basis: $basis);
        }
        $isCelsius = $in->text('temperature_unit') === 'degC';
        $values = $ranked = [];
        foreach ($log->units as $name => $samples) {
            $unit = (string) $name;
            $periods = array_map(fn (array $period): array => self::judged($period, $isCelsius), self::offPeriods($samples));
            $bad = count(array_filter($periods, fn (array $one): bool => $one['bad']));
            $worst = $periods === [] ? 0.0 : max(array_column($periods, 'fraction'));
            $values["off_periods:$unit"] = Value::of(count($periods), '1');
            $values["bad_periods:$unit"] = Value::of($bad, '1');
            $values["worst_fraction:$unit"] = Value::of($worst, '1');
            $found = self::found($unit, $samples, $periods, $bad, $worst);
            if ($found !== null) {
                $ranked[] = [$bad, $worst, $found];
            }
        }
        // Who has the most against it is named first.
        usort($ranked, fn (array $a, array $b): int => [$b[0], $b[1]] <=> [$a[0], $a[1]]);
        $findings = array_column($ranked, 2);
        if (Judgement::worst($findings) === Status::Clear) {
            $findings[] = Finding::note('all_shut', ['count' => count($log->units)]);
        }

        return new Judgement($findings, $values, basis: $basis);
    }

    public static function drawing(Input $in, array $values): array
    {
        $bars = [];
        foreach ($values as $name => $value) {
            [$what, $unit] = explode(':', (string) $name, 2) + ['', ''];
            if ($what === 'worst_fraction' && (float) $value->value > 0.0) {
                $bars[] = ['name' => $unit, 'value' => 100 * (float) $value->value, 'is' => (float) $values["bad_periods:$unit"]->value >= 2.0 ? 'stop' : 'plain'];
            }
        }
        usort($bars, fn (array $a, array $b): int => [$b['is'], $b['value']] <=> [$a['is'], $a['value']]);

        return $bars === [] ? [] : Drawn::bars('%', $bars, 100 * self::COLD);
    }

    /**
     * @param list<array{float, bool, float, float, float}>       $samples
     * @param list<array{bad: bool, fraction: float, long: bool}> $periods
     */
    private static function found(string $unit, array $samples, array $periods, int $bad, float $worst): ?Finding
    {
        if ($periods === []) {
            $steps = count($samples) - 1;
            $far = 0;
            for ($i = 1; $i <= $steps; $i++) {
                $far += Limit::over($samples[$i][0] - $samples[$i - 1][0], self::GAP) ? 1 : 0;
            }

            return Finding::open($far > self::HALF * $steps ? "too_sparse:$unit" : "no_off_period:$unit", ['unit' => $unit]);
        }
        $isCold = array_filter($periods, fn (array $one): bool => $one['long'] && ! Limit::under($one['fraction'], self::ALWAYS_COLD)) !== [];

        return match (true) {
            $bad >= 2 => Finding::stop("suspect:$unit", ['unit' => $unit, 'bad' => $bad, 'periods' => count($periods)]),
            $bad === 1 => Finding::watch("watch:$unit", ['unit' => $unit, 'periods' => count($periods)]),
            $isCold => Finding::watch("cold_pipes:$unit", ['unit' => $unit, 'share' => Said::percent(100 * $worst)]),
            default => null,
        };
    }

    /**
     * @param list<array{float, bool, float, float, float}> $samples
     * @return list<non-empty-list<array{float, bool, float, float, float}>> runs with the valve shut and no call, long enough and without a gap
     */
    private static function offPeriods(array $samples): array
    {
        $periods = $run = [];
        $last = 0.0;
        foreach ($samples as $sample) {
            if ($run !== [] && (! $sample[1] || Limit::over($sample[0] - $last, self::GAP))) {
                $periods[] = $run;
                $run = [];
            }
            if ($sample[1]) {
                $run[] = $sample;
                $last = $sample[0];
            }
        }
        $periods[] = $run;

        return array_values(array_filter($periods, fn (array $run): bool => $run !== [] && ! Limit::under($run[count($run) - 1][0] - $run[0][0], self::PERIOD)));
    }

    /**
     * @param non-empty-list<array{float, bool, float, float, float}> $period
     * @return array{bad: bool, fraction: float, long: bool}
     */
    private static function judged(array $period, bool $isCelsius): array
    {
        $kelvin = $isCelsius ? 1.8 : 1.0;
        $from = $period[0][0] + self::SETTLES;
        $cold = $count = 0;
        $st = $sa = $stt = $sta = 0.0;
        foreach ($period as [$minutes, , $liquid, $gas, $air]) {
            if (Limit::under($minutes, $from)) {
                continue;
            }
            $count++;
            $cold += Limit::over($kelvin * ($air - $gas), self::GAS) || Limit::over($kelvin * ($air - $liquid), self::LIQUID) ? 1 : 0;
            $hours = ($minutes - $from) / 60;
            $fahrenheit = $kelvin * $air;
            [$st, $sa, $stt, $sta] = [$st + $hours, $sa + $fahrenheit, $stt + $hours * $hours, $sta + $hours * $fahrenheit];
        }
        $spread = $count * $stt - $st * $st;
        $slope = $spread > 0.0 ? ($count * $sta - $st * $sa) / $spread : 0.0;
        $fraction = $count === 0 ? 0.0 : $cold / $count;

        return [
            'bad' => ! Limit::under($fraction, self::COLD) && ! Limit::over($slope, self::FALLS),
            'fraction' => $fraction,
            'long' => ! Limit::under($period[count($period) - 1][0] - $period[0][0], self::LONG),
        ];
    }
}
