<?php

declare(strict_types=1);

namespace IronStart\Core\Gate;

use IronStart\Core\Verdict\Status;

/** Whether a reading is taken before its gate may be worked on. It is a fact all the same, and is kept. */
final class Order
{
    private const HELD_IN_ORDER = ['tight.hold', 'dry.decay'];

    /**
     * @param list<int> $shut the gates that are shut at this moment
     * @return list<int> of these, the gates the reading belongs to and should have waited for
     */
    public static function missing(string $check, string $subject, array $shut): array
    {
        $entry = new Entry($check, $subject, Status::Clear, [], 0.0);
        if (! Ledger::isRunning($entry) && ! in_array($check, self::HELD_IN_ORDER, true)) {
            return [];
        }

        return array_values(array_intersect(Belonging::of($check, $subject, range(1, 12)), $shut));
    }
}
