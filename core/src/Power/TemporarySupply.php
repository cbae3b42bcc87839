<?php

declare(strict_types=1);

namespace IronStart\Core\Power;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Missing;
use IronStart\Core\Quantity\Kind;
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
final class TemporarySupply implements Check
{
    /** Room over the running load. */
    private const ROOM = 1.25;

    public function id(): string
    {
        return 'power.temporary_supply';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        return [
            Field::items('modes', Field::text('name')->structural(), Field::amps('running_amps')->needed())->uniqueBy('name')->needed(),
            Field::amps('locked_rotor_amps', 0, 20000)->needed(),
            Field::volts('line_voltage')->positive()->needed(),
            Field::text('mode'),
            Field::choice('phases', 1, 3)->default(3),
            Field::quantity('source_kva', Kind::ApparentPower, 'kVA')->positive()->neededWhen(fn (Input $in): bool => ! $in->given('source_amps')),
            Field::amps('source_amps')->positive(),
            Field::percent('starting_dip_limit', 0, 100)->default(20.0),
            Field::number('subtransient_reactance', 0.001, 1)->default(0.15),
            Field::word('source_kind', 'generator', 'utility')->default('generator'),
        ];
    }

    public function contradictions(Input $in): iterable
    {
        $names = array_map(fn (Input $mode): string => $mode->text('name'), $in->items('modes'));
        if ($in->given('mode') && $names !== [] && ! in_array($in->text('mode'), $names, true)) {
            yield InputError::at('mode', $in->text('mode'), implode(', ', $names), 'is not one of the modes');
        }
    }

    public function judge(Input $in): Judgement
    {
        if ($in->missing !== []) {
            return $this->judgement(Missing::in($in), [], $in);
        }
        $k = ($in->int('phases') === 3 ? sqrt(3) : 1.0) * $in->number('line_voltage') / 1000;
        $running = $k * self::runningAmps($in);
        $start = $k * $in->number('locked_rotor_amps');
        $source = min($in->maybe('source_kva') ?? INF, $in->given('source_amps') ? $k * $in->number('source_amps') : INF);
        $needed = self::ROOM * $running;
        $values = [
            'running_kva' => Value::of($running, 'kVA'),
            'needed_kva' => Value::of($needed, 'kVA'),
            'start_kva' => Value::of($start, 'kVA'),
            'source_kva' => Value::of($source, 'kVA'),
        ];
        $findings = [];
        if (Limit::under($source, $needed)) {
            $findings[] = Finding::stop('source_small', ['source' => Said::kva($source, $needed), 'needed' => Said::kva($needed)]);
        }
        if ($in->text('source_kind') === 'generator' || $in->given('subtransient_reactance')) {
            $step = $in->number('subtransient_reactance') * $start / $source;
            $dip = 100 * $step / (1 + $step);
            $limit = $in->number('starting_dip_limit');
            $values['dip'] = Value::of($dip, '%');
            if (Limit::over($dip, $limit)) {
                $findings[] = Finding::stop('dip_over_limit', ['dip' => Said::percent($dip, $limit), 'limit' => Said::percent($limit)]);
            }
        }
        if ($findings === []) {
            $findings[] = Finding::note('carries', ['source' => Said::kva($source), 'needed' => Said::kva($needed)]);
        }

        return $this->judgement($findings, $values, $in);
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
