<?php

declare(strict_types=1);

namespace App\Queries;

use App\Http\Schema\PutBackView;
use App\Models\Entry;
use App\Models\Machine;
use App\Models\PutBack;
use App\Models\SheetVersion;
use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use IronStart\Core\Judge\Judge;
use IronStart\Core\Wording\GateSpeaker;

/** Judges the gates of machines, with the same few queries for one as for a hundred. */
final class Standings
{
    public function __construct(private readonly Judge $judge, private readonly GateSpeaker $speaker)
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
        $circuits = SheetVersion::query()->whereIn('id', $machines->pluck('sheet_version_id')->filter()->unique()->all())
            ->selectRaw("id, body->'circuits' AS circuits")->toBase()->pluck('circuits', 'id');
        $standings = [];
        foreach ($machines as $machine) {
            $standings[$machine->id] = $this->judge(
                $machine,
                self::circuits($circuits[$machine->sheet_version_id] ?? null),
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

        return $this->judge($machine, self::circuits(json_encode($machine->sheet->body['circuits'] ?? [])), TapeState::from($rows->whereIn('kind', TapeState::KINDS)), collect($out));
    }

    /** What a machine's tape comes to, without judging it. */
    public function tape(Machine $machine): TapeState
    {
        return TapeState::from($this->rows([$machine->id], null));
    }

    /** @return list<string> the circuits and compressors of a machine with its sheet loaded, as subjects */
    public static function parts(Machine $machine): array
    {
        $parts = [];
        foreach (self::circuits(json_encode($machine->sheet->body['circuits'] ?? [])) as $circuit) {
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
     * The gates that were shut when something was written that stands at this moment.
     *
     * @param int|null $moment milliseconds; null for now
     * @return list<int>
     */
    public function shutBefore(Machine $machine, ?int $moment): array
    {
        $standing = $moment === null
            ? $this->ofOne($machine)
            : $this->judge($machine, self::circuits(json_encode($machine->loadMissing('sheet')->sheet->body['circuits'] ?? [])), TapeState::from($this->rows([$machine->id], $moment)), collect());
        $shut = $standing->gates->judgement->values['shut']->value;

        return is_array($shut) ? array_values(array_map(intval(...), $shut)) : [];
    }

    /**
     * @param list<int> $machines
     * @param int|null $until milliseconds: nothing that stands later
     * @return Collection<int, \stdClass>
     */
    private function rows(array $machines, ?int $until): Collection
    {
        return Entry::query()->whereIn('entries.machine_id', $machines)->whereIn('entries.kind', TapeState::KINDS)
            ->when($until !== null, fn ($query) => $query->where('placed_at', '<=', self::moment((int) $until)))
            ->leftJoin('verdicts', Entry::beside('verdicts'))
            ->leftJoin('suspect_marks', Entry::beside('suspect_marks'))
            ->leftJoin('overrides', Entry::beside('overrides'))
            ->orderBy('entries.placed_at')->orderBy('entries.at')
            ->select(['entries.machine_id', 'entries.at', 'entries.kind', 'entries.user_id', 'entries.about', 'entries.details', 'entries.reason', 'verdicts.check', 'verdicts.subject', 'verdicts.status', 'verdicts.codes', 'suspect_marks.target_at', 'overrides.gate', 'overrides.role'])
            ->selectRaw('verdicts.said->>\'headline\' AS headline, verdicts.said->\'next\' AS next')
            ->toBase()->get();
    }

    private static function moment(int $milliseconds): string
    {
        return CarbonImmutable::createFromTimestampMsUTC($milliseconds)->format(Entry::MOMENT);
    }

    /**
     * @param list<array{name: string, compressors: list<string>}> $circuits
     * @param Collection<int, \stdClass> $putBacks
     */
    private function judge(Machine $machine, array $circuits, TapeState $state, Collection $putBacks): Standing
    {
        $out = $list = [];
        foreach ($putBacks as $row) {
            $list[] = ['id' => (string) $row->id, 'closed' => $row->closing !== null, 'explained' => (bool) $row->is_left, 'shuts' => json_decode($row->shuts, true)];
            if ($row->closing === null) {
                $out[(string) $row->id] = $row->what;
            }
        }
        $gates = $this->judge->judge('job.gates', self::input($machine, $circuits, $state, $list), 'us');

        return new Standing($gates, $this->speaker->lines($gates->judgement, $state->words($out)), $out, $state);
    }

    /**
     * @param list<array{name: string, compressors: list<string>}> $circuits
     * @param list<array<string, mixed>> $putBack
     * @return array<string, mixed>
     */
    private static function input(Machine $machine, array $circuits, TapeState $state, array $putBack): array
    {
        $job = $machine->job;
        $only = fn (string ...$names): \Closure => fn (array $row): array => array_intersect_key($row, array_flip($names));

        return array_filter([
            'job_type' => $job->type,
            'start_up_only' => $job->start_up_only,
            'asked' => $job->asked,
            'facts' => $job->facts,
            'circuits' => array_map(fn (array $c): string => $c['name'], $circuits),
            'compressors' => array_merge([], ...array_map(fn (array $c): array => $c['compressors'], $circuits)),
            'recorded' => $state->recorded,
            'put_back' => $putBack,
            'overrides' => $state->overrides,
            'disabled' => array_values(array_map($only('subject', 'why', 'wire', 'who', 'at'), $state->disabled)),
            'signatures' => $state->signatures(),
            'open_items' => $state->openItems(),
            'supply_changed_at' => $state->supplyChangedAt,
        ], fn (mixed $value): bool => $value !== [] && $value !== null);
    }

    /** @return list<array{name: string, compressors: list<string>}> */
    private static function circuits(mixed $json): array
    {
        $circuits = is_string($json) ? json_decode($json, true) : [];
        $read = [];
        foreach (is_array($circuits) ? $circuits : [] as $circuit) {
            $read[] = ['name' => (string) $circuit['name'], 'compressors' => array_values(array_map(strval(...), $circuit['compressors'] ?? []))];
        }

        return $read;
    }
}
