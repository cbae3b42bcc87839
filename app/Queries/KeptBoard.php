<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Database\ConnectionInterface;

/**
 * The board of the day, kept for each person as it was put together last. It is shown again only while nothing it is put
 * together of has changed: which transaction wrote a row, and where, tells it of each single write.
 */
final readonly class KeptBoard
{
    /** Tables of few rows that a board is put together of. Whatever is written on a tape moves its machine on. */
    public const OF = ['companies' => 'id', 'users' => 'company_id', 'sites' => 'company_id', 'site_jobs' => 'company_id', 'job_people' => 'company_id', 'machines' => 'company_id'];

    public function __construct(private ConnectionInterface $db, private TodayBoard $board)
    {
    }

    /** @return string JSON of the person's board */
    public function for(User $person): string
    {
        // Before anything else is read: what is written meanwhile makes the mark another one.
        $of = $this->mark($person);
        $kept = $this->db->table('kept_boards')->where('company_id', $person->company_id)->where('user_id', $person->id)->where('of', $of)->value('body');
        if (is_string($kept)) {
            return $kept;
        }
        $body = json_encode($this->board->for($person), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION);
        $this->db->table('kept_boards')->upsert([['company_id' => $person->company_id, 'user_id' => $person->id, 'of' => $of, 'body' => $body]], ['company_id', 'user_id'], ['of', 'body']);

        return $body;
    }

    private function mark(User $person): string
    {
        $each = array_map(fn (string $table, string $company): string => "(SELECT concat(count(*), ' ', sum(hashtextextended(concat(xmin, ctid), 0))) FROM $table WHERE $company = ?)", array_keys(self::OF), self::OF);
        $rows = $this->db->selectOne('SELECT concat_ws(\'|\', ' . implode(', ', $each) . ') AS mark', array_fill(0, count($each), $person->company_id));

        return md5(implode("\n", [config('iron.build'), CarbonImmutable::today()->toDateString(), $rows->mark]));
    }
}
