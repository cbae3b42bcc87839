<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Entry;
use App\Models\EntryKind;
use App\Models\Machine;
use App\Models\PutBack;
use App\Support\Moment;
use App\Views\PhotoView;
use App\Views\PutBackView;
use App\Views\ReadingView;
use App\Views\TapeEntry;
use Illuminate\Database\ConnectionInterface;
use Illuminate\Support\Collection;
use IronStart\Core\Wording\Phrases;
use IronStart\Core\Wording\Speaker;

/** Reads a machine's tape, newest first, and its put-back list. */
final class TapeReader
{
    /** Items of one list from which on it is a series, and how many of each end are told. */
    private const SERIES = 12;
    private const ENDS = 3;
    /** Bytes from which on a text is a file's. */
    private const FILE = 20_000;
    private const MINUTES_A_DAY = 1_440;

    public function __construct(private readonly ConnectionInterface $db, private readonly Phrases $phrases, private readonly Speaker $speaker, private readonly ToldReader $told)
    {
    }

    /** @return Collection<int, \stdClass> entries with all they say, in the order of their places in time */
    public function rows(int $machineId, ?int $only = null): Collection
    {
        return Entry::query()->where('entries.machine_id', $machineId)
            ->when($only !== null, fn ($query) => $query->where('entries.at', $only))
            ->join('users', 'users.id', '=', 'entries.user_id')
            ->leftJoin('verdicts', Entry::beside('verdicts'))
            ->leftJoin('notes', Entry::beside('notes'))
            ->leftJoin('put_back_closings', Entry::beside('put_back_closings'))
            ->leftJoin('put_backs', fn ($join) => $join->on('put_backs.company_id', '=', 'put_back_closings.company_id')->on('put_backs.id', '=', 'put_back_closings.put_back_id'))
            ->leftJoin('put_backs_left', Entry::beside('put_backs_left'))
            ->leftJoin('put_backs as kept', fn ($join) => $join->on('kept.company_id', '=', 'put_backs_left.company_id')->on('kept.id', '=', 'put_backs_left.put_back_id'))
            ->leftJoin('overrides', Entry::beside('overrides'))
            ->leftJoin('suspect_marks', Entry::beside('suspect_marks'))
            ->leftJoin('put_backs as opened', fn ($join) => $join->on('opened.company_id', '=', 'entries.company_id')->on('opened.machine_id', '=', 'entries.machine_id')->on('opened.entry_id', '=', 'entries.id'))
            ->orderBy('entries.placed_at')->orderBy('entries.at')
            ->toBase()
            ->select(['entries.at', 'entries.kind', 'entries.user_id', 'users.name as who', 'entries.device_at', 'entries.recorded_at', 'entries.placed_at', 'entries.correction_ms', 'entries.about', 'entries.details', 'suspect_marks.target_at', 'entries.supersedes', 'entries.out_of_order', 'entries.reason',
                'verdicts.check', 'verdicts.subject', 'verdicts.status', 'verdicts.marginal', 'verdicts.codes', 'verdicts.input', 'verdicts.said',
                'notes.text as note', 'put_back_closings.word', 'put_backs.what', 'opened.what as opened', 'kept.what as kept', 'put_backs_left.reason as left', 'put_backs_left.owner', 'put_backs_left.due', 'overrides.gate', 'overrides.role'])->selectRaw(TapeState::FAILED)->get()
            ->each(function (\stdClass $row): void {
                $row->said = (array) json_decode($row->said ?? '{}', true);
                [$row->headline, $row->next, $row->values] = [$row->said['headline'] ?? null, $row->said['next'][0] ?? null, $row->said['values'] ?? []];
            });
    }

