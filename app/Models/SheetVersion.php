<?php

declare(strict_types=1);

namespace App\Models;

/**
 * One version of an equipment sheet. A machine keeps the version it was started with.
 *
 * @property int $id
 * @property int $sheet_id
 * @property int $version
 * @property int|null $user_id who made it
 * @property array<string, mixed> $body
 */
final class SheetVersion extends OfCompany
{
    protected $table = 'sheet_versions';

    protected $fillable = ['sheet_id', 'version', 'body', 'user_id', 'created_at'];

    public $timestamps = false;

    protected $casts = ['body' => 'array', 'created_at' => 'immutable_datetime'];
}
