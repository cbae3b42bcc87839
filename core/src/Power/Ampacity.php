<?php

declare(strict_types=1);

namespace IronStart\Core\Power;

use IronStart\Core\Verdict\Limit;

/**
 * Conductors in a raceway: ampacity at 30 °C and resistance per 1000 ft.
 *
 * The North American table, since plates that give MCA and MOCP follow it. Kept as data in
 * `data/conductors.php`; local code decides.
 */
final class Ampacity
{
    /** Aluminum's resistance against copper's, same size. */
    private const ALUMINUM_RESISTANCE = 1.64;

    /** @var array{cu: array<string, array{60: float, 75: float, 90: float}>, al: array<string, array{60: float, 75: float, 90: float}>, ohms_per_1000_ft: array<string, float>, ambient_factors: array<int, array<int, float>>}|null */
    private static ?array $data = null;

    /** @return list<string> sizes from small to large */
    public static function sizes(string $material): array
    {
        return array_map(strval(...), array_keys(self::data()[self::metal($material)]));
    }

    /** @return float|null A at 30 °C, in the column of an insulation or terminal rating (60, 75, 90 °C) */
    public static function of(string $material, string $size, int $column): ?float
    {
        return self::data()[self::metal($material)][$size][$column] ?? null;
    }

    /**
     * The table's factor for an ambient other than 30 °C; null where the table has none for this insulation.
     *
     * @param int   $column  60, 75 or 90 °C
     * @param float $celsius of the air around
     */
    public static function factor(int $column, float $celsius): ?float
    {
        foreach (self::data()['ambient_factors'] as $upTo => $factors) {
            if (! Limit::over($celsius, (float) $upTo)) {
                return $factors[$column] ?? null;
            }
        }

        return null;
    }

    /** Ohm per 1000 ft of one conductor. */
    public static function resistance(string $material, string $size): float
    {
        $copper = self::data()['ohms_per_1000_ft'][$size] ?? throw new \OutOfBoundsException("No resistance for size $size.");

        return $material === 'al' ? $copper * self::ALUMINUM_RESISTANCE : $copper;
    }

    /** @return 'cu'|'al' */
    private static function metal(string $material): string
    {
        return $material === 'al' ? 'al' : 'cu';
    }

    /** @return array{cu: array<string, array{60: float, 75: float, 90: float}>, al: array<string, array{60: float, 75: float, 90: float}>, ohms_per_1000_ft: array<string, float>, ambient_factors: array<int, array<int, float>>} */
    private static function data(): array
    {
        return self::$data ??= require dirname(__DIR__, 2) . '/data/conductors.php';
    }
}
