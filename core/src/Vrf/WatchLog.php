<?php

declare(strict_types=1);

namespace IronStart\Core\Vrf;

use IronStart\Core\Check\Moment;

/**
 * A night's log of indoor units, read from CSV: for each unit its samples in the order of time. Columns are found by
 * their names, in any order; further ones are left aside. A sample is its minutes, whether the valve is shut and nothing
 * is called, then liquid pipe, gas pipe and return air as they were written.
 *
 * @phpstan-type Sample array{float, bool, float, float, float}
 */
final readonly class WatchLog
{
    public const COLUMNS = ['unit', 'time', 'valve_pulses', 'liquid_pipe', 'gas_pipe', 'return_air', 'thermo_on'];
    private const FLAGS = ['0' => false, '1' => true, 'false' => false, 'true' => true];

    /** @param array<string, list<Sample>> $units by name */
    private function __construct(public array $units)
    {
    }

    /** @throws \InvalidArgumentException naming the line and what belongs there */
    public static function parse(string $csv): self
    {
        $lines = preg_split('/\r\n|\n|\r/', str_starts_with($csv, "\u{FEFF}") ? substr($csv, 3) : $csv);
        $lines = $lines === false ? [] : $lines;
        $first = 0;
        while (isset($lines[$first]) && trim($lines[$first]) === '') {
            $first++;
        }
        $head = $lines[$first] ?? '';
        $separator = str_contains($head, ',') || ! str_contains($head, ';') ? ',' : ';';
        [$at, $width] = self::columns(self::cells($head, $separator), $first + 1);
        $units = $last = $times = [];
        $isClock = null;
        for ($i = $first + 1, $count = count($lines); $i < $count; $i++) {
            if (trim($lines[$i]) === '') {
                continue;
            }
            $cells = self::cells($lines[$i], $separator);
            $line = $i + 1;
            if (count($cells) !== $width) {
                throw new \InvalidArgumentException("line $line: $width cells, as in the first line");
            }
            $unit = trim($cells[$at['unit']]);
            $written = trim($cells[$at['time']]);
            $minutes = $times[$written] ??= self::minutes($written, $line);
            $isClock ??= ! is_numeric($written);
            $on = self::FLAGS[strtolower(trim($cells[$at['thermo_on']]))] ?? null;
            $pulses = trim($cells[$at['valve_pulses']]);
            $temperatures = [trim($cells[$at['liquid_pipe']]), trim($cells[$at['gas_pipe']]), trim($cells[$at['return_air']])];
            if ($unit === '' || $on === null || ! is_numeric($pulses) || ! is_numeric($temperatures[0]) || ! is_numeric($temperatures[1]) || ! is_numeric($temperatures[2])) {
                throw new \InvalidArgumentException("line $line: a unit, a time, numbers, and 0 or 1 for thermo_on");
            }
            if ($isClock === is_numeric($written) || (isset($last[$unit]) && $minutes <= $last[$unit])) {
                throw new \InvalidArgumentException("line $line: a time after the one of the same unit before it, all written alike");
            }
            $last[$unit] = $minutes;
            $units[$unit][] = [$minutes, (float) $pulses === 0.0 && ! $on, (float) $temperatures[0], (float) $temperatures[1], (float) $temperatures[2]];
        }

        return new self($units);
    }

    /** @return list<float> every return air temperature, as written */
    public function returnAir(): array
    {
        return array_merge([], ...array_values(array_map(fn (array $samples): array => array_column($samples, 4), $this->units)));
    }

    /**
     * @param list<string> $head
     * @return array{array<string, int>, int} where each column stands, and how many there are
     */
    private static function columns(array $head, int $line): array
    {
        $names = array_map(fn (string $name): string => strtolower(trim($name)), $head);
        $at = [];
        foreach (self::COLUMNS as $name) {
            $found = array_keys($names, $name, true);
            if (count($found) !== 1) {
                throw new \InvalidArgumentException("line $line: the columns " . implode(', ', self::COLUMNS) . ', each once');
            }
            $at[$name] = $found[0];
        }

        return [$at, count($names)];
    }

    private static function minutes(string $written, int $line): float
    {
        if (is_numeric($written)) {
            return (float) $written;
        }
        try {
            return Moment::parse('1970-01-01T00:00' . (preg_match('/(Z|[+-]\d\d:\d\d)$/', $written) === 1 ? 'Z' : ''))->until(Moment::parse($written)) / 60;
        } catch (\InvalidArgumentException) {
            throw new \InvalidArgumentException("line $line: a time in minutes, or such as 2026-05-04T22:15");
        }
    }

    /**
     * @param ','|';' $separator
     * @return list<string>
     */
    private static function cells(string $line, string $separator): array
    {
        return array_map(fn (?string $cell): string => (string) $cell, str_contains($line, '"') ? str_getcsv($line, $separator, '"', '') : explode($separator, $line));
    }
}
