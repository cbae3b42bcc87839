<?php

declare(strict_types=1);

namespace IronStart\Core\Check;

/**
 * What was recorded on a machine before, as far as a later check draws on it: verdicts in the order of time (those
 * that were flagged left out), the last start, and what is out of service.
 *
 * @phpstan-type Recorded array{check: string, subject: string, status: string, codes: list<string>, input: array<string, mixed>, values: array<string, array{value: mixed, unit: string}>, at: int}
 */
final class Past
{
    /** Checks that another one draws on; the rest is never read. */
    public const DRAWN_ON = ['power.rotation', 'power.running_amps', 'power.voltage', 'power.supply_identity', 'power.circuit', 'power.lockout', 'compressor.windings', 'compressor.insulation', 'compressor.acid', 'compressor.match',
        'survey.curb_fit', 'survey.rigging', 'refrigerant.way_out', 'entry.flush', 'entry.joint', 'entry.lift_day', 'entry.hot_work', 'entry.hours', 'entry.swap', 'entry.first_step', 'entry.service_mode', 'entry.breaker_tripped', 'run.warm_up',
        'tight.hold', 'dry.log', 'dry.decay', 'charge.weigh_in', 'charge.trim', 'refrigerant.account', 'vrf.topology', 'vrf.addresses', 'vrf.warm_up', 'vrf.commission', 'vrf.run_plan', 'vrf.crossed_zones', 'vrf.charge'];
    /** What puts another plate in the place of the sheet's. */
    public const NEW_PLATE = 'compressor.match';
    private const PROOFS = ['compressor.windings' => 'windings', 'compressor.insulation' => 'insulation', 'compressor.acid' => 'oil_acid'];

    /** @var (\Closure(): self)|null reads it when somebody asks */
    private ?\Closure $unread = null;

    /**
     * @param list<Recorded> $recorded  rising by `at`
     * @param list<string>   $motorsOut names of motors that are out of service
     * @param int|null       $startedAt where the newest start lies; null where there was none
     * @param (\Closure(): (array{me: string, input: array<string, mixed>}|null))|null $feed what the machine hangs on, wherever that was told; `me` is its own name there
     */
    public function __construct(private array $recorded = [], private array $motorsOut = [], private ?int $startedAt = null, private ?\Closure $feed = null)
    {
    }

    /**
     * Read only when a check asks for something of it: most ask for nothing.
     *
     * @param \Closure(): self $read
     */
    public static function whenAsked(\Closure $read): self
    {
        $past = new self();
        $past->unread = $read;

        return $past;
    }

    /** @return list<string> names of motors that are out of service */
    public function motorsOut(): array
    {
        return $this->read()->motorsOut;
    }

    /**
     * The newest verdict of a check about a subject.
     *
     * @param int|null $before only what lies before this
     * @return Recorded|null
     * @throws \LogicException of one that nobody reads
     */
    public function last(string $check, string $subject, ?int $before = null): ?array
    {
        self::isRead($check);
        foreach (array_reverse($this->read()->recorded) as $one) {
            if ($one['check'] === $check && $one['subject'] === $subject && ($before === null || $one['at'] < $before)) {
                return $one;
            }
        }

        return null;
    }

    /**
     * The parts of which a check was recorded one by one, such as `circuit:A/line set`.
     *
     * @return list<string> subjects, each once
     */
    public function parts(string $check): array
    {
        self::isRead($check);
        $subjects = array_column(array_filter($this->read()->recorded, fn (array $one): bool => $one['check'] === $check && str_contains($one['subject'], '/')), 'subject');

        return array_values(array_unique($subjects));
    }

    /**
     * What was entered last about a subject, where that still waits for more: a hold that runs, a decay not read to its end.
     *
     * @param list<string> $names of what stands until it is done
     * @return array<string, mixed>
     */
    public function stillOpen(string $check, string $subject, array $names): array
    {
        $last = $this->last($check, $subject);

        return $last === null || $last['status'] !== 'open' ? [] : array_intersect_key($last['input'], array_flip($names));
    }

    /**
     * What was written last of each thing a check is about by name, such as the joints.
     *
     * @return list<array<string, mixed>> inputs
     */
    public function named(string $check): array
    {
        self::isRead($check);
        $named = [];
        foreach ($this->read()->recorded as $one) {
            if ($one['check'] === $check && is_string($one['input']['name'] ?? null)) {
                $named["{$one['subject']} {$one['input']['name']}"] = $one['input'];
            }
        }

        return array_values($named);
    }

    /**
     * What was written last of each thing that is told apart by more than one text, such as a start by its name and time.
     *
     * @return list<array<string, mixed>> inputs, each with those texts
     */
    public function eachOf(string $check, string ...$texts): array
    {
        self::isRead($check);
        $each = [];
        foreach ($this->read()->recorded as $one) {
            $told = array_filter(array_map(fn (string $text): mixed => $one['input'][$text] ?? null, $texts), is_string(...));
            if ($one['check'] === $check && count($told) === count($texts)) {
                $each[implode("\n", $told)] = $one['input'];
            }
        }

        return array_values($each);
    }

    /**
     * All that was recorded of some checks, in the order of time.
     *
     * @return list<Recorded>
     * @throws \LogicException of one that nobody reads
     */
    public function inOrder(string ...$checks): array
    {
        foreach ($checks as $check) {
            self::isRead($check);
        }

        return array_values(array_filter($this->read()->recorded, fn (array $one): bool => in_array($one['check'], $checks, true)));
    }

