<?php

declare(strict_types=1);

namespace IronStart\Core\Wording;

/** One of the twelve gates as a person reads it. */
final readonly class GateLine
{
    /**
     * @param list<array{check: string, subject: string, todo: string}> $missing
     * @param list<string> $flags what it is besides its state: watch, conditional, stale, out_of_order, overridden …
     * @param list<string> $notes the same, said
     */
    public function __construct(
        public int $gate,
        public string $name,
        public string $question,
        public string $state,
        public bool $shut,
        public string $sentence,
        /** The check that decided, empty where none did. */
        public string $check,
        public string $subject,
        public array $missing,
        public array $flags,
        public array $notes,
    ) {
    }
}
