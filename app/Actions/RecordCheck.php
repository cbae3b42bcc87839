<?php

declare(strict_types=1);

namespace App\Actions;

use App\Http\Problems\Problem;
use App\Models\Entry;
use App\Models\Instrument;
use App\Models\Machine;
use App\Models\RecordedVerdict;
use App\Queries\Plate;
use App\Queries\Prefill;
use App\Queries\Standings;
use App\Support\Stamp;
use Illuminate\Database\ConnectionInterface;
use IronStart\Core\Judge\Judge;
use IronStart\Core\Check\Input;
use IronStart\Core\Clock\ClockKind;
use IronStart\Core\Gate\Order;
use IronStart\Core\Quantity\Units;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Verdict;

/** Records a check on a machine: every reading as it was read, the verdict, and what it opens. */
final class RecordCheck
{
    public function __construct(
        private readonly Judge $judge,
        private readonly Tape $tape,
        private readonly Standings $standings,
        private readonly FillChecked $fillChecked,
        private readonly OpenPutBack $openPutBack,
        private readonly ClosePutBack $closePutBack,
        private readonly RunClock $clock,
        private readonly Prefill $prefill,
        private readonly ConnectionInterface $db,
    ) {
    }

    /**
     * @param 'us'|'si' $units of the person who reads the words
     * @throws Problem
     * @throws \IronStart\Core\Check\InputError
     */
    public function record(Machine $machine, Stamp $stamp, RecordedInput $given, string $units): Entry
    {
        if ($given->check === 'job.gates') {
            throw Problem::notFound();
        }

        return $this->tape->holding($machine, function (Machine $locked) use ($machine, $stamp, $given, $units): Entry {
            $raw = $given->check === 'power.rotation' ? $this->fillChecked->in($given->raw, $machine->id) : $given->raw;
            $input = $this->judge->input($given->check, $raw);
            $verdict = $this->judge->judgeInput($given->check, $input, $units);
            $locked->setRelation('job', $machine->job);
            $this->explained($machine, $given, $raw);
            [$place, $isLate] = $this->tape->place($locked, $stamp);
            $entry = $this->tape->append($locked, 'check', $stamp, [
                'place' => $place,
                'supersedes' => $given->supersedes,
                'reason' => $given->reason,
                'details' => $this->instrument($given->instrumentId, $stamp),
                'out_of_order' => Order::missing($given->check, $given->subject, $this->standings->shutBefore($locked, $isLate ? $place->at : null)),
            ]);
            $this->keepVerdict($entry, $given, $raw, $verdict, $units);
            $this->keepReadings($entry, $given, $input);
            if ($given->check === 'power.lockout' && $verdict->judgement->status->value === 'clear') {
                $this->openPutBack->forLock($entry, $stamp, $input->text('lock_id'), $input->text('tag_name'));
            }
            $this->clock->read($locked, $stamp, $given->check);
            $clock = ClockKind::of($given->check);
            $wait = ClockKind::wait($verdict->judgement);
            if ($clock !== null && $wait !== null) {
                $this->clock->begin($locked, $stamp, $clock, $wait, $entry->at);
            }
            $this->closePutBack->byReading($locked, $stamp, $given->check, $verdict->judgement->status, $raw);
            $this->openPutBack->forCheck($locked, $entry, $stamp, $given, $verdict->judgement);

            return $entry;
        });
    }

    /**
     * The instrument as it was that day, with whether its calibration was overdue.
     *
     * @return array<string, mixed>
     */
    private function instrument(?int $id, Stamp $stamp): array
    {
        $tool = $id === null ? null : Instrument::query()->find($id);

        return $tool === null ? [] : ['instrument' => [
            'name' => $tool->name, 'kind' => $tool->kind, 'serial' => $tool->serial, 'accuracy' => $tool->accuracy,
            'calibration_due' => $tool->calibration_due?->toDateString() ?? '',
            'overdue' => $tool->isOverdue($stamp->arrivedAt),
        ]];
    }

    /** @throws Problem when a figure of the sheet was typed over without a word why */
    private function explained(Machine $machine, RecordedInput $given, mixed $raw): void
    {
        $over = trim($given->reason) === '' ? Plate::typedOver($machine->loadMissing('sheet'), $this->prefill, $given->check, $raw) : [];
        foreach ($over as $field => $figures) {
            throw Problem::field('reason', '', "why $field is {$figures['typed']} where the sheet has {$figures['sheet']}");
        }
    }

    private function keepVerdict(Entry $entry, RecordedInput $given, mixed $raw, Verdict $verdict, string $units): void
    {
        $said = $verdict->toArray();
        RecordedVerdict::query()->create([
            'machine_id' => $entry->machine_id,
            'entry_id' => $entry->id,
            'at' => $entry->at,
            'check' => $given->check,
            'check_version' => $verdict->version,
            'subject' => $given->subject,
            'status' => $verdict->judgement->status->value,
            'marginal' => $verdict->judgement->marginal,
            'codes' => $verdict->judgement->codes(),
            'units' => $units,
            'input' => $raw,
            'findings' => array_map(fn (Finding $f): array => $f->toArray(), $verdict->judgement->findings),
            'said' => $said,
        ]);
    }

    private function keepReadings(Entry $entry, RecordedInput $given, Input $input): void
    {
        $rows = [];
        foreach ($input->readings() as $path => $read) {
            $rows[] = [
                'company_id' => $entry->getAttribute('company_id'),
                'machine_id' => $entry->machine_id,
                'entry_id' => $entry->id,
                'at' => $entry->at,
                'recorded_at' => $entry->recorded_at->format(Entry::MOMENT),
                'device_at' => $entry->device_at->format(Entry::MOMENT),
                'user_id' => $entry->user_id,
                'instrument_id' => $given->instrumentId,
                'check' => $given->check,
                'path' => $path,
                'kind' => $read->kind->value,
                'value_read' => $read->value,
                'unit_read' => $read->unit,
                'value' => $read->canonical,
                'unit' => Units::canonical($read->kind),
            ];
        }
        if ($rows !== []) {
            $this->db->table('readings')->insert($rows);
        }
    }
}
