<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\AskReady;
use App\Actions\LeaveItem;
use App\Actions\RunClock;
use App\Http\DeviceHeaders;
use App\Models\Machine;
use App\Models\User;
use App\Views\RecordedView;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use IronStart\Core\Clock\ClockKind;
use OpenApi\Attributes as OA;

/** What two people on one machine tell each other: ready, clocks, and what is left to whom. */
final class CrewController
{
    private const TEXT = 500;
    private const NAME = 120;

    public function __construct(private readonly Recorded $recorded)
    {
    }

    #[OA\Post(path: '/api/v1/machines/{machine}/clocks', operationId: 'startClock', tags: ['machines'], parameters: [new OA\Parameter(ref: '#/components/parameters/machine'), new OA\Parameter(ref: '#/components/parameters/key')], requestBody: new OA\RequestBody(content: new OA\JsonContent(required: ['kind'], properties: [new OA\Property(property: 'kind', type: 'string'), new OA\Property(property: 'name', type: 'string'), new OA\Property(property: 'minutes', type: 'integer', nullable: true)])), responses: [new OA\Response(response: 201, description: 'Running', content: new OA\JsonContent(ref: RecordedView::class))])]
    public function startClock(Request $request, Machine $machine, #[CurrentUser] User $person, RunClock $action): JsonResponse
    {
        $body = Body::object($request);
        $minutes = Body::whole($body, 'minutes', 1, ClockKind::LONGEST_MINUTES);

        return $this->recorded->reply($machine, $action->start($machine, DeviceHeaders::stamp($request), Body::text($request, 'kind', 24), Body::optionalText($body, 'name', self::NAME), $minutes), $person);
    }

    #[OA\Post(path: '/api/v1/machines/{machine}/clocks/{clock}/stop', operationId: 'stopClock', tags: ['machines'], parameters: [new OA\Parameter(ref: '#/components/parameters/machine'), new OA\Parameter(ref: '#/components/parameters/key'), new OA\Parameter(name: 'clock', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))], requestBody: new OA\RequestBody(content: new OA\JsonContent(properties: [new OA\Property(property: 'word', type: 'string')])), responses: [new OA\Response(response: 201, description: 'Stopped', content: new OA\JsonContent(ref: RecordedView::class))])]
    public function stopClock(Request $request, Machine $machine, int $clock, #[CurrentUser] User $person, RunClock $action): JsonResponse
    {
        $word = Body::optionalText(Body::object($request), 'word', self::TEXT);

        return $this->recorded->reply($machine, $action->stop($machine, DeviceHeaders::stamp($request), $clock, $word), $person);
    }

    #[OA\Post(path: '/api/v1/machines/{machine}/items', operationId: 'openItem', tags: ['machines'], parameters: [new OA\Parameter(ref: '#/components/parameters/machine'), new OA\Parameter(ref: '#/components/parameters/key')], requestBody: new OA\RequestBody(content: new OA\JsonContent(required: ['what'], properties: [new OA\Property(property: 'what', type: 'string'), new OA\Property(property: 'owner', type: 'string'), new OA\Property(property: 'due', type: 'string'), new OA\Property(property: 'check', type: 'string'), new OA\Property(property: 'subject', type: 'string')])), responses: [new OA\Response(response: 201, description: 'Open', content: new OA\JsonContent(ref: RecordedView::class))])]
    public function openItem(Request $request, Machine $machine, #[CurrentUser] User $person, LeaveItem $action): JsonResponse
    {
        $body = Body::object($request);
        $entry = $action->open(
            $machine,
            DeviceHeaders::stamp($request),
            Body::text($request, 'what', 240),
            Body::optionalText($body, 'owner', self::NAME),
            Body::optionalText($body, 'due', 10),
            Body::optionalText($body, 'check', 40),
            Body::optionalText($body, 'subject', self::NAME),
        );

        return $this->recorded->reply($machine, $entry, $person);
    }

    #[OA\Post(path: '/api/v1/machines/{machine}/items/{item}/own', operationId: 'ownItem', tags: ['machines'], parameters: [new OA\Parameter(ref: '#/components/parameters/machine'), new OA\Parameter(ref: '#/components/parameters/key'), new OA\Parameter(name: 'item', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))], requestBody: new OA\RequestBody(content: new OA\JsonContent(required: ['owner', 'due'], properties: [new OA\Property(property: 'owner', type: 'string'), new OA\Property(property: 'due', type: 'string')])), responses: [new OA\Response(response: 201, description: 'Owned', content: new OA\JsonContent(ref: RecordedView::class))])]
    public function ownItem(Request $request, Machine $machine, int $item, #[CurrentUser] User $person, LeaveItem $action): JsonResponse
    {
        return $this->recorded->reply($machine, $action->own($machine->loadMissing('job'), DeviceHeaders::stamp($request), $item, Body::text($request, 'owner', self::NAME), Body::text($request, 'due', 10)), $person);
    }

    #[OA\Post(path: '/api/v1/machines/{machine}/items/{item}/done', operationId: 'finishItem', tags: ['machines'], parameters: [new OA\Parameter(ref: '#/components/parameters/machine'), new OA\Parameter(ref: '#/components/parameters/key'), new OA\Parameter(name: 'item', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))], requestBody: new OA\RequestBody(content: new OA\JsonContent(required: ['word'], properties: [new OA\Property(property: 'word', type: 'string')])), responses: [new OA\Response(response: 201, description: 'Done', content: new OA\JsonContent(ref: RecordedView::class))])]
    public function finishItem(Request $request, Machine $machine, int $item, #[CurrentUser] User $person, LeaveItem $action): JsonResponse
    {
        return $this->recorded->reply($machine, $action->done($machine->loadMissing('job'), DeviceHeaders::stamp($request), $item, Body::text($request, 'word', self::TEXT)), $person);
    }

    #[OA\Post(path: '/api/v1/machines/{machine}/ready', operationId: 'askReady', tags: ['machines'], parameters: [new OA\Parameter(ref: '#/components/parameters/machine'), new OA\Parameter(ref: '#/components/parameters/key')], requestBody: new OA\RequestBody(content: new OA\JsonContent(required: ['what'], properties: [new OA\Property(property: 'what', type: 'string')])), responses: [new OA\Response(response: 201, description: 'Asked', content: new OA\JsonContent(ref: RecordedView::class))])]
    public function askReady(Request $request, Machine $machine, #[CurrentUser] User $person, AskReady $action): JsonResponse
    {
        return $this->recorded->reply($machine, $action->ask($machine, DeviceHeaders::stamp($request), Body::text($request, 'what', 160)), $person);
    }

    #[OA\Post(path: '/api/v1/machines/{machine}/ready/{asked}', operationId: 'answerReady', tags: ['machines'], parameters: [new OA\Parameter(ref: '#/components/parameters/machine'), new OA\Parameter(ref: '#/components/parameters/key'), new OA\Parameter(name: 'asked', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))], requestBody: new OA\RequestBody(content: new OA\JsonContent(properties: [new OA\Property(property: 'word', type: 'string')])), responses: [new OA\Response(response: 201, description: 'Answered', content: new OA\JsonContent(ref: RecordedView::class))])]
    public function answerReady(Request $request, Machine $machine, int $asked, #[CurrentUser] User $person, AskReady $action): JsonResponse
    {
        return $this->recorded->reply($machine, $action->answer($machine->loadMissing('job'), DeviceHeaders::stamp($request), $asked, Body::optionalText(Body::object($request), 'word', self::TEXT)), $person);
    }
}
