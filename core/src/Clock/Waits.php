<?php

declare(strict_types=1);

namespace IronStart\Core\Clock;

use IronStart\Core\Verdict\Effect;
use IronStart\Core\Verdict\Value;

/** What a verdict that waits sets off: its clock runs for what is left, and ends with the verdict that does not wait any more. */
final class Waits
{
    /**
     * @param array<string, Value> $values with `time_left` in min where there is something to wait for
     * @return list<Effect>
     */
    public static function of(ClockKind $kind, array $values): array
    {
        $left = $values['time_left'] ?? null;

        return $left === null ? [Effect::ends($kind)] : [Effect::starts($kind, max(1, (int) ceil((float) $left->value - 1e-9)))];
    }
}
