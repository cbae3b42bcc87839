<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\SiteJob;
use App\Models\User;
use App\Refusals\Refusal;
use Illuminate\Database\ConnectionInterface;

/** A thing of a job's bring list is on the van, home again, or neither. */
final class TickBring
{
    public const STATES = ['none', 'on', 'home'];

    public function __construct(private readonly ConnectionInterface $db)
    {
    }

    /**
     * @param list<string> $items what there is on the list
     * @throws Refusal when it is not on the list
     */
    public function tick(SiteJob $job, User $by, string $item, string $state, array $items): void
    {
        if (! in_array($item, $items, true)) {
            throw Refusal::field('item', $item, implode(', ', $items));
        }
        $row = ['company_id' => $job->company_id, 'site_job_id' => $job->id, 'item' => $item];
        $this->db->table('bring_ticks')->upsert([$row + ['state' => $state === 'none' ? '' : $state, 'user_id' => $by->id, 'at' => now()]], array_keys($row), ['state', 'user_id', 'at']);
    }
}
