<?php

declare(strict_types=1);

namespace App\Records;

use App\Views\TapeEntry;
use IronStart\Core\Quantity\Units;

/** The drawings of the paper record, as SVG: what was seen on the bench, and how people signed. */
final class Drawings
{
    private const INK = '#1b1f22';
    /** How much taller a coil over its chart makes it. */
    private const COIL = 78;
    private const RULE = '#cfcabd';
    private const STOP = '#9c1f17';
    private const CLEAR = '#1f5a3c';
    private const SIGN_WIDTH = 300;
    private const SIGN_HEIGHT = 90;

    private const WATCH = '#6e4d00';
    private const SOFT = '#59636a';
    private const BAND = '#e7e2d4';
    private const FOOT = 178.0;
    private const TOP = 24.0;
    /** What is left of a bar that is far too low, so that it is still one. */
    private const STUMP = 12.0;

    /**
     * What a check is drawn as; empty for one that has no drawing.
     *
     * @param float $width of a drawing to scale, and how tall it may get
     */
    public static function of(TapeEntry $entry, float $width = 320.0, float $tallest = 300.0): string
    {
        /** @var array<string, mixed> $drawing */
        $drawing = json_decode((string) json_encode($entry->drawing), true);

        return $drawing === [] && $entry->check === 'power.voltage' ? self::legs(self::legsOf($entry)) : self::drawn($drawing, $width, $tallest);
    }

    /**
     * A drawing as it is kept.
     *
     * @param array<string, mixed> $drawing
     */
    public static function drawn(array $drawing, float $width = 320.0, float $tallest = 300.0): string
    {
        return match ($drawing['shape'] ?? (isset($drawing['turns']) ? 'rotation' : '')) {
            'rotation' => self::rotation($drawing),
            'legs' => self::legs($drawing),
            'scale' => self::scale($drawing),
            'bars' => self::bars($drawing),
            'column' => self::column($drawing),
            'ranking' => self::ranking($drawing),
            'stairs' => self::stairs($drawing),
            'psychrometric' => self::psychrometric($drawing),
            'wires' => self::wires($drawing),
            'tree' => TreeDrawing::svg($drawing),
            'ladder' => self::ladder($drawing),
            'curve' => self::curve($drawing),
            'dome' => self::dome($drawing),
            'scene' => SceneDrawing::svg($drawing, $width, $tallest),
            default => '',
        };
    }

    /**
     * A signature as the hand drew it.
     *
     * @param list<list<array{float, float}>> $strokes
     */
    public static function signature(array $strokes): string
    {
        $paths = '';
        foreach ($strokes as $stroke) {
            $points = array_map(fn (array $p): string => self::n($p[0] * self::SIGN_WIDTH) . ' ' . self::n($p[1] * self::SIGN_HEIGHT), $stroke);
            $paths .= '<path d="M' . implode(' L', $points) . '" fill="none" stroke="' . self::INK . '" stroke-width="2" stroke-linecap="round" stroke-linejoin="round"/>';
        }

        return self::svg(self::SIGN_WIDTH, self::SIGN_HEIGHT, $paths);
    }

    /** @param array<string, mixed> $drawing */
    private static function rotation(array $drawing): string
    {
        $turns = $drawing['turns'] ?? 'unknown';
        if (! in_array($turns, ['forward', 'reverse'], true)) {
            return '';
        }
        $way = $turns === 'reverse' ? -1 : 1;
        $at = fn (float $degrees, float $r): string => self::n(130 + $r * sin(deg2rad($degrees))) . ' ' . self::n(122 - $r * cos(deg2rad($degrees)));
        $color = $turns === 'reverse' ? self::STOP : self::CLEAR;
        $body = '<circle cx="130" cy="122" r="70" fill="none" stroke="' . self::RULE . '" stroke-width="2"/>';
        foreach (['L1' => 0, 'L2' => 120, 'L3' => 240] as $name => $degrees) {
            [$x, $y] = explode(' ', $at($degrees, 62));
            [$tx, $ty] = explode(' ', $at($degrees, 106));
            $body .= "<line x1=\"130\" y1=\"122\" x2=\"$x\" y2=\"$y\" stroke=\"" . self::INK . '" stroke-width="9"/>'
                . "<text x=\"$tx\" y=\"" . self::n((float) $ty + 7) . '" text-anchor="middle" font-size="22" fill="' . self::INK . "\">$name</text>";
        }
        // The arc as short chords: from L1 round to the phase that follows it.
        $chords = array_map(fn (int $d): string => $at($d * $way, 84), range(8, 98, 5));
        $body .= '<path d="M' . implode(' L', $chords) . "\" fill=\"none\" stroke=\"$color\" stroke-width=\"8\"/>"
            . '<path d="M' . $at(113 * $way, 84) . ' L' . $at(98 * $way, 73) . ' L' . $at(98 * $way, 95) . "Z\" fill=\"$color\"/>";

        return self::svg(260, 200, $body);
    }

