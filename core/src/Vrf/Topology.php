<?php

declare(strict_types=1);

namespace IronStart\Core\Vrf;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Draws;
use IronStart\Core\Check\DrawsOnRecord;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\Past;
use IronStart\Core\Piping\Fittings;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Value;

/**
 * The system as a tree, from outdoor unit to every indoor unit: one tree, nothing left over, and every length, height,
 * count, port and pipe size against the sheet's own limits. A limit the sheet does not give is not judged.
 *
 * Source: the limits are the sheet's; the ports and the way a joint is set are judged in any case.
 */
final class Topology implements Check, Draws, DrawsOnRecord
{
    private const KINDS = ['outdoor', 'joint', 'box', 'indoor'];

    public function id(): string
    {
        return 'vrf.topology';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $is = fn (string ...$kinds): \Closure => fn (Input $node): bool => in_array($node->text('kind'), $kinds, true);
        $length = fn (string $name): Field => Field::length($name, 'm', 0, 10_000)->startsIn('ft')->fromSheet("vrf.limits.$name");
        $small = fn (string $name): Field => Field::length($name, 'm', 0, 100)->startsIn('ft')->takesFractions()->fromSheet("vrf.limits.$name");
        $count = fn (string $name): Field => Field::count($name, 0, 10_000)->fromSheet("vrf.limits.$name");
        $heat = fn (string $name): Field => Field::quantity($name, Kind::Heat, 'kW', 0, 10_000)->startsIn('MBH')->readWith(null);

        return [
            Field::items(
                'nodes',
                Field::text('id', 20)->structural(),
                Field::word('kind', ...self::KINDS)->structural(),
                $heat('capacity')->neededWhen($is('outdoor', 'indoor')),
                Field::count('ports', 1, 64)->neededWhen($is('box')),
                Field::numbers('capped', 0, 64),
                Field::word('set', 'straight', 'tilted', 'backwards')->default('straight'),
                Field::text('address', 20),
                Field::text('room', 60),
            )->needed(),
            Field::items(
                'pipes',
                Field::text('from', 20)->structural(),
                Field::text('to', 20)->structural(),
                Field::length('actual', 'm', 0, 10_000)->startsIn('ft')->structural(),
                Field::length('rise', 'm', -1000, 1000)->startsIn('ft')->default('0 ft'),
                Field::tube('liquid_od'),
                Field::tube('gas_od')->neededWhen(Fittings::areThere(...)),
                ...[...Fittings::fields(), Field::numbers('ports', 0, 64)],
            )->needed(),
            Field::group(
                'limits',
                ...array_map($length, ['max_total', 'max_farthest_actual', 'max_farthest_equivalent', 'max_after_first_joint', 'max_height_outdoor_above', 'max_height_outdoor_below', 'max_height_between_indoor']),
                ...array_map($small, ['joint_equivalent', 'box_equivalent']),
                ...array_map($length, ['max_box_to_indoor', 'max_branch_difference']),
                ...[$small('min_between_joints')],
                ...array_map(fn (string $name): Field => Field::percent($name, 0, 1000)->readWith(null)->fromSheet("vrf.limits.$name"), ['ratio_min', 'ratio_max']),
                ...array_map($count, ['max_indoor', 'max_boxes', 'max_per_box']),
                ...[
                    $heat('port_capacity')->fromSheet('vrf.limits.port_capacity'),
                    Field::flag('box_after_box')->fromSheet('vrf.limits.box_after_box'),
                    Field::items('sizes', $heat('up_to')->structural()->fromSheet('up_to'), Field::tube('liquid_od')->structural()->fromSheet('liquid_od'), Field::tube('gas_od')->structural()->fromSheet('gas_od'))->fromSheet('vrf.sizes'),
                ],
            )->needed(),
        ];
    }

    /** As built it starts from what was planned; as planned, from what was planned last. */
    public static function bringsIn(Past $past, string $subject): array
    {
        $last = self::last($past, $subject);

        return $last === null ? [] : array_intersect_key($last, ['nodes' => 1, 'pipes' => 1, 'limits' => 1]);
    }

