<?php

declare(strict_types=1);

namespace IronStart\Core\Check;

use IronStart\Core\Quantity\Quantity;
use IronStart\Core\Quantity\TubeSize;
use IronStart\Core\Quantity\UnknownUnit;

/**
 * Reads raw JSON (decoded to objects, or PHP arrays) by a list of fields.
 *
 * All errors are collected; the one that is named is the first in the order of the key list, unknown keys
 * last. One reader reads one input.
 */
final class InputReader
{
    /** The largest whole number that is kept anywhere: 2³¹ − 1. */
    public const LARGEST = 2_147_483_647;
    /** Relative slack at the ends of a range, for bounds that are written in another unit. */
    private const SLACK = 1e-12;

    /** @var list<InputError> */
    private array $errors = [];

    /** @var array<int, string> paths; '' where it turned out not to be needed */
    private array $missing = [];

    /** @param list<Field> $fields */
    public function __construct(private readonly array $fields)
    {
    }

    /**
     * @param \Closure(Input): iterable<InputError> $contradictions what no field can see alone
     * @throws InputError the first one
     */
    public function read(mixed $raw, \Closure $contradictions): Input
    {
        $members = self::members($raw) ?? throw InputError::at('input', $raw, 'an object');
        $input = $this->object($members, $this->fields, '');
        foreach ($contradictions($input) as $error) {
            $this->errors[] = $error;
        }
        if ($this->errors !== []) {
            usort($this->errors, fn (InputError $a, InputError $b): int => self::compare($this->rank($a->field), $this->rank($b->field)));
            throw $this->errors[0];
        }

        return $this->missing === [] ? $input : $input->lacking(array_values(array_filter($this->missing, fn (string $path): bool => $path !== '')));
    }

    /**
     * @param array<string, mixed> $members
     * @param list<Field>          $fields
     */
    private function object(array $members, array $fields, string $prefix): Input
    {
        $values = $quantities = $given = $absent = [];
        foreach ($fields as $field) {
            $name = $field->name;
            $raw = $members[$name] ?? null;
            unset($members[$name]);
            if ($raw === null || self::absent($field, $raw)) {
                if ($field->need === Need::Structural) {
                    $this->errors[] = InputError::absent($prefix . $name, $field->accepted());
                } elseif ($field->need === Need::Needed) {
                    $absent[] = [count($this->missing), $field];
                    $this->missing[] = '';
                }
                if ($field->default !== null) {
                    $values[$name] = $field->default;
                }
                continue;
            }
            try {
                $value = $this->value($field, $raw, $prefix . $name);
            } catch (InputError $error) {
                $this->errors[] = $error;
                continue;
            }
            if ($value instanceof Quantity) {
                $quantities[$name] = $value;
                $value = $value->canonical;
            } elseif ($field->type === FieldType::Numbers && $field->kind !== null) {
                /** @var list<Quantity> $value */
                $quantities[$name] = $value;
                $value = array_map(fn (Quantity $q): float => $q->canonical, $value);
            }
            $values[$name] = $value;
            $given[$name] = true;
        }
        if ($members !== []) {
            $this->strangers($members, $fields, $prefix);
        }
        $input = new Input($values, $quantities, $given, [], $prefix);
        foreach ($absent as [$slot, $field]) {
            if ($field->when === null || ($field->when)($input)) {
                $this->missing[$slot] = $prefix . $field->name;
            }
        }

        return $input;
    }

    /**
     * @param array<string, mixed> $members
     * @param list<Field>          $fields
     */
    private function strangers(array $members, array $fields, string $prefix): void
    {
        foreach ($members as $name => $value) {
            $known = implode(', ', array_map(fn (Field $f): string => $f->name, $fields));
            $this->errors[] = InputError::unknown($prefix . $name, $value, $known);
        }
    }

