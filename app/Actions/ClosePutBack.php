<?php

declare(strict_types=1);

namespace App\Actions;

use App\Http\Problems\Problem;
use App\Models\Entry;
use App\Models\Machine;
use App\Models\PutBack;
use App\Models\PutBackClosing;
use App\Support\Stamp;

/** Closes an entry of the put-back list on a person's word. */
final class ClosePutBack
{
    public function __construct(private readonly Tape $tape)
    {
    }

    /** @throws Problem */
    public function close(Machine $machine, PutBack $putBack, Stamp $stamp, string $word): Entry
    {
        $role = $stamp->person->role;
        $own = $putBack->holder_id === $stamp->person->id;
        if (! $role->may($own ? 'close_own_put_back' : 'close_any_put_back')) {
            throw Problem::notYours();
        }

        return $this->tape->holding($machine, function (Machine $locked) use ($putBack, $stamp, $word): Entry {
            if (PutBackClosing::query()->where('put_back_id', $putBack->id)->exists()) {
                throw Problem::already('This entry was closed already.');
            }
            $entry = $this->tape->append($locked, 'put_back_closed', $stamp);
            PutBackClosing::query()->create(['machine_id' => $locked->id, 'entry_id' => $entry->id, 'at' => $entry->at, 'put_back_id' => $putBack->id, 'word' => $word]);

            return $entry;
        });
    }
}
