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
use App\Http\Bodies\AsPrinted;
use App\Http\Bodies\Body;
use App\Http\Bodies\Writes;
use App\Http\DeviceHeaders;
use App\Models\Instrument;
use App\Models\Machine;
use App\Models\PutBack;
use App\Models\User;
use App\Queries\Feeds;
use App\Queries\LockBoard;
use App\Queries\MachineScreen;
use App\Queries\WholeJob;
use App\Refusals\Refusal;
use App\Views\LockBoardView;
use App\Views\MachineView;
use App\Views\NewsView;
use App\Views\ProblemView;
use App\Views\RecordedView;
use App\Views\SiteUnitsView;
use App\Views\WholeJobView;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

#[OA\Parameter(parameter: 'machine', name: 'machine', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
#[OA\Parameter(parameter: 'writer', name: 'X-Person', in: 'header', required: true, description: 'The id of whoever wrote it. It is taken only while the same person is signed in.', schema: new OA\Schema(type: 'string'))]
#[OA\Parameter(parameter: 'key', name: 'Idempotency-Key', in: 'header', required: true, schema: new OA\Schema(type: 'string'))]
final class MachineController
{
    private const PARTS = 12;

    public function __construct(private readonly MachineScreen $screen, private readonly Recorded $recorded)
    {
    }

