<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Entry;
use App\Models\Machine;
use App\Models\PutBack;
use App\Models\SheetVersion;
use App\Views\PutBackView;
use Illuminate\Support\Collection;
use IronStart\Core\Gate\FactPlace;
use IronStart\Core\Gate\GateInput;
use IronStart\Core\Gate\Gates;
use IronStart\Core\Gate\Job;
use IronStart\Core\Gate\JobType;
use IronStart\Core\Sheet\EquipmentSheet;
use IronStart\Core\Wording\GateSpeaker;

/** Judges the gates of machines, with the same few queries for one as for a hundred. */
final class Standings
{
    public function __construct(private readonly GateSpeaker $speaker)
    {
    }

    /**
     * @param Collection<int, Machine> $machines with their jobs loaded
     * @return array<int, Standing> by machine id
     */
    public function of(Collection $machines): array
    {
        $ids = $machines->pluck('id')->all();
        $rows = $this->rows($ids, null)->groupBy('machine_id');
        $putBacks = PutBack::query()->whereIn('put_backs.machine_id', $ids)
            ->leftJoin('put_back_closings', fn ($join) => $join->on('put_back_closings.company_id', '=', 'put_backs.company_id')->on('put_back_closings.put_back_id', '=', 'put_backs.id'))
            ->select(['put_backs.machine_id', 'put_backs.id', 'what', 'shuts', 'put_back_closings.id as closing'])
            ->selectRaw('EXISTS (SELECT 1 FROM put_backs_left l WHERE l.company_id = put_backs.company_id AND l.put_back_id = put_backs.id) AS is_left')
            ->toBase()->get()->groupBy('machine_id');
        $sheets = SheetVersion::query()->whereIn('id', $machines->pluck('sheet_version_id')->filter()->unique()->all())->get()->keyBy('id');
        $standings = [];
        foreach ($machines as $machine) {
            $standings[$machine->id] = $this->judge(
                $machine,
                new EquipmentSheet($sheets[$machine->sheet_version_id]->body ?? []),
                TapeState::from($rows[$machine->id] ?? []),
                $putBacks[$machine->id] ?? collect(),
            );
        }

        return $standings;
    }

    /**
     * From a tape that is read already, without another query.
     *
     * @param Collection<int, \stdClass> $rows in the order of their places
     * @param list<PutBackView> $putBack
     */
    public function fromTape(Machine $machine, Collection $rows, array $putBack): Standing
    {
        $out = array_map(fn (PutBackView $v): \stdClass => (object) ['id' => $v->id, 'what' => $v->what, 'shuts' => json_encode($v->shuts), 'closing' => $v->closed ? 1 : null, 'is_left' => $v->left !== ''], $putBack);

        return $this->judge($machine, self::sheet($machine), TapeState::from($rows->whereIn('kind', TapeState::KINDS)), collect($out));
    }

    /** What a machine's tape comes to, without judging it. */
    public function tape(Machine $machine): TapeState
    {
        return TapeState::from($this->rows([$machine->id], null));
    }

    public static function sheet(Machine $machine): EquipmentSheet
    {
        return new EquipmentSheet($machine->loadMissing('sheet')->sheet->body ?? []);
    }

    /** @return list<string> the circuits and compressors of a machine, as subjects */
    public static function parts(Machine $machine): array
    {
        $parts = [];
        foreach (self::sheet($machine)->circuits() as $circuit) {
            $parts[] = "circuit:{$circuit['name']}";
            array_push($parts, ...array_map(fn (string $c): string => "compressor:$c", $circuit['compressors']));
        }

        return $parts;
    }

    public function ofOne(Machine $machine): Standing
    {
        return $this->of(new Collection([$machine]))[$machine->id];
    }

