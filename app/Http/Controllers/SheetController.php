<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\AddToSheet;
use App\Actions\KeepSheet;
use App\Http\Bodies\AsPrinted;
use App\Http\Bodies\Body;
use App\Http\Bodies\Writes;
use App\Http\Query;
use App\Models\Machine;
use App\Models\Sheet;
use App\Models\SheetVersion;
use App\Models\User;
use App\Queries\SheetShelf;
use App\Refusals\Refusal;
use App\Views\ProblemView;
use App\Views\SheetListView;
use App\Views\SheetView;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;

/** Equipment sheets: by form or as file, against the published schema; every change is another version. */
#[OA\Parameter(parameter: 'sheet', name: 'sheet', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))]
final class SheetController
{
    private const BYTES = 1_048_576;

    public function __construct(private readonly SheetShelf $shelf)
    {
    }

    #[OA\Get(path: '/api/v1/sheets', operationId: 'sheets', tags: ['sheets'], responses: [new OA\Response(response: 200, description: 'The shelf', content: new OA\JsonContent(ref: SheetListView::class))])]
    public function index(): JsonResponse
    {
        return Reply::with(new SheetListView($this->shelf->all()));
    }

    #[OA\Get(path: '/api/v1/sheets/{sheet}', operationId: 'sheet', tags: ['sheets'], parameters: [new OA\Parameter(ref: '#/components/parameters/sheet')], responses: [new OA\Response(response: 200, description: 'A sheet with all its versions', content: new OA\JsonContent(ref: SheetView::class))])]
    public function show(Sheet $sheet): JsonResponse
    {
        return Reply::with($this->shelf->one($sheet));
    }

    #[OA\Post(path: '/api/v1/sheets', operationId: 'keepSheet', tags: ['sheets'], parameters: [new OA\Parameter(ref: '#/components/parameters/key'), new OA\Parameter(ref: '#/components/parameters/writer'), new OA\Parameter(name: 'seen', in: 'query', description: 'the version that was changed; left out for a file', schema: new OA\Schema(type: 'integer'))], requestBody: new OA\RequestBody(content: new OA\JsonContent(type: 'object')), responses: [new OA\Response(response: 201, description: 'Kept as another version', content: new OA\JsonContent(ref: SheetView::class)), new OA\Response(response: 409, description: 'Somebody made another version meanwhile', content: new OA\JsonContent(ref: ProblemView::class))])]
    public function keep(Request $request, KeepSheet $action, #[CurrentUser] User $by): JsonResponse
    {
        if (strlen($request->getContent()) > self::BYTES) {
            throw Refusal::tooLarge('A sheet has at most 1 MB.');
        }
        $version = $action->keep($request->getContent(), $by, Query::whole($request, 'seen'));

        return Reply::with($this->shelf->one(Sheet::query()->findOrFail($version->sheet_id)), 201);
    }

    /** What a bench was told and the sheet lacked, as its next version. */
    #[Writes('/api/v1/machines/{machine}/sheet', 'addToSheet', 'sheets', 'Kept as another version', SheetView::class, also: [409 => 'There is nothing that it lacks'])]
    public function add(Request $request, Machine $machine, AddToSheet $action, #[CurrentUser] User $by): JsonResponse
    {
        $body = Body::of($request, 'addToSheet');
        $input = json_decode((string) json_encode(AsPrinted::input($body->raw('input'))), true);
        $version = $action->add($machine, $by, $body->text('check'), $body->text('subject'), is_array($input) ? $input : []);

        return Reply::with($this->shelf->one(Sheet::query()->findOrFail($version->sheet_id)), 201);
    }

    #[OA\Get(path: '/api/v1/sheets/{sheet}/versions/{version}.json', operationId: 'sheetFile', tags: ['sheets'], parameters: [new OA\Parameter(ref: '#/components/parameters/sheet'), new OA\Parameter(name: 'version', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))], responses: [new OA\Response(response: 200, description: 'The sheet as a file, as the schema has it', content: new OA\JsonContent(type: 'object'))])]
    public function file(Sheet $sheet, int $version): Response
    {
        $found = SheetVersion::query()->where('sheet_id', $sheet->id)->where('version', $version)->firstOrFail();
        $name = (string) preg_replace('/[^A-Za-z0-9-]+/', '-', "$sheet->model-v$version");

        return response(json_encode($found->body, JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR) . "\n", 200, ['Content-Type' => 'application/json', 'Content-Disposition' => "attachment; filename=\"$name.json\""]);
    }
}
