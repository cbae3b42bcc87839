<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\AddNote;
use App\Actions\ClosePutBack;
use App\Actions\LeavePutBack;
use App\Actions\MarkSuspect;
use App\Actions\OpenGate;
use App\Actions\OpenPutBack;
use App\Actions\PressStart;
use App\Actions\RecordCheck;
use App\Actions\RecordedInput;
use App\Http\DeviceHeaders;
use App\Models\Instrument;
use App\Models\Machine;
use App\Models\PutBack;
use App\Models\User;
use App\Queries\MachineScreen;
use App\Refusals\Refusal;
use App\Views\MachineView;
use App\Views\NewsView;
use App\Views\ProblemView;
use App\Views\RecordedView;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

#[OA\Parameter(parameter: 'machine', name: 'machine', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
#[OA\Parameter(parameter: 'key', name: 'Idempotency-Key', in: 'header', required: true, schema: new OA\Schema(type: 'string'))]
final class MachineController
{
    private const TEXT = 500;
    private const NOTE = 2000;
    private const PARTS = 4;

    public function __construct(private readonly MachineScreen $screen, private readonly Recorded $recorded)
    {
    }

    #[OA\Get(path: '/api/v1/machines/{machine}', operationId: 'machine', tags: ['machines'], parameters: [new OA\Parameter(ref: '#/components/parameters/machine')], responses: [new OA\Response(response: 200, description: 'All the screen needs', content: new OA\JsonContent(ref: MachineView::class)), new OA\Response(response: 404, description: 'Not to be found', content: new OA\JsonContent(ref: ProblemView::class))])]
    public function show(Machine $machine, #[CurrentUser] User $person): JsonResponse
    {
        return Reply::with($this->screen->of($machine, $person));
    }

    #[OA\Post(path: '/api/v1/machines/{machine}/checks/{check}', operationId: 'record', tags: ['machines'], parameters: [new OA\Parameter(ref: '#/components/parameters/machine'), new OA\Parameter(ref: '#/components/parameters/key'), new OA\Parameter(name: 'check', in: 'path', required: true, schema: new OA\Schema(type: 'string'))], requestBody: new OA\RequestBody(content: new OA\JsonContent(properties: [new OA\Property(property: 'subject', type: 'string'), new OA\Property(property: 'input', type: 'object', additionalProperties: true), new OA\Property(property: 'instrument', type: 'integer', nullable: true), new OA\Property(property: 'supersedes', type: 'integer', nullable: true), new OA\Property(property: 'reason', type: 'string')])), responses: [new OA\Response(response: 201, description: 'Recorded', content: new OA\JsonContent(ref: RecordedView::class)), new OA\Response(response: 422, description: 'A value that can\'t be taken', content: new OA\JsonContent(ref: ProblemView::class))])]
    public function record(Request $request, Machine $machine, string $check, #[CurrentUser] User $person, RecordCheck $action): JsonResponse
    {
        $body = Body::object($request);
        $given = self::given($machine, $check, $body, self::instrument($body), Body::optionalText($body, 'reason', self::TEXT));
        $machine->loadMissing('job', 'sheet');

        return $this->recorded->reply($machine, $action->record($machine, DeviceHeaders::stamp($request), $given, $person->units), $person);
    }

    /** What was read together is recorded together, or not at all. */
    #[OA\Post(path: '/api/v1/machines/{machine}/checks', operationId: 'recordTogether', tags: ['machines'], parameters: [new OA\Parameter(ref: '#/components/parameters/machine'), new OA\Parameter(ref: '#/components/parameters/key')], requestBody: new OA\RequestBody(content: new OA\JsonContent(required: ['parts'], properties: [new OA\Property(property: 'parts', type: 'array', items: new OA\Items(type: 'object', required: ['check'], properties: [new OA\Property(property: 'check', type: 'string'), new OA\Property(property: 'subject', type: 'string'), new OA\Property(property: 'input', type: 'object', additionalProperties: true), new OA\Property(property: 'supersedes', type: 'integer', nullable: true)])), new OA\Property(property: 'instrument', type: 'integer', nullable: true), new OA\Property(property: 'reason', type: 'string')])), responses: [new OA\Response(response: 201, description: 'Recorded', content: new OA\JsonContent(ref: RecordedView::class)), new OA\Response(response: 422, description: 'A value that does not work', content: new OA\JsonContent(ref: ProblemView::class))])]
    public function recordTogether(Request $request, Machine $machine, #[CurrentUser] User $person, RecordCheck $action): JsonResponse
    {
        $body = Body::object($request);
        $parts = $body->parts ?? null;
        if (! is_array($parts) || $parts === [] || count($parts) > self::PARTS || array_filter($parts, fn (mixed $p): bool => ! $p instanceof \stdClass || ! is_string($p->check ?? null)) !== []) {
            throw Refusal::field('parts', $parts, 'a list of 1 to ' . self::PARTS . ' checks');
        }
        [$instrument, $reason] = [self::instrument($body), Body::optionalText($body, 'reason', self::TEXT)];
        $given = array_map(fn (\stdClass $part): RecordedInput => self::given($machine, $part->check, $part, $instrument, $reason), array_values($parts));
        $machine->loadMissing('job', 'sheet');

        return $this->recorded->reply($machine, $action->all($machine, DeviceHeaders::stamp($request), $given, $person->units)[0], $person);
    }

    #[OA\Post(path: '/api/v1/machines/{machine}/starts', operationId: 'start', tags: ['machines'], parameters: [new OA\Parameter(ref: '#/components/parameters/machine'), new OA\Parameter(ref: '#/components/parameters/key')], requestBody: new OA\RequestBody(content: new OA\JsonContent(properties: [new OA\Property(property: 'unchecked', type: 'boolean')])), responses: [new OA\Response(response: 201, description: 'Starting it now', content: new OA\JsonContent(ref: RecordedView::class)), new OA\Response(response: 409, description: 'Run is shut', content: new OA\JsonContent(ref: ProblemView::class))])]
    public function start(Request $request, Machine $machine, #[CurrentUser] User $person, PressStart $action): JsonResponse
    {
        $machine->loadMissing('job');

        return $this->recorded->reply($machine, $action->press($machine, DeviceHeaders::stamp($request), self::unchecked($request)), $person);
    }

    #[OA\Post(path: '/api/v1/machines/{machine}/notes', operationId: 'note', tags: ['machines'], parameters: [new OA\Parameter(ref: '#/components/parameters/machine'), new OA\Parameter(ref: '#/components/parameters/key')], requestBody: new OA\RequestBody(content: new OA\JsonContent(required: ['text'], properties: [new OA\Property(property: 'text', type: 'string'), new OA\Property(property: 'gate', type: 'integer', nullable: true)])), responses: [new OA\Response(response: 201, description: 'Noted', content: new OA\JsonContent(ref: RecordedView::class))])]
    public function note(Request $request, Machine $machine, #[CurrentUser] User $person, AddNote $action): JsonResponse
    {
        $gate = Body::whole(Body::object($request), 'gate', 1, 12);

        return $this->recorded->reply($machine, $action->add($machine, DeviceHeaders::stamp($request), $gate, Body::text($request, 'text', self::NOTE)), $person);
    }

    #[OA\Post(path: '/api/v1/machines/{machine}/suspects', operationId: 'doubt', tags: ['machines'], parameters: [new OA\Parameter(ref: '#/components/parameters/machine'), new OA\Parameter(ref: '#/components/parameters/key')], requestBody: new OA\RequestBody(content: new OA\JsonContent(required: ['at', 'reason'], properties: [new OA\Property(property: 'at', type: 'integer'), new OA\Property(property: 'reason', type: 'string')])), responses: [new OA\Response(response: 201, description: 'Doubted', content: new OA\JsonContent(ref: RecordedView::class))])]
    public function suspect(Request $request, Machine $machine, #[CurrentUser] User $person, MarkSuspect $action): JsonResponse
    {
        $at = Body::whole(Body::object($request), 'at', 1, PHP_INT_MAX) ?? throw Refusal::field('at', null, 'the place of a reading on this machine\'s tape');

        return $this->recorded->reply($machine, $action->mark($machine, $at, DeviceHeaders::stamp($request), Body::text($request, 'reason', self::TEXT)), $person);
    }

    #[OA\Post(path: '/api/v1/machines/{machine}/put-back', operationId: 'openPutBack', tags: ['machines'], parameters: [new OA\Parameter(ref: '#/components/parameters/machine'), new OA\Parameter(ref: '#/components/parameters/key')], requestBody: new OA\RequestBody(content: new OA\JsonContent(required: ['kind', 'where'], properties: [new OA\Property(property: 'kind', type: 'string'), new OA\Property(property: 'where', type: 'string')])), responses: [new OA\Response(response: 201, description: 'Opened', content: new OA\JsonContent(ref: RecordedView::class))])]
    public function openPutBack(Request $request, Machine $machine, #[CurrentUser] User $person, OpenPutBack $action): JsonResponse
    {
        return $this->recorded->reply($machine, $action->byHand($machine, DeviceHeaders::stamp($request), Body::text($request, 'kind', 24), Body::text($request, 'where', 160)), $person);
    }

    #[OA\Post(path: '/api/v1/machines/{machine}/overrides', operationId: 'openGate', tags: ['machines'], parameters: [new OA\Parameter(ref: '#/components/parameters/machine'), new OA\Parameter(ref: '#/components/parameters/key')], requestBody: new OA\RequestBody(content: new OA\JsonContent(required: ['gate', 'reason'], properties: [new OA\Property(property: 'gate', type: 'integer'), new OA\Property(property: 'reason', type: 'string')])), responses: [new OA\Response(response: 201, description: 'Opened against the stop', content: new OA\JsonContent(ref: RecordedView::class)), new OA\Response(response: 409, description: 'Nobody may', content: new OA\JsonContent(ref: ProblemView::class))])]
    public function override(Request $request, Machine $machine, #[CurrentUser] User $person, OpenGate $action): JsonResponse
    {
        $gate = Body::whole(Body::object($request), 'gate', 1, 12) ?? throw Refusal::field('gate', null, 'a whole number from 1 to 12');
        $machine->loadMissing('job');

        return $this->recorded->reply($machine, $action->open($machine, DeviceHeaders::stamp($request), $gate, Body::text($request, 'reason', self::TEXT)), $person);
    }

    /** The last place on the tape: cheap to ask for every few seconds. */
    #[OA\Get(path: '/api/v1/machines/{machine}/news', operationId: 'news', tags: ['machines'], parameters: [new OA\Parameter(ref: '#/components/parameters/machine')], responses: [new OA\Response(response: 200, description: 'The last place on the tape', content: new OA\JsonContent(ref: NewsView::class))])]
    public function news(Machine $machine): JsonResponse
    {
        return Reply::with(new NewsView($machine->last_at));
    }

    #[OA\Post(path: '/api/v1/machines/{machine}/put-back/{putBack}/close', operationId: 'closePutBack', tags: ['machines'], parameters: [new OA\Parameter(ref: '#/components/parameters/machine'), new OA\Parameter(ref: '#/components/parameters/key'), new OA\Parameter(name: 'putBack', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))], requestBody: new OA\RequestBody(content: new OA\JsonContent(required: ['word'], properties: [new OA\Property(property: 'word', type: 'string')])), responses: [new OA\Response(response: 201, description: 'Closed', content: new OA\JsonContent(ref: RecordedView::class))])]
    public function closePutBack(Request $request, Machine $machine, PutBack $putBack, #[CurrentUser] User $person, ClosePutBack $action): JsonResponse
    {
        if ($putBack->machine_id !== $machine->id) {
            throw Refusal::notFound();
        }

        return $this->recorded->reply($machine, $action->close($machine, $putBack, DeviceHeaders::stamp($request), Body::text($request, 'word', self::TEXT)), $person);
    }

    #[OA\Post(path: '/api/v1/machines/{machine}/put-back/{putBack}/leave', operationId: 'leavePutBack', tags: ['machines'], parameters: [new OA\Parameter(ref: '#/components/parameters/machine'), new OA\Parameter(ref: '#/components/parameters/key'), new OA\Parameter(name: 'putBack', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))], requestBody: new OA\RequestBody(content: new OA\JsonContent(required: ['reason', 'owner', 'due'], properties: [new OA\Property(property: 'reason', type: 'string'), new OA\Property(property: 'owner', type: 'string'), new OA\Property(property: 'due', type: 'string', format: 'date')])), responses: [new OA\Response(response: 201, description: 'Left', content: new OA\JsonContent(ref: RecordedView::class))])]
    public function leavePutBack(Request $request, Machine $machine, PutBack $putBack, #[CurrentUser] User $person, LeavePutBack $action): JsonResponse
    {
        if ($putBack->machine_id !== $machine->id) {
            throw Refusal::notFound();
        }
        $entry = $action->leave($machine, $putBack, DeviceHeaders::stamp($request), Body::text($request, 'reason', self::TEXT), Body::text($request, 'owner', 120), Body::text($request, 'due', 10));

        return $this->recorded->reply($machine, $entry, $person);
    }

    /** Pressed without signal, or while a write was waiting: it could not be checked then. */
    private static function unchecked(Request $request): bool
    {
        $unchecked = in_array($request->getContent(), ['', '[]'], true) ? false : Body::object($request)->unchecked ?? false;

        return is_bool($unchecked) ? $unchecked : throw Refusal::field('unchecked', $unchecked, 'true or false');
    }

    private static function given(Machine $machine, string $check, \stdClass $part, ?int $instrument, string $reason): RecordedInput
    {
        $subject = trim(Body::optionalText($part, 'subject', 120));

        return new RecordedInput($check, $subject === '' ? 'machine' : $subject, $part->input ?? new \stdClass(), $instrument, Body::whole($part, 'supersedes', 1, max(1, $machine->last_at)), $reason);
    }

    private static function instrument(\stdClass $body): ?int
    {
        $id = Body::whole($body, 'instrument', 1, PHP_INT_MAX);
        if ($id !== null && ! Instrument::query()->whereKey($id)->exists()) {
            throw Refusal::field('instrument', $id, 'one of the company\'s instruments');
        }

        return $id;
    }
}
