<?php

declare(strict_types=1);

namespace App\Records;

use Dompdf\Canvas;
use Dompdf\FontMetrics;

/**
 * Sets text on pages line by line. A layout engine takes minutes for what a machine gathers over years; this takes the
 * words as they come, breaks lines, keeps what belongs together on a page while it can, and turns the page.
 *
 * Lengths are in points (1/72 in), colours red, green, blue from 0 to 1. A run is words in one font, size and colour.
 *
 * @phpstan-type Run array{string, string, float, list<float>}
 * @phpstan-type Line array{height: float, parts: list<array{float, string, string, float, list<float>}>, struck: bool}
 */
final class Pen
{
    public const INK = [0.106, 0.122, 0.133];
    public const SOFT = [0.349, 0.388, 0.416];
    public const STOP = [0.612, 0.122, 0.09];
    public const WATCH = [0.431, 0.302, 0.0];
    public const CLEAR = [0.122, 0.353, 0.235];
    private const RULE = [0.812, 0.792, 0.741];

    private const SIDE = 36.0;
    private const TOP = 30.0;
    private const FOOT = 42.0;
    private const LEADING = 1.35;
    /** Letters the paper's own fonts do not have: they are set in one that has many. */
    public const OTHER = '/([^\x{20}-\x{ff}\x{2010}-\x{2026}\x{2212}]+)/u';
    private const MEASURED_AT = 100.0;

    private float $y = self::TOP;

    /** @var array<string, float> widths of words at MEASURED_AT, by font and word */
    private array $widths = [];

    /** @var array<string, string> files by name */
    private array $fonts = [];

    public function __construct(private readonly Canvas $canvas, FontMetrics $metrics)
    {
        foreach (['text' => ['text', 'normal'], 'bold' => ['text', 'bold'], 'figures' => ['figures', 'bold'], 'other' => ['DejaVu Sans', 'normal']] as $name => [$family, $weight]) {
            $this->fonts[$name] = (string) ($metrics->getFont($family, $weight) ?? $metrics->getFont('DejaVu Sans', $weight));
        }
    }

    public function width(): float
    {
        return $this->canvas->get_width() - 2 * self::SIDE;
    }

    public function turn(): void
    {
        $this->canvas->new_page();
        $this->y = self::TOP;
    }

    public function heading(string $text, string $beside): void
    {
        $this->block($this->lines([[$text, 'figures', 13.0, self::INK]], $this->width()));
        $this->canvas->line(self::SIDE, $this->y, self::SIDE + $this->width(), $this->y, self::INK, 1.5);
        $this->y += 4;
        $this->block($this->lines([[$beside, 'text', 8.0, self::SOFT]], $this->width()));
        $this->y += 4;
    }

    /**
     * Lines of words, with pictures beside and below; kept on one page where one page holds them.
     *
     * @param list<Line> $lines
     * @param array{string, float, float}|null $beside a file at the right of the lines, its width and height
     * @param list<array{string, float, float}> $below files in a row, each with width and height
     */
    public function entry(array $lines, ?array $beside, array $below): void
    {
        $height = max(array_sum(array_column($lines, 'height')), $beside === null ? 0.0 : $beside[2] + 2) + 8;
        $row = $below === [] ? 0.0 : max(array_column($below, 2)) + 4;
        if ($this->y + $height + $row > $this->bottom() && $this->y > self::TOP && $height + $row < $this->bottom() - self::TOP) {
            $this->turn();
        }
        $top = $this->y;
        if ($beside !== null && $top + $beside[2] <= $this->bottom()) {
            $this->canvas->image($beside[0], self::SIDE + $this->width() - $beside[1], $top, $beside[1], $beside[2]);
        }
        $this->block($lines);
        $this->y = $this->y < $top ? $this->y : max($this->y, $top + ($beside === null ? 0.0 : $beside[2] + 2));
        $x = self::SIDE;
        foreach ($below as [$file, $width, $tall]) {
            if ($x + $width > self::SIDE + $this->width()) {
                [$x, $this->y] = [self::SIDE, $this->y + $row];
            }
            if ($this->y + $tall > $this->bottom()) {
                $this->turn();
                $x = self::SIDE;
            }
            $this->canvas->image($file, $x, $this->y + 2, $width, $tall);
            $x += $width + 6;
        }
        $this->y += $row + 3;
        $this->canvas->line(self::SIDE, $this->y, self::SIDE + $this->width(), $this->y, self::RULE, 0.5);
        $this->y += 5;
    }

