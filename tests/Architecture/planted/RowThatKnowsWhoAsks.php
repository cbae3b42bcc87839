<?php

declare(strict_types=1);

namespace App\Models\Planted;

use App\Queries\Standings;

/** A row that reaches up on purpose, so that the rule is known to bite. */
final class RowThatKnowsWhoAsks
{
    public function __construct(public readonly Standings $reached)
    {
    }
}
