<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\OwnerLinks;
use App\Actions\Tape;
use App\Http\Bodies\Body;
use App\Http\Bodies\Writes;
use App\Models\Company;
use App\Models\Machine;
use App\Models\OwnerLink;
use App\Models\User;
use App\Queries\RecordSheet;
use App\Records\OnePage;
use App\Records\PhotoStore;
use App\Records\RecordPaper;
use App\Refusals\Refusal;
use App\Support\Moment;
use App\Views\LinkView;
use App\Views\OwnerLinksView;
use App\Views\OwnerLinkView;
use App\Views\ProblemView;
use App\Views\RecordView;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

/** The owner's link: made and withdrawn by the company, read by whoever holds it. */
#[OA\Parameter(parameter: 'token', name: 'token', in: 'path', required: true, schema: new OA\Schema(type: 'string'))]
final class OwnerController
{
    public function __construct(private readonly RecordSheet $sheet, private readonly Tape $tape)
    {
    }

    #[OA\Get(path: '/api/v1/machines/{machine}/owner-links', operationId: 'ownerLinks', tags: ['owner'], parameters: [new OA\Parameter(ref: '#/components/parameters/machine')], responses: [new OA\Response(response: 200, description: 'The links to this record', content: new OA\JsonContent(ref: OwnerLinksView::class))])]
    public function index(Machine $machine): JsonResponse
    {
        return Reply::with(self::list($machine));
    }

    #[Writes('/api/v1/machines/{machine}/owner-links', 'makeOwnerLink', 'owner', 'The link, told once', LinkView::class)]
    public function make(Request $request, Machine $machine, #[CurrentUser] User $by, OwnerLinks $links): JsonResponse
    {
        $body = Body::of($request, 'makeOwnerLink');

        return Reply::with(new LinkView("/owner/{$links->make($by, $machine, $body->text('forWhom'), (int) $body->whole('days'))->text}", false), 201);
    }

    #[OA\Post(path: '/api/v1/machines/{machine}/owner-links/{link}/withdraw', operationId: 'withdrawOwnerLink', tags: ['owner'], parameters: [new OA\Parameter(ref: '#/components/parameters/machine'), new OA\Parameter(ref: '#/components/parameters/key'), new OA\Parameter(ref: '#/components/parameters/writer'), new OA\Parameter(name: 'link', in: 'path', required: true, schema: new OA\Schema(type: 'integer'))], responses: [new OA\Response(response: 201, description: 'Withdrawn', content: new OA\JsonContent(ref: OwnerLinksView::class)), new OA\Response(response: 409, description: 'It was already', content: new OA\JsonContent(ref: ProblemView::class))])]
    public function withdraw(Machine $machine, int $link, #[CurrentUser] User $by, OwnerLinks $links): JsonResponse
    {
        $links->withdraw($by, $machine, $link);

        return Reply::with(self::list($machine), 201);
    }

    #[OA\Get(path: '/api/v1/owner/{token}', operationId: 'ownerRecord', tags: ['owner'], parameters: [new OA\Parameter(ref: '#/components/parameters/token')], responses: [new OA\Response(response: 200, description: 'The record', content: new OA\JsonContent(ref: RecordView::class)), new OA\Response(response: 410, description: 'The link opens nothing any more', content: new OA\JsonContent(ref: ProblemView::class))])]
    public function read(Request $request): JsonResponse
    {
        return Reply::with($this->record(self::machine($request)));
    }

    #[OA\Get(path: '/api/v1/owner/{token}/record.pdf', operationId: 'ownerPaper', tags: ['owner'], parameters: [new OA\Parameter(ref: '#/components/parameters/token')], responses: [new OA\Response(response: 200, description: 'The record as PDF', content: new OA\MediaType(mediaType: 'application/pdf', schema: new OA\Schema(type: 'string', format: 'binary')))])]
    public function paper(Request $request, RecordPaper $paper): Response
    {
        $machine = self::machine($request);
        $company = Company::query()->findOrFail($machine->company_id);

        return response($paper->of($machine, $this->record($machine), $company->time_zone), 200, ['Content-Type' => 'application/pdf', 'Content-Disposition' => 'inline; filename="record.pdf"']);
    }

    #[OA\Get(path: '/api/v1/owner/{token}/pages/{page}.{form}', operationId: 'ownerPage', tags: ['owner'], parameters: [new OA\Parameter(ref: '#/components/parameters/token'), new OA\Parameter(ref: '#/components/parameters/page'), new OA\Parameter(ref: '#/components/parameters/form')], responses: [new OA\Response(response: 200, description: 'One matter on one page, as PDF or SVG', content: new OA\MediaType(mediaType: 'application/pdf', schema: new OA\Schema(type: 'string', format: 'binary'))), new OA\Response(response: 410, description: 'The link opens nothing any more', content: new OA\JsonContent(ref: ProblemView::class))])]
    public function page(Request $request, OnePage $pages): Response
    {
        $machine = self::machine($request);

        return RecordController::onePage($request, $machine, Company::query()->findOrFail($machine->company_id)->time_zone, $pages);
    }

    #[OA\Get(path: '/api/v1/owner/{token}/photos/{at}', operationId: 'ownerPhoto', tags: ['owner'], parameters: [new OA\Parameter(ref: '#/components/parameters/token'), new OA\Parameter(name: 'at', in: 'path', required: true, schema: new OA\Schema(type: 'integer')), new OA\Parameter(name: 'size', in: 'query', schema: new OA\Schema(type: 'string', enum: ['small']))], responses: [new OA\Response(response: 200, description: 'A picture of the record', content: new OA\MediaType(mediaType: 'image/jpeg', schema: new OA\Schema(type: 'string', format: 'binary')))])]
    public function photo(Request $request, PhotoController $photos, PhotoStore $store): BinaryFileResponse
    {
        return $photos->show($request, self::machine($request), (int) $request->route('at'), $store);
    }

    private function record(Machine $machine): RecordView
    {
        $this->tape->catchUp($machine);

        return $this->sheet->of($machine, Company::query()->findOrFail($machine->company_id));
    }

    private static function machine(Request $request): Machine
    {
        $machine = $request->attributes->get('machine');

        return $machine instanceof Machine ? $machine : throw Refusal::linkGone();
    }

    private static function list(Machine $machine): OwnerLinksView
    {
        $iso = fn (?\Carbon\CarbonImmutable $at): ?string => $at === null ? null : Moment::iso($at);
        $links = OwnerLink::query()->where('machine_id', $machine->id)->orderByDesc('id')->get();

        return new OwnerLinksView(array_values($links->map(fn (OwnerLink $l): OwnerLinkView => new OwnerLinkView($l->id, $l->for_whom, (string) $iso($l->made_at), (string) $iso($l->expires_at), $iso($l->withdrawn_at), $iso($l->opened_at)))->all()));
    }
}
