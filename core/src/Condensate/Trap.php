<?php

declare(strict_types=1);

namespace IronStart\Core\Condensate;

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
use IronStart\Core\Verdict\Scene;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Value;

/**
 * Whether the pan drains with the blower on: drop and seal of its trap against the static at the pan.
 *
 * Under suction (negative) the drop must be its water column and an inch, the seal half of it and half an inch; under
 * pressure the seal must hold it and half an inch. A vent before the trap is open to the suction; under pressure it must
 * stand higher than the pressure lifts water.
 */
final class Trap implements Check, Draws
{
    /** in. w.c. as inches of water, so the same in inches. */
    private const DRAW_DROP = 1.0;
    private const DRAW_SEAL = 0.5;
    private const BLOW_DROP = 0.5;
    private const BLOW_SEAL = 0.5;
    /** %, 1/8 in a foot. */
    private const SLOPE = 100 / 96;
    private const INCH = 0.0254;

    public function id(): string
    {
        return 'condensate.trap';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $hasTrap = fn (Input $in): bool => $in->flag('trap');
        $length = fn (string $name): Field => Field::length($name)->takesFractions()->startsIn('in');

        return [
            Field::quantity('static_at_pan', Kind::SmallPressure, 'inH2O')->needed()->fromSheet('air.trap.static_at_pan', asStart: true),
            Field::flag('trap')->default(true),
            $length('drop_to_outlet')->neededWhen($hasTrap),
            $length('seal')->neededWhen($hasTrap),
            Field::flag('primed')->neededWhen($hasTrap),
            Field::group('vent', Field::word('position', 'before', 'after')->needed(), $length('height_above_pan')->neededWhen(fn (Input $in): bool => $in->text('position') === 'before')),
            Field::percent('slope', 0),
            Field::group('drained', Field::flag('ran_off')->needed(), Field::flag('blower_on')->needed(), Field::flag('seen_at_end')->needed()),
            Field::word('arrangement', 'draw_through', 'blow_through'),
        ];
    }

    public function contradictions(Input $in): iterable
    {
        if (! $in->all('static_at_pan', 'arrangement')) {
            return;
        }
        $draws = $in->text('arrangement') === 'draw_through';
        if ($draws ? $in->number('static_at_pan') >= 0 : $in->number('static_at_pan') <= 0) {
            yield new InputError(
                'static_at_pan',
                $in->number('static_at_pan'),
                $draws ? 'a suction, below 0' : 'a pressure, above 0',
                $draws ? 'static_at_pan: a draw-through pan is under suction, so this reads below zero. Blower on, hose on the other port?' : 'static_at_pan: a blow-through pan is under pressure, so this reads above zero. Blower on, hose on the other port?',
            );
        }
    }

    public function judge(Input $in): Judgement
    {
        $values = $findings = [];
        $static = $in->in('static_at_pan', 'inH2O');
        $unsigned = $static !== null && $static >= 0 && ! $in->given('arrangement');
        if ($static !== null && ! $unsigned) {
            $findings = self::figures($in, $static, $values);
        }
        if ($in->flag('trap') && $in->given('primed') && ! $in->flag('primed')) {
            $findings[] = Finding::stop('not_primed');
        }
        $slope = $in->maybe('slope');
        if ($slope !== null && Limit::under($slope, self::SLOPE)) {
            $findings[] = Finding::watch('slope_low', ['slope' => Said::percent($slope, self::SLOPE), 'limit' => Said::percent(self::SLOPE)]);
        }
        $missing = Missing::in($in);
        $drained = self::drained($in);
        $findings = [...$findings, ...$drained, ...$missing, ...($unsigned ? [Missing::at('arrangement')] : [])];
        if (Judgement::worst($findings) === Status::Clear && isset($values['drop_needed'])) {
            array_unshift($findings, Finding::note('deep_enough', ['drop' => Said::small($in->number('drop_to_outlet')), 'seal' => Said::small($in->number('seal')), 'static' => Said::air($in->number('static_at_pan'))]));
        }
        if (! $in->given('drained')) {
            $findings[] = Finding::note('pour');
        }

        return new Judgement($findings, $values, false, [], [Finding::note('basis')]);
    }

