<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Builder;

/**
 * Something done to a building or machine that must be undone before leaving.
 *
 * @property int $id
 * @property int $machine_id
 * @property int $entry_id
 * @property int $at
 * @property string $kind
 * @property string $what
 * @property list<int> $shuts
 * @property int|null $limit_minutes
 * @property int $holder_id
 */
final class PutBack extends OfCompany
{
    protected $table = 'put_backs';

    protected $fillable = ['machine_id', 'entry_id', 'at', 'kind', 'what', 'shuts', 'limit_minutes', 'holder_id'];

    public $timestamps = false;

    protected $casts = ['shuts' => 'array'];

    /** @return Builder<self> those of a machine that nobody has closed */
    public static function out(int $machineId): Builder
    {
        $query = self::query()->where('machine_id', $machineId);
        $query->whereNotExists(fn ($closed) => $closed->from('put_back_closings')->whereColumn('put_back_closings.put_back_id', 'put_backs.id'));

        return $query;
    }

    /** Whoever put it on says what becomes of it, and for others those whose role has it. */
    public function isSettledBy(User $person): bool
    {
        return $person->role->may($this->holder_id === $person->id ? 'close_own_put_back' : 'close_any_put_back');
    }
}
