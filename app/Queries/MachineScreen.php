<?php

declare(strict_types=1);

namespace App\Queries;

use App\Http\Schema\GateView;
use App\Http\Schema\InstrumentView;
use App\Http\Schema\MachineView;
use App\Http\Schema\MissingView;
use App\Models\Instrument;
use App\Models\Machine;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use IronStart\Core\Wording\GateLine;
use IronStart\Core\Wording\GateSpeaker;

/** All that the Machine screen needs, in one answer. */
final class MachineScreen
{
    private const RUN = 8;

    public function __construct(
        private readonly Standings $standings,
        private readonly TapeReader $tape,
        private readonly GateSpeaker $speaker,
        private readonly Prefill $prefill,
    ) {
    }

    public function of(Machine $machine, User $reader): MachineView
    {
        $machine->loadMissing('job.site', 'sheet');
        $rows = $this->tape->rows($machine->id);
        $doubts = $this->tape->doubts($machine->id);
        $putBack = $this->tape->putBack(new Collection([$machine]), false);
        $standing = $this->standings->fromTape($machine, $rows, $putBack);
        $entries = $this->tape->entries($machine->id, $rows, $doubts);
        $start = $rows->where('kind', 'start')->last();

        return new MachineView(
            id: $machine->id,
            name: $machine->name,
            place: $machine->place,
            serial: $machine->serial,
            summary: $machine->summary,
            history: $machine->history,
            site: $machine->job->site->name,
            job: $machine->job->title,
            jobType: $machine->job->type,
            status: $standing->gates->judgement->status->value,
            current: $standing->current(),
            gates: self::gates($standing->lines),
            putBack: $putBack,
            tape: $entries,
            startRefused: $this->speaker->whyShut($standing->gates->judgement, $standing->lines, $standing->putBack, self::RUN),
            startedAt: $start === null ? null : (int) $start->at,
            prefill: (object) $this->prefill->of($machine, $reader, $entries),
            instruments: self::instruments(),
            news: $machine->last_at,
        );
    }

    /**
     * @param list<GateLine> $lines
     * @return list<GateView>
     */
    public static function gates(array $lines): array
    {
        return array_map(fn (GateLine $line): GateView => new GateView(
            $line->gate,
            $line->name,
            $line->question,
            $line->state,
            $line->shut,
            $line->sentence,
            $line->check,
            $line->subject,
            array_map(fn (array $m): MissingView => new MissingView($m['check'], $m['subject'], $m['todo']), $line->missing),
            $line->flags,
            $line->notes,
        ), $lines);
    }

    /** @return list<InstrumentView> */
    private static function instruments(): array
    {
        $today = CarbonImmutable::today();

        return array_values(Instrument::query()->orderBy('name')->get()->map(fn (Instrument $i): InstrumentView => new InstrumentView(
            $i->id,
            $i->name,
            $i->kind,
            $i->serial,
            $i->calibration_due?->toDateString() ?? '',
            $i->calibration_due?->isBefore($today) ?? false,
        ))->all());
    }
}
