<?php

declare(strict_types=1);

namespace App\Records;

/** The piping of a system as SVG for paper: a column for each step, a line for each indoor unit, its limits below. */
final class TreeDrawing
{
    private const INK = '#1b1f22';
    private const SOFT = '#59636a';
    private const STOP = '#9c1f17';
    private const STEP = 78.0;
    private const ROW = 24.0;
    private const TOP = 26.0;
    private const LEFT = 10.0;
    private const NAMES = 150.0;
    private const MIDDLE = 7.0;
    private const LINE = 16.0;
    private const NARROWEST = 320.0;
    private const BELOW = 10.0;

    /**
     * @param array<string, mixed> $drawing shape `tree`, as it is kept
     * @return string an SVG; empty where there is nothing to be seen
     */
    public static function svg(array $drawing): string
    {
        return self::parts($drawing, PHP_INT_MAX)[0] ?? '';
    }

    /**
     * The same in as many pieces as it takes, each going on where the one before it ends; the limits stand under the last.
     *
     * @param array<string, mixed> $drawing shape `tree`, as it is kept
     * @param int                  $lines   indoor units on one piece, 1 or more
     * @return list<string> SVGs; none where there is nothing to be seen
     */
    public static function parts(array $drawing, int $lines): array
    {
        $at = [];
        foreach (self::list($drawing, 'nodes') as $node) {
            $at[(string) ($node['id'] ?? '')] = [self::LEFT + self::STEP * (float) ($node['layer'] ?? 0), self::TOP + self::ROW * (float) ($node['x'] ?? 0)];
        }
        if ($at === []) {
            return [];
        }
        $foot = max(array_column($at, 1)) + self::ROW;
        $body = '';
        foreach (self::list($drawing, 'pipes') as $pipe) {
            $body .= self::pipe($pipe, $at);
        }
        foreach (self::list($drawing, 'nodes') as $node) {
            $body .= self::node($node, ...$at[(string) ($node['id'] ?? '')]);
        }
        $limits = self::list($drawing, 'limits');
        foreach ($limits as $i => $limit) {
            $body .= self::limit($limit, $foot + self::LINE * ($i + 1));
        }
        $width = (int) ceil(max(self::NARROWEST, max(array_column($at, 0)) + self::NAMES));
        $end = $foot + self::LINE * count($limits) + self::BELOW;
        $pieces = max(1, (int) ceil((max(array_column($at, 1)) - self::TOP + self::ROW) / (self::ROW * $lines)));
        // A piece ends between two lines.
        $cut = fn (int $piece): float => $piece === 0 ? 0.0 : ($piece === $pieces ? $end : self::TOP - self::ROW / 2 + self::ROW * $lines * $piece);

        return array_map(function (int $piece) use ($cut, $width, $body): string {
            [$top, $tall] = [self::n($cut($piece)), (int) ceil($cut($piece + 1) - $cut($piece))];

            return "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"$width\" height=\"$tall\" viewBox=\"0 $top $width $tall\">$body</svg>";
        }, range(0, $pieces - 1));
    }

    /** @param array<string, mixed> $limit */
    private static function limit(array $limit, float $y): string
    {
        $ink = ($limit['is'] ?? '') === 'stop' ? self::STOP : self::INK;

        return self::text(4, $y, (string) ($limit['name'] ?? ''), 10, $ink) . self::text(150, $y, "{$limit['value']} of {$limit['limit']}", 10, $ink)
            . self::text(240, $y, implode(' > ', array_filter((array) ($limit['path'] ?? []), is_string(...))), 8, self::SOFT);
    }

