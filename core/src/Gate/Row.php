<?php

declare(strict_types=1);

namespace IronStart\Core\Gate;

/** One thing a gate asks: a check (or one of two) about a subject, sometimes with a code it must bear. */
final readonly class Row
{
    /**
     * @param non-empty-list<string> $checks one of them will do
     * @param list<string> $codes one of them must be borne; empty: none is asked for
     * @param string|null  $without a code that must not be borne
     */
    public function __construct(
        public array $checks,
        public string $subject = 'machine',
        public array $codes = [],
        public ?string $without = null,
    ) {
    }

    public function name(): string
    {
        return implode('|', $this->checks) . ":$this->subject";
    }
}
