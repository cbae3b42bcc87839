<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Entry;
use App\Models\Machine;
use App\Views\WholeJobView;
use IronStart\Core\Diagnose\Gathered;

/** What was recorded on all units of a job, as what a root cause is looked for in. */
final class WholeJob
{
    public function __construct(private readonly Feeds $feeds)
    {
    }

    public function around(Machine $machine): WholeJobView
    {
        $machines = Machine::query()->where('site_job_id', $machine->site_job_id)->get()->sortBy(['position', 'id'])->values();
        $of = [];
        foreach ($this->rows(array_values($machines->map(fn (Machine $one): int => $one->id)->all())) as $row) {
            $of[(int) $row->machine_id][] = $row;
        }
        $panels = $this->feeds->panelsOf(array_values(array_map(intval(...), $machines->modelKeys())));
        $input = Gathered::input(array_values($machines->map(fn (Machine $one): array => ['name' => $one->name, 'job' => $machine->job->title, 'supply' => $panels[$one->id] ?? ''] + self::read($of[$one->id] ?? []))->all()));

        return new WholeJobView($input['machines'], $input['facts']);
    }

    /**
     * @param list<\stdClass> $rows of one machine, in the order of its tape
     * @return array{recorded: list<array{check: string, subject: string, status: string, codes: list<string>, input: array<string, mixed>, said: string}>, out: list<string>}
     */
    private static function read(array $rows): array
    {
        $flagged = array_filter(array_map(fn (\stdClass $row): ?int => $row->target_at === null ? null : (int) $row->target_at, $rows), fn (?int $at): bool => $at !== null);
        $recorded = $out = [];
        foreach ($rows as $row) {
            if ($row->kind === 'check' && ! in_array((int) $row->at, $flagged, true)) {
                $recorded[] = [
                    'check' => (string) $row->check, 'subject' => (string) $row->subject, 'status' => (string) $row->status,
                    'codes' => array_values(array_filter((array) json_decode($row->codes ?? '[]', true), is_string(...))), 'input' => (array) json_decode($row->input ?? '{}', true), 'said' => (string) $row->headline,
                ];
            }
            $subject = ((array) json_decode($row->details ?? '{}', true))['subject'] ?? null;
            if (is_string($subject) && $row->kind !== 'check') {
                $out = $row->kind === 'part_disabled' ? [...$out, $subject] : array_values(array_diff($out, [$subject]));
            }
        }

        return ['recorded' => $recorded, 'out' => array_values(array_unique($out))];
    }

    /**
     * @param list<int> $machines
     * @return list<\stdClass>
     */
    private function rows(array $machines): array
    {
        return array_values(Entry::query()->whereIn('entries.machine_id', $machines)->whereIn('entries.kind', ['check', 'part_disabled', 'part_enabled', 'suspect'])
            ->leftJoin('verdicts', Entry::beside('verdicts'))
            ->leftJoin('suspect_marks', Entry::beside('suspect_marks'))
            ->where(fn ($query) => $query->whereNull('verdicts.check')->orWhereIn('verdicts.check', Gathered::reads()))
            ->orderBy('entries.placed_at')->orderBy('entries.at')
            ->select(['entries.machine_id', 'entries.at', 'entries.kind', 'entries.details', 'suspect_marks.target_at', 'verdicts.check', 'verdicts.subject', 'verdicts.status', 'verdicts.codes', 'verdicts.input'])
            ->selectRaw('verdicts.said->>\'headline\' AS headline')
            ->toBase()->get()->all());
    }
}
