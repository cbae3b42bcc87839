<?php

declare(strict_types=1);

namespace IronStart\Core\Power;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Day;
use IronStart\Core\Check\Draws;
use IronStart\Core\Check\DrawsOnRecord;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\Past;
use IronStart\Core\Verdict\Drawn;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Value;

/**
 * What hangs on a feeder and whether it fits: leg by leg and mode by mode, both ends of what is not known exactly, and who
 * is turned with a swap further up.
 *
 * Limits: 125 % of the largest motor and of lasting heat, 100 % of the rest; the next standard size over the wire, or the
 * largest branch device and the other loads (electrical code). An MCA already holds the quarter of its own largest motor.
 */
final class Feeder implements Check, Draws, DrawsOnRecord
{
    /** The word for the feeder among the items. */
    private const ITSELF = 'feeder';
    private const LARGEST_SIZE = 800;
    /** % */
    private const UNEVEN = 10.0;

    public function id(): string
    {
        return 'power.feeder';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        return [
            Field::amps('breaker')->positive()->readWith(null)->needed(),
            Field::amps('usable')->positive()->readWith(null)->needed(),
            Field::choice('phases', 1, 3)->default(3),
            Field::items('items', ...self::itemFields())->uniqueBy('name')->needed(),
            Field::text('swap_at'),
            Field::word('swap_side', 'line', 'load')->default('line'),
        ];
    }

    /** @return list<Field> one thing that hangs on a feeder */
    public static function itemFields(): array
    {
        return [
            Field::text('name')->structural(),
            Field::word('kind', 'unit', 'heat', 'other')->default('unit'),
            Field::choice('phases', 1, 3),
            Field::words('legs', 'a', 'b', 'c'),
            Field::amps('amps')->positive()->neededWhen(fn (Input $item): bool => ! $item->given('mca')),
            Field::amps('mca')->positive()->readWith(null),
            Field::amps('largest')->positive()->readWith(null),
            Field::amps('mocp')->positive()->readWith(null),
            Field::word('mode', 'cool', 'heat', 'both')->default('both'),
            Field::day('on_since'),
            Field::text('feeds_from'),
        ];
    }

    /** What hangs on the feeder as it was told last, and where two lines were swapped: who is turned with them hangs on that. */
    public static function bringsIn(Past $past, string $subject): array
    {
        $feed = $past->feed();
        $place = $past->last('entry.swap', 'machine')['input']['place'] ?? '';
        $swapped = match (true) {
            $place === 'upstream' => ['swap_at' => self::ITSELF],
            $place === '' || $feed === null => [],
            default => ['swap_at' => $feed['me'], 'swap_side' => $place === 'terminal_block' ? 'line' : 'load'],
        };
        if ($feed === null) {
            return $past->circuit() + $swapped;
        }
        $told = array_intersect_key($feed['input'], ['breaker' => 1, 'usable' => 1, 'phases' => 1]);
        $items = array_map(fn (mixed $item): mixed => is_array($item) ? array_diff_key($item, ['machine' => 1]) : $item, (array) ($feed['input']['items'] ?? []));

        return $swapped + $told + ['items' => $items];
    }

    public function contradictions(Input $in): iterable
    {
        yield from self::itemsWrong($in);
        $names = array_map(fn (Input $item): string => $item->text('name'), $in->items('items'));
        if ($in->given('swap_at') && ! in_array($in->text('swap_at'), [...$names, self::ITSELF], true)) {
            yield InputError::at('swap_at', $in->text('swap_at'), implode(', ', [...$names, self::ITSELF]), 'is none of the items');
        }
    }

    /** @return iterable<InputError> of what hangs on a feeder: legs it does not have, a way that leads nowhere */
    public static function itemsWrong(Input $in): iterable
    {
        $items = $in->items('items');
        $names = array_map(fn (Input $item): string => $item->text('name'), $items);
        foreach ($items as $i => $item) {
            yield from self::itemWrong($in, $item, $i);
        }
        foreach ($items as $i => $item) {
            $from = $item->text('feeds_from');
            if ($from !== '' && ! in_array($from, $names, true)) {
                yield InputError::at("items.$i.feeds_from", $from, implode(', ', $names), 'is none of the items');
            } elseif (self::isInCircle($items, $item)) {
                yield InputError::at("items.$i.feeds_from", $from, 'a way that ends at the feeder', 'goes round in a circle');
                break;
            }
        }
    }

