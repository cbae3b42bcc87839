<?php

declare(strict_types=1);

namespace IronStart\Core\Gate;

use IronStart\Core\Verdict\Status;

/**
 * The states of the twelve gates on one job at one moment.
 *
 * What stands is folded by the Ledger, what is asked by Asked, what is out of service by OutOfService; here they
 * are held against each other, gate by gate.
 */
final class Evaluation
{
    /** Gate => the gates it needs. Controls needs Run on a VRF. */
    public const NEEDS = [4 => [2], 5 => [4], 6 => [5], 8 => [5, 6, 7], 9 => [8], 10 => [8], 11 => [7], 12 => [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11]];
    private const POWER = 7;
    private const RUN = 8;
    private const HAND_OVER = 12;
    private const REASON_LENGTH = 10;
    /** In Run they come before the run and do not speak for it. */
    private const BEFORE_THE_RUN = ['run.standing_pressure' => 0, 'run.warm_up' => 1, 'vrf.warm_up' => 1, 'list.prestart' => 2];
    private const LEAVES_MOTORS_OUT = ['power.rotation', 'power.running_amps'];

    /** @var array<int, GateState> */
    public array $gates;
    public ?int $current = null;

    private readonly Ledger $ledger;
    private readonly OutOfService $out;
    /** @var array<int, list<float>> times of the valid overrides by gate */
    private array $valid = [];
    /** @var array<int, list<Row>> of the gates on the job */
    private array $rows = [];
    /** @var array<int, list<Recorded>> standing stops by gate, contained ones left out */
    private array $stops = [];
    /** @var array<string, list<int>> */
    private array $belongs = [];
    /** @var array<int, bool> a part waived, contained or deferred, or a motor left out */
    private array $lessened = [];
    /** @var array<int, list<array{Row, string, list<Recorded>}>> rows that are met, by which check, with its verdicts */
    private array $met = [];
    /** @var array<int, list<Row>> rows neither met nor waived, though a stop holds them */
    private array $unmet = [];

    /** @param list<Recorded> $records subjects made plain */
    public function __construct(private readonly Job $job, private readonly array $records, private readonly GateInput $given)
    {
        $gates = [];
        for ($gate = 1; $gate <= self::HAND_OVER; $gate++) {
            $gates[$gate] = new GateState($gate, in_array($gate, $job->gates, true), $job->whyNot($gate));
        }
        $this->gates = $gates;
        // Whether an override of Power is valid hangs on what stands, and what is stale on the override:
        // the standing itself hangs on neither.
        $first = new Ledger($records, $given->supplyChangedAt, []);
        $this->out = new OutOfService($given->disabled, $job, $first);
        $this->sortStops($first);
        $this->findOverrides();
        $this->ledger = isset($this->valid[self::POWER]) ? new Ledger($records, $given->supplyChangedAt, $this->valid[self::POWER]) : $first;
        $this->findRows();
        $this->decide();
    }

    public function isMet(int $gate): bool
    {
        return $this->gates[$gate]->isMet();
    }

    /** @return list<int> */
    public static function needs(int $gate, Job $job): array
    {
        return $gate === 11 && $job->isVrf() ? [self::RUN] : (self::NEEDS[$gate] ?? []);
    }

    /** @return list<int> the gates an entry belongs to */
    public function gatesOf(Recorded $entry): array
    {
        return $this->belongs["$entry->check:$entry->base"] ??= CheckTable::belongs($entry->check, $entry->base, $this->job->gates, $this->job->isCompressorChange());
    }

    private function sortStops(Ledger $ledger): void
    {
        foreach ($ledger->standing as $entry) {
            if (! $entry->stops() || $ledger->isMended($entry)) {
                continue;
            }
            foreach ($this->gatesOf($entry) as $gate) {
                if ($this->out->contains($entry)) {
                    $this->lessened[$gate] = true;
                } else {
                    $this->stops[$gate][] = $entry;
                }
            }
        }
        foreach ($this->stops as $gate => $entries) {
            usort($entries, fn (Recorded $a, Recorded $b): int => [$b->dangers() !== [], $b->at, $a->name] <=> [$a->dangers() !== [], $a->at, $b->name]);
            $this->stops[$gate] = $entries;
        }
    }

