<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Machine;
use App\Models\User;
use App\Queries\ClocksBoard;
use App\Queries\DaysToCome;
use App\Records\ClockCalendar;
use App\Records\DayCalendar;
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

        return self::file($calendar->of($board->clocks, $board->now), 'clocks');
    }

    #[OA\Get(path: '/api/v1/days.ics', operationId: 'days', tags: ['clocks'], responses: [new OA\Response(response: 200, description: 'Days on which something is due, of all machines you see, as a calendar', content: new OA\MediaType(mediaType: 'text/calendar', schema: new OA\Schema(type: 'string')))])]
    public function days(#[CurrentUser] User $person, DaysToCome $days, DayCalendar $calendar): Response
    {
        return self::file($calendar->of($days->for($person)), 'days');
    }

    #[OA\Get(path: '/api/v1/machines/{machine}/days.ics', operationId: 'daysOfMachine', tags: ['clocks'], parameters: [new OA\Parameter(ref: '#/components/parameters/machine')], responses: [new OA\Response(response: 200, description: 'Days on which something of this machine is due, as a calendar', content: new OA\MediaType(mediaType: 'text/calendar', schema: new OA\Schema(type: 'string')))])]
    public function daysOf(Machine $machine, DaysToCome $days, DayCalendar $calendar): Response
    {
        return self::file($calendar->of($days->of($machine)), 'days');
    }

    private static function file(string $calendar, string $name): Response
    {
        return response($calendar, 200, ['Content-Type' => 'text/calendar; charset=utf-8', 'Content-Disposition' => "attachment; filename=\"$name.ics\""]);
    }
}
