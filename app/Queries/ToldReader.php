<?php

declare(strict_types=1);

namespace App\Queries;

use App\Views\ToldView;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\FieldType;
use IronStart\Core\Check\Need;
use IronStart\Core\Judge\Judge;
use IronStart\Core\Walked\ItemList;
use IronStart\Core\Wording\Phrases;

/** What a person answered or chose in a recorded input, in words; figures are readings and stand by themselves. */
final class ToldReader
{
    private const SAID = [FieldType::Word, FieldType::Words, FieldType::Flag, FieldType::Choice, FieldType::Choices, FieldType::Text];

    public function __construct(private readonly Judge $judge, private readonly Phrases $phrases)
    {
    }

    /**
     * @param array<string, mixed> $input as it was recorded
     * @return list<ToldView> none of a check that is not known
     */
    public function of(string $id, array $input): array
    {
        if (! in_array($id, $this->judge->registry->ids(), true)) {
            return [];
        }
        $check = $this->judge->registry->get($id);

        return $check instanceof ItemList ? $this->walked($id, $input) : $this->fields($id, $check->fields(), $input, '', '');
    }

    /**
     * @param array<string, mixed> $input
     * @return list<ToldView>
     */
    private function walked(string $id, array $input): array
    {
        $told = [];
        foreach (self::items($input['items'] ?? null) as $item) {
            if (is_string($item['id'] ?? null) && is_string($item['answer'] ?? null)) {
                $reason = is_string($item['reason'] ?? null) ? ", {$item['reason']}" : '';
                $told[] = new ToldView($this->phrases->field($id, "items.{$item['id']}")[0], $this->phrases->option($id, 'items.answer', $item['answer']) . $reason);
            }
        }

        return $told;
    }

    /**
     * @param list<Field> $fields
     * @param array<string, mixed> $input
     * @return list<ToldView>
     */
    private function fields(string $id, array $fields, array $input, string $path, string $of): array
    {
        $told = [];
        foreach ($fields as $field) {
            $value = $input[$field->name] ?? null;
            if ($field->type === FieldType::Items) {
                foreach (self::items($value) as $item) {
                    array_push($told, ...$this->fields($id, $field->fields, $item, "$path$field->name.", is_string($item['name'] ?? null) ? "{$item['name']}: " : ''));
                }
            } elseif ($field->type === FieldType::Group && is_array($value)) {
                array_push($told, ...$this->fields($id, $field->fields, $value, "$path$field->name.", $of));
            } elseif ($value !== null && self::isSaid($field)) {
                $told[] = new ToldView($of . $this->phrases->field($id, $path . $field->name)[0], $this->words($id, $path . $field->name, $value));
            }
        }

        return $told;
    }

    /** What the sheet, the record or the job gave was not said by anybody. */
    private static function isSaid(Field $field): bool
    {
        return in_array($field->type, self::SAID, true) && $field->need !== Need::Structural && ! $field->brought && ! $field->ofJob && $field->sheet === '';
    }

    private function words(string $id, string $path, mixed $value): string
    {
        return match (true) {
            is_bool($value) => $this->phrases->option($id, 'items.answer', $value ? 'yes' : 'no'),
            is_array($value) => implode(', ', array_map(fn (mixed $one): string => $this->words($id, $path, $one), $value)),
            is_string($value) || is_int($value) => $this->phrases->optionOr($id, $path, $value),
            default => '',
        };
    }

    /** @return list<array<string, mixed>> */
    private static function items(mixed $value): array
    {
        return array_values(array_filter(is_array($value) ? $value : [], is_array(...)));
    }
}
