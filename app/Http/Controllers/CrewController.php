<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\AskReady;
use App\Actions\LeaveItem;
use App\Actions\RunClock;
use App\Http\Bodies\Body;
use App\Http\Bodies\Writes;
use App\Http\DeviceHeaders;
use App\Models\Machine;
use App\Models\User;
use App\Views\RecordedView;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** What two people on one machine tell each other: ready, clocks, and what is left to whom. */
final class CrewController
{
    public function __construct(private readonly Recorded $recorded)
    {
    }

    #[Writes('/api/v1/machines/{machine}/clocks', 'startClock', 'machines', 'Running', RecordedView::class)]
    public function startClock(Request $request, Machine $machine, #[CurrentUser] User $person, RunClock $action): JsonResponse
    {
        $body = Body::of($request, 'startClock');

        return $this->recorded->reply($machine, $action->start($machine, DeviceHeaders::stamp($request), $body->text('kind'), $body->text('name'), $body->whole('minutes')), $person);
    }

    #[Writes('/api/v1/machines/{machine}/clocks/{clock}/stop', 'stopClock', 'machines', 'Stopped', RecordedView::class)]
    public function stopClock(Request $request, Machine $machine, int $clock, #[CurrentUser] User $person, RunClock $action): JsonResponse
    {
        $word = Body::of($request, 'stopClock')->text('word');

        return $this->recorded->reply($machine, $action->stop($machine, DeviceHeaders::stamp($request), $clock, $word), $person);
    }

    #[Writes('/api/v1/machines/{machine}/items', 'openItem', 'machines', 'Open', RecordedView::class)]
    public function openItem(Request $request, Machine $machine, #[CurrentUser] User $person, LeaveItem $action): JsonResponse
    {
        $body = Body::of($request, 'openItem');
        $entry = $action->open(
            $machine,
            DeviceHeaders::stamp($request),
            $body->text('what'),
            $body->text('owner'),
            $body->text('due'),
            $body->text('check'),
            $body->text('subject'),
        );

        return $this->recorded->reply($machine, $entry, $person);
    }

    #[Writes('/api/v1/machines/{machine}/items/{item}/own', 'ownItem', 'machines', 'Owned', RecordedView::class)]
    public function ownItem(Request $request, Machine $machine, int $item, #[CurrentUser] User $person, LeaveItem $action): JsonResponse
    {
        $body = Body::of($request, 'ownItem');

        return $this->recorded->reply($machine, $action->own($machine->loadMissing('job'), DeviceHeaders::stamp($request), $item, $body->text('owner'), $body->text('due')), $person);
    }

    #[Writes('/api/v1/machines/{machine}/items/{item}/done', 'finishItem', 'machines', 'Done', RecordedView::class)]
    public function finishItem(Request $request, Machine $machine, int $item, #[CurrentUser] User $person, LeaveItem $action): JsonResponse
    {
        return $this->recorded->reply($machine, $action->done($machine->loadMissing('job'), DeviceHeaders::stamp($request), $item, Body::of($request, 'finishItem')->text('word')), $person);
    }

    #[Writes('/api/v1/machines/{machine}/ready', 'askReady', 'machines', 'Asked', RecordedView::class)]
    public function askReady(Request $request, Machine $machine, #[CurrentUser] User $person, AskReady $action): JsonResponse
    {
        return $this->recorded->reply($machine, $action->ask($machine, DeviceHeaders::stamp($request), Body::of($request, 'askReady')->text('what')), $person);
    }

    #[Writes('/api/v1/machines/{machine}/ready/{asked}', 'answerReady', 'machines', 'Answered', RecordedView::class)]
    public function answerReady(Request $request, Machine $machine, int $asked, #[CurrentUser] User $person, AskReady $action): JsonResponse
    {
        return $this->recorded->reply($machine, $action->answer($machine->loadMissing('job'), DeviceHeaders::stamp($request), $asked, Body::of($request, 'answerReady')->text('word')), $person);
    }
}
