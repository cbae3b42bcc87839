<?php

declare(strict_types=1);

namespace IronStart\Core\Entry;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\DrawsOnRecord;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\NoContradictions;
use IronStart\Core\Check\Past;
use IronStart\Core\PutBack\PutBackKind;
use IronStart\Core\Verdict\Effect;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;

/**
 * What is arranged for the day the unit goes up: permit, quiet hours, elevator, hatch, who looked at the ground, who
 * signals. Each settles what the crane's or the route's check left to be arranged; an open hatch is to be put back.
 */
final class LiftDay implements Check, DrawsOnRecord
{
    use NoContradictions;

    /** What a field settles. */
    private const SETTLES = ['permit' => 'permit', 'quiet_until' => 'quiet', 'ground_by' => 'ground', 'signals' => 'signals', 'elevator' => 'elevator', 'hatch' => 'hatch'];

    public function id(): string
    {
        return 'entry.lift_day';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $time = fn (string $name): Field => Field::parsed($name, TimeOfDay::minutes(...));

        return [
            Field::text('permit')->needed(),
            $time('quiet_until'),
            Field::text('elevator'),
            Field::text('hatch'),
            Field::text('ground_by')->needed(),
            Field::text('signals')->needed(),
            $time('crane_up_at'),
            Field::flag('hatch_open'),
        ];
    }

    /** What was arranged before stands: it comes together over days. Whether the hatch is open is said anew. */
    public static function bringsIn(Past $past, string $subject): array
    {
        return array_intersect_key($past->last('entry.lift_day', $subject)['input'] ?? [], self::SETTLES);
    }

    public function judge(Input $in): Judgement
    {
        $sets = [];
        foreach (self::SETTLES as $field => $kind) {
            if ($in->given($field)) {
                $sets[] = Effect::settles($kind);
            }
        }
        if ($in->given('hatch_open')) {
            $sets[] = $in->flag('hatch_open') ? Effect::opens(PutBackKind::RoofDoor, 'hatch') : Effect::closes(PutBackKind::RoofDoor, 'hatch');
        }
        $findings = [...self::up($in), ...Missing::in($in)];
        if ($findings === []) {
            $findings[] = Finding::clear('arranged', ['ground' => $in->text('ground_by'), 'signals' => $in->text('signals')]);
        }

        return new Judgement($findings, [], false, ['lifting', 'roof_edge'], [Finding::note('basis')], sets: $sets);
    }

    /** @return list<Finding> what is wrong with a crane that is up */
    private static function up(Input $in): array
    {
        if (! $in->given('crane_up_at')) {
            return [];
        }
        $up = $in->number('crane_up_at');
        $findings = [];
        if (! $in->given('ground_by')) {
            $findings[] = Finding::stop('ground_unseen');
        }
        if (! $in->given('signals')) {
            $findings[] = Finding::stop('nobody_signals');
        }
        if ($in->given('quiet_until') && $up < $in->number('quiet_until')) {
            $findings[] = Finding::watch('quiet_hours', ['up' => TimeOfDay::written($up), 'until' => TimeOfDay::written($in->number('quiet_until'))]);
        }

        return $findings;
    }
}
