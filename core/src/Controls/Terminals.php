<?php

declare(strict_types=1);

namespace IronStart\Core\Controls;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\NoContradictions;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Value;

/** Which terminals this machine needs, which are landed at both ends, and what a long thin wire loses. */
final class Terminals implements Check
{
    use NoContradictions;

    private const ALL = ['R', 'C', 'G', 'Y1', 'Y2', 'W1', 'W2', 'O', 'B'];
    /** Without these the machine runs, with less. */
    private const MILD = ['Y2', 'W2', 'C'];
    /** V of 24. */
    private const DROP_WATCH = 2.4;
    private const DROP_STOP = 4.8;
    /** Ω for each 1000 ft of copper at 20 °C, by gauge. */
    private const OHMS = [14 => 2.525, 16 => 4.016, 18 => 6.385, 20 => 10.15, 22 => 16.14];

    public function id(): string
    {
        return 'controls.terminals';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        return [
            Field::group(
                'machine',
                Field::count('compressors', 0, 2)->fromSheet('compressors')->needed(),
                Field::count('unloader_steps', 1, 2)->default(1),
                Field::count('heat_stages', 0, 2)->fromSheet('controls.heat_stages')->needed(),
                Field::flag('heat_pump')->fromSheet('controls.heat_pump')->needed(),
                Field::word('reversing', 'O', 'B')->fromSheet('controls.reversing')->neededWhen(fn (Input $m): bool => $m->flag('heat_pump')),
            )->needed(),
            Field::group(
                'thermostat',
                Field::word('type', 'conventional', 'heat_pump')->needed(),
                Field::words('landed', ...self::ALL)->needed(),
                Field::word('ob_setting', 'O', 'B'),
            )->needed(),
            Field::words('machine_landed', ...self::ALL)->orNone()->needed(),
            Field::group(
                'wire',
                Field::length('length', 'ft', 0)->positive()->startsIn('ft')->needed(),
                Field::choice('awg', ...array_keys(self::OHMS))->needed(),
                Field::amps('current', 0, 20)->needed(),
            ),
        ];
    }

    public function judge(Input $in): Judgement
    {
        [$machine, $thermostat, $wire] = [$in->group('machine'), $in->group('thermostat'), $in->group('wire')];
        $isPump = $machine?->given('heat_pump') === true && $machine->flag('heat_pump');
        $missing = [...Missing::in($in), ...($isPump && $thermostat !== null && ! $thermostat->given('ob_setting') ? [Missing::at('thermostat.ob_setting')] : [])];
        $cautions = ['lockout', 'qualified_electrical'];
        $basis = [Finding::note('basis')];
        if ($missing !== [] || $machine === null || $thermostat === null) {
            return new Judgement($missing, cautions: $cautions, basis: $basis);
        }
        $stages = min(2, $machine->int('compressors') * $machine->int('unloader_steps'));
        $values = ['cool_stages' => Value::of((float) $stages, '1')];
        $findings = [
            ...($thermostat->text('type') === ($isPump ? 'heat_pump' : 'conventional') ? [] : [Finding::stop('wrong_thermostat_type')]),
            ...self::wires($machine, $thermostat, $in->words('machine_landed'), $stages),
            ...($wire === null ? [] : self::drop($wire, $values)),
        ];
        if (Judgement::worst($findings) === Status::Clear) {
            $findings[] = Finding::note('landed', ['stages' => $stages]);
        }

        return new Judgement($findings, $values, false, $cautions, $basis);
    }

    /**
     * @param list<string> $there landed at the machine
     * @return list<Finding>
     */
    private static function wires(Input $machine, Input $thermostat, array $there, int $stages): array
    {
        $isPump = $machine->flag('heat_pump');
        $heat = $machine->int('heat_stages');
        $needed = ['R', 'C', 'G', ...array_slice(['Y1', 'Y2'], 0, $stages), ...array_slice(['W1', 'W2'], 0, $heat), ...($isPump ? [$machine->text('reversing')] : [])];
        $here = $thermostat->words('landed');
        $findings = [];
        $other = $machine->text('reversing') === 'O' ? 'B' : 'O';
        $isOther = $isPump && in_array($other, $here, true) && in_array($other, $there, true);
        foreach ($needed as $one) {
            if (in_array($one, $here, true) && in_array($one, $there, true)) {
                continue;
            }
            if ($isOther && $one === $machine->text('reversing')) {
                $findings[] = Finding::stop('ob_reversed', [], 'ob_landed_reversed');
            } else {
                $findings[] = Finding::of(in_array($one, self::MILD, true) ? Status::Watch : Status::Stop, "missing_wire:$one", ['wire' => $one]);
            }
        }
        foreach (array_diff(self::ALL, $needed) as $one) {
            if ((in_array($one, $here, true) || in_array($one, $there, true)) && ! ($isOther && $one === $other)) {
                $findings[] = Finding::watch("extra_wire:$one", ['wire' => $one]);
            }
        }
        if ($isPump && $thermostat->text('ob_setting') !== $machine->text('reversing')) {
            $findings[] = Finding::stop('ob_reversed');
        }

        return $findings;
    }

    /**
     * @param array<string, Value> $values gets the volts lost
     * @return list<Finding>
     */
    private static function drop(Input $wire, array &$values): array
    {
        $volts = 2 * (float) $wire->in('length', 'ft') * self::OHMS[$wire->int('awg')] * $wire->number('current') / 1000;
        $values['wire_drop'] = Value::of($volts, 'V');
        $said = ['drop' => Said::volts($volts, Limit::over($volts, self::DROP_STOP) ? self::DROP_STOP : self::DROP_WATCH)];

        return match (true) {
            Limit::over($volts, self::DROP_STOP) => [Finding::stop('wire_drop', $said)],
            Limit::over($volts, self::DROP_WATCH) => [Finding::watch('wire_drop', $said)],
            default => [],
        };
    }
}
