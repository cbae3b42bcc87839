<?php

declare(strict_types=1);

namespace IronStart\Core\Verdict;

use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Units;

/** One figure, text, flag or list of a verdict, with its unit ("" where there is none). Never rounded. */
final readonly class Value
{
    /** @param float|int|string|bool|list<mixed> $value */
    private function __construct(
        public float|int|string|bool|array $value,
        public string $unit,
        private ?Kind $kind = null,
        private string $us = '',
        private string $si = '',
    ) {
    }

    /**
     * A figure that is told in the unit of the system asked for.
     *
     * @param float $canonical in the kind's canonical unit
     */
    public static function either(float $canonical, Kind $kind, string $us, string $si): self
    {
        return new self($canonical, Units::canonical($kind), $kind, $us, $si);
    }

    /** A short length: inches or millimetres. @param float $metres */
    public static function small(float $metres): self
    {
        return self::either($metres, Kind::Length, 'in', 'mm');
    }

    /** Feet or metres. @param float $metres */
    public static function long(float $metres): self
    {
        return self::either($metres, Kind::Length, 'ft', 'm');
    }

    /** Pounds or kilograms. @param float $kilograms */
    public static function weight(float $kilograms): self
    {
        return self::either($kilograms, Kind::Mass, 'lb', 'kg');
    }

    /** @param 'us'|'si' $units */
    public function asked(string $units): self
    {
        if ($this->kind === null) {
            return $this;
        }
        $unit = $units === 'us' ? $this->us : $this->si;

        return new self(Units::fromCanonical((float) $this->value, $unit, $this->kind), $unit);
    }

    public static function of(float|int $value, string $unit): self
    {
        return new self($value, $unit);
    }

    public static function text(string $value): self
    {
        return new self($value, '');
    }

    public static function flag(bool $value): self
    {
        return new self($value, '');
    }

    /** @param list<mixed> $value */
    public static function list(array $value): self
    {
        return new self($value, '');
    }
}
