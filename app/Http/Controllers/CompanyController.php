<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Company;
use App\Models\User;
use App\Records\CompanyKeys;
use App\Refusals\Refusal;
use App\Support\Moment;
use App\Support\OfficeLog;
use App\Views\CompanyView;
use App\Views\ProblemView;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use IronStart\Core\Chain\Seal;
use IronStart\Core\Gate\Job;
use OpenApi\Attributes as OA;

/** The company itself: its name, units, time zone, what a new job starts with, and the fingerprint of its key. */
final class CompanyController
{
    public function __construct(private readonly CompanyKeys $keys, private readonly OfficeLog $log)
    {
    }

    #[OA\Get(path: '/api/v1/company', operationId: 'company', tags: ['company'], responses: [new OA\Response(response: 200, description: 'The company', content: new OA\JsonContent(ref: CompanyView::class))])]
    public function show(#[CurrentUser] User $person): JsonResponse
    {
        return Reply::with($this->view(Company::query()->findOrFail($person->company_id)));
    }

    #[OA\Post(path: '/api/v1/company', operationId: 'changeCompany', tags: ['company'], parameters: [new OA\Parameter(ref: '#/components/parameters/key')], requestBody: new OA\RequestBody(content: new OA\JsonContent(required: ['version', 'name', 'units', 'timeZone', 'facts'], properties: [new OA\Property(property: 'version', type: 'integer'), new OA\Property(property: 'name', type: 'string'), new OA\Property(property: 'units', type: 'string'), new OA\Property(property: 'timeZone', type: 'string'), new OA\Property(property: 'facts', type: 'array', items: new OA\Items(type: 'string'))])), responses: [new OA\Response(response: 201, description: 'Changed', content: new OA\JsonContent(ref: CompanyView::class)), new OA\Response(response: 409, description: 'Somebody changed it meanwhile', content: new OA\JsonContent(ref: ProblemView::class))])]
    public function update(Request $request, #[CurrentUser] User $person): JsonResponse
    {
        $company = Company::query()->lockForUpdate()->findOrFail($person->company_id);
        $body = Body::object($request);
        if (Body::whole($body, 'version', 1, PHP_INT_MAX) !== $company->version) {
            throw Refusal::already('Somebody changed the company meanwhile.', ['theirs' => ['who' => '', 'when' => $company->updated_at === null ? '' : Moment::iso($company->updated_at), 'at' => $company->version, 'words' => "$company->name, $company->units, $company->time_zone"]]);
        }
        $zone = Body::text($request, 'timeZone', 40);
        if (! in_array($zone, \DateTimeZone::listIdentifiers(), true)) {
            throw Refusal::field('timeZone', $zone, 'a time zone such as America/Chicago');
        }
        $units = Body::text($request, 'units', 2);
        if (! in_array($units, ['us', 'si'], true)) {
            throw Refusal::field('units', $units, 'us, si');
        }
        $facts = Body::members($request)['facts'] ?? [];
        if (! is_array($facts) || array_diff($facts, Job::FACTS) !== []) {
            throw Refusal::field('facts', $facts, implode(', ', Job::FACTS));
        }
        $company->forceFill(['name' => trim(Body::text($request, 'name', 120)), 'units' => $units, 'time_zone' => $zone, 'defaults' => ['facts' => array_values($facts)], 'version' => $company->version + 1])->save();
        $this->log->say($person->id, 'company', $company->name);

        return Reply::with($this->view($company), 201);
    }

    private function view(Company $company): CompanyView
    {
        return new CompanyView($company->name, $company->units, $company->time_zone, array_values($company->defaults['facts'] ?? []), $company->version, Seal::fingerprint($this->keys->of($company->id)->publicKey()));
    }
}
