<?php

declare(strict_types=1);

namespace IronStart\Core\Heat;

use IronStart\Core\Check\Input;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Units;

/** What natural gas and propane have of their own, and what thin air takes off an input. */
final class Gas
{
    public const KINDS = ['natural', 'propane'];
    /** in. w.c. at the burners, and at the valve's inlet from and to. */
    public const MANIFOLD = ['natural' => 3.5, 'propane' => 10.0];
    public const INLET = ['natural' => [5.0, 10.5], 'propane' => [11.0, 13.0]];
    /** Btu in a cubic foot. */
    public const HEATING_VALUE = ['natural' => 1030.0, 'propane' => 2500.0];
    /** Of air. */
    public const GRAVITY = ['natural' => 0.60, 'propane' => 1.52];
    /** ft up to which nothing is taken off, and % for each 1000 ft of the whole altitude above it. */
    public const DERATED_ABOVE = 2000.0;
    private const DERATE = 4.0;

    /** @return float % the sheet, or the altitude, takes off the nameplate's input */
    public static function derate(Input $in): float
    {
        $feet = self::feet($in);

        return $in->maybe('sheet_derate') ?? ($feet <= self::DERATED_ABOVE ? 0.0 : self::DERATE * $feet / 1000);
    }

    public static function feet(Input $in): float
    {
        return Units::fromCanonical($in->number('altitude'), 'ft', Kind::Length);
    }
}