    /**
     * @param array<string, mixed> $pipe
     * @param array<array-key, array{float, float}> $at where each node stands
     */
    private static function pipe(array $pipe, array $at): string
    {
        [$one, $other] = [$at[(string) ($pipe['from'] ?? '')] ?? null, $at[(string) ($pipe['to'] ?? '')] ?? null];
        if ($one === null || $other === null) {
            return '';
        }
        [$from, $to] = $one[0] <= $other[0] ? [$one, $other] : [$other, $one];
        $bend = $from[0] + self::MIDDLE + ($from[0] === $to[0] ? self::STEP / 2 : 16.0);
        $words = implode(' · ', array_filter([$pipe['length'] ?? '', $pipe['gas'] ?? ''], fn (mixed $word): bool => is_string($word) && $word !== ''));

        return '<path d="M' . self::n($from[0] + self::MIDDLE) . ' ' . self::n($from[1]) . ' L' . self::n($bend) . ' ' . self::n($from[1]) . ' L' . self::n($bend) . ' ' . self::n($to[1]) . ' L' . self::n($to[0]) . ' ' . self::n($to[1]) . '" fill="none" stroke="' . self::SOFT . '" stroke-width="1.5"/>'
            . self::text($bend + 4, $to[1] - 4, $words, 8, self::SOFT)
            . self::text($bend + 4, $to[1] + 10, self::rise((string) ($pipe['rise'] ?? ''), $one[0] > $other[0]), 8, self::SOFT);
    }

    /** Up or down from the left end to the right one; a pipe may be written from its right end. */
    private static function rise(string $rise, bool $isTurned): string
    {
        return $rise === '' ? '' : (str_starts_with($rise, '-') !== $isTurned ? 'down ' : 'up ') . ltrim($rise, '-');
    }

    /** @param array<string, mixed> $node */
    private static function node(array $node, float $x, float $y): string
    {
        $id = (string) ($node['id'] ?? '');
        $open = array_filter(self::list($node, 'ports'), fn (array $port): bool => in_array($port['is'] ?? '', ['open', 'twice'], true));
        $shape = match ($node['kind'] ?? '') {
            'outdoor' => self::rect($x - 2, $y - 9, 18, 18, self::INK),
            'joint' => '<circle cx="' . self::n($x + self::MIDDLE) . '" cy="' . self::n($y) . '" r="3.5" fill="' . self::INK . '"/>',
            'box' => self::rect($x, $y - 10, 12, 20, $open === [] ? self::INK : self::STOP),
            default => '<path d="M' . self::n($x) . ' ' . self::n($y - 5) . ' L' . self::n($x + 13) . ' ' . self::n($y - 5) . ' L' . self::n($x + 17) . ' ' . self::n($y) . ' L' . self::n($x + 13) . ' ' . self::n($y + 5) . ' L' . self::n($x) . ' ' . self::n($y + 5) . ' Z" fill="none" stroke="' . self::INK . '" stroke-width="1.5"/>',
        };
        if (($node['kind'] ?? '') !== 'indoor') {
            return $shape . self::text($x + self::MIDDLE, $y - 12, $id, 10, self::INK, 'middle');
        }
        $more = implode(' · ', array_filter([$node['room'] ?? '', $node['capacity'] ?? ''], fn (mixed $word): bool => is_string($word) && $word !== ''));

        return $shape . self::text($x + 22, $y + 4, trim("$id  $more"), 10, self::INK);
    }

    /**
     * @param array<string, mixed> $of
     * @return list<array<string, mixed>>
     */
    private static function list(array $of, string $name): array
    {
        return array_values(array_filter(is_array($of[$name] ?? null) ? $of[$name] : [], is_array(...)));
    }

    private static function rect(float $x, float $y, float $width, float $height, string $ink): string
    {
        return '<rect x="' . self::n($x) . '" y="' . self::n($y) . '" width="' . self::n($width) . '" height="' . self::n($height) . "\" fill=\"none\" stroke=\"$ink\" stroke-width=\"1.5\"/>";
    }

    private static function text(float $x, float $y, string $text, int $size, string $color, string $anchor = 'start'): string
    {
        return $text === '' ? '' : '<text x="' . self::n($x) . '" y="' . self::n($y) . "\" text-anchor=\"$anchor\" font-size=\"$size\" fill=\"$color\">" . htmlspecialchars($text, ENT_XML1) . '</text>';
    }

    private static function n(float $value): string
    {
        return (string) round($value, 1);
    }
}
