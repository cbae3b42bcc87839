<?php

declare(strict_types=1);

namespace IronStart\Core\Check;

use IronStart\Core\Quantity\Kind;
use IronStart\Core\Quantity\Quantity;
use IronStart\Core\Quantity\TubeSize;
use IronStart\Core\Quantity\Units;

/**
 * One field of a check's input: its name, shape, range and what its absence means.
 *
 * From this the reader validates, the interface draws its boxes and the API describes itself. Fields are
 * built by the named factories and the methods that return a changed copy.
 */
final class Field
{
    public const TEXT_LENGTH = 120;

    public Need $need = Need::Optional;
    public ?Kind $kind = null;
    /** Bounds in the canonical unit of the kind, inclusive; null where there is none. */
    public ?float $min = null;
    public ?float $max = null;
    /** The lower bound itself is not allowed ("> 0"). */
    public bool $aboveMin = false;
    /** The unit in which the range is told to people. */
    public string $unit = '';
    /** @var list<string|int> The words, or the numbers that choose. */
    public array $options = [];
    /** @var list<self> Fields of a group or of each item of a list. */
    public array $fields = [];
    /** The value taken where none is given, as the check sees it (a quantity in its canonical unit). */
    public float|string|bool|int|null $default = null;
    /** The member whose value may stand only once in a list. */
    public ?string $uniqueBy = null;
    /** A flag that may stand in the quantity's place, as an object with that one member. */
    public ?string $orFlag = null;
    public int $length = self::TEXT_LENGTH;
    /** @var (\Closure(string): mixed)|null Turns a text into what the check uses, or throws with what is accepted. */
    public ?\Closure $parse = null;
    /** @var (\Closure(Input): bool)|null Needed only when this holds for what was given beside it. */
    public ?\Closure $when = null;
    /** Which figure of the equipment sheet fills it, by its path there; '' for none. */
    public string $sheet = '';
    /** The sheet only starts it: what is read instead needs no word why. */
    public bool $sheetStarts = false;
    /** The unit a box starts in, where it is not the kind's usual one. */
    public string $starts = '';
    /** What it is read with; null for what is known or seen. */
    public ?Instrument $instrument = null;
    /** Has a default, and yet a recording wants it said. */
    public bool $told = false;
    /** Fractions of an inch are taken too (`7/8 in`). */
    public bool $fractions = false;
    /** A tube's outside diameter: it counts as the nearest size there is. */
    public bool $isTube = false;
    /** The unit a bare number stands for, where the field's name says it; '' where a unit is always written. */
    public string $bareUnit = '';
    /** Filled from the record and never typed. */
    public bool $brought = false;
    /** A list of nothing says something (nothing came, nothing stands). */
    public bool $mayBeEmpty = false;
    /** A list that begins with what was recorded of it; what is still to come follows from the sheet. */
    public bool $goesOn = false;
    /** A date and a time. */
    public bool $isMoment = false;
    /** A date alone. */
    public bool $isDay = false;
    /** Of a moment: its seconds count. */
    public bool $hasSeconds = false;
    /** The moment it is told: nobody types it. */
    public bool $isNow = false;
    /** Filled by the type of the job. */
    public bool $ofJob = false;
    /** Starts with the name of the person who fills it. */
    public bool $ofReader = false;
    /** Starts with the altitude of the site. */
    public bool $ofSite = false;

    private function __construct(public readonly string $name, public readonly FieldType $type)
    {
    }

    public static function quantity(string $name, Kind $kind, string $unit, ?float $min = null, ?float $max = null): self
    {
        $field = new self($name, FieldType::Quantity);
        $field->kind = $kind;
        $field->instrument = Instrument::of($kind);

        return $field->between($min, $max, $unit);
    }

    /** 0 to 1000 V unless said otherwise. */
    public static function volts(string $name, float $min = 0.0, float $max = 1000.0): self
    {
        return self::quantity($name, Kind::Voltage, 'V', $min, $max);
    }

