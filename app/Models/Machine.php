<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * @property int $id
 * @property int $company_id
 * @property int $site_job_id
 * @property int|null $sheet_version_id
 * @property string $name
 * @property string $place
 * @property string $serial
 * @property string $summary
 * @property string $history
 * @property array<string, bool> $facts what was said of this unit where units differ: yes or no
 * @property int $position
 * @property int $last_at
 * @property string $record_id names the chain of its record
 * @property int $chained_at the last entry in the chain
 * @property string $digest of that entry
 * @property-read SiteJob $job
 * @property-read SheetVersion|null $sheet
 * @property int $version counts the changes by the office
 * @property \Carbon\CarbonImmutable|null $updated_at
 */
final class Machine extends OfCompany
{
    protected $table = 'machines';

    protected $fillable = ['site_job_id', 'sheet_version_id', 'name', 'place', 'serial', 'summary', 'history', 'position', 'facts'];

    protected $attributes = ['facts' => '{}'];

    protected $casts = ['facts' => 'array'];

    /** @return BelongsTo<SiteJob, $this> */
    public function job(): BelongsTo
    {
        return $this->belongsTo(SiteJob::class, 'site_job_id');
    }

    /** @return BelongsTo<SheetVersion, $this> */
    public function sheet(): BelongsTo
    {
        return $this->belongsTo(SheetVersion::class, 'sheet_version_id');
    }
}
