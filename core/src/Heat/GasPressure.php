<?php

declare(strict_types=1);

namespace IronStart\Core\Heat;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Draws;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\Site;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Units;
use IronStart\Core\Verdict\Drawn;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Value;

/** Gas at the valve and at the burners, with everything on the line firing; and the input to aim at in thin air. */
final class GasPressure implements Check, Draws
{
    /** in. w.c. off the nameplate's manifold. */
    private const CLEAR = 0.2;
    private const WATCH = 0.3;
    /** Under it no gas comes at all. */
    private const NOTHING = 0.2;
    /** Half a psi: what such a valve is built for. */
    private const VALVE = 14.0;
    /** What may be lost as it lights, and what no line gains by it. */
    private const DROPS = 1.0;
    private const SWAPPED = 0.1;
    private const GAUGE = 0.02;

    public function id(): string
    {
        return 'heat.gas_pressure';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $small = fn (string $name): Field => Field::quantity($name, Kind::SmallPressure, 'Pa', 0, 10_000);

        return [
            Field::word('gas', ...Gas::KINDS)->needed(),
            Field::word('firing', 'high', 'low')->default('high'),
            $small('manifold')->needed(),
            $small('plate_manifold')->readWith(null)->neededWhen(fn (Input $in): bool => $in->text('firing') === 'low'),
            Field::group('plate_by_gas', ...array_map(fn (string $gas): Field => $small($gas)->readWith(null)->broughtIn(), Gas::KINDS))->fromSheet('heat.gas.manifold')->broughtIn(),
            $small('inlet_static'),
            $small('inlet_flowing')->needed(),
            Field::flag('all_firing')->needed(),
            $small('inlet_min')->readWith(null)->fromSheet('heat.gas.inlet_min'),
            $small('inlet_max')->readWith(null)->fromSheet('heat.gas.inlet_max'),
            Field::quantity('plate_input', Kind::Heat, 'W', 0)->positive()->fromSheet('heat.gas.input'),
            Field::percent('sheet_derate', 0, 100)->fromSheet('heat.gas.sheet_derate'),
            Site::fields()[0],
        ];
    }

    public function contradictions(Input $in): iterable
    {
        if ($in->all('inlet_min', 'inlet_max') && $in->number('inlet_min') > $in->number('inlet_max')) {
            yield new InputError('inlet_max', $in->number('inlet_max'), 'no less than inlet_min', 'inlet_max: it is below the least. Swap the two.');
        }
    }

    public function judge(Input $in): Judgement
    {
        $values = [];
        $manifold = self::deviation($in);
        $dead = $in->given('manifold') && Limit::under((float) $in->in('manifold', 'inH2O'), self::NOTHING);
        if ($manifold !== null && ! $dead) {
            $values['manifold_deviation'] = Value::of($manifold, 'inH2O');
        }
        if ($in->all('inlet_static', 'inlet_flowing')) {
            $values['drop_on_light_off'] = Value::of(self::inches($in, 'inlet_static') - self::inches($in, 'inlet_flowing'), 'inH2O');
        }
        $derate = Gas::derate($in);
        $values['derate'] = Value::of($derate, '%');
        if ($in->given('plate_input')) {
            $values['target_input'] = Value::of((float) $in->in('plate_input', 'Btu/h') * (1 - $derate / 100), 'Btu/h');
        }
        $besides = [...self::inlet($in), ...Missing::in($in)];
        $of = fn (float $by): array => match (true) {
            $dead => [Finding::open('no_manifold_pressure')],
            $manifold === null => [],
            default => self::manifold($in, $manifold + $by),
        };
        $findings = [...$of(0.0), ...$besides];
        $status = Judgement::worst($findings);
        $isMarginal = array_filter([self::GAUGE, -self::GAUGE], fn (float $by): bool => Judgement::worst([...$of($by), ...$besides]) !== $status) !== [];
        if ($in->given('plate_input') && $derate > 0) {
            $findings[] = Finding::note('aim', ['input' => Said::heat($in->number('plate_input') * (1 - $derate / 100)), 'derate' => Said::percent($derate)]);
        }

        return new Judgement($findings, $values, $isMarginal, ['gas_leak', 'carbon_monoxide'], [Finding::note($in->given('sheet_derate') ? 'basis_sheet' : 'basis')]);
    }

