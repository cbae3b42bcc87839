<?php

declare(strict_types=1);

namespace App\Queries;

use App\Http\Schema\OverrideView;
use App\Http\Schema\RecordView;
use App\Http\Schema\TapeEntry;
use App\Models\Machine;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;

/** The record of a machine: its twelve answers, then the evidence. */
final class RecordSheet
{
    public function __construct(private readonly Standings $standings, private readonly TapeReader $tape)
    {
    }

    public function of(Machine $machine, User $reader): RecordView
    {
        $machine->loadMissing('job.site', 'sheet');
        $reader->loadMissing('company');
        $rows = $this->tape->rows($machine->id);
        $doubts = $this->tape->doubts($machine->id);
        $putBack = $this->tape->putBack(new Collection([$machine]), false);
        $standing = $this->standings->fromTape($machine, $rows, $putBack);
        $evidence = array_reverse($this->tape->entries($machine->id, $rows, $doubts));

        return new RecordView(
            company: $reader->company->name,
            site: $machine->job->site->name,
            address: $machine->job->site->address,
            job: $machine->job->title,
            machine: $machine->name,
            summary: $machine->summary,
            serial: $machine->serial,
            model: (string) ($machine->sheet->body['model'] ?? ''),
            history: $machine->history,
            madeAt: CarbonImmutable::now()->utc()->format('Y-m-d\TH:i:s\Z'),
            status: $standing->gates->judgement->status->value,
            answers: MachineScreen::gates($standing->lines),
            overrides: array_values($rows->where('kind', 'override')->map(fn (\stdClass $row): OverrideView => new OverrideView(
                (int) $row->gate,
                $standing->line((int) $row->gate)->name,
                $row->who,
                CarbonImmutable::parse($row->device_at)->utc()->format('Y-m-d\TH:i:s\Z'),
                $row->reason,
            ))->all()),
            putBack: $putBack,
            evidence: $evidence,
            people: array_values(array_unique(array_map(fn (TapeEntry $e): string => $e->who, $evidence))),
            readings: array_sum(array_map(fn (TapeEntry $e): int => count($e->readings), $evidence)),
            verdicts: count(array_filter($evidence, fn (TapeEntry $e): bool => $e->kind === 'check')),
        );
    }
}
