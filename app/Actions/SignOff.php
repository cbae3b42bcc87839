<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Entry;
use App\Models\EntryKind;
use App\Models\Machine;
use App\Queries\Standing;
use App\Queries\Standings;
use App\Queries\Theirs;
use App\Refusals\Refusal;
use App\Support\Signature;
use App\Support\Stamp;
use IronStart\Core\Clock\ClockKind;
use IronStart\Core\Wording\GateLine;

/** Review and signatures. What is signed does not change: whatever comes after it is an addendum. */
final class SignOff
{
    private const HAND_OVER = 12;

    public function __construct(private readonly Tape $tape, private readonly Standings $standings, private readonly Theirs $theirs, private readonly RunClock $clock)
    {
    }

    /** The lead has read it all. */
    public function review(Machine $machine, Stamp $stamp, string $word, int $seen): Entry
    {
        return $this->tape->holding($machine, function (Machine $locked) use ($stamp, $word, $seen): Entry {
            $this->nothingNew($locked, $seen);

            return $this->tape->append($locked, EntryKind::Reviewed, $stamp, ['details' => ['word' => trim($word)]]);
        });
    }

    /**
     * @param 'starter'|'lead' $role as whom
     * @param int $seen the last place on the tape the person had read
     * @throws Refusal when something is missing, something new was written, it is signed already, or the lead has not reviewed it
     */
    public function sign(Machine $machine, Stamp $stamp, string $role, Signature $drawn, int $seen): Entry
    {
        return $this->tape->holding($machine, function (Machine $locked) use ($machine, $stamp, $role, $drawn, $seen): Entry {
            $locked->setRelation('job', $machine->job);
            $standing = $this->standings->ofOne($locked);
            $state = $standing->tape;
            $signed = $state->signatures[$role] ?? null;
            if ($signed !== null && $signed['entry'] > $state->lastSaid) {
                throw Refusal::already('Already signed as ' . ($role === 'lead' ? 'lead.' : 'start-up tech.'), $this->theirs->entry($locked->id, $signed['entry']));
            }
            $this->nothingNew($locked, $seen);
            self::nothingMissing($standing);
            if ($role === 'lead' && ! $state->isReviewed()) {
                throw Refusal::conflict('Review it before you sign: something was added since the last review.');
            }
            $entry = $this->tape->append($locked, EntryKind::Signed, $stamp, ['details' => [
                'role' => $role,
                'name' => $stamp->person->name,
                'strokes' => $drawn->strokes,
                'answers' => array_map(fn (GateLine $line): array => ['gate' => $line->gate, 'state' => $line->state, 'sentence' => $line->sentence, 'flags' => $line->flags], $standing->lines),
            ]]);
            $this->remindOfRegistration($locked, $machine, $stamp, $role, $state->signatures['starter'] ?? $state->signatures['lead'] ?? null);

            return $entry;
        });
    }

    private function nothingNew(Machine $locked, int $seen): void
    {
        if ($locked->last_at > $seen) {
            throw Refusal::already('Something was added since you opened this page. Look at it first.', $this->theirs->last($locked->id, ''));
        }
    }

    private static function nothingMissing(Standing $standing): void
    {
        $line = $standing->line(self::HAND_OVER);
        $missing = array_filter($line->missing, fn (array $m): bool => $m['check'] !== 'signature');
        if ($missing !== [] || $line->shut) {
            $reasons = [...array_map(fn (array $m): string => $m['todo'], array_values($missing)), ...($line->shut ? [$line->sentence] : [])];
            throw Refusal::notDone($line->sentence, $reasons);
        }
    }

    /**
     * With the second signature the days of the maker's warranty begin to count.
     *
     * @param array{role: string, at: int, entry: int}|null $other
     */
    private function remindOfRegistration(Machine $locked, Machine $machine, Stamp $stamp, string $role, ?array $other): void
    {
        $days = $machine->sheet->body['warranty']['registration_days'] ?? null;
        if ($other !== null && $other['role'] !== $role && is_int($days) && $days > 0) {
            $this->clock->begin($locked, $stamp, ClockKind::RegistrationDue, ClockKind::days($days));
        }
    }
}
