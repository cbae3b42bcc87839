<?php

declare(strict_types=1);

namespace App\Queries;

use IronStart\Core\Entry\PartFailed;
use IronStart\Core\Gate\CheckTable;
use IronStart\Core\Gate\Job;
use IronStart\Core\Gate\Recorded;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Wording\GateWords;

/**
 * What a machine's tape comes to: what was recorded, opened, put out of service, left to somebody, signed.
 *
 * Read from its entries in the order of their places in time; each one's rank in that order is the gates' `at`.
 */
final class TapeState
{
    /** The entries the gates look at. */
    public const KINDS = ['check', 'suspect', 'override', 'part_disabled', 'part_enabled', 'item_opened', 'item_owned', 'item_done', 'signed', 'supply_work', 'reviewed', 'ready_asked', 'ready_answered'];

    /** What failed, as it was written: the one thing of an input that a tape's state is made of. */
    public const FAILED = "CASE WHEN verdicts.check = 'entry.part_failed' THEN verdicts.input->>'what' END AS failed";

    /** What a signature must come after: everything that says something of the machine. */
    private const SAYS = ['check', 'override', 'part_disabled', 'part_enabled', 'item_opened', 'item_owned', 'item_done', 'supply_work', 'suspect'];

    /** @var list<Recorded> */
    public array $recorded = [];

    /** @var list<string> what failed, as it was written */
    public array $failed = [];

    /** @var list<array{gate: int, role: string, reason: string, at: float}> */
    public array $overrides = [];

    /** @var array<string, array{subject: string, what: string, why: string, wire: string, who: string, fans: list<string>, at: int, entry: int}> by subject, what is out of service */
    public array $disabled = [];

    /** @var array<string, array{role: string, at: int, entry: int}> the last of each role */
    public array $signatures = [];

    /** @var array<int, array{what: string, owner: string, due: string, check: string, subject: string, done: string}> by the entry that opened it */
    public array $items = [];

    public ?float $supplyChangedAt = null;

    /** @var array<int, true> gates with a reading that came too early for them */
    public array $tooEarly = [];

    /** The entry of the last review, and the last that arrived of those that say something of the machine. */
    public int $reviewed = 0;

    public int $lastSaid = 0;

    /** @var array{entry: int, user: int, what: string}|null a question nobody has answered yet */
    public ?array $asked = null;

    /** @var array<string, array{check: string, subject: string, headline: string, next: string}> the last words of each check and subject */
    public array $said = [];

    /** @param iterable<\stdClass> $rows in the order of their places */
    public static function from(iterable $rows): self
    {
        $state = new self();
        $rows = is_array($rows) ? $rows : iterator_to_array($rows);
        $suspects = [];
        foreach ($rows as $row) {
            if ($row->target_at !== null) {
                $suspects[$row->target_at] = true;
            }
        }
        $rank = 0;
        foreach ($rows as $row) {
            $state->take($row, ++$rank, isset($suspects[$row->at]));
        }

        return $state;
    }

    /** @return list<array{id: string, owned: bool, check: string, subject: string}> those nobody has done yet */
    public function openItems(): array
    {
        $open = [];
        foreach ($this->items as $id => $item) {
            if ($item['done'] === '') {
                $open[] = ['id' => (string) $id, 'owned' => $item['owner'] !== '' && $item['due'] !== '', 'check' => $item['check'], 'subject' => $item['subject'] === '' ? 'machine' : $item['subject']];
            }
        }

        return $open;
    }

    /**
     * The parts of a kind about which one of some checks was recorded, such as the indoor units that were sampled.
     *
     * @return list<string> names, each once
     */
    public function namedIn(string $kind, string ...$checks): array
    {
        $names = [];
        foreach ($this->recorded as $one) {
            $base = Recorded::baseOf($one->subject);
            if (! $one->suspect && in_array($one->check, $checks, true) && str_starts_with($base, "$kind:")) {
                $names[substr($base, strlen($kind) + 1)] = true;
            }
        }

        return array_map(strval(...), array_keys($names));
    }

    /**
     * The compressors that are new on this job: those that were matched, and, where compressors are what it changes,
     * those that failed.
     *
     * @param list<string> $compressors of the machine
     * @return list<string>
     */
    public function changed(array $compressors, bool $isChange): array
    {
        return [...($isChange ? PartFailed::compressors($this->failed, $compressors) : []), ...$this->namedIn('compressor', 'compressor.match')];
    }

    /** @return array<string, array{subject: string, complete: bool, at: float}> tags as the gates take them */
    public function disabled(): array
    {
        return array_map(fn (array $d): array => ['subject' => $d['subject'], 'complete' => $d['why'] !== '' && $d['wire'] !== '' && $d['who'] !== '', 'at' => (float) $d['at']], $this->disabled);
    }

