<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Machine;

/** The figures a machine's sheet gives to the checks, and where what was typed is another. */
final class Plate
{
    /** Fields of the checks that are figures of the plate. */
    private const FIELDS = [
        'power.supply_identity' => ['plate_voltage'],
        'power.voltage' => ['plate_voltage', 'volts_min', 'volts_max', 'unbalance_limit'],
        'power.circuit' => ['mca', 'mocp', 'terminal_rating', 'phases'],
        'power.control_voltage' => ['secondary_nominal'],
        'power.rotation' => ['loads.plate_amps'],
        'power.running_amps' => ['loads.plate_amps'],
        'compressor.windings' => ['plate_ohms'],
    ];

    /**
     * @param array<string, array<string, mixed>> $prefill by check
     * @return array<string, array<string, string>> by check, and by field or "loads.<name>.plate_amps"
     */
    public static function of(array $prefill): array
    {
        $plate = [];
        foreach (self::FIELDS as $check => $fields) {
            foreach (self::figures($fields, $prefill[$check] ?? []) as $path => $figure) {
                $plate[$check][$path] = $figure;
            }
        }

        return $plate;
    }

    /**
     * What was typed otherwise than the sheet has it; what was left out is not.
     *
     * @return array<string, array{sheet: string, typed: string}> by field
     */
    public static function typedOver(Machine $machine, Prefill $prefill, string $check, mixed $input): array
    {
        $fields = self::FIELDS[$check] ?? [];
        if ($fields === [] || $machine->sheet === null) {
            return [];
        }
        $sheet = self::figures($fields, $prefill->ofSheet($machine)[$check] ?? []);
        $typed = self::figures($fields, json_decode((string) json_encode($input), true) ?: []);
        $over = [];
        foreach (array_intersect_key($typed, $sheet) as $path => $figure) {
            if (self::plain($figure) !== self::plain($sheet[$path])) {
                $over[$path] = ['sheet' => $sheet[$path], 'typed' => $figure];
            }
        }

        return $over;
    }

    /**
     * @param list<string> $fields
     * @param array<string, mixed> $input
     * @return array<string, string>
     */
    private static function figures(array $fields, array $input): array
    {
        $figures = [];
        foreach ($fields as $field) {
            if (! str_starts_with($field, 'loads.')) {
                $figures[$field] = self::text($input[$field] ?? null);
                continue;
            }
            foreach (is_array($input['loads'] ?? null) ? $input['loads'] : [] as $load) {
                $figures["loads.{$load['name']}.plate_amps"] = self::text($load['plate_amps'] ?? null);
            }
        }

        return array_filter($figures, fn (string $f): bool => $f !== '');
    }

    private static function text(mixed $value): string
    {
        return match (true) {
            is_array($value) && isset($value['value'], $value['unit']) => "{$value['value']} {$value['unit']}",
            is_scalar($value) => trim((string) $value),
            default => '',
        };
    }

    /** "460.0 V" and "460 V" are the same figure. */
    private static function plain(string $figure): string
    {
        [$number, $unit] = explode(' ', $figure, 2) + [1 => ''];

        return is_numeric($number) ? (float) $number . " $unit" : $figure;
    }
}
