<?php

declare(strict_types=1);

namespace IronStart\Core\Power;

use IronStart\Core\Entry\BreakerTripped;

/**
 * What was found on one unit of a feed, asked of each other one: worked out from their tapes, a question and never a stop.
 *
 * Two lines swapped ahead of the panel, a leg that is lost there, a breaker that tripped or work on the supply are seldom
 * one unit's alone. It is closed where it is asked, by a later reading there that is clear or watch.
 *
 * @phpstan-type Event array{machine: string, what: string, subject: string, status: string, codes: list<string>, at: int, from: string}
 */
final class FeedQuestions
{
    public const SUPPLY_WORK = 'supply_work';
    /** Which readings answer which finding. */
    public const ANSWERED_BY = [
        'reversed' => ['power.rotation'],
        'lost_phase' => ['power.voltage'],
        'tripped' => ['power.voltage'],
        self::SUPPLY_WORK => ['power.rotation', 'power.voltage'],
    ];
    /** What is read of a tape for this. */
    public const READ = ['power.rotation', 'power.voltage', 'power.supply_identity', BreakerTripped::ID];

    /**
     * @param list<Event> $events of all units of the feed, those that are doubted or corrected left out; `at` rises with time, `from` is the unit supply work was told on
     * @return list<array{kind: string, from: string, at: int, read: list<string>}> what is asked of one unit, the newest of each kind, with what is still to be read
     */
    public static function of(string $machine, array $events): array
    {
        $raised = [];
        foreach ($events as $event) {
            $from = $event['what'] === self::SUPPLY_WORK ? $event['from'] : $event['machine'];
            $kind = self::kind($event);
            if ($kind !== null && $from !== $machine && $from !== '') {
                // In the order of time: the newest of a kind stands.
                $raised[$kind] = ['kind' => $kind, 'from' => $from, 'at' => $event['at']];
            }
        }
        $asked = [];
        foreach (self::ANSWERED_BY as $kind => $answers) {
            $since = $raised[$kind] ?? null;
            $read = $since === null ? [] : array_values(array_filter($answers, fn (string $check): bool => ! self::isAnswered($machine, $check, $since['at'], $events)));
            if ($since !== null && $read !== []) {
                $asked[] = $since + ['read' => $read];
            }
        }

        return $asked;
    }

    /**
     * How each unit of a feed was found to be turned, last.
     *
     * @param list<Event> $events
     * @return string `reversed`, `proved`, or '' where nobody has read it
     */
    public static function direction(string $machine, array $events): string
    {
        $direction = '';
        foreach ($events as $event) {
            if ($event['machine'] === $machine && $event['what'] === 'power.rotation') {
                $direction = self::isGood($event) ? 'proved' : ($event['status'] === 'stop' ? 'reversed' : $direction);
            }
        }

        return $direction;
    }

    /** @param Event $event */
    private static function kind(array $event): ?string
    {
        return match (true) {
            $event['what'] === self::SUPPLY_WORK => self::SUPPLY_WORK,
            $event['what'] === BreakerTripped::ID => 'tripped',
            $event['what'] === 'power.rotation' && in_array('supply_reversed', $event['codes'], true) => 'reversed',
            in_array('phase_lost', $event['codes'], true) => 'lost_phase',
            default => null,
        };
    }

    /** @param list<Event> $events */
    private static function isAnswered(string $machine, string $check, int $since, array $events): bool
    {
        foreach ($events as $event) {
            if ($event['machine'] === $machine && $event['what'] === $check && $event['at'] > $since && self::isGood($event)) {
                return true;
            }
        }

        return false;
    }

    /** @param Event $event */
    private static function isGood(array $event): bool
    {
        return in_array($event['status'], ['clear', 'watch'], true);
    }
}
