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

/** Registration and warranty: by when (so many days after the first start), since when, until when. */
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
            Field::day('started'),
            Field::count('registration_days', 1, 3650)->fromSheet('warranty.registration_days'),
            Field::day('register_by')->neededWhen(fn (Input $in): bool => ! $in->given('registered') && ! $in->all('started', 'registration_days')),
            Field::day('registered'),
            Field::text('number'),
            Field::day('parts_until'),
            Field::day('compressor_until'),
            Field::day('labor_until'),
        ];
    }

    /**
     * The last day to register, as it was recorded: the one that was entered, else the first start and the maker's days.
     *
     * @param array<string, mixed> $input as recorded
     * @return string ISO 8601; '' where nothing tells it, or it is registered
     */
    public static function registerBy(array $input): string
    {
        $text = fn (string $name): string => is_string($input[$name] ?? null) ? $input[$name] : '';
        $days = $input['registration_days'] ?? null;

        return match (true) {
            $text('registered') !== '' => '',
            $text('register_by') !== '' => $text('register_by'),
            $text('started') !== '' && is_int($days) => Day::parse($text('started'))->plus($days)->written(),
            default => '',
        };
    }

    public function judge(Input $in): Judgement
    {
        $day = fn (string $name): ?Day => $in->given($name) && ($day = $in->parsed($name)) instanceof Day ? $day : null;
        $by = $day('register_by') ?? ($in->given('registration_days') ? $day('started')?->plus($in->int('registration_days')) : null);
        $done = $day('registered');
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
