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
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;

/** What a sensor shows beside an instrument at the same spot. */
final class SensorTruth implements Check
{
    use NoContradictions;

    /** K a sensor may be off by: a tenth over 1 °F, and 0.6 K as it is read. */
    private const OFF = 0.6;

    public function id(): string
    {
        return 'entry.sensor';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        return [
            Field::text('sensor')->needed(),
            Field::temperature('shows', -60, 200)->readWith(null)->needed(),
            Field::temperature('reference', -60, 200)->needed(),
        ];
    }

    public function judge(Input $in): Judgement
    {
        if ($in->missing !== []) {
            return new Judgement(Missing::in($in), basis: [Finding::note('basis')]);
        }
        $off = $in->number('shows') - $in->number('reference');
        $told = ['sensor' => $in->text('sensor'), 'off' => Said::temperatureDifference(abs($off), self::OFF)];
        $finding = Limit::over(abs($off), self::OFF) ? Finding::watch('off', $told + ['way' => $off > 0 ? 'high' : 'low']) : Finding::clear('true', $told);

        return new Judgement([$finding], basis: [Finding::note('basis')]);
    }
}
