<?php

declare(strict_types=1);

namespace IronStart\Core\Run;

use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Moment;
use IronStart\Core\Verdict\Limit;

/**
 * Hours of crankcase heat that count: they stop at what is needed, a power cut of more than half an hour takes its own
 * length off again, a shorter one nothing, and without power nothing is earned.
 */
final class Warmth
{
    private const HOUR = 3600.0;
    /** s; a cut no longer than this costs nothing. */
    private const SHORT_CUT = 1800.0;

    /** @return list<Field> */
    public static function fields(): array
    {
        return [
            Field::moment('now')->isPresent()->needed(),
            Field::moment('powered_since'),
            self::table(),
            Field::items('outages', Field::moment('from')->structural(), Field::moment('to')->structural()),
            Field::flag('strict')->fromSheet('circuit.warm_up_strict'),
            Field::moment('wanted_start'),
        ];
    }

    private static function table(): Field
    {
        return Field::items('warm_up', Field::temperature('below')->fromSheet('below')->readWith(null), Field::number('hours', 0, 1000)->structural()->fromSheet('hours'))->fromSheet('circuit.warm_up');
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
}
