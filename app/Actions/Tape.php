<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Entry;
use App\Models\Machine;
use App\Support\Stamp;
use Illuminate\Database\ConnectionInterface;

/** Gives every entry of a machine its place, one at a time, and writes it once. */
final class Tape
{
    public function __construct(private readonly ConnectionInterface $db)
    {
    }

    /**
     * Runs within one transaction that holds the machine, so that two people can't get the same place. The machine
     * given learns the last place.
     *
     * @template T
     * @param \Closure(Machine): T $write given the machine as it stands, locked
     * @return T
     */
    public function holding(Machine $machine, \Closure $write): mixed
    {
        return $this->db->transaction(function () use ($machine, $write): mixed {
            /** @var Machine $locked */
            $locked = Machine::query()->lockForUpdate()->findOrFail($machine->id);

            $written = $write($locked);
            $machine->last_at = $locked->last_at;

            return $written;
        });
    }

    /** @param array{supersedes?: int|null, out_of_order?: list<int>, reason?: string} $more */
    public function append(Machine $locked, string $kind, Stamp $stamp, array $more = []): Entry
    {
        $locked->last_at++;
        $locked->save();

        return Entry::query()->create([
            'machine_id' => $locked->id,
            'at' => $locked->last_at,
            'kind' => $kind,
            'user_id' => $stamp->person->id,
            'device_id' => $stamp->device,
            'device_at' => $stamp->deviceAt,
            'recorded_at' => $stamp->arrivedAt,
            'supersedes' => $more['supersedes'] ?? null,
            'out_of_order' => $more['out_of_order'] ?? [],
            'reason' => $more['reason'] ?? '',
        ]);
    }
}
