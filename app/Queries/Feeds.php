<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Machine;
use App\Models\SiteJob;
use App\Support\CurrentCompany;
use Illuminate\Database\ConnectionInterface;

/** On which feeds machines hang, and what was found on the others of each: one query for one machine as for a hundred. */
final readonly class Feeds
{
    /** What happened last on the tapes of a feed's units, in the order of time. */
    private const EVENTS = <<<'SQL'
        SELECT json_agg(json_build_object('machine', u.name, 'what', one.what, 'subject', '', 'status', one.status, 'from', one.told,
            'codes', to_json(array_remove(array[CASE WHEN one.reversed THEN 'supply_reversed' END, CASE WHEN one.lost THEN 'phase_lost' END], NULL)),
            'at', floor(date_part('epoch', one.placed_at) * 1000)) ORDER BY one.placed_at, one.machine_id, one.at)
        FROM feed_members unit
        JOIN machines u ON u.id = unit.machine_id
        JOIN feed_events one ON one.company_id = unit.company_id AND one.machine_id = unit.machine_id
        WHERE unit.company_id = mine.company_id AND unit.site_id = mine.site_id AND unit.panel = mine.panel
        SQL;

    private const UNITS = <<<'SQL'
        SELECT json_object_agg(u.name, u.id) AS units, coalesce(sum(u.last_at) FILTER (WHERE u.id <> mine.machine_id), 0) AS news
        FROM feed_members each_one
        JOIN machines u ON u.id = each_one.machine_id
        WHERE each_one.company_id = mine.company_id AND each_one.site_id = mine.site_id AND each_one.panel = mine.panel
        SQL;

    public function __construct(private ConnectionInterface $db, private CurrentCompany $company)
    {
    }

    /**
     * @param list<int> $machines
     * @return array<int, Feed> by machine id, where it hangs on one
     */
    public function of(array $machines): array
    {
        if ($machines === []) {
            return [];
        }
        $events = self::EVENTS;
        $rows = $this->db->table('feed_members as mine')->where('mine.company_id', $this->company->id())->whereIn('mine.machine_id', $machines)
            ->join('verdicts as told', fn ($join) => $join->on('told.company_id', '=', 'mine.company_id')->on('told.machine_id', '=', 'mine.told_machine_id')->on('told.at', '=', 'mine.told_at'))
            ->whereNotExists(fn ($doubt) => $doubt->from('suspect_marks as d')->whereColumn('d.company_id', 'mine.company_id')->whereColumn('d.machine_id', 'mine.told_machine_id')->whereColumn('d.target_at', 'mine.told_at'))
            ->crossJoin($this->db->raw('LATERAL (' . self::UNITS . ') AS unit'))
            ->select(['mine.machine_id', 'mine.name', 'mine.panel', 'told.input', 'unit.units', 'unit.news'])->selectRaw("($events) AS events")
            ->get();
        $feeds = [];
        foreach ($rows as $row) {
            $units = (array) json_decode($row->units, true);
            $feeds[$row->machine_id] = new Feed($row->panel, (string) array_search($row->machine_id, $units, true), $row->name, (array) json_decode($row->input, true), $units, (array) json_decode($row->events ?? '[]', true), (int) $row->news);
        }

        return $feeds;
    }

    /**
     * The units of a machine's site as they may hang on one feed, with what their nameplates ask of it; of several of one
     * name the newest.
     *
     * @return list<array<string, mixed>>
     */
    public function unitsAt(Machine $machine): array
    {
        $of = [];
        foreach (SiteJob::query()->with('machines.sheet')->where('site_id', $machine->loadMissing('job')->job->site_id)->get()->sortBy('id') as $job) {
            foreach ($job->machines->sortBy('id') as $unit) {
                $of[$unit->name] = ['name' => $unit->name, 'machine' => $unit->name] + Standings::sheet($unit)->onFeeder();
            }
        }
        ksort($of, SORT_NATURAL);

        return array_values($of);
    }

    /**
     * @param list<int> $machines
     * @return array<int, string> the panel each hangs on, where somebody told
     */
    public function panelsOf(array $machines): array
    {
        return array_map(strval(...), $this->db->table('feed_members')->where('company_id', $this->company->id())->whereIn('machine_id', $machines)->pluck('panel', 'machine_id')->all());
    }

    /** @return list<int> of each panel of a site one machine that hangs on it */
    public function onePerPanel(int $site): array
    {
        return array_values(array_map(intval(...), $this->db->table('feed_members')->where('company_id', $this->company->id())->where('site_id', $site)->groupBy('panel')->orderBy('panel')->selectRaw('min(machine_id) AS one')->pluck('one')->all()));
    }

    /** @return list<int> the machines of the feed one hangs on, itself too; none where nobody told */
    public function unitsOf(int $machine): array
    {
        return array_values(array_map(intval(...), $this->db->table('feed_members as mine')->where('mine.company_id', $this->company->id())->where('mine.machine_id', $machine)
            ->join('feed_members as unit', fn ($join) => $join->on('unit.company_id', '=', 'mine.company_id')->on('unit.site_id', '=', 'mine.site_id')->on('unit.panel', '=', 'mine.panel'))
            ->orderBy('unit.machine_id')->pluck('unit.machine_id')->all()));
    }

    /** How far the tapes of the others of its feed have gone on, as one number that rises. */
    public function newsOf(int $machine): int
    {
        return (int) $this->db->table('feed_members as mine')->where('mine.company_id', $this->company->id())->where('mine.machine_id', $machine)
            ->join('feed_members as unit', fn ($join) => $join->on('unit.company_id', '=', 'mine.company_id')->on('unit.site_id', '=', 'mine.site_id')->on('unit.panel', '=', 'mine.panel')->on('unit.machine_id', '<>', 'mine.machine_id'))
            ->join('machines', 'machines.id', '=', 'unit.machine_id')->sum('machines.last_at');
    }
}
