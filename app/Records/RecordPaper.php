<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\Entry;
use App\Models\Machine;
use App\Views\PhotoView;
use App\Views\RecordView;
use App\Views\TapeEntry;
use Carbon\CarbonImmutable;
use IronStart\Core\Quantity\Units;

/** The record on paper: what the page shows, with drawings and pictures, and the last digest on every page. */
final class RecordPaper
{
    /** A device whose clock is off by more, or an entry that came later, shows both times. */
    private const LATE_SECONDS = 60;

    public function __construct(private readonly Paper $paper, private readonly PhotoStore $photos)
    {
    }

    public function of(Machine $machine, RecordView $record, string $timeZone): string
    {
        $files = Entry::query()->where('machine_id', $machine->id)->where('kind', 'photo')->pluck('details', 'at');

        return $this->paper->print('record', [
            'record' => $record,
            'when' => fn (string $iso): string => CarbonImmutable::parse($iso)->setTimezone($timeZone)->format('Y-m-d H:i'),
            'late' => fn (TapeEntry $e): bool => max(abs($e->correctionMs) / 1000, CarbonImmutable::parse($e->placedAt)->diffInSeconds(CarbonImmutable::parse($e->recordedAt))) > self::LATE_SECONDS,
            'title' => fn (TapeEntry $e): string => $e->title,
            'sign' => Units::sign(...),
            'role' => fn (string $role): string => $role === 'starter' ? 'start-up tech' : $role,
            'draw' => Drawings::of(...),
            'signature' => Drawings::signature(...),
            'svg' => fn (string $svg): string => 'data:image/svg+xml;base64,' . base64_encode($svg),
            'picture' => function (PhotoView $photo) use ($files, $machine): string {
                $path = $this->photos->preview($machine->company_id, (string) ($files[$photo->at]['sha256'] ?? ''));

                return is_file($path) ? $path : '';
            },
        ], "Record of $record->machine, $record->site", "$record->machine  $record->digest", 'letter');
    }
}
