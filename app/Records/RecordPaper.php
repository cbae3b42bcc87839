<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\Machine;
use App\Views\RecordView;
use Carbon\CarbonImmutable;

/** The record on paper: what the page shows, with drawings and pictures, and the last digest on every page. */
final class RecordPaper
{
    public function __construct(private readonly Paper $paper, private readonly PhotoStore $photos)
    {
    }

    public function of(Machine $machine, RecordView $record, string $timeZone): string
    {
        $picture = $this->photos->of($machine);

        return $this->paper->print('record', [
            'record' => $record,
            'when' => fn (string $iso): string => CarbonImmutable::parse($iso)->setTimezone($timeZone)->format('Y-m-d H:i'),
            'role' => fn (string $role): string => $role === 'starter' ? 'start-up tech' : $role,
            'signature' => Drawings::signature(...),
            'svg' => fn (string $svg): string => 'data:image/svg+xml;base64,' . base64_encode($svg),
        ], "Record of $record->machine, $record->site", "$record->machine  $record->digest", 'letter', fn (Pen $pen, string $drafts) => (new EvidencePages($timeZone, $picture, $drafts))->write($pen, $record));
    }
}
