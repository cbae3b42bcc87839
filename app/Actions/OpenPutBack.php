<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Entry;
use App\Models\EntryKind;
use App\Models\Machine;
use App\Models\PutBack;
use App\Refusals\Refusal;
use App\Support\Stamp;
use IronStart\Core\PutBack\PutBackKind;
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

    /** A thing to be put back as the list has it: its kind, and which one of it. */
    public static function what(Phrases $phrases, PutBackKind $kind, string $where): string
    {
        return $phrases->common('put_back', $kind->value) . (in_array($where, ['machine', ''], true) ? '' : ': ' . strtr($where, [':' => ' ']));
    }

    /** What a check leaves to be put back is in the list; the same thing once. */
    public function forCheck(Machine $locked, Entry $entry, Stamp $stamp, PutBackKind $kind, string $subject): void
    {
        $what = self::what($this->phrases, $kind, $subject);
        if (! PutBack::out($locked->id)->where('what', $what)->exists()) {
            $this->keep($this->tape->append($locked, EntryKind::PutBackOpened, $stamp, ['about' => $entry->at]), $stamp, $kind, $what);
        }
    }

    /** The wire of a part out of service holds nothing but the hand-over: the part is not to run. */
    public function forPart(Machine $locked, Entry $entry, Stamp $stamp, string $part, string $wire): void
    {
        $this->keep($this->tape->append($locked, EntryKind::PutBackOpened, $stamp, ['about' => $entry->at]), $stamp, PutBackKind::WireFreed, "{$this->phrases->common('put_back', PutBackKind::WireFreed->value)}: $part, $wire", []);
    }

    /** @throws Refusal for a kind that is not opened by hand */
    public function byHand(Machine $machine, Stamp $stamp, string $kind, string $where): Entry
    {
        $known = PutBackKind::tryFrom($kind);
        if ($known === null || ! $known->isOpenedByHand()) {
            $accepted = array_filter(PutBackKind::cases(), fn (PutBackKind $k): bool => $k->isOpenedByHand());
            throw Refusal::field('kind', $kind, implode(', ', array_map(fn (PutBackKind $k): string => $k->value, $accepted)));
        }

        return $this->tape->holding($machine, function (Machine $locked) use ($stamp, $known, $where): Entry {
            $entry = $this->tape->append($locked, EntryKind::PutBackOpened, $stamp);
            $this->keep($entry, $stamp, $known, "{$this->phrases->common('put_back', $known->value)}: $where");

            return $entry;
        });
    }

    /** @param list<int>|null $shuts other gates than the kind's own */
    private function keep(Entry $entry, Stamp $stamp, PutBackKind $kind, string $what, ?array $shuts = null): void
    {
        $entry->setRelation('opened', PutBack::query()->create([
            'machine_id' => $entry->machine_id, 'entry_id' => $entry->id, 'at' => $entry->at, 'kind' => $kind->value, 'what' => $what,
            'shuts' => $shuts ?? $kind->shuts(), 'limit_minutes' => $kind->limitMinutes(), 'holder_id' => $stamp->person->id,
        ]));
    }
}
