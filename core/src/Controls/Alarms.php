<?php

declare(strict_types=1);

namespace IronStart\Core\Controls;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Missing;
use IronStart\Core\PutBack\PutBackKind;
use IronStart\Core\Verdict\Effect;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Value;

/** What stands as we leave, with whose it is; and whether anybody hears an alarm, proved by making one. */
final class Alarms implements Check
{
    public function id(): string
    {
        return 'controls.alarms';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $kind = Field::word('kind', 'info', 'warning', 'lockout')->structural();
        $done = fn (Input $t): bool => $t->text('how') !== 'not_tested';

        return [
            Field::items('standing', Field::text('code')->structural(), $kind, Field::text('reason'), Field::text('owner'))->orNone()->needed(),
            Field::items('sensors_missing', Field::text('name')->structural(), Field::text('reason'), Field::text('owner')),
            Field::flag('remote')->needed(),
            Field::texts('needed'),
            Field::items(
                'tests',
                Field::text('alarm')->structural(),
                Field::word('how', 'by_doing', 'button', 'not_tested')->structural(),
                Field::flag('local')->neededWhen($done),
                Field::flag('cleared')->neededWhen($done),
                Field::flag('remote'),
                Field::flag('restored'),
            )->needed(),
            Field::items('now', Field::text('code')->structural(), $kind)->orNone(),
        ];
    }

    public function contradictions(Input $in): iterable
    {
        foreach (['standing' => 'code', 'sensors_missing' => 'name', 'tests' => 'alarm', 'now' => 'code'] as $list => $name) {
            $seen = [];
            foreach ($in->items($list) as $i => $one) {
                $plain = self::plain($one->text($name));
                if (isset($seen[$plain])) {
                    yield new InputError("$list.$i.$name", $one->text($name), 'each once', "$list.$i.$name: that one is there already. Leave one out.");
                }
                $seen[$plain] = true;
            }
        }
    }

    public function judge(Input $in): Judgement
    {
        $missing = [...Missing::in($in), ...self::heardMissing($in)];
        $basis = [Finding::note('basis')];
        if ($missing !== []) {
            return new Judgement($missing, cautions: ['qualified_electrical'], basis: $basis);
        }
        $tested = array_map(fn (Input $t): string => self::plain($t->text('alarm')), $in->items('tests'));
        $untried = array_values(array_filter($in->words('needed'), fn (string $one): bool => ! in_array(self::plain($one), $tested, true)));
        $findings = [
            ...self::standing($in), ...self::sensors($in), ...self::tests($in),
            ...array_map(fn (string $one): Finding => Finding::open("not_tried:$one", ['alarm' => $one]), $untried),
            ...($in->given('now') ? self::now($in) : []),
        ];
        $isKept = array_filter($findings, fn (Finding $f): bool => in_array($f->status, [Status::Stop, Status::Open], true)) === [];
        $done = array_filter($in->items('tests'), fn (Input $t): bool => $t->text('how') !== 'not_tested');
        $values = ['standing' => Value::of((float) count($in->items('standing')), '1'), 'tested' => Value::of((float) count($done), '1'), 'of' => Value::of((float) (count($tested) + count($untried)), '1')];

        return new Judgement([...$findings, ...($isKept ? [Finding::clear('baseline_kept', ['count' => count($done)])] : [])], $values, false, ['qualified_electrical'], $basis, sets: self::sets($in));
    }

    /** @return list<Finding> */
    private static function heardMissing(Input $in): array
    {
        $found = [];
        foreach ($in->given('remote') && $in->flag('remote') ? $in->items('tests') : [] as $i => $test) {
            if ($test->text('how') !== 'not_tested' && ! $test->given('remote')) {
                $found[] = Missing::at("tests.$i.remote", $test->text('alarm'));
            }
        }

        return $found;
    }

    /** @return list<Finding> */
    private static function standing(Input $in): array
    {
        $findings = [];
        foreach ($in->items('standing') as $one) {
            $code = $one->text('code');
            $said = ['code' => $code];
            $findings = [...$findings, ...($one->all('reason', 'owner') ? [] : [Finding::open("unexplained:$code", $said)]), match ($one->text('kind')) {
                'lockout' => Finding::stop("locked_out:$code", $said),
                'warning' => Finding::watch("standing:$code", $said),
                default => Finding::clear("standing:$code", $said),
            }];
        }

        return $findings;
    }

    /** @return list<Finding> */
    private static function sensors(Input $in): array
    {
        return array_map(function (Input $one): Finding {
            $said = ['name' => $one->text('name')];

            return $one->all('reason', 'owner') ? Finding::clear("known_missing:{$one->text('name')}", $said) : Finding::open("unexplained_sensor:{$one->text('name')}", $said);
        }, $in->items('sensors_missing'));
    }

    /** @return list<Finding> */
    private static function tests(Input $in): array
    {
        $findings = [];
        $isHeard = false;
        foreach ($in->items('tests') as $test) {
            $alarm = $test->text('alarm');
            $said = ['alarm' => $alarm];
            if ($test->text('how') === 'not_tested') {
                $findings[] = Finding::open("not_tested:$alarm", $said);
                continue;
            }
            $isHeard = $isHeard || ($test->given('remote') && $test->flag('remote'));
            $isNo = fn (string $name): bool => $test->given($name) && ! $test->flag($name);
            $findings = [
                ...$findings,
                ...($test->text('how') === 'button' ? [Finding::watch("not_by_doing:$alarm", $said)] : []),
                ...($isNo('local') ? [Finding::stop("no_alarm:$alarm", $said)] : []),
                ...($in->flag('remote') && $isNo('remote') ? [Finding::stop("not_remote:$alarm", $said)] : []),
                ...($isNo('cleared') ? [Finding::watch("stays_in_alarm:$alarm", $said)] : []),
                ...($isNo('restored') ? [Finding::watch('putback:alarm_sensor')] : []),
            ];
        }

        return [...$findings, ...($in->flag('remote') && ! $isHeard ? [Finding::open('remote_not_proved')] : [])];
    }

    /** @return list<Finding> what a later visit finds */
    private static function now(Input $in): array
    {
        $codes = fn (string $list): array => array_map(fn (Input $one): string => self::plain($one->text('code')), $in->items($list));
        [$then, $now] = [$codes('standing'), $codes('now')];
        $findings = [];
        foreach ($in->items('now') as $one) {
            if (! in_array(self::plain($one->text('code')), $then, true)) {
                $findings[] = Finding::of($one->text('kind') === 'lockout' ? Status::Stop : Status::Watch, "new_alarm:{$one->text('code')}", ['code' => $one->text('code')]);
            }
        }
        foreach ($in->items('standing') as $one) {
            if (! in_array(self::plain($one->text('code')), $now, true)) {
                $findings[] = Finding::clear("gone:{$one->text('code')}", ['code' => $one->text('code')]);
            }
        }

        return $findings;
    }

    /** @return list<Effect> */
    private static function sets(Input $in): array
    {
        $told = array_filter($in->items('tests'), fn (Input $t): bool => $t->given('restored'));
        $isOut = array_filter($told, fn (Input $t): bool => ! $t->flag('restored')) !== [];

        return $told === [] ? [] : [$isOut ? Effect::opens(PutBackKind::AlarmSensor) : Effect::closes(PutBackKind::AlarmSensor)];
    }

    private static function plain(string $text): string
    {
        return mb_strtolower(trim($text));
    }
}
