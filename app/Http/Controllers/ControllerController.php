<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Bodies\Body;
use App\Models\Machine;
use App\Queries\LiveController;
use App\Views\ControllerView;
use App\Views\ProblemView;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

/** A system's own controller: what its display shows, and what is pressed at it. Nothing of it is kept until it is recorded. */
final class ControllerController
{
    public function __construct(private readonly LiveController $controller)
    {
    }

    #[OA\Get(path: '/api/v1/machines/{machine}/controller', operationId: 'controller', tags: ['machines'], parameters: [new OA\Parameter(ref: '#/components/parameters/machine')], responses: [new OA\Response(response: 200, description: 'What it shows, or that there is none', content: new OA\JsonContent(ref: ControllerView::class))])]
    public function show(Machine $machine): JsonResponse
    {
        return Reply::with($this->controller->of($machine));
    }

    #[OA\Post(path: '/api/v1/machines/{machine}/controller', operationId: 'pressController', tags: ['machines'], parameters: [new OA\Parameter(ref: '#/components/parameters/machine')], responses: [new OA\Response(response: 200, description: 'What it shows then', content: new OA\JsonContent(ref: ControllerView::class)), new OA\Response(response: 409, description: 'It does not answer', content: new OA\JsonContent(ref: ProblemView::class)), new OA\Response(response: 422, description: 'It does not take that', content: new OA\JsonContent(ref: ProblemView::class))])]
    public function press(Request $request, Machine $machine): JsonResponse
    {
        $body = Body::of($request, 'pressController');

        return Reply::with($this->controller->press($machine, $body->text('press'), $body->words('units') ?? [], $body->text('mode') ?: 'cool'));
    }
}
