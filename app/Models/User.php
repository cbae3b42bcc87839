<?php

declare(strict_types=1);

namespace App\Models;

use App\Support\Role;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Foundation\Auth\User as Authenticatable;

/**
 * A person. Not narrowed to the current company, since signing in comes before it is known.
 *
 * @property int $id
 * @property int $company_id
 * @property string $name
 * @property string $email
 * @property string $password
 * @property Role $role
 * @property 'us'|'si' $units
 * @property string $theme
 * @property bool $is_active
 * @property int $session_epoch counts the times everybody was signed out as this person
 * @property string $license under which refrigerant is handled; '' where none was told
 * @property array<string, string> $field_units
 * @property-read Company $company
 */
final class User extends Authenticatable
{
    protected $fillable = ['company_id', 'name', 'email', 'password', 'role', 'units', 'theme', 'field_units', 'license'];

    protected $attributes = ['units' => 'us', 'theme' => 'device', 'field_units' => '{}', 'is_active' => true, 'license' => '', 'session_epoch' => 0];

    protected $hidden = ['password', 'remember_token'];

    protected $casts = ['is_active' => 'bool', 'password' => 'hashed', 'role' => Role::class, 'field_units' => 'array'];

    /** @return BelongsTo<Company, $this> */
    public function company(): BelongsTo
    {
        return $this->belongsTo(Company::class);
    }

    /** Whether this person may let somebody in as this, and a link they made still does. */
    public function mayLetIn(Role $role): bool
    {
        return $this->is_active && $this->role->may('people') && ($role !== Role::Lead || $this->role->may('leads'));
    }
}
