<?php

declare(strict_types=1);

namespace IronStart\Core\Entry;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\DrawsOnRecord;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\Past;
use IronStart\Core\Clock\ClockKind;
use IronStart\Core\PutBack\PutBackKind;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Verdict\Effect;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Said;

/** Hot work: permit, extinguisher, detectors covered, the alarm company told off and on, and the watch after the last flame. */
final class HotWork implements Check, DrawsOnRecord
{
    /** What stands from the first flame to the last. */
    private const STANDS = ['place', 'permit', 'extinguisher', 'alarm_off_at', 'alarm_off_who', 'first_flame_at', 'fire_watch'];

    public function id(): string
    {
        return 'entry.hot_work';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $time = fn (string $name): Field => Field::parsed($name, TimeOfDay::minutes(...));

        return [
            Field::text('place')->needed(),
            Field::text('permit'),
            Field::flag('extinguisher')->needed(),
            Field::texts('detectors'),
            $time('alarm_off_at'),
            Field::text('alarm_off_who')->neededWhen(fn (Input $in): bool => $in->given('alarm_off_at')),
            $time('first_flame_at')->needed(),
            $time('last_flame_at'),
            Field::quantity('fire_watch', Kind::Time, 'min', 0, 1440)->positive()->bareIn('min')->readWith(null),
            $time('alarm_on_at'),
        ];
    }

    /** Written as the flame is lit, and finished by the last one: in between it stands. A detector is covered anew or not. */
    public static function bringsIn(Past $past, string $subject): array
    {
        $before = $past->last('entry.hot_work', $subject)['input'] ?? [];

        return isset($before['last_flame_at']) ? [] : array_intersect_key($before, array_flip(self::STANDS));
    }

    public function contradictions(Input $in): iterable
    {
        if ($in->all('first_flame_at', 'last_flame_at') && $in->number('last_flame_at') < $in->number('first_flame_at')) {
            yield new InputError('last_flame_at', null, 'a time after the first flame', 'last_flame_at: the last flame can\'t be before the first. Past midnight it is a new entry.');
        }
    }

    public function judge(Input $in): Judgement
    {
        $findings = $sets = [];
        if ($in->given('extinguisher') && ! $in->flag('extinguisher')) {
            $findings[] = Finding::stop('no_extinguisher');
        }
        foreach ($in->words('detectors') as $where) {
            $sets[] = Effect::opens(PutBackKind::Detector, $where);
        }
        if ($in->given('alarm_on_at')) {
            $sets[] = Effect::closes(PutBackKind::AlarmPanel);
        } elseif ($in->given('alarm_off_at')) {
            $sets[] = Effect::opens(PutBackKind::AlarmPanel);
        }
        $findings = [...$findings, ...Missing::in($in)];
        if ($in->given('last_flame_at')) {
            $minutes = (int) ceil(($in->maybe('fire_watch') ?? 60.0 * ClockKind::FireWatch->minutes()) / 60);
            $sets[] = Effect::starts(ClockKind::FireWatch, $minutes);
            $findings[] = Finding::clear('fire_watch', ['minutes' => Said::duration(60.0 * $minutes)]);
            if ($in->given('alarm_off_at') && ! $in->given('alarm_on_at')) {
                $findings[] = Finding::watch('alarm_still_off');
            }
        } elseif ($in->given('first_flame_at')) {
            $findings[] = Finding::open('burning', ['since' => TimeOfDay::written($in->number('first_flame_at'))]);
        }

        return new Judgement($findings, [], false, ['hot_work', 'fire_alarm_isolated', 'toxic_breakdown', 'hot_surfaces'], [Finding::note('basis')], sets: $sets);
    }
}
