<?php

declare(strict_types=1);

namespace App\Models;

/**
 * Something that stays out on purpose.
 *
 * @property int $id
 * @property int $machine_id
 * @property int $entry_id
 * @property int $at
 * @property int $put_back_id
 * @property string $reason
 * @property string $owner
 * @property string $due a date, YYYY-MM-DD
 */
final class PutBackLeft extends OfCompany
{
    protected $table = 'put_backs_left';

    protected $fillable = ['machine_id', 'entry_id', 'at', 'put_back_id', 'reason', 'owner', 'due'];

    public $timestamps = false;
}
