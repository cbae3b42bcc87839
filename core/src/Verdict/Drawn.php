<?php

declare(strict_types=1);

namespace IronStart\Core\Verdict;

use IronStart\Core\Quantity\Units;

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
     * @param array{string, string}|null $told the units it is told in, by system, where $unit is a canonical one
     * @return array<string, mixed>
     */
    public static function scale(string $unit, float $from, array $bands, ?float $value, bool $byDecades = false, ?array $told = null): array
    {
        return ($told === null ? [] : ['told' => $told]) + [
            'shape' => 'scale', 'unit' => $unit, 'from' => $from, 'decades' => $byDecades, 'value' => $value,
            'bands' => array_map(fn (array $band): array => ['to' => $band['to'], 'is' => $band['is']->value], $bands),
        ];
    }

    /**
     * Bars on one scale from nothing.
     *
     * @param list<array{name?: string, word?: string, value: float|null, is?: string}> $bars `is`: plain, pale or stop
     * @param float|null $limit where the scale has a line
     * @param array{string, string}|null $told the units it is told in, by system, where $unit is a canonical one
     * @return array<string, mixed>
     */
    public static function bars(string $unit, array $bars, ?float $limit = null, ?array $told = null): array
    {
        return ['shape' => 'bars', 'unit' => $unit, 'limit' => $limit, 'bars' => array_map(fn (array $bar): array => $bar + ['is' => 'plain'], $bars)]
            + ($told === null ? [] : ['told' => $told]);
    }

    /**
     * A column that fills: what belongs in it, one part above the other, and how far it stands.
     *
     * @param list<array{word: string, value: float, said: Said}> $parts from the bottom up; a negative one takes away
     * @param float $filled in the unit of the parts
     * @param 'plain'|'stop' $is of what stands in it
     * @param array{word: string, said: Said}|null $large the one figure to be read from afar
     * @return array<string, mixed>
     */
    public static function column(array $parts, float $filled, string $is, ?array $large): array
    {
        return ['shape' => 'column', 'parts' => $parts, 'filled' => $filled, 'is' => $is] + ($large === null ? [] : ['large' => $large]);
    }

    /**
     * Steps one after the other that add up, with the height they may reach.
     *
     * @param list<array{word: string, value: float, is: string}> $steps in their order; `is`: plain or stop
     * @param float|null $limit of their sum
     * @param array{string, string} $told the units it is told in, by system, where $unit is a canonical one
     * @return array<string, mixed>
     */
    public static function stairs(string $unit, array $steps, ?float $limit, array $told): array
    {
        return ['shape' => 'stairs', 'unit' => $unit, 'limit' => $limit, 'bars' => $steps, 'told' => $told];
    }

    /**
     * What may be the cause, the likeliest first, with what speaks for it and against it.
     *
     * @param list<array{word: string, value: float}> $features what was read: how far off, in tolerances, below nothing low
     * @param list<array{word: string, value: float, speaks: list<float|null>}> $causes each with its score (0 to 1), and how far each feature speaks for it: −1 to 1, null for nothing
     * @param float $limit the score from which a cause is named
     * @return array<string, mixed>
     */
    public static function ranking(array $features, array $causes, float $limit): array
    {
        return ['shape' => 'ranking', 'features' => $features, 'causes' => $causes, 'limit' => $limit];
    }

    /**
     * What was read over time.
     *
     * @param list<array{float, float}> $points time and figure, rising
     * @param list<array{word: string, value: float, is: string}> $lines across, such as a limit
     * @param array{string, string} $told the units the figures are told in, by system, where $unit is a canonical one
     * @param int $from the first point that counts
     * @param string $across the unit of time: min, h
     * @param bool $byDecades the figures on a logarithmic scale; none of them is 0
     * @param list<array{float, float}> $fit what was fitted to them, carried on
     * @param list<array{float, float, float}> $band where a reading may lie: time, from, to
     * @return array<string, mixed>
     */
    public static function curve(string $unit, array $points, array $lines, array $told, int $from = 0, string $across = 'min', bool $byDecades = false, array $fit = [], array $band = []): array
    {
        return ['shape' => 'curve', 'unit' => $unit, 'across' => $across, 'decades' => $byDecades, 'points' => $points, 'lines' => $lines, 'from' => $from, 'fit' => $fit, 'band' => $band, 'told' => $told];
    }

    /**
     * A drawing with its figures in the units of the system asked for.
     *
     * @param array<string, mixed> $drawing
     * @param 'us'|'si' $units
     * @return array<string, mixed>
     */
    public static function asked(array $drawing, string $units): array
    {
        foreach (is_array($drawing['marks'] ?? null) ? $drawing['marks'] : [] as $i => $mark) {
            if (is_array($mark) && $mark['value'] instanceof Value) {
                $value = $mark['value']->asked($units);
                $drawing['marks'][$i] = ['value' => $value->value, 'unit' => $value->unit] + $mark;
            }
        }
        foreach (is_array($drawing['figures'] ?? null) ? $drawing['figures'] : [] as $name => $figure) {
            if ($figure instanceof Value) {
                $value = $figure->asked($units);
                $drawing['figures'][$name] = ['value' => $value->value, 'unit' => $value->unit];
            }
        }
        if (isset($drawing['units'])) {
            $drawing['units'] = $units;
        }
        $told = $drawing['told'] ?? null;
        unset($drawing['told']);
        if (! is_array($told) || ! is_string($drawing['unit'] ?? null)) {
            return $drawing;
        }
        $unit = $told[$units === 'us' ? 0 : 1];
        $kind = Units::kindOf($drawing['unit'], $unit);
        $in = fn (?float $v): ?float => $v === null ? null : Units::fromCanonical($v, $unit, $kind);
        $drawing['unit'] = $unit;
        foreach (['bars', 'lines'] as $list) {
            foreach (is_array($drawing[$list] ?? null) ? $drawing[$list] : [] as $i => $one) {
                $drawing[$list][$i]['value'] = $in($one['value']);
            }
        }
        foreach (['points', 'fit', 'band'] as $list) {
            if (is_array($drawing[$list] ?? null)) {
                // The first of each is its time.
                $drawing[$list] = array_map(fn (array $p): array => [$p[0], ...array_map($in, array_slice($p, 1))], $drawing[$list]);
            }
        }
        foreach (is_array($drawing['bands'] ?? null) ? $drawing['bands'] : [] as $i => $band) {
            $drawing['bands'][$i]['to'] = $in($band['to']);
        }
        foreach (['limit', 'value', 'from'] as $one) {
            // The curve's "from" is a place in its points.
            if (is_float($drawing[$one] ?? null)) {
                $drawing[$one] = $in($drawing[$one]);
            }
        }

        return $drawing;
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
