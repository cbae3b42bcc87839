<?php

declare(strict_types=1);

namespace IronStart\Core\Gate;

/** The one thing to do next: a stop to be mended, or the first thing missing whose needs are met. */
final readonly class NextStep
{
    private function __construct(
        public int $gate,
        /** The stop that stands in the gate; null where something is missing. */
        public ?Recorded $stop,
        /** What is missing; null where the start is refused for want of a check. */
        public ?Missing $missing,
        /** The check to do; '' for a stop, or for what handing over wants. */
        public string $check,
        public string $subject,
    ) {
    }

    /** Null when all is done. */
    public static function of(Result $result): ?self
    {
        if ($result->current === null) {
            return null;
        }
        $gate = $result->gates[$result->current];
        if ($gate->stopped !== []) {
            return new self($gate->gate, $gate->stopped[0], null, '', '');
        }
        $first = $gate->missing[0] ?? null;
        if ($first === null) {
            return null;
        }
        $needsStart = $first->kind === Missing::ROW && CheckTable::needsStart($first->checks[0], Recorded::baseOf($first->subject), $gate->gate);
        foreach ($needsStart ? $result->startRefused : [] as $refusal) {
            // What lies between the press and the damage comes before whatever needs a running machine.
            if ($refusal->kind === Refusal::MISSING || $refusal->kind === Refusal::STOPPED) {
                return new self(8, null, null, $refusal->what, 'machine');
            }
        }

        return new self($gate->gate, null, $first, $first->checks[0] ?? '', $first->subject);
    }
}
