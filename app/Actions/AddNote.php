<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Entry;
use App\Models\EntryKind;
use App\Models\Machine;
use App\Models\Note;
use App\Support\Stamp;

/** A person's own words on the tape, at a gate or about the machine. */
final class AddNote
{
    public function __construct(private readonly Tape $tape)
    {
    }

    public function add(Machine $machine, Stamp $stamp, ?int $gate, string $text): Entry
    {
        return $this->tape->holding($machine, function (Machine $locked) use ($stamp, $gate, $text): Entry {
            $entry = $this->tape->append($locked, EntryKind::Note, $stamp);
            Note::query()->create(['machine_id' => $locked->id, 'entry_id' => $entry->id, 'at' => $entry->at, 'gate' => $gate, 'text' => $text]);

            return $entry;
        });
    }
}
