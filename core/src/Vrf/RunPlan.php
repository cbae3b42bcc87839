<?php

declare(strict_types=1);

namespace IronStart\Core\Vrf;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\DrawsOnRecord;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Instrument;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\Past;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Units;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Value;

/**
 * The order that finds crossed lines: every indoor unit alone, then every box whole, then one more at a time until all
 * run. Passed with less than 8 °F between return and supply is asked again.
 *
 * Source: house practice; 8 °F is the smallest change of a coil that works.
 */
final class RunPlan implements Check, DrawsOnRecord
{
    /** °F between return and supply air under which nothing changed. */
    private const CHANGE = 8.0;
    private const KELVIN = 1.8;

    public function id(): string
    {
        return 'vrf.run_plan';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        return [
            Field::items('boxes', Field::text('id', 20)->structural(), Field::texts('indoor', 20)->needed())->needed(),
            Field::minutes('minutes_each')->default('10 min'),
            Field::items(
                'results',
                Field::text('step', 60)->structural(),
                Field::flag('passed')->needed(),
                ...array_map(fn (string $air): Field => Field::temperature($air, -60, 150)->readWith(Instrument::Thermometer), ['return_air', 'supply_air']),
                ...array_map(fn (string $pipe): Field => Field::temperature($pipe, -60, 150)->readWith(Instrument::PipeClamp), ['liquid_pipe', 'gas_pipe']),
            ),
        ];
    }

    public static function bringsIn(Past $past, string $subject): array
    {
        $boxes = AsDrawn::boxes($past);

        return $past->stillOpen('vrf.run_plan', $subject, ['boxes', 'minutes_each', 'results']) + ($boxes === [] ? [] : ['boxes' => $boxes]);
    }

    public function contradictions(Input $in): iterable
    {
        $seen = $boxes = [];
        foreach ($in->items('boxes') as $i => $box) {
            if (isset($boxes[$box->text('id')])) {
                yield InputError::at("boxes.$i.id", $box->text('id'), 'a name that is not used twice', 'is used twice');
            }
            $boxes[$box->text('id')] = true;
            foreach ($box->words('indoor') as $j => $unit) {
                if (isset($seen[$unit])) {
                    yield new InputError("boxes.$i.indoor.$j", $unit, 'a unit that stands on one box only', "boxes.$i.indoor.$j: $unit stands on two boxes. Leave it on its own.");
                }
                $seen[$unit] = true;
            }
        }
        $steps = self::steps($in);
        foreach ($steps === [] ? [] : $in->items('results') as $i => $result) {
            if (! in_array($result->text('step'), $steps, true)) {
                yield new InputError("results.$i.step", $result->text('step'), implode(', ', $steps), "results.$i.step: the plan has no step {$result->text('step')}. Enter: " . implode(', ', $steps) . '.');
            }
        }
    }

    public function judge(Input $in): Judgement
    {
        $basis = [Finding::note('basis')];
        if ($in->missing !== []) {
            return new Judgement(Missing::in($in), basis: $basis);
        }
        $steps = self::steps($in);
        $results = [];
        foreach ($in->items('results') as $result) {
            $results[$result->text('step')] = $result;
        }
        $findings = [];
        foreach ($steps as $step) {
            $result = $results[$step] ?? null;
            $change = $result !== null && $result->all('return_air', 'supply_air') ? abs($result->number('return_air') - $result->number('supply_air')) : null;
            if ($result !== null && ! $result->flag('passed')) {
                $findings[] = Finding::stop("failed:$step", self::said($step));
            } elseif ($change !== null && Limit::under(self::KELVIN * $change, self::CHANGE)) {
                $findings[] = Finding::open("no_change:$step", self::said($step) + ['change' => Said::temperatureDifference($change, self::CHANGE / self::KELVIN)]);
            }
        }
        $next = array_values(array_filter($steps, fn (string $step): bool => ! isset($results[$step])))[0] ?? null;
        if ($next !== null) {
            $findings[] = Finding::open("next:$next", self::said($next) + ['minutes' => Said::duration($in->number('minutes_each'))]);
        }
        if (Judgement::worst($findings) === Status::Clear) {
            $findings[] = Finding::note('all_passed', ['count' => count($steps)]);
        }
        $each = Units::fromCanonical($in->number('minutes_each'), 'min', Kind::Time);

        return new Judgement($findings, [
            'steps' => Value::of(count($steps), '1'), 'done' => Value::of(count($results), '1'),
            'total_time' => Value::of(count($steps) * $each, 'min'), 'remaining_time' => Value::of((count($steps) - count($results)) * $each, 'min'),
        ], basis: $basis);
    }

    /** @return list<string> `alone:` each indoor unit, `box:` each box of two or more, `all:` two to all of them */
    public static function steps(Input $in): array
    {
        $boxes = $in->items('boxes');
        $indoor = array_merge([], ...array_map(fn (Input $box): array => $box->words('indoor'), $boxes));
        $whole = array_filter($boxes, fn (Input $box): bool => count($box->words('indoor')) > 1);

        return [
            ...array_map(fn (string $unit): string => "alone:$unit", $indoor),
            ...array_values(array_map(fn (Input $box): string => "box:{$box->text('id')}", $whole)),
            ...array_map(fn (int $count): string => "all:$count", count($indoor) > 1 ? range(2, count($indoor)) : []),
        ];
    }

    /** @return array{kind: string, of: string} */
    private static function said(string $step): array
    {
        [$kind, $of] = explode(':', $step, 2);

        return ['kind' => $kind, 'of' => $of];
    }
}