    private function findOverrides(): void
    {
        foreach ($this->given->overrides as $override) {
            $gate = $override['gate'];
            $dangers = $gate === self::RUN ? $this->hasDanger() : $this->hasDanger($gate);
            $valid = $override['role'] === 'lead' && ! $dangers
                && mb_strlen(trim($override['reason'], " \t\r\n")) >= self::REASON_LENGTH;
            if ($valid) {
                $this->valid[$gate][] = $override['at'];
            } elseif ($this->gates[$gate]->isOnJob || isset($this->stops[$gate])) {
                $this->gates[$gate]->overrideRefused = true;
            }
        }
    }

    /** Whether a stop nobody may override stands, in a gate or anywhere. */
    private function hasDanger(?int $gate = null): bool
    {
        foreach ($gate === null ? $this->stops : [$gate => $this->stops[$gate] ?? []] as $entries) {
            foreach ($entries as $entry) {
                if ($entry->dangers() !== []) {
                    return true;
                }
            }
        }

        return false;
    }

    private function findRows(): void
    {
        $recover = array_filter($this->ledger->of('refrigerant.way_out'), fn (Recorded $e): bool => $e->says('recover'));
        $ranBackwards = $this->ledger->everSaid('power.rotation', 'after_reversal') || $this->ledger->everSaid('run.first_start', 'ran_backwards');
        $asked = new Asked($this->job, $recover !== [], $ranBackwards);
        foreach ($this->job->gates as $gate) {
            $this->rows[$gate] = $asked->rows($gate);
        }
        $mended = array_map(fn (Recorded $e): array => [$e->check, $e->subject], $this->ledger->mended());
        $doubted = array_filter($this->ledger->doubtedDangers(), fn (array $d): bool => $this->job->owns($d[1]));
        foreach ([$mended, $doubted] as $added) {
            sort($added);
            foreach ($added as [$check, $subject]) {
                $this->addRow($check, $subject);
            }
        }
    }

    private function addRow(string $check, string $subject): void
    {
        $base = Recorded::baseOf($subject);
        foreach (CheckTable::belongs($check, $base, $this->job->gates, $this->job->isCompressorChange()) as $gate) {
            $there = array_filter($this->rows[$gate] ?? [], fn (Row $row): bool => in_array($check, $row->checks, true) && ($row->subject === $subject || $row->subject === $base));
            if (isset($this->rows[$gate]) && $there === []) {
                $this->rows[$gate][] = new Row([$check], $subject);
            }
        }
    }

    private function decide(): void
    {
        foreach ($this->rows as $gate => $rows) {
            foreach ($rows as $row) {
                if ($this->isMissing($row, $gate)) {
                    $this->gates[$gate]->missing[] = Missing::row($row);
                }
            }
        }
        if ($this->gates[self::HAND_OVER]->isOnJob) {
            $this->gates[self::HAND_OVER]->missing = [...$this->gates[self::HAND_OVER]->missing, ...$this->given->owed($this->records)];
        }
        $started = [];
        foreach ($this->records as $entry) {
            if (! $entry->suspect) {
                $started[$this->gatesOf($entry)[0] ?? 0] = true;
            }
        }
        // Rising, since whether a gate is shut hangs on the gates before it; `current` is known only afterwards.
        foreach ($this->gates as $n => $gate) {
            $this->sortCovered($gate);
            $gate->shut = $gate->isOnJob && $this->isShut($n);
            $gate->state = match (true) {
                $gate->stopped !== [] => GateState::STOPPED,
                ! $gate->isOnJob => $gate->covered === [] ? GateState::NOT_ON_JOB : GateState::OVERRIDDEN,
                $gate->missing !== [] || $this->isHeld($n) || $gate->shut => GateState::NOT_YET,
                default => $gate->covered === [] ? GateState::ANSWERED : GateState::OVERRIDDEN,
            };
        }
        $this->current = $this->findCurrent();
        foreach ($this->gates as $n => $gate) {
            if ($gate->state === GateState::NOT_YET && ($n === $this->current || isset($started[$n]))) {
                $gate->state = GateState::ASKING;
            }
        }
    }

    /** A row that is neither met nor waived, though it misses nothing: a stop of another gate holds it. */
    private function isHeld(int $gate): bool
    {
        return ($this->unmet[$gate] ?? []) !== [];
    }

