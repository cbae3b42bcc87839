<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Machine;
use App\Models\RecordedVerdict;
use App\Models\User;
use App\Queries\RefrigerantLedger;
use App\Support\CurrentCompany;
use App\Tables\CsvOut;
use App\Tables\Import;
use App\Tables\MachineImport;
use App\Tables\SiteImport;
use App\Views\ImportView;
use App\Views\ProblemView;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\Container\Container;
use Illuminate\Database\ConnectionInterface;
use Illuminate\Database\Query\Builder;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** Tables in and out: sites and machines as comma-separated values. */
#[OA\Parameter(parameter: 'table', name: 'table', in: 'path', required: true, schema: new OA\Schema(type: 'string', enum: ['sites', 'machines']))]
final class TableController
{
    private const FOOT_M = 0.3048;
    private const IMPORTS = ['sites' => SiteImport::class, 'machines' => MachineImport::class];

    public function __construct(private readonly Container $container)
    {
    }

    #[OA\Post(path: '/api/v1/import/{table}/preview', operationId: 'previewImport', tags: ['office'], parameters: [new OA\Parameter(ref: '#/components/parameters/table')], requestBody: new OA\RequestBody(content: new OA\MediaType(mediaType: 'text/csv', schema: new OA\Schema(type: 'string'))), responses: [new OA\Response(response: 200, description: 'What it would do', content: new OA\JsonContent(ref: ImportView::class)), new OA\Response(response: 413, description: 'Too large', content: new OA\JsonContent(ref: ProblemView::class))])]
    public function preview(Request $request, string $table): JsonResponse
    {
        return Reply::with($this->import($table)->preview($request->getContent()));
    }

    #[OA\Post(path: '/api/v1/import/{table}', operationId: 'import', tags: ['office'], parameters: [new OA\Parameter(ref: '#/components/parameters/table'), new OA\Parameter(ref: '#/components/parameters/key'), new OA\Parameter(ref: '#/components/parameters/writer'), new OA\Parameter(name: 'digest', in: 'query', required: true, schema: new OA\Schema(type: 'string'))], requestBody: new OA\RequestBody(content: new OA\MediaType(mediaType: 'text/csv', schema: new OA\Schema(type: 'string'))), responses: [new OA\Response(response: 201, description: 'All of it is there', content: new OA\JsonContent(ref: ImportView::class)), new OA\Response(response: 422, description: 'Something is wrong: nothing was done', content: new OA\JsonContent(ref: ProblemView::class))])]
    public function bring(Request $request, string $table, #[CurrentUser] User $by): JsonResponse
    {
        $digest = $request->query('digest', '');

        return Reply::with($this->import($table)->bring($by, $request->getContent(), is_string($digest) ? $digest : ''), 201);
    }

    #[OA\Get(path: '/api/v1/export/{table}.csv', operationId: 'export', tags: ['office'], parameters: [new OA\Parameter(ref: '#/components/parameters/table')], responses: [new OA\Response(response: 200, description: 'All of them, as the import takes them', content: new OA\MediaType(mediaType: 'text/csv', schema: new OA\Schema(type: 'string')))])]
    public function export(string $table, ConnectionInterface $db, CurrentCompany $company): StreamedResponse
    {
        $rows = $table === 'sites' ? self::sites($db, $company->id()) : self::machines($db, $company->id());
        $head = self::IMPORTS[$table]::columns();

        return new StreamedResponse(function () use ($head, $rows): void {
            $out = fopen('php://output', 'w');
            assert($out !== false);
            CsvOut::write($out, $head, $rows);
        }, 200, ['Content-Type' => 'text/csv; charset=utf-8; header=present', 'Content-Disposition' => "attachment; filename=\"$table.csv\""]);
    }

    /** What went in and out of every unit of the company. */
    #[OA\Get(path: '/api/v1/export/refrigerant.csv', operationId: 'exportRefrigerant', tags: ['office'], responses: [new OA\Response(response: 200, description: 'A line each weighing, unit by unit', content: new OA\MediaType(mediaType: 'text/csv', schema: new OA\Schema(type: 'string')))])]
    public function refrigerant(RefrigerantLedger $ledger): Response
    {
        $machines = Machine::query()->with('job.site', 'sheet')->findMany(RecordedVerdict::query()->where('check', 'refrigerant.account')->distinct()->pluck('machine_id')->all())->sortBy('id');

        return response(RefrigerantLedger::file($ledger->lines($machines)), 200, ['Content-Type' => 'text/csv; charset=utf-8; header=present', 'Content-Disposition' => 'attachment; filename="refrigerant.csv"']);
    }

    private function import(string $table): Import
    {
        return $this->container->make(self::IMPORTS[$table]);
    }

    /** @return iterable<list<string>> */
    private static function sites(ConnectionInterface $db, int $company): iterable
    {
        $query = $db->table('sites')->where('company_id', $company)->orderBy('id');
        foreach (self::page($query, 'sites.id', ['id', 'name', 'address', 'altitude_m', 'safety']) as $row) {
            $safety = json_decode($row->safety, true);
            yield [$row->name, $row->address, round($row->altitude_m / self::FOOT_M) . ' ft', ...array_map(fn (string $what): string => $safety[$what] ?? '', array_slice(SiteImport::columns(), 3))];
        }
    }

    /** @return iterable<list<string>> */
    private static function machines(ConnectionInterface $db, int $company): iterable
    {
        $query = $db->table('machines')->where('machines.company_id', $company)->join('site_jobs', 'site_jobs.id', '=', 'machines.site_job_id')->join('sites', 'sites.id', '=', 'site_jobs.site_id')
            ->leftJoin('sheet_versions', 'sheet_versions.id', '=', 'machines.sheet_version_id')->orderBy('machines.id');
        foreach (self::page($query, 'machines.id', ['machines.id', 'sites.name as site', 'site_jobs.title', 'site_jobs.type', 'machines.name', 'place', 'serial', 'summary', $db->raw("sheet_versions.body->>'model' AS model")]) as $row) {
            yield [$row->site, $row->title, $row->type, $row->name, $row->place, $row->serial, $row->summary, (string) $row->model];
        }
    }

    /**
     * Page by page by id, so that a large table is never held whole.
     *
     * @param array<int, mixed> $columns
     * @return iterable<\stdClass>
     */
    private static function page(Builder $query, string $key, array $columns): iterable
    {
        for ($last = 0; ($rows = (clone $query)->where($key, '>', $last)->limit(1_000)->get($columns))->isNotEmpty(); $last = $rows->last()->id ?? PHP_INT_MAX) {
            yield from $rows;
        }
    }
}
