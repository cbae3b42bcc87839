<?php

declare(strict_types=1);

namespace IronStart\Core\Gate;

use IronStart\Core\Check\Past;

/**
 * Why the valves of a circuit may not be opened yet: it has to hold and be dry where it was opened, and where power reaches
 * the circuit's own electronics (a field bus between its parts, a compressor on a drive) the supply has to be right first.
 */
final class Opening
{
    private const TIGHT = 5;
    private const DRY = 6;
    private const POWER = 7;

    /** @return list<Refusal> in the order in which it is put right */
    public static function refused(Result $result, Job $job, string $circuit, bool $hasInverter): array
    {
        $bus = $job->isVrf() || $job->fact('pair', 'field_bus');

        return array_map(fn (string $row): Refusal => new Refusal(Refusal::MISSING, $row), [
            ...self::open($result, self::TIGHT, 'tight.hold', $job->sections === [] ? $circuit : null),
            ...self::open($result, self::DRY, 'dry.decay', $circuit),
            ...($bus ? self::open($result, self::POWER, 'vrf.wire_map') : []),
            ...($bus || $hasInverter ? self::open($result, self::POWER, 'power.voltage') : []),
        ]);
    }

    /**
     * The cylinders a charge was weighed in from that the refrigerant account does not tell of; one without a name where it
     * tells of none at all.
     *
     * @return list<Refusal>
     */
    public static function notInAccount(Past $past, string $circuit): array
    {
        $told = self::cylinders($past->last('refrigerant.account', 'machine')['input']['entries'] ?? [], 'charged');
        $lacks = array_values(array_diff(self::cylinders($past->last('charge.weigh_in', "circuit:$circuit")['input']['ledger'] ?? []), $told));

        return array_map(fn (string $name): Refusal => new Refusal(Refusal::CYLINDER, $name), $told === [] && $lacks === [] ? [''] : $lacks);
    }

    /** @return list<string> cylinders named in lines of a ledger, each once; of one kind of line where it is given */
    private static function cylinders(mixed $lines, ?string $kind = null): array
    {
        $named = [];
        foreach (is_array($lines) ? $lines : [] as $line) {
            if (is_array($line) && ($kind === null || ($line['kind'] ?? null) === $kind) && is_string($line['cylinder'] ?? null) && trim($line['cylinder']) !== '') {
                $named[trim($line['cylinder'])] = true;
            }
        }

        return array_map(strval(...), array_keys($named));
    }

    /** @return list<string> rows of a gate that are not answered, as "check:subject" */
    private static function open(Result $result, int $gate, string $check, ?string $circuit = null): array
    {
        $state = $result->gates[$gate];
        $open = [];
        foreach ($state->missing as $missing) {
            if (in_array($check, $missing->checks, true)) {
                $open["$check:$missing->subject"] = $missing->subject;
            }
        }
        foreach ($state->stopped as $stop) {
            if ($stop->check === $check) {
                $open["$check:$stop->base"] = $stop->base;
            }
        }

        return array_keys(array_filter($open, fn (string $subject): bool => $circuit === null || in_array($subject, ["circuit:$circuit", 'machine'], true)));
    }
}
