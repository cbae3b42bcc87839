<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Machine;
use App\Support\CurrentCompany;
use Illuminate\Database\ConnectionInterface;
use Illuminate\Support\Collection;

/**
 * How machines stand, for boards: kept as it was judged last, and judged anew where the tape went on, the job or the
 * machine was changed, or the program is another one. The record itself is never read from here.
 */
final readonly class Glances
{
    public function __construct(private ConnectionInterface $db, private CurrentCompany $company, private Standings $standings)
    {
    }

    /**
     * @param Collection<int, Machine> $machines with their jobs loaded
     * @return array<int, Glance> by machine id
     */
    public function of(Collection $machines): array
    {
        $of = [];
        foreach ($machines as $machine) {
            $of[$machine->id] = self::mark($machine);
        }
        $kept = $this->db->table('glances')->where('company_id', $this->company->id())->whereIn('machine_id', array_keys($of))->get(['machine_id', 'of', 'body']);
        $glances = [];
        foreach ($kept as $row) {
            if ($row->of === $of[$row->machine_id]) {
                $glances[$row->machine_id] = new Glance(...(array) json_decode($row->body, true, 8, JSON_THROW_ON_ERROR));
            }
        }
        $anew = $machines->reject(fn (Machine $machine): bool => isset($glances[$machine->id]));

        return $anew->isEmpty() ? $glances : $glances + $this->judged($anew, $of);
    }

    /**
     * @param Collection<int, Machine> $machines
     * @param array<int, string>       $of
     * @return array<int, Glance>
     */
    private function judged(Collection $machines, array $of): array
    {
        $glances = array_map(Glance::from(...), $this->standings->of($machines));
        $rows = array_map(fn (int $id, Glance $glance): array => ['company_id' => $this->company->id(), 'machine_id' => $id, 'of' => $of[$id], 'body' => json_encode($glance, JSON_THROW_ON_ERROR)], array_keys($glances), $glances);
        // Always in one order: two who look at the same moment wait for each other, and neither for both.
        usort($rows, fn (array $a, array $b): int => $a['machine_id'] <=> $b['machine_id']);
        $this->db->table('glances')->upsert($rows, ['company_id', 'machine_id'], ['of', 'body']);

        return $glances;
    }

    /** Everything a standing is worked out of: whatever is written on a tape moves its last place on. */
    private static function mark(Machine $machine): string
    {
        $job = $machine->job;

        return md5(json_encode([config('iron.build'), $machine->last_at, $machine->facts, $machine->sheet_version_id, $job->type, $job->start_up_only, $job->asked, $job->facts], JSON_THROW_ON_ERROR));
    }
}
