<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Machine;
use App\Models\Site;
use App\Models\SiteJob;
use App\Models\User;
use App\Support\CurrentCompany;
use App\Support\Moment;
use App\Views\ActivityView;
use App\Views\DeskJobView;
use App\Views\DeskMachineView;
use App\Views\FoundView;
use App\Views\PageView;
use App\Views\ReviewView;
use App\Views\SiteRowView;
use App\Views\SiteView;
use Illuminate\Database\ConnectionInterface;
use Illuminate\Database\Query\Builder;

/** What the office looks at: sites a page at a time, one site whole, what waits for review, what was done, and search over all. */
final class OfficeDesk
{
    private const PAGE = 50;
    private const FOUND = 8;
    private const LOG = 100;

    public function __construct(private readonly ConnectionInterface $db, private readonly CurrentCompany $company, private readonly Standings $standings, private readonly FeedBoard $feeds)
    {
    }

    /** @param string $after "name|id" of the last one seen, or empty */
    public function sites(string $query, string $after): PageView
    {
        [$name, $id] = explode('|', $after) + [1 => '0'];
        $rows = $this->db->table('sites')->where('company_id', $this->company->id())
            ->when($this->words($query) !== '', fn (Builder $q) => $q->whereRaw("search @@ to_tsquery('simple', ?)", [$this->words($query)]))
            ->when($after !== '', fn (Builder $q) => $q->whereRaw('(name, id) > (?, ?)', [$name, (int) $id]))
            ->orderBy('name')->orderBy('id')->limit(self::PAGE + 1)->get(['id', 'name', 'address']);
        $page = $rows->take(self::PAGE);
        $counts = SiteJob::query()->whereIn('site_id', $page->pluck('id')->all())->toBase()
            ->selectRaw('site_id, count(*) AS jobs, max(ends_on) AS until')->groupBy('site_id')->get()->keyBy('site_id');
        $last = $page->last();

        return new PageView(
            array_values($page->map(fn (\stdClass $row): SiteRowView => new SiteRowView($row->id, $row->name, $row->address, (int) ($counts[$row->id]->jobs ?? 0), (string) ($counts[$row->id]->until ?? '')))->all()),
            $rows->count() > self::PAGE && $last !== null ? "$last->name|$last->id" : '',
        );
    }

    public function site(Site $site): SiteView
    {
        $jobs = SiteJob::query()->with(['people', 'machines.sheet'])->where('site_id', $site->id)->orderByDesc('starts_on')->orderByDesc('id')->get();

        return new SiteView(
            $site->id,
            $site->name,
            $site->address,
            $site->altitude_m,
            (object) $site->safety,
            $site->version,
            array_values($jobs->map(fn (SiteJob $job): DeskJobView => new DeskJobView(
                $job->id,
                $job->title,
                $job->type,
                $job->start_up_only,
                $job->facts,
                $job->starts_on->toDateString(),
                $job->ends_on->toDateString(),
                $job->version,
                array_values($job->people->pluck('id')->all()),
                array_values($job->people->pluck('name')->all()),
                array_values($job->machines->map(self::machine(...))->all()),
            ))->all()),
            $this->feeds->at($site->id),
        );
    }

    public static function machine(Machine $machine): DeskMachineView
    {
        return new DeskMachineView($machine->id, $machine->name, $machine->place, $machine->serial, $machine->summary, $machine->history, $machine->sheet_version_id, (string) ($machine->sheet->body['model'] ?? ''), $machine->version, $machine->last_at > 0);
    }

