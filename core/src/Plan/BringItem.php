<?php

declare(strict_types=1);

namespace IronStart\Core\Plan;

use IronStart\Core\Verdict\Finding;

/** One thing to load on the van. */
final readonly class BringItem
{
    /** @param string $id the same as long as it is the same thing, whatever is added to the job */
    public function __construct(public BringGroup $group, public string $id, public Finding $words)
    {
    }
}
