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

    /** @throws UnknownUnit when the kind has no such unit */
    public function in(string $unit): float
    {
        return Units::fromCanonical($this->canonical, $unit, $this->kind);
    }
}
