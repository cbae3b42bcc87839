<?php

declare(strict_types=1);

namespace IronStart\Core\Judge;

/** A check that does not exist. */
final class UnknownCheck extends \OutOfBoundsException
{
    /** @param list<string> $accepted */
    private function __construct(public readonly string $id, public readonly array $accepted)
    {
        parent::__construct("There is no check \"$id\".");
    }

    /** @param list<string> $accepted */
    public static function named(string $id, array $accepted): self
    {
        return new self($id, $accepted);
    }
}
