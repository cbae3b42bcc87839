<?php

declare(strict_types=1);

namespace IronStart\Core\Verdict;

/** A word or list of words of the core's own (a leg, a supply, a kind of motor), said by the phrases' lexicon. */
final readonly class Word
{
    /** @param list<string> $keys */
    private function __construct(public string $group, public array $keys)
    {
    }

    public static function of(string $group, string ...$keys): self
    {
        return new self($group, array_values($keys));
    }
}
