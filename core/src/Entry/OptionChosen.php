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

/** Which of the options goes in, and why. What it changes of the job and the supply is left to be asked anew. */
final class OptionChosen implements Check
{
    use NoContradictions;

    public function id(): string
    {
        return 'entry.option_chosen';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        return [Field::text('option')->needed(), Field::text('why')->needed()];
    }

    public function judge(Input $in): Judgement
    {
        if ($in->missing !== []) {
            return new Judgement(Missing::in($in), basis: [Finding::note('basis')]);
        }

        return new Judgement(
            [Finding::note('chosen', ['option' => $in->text('option'), 'why' => $in->text('why')])],
            basis: [Finding::note('basis')],
            sets: [Effect::leaves('option_chosen', $in->text('option'))],
        );
    }
}