    /** @return iterable<InputError> */
    private static function itemWrong(Input $in, Input $item, int $i): iterable
    {
        $at = "items.$i";
        if ($item->text('name') === self::ITSELF) {
            yield InputError::at("$at.name", self::ITSELF, 'another name', 'is the feeder itself');
        }
        $phases = FeederLoads::phases($in, $item);
        if ($phases === 3 && $in->int('phases') === 1) {
            yield InputError::at("$at.phases", 3, 'one, as the feeder has', 'is more than the feeder has');

            return;
        }
        $legs = $item->words('legs');
        foreach ($legs as $k => $leg) {
            if (in_array($leg, array_slice($legs, 0, $k), true) || ($leg === 'c' && $in->int('phases') === 1)) {
                yield InputError::at("$at.legs.$k", $leg, 'legs of the feeder, each once', 'is no other leg of this feeder');

                return;
            }
        }
        if ($legs !== [] && ($phases === 3 ? count($legs) !== 3 : count($legs) > 2)) {
            yield InputError::at("$at.legs", implode(' ', $legs), $phases === 3 ? 'all three' : 'one or two', 'does not go with that many phases');
        }
        $all = $item->maybe('amps') ?? ($item->given('mca') ? $item->number('mca') / 1.25 : null);
        if ($item->given('largest') && $all !== null && Limit::over($item->number('largest'), $all)) {
            yield InputError::at("$at.largest", $item->number('largest'), 'no more than all of it together', 'A is more than all of it together');
        }
    }

    /** @param list<Input> $items */
    private static function isInCircle(array $items, Input $item): bool
    {
        $at = $item;
        for ($n = 0; $n < count($items) && $at !== null; $n++) {
            $at = self::above($items, $at);
            if ($at === $item) {
                return true;
            }
        }

        return false;
    }

    /** @param list<Input> $items */
    private static function above(array $items, Input $item): ?Input
    {
        return $item->given('feeds_from') ? array_values(array_filter($items, fn (Input $one): bool => $one->text('name') === $item->text('feeds_from')))[0] ?? null : null;
    }

    public static function drawing(Input $in, array $values): array
    {
        $amps = fn (string $leg): ?float => isset($values["amps_$leg"]) ? (float) $values["amps_$leg"]->value : null;
        if ($amps('a') === null) {
            return [];
        }
        $over = fn (string $leg): string => $in->given('usable') && Limit::over((float) $amps($leg), $in->number('usable')) ? 'stop' : 'plain';

        return Drawn::bars('A', [
            ...array_map(fn (string $leg): array => ['word' => "leg_$leg", 'value' => $amps($leg), 'is' => $over($leg)], $in->int('phases') === 3 ? ['a', 'b', 'c'] : ['a', 'b']),
            ['word' => 'wire', 'value' => $in->maybe('usable'), 'is' => 'pale'],
            ['word' => 'breaker', 'value' => $in->maybe('breaker'), 'is' => 'pale'],
        ]);
    }

    public function judge(Input $in): Judgement
    {
        $missing = [...Missing::in($in), ...self::legsMissing($in)];
        $loads = new FeederLoads($in);
        $values = [];
        $isWhole = $missing === [];
        $findings = [...$missing, ...self::carried($in, $loads, $isWhole, $values), ...self::turned($in)];
        if ($isWhole) {
            foreach (['a', 'b', 'c'] as $leg) {
                if (in_array($leg, $loads->legs, true)) {
                    $values["amps_$leg"] = Value::of($loads->running($leg), 'A');
                }
            }
            $last = self::lastAdded($in);
            $values += ['worst_leg' => Value::text($loads->worstLeg())] + ($last === '' ? [] : ['last_added' => Value::text($last)]);
        }
        if (Judgement::worst($findings) === Status::Clear) {
            $findings = [Finding::note('fits', ['demand' => Said::amps($loads->demand('high')), 'usable' => Said::amps($in->number('usable'))])];
        }
        $cautions = ['local_code', ...($in->given('swap_at') ? ['lockout', 'live_rotation_swap'] : [])];

        return new Judgement($findings, $values, false, $cautions, [Finding::note('basis')]);
    }

    /** @return list<Finding> */
    private static function legsMissing(Input $in): array
    {
        $missing = [];
        foreach ($in->items('items') as $i => $item) {
            if (FeederLoads::lacksLegs($in, $item)) {
                $missing[] = Missing::at("items.$i.legs", $item->text('name'));
            }
        }

        return $missing;
    }

