<?php

declare(strict_types=1);

namespace IronStart\Core\Air;

use IronStart\Core\Check\Check;
use IronStart\Core\Check\Draws;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Instrument;
use IronStart\Core\Check\Site;
use IronStart\Core\Numeric\Root;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Value;

/** A point of moist air from any two of its figures, at the pressure of the place. */
final class State implements Check, Draws
{
    private const ZERO = 273.15;
    /** In this order a pair is read, and the third is one too many. */
    private const FIGURES = ['dry_bulb', 'wet_bulb', 'relative_humidity', 'dew_point', 'humidity_ratio'];
    /** K a dry bulb is looked for up to. */
    private const HOTTEST = 473.15;

    public function id(): string
    {
        return 'air.state';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        $bulb = fn (string $name, float $min): Field => Field::temperature($name, $min, 93.3)->readWith(Instrument::Thermometer);

        return [
            $bulb('dry_bulb', -60),
            $bulb('wet_bulb', -60),
            Field::percent('relative_humidity', 0, 100)->positive(),
            $bulb('dew_point', -80),
            Field::quantity('humidity_ratio', Kind::HumidityRatio, 'kg/kg', 0, 1)->positive()->bareIn('kg/kg')->readWith(null),
            ...Site::fields(),
        ];
    }

    public function contradictions(Input $in): iterable
    {
        $given = array_values(array_filter(self::FIGURES, $in->given(...)));
        if (count($given) > 2) {
            yield new InputError($given[2], $in->number($given[2]), 'two figures of the air', "$given[2]: two figures say it already. Leave one out.");
        } elseif (count($given) === 2 && self::pair($in) === null) {
            $second = $given[1];
            yield new InputError($second, $in->number($second), "a figure that air of this $given[0] can have", "$second: no air has both. Read them again.");
        }
    }

    public function judge(Input $in): Judgement
    {
        $basis = [Finding::note('basis'), ...($in->given('altitude') || $in->given('barometer') ? [] : [Finding::note('sea_level')])];
        $values = self::values($in);
        if ($values === []) {
            return new Judgement([Finding::open('two_needed')], basis: $basis);
        }
        $said = ['dry' => Said::temperature(self::ZERO + (float) $values['dry_bulb']->value), 'wet' => Said::temperature(self::ZERO + (float) $values['wet_bulb']->value), 'dew' => Said::temperature(self::ZERO + (float) $values['dew_point']->value), 'humidity' => Said::percent((float) $values['relative_humidity']->value)];

        return new Judgement([Finding::note('point', $said)], $values, basis: $basis);
    }

    public static function drawing(Input $in, array $values): array
    {
        return $values === [] ? [] : PsychrometricChart::of(Site::pressure($in), [['word' => 'air', 'at' => [self::ZERO + (float) $values['dry_bulb']->value, (float) $values['humidity_ratio']->value]]]);
    }

    /** @return array<string, Value> */
    private static function values(Input $in): array
    {
        $pair = self::pair($in);
        if ($pair === null) {
            return [];
        }
        [$dry, $ratio] = $pair;
        $air = Site::pressure($in);
        $vapour = MoistAir::vapour($ratio, $air);
        $volume = MoistAir::volume($dry, $ratio, $air);
        $wet = $in->maybe('wet_bulb') ?? MoistAir::wetBulb($dry, $ratio, $air);

        return [
            'dry_bulb' => Value::of($dry - self::ZERO, 'degC'), 'wet_bulb' => Value::of($wet - self::ZERO, 'degC'),
            'dew_point' => Value::of(MoistAir::saturatesAt($vapour) - self::ZERO, 'degC'),
            'relative_humidity' => Value::of(100 * $vapour / MoistAir::saturation($dry), '%'),
            'humidity_ratio' => Value::of($ratio, 'kg/kg'), 'vapour_pressure' => Value::of($vapour, 'Pa'),
            'enthalpy' => Value::of(MoistAir::enthalpy($dry, $ratio), 'kJ/kg'),
            'specific_volume' => Value::of($volume, 'm3/kg'), 'density' => Value::of((1 + $ratio) / $volume, 'kg/m3'),
        ];
    }

    /** @return array{float, float}|null dry bulb in K and kg of water for each kg of dry air; null where two are not given, or no air has both */
    private static function pair(Input $in): ?array
    {
        $air = Site::pressure($in);
        [$dry, $wet, $dew] = [$in->maybe('dry_bulb'), $in->maybe('wet_bulb'), $in->maybe('dew_point')];
        $humidity = $in->given('relative_humidity') ? $in->number('relative_humidity') / 100 : null;
        // A dew point is a humidity ratio; the two together say one thing twice.
        $told = $in->given('humidity_ratio') ? $in->number('humidity_ratio') / 1e3 : null;
        $ratio = $told ?? ($dew === null || MoistAir::saturation($dew) >= $air ? null : MoistAir::ratio(MoistAir::saturation($dew), $air));
        $pair = match (true) {
            $told !== null && $dew !== null => null,
            $dry !== null && $wet !== null => $wet > $dry ? null : [$dry, MoistAir::ratioFromWetBulb($dry, $wet, $air)],
            $dry !== null && $humidity !== null => $humidity * MoistAir::saturation($dry) >= $air ? null : [$dry, MoistAir::ratio($humidity * MoistAir::saturation($dry), $air)],
            $dry !== null && $ratio !== null => [$dry, $ratio],
            $wet !== null && $humidity !== null => self::withWetBulb($wet, $air, fn (float $t): float => MoistAir::ratio($humidity * MoistAir::saturation($t), $air), self::dampest($humidity, $air)),
            $wet !== null && $ratio !== null => self::withWetBulb($wet, $air, fn (): float => $ratio, self::HOTTEST),
            $humidity !== null && $ratio !== null => self::withHumidity($humidity, $ratio, $air),
            default => null,
        };
        $isAir = $pair !== null && $pair[1] > 0.0 && MoistAir::vapour($pair[1], $air) <= MoistAir::saturation($pair[0]) * (1 + 1e-9);

        return $isAir ? $pair : null;
    }

    /** @return float K under which air of a relative humidity does not boil away */
    private static function dampest(float $humidity, float $air): float
    {
        return min(self::HOTTEST, MoistAir::saturatesAt(min(0.999 * $air / $humidity, MoistAir::saturation(self::HOTTEST))));
    }

    /**
     * @param \Closure(float): float $ratio of a dry bulb
     * @return array{float, float}|null
     */
    private static function withWetBulb(float $wet, float $air, \Closure $ratio, float $hottest): ?array
    {
        $off = fn (float $dry): float => MoistAir::ratioFromWetBulb($dry, $wet, $air) - $ratio($dry);
        if (MoistAir::saturation($wet) >= $air || $off($wet) < -1e-12 || $hottest <= $wet || $off($hottest) > 0.0) {
            return null;
        }
        $dry = $off($wet) <= 0.0 ? $wet : Root::bisect($off, $wet, $hottest);

        return [$dry, $ratio($dry)];
    }

    /** @return array{float, float}|null */
    private static function withHumidity(float $humidity, float $ratio, float $air): ?array
    {
        $saturation = MoistAir::vapour($ratio, $air) / $humidity;

        return $saturation > MoistAir::saturation(self::HOTTEST) ? null : [MoistAir::saturatesAt($saturation), $ratio];
    }
}
