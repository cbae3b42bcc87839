<?php

declare(strict_types=1);

namespace IronStart\Core\Verdict;

/**
 * The shapes a reading is drawn in, as data. Each has one painter for the screen and one for paper.
 *
 * A name is a text of the person's, or a word of the lexicon's group "drawn", given as `word`.
 */
final class Drawn
{
    /**
     * A figure on a scale of bands.
     *
     * @param list<array{to: float, is: Status}> $bands rising, the first from $from
     * @return array<string, mixed>
     */
    public static function scale(string $unit, float $from, array $bands, ?float $value, bool $byDecades = false): array
    {
        return [
            'shape' => 'scale', 'unit' => $unit, 'from' => $from, 'decades' => $byDecades, 'value' => $value,
            'bands' => array_map(fn (array $band): array => ['to' => $band['to'], 'is' => $band['is']->value], $bands),
        ];
    }

    /**
     * Bars on one scale from nothing.
     *
     * @param list<array{name?: string, word?: string, value: float|null, is?: string}> $bars `is`: plain, pale or stop
     * @param float|null $limit where the scale has a line
     * @return array<string, mixed>
     */
    public static function bars(string $unit, array $bars, ?float $limit = null): array
    {
        return ['shape' => 'bars', 'unit' => $unit, 'limit' => $limit, 'bars' => array_map(fn (array $bar): array => $bar + ['is' => 'plain'], $bars)];
    }

    /**
     * Three legs side by side against what is allowed.
     *
     * @param list<array{name: string, value: float|null, is: string}> $legs
     * @param list<array{name: string, value: float|null}> $ground each line to ground
     * @return array<string, mixed>
     */
    public static function legs(string $unit, ?float $low, ?float $high, ?float $average, array $legs, array $ground = []): array
    {
        return ['shape' => 'legs', 'unit' => $unit, 'low' => $low, 'high' => $high, 'average' => $average, 'legs' => $legs, 'ground' => $ground];
    }
}
