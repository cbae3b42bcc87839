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
use IronStart\Core\Verdict\Value;

/**
 * Whether the slings are right: what hangs in all, what each corner carries, what a leg pulls at its angle.
 *
 * Corners share the load by where the center of gravity lies. A stiff load may hang on three legs, so a leg is never
 * counted with less than a third: tension = max(largest corner, a third)/sin(angle); under a spreader the legs hang
 * straight. Weight off a tag counts as it is, out of a book with 5 % more, estimated with 15 %.
 */
final class Rigging implements Check, Draws
{
    private const FACTOR = ['tag' => 1.0, 'book' => 1.05, 'estimate' => 1.15];
    /** ° from horizontal. */
    private const ANGLE_LOW = 30.0;
    private const ANGLE_WATCH = 45.0;
    private const ANGLE_DIFFERS = 5.0;
    /** % of the sling's rating. */
    private const NEAR = 80.0;
    private const OVER = 100.0;

    public function id(): string
    {
        return 'survey.rigging';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $side = fn (string $name): Field => Field::length($name)->positive()->startsIn('in')->takesFractions()->needed();
        $place = fn (string $name): Field => Field::length($name, 'm', -300, 300)->startsIn('in')->takesFractions()->needed();
        $mass = fn (string $name): Field => Field::mass($name)->readWith(null);

        return [
            $mass('unit_weight')->needed()->fromSheet('weights.shipping', asStart: true)->readWith(null),
            Field::word('weight_source', 'tag', 'book', 'estimate')->needed(),
            Field::group('lift_points', $side('length'), $side('width'))->needed(),
            Field::group('cg', $place('x'), $place('y'))->needed(),
            $mass('sling_rating')->positive()->needed(),
            Field::quantity('sling_angle', Kind::Angle, 'deg', 1, 90)->neededWhen(fn (Input $in): bool => ! $in->flag('spreader') && ! $in->given('sling_length')),
            Field::length('sling_length'),
            $mass('accessories')->default('0 kg'),
            $mass('adapter')->default('0 kg'),
            $mass('rigging_weight')->default('0 kg'),
            Field::choice('legs', 4)->default(4),
            Field::flag('spreader')->default(false),
            Field::word('lift_from', 'base', 'top'),
        ];
    }

    public function contradictions(Input $in): iterable
    {
        $points = $in->group('lift_points');
        if ($in->given('sling_length') && $points !== null && $points->all('length', 'width') && $in->number('sling_length') <= self::halfDiagonal($points)) {
            yield new InputError('sling_length', $in->number('sling_length'), 'a sling longer than half the diagonal of the lift points', 'sling_length: such a sling does not reach from the hook to a lift point. Measure the slings, or the lift points, again.');
        }
    }

    public function judge(Input $in): Judgement
    {
        $cautions = ['lifting', 'roof_edge'];
        $basis = [Finding::note('basis')];
        if ($in->missing !== []) {
            return new Judgement(Missing::in($in), cautions: $cautions, basis: $basis);
        }
        $points = $in->group('lift_points') ?? throw new \LogicException('No lift points.');
        $cg = $in->group('cg') ?? throw new \LogicException('No center of gravity.');
        $gross = self::gross($in);
        [$x, $y] = [$cg->number('x') / $points->number('length'), $cg->number('y') / $points->number('width')];
        $corners = self::corners($gross, $x, $y);
        $pull = max(max($corners), $gross / 3);
        $values = ['gross' => Value::weight($gross)];
        foreach ($corners as $i => $share) {
            $values['corner_' . ($i + 1)] = Value::weight($share);
        }
        $findings = [];
        if (! $in->flag('spreader')) {
            [$angle, $found] = self::angle($in, $points);
            $values['sling_angle'] = Value::of($angle, 'deg');
            $findings = $found;
            $pull /= sin(deg2rad($angle));
        }
        $use = 100 * $pull / $in->number('sling_rating');
        $values += ['leg_tension' => Value::weight($pull), 'sling_use' => Value::of($use, '%')];
        $findings = [...$findings, ...self::slings($in, $pull, $use), ...self::balance($x, $y)];
        if ($findings === []) {
            $findings[] = Finding::note('fits', ['gross' => Said::weight($gross), 'tension' => Said::weight($pull), 'use' => Said::percent($use, self::NEAR)]);
        }
        $findings[] = Finding::note('tag_line', ['gross' => Said::weight($gross)]);
        if ($in->text('weight_source') !== 'tag') {
            $basis[] = Finding::note($in->text('weight_source') === 'book' ? 'from_book' : 'estimated');
        }

        return new Judgement($findings, $values, false, $cautions, $basis);
    }

