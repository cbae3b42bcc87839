<?php

declare(strict_types=1);

namespace IronStart\Core\Run;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\Instrument;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\Site;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Units;
use IronStart\Core\Refrigerant\Known;
use IronStart\Core\Refrigerant\Refrigerant;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Value;

/**
 * Standing pressure before anything turns: a circuit with liquid in it stands at saturation, between dew at the coldest
 * and bubble at the hottest of the temperatures around it; under that there is only vapor, near nothing it is flat.
 *
 * Limits: pressure and temperature of the refrigerant's tables; a gauge may be off by 1 % or 1 psi, a thermometer by 0.9 °F.
 */
final class StandingPressure implements Check
{
    /** psig */
    private const FLAT = 5.0;
    private const VACUUM = -1.0;
    private const COLD = 10.0;
    /** °F off what it should stand at. */
    private const WATCH = 5.0;
    private const STOP = 10.0;
    /** psi between the sides. */
    private const SIDES = 10.0;
    private const GAUGE = 0.01;
    private const GAUGE_LEAST = 1.0;
    private const THERMOMETER = 0.9;

    public function id(): string
    {
        return 'run.standing_pressure';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $gauge = fn (string $name): Field => Field::quantity($name, Kind::GaugePressure, 'kPag', -105, 6000);
        $air = fn (string $name): Field => Field::temperature($name, -40, 55)->readWith(Instrument::Thermometer);

        return [
            Field::text('refrigerant')->fromSheet('circuit.refrigerant')->needed(),
            $gauge('pressure')->needed(),
            $gauge('suction'),
            $air('ambient')->needed(),
            Field::temperature('coil', -40, 55)->readWith(Instrument::PipeClamp),
            $air('indoor'),
            Field::quantity('standing_hours', Kind::Time, 'h', 0, 10_000)->bareIn('h')->readWith(null)->needed(),
            Field::quantity('needed_hours', Kind::Time, 'h', 0, 72)->bareIn('h')->readWith(null)->default('2 h'),
            Field::flag('valves_open'),
            ...Site::fields(),
        ];
    }

    public function contradictions(Input $in): iterable
    {
        yield from $in->given('refrigerant') ? Known::errors($in) : [];
        $refrigerant = Refrigerant::named($in->text('refrigerant'));
        foreach (['ambient', 'coil', 'indoor'] as $name) {
            if ($refrigerant !== null && $in->given($name) && ! $refrigerant->covers($in->number($name))) {
                yield Known::offTable($name, $in);
            }
        }
    }

    public function judge(Input $in): Judgement
    {
        $refrigerant = Refrigerant::named($in->text('refrigerant'));
        $cautions = ['refrigerant_handling', 'frostbite', 'never_run_in_vacuum', ...($refrigerant?->isFlammable() === true ? ['flammable_refrigerant'] : [])];
        $basis = [Finding::note('basis')];
        if ($in->missing !== [] || $refrigerant === null) {
            return new Judgement(Missing::in($in), [], false, $cautions, $basis);
        }
        if ($in->given('valves_open') && ! $in->flag('valves_open')) {
            return new Judgement([Finding::open('valves_shut')], [], false, $cautions, $basis);
        }
        $stands = self::stands($in, $refrigerant);
        [$low, $high, $read] = [$stands(0.0)[0], $stands(0.0)[1], self::read($in)];
        $values = ['expected_low' => Value::of($low, 'psig'), 'expected_high' => Value::of($high, 'psig')];
        $absolute = Units::toCanonical($read, 'psi', Kind::PressureDifference) + Site::pressure($in);
        if ($absolute > 0.0 && $refrigerant->coversPressure($absolute)) {
            $values['reads_as'] = Known::degF($refrigerant->bubbleTemperature($absolute));
        }
        $found = self::first($in, $read, $low, $values);
        $isMarginal = false;
        if ($found === []) {
            $of = fn (float $by): array => self::against($read + $by, $stands);
            $found = [...$of(0.0), ...self::sides($in)];
            $status = Judgement::worst($of(0.0));
            $u = sqrt(max(self::GAUGE * abs($read), self::GAUGE_LEAST) ** 2 + ($stands(self::THERMOMETER)[1] - $high) ** 2);
            $isMarginal = Judgement::worst($of($u)) !== $status || Judgement::worst($of(-$u)) !== $status;
        }

        $inVacuum = array_filter($found, fn (Finding $one): bool => $one->code === 'in_vacuum') === [] ? [] : ['no_insulation_test_in_vacuum'];

        return new Judgement($found, $values, $isMarginal, [...$cautions, ...$inVacuum], $basis);
    }

