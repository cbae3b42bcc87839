<?php

declare(strict_types=1);

namespace App\Queries;

use App\Http\Schema\TapeEntry;
use App\Models\Machine;
use App\Models\User;

/**
 * What a bench starts with: figures of the equipment sheet and of what was read before. The sheet's names
 * are those of the checks' own fields.
 */
final class Prefill
{
    /**
     * @param list<TapeEntry> $tape newest first
     * @return array<string, array<string, mixed>> by check
     */
    public function of(Machine $machine, User $person, array $tape): array
    {
        $average = self::lastAverage($tape);
        $sheet = $this->ofSheet($machine);
        $sheet['power.circuit'] += $average === null ? [] : ['line_voltage' => $average];
        $sheet['power.control_voltage'] += $average === null ? [] : ['supply_average' => $average];

        return $sheet + [
            'power.lockout' => ['tag_name' => $person->name],
            'list.prestart' => ['job_type' => $machine->job->type],
        ];
    }

    /**
     * What the sheet alone gives.
     *
     * @return array<string, array<string, mixed>> by check
     */
    public function ofSheet(Machine $machine): array
    {
        $electrical = $machine->sheet->body['electrical'] ?? [];
        $plate = array_filter(['plate_voltage' => self::nominal($electrical)], self::isGiven(...));
        $range = array_intersect_key($electrical, array_flip(['volts_min', 'volts_max', 'unbalance_limit']));
        $motors = self::motors($electrical['motors'] ?? []);
        $transformer = $electrical['transformer'] ?? [];

        return [
            'power.supply_identity' => $plate,
            'power.voltage' => $plate + $range,
            'power.circuit' => array_intersect_key($electrical, array_flip(['mca', 'mocp', 'terminal_rating', 'phases'])),
            'power.control_voltage' => array_intersect_key($transformer, array_flip(['taps', 'secondary_nominal'])),
            'power.rotation' => ['loads' => array_map(self::rotating(...), $motors)],
            'power.running_amps' => ['loads' => array_map(self::running(...), $motors)],
            'compressor.windings' => array_filter(['plate_ohms' => self::compressorOhms($electrical['motors'] ?? [])], self::isGiven(...)),
        ];
    }

    /**
     * Motors one by one, those of a pair numbered.
     *
     * @param list<array<string, mixed>> $motors
     * @return list<array<string, mixed>>
     */
    private static function motors(array $motors): array
    {
        $each = [];
        foreach ($motors as $motor) {
            $count = (int) ($motor['quantity'] ?? 1);
            for ($n = 1; $n <= $count; $n++) {
                $each[] = ['name' => $count > 1 ? "{$motor['name']} $n" : $motor['name']] + $motor;
            }
        }

        return $each;
    }

    /**
     * @param array<string, mixed> $motor
     * @return array<string, mixed>
     */
    private static function rotating(array $motor): array
    {
        return array_intersect_key($motor, array_flip(['name', 'kind', 'drive'])) + (isset($motor['amps']) ? ['plate_amps' => $motor['amps']] : []);
    }

    /**
     * @param array<string, mixed> $motor
     * @return array<string, mixed>
     */
    private static function running(array $motor): array
    {
        $plate = isset($motor['plate_points']) ? ['plate_points' => $motor['plate_points']] : ['plate_amps' => $motor['amps'] ?? null];

        return array_intersect_key($motor, array_flip(['name', 'kind', 'phases'])) + array_filter($plate, self::isGiven(...));
    }

    private static function isGiven(mixed $value): bool
    {
        return $value !== null && $value !== '';
    }

    /** @param array<string, mixed> $electrical */
    private static function nominal(array $electrical): string
    {
        return (string) ($electrical['plate_voltage'] ?? '');
    }

    /** @param list<array<string, mixed>> $motors */
    private static function compressorOhms(array $motors): string
    {
        foreach ($motors as $motor) {
            if (in_array($motor['kind'] ?? '', ['scroll', 'screw', 'reciprocating'], true) && isset($motor['ohms'])) {
                return (string) $motor['ohms'];
            }
        }

        return '';
    }

    /** @param list<TapeEntry> $tape */
    private static function lastAverage(array $tape): ?string
    {
        foreach ($tape as $entry) {
            if ($entry->check !== 'power.voltage' || $entry->suspect !== '') {
                continue;
            }
            $volts = array_filter($entry->readings, fn ($r): bool => in_array($r->path, ['volts_ab', 'volts_bc', 'volts_ca'], true));
            if (count($volts) === 3) {
                return round(array_sum(array_map(fn ($r): float => $r->canonical, $volts)) / 3, 1) . ' V';
            }
        }

        return null;
    }
}
