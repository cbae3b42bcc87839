<?php

declare(strict_types=1);

namespace IronStart\Core\Power;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\NoContradictions;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Value;

/**
 * Whether it is dead: lock and tag named, tester proved before and after, every reading gone.
 *
 * With the unit's own disconnect locked open its line side stays live; who works there needs the lock
 * upstream, whatever the meter reads on the load side.
 */
final class Lockout implements Check
{
    use NoContradictions;

    private const AC_READINGS = ['volts_ab', 'volts_bc', 'volts_ca', 'volts_ag', 'volts_bg', 'volts_cg'];
    /** V; more is live. */
    private const DEAD_AC = 1.0;
    private const DEAD_BUS = 10.0;

    public function id(): string
    {
        return 'power.lockout';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $three = fn (Input $in): bool => $in->number('phases') === 3.0;
        $stored = fn (Input $in): bool => $in->flag('stored_energy') || $in->given('bus_volts') || $in->given('waited') || $in->given('sheet_wait');

        return [
            Field::text('lock_id')->needed(),
            Field::text('tag_name')->needed(),
            Field::flag('tester_proved_before')->needed(),
            Field::flag('tester_proved_after')->needed(),
            Field::volts('volts_ab')->needed(),
            Field::volts('volts_bc')->neededWhen($three),
            Field::volts('volts_ca')->neededWhen($three),
            Field::volts('volts_ag')->needed(),
            Field::volts('volts_bg')->needed(),
            Field::volts('volts_cg')->neededWhen($three),
            Field::volts('control_volts'),
            Field::volts('bus_volts', 0, 1500)->neededWhen($stored),
            Field::quantity('waited', Kind::Time, 'h', 0, 24)->neededWhen($stored),
            Field::quantity('sheet_wait', Kind::Time, 'h', 0, 24)->neededWhen($stored),
            Field::flag('stored_energy'),
            Field::choice('phases', 1, 3)->default(3),
            Field::word('lock_at', 'unit_disconnect', 'upstream')->default('unit_disconnect'),
            Field::word('work_at', 'load_side', 'line_side')->default('load_side'),
        ];
    }

    public function judge(Input $in): Judgement
    {
        $readings = [];
        foreach ([...self::AC_READINGS, 'control_volts'] as $name) {
            $readings = [...$readings, ...array_filter([$name => $in->maybe($name)], is_float(...))];
        }
        $bus = $in->maybe('bus_volts');
        $findings = self::dangers($in, $readings, $bus);
        if ($findings === []) {
            $findings = self::unproved($in);
        }
        if ($findings === []) {
            $findings[] = Finding::note('dead', ['highest' => Said::volts(max([0.0, ...array_values($readings)])), 'lock' => $in->text('lock_id'), 'who' => $in->text('tag_name')]);
        }
        $values = [];
        if ($readings !== []) {
            $values['highest_reading'] = Value::of(max($readings), 'V');
        }
        if ($bus !== null) {
            $values['bus'] = Value::of($bus, 'V');
        }
        if ($in->all('waited', 'sheet_wait')) {
            $values['wait_left'] = Value::of(max(0.0, $in->number('sheet_wait') - $in->number('waited')) / 60, 'min');
        }
        $cautions = ['lockout', 'qualified_electrical', 'arc_flash'];
        if ($bus !== null || $in->flag('stored_energy')) {
            $cautions[] = 'stored_energy';
        }

        return new Judgement($findings, $values, false, $cautions, [Finding::note('basis')]);
    }

    /**
     * @param array<string, float> $readings
     * @return list<Finding>
     */
    private static function dangers(Input $in, array $readings, ?float $bus): array
    {
        $findings = [];
        if ($readings !== [] && Limit::over(max($readings), self::DEAD_AC)) {
            $findings[] = Finding::stop('still_live', ['volts' => Said::volts(max($readings), self::DEAD_AC), 'limit' => Said::volts(self::DEAD_AC)]);
        }
        if ($bus !== null && Limit::over($bus, self::DEAD_BUS)) {
            $findings[] = Finding::stop('still_live', ['volts' => Said::volts($bus, self::DEAD_BUS), 'limit' => Said::volts(self::DEAD_BUS)], 'bus_live');
        }
        if ($in->text('work_at') === 'line_side' && $in->text('lock_at') === 'unit_disconnect') {
            $findings[] = Finding::stop('line_side_live');
        }

        return $findings;
    }

    /** @return list<Finding> */
    private static function unproved(Input $in): array
    {
        $missing = array_flip($in->missing);
        foreach (['tester_proved_before', 'tester_proved_after'] as $proof) {
            if (! $in->flag($proof)) {
                $missing[$proof] = true;
            }
        }
        $order = array_map(fn (Field $f): string => $f->name, (new self())->fields());
        $findings = array_map(Missing::at(...), array_values(array_filter($order, fn (string $name): bool => isset($missing[$name]))));
        if ($in->all('waited', 'sheet_wait') && Limit::under($in->number('waited'), $in->number('sheet_wait'))) {
            $findings[] = Finding::open('wait_not_over', ['left' => Said::minutes(($in->number('sheet_wait') - $in->number('waited')) / 60)]);
        }

        return $findings;
    }
}
