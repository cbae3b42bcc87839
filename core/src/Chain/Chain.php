<?php

declare(strict_types=1);

namespace IronStart\Core\Chain;

/**
 * The chain of a machine's record: each entry's digest stands on the one before it, so that no entry can be
 * changed, left out or put in without every later digest being another.
 *
 * Digests are SHA-256 (FIPS 180-4), as 64 lower-case hexadecimal characters.
 */
final class Chain
{
    /** Digest 0: of the record's id. */
    public static function start(string $recordId): string
    {
        return hash('sha256', $recordId);
    }

    /**
     * Digest k: of digest k − 1, a newline, and the entry as canonical JSON.
     *
     * @throws NotCanonical
     */
    public static function next(string $digest, mixed $entry): string
    {
        return self::link($digest, CanonicalJson::of($entry));
    }

    /**
     * The same of a document that is canonical already.
     *
     * @param string $digest    of the link before, 64 hexadecimal digits
     * @param string $canonical the entry's document as CanonicalJson gives it
     */
    public static function link(string $digest, string $canonical): string
    {
        return hash('sha256', "$digest\n$canonical");
    }

    /**
     * The place (0 the first) of the first entry whose digest does not follow; null where all do.
     *
     * @param list<mixed> $entries
     * @param list<string> $digests one an entry
     * @throws \InvalidArgumentException when there is not one digest an entry
     */
    public static function firstBroken(string $recordId, array $entries, array $digests): ?int
    {
        if (count($entries) !== count($digests)) {
            throw new \InvalidArgumentException('There must be one digest an entry.');
        }
        $digest = self::start($recordId);
        foreach ($entries as $place => $entry) {
            try {
                $digest = self::next($digest, $entry);
            } catch (NotCanonical) {
                return $place;
            }
            if (! hash_equals($digest, $digests[$place])) {
                return $place;
            }
        }

        return null;
    }
}
