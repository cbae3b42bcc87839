<?php

declare(strict_types=1);

namespace IronStart\Core\Wording;

/** A code, field or word that the phrases of a language do not have. */
final class UnknownPhrase extends \LogicException
{
    private function __construct(public readonly string $what, string $message)
    {
        parent::__construct($message);
    }

    public static function named(string $what): self
    {
        return new self($what, "The phrases have nothing for $what.");
    }
}
