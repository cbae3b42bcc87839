<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Entry;
use App\Models\Machine;
use App\Models\SiteJob;
use App\Models\SuspectMark;
use App\Models\User;
use App\Support\CurrentCompany;
use App\Support\Moment;
use App\Views\BringView;
use App\Views\GateHoursView;
use App\Views\JobBoardView;
use App\Views\JobMachineView;
use App\Views\JobRowView;
use App\Views\JobsView;
use App\Views\SameModelView;
use App\Views\VanPartView;
use Carbon\CarbonImmutable;
use Illuminate\Database\ConnectionInterface;
use Illuminate\Database\Eloquent\Builder as Models;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Query\Builder;
use IronStart\Core\Gate\CheckTable;
use IronStart\Core\Plan\BringItem;
use IronStart\Core\Plan\BringList;
use IronStart\Core\Plan\WorkedTime;
use IronStart\Core\Wording\Speaker;

/** Jobs with each unit's rod and what holds it; one job whole: hours by question, what to bring, what failed elsewhere. */
final class JobBoard
{
    private const PAGE = 20;
    private const MINUTE = 60;

    public function __construct(private readonly ConnectionInterface $db, private readonly CurrentCompany $company, private readonly Standings $standings, private readonly Glances $glances, private readonly Speaker $speaker)
    {
    }

    /** @param int|null $before only jobs that come after this one in the list @param bool $isFinished signed by a lead on every unit */
    public function jobs(User $person, bool $isFinished, ?int $before): JobsView
    {
        $unsigned = fn (Models $machines) => $machines->whereNotExists(fn (Builder $signed) => $signed->from('entries as s')->whereColumn('s.company_id', 'machines.company_id')->whereColumn('s.machine_id', 'machines.id')->where('s.kind', 'signed')->where('s.details->role', 'lead'));
        $jobs = SiteJob::query()->with(['site', 'machines', 'people'])
            ->when($isFinished, fn (Models $q) => $q->has('machines')->whereDoesntHave('machines', $unsigned))
            ->unless($isFinished, fn (Models $q) => $q->where(fn (Models $open) => $open->doesntHave('machines')->orWhereHas('machines', $unsigned)))
            ->unless($person->role->may('see_all_jobs'), fn (Models $q) => $q->whereHas('people', fn ($people) => $people->whereKey($person->id)))
            ->when($before !== null, fn (Models $q) => $q->where('id', '<', $before))
            ->orderByDesc('id')->limit(self::PAGE + 1)->get();
        $page = $jobs->take(self::PAGE);
        $glances = $this->glances->of(self::machines($page));

        return new JobsView(
            array_values($page->map(fn (SiteJob $job): JobRowView => new JobRowView(
                $job->id,
                $job->site->name,
                $job->title,
                $job->starts_on->toDateString(),
                $job->ends_on->toDateString(),
                array_values($job->people->pluck('name')->all()),
                array_values($job->machines->map(fn (Machine $m): JobMachineView => self::machine($m, $glances[$m->id], [], ''))->all()),
                $job->machines->filter(fn (Machine $m): bool => $glances[$m->id]->current === null)->count(),
            ))->all()),
            $jobs->count() > self::PAGE ? $page->last()?->id : null,
        );
    }

    public function job(User $person, SiteJob $job): JobBoardView
    {
        $job->load(['site', 'people', 'machines.sheet']);
        $machines = self::machines(new Collection([$job]));
        $standings = $this->standings->of($machines);
        $hours = $this->hours($machines, $standings);
        $signed = $this->db->table('entries')->where('company_id', $this->company->id())->whereIn('machine_id', $machines->pluck('id')->all())->where('kind', 'signed')->where('details->role', 'lead')->groupBy('machine_id')->selectRaw('machine_id, max(placed_at) AS at')->pluck('at', 'machine_id');

        return new JobBoardView(
            $job->id,
            $job->site_id,
            $job->site->name,
            $job->site->address,
            $job->title,
            $job->type,
            $job->starts_on->toDateString(),
            $job->ends_on->toDateString(),
            array_values($job->people->pluck('name')->all()),
            array_values($machines->map(fn (Machine $m): JobMachineView => self::machine($m, Glance::from($standings[$m->id]), self::told($hours[$m->id] ?? [], $standings[$m->id]), isset($signed[$m->id]) ? Moment::iso($signed[$m->id]) : ''))->all()),
            $this->bring($job, $machines, $standings, $person->units),
            $this->same($job, $machines),
            $this->van($machines),
        );
    }

    /**
     * @param Collection<int, SiteJob> $jobs with their machines
     * @return Collection<int, Machine>
     */
    private static function machines(Collection $jobs): Collection
    {
        return new Collection($jobs->flatMap(fn (SiteJob $job) => $job->machines->map(fn (Machine $m): Machine => $m->setRelation('job', $job)))->all());
    }

    /**
     * @param array<int, int> $seconds by question
     * @return list<GateHoursView>
     */
    private static function told(array $seconds, Standing $standing): array
    {
        return array_map(fn (int $at, int $spent): GateHoursView => new GateHoursView($at, $standing->line($at)->name, (int) round($spent / self::MINUTE)), array_keys($seconds), $seconds);
    }

