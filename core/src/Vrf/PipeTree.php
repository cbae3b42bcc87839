<?php

declare(strict_types=1);

namespace IronStart\Core\Vrf;

use IronStart\Core\Check\Input;
use IronStart\Core\Piping\Fittings;

/**
 * The pipes of a system between its outdoor, joint, box and indoor nodes, walked from any of them. A pipe may be written
 * either way round; its rise is up from where it begins.
 *
 * @phpstan-type Way array{actual: float, equivalent: float, rise: float, path: list<string>}
 */
final readonly class PipeTree
{
    /** @var array<string, Input> by id */
    public array $nodes;
    /** @var list<Input> */
    public array $pipes;
    /** @var array<string, list<array{to: string, pipe: int, up: float}>> what each node is joined to */
    private array $beside;
    /** @var array<string, string> toward the first outdoor unit, of each node that is reached; '' of that unit itself */
    private array $above;
    /** @var array<string, array{indoor: float, outdoor: float}> W that hang at and below each node that is reached */
    private array $hang;

    public function __construct(Input $in)
    {
        $nodes = $beside = [];
        foreach ($in->items('nodes') as $node) {
            $nodes[$node->text('id')] = $node;
            $beside[$node->text('id')] = [];
        }
        foreach ($in->items('pipes') as $i => $pipe) {
            $rise = $pipe->in('rise', 'ft') ?? 0.0;
            $beside[$pipe->text('from')][] = ['to' => $pipe->text('to'), 'pipe' => $i, 'up' => $rise];
            $beside[$pipe->text('to')][] = ['to' => $pipe->text('from'), 'pipe' => $i, 'up' => -$rise];
        }
        [$this->nodes, $this->pipes, $this->beside] = [$nodes, $in->items('pipes'), $beside];
        $open = array_slice($this->of('outdoor'), 0, 1);
        $above = array_fill_keys($open, '');
        for ($i = 0; $i < count($open); $i++) {
            foreach ($this->beside[$open[$i]] as $step) {
                if (! isset($above[$step['to']])) {
                    $above[$step['to']] = $open[$i];
                    $open[] = $step['to'];
                }
            }
        }
        $this->above = $above;
        $hang = [];
        // From the far ends back to the first outdoor unit.
        foreach (array_reverse($open) as $at) {
            $kind = $nodes[$at]->text('kind');
            $own = $nodes[$at]->maybe('capacity') ?? 0.0;
            $hang[$at] = ['indoor' => ($hang[$at]['indoor'] ?? 0.0) + ($kind === 'indoor' ? $own : 0.0), 'outdoor' => ($hang[$at]['outdoor'] ?? 0.0) + ($kind === 'outdoor' ? $own : 0.0)];
            if ($above[$at] !== '') {
                $up = $hang[$above[$at]] ?? ['indoor' => 0.0, 'outdoor' => 0.0];
                $hang[$above[$at]] = ['indoor' => $up['indoor'] + $hang[$at]['indoor'], 'outdoor' => $up['outdoor'] + $hang[$at]['outdoor']];
            }
        }
        $this->hang = $hang;
    }

    /** @return list<string> the nodes of one kind, in the order they are listed */
    public function of(string $kind): array
    {
        return array_values(array_map(strval(...), array_keys(array_filter($this->nodes, fn (Input $node): bool => $node->text('kind') === $kind))));
    }

    /** More than one way between two nodes, over pipes in either direction. */
    public function hasLoop(): bool
    {
        $root = array_combine(array_keys($this->nodes), array_map(strval(...), array_keys($this->nodes)));
        $find = function (string $id) use (&$root): string {
            while ($root[$id] !== $id) {
                $id = $root[$id];
            }

            return $id;
        };
        foreach ($this->pipes as $pipe) {
            [$from, $to] = [$find($pipe->text('from')), $find($pipe->text('to'))];
            if ($from === $to) {
                return true;
            }
            $root[$from] = $to;
        }

        return false;
    }

    /** @return list<string> the nodes that no pipe joins to the first outdoor unit */
    public function orphans(): array
    {
        return array_values(array_map(strval(...), array_keys(array_diff_key($this->nodes, $this->above))));
    }

    /** @return list<string> from a node to the first outdoor unit, itself first */
    public function up(string $id): array
    {
        $way = [];
        for ($at = $id; $at !== ''; $at = $this->above[$at] ?? '') {
            $way[] = $at;
        }

        return $way;
    }

    /** @return list<string> the nodes next below one, as they are listed by its pipes */
    public function below(string $id): array
    {
        return array_values(array_map(fn (array $step): string => $step['to'], array_filter($this->beside[$id], fn (array $step): bool => ($this->above[$step['to']] ?? '') === $id)));
    }

    /** The nearest box on its way to the first outdoor unit, itself left out; null for none. */
    public function boxOf(string $id): ?string
    {
        foreach (array_slice($this->up($id), 1) as $at) {
            if ($this->nodes[$at]->text('kind') === 'box') {
                return $at;
            }
        }

        return null;
    }

    /**
     * Every way from one node, in ft.
     *
     * @return array<string, Way> by the node at its end; the equivalent one counts what is passed in between too
     */
    public function waysFrom(string $id, float $joint, float $box): array
    {
        $passed = ['joint' => $joint, 'box' => $box];
        $ways = [$id => ['actual' => 0.0, 'equivalent' => 0.0, 'rise' => 0.0, 'path' => [$id]]];
        $open = [$id];
        for ($i = 0; $i < count($open); $i++) {
            $at = $open[$i];
            $here = $ways[$at];
            $through = $at === $id ? 0.0 : $passed[$this->nodes[$at]->text('kind')] ?? 0.0;
            foreach ($this->beside[$at] as $step) {
                if (isset($ways[$step['to']])) {
                    continue;
                }
                $pipe = $this->pipes[$step['pipe']];
                $length = (float) $pipe->in('actual', 'ft');
                $fittings = Fittings::areThere($pipe) && $pipe->given('gas_od') ? Fittings::feet($pipe, $pipe->number('gas_od')) : 0.0;
                $ways[$step['to']] = [
                    'actual' => $here['actual'] + $length,
                    'equivalent' => $here['equivalent'] + $through + $length + $fittings,
                    'rise' => $here['rise'] + $step['up'],
                    'path' => [...$here['path'], $step['to']],
                ];
                $open[] = $step['to'];
            }
        }

        return $ways;
    }

    /** The first joint or box from the first outdoor unit on that parts the way to indoor units; null where none does. */
    public function firstJoint(): ?string
    {
        $at = $this->of('outdoor')[0] ?? null;
        while ($at !== null) {
            $served = array_values(array_filter($this->below($at), fn (string $next): bool => $this->indoorBelow($next) !== []));
            if (count($served) > 1 && in_array($this->nodes[$at]->text('kind'), ['joint', 'box'], true)) {
                return $at;
            }
            $at = $served[0] ?? null;
        }

        return null;
    }

    /** @return list<string> the indoor units at and below a node */
    public function indoorBelow(string $id): array
    {
        $found = $this->nodes[$id]->text('kind') === 'indoor' ? [$id] : [];
        foreach ($this->below($id) as $next) {
            array_push($found, ...$this->indoorBelow($next));
        }

        return $found;
    }

    /** @param list<string> $ids @return float W that those of one kind among them have together */
    public function capacity(array $ids, string $kind): float
    {
        return array_sum(array_map(fn (string $id): float => $this->nodes[$id]->text('kind') === $kind ? $this->nodes[$id]->maybe('capacity') ?? 0.0 : 0.0, $ids));
    }

    /**
     * What a pipe has to carry: the indoor units behind it; with several outdoor units the larger, over its two directions,
     * of the lesser of the indoor units on one side and the outdoor units on the other.
     *
     * @return float W; 0 where nothing is behind it
     */
    public function carried(Input $pipe): float
    {
        [$from, $to] = [$pipe->text('from'), $pipe->text('to')];
        $behind = $this->hang[($this->above[$to] ?? '') === $from ? $to : $from];
        $outdoor = $this->of('outdoor');
        if (count($outdoor) < 2) {
            return $behind['indoor'];
        }
        $all = $this->hang[$outdoor[0]];

        return max(min($behind['indoor'], $all['outdoor'] - $behind['outdoor']), min($all['indoor'] - $behind['indoor'], $behind['outdoor']));
    }
}
