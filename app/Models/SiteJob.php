<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Query\Builder;

/**
 * @property int $id
 * @property int $company_id
 * @property int $site_id
 * @property string $title
 * @property string $type
 * @property bool $start_up_only
 * @property list<string> $facts
 * @property list<int> $asked
 * @property \Carbon\CarbonImmutable $starts_on
 * @property \Carbon\CarbonImmutable $ends_on
 * @property-read Site $site
 * @property-read \Illuminate\Database\Eloquent\Collection<int, Machine> $machines
 * @property-read \Illuminate\Database\Eloquent\Collection<int, User> $people
 * @property int $version counts the changes by the office
 * @property \Carbon\CarbonImmutable|null $updated_at
 */
final class SiteJob extends OfCompany
{
    protected $table = 'site_jobs';

    protected $fillable = ['site_id', 'title', 'type', 'start_up_only', 'facts', 'asked', 'starts_on', 'ends_on'];

    protected $casts = ['facts' => 'array', 'asked' => 'array', 'start_up_only' => 'bool', 'starts_on' => 'immutable_date', 'ends_on' => 'immutable_date'];

    /** @return BelongsTo<Site, $this> */
    public function site(): BelongsTo
    {
        return $this->belongsTo(Site::class);
    }

    /** @return HasMany<Machine, $this> */
    public function machines(): HasMany
    {
        return $this->hasMany(Machine::class)->orderBy('position');
    }

    /** @return BelongsToMany<User, $this> */
    public function people(): BelongsToMany
    {
        return $this->belongsToMany(User::class, 'job_people')->withPivotValue('company_id', $this->company_id ?? app(\App\Support\CurrentCompany::class)->id());
    }

    /** @return \Closure(Builder): mixed whether a person is on the job of a row's machine; for `whereExists` beside `machines` */
    public static function isOn(User $person): \Closure
    {
        return fn (Builder $on) => $on->from('job_people')->whereColumn('job_people.company_id', 'machines.company_id')->whereColumn('job_people.site_job_id', 'machines.site_job_id')->where('job_people.user_id', $person->id);
    }
}
