<?php

declare(strict_types=1);

namespace IronStart\Core\Charge;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Draws;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Instrument;
use IronStart\Core\Check\Missing;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Units;
use IronStart\Core\Verdict\Drawn;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Value;

/**
 * What superheat a fixed orifice should show at this wet bulb inside and this air outside: (3·WB − 80 − OD)/2 in °F, from
 * 50 to 76 °F of wet bulb and 55 to 115 °F outside. The sheet's own figure wins.
 */
final class TargetSuperheat implements Check, Draws
{
    /** °F */
    private const OUTDOOR = [55.0, 115.0];
    private const WET_BULB = [50.0, 76.0];
    private const LEAST = 5.0;
    private const CLEAR = 3.0;
    private const WATCH = 5.0;
    private const LIQUID = 2.0;
    private const DRY_SOCK = 3.0;

    public function id(): string
    {
        return 'charge.target_superheat';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $own = fn (Input $in): bool => ! $in->given('sheet_target');
        $air = fn (string $name): Field => Field::temperature($name, -60, 80)->readWith(Instrument::Thermometer);

        return [
            $air('indoor_wb')->neededWhen($own),
            $air('outdoor_db')->neededWhen($own),
            $air('indoor_db'),
            Field::quantity('superheat', Kind::TemperatureDifference, 'K_diff', -30, 100),
            Field::quantity('sheet_target', Kind::TemperatureDifference, 'K_diff', 0, 60)->readWith(null),
        ];
    }

    public function contradictions(Input $in): iterable
    {
        if ($in->all('indoor_wb', 'indoor_db') && $in->number('indoor_wb') > $in->number('indoor_db')) {
            yield self::wetOverDry($in);
        }
    }

    public static function wetOverDry(Input $in): InputError
    {
        return new InputError('indoor_wb', $in->number('indoor_wb'), 'a wet bulb that is not over the dry bulb', 'indoor_wb: the wet bulb can\'t be over the dry bulb. Swap them, or read the sock again.');
    }

    public function judge(Input $in): Judgement
    {
        $cautions = ['refrigerant_handling', 'frostbite'];
        $basis = [Finding::note($in->given('sheet_target') ? 'from_sheet' : 'basis')];
        $superheat = $in->in('superheat', 'delta_degF');
        $liquid = $superheat !== null && Limit::under($superheat, self::LIQUID);
        $values = [];
        if ($in->missing !== []) {
            return new Judgement([...($liquid ? [self::flood($superheat)] : []), ...Missing::in($in)], $values, false, $cautions, $basis);
        }
        $target = $in->in('sheet_target', 'delta_degF') ?? self::of((float) $in->in('indoor_wb', 'degF'), (float) $in->in('outdoor_db', 'degF'));
        $findings = $liquid ? [self::flood($superheat)] : [];
        if ($target === null) {
            return new Judgement([...$findings, Finding::open('outside_range')], $values, false, $cautions, $basis);
        }
        $values['target'] = Value::of($target, 'delta_degF');
        $doubtful = ! $in->given('sheet_target') && self::isDrySock($in);
        if ($doubtful) {
            $findings[] = Finding::open('wet_bulb_doubtful');
        }
        if (! $in->given('sheet_target') && Limit::under($target, self::LEAST)) {
            $findings[] = Finding::stop('too_little_margin', ['target' => self::said($target, self::LEAST)]);
        }
        if ($superheat !== null) {
            $values += $doubtful ? [] : ['deviation' => Value::of($superheat - $target, 'delta_degF')];
            $findings = [...$findings, ...($doubtful ? [] : self::against($superheat, $target)), ...(! $liquid && ! $in->given('sheet_target') && Limit::under($superheat, self::LEAST) ? [Finding::watch('flood_risk', ['superheat' => self::said($superheat)], 'flood_near')] : [])];
        } elseif (Judgement::worst($findings) === Status::Clear) {
            $findings[] = Finding::note('target', ['target' => self::said($target)]);
        }

        return new Judgement($findings, $values, false, $cautions, $basis);
    }

    public static function drawing(Input $in, array $values): array
    {
        if (! isset($values['target'])) {
            return [];
        }
        $k = fn (float $degF): float => Units::toCanonical($degF, 'delta_degF', Kind::TemperatureDifference);
        $target = (float) $values['target']->value;
        $low = max(0.0, $target - self::WATCH);

        return Drawn::scale('K_diff', 0.0, [
            ['to' => $k($low), 'is' => Status::Stop],
            ['to' => $k(max($low, $target - self::CLEAR)), 'is' => Status::Watch],
            ['to' => $k($target + self::CLEAR), 'is' => Status::Clear],
            ['to' => $k($target + self::WATCH), 'is' => Status::Watch],
            ['to' => $k($target + 15.0), 'is' => Status::Stop],
        ], $in->maybe('superheat'), told: ['delta_degF', 'K_diff']);
    }

    /** @return float|null °F; null outside of what the rule is good for */
    public static function of(float $wetBulb, float $outdoor): ?float
    {
        return Limit::within($wetBulb, ...self::WET_BULB) && Limit::within($outdoor, ...self::OUTDOOR) ? (3 * $wetBulb - 80 - $outdoor) / 2 : null;
    }

    /** The wet bulb reads nearly the dry bulb: a dry sock until it is proved. */
    public static function isDrySock(Input $in): bool
    {
        return $in->all('indoor_db', 'indoor_wb') && Limit::under((float) $in->in('indoor_db', 'degF') - (float) $in->in('indoor_wb', 'degF'), self::DRY_SOCK);
    }

    /** @return list<Finding> */
    private static function against(float $superheat, float $target): array
    {
        $by = $superheat - $target;
        $said = ['superheat' => self::said($superheat), 'target' => self::said($target), 'by' => self::said(abs($by), Limit::over(abs($by), self::WATCH) ? self::WATCH : self::CLEAR)];
        if (! Limit::over(abs($by), self::CLEAR)) {
            return [Finding::clear('right', $said)];
        }
        $status = Limit::over(abs($by), self::WATCH) ? Status::Stop : Status::Watch;

        return $by > 0 ? [Finding::of($status, 'add', $said)] : [Finding::of($status, 'recover', $said), Finding::of(Status::Watch, 'check_airflow')];
    }

    private static function flood(float $superheat): Finding
    {
        return Finding::stop('flood_risk', ['superheat' => self::said($superheat, self::LIQUID)]);
    }

    private static function said(float $degF, ?float $against = null): Said
    {
        $k = fn (float $v): float => Units::toCanonical($v, 'delta_degF', Kind::TemperatureDifference);

        return Said::temperatureDifference($k($degF), $against === null ? null : $k($against));
    }
}
