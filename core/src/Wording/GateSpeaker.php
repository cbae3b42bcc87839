<?php

declare(strict_types=1);

namespace IronStart\Core\Wording;

use IronStart\Core\Gate\CheckTable;
use IronStart\Core\Verdict\Judgement;

/** Says the twelve gates: what decided, what is still to be done, what holds one shut. */
final class GateSpeaker
{
    private const SHOWN = 3;
    private const LAST = 12;
    private const FLAGS = ['watch', 'conditional', 'stale', 'out_of_order', 'overridden', 'override_refused', 'not_overridable'];

    private readonly Speaker $speaker;

    public function __construct(private readonly Phrases $phrases)
    {
        $this->speaker = new Speaker($phrases);
    }

    /**
     * @param Judgement $gates of job.gates
     * @return list<GateLine>
     */
    public function lines(Judgement $gates, GateWords $words): array
    {
        $lines = [];
        $shut = $this->list($gates, 'shut');
        for ($gate = 1; $gate <= 12; $gate++) {
            $state = $this->value($gates, "state:$gate");
            $deciding = $this->value($gates, "deciding:$gate");
            [$check, $subject] = $deciding === '' ? ['', ''] : explode(':', $deciding, 2) + [1 => 'machine'];
            $missing = array_map(fn (mixed $name): array => $this->missing((string) $name, $words), $this->list($gates, "missing:$gate"));
            $lines[] = new GateLine(
                $gate,
                $this->phrases->common('gate_names', (string) $gate),
                $this->phrases->common('gates', (string) $gate),
                $state,
                in_array($gate, $shut, true),
                $this->sentence($gates, $gate, $state, $words->headlines[$deciding] ?? '', $missing, $words->putBack),
                $check,
                $subject,
                $missing,
                self::flags($gates, $gate),
                $this->notes($gates, $gate, $words),
            );
        }

        return $lines;
    }

    /**
     * Why the start is refused, one sentence a reason; empty when it is not.
     *
     * @param list<GateLine> $lines
     * @param array<array-key, string> $putBack what is out, by the id of its entry
     * @return list<string>
     */
    public function whyShut(Judgement $gates, array $lines, array $putBack, int $gate): array
    {
        if (! in_array($gate, $this->list($gates, 'shut'), true)) {
            return [];
        }
        $reasons = [];
        foreach ($gates->codes() as $code) {
            if (str_starts_with($code, "put_back:$gate:")) {
                $reasons[] = $this->say('held_by', ['what' => $putBack[substr($code, strlen("put_back:$gate:"))] ?? '']);
            }
        }
        foreach ($lines as $line) {
            $undone = ! in_array($line->state, ['answered', 'overridden', 'not_on_job'], true);
            if ($undone && in_array($line->gate, self::needs($gate), true)) {
                $reasons[] = $this->say('needs_gate', ['gate' => $line->name, 'sentence' => $line->sentence]);
            }
        }

        return $reasons === [] ? [$this->say('danger', [])] : $reasons;
    }

    /** What a check asks of a person, as an order. */
    public function todo(string $check, string $subject = 'machine'): string
    {
        $todo = $this->phrases->common('todo', $check);
        $about = match (true) {
            in_array($subject, ['machine', 'loaded', 'old_disconnect', 'planned', 'built', ''], true) => $this->phrases->common('subjects', $subject === '' ? 'machine' : $subject),
            default => strtr($subject, [':' => ' ', 'compressor:' => '']),
        };

        return $about === '' ? $todo : $this->say('todo_about', ['todo' => $todo, 'about' => $about]);
    }

    /** @return list<int> */
    private static function needs(int $gate): array
    {
        return match ($gate) {
            4 => [2],
            5 => [4],
            6 => [5],
            8 => [5, 6, 7],
            9, 10 => [8],
            11 => [7, 8],
            12 => range(1, 11),
            default => [],
        };
    }

    /**
     * @param list<array{check: string, subject: string, todo: string}> $missing
     * @param array<array-key, string> $putBack
     */
    private function sentence(Judgement $gates, int $gate, string $state, string $headline, array $missing, array $putBack): string
    {
        if ($gate === 7 && in_array('not_locked_out:7', $gates->codes(), true)) {
            return $this->say('not_locked_out', []);
        }
        if ($state === 'overridden') {
            return $this->say('opened', ['sentence' => $headline]);
        }
        if (in_array($state, ['stopped', 'answered'], true)) {
            return $headline !== '' ? $headline : $this->say('done', []);
        }
        if ($state === 'not_on_job') {
            $why = $this->value($gates, "why_not:$gate");

            return $why === '' ? '' : $this->phrases->common('why_not', $why);
        }
        foreach ($gates->codes() as $code) {
            if (str_starts_with($code, "put_back:$gate:")) {
                return $this->say('held_by', ['what' => $putBack[substr($code, strlen("put_back:$gate:"))] ?? '']);
            }
        }
        if ($state === 'not_yet' && in_array($gate, $this->list($gates, 'shut'), true)) {
            return $this->say('shut', ['gates' => $this->openNeeds($gates, $gate)]);
        }
        $todo = array_map(fn (array $m): string => $m['todo'], $missing);
        $shown = array_slice($todo, 0, self::SHOWN);

        return $this->say('still_to_do', ['what' => implode($this->phrases->common('lists', 'comma'), $shown), 'more' => count($todo) - count($shown)]);
    }

