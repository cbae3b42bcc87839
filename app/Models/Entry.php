<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Query\Builder as Rows;
use Illuminate\Database\Query\JoinClause;

/**
 * One line of a machine's tape, in the machine's own count.
 *
 * @property int $id
 * @property int $machine_id
 * @property int $at
 * @property string $kind
 * @property int $user_id
 * @property \Carbon\CarbonImmutable $device_at
 * @property \Carbon\CarbonImmutable $recorded_at
 * @property int|null $supersedes
 * @property list<int> $out_of_order
 * @property string $reason
 * @property \Carbon\CarbonImmutable $placed_at where it stands in the machine's time
 * @property int $correction_ms what was added to the device's time to get there
 * @property int|null $about the entry it belongs to
 * @property array<string, mixed> $details
 */
final class Entry extends OfCompany
{
    /** To the millisecond, with its zone. */
    public const MOMENT = 'Y-m-d H:i:s.vP';

    protected $table = 'entries';

    protected $fillable = ['machine_id', 'at', 'kind', 'user_id', 'device_id', 'device_at', 'recorded_at', 'supersedes', 'out_of_order', 'reason', 'placed_at', 'correction_ms', 'about', 'details'];

    public $timestamps = false;

    protected $dateFormat = self::MOMENT;

    protected $casts = ['device_at' => 'immutable_datetime', 'recorded_at' => 'immutable_datetime', 'placed_at' => 'immutable_datetime', 'out_of_order' => 'array', 'details' => 'array'];

    /** A place in time as the database compares it. */
    public static function moment(int $milliseconds): string
    {
        return CarbonImmutable::createFromTimestampMsUTC($milliseconds)->format(self::MOMENT);
    }

    /** What was put in the list to be put back, just now, under this entry's own place. */
    public function opened(): ?PutBack
    {
        $putBack = $this->relationLoaded('opened') ? $this->getRelation('opened') : null;

        return $putBack instanceof PutBack ? $putBack : null;
    }

    /** Joins what an entry wrote beside it, by the keys that begin with the company. */
    public static function beside(string $table): \Closure
    {
        return fn (JoinClause $join) => $join->on("$table.company_id", '=', 'entries.company_id')->on("$table.machine_id", '=', 'entries.machine_id')->on("$table.at", '=', 'entries.at');
    }

    /** @return \Closure(Rows): mixed the entries that took the place of a row's own; for `whereNotExists` */
    public static function corrections(string $table): \Closure
    {
        return fn (Rows $later) => $later->from('entries as c')->whereColumn('c.company_id', "$table.company_id")->whereColumn('c.machine_id', "$table.machine_id")->whereColumn('c.supersedes', "$table.at");
    }

    /** @return Builder<self> the clocks nobody has stopped */
    public static function runningClocks(): Builder
    {
        return self::unended(EntryKind::ClockStarted, EntryKind::ClockStopped);
    }

    /** @return Builder<self> what was left for somebody and is not done */
    public static function openItems(): Builder
    {
        return self::unended(EntryKind::ItemOpened, EntryKind::ItemDone);
    }

    /** @return Builder<self> those of a kind that no entry about them has ended */
    private static function unended(EntryKind $kind, EntryKind $end): Builder
    {
        $query = self::query()->where('entries.kind', $kind->value);
        $query->whereNotExists(fn ($ends) => $ends->from('entries as ends')->whereColumn('ends.company_id', 'entries.company_id')->whereColumn('ends.machine_id', 'entries.machine_id')->where('ends.kind', $end->value)->whereColumn('ends.about', 'entries.at'));

        return $query;
    }
}
