<?php

declare(strict_types=1);

namespace IronStart\Core\Piping;

use IronStart\Core\Air\MoistAir;
use IronStart\Core\Check\Check;
use IronStart\Core\Check\Draws;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\Missing;
use IronStart\Core\Check\NoContradictions;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Verdict\Drawn;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Judgement;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;
use IronStart\Core\Verdict\Status;
use IronStart\Core\Verdict\Value;

/**
 * Whether an insulated line sweats: the outside of its insulation against the dew point of the air around it.
 *
 * Heat through the wall and from the air to the surface in steady state, per metre: q' = (T_air − T_pipe)/(ln(r2/r1)/2πk
 * + 1/(2πr2·h)). A kelvin over the dew point is enough.
 */
final class Insulation implements Check, Draws
{
    use NoContradictions;

    /** in */
    private const STANDARD = [0.25, 0.375, 0.5, 0.75, 1.0, 1.5, 2.0];
    private const INCH = 0.0254;
    /** K over the dew point. */
    private const ENOUGH = 1.0;
    /** What thermometers (K) and hygrometer (points) may be off by. */
    private const CLAMP = 1.0 * 5 / 9;
    private const AIR = 0.9 * 5 / 9;
    private const HUMIDITY = 3.0;
    private const FREEZING = 273.15;

    public function id(): string
    {
        return 'piping.insulation';
    }

    public function version(): int
    {
        return 1;
    }

    public function fields(): array
    {
        return [
            Field::length('pipe_od')->positive()->takesFractions()->startsIn('in')->needed(),
            Field::temperature('surface_temperature', -60, 150)->needed(),
            Field::temperature('air_temperature', -40, 70)->needed(),
            Field::percent('relative_humidity', 2, 100)->needed(),
            Field::length('thickness')->takesFractions()->startsIn('in')->needed(),
            Field::quantity('k', Kind::Conductivity, 'W/m.K', 0)->positive()->default('0.038 W/m.K'),
            Field::quantity('h', Kind::HeatTransfer, 'W/m2.K', 0)->positive()->default('8 W/m2.K'),
            Field::flag('joints_sealed'),
        ];
    }

    public static function drawing(Input $in, array $values): array
    {
        if (! isset($values['outer_temperature'])) {
            return [];
        }
        $kelvin = fn (string $name): float => (float) $values[$name]->value + self::FREEZING;
        [$outer, $dew] = [$kelvin('outer_temperature'), $kelvin('dew_point')];
        $low = min($outer, $dew, $in->number('surface_temperature')) - 2;

        return Drawn::scale('K', $low, [
            ['to' => $dew, 'is' => Status::Stop],
            ['to' => $dew + self::ENOUGH, 'is' => Status::Watch],
            ['to' => max($outer, $dew + self::ENOUGH, $in->number('air_temperature')) + 2, 'is' => Status::Clear],
        ], $outer, told: ['degF', 'degC']);
    }

    public function judge(Input $in): Judgement
    {
        $basis = [Finding::note('basis')];
        if ($in->missing !== []) {
            return new Judgement(Missing::in($in), basis: $basis);
        }
        [$pipe, $air, $humidity, $thickness] = [$in->number('surface_temperature'), $in->number('air_temperature'), $in->number('relative_humidity'), $in->number('thickness')];
        $dew = MoistAir::dewPoint($air, $humidity);
        $outer = self::outer($in, $pipe, $air, $thickness);
        $margin = $outer - $dew;
        $uncertain = $this->uncertainty($in, $margin);
        $values = [
            'outer_temperature' => Value::of($outer - self::FREEZING, 'degC'), 'dew_point' => Value::of($dew - self::FREEZING, 'degC'),
            'margin' => Value::of($margin, 'K_diff'), 'uncertainty' => Value::of($uncertain, 'K_diff'), 'heat_gain' => Value::of(self::flow($in, $pipe, $air, $thickness), 'W/m'),
        ];
        $enough = array_values(array_filter(self::STANDARD, fn (float $t): bool => ! Limit::under(self::outer($in, $pipe, $air, $t * self::INCH) - $dew, self::ENOUGH)));
        if ($enough !== []) {
            $values['smallest_thickness'] = Value::of($enough[0], 'in');
        }
        $said = ['outer' => Said::temperature($outer), 'dew' => Said::temperature($dew)];
        $status = self::grade($margin);
        $isOpen = $in->given('joints_sealed') && ! $in->flag('joints_sealed') && ! Limit::over($pipe, $dew);
        $findings = $isOpen ? [Finding::stop('joints_open', ['dew' => Said::temperature($dew)])] : [];
        $findings = [...$findings, ...match (true) {
            $status === Status::Watch => [Finding::watch('close', $said)],
            $status === Status::Stop => [Finding::stop('sweats', $said)],
            $isOpen => [],
            default => [Finding::note('dry', $said + ['margin' => Said::temperatureDifference($margin)])],
        }];
        if ($enough === []) {
            $findings[] = Finding::of($status, 'none_thick_enough');
        } elseif ($status !== Status::Clear) {
            $findings[] = Finding::note('thicker', ['thickness' => Said::small($enough[0] * self::INCH)], $status);
        }
        $marginal = ! $isOpen && (self::grade($margin + $uncertain) !== $status || self::grade($margin - $uncertain) !== $status);

        return new Judgement($findings, $values, $marginal, [], $basis);
    }

    private static function grade(float $margin): Status
    {
        return match (true) {
            ! Limit::under($margin, self::ENOUGH) => Status::Clear,
            Limit::over($margin, 0.0) => Status::Watch,
            default => Status::Stop,
        };
    }

    /** @return float K, root-sum-square of what the readings may be off by */
    private function uncertainty(Input $in, float $margin): float
    {
        [$pipe, $air, $humidity, $thickness] = [$in->number('surface_temperature'), $in->number('air_temperature'), $in->number('relative_humidity'), $in->number('thickness')];
        $moved = [
            self::outer($in, $pipe + self::CLAMP, $air, $thickness) - MoistAir::dewPoint($air, $humidity),
            self::outer($in, $pipe, $air + self::AIR, $thickness) - MoistAir::dewPoint($air + self::AIR, $humidity),
            self::outer($in, $pipe, $air, $thickness) - MoistAir::dewPoint($air, max(0.1, $humidity - self::HUMIDITY)),
        ];

        return sqrt(array_sum(array_map(fn (float $m): float => ($m - $margin) ** 2, $moved)));
    }

    /** @return float K, outside of the insulation */
    private static function outer(Input $in, float $pipe, float $air, float $thickness): float
    {
        $outside = $in->number('pipe_od') / 2 + $thickness;

        return $air - self::flow($in, $pipe, $air, $thickness) / (2 * deg2rad(180) * $outside * $in->number('h'));
    }

    /** @return float W/m, from the air to the pipe */
    private static function flow(Input $in, float $pipe, float $air, float $thickness): float
    {
        $turn = 2 * deg2rad(180);
        $inside = $in->number('pipe_od') / 2;

        return ($air - $pipe) / (log(($inside + $thickness) / $inside) / ($turn * $in->number('k')) + 1 / ($turn * ($inside + $thickness) * $in->number('h')));
    }
}
