<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** One field of a check. */
#[OA\Schema(required: ['name', 'type', 'need', 'label', 'help', 'kind', 'units', 'min', 'max', 'unit', 'options', 'fields', 'accepted'])]
final readonly class FieldView
{
    /**
     * @param list<string> $units
     * @param list<string|int> $options
     * @param list<FieldView> $fields
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
        #[OA\Property(type: 'array', items: new OA\Items(ref: FieldView::class))]
        public array $fields,
        #[OA\Property()]
        public string $accepted,
    ) {
    }
}