    public static function drawing(Input $in, array $values): array
    {
        $drop = $in->maybe('drop_to_outlet');
        $seal = $in->maybe('seal');
        if ($drop === null || $seal === null || ! $in->flag('trap')) {
            return [];
        }
        $inch = self::INCH;
        $needed = fn (string $name): ?float => isset($values[$name]) ? (float) $values[$name]->value * $inch : null;
        $is = fn (?float $need, float $there): string => $need !== null && Limit::under($there / $inch, $need / $inch) ? 'stop' : 'plain';
        $wide = max(4 * $inch, 0.6 * ($drop + $seal));
        $foot = -$drop - $seal;
        $scene = Scene::section(true)
            ->box('pan', -1.6 * $wide, -0.5 * $inch, 1.6 * $wide, 1.5 * $inch, 'pan', 'over', 'above')
            ->body('pipe', [[0, 0], [0.4 * $wide, 0], [0.4 * $wide, $foot], [$wide, $foot], [$wide, -$drop], [2 * $wide, -$drop]], '', 'pipe', false);
        $pull = ($in->in('static_at_pan', 'inH2O') ?? 0.0) * $inch;
        $isPrimed = $in->flag('primed');
        if ($isPrimed) {
            // The blower lifts the water on the pan's side by half its suction and lowers it by half on the other.
            $level = -$drop - max(0.0, -$pull / 2);
            $scene->body('water', [[0.4 * $wide, max($foot, min(0.0, $level - $pull))], [0.4 * $wide, $foot], [$wide, $foot], [$wide, max($foot, $level)]], '', 'water', false);
        }

        return $scene
            ->dim([2 * $wide, 0], [2 * $wide, -$drop], 0.0, $drop, 'drop_to_outlet', $is($needed('drop_needed'), $drop))
            ->dim([1.5 * $wide, -$drop], [1.5 * $wide, $foot], 0.0, $seal, 'seal', $is($needed('seal_needed'), $seal))
            ->handle('', [1.75 * $wide, -$drop], '', '-drop_to_outlet')
            ->handle('', [0.7 * $wide, $foot], '', '-seal')
            ->drawing();
    }

    /**
     * @param float $static in. w.c., below zero under suction
     * @param array<string, Value> $values gets what is needed
     * @return list<Finding>
     */
    private static function figures(Input $in, float $static, array &$values): array
    {
        $draws = $static < 0;
        $needed = $draws
            ? ['drop' => -$static + self::DRAW_DROP, 'seal' => -$static / 2 + self::DRAW_SEAL]
            : ['drop' => self::BLOW_DROP, 'seal' => $static + self::BLOW_SEAL];
        $values = ['drop_needed' => Value::of($needed['drop'], 'in'), 'seal_needed' => Value::of($needed['seal'], 'in')];
        if (! $in->flag('trap')) {
            return [$draws ? Finding::stop('no_trap', ['static' => Said::air($in->number('static_at_pan'))]) : Finding::watch('no_trap', [], 'no_trap_blow')];
        }
        $findings = [];
        foreach (['drop_to_outlet' => 'drop', 'seal' => 'seal'] as $field => $name) {
            $there = $in->in($field, 'in');
            if ($there !== null && Limit::under($there, $needed[$name])) {
                $findings[] = Finding::stop("{$name}_short", ['there' => Said::small($in->number($field), $needed[$name] * self::INCH), 'needed' => Said::small($needed[$name] * self::INCH), 'static' => Said::air($in->number('static_at_pan'))]);
            }
        }
        $vent = $in->group('vent');
        if ($vent?->text('position') === 'before') {
            $height = $vent->in('height_above_pan', 'in');
            if ($draws) {
                $findings[] = Finding::stop('vent_before_trap');
            } elseif ($height !== null && ! Limit::over($height, $static)) {
                $findings[] = Finding::stop('vent_too_low', ['height' => Said::small($vent->number('height_above_pan')), 'lift' => Said::small($static * self::INCH)]);
            }
        }

        return $findings;
    }

    /** @return list<Finding> */
    private static function drained(Input $in): array
    {
        $drained = $in->group('drained');
        if ($drained === null) {
            return [];
        }
        $isNo = fn (string $name): bool => $drained->given($name) && ! $drained->flag($name);
        $findings = [
            ...($isNo('ran_off') ? [Finding::stop('did_not_drain')] : []),
            ...($isNo('blower_on') ? [Finding::watch('drained_blower_off')] : []),
            ...($isNo('seen_at_end') ? [Finding::watch('end_not_seen')] : []),
        ];

        return $findings === [] && $drained->all('ran_off', 'blower_on', 'seen_at_end') ? [Finding::clear('drained')] : $findings;
    }
}
