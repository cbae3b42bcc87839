<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** The signed-in person, and what they may do. */
#[OA\Schema(required: ['id', 'name', 'role', 'units', 'theme', 'fieldUnits', 'rights'])]
final readonly class PersonView
{
    /**
     * @param list<string> $rights
     */
    public function __construct(
        #[OA\Property()]
        public int $id,
        #[OA\Property()]
        public string $name,
        #[OA\Property()]
        public string $role,
        #[OA\Property()]
        public string $units,
        #[OA\Property()]
        public string $theme,
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'string'))]
        public object $fieldUnits,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $rights,
    ) {
    }
}
