<?php

declare(strict_types=1);

namespace App\Tables;

/** Writes comma-separated values (RFC 4180, UTF-8) that a spreadsheet takes for text and figures, never for formulas. */
final class CsvOut
{
    /**
     * @param list<string> $head
     * @param iterable<list<string|int|float|null>> $rows
     * @param resource $to
     */
    public static function write($to, array $head, iterable $rows): void
    {
        fputcsv($to, $head, escape: '', eol: "\r\n");
        foreach ($rows as $row) {
            fputcsv($to, array_map(fn (mixed $cell): mixed => is_string($cell) ? self::text($cell) : $cell, $row), escape: '', eol: "\r\n");
        }
    }

    /** A typed word must not become a formula in a spreadsheet: it is led by an apostrophe where it looks like one. */
    public static function text(string $typed): string
    {
        return preg_match('/^[=+\-@\t\r]/', $typed) === 1 ? "'$typed" : $typed;
    }
}
