<?php

declare(strict_types=1);

namespace IronStart\Core\Wording;

use IronStart\Core\Gate\CheckTable;
use IronStart\Core\Gate\Evaluation;
use IronStart\Core\Gate\GateState;
use IronStart\Core\Gate\Missing;
use IronStart\Core\Gate\NextStep;
use IronStart\Core\Gate\Recorded;
use IronStart\Core\Gate\Refusal;
use IronStart\Core\Gate\Result;

/** Says the twelve gates: what decided, what is still to be done, what holds one. */
final class GateSpeaker
{
    private const SHOWN = 3;
    private const LAST = 12;
    private const RUN = 8;
    /** Subjects that are said by a phrase of their own, or not at all. */
    private const PLAIN_SUBJECTS = ['machine', 'loaded', 'old_disconnect', 'planned', 'built'];

    private readonly Speaker $speaker;

    /** @param list<string> $built the checks there are; a gate may ask for one that is still to come */
    public function __construct(private readonly Phrases $phrases, private readonly array $built)
    {
        $this->speaker = new Speaker($phrases);
    }

    /** @return list<GateLine> */
    public function lines(Result $result, GateWords $words): array
    {
        $lines = [];
        foreach ($result->gates as $gate) {
            $missing = array_map(fn (Missing $m): array => $this->missing($m, $gate->gate, $words), $gate->missing);
            $lines[] = new GateLine(
                $gate->gate,
                $this->phrases->common('gate_names', (string) $gate->gate),
                $this->phrases->common('gates', (string) $gate->gate),
                $gate->state,
                $gate->shut,
                $this->sentence($result, $gate, $missing, $words),
                $gate->deciding->check ?? '',
                $gate->deciding->subject ?? '',
                $missing,
                self::flags($gate),
                $this->notes($result, $gate, $words),
            );
        }

        return $lines;
    }

    /**
     * Why the start is refused, one sentence a reason; empty when it is not.
     *
     * @param list<GateLine> $lines
     * @return list<string>
     */
    public function refused(Result $result, array $lines, GateWords $words): array
    {
        return array_map(fn (Refusal $r): string => match ($r->kind) {
            Refusal::NEEDS => $this->say('needs_gate', ['gate' => $lines[(int) $r->what - 1]->name, 'sentence' => $lines[(int) $r->what - 1]->sentence]),
            Refusal::PUT_BACK => $this->say('held_by', ['what' => $words->putBack[$r->what] ?? '']),
            Refusal::DANGER => $this->say('danger', []),
            Refusal::STOPPED => $this->say('start_stopped', ['sentence' => $this->stopOf($result, $r->what, $words)]),
            default => $r->what === 'list.prestart' ? $this->say('start_prestart', []) : $this->say('start_missing', ['todo' => $this->todo($r->what)]),
        }, $result->startRefused);
    }

    /**
     * Why the valves may not be opened, one sentence a reason.
     *
     * @param list<Refusal> $refused
     * @return list<string>
     */
    public function valvesRefused(array $refused): array
    {
        return array_map(function (Refusal $r): string {
            if ($r->kind === Refusal::CYLINDER) {
                return $r->what === '' ? $this->say('open_no_cylinder', []) : $this->say('open_cylinder', ['cylinder' => $r->what]);
            }
            [$check, $subject] = explode(':', $r->what, 2);

            return $this->say('open_missing', ['todo' => $this->todo($check, $subject)]);
        }, $refused);
    }

    /** What to do next, in one sentence; '' where nothing is left. */
    public function next(Result $result, GateWords $words): string
    {
        $next = NextStep::of($result);
        if ($next === null) {
            return '';
        }
        if ($next->stop !== null) {
            return $words->next[$next->stop->name] ?? $words->headlines[$next->stop->name] ?? '';
        }
        $todo = $next->missing === null ? $this->todo($next->check) : $this->missing($next->missing, $next->gate, $words)['todo'];

        return self::begun($todo) . '.';
    }

    /** What a check asks of a person, as an order; one that is still to come says so. */
    public function todo(string $check, string $subject = 'machine', int $gate = 0): string
    {
        $inRun = $gate === self::RUN && $check === 'power.rotation';
        $todo = $this->phrases->common('todo', $inRun ? 'power.rotation_running' : $check);
        $base = Recorded::baseOf($subject);
        $about = match (true) {
            $inRun => '',
            in_array($base, self::PLAIN_SUBJECTS, true) => $this->phrases->common('subjects', $base),
            str_starts_with($base, 'compressor:') => substr($base, strlen('compressor:')),
            default => strtr($base, [':' => ' ']),
        };
        $said = $about === '' ? $todo : $this->say('todo_about', ['todo' => $todo, 'about' => $about]);

        return in_array($check, $this->built, true) ? $said : $this->say('not_built', ['todo' => $said]);
    }

    private function stopOf(Result $result, string $check, GateWords $words): string
    {
        foreach ($result->gates as $gate) {
            foreach ($gate->stopped as $stop) {
                if ($stop->check === $check) {
                    return $words->headlines[$stop->name] ?? $this->todo($check);
                }
            }
        }

        return $this->todo($check);
    }

