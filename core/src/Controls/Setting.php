<?php

declare(strict_types=1);

namespace IronStart\Core\Controls;

use IronStart\Core\Check\InputError;
use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Quantity;
use IronStart\Core\Quantity\UnknownUnit;

/** One value of a controller: a text, a flag, a bare number or a quantity of whatever kind it is written in. */
final readonly class Setting
{
    private const SLACK = 1e-9;

    private function __construct(public string|bool|float $value, public ?Kind $kind)
    {
    }

    /** @return self|null null where nothing is written */
    public static function of(mixed $raw): ?self
    {
        $raw = is_object($raw) ? get_object_vars($raw) : $raw;

        return match (true) {
            is_bool($raw) => new self($raw, null),
            is_int($raw), is_float($raw) => new self((float) $raw, null),
            is_array($raw) && is_numeric($raw['value'] ?? null) && is_string($raw['unit'] ?? null) => self::quantity("{$raw['value']} {$raw['unit']}") ?? new self("{$raw['value']} {$raw['unit']}", null),
            is_string($raw) && trim($raw) !== '' => self::quantity($raw) ?? new self(trim($raw), null),
            default => null,
        };
    }

    public function isNumber(): bool
    {
        return is_float($this->value);
    }

    /** Numbers within a hair, texts without case, flags as they are. */
    public function same(self $other): bool
    {
        return is_float($this->value) && is_float($other->value)
            ? $this->kind === $other->kind && abs($this->value - $other->value) <= self::SLACK * max(1.0, abs($other->value))
            : (is_string($this->value) && is_string($other->value) ? mb_strtolower($this->value) === mb_strtolower($other->value) : $this->value === $other->value);
    }

    /** @param float $tolerance in the canonical unit of its kind's difference, or bare */
    public function within(self $other, float $tolerance): bool
    {
        return is_float($this->value) && is_float($other->value) && abs($this->value - $other->value) <= $tolerance + self::SLACK * max(1.0, abs($other->value));
    }

    /**
     * The tolerance of a setting of this kind: of temperatures a difference of temperatures, of gauge pressures one of pressures.
     *
     * @throws InputError where it is of another kind
     */
    public function tolerance(mixed $raw, string $path): float
    {
        $of = match ($this->kind) {
            Kind::Temperature => Kind::TemperatureDifference,
            Kind::GaugePressure, Kind::AbsolutePressure => Kind::PressureDifference,
            default => $this->kind,
        };
        $told = is_object($raw) ? get_object_vars($raw) : $raw;
        $text = is_array($told) && is_scalar($told['value'] ?? null) && is_scalar($told['unit'] ?? null) ? "{$told['value']} {$told['unit']}" : $told;
        try {
            $read = $of === null
                ? (is_int($text) || is_float($text) ? (float) $text : null)
                : (is_string($text) ? Quantity::parse($text, $of)?->canonical : null);
        } catch (UnknownUnit|\RangeException) {
            $read = null;
        }
        if ($read === null || $read < 0) {
            throw InputError::at($path, is_scalar($raw) ? $raw : null, $of === null ? 'a bare number, 0 or more' : 'a difference of the same kind, 0 or more', 'is no tolerance of it');
        }

        // A gauge's canonical unit is the kilopascal.
        return $this->kind === Kind::GaugePressure ? $read / 1e3 : $read;
    }

    private static function quantity(string $text): ?self
    {
        foreach (Kind::cases() as $kind) {
            try {
                $read = Quantity::parse($text, $kind);
            } catch (UnknownUnit|\RangeException) {
                continue;
            }
            if ($read !== null) {
                return new self($read->canonical, $kind);
            }
        }

        return null;
    }
}
