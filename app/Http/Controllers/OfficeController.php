<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Office;
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
use App\Views\ProblemView;
use App\Views\ReviewListView;
use App\Views\SiteView;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use IronStart\Core\Gate\Job;
use IronStart\Core\Gate\JobType;
use OpenApi\Attributes as OA;

/** Sites with their jobs and machines, what waits for review, what was done, search. */
#[OA\Parameter(parameter: 'site', name: 'site', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
#[OA\Parameter(parameter: 'job', name: 'job', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
final class OfficeController
{
    /** What stands on a site's page for the day somebody needs it. */
    public const SAFETY = ['hospital', 'roof_hatch_key', 'gas_shut_off', 'emergency_switch', 'contact', 'access'];
    private const LOWEST_M = -430;
    private const HIGHEST_M = 5_500;

    public function __construct(private readonly Office $office, private readonly OfficeDesk $desk)
    {
    }

    #[OA\Get(path: '/api/v1/sites', operationId: 'sites', tags: ['office'], parameters: [new OA\Parameter(name: 'q', in: 'query', schema: new OA\Schema(type: 'string')), new OA\Parameter(name: 'after', in: 'query', schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'A page of sites', content: new OA\JsonContent(ref: PageView::class))])]
    public function sites(Request $request): JsonResponse
    {
        return Reply::with($this->desk->sites(self::query($request, 'q'), self::query($request, 'after')));
    }

    #[OA\Get(path: '/api/v1/sites/{site}', operationId: 'site', tags: ['office'], parameters: [new OA\Parameter(ref: '#/components/parameters/site')], responses: [new OA\Response(response: 200, description: 'The site with its jobs and machines', content: new OA\JsonContent(ref: SiteView::class))])]
    public function site(Site $site): JsonResponse
    {
        return Reply::with($this->desk->site($site));
    }

