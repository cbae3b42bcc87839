<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Entry;
use App\Models\PutBack;
use App\Support\Stamp;

/** Opens entries of the put-back list. */
final class OpenPutBack
{
    private const RUN = 8;

    /** A lock that is on holds Run shut until it is said to be off. */
    public function forLock(Entry $entry, Stamp $stamp, string $lock, string $name): void
    {
        $what = "Lock $lock on, tag $name";
        $there = PutBack::query()->where('machine_id', $entry->machine_id)->where('what', $what)
            ->whereNotExists(fn ($q) => $q->from('put_back_closings')->whereColumn('put_back_closings.put_back_id', 'put_backs.id'))->exists();
        if (! $there) {
            PutBack::query()->create([
                'machine_id' => $entry->machine_id, 'entry_id' => $entry->id, 'at' => $entry->at,
                'kind' => 'lock', 'what' => $what, 'shuts' => [self::RUN], 'limit_minutes' => null, 'holder_id' => $stamp->person->id,
            ]);
        }
    }
}
