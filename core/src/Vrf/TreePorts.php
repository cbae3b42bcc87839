<?php

declare(strict_types=1);

namespace IronStart\Core\Vrf;

use IronStart\Core\Check\Input;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;

/** The ports of branch boxes: which pipe leaves from which, and which are free and not capped. */
final readonly class TreePorts
{
    /** @var array<string, array<int, list<string>>> by box and port, where its pipes go */
    private array $used;

    public function __construct(private PipeTree $tree)
    {
        $used = [];
        foreach ($tree->pipes as $pipe) {
            foreach ($pipe->numbers('ports') as $port) {
                $used[$pipe->text('from')][(int) $port][] = $pipe->text('to');
            }
        }
        $this->used = $used;
    }

    /** How many ports no pipe leaves from, capped or not. */
    public function free(): int
    {
        return array_sum(array_map(fn (string $box): int => count($this->freeOf($box)), $this->tree->of('box')));
    }

    /** @return list<array{port: int, is: string}> of a box in their order: used, twice, capped or open */
    public function of(string $box): array
    {
        $capped = array_map(intval(...), $this->tree->nodes[$box]->numbers('capped'));
        $is = fn (int $port): string => match (true) {
            isset($this->used[$box][$port]) => count($this->used[$box][$port]) > 1 ? 'twice' : 'used',
            default => in_array($port, $capped, true) ? 'capped' : 'open',
        };

        return array_map(fn (int $port): array => ['port' => $port, 'is' => $is($port)], range(1, max(1, $this->tree->nodes[$box]->int('ports'))));
    }

    /** @return list<Finding> */
    public function findings(Input $limits): array
    {
        $found = [];
        foreach ($this->tree->of('box') as $box) {
            foreach ($this->used[$box] ?? [] as $port => $ends) {
                if ($port < 1 || $port > $this->tree->nodes[$box]->int('ports')) {
                    $found[] = Finding::stop("no_such_port:$box:$port", ['box' => $box, 'port' => $port, 'ports' => $this->tree->nodes[$box]->int('ports')]);
                } elseif (count($ends) > 1) {
                    $found[] = Finding::stop("port_twice:$box:$port", ['box' => $box, 'port' => $port, 'ends' => $ends]);
                }
            }
            $capped = array_map(intval(...), $this->tree->nodes[$box]->numbers('capped'));
            foreach (array_diff($this->freeOf($box), $capped) as $port) {
                $found[] = Finding::stop("port_open:$box:$port", ['box' => $box, 'port' => $port]);
            }
        }
        foreach ($limits->given('port_capacity') ? $this->tree->pipes : [] as $pipe) {
            $most = count($pipe->numbers('ports')) * $limits->number('port_capacity');
            $there = $this->tree->carried($pipe);
            if ($pipe->given('ports') && Limit::over($there, $most)) {
                $found[] = Finding::stop("port_overloaded:{$pipe->text('to')}", ['to' => $pipe->text('to'), 'heat' => Said::heat($there), 'most' => Said::heat($most), 'count' => count($pipe->numbers('ports'))]);
            }
        }

        return $found;
    }

    /** @return list<int> */
    private function freeOf(string $box): array
    {
        return array_values(array_diff(range(1, max(1, $this->tree->nodes[$box]->int('ports'))), array_keys($this->used[$box] ?? [])));
    }
}
