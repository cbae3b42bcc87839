<?php

declare(strict_types=1);

namespace IronStart\Core\Gate;

/** The twelve gates as a pure function of what was recorded, and of what else they hang on. */
final class Gates
{
    /**
     * @param list<Recorded> $records with their subjects as recorded, in any order
     * @param bool $withOrder whether to find out what was read before its time (each such reading is judged at its own moment)
     */
    public static function of(Job $job, array $records, GateInput $given, bool $withOrder = true): Result
    {
        $plain = array_map(fn (Recorded $e): Recorded => self::plain($e, $job), $records);
        $now = new Evaluation($job, $plain, $given);
        foreach ($withOrder ? self::outOfOrder($job, $plain, $given, $now) : [] as $gate) {
            $now->gates[$gate]->outOfOrder = true;
        }

        return $now->tell();
    }

    /**
     * The gates of a reading that were not ready for it at its moment: what the tape marks as out of order.
     *
     * @return list<int>
     */
    public static function tooEarly(Job $job, string $check, string $subject, Result $before): array
    {
        $base = Recorded::baseOf($job->plain($check, $subject));
        if (! CheckTable::isOrdered($check, $base)) {
            return [];
        }

        return array_values(array_intersect(CheckTable::belongs($check, $base, $job->gates, $job->isCompressorChange()), $before->shut()));
    }

    private static function plain(Recorded $entry, Job $job): Recorded
    {
        $subject = $job->plain($entry->check, $entry->subject);

        return $subject === $entry->subject ? $entry : new Recorded($entry->check, $subject, $entry->status, $entry->codes, $entry->at, $entry->suspect);
    }

    /**
     * Gates with a reading taken before one of their needs was met.
     *
     * Between two readings often nothing was recorded that bears on the needs: then one evaluation serves both.
     *
     * @param list<Recorded> $records
     * @return list<int>
     */
    private static function outOfOrder(Job $job, array $records, GateInput $given, Evaluation $now): array
    {
        $found = $then = $bearing = [];
        foreach ($records as $entry) {
            $ordered = ! $entry->suspect && CheckTable::isOrdered($entry->check, $entry->base);
            foreach ($ordered ? $now->gatesOf($entry) : [] as $gate) {
                $needs = Evaluation::needs($gate, $job);
                if (isset($found[$gate]) || $needs === []) {
                    continue;
                }
                $highest = max($needs);
                $bearing[$highest] ??= self::bearingOn($records, $highest);
                $before = array_values(array_filter($bearing[$highest], fn (Recorded $e): bool => $e->at < $entry->at));
                $givenThen = $given->before($entry->at);
                $key = "$highest " . count($before) . ' ' . $givenThen->size();
                $then[$key] ??= new Evaluation($job, $before, $givenThen);
                foreach ($needs as $need) {
                    if (! $then[$key]->isMet($need)) {
                        $found[$gate] = true;
                    }
                }
            }
        }

        return array_keys($found);
    }

    /**
     * The records that can change a gate up to a given one: those of these gates, and of any check that was
     * ever a danger, since that shuts Run wherever it stands.
     *
     * @param list<Recorded> $records
     * @return list<Recorded>
     */
    private static function bearingOn(array $records, int $highest): array
    {
        $dangerous = [];
        foreach ($records as $entry) {
            if ($entry->dangers() !== []) {
                $dangerous[$entry->check] = true;
            }
        }

        return array_values(array_filter($records, fn (Recorded $e): bool => isset($dangerous[$e->check])
            || min([...CheckTable::gatesOf($e->check), PHP_INT_MAX]) <= $highest));
    }
}