    private function value(Field $field, mixed $raw, string $path): mixed
    {
        return match ($field->type) {
            FieldType::Quantity => $this->quantity($field, $raw, $path),
            FieldType::Number => self::inRange($field, self::bare($field, $raw, $path), $raw, $path),
            FieldType::Count => self::whole($field, $raw, $path),
            FieldType::Text => self::text($field, $raw, $path),
            FieldType::Flag => is_bool($raw) ? $raw : throw InputError::at($path, $raw, $field->accepted()),
            FieldType::Word, FieldType::Choice => self::option($field, $raw, $path),
            FieldType::Words, FieldType::Choices => self::each($field, $raw, $path, self::option(...)),
            FieldType::Texts => self::each($field, $raw, $path, self::text(...)),
            FieldType::Numbers => self::each($field, $raw, $path, $field->kind === null ? fn (Field $f, mixed $one, string $at): float => self::inRange($f, self::bare($f, $one, $at), $one, $at) : $this->quantity(...)),
            FieldType::Items => $this->items($field, $raw, $path),
            FieldType::Raw => $raw,
            FieldType::Group => $this->object(self::members($raw) ?? throw InputError::at($path, $raw, $field->accepted()), $field->fields, "$path."),
        };
    }

    private function quantity(Field $field, mixed $raw, string $path): Quantity|bool
    {
        $kind = $field->kind ?? throw new \LogicException("The field $field->name has no kind.");
        $members = is_string($raw) ? null : self::members($raw);
        if ($members !== null && $field->orFlag !== null && array_keys($members) === [$field->orFlag]) {
            return $members[$field->orFlag] === true
                ? true
                : throw InputError::at("$path.$field->orFlag", $members[$field->orFlag], 'true, or the reading itself');
        }
        try {
            $read = match (true) {
                is_string($raw) => Quantity::parse($raw, $kind) ?? ($field->fractions ? Quantity::parseFraction($raw, $kind) : null),
                $field->bareUnit !== '' && (is_int($raw) || is_float($raw)) => Quantity::of((float) $raw, $field->bareUnit, $kind),
                $members !== null => self::pair($members, $kind),
                default => null,
            };
        } catch (UnknownUnit $error) {
            throw InputError::at($path, $raw, $field->accepted(), "has a unit that does not belong here ($error->unit)");
        } catch (\RangeException) {
            throw InputError::at($path, $raw, $field->accepted(), 'is not a finite number');
        }
        if ($read === null) {
            throw InputError::at($path, $raw, $field->accepted(), is_int($raw) || is_float($raw) ? 'has no unit' : 'is not a number with its unit');
        }
        self::inRange($field, $read->canonical, $raw, $path);
        if ($field->isTube) {
            return $read->countingAs(TubeSize::nearest($read->canonical) ?? throw InputError::at($path, $raw, $field->accepted(), 'is not a tube size'));
        }

        return $read;
    }

    /** @param array<string, mixed> $members */
    private static function pair(array $members, \IronStart\Core\Quantity\Kind $kind): ?Quantity
    {
        $value = $members['value'] ?? null;
        $unit = $members['unit'] ?? null;
        if (count($members) !== 2 || ! (is_int($value) || is_float($value)) || ! is_string($unit)) {
            return null;
        }

        return Quantity::of((float) $value, $unit, $kind);
    }

    private static function bare(Field $field, mixed $raw, string $path): float
    {
        if (! is_int($raw) && ! is_float($raw)) {
            throw InputError::at($path, $raw, $field->accepted(), 'is not a bare number');
        }

        return is_finite((float) $raw) ? (float) $raw : throw InputError::at($path, $raw, $field->accepted(), 'is not a finite number');
    }

    private static function whole(Field $field, mixed $raw, string $path): int
    {
        $number = self::inRange($field, self::bare($field, $raw, $path), $raw, $path);

        if (abs($number) > self::LARGEST) {
            throw InputError::at($path, $raw, $field->accepted(), 'is outside the range');
        }

        return floor($number) === $number ? (int) $number : throw InputError::at($path, $raw, $field->accepted(), 'is not a whole number');
    }

    /** Guards are written so that a NaN fails. */
    private static function inRange(Field $field, float $value, mixed $raw, string $path): float
    {
        $low = $field->min;
        $high = $field->max;
        $fits = ($low === null || ($field->aboveMin ? $value > $low : $value >= $low - self::SLACK * abs($low)))
            && ($high === null || $value <= $high + self::SLACK * abs($high));

        return $fits ? $value : throw InputError::at($path, $raw, $field->accepted(), 'is outside the range');
    }

