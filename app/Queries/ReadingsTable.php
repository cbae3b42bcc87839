<?php

declare(strict_types=1);

namespace App\Queries;

use App\Tables\CsvOut;
use App\Views\TapeEntry;

/** The figures of a machine as comma-separated values (RFC 4180, UTF-8): one line a reading, oldest first. */
final class ReadingsTable
{
    public const HEAD = ['at', 'device_time', 'server_time', 'who', 'check', 'subject', 'path', 'reading', 'read', 'unit', 'value', 'value_unit', 'instrument', 'suspect', 'superseded_by'];

    /** @param list<TapeEntry> $entries oldest first */
    public function of(array $entries): string
    {
        $file = fopen('php://temp', 'r+');
        assert($file !== false);
        fputcsv($file, self::HEAD, escape: '', eol: "\r\n");
        foreach ($entries as $entry) {
            foreach ($entry->readings as $reading) {
                fputcsv($file, [
                    $entry->at, $entry->deviceAt, $entry->recordedAt, CsvOut::text($entry->who), $entry->check, CsvOut::text($entry->subject),
                    $reading->path, CsvOut::text($reading->label), $reading->value, $reading->unit, $reading->canonical, $reading->canonicalUnit,
                    CsvOut::text($entry->instrument), CsvOut::text($entry->suspect), $entry->supersededBy,
                ], escape: '', eol: "\r\n");
            }
        }
        rewind($file);

        return (string) stream_get_contents($file);
    }
}
