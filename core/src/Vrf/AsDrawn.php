<?php

declare(strict_types=1);

namespace IronStart\Core\Vrf;

use IronStart\Core\Check\Past;

/**
 * What the tree as it was drawn last says to the checks that follow: who has an address, who runs on which box, which
 * rooms are called, how much line there is of each size.
 *
 * @phpstan-type Node array<string, mixed>
 */
final class AsDrawn
{
    private const ADDRESSED = ['outdoor', 'box', 'indoor'];

    /** @return list<array<string, mixed>> everything that has an address, an indoor unit with its box */
    public static function devices(Past $past): array
    {
        $devices = [];
        foreach (self::nodes($past) as $node) {
            if (in_array($node['kind'] ?? '', self::ADDRESSED, true)) {
                $box = $node['kind'] === 'indoor' ? self::boxOf($past, (string) $node['id']) : null;
                $devices[] = ['id' => $node['id'], 'kind' => $node['kind']] + ($box === null ? [] : ['box' => $box]) + (is_numeric($node['address'] ?? null) ? ['address' => (int) $node['address']] : []);
            }
        }

        return $devices;
    }

    /** @return list<string> */
    public static function indoor(Past $past): array
    {
        return array_values(array_map(fn (array $node): string => (string) $node['id'], array_filter(self::nodes($past), fn (array $node): bool => ($node['kind'] ?? '') === 'indoor')));
    }

    /** @return string|null with its unit, as it was typed on the tree; null where the unit is not on it, or has none */
    public static function capacity(Past $past, string $unit): ?string
    {
        $capacity = array_column(self::nodes($past), 'capacity', 'id')[$unit] ?? null;

        return is_string($capacity) ? $capacity : null;
    }

    /** @return list<string> the room of each indoor unit, or its name where it has none or shares one */
    public static function zones(Past $past): array
    {
        $rooms = array_count_values(array_filter(array_map(fn (array $node): string => is_string($node['room'] ?? null) ? $node['room'] : '', self::nodes($past)), fn (string $room): bool => $room !== ''));
        $zones = [];
        foreach (self::nodes($past) as $node) {
            if (($node['kind'] ?? '') === 'indoor') {
                $room = is_string($node['room'] ?? null) ? $node['room'] : '';
                $zones[] = ($rooms[$room] ?? 0) === 1 ? $room : (string) $node['id'];
            }
        }

        return $zones;
    }

    /** @return list<array{id: string, indoor: list<string>}> boxes with their indoor units; those on no box hang on what feeds them */
    public static function boxes(Past $past): array
    {
        $boxes = [];
        foreach (self::indoor($past) as $unit) {
            $boxes[self::boxOf($past, $unit) ?? 'joint'][] = $unit;
        }

        return array_map(fn (string $box, array $units): array => ['id' => $box, 'indoor' => $units], array_map(strval(...), array_keys($boxes)), array_values($boxes));
    }

    /** @return list<array{liquid_od: mixed, length: mixed}> each pipe whose liquid line is known */
    public static function lines(Past $past): array
    {
        return array_values(array_map(fn (array $pipe): array => ['liquid_od' => $pipe['liquid_od'], 'length' => $pipe['actual']], array_filter(self::pipes($past), fn (array $pipe): bool => isset($pipe['liquid_od'], $pipe['actual']))));
    }

    private static function boxOf(Past $past, string $id): ?string
    {
        $kinds = array_column(self::nodes($past), 'kind', 'id');
        $above = array_column(self::pipes($past), 'from', 'to');
        $seen = [];
        for ($at = $above[$id] ?? null; is_string($at) && ! isset($seen[$at]); $at = $above[$at] ?? null) {
            if (($kinds[$at] ?? '') === 'box') {
                return $at;
            }
            $seen[$at] = true;
        }

        return null;
    }

    /** @return list<array<string, mixed>> */
    private static function nodes(Past $past): array
    {
        return self::list(Topology::last($past)['nodes'] ?? null);
    }

    /** @return list<array<string, mixed>> */
    private static function pipes(Past $past): array
    {
        return self::list(Topology::last($past)['pipes'] ?? null);
    }

    /** @return list<array<string, mixed>> */
    private static function list(mixed $items): array
    {
        return array_values(array_filter(is_array($items) ? $items : [], is_array(...)));
    }
}
