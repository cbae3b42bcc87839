<?php

declare(strict_types=1);

namespace IronStart\Core\Vrf;

use IronStart\Core\Check\Input;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Value;

/**
 * Where every node of a system is drawn: a layer for each step from the first outdoor unit, indoor units side by side in
 * the order their pipes were listed, what serves them above their middle. A pipe that is added moves only what stands
 * after it. What nothing joins stands in a layer of its own below.
 */
final class TreeLayout
{
    /** What has a limit of its own, and is shown beside it. */
    private const SHOWN = ['total' => 'max_total', 'farthest_actual' => 'max_farthest_actual', 'farthest_equivalent' => 'max_farthest_equivalent', 'after_first_joint' => 'max_after_first_joint', 'box_to_indoor' => 'max_box_to_indoor', 'branch_difference' => 'max_branch_difference', 'height_outdoor_above' => 'max_height_outdoor_above', 'height_outdoor_below' => 'max_height_outdoor_below', 'height_between_indoor' => 'max_height_between_indoor'];
    /** @var array<string, float> */
    private array $x = [];
    /** @var array<string, int> */
    private array $layer = [];
    private float $next = 0.0;

    private function __construct(private readonly PipeTree $tree)
    {
    }

    /**
     * @param array<string, Value> $values of the judgement
     * @return array<string, mixed> shape `tree`: nodes with `x` (0, 1, 2 …) and `layer`, pipes with their figures in words, limits with how near the nearest path comes
     */
    public static function of(Input $in, ?Input $limits, array $values): array
    {
        $tree = new PipeTree($in);
        $layout = new self($tree);
        $outdoor = $tree->of('outdoor');
        if ($outdoor !== []) {
            $layout->place($outdoor[0], 0);
        }
        $last = $layout->layer === [] ? -1 : max($layout->layer);
        foreach ($tree->orphans() as $i => $id) {
            [$layout->x[$id], $layout->layer[$id]] = [(float) $i, $last + 1];
        }
        foreach (array_slice($outdoor, 1) as $more) {
            // A further module stands beside the first, over what joins them.
            $layout->layer[$more] = 0;
        }
        $reach = $tree->hasLoop() || $tree->orphans() !== [] || $limits === null ? null : TreeReach::of($tree, $limits);

        return ['shape' => 'tree', 'nodes' => $layout->nodes(), 'pipes' => self::pipes($tree), 'limits' => $reach === null ? [] : self::limits($reach, $limits, $values)];
    }

    private function place(string $id, int $layer): void
    {
        $this->layer[$id] = $layer;
        $this->x[$id] = 0.0;
        $below = array_values(array_filter($this->tree->below($id), fn (string $next): bool => ! isset($this->layer[$next])));
        foreach ($below as $next) {
            $this->place($next, $layer + 1);
        }
        $this->x[$id] = $below === [] ? $this->next++ : ($this->x[$below[0]] + $this->x[$below[count($below) - 1]]) / 2;
    }

    /** @return list<array<string, mixed>> */
    private function nodes(): array
    {
        $ports = new TreePorts($this->tree);
        $nodes = [];
        foreach ($this->tree->nodes as $key => $node) {
            $id = (string) $key;
            $nodes[] = array_filter([
                'id' => $id, 'kind' => $node->text('kind'), 'x' => $this->x[$id] ?? 0.0, 'layer' => $this->layer[$id] ?? 0,
                'room' => $node->text('room'), 'address' => $node->text('address'),
                'capacity' => $node->given('capacity') ? Said::heat($node->number('capacity')) : null,
                'ports' => $node->text('kind') === 'box' && $node->given('ports') ? $ports->of($id) : null,
            ], fn (mixed $told): bool => $told !== null && $told !== '');
        }

        return $nodes;
    }

    /** @return list<array<string, mixed>> */
    private static function pipes(PipeTree $tree): array
    {
        return array_map(fn (Input $pipe): array => array_filter([
            'from' => $pipe->text('from'), 'to' => $pipe->text('to'),
            'length' => Said::length($pipe->number('actual')),
            'rise' => ($pipe->maybe('rise') ?? 0.0) === 0.0 ? null : Said::length($pipe->number('rise')),
            'liquid' => $pipe->given('liquid_od') ? Said::tube($pipe->number('liquid_od')) : null,
            'gas' => $pipe->given('gas_od') ? Said::tube($pipe->number('gas_od')) : null,
            'ports' => array_map(intval(...), $pipe->numbers('ports')),
        ], fn (mixed $told): bool => $told !== null && $told !== []), $tree->pipes);
    }

    /**
     * @param array<string, Value> $values
     * @return list<array<string, mixed>> of each limit of the sheet: what comes nearest to it, and along which path
     */
    private static function limits(TreeReach $reach, ?Input $limits, array $values): array
    {
        $rows = [];
        foreach (self::SHOWN as $what => $name) {
            if ($limits === null || ! isset($values[$what]) || ! $limits->given($name)) {
                continue;
            }
            [$value, $most] = [(float) $values[$what]->value, (float) $limits->in($name, 'ft')];
            $rows[] = [
                'word' => $what, 'value' => Said::length($reach->metres($what)), 'limit' => Said::length($limits->number($name)),
                'share' => $most > 0.0 ? $value / $most : ($value > 0.0 ? 2.0 : 0.0), 'is' => Limit::over($value, $most) ? 'stop' : 'plain', 'path' => $reach->paths[$what] ?? [],
            ];
        }
        $ratio = isset($values['connection_ratio']) ? (float) $values['connection_ratio']->value : null;
        $most = $limits?->in('ratio_max', '%');
        if ($ratio !== null && $most !== null && $most > 0.0) {
            $rows[] = ['word' => 'connection_ratio', 'value' => Said::percent($ratio), 'limit' => Said::percent($most), 'share' => $ratio / $most, 'is' => Limit::over($ratio, $most) ? 'stop' : 'plain', 'path' => []];
        }

        return $rows;
    }
}
