<?php

declare(strict_types=1);

namespace IronStart\Core\Chain;

/** A value that canonical JSON has no form for. */
final class NotCanonical extends \DomainException
{
    public static function number(string $number): self
    {
        return new self("$number can't be written as a JSON number without loss.");
    }

    public static function text(): self
    {
        return new self('A text is not valid UTF-8.');
    }

    public static function type(string $type): self
    {
        return new self("JSON has no $type.");
    }
}
