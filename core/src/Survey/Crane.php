<?php

declare(strict_types=1);

namespace IronStart\Core\Survey;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Draws;
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
use IronStart\Core\Verdict\Scene;
use IronStart\Core\Verdict\Value;

/**
 * Whether a crane reaches the place and carries the load there: section through wall, roof and boom.
 *
 * The boom must clear the wall and the load's own edge by 3 ft; of the chart's booms that reach, the shortest that does is
 * used, and of its rows the first at or beyond the radius: a chart is never read between its rows. Deductions (block, ball,
 * stowed jib) count as load. Distance to a power line by the steps of the crane rule in force (29 CFR 1926.1408, table A).
 */
final class Crane implements Check, Draws, DrawsOnRecord
{
    private const FOOT = 0.3048;
    /** m the boom keeps from wall and load. */
    private const CLEAR = 3 * self::FOOT;
    /** ° */
    private const STEEP = 80.0;
    private const FLAT = 25.0;
    /** Share of the chart's capacity from which on a lift is never plain, whatever limit was set. */
    private const MOST = 0.90;
    /** kV up to => ft to keep away. */
    private const APPROACH = [50 => 10, 200 => 15, 350 => 20, 500 => 25, 750 => 35, 1000 => 45];
    /** ft, where nobody knows the voltage. */
    private const APPROACH_UNKNOWN = 20;

    public function id(): string
    {
        return 'survey.crane';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $length = fn (string $name): Field => Field::length($name)->startsIn('ft');

        return [
            $length('roof_height')->needed(),
            $length('unit_height')->needed()->fromSheet('size.height'),
            $length('sling_height')->needed(),
            Field::length('edge_distance', 'm', 0.1)->startsIn('ft')->needed(),
            $length('setback')->needed(),
            Field::mass('gross_load')->readWith(null)->needed(),
            $length('parapet_height')->default('0 ft'),
            $length('set_height')->default('0 ft'),
            $length('adapter_height')->default('0 ft'),
            $length('hook_block')->default('5 ft'),
            $length('clear_over')->default('3 ft'),
            $length('boom_pivot_height')->default('7 ft'),
            Field::length('boom_foot_offset', 'm', -10, 10)->startsIn('ft')->default('0 ft'),
            $length('boom_half_depth')->default('2 ft'),
            Field::items('chart', $length('boom')->positive()->needed(), $length('radius')->positive()->needed(), Field::mass('capacity')->positive()->readWith(null)->needed()),
            Field::group('power_line', $length('distance')->needed(), Field::number('kv', 0, 1000)),
            Field::number('limit_fraction', 0.05, 1)->default(0.75),
            Field::mass('deductions')->readWith(null)->default('0 kg'),
            Field::length('unit_length', 'm', 0.05, 60)->startsIn('ft')->fromSheet('size.length'),
            Field::count('cranes', 1, 10)->default(1),
        ];
    }

    public static function bringsIn(Past $past, string $subject): array
    {
        $gross = $past->last('survey.rigging', $subject)['values']['gross'] ?? null;

        return $gross === null ? [] : ['gross_load' => $gross];
    }

    public function contradictions(Input $in): iterable
    {
        if ($in->all('edge_distance', 'boom_foot_offset') && $in->number('edge_distance') + $in->number('boom_foot_offset') <= 0) {
            yield new InputError('boom_foot_offset', $in->number('boom_foot_offset'), 'a boom foot on the crane\'s side of the wall', 'boom_foot_offset: the boom foot would be inside the building. Measure from the center of rotation to the foot pin.');
        }
    }

