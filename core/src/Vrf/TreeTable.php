<?php

declare(strict_types=1);

namespace IronStart\Core\Vrf;

/**
 * A tree as a table, one unit, joint or box a line with what feeds it: read from CSV into the nodes and pipes of
 * vrf.topology, and written the same way. A further outdoor unit names the joint it feeds.
 *
 * A length is a figure with its unit, or a bare one whose unit stands in its column's head: `length (m)`.
 */
final readonly class TreeTable
{
    public const COLUMNS = ['name', 'kind', 'from', 'length', 'rise', 'liquid', 'gas', 'ports', 'capacity', 'capped', 'room', 'address', 'set', 'short elbows', 'long elbows', 'bends'];
    private const KINDS = ['outdoor', 'joint', 'box', 'indoor'];
    private const COUNTS = ['short elbows' => 'elbows_short', 'long elbows' => 'elbows_long', 'bends' => 'bends'];

    /**
     * @param list<array<string, mixed>>                                $nodes
     * @param list<array<string, mixed>>                                $pipes
     * @param list<array{line: int, column: string, error: string, value: string}> $errors by line: `no_name`, `twice`, `kind`, `from`, `no_length`, `figure`, `ports`, or `columns` of the head
     */
    private function __construct(public array $nodes, public array $pipes, public array $errors)
    {
    }

    public static function read(string $csv): self
    {
        $table = CsvTable::read($csv);
        [$at, $units] = self::head($table->head);
        if (! isset($at['name'], $at['kind'])) {
            return new self([], [], [['line' => 1, 'column' => '', 'error' => 'columns', 'value' => implode(', ', self::COLUMNS)]]);
        }

        return self::of($table->by($at), $units);
    }

    /**
     * @param list<array<string, mixed>> $nodes
     * @param list<array<string, mixed>> $pipes
     * @return list<list<string>> the head and a line for each node, its pipe beside it
     */
    public static function rows(array $nodes, array $pipes): array
    {
        $rows = [self::COLUMNS];
        $modules = array_column(array_filter($nodes, fn (array $node): bool => ($node['kind'] ?? '') === 'outdoor'), 'id');
        $further = array_slice($modules, 1);
        foreach ($nodes as $node) {
            $id = $node['id'] ?? '';
            $isFurther = in_array($id, $further, true);
            $mine = array_values(array_filter($pipes, fn (array $pipe): bool => $isFurther ? ($pipe['from'] ?? '') === $id : ($pipe['to'] ?? '') === $id && ! in_array($pipe['from'] ?? '', $further, true)))[0] ?? [];
            $from = $mine[$isFurther ? 'to' : 'from'] ?? '';
            $isBox = ($node['kind'] ?? '') === 'box';
            $rows[] = array_map(self::said(...), [
                $id, $node['kind'] ?? '', $from, $mine['actual'] ?? '', $mine['rise'] ?? '', $mine['liquid_od'] ?? '', $mine['gas_od'] ?? '',
                $isBox ? $node['ports'] ?? '' : $mine['ports'] ?? '', $node['capacity'] ?? '', $node['capped'] ?? '', $node['room'] ?? '', $node['address'] ?? '', $node['set'] ?? '',
                $mine['elbows_short'] ?? '', $mine['elbows_long'] ?? '', $mine['bends'] ?? '',
            ]);
        }

        return $rows;
    }

    /**
     * @param array<int, array<string, string>> $rows by line, cells by column
     * @param array<string, string>             $units by column
     */
    private static function of(array $rows, array $units): self
    {
        $names = array_filter(array_column($rows, 'name'), fn (string $name): bool => $name !== '');
        $nodes = $pipes = $errors = $seen = [];
        $wrong = function (int $line, string $column, string $error, string $value = '') use (&$errors): void {
            $errors[] = ['line' => $line, 'column' => $column, 'error' => $error, 'value' => $value];
        };
        foreach ($rows as $line => $row) {
            $name = $row['name'];
            $kind = strtolower(strtok($row['kind'] . ' ', ' ') ?: '');
            $kind = $kind === 'branch' ? 'box' : $kind;
            match (true) {
                $name === '' => $wrong($line, 'name', 'no_name'),
                isset($seen[$name]) => $wrong($line, 'name', 'twice', $name),
                default => null,
            };
            if (! in_array($kind, self::KINDS, true)) {
                $wrong($line, 'kind', 'kind', $row['kind']);
            }
            $figure = function (string $column) use ($row, $units, $line, $wrong): ?string {
                $text = str_replace('−', '-', $row[$column] ?? '');
                if ($text === '') {
                    return null;
                }
                $said = is_numeric($text) && isset($units[$column]) ? "$text {$units[$column]}" : $text;
                if (preg_match('/^-?\d[\d.\/-]* \S+$/', $said) !== 1) {
                    $wrong($line, $column, 'figure', $text);
                }

                return $said;
            };
            $ports = self::numbers($row['ports'] ?? '');
            if ($ports === null || self::numbers($row['capped'] ?? '') === null) {
                $wrong($line, $ports === null ? 'ports' : 'capped', 'ports', $ports === null ? $row['ports'] : $row['capped']);
            }
            $nodes[] = array_filter([
                'id' => $name, 'kind' => $kind, 'capacity' => $figure('capacity'), 'ports' => $kind === 'box' ? $ports[0] ?? null : null, 'capped' => self::numbers($row['capped'] ?? ''),
                'set' => strtolower($row['set'] ?? ''), 'address' => $row['address'] ?? '', 'room' => $row['room'] ?? '',
            ], fn (mixed $told): bool => $told !== null && $told !== '' && $told !== []);
            $isFirst = $kind === 'outdoor' && $seen === [];
            $seen[$name] = true;
            $from = $row['from'] ?? '';
            if ($from === '' && $isFirst) {
                continue;
            }
            if (! in_array($from, $names, true) || $from === $name) {
                $wrong($line, 'from', 'from', $from);
            }
            $length = $figure('length');
            if ($length === null) {
                $wrong($line, 'length', 'no_length');
            }
            $counts = array_filter(array_map(fn (string $column): ?int => ctype_digit($row[$column] ?? '') ? (int) $row[$column] : null, array_flip(self::COUNTS)), fn (?int $count): bool => $count !== null);
            $pipes[] = array_filter([
                'from' => $kind === 'outdoor' ? $name : $from, 'to' => $kind === 'outdoor' ? $from : $name, 'actual' => $length, 'rise' => $figure('rise'),
                'liquid_od' => $figure('liquid'), 'gas_od' => $figure('gas'), 'ports' => $kind === 'box' ? null : $ports,
            ], fn (mixed $told): bool => $told !== null && $told !== []) + $counts;
        }

        return new self($nodes, $pipes, $errors);
    }

    /**
     * @param list<string> $cells
     * @return array{array<string, int>, array<string, string>} where each column stands, and its unit where the head has one
     */
    private static function head(array $cells): array
    {
        $at = $units = [];
        foreach ($cells as $place => $cell) {
            if (preg_match('/^([a-z ]+?)\s*(?:\(([^)]+)\))?$/', strtolower(trim($cell)), $part) === 1 && in_array($part[1], self::COLUMNS, true)) {
                $at[$part[1]] = $place;
                if (isset($part[2])) {
                    preg_match('/\(([^)]+)\)/', $cell, $unit);
                    $units[$part[1]] = trim($unit[1] ?? $part[2]);
                }
            }
        }

        return [$at, $units];
    }

    /** @return list<int>|null null where it is no list of numbers */
    private static function numbers(string $cell): ?array
    {
        $parts = preg_split('/[\s,+;]+/', trim($cell), -1, PREG_SPLIT_NO_EMPTY);
        $parts = $parts === false ? [] : $parts;

        return array_filter($parts, fn (string $part): bool => ! ctype_digit($part)) === [] ? array_map(intval(...), $parts) : null;
    }

    private static function said(mixed $value): string
    {
        return match (true) {
            is_array($value) && isset($value['value'], $value['unit']) => "{$value['value']} {$value['unit']}",
            is_array($value) => implode(' ', array_map(fn (mixed $one): string => is_scalar($one) ? (string) $one : '', $value)),
            is_scalar($value) => (string) $value,
            default => '',
        };
    }
}
