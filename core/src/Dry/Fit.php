<?php

declare(strict_types=1);

namespace IronStart\Core\Dry;

use IronStart\Core\Numeric\LeastSquares;
use IronStart\Core\Numeric\Root;
use IronStart\Core\Verdict\Limit;

/**
 * The shape of a vacuum that is left alone: it stands (dry), rises in a line (a leak) or bends to a plateau (moisture).
 *
 * Weighted least squares, weights 1/p²; the model by the corrected information criterion
 * n·ln(max(RSS/n, 0.01²)) + 2k + 2k(k+1)/(n − k − 1), the 1 % being the gauge's own repeatability. Moisture only where it
 * bends: an early slope over nothing and at least twice the late one.
 *
 * @phpstan-type Point array{float, float}
 */
final readonly class Fit
{
    private const REPEATS = 0.01 ** 2;
    /** min; a time constant is looked for from here to twice the span, on so many points first. */
    private const SHORTEST = 0.5;
    private const LONGEST = 2.0;
    private const GRID = 60;
    private const BENDS = 2.0;
    private const THIRD = 3;

    private function __construct(
        public string $model,
        /** micron: what it stands at, or what a line has at no time, or the plateau. */
        public float $level,
        /** micron/min of a line; 0 elsewhere. */
        public float $slope,
        /** micron by which moisture starts under its plateau, at no time. */
        public float $below,
        /** min */
        public float $tau,
        public float $early,
        public float $late,
        /** micron and micron/min of the line through the last third. */
        private float $lateLevel,
        /** How much worse moisture fits than the line, whether it may be chosen or not. */
        public float $moistureOverLeak,
    ) {
    }

    /** @param list<Point> $points minutes rising, micron; 5 or more */
    public static function of(array $points): self
    {
        [$t, $p] = [array_column($points, 0), array_column($points, 1)];
        $w = array_map(fn (float $one): float => 1 / $one ** 2, $p);
        $n = count($p);
        $steady = LeastSquares::level($p, $w);
        $leak = LeastSquares::line($t, $p, $w);
        $moisture = self::moisture($t, $p, $w);
        $scores = ['steady' => self::score($n, $steady['residual'], 1), 'leak' => self::score($n, $leak['residual'], 2), 'moisture' => $moisture === null ? INF : self::score($n, $moisture['residual'], 3)];
        $third = max(self::THIRD, intdiv($n, 3));
        $early = LeastSquares::line(array_slice($t, 0, $third), array_slice($p, 0, $third));
        $late = LeastSquares::line(array_slice($t, -$third), array_slice($p, -$third));
        $bends = Limit::over($early['slope'], 0.0) && ! Limit::under($early['slope'], self::BENDS * $late['slope']);
        $may = [...$scores, 'moisture' => $bends ? $scores['moisture'] : INF];
        $model = (string) array_search(min($may), $may, true);
        $isMoisture = $model === 'moisture' && $moisture !== null;

        return new self(
            $model,
            $isMoisture ? $moisture['plateau'] : ($model === 'leak' ? $leak['intercept'] : $steady['level']),
            $model === 'leak' ? $leak['slope'] : 0.0,
            $isMoisture ? $moisture['below'] : 0.0,
            $isMoisture ? $moisture['tau'] : 1.0,
            $early['slope'],
            $late['slope'],
            $late['intercept'],
            $scores['moisture'] - $scores['leak'],
        );
    }

    /** @return float micron at a minute */
    public function at(float $minutes): float
    {
        return $this->level + $this->slope * $minutes - $this->below * exp(-$minutes / $this->tau);
    }

    /** @return float micron at a minute, carried on from the last third alone */
    public function lateAt(float $minutes): float
    {
        return $this->lateLevel + $this->late * $minutes;
    }

    /** @return float|null min when it passes a limit; null where it never does */
    public function crosses(float $limit): ?float
    {
        return match (true) {
            $this->model === 'leak' && $this->slope > 0 => max(0.0, ($limit - $this->level) / $this->slope),
            $this->model === 'moisture' && $this->level > $limit => max(0.0, -$this->tau * log(($this->level - $limit) / $this->below)),
            default => null,
        };
    }

    /**
     * p∞ − A·e^(−t/τ): for each τ plateau and A by a line, τ by its least.
     *
     * @param list<float> $t
     * @param list<float> $p
     * @param list<float> $w
     * @return array{plateau: float, below: float, tau: float, residual: float}|null null where nothing rises to a plateau
     */
    private static function moisture(array $t, array $p, array $w): ?array
    {
        $fit = fn (float $tau): array => LeastSquares::line(array_map(fn (float $one): float => exp(-$one / $tau), $t), $p, $w);
        $cost = function (float $tau) use ($fit): float {
            $line = $fit($tau);

            return Limit::under($line['slope'], 0.0) ? $line['residual'] : INF;
        };
        $tau = Root::least($cost, self::SHORTEST, self::LONGEST * ($t[count($t) - 1] - $t[0]), self::GRID);
        $line = $fit($tau);

        return Limit::under($line['slope'], 0.0) ? ['plateau' => $line['intercept'], 'below' => -$line['slope'], 'tau' => $tau, 'residual' => $line['residual']] : null;
    }

    private static function score(int $n, float $residual, int $k): float
    {
        return $n * log(max($residual / $n, self::REPEATS)) + 2 * $k + 2 * $k * ($k + 1) / ($n - $k - 1);
    }
}
