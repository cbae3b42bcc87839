<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Bodies\AsPrinted;
use App\Http\Bodies\Body;
use App\Http\Bodies\Writes;
use App\Queries\CheckCatalogue;
use App\Views\ChecksView;
use App\Views\VerdictView;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use IronStart\Core\Judge\Judge;
use OpenApi\Attributes as OA;

#[OA\Tag(name: 'checks')]
final class JudgeController
{
    public function __construct(private readonly Judge $judge, private readonly CheckCatalogue $catalogue)
    {
    }

    #[OA\Get(path: '/api/v1/checks', operationId: 'checks', tags: ['checks'], responses: [new OA\Response(response: 200, description: 'The checks', content: new OA\JsonContent(ref: ChecksView::class))])]
    public function index(): JsonResponse
    {
        return Reply::with($this->catalogue->all())->header('Cache-Control', 'private, max-age=300');
    }

    /** Judges as one types; nothing is kept. */
    #[Writes('/api/v1/judge/{check}', 'judge', 'checks', 'The verdict', VerdictView::class, status: 200, once: false)]
    public function judge(Request $request, string $check): JsonResponse
    {
        $body = Body::of($request, 'judge');

        return Reply::with($this->judge->judge($check, AsPrinted::input($body->raw('input')) ?? new \stdClass(), $body->text('units') === 'si' ? 'si' : 'us')->toArray());
    }
}
