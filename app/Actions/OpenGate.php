<?php

declare(strict_types=1);

namespace App\Actions;

use App\Http\Problems\Problem;
use App\Models\Entry;
use App\Models\GateOverride;
use App\Models\Machine;
use App\Queries\Standings;
use App\Queries\Theirs;
use App\Support\Stamp;

/** A lead opens a gate against a stop, with a reason. Some stops nobody may work against. */
final class OpenGate
{
    private const RUN = 8;
    private const REASON_LENGTH = 10;

    public function __construct(private readonly Tape $tape, private readonly Standings $standings, private readonly Theirs $theirs)
    {
    }

    /** @throws Problem when the reason is too short, nothing stops the gate, or the stop is of a deadly kind */
    public function open(Machine $machine, Stamp $stamp, int $gate, string $reason): Entry
    {
        if (mb_strlen(trim($reason)) < self::REASON_LENGTH) {
            throw Problem::field('reason', $reason, 'a reason of at least ' . self::REASON_LENGTH . ' characters: it stands on the first page of the record');
        }

        return $this->tape->holding($machine, function (Machine $locked) use ($machine, $stamp, $gate, $reason): Entry {
            $locked->setRelation('job', $machine->job);
            $standing = $this->standings->ofOne($locked);
            $codes = $standing->gates->judgement->codes();
            $deadly = array_filter($codes, fn (string $code): bool => $gate === self::RUN ? str_starts_with($code, 'not_overridable:') : $code === "not_overridable:$gate");
            if ($deadly !== []) {
                throw Problem::other(409, 'Nobody may work against this stop: ' . $standing->line($gate)->sentence);
            }
            if (array_filter($codes, fn (string $code): bool => str_starts_with($code, "stopped:$gate:")) === []) {
                $opened = $this->theirs->last($locked->id, 'override', fn ($q) => $q->whereIn('id', fn ($own) => $own->from('overrides')->where('machine_id', $locked->id)->where('gate', $gate)->select('entry_id')));
                throw $opened === []
                    ? Problem::other(409, 'Nothing stops this question: there is nothing to be opened against.')
                    : Problem::already('This question is open already.', $opened + ['yours' => ['words' => $reason]]);
            }
            $entry = $this->tape->append($locked, 'override', $stamp, ['reason' => $reason]);
            GateOverride::query()->create(['machine_id' => $locked->id, 'entry_id' => $entry->id, 'at' => $entry->at, 'gate' => $gate, 'role' => $stamp->person->role->value, 'reason' => $reason]);

            return $entry;
        });
    }
}
