<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Entry;
use App\Models\EntryKind;
use App\Models\Machine;
use App\Models\PutBack;
use App\Models\RecordedVerdict;
use App\Models\SiteJob;
use App\Models\SuspectMark;
use App\Models\User;
use App\Views\DayView;
use Illuminate\Database\Query\Builder;
use IronStart\Core\Entry\NextLook;
use IronStart\Core\Entry\Warranty;
use IronStart\Core\Gate\CheckTable;
use IronStart\Core\Wording\Phrases;

/** Days on which something of a machine is due: looks, registrations, ends of warranties, open items, what was left out. */
final class DaysToCome
{
    private const HAND_OVER = 12;
    /** What a warranty entry names, with the kind of day it is. */
    private const WARRANTY = ['register_by' => 'register', 'parts_until' => 'covered', 'compressor_until' => 'covered', 'labor_until' => 'covered'];

    public function __construct(private readonly Phrases $phrases)
    {
    }

    /** @return list<DayView> what is due by a day, or ever, on the machines a person sees; the earliest first */
    public function for(User $person, ?string $until = null): array
    {
        $seen = fn (Builder $query): Builder => $query->unless($person->role->may('see_all_jobs'), fn (Builder $own) => $own->whereExists(SiteJob::isOn($person)));

        return $this->all($seen, $until);
    }

    /** @return list<DayView> those of one machine, the earliest first */
    public function of(Machine $machine): array
    {
        return $this->all(fn (Builder $query): Builder => $query->where('machines.id', $machine->id), null);
    }

    /**
     * @param \Closure(Builder): Builder $seen
     * @return list<DayView>
     */
    private function all(\Closure $seen, ?string $until): array
    {
        $days = [...$this->said($seen), ...$this->items($seen), ...$this->left($seen)];
        $days = array_filter($days, fn (DayView $day): bool => $day->day !== '' && ($until === null || $day->day <= $until));
        usort($days, fn (DayView $a, DayView $b): int => [$a->day, $a->id] <=> [$b->day, $b->id]);

        return $days;
    }

    /**
     * What verdicts name. The newest of its kind counts: a look closed by a later reading, a warranty by a later entry.
     *
     * @param \Closure(Builder): Builder $seen
     * @return list<DayView>
     */
    private function said(\Closure $seen): array
    {
        $query = RecordedVerdict::query()->whereIn('verdicts.check', ['entry.next_look', 'entry.warranty'])
            ->selectSub(fn (Builder $later) => $later->from('verdicts as v')->whereColumn('v.company_id', 'verdicts.company_id')->whereColumn('v.machine_id', 'verdicts.machine_id')->whereColumn('v.at', '>', 'verdicts.at')->whereNotExists(SuspectMark::flags('v'))->selectRaw('jsonb_agg(DISTINCT v."check")'), 'later')
            ->whereNotExists(SuspectMark::flags('verdicts'))
            ->whereNotExists(Entry::corrections('verdicts'));
        $days = [];
        foreach (self::rows($query->toBase(), 'verdicts', $seen, ['verdicts.at', 'verdicts.check', 'verdicts.input']) as $row) {
            $input = json_decode($row->input, true);
            if ($row->check === 'entry.next_look') {
                $check = NextLook::READS[$input['read'] ?? ''] ?? '';
                $days["look $row->machine_id $check"] = $check === '' || in_array($check, json_decode($row->later ?? '[]', true), true) ? null : $this->day($row, "look-$check", $input['day'] ?? '', 'look', $this->phrases->question($check), CheckTable::gatesOf($check)[0] ?? self::HAND_OVER);
                continue;
            }
            foreach (self::WARRANTY as $field => $kind) {
                $day = $kind === 'register' ? Warranty::registerBy($input) : (string) ($input[$field] ?? '');
                $days["$field $row->machine_id"] = $day === '' ? null : $this->day($row, $field, $day, $kind, $this->phrases->field('entry.warranty', $field)[0], self::HAND_OVER);
            }
        }

        return array_values(array_filter($days));
    }

    /**
     * @param \Closure(Builder): Builder $seen
     * @return list<DayView> open items with the day their last owner took
     */
    private function items(\Closure $seen): array
    {
        $owned = Entry::query()->toBase()->from('entries as o')->whereColumn('o.company_id', 'entries.company_id')->whereColumn('o.machine_id', 'entries.machine_id')->whereColumn('o.about', 'entries.at')->where('o.kind', EntryKind::ItemOwned->value)->orderByDesc('o.at')->limit(1);
        $query = Entry::openItems()->selectSub((clone $owned)->selectRaw("o.details->>'due'"), 'owned');
        $days = [];
        foreach (self::rows($query->toBase(), 'entries', $seen, ['entries.at', 'entries.details']) as $row) {
            $item = json_decode($row->details, true);
            $days[] = $this->day($row, "item-$row->at", $row->owned ?? (string) ($item['due'] ?? ''), 'item', (string) $item['what'], self::HAND_OVER);
        }

        return $days;
    }

    /**
     * @param \Closure(Builder): Builder $seen
     * @return list<DayView> what was left out, with its owner's day
     */
    private function left(\Closure $seen): array
    {
        $query = PutBack::query()->join('put_backs_left as l', fn ($join) => $join->on('l.company_id', '=', 'put_backs.company_id')->on('l.put_back_id', '=', 'put_backs.id'))
            ->whereNotExists(fn (Builder $closed) => $closed->from('put_back_closings as c')->whereColumn('c.company_id', 'put_backs.company_id')->whereColumn('c.put_back_id', 'put_backs.id'));
        $days = [];
        foreach (self::rows($query->toBase(), 'put_backs', $seen, ['l.at', 'put_backs.id', 'put_backs.what', 'l.due']) as $row) {
            $days[$row->id] = $this->day($row, "out-$row->id", $row->due, 'put_back', $row->what, self::HAND_OVER);
        }

        return array_values($days);
    }

    /**
     * @param \Closure(Builder): Builder $seen
     * @param list<string>               $columns
     * @return list<\stdClass> in the order they were recorded
     */
    private static function rows(Builder $query, string $table, \Closure $seen, array $columns): array
    {
        $rows = $query->join('machines', fn ($join) => $join->on('machines.company_id', '=', "$table.company_id")->on('machines.id', '=', "$table.machine_id"))
            ->join('site_jobs', 'site_jobs.id', '=', 'machines.site_job_id')->join('sites', 'sites.id', '=', 'site_jobs.site_id');

        return array_values($seen($rows)->orderBy($columns[0])->addSelect([...$columns, 'machines.id as machine_id', 'machines.name as machine', 'sites.name as site'])->get()->all());
    }

    /** @param string $id stays the same when the day is moved, so that a calendar moves it too */
    private function day(\stdClass $row, string $id, string $day, string $kind, string $what, int $gate): DayView
    {
        return new DayView("$id-$row->machine_id", $day, $kind, $row->machine_id, $row->machine, $row->site, $what, $gate);
    }
}
