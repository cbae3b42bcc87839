<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Entry;
use App\Models\Machine;
use IronStart\Core\Check\Past;

/** What was recorded on a machine before, as far as a later check draws on it. */
final class PastReader
{
    private const KINDS = ['check', 'start', 'part_disabled', 'part_enabled', 'suspect'];

    public function __construct(private readonly Feeds $feeds)
    {
    }

    /** Read when a check asks for it, and not before. */
    public function of(Machine $machine): Past
    {
        return Past::whenAsked(fn (): Past => $this->read($machine, Past::DRAWN_ON));
    }

    /** What the sheet's figures hang on, and nothing else: it is asked for at every reading. */
    public function ofPlates(Machine $machine): Past
    {
        return Past::whenAsked(fn (): Past => $this->read($machine, [Past::NEW_PLATE]));
    }

    /**
     * @param iterable<\stdClass> $rows of the tape, in the order of their places
     * @param \Closure(): ?Feed $feed
     */
    public static function from(Machine $machine, iterable $rows, \Closure $feed): Past
    {
        $rows = is_array($rows) ? $rows : iterator_to_array($rows);
        $flagged = [];
        foreach ($rows as $row) {
            // What is doubted, and what was corrected later.
            $flagged[$row->target_at ?? ''] = $flagged[$row->supersedes ?? ''] = true;
        }
        $recorded = $out = [];
        $startedAt = null;
        $rank = 0;
        foreach ($rows as $row) {
            $rank++;
            $details = in_array($row->kind, ['part_disabled', 'part_enabled'], true) ? (array) json_decode($row->details ?? '{}', true) : [];
            $subject = is_string($details['subject'] ?? null) ? $details['subject'] : '';
            match ($row->kind) {
                'start' => $startedAt = $rank,
                'part_disabled' => $out[$subject] = array_values(array_filter((array) ($details['fans'] ?? []), is_string(...))),
                'part_enabled' => $out[$subject] = null,
                default => null,
            };
            if ($row->kind === 'check' && in_array($row->check, Past::DRAWN_ON, true) && ! isset($flagged[$row->at])) {
                $recorded[] = [
                    'check' => $row->check, 'subject' => $row->subject, 'status' => $row->status, 'codes' => array_values((array) json_decode($row->codes, true)),
                    'input' => (array) json_decode($row->input ?? '{}', true), 'values' => $row->values, 'at' => $rank,
                ];
            }
        }

        return new Past($recorded, self::motors($machine, array_filter($out, is_array(...))), $startedAt, fn (): ?array => ($told = $feed()) === null ? null : ['me' => $told->me, 'input' => $told->input]);
    }

    /** @param list<string> $checks that are drawn on */
    private function read(Machine $machine, array $checks): Past
    {
        $rows = Entry::query()->where('entries.machine_id', $machine->id)->whereIn('entries.kind', self::KINDS)
            ->leftJoin('verdicts', Entry::beside('verdicts'))
            ->leftJoin('suspect_marks', Entry::beside('suspect_marks'))
            ->where(fn ($query) => $query->whereNull('verdicts.check')->orWhereIn('verdicts.check', $checks))
            ->orderBy('entries.placed_at')->orderBy('entries.at')
            ->select(['entries.at', 'entries.kind', 'entries.details', 'entries.supersedes', 'suspect_marks.target_at', 'verdicts.check', 'verdicts.subject', 'verdicts.status', 'verdicts.codes', 'verdicts.input'])
            ->selectRaw('verdicts.said->\'values\' AS values')
            ->toBase()->get()->each(fn (\stdClass $row): array => $row->values = (array) json_decode($row->values ?? '{}', true));

        return self::from($machine, $rows, fn (): ?Feed => $this->feeds->of([$machine->id])[$machine->id] ?? null);
    }

    /**
     * @param array<string, list<string>> $out fans by the part they stay off with
     * @return list<string>
     */
    private static function motors(Machine $machine, array $out): array
    {
        if ($out === []) {
            return [];
        }
        $sheet = Standings::sheet($machine);
        $motors = [];
        foreach ($out as $subject => $fans) {
            $motors = [...$motors, ...$sheet->motorsOf($subject), ...$fans];
        }

        return array_values(array_unique($motors));
    }
}
