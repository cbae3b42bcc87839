<?php

declare(strict_types=1);

namespace IronStart\Core\Refrigerant;

use IronStart\Core\Numeric\MonotoneCubic;

/**
 * One refrigerant's saturation table: pressures, densities and enthalpies along both lines.
 *
 * Between the points a monotone cubic: ln p against 1/T, the rest against T; temperature from pressure is the inverse of
 * the same curve. Against the reference equations of state the whole table holds pressure to 4.4e-6, temperature to
 * 0.0002 K, liquid density to 7e-5, vapour density to 1.5e-4. Outside it there is nothing: no figure is carried on.
 * Source: reference equations of state; class, RCL and LFL from the refrigerant safety standard.
 *
 * @phpstan-type Data array{name: string, class: string, rcl: float, lfl: float|null, gwp: float|int, molar_mass: float, from: float, bubble_pressure: list<float>, dew_pressure: list<float>, liquid_density: list<float>, vapour_density: list<float>, liquid_enthalpy: list<float>, vapour_enthalpy: list<float>}
 */
final class Refrigerant
{
    private const ALL = ['134A', '22', '32', '404A', '407C', '410A', '448A', '449A', '454B', '513A'];

    /** @var array<string, self> */
    private static array $read = [];
    /** @var array<string, MonotoneCubic> by column */
    private array $curves = [];
    private readonly PressureLine $bubble;
    private readonly PressureLine $dew;

    /** @param Data $table */
    private function __construct(private readonly array $table)
    {
        $this->bubble = new PressureLine($this->temperatures(), $table['bubble_pressure']);
        $this->dew = new PressureLine($this->temperatures(), $table['dew_pressure']);
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

    /** @return list<self> every one there is a table for */
    public static function all(): array
    {
        return array_values(array_filter(array_map(self::named(...), self::ALL)));
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

    /** Of the refrigerant safety standard: A1, A2L … */
    public function safetyClass(): string
    {
        return $this->table['class'];
    }

    /** @return float kg/m3, the most a room may hold of it */
    public function rcl(): float
    {
        return $this->table['rcl'];
    }

    /** @return float|null kg/m3, from where on it burns; null where it does not */
    public function lfl(): ?float
    {
        return $this->table['lfl'];
    }

    /** Over a hundred years, of carbon dioxide. */
    public function gwp(): float
    {
        return (float) $this->table['gwp'];
    }

    /** @return float kg/mol */
    public function molarMass(): float
    {
        return $this->table['molar_mass'];
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

    /** Both lines have it. @param float $pascals absolute */
    public function coversPressure(float $pascals): bool
    {
        $end = count($this->table['dew_pressure']) - 1;

        return $pascals >= max($this->table['bubble_pressure'][0], $this->table['dew_pressure'][0])
            && $pascals <= min($this->table['bubble_pressure'][$end], $this->table['dew_pressure'][$end]);
    }

    /** @return array{float, float} K, the table's ends */
    public function range(): array
    {
        return [$this->table['from'], $this->last()];
    }

    /**
     * @param float $kelvin covered by the table
     * @return float Pa, absolute
     */
    public function bubblePressure(float $kelvin): float
    {
        return $this->bubble->pressure($this->piece($kelvin), $kelvin);
    }

    /**
     * @param float $kelvin covered by the table
     * @return float Pa, absolute
     */
    public function dewPressure(float $kelvin): float
    {
        return $this->dew->pressure($this->piece($kelvin), $kelvin);
    }

    /**
     * @param float $pascals absolute, on the line
     * @return float K, where the last of the gas has condensed
     */
    public function bubbleTemperature(float $pascals): float
    {
        return $this->bubble->temperature($pascals);
    }

    /**
     * @param float $pascals absolute, on the line
     * @return float K, where the last of the liquid has boiled
     */
    public function dewTemperature(float $pascals): float
    {
        return $this->dew->temperature($pascals);
    }

    /**
     * @param float $kelvin covered by the table
     * @return float kg/m3, at the bubble point
     */
    public function liquidDensity(float $kelvin): float
    {
        return $this->curve('liquid_density')->at($this->piece($kelvin), $kelvin);
    }

    /**
     * @param float $kelvin covered by the table
     * @return float kg/m3, at the dew point
     */
    public function vapourDensity(float $kelvin): float
    {
        return $this->curve('vapour_density')->at($this->piece($kelvin), $kelvin);
    }

    /**
     * @param float $kelvin covered by the table
     * @return float J/kg, at the bubble point
     */
    public function liquidEnthalpy(float $kelvin): float
    {
        return $this->curve('liquid_enthalpy')->at($this->piece($kelvin), $kelvin);
    }

    /**
     * @param float $kelvin covered by the table
     * @return float J/kg, at the dew point
     */
    public function vapourEnthalpy(float $kelvin): float
    {
        return $this->curve('vapour_enthalpy')->at($this->piece($kelvin), $kelvin);
    }

    /** The piece of a kelvin each a temperature lies in. */
    private function piece(float $kelvin): int
    {
        return (int) max(0, min(count($this->table['liquid_density']) - 2, floor($kelvin - $this->table['from'])));
    }

    /** @param 'liquid_density'|'vapour_density'|'liquid_enthalpy'|'vapour_enthalpy' $column */
    private function curve(string $column): MonotoneCubic
    {
        return $this->curves[$column] ??= new MonotoneCubic($this->temperatures(), $this->table[$column]);
    }

    /** @return list<float> K */
    private function temperatures(): array
    {
        return array_map(fn (int $i): float => $this->table['from'] + $i, range(0, count($this->table['liquid_density']) - 1));
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
