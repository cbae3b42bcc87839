<?php

declare(strict_types=1);

namespace IronStart\Core\Survey;

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
 * Whether a piece can be brought there by hand: doors, corners, elevators, stairs, ladders, hatches, rails, one after
 * the other, each in the best way of holding the piece.
 *
 * Round a corner between widths w1 and w2 a piece of length ℓ and width b passes when ℓ is at most the least of
 * w1/sin θ + w2/cos θ − 2b/sin 2θ; what fits both corridors square needs no turn. Weights by hand: 23 kg one person,
 * 45 kg two, 10 kg up a ladder; a person in the elevator counts 80 kg.
 */
final class Route implements Check, Draws
{
    private const MEASURES = [
        'door' => ['width', 'height'],
        'corridor_turn' => ['width_in', 'width_out', 'height'],
        'lift_car' => ['door_width', 'door_height', 'depth', 'width', 'height', 'capacity'],
        'stair' => ['width', 'headroom'],
        'ladder' => [],
        'hatch' => ['length', 'width'],
        'rail' => [],
    ];
    /** Members a kind may have beside those it needs. */
    private const MAY = ['stair' => ['turns'], 'ladder' => ['width'], 'rail' => ['height']];
    private const LENGTHS = ['width', 'height', 'width_in', 'width_out', 'door_width', 'door_height', 'depth', 'headroom', 'length'];
    /** Where the piece rolls. */
    private const ROLLS = ['door', 'corridor_turn', 'lift_car'];
    /** kg */
    private const ONE_PERSON = 23.0;
    private const TWO_PEOPLE = 45.0;
    private const LADDER = 10.0;
    private const PERSON = 80.0;
    /** m, the tape's reading. */
    private const TAPE = 0.00635;

    public function id(): string
    {
        return 'survey.route';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $length = fn (string $name): Field => Field::length($name)->startsIn('in')->takesFractions();
        $step = fn (string $name): Field => (in_array($name, self::LENGTHS, true) ? $length($name) : Field::mass($name)->readWith(null)->positive())
            ->neededWhen(fn (Input $in): bool => in_array($name, self::MEASURES[$in->text('kind')] ?? [], true));

        return [
            Field::group(
                'item',
                $length('length')->needed(),
                $length('width')->needed(),
                $length('height')->needed(),
                Field::mass('weight')->readWith(null)->needed(),
                Field::flag('keep_upright')->default(true),
                Field::quantity('max_tilt', Kind::Angle, 'deg', 0, 90)->default('90 deg'),
            )->needed(),
            Field::items(
                'steps',
                Field::text('name'),
                Field::word('kind', ...array_keys(self::MEASURES))->structural(),
                ...array_map($step, [...self::LENGTHS, 'capacity']),
                ...[Field::count('turns', 0, 100)->default(0)],
            )->needed(),
            $length('clearance')->default('1 in'),
            Field::mass('trolley_weight')->readWith(null)->default('0 kg'),
            Field::length('trolley_height', 'm', 0, 2)->startsIn('in')->takesFractions()->default('0 m'),
            Field::count('people', 1, 20)->default(2),
        ];
    }

    public function contradictions(Input $in): iterable
    {
        foreach ($in->items('steps') as $i => $step) {
            $kind = $step->text('kind');
            $has = [...(self::MEASURES[$kind] ?? []), ...(self::MAY[$kind] ?? [])];
            foreach ($kind === '' ? [] : [...self::LENGTHS, 'capacity', 'turns'] as $name) {
                if ($step->given($name) && ! in_array($name, $has, true)) {
                    yield InputError::unknown("steps.$i.$name", null, implode(', ', ['kind', 'name', ...$has]));
                }
            }
        }
    }

