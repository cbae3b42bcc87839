<?php

declare(strict_types=1);

namespace App\Models;

/**
 * @property int $id
 * @property string $name
 * @property string $address
 * @property float $altitude_m
 * @property array<string, string> $safety
 * @property int $version counts the changes by the office
 * @property \Carbon\CarbonImmutable|null $updated_at
 */
final class Site extends OfCompany
{
    protected $table = 'sites';

    protected $fillable = ['name', 'address', 'altitude_m', 'safety'];

    protected $casts = ['safety' => 'array', 'altitude_m' => 'float'];
}
