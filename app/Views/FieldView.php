<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** One field of a check. */
#[OA\Schema(required: ['name', 'type', 'need', 'label', 'help', 'kind', 'units', 'min', 'max', 'unit', 'options', 'optionWords', 'fields', 'accepted', 'starts', 'instrument', 'told', 'brought', 'sheet', 'orFlag', 'length', 'day', 'orNone'])]
final readonly class FieldView
{
    /**
     * @param list<string> $units
     * @param list<string|int> $options
     * @param list<string> $optionWords
     * @param list<FieldView> $fields
     * @param array{us: string, si: string}|null $starts
     */
    public function __construct(
        #[OA\Property()]
        public string $name,
        #[OA\Property()]
        public string $type,
        #[OA\Property()]
        public string $need,
        #[OA\Property()]
        public string $label,
        #[OA\Property()]
        public string $help,
        #[OA\Property()]
        public string $kind,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $units,
        #[OA\Property()]
        public ?float $min,
        #[OA\Property()]
        public ?float $max,
        #[OA\Property()]
        public string $unit,
        #[OA\Property(items: new OA\Items(oneOf: [new OA\Schema(type: 'string'), new OA\Schema(type: 'integer')]))]
        public array $options,
        /** What a person presses for each of them. */
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $optionWords,
        #[OA\Property(type: 'array', items: new OA\Items(ref: FieldView::class))]
        public array $fields,
        #[OA\Property()]
        public string $accepted,
        /** The unit a box starts in, by system of units. */
        #[OA\Property(nullable: true, required: ['us', 'si'], properties: [new OA\Property(property: 'us', type: 'string'), new OA\Property(property: 'si', type: 'string')], type: 'object')]
        public ?array $starts,
        /** What it is read with; empty for what is known or seen. */
        #[OA\Property()]
        public string $instrument,
        /** Asked of a person before it may be recorded. */
        #[OA\Property()]
        public bool $told,
        /** Filled from the record or by the job and never typed. */
        #[OA\Property()]
        public bool $brought,
        /** Stands on the equipment sheet. */
        #[OA\Property()]
        public bool $sheet,
        /** A yes that may stand in the figure's place. */
        #[OA\Property()]
        public string $orFlag,
        /** The most letters a text may have; 0 for what is no text. */
        #[OA\Property()]
        public int $length,
        /** A date and a time. */
        #[OA\Property()]
        public bool $moment,
        /** A day of the calendar. */
        #[OA\Property()]
        public bool $day,
        /** A list of nothing may be told: nothing came, nothing stands. */
        #[OA\Property()]
        public bool $orNone,
        /** The moment of telling, which the device knows and nobody types. */
        #[OA\Property()]
        public bool $now,
        /** Of a moment: to the second. */
        #[OA\Property()]
        public bool $seconds,
    ) {
    }
}
