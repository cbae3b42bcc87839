<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\User;
use App\Queries\ClocksBoard;
use App\Records\ClockCalendar;
use App\Views\ClocksView;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;

final class ClockController
{
    public function __construct(private readonly ClocksBoard $board)
    {
    }

    #[OA\Get(path: '/api/v1/clocks', operationId: 'clocks', tags: ['clocks'], responses: [new OA\Response(response: 200, description: 'The clocks of all machines you see', content: new OA\JsonContent(ref: ClocksView::class))])]
    public function index(#[CurrentUser] User $person): JsonResponse
    {
        return Reply::with($this->board->for($person));
    }

    #[OA\Get(path: '/api/v1/clocks.ics', operationId: 'clocksFile', tags: ['clocks'], responses: [new OA\Response(response: 200, description: 'The same as a calendar', content: new OA\MediaType(mediaType: 'text/calendar', schema: new OA\Schema(type: 'string')))])]
    public function calendar(#[CurrentUser] User $person, ClockCalendar $calendar): Response
    {
        $board = $this->board->for($person);

        return response($calendar->of($board->clocks, $board->now), 200, ['Content-Type' => 'text/calendar; charset=utf-8', 'Content-Disposition' => 'attachment; filename="clocks.ics"']);
    }
}
