<?php

declare(strict_types=1);

namespace IronStart\Core\Piping;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Draws;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\NoContradictions;
use IronStart\Core\PutBack\PutBackKind;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Units;
use IronStart\Core\Verdict\Drawn;
use IronStart\Core\Verdict\Effect;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Value;

/**
 * Whether nitrogen flows while a joint is brazed, and whether everything around the joint is ready for heat.
 *
 * 3 to 8 scfh is a trickle that keeps the air out; less lets scale form, more blows the joint. What is taken off or held
 * open for the heat is put back afterwards.
 */
final class Purge implements Check, Draws
{
    use NoContradictions;

    /** scfh */
    private const LEAST = 2.0;
    private const LOW = 3.0;
    private const HIGH = 8.0;
    private const MOST = 15.0;
    private const WRONG_GAS = ['compressed_air', 'oxygen'];
    /** What is got ready for the heat: field => entry of the put-back list and its code. */
    private const READY = [
        'cores_out' => [PutBackKind::CoresOut, 'cores_out'],
        'bulb_off' => [PutBackKind::BulbOff, 'bulb_off'],
        'heat_sinks' => [PutBackKind::HeatSink, 'heat_sinks'],
        'valves_open' => [PutBackKind::ValvesOpen, 'valves_open'],
        'plastics_away' => [PutBackKind::PlasticsAway, 'plastics_away'],
        'detectors_isolated' => [PutBackKind::Detector, 'detectors'],
    ];

    public function id(): string
    {
        return 'piping.purge';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        return [
            Field::quantity('flow', Kind::PurgeFlow, 'scfh', 0)->neededWhen(fn (Input $in): bool => $in->text('flow_kind') === 'flowmeter'),
            Field::word('flow_kind', 'flowmeter', 'regulator_only')->needed(),
            Field::flag('exit_open')->needed(),
            Field::flag('system_charged')->needed(),
            Field::flag('residual_as_purge')->default(false),
            ...array_map(Field::flag(...), array_keys(self::READY)),
            ...[Field::word('gas', 'nitrogen', 'other_inert', 'compressed_air', 'oxygen')->default('nitrogen')],
        ];
    }

    public static function drawing(Input $in, array $values): array
    {
        $at = fn (float $scfh): float => Units::toCanonical($scfh, 'scfh', Kind::PurgeFlow);

        return Drawn::scale('L/min', 0.0, [
            ['to' => $at(self::LEAST), 'is' => Status::Stop],
            ['to' => $at(self::LOW), 'is' => Status::Watch],
            ['to' => $at(self::HIGH), 'is' => Status::Clear],
            ['to' => $at(self::MOST), 'is' => Status::Watch],
            ['to' => $at(20.0), 'is' => Status::Stop],
        ], $in->text('flow_kind') === 'regulator_only' ? null : $in->maybe('flow'), told: ['scfh', 'L/min']);
    }

    public function judge(Input $in): Judgement
    {
        $cautions = ['hot_work', 'toxic_breakdown', 'nitrogen_regulator', 'asphyxiation', 'fire_alarm_isolated', 'hot_surfaces', 'eye_protection', 'remote_start'];
        $values = [];
        $findings = [...self::dangers($in), ...self::flow($in, $values)];
        $sets = [];
        foreach (self::READY as $field => [$kind, $code]) {
            if (! $in->given($field)) {
                continue;
            }
            if ($in->flag($field)) {
                $findings[] = Finding::clear("putback:$code", [], "putback_$field");
                $sets[] = Effect::opens($kind);
            } else {
                $findings[] = Finding::watch("not:$field", [], "not_$field");
            }
        }
        if ($in->flag('cores_out')) {
            $cautions[] = 'core_ejected';
        }
        $findings = [...$findings, ...Missing::in($in)];
        if (Judgement::worst($findings) === Status::Clear) {
            array_unshift($findings, Finding::note('flowing', ['flow' => Said::purge($in->number('flow'))]));
        }

        return new Judgement($findings, $values, false, $cautions, [Finding::note('basis')], sets: $sets);
    }

    /** @return list<Finding> */
    private static function dangers(Input $in): array
    {
        $findings = [];
        if ($in->flag('system_charged') || $in->flag('residual_as_purge')) {
            $findings[] = Finding::stop('toxic_breakdown', [], $in->flag('system_charged') ? 'toxic_breakdown' : 'residual');
        }
        if (in_array($in->text('gas'), self::WRONG_GAS, true)) {
            $findings[] = Finding::stop('wrong_gas', [], $in->text('gas') === 'oxygen' ? 'oxygen' : 'shop_air');
        }
        if ($in->given('exit_open') && ! $in->flag('exit_open')) {
            $findings[] = Finding::stop('exit_closed');
        }

        return $findings;
    }

    /**
     * @param array<string, Value> $values gets the flow
     * @return list<Finding>
     */
    private static function flow(Input $in, array &$values): array
    {
        if ($in->text('flow_kind') === 'regulator_only') {
            return [Finding::watch('not_measured')];
        }
        $flow = $in->text('flow_kind') === 'flowmeter' ? $in->in('flow', 'scfh') : null;
        if ($flow === null) {
            return [];
        }
        $values['flow'] = Value::of($flow, 'scfh');
        $said = fn (float $limit): array => ['flow' => Said::purge($in->number('flow'), Units::toCanonical($limit, 'scfh', Kind::PurgeFlow)), 'low' => Said::purge(Units::toCanonical(self::LOW, 'scfh', Kind::PurgeFlow))->bare(), 'high' => Said::purge(Units::toCanonical(self::HIGH, 'scfh', Kind::PurgeFlow))];

        return match (true) {
            Limit::under($flow, self::LEAST) => [Finding::stop('flow_low', $said(self::LEAST))],
            Limit::over($flow, self::MOST) => [Finding::stop('flow_high', $said(self::MOST))],
            Limit::under($flow, self::LOW) => [Finding::watch('flow_low', $said(self::LOW))],
            Limit::over($flow, self::HIGH) => [Finding::watch('flow_high', $said(self::HIGH))],
            default => [],
        };
    }
}
