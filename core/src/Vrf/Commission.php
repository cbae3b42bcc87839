<?php

declare(strict_types=1);

namespace IronStart\Core\Vrf;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\DrawsOnRecord;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\Past;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Units;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Value;

/**
 * The sheet's own commissioning script, step by step: who is missing before it starts, what the display should show now
 * and for how long, a fault wherever the script lists it, and at its end who holds the mode and whether the owner knows.
 *
 * Source: the script is the sheet's; codes are compared without case and named as the script spells them.
 */
final class Commission implements Check, DrawsOnRecord
{
    public function id(): string
    {
        return 'vrf.commission';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $isUnderWay = fn (Input $in): bool => $in->given('step');

        return [
            Field::items(
                'script',
                Field::text('code', 20)->structural()->fromSheet('code'),
                Field::text('meaning')->fromSheet('meaning'),
                Field::minutes('wait')->default('0 min')->fromSheet('wait'),
                Field::texts('needs')->fromSheet('needs'),
                Field::text('passes_when', 20)->structural()->fromSheet('passes_when'),
                Field::items('on_fault', Field::text('code', 20)->structural()->fromSheet('code'), Field::text('meaning')->fromSheet('meaning'), Field::text('look_at')->fromSheet('look_at'))->fromSheet('on_fault'),
            )->fromSheet('vrf.script')->needed(),
            Field::items('indoor', Field::text('id', 20)->structural(), Field::flag('ready')->needed())->needed(),
            Field::count('step'),
            Field::text('shown', 20)->neededWhen($isUnderWay),
            Field::minutes('minutes_in_step')->neededWhen($isUnderWay),
            Field::texts('needs_done'),
            Field::text('mode_holder', 60),
            Field::flag('owner_told'),
        ];
    }

    /** Who reported and what was done goes on from step to step; who there is, the tree knows. */
    public static function bringsIn(Past $past, string $subject): array
    {
        $last = $past->last('vrf.commission', $subject)['input'] ?? [];
        $indoor = array_map(fn (string $id): array => ['id' => $id], AsDrawn::indoor($past));

        return array_intersect_key($last, ['indoor' => 1, 'needs_done' => 1, 'mode_holder' => 1]) + ($indoor === [] ? [] : ['indoor' => $indoor]);
    }

    public function contradictions(Input $in): iterable
    {
        $seen = [];
        foreach ($in->items('indoor') as $i => $unit) {
            if (isset($seen[$unit->text('id')])) {
                yield InputError::at("indoor.$i.id", $unit->text('id'), 'a name that is not used twice', 'is used twice');
            }
            $seen[$unit->text('id')] = true;
        }
        $steps = count($in->items('script'));
        if ($steps > 0 && $in->given('step') && $in->int('step') >= $steps) {
            yield new InputError('step', $in->int('step'), 'a step of the script, from 0 to ' . ($steps - 1), 'step: the script has no such step. Enter one from 0 to ' . ($steps - 1) . '.');
        }
    }

    public function judge(Input $in): Judgement
    {
        if ($in->missing !== []) {
            return self::judgement(Missing::in($in));
        }
        $away = array_values(array_filter($in->items('indoor'), fn (Input $unit): bool => ! $unit->flag('ready')));
        if ($away !== []) {
            return self::judgement(array_map(fn (Input $unit): Finding => Finding::stop("not_ready:{$unit->text('id')}", ['id' => $unit->text('id')]), $away));
        }
        $script = $in->items('script');
        $step = $script[$in->given('step') ? $in->int('step') : 0];
        $owed = self::owed($step, $in->words('needs_done'));
        if (! $in->given('step')) {
            $fault = self::is($in->text('shown'), $step->text('code')) ? null : self::fault($script, $in->text('shown'));

            return self::judgement(match (true) {
                $fault !== null => [$fault, ...$owed],
                $owed !== [] => $owed,
                default => [Finding::clear('may_start', ['code' => $step->text('code')])],
            });
        }
        $values = [];
        $found = self::underWay($in, $script, $step, $values);

        return self::judgement([...$found, ...$owed], $values);
    }

