<?php

declare(strict_types=1);

namespace IronStart\Core\Dry;

use IronStart\Core\Numeric\Root;

/**
 * A pump, its hoses and a volume. All in mbar, L and L/s; what flows, in mbar·L/s.
 *
 * A round tube in air carries (a(p + x)/2 + b)(p − x) with a = 135·D⁴/L and b = 12.1·D³/L, D and L in cm (viscous and
 * molecular flow, Knudsen); a core left in is an opening of 0.14 cm, 9.1·D² L/s at least. Pressure falls by
 * dp/dt = −(S_eff·(p − p_ult) − Q)/V.
 */
final readonly class PullDown
{
    private const VISCOUS = 135.0;
    private const MOLECULAR = 12.1;
    /** L/s */
    private const CORE = 9.1 * 0.14 ** 2;
    /** Panels of the integral, in the logarithm of what is over the pump's own end. */
    private const PANELS = 32;
    /** A step of the course is as wide as one of them. */
    private const PANELS_OF_A_STEP = 2;
    /** Five-point rule of Gauss and Legendre: place and weight. */
    private const GAUSS = [[0.0, 0.5688888888888889], [0.5384693101056831, 0.47862867049936647], [-0.5384693101056831, 0.47862867049936647], [0.9061798459386640, 0.23692688505618908], [-0.9061798459386640, 0.23692688505618908]];

    /** @param list<array{bore: float, length: float, count: int, core: bool}> $hoses cm; none where the pump is straight on */
    public function __construct(private float $volume, private float $pump, private float $ultimate, private array $hoses, private float $outgassing)
    {
    }

    /** @param float $pascals @return float L/s at the machine */
    public function speed(float $pascals): float
    {
        return $this->effective($pascals / 100);
    }

    /**
     * @param float $from Pa
     * @param float $to   Pa, below
     * @return float|null min; null where it never gets there
     */
    public function minutes(float $from, float $to): ?float
    {
        $seconds = $this->seconds($from / 100, $to / 100);

        return $seconds === null ? null : $seconds / 60;
    }

    /**
     * @param float $from Pa
     * @param float $to   Pa, reached
     * @return list<array{float, float}> min and Pa
     */
    public function course(float $from, float $to): array
    {
        $course = [[0.0, $from]];
        $minutes = 0.0;
        for ($i = 1; $i <= self::PANELS; $i++) {
            $there = $from * ($to / $from) ** ($i / self::PANELS);
            $minutes += ($this->seconds($course[$i - 1][1] / 100, $there / 100, self::PANELS_OF_A_STEP) ?? 0.0) / 60;
            $course[] = [$minutes, $there];
        }

        return $course;
    }

    private function seconds(float $from, float $to, int $panels = self::PANELS): ?float
    {
        if (min($this->falls($to), $this->falls($from)) <= 0) {
            return null;
        }
        [$low, $high] = [log($to - $this->ultimate), log($from - $this->ultimate)];
        $width = ($high - $low) / $panels;
        $sum = 0.0;
        for ($i = 0; $i < $panels; $i++) {
            foreach (self::GAUSS as [$place, $weight]) {
                $over = exp($low + ($i + (1 + $place) / 2) * $width);
                // What falls at both ends falls everywhere between them: the thicker, the more goes.
                $sum += $weight * $over / $this->falls($this->ultimate + $over);
            }
        }

        return $this->volume * $sum * $width / 2;
    }

    /** mbar·L/s that go, less what comes in. */
    private function falls(float $p): float
    {
        return $p <= $this->ultimate ? -1.0 : $this->effective($p) * ($p - $this->ultimate) - $this->outgassing;
    }

    private function effective(float $p): float
    {
        if ($this->hoses === []) {
            return $this->pump;
        }
        $inlet = Root::smooth(fn (float $x): float => $this->pump * $x - $this->carried($p, $x), 0.0, $p);

        return $this->pump * $inlet / $p;
    }

    /** What all hoses carry from one pressure to another. */
    private function carried(float $p, float $x): float
    {
        $sum = 0.0;
        foreach ($this->hoses as $hose) {
            $a = self::VISCOUS * $hose['bore'] ** 4 / $hose['length'];
            $b = self::MOLECULAR * $hose['bore'] ** 3 / $hose['length'];
            $sum += $hose['count'] * ($hose['core'] ? self::throughCore($a, $b, $p, $x) : ($a * ($p + $x) / 2 + $b) * ($p - $x));
        }

        return $sum;
    }

    /** What passes the core comes out of the hose: the pressure between them is the root of a square. */
    private static function throughCore(float $a, float $b, float $p, float $x): float
    {
        $half = $b + self::CORE;
        $rest = $a * $x * $x / 2 + $b * $x + self::CORE * $p;
        $between = 2 * $rest / ($half + sqrt($half * $half + 2 * $a * $rest));

        return self::CORE * ($p - $between);
    }
}
