<?php

declare(strict_types=1);

namespace IronStart\Core\Wording;

/** One of the twelve gates as a person reads it. */
final readonly class GateLine
{
    /** @param list<array{check: string, subject: string, todo: string}> $missing */
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
    ) {
    }
}