    /** 0 to 5000 A unless said otherwise. */
    public static function amps(string $name, float $min = 0.0, float $max = 5000.0): self
    {
        return self::quantity($name, Kind::Current, 'A', $min, $max);
    }

    /** 0 to 300 m unless said otherwise. */
    public static function length(string $name, string $unit = 'm', float $min = 0.0, ?float $max = null): self
    {
        return self::quantity($name, Kind::Length, $unit, $min, $max ?? Units::fromCanonical(300.0, $unit, Kind::Length))->readWith(null);
    }

    /** 0 to 100,000 kg unless said otherwise. */
    public static function mass(string $name): self
    {
        return self::quantity($name, Kind::Mass, 'kg', 0, 100_000);
    }

    /** °C, inclusive. */
    public static function temperature(string $name, ?float $min = null, ?float $max = null): self
    {
        return self::quantity($name, Kind::Temperature, 'degC', $min, $max);
    }

    /** A tube's outside diameter, one of the sizes there are. */
    public static function tube(string $name): self
    {
        return self::quantity($name, Kind::Length, 'in', 0)->asTube();
    }

    /** Several tube sizes. */
    public static function tubes(string $name): self
    {
        return self::quantities($name, Kind::Length, 'in', 0)->asTube();
    }

    public static function percent(string $name, ?float $min = null, ?float $max = null): self
    {
        return self::quantity($name, Kind::Ratio, '%', $min, $max);
    }

    /** Minutes: a bare number of them, or any time with its unit. */
    public static function minutes(string $name, ?float $min = 0.0): self
    {
        return self::quantity($name, Kind::Time, 'min', $min)->bareIn('min')->readWith(null);
    }

    /** A number without a unit. */
    public static function number(string $name, ?float $min = null, ?float $max = null): self
    {
        return (new self($name, FieldType::Number))->between($min, $max, '');
    }

    /** A whole number, 0 or more unless said otherwise. */
    public static function count(string $name, int $min = 0, ?int $max = null): self
    {
        return (new self($name, FieldType::Count))->between((float) $min, $max === null ? null : (float) $max, '');
    }

    public static function text(string $name, int $length = self::TEXT_LENGTH): self
    {
        $field = new self($name, FieldType::Text);
        $field->length = $length;

        return $field;
    }

    /** @param \Closure(string): mixed $parse throws \InvalidArgumentException, its message saying what is accepted */
    public static function parsed(string $name, \Closure $parse): self
    {
        $field = new self($name, FieldType::Text);
        $field->parse = $parse;

        return $field;
    }

    /** A text of more than the usual length. */
    public function upTo(int $length): self
    {
        return $this->with(fn (self $f) => $f->length = $length);
    }

    /** A date and a time, with a zone or without. */
    public static function moment(string $name): self
    {
        return self::parsed($name, Moment::parse(...))->with(fn (self $f) => $f->isMoment = true);
    }

    /** A day of the calendar. */
    public static function day(string $name): self
    {
        return self::parsed($name, Day::parse(...))->with(fn (self $f) => $f->isDay = true);
    }

    /** The moment of telling, from the clock of the device. */
    public function isPresent(): self
    {
        return $this->with(fn (self $f) => $f->isNow = true);
    }

    /** Written to the second. */
    public function withSeconds(): self
    {
        return $this->with(fn (self $f) => $f->hasSeconds = true);
    }

    /** Of a list: it begins with what was recorded, and what is still to come follows. */
    public function goesOn(): self
    {
        return $this->with(fn (self $f) => $f->goesOn = true);
    }

    public static function flag(string $name): self
    {
        return new self($name, FieldType::Flag);
    }

    public static function word(string $name, string ...$words): self
    {
        $field = new self($name, FieldType::Word);
        $field->options = array_values($words);

        return $field;
    }

