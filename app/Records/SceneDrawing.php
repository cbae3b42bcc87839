<?php

declare(strict_types=1);

namespace App\Records;

use IronStart\Core\Quantity\Units;

/**
 * A drawing to scale as SVG, for paper and for people without an account: bodies, dimension lines as a tradesperson
 * draws them, and the figures beside them.
 *
 * @phpstan-type Point array{float, float}
 */
final class SceneDrawing
{
    private const INK = '#1b1f22';
    private const SOFT = '#59636a';
    private const STOP = '#9c1f17';
    private const FORGE = '#a8480a';
    private const PAPER = '#ffffff';
    private const MARGIN = 26.0;
    private const TICK = 4.0;

    /** @var list<array<string, mixed>> */
    private array $dims;
    private float $scale;
    private float $left;
    private float $bottom;
    private float $height;

    /** @param array<string, mixed> $scene as the judgement gives it */
    private function __construct(private readonly array $scene, private readonly float $width, float $tallest)
    {
        $this->dims = self::list($scene, 'dims');
        $points = array_merge([], ...array_map(fn (array $body): array => self::points($body), self::list($scene, 'bodies')));
        foreach ($this->dims as $dim) {
            $points = [...$points, ...$this->ends($dim)];
        }
        [$xs, $ys] = [array_column($points, 0), array_column($points, 1)];
        [$this->left, $this->bottom] = [min([INF, ...$xs]), min([INF, ...$ys])];
        [$wide, $high] = [max([1e-6, max([-INF, ...$xs]) - $this->left]), max([1e-6, max([-INF, ...$ys]) - $this->bottom])];
        $this->scale = min(($width - 2 * self::MARGIN) / $wide, ($tallest - 2 * self::MARGIN) / $high);
        $this->height = $high * $this->scale + 2 * self::MARGIN;
        $this->left -= ($width / $this->scale - $wide) / 2;
    }

    /**
     * @param array<string, mixed> $scene as the judgement gives it
     * @return string an SVG; empty where there is nothing to be seen
     */
    public static function svg(array $scene, float $width = 320.0, float $tallest = 300.0): string
    {
        return self::list($scene, 'bodies') === [] ? '' : (new self($scene, $width, $tallest))->drawn();
    }

    private function drawn(): string
    {
        $body = '';
        foreach (self::list($this->scene, 'bodies') as $one) {
            $body .= $this->body($one);
        }
        // What lies underneath shows through by its edge.
        foreach (self::list($this->scene, 'bodies') as $one) {
            $body .= ($one['is'] ?? '') === 'hole' ? $this->body(['is' => 'edge'] + $one) : '';
        }
        foreach (self::list($this->scene, 'bodies') as $one) {
            $body .= $this->name($one);
        }
        foreach ($this->dims as $dim) {
            $body .= $this->dim($dim);
        }
        foreach (self::list($this->scene, 'marks') as $mark) {
            [$x, $y] = $this->at(self::point($mark['at'] ?? null));
            $figure = round((float) (is_numeric($mark['value'] ?? null) ? $mark['value'] : 0)) . ' ' . Units::sign(is_string($mark['unit'] ?? null) ? $mark['unit'] : '');
            $body .= '<circle cx="' . self::n($x) . '" cy="' . self::n($y) . '" r="3" fill="' . self::INK . '"/>' . $this->text($x, $y - 6, $figure, 12, self::INK);
        }
        [$width, $height] = [self::n($this->width), self::n($this->height)];

        return "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"$width\" height=\"$height\" viewBox=\"0 0 $width $height\" font-family=\"sans-serif\">$body</svg>";
    }

    /** @param array<string, mixed> $one */
    private function body(array $one): string
    {
        $points = array_map(fn (array $p): string => implode(' ', array_map(self::n(...), $this->at($p))), self::points($one));
        [$stroke, $fill, $line] = match ($one['is'] ?? '') {
            'over' => [self::INK, '#e3e6e8', 1.6],
            'hole', 'ground' => [self::INK, '#f0ede4', 1.2],
            'cut' => [self::FORGE, '#f6e3d4', 1.4],
            'stop' => [self::STOP, '#f3dcda', 1.8],
            'pale' => [self::SOFT, 'none', 1.0],
            'edge' => [self::INK, 'none', 1.2],
            'pipe' => [self::SOFT, 'none', 6.0],
            'water' => [self::INK, 'none', 3.0],
            default => [self::INK, 'none', 1.8],
        };
        $closed = ($one['closed'] ?? true) === true;
        $dash = ($one['is'] ?? '') === 'pale' ? ' stroke-dasharray="4 3"' : '';

        return '<path d="M' . implode(' L', $points) . ($closed ? ' Z' : '') . '" fill="' . ($closed ? $fill : 'none') . "\" stroke=\"$stroke\" stroke-width=\"$line\"$dash/>";
    }

