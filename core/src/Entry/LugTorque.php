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

/** A lug's torque as a figure, against the sheet's: within a tenth of it. */
final class LugTorque implements Check
{
    use NoContradictions;

    private const OFF = 0.1;

    public function id(): string
    {
        return 'entry.lug_torque';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $torque = fn (string $name): Field => Field::quantity($name, Kind::Torque, 'N.m', 0, 1000)->positive()->readWith(null);

        return [
            Field::text('place')->needed(),
            $torque('torque')->needed(),
            $torque('sheet_torque')->fromSheet('electrical.lug_torque'),
            Field::text('wrench'),
        ];
    }

    public function judge(Input $in): Judgement
    {
        if ($in->missing !== []) {
            return new Judgement(Missing::in($in), [], false, ['lockout'], [Finding::note('basis')]);
        }
        $torque = $in->number('torque');
        $sheet = $in->maybe('sheet_torque');
        $said = ['place' => $in->text('place'), 'torque' => Said::torque($torque)];
        $found = match (true) {
            $sheet === null => Finding::watch('no_figure', $said),
            Limit::over(abs($torque - $sheet), self::OFF * $sheet) => Finding::watch('off_sheet', $said + ['sheet' => Said::torque($sheet)]),
            default => Finding::note('torqued', $said),
        };

        return new Judgement([$found], [], false, ['lockout'], [Finding::note('basis')]);
    }
}
