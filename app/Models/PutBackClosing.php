<?php

declare(strict_types=1);

namespace App\Models;

/**
 * @property int $id
 * @property int $machine_id
 * @property int $entry_id
 * @property int $at
 * @property int $put_back_id
 * @property string $word
 */
final class PutBackClosing extends OfCompany
{
    protected $table = 'put_back_closings';

    protected $fillable = ['machine_id', 'entry_id', 'at', 'put_back_id', 'word'];

    public $timestamps = false;
}
