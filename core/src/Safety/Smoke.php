<?php

declare(strict_types=1);

namespace IronStart\Core\Safety;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\NoContradictions;
use IronStart\Core\PutBack\PutBackKind;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Verdict\Effect;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Value;

/**
 * Whether smoke stops the blower, and whether a fire panel heard what it should and nothing else.
 *
 * Limits: over 2,000 cfm a duct detector must stop the blower (mechanical code); a test that calls out the fire service is
 * a bad test; a magnet moves the relay and not the chamber.
 */
final class Smoke implements Check
{
    use NoContradictions;

    /** s */
    private const SLOW = 15.0;

    public function id(): string
    {
        return 'safety.smoke';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $isTested = fn (Input $in): bool => $in->flag('fitted') && $in->text('method') !== 'not_tested';
        $hasPanel = fn (Input $in): bool => $isTested($in) && $in->flag('panel');

        return [
            Field::flag('fitted')->needed(),
            Field::flag('required'),
            Field::quantity('airflow', Kind::AirFlow, 'm3/h', 0, 3_600_000)->startsIn('cfm')->neededWhen(fn (Input $in): bool => $in->given('fitted') && ! $in->flag('fitted') && ! $in->given('required')),
            Field::quantity('required_above', Kind::AirFlow, 'm3/h', 0, 3_600_000)->startsIn('cfm')->readWith(null)->default('2000 cfm'),
            Field::word('method', 'smoke', 'magnet', 'button', 'not_tested')->neededWhen(fn (Input $in): bool => $in->flag('fitted')),
            Field::flag('blower_off')->neededWhen($isTested),
            Field::quantity('seconds', Kind::Time, 's', 0, 3600)->bareIn('s')->readWith(null)->neededWhen(fn (Input $in): bool => $isTested($in) && $in->flag('blower_off') && $in->given('sheet_seconds')),
            Field::quantity('sheet_seconds', Kind::Time, 's', 0, 3600)->bareIn('s')->readWith(null)->fromSheet('safety.detector.sheet_seconds'),
            Field::flag('others_off'),
            Field::flag('reset')->neededWhen($isTested),
            Field::flag('panel')->neededWhen($isTested),
            Field::flag('told_before')->neededWhen($hasPanel),
            Field::flag('told_after')->neededWhen($hasPanel),
            Field::word('signal', 'supervisory', 'alarm', 'trouble', 'none')->neededWhen($hasPanel),
            Field::word('expected', 'supervisory', 'alarm')->default('supervisory'),
        ];
    }

    public function judge(Input $in): Judgement
    {
        $values = [];
        $findings = $this->found($in, $values);
        if (Judgement::worst($findings) === Status::Clear && $findings === []) {
            $findings = [isset($values['seconds']) ? Finding::note('stops_it_in', ['seconds' => Said::duration((float) $values['seconds']->value)]) : Finding::note('stops_it')];
        }
        $after = $in->flag('fitted') && $in->flag('panel') && $in->given('told_after') ? $in->flag('told_after') : null;
        $sets = $after === null ? [] : [$after ? Effect::closes(PutBackKind::AlarmPanel) : Effect::opens(PutBackKind::AlarmPanel)];

        return new Judgement($findings, $values, false, ['fire_alarm_isolated', 'rotating_parts'], [Finding::note('basis')], sets: $sets);
    }

    /**
     * @param array<string, Value> $values gets how long it took
     * @return list<Finding>
     */
    private function found(Input $in, array &$values): array
    {
        if (! $in->given('fitted')) {
            return [Missing::at('fitted')];
        }
        if (! $in->flag('fitted')) {
            return self::notFitted($in);
        }
        if ($in->text('method') === 'not_tested') {
            return [Finding::open('not_tested')];
        }
        $no = fn (string $name): bool => $in->given($name) && ! $in->flag($name);

        return [
            ...Missing::in($in),
            ...($no('blower_off') ? [Finding::stop('blower_ran_on')] : self::slow($in, $values)),
            ...($no('others_off') ? [Finding::stop('others_ran_on')] : []),
            ...(in_array($in->text('method'), ['magnet', 'button'], true) ? [Finding::watch('chamber_not_proved')] : []),
            ...($no('reset') ? [Finding::watch('did_not_reset')] : []),
            ...($in->flag('panel') ? self::panel($in, $no) : []),
        ];
    }

    /** @return list<Finding> */
    private static function notFitted(Input $in): array
    {
        if ($in->missing !== []) {
            return Missing::in($in);
        }
        $isRequired = $in->given('required') ? $in->flag('required') : Limit::over($in->number('airflow'), $in->number('required_above'));

        return [$isRequired ? Finding::stop('detector_missing') : Finding::clear('not_required')];
    }

    /**
     * @param array<string, Value> $values
     * @return list<Finding>
     */
    private static function slow(Input $in, array &$values): array
    {
        if (! $in->flag('blower_off') || ! $in->given('seconds')) {
            return [];
        }
        [$seconds, $limit] = [$in->number('seconds'), $in->maybe('sheet_seconds') ?? self::SLOW];
        $values += ['seconds' => Value::of($seconds, 's'), 'limit_seconds' => Value::of($limit, 's')];
        $said = ['seconds' => Said::duration($seconds), 'limit' => Said::duration($limit)];

        return Limit::over($seconds, $limit) ? [$in->given('sheet_seconds') ? Finding::stop('slow_to_stop', $said) : Finding::watch('slow_to_stop', $said)] : [];
    }

    /**
     * @param \Closure(string): bool $no
     * @return list<Finding>
     */
    private static function panel(Input $in, \Closure $no): array
    {
        return [
            ...($no('told_before') ? [Finding::watch('not_told_before')] : []),
            ...($no('told_after') ? [Finding::watch('putback:panel')] : []),
            ...match (true) {
                ! $in->given('signal') => [],
                $in->text('signal') === 'none' => [Finding::stop('no_signal')],
                $in->text('signal') === 'trouble' => [Finding::stop('wrong_signal')],
                $in->text('signal') !== $in->text('expected') => [Finding::watch('signal_differs')],
                default => [],
            },
        ];
    }
}
