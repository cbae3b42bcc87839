<?php

declare(strict_types=1);

namespace IronStart\Core\Vrf;

/** A table as a spreadsheet writes it: commas or semicolons, a head that names its columns in any order, blank lines left out. */
final readonly class CsvTable
{
    /**
     * @param list<string>                $head
     * @param array<int, list<string>>    $rows cells by line of the file, the head's being 1
     */
    private function __construct(public array $head, private array $rows)
    {
    }

    public static function read(string $csv): self
    {
        $lines = preg_split('/\r\n|\n|\r/', str_starts_with($csv, "\u{FEFF}") ? substr($csv, 3) : $csv);
        $lines = array_filter($lines === false ? [] : $lines, fn (string $line): bool => trim($line) !== '');
        $first = $lines[array_key_first($lines) ?? 0] ?? '';
        $separator = substr_count($first, ';') > substr_count($first, ',') ? ';' : ',';
        $rows = [];
        foreach (array_slice($lines, 1, null, true) as $i => $line) {
            $rows[$i + 1] = self::cells($line, $separator);
        }

        return new self(self::cells($first, $separator), $rows);
    }

    /**
     * @param array<string, int> $at where each column stands
     * @return array<int, array<string, string>> cells by line and column; a blank where a line ends before
     */
    public function by(array $at): array
    {
        return array_map(fn (array $cells): array => array_map(fn (int $place): string => trim($cells[$place] ?? ''), $at), $this->rows);
    }

    /**
     * @param ','|';' $separator
     * @return list<string>
     */
    private static function cells(string $line, string $separator): array
    {
        // A spreadsheet is kept from reading "-6 m" as a formula by an apostrophe.
        return array_map(fn (?string $cell): string => ltrim((string) $cell, "'"), str_getcsv($line, $separator, '"', ''));
    }
}