    /**
     * Breaks runs into lines of at most this width.
     *
     * @param list<Run> $runs one after the other, as they stand
     * @return list<Line>
     */
    public function lines(array $runs, float $width, bool $isStruck = false): array
    {
        $lines = $parts = [];
        $x = $tallest = 0.0;
        $end = function () use (&$lines, &$parts, &$x, &$tallest, $isStruck): void {
            $lines[] = ['height' => $tallest * self::LEADING, 'parts' => $parts, 'struck' => $isStruck];
            [$parts, $x] = [[], 0.0];
        };
        foreach ($runs as [$text, $font, $size, $color]) {
            $tallest = max($tallest, $size);
            foreach (explode("\n", str_replace(["\r\n", "\r", "\t"], ["\n", "\n", ' '], $text)) as $n => $paragraph) {
                if ($n > 0) {
                    $end();
                }
                foreach ($this->words($paragraph, $font, $size, $width) as [$word, $of, $wide]) {
                    if ($x > 0 && $x + $wide > $width && trim($word) !== '') {
                        $end();
                        $tallest = $size;
                    }
                    $word = $x > 0 ? $word : ltrim($word);
                    if ($word === '') {
                        continue;
                    }
                    $last = count($parts) - 1;
                    if ($last >= 0 && $parts[$last][2] === $of && $parts[$last][3] === $size && $parts[$last][4] === $color) {
                        $parts[$last][1] .= $word;
                    } else {
                        $parts[] = [$x, $word, $of, $size, $color];
                    }
                    $x += $this->measured($word, $of, $size);
                }
            }
        }
        if ($parts !== []) {
            $end();
        }

        return $lines;
    }

    /**
     * A paragraph's words with the space before them, each with the font that has its letters, and how wide it is. One
     * that is wider than a line is cut where the line ends.
     *
     * @return \Generator<array{string, string, float}>
     */
    private function words(string $paragraph, string $font, float $size, float $width): \Generator
    {
        foreach (preg_split('/(?= )/u', $paragraph, -1, PREG_SPLIT_NO_EMPTY) ?: [] as $word) {
            foreach (preg_split(self::OTHER, $word, -1, PREG_SPLIT_NO_EMPTY | PREG_SPLIT_DELIM_CAPTURE) ?: [] as $piece) {
                $of = preg_match(self::OTHER, $piece) === 1 ? 'other' : $font;
                $wide = $this->measured($piece, $of, $size);
                if ($wide <= $width) {
                    yield [$piece, $of, $wide];
                    continue;
                }
                $most = max(1, (int) floor(mb_strlen($piece) * $width / $wide * 0.9));
                foreach (mb_str_split($piece, $most) as $cut) {
                    yield [$cut, $of, $this->measured($cut, $of, $size)];
                }
            }
        }
    }

    private function measured(string $word, string $font, float $size): float
    {
        return ($this->widths["$font $word"] ??= $this->canvas->get_text_width($word, $this->fonts[$font], self::MEASURED_AT)) * $size / self::MEASURED_AT;
    }

    /** @param list<Line> $lines */
    private function block(array $lines): void
    {
        foreach ($lines as $line) {
            if ($this->y + $line['height'] > $this->bottom()) {
                $this->turn();
            }
            $right = self::SIDE;
            foreach ($line['parts'] as [$x, $text, $font, $size, $color]) {
                $this->canvas->text(self::SIDE + $x, $this->y + ($line['height'] / self::LEADING - $size), $text, $this->fonts[$font], $size, $color);
                $right = self::SIDE + $x + $this->measured($text, $font, $size);
            }
            if ($line['struck'] && $right > self::SIDE) {
                $middle = $this->y + $line['height'] / self::LEADING * 0.62;
                $this->canvas->line(self::SIDE, $middle, $right, $middle, self::INK, 0.6);
            }
            $this->y += $line['height'];
        }
    }

    private function bottom(): float
    {
        return $this->canvas->get_height() - self::FOOT;
    }
}
