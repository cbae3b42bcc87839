<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Machine;
use App\Support\Moment;
use App\Tables\CsvOut;
use Illuminate\Database\ConnectionInterface;
use Illuminate\Support\Collection;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Units;

/**
 * What refrigerant went in and out of units, a line each, as a law's record wants it: when, who under which license, what
 * kind, from and into which cylinder, how much. An account is written anew with every line it has; a line counts from the
 * first entry it stood in.
 */
final class RefrigerantLedger
{
    public const HEAD = ['date', 'site', 'unit', 'serial', 'refrigerant', 'kind', 'cylinder', 'scale_before_kg', 'scale_after_kg', 'into_unit_kg', 'out_of_unit_kg', 'from', 'to', 'who', 'license', 'entry'];
    private const WEIGHED = ['recovered', 'charged', 'returned'];
    /** Out of the unit; the others go in, or from one part of it to another. */
    private const OUT = ['recovered', 'lost'];
    private const DECIMALS = 3;

    public function __construct(private readonly ConnectionInterface $db)
    {
    }

    /**
     * @param Collection<int, Machine> $machines with their jobs, sites and sheets
     * @return list<list<string|int|float|null>> oldest first, unit by unit
     */
    public function lines(Collection $machines): array
    {
        $entries = $this->db->table('verdicts')->whereIn('verdicts.machine_id', $machines->pluck('id')->all())->where('verdicts.check', 'refrigerant.account')
            ->join('entries', 'entries.id', '=', 'verdicts.entry_id')->join('users', 'users.id', '=', 'entries.user_id')
            ->leftJoin('suspect_marks', fn ($join) => $join->on('suspect_marks.company_id', '=', 'entries.company_id')->on('suspect_marks.machine_id', '=', 'entries.machine_id')->on('suspect_marks.target_at', '=', 'entries.at'))
            ->whereNull('suspect_marks.target_at')->orderBy('entries.placed_at')->orderBy('entries.at')
            ->get(['verdicts.machine_id', 'entries.at', 'entries.placed_at', 'users.name', 'entries.details', 'verdicts.input'])->groupBy('machine_id');
        $lines = [];
        foreach ($machines as $machine) {
            array_push($lines, ...self::ofUnit($machine, array_values(($entries[$machine->id] ?? collect())->all())));
        }

        return $lines;
    }

    /**
     * @param list<list<string|int|float|null>> $lines
     * @return string comma-separated values (RFC 4180, UTF-8)
     */
    public static function file(array $lines): string
    {
        $out = fopen('php://temp', 'r+');
        assert($out !== false);
        CsvOut::write($out, self::HEAD, $lines);
        rewind($out);

        return (string) stream_get_contents($out);
    }

    /**
     * @param list<\stdClass> $accounts in the order of time
     * @return list<list<string|int|float|null>>
     */
    private static function ofUnit(Machine $machine, array $accounts): array
    {
        $first = [];
        foreach ($accounts as $account) {
            $seen = [];
            foreach (self::written($account) as $line) {
                $key = (string) json_encode($line);
                $seen[$key] = ($seen[$key] ?? 0) + 1;
                $first["$key $seen[$key]"] ??= $account;
            }
        }
        $newest = $accounts === [] ? [] : self::written($accounts[count($accounts) - 1]);
        $figure = Standings::sheet($machine)->figure('circuit.refrigerant', 'machine');
        $lines = $seen = [];
        foreach ($newest as $line) {
            $key = (string) json_encode($line);
            $seen[$key] = ($seen[$key] ?? 0) + 1;
            $by = $first["$key $seen[$key]"];
            $details = json_decode((string) $by->details, true);
            [$start, $end] = [self::kilograms($line['start'] ?? null), self::kilograms($line['end'] ?? null)];
            $kind = self::text($line, 'kind');
            $mass = in_array($kind, self::WEIGHED, true) ? ($start === null || $end === null ? null : abs($end - $start)) : self::kilograms($line['mass'] ?? null);
            $isOut = in_array($kind, self::OUT, true);
            $round = fn (?float $kg): ?float => $kg === null ? null : round($kg, self::DECIMALS);
            $lines[] = [
                substr(Moment::exact($by->placed_at), 0, 10), $machine->job->site->name, $machine->name, $machine->serial, is_string($figure) ? $figure : '',
                $kind, self::text($line, 'cylinder'), $round($start), $round($end), $isOut || $kind === 'moved' ? null : $round($mass), $isOut ? $round($mass) : null,
                self::text($line, 'from'), self::text($line, 'to'), (string) $by->name, is_array($details) ? (string) ($details['license'] ?? '') : '', (int) $by->at,
            ];
        }

        return $lines;
    }

    /** @return list<array<string, mixed>> */
    private static function written(\stdClass $account): array
    {
        $input = json_decode((string) $account->input, true);

        return array_values(array_filter(is_array($input) && is_array($input['entries'] ?? null) ? $input['entries'] : [], is_array(...)));
    }

    /** @param array<string, mixed> $line */
    private static function text(array $line, string $name): string
    {
        return is_string($line[$name] ?? null) ? trim($line[$name]) : '';
    }

    private static function kilograms(mixed $told): ?float
    {
        [$value, $unit] = match (true) {
            is_string($told) => explode(' ', trim($told), 2) + [1 => ''],
            is_array($told) => [$told['value'] ?? null, $told['unit'] ?? ''],
            default => [null, ''],
        };

        return is_numeric($value) && is_string($unit) && Units::knows(Kind::Mass, $unit) ? Units::toCanonical((float) $value, $unit, Kind::Mass) : null;
    }
}
