<?php

declare(strict_types=1);

namespace App\Actions;

use App\Http\Problems\Problem;
use App\Models\Entry;
use App\Models\Machine;
use App\Models\StartPress;
use App\Queries\Standings;
use App\Support\Stamp;
use IronStart\Core\Clock\ClockKind;
use IronStart\Core\Wording\GateSpeaker;

/** "Starting it now": refused while Run is shut, with the reason. */
final class PressStart
{
    private const RUN = 8;

    public function __construct(private readonly Tape $tape, private readonly Standings $standings, private readonly GateSpeaker $speaker, private readonly RunClock $clock)
    {
    }

    /** @throws Problem */
    public function press(Machine $machine, Stamp $stamp): Entry
    {
        return $this->tape->holding($machine, function (Machine $locked) use ($machine, $stamp): Entry {
            $locked->setRelation('job', $machine->job);
            $standing = $this->standings->ofOne($locked);
            $reasons = $this->speaker->whyShut($standing->gates->judgement, $standing->lines, $standing->putBack, self::RUN);
            if ($reasons !== []) {
                throw Problem::shut($reasons[0], $reasons);
            }
            $entry = $this->tape->append($locked, 'start', $stamp);
            StartPress::query()->create(['machine_id' => $locked->id, 'entry_id' => $entry->id, 'at' => $entry->at]);
            $this->clock->begin($locked, $stamp, ClockKind::Stabilise, null, $entry->at);

            return $entry;
        });
    }
}