    private static function text(Field $field, mixed $raw, string $path): mixed
    {
        // What comes after a NUL is lost in more than one place on the way.
        if (! is_string($raw) || ! mb_check_encoding($raw, 'UTF-8') || str_contains($raw, "\0")) {
            throw InputError::at($path, is_string($raw) ? '' : $raw, $field->accepted(), 'is not a text');
        }
        if (mb_strlen($raw) > $field->length) {
            throw InputError::at($path, $raw, $field->accepted(), 'is too long');
        }
        try {
            return $field->parse === null ? $raw : ($field->parse)($raw);
        } catch (\InvalidArgumentException $error) {
            throw InputError::at($path, mb_strimwidth($raw, 0, Field::TEXT_LENGTH, '…'), $error->getMessage());
        }
    }

    private static function option(Field $field, mixed $raw, string $path): string|int
    {
        // A number that chooses may have come as 3.0, which is the same JSON number.
        $raw = is_float($raw) && floor($raw) === $raw && abs($raw) < 1e9 ? (int) $raw : $raw;

        return (is_string($raw) || is_int($raw)) && in_array($raw, $field->options, true)
            ? $raw
            : throw InputError::at($path, $raw, $field->accepted());
    }

    /**
     * @template T
     * @param callable(Field, mixed, string): T $one
     * @return list<T>
     */
    private static function each(Field $field, mixed $raw, string $path, callable $one): array
    {
        if (! is_array($raw) || ! array_is_list($raw)) {
            throw InputError::at($path, $raw, $field->accepted());
        }
        $read = [];
        foreach ($raw as $i => $value) {
            $read[] = $one($field, $value, "$path.$i");
        }

        return $read;
    }

    /** @return list<Input> */
    private function items(Field $field, mixed $raw, string $path): array
    {
        if (! is_array($raw) || ! array_is_list($raw)) {
            throw InputError::at($path, $raw, $field->accepted());
        }
        $items = $seen = [];
        foreach ($raw as $i => $one) {
            $members = self::members($one);
            if ($members === null) {
                $this->errors[] = InputError::at("$path.$i", $one, 'an object');
                continue;
            }
            $items[] = $item = $this->object($members, $field->fields, "$path.$i.");
            if ($field->uniqueBy === null) {
                continue;
            }
            $name = $item->text($field->uniqueBy);
            if ($name !== '' && isset($seen[$name])) {
                $this->errors[] = InputError::at("$path.$i.$field->uniqueBy", $name, 'a name that is not used twice', 'is used twice');
            }
            $seen[$name] = true;
        }

        return $items;
    }

    /** Null, a blank text and an empty list are the same as nothing. */
    private static function absent(Field $field, mixed $raw): bool
    {
        return $raw === null
            || ($raw === [] && $field->type->isList() && ! $field->mayBeEmpty)
            || (is_string($raw) && trim($raw) === '');
    }

    /** @return array<string, mixed>|null the members of an object, null when it is none */
    private static function members(mixed $raw): ?array
    {
        if ($raw instanceof \stdClass) {
            return get_object_vars($raw);
        }

        return is_array($raw) && ($raw === [] || ! array_is_list($raw)) ? $raw : null;
    }

    /** @return list<int> the place of a path in the key list */
    private function rank(string $path): array
    {
        $rank = [];
        $fields = $this->fields;
        foreach (explode('.', $path) as $part) {
            if (ctype_digit($part)) {
                $rank[] = (int) $part;
                continue;
            }
            foreach ($fields as $i => $field) {
                if ($field->name === $part) {
                    $rank[] = $i;
                    $fields = $field->fields;
                    continue 2;
                }
            }
            $rank[] = PHP_INT_MAX;
        }

        return $rank;
    }

    /**
     * @param list<int> $a
     * @param list<int> $b
     */
    private static function compare(array $a, array $b): int
    {
        foreach ($a as $i => $rank) {
            if (! isset($b[$i])) {
                return 1;
            }
            if ($rank !== $b[$i]) {
                return $rank <=> $b[$i];
            }
        }

        return count($a) <=> count($b);
    }
}
