<?php

declare(strict_types=1);

namespace IronStart\Core\Diagnose;

/**
 * What was recorded on the units of a job, as facts and as what is found good by now.
 *
 * A fact is kept though it was mended since: it happened, and may have killed something. Found good is what the newest
 * verdict about each of its subjects says. Nobody knows when it happened, so a fact has no date; a person may add it.
 *
 * @phpstan-type Recorded array{check: string, subject: string, status: string, codes: list<string>, input: array<string, mixed>, said: string}
 * @phpstan-type Unit array{name: string, job: string, supply: string, recorded: list<Recorded>, out: list<string>}
 */
final class Gathered
{
    /** What the first word of a code is a fact of, by check. */
    private const FOUND = [
        'power.rotation' => ['supply_reversed' => 'supply_reversed', 'load_reversed' => 'load_reversed', 'phase_lost' => 'single_phasing', 'not_pumping' => 'compressor_not_pumping', 'still_loud' => 'compressor_noisy'],
        'power.voltage' => ['sag_over_limit' => 'voltage_sags_on_start'],
        'power.running_amps' => ['single_phasing' => 'single_phasing', 'locked_rotor' => 'hard_start', 'over_plate' => 'high_amps'],
        'power.control_voltage' => ['wrong_tap' => 'wrong_tap', 'secondary_low' => 'low_control_voltage'],
        'compressor.insulation' => ['grounded' => 'compressor_grounded'],
        'compressor.windings' => ['open_winding' => 'compressor_open'],
        'compressor.acid' => ['severe' => 'acid', 'cleanup' => 'acid'],
        'charge.state' => ['flooding' => 'liquid_flooding', 'not_pumping' => 'compressor_not_pumping'],
        'diagnose.cooling' => ['flooding' => 'liquid_flooding', 'not_pumping' => 'compressor_not_pumping'],
        'air.flow' => ['air_low' => 'low_airflow'],
        'condensate.trap' => ['no_trap' => 'trap_missing', 'not_primed' => 'trap_dry', 'did_not_drain' => 'drain_blocked'],
    ];
    /** Causes that a test confirmed on a running unit. */
    private const CONFIRMED = ['confirmed:liquid_restriction' => 'drier_restricted', 'confirmed:non_condensable' => 'non_condensable'];
    /** What is found good where the newest verdict about every subject of a check is clear or a watch that found nothing. */
    private const GOOD = [
        'power.rotation' => ['rotation', 'phases', 'load_leads'], 'power.voltage' => ['voltage', 'phases'], 'power.control_voltage' => ['control_voltage'], 'compressor.insulation' => ['insulation'],
        'compressor.windings' => ['windings'], 'compressor.acid' => ['oil_acid'], 'condensate.trap' => ['trap'], 'condensate.float' => ['float'], 'air.static' => ['static'],
        'charge.state' => ['charge'], 'heat.gas_pressure' => ['gas_valve'], 'piping.bulb' => ['bulb'],
    ];
    /** Letters a text may have. */
    private const LONG = 120;
    /** A load that turns backwards, by what it is. */
    private const BACKWARDS = ['blower' => 'blower_reversed', 'condenser_fan' => 'fan_reversed'];

    /** @return list<string> checks it reads */
    public static function reads(): array
    {
        return array_values(array_unique([...array_keys(self::FOUND), ...array_keys(self::GOOD)]));
    }

    /**
     * @param list<Unit> $units of one job
     * @return array{machines: list<array<string, mixed>>, facts: list<array<string, string>>} an input of the check
     */
    public static function input(array $units): array
    {
        $machines = $facts = [];
        foreach ($units as $unit) {
            $machines[] = array_filter(['name' => $unit['name'], 'job' => $unit['job'], 'supply' => $unit['supply'], 'checked' => self::checked($unit)], fn (string|array $one): bool => $one !== '' && $one !== []);
            $facts = [...$facts, ...self::facts($unit)];
        }

        return ['machines' => $machines, 'facts' => $facts];
    }

    /**
     * @param Unit $unit
     * @return list<array<string, string>> each fact of each part once, as it was recorded first
     */
    private static function facts(array $unit): array
    {
        $facts = [];
        foreach ($unit['recorded'] as $one) {
            foreach (self::found($one) as [$fact, $part]) {
                $facts["$fact $part"] ??= array_filter(['machine' => $unit['name'], 'fact' => $fact, 'evidence' => self::short($one['said'] === '' ? $one['check'] : $one['said']), 'part' => $part], fn (string $text): bool => $text !== '');
            }
        }

        return array_values($facts);
    }

    /**
     * @param Recorded $one
     * @return list<array{string, string}> facts with the part they are about
     */
    private static function found(array $one): array
    {
        $found = [];
        $kinds = [];
        foreach (is_array($one['input']['loads'] ?? null) ? $one['input']['loads'] : [] as $load) {
            if (is_array($load) && is_string($load['name'] ?? null)) {
                $kinds[$load['name']] = is_string($load['kind'] ?? null) ? $load['kind'] : '';
                if ($one['check'] === 'power.rotation' && self::isSome($load['hours_backwards'] ?? null)) {
                    $found[] = ['run_hours_reversed', $load['name']];
                }
            }
        }
        $about = str_starts_with($one['subject'], 'compressor:') ? substr($one['subject'], 11) : '';
        foreach ($one['codes'] as $code) {
            [$word, $part] = [explode(':', $code, 2)[0], explode(':', $code, 2)[1] ?? $about];
            $fact = self::FOUND[$one['check']][$word] ?? self::CONFIRMED[$code] ?? null;
            if ($fact !== null) {
                $found[] = [$fact === 'load_reversed' ? self::BACKWARDS[$kinds[$part] ?? ''] ?? $fact : $fact, isset(self::CONFIRMED[$code]) ? '' : $part];
            }
        }

        return $found;
    }

    /** No longer than a text may be. */
    private static function short(string $text): string
    {
        return mb_strlen($text) <= self::LONG ? $text : mb_substr($text, 0, self::LONG - 1) . '…';
    }

    /** A time that is told and is not nothing: a bare number, or a text such as "40 h". */
    private static function isSome(mixed $time): bool
    {
        $time = is_array($time) ? $time['value'] ?? null : $time;

        return is_numeric($time) ? (float) $time > 0 : is_string($time) && (float) $time > 0;
    }

    /**
     * @param Unit $unit
     * @return list<string>
     */
    private static function checked(array $unit): array
    {
        $newest = [];
        foreach ($unit['recorded'] as $one) {
            $newest[$one['check']][$one['subject']] = in_array($one['status'], ['clear', 'watch'], true) && self::found(['input' => []] + $one) === [];
        }
        $checked = $unit['out'] === [] ? [] : ['compressor_isolated'];
        foreach (self::GOOD as $check => $what) {
            if (isset($newest[$check]) && ! in_array(false, $newest[$check], true)) {
                $checked = [...$checked, ...$what];
            }
        }

        return array_values(array_unique($checked));
    }
}
