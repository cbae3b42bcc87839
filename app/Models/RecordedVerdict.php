<?php

declare(strict_types=1);

namespace App\Models;

/**
 * A verdict as it was said, with the input it was said about.
 *
 * @property int $id
 * @property int $machine_id
 * @property int $entry_id
 * @property int $at
 * @property string $check
 * @property int $check_version
 * @property string $subject
 * @property string $status
 * @property bool $marginal
 * @property list<string> $codes
 * @property string $units
 * @property array<string, mixed> $input
 * @property list<array<string, mixed>> $findings
 * @property array<string, mixed> $said
 */
final class RecordedVerdict extends OfCompany
{
    protected $table = 'verdicts';

    protected $fillable = ['machine_id', 'entry_id', 'at', 'check', 'check_version', 'subject', 'status', 'marginal', 'codes', 'units', 'input', 'findings', 'said'];

    public $timestamps = false;

    protected $casts = ['codes' => 'array', 'input' => 'array', 'findings' => 'array', 'said' => 'array', 'marginal' => 'bool'];
}
