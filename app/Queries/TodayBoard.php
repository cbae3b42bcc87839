<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Machine;
use App\Models\SiteJob;
use App\Models\User;
use App\Views\FeedAskView;
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

    public function __construct(private readonly Glances $glances, private readonly TapeReader $tape, private readonly DaysToCome $days, private readonly Feeds $feeds, private readonly FeedBoard $feedBoard)
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
        $glances = $this->glances->of($machines);
        $asked = array_map(fn (Feed $feed): array => array_map(fn (FeedAskView $ask): string => $ask->words, $this->feedBoard->asks($feed)), $this->feeds->of(array_values($machines->modelKeys())));
        $mine = $machines->filter(fn (Machine $m): bool => $m->job->people->contains($person->id));

        return new TodayView(
            $today->toDateString(),
            self::lead($mine->isEmpty() ? $machines : $mine, $glances),
            array_values($jobs->map(fn (SiteJob $job): TodayJob => self::job($job, $glances, $asked))->all()),
            $this->tape->putBack($machines, true),
            $this->days->for($person, $today->toDateString()),
        );
    }

    /**
     * @param array<int, Glance>       $glances
     * @param array<int, list<string>> $asked what is asked of a machine because of another on its feed
     */
    private static function job(SiteJob $job, array $glances, array $asked): TodayJob
    {
        return new TodayJob(
            $job->id,
            $job->site->name,
            $job->title,
            $job->ends_on->isSameDay($job->starts_on) ? '' : $job->ends_on->toDateString(),
            array_values($job->machines->map(fn (Machine $m): TodayMachine => self::machine($m, $glances[$m->id], $job, $asked[$m->id] ?? []))->all()),
            (object) $job->site->safety,
        );
    }

    /** @param list<string> $asked */
    private static function machine(Machine $machine, Glance $glance, SiteJob $job, array $asked): TodayMachine
    {
        return new TodayMachine(
            $machine->id,
            $machine->name,
            $machine->summary,
            $machine->place,
            $glance->states,
            $glance->current,
            $glance->question,
            $glance->sentence,
            $glance->status,
            $glance->next,
            array_values($job->people->pluck('name')->all()),
            $glance->notes,
            $asked,
        );
    }

    /**
     * A stop before anything; then a machine somebody has begun, the furthest first.
     *
     * @param Collection<int, Machine> $machines
     * @param array<int, Glance>       $glances
     */
    private static function lead(Collection $machines, array $glances): ?TodayLead
    {
        $unfinished = $machines->filter(fn (Machine $m): bool => $glances[$m->id]->current !== null);
        $first = $unfinished->sortBy([
            fn (Machine $a, Machine $b): int => self::URGENCY[$glances[$a->id]->status] <=> self::URGENCY[$glances[$b->id]->status],
            fn (Machine $a, Machine $b): int => $glances[$b->id]->isBegun <=> $glances[$a->id]->isBegun,
            fn (Machine $a, Machine $b): int => $glances[$a->id]->current <=> $glances[$b->id]->current,
            fn (Machine $a, Machine $b): int => $a->id <=> $b->id,
        ])->first();
        if ($first === null) {
            return null;
        }
        $glance = $glances[$first->id];

        return new TodayLead(
            $first->id,
            $first->name,
            $glance->status,
            $glance->state === 'stopped' ? $glance->sentence : "{$first->job->site->name}, $first->place: $glance->question",
            $glance->next,
        );
    }
}
