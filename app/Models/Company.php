<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * @property int $id
 * @property string $name
 * @property string $units
 * @property string $time_zone
 * @property bool $is_demo
 * @property array{facts?: list<string>} $defaults
 * @property int $version
 * @property \Carbon\CarbonImmutable|null $updated_at
 */
final class Company extends Model
{
    protected $fillable = ['name', 'units', 'time_zone', 'is_demo'];

    protected $casts = ['is_demo' => 'bool', 'defaults' => 'array'];
}
