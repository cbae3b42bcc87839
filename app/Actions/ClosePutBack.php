<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Entry;
use App\Models\EntryKind;
use App\Models\Machine;
use App\Models\PutBack;
use App\Models\PutBackClosing;
use App\Queries\Theirs;
use App\Refusals\Refusal;
use App\Support\Stamp;
use IronStart\Core\PutBack\PutBackKind;
use IronStart\Core\Wording\Phrases;

/** Closes an entry of the put-back list on a person's word, or by a reading that proves it. */
final class ClosePutBack
{
    public function __construct(private readonly Tape $tape, private readonly Phrases $phrases, private readonly Theirs $theirs)
    {
    }

    /**
     * What a reading proves to be back needs nobody's word: with the doors on, no panel is off.
     *
     * @param string $where which one of its kind; '' for all of them
     */
    public function byReading(Machine $locked, Stamp $stamp, PutBackKind $kind, string $where = ''): void
    {
        $ids = PutBack::out($locked->id)->where('kind', $kind->value)
            ->when($where !== '', fn ($query) => $query->where('what', OpenPutBack::what($this->phrases, $kind, $where)))
            ->orderBy('id')->pluck('id');
        foreach ($ids as $id) {
            $this->append($locked, (int) $id, $stamp, $this->phrases->common('proved_back', $kind->value));
        }
    }

    /** The wire of a part that is in service again. */
    public function ofPart(Machine $locked, Stamp $stamp, int $entryAt, string $word): void
    {
        $ids = PutBack::out($locked->id)->whereIn('at', fn ($own) => $own->from('entries')->where('company_id', $locked->getAttribute('company_id'))->where('machine_id', $locked->id)->where('kind', 'put_back_opened')->where('about', $entryAt)->select('at'))->pluck('id');
        foreach ($ids as $id) {
            $this->append($locked, (int) $id, $stamp, $word);
        }
    }

    /** @throws Refusal */
    public function close(Machine $machine, PutBack $putBack, Stamp $stamp, string $word): Entry
    {
        if (! $putBack->isSettledBy($stamp->person)) {
            throw Refusal::notYours();
        }

        return $this->tape->holding($machine, function (Machine $locked) use ($putBack, $stamp, $word): Entry {
            if (! PutBack::out($locked->id)->whereKey($putBack->id)->exists()) {
                throw Refusal::already('This entry was closed already.', $this->theirs->closing($locked->id, $putBack->id) + ['yours' => ['words' => $word]]);
            }

            return $this->append($locked, $putBack->id, $stamp, $word);
        });
    }

    private function append(Machine $locked, int $putBackId, Stamp $stamp, string $word): Entry
    {
        $entry = $this->tape->append($locked, EntryKind::PutBackClosed, $stamp);
        PutBackClosing::query()->create(['machine_id' => $locked->id, 'entry_id' => $entry->id, 'at' => $entry->at, 'put_back_id' => $putBackId, 'word' => $word]);

        return $entry;
    }
}
