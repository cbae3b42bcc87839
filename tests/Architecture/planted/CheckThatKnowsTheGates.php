<?php

declare(strict_types=1);

namespace IronStart\Core\Check\Planted;

use IronStart\Core\Gate\Gates;

/** The contract of a check that knows the gates on purpose, so that the rule is known to bite. */
final class CheckThatKnowsTheGates
{
    public function __construct(public readonly Gates $reached)
    {
    }
}
