<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Queries\CheckCatalogue;
use App\Refusals\Refusal;
use App\Views\ChecksView;
use App\Views\ProblemView;
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
    #[OA\Post(path: '/api/v1/judge/{check}', operationId: 'judge', tags: ['checks'], parameters: [new OA\Parameter(name: 'check', in: 'path', required: true, schema: new OA\Schema(type: 'string'))], requestBody: new OA\RequestBody(content: new OA\JsonContent(properties: [new OA\Property(property: 'units', type: 'string', enum: ['us', 'si']), new OA\Property(property: 'input', type: 'object', additionalProperties: true)])), responses: [new OA\Response(response: 200, description: 'The verdict', content: new OA\JsonContent(ref: VerdictView::class)), new OA\Response(response: 422, description: 'A value that can\'t be taken', content: new OA\JsonContent(ref: ProblemView::class))])]
    public function judge(Request $request, string $check): JsonResponse
    {
        $body = Body::object($request);
        $units = self::units($body);

        return Reply::with($this->judge->judge($check, $body->input ?? new \stdClass(), $units)->toArray());
    }

    /**
     * @return 'us'|'si'
     * @throws Refusal
     */
    public static function units(\stdClass $body): string
    {
        $units = $body->units ?? 'us';

        return $units === 'us' || $units === 'si' ? $units : throw Refusal::field('units', $units, 'us, si');
    }
}
