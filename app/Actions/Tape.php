<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Entry;
use App\Models\Machine;
use App\Records\ChainKeeper;
use App\Support\Stamp;
use Carbon\CarbonImmutable;
use Illuminate\Database\ConnectionInterface;
use IronStart\Core\Gate\Place;

/** Gives every entry of a machine its number and its place in time, one at a time, writes it once, and chains it. */
final class Tape
{
    public function __construct(private readonly ConnectionInterface $db, private readonly ChainKeeper $chain)
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
            $this->chain->extend($locked);
            $machine->last_at = $locked->last_at;

            return $written;
        });
    }

    /** @param array{supersedes?: int|null, out_of_order?: list<int>, reason?: string, about?: int|null, details?: array<string, mixed>} $more */
    public function append(Machine $locked, string $kind, Stamp $stamp, array $more = []): Entry
    {
        $locked->last_at++;
        $place = $this->place($locked, $stamp);

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
            'placed_at' => CarbonImmutable::createFromTimestampMsUTC($place->at),
            'correction_ms' => $place->correction,
            'about' => $more['about'] ?? null,
            'details' => (object) ($more['details'] ?? []),
        ]);
    }

    /** Where an entry with this stamp stands on this machine. */
    public function place(Machine $locked, Stamp $stamp): Place
    {
        $sent = $stamp->sentAt?->getTimestampMs();
        $before = $sent === null ? null : Entry::query()->where('machine_id', $locked->id)->where('device_id', $stamp->device)->max('placed_at');

        return Place::of(
            $stamp->deviceAt->getTimestampMs(),
            $sent,
            $stamp->arrivedAt->getTimestampMs(),
            is_string($before) ? CarbonImmutable::parse($before)->getTimestampMs() : null,
        );
    }
}
