<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Machine;
use App\Models\SiteJob;
use App\Models\User;
use App\Views\TodayJob;
use App\Views\TodayLead;
use App\Views\TodayMachine;
use App\Views\TodayView;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;

/** The day's board: every machine on today's jobs, what each waits for, and the one thing to do next. */
final class TodayBoard
{
    /** Which status wants attention first. */
    private const URGENCY = ['stop' => 0, 'open' => 1, 'watch' => 2, 'clear' => 3];

    public function __construct(private readonly Standings $standings, private readonly TapeReader $tape, private readonly DaysToCome $days)
    {
    }

    public function for(User $person): TodayView
    {
        $today = CarbonImmutable::today();
        $jobs = SiteJob::query()->with(['site', 'machines', 'people'])
            ->where('starts_on', '<=', $today)->where('ends_on', '>=', $today)
            ->unless($person->role->may('see_all_jobs'), fn ($query) => $query->whereHas('people', fn ($people) => $people->whereKey($person->id)))
            ->orderBy('id')->get();
        $machines = new Collection($jobs->flatMap(fn (SiteJob $job) => $job->machines->map(fn (Machine $m): Machine => $m->setRelation('job', $job)))->all());
        $standings = $this->standings->of($machines);
        $mine = $machines->filter(fn (Machine $m): bool => $m->job->people->contains($person->id));

        return new TodayView(
            $today->toDateString(),
            self::lead($mine->isEmpty() ? $machines : $mine, $standings),
            array_values($jobs->map(fn (SiteJob $job): TodayJob => self::job($job, $standings))->all()),
            $this->tape->putBack($machines, true),
            $this->days->for($person, $today->toDateString()),
        );
    }

    /** @param array<int, Standing> $standings */
    private static function job(SiteJob $job, array $standings): TodayJob
    {
        return new TodayJob(
            $job->id,
            $job->site->name,
            $job->title,
            $job->ends_on->isSameDay($job->starts_on) ? '' : $job->ends_on->toDateString(),
            array_values($job->machines->map(fn (Machine $m): TodayMachine => self::machine($m, $standings[$m->id], $job))->all()),
            (object) $job->site->safety,
        );
    }

    private static function machine(Machine $machine, Standing $standing, SiteJob $job): TodayMachine
    {
        $line = $standing->current();

        return new TodayMachine(
            $machine->id,
            $machine->name,
            $machine->summary,
            $machine->place,
            $standing->states(),
            $standing->gates->current,
            $line->question ?? '',
            $line->sentence ?? '',
            $standing->gates->status()->value,
            $standing->next,
            array_values($job->people->pluck('name')->all()),
            $standing->notes(),
        );
    }

    /**
     * A stop before anything; then a machine somebody has begun, the furthest first.
     *
     * @param Collection<int, Machine> $machines
     * @param array<int, Standing>     $standings
     */
    private static function lead(Collection $machines, array $standings): ?TodayLead
    {
        $unfinished = $machines->filter(fn (Machine $m): bool => $standings[$m->id]->gates->current !== null);
        $first = $unfinished->sortBy([
            fn (Machine $a, Machine $b): int => self::urgency($standings[$a->id]) <=> self::urgency($standings[$b->id]),
            fn (Machine $a, Machine $b): int => self::begun($standings[$b->id]) <=> self::begun($standings[$a->id]),
            fn (Machine $a, Machine $b): int => $standings[$a->id]->gates->current <=> $standings[$b->id]->gates->current,
            fn (Machine $a, Machine $b): int => $a->id <=> $b->id,
        ])->first();
        if ($first === null) {
            return null;
        }
        $standing = $standings[$first->id];
        $line = $standing->line((int) $standing->gates->current);

        return new TodayLead(
            $first->id,
            $first->name,
            $standing->gates->status()->value,
            $line->state === 'stopped' ? $line->sentence : "{$first->job->site->name}, $first->place: $line->question",
            $standing->next,
        );
    }

    private static function urgency(Standing $standing): int
    {
        return self::URGENCY[$standing->gates->status()->value];
    }

    private static function begun(Standing $standing): int
    {
        return $standing->tape->said === [] ? 0 : 1;
    }
}