    public static function drawing(Input $in, array $values): array
    {
        if (! isset($values['manifold_deviation'])) {
            return [];
        }
        $pascals = fn (float $inches): float => Units::toCanonical($inches, 'inH2O', Kind::SmallPressure);
        $plate = self::inches($in, 'manifold') - (float) $values['manifold_deviation']->value;

        return Drawn::scale('Pa', 0.0, [
            ['to' => $pascals($plate - self::WATCH), 'is' => Status::Stop], ['to' => $pascals($plate - self::CLEAR), 'is' => Status::Watch], ['to' => $pascals($plate + self::CLEAR), 'is' => Status::Clear],
            ['to' => $pascals($plate + self::WATCH), 'is' => Status::Watch], ['to' => $pascals(max(1.4 * $plate, 1.1 * self::inches($in, 'manifold'))), 'is' => Status::Stop],
        ], $in->maybe('manifold'), told: ['inH2O', 'Pa']);
    }

    /** @return float|null in. w.c. off the nameplate; null while one of the two is not known */
    private static function deviation(Input $in): ?float
    {
        $isLow = $in->text('firing') === 'low';
        $plate = $in->in('plate_manifold', 'inH2O') ?? ($isLow ? null : $in->group('plate_by_gas')?->in($in->text('gas'), 'inH2O') ?? Gas::MANIFOLD[$in->text('gas')] ?? null);

        return $plate === null || ! $in->given('manifold') ? null : self::inches($in, 'manifold') - $plate;
    }

    /** @return list<Finding> */
    private static function manifold(Input $in, float $deviation): array
    {
        $read = self::inches($in, 'manifold');
        $said = ['manifold' => self::said($read), 'plate' => self::said($read - $deviation), 'off' => self::said(abs($deviation))];
        if (! Limit::over(abs($deviation), self::CLEAR)) {
            return [Finding::note('right', array_diff_key($said, ['off' => 1]))];
        }

        return [Finding::of(Limit::over(abs($deviation), self::WATCH) ? Status::Stop : Status::Watch, $deviation > 0 ? 'manifold_high' : 'manifold_low', $said)];
    }

    /** @return list<Finding> what the line brings to the valve */
    private static function inlet(Input $in): array
    {
        $gas = $in->text('gas');
        [$least, $most] = [$in->in('inlet_min', 'inH2O') ?? Gas::INLET[$gas][0] ?? null, $in->in('inlet_max', 'inH2O') ?? Gas::INLET[$gas][1] ?? null];
        $read = array_filter(['inlet_flowing' => $in->in('inlet_flowing', 'inH2O'), 'inlet_static' => $in->in('inlet_static', 'inH2O')], fn (?float $p): bool => $p !== null);
        [$flowing, $static] = [$read['inlet_flowing'] ?? null, $read['inlet_static'] ?? null];
        $findings = [];
        if ($least !== null && $read !== [] && Limit::under(min($read), $least)) {
            $findings[] = Finding::stop('inlet_low', ['inlet' => self::said(min($read)), 'least' => self::said($least)]);
        }
        $over = fn (?float $p): bool => $most !== null && $p !== null && Limit::over($p, $most);
        if ($over($flowing) || $over($static)) {
            $isStop = $over($flowing) || $in->given('inlet_max') || Limit::over((float) $static, self::VALVE);
            $findings[] = Finding::of($isStop ? Status::Stop : Status::Watch, 'inlet_high', ['inlet' => self::said(max($read + [0.0])), 'most' => self::said((float) $most)]);
        }
        if ($flowing !== null && $static !== null) {
            $findings = [
                ...$findings,
                ...(Limit::under($static, $flowing - self::SWAPPED) ? [Finding::open('static_below_flowing')] : []),
                ...(Limit::over(abs($static - $flowing), self::DROPS) ? [Finding::watch('supply_drops', ['drop' => self::said(abs($static - $flowing))])] : []),
            ];
        }

        return [...$findings, ...($in->given('all_firing') && ! $in->flag('all_firing') ? [Finding::watch('not_all_firing')] : [])];
    }

    private static function inches(Input $in, string $name): float
    {
        return (float) $in->in($name, 'inH2O');
    }

    private static function said(float $inches): Said
    {
        return Said::air(Units::toCanonical($inches, 'inH2O', Kind::SmallPressure));
    }
}
