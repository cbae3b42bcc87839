<?php

declare(strict_types=1);

namespace IronStart\Core\Power;

/**
 * Conductors in a raceway: ampacity at 30 °C and resistance per 1000 ft.
 *
 * The North American table, since plates that give MCA and MOCP follow it. Kept as data in
 * `data/conductors.php`; local code decides.
 */
final class Ampacity
{
    /** Aluminium's resistance against copper's, same size. */
    private const ALUMINIUM_RESISTANCE = 1.64;

    /** @var array{cu: array<string, array{60: float, 75: float, 90: float}>, al: array<string, array{60: float, 75: float, 90: float}>, ohms_per_1000_ft: array<string, float>}|null */
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

    /** Ohm per 1000 ft of one conductor. */
    public static function resistance(string $material, string $size): float
    {
        $copper = self::data()['ohms_per_1000_ft'][$size] ?? throw new \OutOfBoundsException("No resistance for size $size.");

        return $material === 'al' ? $copper * self::ALUMINIUM_RESISTANCE : $copper;
    }

    /** @return 'cu'|'al' */
    private static function metal(string $material): string
    {
        return $material === 'al' ? 'al' : 'cu';
    }

    /** @return array{cu: array<string, array{60: float, 75: float, 90: float}>, al: array<string, array{60: float, 75: float, 90: float}>, ohms_per_1000_ft: array<string, float>} */
    private static function data(): array
    {
        return self::$data ??= require dirname(__DIR__, 2) . '/data/conductors.php';
    }
}