    private function sortCovered(GateState $gate): void
    {
        foreach ($this->stops[$gate->gate] ?? [] as $entry) {
            if ($this->isCovered($entry, $gate->gate)) {
                $gate->covered[] = $entry;
            } else {
                $gate->stopped[] = $entry;
            }
        }
        foreach ($this->met[$gate->gate] ?? [] as [, , $entries]) {
            foreach ($entries as $entry) {
                if (! $entry->stops() && $entry->isUnproved() && $this->isCovered($entry, $gate->gate)) {
                    $gate->covered[] = $entry;
                }
            }
        }
    }

    private function isCovered(Recorded $entry, int $gate): bool
    {
        foreach ($this->valid[$gate] ?? [] as $at) {
            if ($entry->at < $at) {
                return true;
            }
        }

        return false;
    }

    private function isShut(int $gate): bool
    {
        foreach (self::needs($gate, $this->job) as $need) {
            if (! $this->gates[$need]->isMet()) {
                return true;
            }
        }
        foreach ($this->given->putBack as $entry) {
            if (! $entry['closed'] && in_array($gate, $entry['shuts'], true)) {
                return true;
            }
        }

        return $gate === self::RUN && $this->hasDanger();
    }

    private function findCurrent(): ?int
    {
        $open = array_filter($this->gates, fn (GateState $g): bool => in_array($g->state, [GateState::NOT_YET, GateState::STOPPED], true));
        foreach ($open as $n => $gate) {
            if ($this->hasDanger($n)) {
                return $n;
            }
        }
        foreach ($open as $n => $gate) {
            if (! $gate->shut) {
                return $n;
            }
        }

        return array_key_first($open);
    }

    /** Neither met, waived, deferred nor held by a stop. */
    private function isMissing(Row $row, int $gate): bool
    {
        if ($this->out->has($row->subject)) {
            $this->lessened[$gate] = true;

            return false;
        }
        $held = false;
        $meeting = null;
        foreach ($row->checks as $check) {
            $about = $this->ledger->about($check, $row->subject);
            $answer = $this->answer($about, $row, $gate);
            $held = $held || $answer === 'held';
            if ($answer === 'met') {
                // Of two that will do the first that is clear speaks, else the first watch, else the first covered.
                $rank = $this->rank($about, $gate);
                $meeting = $meeting === null || $rank < $meeting[0] ? [$rank, $check, $about] : $meeting;
            }
        }
        if ($meeting !== null) {
            $this->met[$gate][] = [$row, $meeting[1], $meeting[2]];
            if (in_array($meeting[1], self::LEAVES_MOTORS_OUT, true) && array_filter($meeting[2], fn (Recorded $e): bool => $e->says('out')) !== []) {
                $this->lessened[$gate] = true;
            }

            return false;
        }
        if (! $held && $this->isDeferred($row, $gate)) {
            $this->lessened[$gate] = true;

            return false;
        }
        $this->unmet[$gate][] = $row;
        if (! $held) {
            $this->gates[$gate]->stale = [...$this->gates[$gate]->stale, ...$this->staleOf($row, $gate)];
        }

        return ! $held;
    }

    /** @param list<Recorded> $about */
    private function rank(array $about, int $gate): int
    {
        $rank = 0;
        foreach ($about as $entry) {
            $covered = ($entry->stops() || $entry->isUnproved()) && $this->isCovered($entry, $gate);
            $rank = max($rank, $covered ? 2 : ($entry->status === Status::Watch ? 1 : 0));
        }

        return $rank;
    }

    /**
     * @param list<Recorded> $about what stands of one check about the row's subject and its parts
     * @return 'met'|'held'|'missing'
     */
    private function answer(array $about, Row $row, int $gate): string
    {
        $missing = $about === [];
        $held = false;
        foreach ($about as $entry) {
            if ($this->holds($entry, $gate)) {
                $held = true;
            } elseif (! $this->answers($entry, $row, $gate)) {
                $missing = true;
            }
        }

        return $held ? 'held' : ($missing ? 'missing' : 'met');
    }

    /** A stop that nobody covers: it says itself what it wants. */
    private function holds(Recorded $entry, int $gate): bool
    {
        return $entry->stops() && ! $this->ledger->isMended($entry) && ! $this->out->contains($entry) && ! $this->isCovered($entry, $gate);
    }

