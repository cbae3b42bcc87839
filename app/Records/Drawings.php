<?php

declare(strict_types=1);

namespace App\Records;

use App\Views\TapeEntry;

/** The drawings of the paper record, as SVG: what was seen on the bench, and how people signed. */
final class Drawings
{
    private const INK = '#1b1f22';
    private const RULE = '#cfcabd';
    private const STOP = '#9c1f17';
    private const CLEAR = '#1f5a3c';
    private const SIGN_WIDTH = 300;
    private const SIGN_HEIGHT = 90;

    /** What a check is drawn as; empty for one that has no drawing. */
    public static function of(TapeEntry $entry): string
    {
        return match ($entry->check) {
            'power.rotation' => self::rotation((array) $entry->drawing),
            'power.voltage' => self::legs($entry),
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

    /** Three legs as bars against the band the plate allows. */
    private static function legs(TapeEntry $entry): string
    {
        $volts = [];
        foreach ($entry->readings as $reading) {
            $volts[$reading->path] = $reading->canonical;
        }
        $legs = ['A-B' => $volts['volts_ab'] ?? null, 'B-C' => $volts['volts_bc'] ?? null, 'C-A' => $volts['volts_ca'] ?? null];
        $values = json_decode((string) json_encode($entry->values), true);
        [$low, $high] = [$values['volts_min']['value'] ?? null, $values['volts_max']['value'] ?? null];
        $read = array_filter($legs, is_numeric(...));
        if ($read === [] || ! is_numeric($low) || ! is_numeric($high)) {
            return '';
        }
        [$bottom, $top] = [min($low, ...array_values($read)) * 0.965, max($high, ...array_values($read)) * 1.02];
        $y = fn (float $v): float => 178 - ($v - $bottom) / ($top - $bottom) * 156;
        $body = '<rect x="34" y="' . self::n($y((float) $high)) . '" width="282" height="' . self::n($y((float) $low) - $y((float) $high)) . '" fill="#e7e2d4"/>';
        foreach (['low' => $low, 'high' => $high] as $limit) {
            $body .= '<text x="30" y="' . self::n($y((float) $limit) + 5) . '" text-anchor="end" font-size="14" fill="' . self::INK . '">' . round((float) $limit) . '</text>';
        }
        $x = 62;
        foreach ($legs as $name => $v) {
            if ($v !== null) {
                $color = $v < $low || $v > $high ? self::STOP : self::INK;
                $body .= "<rect x=\"$x\" y=\"" . self::n($y($v)) . '" width="52" height="' . self::n(178 - $y($v)) . "\" fill=\"$color\"/>"
                    . '<text x="' . ($x + 26) . '" y="' . self::n($y($v) - 5) . "\" text-anchor=\"middle\" font-size=\"16\" fill=\"$color\">" . self::n($v) . '</text>'
                    . '<text x="' . ($x + 26) . '" y="197" text-anchor="middle" font-size="16" fill="' . self::INK . "\">$name</text>";
            }
            $x += 88;
        }

        return self::svg(320, 206, $body);
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