    /**
     * @param array<string, Value> $values
     * @return list<Finding>
     */
    private static function carried(Input $in, FeederLoads $loads, bool $isWhole, array &$values): array
    {
        [$breaker, $usable] = [$in->maybe('breaker'), $in->maybe('usable')];
        [$low, $high] = [$loads->demand('low'), $loads->demand('high')];
        if ($isWhole) {
            $values += ['demand_low' => Value::of($low, 'A'), 'demand_high' => Value::of($high, 'A'), 'share' => Value::of(100 * $high / (float) $usable, '%')];
        }
        $found = [];
        if ($usable !== null && Limit::over($low, $usable)) {
            $last = self::lastAdded($in);
            $said = ['demand' => Said::amps($low, $usable), 'usable' => Said::amps($usable)];
            $found[] = $last === '' ? Finding::stop('over_wire', $said) : Finding::stop('over_wire', $said + ['last' => $last], 'over_wire_by');
        } elseif ($isWhole && Limit::over($high, (float) $usable)) {
            foreach ($in->items('items') as $item) {
                if ($item->text('kind') === 'unit' && ! $item->given('largest')) {
                    $found[] = Finding::open("need_motor:{$item->text('name')}", ['name' => $item->text('name')]);
                }
            }
        }
        $running = $loads->runs();
        if ($breaker !== null && Limit::over($running, $breaker)) {
            $found[] = Finding::stop('over_breaker', ['amps' => Said::amps($running, $breaker), 'breaker' => Said::amps($breaker)]);
        } elseif ($isWhole && Limit::over($high, (float) $breaker)) {
            $found[] = Finding::watch('breaker_near', ['demand' => Said::amps($high, $breaker), 'breaker' => Said::amps((float) $breaker)]);
        }

        return $isWhole ? [...$found, ...self::protects($in, $loads, $values), ...self::even($in, $loads, $values)] : $found;
    }

    /**
     * Whether the breaker protects the wire: the next standard size over it, or the largest branch device and the rest.
     *
     * @param array<string, Value> $values
     * @return list<Finding>
     */
    private static function protects(Input $in, FeederLoads $loads, array &$values): array
    {
        $usable = $in->number('usable');
        $next = StandardSizes::notUnder($usable);
        $least = $next === null || $next > self::LARGEST_SIZE ? $usable : (float) $next;
        if (! Limit::over($in->number('breaker'), $least)) {
            return [];
        }
        if (array_filter($in->items('items'), fn (Input $item): bool => ! $item->given('mocp')) !== []) {
            return [Finding::watch('breaker_not_proved', ['breaker' => Said::amps($in->number('breaker')), 'usable' => Said::amps($usable)])];
        }
        $most = $loads->breakerMost();
        $values['breaker_most'] = Value::of($most, 'A');

        return Limit::over($in->number('breaker'), $most) ? [Finding::stop('breaker_over_wire', ['breaker' => Said::amps($in->number('breaker')), 'most' => Said::amps($most)])] : [];
    }

    /**
     * @param array<string, Value> $values
     * @return list<Finding>
     */
    private static function even(Input $in, FeederLoads $loads, array &$values): array
    {
        $hasSingle = array_filter($in->items('items'), fn (Input $item): bool => FeederLoads::phases($in, $item) === 1) !== [];
        if ($in->int('phases') !== 3 || ! $hasSingle) {
            return [];
        }
        $unbalance = $loads->unbalance();
        $values['unbalance'] = Value::of($unbalance, '%');

        return Limit::over($unbalance, self::UNEVEN) ? [Finding::watch('legs_uneven', ['unbalance' => Said::percent($unbalance)])] : [];
    }

    /** @return list<Finding> who is turned with a swap */
    private static function turned(Input $in): array
    {
        if (! $in->given('swap_at') || $in->text('swap_side') !== 'line' || $in->int('phases') !== 3) {
            return [];
        }
        $items = $in->items('items');
        $isAll = $in->text('swap_at') === 'feeder';
        $found = [];
        foreach ($items as $item) {
            $isBehind = $isAll;
            for ($at = self::above($items, $item); $at !== null && ! $isBehind; $at = self::above($items, $at)) {
                $isBehind = $at->text('name') === $in->text('swap_at');
            }
            if ($isBehind && $item->text('name') !== $in->text('swap_at') && FeederLoads::phases($in, $item) === 3) {
                $found[] = Finding::watch("affects:{$item->text('name')}", ['name' => $item->text('name')] + ($isAll ? [] : ['at' => $in->text('swap_at')]), $isAll ? 'affects_all' : 'affects');
            }
        }

        return $found;
    }

    /** The one that came last by its date, the first of several. */
    private static function lastAdded(Input $in): string
    {
        $last = null;
        foreach ($in->items('items') as $item) {
            $day = $item->parsed('on_since');
            if ($day instanceof Day && ($last === null || $day->isAfter($last[0]))) {
                $last = [$day, $item->text('name')];
            }
        }

        return $last[1] ?? '';
    }
}
