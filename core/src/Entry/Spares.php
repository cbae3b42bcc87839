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

/** A part left on site, or back on the van. */
final class Spares implements Check
{
    use NoContradictions;

    public function id(): string
    {
        return 'entry.spares';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        return [
            Field::text('what')->needed(),
            Field::count('how_many', 1, 1000)->needed(),
            Field::text('where')->needed(),
            Field::flag('van')->default(false),
        ];
    }

    public function judge(Input $in): Judgement
    {
        if ($in->missing !== []) {
            return new Judgement(Missing::in($in), basis: [Finding::note('basis')]);
        }
        $part = ['count' => $in->int('how_many'), 'what' => $in->text('what'), 'where' => $in->text('where')];

        return new Judgement([Finding::note($in->flag('van') ? 'van' : 'left', $part)], basis: [Finding::note('basis')]);
    }
}
