<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Entry;
use App\Models\EntryKind;
use App\Models\Machine;
use App\Queries\Standings;
use App\Queries\Theirs;
use App\Refusals\Refusal;
use App\Support\Stamp;

/** One asks whether the other is ready, and the other says so: nobody answers for somebody else. */
final class AskReady
{
    public function __construct(private readonly Tape $tape, private readonly Standings $standings, private readonly Theirs $theirs)
    {
    }

    public function ask(Machine $machine, Stamp $stamp, string $what): Entry
    {
        return $this->tape->holding($machine, fn (Machine $locked): Entry => $this->tape->append($locked, EntryKind::ReadyAsked, $stamp, ['details' => ['what' => trim($what)]]));
    }

    /** @throws Refusal when nothing is asked, it was answered, or it is the asker who answers */
    public function answer(Machine $machine, Stamp $stamp, int $asked, string $word): Entry
    {
        return $this->tape->holding($machine, function (Machine $locked) use ($machine, $stamp, $asked, $word): Entry {
            $locked->setRelation('job', $machine->job);
            $open = $this->standings->tape($locked)->asked;
            if ($open === null || $open['entry'] !== $asked) {
                throw Refusal::already('This was answered, or asked again, already.', $this->theirs->last($locked->id, $open === null ? 'ready_answered' : 'ready_asked'));
            }
            if ($open['user'] === $stamp->person->id) {
                throw Refusal::conflict('Whoever asks can\'t answer: it takes the other person\'s word.');
            }

            return $this->tape->append($locked, EntryKind::ReadyAnswered, $stamp, ['about' => $asked, 'details' => ['what' => $open['what'], 'word' => trim($word)]]);
        });
    }
}
