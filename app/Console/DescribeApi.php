<?php

declare(strict_types=1);

namespace App\Console;

use Illuminate\Console\Command;
use OpenApi\Generator;

/** Writes the description of the API from the attributes beside the code. */
final class DescribeApi extends Command
{
    protected $signature = 'api:describe {file? : where to write it; public/openapi.json otherwise}';

    protected $description = 'Write the OpenAPI description from the code';

    public function handle(): int
    {
        $file = $this->argument('file');
        $file = is_string($file) ? $file : public_path('openapi.json');
        $described = (new Generator())->setVersion('3.0.0')->generate([app_path('Http'), app_path('Views')]);
        file_put_contents($file, ($described?->toJson() ?? '') . "\n");
        $this->line("Written to $file.");

        return self::SUCCESS;
    }
}
