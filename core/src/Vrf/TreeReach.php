<?php

declare(strict_types=1);

namespace IronStart\Core\Vrf;

use IronStart\Core\Check\Input;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Units;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Value;

/**
 * How far a system reaches: each length and height of it at the path where it is greatest, in ft, and how much hangs on
 * how much.
 */
final readonly class TreeReach
{
    /** Each that has a limit of its own name with max_ before it. */
    private const LIMITED = ['total', 'farthest_actual', 'farthest_equivalent', 'after_first_joint', 'height_outdoor_above', 'height_outdoor_below', 'height_between_indoor', 'box_to_indoor', 'branch_difference'];

    /**
     * @param array<string, Value>        $values
     * @param array<string, list<string>> $paths  where each is greatest, from end to end
     */
    private function __construct(public array $values, public array $paths)
    {
    }

    public static function of(PipeTree $tree, Input $limits): self
    {
        $feet = $paths = [];
        $keep = /** @param list<string> $path */ function (string $what, float $ft, array $path) use (&$feet, &$paths): void {
            if (! isset($feet[$what]) || $ft > $feet[$what]) {
                [$feet[$what], $paths[$what]] = [$ft, $path];
            }
        };
        $keep('total', array_sum(array_map(fn (Input $pipe): float => (float) $pipe->in('actual', 'ft'), $tree->pipes)), []);
        [$joint, $box] = [$limits->in('joint_equivalent', 'ft') ?? 0.0, $limits->in('box_equivalent', 'ft') ?? 0.0];
        $indoor = $tree->of('indoor');
        $heights = [];
        foreach ($tree->of('outdoor') as $outdoor) {
            $ways = $tree->waysFrom($outdoor, $joint, $box);
            foreach ($indoor as $unit) {
                $way = $ways[$unit];
                $keep('farthest_actual', $way['actual'], $way['path']);
                $keep('farthest_equivalent', $way['equivalent'], $way['path']);
                $keep('height_outdoor_above', -$way['rise'], $way['path']);
                $keep('height_outdoor_below', $way['rise'], $way['path']);
                $heights[$unit] ??= $way['rise'];
            }
        }
        self::behind($tree, $indoor, $keep);
        if ($heights !== []) {
            [$low, $high] = [(string) array_search(min($heights), $heights, true), (string) array_search(max($heights), $heights, true)];
            $keep('height_between_indoor', max($heights) - min($heights), [$low, $high]);
        }
        $values = [];
        foreach (self::LIMITED as $what) {
            if (isset($feet[$what])) {
                $values[$what] = Value::of($feet[$what], 'ft');
            }
        }
        $there = $tree->capacity($tree->of('outdoor'), 'outdoor');
        if ($there > 0.0) {
            $values['connection_ratio'] = Value::of(100 * $tree->capacity($indoor, 'indoor') / $there, '%');
        }

        /** @var array<string, list<string>> $paths */
        return new self($values, $paths);
    }

    /**
     * What is measured from a joint or a box on.
     *
     * @param list<string>                                $indoor
     * @param \Closure(string, float, list<string>): void $keep
     */
    private static function behind(PipeTree $tree, array $indoor, \Closure $keep): void
    {
        $first = $tree->firstJoint();
        $ways = $first === null ? [] : array_intersect_key($tree->waysFrom($first, 0.0, 0.0), array_flip($tree->indoorBelow($first)));
        $keep('after_first_joint', 0.0, []);
        foreach ($ways as $way) {
            $keep('after_first_joint', $way['actual'], $way['path']);
        }
        if (count($ways) > 1) {
            $lengths = array_map(fn (array $way): float => $way['actual'], $ways);
            $keep('branch_difference', max($lengths) - min($lengths), [(string) array_search(min($lengths), $lengths, true), (string) array_search(max($lengths), $lengths, true)]);
        }
        foreach ($tree->of('box') as $box) {
            $own = array_filter($indoor, fn (string $unit): bool => $tree->boxOf($unit) === $box);
            foreach ($own === [] ? [] : array_intersect_key($tree->waysFrom($box, 0.0, 0.0), array_flip($own)) as $way) {
                $keep('box_to_indoor', $way['actual'], $way['path']);
            }
        }
    }

    public function metres(string $what): float
    {
        return isset($this->values[$what]) ? Units::toCanonical((float) $this->values[$what]->value, 'ft', Kind::Length) : 0.0;
    }

    /** @return list<Finding> of each that is over what the sheet allows */
    public function over(Input $limits): array
    {
        $found = [];
        foreach (self::LIMITED as $what) {
            $limit = $limits->in("max_$what", 'ft');
            if ($limit !== null && isset($this->values[$what]) && Limit::over((float) $this->values[$what]->value, $limit)) {
                $found[] = Finding::stop("{$what}_over", ['length' => Said::length($this->metres($what), $limits->number("max_$what")), 'limit' => Said::length($limits->number("max_$what"))] + ($what === 'total' ? [] : ['path' => implode(' > ', $this->paths[$what])]));
            }
        }

        return $found;
    }

    /** @return list<Finding> */
    public function ratio(Input $limits): array
    {
        $ratio = isset($this->values['connection_ratio']) ? (float) $this->values['connection_ratio']->value : null;
        [$low, $high] = [$limits->in('ratio_min', '%'), $limits->in('ratio_max', '%')];

        return match (true) {
            $ratio === null => [],
            $low !== null && Limit::under($ratio, $low) => [Finding::stop('ratio_low', ['ratio' => Said::percent($ratio, $low), 'limit' => Said::percent($low)])],
            $high !== null && Limit::over($ratio, $high) => [Finding::stop('ratio_high', ['ratio' => Said::percent($ratio, $high), 'limit' => Said::percent($high)])],
            default => [],
        };
    }
}
