<?php

declare(strict_types=1);

namespace IronStart\Core\Check;

/** For checks whose fields do not contradict each other. */
trait NoContradictions
{
    /** @return iterable<InputError> */
    public function contradictions(Input $in): iterable
    {
        return [];
    }
}
