<?php

declare(strict_types=1);

namespace IronStart\Core\Numeric;

/**
 * A curve through points that turns nowhere between them: cubic Hermite pieces whose tangents come from both neighbours,
 * weighted by their distances, and are limited to three times the flatter secant.
 *
 * Source: F. N. Fritsch, R. E. Carlson, Monotone piecewise cubic interpolation (1980).
 */
final readonly class MonotoneCubic
{
    /** @var list<float> each piece as ((a·t + b)·t + c)·t + d, t from 0 to 1 */
    private array $a;
    /** @var list<float> */
    private array $b;
    /** @var list<float> */
    private array $c;

    /**
     * @param list<float> $x strictly rising or strictly falling, two or more
     * @param list<float> $y as many
     */
    public function __construct(private array $x, private array $y)
    {
        $last = count($x) - 1;
        $secant = [];
        for ($i = 0; $i < $last; $i++) {
            $secant[] = ($y[$i + 1] - $y[$i]) / ($x[$i + 1] - $x[$i]);
        }
        $a = $b = $c = [];
        for ($i = 0; $i < $last; $i++) {
            $width = $x[$i + 1] - $x[$i];
            [$m0, $m1] = [$width * self::tangent($x, $secant, $i), $width * self::tangent($x, $secant, $i + 1)];
            $rise = $y[$i + 1] - $y[$i];
            $a[] = $m0 + $m1 - 2 * $rise;
            $b[] = 3 * $rise - 2 * $m0 - $m1;
            $c[] = $m0;
        }
        [$this->a, $this->b, $this->c] = [$a, $b, $c];
    }

    /** @param int $piece from 0 to the number of points less two */
    public function at(int $piece, float $x): float
    {
        $t = ($x - $this->x[$piece]) / ($this->x[$piece + 1] - $this->x[$piece]);

        return (($this->a[$piece] * $t + $this->b[$piece]) * $t + $this->c[$piece]) * $t + $this->y[$piece];
    }

    /** @return array{float, float, float} the piece's cubic, square and linear part over its own width */
    public function piece(int $piece): array
    {
        return [$this->a[$piece], $this->b[$piece], $this->c[$piece]];
    }

    /**
     * @param list<float> $x
     * @param list<float> $secant
     */
    private static function tangent(array $x, array $secant, int $i): float
    {
        [$d1, $d2] = [$secant[$i - 1] ?? null, $secant[$i] ?? null];
        if ($d1 === null || $d2 === null) {
            return $d1 ?? $d2 ?? 0.0;
        }
        if (($d1 <=> 0.0) !== ($d2 <=> 0.0) || ! isset($x[$i - 1], $x[$i], $x[$i + 1])) {
            return 0.0;
        }
        [$h1, $h2] = [$x[$i] - $x[$i - 1], $x[$i + 1] - $x[$i]];
        $most = 3 * min(abs($d1), abs($d2));

        return max(-$most, min($most, ($h2 * $d1 + $h1 * $d2) / ($h1 + $h2)));
    }
}
