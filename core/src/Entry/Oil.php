<?php

declare(strict_types=1);

namespace IronStart\Core\Entry;

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

/** The oil of a compressor: what came out, what went in, and how long its can stood open. */
final class Oil implements Check
{
    use NoContradictions;

    /** min an oil that drinks water may stand open. */
    private const OPEN = 15.0;
    private const DRINKS_WATER = ['POE', 'PVE'];

    public function id(): string
    {
        return 'entry.oil';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $volume = fn (string $name): Field => Field::quantity($name, Kind::Volume, 'L', 0, 1000)->readWith(null)->startsIn('floz');

        return [
            $volume('out_amount')->neededWhen(fn (Input $in): bool => ! $in->given('in_amount')),
            Field::word('out_colour', 'clear', 'dark', 'black'),
            Field::word('out_acid', 'none', 'slight', 'strong', 'not_tested'),
            $volume('in_amount'),
            Field::word('in_kind', 'POE', 'PVE', 'MO', 'AB')->neededWhen(fn (Input $in): bool => $in->given('in_amount')),
            Field::quantity('can_open', Kind::Time, 'min', 0)->bareIn('min')->readWith(null),
        ];
    }

    public function judge(Input $in): Judgement
    {
        $findings = Missing::in($in);
        $minutes = $in->in('can_open', 'min');
        if ($minutes !== null && in_array($in->text('in_kind'), self::DRINKS_WATER, true) && Limit::over($minutes, self::OPEN)) {
            $findings[] = Finding::watch('stood_open', ['time' => Said::duration(60 * $minutes), 'oil' => $in->text('in_kind')]);
        }
        if ($in->given('out_amount')) {
            $findings[] = Finding::note('out', ['amount' => Said::oil($in->number('out_amount'))]);
        }
        if ($in->all('in_amount', 'in_kind')) {
            $findings[] = Finding::note('in', ['amount' => Said::oil($in->number('in_amount')), 'oil' => $in->text('in_kind')]);
        }

        return new Judgement($findings, [], false, ['eye_protection', 'refrigerant_handling'], [Finding::note('basis')]);
    }
}
