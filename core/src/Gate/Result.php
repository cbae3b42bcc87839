<?php

declare(strict_types=1);

namespace IronStart\Core\Gate;

use IronStart\Core\Verdict\Status;

/** The twelve gates of a machine's job at one moment, and why it may not be started. */
final class Result
{
    /** @var list<Refusal> empty: it may be started */
    public array $startRefused = [];
    /** The gate to work at; null when all is done. */
    public ?int $current = null;
    /** Read again after a reversal, or tagged, without a lockout between. */
    public bool $notLockedOut = false;
    /** It was the tag alone. */
    public bool $tagNotLockedOut = false;
    /** @var list<string> subjects of tags that say too little */
    public array $tagsIncomplete = [];
    public bool $allDisabled = false;

    /** @param array<int, GateState> $gates by number, 1 to 12 */
    public function __construct(public readonly array $gates)
    {
    }

    public function status(): Status
    {
        $states = array_column($this->gates, 'state');
        $any = fn (string ...$of): bool => array_intersect($of, $states) !== [];

        return match (true) {
            $any(GateState::STOPPED) => Status::Stop,
            $any(GateState::ASKING, GateState::NOT_YET) => Status::Open,
            $any(GateState::OVERRIDDEN) => Status::Watch,
            array_filter($this->gates, fn (GateState $g): bool => $g->conditional || $g->watch) !== [] => Status::Watch,
            default => Status::Clear,
        };
    }

    /** @return list<int> gates that can't be worked at yet */
    public function shut(): array
    {
        return array_keys(array_filter($this->gates, fn (GateState $g): bool => $g->shut));
    }

    /** @return list<string> the codes of the check, each once */
    public function codes(): array
    {
        $codes = array_fill_keys(array_map(fn (string $part): string => "tag_incomplete:$part", $this->tagsIncomplete), true);
        $codes += array_filter(['not_locked_out:7' => $this->notLockedOut, 'all_disabled' => $this->allDisabled]);
        foreach ($this->gates as $n => $gate) {
            if ($gate->state === GateState::ASKING || $gate->state === GateState::STOPPED) {
                foreach ($gate->missing as $missing) {
                    $codes["needs:$n:{$missing->name()}"] = true;
                }
            }
            foreach (['stopped' => $gate->stopped, 'overridden' => $gate->covered, 'stale' => $gate->stale] as $word => $entries) {
                foreach ($entries as $entry) {
                    $codes["$word:$n:$entry->name"] = true;
                }
            }
            foreach ($gate->putBack as $id) {
                $codes["put_back:$n:$id"] = true;
            }
            $codes += array_filter([
                "not_overridable:$n" => $gate->notOverridable, "override_refused:$n" => $gate->overrideRefused, "conditional:$n" => $gate->conditional,
                "watch:$n" => $gate->watch, "out_of_order:$n" => $gate->outOfOrder,
            ]);
        }

        return array_map(strval(...), array_keys($codes));
    }
}
