<?php

declare(strict_types=1);

namespace App\Tables;

use App\Models\Machine;
use App\Models\Sheet;
use App\Models\SheetVersion;
use App\Models\Site;
use App\Models\SiteJob;
use IronStart\Core\Gate\JobType;

/** Machines of jobs: the site must be there; a job that is not is made when its type is told. */
final class MachineImport extends Import
{
    private const LENGTHS = ['site' => 120, 'job' => 160, 'type' => 12, 'machine' => 60, 'place' => 120, 'serial' => 60, 'summary' => 160, 'model' => 120];

    public static function columns(): array
    {
        return array_keys(self::LENGTHS);
    }

    public static function wanted(): array
    {
        return ['site', 'job', 'machine'];
    }

    protected function check(CsvFile $file): array
    {
        $cell = fn (string $column): array => array_values(array_unique(array_filter(array_map(fn (array $r): string => $r['cells'][$column] ?? '', $file->rows), fn (string $v): bool => $v !== '')));
        $sites = Site::query()->whereIn('name', $cell('site'))->orderBy('id')->pluck('id', 'name')->all();
        $jobs = [];
        foreach (SiteJob::query()->whereIn('site_id', array_values($sites))->toBase()->get(['id', 'site_id', 'title']) as $job) {
            $jobs["$job->site_id|$job->title"] = $job->id;
        }
        $names = [];
        foreach (Machine::query()->whereIn('site_job_id', array_values($jobs))->toBase()->get(['site_job_id', 'name']) as $machine) {
            $names["$machine->site_job_id|$machine->name"] = 0;
        }
        $sheets = $this->sheets($cell('model'));
        $serials = $checked = [];
        foreach ($file->rows as ['line' => $line, 'cells' => $c]) {
            $problems = self::cellProblems($c, self::LENGTHS);
            $site = $sites[$c['site']] ?? null;
            $job = $site === null ? null : ($jobs["$site|{$c['job']}"] ?? null);
            if ($site === null && $c['site'] !== '') {
                $problems[] = "There is no site \"{$c['site']}\": bring the sites first.";
            } elseif ($job === null && JobType::tryFrom($c['type'] ?? '') === null) {
                $problems[] = "There is no job \"{$c['job']}\" at this site; with a type (" . implode(', ', JobType::words()) . ') it is made.';
            }
            $place = ($job ?? "$site|{$c['job']}") . "|{$c['machine']}";
            if (isset($names[$place])) {
                $problems[] = $names[$place] === 0 ? "This job has a machine \"{$c['machine']}\" already." : "Line $names[$place] has the same machine.";
            }
            $names[$place] ??= $line;
            $serial = mb_strtolower($c['serial'] ?? '');
            if ($serial !== '' && isset($serials[$serial])) {
                $problems[] = "Line $serials[$serial] has the same serial.";
            }
            $serials[$serial] ??= $line;
            $sheet = $sheets[$c['model'] ?? ''] ?? null;
            if (($c['model'] ?? '') !== '' && $sheet === null) {
                $problems[] = "There is no sheet \"{$c['model']}\" on the shelf.";
            }
            $checked[] = ['line' => $line, 'title' => "{$c['machine']}, {$c['site']}", 'problems' => $problems, 'row' => [
                'site' => $site, 'title' => $c['job'], 'type' => $c['type'] ?? '', 'job' => $job,
                'machine' => ['name' => $c['machine'], 'place' => $c['place'] ?? '', 'serial' => $c['serial'] ?? '', 'summary' => $c['summary'] ?? '', 'sheet_version_id' => $sheet],
            ]];
        }

        return $checked;
    }

    protected function make(array $rows): int
    {
        $more = ['company_id' => $this->company->id(), 'created_at' => now(), 'updated_at' => now()];
        $jobs = $positions = $machines = [];
        foreach ($rows as $row) {
            $job = $row['job'] ?? ($jobs["{$row['site']}|{$row['title']}"] ??= SiteJob::query()->create([
                'site_id' => $row['site'], 'title' => $row['title'], 'type' => $row['type'], 'start_up_only' => false, 'facts' => [], 'asked' => [], 'starts_on' => today(), 'ends_on' => today(),
            ])->id);
            $positions[$job] ??= (int) Machine::query()->where('site_job_id', $job)->max('position');
            $machines[] = $row['machine'] + ['site_job_id' => $job, 'position' => ++$positions[$job]] + $more;
        }
        $this->insert('machines', $machines);

        return count($machines);
    }

    /**
     * @param list<string> $models
     * @return array<string, int> the last version of each
     */
    private function sheets(array $models): array
    {
        $sheets = Sheet::query()->whereIn('model', $models)->pluck('model', 'id')->all();
        $last = SheetVersion::query()->whereIn('sheet_id', array_keys($sheets))->toBase()->selectRaw('sheet_id, max(id) AS id')->groupBy('sheet_id')->pluck('id', 'sheet_id')->all();
        $byModel = [];
        foreach ($last as $sheet => $version) {
            $byModel[$sheets[$sheet]] = (int) $version;
        }

        return $byModel;
    }
}