    /**
     * @param Collection<int, \stdClass> $rows
     * @param bool $isTold what was answered and chosen is told in words too
     * @param bool $isWhole every reading of a long series too
     * @return list<TapeEntry> newest first
     */
    public function entries(int $machineId, Collection $rows, bool $isTold = false, bool $isWhole = false): array
    {
        $readings = $this->db->table('readings')->leftJoin('instruments', 'instruments.id', '=', 'readings.instrument_id')
            ->where('readings.company_id', app(\App\Support\CurrentCompany::class)->id())->where('readings.machine_id', $machineId)->orderBy('readings.id')
            ->get(['readings.at', 'check', 'path', 'value_read', 'unit_read', 'value', 'unit', 'instruments.name as instrument'])->groupBy('at');
        $doubted = $rows->whereNotNull('target_at')->pluck('reason', 'target_at');
        $superseded = $rows->whereNotNull('supersedes')->pluck('at', 'supersedes');
        $photos = $rows->where('kind', 'photo')->groupBy('about');
        $entries = [];
        foreach ($rows as $row) {
            $details = json_decode($row->details, true);
            $tool = $details['instrument'] ?? [];
            $said = $row->said;
            $read = $readings[$row->at] ?? collect();
            $input = json_decode($row->input ?? '{}', true);
            $entries[] = new TapeEntry(
                at: $row->at,
                kind: $row->kind,
                who: $row->who,
                whoId: $row->user_id,
                deviceAt: Moment::exact($row->device_at),
                recordedAt: Moment::exact($row->recorded_at),
                title: $row->check === null ? $this->phrases->common('entries', $row->kind) : $this->phrases->short($row->check) . self::about((string) $row->subject),
                headline: $this->headline($row),
                check: $row->check ?? '',
                subject: $row->subject ?? '',
                status: $row->status ?? '',
                marginal: (bool) ($row->marginal ?? false),
                because: $said['because'] ?? [],
                next: $said['next'] ?? [],
                basis: $said['basis'] ?? [],
                readings: ($isWhole ? $read : self::shortened($read))->map(fn (\stdClass $r): ReadingView => new ReadingView($r->path, $this->label($r->check, $r->path, $input), (float) $r->value_read, $r->unit_read, (float) $r->value, $r->unit))->values()->all(),
                readingsInAll: $read->count(),
                input: (object) ($isWhole ? $input : self::withoutFiles($input)),
                instrument: (string) ($read->first()->instrument ?? ''),
                instrumentDue: $tool['calibration_due'] ?? '',
                instrumentOverdue: $tool['overdue'] ?? false,
                source: (string) ($details['source'] ?? ''),
                license: (string) ($details['license'] ?? ''),
                conditions: (string) ($details['conditions']['words'] ?? ''),
                suspect: (string) ($doubted[$row->at] ?? ''),
                supersededBy: $superseded[$row->at] ?? null,
                outOfOrder: json_decode($row->out_of_order, true),
                reason: $row->reason,
                placedAt: Moment::exact($row->placed_at),
                correctionMs: $row->correction_ms,
                about: $row->about,
                photos: array_values(($photos[$row->at] ?? collect())->map(self::photo(...))->all()),
                values: (object) ($said['values'] ?? []),
                drawing: (object) ($said['drawing'] ?? []),
                told: $isTold && $row->check !== null ? $this->told->of($row->check, $input) : [],
                mayPhoto: EntryKind::tryFrom($row->kind)?->mayHavePhotos() === true,
            );
        }

        return array_reverse($entries);
    }

    /**
     * What came out of a file stands whole in the record's file; a screen has no use for its lines.
     *
     * @param array<string, mixed> $input
     * @return array<string, mixed>
     */
    private static function withoutFiles(array $input): array
    {
        return array_filter($input, fn (mixed $one): bool => ! is_string($one) || strlen($one) <= self::FILE);
    }

    /**
     * Of a long series only its ends are told one by one: it is drawn, and stands whole in the entry's input, in the record
     * file and in the readings as CSV.
     *
     * @param Collection<int, \stdClass> $readings
     * @return Collection<int, \stdClass>
     */
    private static function shortened(Collection $readings): Collection
    {
        if ($readings->count() <= self::SERIES) {
            return $readings;
        }
        $place = fn (\stdClass $r): array => preg_match('/^(\w+)\.(\d+)\./', $r->path, $at) === 1 ? [$at[1], (int) $at[2]] : ['', 0];
        $last = [];
        foreach ($readings as $reading) {
            [$list, $i] = $place($reading);
            $last[$list] = max($last[$list] ?? 0, $i);
        }

        return $readings->filter(function (\stdClass $reading) use ($place, $last): bool {
            [$list, $i] = $place($reading);

            return $last[$list] < self::SERIES || $i < self::ENDS || $i > $last[$list] - self::ENDS;
        });
    }