    public function judge(Input $in): Judgement
    {
        $cautions = ['manual_handling', 'drilling_blind', 'asbestos', 'confined_space', 'ladder', 'attic', 'insects', 'working_alone'];
        $basis = [Finding::note('basis', ['clearance' => Said::small($in->number('clearance'))])];
        if ($in->missing !== []) {
            return new Judgement(Missing::in($in), cautions: $cautions, basis: $basis);
        }
        $item = $in->group('item') ?? throw new \LogicException('No item.');
        $weight = $item->number('weight');
        $slacks = self::slacks($in);
        $findings = $values = [];
        $least = $failing = null;
        foreach ($in->items('steps') as $i => $step) {
            $found = [];
            $slack = $slacks[$i];
            $about = self::nameOf($step, $i);
            if ($slack !== null) {
                $values["steps.$i.slack"] = Value::small($slack);
                $least = $least === null || $slack < $slacks[$least] ? $i : $least;
                if (Limit::under($slack, 0.0)) {
                    $found[] = Finding::stop("step_fails:$i", $about + ['short' => Said::small(-$slack)]);
                }
            }
            $found = [...$found, ...self::load($in, $step, $i, $weight, $values)];
            $failing ??= $found === [] ? null : $i;
            $findings = [...$findings, ...$found];
        }
        $deciding = $failing ?? $least;
        if ($deciding !== null) {
            $values['deciding_step'] = Value::of($deciding, '');
        }
        if ($failing === null && $least !== null) {
            $findings[] = Finding::note('passes', self::nameOf($in->items('steps')[$least], $least) + ['slack' => Said::small((float) $slacks[$least])]);
        }
        $findings[] = match (true) {
            ! Limit::over($weight, self::ONE_PERSON) => Finding::clear('people_one', ['weight' => Said::weight($weight, self::ONE_PERSON)]),
            ! Limit::over($weight, self::TWO_PEOPLE) => Finding::clear('people_two', ['weight' => Said::weight($weight, self::TWO_PEOPLE)]),
            default => Finding::watch('mechanical', ['weight' => Said::weight($weight, self::TWO_PEOPLE), 'most' => Said::weight(self::TWO_PEOPLE)]),
        };
        $fails = fn (float $by): bool => array_filter($slacks, fn (?float $slack): bool => $slack !== null && Limit::under($slack + $by, 0.0)) !== [];
        $heavy = array_filter($findings, fn (Finding $f): bool => $f->status === Status::Stop && ! str_starts_with($f->code, 'step_fails')) !== [];
        $marginal = ! $heavy && ($fails(self::TAPE) !== $fails(0.0) || $fails(-self::TAPE) !== $fails(0.0));

        return new Judgement($findings, $values, $marginal, $cautions, $basis, sets: Arrangements::ofRoute($in, $findings));
    }

    public static function drawing(Input $in, array $values): array
    {
        $item = $in->group('item');
        $steps = $in->items('steps');
        if ($item === null || ! $item->all('length', 'width', 'height') || $steps === []) {
            return [];
        }
        $slacks = self::slacks($in);
        $known = array_filter($slacks, fn (?float $slack): bool => $slack !== null);
        if ($known === []) {
            return [];
        }
        asort($known);
        $failing = array_keys(array_filter($known, fn (float $slack): bool => Limit::under($slack, 0.0)));
        $i = $failing === [] ? array_key_first($known) : min($failing);
        $step = $steps[$i];
        $is = Limit::under($known[$i], 0.0) ? 'stop' : 'plain';

        return match ($step->text('kind')) {
            'corridor_turn' => self::corner($in, $item, $step->number('width_in'), $step->number('width_out'), $i, ['width_in', 'width_out'], $is),
            'hatch' => self::opening($in, $item, $step->number('length'), $step->number('width'), $i, ['length', 'width'], $is, true),
            'lift_car' => self::opening($in, $item, $step->number('door_width'), $step->number('door_height'), $i, ['door_width', 'door_height'], $is, false),
            'stair' => self::opening($in, $item, $step->number('width'), $step->number('headroom'), $i, ['width', 'headroom'], $is, false),
            default => self::opening($in, $item, $step->number('width'), $step->number('height'), $i, ['width', 'height'], $is, false),
        };
    }

    /** @return array{step: string, number: int} a step as people call it: by its name, or by its place */
    private static function nameOf(Input $step, int $i): array
    {
        return ['step' => $step->text('name') !== '' ? $step->text('name') : 'none', 'number' => $i + 1];
    }

    /**
     * What the weight says to a step.
     *
     * @param array<string, Value> $values gets the room a lift's capacity leaves
     * @return list<Finding>
     */
    private static function load(Input $in, Input $step, int $i, float $weight, array &$values): array
    {
        $about = self::nameOf($step, $i);
        switch ($step->text('kind')) {
            case 'ladder':
                return Limit::over($weight, self::LADDER) ? [Finding::stop("needs_hoist:$i", $about + ['weight' => Said::weight($weight, self::LADDER), 'most' => Said::weight(self::LADDER)])] : [];
            case 'rail':
                return Limit::over($weight, self::ONE_PERSON) ? [Finding::stop("needs_hoist:$i", $about + ['weight' => Said::weight($weight, self::ONE_PERSON), 'most' => Said::weight(self::ONE_PERSON)])] : [];
            case 'lift_car':
                $left = $step->number('capacity') - $weight - $in->number('trolley_weight') - self::PERSON * $in->int('people');
                $values["steps.$i.weight_slack"] = Value::weight($left);

                return Limit::under($left, 0.0) ? [Finding::stop("lift_overload:$i", $about + ['over' => Said::weight(-$left)])] : [];
            default:
                return [];
        }
    }

