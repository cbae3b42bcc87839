<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\AddPhoto;
use App\Http\DeviceHeaders;
use App\Http\Query;
use App\Models\Entry;
use App\Models\Machine;
use App\Models\User;
use App\Records\PhotoStore;
use App\Refusals\Refusal;
use App\Views\ProblemView;
use App\Views\RecordedView;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\BinaryFileResponse;

final class PhotoController
{
    /** The body is the picture itself. */
    #[OA\Post(path: '/api/v1/machines/{machine}/photos', operationId: 'addPhoto', tags: ['machines'], parameters: [new OA\Parameter(ref: '#/components/parameters/machine'), new OA\Parameter(ref: '#/components/parameters/key'), new OA\Parameter(ref: '#/components/parameters/writer'), new OA\Parameter(name: 'about', in: 'query', required: true, schema: new OA\Schema(type: 'integer')), new OA\Parameter(name: 'item', in: 'query', schema: new OA\Schema(type: 'string')), new OA\Parameter(name: 'caption', in: 'query', schema: new OA\Schema(type: 'string'))], requestBody: new OA\RequestBody(content: [new OA\MediaType(mediaType: 'image/jpeg', schema: new OA\Schema(type: 'string', format: 'binary')), new OA\MediaType(mediaType: 'image/png', schema: new OA\Schema(type: 'string', format: 'binary')), new OA\MediaType(mediaType: 'image/webp', schema: new OA\Schema(type: 'string', format: 'binary'))]), responses: [new OA\Response(response: 201, description: 'Kept', content: new OA\JsonContent(ref: RecordedView::class)), new OA\Response(response: 413, description: 'Too large', content: new OA\JsonContent(ref: ProblemView::class)), new OA\Response(response: 507, description: 'No room left', content: new OA\JsonContent(ref: ProblemView::class))])]
    public function add(Request $request, Machine $machine, #[CurrentUser] User $person, AddPhoto $action, Recorded $recorded): JsonResponse
    {
        $about = Query::whole($request, 'about') ?? throw Refusal::field('about', null, 'the place of an entry on this machine\'s tape');
        $entry = $action->add($machine, DeviceHeaders::stamp($request), $request->getContent(), $about, Query::text($request, 'item'), Query::text($request, 'caption'));

        return $recorded->reply($machine, $entry, $person);
    }

    #[OA\Get(path: '/api/v1/machines/{machine}/photos/{at}', operationId: 'photo', tags: ['machines'], parameters: [new OA\Parameter(ref: '#/components/parameters/machine'), new OA\Parameter(name: 'at', in: 'path', required: true, schema: new OA\Schema(type: 'integer')), new OA\Parameter(name: 'size', in: 'query', schema: new OA\Schema(type: 'string', enum: ['small']))], responses: [new OA\Response(response: 200, description: 'The picture', content: new OA\MediaType(mediaType: 'image/jpeg', schema: new OA\Schema(type: 'string', format: 'binary')))])]
    public function show(Request $request, Machine $machine, int $at, PhotoStore $store): BinaryFileResponse
    {
        $entry = Entry::query()->where('machine_id', $machine->id)->where('at', $at)->where('kind', 'photo')->firstOrFail();
        $sha = (string) $entry->details['sha256'];
        $path = $request->query('size') === 'small' ? $store->preview($machine->company_id, $sha) : $store->path($machine->company_id, $sha);
        if (! is_file($path)) {
            throw Refusal::notFound();
        }

        return response()->file($path, ['Content-Type' => 'image/jpeg', 'Cache-Control' => 'private, max-age=31536000, immutable', 'Content-Security-Policy' => "default-src 'none'"]);
    }
}