    /** A value of the newest verdict of a check about a subject; null where there is none. */
    public function value(string $check, string $subject, string $name): mixed
    {
        return $this->last($check, $subject)['values'][$name]['value'] ?? null;
    }

    /**
     * The average of the pairs with nothing running: of the newest voltage about the machine, not loaded, before the
     * newest start. A loaded reading is never it.
     *
     * @return float|null V
     */
    public function standingAverage(): ?float
    {
        $startedAt = $this->read()->startedAt;
        foreach (array_reverse($this->read()->recorded) as $one) {
            if ($one['check'] === 'power.voltage' && $one['subject'] === 'machine' && ($one['input']['loaded'] ?? false) !== true
                && ($startedAt === null || $one['at'] < $startedAt)) {
                $average = $one['values']['average']['value'] ?? null;

                return is_numeric($average) ? (float) $average : null;
            }
        }

        return null;
    }

    /**
     * The circuit of the machine as it was checked last.
     *
     * @return array<string, mixed> `usable` and `breaker`, where they are known
     */
    public function circuit(): array
    {
        $usable = $this->value('power.circuit', 'machine', 'usable_ampacity');

        return array_filter([
            'usable' => is_numeric($usable) ? ['value' => (float) $usable, 'unit' => 'A'] : null,
            'breaker' => $this->last('power.circuit', 'machine')['input']['breaker'] ?? null,
        ], fn (mixed $one): bool => $one !== null);
    }

    /**
     * The feeder the machine hangs on, as it was told last.
     *
     * @return array{me: string, input: array<string, mixed>}|null `me` is the machine's own name among its items
     */
    public function feed(): ?array
    {
        $feed = $this->read()->feed;

        return $feed === null ? null : $feed();
    }

    /**
     * The plates of compressors that came new into the machine, as each was matched last. Where the match was a stop
     * nothing runs before somebody stands for it, and then it is this one.
     *
     * @return array<string, array<array-key, mixed>> by name, as they were read
     */
    public function newCompressors(): array
    {
        $plates = [];
        foreach ($this->read()->recorded as $one) {
            if ($one['check'] === self::NEW_PLATE && $one['status'] !== 'open' && is_array($one['input']['new'] ?? null) && str_starts_with($one['subject'], 'compressor:')) {
                $plates[substr($one['subject'], strlen('compressor:'))] = $one['input']['new'];
            }
        }

        return $plates;
    }

    /**
     * How long each compressor ran backwards, as it was told last.
     *
     * @return array<string, mixed> a time as it was read, by name
     */
    public function toldBackwards(): array
    {
        $told = [];
        foreach ($this->read()->recorded as $one) {
            foreach ($one['check'] === 'power.rotation' && is_array($one['input']['loads'] ?? null) ? $one['input']['loads'] : [] as $load) {
                if (is_string($load['name'] ?? null) && isset($load['hours_backwards'])) {
                    $told[$load['name']] = $load['hours_backwards'];
                }
            }
        }

        return $told;
    }

    /**
     * What has been proved on each compressor since the machine was last found reversed.
     *
     * @return array<string, list<string>> by name
     */
    public function provedSinceReversal(): array
    {
        $found = [];
        foreach ($this->read()->recorded as $one) {
            if ($one['check'] === 'power.rotation') {
                $reversed = array_filter($one['codes'], fn (string $code): bool => $code === 'supply_reversed' || str_starts_with($code, 'load_reversed:'));
                $found = $reversed === [] ? $found : [];
            } elseif (! in_array($one['status'], ['clear', 'watch'], true)) {
                continue;
            } elseif ($one['check'] === 'power.running_amps') {
                foreach (is_array($one['input']['loads'] ?? null) ? $one['input']['loads'] : [] as $load) {
                    $found[is_string($load['name'] ?? null) ? $load['name'] : '']['amps_pressures'] = true;
                }
            } elseif (isset(self::PROOFS[$one['check']]) && str_starts_with($one['subject'], 'compressor:')) {
                $found[substr($one['subject'], strlen('compressor:'))][self::PROOFS[$one['check']]] = true;
            }
        }

        return array_map(fn (array $proofs): array => array_keys($proofs), $found);
    }

    /** Whether the machine was locked out and dead since its rotation was found wrong last; true where it never was. */
    public function isLockedSinceReversal(): bool
    {
        $isLocked = true;
        foreach ($this->read()->recorded as $one) {
            if ($one['check'] === 'power.rotation' && $one['status'] === 'stop') {
                $isLocked = false;
            } elseif ($one['check'] === 'power.lockout' && $one['subject'] === 'machine' && $one['status'] === 'clear') {
                $isLocked = true;
            }
        }

        return $isLocked;
    }

    /** Whether the newest verdict of a check, about whatever part, lets it pass. */
    public function hasProved(string $check): bool
    {
        self::isRead($check);
        $of = array_filter($this->read()->recorded, fn (array $one): bool => $one['check'] === $check);

        return $of !== [] && in_array(end($of)['status'], ['clear', 'watch'], true);
    }

    private static function isRead(string $check): void
    {
        if (! in_array($check, self::DRAWN_ON, true)) {
            throw new \LogicException("Nobody reads $check of the record: it is not among what is drawn on.");
        }
    }

    private function read(): self
    {
        if ($this->unread !== null) {
            $read = ($this->unread)();
            [$this->recorded, $this->motorsOut, $this->startedAt, $this->feed, $this->unread] = [$read->recorded, $read->motorsOut, $read->startedAt, $read->feed, null];
        }

        return $this;
    }
}
