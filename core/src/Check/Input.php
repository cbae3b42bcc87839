<?php

declare(strict_types=1);

namespace IronStart\Core\Check;

use IronStart\Core\Quantity\Quantity;
use IronStart\Core\Quantity\Units;

/**
 * A validated input: what was given, defaults filled in, quantities in canonical units and as read.
 */
final readonly class Input
{
    /**
     * @param array<string, mixed>    $values     by field name; absent where nothing was given and there is no default
     * @param array<string, Quantity|list<Quantity>> $quantities as read
     * @param array<string, true>     $given      the fields that were given
     * @param list<string>            $missing    paths of needed readings not given, in the order of the key list
     */
    public function __construct(
        private array $values,
        private array $quantities,
        private array $given,
        public array $missing,
        public string $path = '',
    ) {
    }

    /**
     * The same input, knowing what is missing in it.
     *
     * @param list<string> $missing
     */
    public function lacking(array $missing): self
    {
        return new self($this->values, $this->quantities, $this->given, $missing, $this->path);
    }

    /** The same input with a value that is known otherwise, in canonical units; null leaves it as it is. */
    public function with(string $name, mixed $value): self
    {
        return $value === null ? $this : new self([$name => $value] + $this->values, $this->quantities, $this->given, $this->missing, $this->path);
    }

    public function given(string $name): bool
    {
        return isset($this->given[$name]);
    }

    /** True when every one of the fields was given. */
    public function all(string ...$names): bool
    {
        foreach ($names as $name) {
            if (! isset($this->given[$name])) {
                return false;
            }
        }

        return true;
    }

    /** A quantity in its kind's canonical unit, or a bare number; null when absent. */
    public function maybe(string $name): ?float
    {
        $value = $this->values[$name] ?? null;

        return is_int($value) || is_float($value) ? (float) $value : null;
    }

    /**
     * A quantity in its kind's canonical unit, or a bare number.
     *
     * @throws \LogicException when the check asks for what was not given
     */
    public function number(string $name): float
    {
        return $this->maybe($name) ?? throw new \LogicException("Nothing was given for $name.");
    }

    /**
     * A time in minutes.
     *
     * @throws \LogicException when the check asks for what was not given
     */
    public function minutes(string $name): float
    {
        return $this->number($name) / 60;
    }

    /** A quantity in the unit asked for; null when absent. */
    public function in(string $name, string $unit): ?float
    {
        $read = $this->quantities[$name] ?? null;

        return $read instanceof Quantity ? Units::fromCanonical($read->canonical, $unit, $read->kind) : $this->maybe($name);
    }

    public function int(string $name): int
    {
        return (int) $this->number($name);
    }

    public function text(string $name): string
    {
        $value = $this->values[$name] ?? '';

        return is_string($value) ? $value : '';
    }

    /** The flag; false when absent and without default. */
    public function flag(string $name): bool
    {
        return ($this->values[$name] ?? false) === true;
    }

    /** What a parsed field was turned into. */
    public function parsed(string $name): mixed
    {
        return $this->values[$name] ?? null;
    }

    /** What a moment was turned into; null when absent. */
    public function moment(string $name): ?Moment
    {
        $at = $this->parsed($name);

        return $at instanceof Moment ? $at : null;
    }

    /** @return list<string> */
    public function words(string $name): array
    {
        /** @var list<string> */
        return $this->values[$name] ?? [];
    }

    /** @return list<float> */
    public function numbers(string $name): array
    {
        /** @var list<float> */
        return $this->values[$name] ?? [];
    }

    /** The members of an object; null when it was not given. */
    public function group(string $name): ?self
    {
        $value = $this->values[$name] ?? null;

        return $value instanceof self ? $value : null;
    }

    /** @return list<self> */
    public function items(string $name): array
    {
        /** @var list<self> */
        return $this->values[$name] ?? [];
    }

    /**
     * Every quantity that was given, as it was read, by its path.
     *
     * @return array<string, Quantity>
     */
    public function readings(): array
    {
        $found = [];
        foreach ($this->quantities as $name => $quantity) {
            if ($quantity instanceof Quantity) {
                $found[$this->path . $name] = $quantity;
                continue;
            }
            foreach ($quantity as $i => $one) {
                $found["$this->path$name.$i"] = $one;
            }
        }
        foreach ($this->values as $value) {
            foreach (is_array($value) ? $value : [$value] as $item) {
                $found += $item instanceof self ? $item->readings() : [];
            }
        }

        return $found;
    }
}
