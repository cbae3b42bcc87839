<?php

declare(strict_types=1);

namespace IronStart\Core\Compressor;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\DrawsOnRecord;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\Past;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Value;

/**
 * Which of an inverter's parts failed: board, module, compressor or supply. Six diodes in, six out, the compressor with
 * its leads lifted, the bus against the line.
 *
 * Limits: a rectified three-phase bus stands at 1.35 times the line under load, a single-phase one at its peak (1.414); a
 * silicon junction drops 0.2 to 0.9 V forward and is open in reverse (power electronics practice).
 */
final class Inverter implements Check, DrawsOnRecord
{
    /** V; what is left on the bus is no longer a danger. */
    private const DEAD = 10.0;
    private const LOST_LEG = 0.9;
    private const THREE_PHASE = 1.35;
    private const SINGLE_PHASE = 1.414;
    private const NONE = 0.1;
    private const LOW = 0.9;
    private const HIGH = 1.1;
    /** % */
    private const UNEVEN_STOP = 10.0;
    private const UNEVEN_WATCH = 3.0;
    /** V; under it there is no output. */
    private const OUTPUT = 5.0;
    private const OUTPUTS = ['out_uv', 'out_vw', 'out_wu'];
    private const JUDGED = ['good', 'bad', 'not_read'];

    public function id(): string
    {
        return 'compressor.inverter';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $isSafe = self::isSafe(...);
        $isLifted = fn (Input $in): bool => self::isSafe($in) && $in->flag('leads_lifted');
        $diode = fn (string $name): Field => Field::parsed($name, Bridge::diode(...))->needed();
        $bridge = fn (string ...$legs): array => [Field::word('leg', ...$legs)->structural()->fromSheet('leg'), Field::word('bus', 'plus', 'minus')->structural()->fromSheet('bus'), $diode('forward'), $diode('reverse')];

        return [
            Field::choice('phases', 1, 3)->default(3)->fromSheet('electrical.phases'),
            ...array_map(fn (string $line): Field => Field::volts($line)->neededWhen(fn (Input $in): bool => self::asksLine($in, $line)), ['line_ab', 'line_bc', 'line_ca']),
            Field::volts('bus_live', 0, 1500),
            Field::volts('sheet_bus', 0, 1500)->positive()->readWith(null),
            Field::flag('locked')->needed(),
            Field::volts('bus_dead', 0, 1500)->needed(),
            Field::items('rectifier', ...$bridge('a', 'b', 'c'))->fromSheet('diodes_in')->neededWhen($isSafe),
            Field::flag('leads_lifted')->neededWhen($isSafe),
            Field::items('output', ...$bridge('u', 'v', 'w'))->fromSheet('diodes_out')->neededWhen($isLifted),
            Field::word('windings', ...self::JUDGED)->neededWhen($isLifted),
            Field::word('insulation', ...self::JUDGED)->neededWhen($isLifted),
            ...array_map(fn (string $name): Field => Field::volts($name)->neededWhen(fn (Input $in): bool => array_filter(self::OUTPUTS, $in->given(...)) !== []), self::OUTPUTS),
        ];
    }

    /** What was judged of the windings and of the insulation; whoever read them elsewhere says so. */
    public static function bringsIn(Past $past, string $subject): array
    {
        $of = fn (string $check): ?string => match ($past->last($check, $subject)['status'] ?? '') {
            'clear', 'watch' => 'good',
            'stop' => 'bad',
            default => null,
        };

        return array_filter(['windings' => $of('compressor.windings'), 'insulation' => $of('compressor.insulation')], fn (?string $judged): bool => $judged !== null);
    }

    public function contradictions(Input $in): iterable
    {
        foreach (['rectifier', 'output'] as $bridge) {
            $pairs = [];
            foreach ($in->items($bridge) as $i => $pair) {
                $at = "{$pair->text('leg')} {$pair->text('bus')}";
                if (in_array($at, $pairs, true)) {
                    yield InputError::at("$bridge.$i.bus", $pair->text('bus'), 'each pair once', 'is a pair that stands there already');
                }
                if ($bridge === 'rectifier' && $in->int('phases') === 1 && $pair->text('leg') === 'c') {
                    yield InputError::at("$bridge.$i.leg", 'c', 'a or b, of a single-phase supply', 'is a leg it does not have');
                }
                $pairs[] = $at;
            }
        }
    }

    public function judge(Input $in): Judgement
    {
        $isSafe = self::isSafe($in);
        $isLifted = $isSafe && $in->flag('leads_lifted');
        $values = [];
        $found = [
            ...self::missing($in, $isSafe, $isLifted),
            ...($in->given('locked') && ! $in->flag('locked') ? [Finding::stop('not_locked')] : []),
            ...($in->given('bus_dead') && Limit::over($in->number('bus_dead'), self::DEAD) ? [Finding::stop('bus_charged', ['volts' => Said::volts($in->number('bus_dead'))])] : []),
            ...self::bus($in, $values),
        ];
        $rectifier = new Bridge('rectifier', $isSafe ? $in->items('rectifier') : [], $in->int('phases') === 1 ? ['a', 'b'] : ['a', 'b', 'c']);
        $output = new Bridge('output', $isLifted ? $in->items('output') : [], ['u', 'v', 'w']);
        $found = [
            ...$found,
            ...$rectifier->findings,
            ...$output->findings,
            ...($isSafe && $in->given('leads_lifted') && ! $isLifted ? [Finding::open('leads_on')] : []),
            ...($isLifted ? self::compressor($in) : []),
            ...self::output($in, $values),
        ];
        $named = self::named($in, $found, $rectifier, $output);
        $values['names'] = Value::list($named);
        $worst = Judgement::worst($found);
        if (! in_array($worst, [Status::Stop, Status::Open], true)) {
            $found[] = $in->all(...self::OUTPUTS) ? Finding::clear('inverter_good') : Finding::watch('static_only');
        }

        return new Judgement([...$found, ...array_map(fn (string $part): Finding => Finding::clear("names:$part", [], "names_$part"), $named)], $values, false, ['lockout', 'stored_energy', 'qualified_electrical', 'terminal_venting'], [Finding::note('basis')]);
    }

