<?php

declare(strict_types=1);

namespace App\Queries;

use App\Views\ChecksView;
use App\Views\CheckView;
use App\Views\FieldView;
use App\Views\GateName;
use App\Views\ItemView;
use App\Views\PutBackKindView;
use IronStart\Core\Check\Check;
use IronStart\Core\Check\Field;
use IronStart\Core\Check\FieldType;
use IronStart\Core\Gate\FactPlace;
use IronStart\Core\Gate\Job;
use IronStart\Core\Gate\JobType;
use IronStart\Core\Judge\Judge;
use IronStart\Core\PutBack\PutBackKind;
use IronStart\Core\Quantity\Units;
use IronStart\Core\Verdict\Caution;
use IronStart\Core\Walked\Item;
use IronStart\Core\Walked\ItemList;
use IronStart\Core\Wording\Phrases;

/** Describes the checks from their classes: what the benches, the API and the Pocket are drawn from. */
final class CheckCatalogue
{
    public function __construct(private readonly Judge $judge, private readonly Phrases $phrases)
    {
    }

    public function all(): ChecksView
    {
        return new ChecksView(
            array_map(fn (string $id): CheckView => $this->check($this->judge->registry->get($id)), $this->judge->registry->ids()),
            (object) array_combine(Caution::ALL, array_map($this->phrases->caution(...), Caution::ALL)),
            array_map(fn (int $gate): GateName => new GateName($gate, $this->phrases->common('gate_names', (string) $gate), $this->phrases->common('gates', (string) $gate)), range(1, 12)),
            array_values(array_map(
                fn (PutBackKind $kind): PutBackKindView => new PutBackKindView($kind->value, $this->phrases->common('put_back', $kind->value), $kind->shuts(), $kind->limitMinutes()),
                array_filter(PutBackKind::cases(), fn (PutBackKind $kind): bool => $kind->isOpenedByHand()),
            )),
            (object) $this->facts(),
            (object) Units::signs(),
        );
    }

    /** @return array<string, list<array{id: string, text: string}>> facts that decide something, by type of job */
    private function facts(): array
    {
        $facts = [];
        foreach (JobType::cases() as $type) {
            $asked = array_filter(Job::FACTS, fn (string $fact): bool => FactPlace::of($fact, $type, $this->judge->registry->ids()) !== []);
            $facts[$type->value] = array_values(array_map(fn (string $fact): array => ['id' => $fact, 'text' => $this->phrases->common('facts', $fact)], $asked));
        }

        return $facts;
    }

    private function check(Check $check): CheckView
    {
        return new CheckView(
            $check->id(),
            $this->phrases->question($check->id()),
            $this->phrases->short($check->id()),
            $check->version(),
            array_map(fn (Field $f): FieldView => $this->field($check->id(), $f, ''), $check->fields()),
            $check instanceof ItemList ? array_map(fn (Item $i): ItemView => $this->item($check->id(), $i), $check::list()) : [],
        );
    }

    private function field(string $check, Field $field, string $prefix): FieldView
    {
        [$label, $help] = $this->phrases->field($check, $prefix . $field->name);

        return new FieldView(
            $field->name,
            $field->type->value,
            $field->need->value,
            $label,
            $help,
            $field->kind->value ?? '',
            $field->kind === null ? [] : Units::of($field->kind),
            $field->told($field->min),
            $field->told($field->max),
            $field->unit,
            $field->options,
            $this->optionWords($check, $field, $prefix . $field->name),
            array_map(fn (Field $f): FieldView => $this->field($check, $f, "$prefix$field->name."), $field->fields),
            $field->accepted(),
            $field->kind === null ? null : ['us' => $field->starts ?: Units::start($field->kind, 'us'), 'si' => $field->starts ?: Units::start($field->kind, 'si')],
            $field->instrument->value ?? '',
            $field->told,
            $field->brought || $field->ofJob,
            $field->sheet !== '' && ! $field->sheetStarts,
            $field->orFlag ?? '',
            $field->type === FieldType::Text ? $field->length : 0,
            $field->isMoment,
            $field->isDay,
            $field->mayBeEmpty,
            $field->isNow,
            $field->hasSeconds,
        );
    }

    /** @return list<string> what a person presses; the gates are asked by nobody */
    private function optionWords(string $check, Field $field, string $path): array
    {
        return $check === 'job.gates' || $field->type === FieldType::Choices ? [] : array_map(fn (string|int $option): string => $this->phrases->option($check, $path, $option), $field->options);
    }

    private function item(string $check, Item $item): ItemView
    {
        [$text, $help] = $this->phrases->field($check, "items.$item->id");

        return new ItemView($item->id, $text, $item->must, $item->always, $item->types === null ? null : array_map(fn (JobType $t): string => $t->value, $item->types), $help, $this->phrases->readyReasons($check, $item->id));
    }
}
