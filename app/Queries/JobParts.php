<?php

declare(strict_types=1);

namespace App\Queries;

use App\Http\Schema\FactView;
use App\Http\Schema\OpenItemView;
use App\Http\Schema\PartOutView;
use App\Models\SiteJob;
use IronStart\Core\Gate\FactPlace;
use IronStart\Core\Gate\Job;
use IronStart\Core\Gate\JobType;
use IronStart\Core\Wording\Phrases;

/** What stands around the gates: facts of the job, what is left to whom, what is out of service. */
final class JobParts
{
    public function __construct(private readonly Phrases $phrases)
    {
    }

    /** @return list<FactView> those that decide something on this type of job */
    public function facts(SiteJob $job): array
    {
        $type = JobType::from($job->type);
        $facts = array_map(fn (string $fact): FactView => new FactView($fact, $this->phrases->common('facts', $fact), in_array($fact, $job->facts, true), FactPlace::of($fact, $type)), Job::FACTS);

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