    private static function asksLine(Input $in, string $line): bool
    {
        $lines = self::lines($in);

        return in_array($line, $lines, true) && (array_filter($lines, $in->given(...)) !== [] || ($in->given('bus_live') && ! $in->given('sheet_bus')));
    }

    /** Only then the diodes may be touched. */
    private static function isSafe(Input $in): bool
    {
        return $in->flag('locked') && $in->given('bus_dead') && ! Limit::over($in->number('bus_dead'), self::DEAD);
    }

    /** @return list<Finding> of what is asked: nothing of the diodes while they may not be touched */
    private static function missing(Input $in, bool $isSafe, bool $isLifted): array
    {
        $not = [...($isSafe ? [] : ['missing:rectifier.']), ...($isLifted ? [] : ['missing:output.'])];

        return array_values(array_filter(Missing::in($in), fn (Finding $one): bool => array_filter($not, fn (string $start): bool => str_starts_with($one->code, $start)) === []));
    }

    /** @return list<string> the pairs of the line that count */
    private static function lines(Input $in): array
    {
        return $in->int('phases') === 1 ? ['line_ab'] : ['line_ab', 'line_bc', 'line_ca'];
    }

    /**
     * @param array<string, Value> $values
     * @return list<Finding>
     */
    private static function bus(Input $in, array &$values): array
    {
        $lines = $in->all(...self::lines($in)) ? array_map($in->number(...), self::lines($in)) : [];
        $found = [];
        if (count($lines) === 3 && Limit::under(min($lines), self::LOST_LEG * max($lines))) {
            $found[] = Finding::stop('supply_leg', ['least' => Said::volts(min($lines)), 'most' => Said::volts(max($lines))]);
        }
        $average = $lines === [] ? 0.0 : array_sum($lines) / count($lines);
        $expected = $in->maybe('sheet_bus') ?? $average * ($in->int('phases') === 1 ? self::SINGLE_PHASE : self::THREE_PHASE);
        if ($expected > 0.0) {
            $values['expected_bus'] = Value::of($expected, 'V');
        }
        if (! $in->given('bus_live')) {
            return [...$found, Finding::watch('bus_not_read')];
        }
        if ($expected <= 0.0) {
            return $found;
        }
        $ratio = $in->number('bus_live') / $expected;
        $values['bus_ratio'] = Value::of($ratio, '1');
        $said = ['bus' => Said::volts($in->number('bus_live')), 'expected' => Said::volts($expected)];

        return [...$found, ...match (true) {
            Limit::under($ratio, self::NONE) => [Finding::stop('no_bus', $said)],
            Limit::under($ratio, self::LOW) => [Finding::stop('bus_low', $said)],
            Limit::over($ratio, self::HIGH) => [$in->given('sheet_bus') ? Finding::stop('bus_high', $said) : Finding::watch('bus_high', $said, 'bus_high_unknown')],
            default => [],
        }];
    }

    /** @return list<Finding> */
    private static function compressor(Input $in): array
    {
        $judged = array_map($in->text(...), ['windings' => 'windings', 'insulation' => 'insulation']);

        return [
            ...(in_array('bad', $judged, true) ? [Finding::stop('compressor_bad')] : []),
            ...array_map(fn (string $what): Finding => Finding::open("not_read:$what", [], "not_read_$what"), array_keys($judged, 'not_read', true)),
        ];
    }

    /**
     * @param array<string, Value> $values
     * @return list<Finding>
     */
    private static function output(Input $in, array &$values): array
    {
        if (! $in->all(...self::OUTPUTS)) {
            return [];
        }
        $volts = array_map($in->number(...), self::OUTPUTS);
        $mean = array_sum($volts) / count($volts);
        if (Limit::under($mean, self::OUTPUT)) {
            return [Finding::open('no_output')];
        }
        $unbalance = 100.0 * max(array_map(fn (float $one): float => abs($one - $mean), $volts)) / $mean;
        $values['output_unbalance'] = Value::of($unbalance, '%');
        $said = ['unbalance' => Said::percent($unbalance)];

        return match (true) {
            Limit::over($unbalance, self::UNEVEN_STOP) => [Finding::stop('phases_uneven', $said)],
            Limit::over($unbalance, self::UNEVEN_WATCH) => [Finding::watch('phases_uneven', $said, 'phases_differ')],
            default => [],
        };
    }

    /**
     * @param list<Finding> $found
     * @return list<string> what failed, supply first
     */
    private static function named(Input $in, array $found, Bridge $rectifier, Bridge $output): array
    {
        $stops = array_map(fn (Finding $one): string => $one->code, array_filter($found, fn (Finding $one): bool => $one->status === Status::Stop));
        $has = fn (string ...$codes): bool => array_intersect($codes, $stops) !== [];
        $isSupply = $has('supply_leg');
        $busFails = $has('no_bus', 'bus_low') && $in->all(...self::lines($in)) && ! $isSupply && $rectifier->isGood;
        $isSound = $in->text('windings') === 'good' && $in->text('insulation') === 'good';

        return array_keys(array_filter([
            'supply' => $isSupply,
            'board' => $rectifier->hasFailed || $busFails || $has('bus_high'),
            'module' => $output->hasFailed || ($has('phases_uneven') && $output->isGood && $isSound),
            'compressor' => $has('compressor_bad'),
        ]));
    }
}
