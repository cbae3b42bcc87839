<?php

declare(strict_types=1);

namespace IronStart\Core\Plan;

/**
 * How a machine was left: what is set on it by a dial, a parameter, a tap, a sheave or a screen, as it was written down
 * last. Nothing of it is judged here.
 */
final class AsLeft
{
    /** The checks it is taken from. */
    public const FROM = ['power.dials', 'power.motor_tap', 'power.control_voltage', 'air.fan_drive', 'controls.settings', 'entry.swap', 'entry.lug_torque', 'power.disconnect', 'power.fault_current'];

    /**
     * @param list<array{check: string, input: array<mixed>, values: array<string, array{value: mixed, unit: string}>}> $recorded what counts, in the order of time
     * @return array<string, list<array{string, string}>> by matter: the name of what is set, and how
     */
    public static function of(array $recorded): array
    {
        $last = $each = [];
        foreach ($recorded as $one) {
            $last[$one['check']] = $one;
            $each[$one['check']][] = $one['input'];
        }
        $dials = $last['power.dials']['input'] ?? [];
        $fan = $last['air.fan_drive']['input'] ?? [];

        return array_filter([
            'overloads' => self::rows($dials['overloads'] ?? [], fn (array $one): string => self::said($one['dial'] ?? null)),
            'monitor' => self::members($dials['monitor'] ?? [], 'nominal', 'trip_percent', 'unbalance_percent', 'delay'),
            'drives' => self::rows($dials['drives'] ?? [], self::drive(...)),
            'taps' => [
                ...self::named('transformer', self::said($last['power.control_voltage']['input']['tap'] ?? null)),
                ...self::rows($last['power.motor_tap']['input']['items'] ?? [], fn (array $one): string => is_numeric($one['tap'] ?? null) ? "{$one['tap']} V" : self::said($one['wired_for'] ?? null)),
            ],
            'sheave' => self::members($fan, 'turns_open', 'driver_pitch', 'rpm_now'),
            'settings' => self::rows($last['controls.settings']['input']['items'] ?? [], fn (array $one): string => self::said($one['left'] ?? null)),
            'swaps' => array_map(fn (array $one): array => [self::said($one['load'] ?? null), self::said($one['first'] ?? null) . ' – ' . self::said($one['second'] ?? null)], $each['entry.swap'] ?? []),
            'disconnect' => self::members($last['power.disconnect']['input'] ?? [], 'rating', 'device_size', 'fuse_class'),
            'lugs' => self::rows(self::newest($each['entry.lug_torque'] ?? [], 'place'), fn (array $one): string => self::said($one['torque'] ?? null), 'place'),
            'fault_current' => self::named('label_amps', self::figure($last['power.fault_current']['values']['label_amps'] ?? null)),
        ]);
    }

    /** @param array<mixed> $one */
    private static function drive(array $one): string
    {
        $told = fn (string $between, string ...$parts): string => implode($between, array_filter($parts, fn (string $part): bool => $part !== ''));

        return $told(', ', $told(' – ', self::said($one['min_hz'] ?? null), self::said($one['max_hz'] ?? null)), self::said($one['motor_amps'] ?? null));
    }

    /**
     * @param \Closure(array<mixed>): string $how
     * @return list<array{string, string}> of items that say it
     */
    private static function rows(mixed $items, \Closure $how, string $name = 'name'): array
    {
        $rows = [];
        foreach (is_array($items) ? $items : [] as $item) {
            $said = is_array($item) ? $how($item) : '';
            if ($said !== '') {
                $rows[] = [self::said($item[$name] ?? null), $said];
            }
        }

        return $rows;
    }

    /** @return list<array{string, string}> the members that are told, by their own names */
    private static function members(mixed $object, string ...$names): array
    {
        return array_merge([], ...array_map(fn (string $name): array => self::named($name, self::said(is_array($object) ? $object[$name] ?? null : null)), $names));
    }

    /** @return list<array{string, string}> */
    private static function named(string $name, string $said): array
    {
        return $said === '' ? [] : [[$name, $said]];
    }

    /**
     * @param list<array<mixed>> $inputs in the order of time
     * @return list<array<mixed>> the last of each
     */
    private static function newest(array $inputs, string $by): array
    {
        $newest = [];
        foreach ($inputs as $input) {
            $newest[self::said($input[$by] ?? null)] = $input;
        }

        return array_values($newest);
    }

    /** As it was written: a text, a bare number, a value with its unit. */
    private static function said(mixed $value): string
    {
        return match (true) {
            is_string($value), is_int($value), is_float($value) => trim((string) $value),
            is_bool($value) => $value ? 'yes' : 'no',
            is_array($value) && is_numeric($value['value'] ?? null) => trim("{$value['value']} " . (is_string($value['unit'] ?? null) ? $value['unit'] : '')),
            default => '',
        };
    }

    /** @param array{value: mixed, unit: string}|null $figure worked out: rounded as it stands on a label */
    private static function figure(?array $figure): string
    {
        return $figure === null || ! is_numeric($figure['value']) ? '' : sprintf('%.0F %s', $figure['value'], $figure['unit']);
    }
}
