<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** What is said of a site. */
#[OA\Schema(required: ['name'], properties: [new OA\Property(property: 'version', type: 'integer'), new OA\Property(property: 'name', type: 'string'), new OA\Property(property: 'address', type: 'string'), new OA\Property(property: 'altitude', description: 'metres', type: 'number'), new OA\Property(property: 'safety', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'string'))])]
final class SiteInput
{
}
