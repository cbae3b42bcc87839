<?php

declare(strict_types=1);

namespace App\Models;

/**
 * @property int $id
 * @property string $name
 * @property string $kind
 * @property string $serial
 * @property \Carbon\CarbonImmutable|null $calibration_due
 */
final class Instrument extends OfCompany
{
    protected $table = 'instruments';

    protected $fillable = ['name', 'kind', 'serial', 'calibration_due'];

    protected $casts = ['calibration_due' => 'immutable_date'];
}
