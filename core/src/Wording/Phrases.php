<?php

declare(strict_types=1);

namespace IronStart\Core\Wording;

/**
 * The sentences of one language: `phrases/<language>/<area>.php`, one file an area, each a table from check
 * to question, field labels and what is said about each code. Patterns are ICU message patterns.
 *
 * @phpstan-type Say array{head: string, why?: string|list<string>, next?: string|list<string>}
 */
final class Phrases
{
    /** @var array<string, array<string, mixed>> */
    private array $areas = [];

    /** @var array<string, array{head: string, why: list<string>, next: list<string>}> */
    private array $said = [];

    public function __construct(
        private readonly string $folder,
        public readonly string $language = 'en',
    ) {
    }

    public static function shipped(string $language = 'en'): self
    {
        return new self(dirname(__DIR__, 2) . '/phrases', $language);
    }

    public function question(string $check): string
    {
        return $this->text($check, 'question');
    }

    /** A few words that stand where the question is too long (a tab, a line on the tape). */
    public function short(string $check): string
    {
        $told = is_file("$this->folder/$this->language/" . strtok($check, '.') . '.php') ? $this->check($check)['short'] ?? null : null;

        return is_string($told) ? $told : ucfirst($this->common('todo', $check));
    }

    /** @return array{0: string, 1: string} label and help of a field, by its path without indexes */
    public function field(string $check, string $path): array
    {
        $fields = $this->check($check)['fields'] ?? [];
        $told = is_array($fields) ? ($fields[$path] ?? null) : null;
        if (! is_array($told) || ! is_string($told[0] ?? null)) {
            throw UnknownPhrase::named("$check, field $path");
        }

        return [$told[0], is_string($told[1] ?? null) ? $told[1] : ''];
    }

    /** @return array{head: string, why: list<string>, next: list<string>} what is said about a finding */
    public function say(string $check, string $phrase): array
    {
        return $this->said["$check/$phrase"] ??= $this->load($check, $phrase);
    }

    /** @return list<string> the phrases of a check, for the tests of completeness */
    public function all(string $check): array
    {
        $say = $this->check($check)['say'] ?? [];

        return is_array($say) ? array_map(strval(...), array_keys($say)) : [];
    }

    /** A word of the lexicon, such as a leg or a kind of supply. */
    public function word(string $group, string $key): string
    {
        $words = $this->area('common')['words'] ?? [];
        $words = is_array($words) ? ($words[$group] ?? []) : [];
        $word = is_array($words) ? ($words[$key] ?? null) : null;

        return is_string($word) ? $word : throw UnknownPhrase::named("word $group.$key");
    }

    /**
     * What a person presses for an option of a field.
     *
     * @param string $path of the field, without indexes
     */
    public function option(string $check, string $path, string|int $option): string
    {
        $options = $this->area('options');
        $name = substr((string) strrchr(".$path", '.'), 1);
        $words = $options["$check.$path"] ?? $options[$name] ?? [];
        $word = is_array($words) ? ($words[$option] ?? $words['*'] ?? null) : null;

        return is_string($word) ? str_replace('{n}', (string) $option, $word) : throw UnknownPhrase::named("$check, option $option of $path");
    }

    /** The word of an option, or the text itself where a person may write anything. */
    public function optionOr(string $check, string $path, string|int $option): string
    {
        try {
            return $this->option($check, $path, $option);
        } catch (UnknownPhrase) {
            return (string) $option;
        }
    }

    /** @return list<string> reasons ready to press where an item does not apply */
    public function readyReasons(string $check, string $item): array
    {
        $fields = $this->check($check)['fields'] ?? [];
        $told = is_array($fields) ? ($fields["items.$item"] ?? null) : null;

        return is_array($told) && is_string($told[2] ?? null) && $told[2] !== '' ? [$told[2]] : [];
    }

    /** One or two plain sentences for a caution of the catalogue. */
    public function caution(string $id): string
    {
        return $this->common('cautions', $id);
    }

    public function common(string $table, string $key): string
    {
        $texts = $this->area('common')[$table] ?? [];
        $text = is_array($texts) ? ($texts[$key] ?? null) : null;

        return is_string($text) ? $text : throw UnknownPhrase::named("$table.$key");
    }

    /** @return array{head: string, why: list<string>, next: list<string>} */
    private function load(string $check, string $phrase): array
    {
        $say = $this->check($check)['say'] ?? [];
        $told = is_array($say) ? ($say[$phrase] ?? null) : null;
        $told ??= str_starts_with($phrase, 'missing_') ? $this->area('common')['missing'][substr($phrase, 8)] ?? null : null;
        $told = is_string($told) ? ['head' => $told] : $told;
        if (! is_array($told) || ! is_string($told['head'] ?? null)) {
            throw UnknownPhrase::named("$check: $phrase");
        }
        $list = fn (mixed $texts): array => array_values(array_filter(is_array($texts) ? $texts : [$texts], is_string(...)));

        return ['head' => $told['head'], 'why' => $list($told['why'] ?? null), 'next' => $list($told['next'] ?? null)];
    }

    private function text(string $check, string $member): string
    {
        $text = $this->check($check)[$member] ?? null;

        return is_string($text) ? $text : throw UnknownPhrase::named("$check, $member");
    }

    /** @return array<string, mixed> */
    private function check(string $check): array
    {
        $area = $this->area(strstr($check, '.', true) ?: $check);
        $table = $area[$check] ?? null;

        /** @var array<string, mixed> */
        return is_array($table) ? $table : throw UnknownPhrase::named($check);
    }

    /** @return array<string, mixed> */
    private function area(string $area): array
    {
        if (! isset($this->areas[$area])) {
            $file = "$this->folder/$this->language/$area.php";
            /** @var array<string, mixed> $table */
            $table = is_file($file) ? require $file : throw UnknownPhrase::named("area $area");
            $this->areas[$area] = $table;
        }

        return $this->areas[$area];
    }
}
