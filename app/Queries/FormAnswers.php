<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Machine;
use Illuminate\Support\Collection;
use IronStart\Core\Quantity\Units;
use IronStart\Core\Wording\Phrases;

/** What the record answers of the maker's own form: the newest reading each question names, as it was read. */
final class FormAnswers
{
    public function __construct(private readonly Phrases $phrases)
    {
    }

    /**
     * @param Collection<int, \stdClass> $rows of the tape
     * @return array<string, string> answer by question; those the record does not know are not in it
     */
    public function of(Machine $machine, Collection $rows): array
    {
        $form = Standings::sheet($machine)->figure('form', 'machine');
        $asked = array_filter(is_array($form) ? $form : [], fn (mixed $one): bool => is_array($one) && is_string($one['check'] ?? null) && is_string($one['reading'] ?? null));
        if ($asked === []) {
            return [];
        }
        $newest = [];
        $of = $rows->whereIn('check', array_column($asked, 'check'))->whereNotIn('at', $rows->whereNotNull('target_at')->pluck('target_at')->all());
        foreach ($of->sortBy('at') as $row) {
            $newest[$row->check][$row->subject] = $newest[$row->check][''] = json_decode($row->input, true);
        }
        $answers = [];
        foreach ($asked as $one) {
            $input = $newest[$one['check']][$one['subject'] ?? ''] ?? null;
            $said = $this->said($one['check'], $one['reading'], is_array($input) ? data_get($input, $one['reading']) : null);
            if ($said !== '') {
                $answers[(string) $one['question']] = $said;
            }
        }

        return $answers;
    }

    private function said(string $check, string $path, mixed $value): string
    {
        return match (true) {
            is_bool($value) => $this->phrases->option($check, 'items.answer', $value ? 'yes' : 'no'),
            is_array($value) && isset($value['value'], $value['unit']) => "{$value['value']} " . Units::sign((string) $value['unit']),
            is_string($value) && preg_match('/^(-?[\d.]+) (\S+)$/', $value, $read) === 1 => "$read[1] " . Units::sign($read[2]),
            is_string($value) => $this->phrases->optionOr($check, $path, $value),
            is_int($value), is_float($value) => (string) $value,
            default => '',
        };
    }
}
