<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Entry;
use App\Support\Moment;
use Illuminate\Database\Query\Builder;

/** What somebody else wrote first: who, when and with which words, for those who come second. */
final class Theirs
{
    public function __construct(private readonly TapeReader $tape)
    {
    }

    /**
     * The last entry of a kind.
     *
     * @param \Closure(Builder): mixed|null $which narrows the entries
     * @return array{theirs: array{at: int, who: string, when: string, words: string}}|array{}
     */
    public function last(int $machineId, string $kind, ?\Closure $which = null): array
    {
        $query = Entry::query()->where('machine_id', $machineId)->when($kind !== '', fn ($q) => $q->where('kind', $kind))->toBase();
        if ($which !== null) {
            $which($query);
        }
        $at = $query->max('at');

        return is_int($at) ? $this->entry($machineId, $at) : [];
    }

    /**
     * The word an entry of the put-back list was closed with.
     *
     * @return array{theirs: array{at: int, who: string, when: string, words: string}}|array{}
     */
    public function closing(int $machineId, int $putBackId): array
    {
        return $this->last($machineId, 'put_back_closed', fn (Builder $q) => $q->whereIn('id', fn (Builder $own) => $own->from('put_back_closings')->where('put_back_id', $putBackId)->select('entry_id')));
    }

    /** @return array{theirs: array{at: int, who: string, when: string, words: string}}|array{} */
    public function entry(int $machineId, int $at): array
    {
        $row = $this->tape->rows($machineId, $at)->first();

        return $row === null ? [] : ['theirs' => [
            'at' => $row->at,
            'who' => $row->who,
            'when' => Moment::iso($row->placed_at),
            'words' => $this->tape->headline($row),
        ]];
    }
}