    /** A list of words from a closed set. */
    public static function words(string $name, string ...$words): self
    {
        $field = new self($name, FieldType::Words);
        $field->options = array_values($words);

        return $field;
    }

    /** A list of free texts. */
    public static function texts(string $name, int $length = self::TEXT_LENGTH): self
    {
        $field = new self($name, FieldType::Texts);
        $field->length = $length;

        return $field;
    }

    /** A bare number out of a few (1 or 3 phases). */
    public static function choice(string $name, int ...$numbers): self
    {
        $field = new self($name, FieldType::Choice);
        $field->options = array_values($numbers);

        return $field;
    }

    /** A list of quantities of one kind. */
    public static function quantities(string $name, Kind $kind, string $unit, ?float $min = null, ?float $max = null): self
    {
        $field = new self($name, FieldType::Numbers);
        $field->kind = $kind;

        return $field->between($min, $max, $unit);
    }

    /** A list of numbers without unit. */
    public static function numbers(string $name, ?float $min = null, ?float $max = null): self
    {
        return (new self($name, FieldType::Numbers))->between($min, $max, '');
    }

    /** A list of whole numbers from $min to $max. */
    public static function choices(string $name, int $min, int $max): self
    {
        $field = new self($name, FieldType::Choices);
        $field->options = range($min, $max);

        return $field;
    }

    /** A list of objects. */
    public static function items(string $name, self ...$fields): self
    {
        $field = new self($name, FieldType::Items);
        $field->fields = array_values($fields);

        return $field;
    }

    /** An object with members of its own. */
    public static function group(string $name, self ...$fields): self
    {
        $field = new self($name, FieldType::Group);
        $field->fields = array_values($fields);

        return $field;
    }

    /** Any JSON value, read by whom it is for. */
    public static function raw(string $name): self
    {
        return new self($name, FieldType::Raw);
    }

    public function needed(): self
    {
        return $this->with(fn (self $f) => $f->need = Need::Needed);
    }

    /** @param \Closure(Input): bool $when over what was given beside it */
    public function neededWhen(\Closure $when): self
    {
        return $this->with(function (self $f) use ($when): void {
            $f->need = Need::Needed;
            $f->when = $when;
        });
    }

    public function structural(): self
    {
        return $this->with(fn (self $f) => $f->need = Need::Structural);
    }

    /** A quantity's default is written with its unit, `"30 degC"`. */
    public function default(float|string|bool|int $value): self
    {
        return $this->with(function (self $f) use ($value): void {
            $f->default = $f->kind !== null && is_string($value)
                ? Quantity::parse($value, $f->kind)?->canonical
                : $value;
        });
    }

    /** Strictly above zero (a rating, or anything that is divided by). */
    public function positive(): self
    {
        return $this->with(function (self $f): void {
            $f->min = 0.0;
            $f->aboveMin = true;
        });
    }

    /** A list of nothing is given, not left out. */
    public function orNone(): self
    {
        return $this->with(fn (self $f) => $f->mayBeEmpty = true);
    }

    public function takesFractions(): self
    {
        return $this->with(fn (self $f) => $f->fractions = true);
    }

    /** A bare number is taken for this unit; the box starts in it. */
    public function bareIn(string $unit): self
    {
        return $this->with(fn (self $f) => [$f->bareUnit, $f->starts] = [$unit, $unit]);
    }

    public function uniqueBy(string $member): self
    {
        return $this->with(fn (self $f) => $f->uniqueBy = $member);
    }

    public function orFlag(string $member): self
    {
        return $this->with(fn (self $f) => $f->orFlag = $member);
    }

    /** @param string $path of the sheet's figure, such as `electrical.mca`; within a list the item's own member */
    public function fromSheet(string $path, bool $asStart = false): self
    {
        return $this->with(function (self $f) use ($path, $asStart): void {
            [$f->sheet, $f->sheetStarts] = [$path, $asStart];
            // A figure of the sheet is not read with anything.
            $f->instrument = $asStart ? $f->instrument : null;
        });
    }