    /**
     * What waits for a lead: signed by the starter and not yet by the lead, the longest first.
     *
     * @return list<ReviewView>
     */
    public function review(): array
    {
        $rows = $this->db->table('entries')->where('entries.company_id', $this->company->id())->where('entries.kind', 'signed')->where('entries.details->role', 'starter')
            ->whereNotExists(fn (Builder $lead) => $lead->from('entries as l')->whereColumn('l.company_id', 'entries.company_id')->whereColumn('l.machine_id', 'entries.machine_id')->where('l.kind', 'signed')->where('l.details->role', 'lead')->whereColumn('l.at', '>', 'entries.at'))
            ->orderBy('entries.placed_at')->limit(self::LOG)->get(['entries.machine_id', 'entries.placed_at', 'entries.details']);
        $machines = Machine::query()->with('job.site')->findMany($rows->pluck('machine_id')->unique()->all())->keyBy('id');
        $standings = $this->standings->of($machines);
        $waiting = [];
        foreach ($rows->keyBy('machine_id') as $id => $row) {
            $machine = $machines[$id] ?? null;
            if ($machine !== null) {
                $line = $standings[$machine->id]->line(12);
                $waiting[] = new ReviewView($machine->id, $machine->name, $machine->job->site->name, (string) json_decode($row->details, true)['name'], Moment::iso($row->placed_at), $standings[$machine->id]->tape->isReviewed(), $line->sentence, $line->notes);
            }
        }

        return $waiting;
    }

    /**
     * @param int|null $before only what was done before this one
     * @return list<ActivityView> newest first
     */
    public function activity(?int $before): array
    {
        $rows = $this->db->table('office_log')->where('office_log.company_id', $this->company->id())
            ->when($before !== null, fn (Builder $q) => $q->where('office_log.id', '<', $before))
            ->leftJoin('users', 'users.id', '=', 'office_log.user_id')->orderByDesc('office_log.id')->limit(self::LOG)->get(['office_log.id', 'office_log.at', 'what', 'about', 'users.name']);

        return array_values($rows->map(fn (\stdClass $row): ActivityView => new ActivityView($row->id, Moment::iso($row->at), (string) $row->name, $row->what, $row->about))->all());
    }

    /** @return list<FoundView> machines, sites, jobs and sheets whose words begin so; of machines those the person sees */
    public function find(User $person, string $query): array
    {
        $words = $this->words($query);
        if ($words === '') {
            return [];
        }
        // What is called so comes before what only has such a word somewhere.
        $in = fn (string $table, string $called): Builder => $this->db->table($table)->where("$table.company_id", $this->company->id())->whereRaw("$table.search @@ to_tsquery('simple', ?)", [$words])
            ->orderByRaw("starts_with(lower($called), ?) DESC, $called, $table.id", [mb_strtolower(trim($query))])->limit(self::FOUND);
        $found = $in('machines', 'machines.name')->join('site_jobs', 'site_jobs.id', '=', 'machines.site_job_id')->join('sites', 'sites.id', '=', 'site_jobs.site_id')
            ->unless($person->role->may('see_all_jobs'), fn (Builder $q) => $q->whereExists(SiteJob::isOn($person)))
            ->get(['machines.id', 'machines.name', 'machines.serial', 'sites.name as site'])->map(fn (\stdClass $r): FoundView => new FoundView('machine', $r->id, "$r->name, $r->site", $r->serial))->all();
        if ($person->role->may('office')) {
            array_push(
                $found,
                ...$in('sites', 'name')->get(['id', 'name', 'address'])->map(fn (\stdClass $r): FoundView => new FoundView('site', $r->id, $r->name, $r->address))->all(),
                ...$in('site_jobs', 'title')->join('sites', 'sites.id', '=', 'site_jobs.site_id')->get(['site_jobs.site_id as id', 'site_jobs.title', 'sites.name'])->map(fn (\stdClass $r): FoundView => new FoundView('site', $r->id, $r->title, $r->name))->all(),
            );
        }

        return array_values([...$found, ...$in('sheets', 'model')->get(['id', 'model', 'maker'])->map(fn (\stdClass $r): FoundView => new FoundView('sheet', $r->id, $r->model, $r->maker))->all()]);
    }

    /** "har lib" as the beginnings of words, both wanted, each with the company it is of: 7xhar:* & 7xlib:*. */
    private function words(string $query): string
    {
        preg_match_all('/[\p{L}\p{N}]+/u', $query, $words);

        return implode(' & ', array_map(fn (string $word): string => mb_strtolower("{$this->company->id()}x$word:*"), array_slice($words[0], 0, 6)));
    }
}
