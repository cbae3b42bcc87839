<?php

declare(strict_types=1);

namespace IronStart\Core\Charge;

use IronStart\Core\Check\Input;
use IronStart\Core\Check\Site;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Units;
use IronStart\Core\Refrigerant\Refrigerant;

/**
 * What two gauges and two clamps say of a running circuit, in °F.
 *
 * Superheat from the dew line, subcooling from the bubble line; condensing is the middle of both at the liquid pressure,
 * as a split over the air is a mean difference.
 */
final readonly class Circuit
{
    private function __construct(
        public Refrigerant $refrigerant,
        /** Pa, absolute. */
        public float $suction,
        public float $liquid,
        public float $suctionDew,
        public float $liquidBubble,
        public float $condensing,
        public float $suctionGlide,
        public float $liquidGlide,
        public float $superheat,
        public float $subcooling,
        public float $superheatUncertainty,
        public float $subcoolingUncertainty,
        public float $ratio,
    ) {
    }

    /**
     * @param Input $in   with all four readings
     * @param Input $site where altitude, accuracies and what is lost in the condenser stand
     */
    public static function read(Refrigerant $refrigerant, Input $in, Input $site): self
    {
        $air = Site::pressure($site);
        $suction = 1e3 * $in->number('suction_pressure') + $air;
        $liquid = 1e3 * $in->number('liquid_pressure') + $air - ($site->text('port') === 'discharge' ? $site->maybe('condenser_drop') ?? 0.0 : 0.0);
        $dew = self::degF($refrigerant->dewTemperature($suction));
        $bubble = self::degF($refrigerant->bubbleTemperature($liquid));
        $clamp = 1.8 * $site->number('clamp_uncertainty');

        return new self(
            $refrigerant,
            $suction,
            $liquid,
            $dew,
            $bubble,
            ($bubble + self::degF($refrigerant->dewTemperature($liquid))) / 2,
            self::glide($refrigerant, $suction),
            self::glide($refrigerant, $liquid),
            (float) $in->in('suction_line', 'degF') - $dew,
            $bubble - (float) $in->in('liquid_line', 'degF'),
            sqrt($clamp ** 2 + (self::moved($refrigerant, $suction, self::off($site, $in->number('suction_pressure')), $refrigerant->dewTemperature(...)) - $dew) ** 2),
            sqrt($clamp ** 2 + (self::moved($refrigerant, $liquid, self::off($site, $in->number('liquid_pressure')), $refrigerant->bubbleTemperature(...)) - $bubble) ** 2),
            $liquid / $suction,
        );
    }

    /** With what was read of it: a side that was not stands where the other does, a clamp that was not where the line is. */
    public static function asFar(Refrigerant $refrigerant, Input $in): ?self
    {
        [$hasSuction, $hasLiquid] = [$in->given('suction_pressure'), $in->given('liquid_pressure')];
        if (! $hasSuction && ! $hasLiquid) {
            return null;
        }
        $air = Site::pressure($in);
        $suction = 1e3 * $in->number($hasSuction ? 'suction_pressure' : 'liquid_pressure') + $air;
        $liquid = 1e3 * $in->number($hasLiquid ? 'liquid_pressure' : 'suction_pressure') + $air;
        [$dew, $bubble] = [self::degF($refrigerant->dewTemperature($suction)), self::degF($refrigerant->bubbleTemperature($liquid))];
        $clamp = 1.8 * $in->number('clamp_uncertainty');
        $u = fn (float $p, \Closure $line, float $there): float => sqrt($clamp ** 2 + (self::moved($refrigerant, $p, self::off($in, ($p - $air) / 1e3), $line) - $there) ** 2);

        return new self(
            $refrigerant,
            $suction,
            $liquid,
            $dew,
            $bubble,
            ($bubble + self::degF($refrigerant->dewTemperature($liquid))) / 2,
            self::glide($refrigerant, $suction),
            self::glide($refrigerant, $liquid),
            ($in->in('suction_line', 'degF') ?? $dew) - $dew,
            $bubble - ($in->in('liquid_line', 'degF') ?? $bubble),
            $u($suction, $refrigerant->dewTemperature(...), $dew),
            $u($liquid, $refrigerant->bubbleTemperature(...), $bubble),
            $liquid / $suction,
        );
    }

    /** The same with superheat and subcooling moved. */
    public function by(float $superheat, float $subcooling): self
    {
        return new self($this->refrigerant, $this->suction, $this->liquid, $this->suctionDew, $this->liquidBubble, $this->condensing, $this->suctionGlide, $this->liquidGlide, $this->superheat + $superheat, $this->subcooling + $subcooling, $this->superheatUncertainty, $this->subcoolingUncertainty, $this->ratio);
    }

    /** @param float $gauge kPa as it reads @return float Pa it may be off by */
    public static function off(Input $site, float $gauge): float
    {
        return max(($site->maybe('pressure_accuracy') ?? 1.0) / 100 * abs(1e3 * $gauge), $site->maybe('pressure_floor') ?? Units::toCanonical(1.0, 'psi', Kind::PressureDifference));
    }

    public static function degF(float $kelvin): float
    {
        return Units::fromCanonical($kelvin, 'degF', Kind::Temperature);
    }

    /** @return float °F between the lines at a pressure */
    public static function glide(Refrigerant $refrigerant, float $pascals): float
    {
        return ($refrigerant->dewTemperature($pascals) - $refrigerant->bubbleTemperature($pascals)) * 1.8;
    }

    /** @param \Closure(float): float $line */
    private static function moved(Refrigerant $refrigerant, float $pascals, float $by, \Closure $line): float
    {
        if ($refrigerant->coversPressure($pascals + $by)) {
            return self::degF($line($pascals + $by));
        }

        // Beyond the table's end as far the other way.
        return 2 * self::degF($line($pascals)) - self::degF($line($pascals - $by));
    }
}