    public static function drawing(Input $in, array $values): array
    {
        $points = $in->group('lift_points');
        if ($points === null || ! $points->all('length', 'width')) {
            return [];
        }
        [$length, $width] = [$points->number('length'), $points->number('width')];
        $gap = max($length, $width) / 10;
        $scene = Scene::plan(true)
            ->box('points', 0, 0, $length, $width, 'lift_points', 'over', 'bottom')
            ->box('middle', $length / 4, $width / 4, $length / 2, $width / 2, 'middle_half', 'pale', 'bottom')
            ->dim([0, 0], [$length, 0], -1.8 * $gap, $length, 'lift_points.length')
            ->dim([0, 0], [0, $width], 1.8 * $gap, $width, 'lift_points.width')
            ->handle('', [$length, $width / 2], 'lift_points.length')
            ->handle('', [$length / 2, $width], '', 'lift_points.width');
        $cg = $in->group('cg');
        if ($cg !== null && $cg->all('x', 'y')) {
            [$x, $y] = [$cg->number('x'), $cg->number('y')];
            $r = $gap / 3;
            $out = Limit::under($x, 0.0) || Limit::over($x, $length) || Limit::under($y, 0.0) || Limit::over($y, $width);
            $scene->body('cg', [[$x - $r, $y], [$x, $y + $r], [$x + $r, $y], [$x, $y - $r]], 'center_of_gravity', $out ? 'stop' : 'plain', true, 'above')
                ->dim([0, $y], [$x, $y], 0.0, $x, 'cg.x')
                ->dim([$x, 0], [$x, $y], 0.0, $y, 'cg.y')
                ->handle('cg', [$x, $y], 'cg.x', 'cg.y');
        }
        foreach ([[0.0, 0.0], [$length, 0.0], [0.0, $width], [$length, $width]] as $i => $at) {
            if (isset($values['corner_' . ($i + 1)])) {
                $scene->mark($at, $values['corner_' . ($i + 1)]);
            }
        }

        return $scene->drawing();
    }

    /** @return float kg on the hook, rigging counted */
    private static function gross(Input $in): float
    {
        return ($in->number('unit_weight') + $in->number('accessories') + $in->number('adapter')) * self::FACTOR[$in->text('weight_source')] + $in->number('rigging_weight');
    }

    /**
     * @param float $x share of the length, $y of the width
     * @return non-empty-list<float> kg at 0,0, at the length's end, at the width's end, at both
     */
    private static function corners(float $gross, float $x, float $y): array
    {
        return [$gross * (1 - $x) * (1 - $y), $gross * $x * (1 - $y), $gross * (1 - $x) * $y, $gross * $x * $y];
    }

    /** @return array{float, list<Finding>} the angle that counts, and what is said of it */
    private static function angle(Input $in, Input $points): array
    {
        $typed = $in->given('sling_angle') ? $in->number('sling_angle') : null;
        $byLength = $in->given('sling_length') ? rad2deg(acos(self::halfDiagonal($points) / $in->number('sling_length'))) : null;
        $angle = min($typed ?? 90.0, $byLength ?? 90.0);
        $said = ['angle' => Said::angle($angle)];
        $findings = match (true) {
            Limit::under($angle, self::ANGLE_LOW) => [Finding::stop('angle_low', ['angle' => Said::angle($angle, self::ANGLE_LOW)])],
            Limit::under($angle, self::ANGLE_WATCH) => [Finding::watch('angle_watch', ['angle' => Said::angle($angle, self::ANGLE_WATCH)])],
            default => [],
        };
        if ($typed !== null && $byLength !== null && Limit::over(abs($typed - $byLength), self::ANGLE_DIFFERS)) {
            $findings[] = Finding::watch('angle_differs', ['typed' => Said::angle($typed), 'by_length' => Said::angle($byLength)] + $said);
        }

        return [$angle, $findings];
    }

    /** @return list<Finding> */
    private static function slings(Input $in, float $pull, float $use): array
    {
        $said = ['tension' => Said::weight($pull), 'rating' => Said::weight($in->number('sling_rating')), 'use' => Said::percent($use, Limit::over($use, self::OVER) ? self::OVER : self::NEAR)];
        $findings = match (true) {
            Limit::over($use, self::OVER) => [Finding::stop('sling_over', $said)],
            Limit::over($use, self::NEAR) => [Finding::watch('sling_near', $said)],
            default => [],
        };
        if ($in->flag('spreader') && $in->number('rigging_weight') <= 0) {
            $findings[] = Finding::watch('spreader_weight');
        }
        if (! $in->flag('spreader') && $in->text('lift_from') === 'base') {
            $findings[] = Finding::stop('needs_spreader');
        }

        return $findings;
    }

    /** @return list<Finding> */
    private static function balance(float $x, float $y): array
    {
        $inside = fn (float $low, float $high): bool => Limit::within($x, $low, $high) && Limit::within($y, $low, $high);

        return match (true) {
            ! $inside(0.0, 1.0) => [Finding::stop('cg_outside')],
            ! $inside(0.25, 0.75) => [Finding::watch('cg_off_centre')],
            default => [],
        };
    }

    private static function halfDiagonal(Input $points): float
    {
        return sqrt($points->number('length') ** 2 + $points->number('width') ** 2) / 2;
    }
}
