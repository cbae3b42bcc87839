<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Office;
use App\Http\Bodies\Body;
use App\Http\Bodies\Writes;
use App\Http\Query;
use App\Models\Machine;
use App\Models\Site;
use App\Models\SiteJob;
use App\Models\User;
use App\Queries\OfficeDesk;
use App\Refusals\Refusal;
use App\Support\Moment;
use App\Views\ActivityListView;
use App\Views\DeskMachineView;
use App\Views\FoundListView;
use App\Views\PageView;
use App\Views\ReviewListView;
use App\Views\SiteView;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;

/** Sites with their jobs and machines, what waits for review, what was done, search. */
#[OA\Parameter(parameter: 'site', name: 'site', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
#[OA\Parameter(parameter: 'job', name: 'job', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
final class OfficeController
{
    public function __construct(private readonly Office $office, private readonly OfficeDesk $desk)
    {
    }

    #[OA\Get(path: '/api/v1/sites', operationId: 'sites', tags: ['office'], parameters: [new OA\Parameter(name: 'q', in: 'query', schema: new OA\Schema(type: 'string')), new OA\Parameter(name: 'after', in: 'query', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'A page of sites', content: new OA\JsonContent(ref: PageView::class))])]
    public function sites(Request $request): JsonResponse
    {
        return Reply::with($this->desk->sites(Query::text($request, 'q'), Query::text($request, 'after')));
    }

    #[OA\Get(path: '/api/v1/sites/{site}', operationId: 'site', tags: ['office'], parameters: [new OA\Parameter(ref: '#/components/parameters/site')], responses: [new OA\Response(response: 200, description: 'The site with its jobs and machines', content: new OA\JsonContent(ref: SiteView::class))])]
    public function site(Site $site): JsonResponse
    {
        return Reply::with($this->desk->site($site));
    }

