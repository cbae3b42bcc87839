<?php

declare(strict_types=1);

namespace App\Queries;

use App\Http\Schema\PutBackView;
use App\Models\Entry;
use App\Models\Machine;
use App\Models\PutBack;
use App\Models\RecordedVerdict;
use App\Models\SheetVersion;
use Illuminate\Support\Collection;
use IronStart\Core\Check\Bench;
use IronStart\Core\Wording\GateSpeaker;

/** Judges the gates of machines, with the same few queries for one as for a hundred. */
final class Standings
{
    public function __construct(private readonly Bench $bench, private readonly GateSpeaker $speaker)
    {
    }

    /**
     * @param Collection<int, Machine> $machines with their jobs loaded
     * @return array<int, Standing> by machine id
     */
    public function of(Collection $machines): array
    {
        $ids = $machines->pluck('id')->all();
        $verdicts = RecordedVerdict::query()->whereIn('machine_id', $ids)->orderBy('at')
            ->selectRaw('machine_id, at, "check", subject, status, codes, said->>\'headline\' AS headline, said->\'next\' AS next')
            ->toBase()->get()->groupBy('machine_id');
        $marks = Entry::query()->whereIn('entries.machine_id', $ids)->whereIn('kind', ['suspect', 'override'])
            ->leftJoin('suspect_marks', 'suspect_marks.entry_id', '=', 'entries.id')->leftJoin('overrides', 'overrides.entry_id', '=', 'entries.id')
            ->toBase()->get(['entries.machine_id', 'entries.at', 'suspect_marks.target_at', 'overrides.gate', 'overrides.role', 'overrides.reason'])->groupBy('machine_id');
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
                $verdicts[$machine->id] ?? collect(),
                array_fill_keys(($marks[$machine->id] ?? collect())->pluck('target_at')->filter()->all(), true),
                $putBacks[$machine->id] ?? collect(),
                ($marks[$machine->id] ?? collect())->whereNotNull('gate'),
            );
        }

        return $standings;
    }

    /**
     * From a tape that is read already, without another query.
     *
     * @param Collection<int, \stdClass> $rows
     * @param Collection<int, \stdClass> $doubts
     * @param list<PutBackView> $putBack
     */
    public function fromTape(Machine $machine, Collection $rows, Collection $doubts, array $putBack): Standing
    {
        $verdicts = $rows->whereNotNull('check')->map(function (\stdClass $row): \stdClass {
            $said = json_decode($row->said, true);

            return (object) ['at' => $row->at, 'check' => $row->check, 'subject' => $row->subject, 'status' => $row->status, 'codes' => $row->codes, 'headline' => $said['headline'] ?? '', 'next' => json_encode($said['next'] ?? [])];
        });
        $out = array_map(fn (PutBackView $v): \stdClass => (object) ['id' => $v->id, 'what' => $v->what, 'shuts' => json_encode($v->shuts), 'closing' => $v->closed ? 1 : null, 'is_left' => $v->left !== ''], $putBack);

        return $this->judge(
            $machine,
            self::circuits(json_encode($machine->sheet->body['circuits'] ?? [])),
            $verdicts,
            array_fill_keys($doubts->pluck('target_at')->all(), true),
            collect($out),
            $rows->whereNotNull('gate')->where('kind', 'override'),
        );
    }

    public function ofOne(Machine $machine): Standing
    {
        return $this->of(new Collection([$machine]))[$machine->id];
    }

    /**
     * @param list<array{name: string, compressors: list<string>}> $circuits
     * @param Collection<int, \stdClass> $verdicts
     * @param array<int, true> $suspects
     * @param Collection<int, \stdClass> $putBacks
     * @param Collection<int, \stdClass> $overrides
     */
    private function judge(Machine $machine, array $circuits, Collection $verdicts, array $suspects, Collection $putBacks, Collection $overrides): Standing
    {
        $recorded = $said = $out = $list = [];
        foreach ($verdicts as $row) {
            $recorded[] = [
                'check' => $row->check, 'subject' => $row->subject, 'status' => $row->status,
                'codes' => json_decode($row->codes, true), 'at' => $row->at, 'suspect' => isset($suspects[$row->at]),
            ];
            if (! isset($suspects[$row->at])) {
                $said["$row->check:$row->subject"] = ['headline' => (string) $row->headline, 'next' => (array) json_decode($row->next ?? '[]', true)];
            }
        }
        foreach ($putBacks as $row) {
            $list[] = ['id' => (string) $row->id, 'closed' => $row->closing !== null, 'explained' => (bool) $row->is_left, 'shuts' => json_decode($row->shuts, true)];
            if ($row->closing === null) {
                $out[(string) $row->id] = $row->what;
            }
        }
        $gates = $this->bench->judge('job.gates', self::input($machine, $circuits, $recorded, $list, self::opened($overrides)), 'us');
        $headlines = array_map(fn (array $words): string => $words['headline'], $said);

        return new Standing($gates, $this->speaker->lines($gates->judgement, $headlines, $out), $out, $said);
    }

    /**
     * @param list<array{name: string, compressors: list<string>}> $circuits
     * @param list<array<string, mixed>> $recorded
     * @param list<array<string, mixed>> $putBack
     * @param list<array<string, mixed>> $overrides
     * @return array<string, mixed>
     */
    private static function input(Machine $machine, array $circuits, array $recorded, array $putBack, array $overrides): array
    {
        $job = $machine->job;
        $compressors = array_merge([], ...array_map(fn (array $c): array => $c['compressors'], $circuits));

        return array_filter([
            'job_type' => $job->type,
            'start_up_only' => $job->start_up_only,
            'asked' => $job->asked,
            'facts' => $job->facts,
            'circuits' => array_map(fn (array $c): string => $c['name'], $circuits),
            'compressors' => $compressors,
            'recorded' => $recorded,
            'put_back' => $putBack,
            'overrides' => $overrides,
        ], fn (mixed $value): bool => $value !== []);
    }

    /**
     * @param Collection<int, \stdClass> $rows
     * @return list<array<string, mixed>>
     */
    private static function opened(Collection $rows): array
    {
        return array_values($rows->map(fn (\stdClass $row): array => ['gate' => $row->gate, 'role' => $row->role, 'reason' => $row->reason, 'at' => $row->at])->all());
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
