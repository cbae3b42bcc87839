<?php

declare(strict_types=1);

namespace IronStart\Core\Tests;

/** Wires by kind, color and place; volts against a nameplate. As in Limits. */
final class LimitsVrf
{
    private const TERMINALS = [['name' => 'L1', 'kind' => 'power'], ['name' => 'L2', 'kind' => 'power'], ['name' => 'S1', 'kind' => 'signal'], ['name' => 'S2', 'kind' => 'signal'], ['name' => 'E', 'kind' => 'earth']];

    /** @return array<string, array<string, array<int, mixed>>> */
    public static function all(): array
    {
        return ['vrf.wire_map' => self::wires() + self::places()];
    }

    /** @return array<string, array<int, mixed>> */
    private static function wires(): array
    {
        $end = fn (string $text): array => array_map(fn (string $one): array => array_combine(['terminal', 'colour'], explode(' ', $one, 2)), explode(', ', $text));
        $map = fn (string $near, string $far, array $more = []): array => ['terminals' => self::TERMINALS, 'circuits' => [['name' => 'bus', 'near' => $end($near), 'far' => $end($far)] + $more]];
        $red = 'S1 red, S2 black';
        $crossed = ['kind_crossed:bus'];

        return [
            'one terminal further' => [[], [$map($red, $red), 'clear', []], [$map($red, 'S2 red, S1 black'), 'watch', ['colour_swapped:bus']]],
            'with a polarity' => [[], [$map($red, 'S2 red, S1 black'), 'watch', ['colour_swapped:bus']], [$map($red, 'S2 red, S1 black', ['polar' => true]), 'stop', ['polarity:bus']]],
            'another kind' => [[], [$map($red, 'S2 red, S1 black'), 'watch', ['colour_swapped:bus']], [$map($red, 'L1 red, S2 black'), 'stop', $crossed]],
            'a ground is another kind' => [[], [$map('S1 red', 'S1 red'), 'clear', []], [$map('S1 red', 'E red'), 'stop', $crossed]],
            'a color seen once' => [[], [$map($red, $red), 'clear', []], [$map($red, 'S1 red'), 'watch', ['colour_lost:bus:black']]],
            'a color that changes, kind by kind' => [[], [$map($red, 'S1 red, S2 blue'), 'watch', ['colour_lost:bus:black', 'colour_lost:bus:blue']], [$map($red, 'S1 red, L1 blue'), 'stop', ['colour_lost:bus:black', 'colour_lost:bus:blue', 'kind_crossed:bus']]],
            'more here than there' => [[], [$map($red, 'S1 blue'), 'watch', ['colour_lost:bus:red', 'colour_lost:bus:black', 'colour_lost:bus:blue']], [$map($red, 'S1 blue, L1 white'), 'stop', ['colour_lost:bus:red', 'colour_lost:bus:black', 'colour_lost:bus:blue', 'colour_lost:bus:white', 'kind_crossed:bus']]],
            'a color twice' => [[], [$map('L1 black, L2 black', 'L2 black, L1 black'), 'clear', []], [$map('L1 black, L2 black', 'L1 black, S2 black'), 'stop', $crossed]],
            'what it carries' => [[], [$map('L1 red, L2 black', 'L1 red, L2 black', ['carries' => 'power']), 'clear', []], [$map('L1 red, L2 black', 'L1 red, L2 black', ['carries' => 'signal']), 'stop', $crossed]],
            'what a supply carries' => [[], [$map($red, $red, ['carries' => 'signal']), 'clear', []], [$map($red, $red, ['carries' => 'power']), 'stop', $crossed]],
            'a ground goes along with either' => [[], [$map('L1 red, E green', 'L1 red, E green', ['carries' => 'power']), 'clear', []], [$map('L1 red, E green', 'L1 red, E green', ['carries' => 'signal']), 'stop', $crossed]],
            'two under one screw' => [[], [$map('E red, E black', 'E red, E black'), 'clear', []], [$map('S1 red, S1 black', 'S1 red, S1 black'), 'watch', ['doubled:bus']]],
            'two under one screw at the far end' => [[], [$map($red, $red), 'clear', []], [$map($red, 'S1 red, S1 black'), 'watch', ['colour_swapped:bus', 'doubled:bus']]],
        ];
    }

    /** @return array<string, array<int, mixed>> */
    private static function places(): array
    {
        $wire = ['terminals' => self::TERMINALS, 'circuits' => [['name' => 'bus', 'near' => [['terminal' => 'S1', 'colour' => 'red']], 'far' => [['terminal' => 'S1', 'colour' => ' Red ']]]]];
        $shield = fn (bool $near, bool $far): array => ['terminals' => self::TERMINALS, 'circuits' => [$wire['circuits'][0] + ['shield' => ['near_grounded' => $near, 'far_grounded' => $far]]]];
        $supply = fn (string $plate, string $volts): array => ['supplies' => [['name' => 'B1', 'plate_voltage' => $plate, 'volts' => $volts]]];
        $port = fn (string $wire, string $pipe): array => ['ports' => [['port' => '3', 'wire_zone' => $wire, 'pipe_zone' => $pipe]]];
        $feeds = fn (string ...$legs): array => ['feeds' => array_map(fn (string $l, int $i): array => ['box' => "B$i", 'legs' => $l], $legs, array_keys($legs))];

        return [
            'grounded at the outdoor end only' => [[], [$shield(true, false), 'clear', []], [$shield(true, true), 'watch', ['shield_both:bus']]],
            'grounded at the other end' => [[], [$shield(true, false), 'clear', []], [$shield(false, true), 'watch', ['shield_far:bus']]],
            'grounded nowhere' => [[], [$shield(true, false), 'clear', []], [$shield(false, false), 'watch', ['shield_none:bus']]],
            'nine tenths of the lowest' => [$wire, [$supply('208-230', '187.2 V'), 'clear', []], [$supply('208-230', '187.1 V'), 'stop', ['wrong_supply:B1']]],
            'eleven tenths of the highest' => [$wire, [$supply('208-230', '253 V'), 'clear', []], [$supply('208-230', '253.1 V'), 'stop', ['wrong_supply:B1']]],
            'a port on its own zone' => [$wire, [$port('office 2', 'Office 2 '), 'clear', []], [$port('office 2', 'office 1'), 'stop', ['zone_mismatch:3']]],
            'boxes on the same legs' => [$wire, [$feeds('L1 L2', 'l1l2'), 'clear', []], [$feeds('L1 L2', 'L2 L3'), 'stop', ['feeds_differ']]],
            'a map that is not there' => [$supply('115', '118 V'), [$wire, 'clear', []], [[], 'open', ['missing:terminals', 'missing:circuits']]],
        ];
    }
}
