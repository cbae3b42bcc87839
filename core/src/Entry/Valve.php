<?php

declare(strict_types=1);

namespace IronStart\Core\Entry;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\NoContradictions;
use IronStart\Core\PutBack\PutBackKind;
use IronStart\Core\Verdict\Effect;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Said;

/** One valve of a circuit as it stands. A later entry of the same name takes its place; one that is not open is to be put back. */
final class Valve implements Check
{
    use NoContradictions;

    public function id(): string
    {
        return 'entry.valve';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        return [
            Field::text('name')->needed(),
            Field::word('kind', 'service_liquid', 'service_suction', 'equalizing', 'branch', 'box', 'receiver')->needed(),
            Field::word('state', 'open', 'shut', 'mid')->needed(),
            Field::number('turns', 0, 100),
            Field::flag('cap'),
            Field::text('moved_to'),
        ];
    }

    public function judge(Input $in): Judgement
    {
        $said = ['name' => $in->text('name')];
        $findings = Missing::in($in);
        $sets = [];
        if ($in->given('state')) {
            $isOpen = $in->text('state') === 'open';
            $sets[] = $isOpen ? Effect::closes(PutBackKind::ValveShut, $in->text('name')) : Effect::opens(PutBackKind::ValveShut, $in->text('name'));
            $turns = $in->given('turns') ? ['turns' => Said::number($in->number('turns'), 1)] : [];
            $findings[] = Finding::clear($in->text('state'), $said + $turns, $turns === [] ? $in->text('state') : "{$in->text('state')}_turns");
            if ($isOpen && $in->given('cap') && ! $in->flag('cap')) {
                $findings[] = Finding::watch('cap_off', $said);
            }
        }

        return new Judgement($findings, [], false, ['refrigerant_handling', 'eye_protection'], [Finding::note('basis')], sets: $sets);
    }
}
