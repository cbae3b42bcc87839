<?php

declare(strict_types=1);

namespace IronStart\Core\Logger;

use IronStart\Core\Check\Field;
use IronStart\Core\Check\FieldType;
use IronStart\Core\Quantity\Units;

/**
 * What the columns of a logger's file are: which line names them, where and how the time stands, and which column is which
 * reading in which unit. Nothing of it is guessed while reading: what a file looks like is a proposal somebody accepts.
 *
 * @phpstan-type Column array{column: int, unit: string}
 */
final readonly class Mapping
{
    public const SEPARATORS = ['comma' => ',', 'semicolon' => ';', 'tab' => "\t"];
    private const SECONDS = ['s' => 1.0, 'min' => 60.0, 'h' => 3600.0];
    private const COLUMNS = 100;

    /**
     * @param non-empty-string $separator
     * @param int $head line that names the columns, from 1; 0: none does
     * @param array<string, Column> $values by the reading's name
     */
    private function __construct(
        public string $separator,
        public bool $decimalComma,
        public int $head,
        public TimeForm $form,
        public int $time,
        /** The column of the day, where it stands in one of its own. */
        public ?int $day,
        public float $unit,
        public \DateTimeZone $zone,
        public array $values,
    ) {
    }

    /**
     * @param array<mixed> $told as it came
     * @param list<Field> $fields readings that are asked for
     * @throws MappingError naming what of it can't be
     */
    public static function read(array $told, array $fields): self
    {
        $text = fn (string $name): string => is_string($told[$name] ?? null) ? $told[$name] : '';
        if (! isset(self::SEPARATORS[$text('separator')])) {
            throw new MappingError('separator', 'Say what stands between the columns: a comma, a semicolon or a tab.');
        }
        $form = TimeForm::tryFrom($text('form')) ?? throw new MappingError('form', 'Say how the time is written. Where day and month can be mixed up, nobody guesses.');
        if ($form === TimeForm::Elapsed && ! isset(self::SECONDS[$text('unit')])) {
            throw new MappingError('unit', 'Say what the time is counted in: seconds, minutes or hours.');
        }
        $zone = self::zone($text('zone'), $form);
        $values = [];
        foreach ($fields as $field) {
            $one = is_array($told['values'] ?? null) ? $told['values'][$field->name] ?? null : null;
            if (! is_array($one) || self::column($one['column'] ?? null) === null) {
                throw new MappingError("values.$field->name", 'Say which column this reading stands in.');
            }
            $unit = is_string($one['unit'] ?? null) ? $one['unit'] : '';
            if ($field->kind === null || ! Units::knows($field->kind, $unit)) {
                throw new MappingError("values.$field->name", 'Say which unit the logger writes this reading in.');
            }
            $values[$field->name] = ['column' => (int) $one['column'], 'unit' => $unit];
        }
        $head = self::column($told['head'] ?? null) ?? throw new MappingError('head', 'Say which line names the columns; 0 where none does.');

        return new self(
            self::SEPARATORS[$text('separator')],
            ($told['decimal'] ?? '') === 'comma',
            $head,
            $form,
            self::column($told['time'] ?? null) ?? throw new MappingError('time', 'Say which column the time stands in.'),
            self::column($told['day'] ?? null),
            self::SECONDS[$text('unit')] ?? 1.0,
            $zone,
            $values,
        );
    }

    /**
     * The readings of a list a logger can give: quantities that are no time.
     *
     * @param list<Field> $members
     * @return list<Field>
     */
    public static function readings(array $members): array
    {
        return array_values(array_filter($members, fn (Field $f): bool => $f->type === FieldType::Quantity && $f->name !== 'minutes'));
    }

    private static function zone(string $name, TimeForm $form): \DateTimeZone
    {
        if (! $form->hasDay()) {
            return new \DateTimeZone('UTC');
        }

        return in_array($name, \DateTimeZone::listIdentifiers(), true) ? new \DateTimeZone($name) : throw new MappingError('zone', 'Say which time zone the logger\'s clock runs in.');
    }

    private static function column(mixed $told): ?int
    {
        return is_int($told) && $told >= 0 && $told < self::COLUMNS ? $told : null;
    }
}
