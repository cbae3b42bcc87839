<?php

declare(strict_types=1);

namespace IronStart\Core\Power;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\DrawsOnRecord;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\Past;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Value;

/**
 * Whether each motor is set for this supply: plug, lead or jumper against what feeds it.
 *
 * Limits: motors stand their plate ±10 % (motor standard); over 1.2 or under 0.8 times is another supply class; a tap that
 * is no less than 3 % of the supply nearer is worth the two minutes with the lock on.
 */
final class MotorTap implements Check, DrawsOnRecord
{
    private const WRONG_CLASS = [0.8, 1.2];
    private const WORTH = 0.03;
    private const METER = 0.01;
    private const VOLTS = [24, 1000];

    public function id(): string
    {
        return 'power.motor_tap';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        return [
            Field::volts('supply_average')->positive()->neededWhen(fn (Input $in): bool => array_filter($in->items('items'), fn (Input $item): bool => ! $item->given('volts')) !== []),
            Field::percent('tolerance', 1, 20)->default(10.0),
            Field::items(
                'items',
                Field::text('name')->structural()->fromSheet('name'),
                Field::number('tap', ...self::VOLTS)->neededWhen(fn (Input $item): bool => ! $item->given('wired_for')),
                Field::word('wired_for', 'low', 'high'),
                Field::numbers('taps', ...self::VOLTS)->fromSheet('taps')->neededWhen(fn (Input $item): bool => $item->given('wired_for')),
                Field::number('range_end', ...self::VOLTS),
                Field::volts('volts')->positive(),
                Field::flag('capped'),
            )->uniqueBy('name')->needed()->fromSheet('motor_taps'),
        ];
    }

    public static function bringsIn(Past $past, string $subject): array
    {
        $average = $past->standingAverage();

        return $average === null ? [] : ['supply_average' => ['value' => $average, 'unit' => 'V']];
    }

    public function contradictions(Input $in): iterable
    {
        foreach ($in->items('items') as $i => $item) {
            if ($item->given('tap') && $item->given('wired_for')) {
                yield InputError::at("items.$i.wired_for", $item->text('wired_for'), 'a tap, or how it is wired', 'stands beside a tap');
            }
            $taps = $item->numbers('taps');
            foreach ($taps as $k => $tap) {
                if (in_array($tap, array_slice($taps, 0, $k), true)) {
                    yield InputError::at("items.$i.taps.$k", $tap, 'each once', 'is there twice');
                }
            }
            if ($item->given('tap') && $taps !== [] && ! in_array($item->number('tap'), $taps, true)) {
                yield InputError::at("items.$i.tap", $item->number('tap'), implode(', ', $taps), 'is none of its taps');
            }
        }
    }

    public function judge(Input $in): Judgement
    {
        $values = [];
        $findings = Missing::in($in);
        $of = fn (float $share): array => array_merge([], ...array_map(fn (Input $item): array => self::found($in, $item, $share), $in->items('items')));
        foreach ($in->items('items') as $i => $item) {
            [$volts, $set] = [self::volts($in, $item, 1.0), self::set($item)];
            if ($volts !== null && $set !== null) {
                $values["items.$i.ratio"] = Value::of($volts / self::near($item, $set, $volts), '1');
            }
            if ($volts !== null && $item->numbers('taps') !== []) {
                $values["items.$i.nearest"] = Value::of(self::nearest($item, $volts), 'V');
            }
        }
        $findings = [...$findings, ...$of(1.0)];
        $status = Judgement::worst($findings);
        $isMarginal = false;
        foreach ([1 + self::METER, 1 - self::METER] as $share) {
            $isMarginal = $isMarginal || Judgement::worst([...Missing::in($in), ...$of($share)]) !== $status;
        }
        if ($status === Status::Clear) {
            $findings = [Finding::note('set', ['count' => count($in->items('items'))])];
        }

        return new Judgement($findings, $values, $isMarginal, ['lockout', 'stored_energy', 'live_rotation_swap'], [Finding::note('basis')]);
    }

    /** @return list<Finding> */
    private static function found(Input $in, Input $item, float $share): array
    {
        $name = $item->text('name');
        $bare = $item->given('capped') && ! $item->flag('capped') ? [Finding::stop("bare_lead:$name", ['name' => $name])] : [];
        [$volts, $set] = [self::volts($in, $item, $share), self::set($item)];
        if ($volts === null || $set === null) {
            return $bare;
        }
        $at = self::near($item, $set, $volts);
        $nearest = $item->numbers('taps') === [] ? null : self::nearest($item, $volts);
        $ratio = $volts / $at;
        $said = ['name' => $name, 'set' => Said::volts($at), 'volts' => Said::volts($volts)];
        $nearer = $nearest === null || $nearest === $set ? $at : $nearest;

        return [...match (true) {
            Limit::over($ratio, self::WRONG_CLASS[1]), Limit::under($ratio, self::WRONG_CLASS[0]) => [Finding::stop("wrong_class:$name", $said)],
            Limit::over(abs($ratio - 1), $in->number('tolerance') / 100) => [$nearest !== null && $nearest === $set ? Finding::stop("no_tap_fits:$name", $said) : Finding::stop("wrong_tap:$name", $said)],
            ! Limit::under(abs($volts - $at) - abs($volts - $nearer), self::WORTH * $volts) => [Finding::watch("nearer_tap:$name", $said + ['nearest' => Said::volts($nearer)])],
            default => [],
        }, ...$bare];
    }

    private static function volts(Input $in, Input $item, float $share): ?float
    {
        $volts = $item->maybe('volts') ?? $in->maybe('supply_average');

        return $volts === null ? null : $volts * $share;
    }

    /** The tap it is set for; null where nobody said. */
    private static function set(Input $item): ?float
    {
        if ($item->given('tap')) {
            return $item->number('tap');
        }
        $taps = $item->numbers('taps');

        return $taps === [] || ! $item->given('wired_for') ? null : ($item->text('wired_for') === 'low' ? min($taps) : max($taps));
    }

    /** Of a connection that has a range, the volts of it nearest to the supply. */
    private static function near(Input $item, float $set, float $volts): float
    {
        $end = $item->maybe('range_end') ?? $set;

        return min(max($set, $end), max(min($set, $end), $volts));
    }

    private static function nearest(Input $item, float $volts): float
    {
        $set = self::set($item);
        $taps = $item->numbers('taps');
        sort($taps);
        $off = fn (float $tap): float => abs($volts / ($tap === $set ? self::near($item, $tap, $volts) : $tap) - 1);
        $best = $taps[0];
        foreach ($taps as $tap) {
            $best = $off($tap) < $off($best) ? $tap : $best;
        }

        return $best;
    }
}
