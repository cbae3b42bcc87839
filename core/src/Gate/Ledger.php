<?php

declare(strict_types=1);

namespace IronStart\Core\Gate;

use IronStart\Core\Verdict\Status;

/**
 * Which verdict counts, of each check about each subject.
 *
 * A stop stands until a later clear or watch; an unfinished check lifts nothing. After a reversal no new
 * reading of the direction counts until a clear lockout lies between. What was done over is asked over.
 */
final class Ledger
{
    private const ALL_GATES = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12];
    /** A clear or watch about the second is also one about the first. */
    private const ALSO_ABOUT = ['old_disconnect' => 'machine', 'planned' => 'built'];

    /** @var array<string, Recorded> what stands, by check and subject */
    public readonly array $standing;
    /** @var array<string, list<Recorded>> the same, by check */
    private array $standingOf = [];
    /** A reading after a reversal was not taken, for want of a lockout between. */
    public readonly bool $notLockedOut;
    /** @var array<string, true> stops that only a start can disprove, locked out and walked again since */
    private array $mended = [];
    /** @var array<string, list<Recorded>> counted records by check */
    private array $byCheck = [];
    /** @var array<string, float> the last doubted stop by check and subject */
    private array $doubt = [];
    private ?float $directionProvedAt;

    /**
     * @param list<Recorded> $records     subjects made plain, in any order
     * @param list<float> $powerOpened times of the valid overrides of gate 7, rising
     */
    public function __construct(private readonly array $records, private readonly ?float $supplyChangedAt, array $powerOpened)
    {
        $groups = [];
        foreach ($records as $entry) {
            if ($entry->suspect) {
                if ($entry->stops()) {
                    $this->doubt[$entry->name] = max($entry->at, $this->doubt[$entry->name] ?? -INF);
                }
                continue;
            }
            $this->byCheck[$entry->check][] = $entry;
            $groups[$entry->name][] = $entry;
        }
        $groups = self::alsoAbout($groups);
        $standing = [];
        $refused = false;
        foreach ($groups as $name => $entries) {
            [$one, $unlocked] = $this->fold($entries);
            $refused = $refused || $unlocked;
            if ($one !== null) {
                $standing[$name] = $one;
            }
        }
        $this->standing = $standing;
        foreach ($standing as $entry) {
            $this->standingOf[$entry->check][] = $entry;
        }
        $this->notLockedOut = $refused;
        $this->directionProvedAt = $this->directionProvedAt($groups, $powerOpened);
        $this->findMended();
    }

    /**
     * @return list<Recorded> what stands about a subject and its parts: itself first, then its parts by name
     */
    public function about(string $check, string $subject): array
    {
        $found = [];
        foreach ($this->standingOf[$check] ?? [] as $entry) {
            if ($entry->subject === $subject || str_starts_with($entry->subject, "$subject/")) {
                $found[] = $entry;
            }
        }
        if (count($found) > 1) {
            usort($found, fn (Recorded $a, Recorded $b): int => strcmp($a->subject, $b->subject));
        }

        return $found;
    }

    /** What stands of a check about a subject itself. */
    public function itself(string $check, string $subject): ?Recorded
    {
        return $this->standing["$check:$subject"] ?? null;
    }

    /** @return list<Recorded> what stands of a check, about anything */
    public function of(string $check): array
    {
        return $this->standingOf[$check] ?? [];
    }

    /** Whether any counted record of a check ever bore a code. */
    public function everSaid(string $check, string $code): bool
    {
        foreach ($this->byCheck[$check] ?? [] as $entry) {
            if ($entry->says($code)) {
                return true;
            }
        }

        return false;
    }

    public function isMended(Recorded $entry): bool
    {
        return isset($this->mended[$entry->name]);
    }

    /** A clear or watch not later than a stop that was doubted is no all-clear. */
    public function isDoubted(Recorded $entry): bool
    {
        return $entry->at <= ($this->doubt[$entry->name] ?? -INF);
    }

    /**
     * Doubted stops of a kind nobody may override, with nothing but unfinished checks since.
     *
     * @return list<array{0: string, 1: string}> check and subject
     */
    public function doubtedDangers(): array
    {
        $found = [];
        foreach ($this->records as $entry) {
            if (! $entry->suspect || $entry->dangers() === []) {
                continue;
            }
            $since = array_filter($this->byCheck[$entry->check] ?? [], fn (Recorded $e): bool => $e->subject === $entry->subject && $e->at > $entry->at && $e->status !== Status::Open);
            if ($since === []) {
                $found[$entry->name] = [$entry->check, $entry->subject];
            }
        }

        return array_values($found);
    }

    /** @return list<Recorded> standing stops that only a start can disprove, locked out and walked again since */
    public function mended(): array
    {
        return array_values(array_filter($this->standing, $this->isMended(...)));
    }

    /** Whether something done since has made it worthless to a gate. */
    public function isStale(Recorded $entry, int $gate): bool
    {
        foreach (CheckTable::undoneBy($entry->check) as $check) {
            foreach ($this->byCheck[$check] ?? [] as $later) {
                if ($entry->at <= $later->at && self::sameCircuit($entry, $later)) {
                    return true;
                }
            }
        }
        if ($this->supplyChangedAt !== null && $entry->at <= $this->supplyChangedAt && $entry->base !== 'old_disconnect' && CheckTable::hangsOnSupply($entry->check)) {
            return true;
        }

        return $this->directionProvedAt !== null && $entry->at <= $this->directionProvedAt && CheckTable::hangsOnDirection($entry->check, $entry->base, $gate);
    }

    /** The last clear lockout of the machine itself, -INF where there is none. */
    public function lastLockout(): float
    {
        $last = -INF;
        foreach ($this->byCheck['power.lockout'] ?? [] as $lockout) {
            if ($lockout->subject === 'machine' && $lockout->status === Status::Clear && ! $lockout->stops()) {
                $last = max($last, $lockout->at);
            }
        }

        return $last;
    }

    public function lockedOutBetween(float $after, float $before): bool
    {
        foreach ($this->byCheck['power.lockout'] ?? [] as $lockout) {
            if ($lockout->subject === 'machine' && $lockout->status === Status::Clear && ! $lockout->stops() && $lockout->at > $after && $lockout->at < $before) {
                return true;
            }
        }

        return false;
    }

    /** The last stop about a subject (or a part of it) before a moment, of whatever check. */
    public function lastStopAbout(callable $isAbout, float $before): float
    {
        $last = -INF;
        foreach ($this->byCheck as $entries) {
            foreach ($entries as $entry) {
                if ($entry->at < $before && $entry->stops() && $isAbout($entry->base)) {
                    $last = max($last, $entry->at);
                }
            }
        }

        return $last;
    }

    private static function sameCircuit(Recorded $a, Recorded $b): bool
    {
        $named = fn (Recorded $e): bool => str_starts_with($e->base, 'circuit:');

        return ! $named($a) || ! $named($b) || $a->base === $b->base;
    }

    /**
     * @param array<string, list<Recorded>> $groups
     * @return array<string, list<Recorded>>
     */
    private static function alsoAbout(array $groups): array
    {
        foreach ($groups as $entries) {
            foreach (self::ALSO_ABOUT as $other => $own) {
                if ($entries[0]->subject !== $own) {
                    continue;
                }
                $passing = array_filter($entries, fn (Recorded $e): bool => $e->passes());
                $also = array_map(fn (Recorded $e): Recorded => new Recorded($e->check, $other, $e->status, $e->codes, $e->at), array_values($passing));
                $name = "{$entries[0]->check}:$other";
                if ($also !== [] && (isset($groups[$name]) || self::namesIt($entries[0]->check, $other))) {
                    $groups[$name] = [...$groups[$name] ?? [], ...$also];
                }
            }
        }

        return $groups;
    }

    private static function namesIt(string $check, string $subject): bool
    {
        return CheckTable::belongs($check, $subject, self::ALL_GATES, false) !== CheckTable::belongs($check, 'machine', self::ALL_GATES, false);
    }

    /**
     * @param list<Recorded> $entries of one check about one subject
     * @return array{0: Recorded|null, 1: bool} what stands, and whether a reading was refused for want of a lockout
     */
    private function fold(array $entries): array
    {
        $stands = null;
        $dangers = [];
        $reversedAt = null;
        $refused = false;
        foreach (self::byTime($entries) as $entry) {
            if ($entry->stops()) {
                $dangers = [...$dangers, ...$entry->dangers()];
                $stands = new Recorded($entry->check, $entry->subject, Status::Stop, array_values(array_unique([...$entry->codes, ...$dangers])), $entry->at);
                if ($entry->check === 'power.rotation' && ($entry->says('supply_reversed') || $entry->says('load_reversed'))) {
                    [$reversedAt, $refused] = [$entry->at, false];
                }
                continue;
            }
            if ($reversedAt !== null && ! $this->lockedOutBetween($reversedAt, $entry->at)) {
                $refused = true;
                continue;
            }
            if ($entry->status !== Status::Open || $stands === null || ! $stands->stops()) {
                [$stands, $dangers] = [$entry, []];
                $reversedAt = $entry->passes() ? null : $reversedAt;
                $refused = $entry->passes() ? false : $refused;
            }
        }

        return [$stands, $refused];
    }

    /**
     * Rising by time; of the same moment the worst, its codes joined.
     *
     * @param list<Recorded> $entries
     * @return list<Recorded>
     */
    private static function byTime(array $entries): array
    {
        usort($entries, fn (Recorded $a, Recorded $b): int => $a->at <=> $b->at);
        $merged = [];
        foreach ($entries as $entry) {
            $last = end($merged);
            if ($last === false || $last->at !== $entry->at) {
                $merged[] = $entry;
                continue;
            }
            $worst = $last->stops() || $entry->stops() ? Status::Stop : $last->status->worse($entry->status);
            array_pop($merged);
            $merged[] = new Recorded($entry->check, $entry->subject, $worst, array_values(array_unique([...$last->codes, ...$entry->codes])), $entry->at);
        }

        return $merged;
    }

    /**
     * From when on the direction is proved, after the last stop about it: readings not later are stale.
     *
     * @param array<string, list<Recorded>> $groups
     * @param list<float> $powerOpened
     */
    private function directionProvedAt(array $groups, array $powerOpened): ?float
    {
        $latest = null;
        foreach ($groups as $name => $entries) {
            if ($entries[0]->check !== 'power.rotation') {
                continue;
            }
            $stops = array_filter($entries, fn (Recorded $e): bool => $e->stops());
            if ($stops === []) {
                continue;
            }
            $lastStop = max(array_map(fn (Recorded $e): float => $e->at, $stops));
            $still = $this->standing[$name] ?? null;
            $after = $still !== null && $still->stops() ? $powerOpened : $this->passingAfter($entries, $lastStop);
            $after = array_filter($after, fn (float $at): bool => $at > $lastStop);
            $latest = max($latest ?? -INF, $after === [] ? INF : min($after));
        }

        return $latest;
    }

    /**
     * @param list<Recorded> $entries
     * @return list<float> times of the clear and watch readings that count after a stop
     */
    private function passingAfter(array $entries, float $stop): array
    {
        $reversed = null;
        foreach ($entries as $entry) {
            if ($entry->stops() && ($entry->says('supply_reversed') || $entry->says('load_reversed'))) {
                $reversed = max($reversed ?? -INF, $entry->at);
            }
        }
        $found = [];
        foreach ($entries as $entry) {
            if ($entry->passes() && $entry->at > $stop && ($reversed === null || $this->lockedOutBetween($reversed, $entry->at))) {
                $found[] = $entry->at;
            }
        }

        return $found;
    }

    private function findMended(): void
    {
        foreach ($this->standing as $name => $entry) {
            if (! $entry->stops() || ! NeverOverridden::onlyAStartDisproves($entry->dangers())) {
                continue;
            }
            foreach ($this->byCheck['list.prestart'] ?? [] as $walk) {
                if ($walk->subject === 'machine' && $walk->passes() && $this->lockedOutBetween($entry->at, $walk->at)) {
                    $this->mended[$name] = true;
                }
            }
        }
    }
}
