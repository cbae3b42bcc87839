<?php

declare(strict_types=1);

namespace IronStart\Core\Plan;

/**
 * How long each question of a unit took, from the moments its entries were made: the time before an entry goes to the
 * question it belongs to, or to the next one that belongs to one. A pause longer than AWAY is no work on this unit.
 */
final class WorkedTime
{
    /** s from which on nobody was at it. */
    public const AWAY = 7200;

    /**
     * @param list<array{gate: int|null, at: int}> $entries in the order of time; seconds, and the question it is of
     * @return array<int, int> seconds by question, in the order of the questions
     */
    public static function of(array $entries): array
    {
        $seconds = [];
        $waiting = 0;
        $last = null;
        foreach ($entries as $before => $entry) {
            $pause = $before === 0 ? 0 : $entry['at'] - $entries[$before - 1]['at'];
            $waiting += $pause > self::AWAY ? 0 : max(0, $pause);
            if ($entry['gate'] !== null) {
                $last = $entry['gate'];
                $seconds[$last] = ($seconds[$last] ?? 0) + $waiting;
                $waiting = 0;
            }
        }
        if ($last !== null) {
            $seconds[$last] += $waiting;
        }
        ksort($seconds);

        return $seconds;
    }
}
