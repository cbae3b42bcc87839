<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\TakePartOut;
use App\Actions\TellOfJob;
use App\Http\DeviceHeaders;
use App\Models\Entry;
use App\Models\Machine;
use App\Models\User;
use App\Records\Paper;
use App\Refusals\Refusal;
use App\Views\PartOutView;
use App\Views\ProblemView;
use App\Views\RecordedView;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;

/** What holds for a job or a part of a machine: facts, work on the supply, what is out of service. */
final class JobController
{
    private const TEXT = 500;

    public function __construct(private readonly Recorded $recorded)
    {
    }

    #[OA\Post(path: '/api/v1/machines/{machine}/facts', operationId: 'tellFact', tags: ['machines'], parameters: [new OA\Parameter(ref: '#/components/parameters/machine'), new OA\Parameter(ref: '#/components/parameters/key')], requestBody: new OA\RequestBody(content: new OA\JsonContent(required: ['fact', 'on', 'seen'], properties: [new OA\Property(property: 'fact', type: 'string'), new OA\Property(property: 'on', type: 'boolean'), new OA\Property(property: 'seen', type: 'integer'), new OA\Property(property: 'reason', type: 'string')])), responses: [new OA\Response(response: 201, description: 'Told', content: new OA\JsonContent(ref: RecordedView::class)), new OA\Response(response: 409, description: 'Somebody has just said otherwise', content: new OA\JsonContent(ref: ProblemView::class))])]
    public function fact(Request $request, Machine $machine, #[CurrentUser] User $person, TellOfJob $action): JsonResponse
    {
        $body = Body::object($request);
        $on = $body->on ?? null;
        if (! is_bool($on)) {
            throw Refusal::field('on', $on, 'true or false');
        }
        $entry = $action->fact($machine, DeviceHeaders::stamp($request), Body::text($request, 'fact', 40), $on, Body::whole($body, 'seen', 0, PHP_INT_MAX) ?? $machine->last_at, Body::optionalText($body, 'reason', self::TEXT));

        return $this->recorded->reply($machine, $entry, $person);
    }

    #[OA\Post(path: '/api/v1/machines/{machine}/supply-work', operationId: 'supplyWork', tags: ['machines'], parameters: [new OA\Parameter(ref: '#/components/parameters/machine'), new OA\Parameter(ref: '#/components/parameters/key')], requestBody: new OA\RequestBody(content: new OA\JsonContent(required: ['what'], properties: [new OA\Property(property: 'what', type: 'string')])), responses: [new OA\Response(response: 201, description: 'Told', content: new OA\JsonContent(ref: RecordedView::class))])]
    public function supplyWork(Request $request, Machine $machine, #[CurrentUser] User $person, TellOfJob $action): JsonResponse
    {
        return $this->recorded->reply($machine, $action->supplyWork($machine, DeviceHeaders::stamp($request), Body::text($request, 'what', 240)), $person);
    }

    #[OA\Post(path: '/api/v1/machines/{machine}/parts-out', operationId: 'takePartOut', tags: ['machines'], parameters: [new OA\Parameter(ref: '#/components/parameters/machine'), new OA\Parameter(ref: '#/components/parameters/key')], requestBody: new OA\RequestBody(content: new OA\JsonContent(required: ['subject', 'why', 'wire', 'who'], properties: [new OA\Property(property: 'subject', type: 'string'), new OA\Property(property: 'why', type: 'string'), new OA\Property(property: 'wire', type: 'string'), new OA\Property(property: 'who', type: 'string'), new OA\Property(property: 'fans', type: 'array', items: new OA\Items(type: 'string'))])), responses: [new OA\Response(response: 201, description: 'Out of service', content: new OA\JsonContent(ref: RecordedView::class)), new OA\Response(response: 409, description: 'Somebody was first', content: new OA\JsonContent(ref: ProblemView::class))])]
    public function partOut(Request $request, Machine $machine, #[CurrentUser] User $person, TakePartOut $action): JsonResponse
    {
        $entry = $action->out($machine->loadMissing('job', 'sheet'), DeviceHeaders::stamp($request), Body::text($request, 'subject', 120), Body::text($request, 'why', self::TEXT), Body::text($request, 'wire', self::TEXT), Body::text($request, 'who', self::TEXT), self::fans($request));

        return $this->recorded->reply($machine, $entry, $person);
    }

    /** The tag that hangs on the part. */
    #[OA\Get(path: '/api/v1/machines/{machine}/parts-out/{at}/tag.pdf', operationId: 'partTag', tags: ['machines'], parameters: [new OA\Parameter(ref: '#/components/parameters/machine'), new OA\Parameter(name: 'at', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))], responses: [new OA\Response(response: 200, description: 'The tag as PDF', content: new OA\MediaType(mediaType: 'application/pdf', schema: new OA\Schema(type: 'string', format: 'binary')))])]
    public function tag(Machine $machine, int $at, #[CurrentUser] User $person, Paper $paper): Response
    {
        $machine->loadMissing('job.site');
        $entry = Entry::query()->where('machine_id', $machine->id)->where('at', $at)->where('kind', 'part_disabled')->firstOrFail();
        $told = fn (string $name): string => is_string($entry->details[$name] ?? null) ? $entry->details[$name] : '';
        $part = new PartOutView($at, $told('subject'), $told('what'), $told('why'), $told('wire'), $told('who'));
        $when = $entry->placed_at->setTimezone($person->company->time_zone)->format('Y-m-d H:i');
        $pdf = $paper->print('tag', ['machine' => $machine, 'part' => $part, 'when' => $when], "Tag of $machine->name, $part->what", "$machine->name  entry $at", 'a6');

        return response($pdf, 200, ['Content-Type' => 'application/pdf', 'Content-Disposition' => 'inline; filename="tag.pdf"']);
    }

    /** @return list<string> names of the fans that stay off too */
    private static function fans(Request $request): array
    {
        $fans = Body::members($request)['fans'] ?? [];
        if (! is_array($fans) || array_filter($fans, is_string(...)) !== $fans) {
            throw Refusal::field('fans', $fans, 'a list of names');
        }

        return array_values($fans);
    }

    #[OA\Post(path: '/api/v1/machines/{machine}/parts-back', operationId: 'putPartBack', tags: ['machines'], parameters: [new OA\Parameter(ref: '#/components/parameters/machine'), new OA\Parameter(ref: '#/components/parameters/key')], requestBody: new OA\RequestBody(content: new OA\JsonContent(required: ['subject', 'word'], properties: [new OA\Property(property: 'subject', type: 'string'), new OA\Property(property: 'word', type: 'string')])), responses: [new OA\Response(response: 201, description: 'In service', content: new OA\JsonContent(ref: RecordedView::class)), new OA\Response(response: 409, description: 'Somebody was first', content: new OA\JsonContent(ref: ProblemView::class))])]
    public function partBack(Request $request, Machine $machine, #[CurrentUser] User $person, TakePartOut $action): JsonResponse
    {
        $entry = $action->back($machine->loadMissing('job'), DeviceHeaders::stamp($request), Body::text($request, 'subject', 120), Body::text($request, 'word', self::TEXT));

        return $this->recorded->reply($machine, $entry, $person);
    }
}
