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

/** The questions of the maker's own start-up form, out of the equipment sheet, answered from the record or by hand. */
final class MakerForm implements Check
{
    use NoContradictions;

    public function id(): string
    {
        return 'entry.maker_form';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        return [
            Field::items('items', Field::text('name')->structural()->fromSheet('question'), Field::text('answer'))->uniqueBy('name')->needed()->fromSheet('form'),
        ];
    }

    public function judge(Input $in): Judgement
    {
        if ($in->missing !== []) {
            return new Judgement(Missing::in($in), basis: [Finding::note('basis')]);
        }
        $blank = array_values(array_map(fn (Input $i): string => $i->text('name'), array_filter($in->items('items'), fn (Input $i): bool => ! $i->given('answer'))));
        $of = ['of' => count($in->items('items'))];

        return new Judgement([$blank === [] ? Finding::clear('complete', $of) : Finding::watch('blanks', $of + ['left' => count($blank), 'first' => $blank[0]])], basis: [Finding::note('basis')]);
    }
}
