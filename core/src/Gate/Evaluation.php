<?php

declare(strict_types=1);

namespace IronStart\Core\Gate;

use IronStart\Core\Verdict\Status;

/**
 * The states of the twelve gates on one job at one moment.
 */
final class Evaluation
{
    /** Gate => the gates it needs. Obey needs Run on a VRF. */
    private const NEEDS = [4 => [2], 5 => [4], 6 => [5], 8 => [5, 6, 7], 9 => [8], 10 => [8], 11 => [7], 12 => [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11]];
    private const RUN = 8;
    private const HAND_OVER = 12;
    /** Watches that mean "not proved yet", by first word. */
    private const UNPROVED = [
        'not_a_proof', 'gas_left', 'above_finish', 'below_target', 'loss_unclear', 'gained', 'gauge_at_pump', 'still_rising',
        'too_coarse', 'dipped', 'too_cold', 'loose_limits', 'cold_pipes', 'area_unknown', 'flood_risk',
    ];
    private const SEASONAL = ['charge.state', 'air.split', 'air.mix', 'heat.electric', 'heat.gas_pressure', 'heat.gas_rate', 'heat.rise'];
    private const REASON_LENGTH = 10;

    /** @var array<int, string> */
    public array $state = [];
    /** @var array<int, list<string>> on the job only */
    public array $missing = [];
    /** @var array<int, string> check and subject */
    public array $deciding = [];
    /** @var list<int> */
    public array $shut = [];
    /** @var list<int> */
    public array $conditional = [];
    public ?int $current = null;
    /** @var array<string, true> */
    public array $codes = [];

    private readonly Ledger $ledger;
    /** @var array<int, list<float>> times of the valid overrides by gate */
    private array $valid = [];
    private readonly OutOfService $out;
    /** @var array<int, list<Row>> */
    private array $rows = [];
    /** @var array<int, list<Entry>> standing stops by gate, contained ones left out */
    private array $stops = [];
    /** @var array<string, list<int>> */
    private array $belongs = [];
    /** @var array<int, bool> a part waived, contained or deferred */
    private array $lessened = [];

    /** @param list<Entry> $records subjects made plain */
    public function __construct(private readonly Job $job, private readonly array $records, private readonly GateInput $given)
    {
        // Whether an override of Power is valid hangs on what stands, and what is stale on the override:
        // the standing itself hangs on neither.
        $first = new Ledger($records, $given->supplyChangedAt, []);
        $this->out = new OutOfService($given->disabled, $job, $first);
        $this->codes = $this->out->codes;
        $this->sortStops($first);
        $this->findOverrides();
        $this->ledger = isset($this->valid[7]) ? new Ledger($records, $given->supplyChangedAt, $this->valid[7]) : $first;
        if ($this->ledger->notLockedOut) {
            $this->codes['not_locked_out:7'] = true;
        }
        $this->findRows();
        $this->decide();
    }

    public function isMet(int $gate): bool
    {
        return ! in_array($gate, $this->job->gates, true) && ! $this->isStopped($gate) || in_array($this->state[$gate], ['answered', 'overridden'], true);
    }

    /** @return list<int> */
    public function needs(int $gate): array
    {
        return $gate === 11 && $this->job->isVrf() ? [self::RUN] : (self::NEEDS[$gate] ?? []);
    }

    /** @return list<int> the gates an entry belongs to */
    public function gatesOf(Entry $entry): array
    {
        return $this->belongs[$entry->name()] ??= Belonging::of($entry->check, $entry->subject, $this->job->gates);
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
            } elseif (in_array($gate, $this->job->gates, true) || isset($this->stops[$gate])) {
                $this->codes["override_refused:$gate"] = true;
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
        $recover = array_filter($this->ledger->about('refrigerant.way_out', 'machine'), fn (Entry $e): bool => $e->says('recover'));
        $reversal = array_filter($this->ledger->of('power.rotation'), fn (Entry $e): bool => $e->says('after_reversal'));
        $asked = new Asked($this->job, $recover !== [], $reversal !== []);
        foreach ($this->job->gates as $gate) {
            $this->rows[$gate] = $asked->rows($gate);
        }
        foreach ($this->ledger->standing as $entry) {
            if ($this->ledger->isMended($entry)) {
                $this->addRow($entry->check, $entry->subject);
            }
        }
        foreach ($this->ledger->doubtedDangers() as [$check, $subject]) {
            if ($this->job->owns($subject)) {
                $this->addRow($check, $subject);
            }
        }
    }

    private function addRow(string $check, string $subject): void
    {
        foreach (Belonging::of($check, $subject, $this->job->gates) as $gate) {
            $there = array_filter($this->rows[$gate] ?? [], fn (Row $row): bool => in_array($check, $row->checks, true)
                && ($row->subject === $subject || $row->subject === Entry::baseOf($subject)));
            if (isset($this->rows[$gate]) && $there === []) {
                $this->rows[$gate][] = new Row([$check], $subject);
            }
        }
    }

