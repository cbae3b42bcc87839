<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** What is said of a job. Its type and facts are said when it is made; facts change on the tape. */
#[OA\Schema(required: ['title', 'startsOn', 'endsOn'], properties: [new OA\Property(property: 'version', type: 'integer'), new OA\Property(property: 'title', type: 'string'), new OA\Property(property: 'type', type: 'string'), new OA\Property(property: 'startUpOnly', type: 'boolean'), new OA\Property(property: 'asked', type: 'array', items: new OA\Items(type: 'string', enum: ['1', '2', '3'])), new OA\Property(property: 'facts', type: 'array', items: new OA\Items(type: 'string')), new OA\Property(property: 'startsOn', type: 'string', format: 'date'), new OA\Property(property: 'endsOn', type: 'string', format: 'date'), new OA\Property(property: 'people', type: 'array', items: new OA\Items(type: 'integer'))])]
final class JobInput
{
}
