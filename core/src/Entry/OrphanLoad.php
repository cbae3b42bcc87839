<?php

declare(strict_types=1);

namespace IronStart\Core\Entry;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\NoContradictions;
use IronStart\Core\Verdict\Effect;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;

/** What else hung on the old disconnect and is dark now: somebody has to own it. */
final class OrphanLoad implements Check
{
    use NoContradictions;

    public function id(): string
    {
        return 'entry.orphan_load';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        return [
            Field::text('what')->needed(),
            Field::text('disconnect')->needed(),
            Field::text('fed_from'),
            Field::text('told'),
        ];
    }

    public function judge(Input $in): Judgement
    {
        if ($in->missing !== []) {
            return new Judgement(Missing::in($in), basis: [Finding::note('basis')]);
        }
        $said = ['what' => $in->text('what'), 'disconnect' => $in->text('disconnect')];
        $findings = [
            $in->given('fed_from') ? Finding::clear('fed', $said + ['from' => $in->text('fed_from')]) : Finding::watch('dark', $said),
            ...($in->given('told') ? [] : [Finding::watch('nobody_told')]),
        ];

        return new Judgement($findings, [], false, ['lockout'], [Finding::note('basis')], sets: [Effect::leaves('orphan_load', $in->text('what'))]);
    }
}
