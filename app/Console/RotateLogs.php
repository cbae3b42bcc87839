<?php

declare(strict_types=1);

namespace App\Console;

use Illuminate\Console\Command;

/**
 * Keeps the logs of an instance from filling its disk: what has grown large is copied aside and begun anew, the last
 * few are kept. All that write to them append, so none has to be told.
 */
final class RotateLogs extends Command
{
    private const BYTES = 5_242_880;
    private const KEPT = 3;

    protected $signature = 'logs:rotate {--bytes=' . self::BYTES . ' : from this size on}';

    protected $description = 'Begins large logs anew and keeps the last few';

    public function handle(): int
    {
        $folder = dirname(storage_path());
        foreach ([...(glob("$folder/*.{log,out}", GLOB_BRACE) ?: []), ...(glob(storage_path('logs/*.log')) ?: [])] as $log) {
            if ((int) @filesize($log) >= max(1, (int) $this->option('bytes'))) {
                $this->rotate($log);
            }
        }

        return self::SUCCESS;
    }

    private function rotate(string $log): void
    {
        for ($n = self::KEPT - 1; $n >= 1; $n--) {
            if (is_file("$log.$n")) {
                rename("$log.$n", "$log." . ($n + 1));
            }
        }
        // Copied before it is emptied: when there is no room for the copy, the log stays as it is.
        if (@copy($log, "$log.1")) {
            file_put_contents($log, '');
            $this->line(basename($log));
        }
    }
}
