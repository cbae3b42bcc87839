<?php

declare(strict_types=1);

namespace IronStart\Core\Wording;

/** What was said around the gates, for the sentences about them. */
final readonly class GateWords
{
    /**
     * @param array<string, string> $headlines what was said, by check and subject
     * @param array<array-key, string> $putBack what is out, by the id of its entry
     * @param array<array-key, string> $items what is left to somebody, by the id of the open item
     * @param list<array{check: string, words: string}> $deferred readings left to an open item, with owner and date
     * @param list<string> $disabled what is out of service, with why
     * @param array<string, string> $next the first thing to do about each, by check and subject
     */
    public function __construct(
        public array $headlines = [],
        public array $putBack = [],
        public array $items = [],
        public array $deferred = [],
        public array $disabled = [],
        public array $next = [],
    ) {
    }
}
