<?php

declare(strict_types=1);

namespace IronStart\Core\Walked;

use IronStart\Core\Gate\JobType;

/** One item of a list. Its text stands in the phrases. */
final readonly class Item
{
    /** @param list<JobType>|null $types the types of job it is asked of; null: all */
    private function __construct(
        public string $id,
        public bool $must,
        /** Can't be answered "not applicable". */
        public bool $always,
        public ?array $types,
    ) {
    }

    public static function must(string $id, JobType ...$types): self
    {
        return new self($id, true, false, $types === [] ? null : array_values($types));
    }

    public static function always(string $id): self
    {
        return new self($id, true, true, null);
    }

    public static function optional(string $id, JobType ...$types): self
    {
        return new self($id, false, false, $types === [] ? null : array_values($types));
    }
}