    /**
     * As job.gates takes them. A signature is for what lay before the person: an entry that arrived since, wherever
     * it stands in time, was not among it.
     *
     * @return list<array{role: string, at: float}>
     */
    public function signatures(): array
    {
        return array_values(array_map(fn (array $s): array => ['role' => $s['role'], 'at' => $s['entry'] > $this->lastSaid ? (float) $s['at'] : 0.0], $this->signatures));
    }

    public function isReviewed(): bool
    {
        return $this->reviewed > $this->lastSaid;
    }

    /** @param array<array-key, string> $putBack what is out, by the id of its entry */
    public function words(Job $job, array $putBack): GateWords
    {
        $items = $deferred = $headlines = $next = [];
        foreach ($this->said as $said) {
            $name = "{$said['check']}:{$job->plain($said['check'], $said['subject'])}";
            [$headlines[$name], $next[$name]] = [$said['headline'], $said['next']];
        }
        foreach ($this->items as $id => $item) {
            if ($item['done'] !== '') {
                continue;
            }
            $items[(string) $id] = $item['what'];
            if ($item['check'] !== '' && $item['owner'] !== '' && $item['due'] !== '') {
                $deferred[] = ['check' => $item['check'], 'words' => "{$item['what']} ({$item['owner']}, {$item['due']})"];
            }
        }

        return new GateWords(
            $headlines,
            $putBack,
            $items,
            $deferred,
            array_values(array_map(fn (array $part): string => "{$part['what']}: {$part['why']}", $this->disabled)),
            array_filter($next, fn (string $n): bool => $n !== ''),
        );
    }

    private function take(\stdClass $row, int $rank, bool $suspect): void
    {
        if (in_array($row->kind, self::SAYS, true)) {
            $this->lastSaid = max($this->lastSaid, $row->at);
        }
        match ($row->kind) {
            'check' => $this->check($row, $rank, $suspect),
            'override' => $this->overrides[] = ['gate' => $row->gate, 'role' => $row->role, 'reason' => $row->reason, 'at' => (float) $rank],
            'supply_work' => $this->supplyChangedAt = (float) $rank,
            'reviewed' => $this->reviewed = $row->at,
            default => $this->other($row, $rank),
        };
    }

    private function check(\stdClass $row, int $rank, bool $suspect): void
    {
        if (! $suspect && $row->failed !== null) {
            $this->failed[] = $row->failed;
        }
        if (! CheckTable::has($row->check)) {
            return;
        }
        $this->recorded[] = new Recorded($row->check, $row->subject, Status::from($row->status), array_values((array) json_decode($row->codes, true)), (float) $rank, $suspect);
        foreach ($suspect ? [] : (array) json_decode($row->out_of_order ?? '[]', true) as $gate) {
            $this->tooEarly[(int) $gate] = true;
        }
        if (! $suspect) {
            $this->said["$row->check:$row->subject"] = ['check' => $row->check, 'subject' => $row->subject, 'headline' => (string) $row->headline, 'next' => (string) $row->next];
        }
    }

    private function other(\stdClass $row, int $rank): void
    {
        $details = json_decode($row->details ?? '{}', true);
        $told = fn (string $name): string => is_string($details[$name] ?? null) ? $details[$name] : '';
        match ($row->kind) {
            'part_disabled' => $this->disabled[$told('subject')] = ['subject' => $told('subject'), 'what' => $told('what'), 'why' => $told('why'), 'wire' => $told('wire'), 'who' => $told('who'), 'fans' => array_values(array_filter((array) ($details['fans'] ?? []), is_string(...))), 'at' => $rank, 'entry' => $row->at],
            'part_enabled' => $this->enable($told('subject')),
            'item_opened' => $this->items[$row->at] = ['what' => $told('what'), 'owner' => $told('owner'), 'due' => $told('due'), 'check' => $told('check'), 'subject' => $told('subject'), 'done' => ''],
            'item_owned' => $this->change($row->about, ['owner' => $told('owner'), 'due' => $told('due')]),
            'item_done' => $this->change($row->about, ['done' => $told('word')]),
            'signed' => $this->signatures[$told('role')] = ['role' => $told('role'), 'at' => $rank, 'entry' => $row->at],
            'ready_asked' => $this->asked = ['entry' => $row->at, 'user' => $row->user_id, 'what' => $told('what')],
            'ready_answered' => $this->asked = null,
            default => null,
        };
    }

    private function enable(string $subject): void
    {
        unset($this->disabled[$subject]);
    }

    /** @param array<string, string> $to */
    private function change(?int $item, array $to): void
    {
        if ($item !== null && isset($this->items[$item])) {
            $this->items[$item] = array_merge($this->items[$item], $to);
        }
    }
}