    /**
     * The legs of an entry that was written before drawings were.
     *
     * @return array<string, mixed>
     */
    private static function legsOf(TapeEntry $entry): array
    {
        $volts = array_column($entry->readings, 'canonical', 'path');
        $values = json_decode((string) json_encode($entry->values), true);
        [$low, $high] = [$values['volts_min']['value'] ?? null, $values['volts_max']['value'] ?? null];
        $legs = [];
        foreach (['L1-L2' => 'volts_ab', 'L2-L3' => 'volts_bc', 'L3-L1' => 'volts_ca'] as $name => $path) {
            $read = $volts[$path] ?? null;
            $legs[] = ['name' => $name, 'value' => $read, 'is' => $read !== null && is_numeric($low) && is_numeric($high) && ($read < $low || $read > $high) ? 'stop' : 'plain'];
        }

        return ['low' => $low, 'high' => $high, 'legs' => $legs];
    }

    /**
     * Three legs as bars against the band that is allowed; what was read far outside is drawn broken.
     *
     * @param array<string, mixed> $drawing
     */
    private static function legs(array $drawing): string
    {
        [$low, $high] = [$drawing['low'] ?? null, $drawing['high'] ?? null];
        $legs = is_array($drawing['legs'] ?? null) ? $drawing['legs'] : [];
        $read = array_filter(array_column($legs, 'value'), is_numeric(...));
        if ($read === [] || ! is_numeric($low) || ! is_numeric($high) || $high <= $low) {
            return '';
        }
        $span = $high - $low;
        $near = array_filter($read, fn (float|int|string $v): bool => $v > $low - $span && $v < $high + $span);
        $bottom = min($low - $span * 0.35, ...array_map(fn (float|int|string $v): float => $v - $span * 0.15, array_values($near)));
        $top = max($high + $span * 0.2, ...array_map(fn (float|int|string $v): float => $v + $span * 0.1, array_values($near)));
        $y = fn (float $v): float => self::FOOT - (max($bottom, min($top, $v)) - $bottom) / ($top - $bottom) * (self::FOOT - self::TOP);
        $body = self::rect(36, $y((float) $high), 280, $y((float) $low) - $y((float) $high), self::BAND);
        foreach ([$low, $high] as $limit) {
            $body .= self::text(32, $y((float) $limit) + 5, self::n(round((float) $limit)), 14, self::SOFT, 'end');
        }
        foreach (array_values($legs) as $i => $leg) {
            $x = 62 + 88 * $i;
            $body .= self::text($x + 26, 197, $leg['name'], 15, self::INK, 'middle');
            if (! is_numeric($leg['value'])) {
                continue;
            }
            $v = (float) $leg['value'];
            $at = min($y($v), self::FOOT - self::STUMP);
            $color = $leg['is'] === 'stop' ? self::STOP : self::INK;
            $body .= self::rect($x, $at, 52, self::FOOT - $at, $color) . self::text($x + 26, $at - 5, self::n($v), 17, $color, 'middle');
            if ($v < $bottom || $v > $top) {
                $middle = ($at + self::FOOT) / 2;
                $body .= '<path d="M' . self::n($x - 4) . ' ' . self::n($middle + 3) . ' l15 -7 15 7 15 -7 15 7" fill="none" stroke="#ffffff" stroke-width="5"/>';
            }
        }

        return self::svg(320, 206, $body);
    }

    /**
     * A figure on a scale of bands.
     *
     * @param array<string, mixed> $drawing
     */
    private static function scale(array $drawing): string
    {
        $bands = is_array($drawing['bands'] ?? null) ? array_values($drawing['bands']) : [];
        $from = (float) ($drawing['from'] ?? 0);
        $to = (float) ($bands === [] ? 0 : $bands[count($bands) - 1]['to']);
        if ($to <= $from || ! is_numeric($drawing['value'] ?? null)) {
            return '';
        }
        $of = ($drawing['decades'] ?? false) === true && $from > 0 ? log10(...) : fn (float $v): float => $v;
        $x = fn (float $v): float => 10 + ($of(max($from, min($to, $v))) - $of($from)) / ($of($to) - $of($from)) * 300;
        $body = '';
        $left = $from;
        foreach ($bands as $i => $band) {
            $color = match ($band['is']) {
                'stop' => self::STOP,
                'watch' => self::WATCH,
                default => self::CLEAR,
            };
            $body .= self::rect($x($left), 52, $x((float) $band['to']) - $x($left), 34, $color);
            $body .= $i < count($bands) - 1 ? self::text($x((float) $band['to']), 110, self::n((float) $band['to']), 14, self::INK, 'middle') : '';
            $left = (float) $band['to'];
        }
        $v = (float) $drawing['value'];
        $body .= '<path d="M' . self::n($x($v)) . ' 58 l-9 -16 h18z" fill="' . self::INK . '"/>'
            . self::text(max(44, min(276, $x($v))), 32, self::n($v) . ' ' . Units::sign((string) ($drawing['unit'] ?? '')), 24, self::INK, 'middle');

        return self::svg(320, 118, $body);
    }

