<?php

declare(strict_types=1);

namespace IronStart\Core\Entry;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Missing;
use IronStart\Core\PutBack\PutBackKind;
use IronStart\Core\Verdict\Effect;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;

/**
 * One joint of a circuit as it stands: how it is made, by whom, and whether it was seen all around. A later entry of the
 * same name takes its place; one that is interrupted is a circuit that stands open.
 */
final class Joint implements Check
{
    private const PEOPLE = 2;

    public function id(): string
    {
        return 'entry.joint';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        return [
            Field::text('name')->needed(),
            Field::word('kind', 'braze', 'flare', 'press')->needed(),
            Field::word('state', 'open', 'begun', 'interrupted', 'done')->needed(),
            Field::number('order', 0, 10_000),
            Field::texts('by'),
            Field::flag('purged'),
            Field::flag('cores_out'),
            Field::flag('bulb_off'),
            Field::flag('heat_sink'),
            Field::text('rod'),
            Field::flag('seen'),
        ];
    }

    public function contradictions(Input $in): iterable
    {
        if (count($in->words('by')) > self::PEOPLE) {
            yield InputError::at('by', $in->words('by'), 'one or two names', 'are too many');
        }
    }

    public function judge(Input $in): Judgement
    {
        $name = $in->text('name');
        $said = ['name' => $name];
        $isWorkedOn = in_array($in->text('state'), ['begun', 'interrupted', 'done'], true);
        $findings = $sets = [];
        if ($isWorkedOn && $in->text('kind') === 'braze' && $in->given('purged') && ! $in->flag('purged')) {
            $findings[] = Finding::stop('no_purge', $said);
        }
        if ($isWorkedOn && ! $in->given('by')) {
            $findings[] = Missing::at('by');
        }
        $findings = [...$findings, ...Missing::in($in)];
        switch ($in->text('state')) {
            case 'interrupted':
                $findings[] = Finding::watch('interrupted', $said);
                $sets[] = Effect::opens(PutBackKind::CircuitOpen, $name);
                break;
            case 'done':
                $findings[] = $in->flag('seen') ? Finding::clear('done', $said) : Finding::watch('not_seen', $said);
                $sets[] = Effect::closes(PutBackKind::CircuitOpen, $name);
                break;
            case 'begun':
                $findings[] = Finding::clear('begun', $said);
                break;
            case 'open':
                $findings[] = Finding::clear('listed', $said);
                break;
        }

        return new Judgement($findings, [], false, $in->text('kind') === 'braze' ? ['hot_work', 'toxic_breakdown', 'nitrogen_regulator', 'hot_surfaces', 'eye_protection'] : [], [Finding::note('basis')], sets: $sets);
    }
}
