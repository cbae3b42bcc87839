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

/**
 * Takes a circuit or a compressor out of service, with a tag that says what, why, which wire and who; and back.
 *
 * A circuit takes its compressors along: each gets its own entry. Which fans stay off with it is said once, and kept.
 */
final class TakePartOut
{
    private const CIRCUIT = 'circuit:';

    public function __construct(
        private readonly Tape $tape,
        private readonly Standings $standings,
        private readonly Theirs $theirs,
        private readonly OpenPutBack $openPutBack,
        private readonly ClosePutBack $closePutBack,
    ) {
    }

    /**
     * @param list<string> $fans names of the fans that stay off with it
     * @throws Refusal for no part or fan of this machine, or a part that is out already
     */
    public function out(Machine $machine, Stamp $stamp, string $subject, string $why, string $wire, string $who, array $fans = []): Entry
    {
        return $this->tape->holding($machine, function (Machine $locked) use ($machine, $stamp, $subject, $why, $wire, $who, $fans): Entry {
            $locked->setRelation('job', $machine->job)->setRelation('sheet', $machine->sheet);
            $parts = Standings::parts($locked);
            if (! in_array($subject, $parts, true)) {
                throw Refusal::field('subject', $subject, implode(', ', $parts));
            }
            $sheet = Standings::sheet($locked);
            if ($fans !== [] && ! str_starts_with($subject, self::CIRCUIT)) {
                throw Refusal::field('fans', $fans, 'no fans: they stop with a circuit, not with one compressor');
            }
            foreach ($fans as $i => $fan) {
                if (! in_array($fan, $sheet->fans(), true)) {
                    throw Refusal::field("fans.$i", $fan, implode(', ', $sheet->fans()));
                }
            }
            $already = $this->standings->tape($locked)->disabled;
            if (isset($already[$subject])) {
                throw Refusal::already('This part is out of service already.', $this->theirs->last($locked->id, 'part_disabled', fn ($q) => $q->where('details->subject', $subject)));
            }
            $details = ['why' => trim($why), 'wire' => trim($wire), 'who' => trim($who)];
            $entry = $this->tag($locked, $stamp, $subject, $details, $fans);
            foreach (str_starts_with($subject, self::CIRCUIT) ? $sheet->motorsOf($subject) : [] as $compressor) {
                if (! isset($already["compressor:$compressor"])) {
                    $this->tag($locked, $stamp, "compressor:$compressor", $details, [], $entry->at);
                }
            }
            $this->openPutBack->forPart($locked, $entry, $stamp, self::name($subject), trim($wire));

            return $entry;
        });
    }

    /** @throws Refusal when it is in service */
    public function back(Machine $machine, Stamp $stamp, string $subject, string $word): Entry
    {
        return $this->tape->holding($machine, function (Machine $locked) use ($machine, $stamp, $subject, $word): Entry {
            $locked->setRelation('job', $machine->job)->setRelation('sheet', $machine->loadMissing('sheet')->sheet);
            $disabled = $this->standings->tape($locked)->disabled;
            if (! isset($disabled[$subject])) {
                throw Refusal::already('This part is in service.', $this->theirs->last($locked->id, 'part_enabled', fn ($q) => $q->where('details->subject', $subject)));
            }
            $along = str_starts_with($subject, self::CIRCUIT) ? array_map(fn (string $c): string => "compressor:$c", Standings::sheet($locked)->motorsOf($subject)) : [];
            $entry = $this->enable($locked, $stamp, $subject, $word);
            foreach ($along as $part) {
                if (isset($disabled[$part])) {
                    $this->enable($locked, $stamp, $part, $word);
                }
            }
            foreach ([$subject, ...$along] as $part) {
                if (isset($disabled[$part])) {
                    $this->closePutBack->ofPart($locked, $stamp, $disabled[$part]['entry'], trim($word));
                }
            }

            return $entry;
        });
    }

    /**
     * @param array<string, string> $details
     * @param list<string> $fans
     */
    private function tag(Machine $locked, Stamp $stamp, string $subject, array $details, array $fans, ?int $about = null): Entry
    {
        return $this->tape->append($locked, EntryKind::PartDisabled, $stamp, ['about' => $about, 'details' => [
            'subject' => $subject, 'what' => self::name($subject), 'part' => self::name($subject),
        ] + $details + ($fans === [] ? [] : ['fans' => $fans])]);
    }

    private function enable(Machine $locked, Stamp $stamp, string $subject, string $word): Entry
    {
        return $this->tape->append($locked, EntryKind::PartEnabled, $stamp, ['details' => ['subject' => $subject, 'part' => self::name($subject), 'word' => trim($word)]]);
    }

    /** "Compressor B" of compressor:B. */
    private static function name(string $subject): string
    {
        return ucfirst(strtr($subject, [':' => ' ']));
    }
}