    /**
     * Bars on one scale from nothing, with a line where there is a limit.
     *
     * @param array<string, mixed> $drawing
     */
    private static function bars(array $drawing): string
    {
        $bars = is_array($drawing['bars'] ?? null) ? array_values(array_filter($drawing['bars'], fn (mixed $bar): bool => is_array($bar) && is_numeric($bar['value'] ?? null))) : [];
        $limit = $drawing['limit'] ?? null;
        $most = max([0.0, is_numeric($limit) ? (float) $limit : 0.0, ...array_map(fn (array $bar): float => (float) $bar['value'], $bars)]);
        if ($bars === [] || $most <= 0.0) {
            return '';
        }
        $unit = (string) ($drawing['unit'] ?? '');
        $sign = $unit === '%' ? '%' : ' ' . Units::sign($unit);
        $body = '';
        foreach ($bars as $i => $bar) {
            $width = (float) $bar['value'] / $most * 250;
            $color = match ($bar['is'] ?? 'plain') {
                'stop' => self::STOP,
                'pale' => self::RULE,
                default => self::INK,
            };
            $body .= self::text(0, 46 * $i + 14, (string) $bar['name'], 15, self::INK) . self::rect(0, 46 * $i + 19, $width, 19, $color)
                . self::text($width + 6, 46 * $i + 35, self::n((float) $bar['value']) . $sign, 18, self::INK);
        }
        if (is_numeric($limit)) {
            $x = self::n((float) $limit / $most * 250);
            $body .= "<line x1=\"$x\" y1=\"0\" x2=\"$x\" y2=\"" . 46 * count($bars) . '" stroke="' . self::INK . '" stroke-width="2" stroke-dasharray="4 4"/>';
        }

        return self::svg(320, 46 * count($bars), $body);
    }

    /**
     * A column that fills, with its parts beside it.
     *
     * @param array<string, mixed> $drawing
     */
    private static function column(array $drawing): string
    {
        $parts = is_array($drawing['parts'] ?? null) ? array_values(array_filter($drawing['parts'], fn (mixed $part): bool => is_array($part) && is_numeric($part['value'] ?? null))) : [];
        $total = (float) array_sum(array_column($parts, 'value'));
        $filled = is_numeric($drawing['filled'] ?? null) ? (float) $drawing['filled'] : 0.0;
        $most = 1.04 * max($total, $filled);
        if ($most <= 0.0) {
            return '';
        }
        $y = fn (float $value): float => 192 - max(0.0, $value) / $most * 180;
        $body = self::rect(4, $y($total), 70, 192 - $y($total), self::BAND) . self::rect(4, $y($filled), 70, 192 - $y($filled), ($drawing['is'] ?? '') === 'stop' ? self::STOP : self::INK);
        $below = 0.0;
        $last = 230.0;
        foreach ($parts as $part) {
            $middle = ($y($below) + $y($below + (float) $part['value'])) / 2;
            $below += (float) $part['value'];
            $last = min($middle, $last - 30);
            $line = self::n($y($below));
            $body .= "<line x1=\"4\" y1=\"$line\" x2=\"82\" y2=\"$line\" stroke=\"" . self::SOFT . '"/>'
                . self::text(88, max(20, $last), (string) $part['name'], 11, self::SOFT) . self::text(88, max(20, $last) + 14, (string) ($part['text'] ?? ''), 13, self::INK);
        }
        $large = is_array($drawing['large'] ?? null) ? $drawing['large'] : null;
        if ($large !== null) {
            $body .= self::text(316, 100, (string) ($large['text'] ?? ''), 26, self::INK, 'end') . self::text(316, 120, (string) ($large['name'] ?? ''), 13, self::SOFT, 'end');
        }

        return self::svg(320, 200, $body);
    }

