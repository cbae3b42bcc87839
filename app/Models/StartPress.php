<?php

declare(strict_types=1);

namespace App\Models;

/**
 * Somebody said "starting it now".
 *
 * @property int $id
 * @property int $machine_id
 * @property int $entry_id
 * @property int $at
 */
final class StartPress extends OfCompany
{
    protected $table = 'start_presses';

    protected $fillable = ['machine_id', 'entry_id', 'at'];

    public $timestamps = false;
}
