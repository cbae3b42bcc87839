<?php

declare(strict_types=1);

namespace IronStart\Core\Tests;

/** What is written down on the way out: counters, sensors, days. As in Limits. */
final class LimitsHandover
{
    /** @return array<string, array<string, array<int, mixed>>> */
    public static function all(): array
    {
        $left = ['when' => 'left', 'read_from' => 'display'];
        $sensor = fn (string $shows, string $reference): array => ['shows' => $shows, 'reference' => $reference];
        $done = ['registered' => '2026-05-04'];

        $codes = ['known' => [
            ['name' => 'F3', 'kind' => 'fault', 'meaning' => 'no flame', 'causes' => [['what' => 'no gas', 'cheap_test' => 'read the inlet'], ['what' => 'a bad board']]],
            ['name' => 'S4', 'kind' => 'step', 'meaning' => 'off time'],
        ]];
        $form = fn (?string $answer): array => ['items' => [['name' => 'Voltage', 'answer' => '481 V'], ['name' => 'Filters'] + ($answer === null ? [] : ['answer' => $answer])]];

        return [
            'entry.code' => [
                'a step is no fault' => [$codes, [['code' => 's 4'], 'clear', ['step']], [['code' => 'F-3'], 'watch', ['fault', 'cause:no gas', 'cause:a bad board']]],
                'a code nobody lists' => [$codes, [['code' => 'S4'], 'clear', ['step']], [['code' => 'S44'], 'watch', ['not_listed']]],
                'no list' => [['code' => 'S4'], [$codes, 'clear', ['step']], [[], 'watch', ['no_list']]],
            ],
            'entry.maker_form' => ['the last answer' => [[], [$form('clean'), 'clear', ['complete']], [$form(null), 'watch', ['blanks']]]],
            'entry.hours' => [
                'a counter that stood still' => [$left + ['found_hours' => '1200 h'], [['hours' => '1200 h'], 'clear', []], [['hours' => '1199.9 h'], 'watch', ['counts_back']]],
                'starts that stood still' => [$left + ['hours' => '10 h', 'found_starts' => 40], [['starts' => 40], 'clear', []], [['starts' => 39], 'watch', ['starts_back']]],
                'as found there is nothing before' => [['hours' => '10 h', 'found_hours' => '20 h', 'starts' => 3, 'found_starts' => 9], [['when' => 'found'], 'clear', []], [['when' => 'left'], 'watch', ['counts_back', 'starts_back']]],
            ],
            'entry.sensor' => [
                'a degree, high' => [['sensor' => 'supply air'], [$sensor('56.0 degF', '55.0 degF'), 'clear', ['true']], [$sensor('56.1 degF', '55.0 degF'), 'watch', ['off']]],
                'a degree, low' => [['sensor' => 'supply air'], [$sensor('20.0 degC', '20.6 degC'), 'clear', ['true']], [$sensor('20.0 degC', '20.7 degC'), 'watch', ['off']]],
            ],
            'entry.spares' => ['how many' => [['what' => 'belt', 'where' => 'tray', 'van' => true], [['how_many' => 1], 'clear', []], [[], 'open', ['missing:how_many']]], 'where it is' => [['what' => 'belt', 'how_many' => 2], [['where' => 'blower section'], 'clear', []], [[], 'open', ['missing:where']]]],
            'entry.warranty' => [
                'by the last day' => [['register_by' => '2026-05-04'], [['registered' => '2026-05-04'], 'clear', ['registered']], [['registered' => '2026-05-05'], 'watch', ['late']]],
                'not yet' => [['register_by' => '2026-05-04'], [$done, 'clear', ['registered']], [[], 'watch', ['not_registered']]],
                'covered for a day' => [$done, [['parts_until' => '2026-05-04'], 'clear', ['registered']], [['parts_until' => '2026-05-03'], 'watch', ['registered', 'over']]],
                'days without a start' => [['registration_days' => 60], [['started' => '2026-05-04'], 'watch', ['not_registered']], [[], 'open', ['missing:register_by']]],
                'neither day' => [['number' => '7'], [$done, 'clear', ['registered']], [[], 'open', ['missing:register_by']]],
            ],
            'entry.next_look' => ['what for' => [['day' => '2026-05-05'], [['read' => 'charge'], 'clear', []], [[], 'open', ['missing:read']]]],
            'entry.finding' => ['what it needs' => [['sentence' => 'C1 is grounded.', 'state_left' => 'locked out'], [['needs' => 'a compressor'], 'clear', []], [[], 'open', ['missing:needs']]]],
        ];
    }
}