    /** @param array<string, mixed> $one */
    private function name(array $one): string
    {
        $name = is_string($one['name'] ?? null) ? $one['name'] : '';
        if ($name === '') {
            return '';
        }
        $points = self::points($one);
        [$xs, $ys] = [array_column($points, 0), array_column($points, 1)];
        [$low, $high] = [min($ys ?: [0.0]), max($ys ?: [0.0])];
        [$level, $off] = match ($one['at'] ?? 'middle') {
            'top' => [$high, 12],
            'bottom' => [$low, -5],
            'above' => [$high, -5],
            'below' => [$low, 12],
            default => [($low + $high) / 2, 4],
        };
        [$x, $y] = $this->at([(min($xs ?: [0.0]) + max($xs ?: [0.0])) / 2, $level]);

        return $this->text($x, $y + $off, $name, 10, self::SOFT);
    }

    /** @param array<string, mixed> $dim */
    private function dim(array $dim): string
    {
        $color = ($dim['is'] ?? '') === 'stop' ? self::STOP : self::INK;
        [$from, $to] = array_map($this->at(...), $this->ends($dim));
        $line = fn (array $a, array $b, string $stroke, float $wide): string => '<line x1="' . self::n($a[0]) . '" y1="' . self::n($a[1]) . '" x2="' . self::n($b[0]) . '" y2="' . self::n($b[1]) . "\" stroke=\"$stroke\" stroke-width=\"$wide\"/>";
        $body = '';
        if ((float) (is_numeric($dim['away'] ?? null) ? $dim['away'] : 0) !== 0.0) {
            $body .= $line($this->at(self::point($dim['from'] ?? null)), $from, self::SOFT, 0.6) . $line($this->at(self::point($dim['to'] ?? null)), $to, self::SOFT, 0.6);
        }
        $body .= $line($from, $to, $color, 0.9);
        foreach ([$from, $to] as [$x, $y]) {
            $body .= $line([$x - self::TICK, $y + self::TICK], [$x + self::TICK, $y - self::TICK], $color, 1.3);
        }
        $isUpright = abs($to[1] - $from[1]) > abs($to[0] - $from[0]);
        [$x, $y] = [($from[0] + $to[0]) / 2 - ($isUpright ? 4 : 0), ($from[1] + $to[1]) / 2 - ($isUpright ? 0 : 4)];
        $turn = $isUpright ? ' transform="rotate(-90 ' . self::n($x) . ' ' . self::n($y) . ')"' : '';

        return $body . $this->text($x, $y, is_string($dim['text'] ?? null) ? $dim['text'] : '', 12, $color, $turn);
    }

    private function text(float $x, float $y, string $text, int $size, string $color, string $more = ''): string
    {
        $at = 'x="' . self::n($x) . '" y="' . self::n($y) . "\" text-anchor=\"middle\" font-size=\"$size\"";
        $text = htmlspecialchars($text, ENT_XML1);

        return "<text $at fill=\"none\" stroke=\"" . self::PAPER . "\" stroke-width=\"3\"$more>$text</text><text $at fill=\"$color\"$more>$text</text>";
    }

    /**
     * Where a dimension line runs: set off to the left of the way from one end to the other.
     *
     * @param array<string, mixed> $dim
     * @return array{Point, Point}
     */
    private function ends(array $dim): array
    {
        [$from, $to] = [self::point($dim['from'] ?? null), self::point($dim['to'] ?? null)];
        $length = hypot($to[0] - $from[0], $to[1] - $from[1]);
        $away = $length > 0 && is_numeric($dim['away'] ?? null) ? (float) $dim['away'] / $length : 0.0;
        $off = [-($to[1] - $from[1]) * $away, ($to[0] - $from[0]) * $away];

        return [[$from[0] + $off[0], $from[1] + $off[1]], [$to[0] + $off[0], $to[1] + $off[1]]];
    }

    /**
     * @param Point $point m
     * @return Point on the paper
     */
    private function at(array $point): array
    {
        return [($point[0] - $this->left) * $this->scale, $this->height - self::MARGIN - ($point[1] - $this->bottom) * $this->scale];
    }

    /**
     * @param array<string, mixed> $scene
     * @return list<array<string, mixed>>
     */
    private static function list(array $scene, string $name): array
    {
        /** @var list<array<string, mixed>> */
        return is_array($scene[$name] ?? null) ? array_values(array_filter($scene[$name], is_array(...))) : [];
    }

    /**
     * @param array<string, mixed> $body
     * @return list<Point>
     */
    private static function points(array $body): array
    {
        return is_array($body['points'] ?? null) ? array_values(array_map(self::point(...), $body['points'])) : [];
    }

    /** @return Point */
    private static function point(mixed $point): array
    {
        $of = fn (int $i): float => is_array($point) && is_numeric($point[$i] ?? null) ? (float) $point[$i] : 0.0;

        return [$of(0), $of(1)];
    }

    private static function n(float $value): string
    {
        return (string) round($value, 1);
    }
}
