<?php

declare(strict_types=1);

namespace App\Models;

use App\Support\Role;
use Illuminate\Database\Eloquent\Builder;

/**
 * A link that lets somebody in, once: to begin with, or with a new password.
 *
 * @property int $id
 * @property int $company_id
 * @property 'invite'|'reset' $kind
 * @property string $name
 * @property string $email
 * @property Role $role
 * @property int|null $user_id
 * @property int|null $made_by null where the command line made it
 * @property \Carbon\CarbonImmutable $expires_at
 * @property \Carbon\CarbonImmutable|null $used_at
 * @property \Carbon\CarbonImmutable|null $withdrawn_at
 */
final class Invitation extends OfCompany
{
    protected $table = 'invitations';

    protected $fillable = ['kind', 'token_hash', 'name', 'email', 'role', 'user_id', 'made_by', 'made_at', 'expires_at', 'used_at'];

    protected $hidden = ['token_hash'];

    public $timestamps = false;

    protected $casts = ['role' => Role::class, 'made_at' => 'immutable_datetime', 'expires_at' => 'immutable_datetime', 'used_at' => 'immutable_datetime', 'withdrawn_at' => 'immutable_datetime'];

    /** @return Builder<self> those that were neither used nor withdrawn; their time may be over */
    public static function unspent(): Builder
    {
        $query = self::query();
        $query->whereNull('used_at')->whereNull('withdrawn_at');

        return $query;
    }

    /** Whether it lets somebody in now. */
    public function isOpen(): bool
    {
        return $this->used_at === null && $this->withdrawn_at === null && ! $this->expires_at->isPast();
    }
}
