<?php

declare(strict_types=1);

namespace App\Console;

use App\Queries\CheckCatalogue;
use Illuminate\Console\Command;
use OpenApi\Generator;

/** Writes the description of the API from the attributes beside the code. */
final class DescribeApi extends Command
{
    protected $signature = 'api:describe {file? : where to write it; public/openapi.json otherwise} {checks? : where to write the checks; tests/fixtures/checks.json otherwise}';

    protected $description = 'Write the OpenAPI description and the catalogue of the checks from the code';

    public function handle(): int
    {
        $file = $this->argument('file');
        $file = is_string($file) ? $file : public_path('openapi.json');
        $described = (new Generator())->setVersion('3.0.0')->generate([app_path('Http'), app_path('Views')]);
        file_put_contents($file, ($described?->toJson() ?? '') . "\n");
        $checks = $this->argument('checks');
        file_put_contents(is_string($checks) ? $checks : base_path('tests/fixtures/checks.json'), json_encode($this->laravel->make(CheckCatalogue::class)->all(), JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION) . "\n");
        $this->line("Written to $file, and the checks beside it.");

        return self::SUCCESS;
    }
}