    /**
     * What is known at once, or has to wait.
     *
     * @param array<string, Value> $values gets what is left to wait
     * @return list<Finding>
     */
    private static function first(Input $in, float $read, float $low, array &$values): array
    {
        if (! Limit::under($low, self::COLD) && Limit::under($read, self::FLAT)) {
            $said = ['read' => self::said($read), 'low' => self::said($low)];

            return [Finding::stop('flat', $said), ...(Limit::under($read, self::VACUUM) ? [Finding::stop('in_vacuum')] : [])];
        }
        $left = $in->number('needed_hours') - $in->number('standing_hours');
        if (Limit::over($left, 0.0)) {
            $values['time_left'] = Value::of($left / 3600, 'h');

            return [Finding::open('wait', ['left' => Said::duration($left)])];
        }

        return [];
    }

    /**
     * @param \Closure(float): array{float, float} $stands
     * @return list<Finding>
     */
    private static function against(float $read, \Closure $stands): array
    {
        [$low, $high] = $stands(0.0);
        $said = ['read' => self::said($read), 'low' => self::said($low), 'high' => self::said($high)];
        $only = fn (string ...$names): array => array_intersect_key($said, array_flip($names));

        return match (true) {
            Limit::over($read, $stands(self::STOP)[1]) => [Finding::stop('above_saturation', $only('read', 'high'))],
            Limit::over($read, $stands(self::WATCH)[1]) => [Finding::watch('above_saturation', $only('read', 'high'))],
            Limit::under($low, self::COLD) => [Finding::open('too_cold_to_tell')],
            Limit::under($read, $stands(self::STOP)[0]) => [Finding::stop('vapour_only', $only('read', 'low'))],
            Limit::under($read, $stands(self::WATCH)[0]) => [Finding::watch('below_saturation', $only('read', 'low'))],
            default => [Finding::clear('saturated', $only('read'))],
        };
    }

    /** @return list<Finding> */
    private static function sides(Input $in): array
    {
        $apart = $in->given('suction') ? abs((float) $in->in('pressure', 'psig') - (float) $in->in('suction', 'psig')) : 0.0;

        return Limit::over($apart, self::SIDES) ? [Finding::watch('sides_differ', ['apart' => Said::pressureDifference(Units::toCanonical($apart, 'psi', Kind::PressureDifference))])] : [];
    }

    /** @return float psig, of the side that reads more */
    private static function read(Input $in): float
    {
        return max((float) $in->in('pressure', 'psig'), $in->in('suction', 'psig') ?? -INF);
    }

    /** @return \Closure(float): array{float, float} psig it stands at, at so many °F under the coldest and over the hottest */
    private static function stands(Input $in, Refrigerant $refrigerant): \Closure
    {
        $ambient = $in->number('ambient');
        [$coil, $indoor] = [$in->maybe('coil') ?? $ambient, $in->maybe('indoor') ?? $ambient];
        [$cold, $hot] = [min($ambient, $coil, $indoor), max($ambient, $coil, $indoor)];
        $psig = fn (float $pascals): float => Units::fromCanonical($pascals - Site::pressure($in), 'psi', Kind::PressureDifference);

        return fn (float $degrees): array => [$psig($refrigerant->dewPressure($cold - $degrees / 1.8)), $psig($refrigerant->bubblePressure($hot + $degrees / 1.8))];
    }

    private static function said(float $psig): Said
    {
        return Said::gauge(Units::toCanonical($psig, 'psig', Kind::GaugePressure));
    }
}