    /**
     * The tree as it was drawn last: as built, or where nobody drew that, as planned.
     *
     * @return array<string, mixed>|null its input
     */
    public static function last(Past $past, string $subject = 'built'): ?array
    {
        return ($past->last('vrf.topology', $subject) ?? $past->last('vrf.topology', 'planned'))['input'] ?? null;
    }

    public function contradictions(Input $in): iterable
    {
        $kinds = [];
        foreach ($in->items('nodes') as $i => $node) {
            if (isset($kinds[$node->text('id')])) {
                yield InputError::at("nodes.$i.id", $node->text('id'), 'a name that is not used twice', 'is used twice');
            }
            $kinds[$node->text('id')] = $node->text('kind');
            yield from self::whole($node, 'capped', "nodes.$i");
            if ($node->given('set') && $node->text('kind') !== 'joint') {
                yield new InputError("nodes.$i.set", $node->text('set'), 'given of a joint only', "nodes.$i.set: only a joint is set straight or tilted. Leave it out.");
            }
        }
        foreach ($kinds === [] ? [] : $in->items('pipes') as $i => $pipe) {
            yield from self::whole($pipe, 'ports', "pipes.$i");
            foreach (['from', 'to'] as $end) {
                if (! isset($kinds[$pipe->text($end)])) {
                    yield new InputError("pipes.$i.$end", $pipe->text($end), implode(', ', array_keys($kinds)), "pipes.$i.$end: nothing is called {$pipe->text($end)}. Enter: " . implode(', ', array_keys($kinds)) . '.');
                }
            }
            if ($pipe->given('ports') && ($kinds[$pipe->text('from')] ?? 'box') !== 'box') {
                yield new InputError("pipes.$i.ports", $pipe->numbers('ports'), 'given of a pipe that leaves a box', "pipes.$i.ports: {$pipe->text('from')} is no branch box. Leave the ports out.");
            }
        }
        $limits = $in->group('limits');
        if ($limits !== null && $limits->all('ratio_min', 'ratio_max') && $limits->number('ratio_min') > $limits->number('ratio_max')) {
            yield new InputError('limits.ratio_max', $limits->in('ratio_max', '%'), 'no less than ratio_min', 'limits.ratio_max: it is less than ratio_min. Look whether the two are swapped.');
        }
    }

    public function judge(Input $in): Judgement
    {
        $basis = [Finding::note('basis')];
        $missing = [...Missing::in($in), ...self::portless($in)];
        if ($missing !== []) {
            return new Judgement($missing, basis: $basis);
        }
        $tree = new PipeTree($in);
        $orphans = array_map(fn (string $id): Finding => Finding::stop("orphan:$id", ['id' => $id]), $tree->orphans());
        if ($tree->hasLoop() || $orphans !== []) {
            return new Judgement([...($tree->hasLoop() ? [Finding::stop('loop')] : []), ...$orphans], basis: $basis);
        }
        $limits = $in->group('limits') ?? throw new \LogicException('No limits.');
        $reach = TreeReach::of($tree, $limits);
        $ports = new TreePorts($tree);
        $findings = [
            ...$reach->over($limits),
            ...self::counts($tree, $limits, $reach),
            ...$ports->findings($limits),
            ...PipeSizes::findings($tree, $limits),
            ...self::joints($tree, $limits),
        ];
        if (array_filter($in->items('pipes'), fn (Input $pipe): bool => $pipe->given('rise')) === [] && array_filter(['max_height_outdoor_above', 'max_height_outdoor_below', 'max_height_between_indoor'], $limits->given(...)) !== []) {
            $findings[] = Finding::open('no_rises');
        }
        if (! self::isLimited($limits)) {
            $findings[] = Finding::open('no_limits');
        }
        $values = $reach->values + ['indoor' => Value::of(count($tree->of('indoor')), '1'), 'free_ports' => Value::of($ports->free(), '1')];
        if (Judgement::worst($findings) === Status::Clear) {
            $findings[] = Finding::note('legal', ['indoor' => count($tree->of('indoor')), 'farthest' => Said::length($reach->metres('farthest_actual'))]);
        }

        return new Judgement($findings, $values, basis: $basis);
    }

    public static function drawing(Input $in, array $values): array
    {
        return $in->items('nodes') === [] ? [] : TreeLayout::of($in, $in->group('limits'), $values);
    }