    /**
     * As it was when something was written that stands at this moment. What was to be put back is left aside where the
     * moment is past: its entries bear no moment of their own.
     *
     * @param int|null $moment milliseconds; null for now
     */
    public function before(Machine $machine, ?int $moment): Standing
    {
        return $moment === null
            ? $this->ofOne($machine)
            : $this->judge($machine, self::sheet($machine), TapeState::from($this->rows([$machine->id], $moment)), collect());
    }

    /**
     * @param list<int> $machines
     * @param int|null $until milliseconds: nothing that stands later
     * @return Collection<int, \stdClass>
     */
    private function rows(array $machines, ?int $until): Collection
    {
        return Entry::query()->whereIn('entries.machine_id', $machines)->whereIn('entries.kind', TapeState::KINDS)
            ->when($until !== null, fn ($query) => $query->where('placed_at', '<=', Entry::moment((int) $until)))
            ->leftJoin('verdicts', Entry::beside('verdicts'))
            ->leftJoin('suspect_marks', Entry::beside('suspect_marks'))
            ->leftJoin('overrides', Entry::beside('overrides'))
            ->orderBy('entries.placed_at')->orderBy('entries.at')
            ->select(['entries.machine_id', 'entries.at', 'entries.kind', 'entries.user_id', 'entries.about', 'entries.details', 'entries.reason', 'entries.out_of_order', 'verdicts.check', 'verdicts.subject', 'verdicts.status', 'verdicts.codes', 'suspect_marks.target_at', 'overrides.gate', 'overrides.role'])
            ->selectRaw('verdicts.said->>\'headline\' AS headline, verdicts.said->\'next\'->>0 AS next')
            ->selectRaw(TapeState::FAILED)
            ->toBase()->get();
    }

    /** @param Collection<int, \stdClass> $putBacks */
    private function judge(Machine $machine, EquipmentSheet $sheet, TapeState $state, Collection $putBacks): Standing
    {
        $out = $list = [];
        foreach ($putBacks as $row) {
            $list[] = ['id' => (string) $row->id, 'closed' => $row->closing !== null, 'explained' => (bool) $row->is_left, 'shuts' => array_map(intval(...), (array) json_decode($row->shuts, true))];
            if ($row->closing === null) {
                $out[(string) $row->id] = $row->what;
            }
        }
        $job = self::job($machine, $sheet, $state);
        $gates = Gates::of($job, $state->recorded, new GateInput($list, $state->overrides, array_values($state->disabled()), $state->signatures(), $state->openItems(), $state->supplyChangedAt), false);
        // What came too early was found when it was recorded, and stands on the tape.
        foreach (array_intersect_key($gates->gates, $state->tooEarly) as $gate) {
            $gate->outOfOrder = true;
        }
        $words = $state->words($job, $out);
        $lines = $this->speaker->lines($gates, $words);

        return new Standing($gates, $job, $lines, $out, $this->speaker->refused($gates, $lines, $words), $this->speaker->next($gates, $words), $state);
    }

    private static function job(Machine $machine, EquipmentSheet $sheet, TapeState $state): Job
    {
        $job = $machine->job;
        $circuits = $sheet->circuits();
        $type = JobType::from($job->type);
        $compressors = array_merge([], ...array_map(fn (array $c): array => $c['compressors'], $circuits));
        // The old unit of a replacement has a sheet of its own, if any: what it ships with opens the new one's circuits.
        $opened = $sheet->opened();

        return Job::of(
            $type,
            $job->start_up_only,
            array_values(array_map(intval(...), $job->asked)),
            FactPlace::together($job->facts, $machine->facts, $sheet->facts()),
            array_map(fn (array $c): string => $c['name'], $circuits),
            $compressors,
            $opened,
            $state->changed($compressors, $type === JobType::Compressor || in_array('module_change', $job->facts, true)),
            [],
            $state->namedIn('indoor', 'air.split', 'condensate.float'),
            $state->namedIn('indoor', 'air.static', 'condensate.trap'),
            $state->recorded,
        );
    }
}
