<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\EntryKind;
use App\Models\Machine;
use Illuminate\Database\ConnectionInterface;
use IronStart\Core\Chain\CanonicalJson;
use IronStart\Core\Chain\Chain;

/**
 * Reads what is shown of a machine against what was chained when it was written. Whoever changes a row or a file
 * underneath is told on the page, on paper and in the file.
 */
final class AsChained
{
    public function __construct(private readonly ConnectionInterface $db, private readonly EntryDocuments $documents, private readonly PhotoStore $photos)
    {
    }

    /**
     * @param Machine $machine chained to its last entry
     * @return list<string> what is not as it was written, a sentence each, by entry; none when all is
     */
    public function faults(Machine $machine): array
    {
        $links = $this->db->table('chain_links')->where('company_id', $machine->company_id)->where('machine_id', $machine->id)->orderBy('at')->get(['at', 'document', 'digest']);
        $shown = [];
        foreach ($this->documents->after($machine->company_id, $machine->id, 0, EntryKind::cases()) as ['document' => $document]) {
            $shown[$document['at']] = $document;
        }
        $faults = [];
        $digest = Chain::start($machine->record_id);
        $last = 0;
        foreach ($links as $link) {
            $digest = Chain::link($digest, $link->document);
            $isNext = $link->at === ++$last;
            $last = $link->at;
            if (! $isNext || ! hash_equals($digest, $link->digest) || ! self::says($link->document, $shown[$link->at] ?? null)) {
                $faults[] = "Entry $link->at is not as it was written.";
            } elseif (($shown[$link->at]['kind'] ?? '') === EntryKind::Photo->value && ! $this->isThere($machine, $shown[$link->at])) {
                $faults[] = "The photo of entry $link->at is not the one that was taken.";
            }
            // Whatever follows stands on what was chained, so that one change is told once.
            $digest = $link->digest;
        }
        foreach (array_diff(array_keys($shown), $links->pluck('at')->all()) as $at) {
            $faults[] = "Entry $at was never chained.";
        }
        if ($last !== $machine->last_at || ! hash_equals($last === 0 ? '' : $digest, $machine->digest)) {
            $faults[] = 'Entries are missing at the end.';
        }

        return $faults;
    }

    /**
     * Whether the rows still say what was chained. A person's role is as it was that day.
     *
     * @param array<string, mixed>|null $shown
     */
    private static function says(string $chained, ?array $shown): bool
    {
        if ($shown === null) {
            return false;
        }
        $then = json_decode($chained, true, 512, JSON_BIGINT_AS_STRING);
        $shown['who'] = ['role' => is_array($then) ? ($then['who']['role'] ?? '') : ''] + $shown['who'];

        return CanonicalJson::of($shown) === $chained;
    }

    /** @param array<string, mixed> $shown */
    private function isThere(Machine $machine, array $shown): bool
    {
        $details = (array) $shown['details'];
        $sha = (string) ($details['sha256'] ?? '');
        $files = [$this->photos->path($machine->company_id, $sha) => $sha];
        // Entries of before name their small copy by the large one alone.
        if (is_string($details['small_sha256'] ?? null)) {
            $files[$this->photos->preview($machine->company_id, $sha)] = $details['small_sha256'];
        }
        foreach ($files as $file => $hash) {
            if (! is_file($file) || ! hash_equals($hash, (string) hash_file('sha256', $file))) {
                return false;
            }
        }

        return true;
    }
}