    /**
     * What a gate is besides its state, one word each.
     *
     * @return list<string>
     */
    private static function flags(Judgement $gates, int $gate): array
    {
        $flags = [];
        foreach ($gates->codes() as $code) {
            [$word, $of] = explode(':', $code) + [1 => ''];
            if ($of === (string) $gate && in_array($word, self::FLAGS, true)) {
                $flags[$word] = $word;
            }
        }

        return array_values($flags);
    }

    /**
     * What the codes of a gate say besides its sentence.
     *
     * @return list<string>
     */
    private function notes(Judgement $gates, int $gate, GateWords $words): array
    {
        $notes = [];
        foreach ($gates->codes() as $code) {
            [$word, $of, $check, $subject] = explode(':', $code, 4) + [1 => '', 2 => '', 3 => 'machine'];
            $mine = $of === (string) $gate;
            $notes[] = match (true) {
                $word === 'stale' && $mine => $this->say('stale', ['todo' => $this->todo($check, $subject)]),
                $word === 'overridden' && $mine => $this->say('opened_against', ['sentence' => $words->headlines["$check:$subject"] ?? $this->todo($check, $subject)]),
                in_array($word, ['override_refused', 'not_overridable', 'out_of_order'], true) && $mine => $this->say($word, []),
                $word === 'conditional' && $mine => $this->condition($gate, $words),
                $word === 'tag_incomplete' && $gate === self::LAST => $this->say('tag_incomplete', ['part' => self::part(substr($code, strlen('tag_incomplete:')))]),
                $word === 'all_disabled' && $gate === self::LAST => $this->say('all_disabled', []),
                default => '',
            };
        }

        return array_values(array_unique(array_filter($notes, fn (string $note): bool => $note !== '')));
    }

    /** Why a gate is answered only on a condition. */
    private function condition(int $gate, GateWords $words): string
    {
        $left = array_filter($words->deferred, fn (array $item): bool => $gate === self::LAST || in_array($gate, Belonging::gatesOf($item['check']), true));
        $why = [...array_column($left, 'words'), ...$words->disabled];

        return $why === [] ? $this->say('conditional_left', []) : $this->say('conditional', ['why' => implode($this->phrases->common('lists', 'semicolon'), $why)]);
    }

    /** "compressor B" of the subject compressor:B. */
    private static function part(string $subject): string
    {
        return strtr($subject, [':' => ' ']);
    }

    private function openNeeds(Judgement $gates, int $gate): string
    {
        $open = array_filter(self::needs($gate), fn (int $need): bool => ! in_array($this->value($gates, "state:$need"), ['answered', 'overridden', 'not_on_job'], true));
        $names = array_map(fn (int $need): string => $this->phrases->common('gate_names', (string) $need), array_values($open));

        return count($names) > 2 ? $this->say('all_the_rest', []) : implode($this->say('and', []), $names);
    }

    /** @return array{check: string, subject: string, todo: string} */
    private function missing(string $name, GateWords $words): array
    {
        [$checks, $subject] = explode(':', $name, 2) + [1 => 'machine'];
        if ($checks === 'signature') {
            return ['check' => $checks, 'subject' => $subject, 'todo' => $this->phrases->common('todo', "signature_$subject")];
        }
        if (in_array($checks, ['put_back', 'open_item'], true)) {
            $what = ($checks === 'put_back' ? $words->putBack : $words->items)[$subject] ?? '';

            return ['check' => $checks, 'subject' => $subject, 'todo' => $this->speaker->format($this->phrases->common('todo', $checks), ['what' => $what])];
        }
        $first = strstr($checks, '|', true) ?: $checks;

        return ['check' => $first, 'subject' => $subject, 'todo' => $this->todo($first, $subject)];
    }

    /** @param array<string, string|int> $params */
    private function say(string $key, array $params): string
    {
        return $this->speaker->format($this->phrases->common('gate_says', $key), $params);
    }

    private function value(Judgement $gates, string $name): string
    {
        $value = $gates->values[$name]->value ?? '';

        return is_string($value) ? $value : '';
    }

    /** @return list<mixed> */
    private function list(Judgement $gates, string $name): array
    {
        $value = $gates->values[$name]->value ?? [];

        return is_array($value) ? $value : [];
    }
}
