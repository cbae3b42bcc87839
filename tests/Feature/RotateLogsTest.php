<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\Artisan;

/** Logs don't fill the disk, and nothing that was just written is lost with it. */
final class RotateLogsTest extends FeatureTestCase
{
    public function testWhatHasGrownLargeIsBegunAnewAndTheLastThreeAreKept(): void
    {
        $folder = sys_get_temp_dir() . '/' . uniqid('logs');
        mkdir("$folder/storage/logs", 0700, true);
        $this->app?->useStoragePath("$folder/storage");
        // Whoever writes goes on writing to the same file.
        $writer = fopen("$folder/nginx.log", 'a');
        self::assertIsResource($writer);
        foreach (['first', 'second', 'third', 'fourth'] as $word) {
            fwrite($writer, str_pad($word, 100, '.'));
            file_put_contents("$folder/storage/logs/app.log", str_repeat('x', 99));
            self::assertSame(0, Artisan::call('logs:rotate', ['--bytes' => 100]));
        }
        $begins = fn (string $file): string => is_file("$folder/$file") ? strtok((string) file_get_contents("$folder/$file"), '.') ?: '' : 'none';
        self::assertSame(['', 'fourth', 'third', 'second', 'none'], array_map($begins, ['nginx.log', 'nginx.log.1', 'nginx.log.2', 'nginx.log.3', 'nginx.log.4']));
        self::assertSame(['storage/logs/app.log.1' => false, 'storage/logs/app.log' => true], ['storage/logs/app.log.1' => is_file("$folder/storage/logs/app.log.1"), 'storage/logs/app.log' => filesize("$folder/storage/logs/app.log") === 99]);
        fwrite($writer, 'more');
        self::assertSame('more', file_get_contents("$folder/nginx.log"));
        exec('rm -rf ' . escapeshellarg($folder));
    }
}