    #[OA\Get(path: '/api/v1/machines/{machine}', operationId: 'machine', tags: ['machines'], parameters: [new OA\Parameter(ref: '#/components/parameters/machine')], responses: [new OA\Response(response: 200, description: 'All the screen needs', content: new OA\JsonContent(ref: MachineView::class)), new OA\Response(response: 404, description: 'Not to be found', content: new OA\JsonContent(ref: ProblemView::class))])]
    public function show(Machine $machine, #[CurrentUser] User $person): JsonResponse
    {
        return Reply::with($this->screen->of($machine, $person));
    }

    #[OA\Get(path: '/api/v1/machines/{machine}/locks', operationId: 'locks', tags: ['machines'], parameters: [new OA\Parameter(ref: '#/components/parameters/machine')], responses: [new OA\Response(response: 200, description: 'What keeps the units of its job dead', content: new OA\JsonContent(ref: LockBoardView::class))])]
    public function locks(Machine $machine, LockBoard $board): JsonResponse
    {
        return Reply::with($board->around($machine));
    }

    #[OA\Get(path: '/api/v1/machines/{machine}/whole', operationId: 'whole', tags: ['machines'], parameters: [new OA\Parameter(ref: '#/components/parameters/machine')], responses: [new OA\Response(response: 200, description: 'What was recorded on the units of its job, as facts', content: new OA\JsonContent(ref: WholeJobView::class))])]
    public function whole(Machine $machine, WholeJob $whole): JsonResponse
    {
        return Reply::with($whole->around($machine));
    }

    #[OA\Get(path: '/api/v1/machines/{machine}/site-units', operationId: 'siteUnits', tags: ['machines'], parameters: [new OA\Parameter(ref: '#/components/parameters/machine')], responses: [new OA\Response(response: 200, description: 'The units of its site as they may hang on one feed', content: new OA\JsonContent(ref: SiteUnitsView::class))])]
    public function siteUnits(Machine $machine, Feeds $feeds): JsonResponse
    {
        return Reply::with(new SiteUnitsView($feeds->unitsAt($machine)));
    }

    #[Writes('/api/v1/machines/{machine}/checks/{check}', 'record', 'machines', 'Recorded', RecordedView::class)]
    public function record(Request $request, Machine $machine, string $check, #[CurrentUser] User $person, RecordCheck $action): JsonResponse
    {
        $body = Body::of($request, 'record');
        $given = self::given($machine, $check, $body->text('subject'), $body->raw('input'), $body->whole('supersedes'), $body);

        return $this->recorded->reply($machine, $action->record($machine, DeviceHeaders::stamp($request), $given, $person->units), $person);
    }

    /** What was read together is recorded together, or not at all. */
    #[Writes('/api/v1/machines/{machine}/checks', 'recordTogether', 'machines', 'Recorded', RecordedView::class)]
    public function recordTogether(Request $request, Machine $machine, #[CurrentUser] User $person, RecordCheck $action): JsonResponse
    {
        $body = Body::of($request, 'recordTogether');
        $parts = $body->each('parts');
        if (count($parts) > self::PARTS) {
            throw Refusal::field('parts', count($parts), 'a list of 1 to ' . self::PARTS . ' checks');
        }
        $given = array_map(fn (\stdClass $part): RecordedInput => self::given($machine, $part->check, $part->subject ?? '', $part->input ?? null, $part->supersedes ?? null, $body), $parts);

        return $this->recorded->reply($machine, $action->all($machine, DeviceHeaders::stamp($request), $given, $person->units)[0], $person);
    }

    #[Writes('/api/v1/machines/{machine}/starts', 'start', 'machines', 'Starting it now', RecordedView::class, also: [409 => 'Run is shut'])]
    public function start(Request $request, Machine $machine, #[CurrentUser] User $person, PressStart $action): JsonResponse
    {
        $machine->loadMissing('job');

        return $this->recorded->reply($machine, $action->press($machine, DeviceHeaders::stamp($request), Body::of($request, 'start')->flag('unchecked')), $person);
    }

    #[Writes('/api/v1/machines/{machine}/notes', 'note', 'machines', 'Noted', RecordedView::class)]
    public function note(Request $request, Machine $machine, #[CurrentUser] User $person, AddNote $action): JsonResponse
    {
        $body = Body::of($request, 'note');

        return $this->recorded->reply($machine, $action->add($machine, DeviceHeaders::stamp($request), $body->whole('gate'), $body->text('text')), $person);
    }

    #[Writes('/api/v1/machines/{machine}/suspects', 'doubt', 'machines', 'Doubted', RecordedView::class)]
    public function suspect(Request $request, Machine $machine, #[CurrentUser] User $person, MarkSuspect $action): JsonResponse
    {
        $body = Body::of($request, 'doubt');

        return $this->recorded->reply($machine, $action->mark($machine, (int) $body->whole('at'), DeviceHeaders::stamp($request), $body->text('reason')), $person);
    }

    #[Writes('/api/v1/machines/{machine}/put-back', 'openPutBack', 'machines', 'Opened', RecordedView::class)]
    public function openPutBack(Request $request, Machine $machine, #[CurrentUser] User $person, OpenPutBack $action): JsonResponse
    {
        $body = Body::of($request, 'openPutBack');

        return $this->recorded->reply($machine, $action->byHand($machine, DeviceHeaders::stamp($request), $body->text('kind'), $body->text('where')), $person);
    }

    #[Writes('/api/v1/machines/{machine}/overrides', 'openGate', 'machines', 'Opened against the stop', RecordedView::class, also: [409 => 'Nobody may'])]
    public function override(Request $request, Machine $machine, #[CurrentUser] User $person, OpenGate $action): JsonResponse
    {
        $body = Body::of($request, 'openGate');
        $machine->loadMissing('job');

        return $this->recorded->reply($machine, $action->open($machine, DeviceHeaders::stamp($request), (int) $body->whole('gate'), $body->text('reason')), $person);
    }

    /** The last place on the tape: cheap to ask for every few seconds. */
    #[OA\Get(path: '/api/v1/machines/{machine}/news', operationId: 'news', tags: ['machines'], parameters: [new OA\Parameter(ref: '#/components/parameters/machine')], responses: [new OA\Response(response: 200, description: 'The last place on the tape', content: new OA\JsonContent(ref: NewsView::class))])]
    public function news(Machine $machine, Feeds $feeds): JsonResponse
    {
        return Reply::with(new NewsView($machine->last_at, $feeds->newsOf($machine->id)));
    }

    #[Writes('/api/v1/machines/{machine}/put-back/{putBack}/close', 'closePutBack', 'machines', 'Closed', RecordedView::class)]
    public function closePutBack(Request $request, Machine $machine, PutBack $putBack, #[CurrentUser] User $person, ClosePutBack $action): JsonResponse
    {
        if ($putBack->machine_id !== $machine->id) {
            throw Refusal::notFound();
        }

        return $this->recorded->reply($machine, $action->close($machine, $putBack, DeviceHeaders::stamp($request), Body::of($request, 'closePutBack')->text('word')), $person);
    }

    #[Writes('/api/v1/machines/{machine}/put-back/{putBack}/leave', 'leavePutBack', 'machines', 'Left', RecordedView::class)]
    public function leavePutBack(Request $request, Machine $machine, PutBack $putBack, #[CurrentUser] User $person, LeavePutBack $action): JsonResponse
    {
        if ($putBack->machine_id !== $machine->id) {
            throw Refusal::notFound();
        }
        $body = Body::of($request, 'leavePutBack');
        $entry = $action->leave($machine, $putBack, DeviceHeaders::stamp($request), $body->text('reason'), $body->text('owner'), $body->text('due'));

        return $this->recorded->reply($machine, $entry, $person);
    }

    private static function given(Machine $machine, string $check, string $subject, mixed $input, ?int $supersedes, Body $body): RecordedInput
    {
        if ($supersedes !== null && $supersedes > max(1, $machine->last_at)) {
            throw Refusal::field('supersedes', $supersedes, "a whole number from 1 to $machine->last_at");
        }
        $instrument = $body->whole('instrument');
        if ($instrument !== null && ! Instrument::query()->whereKey($instrument)->exists()) {
            throw Refusal::field('instrument', $instrument, 'one of the company\'s instruments');
        }

        return new RecordedInput($check, trim($subject) === '' ? 'machine' : trim($subject), AsPrinted::input($input) ?? new \stdClass(), $instrument, $supersedes, $body->text('reason'), $body->flag('unchecked'), $body->text('source'));
    }
}
