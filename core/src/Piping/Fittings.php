<?php

declare(strict_types=1);

namespace IronStart\Core\Piping;

use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Quantity\TubeSize;

/**
 * What the fittings of a line count as in length, by its outside diameter.
 *
 * The usual table of refrigerant line fittings, in feet; a hand-bent sweep is half a long elbow.
 */
final class Fittings
{
    /** ft: short elbow, long elbow, tee, globe valve, angle valve. */
    private const TABLE = [
        '1/4 in' => [0.6, 0.4, 0.4, 5.5, 2.5], '3/8 in' => [1.0, 0.7, 0.7, 9, 4], '1/2 in' => [1.4, 0.9, 0.9, 11, 6],
        '5/8 in' => [1.6, 1.0, 1.0, 13, 7], '3/4 in' => [1.8, 1.2, 1.2, 15, 8], '7/8 in' => [2.2, 1.4, 1.4, 20, 10],
        '1-1/8 in' => [2.6, 1.7, 1.7, 26, 13], '1-3/8 in' => [3.3, 2.2, 2.2, 34, 17], '1-5/8 in' => [4.0, 2.6, 2.6, 40, 20],
        '2-1/8 in' => [5.0, 3.3, 3.3, 52, 26],
    ];
    private const COUNTED = ['elbows_short', 'elbows_long', 'tees', 'valves_globe', 'valves_angle'];
    private const LONG_ELBOW = 1;

    /** @return list<Field> how many of each */
    public static function fields(): array
    {
        return array_map(fn (string $name): Field => Field::count($name, 0, 10_000)->default(0), ['elbows_short', 'elbows_long', 'bends', 'tees', 'valves_globe', 'valves_angle']);
    }

    /** Whether anybody counted them, none of a kind too. */
    public static function areCounted(Input $run): bool
    {
        return array_filter([...self::COUNTED, 'bends'], $run->given(...)) !== [];
    }

    /** Whether there are any. */
    public static function areThere(Input $run): bool
    {
        return array_filter([...self::COUNTED, 'bends'], fn (string $name): bool => ($run->maybe($name) ?? 0.0) > 0.0) !== [];
    }

    /** @return float ft that they count as @param float $od m */
    public static function feet(Input $run, float $od): float
    {
        $row = self::TABLE[TubeSize::written($od)];
        $feet = $run->int('bends') * $row[self::LONG_ELBOW] / 2;
        foreach (self::COUNTED as $i => $name) {
            $feet += $run->int($name) * $row[$i];
        }

        return $feet;
    }

    /** @return float ft that long elbows in place of the short ones would save @param float $od m */
    public static function saved(Input $run, float $od): float
    {
        $row = self::TABLE[TubeSize::written($od)];

        return $run->int('elbows_short') * ($row[0] - $row[self::LONG_ELBOW]);
    }
}
