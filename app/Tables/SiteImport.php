<?php

declare(strict_types=1);

namespace App\Tables;

use App\Models\Site;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Units;

/** Sites: name, address, altitude with its unit, and what stands there for the day somebody needs it. */
final class SiteImport extends Import
{
    private const LENGTHS = ['name' => 120, 'address' => 240, 'altitude' => 20, 'hospital' => 240, 'roof_hatch_key' => 240, 'gas_shut_off' => 240, 'emergency_switch' => 240, 'contact' => 240, 'access' => 240];
    private const LOWEST_M = -430.0;
    private const HIGHEST_M = 5_500.0;

    public static function columns(): array
    {
        return array_keys(self::LENGTHS);
    }

    public static function wanted(): array
    {
        return ['name'];
    }

    protected function check(CsvFile $file): array
    {
        $known = array_flip(array_map(mb_strtolower(...), Site::query()->whereIn('name', array_map(fn (array $r): string => $r['cells']['name'], $file->rows))->pluck('name')->all()));
        $checked = $lines = [];
        foreach ($file->rows as ['line' => $line, 'cells' => $cells]) {
            $problems = self::cellProblems($cells, self::LENGTHS);
            $key = mb_strtolower($cells['name']);
            if (isset($known[$key])) {
                $problems[] = "There is a site \"{$cells['name']}\" already.";
            } elseif (isset($lines[$key])) {
                $problems[] = "Line $lines[$key] has the same name.";
            }
            $lines[$key] ??= $line;
            $altitude = self::altitude($cells['altitude'] ?? '');
            if ($altitude === null) {
                $problems[] = "altitude \"{$cells['altitude']}\" is no height with its unit, such as 1150 ft or 350 m.";
            }
            $safety = array_filter(array_diff_key($cells, ['name' => 0, 'address' => 0, 'altitude' => 0]), fn (string $v): bool => $v !== '');
            $checked[] = ['line' => $line, 'title' => $cells['name'], 'problems' => $problems, 'row' => ['name' => $cells['name'], 'address' => $cells['address'] ?? '', 'altitude_m' => $altitude ?? 0.0, 'safety' => json_encode((object) $safety)]];
        }

        return $checked;
    }

    protected function make(array $rows): int
    {
        $more = ['company_id' => $this->company->id(), 'created_at' => now(), 'updated_at' => now()];
        $this->insert('sites', array_map(fn (array $row): array => $row + $more, $rows));

        return count($rows);
    }

    private static function altitude(string $cell): ?float
    {
        if ($cell === '') {
            return 0.0;
        }
        if (preg_match('/^(-?\d+(?:\.\d+)?)\s*(ft|m)$/', $cell, $parts) !== 1) {
            return null;
        }
        $metres = Units::toCanonical((float) $parts[1], $parts[2], Kind::Length) / Units::toCanonical(1.0, 'm', Kind::Length);

        return $metres >= self::LOWEST_M && $metres <= self::HIGHEST_M ? $metres : null;
    }
}
