<?php

declare(strict_types=1);

namespace App\Records;

use App\Views\TapeEntry;

/** What whoever opens the panel next should read first: which way it turns and since when, its circuit, the worst short here, a compressor of another plate. */
final class DoorLabel
{
    /** @return list<array{string, string}> */
    public function figures(TapeEntry $entry): array
    {
        $input = (array) json_decode((string) json_encode($entry->input), true);
        $values = (array) json_decode((string) json_encode($entry->values), true);
        $on = substr($entry->placedAt, 0, 10);

        return array_values(array_filter(match ($entry->check) {
            'power.rotation' => [['Read by', "$entry->who, $on"]],
            'power.circuit' => [['MCA', self::said($input['mca'] ?? null)], ['Largest fuse or breaker', self::said($input['mocp'] ?? null)], ['Breaker', self::said($input['breaker'] ?? null)]],
            'power.fault_current' => [['Available fault current', self::amps($values['label_amps'] ?? null)], ['At', self::said($input['line_voltage'] ?? null)], ['Calculated by', "$entry->who, $on"]],
            'compressor.match' => [['Compressor', ltrim((string) strstr($entry->subject, ':'), ':')], ['RLA', self::said($input['new']['rla'] ?? null)], ['LRA', self::said($input['new']['lra'] ?? null)], ['MCA with it', self::amps($values['mca_new'] ?? null)], ['Largest fuse with it', self::amps($values['mocp_new'] ?? null)], ['Changed by', "$entry->who, $on"]],
            default => [],
        }, fn (array $line): bool => $line[1] !== ''));
    }

    private static function said(mixed $value): string
    {
        return is_scalar($value) ? (string) $value : (is_array($value) && isset($value['value'], $value['unit']) ? "{$value['value']} {$value['unit']}" : '');
    }

    private static function amps(mixed $value): string
    {
        return is_array($value) && is_numeric($value['value'] ?? null) ? rtrim(rtrim(number_format((float) $value['value'], 1, '.', ''), '0'), '.') . ' A' : '';
    }
}
