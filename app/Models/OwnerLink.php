<?php

declare(strict_types=1);

namespace App\Models;

/**
 * A link an owner reads one record through, until it ends or is withdrawn.
 *
 * @property int $id
 * @property int $company_id
 * @property int $machine_id
 * @property string $for_whom
 * @property int $made_by
 * @property \Carbon\CarbonImmutable $made_at
 * @property \Carbon\CarbonImmutable $expires_at
 * @property \Carbon\CarbonImmutable|null $withdrawn_at
 * @property \Carbon\CarbonImmutable|null $opened_at
 */
final class OwnerLink extends OfCompany
{
    protected $table = 'owner_links';

    protected $fillable = ['machine_id', 'token_hash', 'for_whom', 'made_by', 'made_at', 'expires_at', 'withdrawn_at', 'withdrawn_by', 'opened_at'];

    protected $hidden = ['token_hash'];

    public $timestamps = false;

    protected $casts = ['made_at' => 'immutable_datetime', 'expires_at' => 'immutable_datetime', 'withdrawn_at' => 'immutable_datetime', 'opened_at' => 'immutable_datetime'];
}