    /** Whether a verdict answers what a gate asks, or is covered there. */
    private function answers(Recorded $entry, Row $row, int $gate): bool
    {
        if ($this->ledger->isStale($entry, $gate) || $this->ledger->isMended($entry)) {
            return false;
        }
        if (($entry->stops() || $entry->isUnproved()) && $this->isCovered($entry, $gate)) {
            return true;
        }
        if ($entry->stops()) {
            return $this->out->contains($entry);
        }

        return $entry->passes() && ! $entry->isUnproved() && ! $this->ledger->isDoubted($entry) && $this->bears($entry, $row)
            && (! in_array($entry->check, self::LEAVES_MOTORS_OUT, true) || $this->out->excuses($entry));
    }

    private function bears(Recorded $entry, Row $row): bool
    {
        if ($row->without !== null && $entry->says($row->without)) {
            return false;
        }

        return $row->codes === [] || array_intersect($row->codes, $entry->codes) !== [];
    }

    /** @return list<Recorded> of a missing row what would stand, had nothing been done since */
    private function staleOf(Row $row, int $gate): array
    {
        $stale = [];
        foreach ($row->checks as $check) {
            foreach ($this->ledger->about($check, $row->subject) as $entry) {
                $wouldCount = $entry->passes() || ($entry->stops() && ! $this->ledger->isMended($entry) && $this->isCovered($entry, $gate));
                if ($wouldCount && $this->ledger->isStale($entry, $gate)) {
                    $stale[] = $entry;
                }
            }
        }

        return $stale;
    }

    private function isDeferred(Row $row, int $gate): bool
    {
        foreach ($this->given->openItems as $item) {
            if (! $item['owned'] || ! in_array($item['check'], $row->checks, true) || $this->job->plain($item['check'], $item['subject']) !== $row->subject) {
                continue;
            }
            $counts = $this->ledger->itself($item['check'], $row->subject);
            $open = $counts !== null && $counts->status === Status::Open && $counts->dangers() === [] && ! $this->ledger->isStale($counts, $gate) ? $counts : null;
            if (CheckTable::isDeferred($item['check'], $open)) {
                return true;
            }
        }

        return false;
    }

    /** Fills in what is told besides the states: conditions, flags, deciding verdicts, why it may not be started. */
    public function tell(): Result
    {
        $result = new Result($this->gates);
        $result->current = $this->current;
        $result->notLockedOut = $this->ledger->notLockedOut || $this->out->notLockedOut;
        $result->tagNotLockedOut = $this->out->notLockedOut && ! $this->ledger->notLockedOut;
        $result->tagsIncomplete = $this->out->incomplete;
        $result->allDisabled = $this->out->allDisabled;
        foreach ($this->gates as $n => $gate) {
            $gate->notOverridable = $this->hasDanger($n);
            $gate->deciding = $this->deciding($gate);
        }
        $this->findWatches();
        $this->findConditional();
        foreach ($this->given->putBack as $entry) {
            foreach ($entry['closed'] ? [] : $entry['shuts'] as $gate) {
                if ($this->gates[$gate]->isOnJob) {
                    $this->gates[$gate]->putBack[] = $entry['id'];
                }
            }
        }
        $result->startRefused = $this->startRefused();

        return $result;
    }

    private function findWatches(): void
    {
        foreach ($this->ledger->standing as $entry) {
            if ($entry->status !== Status::Watch || $entry->stops()) {
                continue;
            }
            foreach ($this->gatesOf($entry) as $gate) {
                if ($this->gates[$gate]->isOnJob || isset($this->stops[$gate])) {
                    $this->gates[$gate]->watch = true;
                }
            }
        }
    }

    private function findConditional(): void
    {
        $any = false;
        foreach ($this->gates as $n => $gate) {
            $gate->conditional = $n !== self::HAND_OVER && $gate->isOnJob && $gate->isDone() && isset($this->lessened[$n]);
            $any = $any || $gate->conditional;
        }
        $explained = array_filter($this->given->putBack, fn (array $e): bool => ! $e['closed'] && $e['explained']);
        $last = $this->gates[self::HAND_OVER];
        $last->conditional = $last->isDone() && ($any || $this->out->isAny() || $explained !== []);
    }

