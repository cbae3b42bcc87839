<?php

declare(strict_types=1);

namespace IronStart\Core\Check;

use IronStart\Core\Verdict\Value;

/** A check whose readings are drawn beside it, also while some are missing. */
interface Draws
{
    /**
     * What is drawn, as data: a drawing never works out a limit of its own.
     *
     * @param array<string, Value> $values of the judgement
     * @return array<string, mixed> one of the shapes of Drawn; empty for nothing
     */
    public static function drawing(Input $in, array $values): array;
}