    public function judge(Input $in): Judgement
    {
        $cautions = ['lifting', 'roof_edge', 'overhead_line'];
        $basis = [Finding::note('basis')];
        if ($in->missing !== []) {
            return new Judgement(Missing::in($in), cautions: $cautions, basis: $basis);
        }
        $lift = self::lift($in);
        $values = [
            'radius' => Value::long($lift['radius']), 'tip_height' => Value::long($lift['tip']), 'boom_needed' => Value::long($lift['needed']),
            'boom_angle' => Value::of($lift['angle'], 'deg'), 'wall_clearance' => Value::long($lift['wall']),
        ];
        if ($lift['load'] !== null) {
            $values['load_clearance'] = Value::long($lift['load']);
        }
        $findings = self::line($in, $lift['radius'], $values);
        if ($in->int('cranes') > 1) {
            array_unshift($findings, Finding::stop('two_cranes'));
        }
        $findings = [...$findings, ...$lift['findings']];
        $used = $lift['used'];
        if ($used !== null) {
            $values += ['boom_used' => Value::long($used['boom']), 'used_angle' => Value::of($used['angle'], 'deg'), 'used_wall_clearance' => Value::long($used['wall'])];
            if ($used['load'] !== null) {
                $values['used_load_clearance'] = Value::long($used['load']);
            }
            $values['capacity'] = Value::weight($used['capacity']);
            $use = 100 * ($in->number('gross_load') + $in->number('deductions')) / $used['capacity'];
            $values['capacity_use'] = Value::of($use, '%');
            $findings = [...$findings, ...self::capacity($in, $lift, $used, $use)];
        }
        $angle = $used['angle'] ?? $lift['angle'];
        if (Limit::over($angle, self::STEEP) || Limit::under($angle, self::FLAT)) {
            $findings[] = Finding::watch('boom_angle', ['angle' => Said::angle($angle, $angle > self::STEEP ? self::STEEP : self::FLAT)]);
        }
        $findings[] = Finding::note('wind');
        if (! $in->given('power_line')) {
            $findings[] = Finding::note('look_for_lines');
        }
        $basis = [...$basis, ...($in->given('deductions') ? [] : [Finding::note('no_deductions')]), ...($in->given('unit_length') ? [] : [Finding::note('no_unit_length')])];

        return new Judgement($findings, $values, false, $cautions, $basis, sets: Arrangements::ofLift($findings));
    }

    public static function drawing(Input $in, array $values): array
    {
        if (! $in->all('roof_height', 'edge_distance')) {
            return [];
        }
        $roof = $in->number('roof_height');
        $edge = $in->number('edge_distance');
        $parapet = $in->number('parapet_height');
        $setback = $in->maybe('setback');
        $wall = $roof + $parapet;
        $deep = max(2.2 * ($setback ?? $edge), 0.8 * $roof);
        $scene = Scene::section(false)
            ->body('ground', [[-0.45 * $edge - 4, 0], [$edge, 0]], '', 'wall', false)
            ->body('building', [[$edge, 0], [$edge, $wall], [$edge + 0.3, $wall], [$edge + 0.3, $roof], [$edge + $deep, $roof], [$edge + $deep, 0]], 'building', 'ground')
            ->box('crane', -2.2, 0, 4.4, 1.5, 'crane', 'over', 'middle')
            ->dim([$edge + $deep, 0], [$edge + $deep, $roof], 1.2, $roof, 'roof_height')
            ->dim([0, 0], [$edge, 0], -2.0, $edge, 'edge_distance')
            ->handle('crane', [0, 0.75], '-edge_distance')
            ->handle('', [$edge + 0.75 * $deep, $roof], '', 'roof_height');
        if ($setback === null) {
            return $scene->drawing();
        }
        $height = $in->maybe('unit_height') ?? 1.2;
        $long = $in->maybe('unit_length') ?? 1.6 * $height;
        $place = $edge + $setback;
        $foot = $roof + $in->number('set_height') + $in->number('adapter_height');
        $scene->box('unit', $place - $long / 2, $foot, $long, $height, 'unit', 'over', 'below')
            ->dim([$edge, $roof], [$place, $roof], -1.2, $setback, 'setback')
            ->handle('unit', [$place, $foot + $height / 2], 'setback');
        $needed = $values['boom_needed'] ?? null;
        if ($needed === null || $in->missing !== []) {
            return $scene->drawing();
        }
        $lift = self::lift($in);
        $boom = $lift['used'] ?? ['boom' => $lift['needed'], 'angle' => $lift['angle'], 'wall' => $lift['wall'], 'load' => $lift['load']];
        $pivot = $in->number('boom_pivot_height');
        $run = $lift['radius'] + $in->number('boom_foot_offset');
        $start = -$in->number('boom_foot_offset');
        $tip = [$lift['radius'], $pivot + $boom['boom'] * sin(deg2rad($boom['angle']))];
        $hits = Limit::under($boom['wall'], self::CLEAR);
        $hitsLoad = $boom['load'] !== null && Limit::under($boom['load'], self::CLEAR);
        $hook = $foot + $height + $in->number('sling_height');
        $half = $in->number('boom_half_depth') / cos(deg2rad($boom['angle']));
        $under = $pivot + ($edge - $start) * ($tip[1] - $pivot) / $run - $half;

        return $scene
            ->body('boom', [[$start, $pivot + $half], $tip, [$tip[0], $tip[1] - $half], [$start, $pivot - $half]], '', $hits || $hitsLoad ? 'stop' : 'plain')
            ->body('line', [$tip, [$tip[0], $hook]], '', 'wall', false)
            ->body('slings', [[$place - $long / 2, $foot + $height], [$place, $hook], [$place + $long / 2, $foot + $height]], '', 'wall', false)
            ->dim([0, 0], [$lift['radius'], 0], -4.2, $lift['radius'])
            ->dim([$edge, $wall], [$edge, $under], 0.0, $boom['wall'], '', $hits ? 'stop' : 'plain')
            ->drawing();
    }

