<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Entry;
use App\Models\EntryKind;
use App\Models\Machine;
use App\Models\StartPress;
use App\Queries\Standings;
use App\Refusals\Refusal;
use App\Support\Stamp;
use IronStart\Core\Clock\ClockKind;

/**
 * "Starting it now": refused, with the reasons, while anything lies between the press and the damage.
 *
 * A press that could not be checked when it was made (no signal, or a write still waiting) is a fact by the time it
 * arrives: it is judged at its place in time and kept, with the reasons, as out of order.
 */
final class PressStart
{
    private const RUN = 8;

    public function __construct(private readonly Tape $tape, private readonly Standings $standings, private readonly RunClock $clock)
    {
    }

    /** @throws Refusal with one sentence for each reason; nothing is written then */
    public function press(Machine $machine, Stamp $stamp, bool $unchecked = false): Entry
    {
        return $this->tape->holding($machine, function (Machine $locked) use ($machine, $stamp, $unchecked): Entry {
            $locked->setRelation('job', $machine->job);
            [$place, $isLate] = $this->tape->place($locked, $stamp);
            $reasons = $this->standings->before($locked, $isLate ? $place->at : null)->startRefused;
            if ($reasons !== [] && ! $unchecked) {
                throw Refusal::notReady($reasons);
            }
            $entry = $this->tape->append($locked, EntryKind::Start, $stamp, [
                'place' => $place,
                'out_of_order' => $reasons === [] ? [] : [self::RUN],
                'details' => $reasons === [] ? [] : ['reasons' => $reasons],
            ]);
            StartPress::query()->create(['machine_id' => $locked->id, 'entry_id' => $entry->id, 'at' => $entry->at]);
            $this->clock->begin($locked, $stamp, ClockKind::Stabilise, null, $entry->at);

            return $entry;
        });
    }
}
