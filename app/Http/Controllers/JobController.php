<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\TakePartOut;
use App\Actions\TellOfJob;
use App\Http\Bodies\Body;
use App\Http\Bodies\Writes;
use App\Http\DeviceHeaders;
use App\Models\Entry;
use App\Models\Machine;
use App\Models\User;
use App\Records\Paper;
use App\Views\PartOutView;
use App\Views\RecordedView;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;

/** What holds for a job or a part of a machine: facts, work on the supply, what is out of service. */
final class JobController
{
    public function __construct(private readonly Recorded $recorded)
    {
    }

    #[Writes('/api/v1/machines/{machine}/facts', 'tellFact', 'machines', 'Told', RecordedView::class, also: [409 => 'Somebody has just said otherwise'])]
    public function fact(Request $request, Machine $machine, #[CurrentUser] User $person, TellOfJob $action): JsonResponse
    {
        $body = Body::of($request, 'tellFact');
        $entry = $action->fact($machine, DeviceHeaders::stamp($request), $body->text('fact'), $body->flag('on'), $body->whole('seen') ?? $machine->last_at, $body->text('reason'));

        return $this->recorded->reply($machine, $entry, $person);
    }

    #[Writes('/api/v1/machines/{machine}/supply-work', 'supplyWork', 'machines', 'Told', RecordedView::class)]
    public function supplyWork(Request $request, Machine $machine, #[CurrentUser] User $person, TellOfJob $action): JsonResponse
    {
        return $this->recorded->reply($machine, $action->supplyWork($machine, DeviceHeaders::stamp($request), Body::of($request, 'supplyWork')->text('what')), $person);
    }

    #[Writes('/api/v1/machines/{machine}/parts-out', 'takePartOut', 'machines', 'Out of service', RecordedView::class, also: [409 => 'Somebody was first'])]
    public function partOut(Request $request, Machine $machine, #[CurrentUser] User $person, TakePartOut $action): JsonResponse
    {
        $body = Body::of($request, 'takePartOut');
        $entry = $action->out($machine->loadMissing('job', 'sheet'), DeviceHeaders::stamp($request), $body->text('subject'), $body->text('why'), $body->text('wire'), $body->text('who'), $body->words('fans') ?? []);

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

    #[Writes('/api/v1/machines/{machine}/parts-back', 'putPartBack', 'machines', 'In service', RecordedView::class, also: [409 => 'Somebody was first'])]
    public function partBack(Request $request, Machine $machine, #[CurrentUser] User $person, TakePartOut $action): JsonResponse
    {
        $body = Body::of($request, 'putPartBack');
        $entry = $action->back($machine->loadMissing('job'), DeviceHeaders::stamp($request), $body->text('subject'), $body->text('word'));

        return $this->recorded->reply($machine, $entry, $person);
    }
}
