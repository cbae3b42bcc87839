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
}
