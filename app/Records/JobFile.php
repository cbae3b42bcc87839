<?php

declare(strict_types=1);

namespace App\Records;

use App\Actions\Tape;
use App\Models\Machine;
use App\Models\SiteJob;
use App\Models\User;
use App\Queries\DaysToCome;
use App\Queries\ReadingsTable;
use App\Queries\RecordSheet;

/** A job in one file (ZIP): of each unit its record as PDF and as a sealed file, its readings, photos, pages and days. */
final class JobFile
{
    public function __construct(
        private readonly Tape $tape,
        private readonly RecordSheet $sheet,
        private readonly RecordPaper $paper,
        private readonly RecordExport $export,
        private readonly ReadingsTable $readings,
        private readonly PhotoStore $photos,
        private readonly OnePage $pages,
        private readonly DaysToCome $days,
        private readonly DayCalendar $calendar,
    ) {
    }

    /** @return string the path of a file of its own, for whoever asked to remove */
    public function of(SiteJob $job, User $person): string
    {
        $job->load(['site', 'machines.sheet']);
        $path = (string) tempnam(sys_get_temp_dir(), 'job');
        unlink($path);
        $file = new \PharData("$path.zip", 0, null, \Phar::ZIP);
        foreach ($job->machines as $machine) {
            $machine->setRelation('job', $job);
            foreach ($this->parts($machine, $person) as $name => $content) {
                $file->addFromString(self::folder($machine) . "/$name", $content);
            }
        }
        unset($file);

        return "$path.zip";
    }

    /** @return \Generator<string, string> content by name */
    private function parts(Machine $machine, User $person): \Generator
    {
        $this->tape->catchUp($machine);
        $record = $this->sheet->of($machine, $person->company);
        yield 'record.pdf' => $this->paper->of($machine, $record, $person->company->time_zone);
        yield 'record.json' => $this->export->of($machine, $record);
        yield 'readings.csv' => $this->readings->of($record->evidence);
        yield 'days.ics' => $this->calendar->of($this->days->of($machine));
        foreach ($record->pages as $page) {
            yield "$page.pdf" => $this->pages->pdf($machine, $page, $person->company->time_zone);
        }
        foreach ($this->photos->files($machine) as $at => $photo) {
            yield sprintf('photos/%04d.jpg', $at) => (string) file_get_contents($photo);
        }
    }

    private static function folder(Machine $machine): string
    {
        return trim((string) preg_replace('/[^A-Za-z0-9-]+/', '-', "$machine->name-$machine->serial"), '-') . "-$machine->id";
    }
}
