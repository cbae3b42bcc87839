<?php

declare(strict_types=1);

namespace IronStart\Core\Check;

use IronStart\Core\Quantity\Kind;

/**
 * The pressure of the air where the machine stands.
 *
 * Source: the standard atmosphere, p = 101325·(1 − 2.25577e-5·z)^5.25588 Pa, z in m; a barometer wins over the altitude.
 */
final class Site
{
    /** Pa. */
    public const SEA_LEVEL = 101_325.0;

    /** @return list<Field> */
    public static function fields(): array
    {
        return [
            Field::quantity('altitude', Kind::Length, 'm', -152.4, 5000)->default('0 ft')->readWith(null)->fromSite(),
            Field::quantity('barometer', Kind::AbsolutePressure, 'kPa', 50, 110),
        ];
    }

    /** @return float Pa, absolute */
    public static function pressure(Input $in): float
    {
        return $in->maybe('barometer') ?? self::SEA_LEVEL * (1 - 2.25577e-5 * $in->number('altitude')) ** 5.25588;
    }
}
