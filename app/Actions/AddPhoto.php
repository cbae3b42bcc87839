<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Entry;
use App\Models\EntryKind;
use App\Models\Machine;
use App\Records\PhotoStore;
use App\Records\Turns;
use App\Refusals\Refusal;
use App\Support\Stamp;

/** Puts a picture to an entry of the tape. */
final class AddPhoto
{
    private const AN_ENTRY = 6;
    private const A_MACHINE = 60;

    public function __construct(private readonly Tape $tape, private readonly PhotoStore $store, private readonly Turns $turns)
    {
    }

    /**
     * @param int $about the entry it belongs to
     * @param string $item of a list, where it belongs to one
     * @throws Refusal
     */
    public function add(Machine $machine, Stamp $stamp, string $photo, int $about, string $item, string $caption): Entry
    {
        $target = Entry::query()->where('machine_id', $machine->id)->where('at', $about)->first();
        if ($target === null || EntryKind::tryFrom($target->kind)?->mayHavePhotos() !== true) {
            throw Refusal::field('about', $about, 'the place of a reading, a list, a note or an entry of the put-back list on this machine\'s tape');
        }
        // One at a time for each person: whoever sends twenty at once holds no more than one worker.
        $kept = $this->turns->take("photo-of-{$stamp->person->id}", fn (): array => $this->store->keep($machine->company_id, $photo));

        return $this->tape->holding($machine, function (Machine $locked) use ($stamp, $about, $item, $caption, $kept): Entry {
            $photos = Entry::query()->where('machine_id', $locked->id)->where('kind', 'photo');
            if ((clone $photos)->where('about', $about)->count() >= self::AN_ENTRY || $photos->count() >= self::A_MACHINE) {
                throw Refusal::conflict('There are ' . self::AN_ENTRY . ' photos at most to an entry and ' . self::A_MACHINE . ' to a unit.');
            }

            return $this->tape->append($locked, EntryKind::Photo, $stamp, ['about' => $about, 'details' => $kept + array_filter(['item' => $item, 'caption' => trim($caption)], fn (string $v): bool => $v !== '')]);
        });
    }
}
