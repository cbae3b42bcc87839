<?php

declare(strict_types=1);

namespace IronStart\Core\Wording;

use IronStart\Core\Check\Check;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Verdict;
use IronStart\Core\Verdict\Word;

/**
 * Puts a judgement into words.
 *
 * The headline is the first finding of the deciding status. `because` is every other finding and every
 * finding's own reasons; `next` what each asks to be done, the gravest first; each sentence once.
 */
final class Speaker
{
    /** So many missing readings are named one by one; of more, their count and the first. */
    private const SHOWN = 3;

    /** @var array<string, \MessageFormatter> */
    private array $patterns = [];

    public function __construct(
        public readonly Phrases $phrases,
        private readonly Formatter $formatter = new Formatter(),
    ) {
    }

    /** @param 'us'|'si' $units */
    public function verdict(Check $check, Judgement $judgement, string $units): Verdict
    {
        $id = $check->id();
        $findings = self::gravestFirst($this->gatherMissing($id, $judgement->findings));
        $headline = '';
        $because = $next = [];
        foreach ($findings as $i => $finding) {
            $say = $this->phrases->say($id, $finding->phrase);
            $params = $this->params($finding, $units);
            $head = self::begun($this->format($say['head'], $params));
            if ($i === 0) {
                $headline = $head;
            } elseif ($head !== '') {
                $because[$head] = true;
            }
            foreach ($say['why'] as $why) {
                $because[self::begun($this->format($why, $params))] = true;
            }
            foreach ($say['next'] as $do) {
                $next[self::begun($this->format($do, $params))] = true;
            }
        }
        $basis = [];
        foreach ($judgement->basis as $note) {
            $basis[$this->sentence($id, $note, $units)] = true;
        }

        return new Verdict($id, $check->version(), $this->named($judgement, $units), $headline, self::texts($because), self::texts($next), self::texts($basis));
    }

    /**
     * The head of one finding, by itself.
     *
     * @param 'us'|'si' $units
     */
    public function sentence(string $check, Finding $finding, string $units): string
    {
        return self::begun($this->format($this->phrases->say($check, $finding->phrase)['head'], $this->params($finding, $units)));
    }

    /**
     * What is drawn with a word of the lexicon gets its name, and what is measured its figure.
     *
     * @param 'us'|'si' $units
     */
    private function named(Judgement $judgement, string $units): Judgement
    {
        $named = ($judgement->drawing['shape'] ?? '') === 'scene' ? $this->measured($judgement->drawing, $units) : [];
        foreach (['bars', 'bodies', 'lines', 'parts', 'features', 'causes', 'spots', 'rungs', 'coil', 'nodes', 'pipes', 'limits'] as $list) {
            foreach (is_array($judgement->drawing[$list] ?? null) ? $judgement->drawing[$list] : [] as $i => $one) {
                if (is_array($one) && is_string($one['word'] ?? null)) {
                    $one['name'] = $one['word'] === '' ? '' : $this->phrases->word('drawn', $one['word']);
                    unset($one['word']);
                }
                $named[$list][$i] = is_array($one) ? $this->said($one, $units) : $one;
            }
        }
        $large = $judgement->drawing['large'] ?? null;
        if (is_array($large)) {
            $named['large'] = $this->said(['name' => $this->phrases->word('drawn', (string) $large['word'])] + array_diff_key($large, ['word' => 1]), $units);
        }

        return $named === [] ? $judgement : $judgement->drawn($named + $judgement->drawing);
    }

    /**
     * A figure of a drawing that is told as people say it.
     *
     * @param array<string, mixed> $one
     * @param 'us'|'si' $units
     * @return array<string, mixed>
     */
    private function said(array $one, string $units): array
    {
        $one = ($one['said'] ?? null) instanceof Said ? ['text' => $one['said']] + array_diff_key($one, ['said' => 1]) : $one;

        return array_map(fn (mixed $told): mixed => $told instanceof Said ? $this->formatter->say($told, $units) : $told, $one);
    }