    /** @param list<GateHoursView> $hours */
    private static function machine(Machine $machine, Glance $glance, array $hours, string $signedAt): JobMachineView
    {
        return new JobMachineView(
            $machine->id,
            $machine->name,
            $machine->place,
            $glance->states,
            $glance->current,
            $glance->question,
            $glance->sentence,
            $glance->status,
            $glance->next,
            $glance->notes,
            $hours,
            $glance->left,
            $glance->out,
            $signedAt,
        );
    }

    /**
     * @param Collection<int, Machine> $machines
     * @param array<int, Standing>     $standings
     * @return array<int, array<int, int>> seconds by question, by machine
     */
    private function hours(Collection $machines, array $standings): array
    {
        $rows = $this->db->table('entries')->where('entries.company_id', $this->company->id())->whereIn('entries.machine_id', $machines->pluck('id')->all())
            ->leftJoin('verdicts', fn ($join) => $join->on('verdicts.company_id', '=', 'entries.company_id')->on('verdicts.entry_id', '=', 'entries.id'))
            ->orderBy('entries.machine_id')->orderBy('entries.placed_at')->orderBy('entries.at')
            ->selectRaw('entries.machine_id, verdicts."check", extract(epoch FROM entries.placed_at)::bigint AS second')->get()->groupBy('machine_id');
        $hours = [];
        foreach ($rows as $machine => $entries) {
            // A check may stand at several questions: the time goes to the first of them that is on the job.
            $of = fn (?string $check): ?int => $check === null ? null : array_values(array_intersect(CheckTable::gatesOf($check), $standings[$machine]->job->gates))[0] ?? null;
            $hours[$machine] = WorkedTime::of(array_values($entries->map(fn (\stdClass $e): array => ['gate' => $of($e->check), 'at' => (int) $e->second])->all()));
        }

        return $hours;
    }

    /**
     * @param Collection<int, Machine> $machines
     * @param array<int, Standing>     $standings
     * @param 'us'|'si'                $units
     * @return list<BringView>
     */
    private function bring(SiteJob $job, Collection $machines, array $standings, string $units): array
    {
        $items = BringList::of(array_values($machines->map(fn (Machine $m): array => ['job' => $standings[$m->id]->job, 'sheet' => Standings::sheet($m)])->all()));
        $ticks = $this->db->table('bring_ticks')->where('bring_ticks.company_id', $this->company->id())->where('site_job_id', $job->id)->join('users', 'users.id', '=', 'bring_ticks.user_id')->get(['item', 'state', 'users.name'])->keyBy('item');

        return array_map(fn (BringItem $item): BringView => new BringView($item->id, $item->group->value, $this->speaker->sentence('plan.bring', $item->words, $units), $ticks[$item->id]->state ?? '', $ticks[$item->id]->name ?? ''), $items);
    }

    /**
     * @param Collection<int, Machine> $machines
     * @return list<SameModelView> newest first
     */
    private function same(SiteJob $job, Collection $machines): array
    {
        $sheets = $machines->map(fn (Machine $m): ?int => $m->sheet?->sheet_id)->filter()->unique()->values()->all();
        $rows = $this->db->table('verdicts')->where('verdicts.company_id', $this->company->id())->where('verdicts.check', 'entry.part_failed')
            ->join('machines', fn ($join) => $join->on('machines.company_id', '=', 'verdicts.company_id')->on('machines.id', '=', 'verdicts.machine_id'))
            ->join('sheet_versions', 'sheet_versions.id', '=', 'machines.sheet_version_id')->join('sheets', 'sheets.id', '=', 'sheet_versions.sheet_id')
            ->join('site_jobs', 'site_jobs.id', '=', 'machines.site_job_id')->join('sites', 'sites.id', '=', 'site_jobs.site_id')
            ->join('entries', 'entries.id', '=', 'verdicts.entry_id')
            ->whereIn('sheets.id', $sheets)->where('sites.id', '<>', $job->site_id)
            ->whereNotExists(SuspectMark::flags('verdicts'))
            ->orderByDesc('entries.placed_at')->limit(self::PAGE)->get(['machines.name', 'sites.name as site', 'sheets.model', 'verdicts.input', 'entries.placed_at']);

        return array_values($rows->map(function (\stdClass $row): SameModelView {
            $input = json_decode($row->input, true);

            return new SameModelView($row->name, $row->site, $row->model, (string) $input['what'], (string) ($input['how'] ?? ''), CarbonImmutable::parse($row->placed_at)->toDateString());
        })->all());
    }

    /**
     * @param Collection<int, Machine> $machines
     * @return list<VanPartView>
     */
    private function van(Collection $machines): array
    {
        $rows = $this->db->table('verdicts')->where('verdicts.company_id', $this->company->id())->whereIn('verdicts.machine_id', $machines->pluck('id')->all())->where('verdicts.check', 'entry.spares')->where('verdicts.input->van', true)
            ->whereNotExists(SuspectMark::flags('verdicts'))
            ->whereNotExists(Entry::corrections('verdicts'))
            ->orderBy('verdicts.id')->get(['verdicts.machine_id', 'verdicts.input']);
        $names = $machines->pluck('name', 'id');

        return array_values($rows->map(function (\stdClass $row) use ($names): VanPartView {
            $part = json_decode($row->input, true);

            return new VanPartView($names[$row->machine_id], (int) $part['how_many'], (string) $part['what'], (string) $part['where']);
        })->all());
    }
}
