<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\TickBring;
use App\Http\Bodies\Body;
use App\Http\Bodies\Writes;
use App\Http\Query;
use App\Models\SiteJob;
use App\Models\User;
use App\Queries\JobBoard;
use App\Records\JobFile;
use App\Views\BringView;
use App\Views\JobBoardView;
use App\Views\JobsView;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** Jobs with what holds their units; one job whole, its bring list, and all of it as one file. */
final class BoardController
{
    public function __construct(private readonly JobBoard $board)
    {
    }

    #[OA\Get(path: '/api/v1/jobs', operationId: 'jobs', tags: ['office'], parameters: [new OA\Parameter(name: 'state', in: 'query', schema: new OA\Schema(type: 'string', enum: ['open', 'finished'])), new OA\Parameter(name: 'before', in: 'query', schema: new OA\Schema(type: 'integer'))], responses: [new OA\Response(response: 200, description: 'Jobs you see, the newest first', content: new OA\JsonContent(ref: JobsView::class))])]
    public function index(Request $request, #[CurrentUser] User $person): JsonResponse
    {
        $before = Query::text($request, 'before');

        return Reply::with($this->board->jobs($person, Query::text($request, 'state') === 'finished', ctype_digit($before) ? (int) $before : null));
    }

    #[OA\Get(path: '/api/v1/jobs/{job}', operationId: 'jobBoard', tags: ['office'], parameters: [new OA\Parameter(ref: '#/components/parameters/job')], responses: [new OA\Response(response: 200, description: 'The job whole', content: new OA\JsonContent(ref: JobBoardView::class))])]
    public function show(SiteJob $job, #[CurrentUser] User $person): JsonResponse
    {
        return Reply::with($this->board->job($person, $job));
    }

    #[OA\Get(path: '/api/v1/jobs/{job}/job.zip', operationId: 'jobFile', tags: ['office'], parameters: [new OA\Parameter(ref: '#/components/parameters/job')], responses: [new OA\Response(response: 200, description: 'Records, readings, photos and pages of all its units in one file', content: new OA\MediaType(mediaType: 'application/zip', schema: new OA\Schema(type: 'string', format: 'binary')))])]
    public function file(SiteJob $job, #[CurrentUser] User $person, JobFile $file): BinaryFileResponse
    {
        $path = $file->of($job, $person);
        $name = trim((string) preg_replace('/[^A-Za-z0-9-]+/', '-', "{$job->site->name}-$job->title"), '-');

        return response()->download($path, "$name.zip", ['Content-Type' => 'application/zip'])->deleteFileAfterSend();
    }

    #[Writes('/api/v1/jobs/{job}/bring', 'tickBring', 'office', 'Ticked', JobBoardView::class)]
    public function bring(Request $request, SiteJob $job, #[CurrentUser] User $person, TickBring $action): JsonResponse
    {
        $body = Body::of($request, 'tickBring');
        $items = array_map(fn (BringView $item): string => $item->id, $this->board->job($person, $job)->bring);
        $action->tick($job, $person, $body->text('item'), $body->text('state'), $items);

        return Reply::with($this->board->job($person, $job), 201);
    }
}
