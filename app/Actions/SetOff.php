<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Entry;
use App\Models\Machine;
use App\Support\Stamp;
use IronStart\Core\Check\Input;
use IronStart\Core\PutBack\PutBackKind;
use IronStart\Core\Verdict\Judgement;

/** Does what a recording sets off, as its judgement says: entries to put back, clocks, things left for somebody. */
final class SetOff
{
    public function __construct(private readonly OpenPutBack $open, private readonly ClosePutBack $close, private readonly RunClock $clock, private readonly LeaveItem $leave, private readonly TellOfJob $facts)
    {
    }

    public function by(Judgement $judgement, Machine $locked, Entry $entry, Stamp $stamp, string $subject, Input $input): void
    {
        foreach ($judgement->sets as $effect) {
            match (true) {
                $effect->opens === PutBackKind::Lock => $this->open->forLock($entry, $stamp, $input->text('lock_id'), $input->text('tag_name')),
                $effect->opens !== null => $this->open->forCheck($locked, $entry, $stamp, $effect->opens, $effect->where === '' ? $subject : $effect->where),
                $effect->closes !== null => $this->close->byReading($locked, $stamp, $effect->closes, $effect->where),
                $effect->fact !== '' => $this->facts->known($locked, $stamp, $effect->fact),
                $effect->leaves !== '' => $this->leave->forCheck($locked, $entry, $stamp, $effect->leaves, $effect->where),
                $effect->settles !== '' => $this->leave->settled($locked, $stamp, $effect->settles, $entry->at),
                $effect->ends !== null => $this->clock->read($locked, $stamp, $effect->ends, $effect->where),
                $effect->starts !== null => $this->clock->begin($locked, $stamp, $effect->starts, $effect->minutes, $entry->at, $effect->where),
                default => null,
            };
        }
    }
}
