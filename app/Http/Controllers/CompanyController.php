<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Bodies\Body;
use App\Http\Bodies\Writes;
use App\Models\Company;
use App\Models\User;
use App\Records\CompanyKeys;
use App\Refusals\Refusal;
use App\Support\Moment;
use App\Support\OfficeLog;
use App\Views\CompanyView;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use IronStart\Core\Chain\Seal;
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

    #[Writes('/api/v1/company', 'changeCompany', 'company', 'Changed', CompanyView::class, also: [409 => 'Somebody changed it meanwhile'])]
    public function update(Request $request, #[CurrentUser] User $person): JsonResponse
    {
        $company = Company::query()->lockForUpdate()->findOrFail($person->company_id);
        $body = Body::of($request, 'changeCompany');
        if ($body->whole('version') !== $company->version) {
            throw Refusal::already('Somebody changed the company meanwhile.', ['theirs' => ['who' => '', 'when' => $company->updated_at === null ? '' : Moment::iso($company->updated_at), 'at' => $company->version, 'words' => "$company->name, $company->units, $company->time_zone"]]);
        }
        $zone = $body->text('timeZone');
        if (! in_array($zone, \DateTimeZone::listIdentifiers(), true)) {
            throw Refusal::field('timeZone', $zone, 'a time zone such as America/Chicago');
        }
        $company->forceFill(['name' => trim($body->text('name')), 'units' => $body->text('units'), 'time_zone' => $zone, 'defaults' => ['facts' => $body->words('facts') ?? []], 'version' => $company->version + 1])->save();
        $this->log->say($person->id, 'company', $company->name);

        return Reply::with($this->view($company), 201);
    }

    private function view(Company $company): CompanyView
    {
        return new CompanyView($company->name, $company->units, $company->time_zone, array_values($company->defaults['facts'] ?? []), $company->version, Seal::fingerprint($this->keys->of($company->id)->publicKey()));
    }
}