    /**
     * Causes with their scores, and what speaks for each (a disc) and against it (a cross), by how clearly.
     *
     * @param array<string, mixed> $drawing
     */
    private static function ranking(array $drawing): string
    {
        $lists = array_map(fn (string $list): array => is_array($drawing[$list] ?? null) ? array_values(array_filter($drawing[$list], fn (mixed $one): bool => is_array($one) && is_numeric($one['value'] ?? null))) : [], ['features', 'causes']);
        [$features, $causes] = $lists;
        if ($features === [] || $causes === []) {
            return '';
        }
        $x = fn (int $i): float => 146 + 174 / count($features) * ($i + 0.5);
        $body = '';
        foreach ($features as $i => $feature) {
            $off = (float) $feature['value'];
            $body .= self::text($x($i), 12, (string) ($feature['name'] ?? ''), 11, self::INK, 'middle')
                . self::text($x($i), 26, abs($off) < 1 ? 'ok' : ($off < 0 ? 'low' : 'high'), 11, abs($off) < 1 ? self::SOFT : self::INK, 'middle');
        }
        foreach ($causes as $i => $cause) {
            $y = 34.0 + 34 * $i;
            $isLikely = (float) $cause['value'] >= (float) ($drawing['limit'] ?? 0);
            $body .= self::rect(0, $y, 320, 0.8, self::RULE) . self::text(0, $y + 14, (string) ($cause['name'] ?? ''), 12, $isLikely ? self::INK : self::SOFT)
                . self::rect(0, $y + 19, 100 * (float) $cause['value'], 9, $isLikely ? self::INK : self::RULE) . self::text(140, $y + 28, round(100 * (float) $cause['value']) . '%', 12, self::INK, 'end');
            foreach (is_array($cause['speaks'] ?? null) ? array_values($cause['speaks']) : [] as $j => $speaks) {
                if (! is_numeric($speaks) || (float) $speaks === 0.0 || ! isset($features[$j])) {
                    continue;
                }
                $size = 6 * abs((float) $speaks);
                [$left, $right, $top, $bottom] = array_map(self::n(...), [$x($j) - $size, $x($j) + $size, $y + 17 - $size, $y + 17 + $size]);
                $body .= $speaks > 0
                    ? '<circle cx="' . self::n($x($j)) . '" cy="' . self::n($y + 17) . '" r="' . self::n($size) . '" fill="' . self::INK . '"/>'
                    : "<path d=\"M$left $top L$right $bottom M$left $bottom L$right $top\" stroke=\"" . self::STOP . '" stroke-width="2.5"/>';
            }
        }

        return self::svg(320, 40 + 34 * count($causes), $body);
    }

    /**
     * Steps that add up on the way of the air, under what all of them may reach.
     *
     * @param array<string, mixed> $drawing
     */
    private static function stairs(array $drawing): string
    {
        $steps = is_array($drawing['bars'] ?? null) ? array_values(array_filter($drawing['bars'], fn (mixed $one): bool => is_array($one) && is_numeric($one['value'] ?? null))) : [];
        $limit = is_numeric($drawing['limit'] ?? null) ? (float) $drawing['limit'] : null;
        $ends = [0.0, $limit ?? 0.0];
        foreach ($steps as $step) {
            $ends[] = $ends[count($ends) - 1] * (count($ends) > 2 ? 1 : 0) + (float) $step['value'];
        }
        if ($steps === [] || max($ends) <= min($ends)) {
            return '';
        }
        $y = fn (float $value): float => 168 - ($value - min($ends)) / (max($ends) - min($ends)) * 136;
        $wide = 312 / count($steps);
        $below = 0.0;
        $body = '';
        foreach ($steps as $i => $step) {
            $value = (float) $step['value'];
            [$from, $to] = [$y($below), $y($below + $value)];
            $below += $value;
            $body .= self::rect(4 + $i * $wide + 3, min($from, $to), $wide - 6, max(1.0, abs($from - $to)), ($step['is'] ?? '') === 'stop' ? self::WATCH : self::INK)
                . self::text(4 + ($i + 0.5) * $wide, min($from, $to) - 5, (string) round($value, 2), 14, self::INK, 'middle') . self::text(4 + ($i + 0.5) * $wide, 196, (string) ($step['name'] ?? ''), 12, self::SOFT, 'middle');
        }
        if ($limit !== null) {
            $at = self::n($y($limit));
            $body .= "<line x1=\"4\" y1=\"$at\" x2=\"316\" y2=\"$at\" stroke=\"" . self::STOP . '" stroke-dasharray="5 3"/>' . self::text(4, $y($limit) - 4, round($limit, 2) . ' ' . Units::sign((string) ($drawing['unit'] ?? '')), 12, self::STOP);
        }

        return self::svg(320, 204, $body);
    }

