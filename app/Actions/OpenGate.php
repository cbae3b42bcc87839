<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Entry;
use App\Models\EntryKind;
use App\Models\GateOverride;
use App\Models\Machine;
use App\Queries\Standings;
use App\Queries\Theirs;
use App\Refusals\Refusal;
use App\Support\Stamp;
use IronStart\Core\Gate\GateState;

/** A lead opens a gate against a stop, with a reason. Some stops nobody may work against. */
final class OpenGate
{
    private const RUN = 8;
    private const REASON_LENGTH = 10;

    public function __construct(private readonly Tape $tape, private readonly Standings $standings, private readonly Theirs $theirs)
    {
    }

    /** @throws Refusal when the reason is too short, nothing stops the gate, or the stop is of a deadly kind */
    public function open(Machine $machine, Stamp $stamp, int $gate, string $reason): Entry
    {
        if (mb_strlen(trim($reason)) < self::REASON_LENGTH) {
            throw Refusal::field('reason', $reason, 'a reason of at least ' . self::REASON_LENGTH . ' characters: it prints on the first page of the record');
        }

        return $this->tape->holding($machine, function (Machine $locked) use ($machine, $stamp, $gate, $reason): Entry {
            $locked->setRelation('job', $machine->job);
            $standing = $this->standings->ofOne($locked);
            $gates = $standing->gates->gates;
            $deadly = array_filter($gate === self::RUN ? $gates : [$gates[$gate]], fn (GateState $g): bool => $g->notOverridable);
            if ($deadly !== []) {
                $of = $gates[$gate]->notOverridable ? $gate : (int) array_key_first($deadly);
                throw Refusal::conflict('This stop can\'t be overridden: ' . $standing->line($of)->sentence);
            }
            if ($gates[$gate]->stopped === []) {
                $opened = $this->theirs->last($locked->id, 'override', fn ($q) => $q->whereIn('id', fn ($own) => $own->from('overrides')->where('machine_id', $locked->id)->where('gate', $gate)->select('entry_id')));
                throw $opened === []
                    ? Refusal::conflict('Nothing is stopped here, so there is nothing to override.')
                    : Refusal::already('This is overridden already.', $opened + ['yours' => ['words' => $reason]]);
            }
            $entry = $this->tape->append($locked, EntryKind::Override, $stamp, ['reason' => $reason]);
            GateOverride::query()->create(['machine_id' => $locked->id, 'entry_id' => $entry->id, 'at' => $entry->at, 'gate' => $gate, 'role' => $stamp->person->role->value, 'reason' => $reason]);

            return $entry;
        });
    }
}
