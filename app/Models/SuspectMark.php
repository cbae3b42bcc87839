<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Query\Builder;

/**
 * Says that an earlier entry is doubted: kept, shown struck, not used.
 *
 * @property int $id
 * @property int $machine_id
 * @property int $entry_id
 * @property int $at
 * @property int $target_at
 * @property string $reason
 */
final class SuspectMark extends OfCompany
{
    protected $table = 'suspect_marks';

    protected $fillable = ['machine_id', 'entry_id', 'at', 'target_at', 'reason'];

    public $timestamps = false;

    /** @return \Closure(Builder): mixed the flags on what a row of a table was recorded by; for `whereNotExists` */
    public static function flags(string $table): \Closure
    {
        return fn (Builder $flag) => $flag->from('suspect_marks as flag')->whereColumn('flag.company_id', "$table.company_id")->whereColumn('flag.machine_id', "$table.machine_id")->whereColumn('flag.target_at', "$table.at");
    }
}
