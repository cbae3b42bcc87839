<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** What the plate of a machine says. */
#[OA\Schema(required: ['name'], properties: [new OA\Property(property: 'version', type: 'integer'), new OA\Property(property: 'name', type: 'string'), new OA\Property(property: 'place', type: 'string'), new OA\Property(property: 'serial', type: 'string'), new OA\Property(property: 'summary', type: 'string'), new OA\Property(property: 'history', type: 'string'), new OA\Property(property: 'sheet', type: 'integer', nullable: true)])]
final class MachineInput
{
}
