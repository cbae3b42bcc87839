<?php

declare(strict_types=1);

namespace App\Actions;

/** What is to be recorded: which check, about what, and the raw input as the device sent it. */
final readonly class RecordedInput
{
    public function __construct(
        public string $check,
        public string $subject,
        public mixed $raw,
        public ?int $instrumentId = null,
        public ?int $supersedes = null,
        public string $reason = '',
        /** It was done without being asked first: no signal, or a write still waiting. */
        public bool $unchecked = false,
        /** The file the readings come from, where they were not typed. */
        public string $source = '',
    ) {
    }
}
