<?php

declare(strict_types=1);

namespace IronStart\Core\Entry;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\NoContradictions;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Status;

/** A line set or coil that was flushed: with what, until clean, and blown dry. */
final class Flush implements Check
{
    use NoContradictions;

    public function id(): string
    {
        return 'entry.flush';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        return [
            Field::text('part')->needed(),
            Field::word('with', 'nitrogen', 'solvent')->needed(),
            Field::flag('until_clean')->needed(),
            Field::flag('blown')->needed(),
        ];
    }

    public function judge(Input $in): Judgement
    {
        $findings = [];
        if ($in->text('with') === 'solvent' && $in->given('blown') && ! $in->flag('blown')) {
            $findings[] = Finding::stop('solvent_left');
        }
        if ($in->given('until_clean') && ! $in->flag('until_clean')) {
            $findings[] = Finding::watch('not_clean');
        }
        $findings = [...$findings, ...Missing::in($in)];
        if (Judgement::worst($findings) === Status::Clear) {
            $findings[] = Finding::note('clean', ['part' => $in->text('part')]);
        }

        return new Judgement($findings, [], false, ['flush_solvent', 'eye_protection', 'nitrogen_regulator'], [Finding::note('basis')]);
    }
}