    /**
     * Air as points over dry bulb and water, with lines of equal humidity.
     *
     * @param array<string, mixed> $drawing
     */
    private static function psychrometric(array $drawing): string
    {
        $spots = is_array($drawing['spots'] ?? null) ? array_values(array_filter($drawing['spots'], fn (mixed $one): bool => is_array($one) && is_numeric($one['x'] ?? null) && is_numeric($one['y'] ?? null))) : [];
        $lines = is_array($drawing['lines_of'] ?? null) ? array_values(array_filter($drawing['lines_of'], is_array(...))) : [];
        $points = array_merge([], ...array_map(fn (array $line): array => self::numbers($line['points'] ?? null, 2), $lines));
        if ($spots === [] || count($points) < 2) {
            return '';
        }
        [$low, $high] = [(float) min(array_column($points, 0)), (float) max(array_column($points, 0))];
        $most = max(20.0, 1.4 * (float) max(array_column($spots, 'y')));
        $x = fn (float $celsius): float => 8 + ($celsius - $low) / max(1e-9, $high - $low) * 280;
        $y = fn (float $water): float => 184 - $water / $most * 172;
        $isUs = ($drawing['units'] ?? '') === 'us';
        $body = '<line x1="8" y1="184" x2="288" y2="184" stroke="' . self::SOFT . '"/>';
        foreach ($lines as $line) {
            $shown = array_values(array_filter(self::numbers($line['points'] ?? null, 2), fn (array $p): bool => $p[1] <= $most));
            if (count($shown) < 2) {
                continue;
            }
            $isFull = ($line['humidity'] ?? 0) === 100;
            $body .= '<path d="M' . implode(' L', array_map(fn (array $p): string => self::n($x((float) $p[0])) . ' ' . self::n($y((float) $p[1])), $shown)) . '" fill="none" stroke="' . ($isFull ? self::INK : self::RULE) . '"/>';
            [$endX, $endY] = $shown[count($shown) - 1];
            $body .= self::text($x((float) $endX) + 3, $y((float) $endY) + 4, ($line['humidity'] ?? '') . '%', 9, self::SOFT);
        }
        if (($drawing['joined'] ?? false) === true && count($spots) > 1) {
            $body .= '<path d="M' . self::n($x((float) $spots[0]['x'])) . ' ' . self::n($y((float) $spots[0]['y'])) . ' L' . self::n($x((float) $spots[1]['x'])) . ' ' . self::n($y((float) $spots[1]['y'])) . '" fill="none" stroke="' . self::WATCH . '" stroke-dasharray="5 3"/>';
        }
        foreach ($spots as $i => $spot) {
            [$atX, $atY] = [$x((float) $spot['x']), $y((float) $spot['y'])];
            $shown = $isUs ? 1.8 * (float) $spot['x'] + 32 : (float) $spot['x'];
            $body .= '<circle cx="' . self::n($atX) . '" cy="' . self::n($atY) . '" r="4" fill="' . self::INK . '"/>'
                . self::text($atX, $i % 2 === 0 ? $atY - 8 : $atY + 16, ($spot['name'] ?? '') . ' ' . round($shown) . ($isUs ? ' °F' : ' °C'), 11, self::INK, $i === 0 ? 'start' : 'end');
        }

        $coil = is_array($drawing['coil'] ?? null) ? array_values(array_filter($drawing['coil'], is_array(...))) : [];

        return $coil === [] ? self::svg(320, 204, $body) : self::svg(320, 204 + self::COIL, self::coil($coil) . '<g transform="translate(0 ' . self::COIL . ")\">$body</g>");
    }

    /**
     * The air around a coil: to its left what comes, to its right what should leave and what leaves.
     *
     * @param list<array<array-key, mixed>> $air
     */
    private static function coil(array $air): string
    {
        $body = '<rect x="136" y="8" width="48" height="58" fill="none" stroke="' . self::INK . '"/>';
        for ($x = 143; $x < 184; $x += 7) {
            $body .= "<line x1=\"$x\" y1=\"11\" x2=\"$x\" y2=\"63\" stroke=\"" . self::SOFT . '"/>';
        }
        foreach ($air as $one) {
            [$x, $y, $anchor] = ['outdoor_air' => [8, 16, 'start'], 'return_air' => [8, 50, 'start'], 'should_leave' => [312, 16, 'end'], 'leaves' => [312, 50, 'end']][$one['at'] ?? ''] ?? [8, 16, 'start'];
            $body .= self::text($x, $y, (string) ($one['name'] ?? ''), 10, self::SOFT, $anchor) . self::text($x, $y + 16, (string) ($one['text'] ?? ''), 15, self::INK, $anchor);
        }

        return $body;
    }

    /**
     * Circuits with their conductors from terminal to terminal.
     *
     * @param array<string, mixed> $drawing
     */
    private static function wires(array $drawing): string
    {
        $body = '';
        $top = 0.0;
        foreach (is_array($drawing['circuits'] ?? null) ? $drawing['circuits'] : [] as $circuit) {
            $wires = is_array($circuit['wires'] ?? null) ? array_values(array_filter($circuit['wires'], is_array(...))) : [];
            $ends = [];
            foreach (['near', 'far'] as $end) {
                $ends[$end] = array_values(array_unique(array_filter(array_map(fn (array $wire): string => (string) ($wire[$end] ?? ''), $wires), fn (string $t): bool => $t !== '')));
                sort($ends[$end]);
            }
            $y = fn (string $end, string $terminal): float => $top + 34 + 22 * (int) array_search($terminal, $ends[$end], true);
            $body .= self::text(4, $top + 14, (string) ($circuit['name'] ?? ''), 12, self::INK);
            foreach ($wires as $wire) {
                [$near, $far] = [(string) ($wire['near'] ?? ''), (string) ($wire['far'] ?? '')];
                [$from, $to] = [$near === '' ? null : $y('near', $near), $far === '' ? null : $y('far', $far)];
                $ink = ['stop' => self::STOP, 'watch' => self::WATCH][$wire['is'] ?? ''] ?? self::INK;
                $body .= '<line x1="' . ($from === null ? 190 : 74) . '" y1="' . self::n($from ?? $to ?? 0.0) . '" x2="' . ($to === null ? 130 : 246) . '" y2="' . self::n($to ?? $from ?? 0.0) . "\" stroke=\"$ink\" stroke-width=\"" . ($ink === self::STOP ? 3 : 1.5) . '"/>'
                    . self::text($from === null ? 242 : 78, ($from ?? $to ?? 0.0) - 3, (string) ($wire['colour'] ?? ''), 9, self::SOFT, $from === null ? 'end' : 'start');
            }
            foreach (['near' => 50, 'far' => 270] as $end => $x) {
                foreach ($ends[$end] as $terminal) {
                    $body .= self::text($x, $y($end, $terminal) + 4, $terminal, 12, self::INK, 'middle');
                }
            }
            $top += 34 + 22 * max(1, count($ends['near']), count($ends['far']));
        }

        return $body === '' ? '' : self::svg(320, (int) $top, $body);
    }