    #[OA\Post(path: '/api/v1/sites', operationId: 'makeSite', tags: ['office'], parameters: [new OA\Parameter(ref: '#/components/parameters/key')], requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: '#/components/schemas/SiteInput')), responses: [new OA\Response(response: 201, description: 'Made', content: new OA\JsonContent(ref: SiteView::class))])]
    public function makeSite(Request $request, #[CurrentUser] User $by): JsonResponse
    {
        return Reply::with($this->desk->site($this->office->makeSite($by, self::siteInput($request))->refresh()), 201);
    }

    #[OA\Post(path: '/api/v1/sites/{site}', operationId: 'changeSite', tags: ['office'], parameters: [new OA\Parameter(ref: '#/components/parameters/site'), new OA\Parameter(ref: '#/components/parameters/key')], requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: '#/components/schemas/SiteInput')), responses: [new OA\Response(response: 201, description: 'Changed', content: new OA\JsonContent(ref: SiteView::class)), new OA\Response(response: 409, description: 'Somebody changed it meanwhile', content: new OA\JsonContent(ref: ProblemView::class))])]
    public function changeSite(Request $request, Site $site, #[CurrentUser] User $by): JsonResponse
    {
        return Reply::with($this->desk->site($this->office->changeSite($by, $site, self::version($request), self::siteInput($request))), 201);
    }

    #[OA\Post(path: '/api/v1/sites/{site}/jobs', operationId: 'makeJob', tags: ['office'], parameters: [new OA\Parameter(ref: '#/components/parameters/site'), new OA\Parameter(ref: '#/components/parameters/key')], requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: '#/components/schemas/JobInput')), responses: [new OA\Response(response: 201, description: 'Made', content: new OA\JsonContent(ref: SiteView::class))])]
    public function makeJob(Request $request, Site $site, #[CurrentUser] User $by): JsonResponse
    {
        $members = Body::members($request);
        $type = $members['type'] ?? null;
        if (! is_string($type) || JobType::tryFrom($type) === null) {
            throw Refusal::field('type', $type, implode(', ', JobType::words()));
        }
        $job = $this->office->makeJob($by, $site, ['type' => $type, 'start_up_only' => ($members['startUpOnly'] ?? false) === true, 'facts' => self::facts($members['facts'] ?? null)] + self::days($request));
        $this->office->setPeople($by, $job, self::ids($members['people'] ?? []));

        return Reply::with($this->desk->site($site), 201);
    }

    #[OA\Post(path: '/api/v1/jobs/{job}', operationId: 'changeJob', tags: ['office'], parameters: [new OA\Parameter(ref: '#/components/parameters/job'), new OA\Parameter(ref: '#/components/parameters/key')], requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: '#/components/schemas/JobInput')), responses: [new OA\Response(response: 201, description: 'Changed', content: new OA\JsonContent(ref: SiteView::class)), new OA\Response(response: 409, description: 'Somebody changed it meanwhile', content: new OA\JsonContent(ref: ProblemView::class))])]
    public function changeJob(Request $request, SiteJob $job, #[CurrentUser] User $by): JsonResponse
    {
        $changed = $this->office->changeJob($by, $job, self::version($request), self::days($request));
        $people = Body::members($request)['people'] ?? null;
        if ($people !== null) {
            $this->office->setPeople($by, $changed, self::ids($people));
        }

        return Reply::with($this->desk->site(Site::query()->findOrFail($job->site_id)), 201);
    }

    #[OA\Post(path: '/api/v1/jobs/{job}/machines', operationId: 'makeMachine', tags: ['office'], parameters: [new OA\Parameter(ref: '#/components/parameters/job'), new OA\Parameter(ref: '#/components/parameters/key')], requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: '#/components/schemas/MachineInput')), responses: [new OA\Response(response: 201, description: 'Made', content: new OA\JsonContent(ref: DeskMachineView::class))])]
    public function makeMachine(Request $request, SiteJob $job, #[CurrentUser] User $by): JsonResponse
    {
        return Reply::with(OfficeDesk::machine($this->office->makeMachine($by, $job, self::machineInput($request))->refresh()->load('sheet')), 201);
    }

    #[OA\Post(path: '/api/v1/machines/{machine}/plate', operationId: 'changeMachine', tags: ['office'], parameters: [new OA\Parameter(ref: '#/components/parameters/machine'), new OA\Parameter(ref: '#/components/parameters/key')], requestBody: new OA\RequestBody(content: new OA\JsonContent(ref: '#/components/schemas/MachineInput')), responses: [new OA\Response(response: 201, description: 'Changed', content: new OA\JsonContent(ref: DeskMachineView::class)), new OA\Response(response: 409, description: 'Somebody changed it meanwhile', content: new OA\JsonContent(ref: ProblemView::class))])]
    public function changeMachine(Request $request, Machine $machine, #[CurrentUser] User $by): JsonResponse
    {
        return Reply::with(OfficeDesk::machine($this->office->changeMachine($by, $machine, self::version($request), self::machineInput($request))->load('sheet')), 201);
    }

    #[OA\Get(path: '/api/v1/review', operationId: 'reviewQueue', tags: ['office'], responses: [new OA\Response(response: 200, description: 'What waits for a lead', content: new OA\JsonContent(ref: ReviewListView::class))])]
    public function review(): JsonResponse
    {
        return Reply::with(new ReviewListView($this->desk->review()));
    }

    #[OA\Get(path: '/api/v1/activity', operationId: 'activity', tags: ['office'], parameters: [new OA\Parameter(name: 'before', in: 'query', schema: new OA\Schema(type: 'integer'))], responses: [new OA\Response(response: 200, description: 'What was done in the office, newest first', content: new OA\JsonContent(ref: ActivityListView::class))])]
    public function activity(Request $request): JsonResponse
    {
        $before = self::query($request, 'before');

        return Reply::with(new ActivityListView($this->desk->activity(ctype_digit($before) ? (int) $before : null)));
    }

    #[OA\Get(path: '/api/v1/search', operationId: 'search', tags: ['office'], parameters: [new OA\Parameter(name: 'q', in: 'query', required: true, schema: new OA\Schema(type: 'string'))], responses: [new OA\Response(response: 200, description: 'What begins so', content: new OA\JsonContent(ref: FoundListView::class))])]
    public function search(Request $request, #[CurrentUser] User $person): JsonResponse
    {
        return Reply::with(new FoundListView($this->desk->find($person, self::query($request, 'q'))));
    }

    /** @return array{name: string, address: string, altitude_m: float, safety: array<string, string>} */
    private static function siteInput(Request $request): array
    {
        $members = Body::members($request);
        $altitude = $members['altitude'] ?? 0;
        if (! is_numeric($altitude) || $altitude < self::LOWEST_M || $altitude > self::HIGHEST_M) {
            throw Refusal::field('altitude', $altitude, self::LOWEST_M . ' to ' . self::HIGHEST_M . ' m');
        }
        $safety = [];
        foreach (is_array($members['safety'] ?? null) ? $members['safety'] : [] as $what => $words) {
            if (! in_array($what, self::SAFETY, true) || ! is_string($words) || mb_strlen($words) > 240) {
                throw Refusal::field("safety.$what", $words, implode(', ', self::SAFETY) . ', each a text of at most 240 characters');
            }
            $safety[$what] = trim($words);
        }

        return ['name' => trim(Body::text($request, 'name', 120)), 'address' => trim(Body::optionalText(Body::object($request), 'address', 240)), 'altitude_m' => (float) $altitude, 'safety' => array_filter($safety, fn (string $w): bool => $w !== '')];
    }

    /** @return array{title: string, starts_on: string, ends_on: string} */
    private static function days(Request $request): array
    {
        $day = function (string $name) use ($request): string {
            $text = Body::text($request, $name, 10);

            return Moment::isDay($text) ? $text : throw Refusal::field($name, $text, 'a date, as YYYY-MM-DD');
        };
        [$from, $to] = [$day('startsOn'), $day('endsOn')];
        if ($to < $from) {
            throw Refusal::field('endsOn', $to, "$from or later");
        }

        return ['title' => trim(Body::text($request, 'title', 160)), 'starts_on' => $from, 'ends_on' => $to];
    }

    /** @return array{name: string, place: string, serial: string, summary: string, history: string, sheet_version_id: int|null} */
    private static function machineInput(Request $request): array
    {
        $body = Body::object($request);

        return [
            'name' => trim(Body::text($request, 'name', 60)),
            'place' => trim(Body::optionalText($body, 'place', 120)),
            'serial' => trim(Body::optionalText($body, 'serial', 60)),
            'summary' => trim(Body::optionalText($body, 'summary', 160)),
            'history' => trim(Body::optionalText($body, 'history', 2000)),
            'sheet_version_id' => Body::whole($body, 'sheet', 1, PHP_INT_MAX),
        ];
    }

    /** @return list<string>|null */
    private static function facts(mixed $given): ?array
    {
        if ($given === null) {
            return null;
        }
        if (! is_array($given) || array_diff($given, Job::FACTS) !== []) {
            throw Refusal::field('facts', $given, implode(', ', Job::FACTS));
        }

        return array_values(array_unique($given));
    }

    /** @return list<int> */
    private static function ids(mixed $given): array
    {
        if (! is_array($given) || array_filter($given, fn (mixed $id): bool => ! is_int($id)) !== []) {
            throw Refusal::field('people', $given, 'a list of people by their ids');
        }

        return array_values($given);
    }

    private static function version(Request $request): int
    {
        return Body::whole(Body::object($request), 'version', 1, PHP_INT_MAX) ?? throw Refusal::field('version', null, 'the version that was seen');
    }

    private static function query(Request $request, string $name): string
    {
        $value = $request->query($name, '');

        return is_string($value) && mb_strlen($value) <= 200 ? $value : throw Refusal::field($name, $value, 'a text of at most 200 characters');
    }
}
