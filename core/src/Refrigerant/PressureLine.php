<?php

declare(strict_types=1);

namespace IronStart\Core\Refrigerant;

use IronStart\Core\Numeric\MonotoneCubic;

/**
 * A saturation line: ln p against 1/T as a monotone cubic, read in both directions.
 *
 * Temperature from pressure is asked thousands of times by a chart or an import: the piece is found in a list of places
 * evenly spaced in ln p, and solved where it stands.
 */
final class PressureLine
{
    /** Places of that list for each point of the table. */
    private const FINDER = 8;

    private readonly MonotoneCubic $curve;
    /** @var list<float> */
    private readonly array $log;
    /** @var list<array{float, float, float, float, float, float, float}> of each piece: ln p at its start, 1/(rise), a, b, c, 1/T at its start, width in 1/T */
    private readonly array $pieces;
    /** @var list<int> the piece that a place lies in, or the one before */
    private readonly array $first;
    private readonly float $from;
    private readonly float $scale;

    /**
     * @param list<float> $kelvins rising
     * @param list<float> $pascals absolute, rising
     */
    public function __construct(array $kelvins, array $pascals)
    {
        $inverse = array_map(fn (float $t): float => 1 / $t, $kelvins);
        $log = array_map(log(...), $pascals);
        $this->curve = new MonotoneCubic($inverse, $log);
        $last = count($log) - 1;
        $pieces = [];
        for ($i = 0; $i < $last; $i++) {
            [$a, $b, $c] = $this->curve->piece($i);
            $pieces[] = [$log[$i], 1 / ($log[$i + 1] - $log[$i]), $a, $b, $c, $inverse[$i], $inverse[$i + 1] - $inverse[$i]];
        }
        $scale = self::FINDER * $last / ($log[$last] - $log[0]);
        $first = [];
        for ($place = 0, $piece = 0; $place <= self::FINDER * $last; $place++) {
            while ($piece < $last - 1 && $log[$piece + 1] <= $log[0] + $place / $scale) {
                $piece++;
            }
            $first[] = $piece;
        }
        // What lies over the last point by its last digit is still of the last piece.
        $pieces[] = $pieces[$last - 1];
        $log[] = INF;
        [$this->log, $this->pieces, $this->first, $this->from, $this->scale] = [$log, $pieces, $first, $log[0], $scale];
    }

    /**
     * @param int   $piece the temperature lies in
     * @return float Pa, absolute
     */
    public function pressure(int $piece, float $kelvin): float
    {
        return exp($this->curve->at($piece, 1 / $kelvin));
    }

    /**
     * @param float $pascals absolute, within the line
     * @return float K
     */
    public function temperature(float $pascals): float
    {
        $y = log($pascals);
        $i = $this->first[(int) (($y - $this->from) * $this->scale)] ?? 0;
        while ($this->log[$i + 1] < $y) {
            $i++;
        }
        [$start, $slope, $a, $b, $c, $x, $width] = $this->pieces[$i];
        $y -= $start;
        $t = $y * $slope;
        // From the straight line two steps of Newton reach the last digit: points a kelvin apart bend by 1e-5.
        $steep = (3 * $a * $t + 2 * $b) * $t + $c;
        $t -= ((($a * $t + $b) * $t + $c) * $t - $y) / $steep;
        $t -= ((($a * $t + $b) * $t + $c) * $t - $y) / $steep;

        return 1 / ($x + $t * $width);
    }
}