    /**
     * @param Collection<int, Machine> $machines
     * @return list<PutBackView> oldest first
     */
    public function putBack(Collection $machines, bool $openOnly): array
    {
        $names = $machines->pluck('name', 'id');
        $rows = PutBack::query()->whereIn('put_backs.machine_id', $names->keys()->all())
            ->join('users', 'users.id', '=', 'put_backs.holder_id')
            ->join('entries', 'entries.id', '=', 'put_backs.entry_id')
            ->leftJoin('put_back_closings', fn ($join) => $join->on('put_back_closings.company_id', '=', 'put_backs.company_id')->on('put_back_closings.put_back_id', '=', 'put_backs.id'))
            ->leftJoin('put_backs_left as l', fn ($join) => $join->on('l.company_id', '=', 'put_backs.company_id')->where('l.id', '=', fn ($last) => $last->from('put_backs_left')->selectRaw('max(id)')->whereColumn('put_back_id', 'put_backs.id')))
            ->when($openOnly, fn ($query) => $query->whereNull('put_back_closings.id'))
            ->orderBy('put_backs.id')->toBase()
            ->get(['put_backs.id', 'put_backs.machine_id', 'put_backs.kind', 'what', 'users.name as who', 'holder_id', 'entries.device_at', 'limit_minutes', 'shuts', 'put_back_closings.id as closing', 'word', 'l.reason as left', 'l.owner', 'l.due']);

        return array_values($rows->map(fn (\stdClass $row): PutBackView => new PutBackView(
            $row->id,
            $row->machine_id,
            (string) $names[$row->machine_id],
            $row->kind,
            $row->what,
            $row->who,
            $row->holder_id,
            Moment::exact($row->device_at),
            $row->limit_minutes,
            json_decode($row->shuts, true),
            $row->closing !== null,
            $row->word ?? '',
            $row->left ?? '',
            $row->owner ?? '',
            $row->due ?? '',
        ))->all());
    }

    /** What an entry says, in one line. */
    public function headline(\stdClass $row): string
    {
        return match ($row->kind) {
            'check' => (string) $row->headline,
            'note' => (string) $row->note,
            'put_back_opened' => (string) $row->opened,
            'override' => $this->phrases->common('gate_names', (string) $row->gate) . ": $row->reason",
            'put_back_left' => "$row->kept: $row->left ($row->owner, $row->due)",
            'put_back_closed' => trim("$row->what: $row->word", ': '),
            'start', 'suspect' => '',
            default => $this->told($row),
        };
    }

    /** What of the machine it is about, where that is not the whole. */
    private static function about(string $subject): string
    {
        return $subject === '' || $subject === 'machine' ? '' : ', ' . strtr($subject, ['compressor:' => '', ':' => ' ', '_' => ' ', '/' => ', ']);
    }

    private function told(\stdClass $row): string
    {
        $words = array_filter((array) json_decode($row->details, true), fn (mixed $v): bool => is_scalar($v) && $v !== '');

        $minutes = $words['minutes'] ?? 0;
        // Two days and more are told in days.
        $days = is_int($minutes) && $minutes >= 2 * self::MINUTES_A_DAY ? intdiv($minutes, self::MINUTES_A_DAY) : 0;

        return trim($this->speaker->format($this->phrases->common('tape', $row->kind), $words + ['days' => $days, 'owner' => 'none', 'due' => '', 'word' => '', 'caption' => '', 'why' => '', 'wire' => '', 'who' => '']), ' :');
    }

    /**
     * What a figure is of; one of a load names it.
     *
     * @param array<string, mixed> $input
     */
    private function label(string $check, string $path, array $input): string
    {
        [$label] = $this->phrases->field($check, (string) preg_replace('/\.\d+(?=\.|$)/', '', $path));
        if (preg_match('/^(\w+)\.(\d+)\./', $path, $at) !== 1) {
            return $label;
        }
        $item = $input[$at[1]][(int) $at[2]] ?? null;
        // An item is told by its name; one without by its place.
        $of = is_array($item) && is_string($item['name'] ?? null) ? $item['name'] : (string) ((int) $at[2] + 1);

        return "$of: $label";
    }

    private static function photo(\stdClass $row): PhotoView
    {
        $details = json_decode($row->details, true);

        return new PhotoView($row->at, $details['caption'] ?? '', $details['item'] ?? '', $details['width'], $details['height']);
    }
}
