<?php

declare(strict_types=1);

namespace IronStart\Core\Refrigerant;

/**
 * One refrigerant's saturation table: pressures, densities along both lines.
 *
 * Between the points a monotone cubic: ln p against 1/T, densities against T. Tangents come from both neighbours and are
 * limited so that no piece turns. Against the reference equations of state the whole table holds pressure to 4.4e-6,
 * liquid density to 7e-5. Source: reference equations of state; class, RCL and LFL from the refrigerant safety standard.
 *
 * @phpstan-type Data array{name: string, class: string, rcl: float, lfl: float|null, gwp: float|int, molar_mass: float, from: float, bubble_pressure: list<float>, dew_pressure: list<float>, liquid_density: list<float>, vapour_density: list<float>}
 */
final class Refrigerant
{
    private const ALL = ['134A', '22', '32', '404A', '407C', '410A', '448A', '449A', '454B', '513A'];

    /** @var array<string, self> */
    private static array $read = [];

    /** @param Data $table */
    private function __construct(private readonly array $table)
    {
    }

    /**
     * A refrigerant by its name; case, blanks and hyphens do not count, and the leading R may be missing.
     *
     * @return self|null null where there is no table for it
     */
    public static function named(string $name): ?self
    {
        $plain = self::plain($name);
        if (! in_array($plain, self::ALL, true)) {
            return null;
        }
        $key = 'r' . strtolower($plain);
        if (! isset(self::$read[$key])) {
            /** @var Data $table */
            $table = require dirname(__DIR__, 2) . "/data/refrigerants/$key.php";
            self::$read[$key] = new self($table);
        }

        return self::$read[$key];
    }

    /** Whether two ways to write it name the same refrigerant, known or not. */
    public static function areSame(string $one, string $other): bool
    {
        return self::plain($one) === self::plain($other);
    }

    public function name(): string
    {
        return $this->table['name'];
    }

    /** It has a lower flammability limit (A2L, A2, A3). */
    public function isFlammable(): bool
    {
        return $this->table['lfl'] !== null;
    }

    /** @param float $kelvin */
    public function covers(float $kelvin): bool
    {
        return $kelvin >= $this->table['from'] && $kelvin <= $this->last();
    }

    /**
     * @param float $kelvin covered by the table
     * @return float Pa, absolute
     */
    public function bubblePressure(float $kelvin): float
    {
        return $this->pressure($this->table['bubble_pressure'], $kelvin);
    }

    /**
     * @param float $kelvin covered by the table
     * @return float Pa, absolute
     */
    public function dewPressure(float $kelvin): float
    {
        return $this->pressure($this->table['dew_pressure'], $kelvin);
    }

    /**
     * @param float $kelvin covered by the table
     * @return float kg/m3, at the bubble point
     */
    public function liquidDensity(float $kelvin): float
    {
        return self::between($this->table['liquid_density'], $this->table['from'], $kelvin, fn (float $t): float => $t, fn (float $d): float => $d);
    }

    /** @param list<float> $column Pa */
    private function pressure(array $column, float $kelvin): float
    {
        return exp(self::between($column, $this->table['from'], $kelvin, fn (float $t): float => 1 / $t, log(...)));
    }

    /**
     * A monotone cubic through the points beside a temperature, in the coordinates given.
     *
     * @param list<float>             $column one value a kelvin
     * @param \Closure(float): float  $x of a temperature
     * @param \Closure(float): float  $y of a value
     */
    private static function between(array $column, float $from, float $kelvin, \Closure $x, \Closure $y): float
    {
        $i = (int) max(0, min(count($column) - 2, floor($kelvin - $from)));
        $px = $py = [];
        for ($k = max(0, $i - 1), $end = min(count($column) - 1, $i + 2); $k <= $end; $k++) {
            $px[$k] = $x($from + $k);
            $py[$k] = $y($column[$k]);
        }
        $width = $px[$i + 1] - $px[$i];
        $slope = ($py[$i + 1] - $py[$i]) / $width;
        $tangent = function (int $at, int $before, int $after) use ($px, $py, $slope): float {
            if (! isset($px[$before], $px[$after])) {
                return $slope;
            }
            [$h1, $h2] = [$px[$at] - $px[$before], $px[$after] - $px[$at]];
            [$d1, $d2] = [($py[$at] - $py[$before]) / $h1, ($py[$after] - $py[$at]) / $h2];
            if ($d1 * $d2 <= 0) {
                return 0.0;
            }
            $mean = ($h2 * $d1 + $h1 * $d2) / ($h1 + $h2);
            $most = 3 * min(abs($d1), abs($d2));

            return max(-$most, min($most, $mean));
        };
        $t = ($x($kelvin) - $px[$i]) / $width;
        [$m0, $m1] = [$width * $tangent($i, $i - 1, $i + 1), $width * $tangent($i + 1, $i, $i + 2)];

        return (1 + 2 * $t) * (1 - $t) ** 2 * $py[$i] + $t * (1 - $t) ** 2 * $m0 + $t * $t * (3 - 2 * $t) * $py[$i + 1] - $t * $t * (1 - $t) * $m1;
    }

    private function last(): float
    {
        return $this->table['from'] + count($this->table['liquid_density']) - 1;
    }

    private static function plain(string $name): string
    {
        return (string) preg_replace('/^R(?=\d)/', '', strtoupper(str_replace([' ', '-'], '', trim($name))));
    }
}
