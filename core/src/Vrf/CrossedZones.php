<?php

declare(strict_types=1);

namespace IronStart\Core\Vrf;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\DrawsOnRecord;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Instrument;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\Past;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Quantity;
use IronStart\Core\Quantity\UnknownUnit;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Value;

/**
 * Whether the coil that was called is the one that answered: one zone called at a time, and the change of every coil.
 * Pairs that are swapped, rings, a valve that does not close and a coil that goes the other way are told apart.
 *
 * Source: house practice. A coil answers with 8 °F and at least twice the next one.
 */
final class CrossedZones implements Check, DrawsOnRecord
{
    /** °F */
    private const ANSWERS = 8.0;
    private const CLEARLY = 2.0;
    private const KELVIN = 1.8;
    /** Calls of others that a coil answers from which on its valve leaks, not two lines crossed. */
    private const LEAKS = 2;
    private const MOST = 500.0;

    public function id(): string
    {
        return 'vrf.crossed_zones';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        return [
            Field::texts('zones', 60)->needed(),
            Field::word('mode', 'cool', 'heat')->default('cool'),
            Field::items('matrix', Field::text('called', 60)->structural(), Field::raw('changes')->readWith(Instrument::PipeClamp)->needed())->uniqueBy('called')->needed(),
        ];
    }

    public static function bringsIn(Past $past, string $subject): array
    {
        $zones = AsDrawn::zones($past);

        return $past->stillOpen('vrf.crossed_zones', $subject, ['zones', 'mode', 'matrix']) + ($zones === [] ? [] : ['zones' => $zones]);
    }

    public function contradictions(Input $in): iterable
    {
        $zones = $in->words('zones');
        foreach ($zones as $i => $zone) {
            if (array_search($zone, $zones, true) !== $i) {
                yield new InputError("zones.$i", $zone, 'a zone that is named once', "zones.$i: $zone stands there twice. Give each zone a name of its own.");
            }
        }
        foreach ($zones === [] ? [] : $in->items('matrix') as $i => $row) {
            if (! in_array($row->text('called'), $zones, true)) {
                yield new InputError("matrix.$i.called", $row->text('called'), implode(', ', $zones), "matrix.$i.called: there is no zone {$row->text('called')}. Enter: " . implode(', ', $zones) . '.');
            }
            yield from self::wrong($row->parsed('changes'), "matrix.$i.changes", $zones);
        }
    }

    public function judge(Input $in): Judgement
    {
        $basis = [Finding::note('basis')];
        $missing = [...Missing::in($in), ...self::unread($in)];
        if ($missing !== []) {
            return new Judgement($missing, basis: $basis);
        }
        $zones = $in->words('zones');
        $responses = [];
        foreach ($in->items('matrix') as $row) {
            foreach ($zones as $zone) {
                $change = self::change($row->parsed('changes'), $zone) ?? 0.0;
                $responses[$row->text('called')][$zone] = ($in->text('mode') === 'heat' ? 1 : -1) * $change;
            }
        }
        $answers = $findings = [];
        foreach ($responses as $called => $row) {
            $found = self::call((string) $called, $row, $answers);
            if ($found !== null) {
                $findings[] = $found;
            }
        }
        $findings = [...$findings, ...self::together($zones, $responses, $answers)];
        foreach (array_diff($zones, array_map(strval(...), array_keys($responses))) as $zone) {
            $findings[] = Finding::open("not_called:$zone", ['zone' => $zone]);
        }
        if (Judgement::worst($findings) === Status::Clear) {
            $findings[] = Finding::note('all_right', ['count' => count($zones)]);
        }
        $right = count(array_filter($answers, fn (string $coil, string|int $called): bool => $coil === (string) $called, ARRAY_FILTER_USE_BOTH));

        return new Judgement($findings, ['answered' => Value::of(count($answers), '1'), 'right' => Value::of($right, '1')], basis: $basis);
    }

    /**
     * One call by itself.
     *
     * @param array<string, float>  $row     °F that each coil went the way it was asked
     * @param array<string, string> $answers gets the coil that answered
     */
    private static function call(string $called, array $row, array &$answers): ?Finding
    {
        arsort($row);
        $coils = array_map(strval(...), array_keys($row));
        $figures = array_values($row);
        [$best, $next] = [$figures[0], max(0.0, $figures[1] ?? 0.0)];
        $said = fn (float $fahrenheit): Said => Said::temperatureDifference($fahrenheit / self::KELVIN);
        if (Limit::under($best, self::ANSWERS)) {
            return Limit::over($row[$called], -self::ANSWERS)
                ? Finding::stop("no_response:$called", ['zone' => $called])
                : Finding::stop("opposite:$called", ['zone' => $called, 'change' => $said(-$row[$called])]);
        }
        if (! Limit::under($best, self::CLEARLY * $next)) {
            $answers[$called] = $coils[0];

            return null;
        }
        $both = ['zone' => $called, 'coil' => $coils[0], 'other' => $coils[1], 'best' => $said($best), 'next' => $said($next)];

        return Limit::under($next, self::ANSWERS) ? Finding::watch("unclear:$called", $both) : Finding::stop("two_responders:$called", $both);
    }

