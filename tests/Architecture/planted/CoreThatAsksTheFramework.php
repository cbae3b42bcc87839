<?php

declare(strict_types=1);

namespace IronStart\Core\Planted;

use Illuminate\Support\Collection;

/** Breaks the rule of the layers on purpose, so that the rule is known to bite. */
final class CoreThatAsksTheFramework
{
    /** @return Collection<int, int> */
    public function ask(): Collection
    {
        return new Collection([1]);
    }
}
