<?php

declare(strict_types=1);

namespace IronStart\Core\Air;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Draws;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\NoContradictions;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Units;
use IronStart\Core\Verdict\Drawn;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Value;

/**
 * What another sheave will do before it is on: speed with the air, static with its square, power and amps with its cube
 * (the fan laws).
 */
final class FanDrive implements Check, Draws
{
    use NoContradictions;

    /** Times the nameplate amps that stop at once. */
    private const HOT = 1.15;
    /** Inches of belt deflection for each inch of span. */
    private const DEFLECTION = 1 / 64;

    public function id(): string
    {
        return 'air.fan_drive';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $flow = fn (string $name): Field => Field::quantity($name, Kind::AirFlow, 'm3/h', 0)->positive();
        $speed = fn (string $name): Field => Field::quantity($name, Kind::Speed, 'rpm', 0)->positive()->bareIn('rpm');
        $length = fn (string $name): Field => Field::length($name, 'm', 0, 10)->positive()->takesFractions()->startsIn('in');

        return [
            $flow('flow_now')->needed(),
            $flow('flow_target')->readWith(null)->needed(),
            $speed('rpm_now')->needed(),
            Field::quantity('static_now', Kind::SmallPressure, 'Pa', 0, 2500),
            Field::amps('amps_now')->positive()->needed(),
            Field::amps('plate_amps')->positive()->fromSheet('air.drive.plate_amps')->needed(),
            Field::word('rotation', 'correct', 'backwards', 'not_seen')->needed(),
            $speed('blower_max_rpm')->readWith(null)->fromSheet('air.drive.blower_max_rpm'),
            $length('driver_pitch')->fromSheet('air.drive.driver_pitch', asStart: true),
            $length('pitch_per_turn'),
            Field::number('turns_open', 0, 20),
            Field::number('turns_max', 0, 20)->positive()->fromSheet('air.drive.turns'),
            $length('belt_span'),
        ];
    }

    public function judge(Input $in): Judgement
    {
        $cautions = ['lockout', 'rotating_parts'];
        $values = [];
        $findings = match ($in->text('rotation')) {
            'backwards' => [Finding::stop('backwards')],
            'not_seen' => [Finding::watch('rotation_not_seen')],
            default => [],
        };
        $findings = [...$findings, ...self::asItIs($in)];
        $ratio = $in->all('flow_now', 'flow_target') ? $in->number('flow_target') / $in->number('flow_now') : null;
        if ($in->missing === [] && $ratio !== null) {
            $values = self::values($in, $ratio);
        }
        if ($ratio !== null) {
            $findings = [...$findings, ...self::asItWouldBe($in, $ratio)];
        }
        $findings = [...$findings, ...Missing::in($in)];
        if ($in->missing === [] && $ratio !== null) {
            $findings[] = Finding::note('would_be', ['rpm' => Said::number($ratio * $in->number('rpm_now'), 0), 'amps' => Said::amps($in->number('amps_now') * $ratio ** 3), 'plate' => Said::amps($in->number('plate_amps'))]);
            $findings = [...$findings, ...(isset($values['close_turns']) ? [self::turns((float) $values['close_turns']->value)] : []), ...($ratio > 1 && ! $in->given('blower_max_rpm') ? [Finding::note('ask_max_rpm')] : [])];
        }

        return new Judgement($findings, $values, false, $cautions, [Finding::note('basis')]);
    }

    public static function drawing(Input $in, array $values): array
    {
        return isset($values['amps']) ? Drawn::bars('A', [
            ['word' => 'amps_now', 'value' => $in->maybe('amps_now'), 'is' => Limit::over($in->number('amps_now'), $in->number('plate_amps')) ? 'stop' : 'pale'],
            ['word' => 'amps_then', 'value' => (float) $values['amps']->value, 'is' => Limit::over((float) $values['amps']->value, $in->number('plate_amps')) ? 'stop' : 'plain'],
        ], $in->maybe('plate_amps')) : [];
    }

    /** @return list<Finding> */
    private static function asItIs(Input $in): array
    {
        if (! $in->all('amps_now', 'plate_amps') || ! Limit::over($in->number('amps_now'), $in->number('plate_amps'))) {
            return [];
        }
        $said = ['amps' => Said::amps($in->number('amps_now'), $in->number('plate_amps')), 'plate' => Said::amps($in->number('plate_amps'))];

        return [Limit::over($in->number('amps_now'), self::HOT * $in->number('plate_amps')) ? Finding::stop('over_plate_now', $said, 'far_over_plate_now') : Finding::watch('over_plate_now', $said)];
    }

    /** @return list<Finding> */
    private static function asItWouldBe(Input $in, float $ratio): array
    {
        $findings = [];
        $rpm = $in->maybe('rpm_now');
        if ($rpm !== null && $in->given('blower_max_rpm') && Limit::over($ratio * $rpm, $in->number('blower_max_rpm'))) {
            $findings[] = Finding::stop('over_rpm', ['rpm' => Said::number($ratio * $rpm, 0, $in->number('blower_max_rpm')), 'most' => Said::number($in->number('blower_max_rpm'), 0)]);
        }
        if ($in->all('amps_now', 'plate_amps') && Limit::over($in->number('amps_now') * $ratio ** 3, $in->number('plate_amps'))) {
            $findings[] = Finding::stop('over_plate', ['amps' => Said::amps($in->number('amps_now') * $ratio ** 3, $in->number('plate_amps')), 'plate' => Said::amps($in->number('plate_amps'))]);
        }
        $turns = self::closeTurns($in, $ratio);
        if ($turns !== null && $in->all('turns_open', 'turns_max')) {
            $left = $in->number('turns_open') - $turns;
            if (! Limit::within($left, 0.0, $in->number('turns_max'))) {
                $findings[] = Finding::watch('sheave_out_of_range');
            }
        }

        return $findings;
    }

    private static function closeTurns(Input $in, float $ratio): ?float
    {
        return $in->all('driver_pitch', 'pitch_per_turn') ? $in->number('driver_pitch') * ($ratio - 1) / $in->number('pitch_per_turn') : null;
    }

    private static function turns(float $close): Finding
    {
        return Finding::note($close < 0 ? 'open_turns' : 'close_turns', ['turns' => Said::number(abs($close), 1)]);
    }

    /** @return array<string, Value> */
    private static function values(Input $in, float $ratio): array
    {
        $inches = fn (float $metres): float => Units::fromCanonical($metres, 'in', Kind::Length);
        $turns = self::closeTurns($in, $ratio);

        return [
            'ratio' => Value::of($ratio, '1'), 'rpm' => Value::of($ratio * $in->number('rpm_now'), 'rpm'), 'amps' => Value::of($in->number('amps_now') * $ratio ** 3, 'A'),
            ...($in->given('static_now') ? ['static' => Value::of($ratio ** 2 * (float) $in->in('static_now', 'inH2O'), 'inH2O')] : []),
            ...($in->given('driver_pitch') ? ['driver_pitch' => Value::of($inches($ratio * $in->number('driver_pitch')), 'in')] : []),
            ...($turns === null ? [] : ['close_turns' => Value::of($turns, '1')]),
            ...($in->given('belt_span') ? ['belt_deflection' => Value::of(self::DEFLECTION * $inches($in->number('belt_span')), 'in')] : []),
        ];
    }
}
