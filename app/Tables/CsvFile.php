<?php

declare(strict_types=1);

namespace App\Tables;

use App\Refusals\Refusal;

/**
 * A file of comma-separated values (RFC 4180, UTF-8) as rows by column; semicolons and tabs are taken too.
 */
final readonly class CsvFile
{
    public const BYTES = 10_485_760;
    private const ROWS = 20_000;
    private const CELL = 2_000;

    /** @param list<array{line: int, cells: array<string, string>}> $rows */
    private function __construct(public array $rows, public string $digest)
    {
    }

    /**
     * @param list<string> $columns that may stand in it
     * @param list<string> $wanted that must
     * @throws Refusal when it can't be read as such a file
     */
    public static function read(string $bytes, array $columns, array $wanted): self
    {
        if (strlen($bytes) > self::BYTES) {
            throw Refusal::tooLarge('A file has at most ' . intdiv(self::BYTES, 1_048_576) . ' MB: send it in parts.');
        }
        $text = str_starts_with($bytes, "\xef\xbb\xbf") ? substr($bytes, 3) : $bytes;
        if (! mb_check_encoding($text, 'UTF-8') || str_contains($text, "\0")) {
            throw Refusal::field('file', null, 'text in UTF-8: save it as "CSV UTF-8"');
        }
        $stream = fopen('php://temp', 'r+');
        assert($stream !== false);
        fwrite($stream, $text);
        rewind($stream);
        $first = (string) strtok($text, "\r\n");
        $between = substr_count($first, ';') > substr_count($first, ',') ? ';' : (str_contains($first, "\t") ? "\t" : ',');
        $head = array_map(fn (?string $name): string => mb_strtolower(trim((string) $name)), fgetcsv($stream, null, $between, '"', '') ?: []);
        if (array_diff($head, $columns) !== [] || array_diff($wanted, $head) !== [] || count($head) !== count(array_unique($head))) {
            throw Refusal::field('file', implode(', ', $head), 'a first line of column names: ' . implode(', ', $wanted) . ' and, if known, ' . implode(', ', array_diff($columns, $wanted)));
        }

        return new self(self::rows($stream, $between, $head), hash('sha256', $bytes));
    }

    /**
     * @param resource $stream
     * @param list<string> $head
     * @return list<array{line: int, cells: array<string, string>}>
     */
    private static function rows($stream, string $between, array $head): array
    {
        $rows = [];
        for ($line = 2; ($cells = fgetcsv($stream, null, $between, '"', '')) !== false; $line++) {
            if ($cells === [null]) {
                continue;
            }
            if (count($rows) >= self::ROWS) {
                throw Refusal::tooLarge('A file has at most ' . self::ROWS . ' rows: send it in parts.');
            }
            $cells = array_map(fn (?string $cell): string => self::text((string) $cell), array_pad(array_slice($cells, 0, count($head)), count($head), ''));
            $rows[] = ['line' => $line, 'cells' => array_combine($head, $cells)];
        }

        return $rows;
    }

    /** The apostrophe an export leads a would-be formula with goes again. */
    private static function text(string $cell): string
    {
        $cell = trim(mb_substr($cell, 0, self::CELL));

        return preg_match('/^\'[=+\-@]/', $cell) === 1 ? substr($cell, 1) : $cell;
    }

    /** What a spreadsheet would run. */
    public static function isFormula(string $cell): bool
    {
        return preg_match('/^[=@]|^[+\-](?![\d.,]+(\s*\p{L}+)?$)/u', $cell) === 1;
    }
}
