<?php

declare(strict_types=1);

namespace IronStart\Core\Entry;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Day;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\NoContradictions;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;

/** Registration and warranty: by when, since when, until when. */
final class Warranty implements Check
{
    use NoContradictions;

    private const ENDS = ['parts_until', 'compressor_until', 'labor_until'];

    public function id(): string
    {
        return 'entry.warranty';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        return [
            Field::day('register_by')->neededWhen(fn (Input $in): bool => ! $in->given('registered')),
            Field::day('registered'),
            Field::text('number'),
            Field::day('parts_until'),
            Field::day('compressor_until'),
            Field::day('labor_until'),
        ];
    }

    public function judge(Input $in): Judgement
    {
        $day = function (string $name) use ($in): ?Day {
            $day = $in->given($name) ? $in->parsed($name) : null;

            return $day instanceof Day ? $day : null;
        };
        [$by, $done] = [$day('register_by'), $day('registered')];
        $findings = Missing::in($in);
        if ($by !== null && $done === null) {
            $findings[] = Finding::watch('not_registered', ['day' => $by->said()]);
        } elseif ($by !== null && $done !== null && $done->isAfter($by)) {
            $findings[] = Finding::watch('late', ['day' => $by->said(), 'done' => $done->said()]);
        } elseif ($done !== null) {
            $findings[] = Finding::clear('registered', ['done' => $done->said()]);
        }
        foreach (self::ENDS as $name) {
            $end = $day($name);
            if ($end !== null && $done !== null && $done->isAfter($end)) {
                $findings[] = Finding::watch('over', ['what' => $name, 'day' => $end->said()]);
            }
        }

        return new Judgement($findings, basis: [Finding::note('basis')]);
    }
}
