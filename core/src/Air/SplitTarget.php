<?php

declare(strict_types=1);

namespace IronStart\Core\Air;

use IronStart\Core\Numeric\Root;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Units;

/**
 * The drop across a cooling coil that this air and this machine should show, by the balance of its energy.
 *
 * Capacity falls by 1.4 % a degree of wet bulb under 67 °F and by 0.5 % a degree outdoors over 95 °F; 15 % of the air
 * passes the coil by; the blower warms what leaves. A dry coil takes out only warmth.
 */
final readonly class SplitTarget
{
    /** °F */
    private const WET_BULB = 67.0;
    private const OUTDOOR = 95.0;
    private const LEAST_WET_BULB = 57.0;
    private const DRY_UNDER = 18.0;
    private const LEAST_OUTDOOR = 65.0;
    private const PER_WET_BULB = 0.014;
    private const PER_OUTDOOR = 0.005;
    private const BYPASS = 0.15;

    private function __construct(
        /** K between return and supply. */
        public float $split,
        /** W taken out of the air. */
        public float $watts,
        /** % of it that is felt as warmth. */
        public float $sensibleShare,
        /** K the coil's surface stands at. */
        public float $apparatus,
        /** No water settles on it. */
        public bool $isDry,
    ) {
    }

    /**
     * @param float $return   K, dry bulb
     * @param float $ratio    kg/kg, of the return air
     * @param float $wetBulb  K, of it
     * @param float $outdoor  K
     * @param float $cooling  W, of the whole machine
     * @param float $stages   share of it that runs
     * @param float $airflow  m3/h, of all of it
     * @param float $fanHeat  K the blower adds
     * @param float $pascals  of the air
     * @param float|null $capacity W at these conditions where the sheet has them
     */
    public static function of(float $return, float $ratio, float $wetBulb, float $outdoor, float $cooling, float $stages, float $airflow, float $fanHeat, float $pascals, ?float $capacity = null): self
    {
        $f = fn (float $kelvin): float => Units::fromCanonical($kelvin, 'degF', Kind::Temperature);
        $wet = max($f($wetBulb), min(self::LEAST_WET_BULB, $f($return) - self::DRY_UNDER));
        $watts = $capacity ?? $cooling * $stages * (1 + self::PER_WET_BULB * ($wet - self::WET_BULB)) * (1 - self::PER_OUTDOOR * (max(self::LEAST_OUTDOOR, $f($outdoor)) - self::OUTDOOR));
        $entering = MoistAir::enthalpy($return, $ratio);
        $taken = $watts / 1e3 / ($airflow / 3600 / MoistAir::volume($return, $ratio, $pascals));
        $apparatus = self::saturatedAt($entering - $taken / (1 - self::BYPASS), $pascals);
        $isDry = MoistAir::ratio(MoistAir::saturation($apparatus), $pascals) >= $ratio;
        $warmth = 1.006 + 1.86 * $ratio;
        $leaves = $isDry ? $return - $taken / $warmth : $apparatus + self::BYPASS * ($return - $apparatus);

        return new self($return - $leaves - $fanHeat, $watts, $isDry ? 100.0 : 100 * $warmth * ($return - $leaves) / $taken, $apparatus, $isDry);
    }

    /** @return float K, where saturated air has an enthalpy */
    private static function saturatedAt(float $enthalpy, float $pascals): float
    {
        return Root::smooth(fn (float $kelvin): float => MoistAir::enthalpy($kelvin, MoistAir::ratio(MoistAir::saturation($kelvin), $pascals)) - $enthalpy, 200.0, 340.0);
    }
}
