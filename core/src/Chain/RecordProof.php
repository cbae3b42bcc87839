<?php

declare(strict_types=1);

namespace IronStart\Core\Chain;

/**
 * Reads an exported record and says whether it is as it was written, without anything but the file.
 *
 * The chain shows which entry was changed; the signatures, what each person had before them when they signed; the
 * seal, whether anything else in the file was. Source: RFC 8785, FIPS 180-4, RFC 8032.
 */
final readonly class RecordProof
{
    /**
     * @param list<string> $faults in words; none when all holds
     * @param int|null $broken the number (`at`) of the first entry that is not as it was written
     * @param list<array{at: int, role: string, name: string}> $signatures those that hold
     */
    private function __construct(
        public array $faults,
        public ?int $broken,
        public array $signatures,
        public string $company,
        public string $fingerprint,
        public int $entries,
        public string $digest,
        /** How many entries were written after the last signature. */
        public int $addendum,
    ) {
    }

    public function holds(): bool
    {
        return $this->faults === [];
    }

    /**
     * @param \stdClass $record as json_decode gives it, having met the schema
     * @param string|null $printed a digest from paper: it must be that of one of the entries
     */
    public static function of(\stdClass $record, ?string $printed = null): self
    {
        $links = $record->chain;
        $entries = array_values(array_map(fn (\stdClass $link): mixed => $link->entry, $links));
        $digests = array_values(array_map(fn (\stdClass $link): string => $link->digest, $links));
        $key = $record->company->public_key;
        $faults = [];
        $place = Chain::firstBroken($record->record_id, $entries, $digests);
        $broken = $place === null ? null : ($entries[$place]->at ?? $place + 1);
        if ($place !== null) {
            $faults[] = "Entry $broken is not as it was written, or an entry before it is missing.";
        }
        $last = end($digests) ?: Chain::start($record->record_id);
        if ($place === null && ! hash_equals($last, $record->digest)) {
            $faults[] = 'The digest of the whole is not that of its last entry: entries are missing at the end.';
        }
        // What the company's own server found when it made the file: its answers may not be those of these entries.
        array_push($faults, ...array_map(strval(...), (array) ($record->differs ?? [])));
        [$signatures, $unsigned] = self::signatures($links, $key, $place ?? count($links));
        array_push($faults, ...$unsigned);
        if (! Seal::vouches($key, self::sealed($record), $record->seal)) {
            $faults[] = $faults === [] ? 'Something outside the entries was changed, or another key sealed this file: the seal does not hold.' : 'The seal does not hold.';
        }
        if ($printed !== null && ! in_array(strtolower($printed), [...$digests, $record->digest], true)) {
            $faults[] = 'The digest given is none of this record\'s.';
        }
        $signed = array_column($signatures, 'at');

        return new self($faults, $broken, $signatures, $record->company->name, Seal::fingerprint($key), count($links), $record->digest, $signed === [] ? 0 : count(array_filter($entries, fn (mixed $e): bool => ($e->at ?? 0) > max($signed))));
    }

    /**
     * What the seal is of: the record without it, in canonical form. Empty when it has no such form.
     *
     * @param \stdClass $record
     */
    public static function sealed(\stdClass $record): string
    {
        $rest = clone $record;
        unset($rest->seal);
        try {
            return CanonicalJson::of($rest);
        } catch (NotCanonical) {
            return '';
        }
    }

    /**
     * @param list<\stdClass> $links
     * @return array{list<array{at: int, role: string, name: string}>, list<string>} those that hold, and what is wrong with the others
     */
    private static function signatures(array $links, string $key, int $until): array
    {
        $held = $faults = [];
        foreach ($links as $place => $link) {
            if (($link->entry->kind ?? '') !== 'signed') {
                continue;
            }
            $details = $link->entry->details ?? new \stdClass();
            if ($place < $until && Seal::vouches($key, $link->digest, $link->signature ?? '')) {
                $held[] = ['at' => $link->entry->at, 'role' => $details->role ?? '', 'name' => $details->name ?? ''];
            } else {
                $faults[] = "The company's signature at entry {$link->entry->at} does not hold.";
            }
        }

        return [$held, $faults];
    }
}
