<?php

declare(strict_types=1);

namespace App\Records;

use App\Views\PhotoView;
use App\Views\ReadingView;
use App\Views\RecordView;
use App\Views\TapeEntry;
use App\Views\ToldView;
use Carbon\CarbonImmutable;
use IronStart\Core\Quantity\Units;

/** The evidence on paper: every entry as it was read, oldest first, with its drawing and its pictures. */
final readonly class EvidencePages
{
    /** A device whose clock is off by more, or an entry that came later, shows both times. */
    private const LATE_SECONDS = 60;
    private const DRAWING = 112.0;
    /** Of what has figures along its lines. */
    private const WIDE = 196.0;
    private const WIDE_SHAPES = ['curve', 'dome', 'column', 'ranking', 'stairs', 'psychrometric', 'ladder', 'wires'];
    private const PHOTO = 88.0;
    private const STATUS = ['stop' => Pen::STOP, 'watch' => Pen::WATCH, 'clear' => Pen::CLEAR];

    /** @param \Closure(PhotoView): string $picture the file of a photo; '' when it is not there */
    public function __construct(private string $timeZone, private \Closure $picture, private string $drafts)
    {
    }

    public function write(Pen $pen, RecordView $record): void
    {
        $pen->turn();
        $pen->heading('Evidence', "$record->readings readings, $record->verdicts verdicts, as they were read. " . implode(', ', $record->people) . '.');
        foreach ($record->evidence as $entry) {
            if ($entry->kind !== 'photo') {
                $this->entry($pen, $entry);
            }
        }
    }

    private function entry(Pen $pen, TapeEntry $entry): void
    {
        $drawing = $this->drawing($entry);
        $width = $pen->width() - ($drawing === null ? 0.0 : $drawing[1] + 10);
        $isStruck = $entry->suspect !== '';
        $of = fn (string $text, string $font = 'text', float $size = 9.5, array $color = Pen::INK): array => [$text, $font, $size, $color];
        $title = [$of($entry->title, 'bold', 10.0)];
        if ($entry->status !== '') {
            $title[] = $of(" $entry->status", 'bold', 10.0, self::STATUS[$entry->status] ?? Pen::INK);
        }
        $lines = [
            ...$pen->lines($this->when($entry), $width),
            ...$pen->lines($title, $width, $isStruck),
            ...($entry->supersededBy === null ? [] : $pen->lines([$of("corrected by $entry->supersededBy", 'text', 8.0, Pen::SOFT)], $width)),
            ...$pen->lines([$of($entry->headline)], $width, $isStruck),
        ];
        foreach ($entry->because as $line) {
            array_push($lines, ...$pen->lines([$of($line, 'text', 8.0, Pen::SOFT)], $width));
        }
        if ($isStruck) {
            array_push($lines, ...$pen->lines([$of("Flagged: $entry->suspect", 'text', 9.5, Pen::STOP)], $width));
        }
        if ($entry->outOfOrder !== []) {
            array_push($lines, ...$pen->lines([$of(trim("Read out of order. $entry->reason"), 'text', 9.5, Pen::STOP)], $width));
        }
        array_push($lines, ...$pen->lines(self::readings($entry->readings), $width), ...$pen->lines(self::told($entry->told), $width));
        $photos = [];
        foreach ($entry->photos as $photo) {
            $file = ($this->picture)($photo);
            if ($file !== '') {
                $photos[] = [$file, self::PHOTO * $photo->width / max(1, $photo->height), self::PHOTO];
            }
        }
        $pen->entry($lines, $drawing, $photos);
    }

    /** @return list<array{string, string, float, list<float>}> */
    private function when(TapeEntry $entry): array
    {
        $at = fn (string $iso): string => CarbonImmutable::parse($iso)->setTimezone($this->timeZone)->format('Y-m-d H:i');
        $isLate = max(abs($entry->correctionMs) / 1000, CarbonImmutable::parse($entry->placedAt)->diffInSeconds(CarbonImmutable::parse($entry->recordedAt))) > self::LATE_SECONDS;
        $runs = [[implode(' · ', array_filter([
            (string) $entry->at, $at($entry->placedAt), $isLate ? "device clock {$at($entry->deviceAt)}, received {$at($entry->recordedAt)}" : '', $entry->license === '' ? $entry->who : "$entry->who (license $entry->license)", $entry->instrument, $entry->source, $entry->conditions,
        ], fn (string $part): bool => $part !== '')), 'text', 8.0, Pen::SOFT]];
        if ($entry->instrumentOverdue) {
            $runs[] = [", calibration overdue since $entry->instrumentDue", 'text', 8.0, Pen::STOP];
        }

        return $runs;
    }

    /**
     * @param list<ReadingView> $readings
     * @return list<array{string, string, float, list<float>}>
     */
    private static function readings(array $readings): array
    {
        $runs = [];
        foreach ($readings as $i => $reading) {
            $runs[] = [($i === 0 ? '' : '    ') . "$reading->label ", 'text', 8.0, Pen::SOFT];
            $runs[] = ["$reading->value " . Units::sign($reading->unit), 'figures', 10.5, Pen::INK];
        }

        return $runs;
    }

    /**
     * @param list<ToldView> $told
     * @return list<array{string, string, float, list<float>}>
     */
    private static function told(array $told): array
    {
        $runs = [];
        foreach ($told as $i => $one) {
            $runs[] = [($i === 0 ? '' : ' · ') . "$one->label: ", 'text', 8.5, Pen::INK];
            $runs[] = [$one->value, 'bold', 8.5, Pen::INK];
        }

        return $runs;
    }

    /** @return array{string, float, float}|null its file, width and height; null for an entry without one */
    private function drawing(TapeEntry $entry): ?array
    {
        $svg = Drawings::of($entry);
        if ($svg === '' || preg_match('/viewBox="[\d.-]+ [\d.-]+ ([\d.]+) ([\d.]+)"/', $svg, $box) !== 1) {
            return null;
        }
        // The same drawing is the same file: it is written once.
        $file = "$this->drafts/" . hash('sha256', $svg) . '.svg';
        if (! is_file($file)) {
            file_put_contents($file, $svg);
        }

        $width = in_array($entry->drawing->shape ?? '', self::WIDE_SHAPES, true) ? self::WIDE : self::DRAWING;

        return [$file, $width, $width * (float) $box[2] / max(1.0, (float) $box[1])];
    }
}
