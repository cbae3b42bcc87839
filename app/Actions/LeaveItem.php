<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Entry;
use App\Models\EntryKind;
use App\Models\Machine;
use App\Queries\Standings;
use App\Queries\Theirs;
use App\Refusals\Refusal;
use App\Support\Moment;
use App\Support\Stamp;
use IronStart\Core\Gate\CheckTable;
use IronStart\Core\Wording\Phrases;

/** What is left to be done by somebody, until when; a reading the season forbids may be one of them. */
final class LeaveItem
{
    public function __construct(private readonly Tape $tape, private readonly Standings $standings, private readonly Theirs $theirs, private readonly Phrases $phrases)
    {
    }

    /**
     * @param string $due a date, YYYY-MM-DD, or empty while nobody has it yet
     * @param string $check of the reading that waits for it, or empty
     * @throws Refusal
     */
    public function open(Machine $machine, Stamp $stamp, string $what, string $owner, string $due, string $check, string $subject): Entry
    {
        self::date($due, true);
        if ($check !== '' && CheckTable::gatesOf($check) === []) {
            throw Refusal::field('check', $check, implode(', ', CheckTable::checks()));
        }

        return $this->tape->holding($machine, fn (Machine $locked): Entry => $this->tape->append($locked, EntryKind::ItemOpened, $stamp, ['details' => [
            'what' => trim($what), 'owner' => trim($owner), 'due' => $due, 'check' => $check, 'subject' => $check === '' || $subject !== '' ? $subject : 'machine',
        ]]));
    }

    /** What a recording leaves for somebody: the same thing once. */
    public function forCheck(Machine $locked, Entry $entry, Stamp $stamp, string $kind, string $what): void
    {
        $words = $this->phrases->common('leaves', $kind) . ($what === '' ? '' : ": $what");
        $isThere = Entry::query()->where('machine_id', $locked->id)->where('kind', EntryKind::ItemOpened->value)->where('details->what', $words)->exists();
        if (! $isThere) {
            $this->tape->append($locked, EntryKind::ItemOpened, $stamp, ['about' => $entry->at, 'details' => ['what' => $words, 'owner' => '', 'due' => '', 'check' => '', 'subject' => '']]);
        }
    }

    /** What a recording settles is done: everything of a kind that was left. */
    public function settled(Machine $locked, Stamp $stamp, string $kind, int $by): void
    {
        $words = $this->phrases->common('leaves', $kind);
        $left = Entry::openItems()->where('entries.machine_id', $locked->id)
            ->where(fn ($query) => $query->where('entries.details->what', $words)->orWhere('entries.details->what', 'like', "$words: %"))
            ->orderBy('entries.at')->get();
        foreach ($left as $item) {
            $this->tape->append($locked, EntryKind::ItemDone, $stamp, ['about' => $item->at, 'details' => ['what' => $item->details['what'] ?? '', 'word' => $this->phrases->common('leaves', 'settled') . " $by"]]);
        }
    }

    /** @throws Refusal */
    public function own(Machine $machine, Stamp $stamp, int $item, string $owner, string $due): Entry
    {
        self::date($due, false);

        return $this->change($machine, $item, fn (Machine $locked, string $what): Entry => $this->tape->append($locked, EntryKind::ItemOwned, $stamp, ['about' => $item, 'details' => ['what' => $what, 'owner' => trim($owner), 'due' => $due]]));
    }

    /** @throws Refusal */
    public function done(Machine $machine, Stamp $stamp, int $item, string $word): Entry
    {
        return $this->change($machine, $item, fn (Machine $locked, string $what): Entry => $this->tape->append($locked, EntryKind::ItemDone, $stamp, ['about' => $item, 'details' => ['what' => $what, 'word' => $word]]));
    }

    /** @param \Closure(Machine, string): Entry $write */
    private function change(Machine $machine, int $item, \Closure $write): Entry
    {
        return $this->tape->holding($machine, function (Machine $locked) use ($machine, $item, $write): Entry {
            $locked->setRelation('job', $machine->job);
            $found = $this->standings->tape($locked)->items[$item] ?? throw Refusal::notFound();
            if ($found['done'] !== '') {
                throw Refusal::already('This was done already.', $this->theirs->last($locked->id, 'item_done', fn ($q) => $q->where('about', $item)));
            }

            return $write($locked, $found['what']);
        });
    }

    private static function date(string $due, bool $mayMiss): void
    {
        if (! ($mayMiss && $due === '') && ! Moment::isDay($due)) {
            throw Refusal::field('due', $due, 'a date, as YYYY-MM-DD');
        }
    }
}
