<?php

declare(strict_types=1);

namespace App\Models;

/**
 * A gate opened against a stop by a lead.
 *
 * @property int $id
 * @property int $machine_id
 * @property int $entry_id
 * @property int $at
 * @property int $gate
 * @property string $role
 * @property string $reason
 */
final class GateOverride extends OfCompany
{
    protected $table = 'overrides';

    protected $fillable = ['machine_id', 'entry_id', 'at', 'gate', 'role', 'reason'];

    public $timestamps = false;
}
