<?php

declare(strict_types=1);

namespace App\Refusals\Planted;

use App\Http\Problems\Problem;

/** A refusal that knows how it goes out on purpose, so that the rule is known to bite. */
final class RefusalThatAnswers
{
    public function __construct(public readonly Problem $reached)
    {
    }
}
