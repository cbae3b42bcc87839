<?php

declare(strict_types=1);

namespace IronStart\Core\Vrf;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Draws;
use IronStart\Core\Check\DrawsOnRecord;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\Past;
use IronStart\Core\Run\Warmth;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Value;

/**
 * When a system's compressors may start: the hours of heat its sheet asks for by the coldest of the last day, not by what
 * it is now, and for a start that is wanted the latest moment to switch the power on.
 *
 * Source: the sheet's own table; power that was gone for more than half an hour takes its length off again.
 */
final class WarmUp implements Check, Draws, DrawsOnRecord
{
    public function id(): string
    {
        return 'vrf.warm_up';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        [$now, $since, $table, $outages, $strict, $wanted] = Warmth::fields('vrf.warm_up');

        return [Field::temperature('coldest_24h', -60, 60)->readWith(null)->needed(), $now, $since, $table->needed(), $outages, $strict, $wanted];
    }

    public static function bringsIn(Past $past, string $subject): array
    {
        return Warmth::brought($past, 'vrf.warm_up');
    }

    public function contradictions(Input $in): iterable
    {
        yield from Warmth::errors($in);
    }

    public static function drawing(Input $in, array $values): array
    {
        return Warmth::drawn($values);
    }

    public function judge(Input $in): Judgement
    {
        $basis = [Finding::note('basis')];
        $now = $in->moment('now');
        if ($in->missing !== [] || $now === null) {
            return new Judgement(Missing::in($in), cautions: ['hot_surfaces', 'qualified_electrical'], basis: $basis);
        }
        $needed = Warmth::ofTable($in);
        [$credit, $on] = Warmth::credit($in, $needed);
        $remaining = max(0.0, $needed - $credit);
        $values = ['hours_needed' => Value::of($needed, 'h'), 'hours_credited' => Value::of($credit, 'h'), 'remaining' => Value::of($remaining, 'h')];
        $findings = [
            ...($on === null ? [Finding::open('not_powered')] : []),
            ...Warmth::held($now, $remaining, $on !== null),
            ...Warmth::wanted($in, $now, $needed, $remaining, $values),
        ];
        if ($on !== null) {
            $values['earliest_start'] = Value::text($now->after(3600 * $remaining)->toTheMinute());
        }
        if (Judgement::worst($findings) === Status::Clear) {
            $findings[] = $needed > 0.0 ? Finding::note('warm', ['hours' => Said::duration(3600 * $needed)]) : Finding::note('none_needed');
        }

        return new Judgement($findings, $values, false, ['hot_surfaces', 'qualified_electrical'], $basis, sets: Warmth::clock($values));
    }
}
