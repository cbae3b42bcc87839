<?php

declare(strict_types=1);

namespace IronStart\Core\Dry;

use IronStart\Core\Check\Field;
use IronStart\Core\Check\Input;
use IronStart\Core\Check\InputError;
use IronStart\Core\Check\Instrument;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Units;

/**
 * Readings of a vacuum gauge over time, as decay and pull-down both take them.
 *
 * @phpstan-type Point array{float, float}
 */
final class Reading
{
    /** micron */
    private const MOST = 800_000.0;

    public static function field(): Field
    {
        return Field::items(
            'readings',
            Field::minutes('minutes')->structural(),
            self::micron('micron', self::MOST)->positive()->structural(),
        )->needed();
    }

    /** A vacuum, a bare number of microns. */
    public static function micron(string $name, ?float $max = null): Field
    {
        return Field::quantity($name, Kind::AbsolutePressure, 'micron', 0, $max)->bareIn('micron')->readWith(Instrument::MicronGauge);
    }

    /** @return iterable<InputError> times that do not go up */
    public static function backwards(Input $in): iterable
    {
        $before = null;
        foreach ($in->items('readings') as $i => $reading) {
            $minutes = $reading->maybe('minutes');
            if ($minutes !== null && $before !== null && $minutes <= $before) {
                yield new InputError("readings.$i.minutes", $minutes / 60, 'a time later than the one before', "readings.$i.minutes: times must go up. Enter the minutes since the pump was valved off.");
            }
            $before = $minutes ?? $before;
        }
    }

    /** @return list<Point> minutes and micron */
    public static function points(Input $in): array
    {
        return array_map(fn (Input $r): array => [$r->minutes('minutes'), Units::fromCanonical($r->number('micron'), 'micron', Kind::AbsolutePressure)], $in->items('readings'));
    }

    public static function pascals(float $micron): float
    {
        return Units::toCanonical($micron, 'micron', Kind::AbsolutePressure);
    }
}
