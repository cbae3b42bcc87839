<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Machine;
use App\Views\FactView;
use App\Views\OpenItemView;
use App\Views\PartOutView;
use IronStart\Core\Gate\FactPlace;
use IronStart\Core\Gate\Job;
use IronStart\Core\Gate\JobType;
use IronStart\Core\Judge\Judge;
use IronStart\Core\Wording\Phrases;

/** What stands around the gates: facts of the job, what is left to whom, what is out of service. */
final class JobParts
{
    public function __construct(private readonly Phrases $phrases, private readonly Judge $judge)
    {
    }

    /** @return list<FactView> those that decide something on this type of job, and whose check there is */
    public function facts(Machine $machine): array
    {
        $job = $machine->job;
        $type = JobType::from($job->type);
        $built = $this->judge->registry->ids();
        $sheet = Standings::sheet($machine)->facts();
        $facts = array_map(function (string $fact) use ($machine, $job, $type, $built, $sheet): FactView {
            $own = in_array($fact, FactPlace::OF_THE_MACHINE, true);
            $said = $own ? $machine->facts[$fact] ?? null : in_array($fact, $job->facts, true);
            $bySheet = in_array($fact, $sheet, true);

            return new FactView($fact, $this->phrases->common('facts', $fact), $said ?? $bySheet, FactPlace::of($fact, $type, $built), $own, $own && $said === null && $bySheet, $bySheet);
        }, Job::FACTS);

        return array_values(array_filter($facts, fn (FactView $fact): bool => $fact->gates !== []));
    }

    /** @return list<OpenItemView> */
    public static function items(TapeState $state): array
    {
        return array_map(fn (int $id, array $i): OpenItemView => new OpenItemView($id, $i['what'], $i['owner'], $i['due'], $i['check'], $i['subject'], $i['done']), array_keys($state->items), $state->items);
    }

    /** @return list<PartOutView> */
    public static function out(TapeState $state): array
    {
        return array_values(array_map(fn (array $p): PartOutView => new PartOutView($p['entry'], $p['subject'], $p['what'], $p['why'], $p['wire'], $p['who']), $state->disabled));
    }
}
