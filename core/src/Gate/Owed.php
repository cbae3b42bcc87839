<?php

declare(strict_types=1);

namespace IronStart\Core\Gate;

/** What handing over wants besides its list: put-back entries, owners of what is left, signatures. */
final class Owed
{
    /**
     * @param list<Entry> $records
     * @return list<string>
     */
    public static function atTheEnd(GateInput $given, array $records): array
    {
        $owed = [];
        foreach ($given->putBack as $entry) {
            if (! $entry['closed'] && ! $entry['explained']) {
                $owed[] = "put_back:{$entry['id']}";
            }
        }
        foreach ($given->openItems as $item) {
            if (! $item['owned']) {
                $owed[] = "open_item:{$item['id']}";
            }
        }

        return [...$owed, ...self::signatures($given, $records)];
    }

    /**
     * Signatures count when they are later than every record, override and tag.
     *
     * @param list<Entry> $records
     * @return list<string>
     */
    private static function signatures(GateInput $given, array $records): array
    {
        $last = -INF;
        foreach ($records as $entry) {
            $last = max($last, $entry->at);
        }
        foreach ([...$given->overrides, ...$given->disabled] as $entry) {
            $last = max($last, $entry['at']);
        }
        $owed = [];
        foreach (['starter', 'lead'] as $role) {
            $signed = array_filter($given->signatures, fn (array $s): bool => $s['role'] === $role && $s['at'] > $last);
            if ($signed === []) {
                $owed[] = "signature:$role";
            }
        }

        return $owed;
    }
}
