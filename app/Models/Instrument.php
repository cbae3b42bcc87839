<?php

declare(strict_types=1);

namespace App\Models;

/**
 * @property int $id
 * @property string $name
 * @property string $kind
 * @property string $serial
 * @property string $accuracy as its maker states it, such as ±0.5 %
 * @property array<string, mixed>|null $logger what the columns of its files are
 * @property \Carbon\CarbonImmutable|null $calibration_due
 */
final class Instrument extends OfCompany
{
    protected $table = 'instruments';

    protected $fillable = ['name', 'kind', 'serial', 'accuracy', 'calibration_due', 'logger'];

    protected $casts = ['calibration_due' => 'immutable_date', 'logger' => 'array'];

    public function isOverdue(\Carbon\CarbonImmutable $day): bool
    {
        return $this->calibration_due?->isBefore($day->startOfDay()) ?? false;
    }
}
