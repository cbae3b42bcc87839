<?php

declare(strict_types=1);

namespace App\Queries\Planted;

use Illuminate\Http\Request;

/** A query that reads a request on purpose, so that the rule is known to bite. */
final class QueryThatReadsRequests
{
    public function __construct(public readonly Request $reached)
    {
    }
}