    /**
     * Stages over one scale of room temperature, each from where it goes off to where it comes on; the day under it.
     *
     * @param array<string, mixed> $drawing
     */
    private static function ladder(array $drawing): string
    {
        $rungs = is_array($drawing['rungs'] ?? null) ? array_values(array_filter($drawing['rungs'], fn (mixed $one): bool => is_array($one) && is_numeric($one['on'] ?? null) && is_numeric($one['off'] ?? null))) : [];
        $set = is_array($drawing['setpoints'] ?? null) ? array_filter($drawing['setpoints'], is_numeric(...)) : [];
        if ($rungs === [] || count($set) < 2) {
            return '';
        }
        usort($rungs, fn (array $a, array $b): int => ($a['kind'] === 'cool') <=> ($b['kind'] === 'cool'));
        $lines = ['cool' => (float) $set['cool'], 'heat' => (float) $set['heat']] + (is_numeric($drawing['economizer'] ?? null) ? ['economizer' => (float) $drawing['economizer']] : []);
        $all = [...array_column($rungs, 'on'), ...array_column($rungs, 'off'), ...array_values($lines)];
        [$low, $high] = [(float) min($all) - 1, (float) max($all) + 1];
        $isUs = ($drawing['units'] ?? '') === 'us';
        $said = fn (float $celsius): string => round($isUs ? 1.8 * $celsius + 32 : $celsius, 1) . '°';
        $y = fn (float $celsius): float => 180 - ($celsius - $low) / ($high - $low) * 168;
        $wide = 232 / count($rungs);
        $body = '';
        foreach ($lines as $name => $at) {
            $line = self::n($y($at));
            $body .= "<line x1=\"4\" y1=\"$line\" x2=\"236\" y2=\"$line\" stroke=\"" . self::SOFT . '" stroke-dasharray="4 4"/>' . self::text(240, $y($at) + 4, "$name " . $said($at), 12, self::SOFT);
        }
        foreach ($rungs as $i => $rung) {
            [$on, $off] = [$y((float) $rung['on']), $y((float) $rung['off'])];
            $left = 4 + $i * $wide;
            $body .= self::rect($left + 4, min($on, $off), $wide - 8, max(1.0, abs($on - $off)), self::BAND) . self::rect($left + 4, $on - 1.5, $wide - 8, 3, self::INK)
                . self::text($left + $wide / 2, $on < $off ? $on - 5 : $on + 15, $said((float) $rung['on']), 13, self::INK, 'middle')
                . self::text($left + $wide / 2, 196, ($rung['name'] ?? '') . ' ' . ($rung['n'] ?? ''), 12, self::SOFT, 'middle');
        }
        $trace = self::numbers($drawing['trace'] ?? null, 3);
        if (count($trace) < 2) {
            return self::svg(320, 204, $body);
        }
        [$least, $most] = [(float) min($lines['heat'], ...array_column($trace, 1)) - 0.5, (float) max($lines['cool'], ...array_column($trace, 1)) + 0.5];
        $dayY = fn (float $celsius): float => 292 - ($celsius - $least) / ($most - $least) * 76;
        $body .= '<path d="M' . implode(' L', array_map(fn (array $p): string => self::n(4 + (float) $p[0] / 24 * 300) . ' ' . self::n($dayY((float) $p[1])), $trace)) . '" fill="none" stroke="' . self::INK . '"/>';
        foreach (['cool', 'heat'] as $name) {
            $line = self::n($dayY($lines[$name]));
            $body .= "<line x1=\"4\" y1=\"$line\" x2=\"304\" y2=\"$line\" stroke=\"" . self::SOFT . '" stroke-dasharray="4 4"/>';
        }
        foreach ([0, 12, 24] as $hour) {
            $body .= self::text(4 + $hour / 24 * 300, 306, "$hour h", 12, self::SOFT, $hour === 0 ? 'start' : ($hour === 24 ? 'end' : 'middle'));
        }

        return self::svg(320, 310, $body);
    }

