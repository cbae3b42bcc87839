<?php

declare(strict_types=1);

namespace IronStart\Core\Dry;

use IronStart\Core\Air\MoistAir;
use IronStart\Core\Check\Check;
use IronStart\Core\Check\Draws;
use IronStart\Core\Check\DrawsOnRecord;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\Instrument;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\Past;
use IronStart\Core\Clock\ClockKind;
use IronStart\Core\Clock\Waits;
use IronStart\Core\Entry\ServiceMode;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Units;
use IronStart\Core\Verdict\Drawn;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Value;

/**
 * Whether a valved-off vacuum is dry, wet or leaking: by the shape of its rise, or by a fixed wait and a limit.
 *
 * The shape is carried on to half an hour, by the fit and by its last third alone: both must stay under the limit.
 *
 * @phpstan-import-type Point from Reading
 */
final class Decay implements Check, Draws, DrawsOnRecord
{
    private const POINTS = 5;
    /** min */
    private const SPAN = 10.0;
    private const EQUALISED = 2.0;
    private const AHEAD = 30.0;
    private const SLOW = 120.0;
    private const SHORT_WAIT = 10.0;
    /** Of the highest, or of the first, under which it is still falling. */
    private const FALLEN = 0.9;
    private const FALLEN_FROM_FIRST = 0.75;
    /** Of the target, from which on the pump itself is what keeps it up. */
    private const PUMP = 0.5;
    /** micron over which a limit says nothing of water. */
    private const LOOSE = 2500.0;
    /** Of the information criterion, within which moisture is as good as a leak. */
    private const AS_GOOD = 4.0;
    /** What the gauge may be off by. */
    private const GAUGE = [0.9, 1.1];

    public function id(): string
    {
        return 'dry.decay';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $isFixed = fn (Input $in): bool => $in->text('rule') === 'fixed';
        $limit = fn (string $name): Field => Reading::micron($name, 100_000)->positive()->readWith(null);

        return [
            Reading::field(),
            $limit('target')->default('500 micron'),
            $limit('hold_limit')->default('1000 micron'),
            Field::word('gauge_at', 'far_end', 'pump')->needed(),
            Field::word('oil', 'POE', 'PVE', 'MO', 'AB')->default('POE')->fromSheet('circuit.oil_type'),
            Field::temperature('ambient', -60, 60)->readWith(Instrument::Thermometer),
            $limit('pump_blank_off'),
            Field::word('rule', 'shape', 'fixed')->default('shape'),
            Field::quantity('fixed_minutes', Kind::Time, 'min', 0, 10_000)->positive()->bareIn('min')->readWith(null)->neededWhen($isFixed),
            $limit('fixed_limit')->neededWhen($isFixed),
            Field::flag('valves_held_open'),
            Field::flag('mode_lost')->neededWhen(fn (Input $in): bool => $in->flag('valves_held_open')),
        ];
    }

    public static function bringsIn(Past $past, string $subject): array
    {
        $modes = ServiceMode::modes($past)['modes'] ?? [];
        $held = $modes === [] ? [] : ['valves_held_open' => true, 'mode_lost' => in_array(true, array_column($modes, 'lost'), true)];

        return $past->stillOpen('dry.decay', $subject, ['readings', 'gauge_at', 'target', 'hold_limit', 'rule', 'fixed_minutes', 'fixed_limit']) + $held;
    }

    public function contradictions(Input $in): iterable
    {
        yield from Reading::backwards($in);
    }

    public function judge(Input $in): Judgement
    {
        $cautions = ['no_insulation_test_in_vacuum', 'core_ejected', 'never_run_in_vacuum'];
        $basis = [Finding::note($in->text('rule') === 'fixed' ? 'basis_fixed' : 'basis')];
        if ($in->missing !== []) {
            return new Judgement(Missing::in($in), cautions: $cautions, basis: $basis);
        }
        $values = [];
        $findings = self::standing($in);
        $isMarginal = false;
        if ($findings === []) {
            [$findings, $isMarginal] = $in->text('rule') === 'fixed' ? self::fixed($in, $values) : self::shape($in, $values);
        }
        $findings = [...$findings, ...self::doubts($in, self::limit($in), self::micron($in, 'target'))];

        return new Judgement($findings, $values, $isMarginal, $cautions, $basis, sets: Waits::of(ClockKind::Decay, $values));
    }

    public static function drawing(Input $in, array $values): array
    {
        $points = Reading::points($in);
        if ($points === []) {
            return [];
        }
        $fit = isset($values['value_at_30_min']) ? Fit::of(self::used($points)) : null;
        $end = self::ahead($points);
        $carried = $fit === null ? [] : array_map(fn (int $i): array => [$points[0][0] + $i / 40 * ($end - $points[0][0]), Reading::pascals(max(1.0, $fit->at($points[0][0] + $i / 40 * ($end - $points[0][0]))))], range(0, 40));

        return Drawn::curve(
            'Pa',
            array_map(fn (array $p): array => [$p[0], Reading::pascals($p[1])], $points),
            [
                ['word' => 'hold_limit', 'value' => Reading::pascals(self::limit($in)), 'is' => 'stop'],
                ['word' => 'pull_to', 'value' => Reading::pascals(self::micron($in, 'target')), 'is' => 'watch'],
            ],
            ['micron', 'micron'],
            byDecades: true,
            fit: $carried,
        );
    }

