<?php

declare(strict_types=1);

namespace IronStart\Core\Quantity;

/**
 * A measured quantity: as it was read, and in the canonical unit of its kind beside it.
 */
final readonly class Quantity
{
    /** A number and a unit with exactly one blank between; decimal point, sign and exponent allowed. */
    private const WRITTEN = '/^([+-]?(?:\d+\.?\d*|\.\d+)(?:[eE][+-]?\d+)?) (\S+)$/D';

    /** A fraction of an inch as tape and tube are marked: `7/8 in`, `1-1/8 in`. */
    private const FRACTION = '#^(?:(\d{1,3})-)?(\d{1,3})/(\d{1,3}) (\S+)$#D';

    private function __construct(
        public float $value,
        public string $unit,
        public Kind $kind,
        /** In the kind's canonical unit; finite. */
        public float $canonical,
    ) {
    }

    /**
     * @param float $value finite, in $unit
     * @throws UnknownUnit when the kind has no such unit
     * @throws \RangeException when the value is not finite
     */
    public static function of(float $value, string $unit, Kind $kind): self
    {
        $canonical = Units::toCanonical($value, $unit, $kind);
        if (! is_finite($canonical)) {
            throw new \RangeException('A quantity is a finite number.');
        }

        return new self($value, $unit, $kind, $canonical);
    }

    /**
     * Reads `"118 psig"`.
     *
     * @return self|null null when the text is not a number, one blank and a unit
     * @throws UnknownUnit when it is, but the unit is not one of the kind's
     * @throws \RangeException when the number is not finite
     */
    public static function parse(string $text, Kind $kind): ?self
    {
        return preg_match(self::WRITTEN, $text, $part) === 1 ? self::of((float) $part[1], $part[2], $kind) : null;
    }

    /**
     * Reads `"1-1/8 in"`.
     *
     * @return self|null null when the text is no fraction, one blank and a unit
     * @throws UnknownUnit when it is, but the unit is not one of the kind's
     */
    public static function parseFraction(string $text, Kind $kind): ?self
    {
        if (preg_match(self::FRACTION, $text, $part) !== 1 || (int) $part[3] === 0) {
            return null;
        }

        return self::of((float) $part[1] + (int) $part[2] / (int) $part[3], $part[4], $kind);
    }

    /** As it was read, and counting as a standard size. @param float $canonical in the kind's canonical unit */
    public function countingAs(float $canonical): self
    {
        return new self($this->value, $this->unit, $this->kind, $canonical);
    }

    /** @throws UnknownUnit when the kind has no such unit */
    public function in(string $unit): float
    {
        return Units::fromCanonical($this->canonical, $unit, $this->kind);
    }
}
