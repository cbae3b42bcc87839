<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\EntryKind;
use App\Models\Machine;
use Illuminate\Database\ConnectionInterface;
use IronStart\Core\Chain\CanonicalJson;
use IronStart\Core\Chain\Chain;

/** Chains what was just written on a machine, within the same transaction, and has the company sign where a person did. */
final class ChainKeeper
{
    public function __construct(private readonly ConnectionInterface $db, private readonly EntryDocuments $documents, private readonly CompanyKeys $keys)
    {
    }

    /**
     * Takes in every entry after the last chained one, and keeps the machine's new last place and digest.
     *
     * @param list<EntryKind> $kinds of these entries
     */
    public function extend(Machine $locked, array $kinds): void
    {
        $digest = $locked->chained_at === 0 ? Chain::start($locked->record_id) : $locked->digest;
        $links = [];
        foreach ($this->documents->after($locked->company_id, $locked->id, $locked->chained_at, $kinds) as ['entry' => $entry, 'document' => $document]) {
            $canonical = CanonicalJson::of($document);
            $digest = Chain::link($digest, $canonical);
            $links[] = [
                'company_id' => $locked->company_id,
                'machine_id' => $locked->id,
                'entry_id' => $entry,
                'at' => $document['at'],
                'document' => $canonical,
                'digest' => $digest,
                'signature' => $document['kind'] === 'signed' ? $this->keys->of($locked->company_id)->sign($digest) : '',
            ];
        }
        if ($links === []) {
            return;
        }
        $this->db->table('chain_links')->insert($links);
        $locked->chained_at = $locked->last_at;
        $locked->digest = $digest;
        // Not a change of the machine by the office: its own time of change stays.
        Machine::query()->whereKey($locked->id)->toBase()->update(['last_at' => $locked->last_at, 'chained_at' => $locked->chained_at, 'digest' => $digest]);
        $locked->syncOriginal();
    }
}
