<?php

declare(strict_types=1);

namespace IronStart\Core\Run;

use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Moment;
use IronStart\Core\Check\Past;
use IronStart\Core\Clock\ClockKind;
use IronStart\Core\Verdict\Drawn;
use IronStart\Core\Verdict\Effect;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Value;

/**
 * Hours of crankcase heat that count: they stop at what is needed, a power cut of more than half an hour takes its own
 * length off again, a shorter one nothing, and without power nothing is earned.
 */
final class Warmth
{
    private const HOUR = 3600.0;
    /** s; a cut no longer than this costs nothing. */
    private const SHORT_CUT = 1800.0;

    /**
     * @param string $sheet where the sheet has its table
     * @return list<Field>
     */
    public static function fields(string $sheet = 'circuit.warm_up'): array
    {
        return [
            Field::moment('now')->isPresent()->needed(),
            Field::moment('powered_since'),
            Field::items('warm_up', Field::temperature('below')->fromSheet('below')->readWith(null), Field::number('hours', 0, 1000)->structural()->fromSheet('hours'))->fromSheet($sheet),
            Field::items('outages', Field::moment('from')->structural(), Field::moment('to')->structural()),
            Field::flag('strict')->fromSheet("{$sheet}_strict"),
            Field::moment('wanted_start'),
        ];
    }

    /** @return iterable<InputError> */
    public static function errors(Input $in): iterable
    {
        yield from self::mixed($in);
        [$now, $since] = [$in->moment('now'), $in->moment('powered_since')];
        if ($now !== null && $since !== null && $since->until($now) < 0.0) {
            yield new InputError('powered_since', $since->written, 'a time before now', 'powered_since: that is still to come. Enter when the heater got its power.');
        }
        foreach ($in->items('outages') as $i => $outage) {
            [$from, $to] = [$outage->moment('from'), $outage->moment('to')];
            if ($from !== null && $to !== null && $from->until($to) < 0.0) {
                yield new InputError("outages.$i.to", $to->written, 'a time after it went off', "outages.$i.to: it ends before it begins. Enter when the power came back.");
            }
        }
        $rows = $in->items('warm_up');
        foreach ($rows as $i => $row) {
            foreach ($rows as $colder) {
                if (($colder->maybe('below') ?? INF) < ($row->maybe('below') ?? INF) && Limit::over($row->number('hours'), $colder->number('hours'))) {
                    yield new InputError("warm_up.$i.hours", $row->number('hours'), 'no more hours than where it is colder', "warm_up.$i.hours: more hours than a colder row has. Look whether two rows are swapped.");

                    return;
                }
            }
        }
    }

    /** @return iterable<InputError> times of which some have a zone and some have none */
    private static function mixed(Input $in): iterable
    {
        $all = array_filter([$in->moment('now'), $in->moment('powered_since'), $in->moment('wanted_start')]);
        foreach ($in->items('outages') as $outage) {
            $all = [...$all, ...array_filter([$outage->moment('from'), $outage->moment('to')])];
        }
        if (count(array_unique(array_map(fn (Moment $one): bool => $one->hasZone, $all))) > 1) {
            yield new InputError('now', $in->moment('now')->written ?? '', 'all times with a zone, or none', 'now: some times have a zone and some have none. Write them all alike.');
        }
    }

    /** @return float h that the row asks for of the coldest hour of the last day; 0 where none does */
    public static function ofTable(Input $in): float
    {
        $coldest = $in->number('coldest_24h');
        $below = $rest = [];
        foreach ($in->items('warm_up') as $row) {
            if (! $row->given('below')) {
                $rest[] = $row->number('hours');
            } elseif (Limit::under($coldest, $row->number('below'))) {
                $below[(string) $row->number('below')] ??= $row->number('hours');
            }
        }
        ksort($below, SORT_NUMERIC);

        return array_values($below)[0] ?? $rest[0] ?? 0.0;
    }

    /**
     * @return array{float, ?float} h that count of those needed, and how long it has been on without a long cut; null
     *                              where it has no power now
     */
    public static function credit(Input $in, float $needed): array
    {
        [$now, $since] = [$in->moment('now'), $in->moment('powered_since')];
        if ($now === null || $since === null) {
            return [0.0, null];
        }
        $ends = $since->until($now);
        [$credit, $on, $steady, $isOff] = [0.0, 0.0, 0.0, false];
        foreach (self::cuts($in, $since, $ends) as [$from, $to]) {
            $credit = min($needed, $credit + ($from - $on) / self::HOUR);
            if (Limit::over($to - $from, self::SHORT_CUT)) {
                $credit = $in->flag('strict') ? 0.0 : max(0.0, $credit - ($to - $from) / self::HOUR);
                $steady = $to;
            }
            [$on, $isOff] = [$to, $isOff || $to >= $ends];
        }

        return $isOff ? [$credit, null] : [min($needed, $credit + ($ends - $on) / self::HOUR), ($ends - $steady) / self::HOUR];
    }

