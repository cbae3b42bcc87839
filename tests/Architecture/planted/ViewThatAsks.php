<?php

declare(strict_types=1);

namespace App\Views\Planted;

use App\Models\Machine;

/** A view that asks a row on purpose, so that the rule is known to bite. */
final class ViewThatAsks
{
    public function __construct(public readonly Machine $reached)
    {
    }
}
