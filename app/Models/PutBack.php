<?php

declare(strict_types=1);

namespace App\Models;

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
}
