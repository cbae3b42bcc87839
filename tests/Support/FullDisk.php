<?php

declare(strict_types=1);

namespace Tests\Support;

/** A disk with folders and files, and not a byte of room. */
final class FullDisk
{
    public static int $tried = 0;

    /** @var resource|null */
    public $context;

    public function mkdir(): bool
    {
        return true;
    }

    /** @return array<string, int>|false */
    public function url_stat(string $path): array|false
    {
        return str_ends_with($path, '.jpg') ? false : ['mode' => 0040700];
    }

    public function stream_open(): bool
    {
        return true;
    }

    public function stream_write(string $bytes): int
    {
        self::$tried += strlen($bytes);

        return 0;
    }

    public function stream_close(): void
    {
    }

    public function unlink(): bool
    {
        return true;
    }
}
