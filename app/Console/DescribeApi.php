<?php

declare(strict_types=1);

namespace App\Console;

use App\Queries\CheckCatalogue;
use Illuminate\Console\Command;
use IronStart\Core\Gate\Asked;
use IronStart\Core\Gate\Job;
use IronStart\Core\Gate\JobType;
use OpenApi\Generator;

/** Writes the description of the API from the attributes beside the code. */
final class DescribeApi extends Command
{
    protected $signature = 'api:describe {file? : where to write it; public/openapi.json otherwise} {checks? : where to write the checks; tests/fixtures/checks.json otherwise} {asked? : where to write what the gates ask; tests/fixtures/asked.json otherwise}';

    protected $description = 'Write the OpenAPI description and the catalogue of the checks from the code';

    /** Facts that leave something out; without them more is asked. */
    private const NARROWS = ['nothing_old', 'old_empty', 'no_brazing', 'single_phase', 'recovered', 'craned', 'carried'];

    public function handle(): int
    {
        $file = $this->argument('file');
        $file = is_string($file) ? $file : public_path('openapi.json');
        $described = (new Generator())->setVersion('3.0.0')->generate([app_path('Http'), app_path('Views')]);
        file_put_contents($file, ($described?->toJson() ?? '') . "\n");
        $checks = $this->argument('checks');
        file_put_contents(is_string($checks) ? $checks : base_path('tests/fixtures/checks.json'), json_encode($this->laravel->make(CheckCatalogue::class)->all(), JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION) . "\n");
        $asked = $this->argument('asked');
        file_put_contents(is_string($asked) ? $asked : base_path('tests/fixtures/asked.json'), json_encode(self::asked(), JSON_UNESCAPED_SLASHES | JSON_PRETTY_PRINT) . "\n");
        $this->line("Written to $file, and the checks beside it.");

        return self::SUCCESS;
    }

    /** @return list<string> all that the gates can ask on any type of job, as `gate check subject` */
    private static function asked(): array
    {
        $all = [];
        foreach (JobType::cases() as $type) {
            foreach ([[], self::NARROWS, ['module_change', ...self::NARROWS]] as $without) {
                $job = Job::of($type, false, [1, 2, 3], array_values(array_diff(Job::FACTS, $without)), ['A'], ['C1'], ['A'], ['C1'], [], ['I1'], ['I1'], []);
                foreach (range(1, 12) as $gate) {
                    foreach ((new Asked($job, true, true))->rows($gate) as $row) {
                        foreach ($row->checks as $check) {
                            $all["$gate $check $row->subject"] = $gate;
                        }
                    }
                }
            }
        }
        ksort($all, SORT_NATURAL);

        return array_keys($all);
    }
}