    /**
     * The lift by its geometry: what is needed, and which boom of the chart is used.
     *
     * @return array{radius: float, tip: float, needed: float, angle: float, wall: float, load: float|null, used: array{boom: float, angle: float, wall: float, load: float|null, capacity: float, isLonger: bool}|null, findings: list<Finding>} m, °, kg
     */
    private static function lift(Input $in): array
    {
        $m = $in->number(...);
        $radius = $m('edge_distance') + $m('setback');
        $run = $radius + $m('boom_foot_offset');
        $hung = $m('unit_height') + $m('sling_height') + $m('hook_block');
        $tip = max($m('roof_height') + $m('parapet_height') + $m('clear_over') + $hung, $m('roof_height') + $m('set_height') + $m('adapter_height') + $hung);
        $rise = $tip - $m('boom_pivot_height');
        $needed = sqrt($run * $run + $rise * $rise);
        $angle = rad2deg(atan2($rise, $run));
        $clear = fn (float $degrees): array => self::clearances($in, $degrees, $run, $tip);
        [$wall, $load] = $clear($angle);
        $lift = ['radius' => $radius, 'tip' => $tip, 'needed' => $needed, 'angle' => $angle, 'wall' => $wall, 'load' => $load, 'used' => null];
        $booms = array_values(array_unique(array_map(fn (Input $row): float => $row->number('boom'), $in->items('chart'))));
        sort($booms);
        $booms = array_values(array_filter($booms, fn (float $boom): bool => ! Limit::under($boom, $needed)));
        $isClear = fn (?float $by): bool => $by === null || ! Limit::under($by, self::CLEAR);
        if ($booms === []) {
            return $lift + ['findings' => [
                ...($isClear($wall) ? [] : [self::wallFinding($wall)]),
                ...($isClear($load) ? [] : [self::loadFinding((float) $load)]),
                Finding::open('no_chart_row', ['boom' => Said::length($needed), 'radius' => Said::length($radius)]),
            ]];
        }
        $angles = array_map(fn (float $boom): float => rad2deg(acos($run / $boom)), $booms);
        $both = array_map($clear, $angles);
        $wallOk = array_keys(array_filter($both, fn (array $c): bool => $isClear($c[0])));
        $loadOk = array_keys(array_filter($both, fn (array $c): bool => $isClear($c[1])));
        $last = end($both);
        $findings = [];
        if ($wallOk === []) {
            $findings[] = self::wallFinding($last[0]);
        }
        $useful = array_values(array_intersect($wallOk, $loadOk));
        if ($loadOk === [] || ($wallOk !== [] && $useful === [])) {
            $findings[] = self::loadFinding((float) $last[1]);
        }
        foreach ($useful as $i) {
            $capacity = self::capacityAt($in, $booms[$i], $radius);
            if ($capacity !== null) {
                $lift['used'] = ['boom' => $booms[$i], 'angle' => $angles[$i], 'wall' => $both[$i][0], 'load' => $both[$i][1], 'capacity' => $capacity, 'isLonger' => $i > 0];
                break;
            }
        }
        if ($useful !== [] && $lift['used'] === null) {
            $findings[] = Finding::open('no_chart_row', ['boom' => Said::length($booms[$useful[0]]), 'radius' => Said::length($radius)]);
        }

        return $lift + ['findings' => $findings];
    }

