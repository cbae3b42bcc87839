<?php

declare(strict_types=1);

namespace App\Actions;

use App\Http\Problems\Problem;
use App\Models\Entry;
use App\Models\Machine;
use App\Models\PutBack;
use App\Support\Stamp;
use IronStart\Core\PutBack\PutBackKind;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Wording\Phrases;

/** Opens entries of the put-back list: by a recorded check, or by hand. */
final class OpenPutBack
{
    public function __construct(private readonly Tape $tape, private readonly Phrases $phrases)
    {
    }

    /** A lock that is on holds Run shut until it is said to be off. The same lock stands in the list once. */
    public function forLock(Entry $entry, Stamp $stamp, string $lock, string $name): void
    {
        $what = "Lock $lock on, tag $name";
        if (! PutBack::out($entry->machine_id)->where('what', $what)->exists()) {
            $this->keep($entry, $stamp, PutBackKind::Lock, $what);
        }
    }

    /** What a check leaves to be put back stands in the list; the same thing once. */
    public function forCheck(Machine $locked, Entry $entry, Stamp $stamp, RecordedInput $given, Judgement $judgement): void
    {
        foreach (PutBackKind::openedBy($given->check, $judgement->status, $judgement->codes()) as $kind) {
            $where = in_array($given->subject, ['machine', ''], true) ? '' : ': ' . strtr($given->subject, [':' => ' ']);
            $what = $this->phrases->common('put_back', $kind->value) . $where;
            if (! PutBack::out($locked->id)->where('what', $what)->exists()) {
                $this->keep($this->tape->append($locked, 'put_back_opened', $stamp, ['about' => $entry->at]), $stamp, $kind, $what);
            }
        }
    }

    /** @throws Problem for a kind that is not opened by hand */
    public function byHand(Machine $machine, Stamp $stamp, string $kind, string $where): Entry
    {
        $known = PutBackKind::tryFrom($kind);
        if ($known === null || ! $known->isOpenedByHand()) {
            $accepted = array_filter(PutBackKind::cases(), fn (PutBackKind $k): bool => $k->isOpenedByHand());
            throw Problem::field('kind', $kind, implode(', ', array_map(fn (PutBackKind $k): string => $k->value, $accepted)));
        }

        return $this->tape->holding($machine, function (Machine $locked) use ($stamp, $known, $where): Entry {
            $entry = $this->tape->append($locked, 'put_back_opened', $stamp);
            $this->keep($entry, $stamp, $known, "{$this->phrases->common('put_back', $known->value)}: $where");

            return $entry;
        });
    }

    private function keep(Entry $entry, Stamp $stamp, PutBackKind $kind, string $what): void
    {
        PutBack::query()->create([
            'machine_id' => $entry->machine_id, 'entry_id' => $entry->id, 'at' => $entry->at, 'kind' => $kind->value, 'what' => $what,
            'shuts' => $kind->shuts(), 'limit_minutes' => $kind->limitMinutes(), 'holder_id' => $stamp->person->id,
        ]);
    }
}
