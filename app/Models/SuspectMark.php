<?php

declare(strict_types=1);

namespace App\Models;

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
}