    /**
     * Readings over time, with the lines they are held against.
     *
     * @param array<string, mixed> $drawing
     */
    private static function curve(array $drawing): string
    {
        $points = is_array($drawing['points'] ?? null) ? array_values(array_filter($drawing['points'], fn (mixed $p): bool => is_array($p) && is_numeric($p[0] ?? null) && is_numeric($p[1] ?? null))) : [];
        if ($points === []) {
            return '';
        }
        $lines = is_array($drawing['lines'] ?? null) ? array_values(array_filter($drawing['lines'], fn (mixed $l): bool => is_array($l) && is_numeric($l['value'] ?? null))) : [];
        $fit = self::numbers($drawing['fit'] ?? null, 2);
        $band = self::numbers($drawing['band'] ?? null, 3);
        $byDecades = ($drawing['decades'] ?? false) === true;
        $values = [...array_column($points, 1), ...array_column($lines, 'value'), ...array_column($fit, 1), ...array_column($band, 1), ...array_column($band, 2), ...($byDecades || $band !== [] ? [] : [0.0])];
        $across = (string) ($drawing['across'] ?? 'min');
        $last = max($across === 'min' ? 6.0 : 0.1, ...array_column($points, 0), ...array_column($fit, 0));
        $scaled = fn (float $value): float => $byDecades ? log(max($value, 1e-9)) : $value;
        [$low, $high] = [$scaled((float) min($values)), $scaled((float) max($values))];
        $x = fn (float $time): float => 40 + $time / $last * 268;
        $y = fn (float $value): float => 174 - ($scaled($value) - $low) / max(1e-9, $high - $low) * 150;
        $draw = fn (array $along): string => 'M' . implode(' L', array_map(fn (array $p): string => self::n($x((float) $p[0])) . ' ' . self::n($y((float) $p[1])), $along));
        $unit = Units::sign((string) ($drawing['unit'] ?? ''));
        $body = $byDecades || $band !== [] ? '' : '<line x1="40" y1="' . self::n($y(0)) . '" x2="308" y2="' . self::n($y(0)) . '" stroke="' . self::RULE . '"/>';
        if ($band !== []) {
            $body .= '<path d="' . $draw(array_map(fn (array $p): array => [$p[0], $p[2]], $band)) . ' L' . substr($draw(array_reverse($band)), 1) . 'Z" fill="' . self::BAND . '" stroke="' . self::RULE . '"/>';
        }
        foreach ($lines as $line) {
            $color = ($line['is'] ?? '') === 'stop' ? self::STOP : self::SOFT;
            $at = self::n($y((float) $line['value']));
            $word = ($line['name'] ?? '') . ' ' . self::n((float) $line['value']) . " $unit";
            // Over the line, at the end of it where no curve runs.
            $crosses = fn (float $from, float $to): bool => array_filter([...$points, ...$fit], fn (array $p): bool => $x((float) $p[0]) > $from && $x((float) $p[0]) < $to && abs($y((float) $p[1]) - $y((float) $line['value']) + 8) < 9) !== [];
            $wide = 5.4 * mb_strlen($word);
            $atStart = $crosses(308 - $wide, 308) && ! $crosses(40, 40 + $wide);
            $body .= "<line x1=\"40\" y1=\"$at\" x2=\"308\" y2=\"$at\" stroke=\"$color\" stroke-dasharray=\"4 3\"/>"
                . self::text($atStart ? 42 : 308, $y((float) $line['value']) - 4, $word, 11, $color, $atStart ? 'start' : 'end');
        }
        if ($fit !== []) {
            $body .= '<path d="' . $draw($fit) . '" fill="none" stroke="' . self::WATCH . '" stroke-width="1.5" stroke-dasharray="5 3"/>';
        }
        $body .= '<path d="' . $draw($points) . '" fill="none" stroke="' . self::INK . '" stroke-width="2"/>';
        foreach ($points as $point) {
            $body .= '<circle cx="' . self::n($x((float) $point[0])) . '" cy="' . self::n($y((float) $point[1])) . '" r="3" fill="' . self::INK . '"/>';
        }
        $end = $points[count($points) - 1];
        $body .= count($points) < 2 ? '' : self::text(36, $y((float) $points[0][1]) + 5, self::n((float) $points[0][1]), 12, self::SOFT, 'end');
        $body .= self::text($x((float) $end[0]), $y((float) $end[1]) - 8, self::n((float) $end[1]) . " $unit", 14, self::INK, 'end') . self::text(308, 198, self::n($last) . " $across", 12, self::SOFT, 'end');

        return self::svg(320, 204, $body);
    }

