<?php

declare(strict_types=1);

namespace IronStart\Core\Charge;

use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Units;
use IronStart\Core\Verdict\Finding;
use IronStart\Core\Verdict\Limit;
use IronStart\Core\Verdict\Said;

/** Liquid on its way to the compressor: under so much superheat a stop, under so much a watch; under none a wrong reading. */
final class SuctionRule
{
    /** °F */
    public const STOP = 2.0;
    public const WATCH = 5.0;
    /** min: every start floods a little. */
    private const STARTED = 5.0;
    /** Liquid over suction pressure under which nothing is pumped. */
    private const PUMPS = 1.3;

    /** @return list<Finding> */
    public static function judge(Circuit $circuit, ?float $minutes, float $stop = self::STOP, float $watch = self::WATCH): array
    {
        if ($minutes !== null && $minutes < self::STARTED) {
            return [];
        }
        $said = ['superheat' => self::degrees($circuit->superheat)];

        return match (true) {
            Limit::under($circuit->superheat, -(2 * $circuit->superheatUncertainty + $circuit->suctionGlide)) => [Finding::stop('superheat_impossible', $said)],
            Limit::under($circuit->superheat, $stop) => [Finding::stop('flooding', $said)],
            Limit::under($circuit->superheat, $watch) => [Finding::watch('near_flooding', $said)],
            default => [],
        };
    }

    /** The two pressures stand together. */
    public static function isNotPumping(float $ratio): bool
    {
        return Limit::under($ratio, self::PUMPS);
    }

    public static function degrees(float $degF, ?float $against = null): Said
    {
        $k = fn (float $v): float => Units::toCanonical($v, 'delta_degF', Kind::TemperatureDifference);

        return Said::temperatureDifference($k($degF), $against === null ? null : $k($against));
    }
}
