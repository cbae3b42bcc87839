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
use IronStart\Core\Verdict\Said;

/** Under what the amps are read: they stand beside every reading with amps, and are not judged. */
final class Conditions implements Check
{
    use NoContradictions;

    public const ID = 'entry.conditions';
    /** What has amps that mean nothing without them. */
    public const BESIDE = ['power.running_amps', 'power.leg_roll', 'power.drop', 'run.first_start', FirstStep::ID];
    /** s for which they hold. */
    public const HOLD = 3600;

    public function id(): string
    {
        return self::ID;
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        return [
            Field::word('mode', 'cool', 'heat', 'fan')->default('cool'),
            Field::temperature('outdoor', -60, 60),
            Field::temperature('return_air', -40, 60),
            Field::quantity('head', Kind::GaugePressure, 'kPag', -105, 10_000),
        ];
    }

    public function judge(Input $in): Judgement
    {
        $read = array_filter([
            $in->given('outdoor') ? Finding::note('outdoor', ['temperature' => Said::temperature($in->number('outdoor'))]) : null,
            $in->given('return_air') ? Finding::note('return_air', ['temperature' => Said::temperature($in->number('return_air'))]) : null,
            $in->given('head') ? Finding::note('head', ['pressure' => Said::gauge($in->number('head'))]) : null,
        ]);

        return new Judgement($read === [] ? [Missing::at('outdoor')] : array_values($read), [], false, [], [Finding::note('basis')]);
    }
}
