<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Machine;
use Illuminate\Database\ConnectionInterface;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

/** Floors for the benchmarks: the same way in as everything about a machine, and as little as can be done there. */
final class FloorController
{
    #[OA\Get(path: '/api/v1/machines/{machine}/nothing', operationId: 'readNothing', tags: ['floor'], parameters: [new OA\Parameter(ref: '#/components/parameters/machine')], responses: [new OA\Response(response: 200, description: 'Nothing', content: new OA\JsonContent(type: 'object'))])]
    public function read(Machine $machine): JsonResponse
    {
        return Reply::with(new \stdClass());
    }

    #[OA\Post(path: '/api/v1/machines/{machine}/nothing', operationId: 'writeNothing', tags: ['floor'], parameters: [new OA\Parameter(ref: '#/components/parameters/machine'), new OA\Parameter(ref: '#/components/parameters/key')], responses: [new OA\Response(response: 201, description: 'One bare row', content: new OA\JsonContent(type: 'object'))])]
    public function write(Machine $machine, ConnectionInterface $db): JsonResponse
    {
        $db->table('floor_rows')->insert(['company_id' => $machine->company_id, 'machine_id' => $machine->id, 'created_at' => now()]);

        return Reply::with(new \stdClass(), 201);
    }
}
