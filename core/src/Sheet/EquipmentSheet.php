<?php

declare(strict_types=1);

namespace IronStart\Core\Sheet;

use IronStart\Core\Check\Field;
use IronStart\Core\Check\FieldType;
use IronStart\Core\Power\PlateVoltage;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Quantity;
use IronStart\Core\Refrigerant\Refrigerant;

/**
 * The equipment sheet of a model, as far as the checks and gates draw on it: which figure fills which field of a check
 * stands with the field, here is where it is found.
 */
final readonly class EquipmentSheet
{
    private const COMPRESSOR = 'compressor:';
    private const COMPRESSORS = ['scroll', 'screw', 'reciprocating'];
    private const OIL_NAMES = ['POE' => 'POE', 'PVE' => 'PVE', 'AB' => 'AB', 'MO' => 'mineral', 'mineral' => 'mineral'];
    /** What moves air or water, and so is started before a compressor. */
    private const AIR_FIRST = ['blower', 'pump'];
    /** Figures that are worked out of others of the sheet: none is entered for them. */
    /** Kinds whose blower is another unit's. */
    private const WITHOUT_BLOWER = ['condensing', 'vrf_outdoor'];
    private const WORKED_OUT = ['motors', 'controls.settings', 'electrical.plate_voltage', 'electrical.stored_energy', 'electrical.bus_wait', 'electrical.locked_rotor_amps', 'circuit.factory_charge', 'first_start', 'off_time', 'diodes_in', 'diodes_out', 'compressors', 'dials', 'drives', 'motor_taps', 'compressor.oil', 'compressor.other_amps', 'compressor.other_largest'];
    /** What a compressor's plate says, by where it stands on a sheet; the rest of a motor goes with the old one. */
    private const PLATE = ['kind' => 'kind', 'start' => 'drive', 'phases' => 'phases', 'rla' => 'amps', 'lra' => 'locked_rotor_amps', 'oil' => 'oil', 'capacity' => 'capacity', 'suction' => 'suction', 'discharge' => 'discharge'];
    /** How it stays connected, and what its shell needs. */
    private const STAYS = ['name' => 1, 'kind' => 1, 'drive' => 1, 'phases' => 1, 'runs_in' => 1, 'bus_wait' => 1, 'dial' => 1, 'crankcase_watts' => 1, 'crankcase_volts' => 1];
    /** A rolling piston pumps one way only, as a scroll does. */
    private const TURNS_AS = ['rotary' => 'scroll'];
    private const DRIVES = ['across_line', 'soft_starter', 'part_winding', 'inverter', 'single_phase'];
    /** A circuit that comes with one of these was opened, or will be, before it is charged. */
    private const SHIPS_OPEN = ['nitrogen', 'dry'];

    /** @param array<string, mixed> $body as the published schema has it */
    public function __construct(private array $body)
    {
    }

    /**
     * What the sheet gives to a check's fields, as its input takes it.
     *
     * @param list<Field> $fields
     * @param string $subject what the check is about, such as `compressor:C1`
     * @return array<string, mixed>
     */
    public function fill(array $fields, string $subject): array
    {
        $input = [];
        foreach ($fields as $field) {
            if ($field->type === FieldType::Group && $field->sheet === '') {
                // What the sheet knows of an object is there for whom chooses it.
                $members = $this->fill($field->fields, $subject);
                $input += $members === [] ? [] : [$field->name => $members];
            }
            $figure = $field->sheet === '' ? null : $this->figure($field->sheet, $subject);
            if (self::isGiven($figure)) {
                $input[$field->name] = $field->type === FieldType::Items ? self::rows($field, is_array($figure) ? $figure : []) : $figure;
            }
        }

        return $input;
    }

    /**
     * What was entered of figures this sheet says nothing about, by their path in it.
     *
     * @param list<Field> $fields
     * @param array<mixed> $input as it was entered
     * @return array<string, mixed>
     */
    public function lacking(array $fields, string $subject, array $input): array
    {
        $lacking = [];
        foreach ($fields as $field) {
            $given = $input[$field->name] ?? null;
            if ($field->sheet !== '' && ! in_array($field->sheet, self::WORKED_OUT, true) && self::isGiven($given) && ! self::isGiven($this->figure($field->sheet, $subject))) {
                $lacking[$field->sheet] = $given;
            }
        }

        return $lacking;
    }

    /**
     * The sheet with figures of a subject in it: those of a circuit or a compressor at that one, or at all where none is named.
     *
     * @param array<string, mixed> $figures by their path
     * @return array<string, mixed>
     */
    public function with(array $figures, string $subject): array
    {
        $body = $this->body;
        foreach ($figures as $path => $figure) {
            [$head, $rest] = explode('.', $path, 2) + [1 => ''];
            $isNamed = fn (string $of): \Closure => fn (array $row): bool => ! str_starts_with($subject, $of) || $subject === $of . ($row['name'] ?? '');
            if ($head === 'circuit') {
                $body['circuits'] = self::put($this->list('circuits'), $isNamed('circuit:'), $rest === 'oil_type' ? 'oil' : $rest, $figure);
            } elseif ($head === 'compressor') {
                $isCompressor = fn (array $motor): bool => in_array($motor['kind'] ?? '', self::COMPRESSORS, true) && $isNamed(self::COMPRESSOR)($motor);
                $body['electrical'] = ['motors' => self::put($this->motors(), $isCompressor, $rest, $figure)] + $this->object('electrical');
            } else {
                $body[$head] = $rest === '' ? $figure : [$rest => $figure] + $this->object($head);
            }
            // One by one: a second figure goes into what the first one made.
            if (count($figures) > 1) {
                return (new self($body))->with(array_diff_key($figures, [$path => 1]), $subject);
            }
        }

        return $body;
    }

    /**
     * @param list<array<string, mixed>> $rows
     * @param \Closure(array<string, mixed>): bool $isMeant
     * @return list<array<string, mixed>>
     */
    private static function put(array $rows, \Closure $isMeant, string $name, mixed $figure): array
    {
        return array_map(fn (array $row): array => $isMeant($row) ? [$name => $figure] + $row : $row, $rows);
    }

    /** @return array<string, mixed> */
    private function object(string $name): array
    {
        $object = $this->body[$name] ?? null;

        return is_array($object) ? $object : [];
    }

    /**
     * The sheet with the plates of new compressors in it: from now on everything goes by them.
     *
     * @param array<string, array<array-key, mixed>> $plates by name, as compressor.match takes `new`
     */
    public function renewed(array $plates): self
    {
        if ($plates === []) {
            return $this;
        }
        $motors = array_map(function (array $motor) use ($plates): array {
            $plate = $plates[$motor['name']] ?? null;
            if ($plate === null) {
                return ['quantity' => 1] + $motor;
            }
            $new = array_intersect_key($motor, self::STAYS);
            foreach (self::PLATE as $from => $to) {
                $new = (isset($plate[$from]) ? [$to => $plate[$from]] : []) + $new;
            }

            return [
                'kind' => self::TURNS_AS[$new['kind']] ?? $new['kind'],
                'drive' => in_array($new['drive'], self::DRIVES, true) ? $new['drive'] : $motor['drive'],
                'quantity' => 1,
            ] + $new;
        }, $this->eachMotor());

        return new self(['electrical' => ['motors' => $motors] + $this->object('electrical')] + $this->body);
    }

    /** One figure of the sheet; null where it says nothing. */
    public function figure(string $path, string $subject): mixed
    {
        return match ($path) {
            'motors' => $this->eachMotor(),
            'controls.settings' => $this->settings(),
            'air.tons' => is_numeric($this->at('air.tons')) ? "{$this->at('air.tons')} ton" : $this->at('air.tons'),
            'electrical.plate_voltage' => PlateVoltage::fromNameplate((string) ($this->at('electrical.plate_voltage') ?? '')),
            'electrical.stored_energy' => $this->busWait() !== null || $this->hasInverter() ? true : null,
            'electrical.bus_wait' => $this->busWait(),
            'electrical.locked_rotor_amps' => $this->lockedRotorAmps(),
            'first_start' => $this->startsInOrder(),
            'off_time' => $this->offTime(),
            'diodes_in' => $this->hasInverter() ? self::diodes($this->at('electrical.phases') === 1 ? ['a', 'b'] : ['a', 'b', 'c']) : null,
            'diodes_out' => $this->hasInverter() ? self::diodes(['u', 'v', 'w']) : null,
            'compressors' => $this->calledCompressors(),
            'dials' => $this->motorsWith(fn (array $motor): bool => isset($motor['dial'])),
            'drives' => $this->motorsWith(fn (array $motor): bool => ($motor['drive'] ?? '') === 'inverter' && ! in_array($motor['kind'] ?? '', self::COMPRESSORS, true)),
            'motor_taps' => $this->motorsWith(fn (array $motor): bool => isset($motor['taps'])),
            'compressor.oil' => self::OIL_NAMES[$this->compressor($subject)['oil'] ?? $this->ofCircuit('oil', $subject)] ?? null,
            'compressor.other_amps' => $this->otherAmps($subject, array_sum(...)),
            'compressor.other_largest' => $this->otherAmps($subject, fn (array $amps): float => max([0.0, ...$amps])),
            default => match (strstr($path, '.', true)) {
                'compressor' => $this->compressor($subject)[substr($path, strlen('compressor.'))] ?? null,
                'circuit' => $this->ofCircuit(substr($path, strlen('circuit.')), $subject),
                default => $this->at($path),
            },
        };
    }

    /** @return list<array{name: string, compressors: list<string>}> */
    public function circuits(): array
    {
        $circuits = [];
        foreach ($this->list('circuits') as $circuit) {
            $circuits[] = ['name' => (string) ($circuit['name'] ?? ''), 'compressors' => array_values(array_map(strval(...), is_array($circuit['compressors'] ?? null) ? $circuit['compressors'] : []))];
        }

        return $circuits;
    }

    /** @return list<string> circuits that come with nitrogen or dry, and so are opened on the job */
    public function opened(): array
    {
        return array_values(array_map(fn (array $c): string => (string) $c['name'], array_filter($this->list('circuits'), fn (array $c): bool => in_array($c['ships_with'] ?? '', self::SHIPS_OPEN, true))));
    }

    /** @return list<string> facts of a machine that its sheet knows */
    public function facts(): array
    {
        return array_keys(array_filter([
            'single_phase' => $this->at('electrical.phases') === 1,
            'flammable' => array_filter($this->list('circuits'), fn (array $c): bool => Refrigerant::named((string) ($c['refrigerant'] ?? ''))?->isFlammable() === true) !== [],
            'gas_heat' => is_array($this->at('heat.gas')),
            'electric_heat' => is_array($this->at('heat.electric')) && $this->at('heat.electric') !== [],
            'belt' => $this->at('air.blower_drive') === 'belt' || ($this->at('air.blower_drive') === null && is_array($this->at('air.drive'))),
        ]));
    }

    /** @return list<string> motors that are out of service with a part: a compressor itself, a circuit's compressors */
    public function motorsOf(string $subject): array
    {
        if (str_starts_with($subject, self::COMPRESSOR)) {
            return [substr($subject, strlen(self::COMPRESSOR))];
        }
        foreach ($this->circuits() as $circuit) {
            if ("circuit:{$circuit['name']}" === $subject) {
                return $circuit['compressors'];
            }
        }

        return [];
    }

    /** @return list<string> names of the motors that are no compressors, those of a pair numbered */
    public function fans(): array
    {
        return array_values(array_map(fn (array $m): string => (string) $m['name'], array_filter($this->eachMotor(), fn (array $m): bool => ! in_array($m['kind'] ?? '', self::COMPRESSORS, true))));
    }

    /**
     * @param array<array-key, mixed> $rows
     * @return list<array<string, mixed>>
     */
    private static function rows(Field $field, array $rows): array
    {
        $filled = [];
        foreach ($rows as $row) {
            $one = [];
            foreach (is_array($row) ? $field->fields : [] as $member) {
                $figure = $row[$member->sheet === '' ? $member->name : $member->sheet] ?? null;
                if (($member->sheet !== '' || $field->fields === []) && self::isGiven($figure)) {
                    $one[$member->name] = $figure;
                }
            }
            // A plate that gives several amps by voltage is read by them, not by one of them.
            if (isset($one['plate_points'])) {
                unset($one['plate_amps']);
            }
            $filled[] = $one === [] && is_array($row) ? $row : $one;
        }

        return $filled;
    }

    /** @return list<array<string, mixed>> motors one by one, those of a pair numbered */
    private function eachMotor(): array
    {
        $each = [];
        foreach ($this->motors() as $motor) {
            $count = max(1, (int) ($motor['quantity'] ?? 1));
            for ($n = 1; $n <= $count; $n++) {
                $each[] = ['name' => $count > 1 ? "{$motor['name']} $n" : $motor['name']] + $motor;
            }
        }

        return $each;
    }

    /**
     * @param \Closure(array<string, mixed>): bool $is
     * @return list<array<string, mixed>> motors one by one
     */
    private function motorsWith(\Closure $is): array
    {
        return array_values(array_filter($this->eachMotor(), $is));
    }

    /** @return int|null how many compressors a thermostat calls by name; more than two are called in steps of their own */
    private function calledCompressors(): ?int
    {
        $count = count(array_filter($this->eachMotor(), fn (array $motor): bool => in_array($motor['kind'] ?? '', self::COMPRESSORS, true)));

        return $count === 0 || $count > 2 ? null : $count;
    }

    /**
     * What is started one by one at a first run: air or water first, then each compressor, then heat. Condenser fans come
     * on with their compressors. The blower of a split or a system is an indoor unit's: any one that is called.
     *
     * @return list<array<string, mixed>>
     */
    private function startsInOrder(): array
    {
        $of = fn (array $kinds): array => array_map(
            fn (array $motor): array => ['drive' => ($motor['drive'] ?? '') === 'inverter' ? 'inverter' : 'across_line'] + array_intersect_key($motor, ['name' => 1, 'kind' => 1, 'amps' => 1]),
            array_filter($this->eachMotor(), fn (array $motor): bool => in_array($motor['kind'] ?? '', $kinds, true)),
        );
        $hasHeat = is_array($this->at('heat.gas')) || ! in_array($this->at('heat.electric'), [null, []], true);
        [$air, $compressors] = [array_values($of(self::AIR_FIRST)), array_values($of(self::COMPRESSORS))];
        if ($air === [] && $compressors !== [] && in_array($this->at('kind'), self::WITHOUT_BLOWER, true)) {
            $air = [['name' => 'Indoor blower', 'kind' => 'blower']];
        }
        $starts = [...$air, ...$compressors];

        return $starts === [] ? [] : [...$starts, ...($hasHeat ? [['name' => 'Heat', 'kind' => 'heat']] : [])];
    }

    /**
     * @param list<string> $legs
     * @return list<array{leg: string, bus: string}> one from each leg to either side of the bus
     */
    private static function diodes(array $legs): array
    {
        return array_merge([], ...array_map(fn (string $leg): array => [['leg' => $leg, 'bus' => 'plus'], ['leg' => $leg, 'bus' => 'minus']], $legs));
    }

    /** @return list<array{what: string, minutes: float}> the unit's own timers: none of them is a fault */
    public function delays(): array
    {
        $delays = [];
        foreach ($this->list('controls.delays') as $delay) {
            if (is_string($delay['what'] ?? null) && is_numeric($delay['minutes'] ?? null)) {
                $delays[] = ['what' => str_replace('_', ' ', $delay['what']), 'minutes' => (float) $delay['minutes']];
            }
        }

        return $delays;
    }

    /** How long a compressor stays off before the unit lets it start again. */
    private function offTime(): ?string
    {
        $off = array_values(array_filter($this->delays(), fn (array $delay): bool => preg_match('/\boff time\b/i', $delay['what']) === 1));

        return $off === [] ? null : "{$off[0]['minutes']} min";
    }

    /**
     * What it asks of a feeder, as its nameplate has it.
     *
     * @return array{mca?: string, largest?: string, mocp?: string, phases?: int}
     */
    public function onFeeder(): array
    {
        $amps = array_map(fn (array $motor): float => Quantity::parse((string) ($motor['amps'] ?? ''), Kind::Current)->canonical ?? 0.0, $this->eachMotor());
        $largest = max([0.0, ...$amps]);
        [$mca, $mocp, $phases] = [$this->at('electrical.mca'), $this->at('electrical.mocp'), $this->at('electrical.phases')];

        return [
            ...(is_string($mca) ? ['mca' => $mca] : []),
            ...($largest > 0.0 ? ['largest' => "$largest A"] : []),
            ...(is_string($mocp) ? ['mocp' => $mocp] : []),
            ...(is_int($phases) ? ['phases' => $phases] : []),
        ];
    }

    /**
     * The amps of a unit without those of one compressor, its other motors and its heaters by what runs with it.
     *
     * @param callable(list<float>): float $together
     * @return string|null with its unit; null where some motor's amps are not on the sheet
     */
    private function otherAmps(string $subject, callable $together): ?string
    {
        $own = $this->compressor($subject)['name'] ?? null;
        $others = array_filter($this->eachMotor(), fn (array $motor): bool => $motor['name'] !== $own);
        $amps = array_map(fn (array $motor): ?float => Quantity::parse((string) ($motor['amps'] ?? ''), Kind::Current)?->canonical, array_values($others));
        $known = array_values(array_filter($amps, is_float(...)));

        return $own === null || count($known) < count($amps) ? null : sprintf('%.1F A', $together($known));
    }

    /** @return array<string, mixed> the motor a subject names; else the only compressor there is */
    private function compressor(string $subject): array
    {
        $compressors = array_values(array_filter($this->eachMotor(), fn (array $m): bool => in_array($m['kind'] ?? '', self::COMPRESSORS, true)));
        foreach ($compressors as $motor) {
            if (self::COMPRESSOR . $motor['name'] === $subject) {
                return $motor;
            }
        }

        return count($compressors) === 1 && ! str_starts_with($subject, self::COMPRESSOR) ? $compressors[0] : [];
    }

    /** A figure of the circuit a subject is about, or one that all circuits share. */
    private function ofCircuit(string $name, string $subject): mixed
    {
        $name = $name === 'oil_type' ? 'oil' : $name;
        if ($name === 'factory_charge') {
            $rule = $this->ofCircuit('charge_rule', $subject);

            return is_array($rule) ? $rule['factory_charge'] ?? null : null;
        }
        // A part of a circuit has what the circuit has.
        $whole = strstr($subject, '/', true) ?: $subject;
        $of = array_filter($this->list('circuits'), fn (array $c): bool => "circuit:{$c['name']}" === $whole || in_array(substr($subject, strlen(self::COMPRESSOR)), (array) ($c['compressors'] ?? []), true));
        $figures = array_map(fn (array $c): mixed => $c[$name] ?? null, $of === [] ? $this->list('circuits') : $of);
        // One circuit may have an orifice where the other has a valve.
        $figures = array_values(array_unique($name === 'orifice_table' ? array_filter($figures, self::isGiven(...)) : $figures, SORT_REGULAR));

        return count($figures) === 1 ? $figures[0] : null;
    }

    /** @return list<array{name: string, kind: string, required: mixed}> what the maker sets, each to be found so */
    private function settings(): array
    {
        $defaults = $this->at('controls.defaults');
        $defaults = is_array($defaults) ? $defaults : [];
        ksort($defaults);
        $settings = [];
        foreach ($defaults as $name => $value) {
            $settings[] = ['name' => (string) $name, 'kind' => 'exact', 'required' => $value];
        }

        return $settings;
    }

    /** The longest time a bus of it needs; null where none is told. */
    private function busWait(): mixed
    {
        $waits = array_filter([$this->at('electrical.bus_wait'), ...array_map(fn (array $m): mixed => $m['bus_wait'] ?? null, $this->motors())], self::isGiven(...));
        usort($waits, fn (mixed $a, mixed $b): int => self::seconds($b) <=> self::seconds($a));

        return $waits[0] ?? null;
    }

    /** Of the motor with the largest, among those that start on the line. */
    private function lockedRotorAmps(): mixed
    {
        $amps = array_filter(array_map(fn (array $m): mixed => in_array($m['drive'] ?? '', ['across_line', 'part_winding', 'single_phase'], true) ? $m['locked_rotor_amps'] ?? null : null, $this->motors()), self::isGiven(...));
        usort($amps, fn (mixed $a, mixed $b): int => self::number($b) <=> self::number($a));

        return $amps[0] ?? null;
    }

    private static function seconds(mixed $time): float
    {
        $unit = is_array($time) ? ($time['unit'] ?? '') : (is_string($time) ? substr((string) strstr($time, ' '), 1) : '');

        return self::number($time) * (['h' => 3600, 'min' => 60][$unit] ?? 1);
    }

    private static function number(mixed $quantity): float
    {
        return (float) (is_array($quantity) ? ($quantity['value'] ?? 0) : (is_scalar($quantity) ? $quantity : 0));
    }

    /** Whether a motor of it hangs on a drive. */
    public function hasInverter(): bool
    {
        return array_filter($this->motors(), fn (array $m): bool => ($m['drive'] ?? '') === 'inverter') !== [];
    }

    /** @return list<array<string, mixed>> */
    private function motors(): array
    {
        return $this->list('electrical.motors');
    }

    /** @return list<array<string, mixed>> */
    private function list(string $path): array
    {
        $list = $this->at($path);

        return is_array($list) ? array_values(array_filter($list, is_array(...))) : [];
    }

    private function at(string $path): mixed
    {
        $at = $this->body;
        foreach (explode('.', $path) as $part) {
            $at = is_array($at) ? ($at[$part] ?? null) : null;
        }

        return $at;
    }

    private static function isGiven(mixed $value): bool
    {
        return $value !== null && $value !== '' && $value !== [];
    }
}