    /** @return list<Finding> why it can't be read as a decay at all */
    private static function standing(Input $in): array
    {
        $points = Reading::points($in);
        $target = self::micron($in, 'target');
        [$first, $last] = [$points[0][1], $points[count($points) - 1][1]];
        if (Limit::over($first, $target)) {
            $blank = $in->in('pump_blank_off', 'micron');

            return [Finding::open('keep_pulling', ['first' => self::said($first), 'target' => self::said($target)]), ...($blank !== null && Limit::over($blank, self::PUMP * $target) ? [Finding::open('pump_weak', ['blank' => self::said($blank)])] : [])];
        }
        $settled = array_filter($points, fn (array $p): bool => $p[0] - $points[0][0] >= self::EQUALISED);
        $highest = max(-INF, ...array_column($settled === [] ? $points : $settled, 1));

        return Limit::under($last, self::FALLEN * $highest) || Limit::under($last, self::FALLEN_FROM_FIRST * $first) ? [Finding::open('still_falling', ['last' => self::said($last)])] : [];
    }

    /**
     * @param array<string, Value> $values gets the value at the end of the wait
     * @return array{list<Finding>, bool}
     */
    private static function fixed(Input $in, array &$values): array
    {
        $points = Reading::points($in);
        $wait = (float) $in->in('fixed_minutes', 'min');
        $limit = self::limit($in);
        [$end, $last] = $points[count($points) - 1];
        if (Limit::under($end, $wait)) {
            $values['time_left'] = Value::of($wait - $end, 'min');

            return [[self::wait($wait - $end)], false];
        }
        $there = self::between($points, $wait);
        $values['value_at_fixed'] = Value::of($there, 'micron');
        $said = ['there' => self::said($there, $limit), 'limit' => self::said($limit), 'wait' => Said::duration(60 * $wait)];
        $passes = ! Limit::over($there, $limit);
        $findings = [
            ...($passes ? [] : [Finding::stop('over_fixed_limit', $said)]),
            ...($passes && Limit::over($last, $limit) ? [Finding::watch('rose_after', ['last' => self::said($last)] + $said)] : []),
            ...(Limit::under($wait, self::SHORT_WAIT) ? [Finding::watch('short_wait', ['wait' => $said['wait']])] : []),
        ];
        $isMarginal = array_filter(self::GAUGE, fn (float $g): bool => ! Limit::over($there * $g, $limit) !== $passes) !== [];

        return [$findings === [] ? [Finding::note('held', $said)] : $findings, $isMarginal];
    }

    /**
     * @param array<string, Value> $values gets what the shape says
     * @return array{list<Finding>, bool}
     */
    private static function shape(Input $in, array &$values): array
    {
        $points = Reading::points($in);
        if (count($points) < self::POINTS) {
            return [[Finding::open('more_points', ['more' => self::POINTS - count($points)])], false];
        }
        $span = $points[count($points) - 1][0] - $points[0][0];
        if (Limit::under($span, self::SPAN)) {
            $values['time_left'] = Value::of(self::SPAN - $span, 'min');

            return [[self::wait(self::SPAN - $span)], false];
        }
        $fit = Fit::of(self::used($points));
        $limit = self::limit($in);
        $ahead = self::ahead($points);
        $values = ['value_at_30_min' => Value::of($fit->at($ahead), 'micron'), 'late_line_at_30_min' => Value::of($fit->lateAt($ahead), 'micron'), 'early_rate' => Value::of($fit->early, 'micron/min'), 'late_rate' => Value::of($fit->late, 'micron/min')];
        if ($fit->model === 'leak') {
            $values['leak_rate'] = Value::of($fit->slope, 'micron/min');
        }
        if ($fit->model === 'moisture') {
            $values += ['plateau' => Value::of($fit->level, 'micron'), 'time_constant' => Value::of($fit->tau, 'min')];
        }
        $crosses = $fit->crosses($limit);
        if ($crosses !== null) {
            $values['crosses_limit_at'] = Value::of($crosses, 'min');
        }
        $found = self::read($points, $fit, $limit);
        $of = fn (float $by): Status => Limit::over($points[0][1], self::micron($in, 'target') / $by)
            ? Status::Open
            : Judgement::worst([...self::read($points, $fit, $limit / $by), ...self::doubts($in, $limit / $by, self::micron($in, 'target') / $by)]);
        $isMarginal = array_filter(self::GAUGE, fn (float $by): bool => $of($by) !== $of(1.0)) !== [];

        return [[...$found, Finding::clear("model:$fit->model", [], "model_$fit->model")], $isMarginal];
    }

