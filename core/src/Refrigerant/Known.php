<?php

declare(strict_types=1);

namespace IronStart\Core\Refrigerant;

use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Site;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Units;
use IronStart\Core\Verdict\Value;

/** What checks that read gauges share: from a gauge to the table, from the table to a figure, and what is outside it. */
final class Known
{
    /** @return iterable<InputError> a refrigerant there is no table for */
    public static function errors(Input $in): iterable
    {
        if (Refrigerant::named($in->text('refrigerant')) === null) {
            yield new InputError('refrigerant', $in->text('refrigerant'), implode(', ', array_map(fn (Refrigerant $r): string => $r->name(), Refrigerant::all())), 'refrigerant: there is no table for it. Enter: ' . implode(', ', array_map(fn (Refrigerant $r): string => $r->name(), Refrigerant::all())) . '.');
        }
    }

    /**
     * @param list<string> $fields gauge pressures
     * @return iterable<InputError> one for each that both lines do not have
     */
    public static function outside(Input $in, Refrigerant $refrigerant, array $fields): iterable
    {
        foreach ($fields as $field) {
            if ($in->given($field) && ! $refrigerant->coversPressure(self::absolute($in, $field))) {
                yield self::offTable($field, $in);
            }
        }
    }

    public static function offTable(string $field, Input $in): InputError
    {
        return new InputError($in->path . $field, $in->number($field), 'what lies inside the table of this refrigerant', "$in->path$field: that is outside the table of this refrigerant. Check the figure and the refrigerant.");
    }

    /**
     * @param Input $site where the site's own pressure stands, when it is not the reading's own input
     * @return float Pa, of a gauge pressure
     */
    public static function absolute(Input $in, string $field, ?Input $site = null): float
    {
        return 1e3 * $in->number($field) + Site::pressure($site ?? $in);
    }

    /**
     * @param float $pascals absolute, on the dew line
     * @return float|null K between its lines; exactly 0 for a single fluid; null where the bubble line does not have it
     */
    public static function glide(Refrigerant $refrigerant, float $pascals): ?float
    {
        return $refrigerant->coversPressure($pascals) ? $refrigerant->dewTemperature($pascals) - $refrigerant->bubbleTemperature($pascals) : null;
    }

    /** @param float $pascals over the site's own */
    public static function psig(float $pascals): Value
    {
        return Value::of(Units::fromCanonical($pascals, 'psi', Kind::PressureDifference), 'psig');
    }

    public static function degF(float $kelvin): Value
    {
        return Value::of(Units::fromCanonical($kelvin, 'degF', Kind::Temperature), 'degF');
    }

    /** @param float $kelvin a difference */
    public static function degrees(float $kelvin): Value
    {
        return Value::of(Units::fromCanonical($kelvin, 'delta_degF', Kind::TemperatureDifference), 'delta_degF');
    }
}