    /**
     * The slack of each step in m, by its place; null where a step has none or a measure is missing.
     *
     * @return list<float|null>
     */
    private static function slacks(Input $in): array
    {
        $item = $in->group('item') ?? throw new \LogicException('No item.');
        $ways = self::ways($item);

        return array_map(function (Input $step) use ($in, $ways): ?float {
            $kind = $step->text('kind');
            $measures = array_diff(self::MEASURES[$kind] ?? [], ['capacity']);
            if ($measures === [] || ! $step->all(...$measures)) {
                return null;
            }
            $off = 2 * $in->number('clearance');
            $rolled = in_array($kind, self::ROLLS, true) ? $in->number('trolley_height') : 0.0;
            $m = fn (string $name): float => $step->number($name) - $off;

            return max(array_map(fn (array $way): float => self::slack($kind, $m, $step->int('turns'), $way[0], $way[1], $way[2] + $rolled), $ways));
        }, $in->items('steps'));
    }

    /**
     * Every way the piece may be held: plan length, plan width, height.
     *
     * @return non-empty-list<array{float, float, float}>
     */
    private static function ways(Input $item): array
    {
        [$l, $w, $h] = [$item->number('length'), $item->number('width'), $item->number('height')];
        $tips = ! $item->flag('keep_upright') && ! Limit::under($item->number('max_tilt'), 90.0);

        return $tips ? [[$l, $w, $h], [$w, $h, $l], [$l, $h, $w]] : [[$l, $w, $h]];
    }

    /** @param \Closure(string): float $m a measure of the step, its clearance taken off */
    private static function slack(string $kind, \Closure $m, int $turns, float $p, float $q, float $v): float
    {
        $door = fn (float $width, float $height): float => min($width - min($p, $q), $height - $v);

        return match ($kind) {
            'corridor_turn' => min($m('height') - $v, self::turn($m('width_in'), $m('width_out'), $p, $q)),
            'lift_car' => min($door($m('door_width'), $m('door_height')), $m('height') - $v, self::floor($m('depth'), $m('width'), $p, $q)),
            'stair' => $turns > 0 ? min($door($m('width'), $m('headroom')), self::turn($m('width'), $m('width'), $p, $q)) : $door($m('width'), $m('headroom')),
            'hatch' => max(min($m('length') - $p, $m('width') - $q), min($m('length') - $q, $m('width') - $p)),
            default => $door($m('width'), $m('height')),
        };
    }

    /** Round a corner, turning or sliding square. */
    private static function turn(float $w1, float $w2, float $p, float $q): float
    {
        $best = max(min($w1 - $q, $w2 - $p), min($w1 - $p, $w2 - $q));
        foreach ([[$p, $q], [$q, $p]] as [$long, $wide]) {
            if ($wide < min($w1, $w2)) {
                $best = max($best, self::longest($w1, $w2, $wide, self::tightest($w1, $w2, $wide)) - $long);
            }
        }

        return $best;
    }

    /** The longest piece of a width that stands at an angle θ in the corner. */
    private static function longest(float $w1, float $w2, float $wide, float $angle): float
    {
        return $w1 / sin($angle) + $w2 / cos($angle) - 2 * $wide / sin(2 * $angle);
    }

    /** The angle at which a corner is tightest, by halving on the slope's sign. */
    private static function tightest(float $w1, float $w2, float $wide): float
    {
        // d/dθ of longest(), times sin²θ·cos²θ: falls below zero before the least, rises over it behind.
        $slope = fn (float $a): float => -$w1 * cos($a) ** 3 + $w2 * sin($a) ** 3 + $wide * cos(2 * $a);
        [$low, $high] = [0.0, deg2rad(90)];
        for ($i = 0; $i < 60; $i++) {
            $middle = ($low + $high) / 2;
            if ($slope($middle) < 0) {
                $low = $middle;
            } else {
                $high = $middle;
            }
        }

        return ($low + $high) / 2;
    }

    /** On a floor at any angle: the best is square, or where both directions are equally tight. */
    private static function floor(float $depth, float $width, float $p, float $q): float
    {
        $at = fn (float $angle): float => min($depth - ($p * cos($angle) + $q * sin($angle)), $width - ($p * sin($angle) + $q * cos($angle)));
        $best = max($at(0.0), $at(deg2rad(90)));
        $even = $p === $q ? 2.0 : ($depth - $width) / ($p - $q);
        if (abs($even) <= 1) {
            $best = max($best, $at(acos($even / sqrt(2)) - deg2rad(45)));
        }

        return $best;
    }

