<?php

declare(strict_types=1);

namespace IronStart\Core\Quantity;

/** A unit that the kind of quantity does not have. */
final class UnknownUnit extends \InvalidArgumentException
{
    private function __construct(public readonly string $unit, public readonly Kind $kind)
    {
        parent::__construct(sprintf('"%s" is no unit of %s.', $unit, str_replace('_', ' ', $kind->value)));
    }

    public static function ofKind(string $unit, Kind $kind): self
    {
        return new self($unit, $kind);
    }
}
