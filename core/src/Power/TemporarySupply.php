<?php

declare(strict_types=1);

namespace IronStart\Core\Power;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Draws;
use IronStart\Core\Check\DrawsOnRecord;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\Past;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Verdict\Drawn;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Value;

/**
 * Whether a generator or feeder carries the machine and starts its largest motor.
 *
 * Dip ≈ 100·X''·S_start/S_source / (1 + X''·S_start/S_source). Contactors feel the dip over a few cycles,
 * where transient reactance (0.2 to 0.25) counts; the default 0.15 flatters the generator.
 */
final class TemporarySupply implements Check, DrawsOnRecord, Draws
{
    /** Room over the running load. */
    private const ROOM = 1.25;
    /** kVA a source rated in kW counts for: 1 / power factor. */
    private const POWER_FACTOR = 0.8;
    /** Share of the dip allowed from which it is near. */
    private const NEAR = 0.80;

    public function id(): string
    {
        return 'power.temporary_supply';
    }

    public function version(): int
    {
        return 2;
    }

    public function fields(): array
    {
        return [
            Field::items('modes', Field::text('name')->structural()->fromSheet('name'), Field::amps('running_amps')->needed()->fromSheet('running_amps'))->uniqueBy('name')->needed()->fromSheet('electrical.modes'),
            Field::amps('locked_rotor_amps', 0, 20000)->neededWhen(fn (Input $in): bool => ! $in->flag('soft_start'))->fromSheet('electrical.locked_rotor_amps'),
            Field::volts('line_voltage')->positive()->needed(),
            Field::text('mode'),
            Field::choice('phases', 1, 3)->default(3)->fromSheet('electrical.phases'),
            Field::quantity('source_kva', Kind::ApparentPower, 'kVA')->positive()->neededWhen(fn (Input $in): bool => ! $in->given('source_amps') && ! $in->given('source_kw')),
            Field::amps('source_amps')->positive()->readWith(null),
            Field::quantity('source_kw', Kind::ElectricPower, 'kW', 0.1, 100_000)->startsIn('kW'),
            Field::percent('starting_dip_limit', 0, 100)->default(20.0),
            Field::number('subtransient_reactance', 0.001, 1)->default(0.15),
            Field::word('source_kind', 'generator', 'utility')->default('generator'),
            Field::flag('soft_start'),
        ];
    }

    /** The average of the three pairs with nothing running. */
    public static function bringsIn(Past $past, string $subject): array
    {
        $average = $past->standingAverage();

        return $average === null ? [] : ['line_voltage' => ['value' => $average, 'unit' => 'V']];
    }

    public function contradictions(Input $in): iterable
    {
        $names = array_map(fn (Input $mode): string => $mode->text('name'), $in->items('modes'));
        if ($in->given('mode') && $names !== [] && ! in_array($in->text('mode'), $names, true)) {
            yield InputError::at('mode', $in->text('mode'), implode(', ', $names), 'is not one of the modes');
        }
    }

    public static function drawing(Input $in, array $values): array
    {
        $worked = fn (string $name): ?float => isset($values[$name]) ? (float) $values[$name]->value : null;
        $isSmall = $worked('needed_kva') !== null && Limit::under($worked('source_kva') ?? 0.0, $worked('needed_kva'));

        return Drawn::bars('kVA', [
            ['word' => 'running', 'value' => $worked('running_kva'), 'is' => 'pale'],
            ['word' => 'needed', 'value' => $worked('needed_kva')],
            ['word' => 'source', 'value' => $worked('source_kva'), 'is' => $isSmall ? 'stop' : 'plain'],
            ['word' => 'inrush', 'value' => $worked('start_kva'), 'is' => 'pale'],
        ]);
    }

    public function judge(Input $in): Judgement
    {
        if ($in->missing !== []) {
            return $this->judgement(Missing::in($in), [], $in);
        }
        $k = ($in->int('phases') === 3 ? sqrt(3) : 1.0) * $in->number('line_voltage') / 1000;
        $running = $k * self::runningAmps($in);
        $kilowatts = $in->in('source_kw', 'kW');
        $source = min($in->maybe('source_kva') ?? INF, $in->given('source_amps') ? $k * $in->number('source_amps') : INF, $kilowatts === null ? INF : $kilowatts / self::POWER_FACTOR);
        $needed = self::ROOM * $running;
        $values = [
            'running_kva' => Value::of($running, 'kVA'),
            'needed_kva' => Value::of($needed, 'kVA'),
            'source_kva' => Value::of($source, 'kVA'),
        ];
        $findings = [];
        if (Limit::under($source, $needed)) {
            $findings[] = Finding::stop('source_small', ['source' => Said::kva($source, $needed), 'needed' => Said::kva($needed)]);
        }
        $start = $in->given('locked_rotor_amps') ? $k * $in->number('locked_rotor_amps') : null;
        if ($start !== null) {
            $values['start_kva'] = Value::of($start, 'kVA');
        }
        $said = ['source' => Said::kva($source), 'needed' => Said::kva($needed)];
        if ($start === null || ($in->text('source_kind') === 'utility' && ! $in->given('subtransient_reactance'))) {
            $findings = $findings === [] ? [Finding::note('carries', $said)] : $findings;

            return $this->judgement([...$findings, Finding::note('after_connecting')], $values, $in);
        }
        $step = $in->number('subtransient_reactance') * $start / $source;
        $dip = 100 * $step / (1 + $step);
        $limit = $in->number('starting_dip_limit');
        $values['dip'] = Value::of($dip, '%');
        $saidDip = ['dip' => Said::percent($dip, $limit), 'limit' => Said::percent($limit)];
        if (Limit::over($dip, $limit)) {
            $findings[] = Finding::stop('dip_over_limit', $saidDip);
        } elseif (Limit::over($dip, self::NEAR * $limit)) {
            $findings[] = Finding::watch('dip_near', $saidDip);
        } elseif (Limit::over($start, $source) && ! $in->given('subtransient_reactance')) {
            $findings[] = Finding::watch('dip_near', $saidDip + ['start' => Said::kva($start, $source), 'source' => Said::kva($source)], 'dip_guessed');
        } else {
            $findings[] = Finding::note($findings === [] ? 'carries_starting' : 'dip_fits', $findings === [] ? $said + $saidDip : $saidDip);
        }

        return $this->judgement([...$findings, Finding::note('after_connecting')], $values, $in);
    }

    private static function runningAmps(Input $in): float
    {
        $most = 0.0;
        foreach ($in->items('modes') as $mode) {
            if (! $in->given('mode') || $mode->text('name') === $in->text('mode')) {
                $most = max($most, $mode->number('running_amps'));
            }
        }

        return $most;
    }

    /**
     * @param list<Finding>        $findings
     * @param array<string, Value> $values
     */
    private function judgement(array $findings, array $values, Input $in): Judgement
    {
        $generator = $in->text('source_kind') === 'generator';
        $basis = [Finding::note('basis')];
        if ($generator && ! $in->given('subtransient_reactance')) {
            $basis[] = Finding::note('reactance_default', ['reactance' => Said::number($in->number('subtransient_reactance'))]);
        }

        return new Judgement($findings, $values, false, $generator ? ['local_code', 'carbon_monoxide'] : ['local_code'], $basis);
    }
}
