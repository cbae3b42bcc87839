<?php

declare(strict_types=1);

namespace IronStart\Core\Charge;

use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Quantity;
use IronStart\Core\Quantity\UnknownUnit;

/**
 * The maker's charging chart: a target pressure, superheat or subcooling at points of the air outside, and of the wet or
 * dry bulb inside where it has columns. Between points straight lines; up to 2 °F beyond the ends their own value.
 */
final readonly class Chart
{
    /** °F beyond an end. */
    private const BEYOND = 2.0;
    public const PRESSURES = ['liquid_pressure', 'suction_pressure'];

    /** @param array<array-key, array<array-key, float>> $columns indoor °F => outdoor °F => psi or °F */
    private function __construct(public string $target, public string $indoor, private array $columns, public float $tolerance, public float $lowestOutdoor)
    {
    }

    public static function field(): Field
    {
        return Field::group(
            'chart',
            Field::word('target', 'liquid_pressure', 'suction_pressure', 'superheat', 'subcooling')->structural(),
            Field::word('indoor', 'none', 'wet_bulb', 'dry_bulb')->default('none'),
            Field::items('points', Field::temperature('outdoor', -40, 60)->readWith(null)->structural(), Field::temperature('indoor', -10, 60)->readWith(null), Field::raw('value')->structural())->needed(),
            Field::raw('tolerance')->needed(),
        )->fromSheet('circuit.charging_chart', asStart: true);
    }

    /** @return iterable<InputError> */
    public static function errors(Input $in): iterable
    {
        $chart = $in->group('chart');
        if ($chart === null) {
            return;
        }
        $target = $chart->text('target');
        $isValve = in_array($in->text('metering'), ['txv', 'eev'], true);
        if ($isValve && in_array($target, ['suction_pressure', 'superheat'], true)) {
            yield new InputError('chart.target', $target, 'liquid_pressure or subcooling with a valve', 'chart.target: a valve holds that by itself. Use the chart\'s liquid pressure or subcooling.');
        }
        foreach (['subcooling' => 'target_subcooling', 'superheat' => 'target_superheat'] as $of => $field) {
            if ($target === $of && $in->given($field)) {
                yield new InputError($field, $in->number($field), 'the chart or a figure, not both', "$field: the chart already gives it. Leave one out.");
            }
        }
        yield from self::pointErrors($chart, $target);
    }

    /** @return self|null null while it is not all there */
    public static function of(Input $in): ?self
    {
        $chart = $in->group('chart');
        if ($chart === null || $chart->items('points') === [] || ! $chart->given('tolerance')) {
            return null;
        }
        $unit = in_array($chart->text('target'), self::PRESSURES, true) ? 'psi' : 'delta_degF';
        $columns = [];
        $lowest = INF;
        foreach ($chart->items('points') as $point) {
            $outdoor = (float) $point->in('outdoor', 'degF');
            $columns[(string) ($point->in('indoor', 'degF') ?? 0.0)][(string) $outdoor] = self::read($point->parsed('value'), $unit);
            $lowest = min($lowest, $outdoor);
        }
        foreach ($columns as &$column) {
            ksort($column, SORT_NUMERIC);
        }
        ksort($columns, SORT_NUMERIC);

        return new self($chart->text('target'), $chart->text('indoor'), $columns, self::read($chart->parsed('tolerance'), $unit), $lowest);
    }

    public function isPressure(): bool
    {
        return in_array($this->target, self::PRESSURES, true);
    }

    /** @return float|null psig or °F; null outside of the chart */
    public function at(float $outdoor, ?float $indoor): ?float
    {
        $across = [];
        foreach ($this->columns as $inside => $column) {
            $value = self::along($column, $outdoor);
            if ($value === null) {
                return null;
            }
            $across[$inside] = $value;
        }

        return $this->indoor === 'none' ? array_values($across)[0] : self::along($across, (float) $indoor);
    }

    /** @param array<array-key, float> $points */
    private static function along(array $points, float $x): ?float
    {
        [$before, $there] = [null, null];
        foreach ($points as $place => $value) {
            $place = (float) $place;
            if ($x <= $place) {
                if ($before === null) {
                    return $x < $place - self::BEYOND - 1e-9 ? null : $value;
                }

                return $there + ($value - $there) * ($x - $before) / ($place - $before);
            }
            [$before, $there] = [$place, $value];
        }

        return $before === null || $x > $before + self::BEYOND + 1e-9 ? null : $there;
    }

    /** @return iterable<InputError> */
    private static function pointErrors(Input $chart, string $target): iterable
    {
        $kind = in_array($target, self::PRESSURES, true) ? Kind::GaugePressure : Kind::TemperatureDifference;
        $seen = $columns = [];
        foreach ($chart->items('points') as $i => $point) {
            $outdoor = (string) $point->maybe('outdoor');
            $indoor = (string) $point->maybe('indoor');
            if ($chart->text('indoor') !== 'none' && ! $point->given('indoor')) {
                yield InputError::absent("chart.points.$i.indoor", 'the temperature inside that the column is for');
            }
            if (isset($seen["$outdoor|$indoor"])) {
                yield new InputError("chart.points.$i.outdoor", $point->maybe('outdoor'), 'each point once', "chart.points.$i.outdoor: that point is there already. Leave one out.");
            }
            $seen["$outdoor|$indoor"] = true;
            $columns[$outdoor][] = $indoor;
            if (! self::fits($point->parsed('value'), $kind)) {
                yield InputError::at("chart.points.$i.value", null, $kind === Kind::GaugePressure ? 'a pressure above 0' : 'a difference above 0', 'does not fit the chart\'s target');
            }
        }
        if ($chart->given('tolerance') && ! self::fits($chart->parsed('tolerance'), $kind === Kind::GaugePressure ? Kind::PressureDifference : $kind)) {
            yield InputError::at('chart.tolerance', null, $kind === Kind::GaugePressure ? 'a pressure difference above 0' : 'a difference above 0', 'does not fit the chart\'s target');
        }
        $sorted = array_map(function (array $indoor): array {
            sort($indoor);

            return $indoor;
        }, $columns);
        if ($chart->text('indoor') !== 'none' && count(array_unique(array_map(fn (array $c): string => implode('|', $c), $sorted))) > 1) {
            yield new InputError('chart.points', null, 'the same columns for each temperature outside', 'chart.points: each temperature outside needs the same columns inside. Fill in the blanks of the chart.');
        }
    }

    private static function fits(mixed $raw, Kind $kind): bool
    {
        $read = self::quantity($raw, $kind);

        return $read !== null && $read->canonical > 0;
    }

    /** @param 'psi'|'delta_degF' $unit */
    private static function read(mixed $raw, string $unit): float
    {
        $gauge = $unit === 'psi' ? self::quantity($raw, Kind::GaugePressure) : null;
        $difference = self::quantity($raw, $unit === 'psi' ? Kind::PressureDifference : Kind::TemperatureDifference);

        return $gauge?->in('psig') ?? $difference?->in($unit) ?? 0.0;
    }

    /** A figure whose kind the chart's target says: a text with its unit, or an object of both. */
    private static function quantity(mixed $raw, Kind $kind): ?Quantity
    {
        $pair = is_object($raw) ? get_object_vars($raw) : $raw;
        try {
            return match (true) {
                is_string($raw) => Quantity::parse($raw, $kind),
                is_array($pair) && is_numeric($pair['value'] ?? null) && is_string($pair['unit'] ?? null) => Quantity::of((float) $pair['value'], $pair['unit'], $kind),
                default => null,
            };
        } catch (UnknownUnit|\RangeException) {
            return null;
        }
    }
}