    /** @param list<array{check: string, subject: string, todo: string}> $missing */
    private function sentence(Result $result, GateState $gate, array $missing, GateWords $words): string
    {
        if ($gate->gate === 7 && $result->notLockedOut) {
            return $this->say($result->tagNotLockedOut ? 'tag_not_locked_out' : 'not_locked_out', []);
        }
        $headline = $gate->deciding === null ? '' : $words->headlines[$gate->deciding->name] ?? '';
        if ($gate->state === GateState::OVERRIDDEN) {
            return $this->say('opened', ['sentence' => $headline]);
        }
        if ($gate->state === GateState::STOPPED || $gate->isDone()) {
            return $headline !== '' ? $headline : $this->say('done', []);
        }
        if ($gate->state === GateState::NOT_ON_JOB) {
            return $gate->whyNot === null ? '' : $this->phrases->common('why_not', $gate->whyNot);
        }
        if ($gate->putBack !== []) {
            return $this->say('held_by', ['what' => $words->putBack[$gate->putBack[0]] ?? '']);
        }
        $open = $this->openNeeds($result, $gate->gate);
        if ($gate->shut && $open !== '' && ($gate->state === GateState::NOT_YET || $missing === [])) {
            return $this->say('shut', ['gates' => $open]);
        }
        $todo = array_column($missing, 'todo');
        if ($todo === []) {
            return $this->say('danger', []);
        }
        $shown = array_slice($todo, 0, self::SHOWN);

        return $this->say('still_to_do', ['what' => implode($this->phrases->common('lists', 'comma'), $shown), 'more' => count($todo) - count($shown)]);
    }

    /** @return list<string> what a gate is besides its state, one word each */
    private static function flags(GateState $gate): array
    {
        return array_keys(array_filter([
            'watch' => $gate->watch,
            'conditional' => $gate->conditional,
            'stale' => $gate->stale !== [],
            'out_of_order' => $gate->outOfOrder,
            'overridden' => $gate->covered !== [],
            'override_refused' => $gate->overrideRefused,
            'not_overridable' => $gate->notOverridable,
        ]));
    }

    /** @return list<string> what is to be said of a gate besides its sentence */
    private function notes(Result $result, GateState $gate, GateWords $words): array
    {
        $last = $gate->gate === self::LAST;
        $notes = [
            ...array_map(fn (Recorded $e): string => $this->say('stale', ['todo' => $this->todo($e->check, $e->subject, $gate->gate)]), $gate->stale),
            ...array_map(fn (Recorded $e): string => $this->say('opened_against', ['sentence' => $words->headlines[$e->name] ?? $this->todo($e->check, $e->subject)]), $gate->covered),
            ...($gate->overrideRefused ? [$this->say('override_refused', [])] : []),
            ...($gate->notOverridable ? [$this->say('not_overridable', [])] : []),
            ...($gate->outOfOrder ? [$this->say('out_of_order', [])] : []),
            ...($gate->conditional ? [$this->condition($gate->gate, $words)] : []),
            ...($last ? array_map(fn (string $part): string => $this->say('tag_incomplete', ['part' => strtr($part, [':' => ' '])]), $result->tagsIncomplete) : []),
            ...($last && $result->allDisabled ? [$this->say('all_disabled', [])] : []),
        ];

        return array_values(array_unique($notes));
    }

    /** Why a gate is done only with conditions. */
    private function condition(int $gate, GateWords $words): string
    {
        $left = array_filter($words->deferred, fn (array $item): bool => $gate === self::LAST || in_array($gate, CheckTable::gatesOf($item['check']), true));
        $why = [...array_column($left, 'words'), ...$words->disabled];

        return $why === [] ? $this->say('conditional_left', []) : $this->say('conditional', ['why' => implode($this->phrases->common('lists', 'semicolon'), $why)]);
    }

    private function openNeeds(Result $result, int $gate): string
    {
        $open = array_filter(Evaluation::NEEDS[$gate] ?? [], fn (int $need): bool => ! $result->gates[$need]->isMet());
        $names = array_map(fn (int $need): string => $this->phrases->common('gate_names', (string) $need), array_values($open));

        return count($names) > 2 ? $this->say('all_the_rest', []) : implode($this->say('and', []), $names);
    }

    /** @return array{check: string, subject: string, todo: string} */
    private function missing(Missing $missing, int $gate, GateWords $words): array
    {
        if ($missing->kind === Missing::ROW) {
            $check = array_values(array_intersect($missing->checks, $this->built))[0] ?? $missing->checks[0];

            return ['check' => $check, 'subject' => $missing->subject, 'todo' => $this->todo($check, $missing->subject, $gate)];
        }
        $todo = match ($missing->kind) {
            Missing::SIGNATURE => $this->phrases->common('todo', "signature_$missing->subject"),
            Missing::PUT_BACK => $this->speaker->format($this->phrases->common('todo', 'put_back'), ['what' => $words->putBack[$missing->subject] ?? '']),
            default => $this->speaker->format($this->phrases->common('todo', 'open_item'), ['what' => $words->items[$missing->subject] ?? '']),
        };

        return ['check' => $missing->kind, 'subject' => $missing->subject, 'todo' => $todo];
    }

    private static function begun(string $sentence): string
    {
        return mb_strtoupper(mb_substr($sentence, 0, 1)) . mb_substr($sentence, 1);
    }

    /** @param array<string, string|int> $params */
    private function say(string $key, array $params): string
    {
        return $this->speaker->format($this->phrases->common('gate_says', $key), $params);
    }
}
