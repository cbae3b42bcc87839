<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Entry;
use App\Models\EntryKind;
use App\Models\Machine;
use App\Records\ChainKeeper;
use App\Support\Stamp;
use Carbon\CarbonImmutable;
use Illuminate\Database\ConnectionInterface;
use IronStart\Core\Clock\Place;

/** Gives every entry of a machine its number and its place in time, one at a time, writes it once, and chains it. */
final class Tape
{
    /** @var list<EntryKind> what was written since the machine is held */
    private array $kinds = [];

    public function __construct(private readonly ConnectionInterface $db, private readonly ChainKeeper $chain)
    {
    }

    /**
     * Runs within one transaction that holds the machine, so that two people can't get the same place; within the one
     * of the request where there is one, which takes all of it back when anything fails. The machine given learns the
     * last place.
     *
     * @template T
     * @param \Closure(Machine): T $write given the machine as it stands, locked
     * @return T
     */
    public function holding(Machine $machine, \Closure $write): mixed
    {
        $held = function () use ($machine, $write): mixed {
            /** @var Machine $locked */
            $locked = Machine::query()->lockForUpdate()->findOrFail($machine->id);

            $this->kinds = [];
            $written = $write($locked);
            // What an earlier version left unchained may be of any kind.
            $this->chain->extend($locked, $locked->chained_at + count($this->kinds) === $locked->last_at ? $this->kinds : EntryKind::cases());
            $machine->last_at = $locked->last_at;
            if ($locked->relationLoaded('job') && ! $machine->relationLoaded('job')) {
                $machine->setRelation('job', $locked->job);
            }

            return $written;
        };

        return $this->db->transactionLevel() > 0 ? $held() : $this->db->transaction($held);
    }

    /** @param array{supersedes?: int|null, out_of_order?: list<int>, reason?: string, about?: int|null, details?: array<string, mixed>, place?: Place} $more */
    public function append(Machine $locked, EntryKind $kind, Stamp $stamp, array $more = []): Entry
    {
        $locked->last_at++;
        $this->kinds[] = $kind;
        $place = $more['place'] ?? $this->place($locked, $stamp)[0];

        return Entry::query()->create([
            'machine_id' => $locked->id,
            'at' => $locked->last_at,
            'kind' => $kind->value,
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

    /** Chains what an earlier version wrote without a chain. */
    public function catchUp(Machine $machine): void
    {
        if ($machine->chained_at < $machine->last_at) {
            $this->holding($machine, fn (): null => null);
            $machine->refresh();
        }
    }

    /**
     * Where an entry with this stamp stands on this machine, and whether others stand after it already.
     *
     * @return array{Place, bool}
     */
    public function place(Machine $locked, Stamp $stamp): array
    {
        $sent = $stamp->sentAt?->getTimestampMs();
        // In milliseconds; null where nothing stands there yet.
        $newest = fn (string $of): string => "floor(extract(epoch FROM max(placed_at)$of) * 1000)::bigint";
        $last = Entry::query()->where('machine_id', $locked->id)->toBase()
            ->selectRaw("{$newest('')} AS last, {$newest(' FILTER (WHERE device_id = ?)')} AS own", [$stamp->device])->first();
        $place = Place::of($stamp->deviceAt->getTimestampMs(), $sent, $stamp->arrivedAt->getTimestampMs(), $sent === null ? null : $last?->own);

        return [$place, ($last->last ?? PHP_INT_MIN) > $place->at];
    }
}