    private function deciding(GateState $gate): ?Recorded
    {
        if ($gate->state !== GateState::STOPPED && ! $gate->isDone()) {
            return null;
        }
        $stops = $this->stops[$gate->gate] ?? [];
        if ($stops !== []) {
            return $stops[0];
        }
        $met = $this->met[$gate->gate] ?? [];
        usort($met, fn (array $a, array $b): int => self::speaks($a[1], $gate->gate) <=> self::speaks($b[1], $gate->gate));
        $entries = array_merge([], ...array_column($met, 2));
        $covered = array_filter($entries, fn (Recorded $e): bool => ($e->stops() || $e->isUnproved()) && $this->isCovered($e, $gate->gate));
        $by = fn (Status $status): array => array_filter($entries, fn (Recorded $e): bool => ! $e->stops() && $e->status === $status);

        return array_values([...$covered, ...$by(Status::Watch), ...$by(Status::Clear)])[0] ?? null;
    }

    /** The direction first; what comes before the run last. */
    private static function speaks(string $check, int $gate): int
    {
        return $check === 'power.rotation' ? -1 : ($gate === self::RUN ? (self::BEFORE_THE_RUN[$check] ?? -1) + 1 : 0);
    }

    /** @return list<Refusal> why nobody may start it now, in the order in which it is put right */
    private function startRefused(): array
    {
        $refused = [];
        foreach ([5, 6, 7] as $need) {
            if (! $this->isMet($need)) {
                $refused[] = new Refusal(Refusal::NEEDS, (string) $need);
            }
        }
        $held = array_filter($this->given->putBack, fn (array $e): bool => ! $e['closed'] && in_array(self::RUN, $e['shuts'], true));
        $ids = array_map(strval(...), array_column($held, 'id'));
        sort($ids, SORT_STRING);
        foreach ($ids as $id) {
            $refused[] = new Refusal(Refusal::PUT_BACK, $id);
        }
        if ($this->hasDanger()) {
            $refused[] = new Refusal(Refusal::DANGER);
        }
        $unmet = $this->unmet[self::RUN] ?? [];
        if (array_filter($unmet, fn (Row $row): bool => $row->checks === ['run.standing_pressure']) !== []) {
            $refused[] = new Refusal(Refusal::MISSING, 'run.standing_pressure');
        }

        return [...$refused, ...$this->warmUpRefused(), ...$this->prestartRefused()];
    }

    /** @return list<Refusal> */
    private function warmUpRefused(): array
    {
        if (! $this->job->isFirstStart() && ! $this->job->fact('warm_up')) {
            return [];
        }
        $row = new Row($this->job->isVrf() ? ['vrf.warm_up'] : ['run.warm_up', 'vrf.warm_up']);
        $newest = [];
        $stops = false;
        foreach ($row->checks as $check) {
            foreach ($this->ledger->of($check) as $entry) {
                $stops = $stops || $this->holds($entry, self::RUN);
            }
            $own = $this->ledger->itself($check, 'machine');
            if ($own !== null) {
                $newest[(string) $own->at][] = $own;
            }
        }
        $last = $newest === [] ? [] : $newest[(string) max(array_map(floatval(...), array_keys($newest)))];
        $warm = $last !== [] && array_filter($last, fn (Recorded $e): bool => ! $this->answers($e, $row, self::RUN)) === [];

        return $warm && ! $stops ? [] : [new Refusal(Refusal::MISSING, $this->job->isVrf() ? 'vrf.warm_up' : 'run.warm_up')];
    }

    /** @return list<Refusal> */
    private function prestartRefused(): array
    {
        $own = $this->ledger->itself('list.prestart', 'machine');
        $stops = array_filter($this->ledger->of('list.prestart'), fn (Recorded $e): bool => $this->holds($e, self::RUN));
        $walked = $own !== null && ($own->passes() || ($own->stops() && ! $this->ledger->isMended($own) && $this->isCovered($own, self::RUN)))
            && $own->at > $this->ledger->lastLockout() && ! $this->ledger->isStale($own, self::RUN) && ! ($own->passes() && $this->ledger->isDoubted($own));
        $stopped = $own !== null && in_array($own, $stops, true);

        return [
            ...($walked || $stopped ? [] : [new Refusal(Refusal::MISSING, 'list.prestart')]),
            ...($stops === [] ? [] : [new Refusal(Refusal::STOPPED, 'list.prestart')]),
        ];
    }
}