    private function decide(): void
    {
        foreach ($this->rows as $gate => $rows) {
            $this->missing[$gate] = [];
            foreach ($rows as $row) {
                if ($this->isMissing($row, $gate)) {
                    $this->missing[$gate][] = $row->name();
                }
            }
        }
        if (isset($this->missing[self::HAND_OVER])) {
            $this->missing[self::HAND_OVER] = [...$this->missing[self::HAND_OVER], ...Owed::atTheEnd($this->given, $this->records)];
        }
        $started = [];
        foreach ($this->records as $entry) {
            if (! $entry->suspect) {
                $started[$this->gatesOf($entry)[0] ?? 0] = true;
            }
        }
        // Rising, since a gate's shutness hangs on the gates before it; `current` is known only afterwards.
        $open = [];
        for ($gate = 1; $gate <= 12; $gate++) {
            $this->state[$gate] = $this->stateOf($gate);
            if ($this->isShut($gate) && in_array($gate, $this->job->gates, true)) {
                $this->shut[] = $gate;
                $this->state[$gate] = in_array($this->state[$gate], ['answered', 'overridden'], true) ? 'not_yet' : $this->state[$gate];
            }
            if ($this->state[$gate] === 'not_yet') {
                $open[] = $gate;
            }
        }
        $this->current = $this->findCurrent($open);
        foreach ($open as $gate) {
            if ($gate === $this->current || isset($started[$gate])) {
                $this->state[$gate] = 'asking';
            }
        }
    }

    /** Fills in what is told besides the states: conditions, codes, deciding verdicts. */
    public function tell(): self
    {
        $this->findConditional();
        $this->name();

        return $this;
    }

    private function stateOf(int $gate): string
    {
        if ($this->isStopped($gate)) {
            return 'stopped';
        }
        $covered = $this->coveredIn($gate);
        if (! in_array($gate, $this->job->gates, true)) {
            return ($this->stops[$gate] ?? []) === [] ? 'not_on_job' : 'overridden';
        }
        if ($this->missing[$gate] !== []) {
            return 'not_yet';
        }

        return $covered !== [] ? 'overridden' : 'answered';
    }

    private function isStopped(int $gate): bool
    {
        foreach ($this->stops[$gate] ?? [] as $entry) {
            if (! $this->isCovered($entry, $gate)) {
                return true;
            }
        }

        return false;
    }

    private function isCovered(Entry $entry, int $gate): bool
    {
        foreach ($this->valid[$gate] ?? [] as $at) {
            if ($entry->at < $at) {
                return true;
            }
        }

        return false;
    }

    /** @return list<Entry> stops and unproved watches of a gate that an override covers */
    private function coveredIn(int $gate): array
    {
        if (! isset($this->valid[$gate])) {
            return [];
        }
        $covered = array_filter($this->ledger->standing, fn (Entry $e): bool => in_array($gate, $this->gatesOf($e), true)
            && (($e->stops() && ! $this->ledger->isMended($e) && ! $this->out->contains($e)) || self::isUnproved($e))
            && $this->isCovered($e, $gate));

        return array_values($covered);
    }

    private static function isUnproved(Entry $entry): bool
    {
        foreach ($entry->status === Status::Watch ? $entry->codes : [] as $code) {
            if (in_array(strstr($code, ':', true) ?: $code, self::UNPROVED, true)) {
                return true;
            }
        }

        return false;
    }