    /**
     * @param list<Input>          $script
     * @param array<string, Value> $values gets the time there is left, or over
     * @return list<Finding>
     */
    private static function underWay(Input $in, array $script, Input $step, array &$values): array
    {
        $shown = $in->text('shown');
        $fault = self::fault([$step], $shown);
        if ($fault !== null) {
            return [$fault];
        }
        if (self::is($shown, $step->text('passes_when'))) {
            return [Finding::clear('passed', ['code' => $step->text('code')]), ...(($in->int('step')) === count($script) - 1 ? self::done($in) : [])];
        }
        if (self::is($shown, $step->text('code'))) {
            $left = $step->minutes('wait') - $in->minutes('minutes_in_step');
            $said = ['code' => $step->text('code'), 'meaning' => self::orNone($step->text('meaning')), 'passes' => $step->text('passes_when')];
            if (Limit::over(-$left, 0.0)) {
                $values['overdue'] = Value::of(-$left, 'min');

                return [Finding::watch('overdue', $said + ['late' => Said::duration(self::seconds(-$left))])];
            }
            $values['time_left'] = Value::of(max(0.0, $left), 'min');

            return [Finding::open('running', $said + ['left' => Said::duration(self::seconds(max(0.0, $left)))])];
        }

        return [self::fault($script, $shown) ?? Finding::watch('unknown_code', ['shown' => $shown, 'code' => $step->text('code'), 'passes' => $step->text('passes_when')])];
    }

    /** @return list<Finding> who holds the mode, and whether the owner knows */
    private static function done(Input $in): array
    {
        return [
            Finding::clear('script_done'),
            ...($in->given('mode_holder') ? [] : [Missing::at('mode_holder')]),
            ...($in->given('owner_told') ? ($in->flag('owner_told') ? [] : [Finding::watch('owner_not_told')]) : [Missing::at('owner_told')]),
        ];
    }

    /** @param list<Input> $steps */
    private static function fault(array $steps, string $shown): ?Finding
    {
        foreach ($steps as $step) {
            foreach ($step->items('on_fault') as $fault) {
                if ($shown !== '' && self::is($shown, $fault->text('code'))) {
                    $told = ['code' => $fault->text('code'), 'meaning' => self::orNone($fault->text('meaning'))];

                    return $fault->given('look_at') ? Finding::stop("fault:{$fault->text('code')}", $told + ['look_at' => $fault->text('look_at')]) : Finding::stop("fault:{$fault->text('code')}", $told, 'fault_unknown');
                }
            }
        }

        return null;
    }

    /**
     * @param list<string> $done
     * @return list<Finding> what the step needs and nobody has done
     */
    private static function owed(Input $step, array $done): array
    {
        $owed = array_filter($step->words('needs'), fn (string $need): bool => array_filter($done, fn (string $one): bool => self::is($need, $one)) === []);

        return array_values(array_map(fn (string $need): Finding => Finding::open("needs:$need", ['need' => $need]), $owed));
    }

    private static function is(string $one, string $other): bool
    {
        return mb_strtolower(trim($one)) === mb_strtolower(trim($other));
    }

    private static function orNone(string $meaning): string
    {
        return $meaning === '' ? 'none' : $meaning;
    }

    private static function seconds(float $minutes): float
    {
        return Units::toCanonical($minutes, 'min', Kind::Time);
    }

    /**
     * @param list<Finding>        $findings
     * @param array<string, Value> $values
     */
    private static function judgement(array $findings, array $values = []): Judgement
    {
        return new Judgement($findings, $values, false, ['never_run_in_vacuum', 'freed_leads', 'remote_start'], [Finding::note('basis')]);
    }
}
