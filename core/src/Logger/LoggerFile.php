<?php

declare(strict_types=1);

namespace IronStart\Core\Logger;

use IronStart\Core\Check\Field;
use IronStart\Core\Quantity\Units;

/**
 * A logger's file: lines of cells (RFC 4180, or with semicolons or tabs), often with a few lines of its own before the
 * columns begin.
 */
final readonly class LoggerFile
{
    private const ROWS = 200_000;
    private const SHOWN = 10;
    private const LOOKED_AT = 60;
    private const CELL = 80;
    /** Times the usual step between two readings from which on it is a gap. */
    private const GAP = 3.0;
    private const TOLD = 20;
    private const HALF_DAY = 43_200.0;
    private const DAY = 86_400.0;
    private const COUNTED = ['s' => '/\b(s|sec|secs|seconds?)\b/i', 'min' => '/\b(min|mins|minutes?)\b/i', 'h' => '/\b(h|hr|hrs|hours?)\b/i'];

    /** @param list<string> $lines without their ends */
    private function __construct(private array $lines)
    {
    }

    /** @throws MappingError when it is no text, empty, or longer than a day of seconds twice over */
    public static function of(string $bytes): self
    {
        $text = str_starts_with($bytes, "\xef\xbb\xbf") ? substr($bytes, 3) : $bytes;
        if (! mb_check_encoding($text, 'UTF-8') || str_contains($text, "\0")) {
            throw new MappingError('file', 'This is no plain text. Save it from the logger as CSV, UTF-8.');
        }
        $lines = preg_split('/\r\n|\r|\n/', trim($text, "\r\n")) ?: [];
        if (trim($text) === '') {
            throw new MappingError('file', 'There is nothing in this file.');
        }
        if (count($lines) > self::ROWS) {
            throw new MappingError('file', 'A file has at most 200,000 lines: cut it where the test begins.');
        }

        return new self($lines);
    }

    /**
     * @param non-empty-string $separator
     * @return list<list<string>> the first lines as cells, to be looked at
     */
    public function top(string $separator, int $lines = self::SHOWN): array
    {
        return array_map(fn (string $line): array => self::cells($line, $separator), array_slice($this->lines, 0, $lines));
    }

    /**
     * What the file looks like, for somebody to accept: what can't be told for certain is left out.
     *
     * @param list<Field> $fields readings that are asked for
     * @return array<string, mixed> as Mapping takes it
     */
    public function proposed(array $fields): array
    {
        $separator = $this->separator();
        $rows = array_map(fn (string $line): array => self::cells($line, Mapping::SEPARATORS[$separator]), array_slice($this->lines, 0, self::LOOKED_AT));
        $head = self::head($rows);
        $names = $rows[$head - 1] ?? [];
        $body = array_slice($rows, $head);
        $decimal = $separator === 'semicolon' && array_filter($body, fn (array $row): bool => array_filter($row, fn (string $c): bool => preg_match('/^[+-]?\d+,\d+$/', $c) === 1) !== []) !== [] ? 'comma' : 'point';
        $told = ['separator' => $separator, 'decimal' => $decimal, 'head' => $head];
        $values = $taken = [];
        foreach (array_keys($body[0] ?? []) as $column) {
            $found = $this->timeIn($column, $separator, $head, $names[$column] ?? '', $decimal);
            if ($found !== []) {
                $told += ['time' => $column] + $found;
                $taken[] = $column;
                break;
            }
        }
        foreach ($fields as $field) {
            foreach ($names as $column => $name) {
                $unit = self::unitIn($name, $field);
                if ($unit !== '' && ! in_array($column, $taken, true)) {
                    $values[$field->name] = ['column' => $column, 'unit' => $unit];
                    $taken[] = $column;
                    break;
                }
            }
        }

        return $told + ['values' => $values];
    }

    /** @throws MappingError when times run backwards, or nothing can be read */
    public function read(Mapping $by): Series
    {
        $points = $unread = $gaps = [];
        $unreadCount = $duplicates = $blanks = $midnights = 0;
        $start = $last = null;
        foreach ($this->lines as $i => $line) {
            if ($i < $by->head || trim($line) === '') {
                continue;
            }
            $cells = self::cells($line, $by->separator);
            $written = self::time($cells, $by);
            $seconds = $by->form->seconds($by->decimalComma && $by->form === TimeForm::Elapsed ? strtr($written, ',', '.') : $written, $by->zone, $by->unit);
            $values = [];
            $wrong = $seconds === null ? $written : null;
            foreach ($by->values as ['column' => $column]) {
                $cell = $cells[$column] ?? '';
                $figure = $by->decimalComma ? strtr($cell, ['.' => '', ',' => '.']) : strtr($cell, [',' => '']);
                if ($cell === '') {
                    $values = null;
                    break;
                }
                if (! is_numeric($figure) || ! is_finite((float) $figure)) {
                    $wrong = $cell;
                } else {
                    $values[] = (float) $figure;
                }
            }
            if ($values === null) {
                $blanks++;
                continue;
            }
            if ($wrong !== null || $seconds === null || $values === []) {
                $unreadCount++;
                if (count($unread) < self::TOLD) {
                    $unread[] = ['line' => $i + 1, 'cell' => mb_substr((string) $wrong, 0, self::CELL)];
                }
                continue;
            }
            $seconds += $midnights * self::DAY;
            if ($by->form === TimeForm::Clock && $last !== null && $last - $seconds > self::HALF_DAY) {
                $midnights++;
                $seconds += self::DAY;
            }
            if ($last !== null && $seconds < $last) {
                throw new MappingError('time', 'Line ' . ($i + 1) . ": the time runs backwards here ($written). The clock was set, or two logs stand in one file: cut it there, then read it again.");
            }
            if ($seconds === $last) {
                $duplicates++;
                continue;
            }
            $start ??= $seconds;
            $points[] = ['seconds' => $seconds - $start, 'values' => $values];
            $last = $seconds;
        }
        if ($points === []) {
            throw new MappingError('file', $unread === [] ? 'No line of it holds a reading: look at the columns again.' : "No line of it can be read: line {$unread[0]['line']} says \"{$unread[0]['cell']}\".");
        }
        $every = self::usualStep($points);
        for ($i = 1; $i < count($points); $i++) {
            if ($points[$i]['seconds'] - $points[$i - 1]['seconds'] > self::GAP * $every && count($gaps) < self::TOLD) {
                $gaps[] = ['from' => $points[$i - 1]['seconds'] / 60, 'to' => $points[$i]['seconds'] / 60];
            }
        }

        return new Series($points, $by->form->hasDay() ? $start : null, $every, $gaps, $unread, $unreadCount, $duplicates, $blanks, $midnights);
    }

    /** @param list<string> $cells */
    private static function time(array $cells, Mapping $by): string
    {
        return trim(($by->day === null ? '' : ($cells[$by->day] ?? '') . ' ') . ($cells[$by->time] ?? ''));
    }

    /**
     * The middle one of the steps between readings.
     *
     * @param non-empty-list<array{seconds: float, values: list<float>}> $points
     * @return float s
     */
    private static function usualStep(array $points): float
    {
        $steps = [];
        for ($i = 1; $i < count($points); $i++) {
            $steps[] = $points[$i]['seconds'] - $points[$i - 1]['seconds'];
        }
        sort($steps);

        return $steps[intdiv(count($steps), 2)] ?? 0.0;
    }

    /**
     * @param non-empty-string $separator
     * @return list<string>
     */
    private static function cells(string $line, string $separator): array
    {
        $cells = str_contains($line, '"') ? str_getcsv($line, $separator, '"', '') : explode($separator, $line);

        return array_map(fn (?string $cell): string => trim((string) $cell), $cells);
    }

    /** What stands in most of the lines, the same number of times. */
    private function separator(): string
    {
        $best = ['comma', 0];
        foreach (Mapping::SEPARATORS as $name => $sign) {
            $counts = array_count_values(array_map(fn (string $line): int => substr_count($line, $sign), array_slice($this->lines, 0, self::LOOKED_AT)));
            unset($counts[0]);
            $most = $counts === [] ? 0 : max($counts);
            if ($most > $best[1]) {
                $best = [$name, $most];
            }
        }

        return $best[0];
    }

    /**
     * The line before the first one that holds a figure in a row as wide as those after it.
     *
     * @param list<list<string>> $rows
     */
    private static function head(array $rows): int
    {
        $widths = array_count_values(array_map(count(...), $rows));
        arsort($widths);
        $width = array_key_first($widths);
        foreach ($rows as $i => $row) {
            if (count($row) === $width && array_filter($row, fn (string $cell): bool => preg_match('/^[+-]?[\d.,]+$/', $cell) === 1) !== []) {
                return $i;
            }
        }

        return 0;
    }

    /** @return array<string, string> form and, of a number, its unit; nothing where it is no time for certain */
    private function timeIn(int $column, string $separator, int $head, string $name, string $decimal): array
    {
        $texts = [];
        $step = max(1, intdiv(count($this->lines) - $head, self::LOOKED_AT));
        for ($i = $head; $i < count($this->lines); $i += $step) {
            $cell = self::cells($this->lines[$i], Mapping::SEPARATORS[$separator])[$column] ?? '';
            if ($cell !== '') {
                $texts[] = $decimal === 'comma' ? strtr($cell, ',', '.') : $cell;
            }
        }
        $utc = new \DateTimeZone('UTC');
        $fits = fn (TimeForm $form): bool => $texts !== [] && array_filter($texts, fn (string $text): bool => $form->seconds($text, $utc, 1.0) === null) === [];
        if ($fits(TimeForm::Iso)) {
            return ['form' => 'iso'];
        }
        [$mdy, $dmy] = [$fits(TimeForm::MonthFirst), $fits(TimeForm::DayFirst)];
        if ($mdy || $dmy) {
            // Where every day is one of the first twelve, nobody can tell.
            return $mdy && $dmy ? ['form' => ''] : ['form' => $mdy ? 'mdy' : 'dmy'];
        }
        if (preg_match('/^\d{1,4}:\d\d/', $texts[0] ?? '') === 1) {
            $isClock = $fits(TimeForm::Clock) && ! str_contains(strtolower($name), 'elapsed');

            return $isClock || $fits(TimeForm::Since) ? ['form' => $isClock && ! str_starts_with($texts[0], '0:00') && ! str_starts_with($texts[0], '00:00') ? 'clock' : 'since'] : [];
        }
        if (preg_match('/time|elapsed|\bt\b/i', $name) !== 1 && array_filter(self::COUNTED, fn (string $p): bool => preg_match($p, $name) === 1) === []) {
            return [];
        }
        $unit = array_key_first(array_filter(self::COUNTED, fn (string $p): bool => preg_match($p, $name) === 1)) ?? '';

        return $fits(TimeForm::Elapsed) ? ['form' => 'elapsed', 'unit' => $unit] : [];
    }

    /** The unit a column's name tells, as one of this reading; '' where it tells none. */
    private static function unitIn(string $name, Field $field): string
    {
        foreach ($field->kind === null ? [] : Units::of($field->kind) as $unit) {
            $plain = strtr($unit, ['delta_' => '', '_abs' => '', '_diff' => '']);
            foreach (array_unique([$unit, Units::sign($unit), $plain, strtr($plain, ['deg' => '°']), strtr($plain, ['deg' => '']), $unit === 'psig' ? 'psi' : $unit]) as $written) {
                if (preg_match('/(?<![\w°])' . preg_quote($written, '/') . 's?(?!\w)/iu', $name) === 1) {
                    return $unit;
                }
            }
        }

        return '';
    }
}
