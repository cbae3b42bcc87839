<?php

declare(strict_types=1);

namespace App\Models;

/**
 * @property int $id
 * @property int $machine_id
 * @property int $entry_id
 * @property int $at
 * @property int|null $gate
 * @property string $text
 */
final class Note extends OfCompany
{
    protected $table = 'notes';

    protected $fillable = ['machine_id', 'entry_id', 'at', 'gate', 'text'];

    public $timestamps = false;
}