    /**
     * @param array<string, mixed> $scene
     * @param 'us'|'si' $units
     * @return array<string, list<mixed>>
     */
    private function measured(array $scene, string $units): array
    {
        $text = fn (mixed $metres): string => is_float($metres) ? $this->formatter->onDrawing($metres, $scene['small'] === true, $units) : '';
        $lists = ['dims' => [], 'handles' => []];
        foreach (is_array($scene['dims'] ?? null) ? $scene['dims'] : [] as $dim) {
            $lists['dims'][] = is_array($dim) ? $dim + ['text' => $text($dim['value'])] : $dim;
        }
        foreach (is_array($scene['handles'] ?? null) ? $scene['handles'] : [] as $handle) {
            $lists['handles'][] = is_array($handle) && is_array($handle['value']) ? $handle + ['text' => ['x' => $text($handle['value']['x']), 'y' => $text($handle['value']['y'])]] : $handle;
        }

        return $lists;
    }

    /** @param array<string, string|int> $params already in words */
    public function format(string $pattern, array $params): string
    {
        if (! str_contains($pattern, '{')) {
            return $pattern;
        }
        $formatter = $this->patterns[$pattern] ??= new \MessageFormatter($this->phrases->language, $pattern);
        $text = $formatter->format($params);

        // An inch that ends a sentence has one point.
        return $text === false ? throw new \LogicException("The pattern \"$pattern\" can't be filled: " . $formatter->getErrorMessage()) : str_replace(['in..', 'w.c..'], ['in.', 'w.c.'], $text);
    }

    /**
     * Several missing readings are one sentence.
     *
     * @param list<Finding> $findings
     * @return list<Finding>
     */
    private function gatherMissing(string $check, array $findings): array
    {
        $others = $labels = [];
        $items = 0;
        foreach ($findings as $finding) {
            $path = $finding->params['path'] ?? null;
            $of = $finding->params['of'] ?? '';
            if ($finding->phrase === 'missing' && is_string($path) && is_string($of)) {
                $labels[] = $this->label($check, $path, $of);
                $items += str_starts_with($path, 'items.') ? 1 : 0;
            } else {
                $others[] = $finding;
            }
        }
        if ($labels === []) {
            return $findings;
        }
        $labels = array_values(array_unique($labels));
        $count = count($labels);
        array_unshift($others, match (true) {
            $items > 0 => Finding::open('missing', ['first' => $labels[0], 'count' => $count], 'missing_items'),
            $count > self::SHOWN => Finding::open('missing', ['first' => $labels[0], 'more' => $count - 1], 'missing_many'),
            default => Finding::open('missing', ['what' => $labels], 'missing_few'),
        });

        return $others;
    }

    /** A sentence begins large, also where a name or a leg stands first. */
    private static function begun(string $sentence): string
    {
        return mb_strtoupper(mb_substr($sentence, 0, 1)) . mb_substr($sentence, 1);
    }

    /** A box by its label, with the name of what it belongs to: "C2 L1 amps". */
    private function label(string $check, string $path, string $of): string
    {
        [$label] = $this->phrases->field($check, (string) preg_replace('/\.\d+(?=\.|$)/', '', $path));
        // Within a sentence a label begins small; a letter that is a name stays large.
        $small = preg_match('/^\p{Lu}\p{Ll}/u', $label) === 1 && ! str_starts_with($path, 'items.') ? mb_strtolower(mb_substr($label, 0, 1)) . mb_substr($label, 1) : $label;

        return $of === '' ? $small : "$of $small";
    }

    /**
     * @param list<Finding> $findings
     * @return list<Finding>
     */
    private static function gravestFirst(array $findings): array
    {
        if (count($findings) < 2) {
            return $findings;
        }
        usort($findings, fn (Finding $a, Finding $b): int => $b->status->weight() <=> $a->status->weight());

        return $findings;
    }

    /**
     * @param 'us'|'si' $units
     * @return array<string, string|int>
     */
    private function params(Finding $finding, string $units): array
    {
        $params = [];
        foreach ($finding->params as $name => $value) {
            $params[$name] = match (true) {
                $value instanceof Said => $this->formatter->say($value, $units),
                $value instanceof Word => $this->list(array_map(fn (string $key): string => $this->phrases->word($value->group, $key), $value->keys)),
                is_array($value) => $this->list($value),
                default => $value,
            };
        }

        return $params;
    }

    /** @param list<string> $texts */
    private function list(array $texts): string
    {
        if (count($texts) < 2) {
            return $texts[0] ?? '';
        }
        $last = array_pop($texts);

        return $this->format($this->phrases->common('lists', 'and'), ['first' => implode($this->phrases->common('lists', 'comma'), $texts), 'last' => $last]);
    }

    /**
     * @param array<string, true> $set
     * @return list<string>
     */
    private static function texts(array $set): array
    {
        return array_values(array_map(strval(...), array_keys($set)));
    }
}
