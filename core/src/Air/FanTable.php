<?php

declare(strict_types=1);

namespace IronStart\Core\Air;

use IronStart\Core\Check\InputError;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Quantity;
use IronStart\Core\Quantity\UnknownUnit;

/** What a blower moves at a setting (a speed, or a tap) against a static pressure, by the sheet: between four of its points, never beyond them. */
final readonly class FanTable
{
    /**
     * @param list<float> $settings rising
     * @param list<float> $statics  Pa, rising
     * @param list<list<float|null>> $flows m3/h by setting and static; null where the sheet is blank
     */
    private function __construct(private array $settings, private array $statics, private array $flows)
    {
    }

    /**
     * @param mixed $raw {settings, statics, flows}
     * @throws InputError where it is no such table
     */
    public static function read(mixed $raw, string $path): self
    {
        $table = self::plain($raw);
        $wrong = fn (string $at, string $accepted): InputError => InputError::at("$path$at", is_scalar($table) ? $table : null, $accepted, 'is no fan table');
        if (! is_array($table) || ! is_array($table['settings'] ?? null) || ! is_array($table['statics'] ?? null) || ! is_array($table['flows'] ?? null)) {
            throw $wrong('', 'settings, statics and the flow of each setting at each static');
        }
        $settings = [];
        foreach (array_values($table['settings']) as $i => $one) {
            if (! is_int($one) && ! is_float($one) || ($i > 0 && $one <= $settings[$i - 1])) {
                throw $wrong(".settings.$i", 'numbers that go up');
            }
            $settings[] = (float) $one;
        }
        $statics = [];
        foreach (array_values($table['statics']) as $i => $one) {
            $pascals = self::quantity($one, Kind::SmallPressure);
            if ($pascals === null || ($i > 0 && $pascals <= $statics[$i - 1])) {
                throw $wrong(".statics.$i", 'static pressures with their unit (inH2O, Pa, mbar) that go up');
            }
            $statics[] = $pascals;
        }
        $flows = [];
        foreach (array_values($table['flows']) as $i => $row) {
            if (! is_array($row) || count($row) !== count($statics)) {
                throw $wrong(".flows.$i", 'a flow for each static pressure, null where the sheet is blank');
            }
            foreach (array_values($row) as $j => $one) {
                $flow = self::quantity($one, Kind::AirFlow);
                if ($one !== null && ($flow === null || $flow <= 0)) {
                    throw $wrong(".flows.$i.$j", 'an airflow with its unit (cfm, m3/h, L/s), above 0');
                }
                $flows[$i][$j] = $flow;
            }
        }
        if ($settings === [] || $statics === [] || count($flows) !== count($settings)) {
            throw $wrong('.flows', 'a row of flows for each setting');
        }

        return new self($settings, $statics, array_values(array_map(array_values(...), $flows)));
    }

    /**
     * @param float $static Pa
     * @return float|null m3/h; null beyond the table and beside a blank
     */
    public function at(float $setting, float $static): ?float
    {
        [$row, $column] = [self::place($this->settings, $setting), self::place($this->statics, $static)];
        if ($row === null || $column === null) {
            return null;
        }
        $sum = 0.0;
        foreach ($row as $i => $share) {
            foreach ($column as $j => $part) {
                $flow = $this->flows[$i][$j];
                if ($share * $part === 0.0) {
                    continue;
                }
                if ($flow === null) {
                    return null;
                }
                $sum += $share * $part * $flow;
            }
        }

        return $sum;
    }

    /**
     * @param list<float> $points rising
     * @return array<int, float>|null the points beside a figure, each with its share
     */
    private static function place(array $points, float $x): ?array
    {
        $last = count($points) - 1;
        $slack = 1e-9 * max(1.0, abs($x));
        if ($x < $points[0] - $slack || $x > $points[$last] + $slack) {
            return null;
        }
        $after = 0;
        while ($after < $last && $points[$after] < $x) {
            $after++;
        }
        $before = max(0, $after - 1);
        $share = $after === $before ? 1.0 : max(0.0, min(1.0, ($x - $points[$before]) / ($points[$after] - $points[$before])));

        return $after === $before ? [$after => 1.0] : [$before => 1 - $share, $after => $share];
    }

    private static function plain(mixed $raw): mixed
    {
        return is_object($raw) || is_array($raw) ? json_decode((string) json_encode($raw), true) : $raw;
    }

    private static function quantity(mixed $raw, Kind $kind): ?float
    {
        try {
            return match (true) {
                is_string($raw) => Quantity::parse($raw, $kind)?->canonical,
                is_array($raw) && is_numeric($raw['value'] ?? null) && is_string($raw['unit'] ?? null) => Quantity::of((float) $raw['value'], $raw['unit'], $kind)->canonical,
                default => null,
            };
        } catch (UnknownUnit|\RangeException) {
            return null;
        }
    }
}