    public function startsIn(string $unit): self
    {
        return $this->with(fn (self $f) => $f->starts = $unit);
    }

    public function readWith(?Instrument $instrument): self
    {
        return $this->with(fn (self $f) => $f->instrument = $instrument);
    }

    /** Asked of a person before it may be recorded, though the check has a default for it. */
    public function toldToRecord(): self
    {
        return $this->with(fn (self $f) => $f->told = true);
    }

    /** Filled by the type of the job. */
    public function fromJob(): self
    {
        return $this->with(fn (self $f) => $f->ofJob = true);
    }

    /** Starts with the name of the person who fills it. */
    public function startsAsReader(): self
    {
        return $this->with(fn (self $f) => $f->ofReader = true);
    }

    /** Starts with the altitude of the site. */
    public function fromSite(): self
    {
        return $this->with(fn (self $f) => $f->ofSite = true);
    }

    /** Filled from the record and never typed. */
    public function broughtIn(): self
    {
        return $this->with(fn (self $f) => $f->brought = true);
    }

    /** What is accepted here, as a person would be told. */
    public function accepted(): string
    {
        $range = $this->range();
        $units = $this->kind === null ? '' : implode(', ', Units::of($this->kind));

        return match ($this->type) {
            FieldType::Quantity, FieldType::Numbers => match (true) {
                $this->isTube => 'a tube size: ' . implode(', ', array_keys(TubeSize::INCHES)) . ', or its size in mm',
                $this->kind === null => "a list of numbers without a unit$range",
                $this->type === FieldType::Numbers => "a list of numbers, each with its unit ($units)$range",
                $this->bareUnit !== '' => "a number of $this->bareUnit, or one with its unit ($units)$range",
                default => "a number with its unit ($units)$range",
            },
            FieldType::Number => "a number without a unit$range",
            FieldType::Count => "a whole number$range",
            FieldType::Text => "a text of at most $this->length characters",
            FieldType::Texts => "a list of texts of at most $this->length characters",
            FieldType::Flag => 'true or false',
            FieldType::Word, FieldType::Choice => implode(', ', $this->options),
            FieldType::Words, FieldType::Choices => 'a list of: ' . implode(', ', $this->options),
            FieldType::Items => 'a list of objects',
            FieldType::Group => 'an object',
            FieldType::Raw => 'any JSON value',
        };
    }

    private function range(): string
    {
        $unit = $this->unit === '' ? '' : " $this->unit";
        $low = $this->told($this->min);
        $high = $this->told($this->max);
        if ($this->aboveMin) {
            return $high === null ? ", above $low$unit" : ", above $low and up to $high$unit";
        }

        return match (true) {
            $low !== null && $high !== null => ", from $low to $high$unit",
            $low !== null => ", $low$unit or more",
            $high !== null => ", up to $high$unit",
            default => '',
        };
    }

    /** A bound in the unit the range is told in, or null. */
    public function told(?float $canonical): ?float
    {
        if ($canonical === null || $this->kind === null) {
            return $canonical;
        }

        return round(Units::fromCanonical($canonical, $this->unit, $this->kind), 9);
    }

    private function asTube(): self
    {
        return $this->with(function (self $f): void {
            [$f->isTube, $f->fractions, $f->instrument] = [true, true, null];
            $f->options = array_keys(TubeSize::INCHES);
        });
    }

    private function between(?float $min, ?float $max, string $unit): self
    {
        $bound = fn (?float $b): ?float => $b === null || $this->kind === null ? $b : Units::toCanonical($b, $unit, $this->kind);
        $this->min = $bound($min);
        $this->max = $bound($max);
        $this->unit = $unit;

        return $this;
    }

    /** @param \Closure(self): mixed $change */
    private function with(\Closure $change): self
    {
        $copy = clone $this;
        $change($copy);

        return $copy;
    }
}
