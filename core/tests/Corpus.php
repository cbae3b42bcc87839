<?php

declare(strict_types=1);

namespace IronStart\Core\Tests;

/** The recorded cases of the checks, and some more that reach what those leave out. */
final class Corpus
{
    /** @return iterable<string, array{array<string, mixed>}> by id */
    public static function vectors(): iterable
    {
        foreach (glob(__DIR__ . '/Fixtures/vectors/*.ndjson') ?: [] as $file) {
            yield from self::lines($file);
        }
    }

    /** @return iterable<string, array{array<string, mixed>}> */
    public static function more(): iterable
    {
        yield from self::lines(__DIR__ . '/Fixtures/more.ndjson');
    }

    /** @return iterable<string, array{array<string, mixed>}> */
    private static function lines(string $file): iterable
    {
        foreach (file($file, FILE_IGNORE_NEW_LINES) ?: [] as $line) {
            $case = json_decode($line, false, 512, JSON_THROW_ON_ERROR);
            yield $case->id => [(array) $case];
        }
    }
}
