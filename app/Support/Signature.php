<?php

declare(strict_types=1);

namespace App\Support;

use App\Refusals\Refusal;

/** A signature drawn by hand: strokes of points on a field one wide and one high, from its upper left corner. */
final readonly class Signature
{
    private const STROKES = 60;
    private const POINTS = 4_000;
    private const FEWEST = 8;
    private const PLACES = 4;

    /** @param list<list<array{float, float}>> $strokes */
    private function __construct(public array $strokes)
    {
    }

    /** @throws Refusal when it is no drawing, too large, or hardly more than a dot */
    public static function of(mixed $given): self
    {
        $strokes = [];
        $count = 0;
        foreach (is_array($given) ? $given : [] as $i => $stroke) {
            $points = [];
            foreach (is_array($stroke) ? $stroke : [] as $point) {
                $isPoint = is_array($point) && array_is_list($point) && count($point) === 2 && is_numeric($point[0]) && is_numeric($point[1]);
                if (! $isPoint || $point[0] < 0 || $point[0] > 1 || $point[1] < 0 || $point[1] > 1) {
                    throw Refusal::field("strokes.$i", $point, 'points [x, y] from 0 to 1');
                }
                $points[] = [round((float) $point[0], self::PLACES), round((float) $point[1], self::PLACES)];
            }
            $count += count($points);
            $strokes[] = $points;
        }
        if ($count < self::FEWEST || $count > self::POINTS || count($strokes) > self::STROKES) {
            throw Refusal::field('strokes', null, 'a signature drawn by hand: ' . self::FEWEST . ' to ' . self::POINTS . ' points in at most ' . self::STROKES . ' strokes');
        }

        return new self($strokes);
    }
}
