<?php

declare(strict_types=1);

namespace IronStart\Core\Entry;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\DrawsOnRecord;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\NoContradictions;
use IronStart\Core\Check\Past;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;

/** A compressor's hours and starts, as found and as left: what it ran meanwhile is the difference. */
final class Hours implements Check, DrawsOnRecord
{
    use NoContradictions;

    private const COUNTERS = ['hours', 'starts'];
    public function id(): string
    {
        return 'entry.hours';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $hours = fn (string $name): Field => Field::quantity($name, Kind::Time, 'h', 0)->bareIn('h')->readWith(null);

        return [
            Field::word('when', 'found', 'left')->needed(),
            $hours('hours')->needed(),
            Field::count('starts'),
            Field::word('read_from', 'display', 'meter', 'estimate'),
            $hours('found_hours')->broughtIn(),
            Field::count('found_starts')->broughtIn(),
        ];
    }

    /** As found, for the reading as left; what is read as left again stands against the same. */
    public static function bringsIn(Past $past, string $subject): array
    {
        $last = $past->last('entry.hours', $subject)['input'] ?? [];
        $from = ($last['when'] ?? '') === 'found' ? '' : 'found_';
        $found = [];
        foreach (self::COUNTERS as $counter) {
            $found["found_$counter"] = $last["$from$counter"] ?? null;
        }

        return array_filter($found, fn (mixed $value): bool => $value !== null);
    }

    public function judge(Input $in): Judgement
    {
        if ($in->missing !== []) {
            return new Judgement(Missing::in($in), basis: [Finding::note('basis')]);
        }
        $hours = $in->number('hours');
        $findings = [Finding::note("read_{$in->text('when')}", ['hours' => Said::hours($hours)])];
        if ($in->text('when') === 'left' && $in->given('found_hours')) {
            $ran = $hours - $in->number('found_hours');
            $findings[] = Limit::under($ran, 0.0) ? Finding::watch('counts_back', ['found' => Said::hours($in->number('found_hours'))]) : Finding::note('ran', ['hours' => Said::hours($ran)]);
        }
        if ($in->text('when') === 'left' && $in->all('starts', 'found_starts')) {
            $started = $in->int('starts') - $in->int('found_starts');
            $findings[] = $started < 0 ? Finding::watch('starts_back', ['found' => $in->int('found_starts')]) : Finding::note('started', ['count' => $started]);
        }

        return new Judgement($findings, basis: [Finding::note('basis')]);
    }
}
