<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Entry;
use App\Models\EntryKind;
use App\Models\Machine;
use App\Models\SiteJob;
use App\Queries\FeedEvents;
use App\Queries\Feeds;
use App\Queries\Standings;
use App\Queries\Theirs;
use App\Refusals\Refusal;
use App\Support\Stamp;
use Illuminate\Database\ConnectionInterface;
use Illuminate\Database\Eloquent\Collection;
use IronStart\Core\Gate\FactPlace;
use IronStart\Core\Gate\Job;
use IronStart\Core\Judge\Judge;
use IronStart\Core\Wording\Phrases;

/** What holds for a whole job, its facts, or for a whole feed, work on its supply. It is written on the tape of every machine of it. */
final class TellOfJob
{
    public function __construct(private readonly Tape $tape, private readonly Phrases $phrases, private readonly Theirs $theirs, private readonly Judge $judge, private readonly Feeds $feeds, private readonly FeedEvents $events, private readonly ConnectionInterface $db)
    {
    }

    /**
     * One that differs from unit to unit is written on this machine alone, any other on all machines of the job.
     *
     * @param int $seen the last place on this machine's tape the person had seen
     * @throws Refusal when it is no fact, or somebody has said the opposite since
     */
    public function fact(Machine $machine, Stamp $stamp, string $fact, bool $on, int $seen, string $reason = ''): Entry
    {
        $asked = array_values(array_filter(Job::FACTS, fn (string $f): bool => FactPlace::isAsked($f, $this->judge->registry->ids())));
        if (! in_array($fact, $asked, true)) {
            throw Refusal::field('fact', $fact, implode(', ', $asked));
        }

        if (in_array($fact, FactPlace::OF_THE_MACHINE, true)) {
            return $this->ofMachine($machine, $stamp, $fact, $on, $seen, trim($reason));
        }

        return $this->onJob($machine, function (SiteJob $job) use ($machine, $fact, $on, $seen): array {
            $this->nobodySaidOtherwise($machine, $fact, $on, in_array($fact, $job->facts, true), $seen);
            $others = array_values(array_diff($job->facts, [$fact]));
            $job->facts = $on ? [...$others, $fact] : $others;
            $job->save();

            return [EntryKind::Fact, $this->details($fact, $on)];
        }, $stamp);
    }

    /**
     * Identity, voltage and rotation are to be read again after this, on every machine of the feed; where nobody told what
     * hangs on it, on every machine of the job.
     */
    public function supplyWork(Machine $machine, Stamp $stamp, string $what): Entry
    {
        $feed = Machine::query()->whereKey($this->feeds->unitsOf($machine->id))->get();

        return $this->onJob($machine, fn (): array => [EntryKind::SupplyWork, ['what' => trim($what), 'from' => $machine->name]], $stamp, $feed->isEmpty() ? null : $feed);
    }

    /**
     * @param \Closure(SiteJob): array{EntryKind, array<string, mixed>} $tell gives the entry's kind and details
     * @param Collection<int, Machine>|null $on the machines it is written on; null for those of the job
     * @return Entry the one on the machine given
     */
    private function onJob(Machine $machine, \Closure $tell, Stamp $stamp, ?Collection $on = null): Entry
    {
        return $this->db->transaction(function () use ($machine, $tell, $stamp, $on): Entry {
            /** @var SiteJob $job */
            $job = SiteJob::query()->lockForUpdate()->findOrFail($machine->site_job_id);
            [$kind, $details] = $tell($job);
            $mine = null;
            foreach (($on ?? $job->load('machines')->machines)->sortBy('id') as $each) {
                $entry = $this->tape->holding($each->is($machine) ? $machine : $each, fn (Machine $locked): Entry => $this->tape->append($locked, $kind, $stamp, ['details' => $details]));
                if ($kind === EntryKind::SupplyWork) {
                    $this->events->happened($entry, $kind->value, '', [], (string) $details['from']);
                }
                $mine = $each->is($machine) ? $entry : $mine;
            }
            $machine->unsetRelation('job');

            return $mine ?? throw Refusal::notFound();
        });
    }

    /** A fact of this machine that a recording makes known, within a write that holds the machine already. */
    public function known(Machine $locked, Stamp $stamp, string $fact): void
    {
        if (($locked->facts[$fact] ?? false) !== true) {
            $this->keep($locked, $stamp, $fact, true, '');
        }
    }

    private function keep(Machine $locked, Stamp $stamp, string $fact, bool $on, string $reason): Entry
    {
        $locked->facts = [$fact => $on] + $locked->facts;
        $locked->save();

        return $this->tape->append($locked, EntryKind::Fact, $stamp, ['reason' => $reason, 'details' => $this->details($fact, $on)]);
    }

    /** A no against the sheet needs a word why. */
    private function ofMachine(Machine $machine, Stamp $stamp, string $fact, bool $on, int $seen, string $reason): Entry
    {
        return $this->tape->holding($machine, function (Machine $locked) use ($machine, $stamp, $fact, $on, $seen, $reason): Entry {
            if (! $on && $reason === '' && in_array($fact, Standings::sheet($locked)->facts(), true)) {
                throw Refusal::field('reason', '', 'why not, when the sheet says yes');
            }
            $this->nobodySaidOtherwise($machine, $fact, $on, $locked->facts[$fact] ?? null, $seen);
            $entry = $this->keep($locked, $stamp, $fact, $on, $reason);
            $machine->facts = $locked->facts;

            return $entry;
        });
    }

    private function nobodySaidOtherwise(Machine $machine, string $fact, bool $on, ?bool $now, int $seen): void
    {
        $since = $this->theirs->last($machine->id, 'fact', fn ($q) => $q->where('details->id', $fact)->where('at', '>', $seen));
        if ($since !== [] && $now !== $on) {
            throw Refusal::already('Somebody just changed that.', $since + ['yours' => ['words' => $this->words($fact, $on)]]);
        }
    }

    /** @return array<string, string> */
    private function details(string $fact, bool $on): array
    {
        return ['id' => $fact, 'fact' => $this->phrases->common('facts', $fact), 'on' => $on ? 'yes' : 'no'];
    }

    private function words(string $fact, bool $on): string
    {
        return $this->phrases->common('facts', $fact) . ($on ? ' Yes.' : ' No.');
    }
}
