<?php

declare(strict_types=1);

namespace IronStart\Core\Condensate;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Missing;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Units;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Value;

/**
 * Whether the float stops what makes the water, proved by water; and a lift pump with its own lift, rate and switch.
 *
 * Lifted by hand the wire is proved, not that water gets there before the pan runs over. Without a figure the coil is
 * counted with 0.6 gal/h a ton, a humid day's.
 */
final class FloatSwitch implements Check
{
    /** % of the pump's lift. */
    private const LIFT_NEAR = 80.0;
    private const LIFT_OVER = 100.0;
    /** % of the water the coil makes. */
    private const RATE_STOP = 100.0;
    private const RATE_WATCH = 200.0;
    /** L/h for each W of cooling: 0.6 gal/h a ton. */
    private const GALLONS_A_TON = 0.6;

    public function id(): string
    {
        return 'condensate.float';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $tested = fn (Input $in): bool => $in->given('method') && $in->text('method') !== 'not_tested';
        $seconds = fn (string $name): Field => Field::quantity($name, Kind::Time, 's', 0)->bareIn('s')->readWith(null);
        $water = fn (string $name): Field => Field::quantity($name, Kind::WaterFlow, 'L/h', 0)->positive();

        return [
            Field::word('method', 'lifted', 'water', 'not_tested')->needed(),
            Field::flag('stopped')->neededWhen($tested),
            Field::flag('returned')->neededWhen($tested),
            Field::flag('fault_shown')->default(false),
            $seconds('seconds')->neededWhen(fn (Input $in): bool => $tested($in) && $in->given('sheet_seconds')),
            $seconds('sheet_seconds'),
            Field::group(
                'pump',
                Field::length('lift', 'm', 0, 30)->startsIn('ft')->needed(),
                Field::length('max_lift', 'm', 0, 30)->positive()->startsIn('ft')->needed(),
                $water('rate')->needed(),
                $water('load')->neededWhen(fn (Input $in): bool => ! $in->given('cooling')),
                Field::quantity('cooling', Kind::Heat, 'W', 0)->positive()->startsIn('ton'),
                Field::flag('ran')->needed(),
                Field::flag('left_on')->needed(),
                Field::word('switch', 'lifted', 'water', 'none', 'not_tested')->needed(),
                Field::flag('switch_stopped')->neededWhen(fn (Input $in): bool => in_array($in->text('switch'), ['lifted', 'water'], true)),
            ),
        ];
    }

    public function contradictions(Input $in): iterable
    {
        $pump = $in->group('pump');
        if ($pump !== null && $pump->all('load', 'cooling')) {
            yield new InputError('pump.cooling', $pump->number('cooling'), 'one of load and cooling', 'pump.cooling: the load is given already. Enter one of the two.');
        }
    }

    public function judge(Input $in): Judgement
    {
        $values = [];
        $findings = match ($in->text('method')) {
            '' => [],
            'not_tested' => [Finding::open('not_tested')],
            default => self::tested($in),
        };
        $pump = $in->group('pump');
        $findings = [...$findings, ...($pump === null ? [] : self::pump($pump, $values)), ...Missing::in($in)];
        if (Judgement::worst($findings) === Status::Clear) {
            array_unshift($findings, Finding::note('proved'));
        }

        return new Judgement($findings, $values, false, [], [Finding::note('basis')]);
    }

    /** @return list<Finding> */
    private static function tested(Input $in): array
    {
        $findings = $in->text('method') === 'lifted' ? [Finding::watch('lifted_only')] : [];
        if ($in->given('stopped') && ! $in->flag('stopped')) {
            $findings[] = $in->flag('fault_shown') ? Finding::watch('fault_only') : Finding::stop('did_not_stop');
        }
        if ($in->all('seconds', 'sheet_seconds') && Limit::over($in->number('seconds'), $in->number('sheet_seconds'))) {
            $findings[] = Finding::watch('slow', ['took' => Said::duration($in->number('seconds')), 'sheet' => Said::duration($in->number('sheet_seconds'))]);
        }
        if ($in->given('returned') && ! $in->flag('returned')) {
            $findings[] = Finding::watch('did_not_return');
        }

        return $findings;
    }

    /**
     * @param array<string, Value> $values gets the shares
     * @return list<Finding>
     */
    private static function pump(Input $pump, array &$values): array
    {
        $isNo = fn (string $name): bool => $pump->given($name) && ! $pump->flag($name);
        $findings = [
            ...($isNo('ran') ? [Finding::stop('pump_dead')] : []),
            ...($isNo('left_on') ? [Finding::stop('pump_left_off')] : []),
        ];
        if ($pump->all('lift', 'max_lift')) {
            $share = 100 * $pump->number('lift') / $pump->number('max_lift');
            $values['lift_share'] = Value::of($share, '%');
            $said = ['lift' => Said::length($pump->number('lift')), 'most' => Said::length($pump->number('max_lift')), 'share' => Said::percent($share, Limit::over($share, self::LIFT_OVER) ? self::LIFT_OVER : self::LIFT_NEAR)];
            $findings = [...$findings, ...match (true) {
                Limit::over($share, self::LIFT_OVER) => [Finding::stop('lift_over', $said)],
                Limit::over($share, self::LIFT_NEAR) => [Finding::watch('lift_near', $said)],
                default => [],
            }];
        }

        return [...$findings, ...self::rate($pump, $values), ...self::overflow($pump)];
    }

    /**
     * @param array<string, Value> $values gets the share
     * @return list<Finding>
     */
    private static function rate(Input $pump, array &$values): array
    {
        $load = $pump->maybe('load');
        $findings = [];
        if ($load === null && $pump->given('cooling')) {
            $load = Units::toCanonical(self::GALLONS_A_TON * (float) $pump->in('cooling', 'ton'), 'gal/h', Kind::WaterFlow);
            $findings[] = Finding::clear('default_load', ['load' => Said::water($load)]);
        }
        if ($load === null || ! $pump->given('rate')) {
            return $findings;
        }
        $share = 100 * $pump->number('rate') / $load;
        $values['rate_share'] = Value::of($share, '%');
        $said = ['rate' => Said::water($pump->number('rate')), 'load' => Said::water($load)];

        return [...$findings, ...match (true) {
            Limit::under($share, self::RATE_STOP) => [Finding::stop('rate_short', $said, 'rate_under')],
            Limit::under($share, self::RATE_WATCH) => [Finding::watch('rate_short', $said)],
            default => [],
        }];
    }

    /** @return list<Finding> the pump's own switch, ahead of which the pan's float stands */
    private static function overflow(Input $pump): array
    {
        $findings = match ($pump->text('switch')) {
            'none' => [Finding::stop('pump_no_switch')],
            'not_tested' => [Finding::open('pump_switch_not_tested')],
            'lifted' => [Finding::watch('pump_switch_lifted')],
            default => [],
        };
        if ($pump->given('switch_stopped') && ! $pump->flag('switch_stopped')) {
            $findings[] = Finding::stop('pump_switch_did_not_stop');
        }

        return $findings;
    }
}
