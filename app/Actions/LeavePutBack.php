<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Company;
use App\Models\Entry;
use App\Models\EntryKind;
use App\Models\Machine;
use App\Models\PutBack;
use App\Models\PutBackLeft;
use App\Queries\Theirs;
use App\Refusals\Refusal;
use App\Support\Moment;
use App\Support\Stamp;
use Carbon\CarbonImmutable;

/** Leaves an entry of the put-back list out on purpose, with a reason, an owner and a date. The last word counts. */
final class LeavePutBack
{
    public function __construct(private readonly Tape $tape, private readonly Theirs $theirs)
    {
    }

    /**
     * @param string $due a date, YYYY-MM-DD, today or later by the company's clock
     * @throws Refusal
     */
    public function leave(Machine $machine, PutBack $putBack, Stamp $stamp, string $reason, string $owner, string $due): Entry
    {
        if (! $putBack->isSettledBy($stamp->person)) {
            throw Refusal::notYours();
        }
        $zone = Company::query()->whereKey($machine->company_id)->value('time_zone');
        $today = CarbonImmutable::now(is_string($zone) ? $zone : 'UTC')->format('Y-m-d');
        if (! Moment::isDay($due) || $due < $today) {
            throw Refusal::field('due', $due, "a date from $today on, as YYYY-MM-DD");
        }

        return $this->tape->holding($machine, function (Machine $locked) use ($putBack, $stamp, $reason, $owner, $due): Entry {
            if (! PutBack::out($locked->id)->whereKey($putBack->id)->exists()) {
                throw Refusal::already('This entry was closed already.', $this->theirs->closing($locked->id, $putBack->id) + ['yours' => ['words' => $reason]]);
            }
            $entry = $this->tape->append($locked, EntryKind::PutBackLeft, $stamp);
            PutBackLeft::query()->create(['machine_id' => $locked->id, 'entry_id' => $entry->id, 'at' => $entry->at, 'put_back_id' => $putBack->id, 'reason' => $reason, 'owner' => $owner, 'due' => $due]);

            return $entry;
        });
    }
}
