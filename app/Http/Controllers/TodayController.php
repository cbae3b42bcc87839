<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\User;
use App\Queries\KeptBoard;
use App\Views\TodayView;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use OpenApi\Attributes as OA;

#[OA\Tag(name: 'machines')]
final class TodayController
{
    public function __construct(private readonly KeptBoard $board)
    {
    }

    #[OA\Get(path: '/api/v1/today', operationId: 'today', tags: ['machines'], responses: [new OA\Response(response: 200, description: 'The day\'s board', content: new OA\JsonContent(ref: TodayView::class))])]
    public function show(#[CurrentUser] User $person): JsonResponse
    {
        return JsonResponse::fromJsonString($this->board->for($person));
    }
}