    /** @return array{float, float|null} m the boom keeps from the wall, and from the load's edge where its length is known */
    private static function clearances(Input $in, float $degrees, float $run, float $tip): array
    {
        [$tan, $cos] = [tan(deg2rad($degrees)), cos(deg2rad($degrees))];
        $under = $in->number('boom_pivot_height') - $in->number('boom_half_depth') / $cos;
        $wall = $under + ($in->number('edge_distance') + $in->number('boom_foot_offset')) * $tan - ($in->number('roof_height') + $in->number('parapet_height'));
        if (! $in->given('unit_length')) {
            return [$wall, null];
        }

        return [$wall, $under + ($run - $in->number('unit_length') / 2) * $tan - ($tip - $in->number('hook_block') - $in->number('sling_height'))];
    }

    /** @return float|null kg, of the boom's first row at or beyond the radius */
    private static function capacityAt(Input $in, float $boom, float $radius): ?float
    {
        $found = null;
        foreach ($in->items('chart') as $row) {
            if ($row->number('boom') === $boom && ! Limit::under($row->number('radius'), $radius) && ($found === null || $row->number('radius') < $found->number('radius'))) {
                $found = $row;
            }
        }

        return $found?->number('capacity');
    }

    private static function wallFinding(float $clearance): Finding
    {
        $said = ['clear' => Said::length(abs($clearance), self::CLEAR), 'least' => Said::length(self::CLEAR)];

        return Finding::stop('boom_hits_wall', $said, $clearance < 0 ? 'boom_in_wall' : 'boom_hits_wall');
    }

    private static function loadFinding(float $clearance): Finding
    {
        $said = ['clear' => Said::length(abs($clearance), self::CLEAR), 'least' => Said::length(self::CLEAR)];

        return Finding::stop('boom_hits_load', $said, $clearance < 0 ? 'boom_in_load' : 'boom_hits_load');
    }

    /**
     * @param array{radius: float, needed: float, ...} $lift
     * @param array{boom: float, capacity: float, wall: float, isLonger: bool, ...} $used
     * @return list<Finding>
     */
    private static function capacity(Input $in, array $lift, array $used, float $use): array
    {
        $watch = 100 * min(self::MOST, $in->number('limit_fraction'));
        $stop = 100 * max(self::MOST, $in->number('limit_fraction'));
        $said = ['load' => Said::weight($in->number('gross_load') + $in->number('deductions')), 'capacity' => Said::weight($used['capacity']), 'radius' => Said::length($lift['radius']), 'boom' => Said::length($used['boom'])];
        $findings = $used['isLonger'] ? [Finding::clear('longer_boom', ['needed' => Said::length($lift['needed']), 'boom' => Said::length($used['boom'])])] : [];
        $findings[] = match (true) {
            Limit::over($use, $stop) => Finding::stop('over_capacity', $said + ['use' => Said::percent($use, $stop), 'limit' => Said::percent($stop)]),
            Limit::over($use, $watch) => Finding::watch('critical_lift', $said + ['use' => Said::percent($use, $watch), 'limit' => Said::percent($watch)]),
            default => Finding::note('carries', $said + ['use' => Said::percent($use, $watch), 'clear' => Said::length($used['wall'])]),
        };

        // The lift itself is the headline of a clear verdict.
        return array_reverse($findings);
    }

    /**
     * @param array<string, Value> $values gets the distances
     * @return list<Finding>
     */
    private static function line(Input $in, float $radius, array &$values): array
    {
        $line = $in->group('power_line');
        if ($line === null) {
            return [];
        }
        $feet = self::APPROACH_UNKNOWN;
        if ($line->given('kv')) {
            foreach (array_reverse(self::APPROACH, true) as $upTo => $keep) {
                $feet = Limit::over($line->number('kv'), (float) $upTo) ? $feet : $keep;
            }
        }
        $keep = $feet * self::FOOT;
        $left = $line->number('distance') - $radius - ($in->maybe('unit_length') ?? 0.0) / 2;
        $values += ['approach_distance' => Value::long($keep), 'line_clearance' => Value::long($left)];

        return Limit::under($left, $keep) ? [Finding::stop('power_line', ['left' => Said::length(max(0.0, $left), $keep), 'keep' => Said::length($keep)])] : [];
    }
}
