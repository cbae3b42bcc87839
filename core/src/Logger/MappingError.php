<?php

declare(strict_types=1);

namespace IronStart\Core\Logger;

/** A file can't be read as it was told to be: which part of the telling, and what to say instead. */
final class MappingError extends \DomainException
{
    public function __construct(public readonly string $field, string $message)
    {
        parent::__construct($message);
    }
}