    /**
     * The dome of a refrigerant with the cycle on it.
     *
     * @param array<string, mixed> $drawing
     */
    private static function dome(array $drawing): string
    {
        [$low, $high] = [(float) ($drawing['low'] ?? 0), (float) ($drawing['high'] ?? 0)];
        $suction = is_array($drawing['suction'] ?? null) ? $drawing['suction'] : [];
        $liquid = is_array($drawing['liquid'] ?? null) ? $drawing['liquid'] : [];
        if ($low <= 0 || $high <= 0 || ! isset($suction['from'], $suction['to'], $liquid['from'], $liquid['to'])) {
            return '';
        }
        $under = $low / 2.5;
        $within = fn (array $p): bool => $p[1] >= $under;
        $bubble = array_values(array_filter(self::numbers($drawing['bubble'] ?? null, 2), $within));
        $dew = array_values(array_filter(self::numbers($drawing['dew'] ?? null, 2), $within));
        $enthalpies = [...array_column($bubble, 0), ...array_column($dew, 0), (float) $suction['to'], (float) $liquid['to']];
        $most = max($high * 1.1, ...array_column($bubble, 1));
        $x = fn (float $h): float => 12 + ($h - min($enthalpies)) / max(1e-9, max($enthalpies) - min($enthalpies)) * 280;
        $y = fn (float $p): float => 190 - log($p / $under) / log($most / $under) * 176;
        $at = fn (float $h, float $p): string => self::n($x($h)) . ' ' . self::n($y($p));
        $points = array_map(fn (array $p): string => $at((float) $p[0], (float) $p[1]), [...$bubble, ...array_reverse($dew)]);
        $right = self::n($x((float) $suction['to']) + 14) . ' ' . self::n($y($high));
        $body = '<path d="M' . implode(' L', $points) . '" fill="' . self::BAND . '" stroke="' . self::SOFT . '"/>'
            . '<path d="M' . $at((float) $liquid['to'], $low) . ' L' . $at((float) $suction['to'], $low) . " L$right L" . $at((float) $liquid['to'], $high) . 'Z" fill="none" stroke="' . self::INK . '" stroke-width="1.5"/>';
        foreach ([[$suction, $low, 'superheat', 14.0], [$liquid, $high, 'subcooling', -8.0]] as [$side, $p, $word, $off]) {
            $body .= '<path d="M' . $at((float) $side['from'], $p) . ' L' . $at((float) $side['to'], $p) . '" stroke="' . self::WATCH . '" stroke-width="4"/>' . self::text($x((float) $side['from']), $y($p) + $off, trim("$word " . self::figureOf($drawing, $word)), 12, self::INK, $word === 'superheat' ? 'end' : 'start');
        }
        foreach ([['low', $low, -5.0], ['high', $high, 13.0]] as [$word, $p, $off]) {
            $body .= self::text(($x((float) $liquid['to']) + $x((float) $suction['to'])) / 2, $y($p) + $off, trim("$word side " . self::figureOf($drawing, $word)), 12, self::SOFT, 'middle');
        }

        return self::svg(320, 204, $body . self::text(12, 202, (string) ($drawing['refrigerant'] ?? ''), 12, self::SOFT));
    }

    /** @param array<string, mixed> $drawing */
    private static function figureOf(array $drawing, string $name): string
    {
        $figures = is_array($drawing['figures'] ?? null) ? $drawing['figures'] : [];
        $value = fn (string $of): ?float => is_array($figures[$of] ?? null) && is_numeric($figures[$of]['value'] ?? null) ? (float) $figures[$of]['value'] : null;
        $off = $value("{$name}_off");

        return $value($name) === null ? '' : round($value($name), in_array($name, ['low', 'high'], true) ? 0 : 1) . ($off === null ? '' : ' ± ' . round($off, 1)) . ' ' . Units::sign((string) ($figures[$name]['unit'] ?? ''));
    }

    /** @return list<list<int|float>> rows of so many numbers */
    private static function numbers(mixed $rows, int $count): array
    {
        $isRow = fn (mixed $row): bool => is_array($row) && array_is_list($row) && count($row) === $count && array_filter($row, is_numeric(...)) === $row;

        return is_array($rows) ? array_values(array_filter($rows, $isRow)) : [];
    }

    private static function rect(float $x, float $y, float $width, float $height, string $color): string
    {
        return '<rect x="' . self::n($x) . '" y="' . self::n($y) . '" width="' . self::n(max(0, $width)) . '" height="' . self::n(max(0, $height)) . "\" fill=\"$color\"/>";
    }

    private static function text(float $x, float $y, string $text, int $size, string $color, string $anchor = 'start'): string
    {
        return '<text x="' . self::n($x) . '" y="' . self::n($y) . "\" text-anchor=\"$anchor\" font-size=\"$size\" fill=\"$color\">" . htmlspecialchars($text, ENT_XML1) . '</text>';
    }

    private static function svg(int $width, int $height, string $body): string
    {
        return "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"$width\" height=\"$height\" viewBox=\"0 0 $width $height\">$body</svg>";
    }

    private static function n(float $value): string
    {
        return (string) round($value, 1);
    }
}