    /**
     * @param list<Point> $points
     * @param float $limit micron
     * @return list<Finding>
     */
    private static function read(array $points, Fit $fit, float $limit): array
    {
        $ahead = self::ahead($points);
        $last = $points[count($points) - 1][1];
        [$v, $w] = [$fit->at($ahead), $fit->lateAt($ahead)];
        $over = fn (float $micron): bool => Limit::over($micron, $limit);
        $said = ['last' => self::said($last, $limit), 'limit' => self::said($limit), 'ahead' => self::said($v, $limit), 'plateau' => self::said($fit->level, $limit), 'rate' => Said::number(max(0.0, $fit->slope), 1)];
        $only = fn (string ...$names): array => array_intersect_key($said, array_flip($names));
        $leak = [Finding::stop('leak', $only('rate', 'limit')), ...($fit->moistureOverLeak < self::AS_GOOD ? [Finding::stop('cannot_tell')] : [])];

        return match (true) {
            $over($last) => match ($fit->model) {
                'leak' => $leak,
                'moisture' => [Finding::stop('wet', $only('plateau', 'limit'))],
                default => [Finding::stop('over_limit', $only('last', 'limit'))],
            },
            $fit->model === 'moisture' && $over($v) => [Finding::stop('wet', $only('plateau', 'limit'))],
            $fit->model === 'leak' && $over($v) && $over($w) => $leak,
            $over($v), $over($w) => [Finding::watch('still_rising', ['ahead' => self::said(max($v, $w), $limit)] + $only('limit'))],
            $fit->model === 'moisture' && $over($fit->level) => [Finding::watch('plateau_over_limit', $only('plateau', 'limit'))],
            $fit->model === 'leak' && $fit->slope > 0 && ! Limit::over(($limit - $fit->level) / $fit->slope, self::SLOW) => [Finding::watch('slow_rise', $only('limit') + ['at' => Said::duration(60 * ($limit - $fit->level) / $fit->slope)])],
            default => [Finding::note('dry', $only('last', 'limit'))],
        };
    }

    /**
     * What makes the gauge speak for less than the whole circuit.
     *
     * @param float $limit micron
     * @param float $target micron
     * @return list<Finding>
     */
    private static function doubts(Input $in, float $limit, float $target): array
    {
        $ambient = $in->maybe('ambient');

        return [
            ...($in->text('gauge_at') === 'pump' ? [Finding::watch('gauge_at_pump')] : []),
            ...($ambient !== null && ! Limit::over(Units::fromCanonical(MoistAir::saturation($ambient), 'micron', Kind::AbsolutePressure), $limit) ? [Finding::watch('too_cold', ['ambient' => Said::temperature($ambient)])] : []),
            ...(Limit::over(max($target, $limit), self::LOOSE) ? [Finding::watch('loose_limits', ['limit' => self::said(max($target, $limit))])] : []),
            ...($in->given('valves_held_open') && ! $in->flag('valves_held_open') ? [Finding::watch('valves_not_open')] : []),
            ...($in->flag('valves_held_open') && $in->flag('mode_lost') ? [Finding::watch('mode_lost')] : []),
        ];
    }

    /**
     * Without the first minutes, in which the pressure evens out, where enough is left.
     *
     * @param list<Point> $points
     * @return list<Point>
     */
    private static function used(array $points): array
    {
        $settled = array_values(array_filter($points, fn (array $p): bool => $p[0] - $points[0][0] >= self::EQUALISED));

        return count($settled) >= self::POINTS ? $settled : $points;
    }

    /**
     * @param list<Point> $points
     * @return float min to which the shape is carried on
     */
    private static function ahead(array $points): float
    {
        return max(self::AHEAD, $points[count($points) - 1][0]);
    }

    /**
     * By a straight line between the neighbours.
     *
     * @param list<Point> $points the last of them not before the minute
     */
    private static function between(array $points, float $minute): float
    {
        foreach ($points as $i => [$t, $p]) {
            if ($t >= $minute) {
                [$before, $there] = $points[max(0, $i - 1)];

                return $t === $before ? $p : $there + ($p - $there) * ($minute - $before) / ($t - $before);
            }
        }

        return $points[count($points) - 1][1];
    }

    private static function wait(float $minutes): Finding
    {
        return Finding::open('wait', ['left' => Said::duration(60 * $minutes)]);
    }

    /** @return float micron that decide */
    private static function limit(Input $in): float
    {
        return self::micron($in, $in->text('rule') === 'fixed' ? 'fixed_limit' : 'hold_limit');
    }

    private static function micron(Input $in, string $name): float
    {
        return Units::fromCanonical($in->maybe($name) ?? 0.0, 'micron', Kind::AbsolutePressure);
    }

    private static function said(float $micron, ?float $against = null): Said
    {
        return Said::micron(Reading::pascals($micron), $against === null ? null : Reading::pascals($against));
    }
}
