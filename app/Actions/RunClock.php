<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Entry;
use App\Models\EntryKind;
use App\Models\Machine;
use App\Queries\Theirs;
use App\Refusals\Refusal;
use App\Support\Stamp;
use IronStart\Core\Clock\ClockKind;
use IronStart\Core\Wording\Phrases;

/** Starts and stops clocks. They run on the server: what counts is where the start stands in time. */
final class RunClock
{
    public function __construct(private readonly Tape $tape, private readonly Phrases $phrases, private readonly Theirs $theirs)
    {
    }

    /** @throws Refusal for a kind that is no clock */
    public function start(Machine $machine, Stamp $stamp, string $kind, string $name, ?int $minutes): Entry
    {
        $clock = ClockKind::tryFrom($kind) ?? throw Refusal::field('kind', $kind, implode(', ', array_map(fn (ClockKind $k): string => $k->value, ClockKind::cases())));

        return $this->tape->holding($machine, fn (Machine $locked): Entry => $this->begin($locked, $stamp, $clock, $minutes, name: $name));
    }

    /** Within a write that holds the machine already. A clock of the same name that still runs is followed by the new one. */
    public function begin(Machine $locked, Stamp $stamp, ClockKind $kind, ?int $minutes, ?int $about = null, string $where = '', string $name = ''): Entry
    {
        return $this->tape->append($locked, EntryKind::ClockStarted, $stamp, ['about' => $about, 'details' => [
            'kind' => $kind->value,
            'name' => trim($name) === '' ? $this->named($kind, $where) : trim($name),
            'minutes' => $minutes ?? $kind->minutes(),
        ]]);
    }

    /** Where several of a kind may run, each says of what it is. */
    private function named(ClockKind $kind, string $where): string
    {
        return $this->phrases->common('clocks', $kind->value) . ($where === '' ? '' : ", $where");
    }

    /** What was waited for has been read: its clocks need nobody's word any more. */
    public function read(Machine $locked, Stamp $stamp, ClockKind $kind, string $where = ''): void
    {
        $running = Entry::runningClocks()->where('entries.machine_id', $locked->id)->where('entries.details->kind', $kind->value)
            ->when($where !== '', fn ($query) => $query->where('entries.details->name', $this->named($kind, $where)))
            ->orderBy('entries.at')->get();
        foreach ($running as $clock) {
            $this->tape->append($locked, EntryKind::ClockStopped, $stamp, ['about' => $clock->at, 'details' => ['name' => $clock->details['name'] ?? '', 'word' => $this->phrases->common('clock_read', 'word')]]);
        }
    }

    /** @throws Refusal when it is no clock of this machine, or somebody stopped it first */
    public function stop(Machine $machine, Stamp $stamp, int $clock, string $word): Entry
    {
        return $this->tape->holding($machine, function (Machine $locked) use ($stamp, $clock, $word): Entry {
            $started = Entry::query()->where('machine_id', $locked->id)->where('at', $clock)->where('kind', 'clock_started')->first() ?? throw Refusal::notFound();
            $stopped = $this->theirs->last($locked->id, 'clock_stopped', fn ($q) => $q->where('about', $clock));
            if ($stopped !== []) {
                throw Refusal::already('This clock was stopped already.', $stopped);
            }

            return $this->tape->append($locked, EntryKind::ClockStopped, $stamp, ['about' => $clock, 'details' => ['name' => $started->details['name'] ?? '', 'word' => $word]]);
        });
    }
}
