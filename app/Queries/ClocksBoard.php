<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Entry;
use App\Models\PutBack;
use App\Models\SiteJob;
use App\Models\User;
use App\Support\Moment;
use App\Views\ClocksView;
use App\Views\ClockView;
use Carbon\CarbonImmutable;
use Illuminate\Database\Query\Builder;
use IronStart\Core\Wording\Phrases;

/** Every clock that runs, or has ended and waits to be seen to, on the machines a person sees. */
final class ClocksBoard
{
    public function __construct(private readonly Phrases $phrases)
    {
    }

    public function for(User $person): ClocksView
    {
        $clocks = [...$this->started($person), ...$this->putBack($person)];
        usort($clocks, fn (ClockView $a, ClockView $b): int => [$a->endsAt, $a->id] <=> [$b->endsAt, $b->id]);

        return new ClocksView(Moment::exact(CarbonImmutable::now()), $clocks);
    }

    /** @return list<ClockView> */
    private function started(User $person): array
    {
        $query = Entry::runningClocks()->toBase();
        $rows = self::seenBy($query, 'entries', 'entries.user_id', $person)->get(['entries.machine_id', 'machines.name', 'entries.at', 'entries.placed_at', 'entries.details', 'users.name as who']);

        return array_values($rows->map(function (\stdClass $row): ClockView {
            $clock = json_decode($row->details, true);

            return $this->clock("m$row->machine_id-$row->at", $row, $row->at, null, $clock['kind'], $clock['name'], CarbonImmutable::parse($row->placed_at), $clock['minutes'], $this->phrases->common('clock_next', $clock['kind']));
        })->all());
    }

    /** @return list<ClockView> what is out and may not stand for ever; what is left out on purpose has its date instead */
    private function putBack(User $person): array
    {
        $query = PutBack::query()->whereNotNull('limit_minutes')->toBase()
            ->join('entries', 'entries.id', '=', 'put_backs.entry_id')
            ->whereNotExists(fn (Builder $closed) => $closed->from('put_back_closings as c')->whereColumn('c.company_id', 'put_backs.company_id')->whereColumn('c.put_back_id', 'put_backs.id'))
            ->whereNotExists(fn (Builder $left) => $left->from('put_backs_left as l')->whereColumn('l.company_id', 'put_backs.company_id')->whereColumn('l.put_back_id', 'put_backs.id'));
        $rows = self::seenBy($query, 'put_backs', 'put_backs.holder_id', $person)->get(['put_backs.machine_id', 'machines.name', 'put_backs.id', 'put_backs.what', 'limit_minutes', 'entries.placed_at', 'users.name as who']);

        return array_values($rows->map(fn (\stdClass $row): ClockView => $this->clock("p$row->id", $row, null, $row->id, 'put_back', $row->what, CarbonImmutable::parse($row->placed_at), $row->limit_minutes, $this->phrases->common('clock_next', 'put_back')))->all());
    }

    private static function seenBy(Builder $query, string $table, string $whose, User $person): Builder
    {
        return $query->join('machines', fn ($join) => $join->on('machines.company_id', '=', "$table.company_id")->on('machines.id', '=', "$table.machine_id"))
            ->join('users', 'users.id', '=', $whose)
            ->unless($person->role->may('see_all_jobs'), fn (Builder $own) => $own->whereExists(SiteJob::isOn($person)));
    }

    private function clock(string $id, \stdClass $row, ?int $at, ?int $putBack, string $kind, string $name, CarbonImmutable $start, int $minutes, string $next): ClockView
    {
        return new ClockView($id, $row->machine_id, $row->name, $at, $putBack, $kind, $name, $row->who, Moment::iso($start), Moment::iso($start->addMinutes($minutes)), $next);
    }
}
