<?php

declare(strict_types=1);

namespace IronStart\Core\Vrf;

/** Addresses as a table, one unit or box a line: read from CSV into the devices of vrf.addresses. */
final readonly class DeviceTable
{
    public const COLUMNS = ['name', 'kind', 'box', 'address', 'group', 'main', 'bus'];
    private const KINDS = ['outdoor', 'box', 'indoor'];
    private const YES = ['yes', 'y', 'true', '1', 'x'];

    /**
     * @param list<array<string, mixed>> $devices
     * @param list<array{line: int, column: string, error: string, value: string}> $errors by line: `no_name`, `twice`, `device_kind`, `box`, `address`, or `device_columns` of the head
     */
    private function __construct(public array $devices, public array $errors)
    {
    }

    public static function read(string $csv): self
    {
        $table = CsvTable::read($csv);
        $at = array_flip(array_map(fn (string $cell): string => strtolower(trim($cell)), $table->head));
        $at = array_intersect_key($at, array_flip(self::COLUMNS));
        if (! isset($at['name'], $at['kind'])) {
            return new self([], [['line' => 1, 'column' => '', 'error' => 'device_columns', 'value' => implode(', ', self::COLUMNS)]]);
        }
        $rows = $table->by($at);
        $boxes = array_column(array_filter($rows, fn (array $row): bool => self::kind($row['kind']) === 'box'), 'name');
        $devices = $errors = $seen = [];
        foreach ($rows as $line => $row) {
            $kind = self::kind($row['kind']);
            $address = $row['address'] ?? '';
            $box = $row['box'] ?? '';
            foreach ([
                ['name', 'no_name', $row['name'] === ''],
                ['name', 'twice', $row['name'] !== '' && isset($seen[$row['name']])],
                ['kind', 'device_kind', ! in_array($kind, self::KINDS, true)],
                ['box', 'box', $box !== '' && ! in_array($box, $boxes, true)],
                ['address', 'address', $address !== '' && preg_match('/^\d{1,6}$/', $address) !== 1],
            ] as [$column, $error, $isWrong]) {
                if ($isWrong) {
                    $errors[] = ['line' => $line, 'column' => $column, 'error' => $error, 'value' => $row[$column] ?? ''];
                }
            }
            $seen[$row['name']] = true;
            $devices[] = array_filter([
                'id' => $row['name'], 'kind' => $kind, 'bus' => $row['bus'] ?? '', 'box' => $box, 'address' => $address === '' ? '' : (int) $address, 'group' => $row['group'] ?? '',
                'main' => in_array(strtolower($row['main'] ?? ''), self::YES, true) ? true : '',
            ], fn (mixed $told): bool => $told !== '');
        }

        return new self($devices, $errors);
    }

    /** "branch box" is a box. */
    private static function kind(string $cell): string
    {
        $kind = strtolower(strtok($cell . ' ', ' ') ?: '');

        return $kind === 'branch' ? 'box' : $kind;
    }
}
