<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\Entry;
use App\Models\EntryKind;
use App\Support\Moment;
use Illuminate\Database\ConnectionInterface;

/** Writes out what an entry of a tape says, all of it, as the document that is chained and exported. */
final class EntryDocuments
{
    /** Whole numbers beyond this can't be told apart in JSON: they are written as text. */
    private const EXACT = 9_007_199_254_740_992;
    private const MAYBE_INEXACT = '/\d{16}/';

    private const OF_ALL = [
        'entries.id', 'entries.at', 'entries.kind', 'users.name as who', 'users.role as who_is', 'entries.device_id', 'entries.device_at', 'entries.recorded_at', 'entries.placed_at', 'entries.correction_ms',
        'entries.supersedes', 'entries.out_of_order', 'entries.reason', 'entries.about', 'entries.details',
    ];

    /** The kinds, the table they write to, its name here, its columns. */
    private const BESIDE = [
        [['check'], 'verdicts', 'verdicts', ['verdicts.check', 'verdicts.check_version', 'verdicts.subject', 'verdicts.status', 'verdicts.marginal', 'verdicts.codes', 'verdicts.units', 'verdicts.input', 'verdicts.said']],
        // A lock that a check found on is put back under the check's own place.
        [['check', 'put_back_opened'], 'put_backs', 'put_backs', ['put_backs.id as put_back', 'put_backs.kind as put_back_kind', 'put_backs.what', 'put_backs.shuts', 'put_backs.limit_minutes']],
        [['note'], 'notes', 'notes', ['notes.text as note', 'notes.gate as note_gate']],
        [['override'], 'overrides', 'overrides', ['overrides.gate']],
        [['suspect'], 'suspect_marks', 'suspect_marks', ['suspect_marks.target_at']],
        [['put_back_closed'], 'put_back_closings', 'closings', ['closings.put_back_id as closed', 'closings.word']],
        [['put_back_left'], 'put_backs_left', 'lefts', ['lefts.put_back_id as left_out', 'lefts.reason as left_reason', 'lefts.owner', 'lefts.due']],
    ];

    private const READINGS = <<<'SQL'
        (SELECT jsonb_agg(jsonb_build_object('path', r.path, 'kind', r.kind, 'value_read', r.value_read, 'unit_read', r.unit_read, 'value', r.value, 'unit', r.unit) ORDER BY r.id)
        FROM readings r WHERE r.company_id = entries.company_id AND r.machine_id = entries.machine_id AND r.at = entries.at) AS readings
        SQL;

    public function __construct(private readonly ConnectionInterface $db)
    {
    }

    /**
     * Rising, from the entry after this one on. Only what their kinds write beside the tape is read: planning a join
     * that can find nothing takes longer than all the rest.
     *
     * @param list<EntryKind> $kinds of these entries
     * @return list<array{entry: int, document: array<string, mixed>}>
     */
    public function after(int $companyId, int $machineId, int $at, array $kinds): array
    {
        $rows = $this->db->table('entries')->where('entries.company_id', $companyId)->where('entries.machine_id', $machineId)->where('entries.at', '>', $at)
            ->join('users', 'users.id', '=', 'entries.user_id')->select(self::OF_ALL)->orderBy('entries.at');
        foreach (self::BESIDE as [$of, $table, $as, $columns]) {
            if (array_intersect($of, array_map(fn (EntryKind $kind): string => $kind->value, $kinds)) !== []) {
                $rows->leftJoin("$table as $as", Entry::beside($as))->addSelect($columns);
            }
        }
        if (in_array(EntryKind::Check, $kinds, true)) {
            $rows->selectRaw(self::READINGS);
        }

        return array_map(fn (\stdClass $row): array => ['entry' => $row->id, 'document' => self::document($row)], array_values($rows->get()->all()));
    }

    /** @return array<string, mixed> */
    private static function document(\stdClass $row): array
    {
        $document = [
            'at' => $row->at,
            'kind' => $row->kind,
            'who' => ['name' => $row->who, 'role' => $row->who_is],
            'device' => $row->device_id,
            'device_at' => Moment::exact($row->device_at),
            'recorded_at' => Moment::exact($row->recorded_at),
            'placed_at' => Moment::exact($row->placed_at),
            'correction_ms' => $row->correction_ms,
        ];
        $document += array_filter(['supersedes' => $row->supersedes, 'about' => $row->about, 'reason' => $row->reason], fn (mixed $v): bool => $v !== null && $v !== '');
        $document += array_filter(['out_of_order' => self::read($row->out_of_order), 'details' => self::read($row->details)], fn (mixed $v): bool => $v !== [] && (array) $v !== []);
        $document += match ($row->kind) {
            'check' => self::check($row),
            'note' => ['note' => ['text' => $row->note, 'gate' => $row->note_gate]],
            'override' => ['override' => ['gate' => $row->gate]],
            'suspect' => ['suspect' => ['target' => $row->target_at]],
            'put_back_closed' => ['put_back' => ['id' => $row->closed, 'word' => $row->word]],
            'put_back_left' => ['put_back' => ['id' => $row->left_out, 'reason' => $row->left_reason, 'owner' => $row->owner, 'due' => $row->due]],
            default => [],
        };
        if (($row->put_back ?? null) !== null) {
            $document['put_back'] = ['id' => $row->put_back, 'kind' => $row->put_back_kind, 'what' => $row->what, 'shuts' => self::read($row->shuts), 'limit_minutes' => $row->limit_minutes];
        }

        return $document;
    }

    /** @return array<string, mixed> */
    private static function check(\stdClass $row): array
    {
        return [
            'check' => [
                'name' => $row->check, 'version' => $row->check_version, 'subject' => $row->subject, 'status' => $row->status, 'marginal' => $row->marginal,
                'codes' => self::read($row->codes), 'units' => $row->units, 'input' => self::read($row->input), 'said' => self::read($row->said),
            ],
            'readings' => self::read($row->readings ?? '[]'),
        ];
    }

    private static function read(?string $json): mixed
    {
        $read = json_decode($json ?? 'null', false, 512, JSON_THROW_ON_ERROR | JSON_BIGINT_AS_STRING);

        return preg_match(self::MAYBE_INEXACT, $json ?? '') === 1 ? self::exact($read) : $read;
    }

    private static function exact(mixed $value): mixed
    {
        return match (true) {
            is_int($value) && abs($value) > self::EXACT => (string) $value,
            is_array($value) => array_map(self::exact(...), $value),
            $value instanceof \stdClass => (object) array_map(self::exact(...), (array) $value),
            default => $value,
        };
    }
}
