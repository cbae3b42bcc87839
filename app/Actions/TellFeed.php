<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Entry;
use App\Models\Machine;
use App\Support\CurrentCompany;
use Illuminate\Database\ConnectionInterface;
use IronStart\Core\Check\Input;

/** Keeps which machines of a site hang on the feed that was just told: each on one, the one told last. */
final readonly class TellFeed
{
    public function __construct(private ConnectionInterface $db, private CurrentCompany $company)
    {
    }

    public function told(Machine $locked, Entry $entry, Input $input): void
    {
        $names = [];
        foreach ($input->items('items') as $item) {
            if ($item->given('machine')) {
                $names[$item->text('machine')] = $item->text('name');
            }
        }
        $site = $locked->loadMissing('job')->job->site_id;
        $company = $this->company->id();
        $this->db->table('feed_members')->where(['company_id' => $company, 'site_id' => $site, 'panel' => $input->text('panel')])->delete();
        $rows = [];
        foreach ($this->units($company, $site, array_keys($names)) as $name => $id) {
            $rows[] = ['company_id' => $company, 'machine_id' => $id, 'site_id' => $site, 'panel' => $input->text('panel'), 'name' => $names[$name], 'told_machine_id' => $locked->id, 'told_at' => $entry->at];
        }
        if ($rows !== []) {
            $this->db->table('feed_members')->upsert($rows, ['company_id', 'machine_id'], ['site_id', 'panel', 'name', 'told_machine_id', 'told_at']);
        }
    }

    /**
     * The newest machine of each name, in one order: two who tell at once wait for each other.
     *
     * @param list<string> $names
     * @return array<string, int> by name
     */
    private function units(int $company, int $site, array $names): array
    {
        return array_map(intval(...), $this->db->table('machines')->join('site_jobs', 'site_jobs.id', '=', 'machines.site_job_id')
            ->where('machines.company_id', $company)->where('site_jobs.site_id', $site)->whereIn('machines.name', $names)
            ->groupBy('machines.name')->orderBy('id')->selectRaw('max(machines.id) AS id, machines.name')->pluck('id', 'name')->all());
    }
}
