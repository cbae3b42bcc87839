<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Tape;
use App\Models\Machine;
use App\Models\User;
use App\Queries\ReadingsTable;
use App\Queries\RecordSheet;
use App\Queries\RefrigerantLedger;
use App\Records\OnePage;
use App\Records\RecordExport;
use App\Records\RecordPaper;
use App\Refusals\Refusal;
use App\Views\ProblemView;
use App\Views\RecordView;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Collection;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

#[OA\Parameter(parameter: 'page', name: 'page', in: 'path', required: true, schema: new OA\Schema(type: 'string', enum: ['curb', 'tree', 'crane', 'order', 'options', 'label', 'finding', 'form', 'as_left', 'door']))]
#[OA\Parameter(parameter: 'form', name: 'form', in: 'path', required: true, schema: new OA\Schema(type: 'string', enum: ['pdf', 'svg']))]
final class RecordController
{
    public function __construct(private readonly RecordSheet $sheet, private readonly Tape $tape)
    {
    }

    #[OA\Get(path: '/api/v1/machines/{machine}/record', operationId: 'recordSheet', tags: ['machines'], parameters: [new OA\Parameter(ref: '#/components/parameters/machine')], responses: [new OA\Response(response: 200, description: 'The record', content: new OA\JsonContent(ref: RecordView::class))])]
    public function show(Machine $machine, #[CurrentUser] User $person): JsonResponse
    {
        $this->tape->catchUp($machine);

        return Reply::with($this->sheet->of($machine, $person->company));
    }

    /** The same as a file that proves itself. */
    #[OA\Get(path: '/api/v1/machines/{machine}/record.json', operationId: 'recordFile', tags: ['machines'], parameters: [new OA\Parameter(ref: '#/components/parameters/machine')], responses: [new OA\Response(response: 200, description: 'The record as a file, chained and sealed; its schema is at /api/v1/schemas/record', content: new OA\JsonContent(type: 'object'))])]
    public function file(Machine $machine, #[CurrentUser] User $person, RecordExport $export): Response
    {
        $this->tape->catchUp($machine);
        $record = $this->sheet->of($machine, $person->company);

        return response($export->of($machine, $record), 200, ['Content-Type' => 'application/json', 'Content-Disposition' => self::kept('record', $machine, 'json')]);
    }

    /** The same on paper. */
    #[OA\Get(path: '/api/v1/machines/{machine}/record.pdf', operationId: 'recordPaper', tags: ['machines'], parameters: [new OA\Parameter(ref: '#/components/parameters/machine')], responses: [new OA\Response(response: 200, description: 'The record as PDF', content: new OA\MediaType(mediaType: 'application/pdf', schema: new OA\Schema(type: 'string', format: 'binary')))])]
    public function paper(Machine $machine, #[CurrentUser] User $person, RecordPaper $paper): Response
    {
        $this->tape->catchUp($machine);
        $record = $this->sheet->of($machine, $person->company);

        return response($paper->of($machine, $record, $person->company->time_zone), 200, ['Content-Type' => 'application/pdf', 'Content-Disposition' => strtr(self::kept('record', $machine, 'pdf'), ['attachment' => 'inline'])]);
    }

    /** One matter on one page, for people without an account. */
    #[OA\Get(path: '/api/v1/machines/{machine}/pages/{page}.{form}', operationId: 'onePage', tags: ['machines'], parameters: [new OA\Parameter(ref: '#/components/parameters/machine'), new OA\Parameter(ref: '#/components/parameters/page'), new OA\Parameter(ref: '#/components/parameters/form')], responses: [new OA\Response(response: 200, description: 'Curb sketch, crane sheet, order sheet, options or charge label, as PDF or SVG', content: new OA\MediaType(mediaType: 'application/pdf', schema: new OA\Schema(type: 'string', format: 'binary'))), new OA\Response(response: 404, description: 'Nothing of it was recorded', content: new OA\JsonContent(ref: ProblemView::class))])]
    public function page(Request $request, Machine $machine, #[CurrentUser] User $person, OnePage $pages): Response
    {
        return self::onePage($request, $machine, $person->company->time_zone, $pages);
    }

    public static function onePage(Request $request, Machine $machine, string $zone, OnePage $pages): Response
    {
        [$page, $isPdf] = [(string) $request->route('page'), $request->route('form') === 'pdf'];
        $paper = $request->query('paper', 'letter');
        if (! is_string($paper) || ! isset(OnePage::PAPERS[$paper])) {
            throw Refusal::field('paper', $paper, implode(', ', array_keys(OnePage::PAPERS)));
        }

        return response($isPdf ? $pages->pdf($machine, $page, $zone, $paper) : $pages->svg($machine, $page), 200, [
            'Content-Type' => $isPdf ? 'application/pdf' : 'image/svg+xml',
            'Content-Disposition' => strtr(self::kept($page, $machine, $isPdf ? 'pdf' : 'svg'), ['attachment' => 'inline']),
        ]);
    }

    /** What a file that leaves or enters may say. */
    #[OA\Get(path: '/api/v1/schemas/{name}', operationId: 'schema', tags: ['schemas'], parameters: [new OA\Parameter(name: 'name', in: 'path', required: true, schema: new OA\Schema(type: 'string', enum: ['record', 'equipment-sheet']))], responses: [new OA\Response(response: 200, description: 'A JSON Schema, 2020-12', content: new OA\JsonContent(type: 'object'))])]
    public function schema(string $name): BinaryFileResponse
    {
        return response()->file(database_path("schemas/$name.schema.json"), ['Content-Type' => 'application/schema+json']);
    }

    /** Every figure as it was read, for a spreadsheet. */
    #[OA\Get(path: '/api/v1/machines/{machine}/readings.csv', operationId: 'readingsFile', tags: ['machines'], parameters: [new OA\Parameter(ref: '#/components/parameters/machine')], responses: [new OA\Response(response: 200, description: 'The readings, one a line', content: new OA\MediaType(mediaType: 'text/csv', schema: new OA\Schema(type: 'string')))])]
    public function readings(Machine $machine, ReadingsTable $table): Response
    {
        return response($table->of($this->sheet->evidence($machine)), 200, [
            'Content-Type' => 'text/csv; charset=utf-8; header=present',
            'Content-Disposition' => self::kept('readings', $machine, 'csv'),
        ]);
    }

    /** What went in and out of a unit, as a law's record wants it. */
    #[OA\Get(path: '/api/v1/machines/{machine}/refrigerant.csv', operationId: 'refrigerantFile', tags: ['machines'], parameters: [new OA\Parameter(ref: '#/components/parameters/machine')], responses: [new OA\Response(response: 200, description: 'A line each weighing', content: new OA\MediaType(mediaType: 'text/csv', schema: new OA\Schema(type: 'string')))])]
    public function refrigerant(Machine $machine, RefrigerantLedger $ledger): Response
    {
        return response(RefrigerantLedger::file($ledger->lines(new Collection([$machine->loadMissing('job.site', 'sheet')]))), 200, [
            'Content-Type' => 'text/csv; charset=utf-8; header=present',
            'Content-Disposition' => self::kept('refrigerant', $machine, 'csv'),
        ]);
    }

    private static function kept(string $what, Machine $machine, string $kind): string
    {
        $name = (string) preg_replace('/[^A-Za-z0-9-]+/', '-', "$what-$machine->name-$machine->serial");

        return "attachment; filename=\"$name.$kind\"";
    }
}
