<?php

declare(strict_types=1);

namespace App\Actions;

use App\Http\Problems\Problem;
use App\Models\Entry;
use App\Models\Machine;
use App\Queries\Standings;
use App\Queries\Theirs;
use App\Support\Stamp;

/** Takes a circuit or a compressor out of service, with a tag that says what, why, which wire and who; and back. */
final class TakePartOut
{
    public function __construct(private readonly Tape $tape, private readonly Standings $standings, private readonly Theirs $theirs)
    {
    }

    /** @throws Problem for no part of this machine, or one that is out already */
    public function out(Machine $machine, Stamp $stamp, string $subject, string $why, string $wire, string $who): Entry
    {
        return $this->tape->holding($machine, function (Machine $locked) use ($machine, $stamp, $subject, $why, $wire, $who): Entry {
            $locked->setRelation('job', $machine->job)->setRelation('sheet', $machine->sheet);
            $parts = Standings::parts($locked);
            if (! in_array($subject, $parts, true)) {
                throw Problem::field('subject', $subject, implode(', ', $parts));
            }
            if (isset($this->standings->tape($locked)->disabled[$subject])) {
                throw Problem::already('This part is out of service already.', $this->theirs->last($locked->id, 'part_disabled', fn ($q) => $q->where('details->subject', $subject)));
            }

            return $this->tape->append($locked, 'part_disabled', $stamp, ['details' => [
                'subject' => $subject, 'what' => self::name($subject), 'part' => self::name($subject), 'why' => trim($why), 'wire' => trim($wire), 'who' => trim($who),
            ]]);
        });
    }

    /** @throws Problem when it is in service */
    public function back(Machine $machine, Stamp $stamp, string $subject, string $word): Entry
    {
        return $this->tape->holding($machine, function (Machine $locked) use ($machine, $stamp, $subject, $word): Entry {
            $locked->setRelation('job', $machine->job);
            if (! isset($this->standings->tape($locked)->disabled[$subject])) {
                throw Problem::already('This part is in service.', $this->theirs->last($locked->id, 'part_enabled', fn ($q) => $q->where('details->subject', $subject)));
            }

            return $this->tape->append($locked, 'part_enabled', $stamp, ['details' => ['subject' => $subject, 'part' => self::name($subject), 'word' => trim($word)]]);
        });
    }

    /** "Compressor B" of compressor:B. */
    private static function name(string $subject): string
    {
        return ucfirst(strtr($subject, [':' => ' ']));
    }
}