    /**
     * The piece in an opening, from the front (a hatch from above).
     *
     * @param array{string, string} $measures the opening's
     * @return array<string, mixed>
     */
    private static function opening(Input $in, Input $item, float $width, float $height, int $i, array $measures, string $is, bool $fromAbove): array
    {
        $off = 2 * $in->number('clearance');
        [$w, $h] = [0.0, 0.0];
        $best = -INF;
        foreach (self::ways($item) as [$p, $q, $v]) {
            foreach ($fromAbove ? [[$p, $q], [$q, $p]] : [[min($p, $q), $v]] as [$across, $up]) {
                $slack = min($width - $off - $across, $height - $off - $up);
                [$best, $w, $h] = $slack > $best ? [$slack, $across, $up] : [$best, $w, $h];
            }
        }
        $gap = max($width, $height, $w, $h) / 12;
        $left = ($width - $w) / 2;
        $foot = $fromAbove ? ($height - $h) / 2 : 0.0;

        return ($fromAbove ? Scene::plan(true) : Scene::section(true))
            ->box('opening', 0, 0, $width, $height, 'opening', 'hole', 'top')
            ->box('item', $left, $foot, $w, $h, 'piece', $is === 'stop' ? 'stop' : 'over')
            ->dim([0, 0], [$width, 0], -1.6 * $gap, $width, "steps.$i.$measures[0]", $is)
            ->dim([0, 0], [0, $height], 1.6 * $gap, $height, "steps.$i.$measures[1]", $is)
            ->dim([$left, $h + $foot], [$left + $w, $h + $foot], $gap + max(0.0, $height - $h - $foot), $w)
            ->dim([$left + $w, $foot], [$left + $w, $foot + $h], -$gap - max(0.0, $width - $left - $w), $h)
            ->handle('', [$width, $height / 2], "steps.$i.$measures[0]")
            ->handle('', [$width / 2, $height], '', "steps.$i.$measures[1]")
            ->drawing();
    }

    /**
     * The piece at the corner's tightest angle, in plan.
     *
     * @param array{string, string} $measures
     * @return array<string, mixed>
     */
    private static function corner(Input $in, Input $item, float $w1, float $w2, int $i, array $measures, string $is): array
    {
        $off = 2 * $in->number('clearance');
        [$long, $wide] = [0.0, 0.0];
        $best = -INF;
        foreach (self::ways($item) as [$p, $q]) {
            foreach ([[$p, $q], [$q, $p]] as [$l, $b]) {
                $room = $b < min($w1, $w2) - $off ? self::longest($w1 - $off, $w2 - $off, $b, self::tightest($w1 - $off, $w2 - $off, $b)) - $l : -INF;
                [$best, $long, $wide] = $room > $best || $long === 0.0 ? [$room, $l, $b] : [$best, $long, $wide];
            }
        }
        $angle = $best === -INF ? deg2rad(45) : self::tightest($w1 - $off, $w2 - $off, $wide);
        $reach = 2.2 * max($w1, $w2, $long);
        // Corridor in: along x, w1 wide; corridor out: along y, w2 wide. The piece's outer side touches both outer walls.
        $gap = $in->number('clearance');
        [$c, $s] = [cos($angle), sin($angle)];
        $foot = [$gap + $long * $c, $gap];
        $head = [$gap, $gap + $long * $s];
        $piece = [$foot, $head, [$head[0] + $wide * $s, $head[1] + $wide * $c], [$foot[0] + $wide * $s, $foot[1] + $wide * $c]];

        return Scene::plan(true)
            ->body('walls', [[$reach, 0], [0, 0], [0, $reach]], '', 'wall', false)
            ->body('inner', [[$reach, $w1], [$w2, $w1], [$w2, $reach]], '', 'wall', false)
            ->body('item', $piece, 'piece', $is === 'stop' ? 'stop' : 'over')
            ->dim([0.9 * $reach, 0], [0.9 * $reach, $w1], 0, $w1, "steps.$i.$measures[0]", $is)
            ->dim([0, 0.9 * $reach], [$w2, 0.9 * $reach], 0, $w2, "steps.$i.$measures[1]", $is)
            ->handle('', [0.75 * $reach, $w1], '', "steps.$i.$measures[0]")
            ->handle('', [$w2, 0.75 * $reach], "steps.$i.$measures[1]")
            ->drawing();
    }
}
