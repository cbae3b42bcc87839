<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Entry;
use App\Support\CurrentCompany;
use Illuminate\Database\ConnectionInterface;
use IronStart\Core\Power\FeedQuestions;

/**
 * What happened last on a machine that may concern the others of its feed, of each reading by what it came to: kept beside
 * the tape, and read anew from it where an entry is doubted or corrected.
 */
final readonly class FeedEvents
{
    private const ANEW = <<<'SQL'
        INSERT INTO feed_events (company_id, machine_id, what, status, reversed, lost, told, placed_at, at)
        SELECT DISTINCT ON (coalesce(v.check, e.kind), coalesce(v.status, ''), coalesce(jsonb_exists(v.codes, 'supply_reversed'), false), coalesce(jsonb_exists(v.codes, 'phase_lost'), false))
            e.company_id, e.machine_id, coalesce(v.check, e.kind), coalesce(v.status, ''), coalesce(jsonb_exists(v.codes, 'supply_reversed'), false), coalesce(jsonb_exists(v.codes, 'phase_lost'), false),
            coalesce(e.details->>'from', ''), e.placed_at, e.at
        FROM entries e
        LEFT JOIN verdicts v ON v.company_id = e.company_id AND v.machine_id = e.machine_id AND v.at = e.at
        WHERE e.company_id = ? AND e.machine_id = ? AND e.kind IN ('check', 'supply_work') AND (e.kind = 'supply_work' OR v.check IN (%s))
            AND NOT EXISTS (SELECT 1 FROM suspect_marks s WHERE s.company_id = e.company_id AND s.machine_id = e.machine_id AND s.target_at = e.at)
            AND NOT EXISTS (SELECT 1 FROM entries c WHERE c.company_id = e.company_id AND c.machine_id = e.machine_id AND c.supersedes = e.at)
        ORDER BY coalesce(v.check, e.kind), coalesce(v.status, ''), coalesce(jsonb_exists(v.codes, 'supply_reversed'), false), coalesce(jsonb_exists(v.codes, 'phase_lost'), false), e.placed_at DESC, e.at DESC
        SQL;
    private const HAPPENED = <<<'SQL'
        INSERT INTO feed_events (%s) VALUES (%s)
        ON CONFLICT (%s) DO UPDATE SET told = excluded.told, placed_at = excluded.placed_at, at = excluded.at WHERE feed_events.placed_at <= excluded.placed_at
        SQL;
    private const KEY = ['company_id', 'machine_id', 'what', 'status', 'reversed', 'lost'];

    public function __construct(private ConnectionInterface $db, private CurrentCompany $company)
    {
    }

    public static function concerns(string $check): bool
    {
        return in_array($check, FeedQuestions::READ, true);
    }

    /** @param list<string> $codes of the verdict; none of work on the supply */
    public function happened(Entry $entry, string $what, string $status, array $codes, string $from = ''): void
    {
        $row = [
            'company_id' => $this->company->id(), 'machine_id' => $entry->machine_id, 'what' => $what, 'status' => $status,
            'reversed' => in_array('supply_reversed', $codes, true), 'lost' => in_array('phase_lost', $codes, true), 'told' => $from,
            'placed_at' => $entry->placed_at->format(Entry::MOMENT), 'at' => $entry->at,
        ];
        // One that comes late stands where it was made.
        $this->db->insert(sprintf(self::HAPPENED, implode(', ', array_keys($row)), implode(', ', array_fill(0, count($row), '?')), implode(', ', self::KEY)), array_values($row));
    }

    /** After an entry of the machine was doubted or corrected. */
    public function anew(int $machine): void
    {
        self::readAnew($this->db, $this->company->id(), $machine);
    }

    public static function readAnew(ConnectionInterface $db, int $company, int $machine): void
    {
        $db->table('feed_events')->where('company_id', $company)->where('machine_id', $machine)->delete();
        $db->insert(sprintf(self::ANEW, implode(', ', array_fill(0, count(FeedQuestions::READ), '?'))), [$company, $machine, ...FeedQuestions::READ]);
    }
}
