<?php

declare(strict_types=1);

namespace IronStart\Core\Power;

use IronStart\Core\Verdict\Limit;

/** Standard ratings of breakers and fuses, A: the electrical code's list, without those for small loads. */
final class StandardSizes
{
    private const ALL = [
        15, 20, 25, 30, 35, 40, 45, 50, 60, 70, 80, 90, 100, 110, 125, 150, 175, 200, 225, 250, 300, 350, 400, 450,
        500, 600, 700, 800, 1000, 1200,
    ];

    /** The largest one that is over neither so many amps nor another size; the least there is below that. */
    public static function notOver(float $amps, int $largest = 1200): int
    {
        $fitting = array_filter(self::ALL, fn (int $size): bool => $size <= $largest && ! Limit::over((float) $size, $amps));

        return $fitting === [] ? self::ALL[0] : max($fitting);
    }

    /** The least one that is not under so many amps; null where all are. */
    public static function notUnder(float $amps): ?int
    {
        foreach (self::ALL as $size) {
            if (! Limit::under((float) $size, $amps)) {
                return $size;
            }
        }

        return null;
    }
}
