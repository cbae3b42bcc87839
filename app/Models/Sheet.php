<?php

declare(strict_types=1);

namespace App\Models;

/**
 * @property int $id
 * @property string $model
 * @property string $maker
 * @property string $kind
 */
final class Sheet extends OfCompany
{
    protected $table = 'sheets';

    protected $fillable = ['model', 'maker', 'kind'];
}