    /**
     * All calls beside each other.
     *
     * @param list<string>                        $zones
     * @param array<string, array<string, float>> $responses by call and coil, °F
     * @param array<string, string>               $answers   coil by call
     * @return list<Finding>
     */
    private static function together(array $zones, array $responses, array $answers): array
    {
        $found = $leaks = [];
        foreach (array_count_values($answers) as $coil => $count) {
            if ($count > 1) {
                $found[] = Finding::stop("same_responder:$coil", ['coil' => (string) $coil, 'count' => $count]);
            }
        }
        foreach ($zones as $zone) {
            $others = array_filter($responses, fn (array $row, string|int $called): bool => (string) $called !== $zone && ! Limit::under($row[$zone], self::ANSWERS), ARRAY_FILTER_USE_BOTH);
            if (count($others) >= self::LEAKS) {
                $found[] = Finding::stop("leaks:$zone", ['zone' => $zone, 'calls' => array_map(strval(...), array_keys($others))]);
                $leaks[$zone] = ($answers[$zone] ?? null) === $zone;
            }
        }
        $ringed = [];
        foreach ($zones as $zone) {
            $ring = isset($ringed[$zone]) ? [] : self::ring($zone, $answers);
            if (count($ring) > 1) {
                $ringed += array_flip($ring);
                $found[] = count($ring) === 2
                    ? Finding::stop('swap:' . implode('>', $ring), ['first' => $ring[0], 'second' => $ring[1]])
                    : Finding::stop('cycle:' . implode('>', $ring), ['zones' => $ring]);
            }
        }
        foreach ($zones as $zone) {
            $coil = $answers[$zone] ?? $zone;
            if ($coil !== $zone && ! isset($ringed[$zone]) && ! ($leaks[$coil] ?? false)) {
                $found[] = Finding::stop("crossed:$zone>$coil", ['zone' => $zone, 'coil' => $coil]);
            }
        }

        return $found;
    }

    /**
     * @param array<string, string> $answers
     * @return list<string> the zones a call goes through until it comes back; empty where it does not
     */
    private static function ring(string $zone, array $answers): array
    {
        $ring = [$zone];
        for ($at = $answers[$zone] ?? null; $at !== $zone; $at = $answers[$at] ?? null) {
            if ($at === null || in_array($at, $ring, true)) {
                return [];
            }
            $ring[] = $at;
        }

        return $ring;
    }

    /** @return list<Finding> of each coil of a call that nobody read */
    private static function unread(Input $in): array
    {
        $found = [];
        foreach ($in->items('matrix') as $i => $row) {
            foreach ($row->given('changes') ? $in->words('zones') : [] as $zone) {
                if (self::change($row->parsed('changes'), $zone) === null) {
                    $found[] = Missing::at("matrix.$i.changes.$zone", "{$row->text('called')}, $zone:", "matrix.$i.changes");
                }
            }
        }

        return $found;
    }

    /**
     * @param list<string> $zones
     * @return iterable<InputError>
     */
    private static function wrong(mixed $changes, string $path, array $zones): iterable
    {
        if ($changes === null) {
            return;
        }
        $members = self::members($changes);
        if ($members === null) {
            yield InputError::at($path, $changes, 'an object: a change for each zone');

            return;
        }
        foreach ($members as $name => $raw) {
            $zone = (string) $name;
            if (! in_array($zone, $zones, true)) {
                yield new InputError("$path.$zone", $raw, implode(', ', $zones), "$path.$zone: there is no zone $zone. Enter: " . implode(', ', $zones) . '.');
            } elseif ($raw !== null && $raw !== '' && (self::read($raw) === null || abs(self::read($raw)) > self::MOST)) {
                yield InputError::at("$path.$zone", $raw, 'a change of temperature with its unit (delta_degF, K_diff)', 'is not a change of temperature with its unit');
            }
        }
    }

    /** @return float|null °F; null where nothing was read */
    private static function change(mixed $changes, string $zone): ?float
    {
        return self::read(self::members($changes)[$zone] ?? null);
    }

    private static function read(mixed $raw): ?float
    {
        $pair = self::members($raw);
        try {
            $read = match (true) {
                is_string($raw) => Quantity::parse($raw, Kind::TemperatureDifference),
                $pair !== null && is_numeric($pair['value'] ?? null) && is_string($pair['unit'] ?? null) => Quantity::of((float) $pair['value'], $pair['unit'], Kind::TemperatureDifference),
                default => null,
            };
        } catch (UnknownUnit | \RangeException) {
            return null;
        }

        return $read === null ? null : self::KELVIN * $read->canonical;
    }

    /** @return array<array-key, mixed>|null */
    private static function members(mixed $raw): ?array
    {
        return match (true) {
            $raw instanceof \stdClass => get_object_vars($raw),
            is_array($raw) && ($raw === [] || ! array_is_list($raw)) => $raw,
            default => null,
        };
    }
}
