<?php

declare(strict_types=1);

namespace IronStart\Core\Sheet;

use IronStart\Core\Check\Field;
use IronStart\Core\Check\FieldType;
use IronStart\Core\Check\Need;
use IronStart\Core\Power\PlateVoltage;

/** The figures a sheet gives to a check, and those that were typed otherwise. */
final class TypedOver
{
    private const COMPARED = [FieldType::Quantity, FieldType::Text, FieldType::Flag, FieldType::Choice, FieldType::Count];

    /**
     * The sheet's figures by field, those of a list's items as `loads.C1.plate_amps`.
     *
     * @param list<Field>          $fields
     * @param array<string, mixed> $filled the input as the sheet fills it
     * @return array<string, string>
     */
    public static function figures(array $fields, array $filled): array
    {
        $figures = [];
        foreach ($fields as $field) {
            $value = $filled[$field->name] ?? null;
            if ($field->type === FieldType::Items) {
                foreach (is_array($value) ? $value : [] as $item) {
                    $name = is_array($item) ? ($item[$field->uniqueBy ?? ''] ?? null) : null;
                    foreach (is_string($name) ? self::figures($field->fields, $item) : [] as $member => $figure) {
                        $figures["$field->name.$name.$member"] = $figure;
                    }
                }
            } elseif ($field->sheet !== '' && ! $field->sheetStarts && $field->need !== Need::Structural && in_array($field->type, self::COMPARED, true)) {
                $figures[$field->name] = self::text($value);
            }
        }

        return array_filter($figures, fn (string $f): bool => $f !== '');
    }

    /**
     * What was typed otherwise than the sheet has it; what was left out is not.
     *
     * @param list<Field>          $fields
     * @param array<string, mixed> $filled as the sheet fills it
     * @param array<string, mixed> $typed  as it was given
     * @return array<string, array{sheet: string, typed: string}> by field
     */
    public static function of(array $fields, array $filled, array $typed): array
    {
        $sheet = self::figures($fields, $filled);
        $over = [];
        foreach (array_intersect_key(self::figures($fields, $typed), $sheet) as $path => $figure) {
            if (self::plain($figure) !== self::plain($sheet[$path]) && ! PlateVoltage::areSame($figure, $sheet[$path])) {
                $over[$path] = ['sheet' => $sheet[$path], 'typed' => $figure];
            }
        }

        return $over;
    }

    private static function text(mixed $value): string
    {
        return match (true) {
            is_bool($value) => $value ? 'true' : 'false',
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