    #[Writes('/api/v1/sites', 'makeSite', 'office', 'Made', SiteView::class)]
    public function makeSite(Request $request, #[CurrentUser] User $by): JsonResponse
    {
        return Reply::with($this->desk->site($this->office->makeSite($by, self::siteInput(Body::of($request, 'makeSite')))->refresh()), 201);
    }

    #[Writes('/api/v1/sites/{site}', 'changeSite', 'office', 'Changed', SiteView::class, also: [409 => 'Somebody changed it meanwhile'])]
    public function changeSite(Request $request, Site $site, #[CurrentUser] User $by): JsonResponse
    {
        $body = Body::of($request, 'changeSite');

        return Reply::with($this->desk->site($this->office->changeSite($by, $site, (int) $body->whole('version'), self::siteInput($body))), 201);
    }

    #[Writes('/api/v1/sites/{site}/jobs', 'makeJob', 'office', 'Made', SiteView::class)]
    public function makeJob(Request $request, Site $site, #[CurrentUser] User $by): JsonResponse
    {
        $body = Body::of($request, 'makeJob');
        $job = $this->office->makeJob($by, $site, ['type' => $body->text('type'), 'start_up_only' => $body->flag('startUpOnly'), 'asked' => array_map(intval(...), $body->words('asked') ?? []), 'facts' => $body->words('facts')] + self::days($body));
        $this->office->setPeople($by, $job, self::ids($body->raw('people') ?? []));

        return Reply::with($this->desk->site($site), 201);
    }

    #[Writes('/api/v1/jobs/{job}', 'changeJob', 'office', 'Changed', SiteView::class, also: [409 => 'Somebody changed it meanwhile'])]
    public function changeJob(Request $request, SiteJob $job, #[CurrentUser] User $by): JsonResponse
    {
        $body = Body::of($request, 'changeJob');
        $changed = $this->office->changeJob($by, $job, (int) $body->whole('version'), self::days($body));
        $people = $body->raw('people');
        if ($people !== null) {
            $this->office->setPeople($by, $changed, self::ids($people));
        }

        return Reply::with($this->desk->site(Site::query()->findOrFail($job->site_id)), 201);
    }

    #[Writes('/api/v1/jobs/{job}/machines', 'makeMachine', 'office', 'Made', DeskMachineView::class)]
    public function makeMachine(Request $request, SiteJob $job, #[CurrentUser] User $by): JsonResponse
    {
        return Reply::with(OfficeDesk::machine($this->office->makeMachine($by, $job, self::machineInput(Body::of($request, 'makeMachine')))->refresh()->load('sheet')), 201);
    }

    #[Writes('/api/v1/machines/{machine}/plate', 'changeMachine', 'office', 'Changed', DeskMachineView::class, also: [409 => 'Somebody changed it meanwhile'])]
    public function changeMachine(Request $request, Machine $machine, #[CurrentUser] User $by): JsonResponse
    {
        $body = Body::of($request, 'changeMachine');

        return Reply::with(OfficeDesk::machine($this->office->changeMachine($by, $machine, (int) $body->whole('version'), self::machineInput($body))->load('sheet')), 201);
    }

    #[OA\Get(path: '/api/v1/review', operationId: 'reviewQueue', tags: ['office'], responses: [new OA\Response(response: 200, description: 'What waits for a lead', content: new OA\JsonContent(ref: ReviewListView::class))])]
    public function review(): JsonResponse
    {
        return Reply::with(new ReviewListView($this->desk->review()));
    }

    #[OA\Get(path: '/api/v1/activity', operationId: 'activity', tags: ['office'], parameters: [new OA\Parameter(name: 'before', in: 'query', schema: new OA\Schema(type: 'integer'))], responses: [new OA\Response(response: 200, description: 'What was done in the office, newest first', content: new OA\JsonContent(ref: ActivityListView::class))])]
    public function activity(Request $request): JsonResponse
    {
        return Reply::with(new ActivityListView($this->desk->activity(Query::whole($request, 'before'))));
    }

    #[OA\Get(path: '/api/v1/search', operationId: 'search', tags: ['office'], parameters: [new OA\Parameter(name: 'q', in: 'query', required: true, schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'What begins so', content: new OA\JsonContent(ref: FoundListView::class))])]
    public function search(Request $request, #[CurrentUser] User $person): JsonResponse
    {
        return Reply::with(new FoundListView($this->desk->find($person, Query::text($request, 'q'))));
    }

    /** @return array{name: string, address: string, altitude_m: float, safety: array<string, string>} */
    private static function siteInput(Body $body): array
    {
        $safety = array_filter(array_map(fn (mixed $words): string => is_string($words) ? trim($words) : '', (array) ($body->raw('safety') ?? [])), fn (string $words): bool => $words !== '');

        return ['name' => trim($body->text('name')), 'address' => trim($body->text('address')), 'altitude_m' => $body->number('altitude') ?? 0.0, 'safety' => $safety];
    }

    /** @return array{title: string, starts_on: string, ends_on: string} */
    private static function days(Body $body): array
    {
        $day = function (string $name) use ($body): string {
            $text = $body->text($name);

            return Moment::isDay($text) ? $text : throw Refusal::field($name, $text, 'a date, as YYYY-MM-DD');
        };
        [$from, $to] = [$day('startsOn'), $day('endsOn')];
        if ($to < $from) {
            throw Refusal::field('endsOn', $to, "$from or later");
        }

        return ['title' => trim($body->text('title')), 'starts_on' => $from, 'ends_on' => $to];
    }

    /** @return array{name: string, place: string, serial: string, summary: string, history: string, sheet_version_id: int|null} */
    private static function machineInput(Body $body): array
    {
        $text = fn (string $name): string => trim($body->text($name));

        return ['name' => $text('name'), 'place' => $text('place'), 'serial' => $text('serial'), 'summary' => $text('summary'), 'history' => $text('history'), 'sheet_version_id' => $body->whole('sheet')];
    }

    /** @return list<int> */
    private static function ids(mixed $given): array
    {
        if (! is_array($given) || array_filter($given, fn (mixed $id): bool => ! is_int($id)) !== []) {
            throw Refusal::field('people', $given, 'a list of people by their ids');
        }

        return array_values($given);
    }
}
