<?php

declare(strict_types=1);

namespace IronStart\Core\Tests;

/** What makes one cause another, a hold a hold and a unit a sister. As in Limits. */
final class LimitsCauses
{
    /** @return array<string, array<string, array<int, mixed>>> */
    public static function all(): array
    {
        $fact = fn (string $fact, string $machine = 'A', ?string $when = null, ?string $part = null): array => array_filter(['machine' => $machine, 'fact' => $fact, 'evidence' => 'seen', 'when' => $when, 'part' => $part], fn (?string $v): bool => $v !== null);
        $facts = fn (string ...$words): array => ['facts' => array_map(fn (string $word): array => $fact($word), $words)];
        $one = fn (string ...$checked): array => ['machines' => [['name' => 'A', 'checked' => $checked]]];
        $two = fn (array $first, array $second): array => ['machines' => [['name' => 'A'] + $first, ['name' => 'B'] + $second]];
        $phase = ['fuses', 'connections', 'contactor', 'voltage'];
        $said = fn (string $machine, array $what): array => array_map(fn (string $w): string => "inspect:$machine:$w", $what);
        $lost = ['cause:lost_phase:A', ...$said('A', $phase), 'hold:A:phases'];
        $both = [...$lost, 'cause:lost_phase:B', ...$said('B', $phase), 'hold:B:phases'];
        $twice = ['facts' => [$fact('single_phasing'), $fact('single_phasing', 'B')]];
        $drain = ['cause:drain:A', ...$said('A', ['trap', 'vent', 'pan', 'float'])];
        $reversed = ['cause:reversed_supply:A', ...$said('A', ['rotation', 'windings', 'oil_acid']), 'hold:A:rotation'];
        $killed = ['cause:reversed_supply_killed_compressor:A', ...$said('A', ['rotation', 'windings', 'insulation', 'oil_acid', 'contactor']), 'hold:A:rotation', 'hold:A:compressor_isolated'];
        $burnt = ['cause:burnt_compressor:A', ...$said('A', ['insulation', 'windings', 'oil_acid', 'voltage', 'rotation']), 'hold:A:compressor_isolated'];
        $dated = fn (string $root, string $death): array => ['facts' => [$fact('supply_reversed', 'A', $root), $fact('compressor_grounded', 'A', $death)]];
        $share = fn (string $machine, string ...$what): array => array_map(fn (string $w): string => "sister:$machine:$w", $what);

        return ['diagnose.root_cause' => [
            'nothing and something' => [$one(), [['facts' => []], 'clear', []], [$facts('no_heat'), 'watch', ['unexplained:A:no_heat', ...$said('A', ['gas_valve', 'control_voltage'])]]],
            'a death makes it another cause' => [$one(), [$facts('supply_reversed', 'blower_reversed'), 'stop', $reversed], [$facts('supply_reversed', 'compressor_grounded'), 'stop', $killed]],
            'dead before it was reversed' => [$one(), [$dated('2026-05-01T08:00', '2026-05-01T08:00'), 'stop', $killed], [$dated('2026-05-01T08:00', '2026-05-01T07:59'), 'stop', [...$reversed, 'inspect:A:insulation', 'inspect:A:voltage', 'cause:burnt_compressor:A', 'hold:A:compressor_isolated']]],
            'the earliest root counts' => [$one(), [['facts' => [$fact('trap_missing', 'A', '2026-05-03T08:00'), $fact('vent_blocked', 'A', '2026-05-01T08:00'), $fact('water_in_building', 'A', '2026-05-02T08:00')]], 'stop', [...$drain, 'hold:A:pan']], [['facts' => [$fact('trap_missing', 'A', '2026-05-03T08:00'), $fact('water_in_building', 'A', '2026-05-02T08:00')]], 'stop', [...$drain, 'hold:A:pan', 'unexplained:A:water_in_building']]],
            'a symptom with no date goes with it' => [$one(), [['facts' => [$fact('trap_missing', 'A', '2026-05-03T08:00'), $fact('water_in_building')]], 'stop', [...$drain, 'hold:A:pan']], [['facts' => [$fact('trap_missing', 'A', '2026-05-03T08:00'), $fact('water_in_building', 'A', '2026-05-03T07:00')]], 'stop', [...$drain, 'hold:A:pan', 'unexplained:A:water_in_building']]],
            'a hold that is done' => [$facts('trap_missing'), [$one('pan'), 'watch', ['cause:drain:A', ...$said('A', ['trap', 'vent', 'float'])]], [$one('trap'), 'stop', ['cause:drain:A', ...$said('A', ['vent', 'pan', 'float']), 'hold:A:pan']]],
            'the same fact of another part' => [$one(), [['facts' => [$fact('compressor_grounded', 'A', null, 'C1'), $fact('compressor_grounded', 'A', null, ' c1 ')]], 'stop', $burnt], [['facts' => [$fact('compressor_grounded', 'A', null, 'C1'), $fact('compressor_grounded', 'A', null, 'C2'), $fact('breaker_tripped')]], 'stop', [...$burnt, 'hold:A:insulation', 'reset_once:A']]],
            'what tripped, the megohms read' => [$facts('breaker_tripped'), [$one('insulation'), 'watch', ['unexplained:A:breaker_tripped', ...$said('A', ['windings', 'voltage_at_start']), 'reset_once:A']], [$one('windings'), 'stop', ['unexplained:A:breaker_tripped', ...$said('A', ['insulation', 'voltage_at_start']), 'hold:A:insulation', 'reset_once:A']]],
            'a fuse is no breaker, and is as much' => [$facts('fuse_blown'), [$one('insulation'), 'watch', ['unexplained:A:fuse_blown', ...$said('A', ['windings', 'voltage_at_start']), 'reset_once:A']], [$one(), 'stop', ['unexplained:A:fuse_blown', ...$said('A', ['insulation', 'windings', 'voltage_at_start']), 'hold:A:insulation', 'reset_once:A']]],
            'acid behind a cut-off compressor' => [$facts('acid'), [$one('compressor_isolated'), 'watch', ['unexplained:A:acid', ...$said('A', ['oil_acid', 'drier', 'windings', 'insulation'])]], [$one('windings'), 'stop', ['unexplained:A:acid', ...$said('A', ['oil_acid', 'drier', 'insulation']), 'hold:A:oil_acid']]],
            'acid that was cleaned up' => [$facts('acid'), [$one('oil_acid'), 'watch', ['unexplained:A:acid', ...$said('A', ['drier', 'windings', 'insulation'])]], [$one('drier'), 'stop', ['unexplained:A:acid', ...$said('A', ['oil_acid', 'windings', 'insulation']), 'hold:A:oil_acid']]],
            'sisters by crew' => [$facts('trap_dry'), [$two(['job' => 'J', 'crew' => 'north'], ['job' => 'J', 'crew' => 'south']), 'stop', [...$drain, 'hold:A:pan']], [$two(['job' => 'J', 'crew' => 'north'], ['job' => 'J', 'crew' => 'north']), 'stop', [...$drain, 'hold:A:pan', ...$share('B', 'trap', 'vent')]]],
            'sisters by day' => [$facts('trap_dry'), [$two(['job' => 'J', 'crew' => 'north', 'installed' => 'May'], ['job' => 'J', 'crew' => 'south', 'installed' => 'June']), 'stop', [...$drain, 'hold:A:pan']], [$two(['job' => 'J', 'crew' => 'north', 'installed' => 'May'], ['job' => 'J', 'crew' => 'south', 'installed' => 'May']), 'stop', [...$drain, 'hold:A:pan', ...$share('B', 'trap', 'vent')]]],
            'sisters of which nobody said' => [$facts('trap_dry'), [$two(['job' => 'J', 'crew' => 'north'], ['job' => 'K']), 'stop', [...$drain, 'hold:A:pan']], [$two(['job' => 'J', 'crew' => 'north'], ['job' => 'J']), 'stop', [...$drain, 'hold:A:pan', ...$share('B', 'trap', 'vent')]]],
            'a sister that was looked at' => [$facts('trap_dry'), [$two(['job' => 'J'], ['job' => 'J', 'checked' => ['trap', 'vent']]), 'stop', [...$drain, 'hold:A:pan']], [$two(['job' => 'J'], ['job' => 'J', 'checked' => ['trap']]), 'stop', [...$drain, 'hold:A:pan', ...$share('B', 'vent')]]],
            'of one supply, of an electric cause only' => [$two(['supply' => 'MDP'], ['supply' => 'MDP']), [$facts('trap_dry'), 'stop', [...$drain, 'hold:A:pan']], [$facts('single_phasing'), 'stop', [...$lost, ...$share('B', 'voltage', 'connections')]]],
            'two of one supply' => [$twice, [$two(['supply' => 'P1'], ['supply' => 'P2']), 'stop', $both], [$two(['supply' => 'P1'], ['supply' => 'P1']), 'stop', [...$both, 'feeder:P1']]],
            'a third that has all its legs' => [$twice, [['machines' => [['name' => 'A', 'supply' => 'P1'], ['name' => 'B', 'supply' => 'P1'], ['name' => 'C', 'supply' => 'P1', 'checked' => ['phases']]]], 'stop', [...$both, ...$share('C', 'voltage', 'connections')]], [['machines' => [['name' => 'A', 'supply' => 'P1'], ['name' => 'B', 'supply' => 'P1'], ['name' => 'C', 'supply' => 'P1', 'checked' => ['voltage']]]], 'stop', [...$both, ...$share('C', 'connections'), 'feeder:P1']]],
            'on two sisters' => [$twice, [$two(['job' => 'J', 'crew' => 'north'], ['job' => 'J', 'crew' => 'south']), 'stop', $both], [$two(['job' => 'J'], ['job' => 'J']), 'stop', [...$both, 'pattern:single_phasing']]],
        ]];
    }
}