    /** @return iterable<InputError> */
    private static function whole(Input $of, string $name, string $path): iterable
    {
        foreach ($of->numbers($name) as $i => $number) {
            if (floor($number) !== $number) {
                yield InputError::at("$path.$name.$i", $number, 'the number of a port', 'is not a whole number');
            }
        }
    }

    /** @return list<Finding> of each pipe that leaves a box from no port */
    private static function portless(Input $in): array
    {
        $boxes = array_filter($in->items('nodes'), fn (Input $node): bool => $node->text('kind') === 'box');
        $ids = array_map(fn (Input $node): string => $node->text('id'), $boxes);
        $found = [];
        foreach ($in->items('pipes') as $i => $pipe) {
            if (! $pipe->given('ports') && in_array($pipe->text('from'), $ids, true)) {
                $found[] = Missing::at("pipes.$i.ports", $pipe->text('to'));
            }
        }

        return $found;
    }

    /** What a joint or a box counts as is no limit: nothing is judged by it alone. */
    private static function isLimited(Input $limits): bool
    {
        $names = ['max_total', 'max_farthest_actual', 'max_farthest_equivalent', 'max_after_first_joint', 'max_height_outdoor_above', 'max_height_outdoor_below', 'max_height_between_indoor', 'max_box_to_indoor', 'max_branch_difference', 'min_between_joints', 'ratio_min', 'ratio_max', 'max_indoor', 'max_boxes', 'max_per_box', 'port_capacity', 'box_after_box', 'sizes'];

        return array_filter($names, $limits->given(...)) !== [];
    }

    /** @return list<Finding> */
    private static function counts(PipeTree $tree, Input $limits, TreeReach $reach): array
    {
        [$indoor, $boxes] = [$tree->of('indoor'), $tree->of('box')];
        $found = $reach->ratio($limits);
        if ($limits->given('max_indoor') && count($indoor) > $limits->int('max_indoor')) {
            $found[] = Finding::stop('too_many_indoor', ['count' => count($indoor), 'most' => $limits->int('max_indoor')]);
        }
        if ($limits->given('max_boxes') && count($boxes) > $limits->int('max_boxes')) {
            $found[] = Finding::stop('too_many_boxes', ['count' => count($boxes), 'most' => $limits->int('max_boxes')]);
        }
        $on = array_count_values(array_filter(array_map($tree->boxOf(...), $indoor), is_string(...)));
        foreach ($limits->given('max_per_box') ? $boxes : [] as $box) {
            if (($on[$box] ?? 0) > $limits->int('max_per_box')) {
                $found[] = Finding::stop("too_many_on:$box", ['box' => $box, 'count' => $on[$box] ?? 0, 'most' => $limits->int('max_per_box')]);
            }
        }
        foreach ($limits->given('box_after_box') && ! $limits->flag('box_after_box') ? $boxes : [] as $box) {
            $other = $tree->boxOf($box);
            if ($other !== null) {
                $found[] = Finding::stop("box_after_box:$box", ['box' => $box, 'other' => $other]);
            }
        }

        return $found;
    }

    /** @return list<Finding> how far apart joints are, and which way round */
    private static function joints(PipeTree $tree, Input $limits): array
    {
        $found = [];
        foreach ($limits->given('min_between_joints') ? $tree->pipes : [] as $pipe) {
            [$from, $to] = [$pipe->text('from'), $pipe->text('to')];
            $isBetween = $tree->nodes[$from]->text('kind') === 'joint' && $tree->nodes[$to]->text('kind') === 'joint';
            if ($isBetween && Limit::under((float) $pipe->in('actual', 'ft'), (float) $limits->in('min_between_joints', 'ft'))) {
                $found[] = Finding::stop("joints_near:$from>$to", ['from' => $from, 'to' => $to, 'length' => Said::small($pipe->number('actual')), 'least' => Said::small($limits->number('min_between_joints'))]);
            }
        }
        foreach ($tree->of('joint') as $id) {
            $set = $tree->nodes[$id]->text('set');
            if ($set === 'backwards') {
                $found[] = Finding::stop("joint_backwards:$id", ['id' => $id]);
            } elseif ($set === 'tilted') {
                $found[] = Finding::watch("joint_tilted:$id", ['id' => $id]);
            }
        }

        return $found;
    }
}
