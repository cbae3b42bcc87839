<?php

declare(strict_types=1);

namespace IronStart\Core\Piping;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Draws;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Missing;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\TubeSize;
use IronStart\Core\Quantity\Units;
use IronStart\Core\Verdict\Drawn;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Value;

/**
 * Whether a flare nut is as tight as it should be: the usual bands for copper by the tube's outside diameter, the sheet's
 * where it gives one. Under half of the band's foot it was run up by hand and left.
 */
final class FlareTorque implements Check, Draws
{
    /** N·m, by tube size. */
    private const BANDS = ['1/4 in' => [14, 18], '3/8 in' => [34, 42], '1/2 in' => [49, 61], '5/8 in' => [68, 82], '3/4 in' => [100, 120]];
    private const NOT_TIGHTENED = 0.5;

    public function id(): string
    {
        return 'piping.flare_torque';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $torque = fn (string $name): Field => Field::quantity($name, Kind::Torque, 'N.m', 0);

        return [
            Field::tube('size')->needed(),
            $torque('measured')->needed(),
            Field::flag('backup_wrench')->needed(),
            $torque('sheet_min'),
            $torque('sheet_max'),
            Field::word('tube', 'copper', 'aluminium', 'steel')->default('copper'),
        ];
    }

    public function contradictions(Input $in): iterable
    {
        foreach (['sheet_min' => 'sheet_max', 'sheet_max' => 'sheet_min'] as $there => $absent) {
            if ($in->given($there) && ! $in->given($absent)) {
                yield InputError::absent($absent, 'both ends of the sheet\'s band, or neither');
            }
        }
        if ($in->all('sheet_min', 'sheet_max') && $in->number('sheet_min') > $in->number('sheet_max')) {
            yield new InputError('sheet_max', $in->number('sheet_max'), 'a torque over sheet_min', 'sheet_max: the sheet\'s high torque is under its low one. Enter them the other way around.');
        }
        if ($in->given('size') && ! $in->given('sheet_min') && ! $in->given('sheet_max') && $in->text('tube') === 'copper' && self::band($in) === null) {
            yield new InputError('size', TubeSize::written($in->number('size')), implode(', ', array_keys(self::BANDS)), 'size: there is no flare nut for this size. Enter: ' . implode(', ', array_keys(self::BANDS)) . ', or the sheet\'s torque.');
        }
    }

    public static function drawing(Input $in, array $values): array
    {
        $band = self::band($in);

        return $band === null ? [] : Drawn::scale('N.m', 0.0, [
            ['to' => self::NOT_TIGHTENED * $band[0], 'is' => Status::Stop],
            ['to' => $band[0], 'is' => Status::Watch],
            ['to' => $band[1], 'is' => Status::Clear],
            ['to' => 1.3 * $band[1], 'is' => Status::Stop],
        ], $in->maybe('measured'), told: ['ft.lb', 'N.m']);
    }

    public function judge(Input $in): Judgement
    {
        $findings = [];
        $values = [];
        $band = self::band($in);
        if ($in->given('size') && $band === null) {
            $findings[] = Finding::open('needs_sheet');
        }
        if ($band !== null) {
            foreach (['min' => $band[0], 'max' => $band[1]] as $end => $torque) {
                $values["torque_$end"] = Value::of($torque, 'N.m');
                $values["torque_{$end}_ftlb"] = Value::of(Units::fromCanonical($torque, 'ft.lb', Kind::Torque), 'ft.lb');
            }
            $findings = $in->given('measured') ? self::tightness($in->number('measured'), $band) : [Finding::note('band', ['low' => Said::torque($band[0])->bare(), 'high' => Said::torque($band[1])])];
        }
        if ($in->given('backup_wrench') && ! $in->flag('backup_wrench')) {
            $findings[] = Finding::watch('no_backup_wrench');
        }

        return new Judgement([...$findings, ...Missing::in($in)], $values, false, [], [Finding::note($in->given('sheet_min') ? 'from_sheet' : 'basis')]);
    }

    /**
     * @param array{float, float} $band N·m
     * @return list<Finding>
     */
    private static function tightness(float $torque, array $band): array
    {
        $said = fn (float $limit): array => ['torque' => Said::torque($torque, $limit), 'low' => Said::torque($band[0]), 'high' => Said::torque($band[1])];

        return match (true) {
            Limit::over($torque, $band[1]) => [Finding::stop('over_torque', $said($band[1]))],
            Limit::under($torque, self::NOT_TIGHTENED * $band[0]) => [Finding::stop('not_tightened', $said($band[0])), Finding::stop('under_torque', [], 'under_torque_besides')],
            Limit::under($torque, $band[0]) => [Finding::watch('under_torque', $said($band[0]))],
            default => [Finding::note('right', $said($band[1]))],
        };
    }

    /** @return array{float, float}|null N·m; null where neither sheet nor table has one */
    private static function band(Input $in): ?array
    {
        if ($in->all('sheet_min', 'sheet_max')) {
            return [$in->number('sheet_min'), $in->number('sheet_max')];
        }
        if ($in->text('tube') !== 'copper' || ! $in->given('size')) {
            return null;
        }
        $band = self::BANDS[TubeSize::written($in->number('size'))] ?? null;

        return $band === null ? null : [(float) $band[0], (float) $band[1]];
    }
}
