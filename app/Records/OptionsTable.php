<?php

declare(strict_types=1);

namespace App\Records;

use App\Views\TapeEntry;

/** The options of a recorded comparison side by side: a row a figure, a column an option, the best of a row marked. */
final class OptionsTable
{
    /** Rows in their order, with the unit behind the figure. */
    private const ROWS = ['capacity' => '%', 'capacity_largest_out' => '%', 'feeder_need' => ' A', 'new_circuits' => '', 'weight' => '', 'cost' => '', 'days' => ''];

    /** @return array{names: list<string>, rows: array<string, list<array{text: string, best: bool}>>} */
    public static function of(TapeEntry $entry): array
    {
        $values = (array) json_decode((string) json_encode($entry->values), true);
        $input = (array) json_decode((string) json_encode($entry->input), true);
        $names = array_values(array_map(fn (mixed $one): string => is_array($one) && is_string($one['name'] ?? null) ? $one['name'] : '', is_array($input['options'] ?? null) ? $input['options'] : []));
        $rows = [];
        foreach (self::ROWS as $row => $sign) {
            $best = $values["best.$row"]['value'] ?? [];
            $cells = [];
            foreach ($names as $i => $name) {
                $value = $values["options.$i.$row"] ?? null;
                $text = is_numeric($value['value'] ?? null) ? number_format((float) $value['value'], 0, '.', ',') . ($row === 'weight' ? " {$value['unit']}" : $sign) : '';
                $cells[] = ['text' => $text, 'best' => in_array($name, is_array($best) ? $best : [], true)];
            }
            if (array_filter($cells, fn (array $cell): bool => $cell['text'] !== '') !== []) {
                $rows[$row] = $cells;
            }
        }

        return ['names' => $names, 'rows' => $rows];
    }
}
