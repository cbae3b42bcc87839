<?php

declare(strict_types=1);

namespace App\Actions;

use App\Http\Problems\Problem;
use App\Models\Entry;
use App\Models\Machine;
use App\Models\SiteJob;
use App\Queries\Theirs;
use App\Support\Stamp;
use Illuminate\Database\ConnectionInterface;
use IronStart\Core\Gate\Job;
use IronStart\Core\Wording\Phrases;

/** What holds for a whole job: its facts, and work on its supply. It is written on the tape of every machine of it. */
final class TellOfJob
{
    public function __construct(private readonly Tape $tape, private readonly Phrases $phrases, private readonly Theirs $theirs, private readonly ConnectionInterface $db)
    {
    }

    /**
     * @param int $seen the last place on this machine's tape the person had seen
     * @throws Problem when it is no fact, or somebody has said the opposite since
     */
    public function fact(Machine $machine, Stamp $stamp, string $fact, bool $on, int $seen): Entry
    {
        if (! in_array($fact, Job::FACTS, true)) {
            throw Problem::field('fact', $fact, implode(', ', Job::FACTS));
        }

        return $this->onJob($machine, function (SiteJob $job) use ($machine, $fact, $on, $seen): array {
            $since = $this->theirs->last($machine->id, 'fact', fn ($q) => $q->where('details->id', $fact)->where('at', '>', $seen));
            if ($since !== [] && in_array($fact, $job->facts, true) !== $on) {
                throw Problem::already('Somebody has just said otherwise.', $since + ['yours' => ['words' => $this->words($fact, $on)]]);
            }
            $others = array_values(array_diff($job->facts, [$fact]));
            $job->facts = $on ? [...$others, $fact] : $others;
            $job->save();

            return ['fact', ['id' => $fact, 'fact' => $this->phrases->common('facts', $fact), 'on' => $on ? 'yes' : 'no']];
        }, $stamp);
    }

    /** Identity, voltage and rotation are to be read again after this. */
    public function supplyWork(Machine $machine, Stamp $stamp, string $what): Entry
    {
        return $this->onJob($machine, fn (): array => ['supply_work', ['what' => trim($what)]], $stamp);
    }

    /**
     * @param \Closure(SiteJob): array{string, array<string, mixed>} $tell gives the entry's kind and details
     * @return Entry the one on the machine given
     */
    private function onJob(Machine $machine, \Closure $tell, Stamp $stamp): Entry
    {
        return $this->db->transaction(function () use ($machine, $tell, $stamp): Entry {
            /** @var SiteJob $job */
            $job = SiteJob::query()->lockForUpdate()->findOrFail($machine->site_job_id);
            [$kind, $details] = $tell($job);
            $mine = null;
            foreach ($job->load('machines')->machines->sortBy('id') as $each) {
                $entry = $this->tape->holding($each->is($machine) ? $machine : $each, fn (Machine $locked): Entry => $this->tape->append($locked, $kind, $stamp, ['details' => $details]));
                $mine = $each->is($machine) ? $entry : $mine;
            }
            $machine->unsetRelation('job');

            return $mine ?? throw Problem::notFound();
        });
    }

    private function words(string $fact, bool $on): string
    {
        return $this->phrases->common('facts', $fact) . ($on ? ' Yes.' : ' No.');
    }
}