    private function isShut(int $gate): bool
    {
        foreach ($this->needs($gate) as $need) {
            if (! $this->isMet($need)) {
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

    /** @param list<int> $open gates not done, of those not stopped */
    private function findCurrent(array $open): ?int
    {
        $notDone = [...$open, ...array_keys($this->state, 'stopped', true)];
        sort($notDone);
        foreach ($notDone as $gate) {
            if ($this->hasDanger($gate)) {
                return $gate;
            }
        }
        foreach ($notDone as $gate) {
            if (! in_array($gate, $this->shut, true)) {
                return $gate;
            }
        }

        return $notDone[0] ?? null;
    }

    /** Neither met, waived, deferred nor held by a stop. */
    private function isMissing(Row $row, int $gate): bool
    {
        if ($this->out->has($row->subject)) {
            $this->lessened[$gate] = true;

            return false;
        }
        $held = false;
        foreach ($row->checks as $check) {
            $answer = $this->answer($row, $check, $gate);
            if ($answer === 'met') {
                return false;
            }
            $held = $held || $answer === 'held';
        }
        if (! $held && $this->isDeferred($row)) {
            $this->lessened[$gate] = true;

            return false;
        }

        return ! $held;
    }

    /** @return 'met'|'held'|'missing' */
    private function answer(Row $row, string $check, int $gate): string
    {
        $about = $this->ledger->about($check, $row->subject);
        $missing = $about === [];
        $held = false;
        foreach ($about as $entry) {
            if ($entry->stops() && ! $this->ledger->isMended($entry) && ! $this->out->contains($entry) && ! $this->isCovered($entry, $gate)) {
                $held = true;
            } elseif (! $this->answers($entry, $row, $gate)) {
                $missing = true;
            }
        }

        return $held ? 'held' : ($missing ? 'missing' : 'met');
    }

    private function answers(Entry $entry, Row $row, int $gate): bool
    {
        if ($this->ledger->isStale($entry)) {
            $this->codes["stale:$gate:{$entry->name()}"] = true;

            return false;
        }
        if ($this->ledger->isMended($entry)) {
            return false;
        }
        if (($entry->stops() || self::isUnproved($entry)) && $this->isCovered($entry, $gate)) {
            return true;
        }
        if ($entry->stops()) {
            return $this->out->contains($entry);
        }

        return $entry->passes() && ! self::isUnproved($entry) && ! $this->ledger->isDoubted($entry) && $this->bears($entry, $row);
    }

    private function bears(Entry $entry, Row $row): bool
    {
        if ($row->without !== null && $entry->says($row->without)) {
            return false;
        }

        return $row->codes === [] || array_intersect($row->codes, $entry->codes) !== [];
    }

    private function isDeferred(Row $row): bool
    {
        foreach ($this->given->openItems as $item) {
            $subject = $item['subject'] === 'machine' ? ($this->job->onlyOne($item['check']) ?? 'machine') : $item['subject'];
            if ($item['owned'] && in_array($item['check'], self::SEASONAL, true) && in_array($item['check'], $row->checks, true) && $subject === $row->subject) {
                return true;
            }
        }

        return false;
    }

    private function findConditional(): void
    {
        $done = fn (int $gate): bool => in_array($this->state[$gate], ['answered', 'overridden'], true);
        foreach ($this->job->gates as $gate) {
            if ($gate !== self::HAND_OVER && $done($gate) && isset($this->lessened[$gate])) {
                $this->conditional[] = $gate;
            }
        }
        $explained = array_filter($this->given->putBack, fn (array $e): bool => ! $e['closed'] && $e['explained']);
        if ($done(self::HAND_OVER) && ($this->conditional !== [] || $this->out->isAny() || $explained !== [])) {
            $this->conditional[] = self::HAND_OVER;
        }
    }

    /** The codes and the deciding verdicts. */
    private function name(): void
    {
        foreach ($this->state as $gate => $state) {
            if ($state === 'asking' || $state === 'stopped') {
                foreach ($this->missing[$gate] ?? [] as $missing) {
                    $this->codes["needs:$gate:$missing"] = true;
                }
            }
            foreach ($this->stops[$gate] ?? [] as $entry) {
                $this->codes[($this->isCovered($entry, $gate) ? 'overridden' : 'stopped') . ":$gate:{$entry->name()}"] = true;
                if ($entry->dangers() !== []) {
                    $this->codes["not_overridable:$gate"] = true;
                }
            }
            foreach ($this->coveredIn($gate) as $entry) {
                $this->codes["overridden:$gate:{$entry->name()}"] = true;
            }
            $deciding = $this->decidingOf($gate, $state);
            if ($deciding !== null) {
                $this->deciding[$gate] = $deciding->name();
            }
        }
        foreach ($this->ledger->standing as $entry) {
            foreach ($entry->status === Status::Watch && ! $entry->stops() ? $this->gatesOf($entry) : [] as $gate) {
                $this->codes["watch:$gate"] = true;
            }
        }
        foreach ($this->given->putBack as $entry) {
            foreach ($entry['closed'] ? [] : $entry['shuts'] as $gate) {
                $this->codes["put_back:$gate:{$entry['id']}"] = true;
            }
        }
        foreach ($this->conditional as $gate) {
            $this->codes["conditional:$gate"] = true;
        }
    }

    private function decidingOf(int $gate, string $state): ?Entry
    {
        if ($state === 'stopped') {
            $stops = array_filter($this->stops[$gate] ?? [], fn (Entry $e): bool => ! $this->isCovered($e, $gate));
            usort($stops, fn (Entry $a, Entry $b): int => [$b->dangers() !== [], $b->at, $a->name()] <=> [$a->dangers() !== [], $a->at, $b->name()]);

            return $stops[0];
        }
        if ($state !== 'answered' && $state !== 'overridden') {
            return null;
        }
        $rows = [];
        foreach ($this->rows[$gate] ?? [] as $row) {
            foreach ($row->checks as $check) {
                $rows = [...$rows, ...$this->ledger->about($check, $row->subject)];
            }
        }
        $covered = array_filter([...$rows, ...$this->coveredIn($gate)], fn (Entry $e): bool => ($e->stops() || self::isUnproved($e)) && $this->isCovered($e, $gate));
        $by = fn (Status $status): array => array_filter($rows, fn (Entry $e): bool => ! $e->stops() && $e->status === $status);

        return array_values([...$covered, ...$by(Status::Watch), ...$by(Status::Clear)])[0] ?? null;
    }
}
