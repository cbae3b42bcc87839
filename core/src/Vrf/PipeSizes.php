<?php

declare(strict_types=1);

namespace IronStart\Core\Vrf;

use IronStart\Core\Check\Input;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;

/** Both lines of each pipe against the sheet's table of sizes by what is behind it. */
final class PipeSizes
{
    /** @return list<Finding> */
    public static function findings(PipeTree $tree, Input $limits): array
    {
        $found = [];
        foreach ($limits->given('sizes') ? $tree->pipes : [] as $pipe) {
            $carried = $tree->carried($pipe);
            if ($carried > 0.0) {
                array_push($found, ...self::of($pipe, $carried, $limits->items('sizes')));
            }
        }

        return $found;
    }

    /**
     * @param float       $carried W
     * @param list<Input> $rows    in the order of the sheet
     * @return list<Finding>
     */
    private static function of(Input $pipe, float $carried, array $rows): array
    {
        [$from, $to] = [$pipe->text('from'), $pipe->text('to')];
        $said = ['from' => $from, 'to' => $to, 'heat' => Said::heat($carried)];
        $row = array_values(array_filter($rows, fn (Input $row): bool => ! Limit::over($carried, $row->number('up_to'))))[0] ?? null;
        if (! $pipe->all('liquid_od', 'gas_od')) {
            return [Finding::open("no_od:$from>$to", ['from' => $from, 'to' => $to])];
        }
        if ($row === null) {
            return [Finding::open("no_size:$from>$to", $said)];
        }
        $said += ['liquid' => Said::tube($row->number('liquid_od')), 'gas' => Said::tube($row->number('gas_od'))];
        $by = array_map(fn (string $of): int => $pipe->number($of) <=> $row->number($of), ['liquid_od', 'gas_od']);

        return [
            ...(in_array(-1, $by, true) ? [Finding::stop("pipe_small:$from>$to", $said)] : []),
            ...(in_array(1, $by, true) ? [Finding::watch("pipe_large:$from>$to", $said)] : []),
        ];
    }
}
