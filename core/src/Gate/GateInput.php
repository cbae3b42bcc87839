<?php

declare(strict_types=1);

namespace IronStart\Core\Gate;

/** Everything but the records that the gates hang on. */
final readonly class GateInput
{
    /**
     * @param list<array{id: string, closed: bool, explained: bool, shuts: list<int>}> $putBack
     * @param list<array{gate: int, reason: string, role: string, at: float}> $overrides
     * @param list<array{subject: string, complete: bool, at: float}> $disabled
     * @param list<array{role: string, at: float}> $signatures
     * @param list<array{id: string, owned: bool, check: string, subject: string}> $openItems
     */
    public function __construct(
        public array $putBack,
        public array $overrides,
        public array $disabled,
        public array $signatures,
        public array $openItems,
        public ?float $supplyChangedAt,
    ) {
    }

    /** As it was before a moment, the put-back list left aside. */
    public function before(float $at): self
    {
        $dated = fn (array $entry): bool => $entry['at'] < $at;

        return new self(
            [],
            array_values(array_filter($this->overrides, $dated)),
            array_values(array_filter($this->disabled, $dated)),
            array_values(array_filter($this->signatures, $dated)),
            $this->openItems,
            $this->supplyChangedAt !== null && $this->supplyChangedAt < $at ? $this->supplyChangedAt : null,
        );
    }

    /** How many dated entries it holds: of two moments of one history, the same size is the same content. */
    public function size(): int
    {
        return count($this->overrides) + count($this->disabled) + count($this->signatures) + ($this->supplyChangedAt === null ? 0 : 1);
    }

    /**
     * What handing over wants besides its list: entries put back or explained, items with an owner, and signatures
     * later than every record, override and tag.
     *
     * @param list<Recorded> $records
     * @return list<Missing>
     */
    public function owed(array $records): array
    {
        $ids = fn (array $entries): array => array_map(strval(...), array_column($entries, 'id'));
        $out = $ids(array_filter($this->putBack, fn (array $e): bool => ! $e['closed'] && ! $e['explained']));
        $items = $ids(array_filter($this->openItems, fn (array $i): bool => ! $i['owned']));
        sort($out, SORT_STRING);
        sort($items, SORT_STRING);
        $last = -INF;
        foreach ($records as $entry) {
            $last = max($last, $entry->at);
        }
        foreach ([...$this->overrides, ...$this->disabled] as $entry) {
            $last = max($last, $entry['at']);
        }
        $owed = [
            ...array_map(fn (string $id): Missing => Missing::atTheEnd(Missing::PUT_BACK, $id), $out),
            ...array_map(fn (string $id): Missing => Missing::atTheEnd(Missing::OPEN_ITEM, $id), $items),
        ];
        foreach (['starter', 'lead'] as $role) {
            if (array_filter($this->signatures, fn (array $s): bool => $s['role'] === $role && $s['at'] > $last) === []) {
                $owed[] = Missing::atTheEnd(Missing::SIGNATURE, $role);
            }
        }

        return $owed;
    }
}
