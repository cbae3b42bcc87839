<?php

declare(strict_types=1);

namespace App\Views;

use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Units;
use IronStart\Core\Refrigerant\PressureTable;
use IronStart\Core\Refrigerant\Refrigerant;
use OpenApi\Attributes as OA;

/** What is to be known of a refrigerant before it is let into anything. */
#[OA\Schema(required: ['name', 'class', 'rcl', 'lfl', 'rclUs', 'lflUs', 'gwp', 'glide', 'glideUs'])]
final readonly class RefrigerantView
{
    /** K (40 °F), where an air conditioner boils it. */
    private const BOILING = 277.594;

    public function __construct(
        #[OA\Property()]
        public string $name,
        #[OA\Property()]
        public string $class,
        /** g/m3, the most a room may hold of it. */
        #[OA\Property()]
        public float $rcl,
        /** g/m3, from where on it burns. */
        #[OA\Property()]
        public ?float $lfl,
        /** The same in lb per 1000 cu ft. */
        #[OA\Property()]
        public float $rclUs,
        #[OA\Property()]
        public ?float $lflUs,
        #[OA\Property()]
        public float $gwp,
        /** K between dew and bubble at 40 °F. */
        #[OA\Property()]
        public float $glide,
        #[OA\Property()]
        public float $glideUs,
    ) {
    }

    public static function of(Refrigerant $refrigerant): self
    {
        $glide = PressureTable::glide($refrigerant, self::BOILING);
        $us = fn (float $density): float => 1000 * Units::fromCanonical($density, 'lb/ft3', Kind::Density);

        return new self(
            $refrigerant->name(),
            $refrigerant->safetyClass(),
            1000 * $refrigerant->rcl(),
            $refrigerant->lfl() === null ? null : 1000 * $refrigerant->lfl(),
            $us($refrigerant->rcl()),
            $refrigerant->lfl() === null ? null : $us($refrigerant->lfl()),
            $refrigerant->gwp(),
            $glide,
            Units::fromCanonical($glide, 'delta_degF', Kind::TemperatureDifference),
        );
    }
}
