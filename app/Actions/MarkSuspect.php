<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Entry;
use App\Models\EntryKind;
use App\Models\Machine;
use App\Models\SuspectMark;
use App\Queries\FeedEvents;
use App\Refusals\Refusal;
use App\Support\Stamp;

/** Says that an entry is doubted: it stays on the tape, struck, and counts no longer. */
final class MarkSuspect
{
    public function __construct(private readonly Tape $tape, private readonly FeedEvents $events)
    {
    }

    /** @throws Refusal */
    public function mark(Machine $machine, int $at, Stamp $stamp, string $reason): Entry
    {
        return $this->tape->holding($machine, function (Machine $locked) use ($at, $stamp, $reason): Entry {
            $target = Entry::query()->where('machine_id', $locked->id)->where('at', $at)->first();
            if ($target === null || $target->kind !== 'check') {
                throw Refusal::field('at', $at, 'the place of a reading on this machine\'s tape');
            }
            if (! $stamp->person->role->may($target->user_id === $stamp->person->id ? 'doubt_own' : 'doubt_any')) {
                throw Refusal::notYours();
            }
            if (SuspectMark::query()->where('machine_id', $locked->id)->where('target_at', $at)->exists()) {
                throw Refusal::already('This reading is already flagged.');
            }
            $entry = $this->tape->append($locked, EntryKind::Suspect, $stamp, ['reason' => $reason]);
            SuspectMark::query()->create(['machine_id' => $locked->id, 'entry_id' => $entry->id, 'at' => $entry->at, 'target_at' => $at, 'reason' => $reason]);
            $this->events->anew($locked->id);

            return $entry;
        });
    }
}
