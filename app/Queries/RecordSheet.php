<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Company;
use App\Models\Machine;
use App\Records\AsChained;
use App\Records\CompanyKeys;
use App\Records\OnePage;
use App\Support\Moment;
use App\Views\InstrumentUsedView;
use App\Views\OverrideView;
use App\Views\RecordView;
use App\Views\TapeEntry;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use IronStart\Core\Chain\Seal;

/** The record of a machine: its twelve answers, then the evidence. */
final class RecordSheet
{
    public function __construct(private readonly Standings $standings, private readonly TapeReader $tape, private readonly JobParts $parts, private readonly CompanyKeys $keys, private readonly AsChained $chained, private readonly AsLeftList $left)
    {
    }

    public function of(Machine $machine, Company $company): RecordView
    {
        $machine->loadMissing('job.site', 'sheet');
        $rows = $this->tape->rows($machine->id);
        $putBack = $this->tape->putBack(new Collection([$machine]), false);
        $standing = $this->standings->fromTape($machine, $rows, $putBack);
        $evidence = $this->evidence($machine, $rows, false);

        return new RecordView(
            company: $company->name,
            site: $machine->job->site->name,
            address: $machine->job->site->address,
            job: $machine->job->title,
            machine: $machine->name,
            summary: $machine->summary,
            serial: $machine->serial,
            model: (string) ($machine->sheet->body['model'] ?? ''),
            history: $machine->history,
            madeAt: Moment::iso(CarbonImmutable::now()),
            status: $standing->gates->status()->value,
            answers: MachineScreen::gates($standing->lines),
            overrides: array_values($rows->where('kind', 'override')->map(fn (\stdClass $row): OverrideView => new OverrideView(
                (int) $row->gate,
                $standing->line((int) $row->gate)->name,
                $row->who,
                Moment::iso($row->device_at),
                $row->reason,
            ))->all()),
            putBack: $putBack,
            evidence: $evidence,
            people: array_values(array_unique(array_map(fn (TapeEntry $e): string => $e->who, $evidence))),
            readings: array_sum(array_map(fn (TapeEntry $e): int => $e->readingsInAll, $evidence)),
            verdicts: count(array_filter($evidence, fn (TapeEntry $e): bool => $e->kind === 'check')),
            items: JobParts::items($standing->tape),
            partsOut: JobParts::out($standing->tape),
            facts: $this->parts->facts($machine),
            signOff: SignOffs::of($rows, $standing->tape),
            recordId: $machine->record_id,
            digest: $machine->digest,
            fingerprint: Seal::fingerprint($this->keys->of($machine->company_id)->publicKey()),
            instruments: self::instruments($rows, $evidence),
            notes: self::notes($standing, $evidence),
            differs: $this->chained->faults($machine),
            pages: OnePage::there($evidence),
            asLeft: $this->left->of($evidence),
        );
    }

    /**
     * Every entry as it was read, oldest first, and nothing of what it comes to.
     *
     * @param \Illuminate\Support\Collection<int, \stdClass>|null $rows of the tape, where they were read already
     * @return list<TapeEntry>
     */
    public function evidence(Machine $machine, ?\Illuminate\Support\Collection $rows = null, bool $isWhole = true): array
    {
        return array_reverse($this->tape->entries($machine->id, $rows ?? $this->tape->rows($machine->id), true, $isWhole));
    }

    /**
     * What a reader must know before the twelve answers, besides the overrides.
     *
     * @param list<TapeEntry> $evidence
     * @return list<string>
     */
    private static function notes(Standing $standing, array $evidence): array
    {
        $notes = [];
        foreach ($standing->lines as $line) {
            foreach (array_intersect($line->flags, ['out_of_order', 'conditional', 'override_refused']) === [] ? [] : $line->notes as $note) {
                $notes[] = "$line->name: $note";
            }
        }
        foreach ($evidence as $entry) {
            if ($entry->instrumentOverdue) {
                $notes["overdue $entry->instrument"] = "Readings were taken with $entry->instrument, whose calibration was due $entry->instrumentDue.";
            }
        }

        return array_values(array_unique($notes));
    }

    /**
     * @param \Illuminate\Support\Collection<int, \stdClass> $rows
     * @param list<TapeEntry> $evidence
     * @return list<InstrumentUsedView> as each was when it was used
     */
    private static function instruments(\Illuminate\Support\Collection $rows, array $evidence): array
    {
        $counts = array_column(array_map(fn (TapeEntry $e): array => [$e->at, $e->readingsInAll], $evidence), 1, 0);
        $used = [];
        foreach ($rows as $row) {
            $tool = json_decode($row->details, true)['instrument'] ?? null;
            if (is_array($tool)) {
                $key = implode('|', $tool);
                $used[$key] ??= $tool + ['readings' => 0];
                $used[$key]['readings'] += $counts[$row->at] ?? 0;
            }
        }

        return array_values(array_map(fn (array $t): InstrumentUsedView => new InstrumentUsedView($t['name'], $t['kind'], $t['serial'], $t['accuracy'], $t['calibration_due'], $t['overdue'], $t['readings']), $used));
    }
}
