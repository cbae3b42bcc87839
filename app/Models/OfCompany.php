<?php

declare(strict_types=1);

namespace App\Models;

use App\Support\CurrentCompany;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;

/**
 * A row that belongs to one company. Every query is narrowed to the current one, every new row gets it.
 */
abstract class OfCompany extends Model
{
    protected static function booted(): void
    {
        static::addGlobalScope('company', function (Builder $query): void {
            $query->where($query->getModel()->qualifyColumn('company_id'), app(CurrentCompany::class)->id());
        });
        static::creating(function (self $row): void {
            $row->setAttribute('company_id', app(CurrentCompany::class)->id());
        });
    }
}