    /** @return list<array{float, float}> s since it was switched on, in the order of time; those that touch are one */
    private static function cuts(Input $in, Moment $since, float $ends): array
    {
        $cuts = [];
        foreach ($in->items('outages') as $outage) {
            [$from, $to] = [$outage->moment('from'), $outage->moment('to')];
            if ($from !== null && $to !== null) {
                $cuts[] = [max(0.0, $since->until($from)), min($ends, $since->until($to))];
            }
        }
        $cuts = array_values(array_filter($cuts, fn (array $cut): bool => $cut[0] <= $cut[1] && $cut[1] > 0.0));
        usort($cuts, fn (array $a, array $b): int => $a <=> $b);
        $joined = [];
        foreach ($cuts as [$from, $to]) {
            $last = array_pop($joined);
            if ($last !== null && $from > $last[1]) {
                $joined[] = $last;
                $last = null;
            }
            $joined[] = [$last[0] ?? $from, max($last[1] ?? $to, $to)];
        }

        return $joined;
    }

    /**
     * Since when the heater has power, as a check told it last; a lockout since took that power away, and it is told anew.
     *
     * @return array<string, mixed>
     */
    public static function brought(Past $past, string $check): array
    {
        $told = $past->last($check, 'machine');
        $locked = $past->last('power.lockout', 'machine');

        return $told === null || ($locked['at'] ?? 0) > $told['at'] ? [] : array_intersect_key($told['input'], ['powered_since' => 1, 'outages' => 1]);
    }

    /**
     * @param array<string, Value> $values of the judgement
     * @return array<string, mixed> the hours that count, filling up to those that are needed
     */
    public static function drawn(array $values): array
    {
        $needed = isset($values['hours_needed']) ? (float) $values['hours_needed']->value : 0.0;
        if ($needed <= 0.0 || ! isset($values['hours_credited'], $values['remaining'])) {
            return [];
        }
        $said = fn (float $hours): Said => Said::hours(self::HOUR * $hours);

        return Drawn::column([['word' => 'heat_needed', 'value' => $needed, 'said' => $said($needed)]], (float) $values['hours_credited']->value, 'plain', ['word' => 'to_go', 'said' => $said((float) $values['remaining']->value)]);
    }

    /**
     * Until when the start is held; where nobody knows since when it is heated, only how long.
     *
     * @param bool $isFixed heated now, so that the hour is known
     * @return list<Finding>
     */
    public static function held(Moment $now, float $remaining, bool $isFixed): array
    {
        $left = ['left' => Said::duration(self::HOUR * $remaining)];

        return Limit::over($remaining, 0.0) ? [Finding::open('wait', $isFixed ? $left + ['when' => $now->after(self::HOUR * $remaining)->said($now)] : $left, $isFixed ? null : 'wait_from_power')] : [];
    }

    /**
     * @param array<string, Value> $values gets what there is to spare
     * @return list<Finding>
     */
    public static function wanted(Input $in, Moment $now, float $needed, float $remaining, array &$values): array
    {
        $wanted = $in->moment('wanted_start');
        if ($wanted === null) {
            return [];
        }
        $ahead = $now->until($wanted) / self::HOUR;
        $values += ['power_by_in' => Value::of($ahead - $needed, 'h'), 'spare' => Value::of($ahead - $remaining, 'h')];

        return Limit::under($ahead, $remaining) ? [Finding::watch('wanted_start_too_early', ['late' => Said::duration(self::HOUR * ($remaining - $ahead))])] : [];
    }

    /**
     * @param array<string, Value> $values of the judgement
     * @return list<Effect> the clock that runs until it may be started
     */
    public static function clock(array $values): array
    {
        $left = isset($values['earliest_start'], $values['remaining']) ? (float) $values['remaining']->value : 0.0;

        return match (true) {
            Limit::over($left, 0.0) => [Effect::starts(ClockKind::WarmUp, max(1, (int) ceil(60 * $left - 1e-9)))],
            isset($values['hours_needed']) => [Effect::ends(ClockKind::WarmUp)],
            default => [],
        };
    }
}
